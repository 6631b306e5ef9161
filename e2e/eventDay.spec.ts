import type { Page } from '@playwright/test';
import { DateTime } from 'luxon';
import { DAY_RULES, OFFERS, type EventDaySetUp } from '@pace-bend/core/eventDay';
import { athleteNamed, becomeOwner, choose, expect, REFUSED, test } from './support.ts';
import { ZONE } from './zone.ts';

/** A regatta’s morning: eight races, twenty-four rowers, every ten minutes from ten. */
const DAY = '2027-05-08';
const ROWERS = Array.from({ length: 24 }, (_, i) => `Rower ${String.fromCharCode(65 + i)} ${['Alder', 'Birch', 'Cedar'][i % 3]}`);
const LIST = [
  'Name,Race,Call,Start',
  ...ROWERS.map((name, i) => {
    const start = DateTime.fromISO(`${DAY}T10:00`).plus({ minutes: Math.floor(i / 3) * 12 });
    return `${name},Race ${Math.floor(i / 3) + 1},${start.minus({ minutes: 15 }).toFormat('HH:mm')},${start.toFormat('HH:mm')}`;
  }),
].join('\n');

/** When a race starts as the list has it, and when the eighth does after it slipped. */
const START_OF = { 'Race 7': '11:12', 'Race 8': '11:24' } as const;
const START_LATE = '12:09';

/** The day with tables and wishes, brought about without a screen; the set-up’s own test drives the screen. */
async function aDay(page: Page, url: string): Promise<string> {
  await becomeOwner(page, url);
  for (const name of ['Bea', 'Cas'])
    await page.request.put(`${url}/api/accounts/${crypto.randomUUID()}`, {
      data: {
        name: `${name} Therapist`,
        login: name.toLowerCase(),
        role: 'therapist',
        revision: 0,
        active: true,
        squadIds: [],
        password: 'another river in the rain',
      },
    });
  await page.goto(`${url}/event-days`);
  await page.getByRole('button', { name: 'Set up a day' }).click();
  const dialog = page.getByRole('dialog', { name: 'Set up a day' });
  await dialog.getByLabel('Name').fill('Spring regatta');
  await dialog.getByLabel('Day', { exact: true }).fill(DAY);
  await dialog.getByRole('button', { name: 'Set up this day' }).click();
  await expect(page).toHaveURL(/\/set-up$/);
  return page.url().replace(/\/set-up$/, '');
}

async function importList(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Import a start list' }).click();
  const dialog = page.getByRole('dialog', { name: 'Import a start list' });
  await dialog.getByLabel('Or paste it here').fill(LIST);
  await dialog.getByRole('button', { name: 'Import 24 starts' }).click();
  await expect(page.getByTestId('start-row')).toHaveCount(24);
  await page.getByRole('button', { name: 'before the start' }).click();
  await expect(page.getByText('24 wishes')).toBeVisible();
}

async function threeTables(page: Page): Promise<void> {
  await page.getByRole('tab', { name: 'Tables' }).click();
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Add hands at a table' }).click();
  await expect(page.getByTestId('shift')).toHaveCount(3);
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
}

const at = async (page: Page, url: string, time: string): Promise<Date> => {
  const { timeZone: zone } = (await (await page.request.get(`${url}/api/practice`)).json()) as { timeZone: string };
  return DateTime.fromISO(`${DAY}T${time}`, { zone }).toJSDate();
};

