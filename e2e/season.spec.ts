import type { Page } from '@playwright/test';
import { askFirst, choose, expect, ownPractice, REFUSED, saved, signIn, test, walkIn } from './support.ts';

/** The practice's day, so many days back. */
const daysAgo = async (page: Page, days: number): Promise<string> => {
  const { today } = (await (await page.request.get('/api/practice')).json()) as { today: string };
  return new Date(Date.parse(`${today}T00:00:00Z`) - days * 86_400_000).toISOString().slice(0, 10);
};
const athleteNamed = async (page: Page, name: string): Promise<string> => {
  const { athletes } = (await (await page.request.get(`/api/athletes?q=${encodeURIComponent(name)}`)).json()) as {
    athletes: { id: string }[];
  };
  return athletes[0]!.id;
};
const BOATS = /\b(?:boats?|rowers?|rowing|oars?|cox|sculls?|sculler|sculling|stroke side|bow side|rigger|regatta)\b/i;

test('a new practice of runners sees no word of boats; its own sport is asked for like those that ship', async ({
  page,
  emptyApplication,
}) => {
  const application = await ownPractice(page, emptyApplication);
  await page.goto(`${application.url}/practice/sports`);
  const form = page.getByRole('form', { name: 'Sports and check-in' });
  await form.getByRole('combobox', { name: 'Sports served here' }).click({ force: true });
  await page.keyboard.type('running');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await form.getByRole('button', { name: 'Keep' }).click();
  await expect(form.getByText('Kept.')).toBeVisible();

  await page.getByRole('button', { name: 'Add a sport' }).click();
  const own = page.getByRole('form', { name: 'A sport of your own' });
  await own.getByRole('button', { name: 'Keep the sport' }).click();
  await expect(own.getByRole('alert')).toContainText('A sport needs a name.');
  await own.getByLabel('Name', { exact: true }).fill('Orienteering');
  await own.getByRole('button', { name: 'Add a demand' }).click();
  // A shape needs the side it follows, said at once and before anything is sent.
  await own.getByRole('button', { name: 'Add a side with more' }).click();
  await own.getByRole('button', { name: 'Keep the sport' }).click();
  await expect(own.getByRole('alert')).toContainText('Name the side that leads first.');
  await own.getByLabel('What the leading side is called, if it has one').fill('Take-off leg');
  await own.getByRole('spinbutton', { name: 'More by up to, difference 1' }).fill('6');
  await own.getByLabel('Why, difference 1').fill('the leg that jumps');
  await own.getByRole('button', { name: 'Add a kind of event' }).click();
  await own.getByLabel('Event 2', { exact: true }).fill('Night relay');
  await own.getByRole('spinbutton', { name: 'Hours without long holds before event 2' }).fill('36');
  await own.getByRole('button', { name: 'Keep the sport' }).click();
  await expect(page.getByRole('region', { name: 'Own sports' })).toContainText('Orienteering');
  const { ownSports } = (await (await page.request.get(`${application.url}/api/practice`)).json()) as {
    ownSports: { shapes: unknown[]; eventKinds: unknown[] }[];
  };
  expect(ownSports[0]).toMatchObject({
    shapes: [{ kind: 'more', on: 'leading', upTo: 6, words: 'the leg that jumps', sure: 'common practice' }],
    eventKinds: [{ id: 'match' }, { id: 'night-relay', name: 'Night relay', quietHoursBefore: 36, gentleHoursAfter: 24 }],
  });

  // What is offered is what the practice serves, its own included once it is chosen.
  await page.goto(application.url);
  await page.getByRole('button', { name: 'Walk-in' }).click();
  await page.getByLabel('Name').fill('Rill Moss');
  await page.getByLabel('Birth date').fill('1999-02-03');
  await choose(page, 'Sport', 'Running');
  await choose(page, 'Discipline', 'Trail');
  await expect(page.getByRole('combobox', { name: 'Role' })).toHaveCount(0);
  const seen: string[] = [await page.getByRole('dialog').innerText()];
  await page.getByRole('button', { name: 'Arrive now' }).click();
  await expect(page.getByText('Running, trail')).toBeVisible();
  const visit = page.url().replace(/\/arrive$/, '');
  await askFirst(page);
  for (const step of ['arrive', 'measure', 'plan', 'close']) {
    await page.goto(`${visit}/${step}`);
    await expect(page.getByRole('heading', { name: 'Rill Moss' })).toBeVisible();
    seen.push(await page.locator('body').innerText());
  }
  await page.goto(`${visit}/measure`);
  await page.getByRole('button', { name: /What to measure/ }).click();
  await expect(page.getByRole('dialog')).toContainText('running asks for it');
  seen.push(await page.getByRole('dialog').innerText());
  const athlete = (await (await page.request.get(`${application.url}/api/athletes?q=Rill`)).json()).athletes[0].id as string;
  for (const path of [
    '/',
    '/squad',
    '/squad/range',
    '/squad/read-in',
    '/morning',
    '/load',
    '/load/read-in',
    `/athlete/${athlete}/file`,
    `/athlete/${athlete}/mornings`,
    '/practice/scope',
  ]) {
    await page.goto(`${application.url}${path}`);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page.getByText(/^Opening/)).toHaveCount(0);
    seen.push(await page.locator('body').innerText());
  }
  for (const text of seen) expect(text.match(BOATS)?.[0] ?? '').toBe('');
  await page.goto(`${application.url}/squad/read-in`);
});

