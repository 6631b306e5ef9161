import type { Page } from '@playwright/test';
import { DateTime } from 'luxon';
import { becomeOwner, choose, expect, test } from './support.ts';
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
    await expect(table(1).getByTestId('board-now')).toContainText(first);
    await table(1).getByRole('button', { name: 'Done' }).click();
    await expect(table(1).getByTestId('board-now')).toContainText('free');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(table(1).getByTestId('board-now')).toContainText(first);
    await table(1).getByRole('button', { name: 'Done' }).click();
    await expect(page.getByText('1 done')).toBeVisible();
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