test('a day at a regatta: set up, times told, two races slip, one is late, one is not coming, a table closes, and all of it is undone and agreed on', async ({
  page,
  browser,
  emptyApplication,
  expectedErrors,
}) => {
  expectedErrors.push(/Failed to load resource|net::ERR/);
  const application = await emptyApplication({ PACE_BEND_DEMO: 'off' });
  await application.start();
  const { url } = application;
  const day = await aDay(page, url);
  const table = (which: number, on = page) => on.getByRole('region', { name: `Table ${which}` });

  await test.step('the list is pasted, everybody wants work before their start, three tables', async () => {
    await importList(page);
    await threeTables(page);
  });

  await test.step('on the morning: everybody has a time, told in one step', async () => {
    await page.clock.install({ time: await at(page, url, '08:05') });
    await page.goto(day);
    await expect(page.getByText('24 times to tell')).toBeVisible();
    await page.getByRole('button', { name: 'Look at the times' }).click();
    const times = page.getByRole('dialog', { name: 'Times' });
    await expect(times.getByTestId('time-change')).toHaveCount(24);
    await expect(times.getByText('checked to the end')).toBeVisible();
    await times.getByRole('button', { name: 'Tell these times' }).click();
    await expect(page.getByText('24 times told')).toBeVisible();
    await expect(page.getByTestId('board-next')).toHaveCount(3);
    await expect(page.getByText('would change')).toHaveCount(0);
  });

  const first = (await table(1).getByTestId('board-next').locator('.name').innerText()).replace(/^\S+\s+/, '');
  await test.step('here, on the table, done, by taps; the last tap is undone', async () => {
    await table(1).getByRole('button', { name: 'Here' }).click();
    await table(1).getByRole('button', { name: 'On the table' }).click();
    await page
      .getByRole('dialog', { name: `${first}: before hands go on` })
      .getByRole('button', { name: 'None of these, and they agree' })
      .click();
    await expect(table(1).getByTestId('board-now')).toContainText(first);
    await table(1).getByRole('button', { name: 'Done' }).click();
    await expect(page.getByRole('dialog', { name: `${first}: write it down` })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(table(1).getByTestId('board-now')).toContainText('free');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(table(1).getByTestId('board-now')).toContainText(first);
  });

  await test.step('half a minute later a guest is on file, and the work is a visit of theirs', async () => {
    await page.clock.fastForward('09:00');
    await table(1).getByRole('button', { name: 'Done' }).click();
    const writing = page.getByRole('dialog', { name: `${first}: write it down` });
    await expect(writing.getByText('History not taken: an empty file says nothing')).toBeVisible();
    await expect(writing.getByText('All 6 steps, 9 min as planned')).toBeVisible();
    const write = writing.getByRole('button', { name: 'Write it down' });
    await expect(write).toBeDisabled();
    await expect(writing.getByRole('status')).toHaveText('Still missing: their birth date and that they agree to be on file.');
    await writing.getByLabel('Birth date').fill('1999-03-14');
    await writing.getByLabel('They agree to be on file here').check();
    await writing.getByText('All 6 steps, 9 min as planned').click();
    await writing.getByRole('checkbox', { name: 'Ankle circles' }).uncheck();
    await writing.getByRole('button', { name: 'Loose, ready.' }).click();
    await write.click();
    await expect(writing).toHaveCount(0);
    await expect(page.getByText('1 done')).toBeVisible();
    await expect(page.getByText('To write down')).toHaveCount(0);
    await expect(page.getByText('not sent yet')).toHaveCount(0);
    const file = await page.context().newPage();
    await file.goto(`${url}/athlete/${await athleteNamed(file, first, url)}/history`);
    await file.getByRole('link', { name: /^Event work/ }).click();
    await expect(file.getByLabel('Your words')).toHaveValue(/^Event work, Spring regatta: before the start.*Loose, ready\.$/s);
    await file.close();
  });

  await test.step('two races slip, one athlete is late: only the times that have to change do, and are shown before they are told', async () => {
    const changes = page.getByRole('dialog', { name: 'Times' }).getByTestId('time-change');
    for (const [race, by] of [
      ['Race 8', '45 min'],
      ['Race 7', '30 min'],
    ] as const) {
      await page.getByRole('button', { name: 'A race is later' }).click();
      const dialog = page.getByRole('dialog', { name: 'A race is later' });
      await choose(dialog, 'Race', `${race}, ${START_OF[race]}`);
      await dialog.getByRole('button', { name: by }).click();
      await dialog.getByRole('button', { name: 'Move this race' }).click();
      await expect(page.getByText(`${race} starts at`)).toBeVisible();
    }
    // Everybody in them was told a time less than ten minutes ago: nobody is told another one yet.
    await expect(page.getByRole('button', { name: 'Look at the times' })).toHaveCount(0);
    await page.clock.fastForward('11:00');
    await expect(page.getByText('would change')).toBeVisible();
    await page.getByRole('button', { name: 'Look at the times' }).click();
    const named = await changes.allInnerTexts();
    for (const rower of [...ROWERS.slice(18)]) expect(named.some((line) => line.includes(rower))).toBe(true);
    await page.getByRole('button', { name: 'Tell these times' }).click();
    const next = table(2).getByTestId('board-next');
    await expect(next).toContainText(/late, 1\d min|Here/);
    await next.getByRole('button', { name: 'More about' }).click();
    await page.getByRole('button', { name: 'Late: 20 min' }).click();
    await expect(page.getByText('not before')).toBeVisible();
  });

  await test.step('a table closes, somebody does not come, one more wants something; undo takes the last back', async () => {
    await page.getByRole('button', { name: 'A table closes' }).click();
    const closing = page.getByRole('dialog', { name: 'A table closes' });
    await closing.getByLabel('From').fill('9:00');
    await closing.getByLabel('Until').fill('9:30');
    await closing.getByRole('button', { name: 'Close this table' }).click();
    await expect(page.getByText('Table 1 closed from 09:00')).toBeVisible();
    const later = table(3).getByTestId('board-later').last();
    await later.getByRole('button').click();
    await page.getByRole('button', { name: 'Not coming' }).click();
    await expect(page.getByText('1 not coming')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('1 not coming')).toHaveCount(0);
    await page.getByRole('button', { name: 'One more wish' }).click();
    const more = page.getByRole('dialog', { name: 'One more wish' });
    await more.getByLabel('Name').fill('Zed Visitor');
    await choose(more, 'Race', `Race 8, ${START_LATE}`);
    await more.getByRole('button', { name: 'Add this wish' }).click();
    await expect(page.getByRole('region', { name: 'Without a time' }).getByText('Zed Visitor')).toBeVisible();
  });

  await test.step('without the line it goes on; with it another device has all of it, and the entrance says no race', async () => {
    await page.context().setOffline(true);
    await page.getByRole('region', { name: 'Without a time' }).getByRole('button', { name: 'Zed Visitor' }).click();
    await page.getByRole('dialog', { name: 'Zed Visitor' }).getByRole('button', { name: 'Here' }).click();
    await expect(page.getByText('1 not sent yet')).toBeVisible();
    await page.context().setOffline(false);
    await page.evaluate(() => window.dispatchEvent(new Event('online')));
    await expect(page.getByText('not sent yet')).toHaveCount(0);

    const other = await (await browser.newContext({ timezoneId: ZONE })).newPage();
    await other.request.post(`${url}/api/sign-in`, { data: { login: 'bea', password: 'another river in the rain' } });
    await other.clock.install({ time: await at(page, url, '08:20') });
    await other.goto(`${day}/entrance`);
    await expect(table(1, other).getByTestId('board-next')).toContainText(/\d\d:\d\d/);
    await expect(other.getByText(/Race \d/)).toHaveCount(0);
    await expect(other.getByRole('button', { name: 'Done' })).toHaveCount(0);
    await other.getByRole('link', { name: 'Board' }).click();
    await expect(other.getByText('1 done')).toBeVisible();
    // What is tapped there is seen here.
    await table(1, other).getByRole('button', { name: 'Here' }).click();
    await page.clock.fastForward('00:20');
    await expect(table(1).getByTestId('board-next')).toContainText('here');
    await other.close();
  });
});

/** A day with one race, an athlete who has a place that is not to be touched, and a guest; one table, set up without a screen. */
async function smallDay(page: Page, url: string): Promise<{ readonly day: string; readonly annId: string }> {
  const id = () => crypto.randomUUID();
  const put = async (path: string, data: object) => {
    const answer = await page.request.put(`${url}/api${path}`, { data });
    expect(answer.ok(), await answer.text()).toBe(true);
  };
  const [annId, dayId, race, ann, guest] = [id(), id(), id(), id(), id()];
  const person = { name: 'Ann Lark', birthDate: '1998-05-06', referenceSex: 'none', about: '', breathPeriodMs: 8000 };
  await put(`/athletes/${annId}`, person);
  await put(`/athletes/${annId}/no-touch/${id()}`, { region: 'low-back', side: null, words: '' });
  const { examiners } = (await (await page.request.get(`${url}/api/studies`)).json()) as { examiners: { id: string }[] };
  const wish = (starterId: string) => ({
    id: id(),
    starterId,
    kind: 'before' as const,
    raceId: race,
    nextRaceId: null,
    minutes: 10,
    reasons: [],
    therapistId: null,
    protocolId: null,
  });
  const setUp: EventDaySetUp = {
    title: 'Sprint evening',
    eventId: null,
    onDate: DAY,
    races: [{ id: race, name: 'Eights', callAt: 600, startAt: 620 }],
    starters: [
      { id: ann, athleteId: annId, name: 'Ann Lark' },
      { id: guest, athleteId: null, name: 'Gus Guest' },
    ],
    starts: [ann, guest].map((starterId) => ({ starterId, raceId: race })),
    wishes: [wish(ann), wish(guest)],
    shifts: [{ id: id(), table: 1, therapistId: examiners[0]!.id, from: 480, until: 720 }],
    offers: OFFERS,
    rules: DAY_RULES,
  };
  await put(`/event-days/${dayId}`, { revision: 0, ...setUp });
  return { day: `${url}/event-day/${dayId}`, annId };
}

test('half a minute of writing: what a caution forbids is left out, without a line it waits here, a refused one is told and written again, somebody is sent on', async ({
  page,
  emptyApplication,
  expectedErrors,
}) => {
  expectedErrors.push(/net::ERR/, REFUSED);
  const application = await emptyApplication({ PACE_BEND_DEMO: 'off' });
  await application.start();
  const { url } = application;
  await becomeOwner(page, url);
  const { day, annId } = await smallDay(page, url);
  await page.clock.install({ time: await at(page, url, '08:35') });
  await page.goto(day);
  await page.getByRole('button', { name: 'Look at the times' }).click();
  await page.getByRole('button', { name: 'Tell these times' }).click();
  const table = page.getByRole('region', { name: 'Table 1' });
  const dialog = page.getByRole('dialog');
  const toWrite = page.getByRole('region', { name: 'To write down' });
  const onto = async (name: string) => {
    const next = table.getByTestId('board-next');
    if (!(await next.innerText()).includes(name)) {
      await table.getByTestId('board-later').filter({ hasText: name }).getByRole('button').click();
      await dialog.getByRole('button', { name: 'On table 1' }).click();
    } else await next.getByRole('button', { name: 'On the table' }).click();
    await expect(page.getByRole('dialog', { name: `${name}: before hands go on` })).toBeVisible();
  };

  await test.step('her place that is not to be touched is in the line, and the step on it cannot be chosen', async () => {
    await onto('Ann Lark');
    await expect(dialog.getByLabel('Cautions and limits')).toContainText('low back');
    await expect(dialog.getByLabel('Cautions and limits')).toContainText('holds to 20 s');
    // By keys alone: the focus is in the dialog, the first button is the one that is meant.
    await dialog.getByRole('button', { name: 'None of these, and they agree' }).press('Enter');
    await expect(table.getByTestId('board-now')).toContainText('Ann Lark');
    await page.clock.fastForward('09:00');
  });

  await test.step('without the line: written down, kept here, off the list; with it, in the file', async () => {
    await page.context().setOffline(true);
    await table.getByRole('button', { name: 'Done' }).click();
    await expect(dialog.getByRole('checkbox', { name: 'Low-back rock' })).toBeDisabled();
    await expect(dialog.getByText(/\d of 6 steps, \d+ min as planned/)).toBeVisible();
    await dialog.getByLabel('Two words').fill('Fine.');
    await dialog.getByLabel('Two words').press('Enter');
    await expect(dialog).toHaveCount(0);
    await expect(toWrite).toHaveCount(0);
    await expect(page.getByText(/\d not sent yet, kept here/)).toBeVisible();
    await page.context().setOffline(false);
    await page.evaluate(() => window.dispatchEvent(new Event('online')));
    await expect(page.getByText('not sent yet')).toHaveCount(0);
    const { visits } = (await (await page.request.get(`${url}/api/athletes/${annId}`)).json()) as {
      visits: { id: string; eventDayId: string | null; finishedAt: string | null; minutes: number }[];
    };
    expect(visits).toEqual([
      expect.objectContaining({
        eventDayId: day.split('/').at(-1),
        minutes: 9,
        finishedAt: expect.stringMatching(/^2\d{3}-/) as unknown as string,
      }),
    ]);
    const visit = (await (await page.request.get(`${url}/api/visits/${visits[0]!.id}`)).json()) as {
      note: { text: string };
      plan: { blocks: { entryId: string }[] };
    };
    expect(visit.note.text).toContain('Before a start: without Lift-and-lean low-back rock.');
    expect(visit.plan.blocks.map(({ entryId }) => entryId)).not.toContain('low-back-rock');
  });

  await test.step('somebody with a fever is sent on: no hands, off the board, in a file of their own if they agree', async () => {
    await onto('Gus Guest');
    await dialog.getByRole('button', { name: 'Something is' }).click();
    const sending = page.getByRole('dialog', { name: 'Gus Guest: not treated, sent on' });
    await sending
      .getByRole('group', { name: /^Fever/ })
      .getByRole('button', { name: 'yes' })
      .click();
    await sending.getByLabel('Birth date').fill('2030-01-01');
    await expect(sending.getByText('A birth date lies between')).toBeVisible();
    await sending.getByLabel('Birth date').fill('2000-01-01');
    await sending.getByLabel('They agree to be on file here').check();
    await expect(sending.getByRole('status')).toHaveText('Still missing: whom they were sent on to.');
    await sending.getByLabel('Sent on to').fill('the race doctor');
    // The server is not well for a moment: what was written is not lost.
    await page.route('**/records/*', (route) =>
      route.fulfill({
        status: 409,
        contentType: 'application/problem+json',
        body: JSON.stringify({ type: '/problems/in-use', status: 409, title: 'In use', detail: 'Somebody else writes.' }),
      }),
    );
    await sending.getByRole('button', { name: 'Write it down' }).click();
    await expect(page.getByText('1 not coming')).toBeVisible();
    await expect(toWrite.getByText('it was not taken, write it down again')).toBeVisible();
    await page.unroute('**/records/*');
    await toWrite.getByRole('button', { name: 'Gus Guest' }).click();
    await expect(dialog.getByText('Not taken: Somebody else writes.')).toBeVisible();
    await expect(dialog.getByLabel('Sent on to')).toHaveValue('the race doctor');
    await dialog.getByRole('button', { name: 'Write it down' }).click();
    await expect(toWrite).toHaveCount(0);
    await expect(page.getByText('not sent yet')).toHaveCount(0);
    const gus = await athleteNamed(page, 'Gus Guest', url);
    const { referredVisitIds } = (await (await page.request.get(`${url}/api/athletes/${gus}`)).json()) as { referredVisitIds: string[] };
    expect(referredVisitIds).toHaveLength(1);
  });
});

test('a set-up with faults in it is not saved and says why; undo and redo; a list with wrong rows; a day that is taken up again', async ({
  page,
  emptyApplication,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const application = await emptyApplication({ PACE_BEND_DEMO: 'off' });
  await application.start();
  const day = await aDay(page, application.url);
  await test.step('typed by hand: what is missing is said, the race fills in its times', async () => {
    await page.getByRole('button', { name: 'Add a start' }).click();
    const dialog = page.getByRole('dialog', { name: 'Add a start' });
    await dialog.getByRole('button', { name: 'Add this start' }).click();
    await expect(dialog.getByText('Who starts?')).toBeVisible();
    await dialog.getByLabel('Athlete').fill('Ida Oar');
    await dialog.getByLabel('Race').fill('Pairs');
    await dialog.getByLabel('Start', { exact: true }).fill('11.30');
    await dialog.getByLabel('Call').fill('11:45');
    await dialog.getByRole('button', { name: 'Add this start' }).click();
    await expect(dialog.getByText('The call is before the start.')).toBeVisible();
    await dialog.getByLabel('Call').fill('11:15');
    await dialog.getByRole('button', { name: 'Add this start' }).click();
    await expect(dialog.getByText('Ida Oar added.')).toBeVisible();
    await dialog.getByLabel('Athlete').fill('Una Oar');
    await dialog.getByLabel('Start', { exact: true }).fill('9:00');
    await dialog.getByLabel('Race').fill('Fours');
    await dialog.getByLabel('Race').fill('Pairs');
    await expect(dialog.getByLabel('Start', { exact: true })).toHaveValue('11:30');
    await dialog.getByRole('button', { name: 'Add this start' }).click();
    await dialog.getByRole('button', { name: 'Close', exact: true }).last().click();
    await expect(page.getByTestId('start-row')).toHaveCount(2);
  });
  await test.step('a list with a wrong row: named, left out, the others read; nobody is doubled', async () => {
    await page.getByRole('button', { name: 'Import a start list' }).click();
    const dialog = page.getByRole('dialog', { name: 'Import a start list' });
    await dialog.getByLabel('Or paste it here').fill('Who;Heat;Off\nIda Oar;Pairs;11:30\nBo Oar;Fours;soon\nCy Oar;Fours;12:10\n');
    await choose(dialog, 'Athlete', 'Who');
    await choose(dialog, 'Start', 'Off');
    await expect(dialog.getByText('Row 3')).toBeVisible();
    await expect(dialog.getByRole('button', { name: /^Import/ })).toBeDisabled();
    await dialog.getByText('Leave these rows out').click();
    await dialog.getByRole('button', { name: 'Import 2 starts' }).click();
    await expect(page.getByTestId('start-row')).toHaveCount(3);
    // The columns are remembered for the next list.
    await page.getByRole('button', { name: 'Import a start list' }).click();
    await dialog.getByLabel('Or paste it here').fill('Who;Heat;Off\nDi Oar;Fours;12:10\n');
    await expect(dialog.getByRole('button', { name: 'Import 1 starts' })).toBeEnabled();
    await dialog.getByRole('button', { name: 'Close', exact: true }).last().click();
  });
  await test.step('a wish has minutes, a reason and hands', async () => {
    const row = page.getByTestId('start-row').filter({ hasText: 'Cy Oar' });
    await row.getByRole('button', { name: 'before', exact: true }).click();
    await row.getByRole('button', { name: '10 min' }).click();
    const dialog = page.getByRole('dialog', { name: 'Cy Oar' });
    await dialog.getByLabel('Minutes').fill('50');
    await expect(dialog.getByRole('button', { name: 'Save this wish' })).toBeDisabled();
    await dialog.getByLabel('Minutes').fill('12');
    await choose(dialog, 'Hands asked for', 'Bea Therapist');
    await dialog.getByRole('button', { name: 'Save this wish' }).click();
    await expect(row.getByRole('button', { name: '12 min, Bea Therapist' })).toBeVisible();
  });
  await test.step('two at one table at once: said at the place and not saved; undo puts it right; it is there after a reload', async () => {
    await page.getByRole('tab', { name: 'Tables' }).click();
    for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Add hands at a table' }).click();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await choose(page.getByTestId('shift').nth(1), 'Table', 'Table 1');
    await expect(page.getByText('Somebody else stands at this table then.').first()).toBeVisible();
    await expect(page.getByText('Not saved: something is not right yet')).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await page.reload();
    await page.getByRole('tab', { name: 'Tables' }).click();
    await expect(page.getByTestId('shift')).toHaveCount(2);
    await page.goto(`${application.url}/event-days`);
    await page.getByRole('link', { name: 'Spring regatta' }).click();
    await expect(page).toHaveURL(day);
    await expect(page.getByText('not today: it is still ahead')).toBeVisible();
    await expect(page.getByText('1 times to tell')).toBeVisible();
  });
});

test('from an event of the season: its name and day stand in the form; a day is renamed, and taken off', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/');
  await page.getByRole('button', { name: 'Change Ergometer test' }).click();
  await page.getByRole('link', { name: 'Set up the day of it' }).click();
  const dialog = page.getByRole('dialog', { name: 'Set up a day' });
  await expect(dialog.getByLabel('Name')).toHaveValue('Ergometer test');
  await dialog.getByRole('button', { name: 'Set up this day' }).click();
  await page.getByRole('tab', { name: 'Day and offer' }).click();
  await page.getByLabel('Name').fill('Ergometer evening');
  await page.getByLabel('Name').blur();
  await expect(page.getByRole('heading', { level: 1, name: 'Ergometer evening' })).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'Event days' }).click();
  await page.getByRole('button', { name: 'Take off Ergometer evening' }).click();
  await page.getByRole('button', { name: 'Take this day off' }).click();
  await expect(page.getByText('Ergometer evening')).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Head race' })).toBeVisible();
});