test('an athlete answers on a phone page; without a line it is kept and sent once; the morning shows it', async ({
  page,
  browser,
  expectedErrors,
}) => {
  await walkIn(page, 'Phone Person');
  await page.goto('/morning');
  const row = page.getByRole('row', { name: /Phone Person/ });
  await expect(row).toContainText('Not answered');
  await row.getByRole('button', { name: 'Ask Phone Person' }).click();
  await page.getByRole('button', { name: 'Open a page' }).click();
  await expect(page.getByRole('img', { name: 'Code that opens the check-in page of Phone Person' })).toBeVisible();
  const address = await page.getByRole('textbox', { name: /^Link, until/ }).inputValue();
  expect(address).toMatch(/\/check-in#[\w-]{43}$/);

  const phone = await (await browser.newContext({ viewport: { width: 360, height: 740 }, hasTouch: true })).newPage();
  await phone.goto(address);
  await expect(phone.getByRole('heading', { name: 'Morning, Phone' })).toBeVisible();
  // Nothing of it runs out to the side, and every target is large.
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  for (const box of await Promise.all((await phone.getByRole('button', { name: /: \d$/ }).all()).map((button) => button.boundingBox())))
    expect(Math.min(box!.height, box!.width)).toBeGreaterThanOrEqual(42);
  // Nothing is preset, so nothing can be sent yet.
  await expect(phone.getByRole('button', { name: 'Send my answers' })).toBeDisabled();
  for (const [item, value] of [
    ['Sleep', 5],
    ['Stress', 3],
    ['Fatigue', 4],
    ['Soreness', 4],
  ] as const)
    await phone.getByRole('button', { name: `${item}: ${value}` }).tap();
  await phone.getByRole('button', { name: 'Half an hour less sleep' }).tap();
  await phone.getByRole('button', { name: 'Half an hour less sleep' }).tap();
  await phone.getByRole('button', { name: 'Soleus, left' }).first().focus();
  await phone.keyboard.press('Enter');
  await phone.getByRole('button', { name: 'Soleus, left: more' }).tap();
  await phone.getByRole('button', { name: 'well', exact: true }).tap();
  await phone.context().setOffline(true);
  await phone.getByRole('button', { name: 'Send my answers' }).tap();
  await expect(phone.getByRole('heading', { name: 'Kept on this device' })).toBeVisible();
  await phone.context().setOffline(false);
  await phone.evaluate(() => window.dispatchEvent(new Event('online')));
  await expect(phone.getByRole('heading', { name: 'Thank you' })).toBeVisible();
  await phone.reload();
  await expect(phone.getByText('Answered today already.')).toBeVisible();
  // What was answered is not to be read there.
  await expect(phone.getByRole('button', { name: 'Sleep: 5' })).toHaveAttribute('aria-pressed', 'false');

  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Look again' }).click();
  await expect(row).toContainText('Sore: 5 of 10.');
  const id = await athleteNamed(page, 'Phone Person');
  const { checkIns } = (await (await page.request.get(`/api/athletes/${id}/days`)).json()) as {
    checkIns: { by: string; hoursSlept: number; travelled: null; answers: object }[];
  };
  expect(checkIns).toHaveLength(1);
  expect(checkIns[0]).toMatchObject({
    by: 'the athlete',
    hoursSlept: 7.5,
    travelled: null,
    answers: { sleep: 5, stress: 3, fatigue: 4, soreness: 4 },
  });

  // Closed here, it is closed there.
  await row.getByRole('link', { name: 'Phone Person' }).focus();
  await page.keyboard.press('a');
  await page.getByRole('button', { name: 'Close the page of Phone Person' }).click();
  await expect(page.getByRole('button', { name: 'Close the page of Phone Person' })).toHaveCount(0);
  await phone.reload();
  await expect(phone.getByRole('alert')).toContainText('has ended');
  await phone.context().close();
  expect(expectedErrors).toEqual([]);
});

test('a squad’s tablet: a name, the questions, back to the names; another’s answers are never seen', async ({ page, browser }) => {
  await page.goto('/morning');
  await choose(page, 'Squad shown', 'Juniors');
  await page.getByRole('button', { name: 'Squad’s tablet' }).click();
  await page.getByRole('button', { name: 'Open a page' }).click();
  const address = await page.getByRole('textbox', { name: /^Link, until/ }).inputValue();
  const tablet = await (await browser.newContext({ viewport: { width: 1024, height: 768 } })).newPage();
  await tablet.goto(address);
  await tablet.getByRole('button', { name: 'Bela Strand' }).click();
  await tablet.getByRole('button', { name: 'Fatigue: 3' }).click();
  await tablet.getByRole('button', { name: 'Send my answers' }).click();
  await tablet.getByRole('button', { name: 'Add what you trained' }).click();
  await tablet.getByRole('button', { name: 'Rowing machine' }).click();
  await tablet.getByRole('button', { name: 'How hard: 7' }).click();
  await tablet.getByRole('button', { name: 'Add this session' }).click();
  await expect(tablet.getByText('1 session added.')).toBeVisible();
  await tablet.getByRole('button', { name: 'Next person' }).click();
  await expect(tablet.getByRole('button', { name: /Bela Strand/ })).toContainText('answered');
  await tablet.getByRole('button', { name: /Noor Haverkamp/ }).click();
  await expect(tablet.getByRole('button', { name: 'Fatigue: 3' })).toHaveAttribute('aria-pressed', 'false');
  await tablet.context().close();
});

test('the morning is seen, a visit softened by it is opened, one limit set aside, treated, and both stand in the record', async ({
  page,
}) => {
  // What the squad's season holds back is another matter: today counts for itself.
  const today = await daysAgo(page, 0);
  const season = await page.request.put(`/api/athletes/${await athleteNamed(page, 'Joss')}/season`, {
    data: {
      revision: 0,
      blocks: [{ phase: 'build', from: today, until: today, fromAnchor: null, untilAnchor: null }],
      stays: [],
      follows: null,
      notAt: [],
    },
  });
  expect(season.status()).toBe(200);
  await page.goto('/morning');
  const row = page.getByRole('row', { name: /Joss Adeyemi/ });
  await expect(row).toContainText('ease');
  await expect(row).toContainText('Slept five hours or less.');
  await page.getByRole('button', { name: /ease$/ }).click();
  await expect(page.getByRole('row', { name: /Noor Haverkamp/ })).toHaveCount(0);
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('link', { name: 'Joss Adeyemi' }).last()).toBeFocused();

  await page.getByRole('navigation', { name: 'The day' }).getByText('Joss Adeyemi').click();
  await expect(page).toHaveURL(/\/visit\/.*\/\w+$/);
  // Wherever their visit has come to by now, how they are is seen where it begins.
  await page.goto(page.url().replace(/\/\w+$/, '/arrive'));
  const card = page.getByRole('region', { name: 'Today', exact: true });
  await expect(card).toContainText('Today: ease');
  await expect(card.getByRole('list', { name: 'Reasons' })).toContainText('effort to 30 %');
  await askFirst(page);
  await expect(card).toContainText('Today: ease');
  await page.keyboard.press('t');
  await expect(card.getByRole('button', { name: /Applied/ })).toBeVisible();
  const visit = page.url().replace(/\/arrive$/, '');

  // The proposal and the table obey: nothing presses harder than the day allows.
  const file = async () =>
    (await (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json()) as {
      readiness: { kept: { word: string; outcome: string | null }; setAside: { limitId: string; reason: string; by: string }[] };
      note: { text: string };
      plan: { blocks: { limits?: { effortPct: number | null }[] }[] };
    };
  for (const [side, trials] of [
    ['left', [55, 56, 55]],
    ['right', [70, 70, 70]],
  ] as const)
    await page.request.put(`${visit.replace('/visit/', '/api/visits/')}/readings/${crypto.randomUUID()}`, {
      data: { motionId: 'straight-leg-raise', side, moment: 'before', mode: 'passive', instrument: 'goniometer', trials, supersedes: null },
    });
  await page.goto(`${visit}/plan`);
  await page.getByRole('region', { name: 'Offers' }).getByRole('button', { name: 'Breath-led contract-relax' }).first().click();
  await saved(page);
  await expect(page.getByRole('region', { name: 'Limits' })).toContainText('effort to 30 %');
  expect(
    (await file()).plan.blocks.every((block) => block.limits?.every((limit) => limit.effortPct !== null && limit.effortPct <= 30)),
  ).toBe(true);

  await page.goto(`${visit}/arrive`);
  await card.getByRole('button', { name: 'Set aside: Slept five hours or less.' }).click();
  await card.getByLabel('Set aside, because').fill('no');
  await card.getByRole('button', { name: 'Keep the word' }).click();
  await expect(card.getByRole('alert')).toContainText('A word why');
  await card.getByLabel('Set aside, because').fill('slept in the afternoon');
  await card.getByRole('button', { name: 'Keep the word' }).click();
  await expect(card).toContainText('set aside, Marit Voss: slept in the afternoon');
  await saved(page);
  await expect(page.getByRole('link', { name: /ease, 1 set aside/ })).toBeVisible();
  const kept = (await file()).readiness;
  expect(kept.kept.word).toBe('ease');
  expect(kept.setAside).toMatchObject([{ limitId: 'sleep-5', reason: 'slept in the afternoon', by: 'Marit Voss' }]);

  await page.goto(`${visit}/close`);
  const outcome = page.getByRole('group', { name: 'How did it go, on a day to ease?' });
  await outcome.getByRole('button', { name: 'Lighter than planned' }).click();
  await saved(page);
  await expect.poll(async () => (await file()).readiness.kept.outcome).toBe('lighter');
  await page.getByRole('button', { name: 'Add this to your words' }).click();
  await expect(page.getByRole('textbox', { name: 'Your words' })).toHaveValue(/^Ease today: .*Set aside: .* \(slept in the afternoon\)\./);
  await expect(page.getByRole('button', { name: 'Add this to your words' })).toHaveCount(0);
  await saved(page);
  await expect.poll(async () => (await file()).note.text).toContain('(slept in the afternoon)');
  const record = (await (await page.request.get(`/api/athletes/${await athleteNamed(page, 'Joss')}/record`)).json()) as {
    athletes: { tables: { readiness_kept: { word: string; outcome: string }[]; readiness_aside: { reason: string }[] } }[];
  };
  const { tables } = record.athletes[0]!;
  expect(tables.readiness_kept.at(-1)).toMatchObject({ word: 'ease', outcome: 'lighter' });
  expect(tables.readiness_aside.at(-1)).toMatchObject({ reason: 'slept in the afternoon' });
});

test('answers are entered under Arrive, and the day follows at once', async ({ page }) => {
  await walkIn(page, 'Asked Here');
  const card = page.getByRole('region', { name: 'Today', exact: true });
  await expect(card).toContainText('Not known how they are');
  await page.keyboard.press('d');
  const dialog = page.getByRole('dialog', { name: /answers of Asked Here/ });
  await dialog.getByRole('button', { name: 'ill', exact: true }).click();
  await dialog.getByRole('button', { name: 'Keep the answers' }).click();
  await expect(card).toContainText('Today: hold');
  await expect(card).toContainText('Ill today.');
  await saved(page);
  await page.reload();
  await expect(card).toContainText('Today: hold');
  // Corrected, it stands as corrected; the first answer stays in the record.
  await page.keyboard.press('d');
  await dialog.getByRole('button', { name: 'ill', exact: true }).click();
  await dialog.getByRole('button', { name: 'Keep the answers' }).click();
  await expect(card).toContainText('Not known how they are');
  await saved(page);
  const { checkIns } = (await (await page.request.get(`/api/athletes/${await athleteNamed(page, 'Asked Here')}/days`)).json()) as {
    checkIns: { ill: boolean }[];
  };
  expect(checkIns.map(({ ill }) => ill)).toEqual([true, false]);
});

test('loads come in by the grid, by keys, by pasting, and by a table; what the week comes to follows; undo takes back', async ({
  page,
}) => {
  await walkIn(page, 'Grid Person');
  const id = await athleteNamed(page, 'Grid Person');
  const file = (await (await page.request.get(`/api/athletes/${id}`)).json()) as { athlete: { revision: number } };
  await page.request.patch(`/api/athletes/${id}`, {
    data: { revision: file.athlete.revision, sports: [{ sportId: 'running', discipline: null, role: null, leading: null, words: '' }] },
  });
  await page.goto(`/load?athlete=${id}`);
  await page.getByRole('button', { name: 'A week back' }).click();
  const grid = page.getByRole('grid');
  const cell = (day: number) => grid.locator(`[data-cell="0/${day}"]`);
  await expect(cell(0)).toBeVisible();
  await cell(0).focus();
  // The worked week of the sources: 300, 0, 300, 0, 300, 0, 0.
  await page.keyboard.type('60 5');
  await page.keyboard.press('Enter');
  await expect(cell(0)).toContainText('60 5');
  await cell(0).focus();
  await page.keyboard.press('ArrowRight');
  await expect(cell(1)).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.type('sprints 50 6');
  await page.keyboard.press('Enter');
  await expect(cell(2)).toContainText('Sprints');
  await cell(4).focus();
  await page.keyboard.type('60 11');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('How hard lies between 0 and 10');
  await page.keyboard.press('Escape');
  await page.keyboard.type('75 4');
  await page.keyboard.press('Enter');
  const row = grid.getByRole('row', { name: /Grid Person/ });
  await expect(row).toContainText('900');
  // Six days lie behind the first session: the week's figures stand once it is a whole one.
  await cell(6).focus();
  await page.keyboard.type('1 0');
  await page.keyboard.press('Enter');
  await expect(row).toContainText('0.80');
  await expect(row).toContainText('722');
  await saved(page);
  await page.reload();
  await page.getByRole('button', { name: 'A week back' }).click();
  await expect(row).toContainText('722');

  await cell(1).focus();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text/plain', '30 3\t\t20 2; 10 1\n');
    document.activeElement!.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  });
  await expect(cell(1)).toContainText('30 3');
  await expect(cell(2)).not.toContainText('Sprints');
  await expect(cell(3)).toContainText('10 1');
  await page.keyboard.press('Control+z');
  await expect(cell(1)).not.toContainText('30 3');
  await expect(cell(2)).toContainText('Sprints');
  await saved(page);

  // A table: bad rows named, nothing half; the same file again is recognised, its columns are remembered.
  const [day, other] = [await daysAgo(page, 20), await daysAgo(page, 21)];
  const table = (rows: string) => ({ name: 'loads.csv', mimeType: 'text/csv', buffer: Buffer.from(`Whose;Am;Dauer;Wie hart\n${rows}`) });
  await page.goto('/load/read-in');
  const input = page.locator('input[type=file]');
  await input.setInputFiles(table(`Grid Person;${day};0:45;6\nNobody Here;${other};60;5\nGrid Person;${other};60;12\n`));
  for (const [field, column] of [
    ['Athlete', 'Whose'],
    ['Day', 'Am'],
    ['Minutes', 'Dauer'],
    ['How hard', 'Wie hart'],
  ] as const)
    await choose(page, field, column);
  await choose(page, 'Days are written', 'year, month, day');
  await expect(page.getByRole('region', { name: 'Problems' })).toContainText('“Nobody Here” is nobody here.');
  await expect(page.getByRole('region', { name: 'Problems' })).toContainText('Row 4, how hard');
  await expect(page.getByRole('button', { name: 'Import 1' })).toBeDisabled();
  await page.getByLabel('Leave these rows out and read the others').check();
  await page.getByRole('button', { name: 'Import 1' }).click();
  await expect(page.getByRole('region', { name: 'File' }).getByRole('status')).toContainText('1 session imported.');
  await input.setInputFiles(table(`Grid Person;${day};0:45;6\nGrid Person;${other};60;5\n`));
  await page.getByRole('button', { name: 'Import 2' }).click();
  await expect(page.getByRole('region', { name: 'File' }).getByRole('status')).toContainText('1 session imported, 1 were here already.');

  // A calendar: planned sessions, counted in nothing.
  const ahead = (await daysAgo(page, -2)).replaceAll('-', '');
  await input.setInputFiles({
    name: 'plan.ics',
    mimeType: 'text/calendar',
    buffer: Buffer.from(
      `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nBEGIN:VEVENT\r\nUID:a@example\r\nDTSTART:${ahead}T060000\r\nDTEND:${ahead}T071500\r\nSUMMARY:Easy run\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n`,
    ),
  });
  await expect(page.getByRole('region', { name: 'Calendar' })).toContainText('1 planned session');
  await choose(page, 'Whose calendar it is', 'Grid Person');
  await page.getByRole('button', { name: 'Import 1' }).click();
  await expect(page.getByRole('region', { name: 'File' }).getByRole('status')).toContainText('1 session imported.');
  const { loads } = (await (await page.request.get(`/api/athletes/${id}/days?to=${await daysAgo(page, -3)}`)).json()) as {
    loads: { planned: boolean; minutes: number; exertion: number | null }[];
  };
  expect(loads.filter(({ planned }) => planned)).toMatchObject([{ minutes: 75, exertion: null }]);
});

test('twelve weeks of one athlete: answers with their band, load with its means and the sentence beside it', async ({ page }) => {
  const id = await athleteNamed(page, 'Tavi');
  await page.goto(`/athlete/${id}/mornings`);
  const answers = page.getByRole('region', { name: 'Answers' });
  await expect(answers.getByRole('img', { name: /^Sum of the answers/ })).toBeVisible();
  await expect(answers.getByRole('img', { name: /^rMSSD/ })).toBeVisible();
  await answers.getByRole('button', { name: 'Show the numbers' }).click();
  expect(await answers.getByRole('row').count()).toBeGreaterThan(60);
  const load = page.getByRole('region', { name: 'Load' });
  await expect(load).toContainText('Monotony');
  await expect(load).toContainText('a description, not a risk');
});

test('a coach sees the word and availability, and nothing behind them', async ({ browser }) => {
  const page = await (await browser.newContext({ baseURL: process.env.APPLICATION_URL! })).newPage();
  await signIn(page, 'teo');
  await page.goto('/coach');
  const squad = page.getByRole('region', { name: 'Men’s eight' });
  await expect(squad.getByRole('listitem').filter({ hasText: 'Joss Adeyemi' })).toContainText('ease');
  await expect(squad.getByRole('listitem').filter({ hasText: 'Ruan Teague' })).toContainText('not known');
  expect(await page.locator('body').innerText()).not.toMatch(/slept|sleep|hours|sore|ill today|normal|set aside/i);
  await page.goto('/morning');
  await expect(page).toHaveURL(/\/coach$/);
  expect((await page.request.get('/api/morning')).status()).toBe(403);
  await page.context().close();
});

test('a turned throwing arm is a shape; the file asks a thrower for the arm and a rower for none', async ({ page, expectedErrors }) => {
  expectedErrors.push(REFUSED);
  const thrower = await athleteNamed(page, 'Orrevik');
  await page.goto(`/athlete/${thrower}/file`);
  await expect(page.getByRole('combobox', { name: 'Throwing arm' })).toBeVisible();
  await page.goto(`/athlete/${await athleteNamed(page, 'Tavi')}/file`);
  await expect(page.getByRole('combobox', { name: 'Discipline' })).toBeVisible();
  await expect(page.getByRole('combobox', { name: 'Throwing arm' })).toHaveCount(0);
});
