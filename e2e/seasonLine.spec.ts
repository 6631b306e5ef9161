import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import { choose, expect, REFUSED, signIn, test } from './support.ts';
import { WRITES } from './line.ts';
import { still } from './waiting.ts';

const DAY_MS = 86_400_000;
const plus = (day: string, days: number) => new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
const todayOf = async (page: Page): Promise<string> => (await (await page.request.get('/api/practice')).json()).today as string;
const put = async (page: Page, path: string, data: object): Promise<void> => {
  const answer = await page.request.put(`/api${path}`, { data });
  expect([path, answer.status(), answer.ok() ? '' : await answer.text()]).toEqual([path, 200, '']);
};
const EMPTY = { revision: 0, blocks: [], stays: [], follows: null, notAt: [] };

/** Somebody new in a squad of their own, so that nobody else's test moves it. */
async function crew(page: Page, name: string, squad: string): Promise<{ athleteId: string; squadId: string }> {
  const [athleteId, squadId] = [crypto.randomUUID(), crypto.randomUUID()];
  await put(page, `/athletes/${athleteId}`, {
    name,
    birthDate: '2001-05-06',
    referenceSex: 'female',
    sports: [],
    about: '',
    breathPeriodMs: 10_000,
  });
  await put(page, `/squads/${squadId}`, { revision: 0, name: squad, athleteIds: [athleteId] });
  return { athleteId, squadId };
}
const addEvent = async (page: Page, name: string, onDate: string, squadId: string): Promise<string> => {
  const id = crypto.randomUUID();
  await put(page, `/events/${id}`, { revision: 0, name, onDate, importance: 1, squadId });
  return id;
};
const seasonOf = async (page: Page, squadId: string) =>
  (await (await page.request.get(`/api/squads/${squadId}/season`)).json()) as {
    revision: number;
    plan: { blocks: { phase: string; from: string; until: string }[] };
    events: { name: string; onDate: string }[];
  };
const typeDay = (field: Locator, day: string): Promise<void> => field.fill(day);
const block = (page: Page, phase: string) => page.getByRole('button', { name: new RegExp(`^${phase}, `) });

test('a season is planned for a squad: event, template, edges by keys and hand, typed days, undo', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  const today = await todayOf(page);
  const { squadId } = await crew(page, 'Linde Roos', 'Lightweight pair');
  await page.goto('/season');
  await choose(page, 'Squad', 'Lightweight pair');
  await expect(page.getByText('Nothing is laid out here yet')).toBeVisible();

  await test.step('an event', async () => {
    await page.getByRole('button', { name: 'Add event' }).click();
    const dialog = page.getByRole('dialog', { name: 'Add an event' });
    await dialog.getByLabel('Name').fill('Pair trial');
    await typeDay(dialog.getByLabel('Day'), plus(today, 60));
    await dialog.getByText('1: what the season is for').click();
    await dialog.getByRole('button', { name: 'Add the event' }).click();
    await expect(page.getByRole('button', { name: /^Pair trial .*importance 1/ })).toBeVisible();
  });

  await test.step('a template around it, seen before it is laid out', async () => {
    await page.getByRole('button', { name: 'Use a template' }).first().click();
    const dialog = page.getByRole('dialog', { name: 'Use a template' });
    await dialog.getByText('Single peak').click();
    await choose(dialog, 'Main event', await titleOf(dialog, page, 'Pair trial'));
    await expect(dialog.getByRole('list', { name: 'What it comes to' }).getByRole('listitem')).toHaveCount(4);
    await dialog.getByRole('button', { name: 'Lay it out' }).click();
    for (const phase of ['Build', 'Sharpen', 'Compete', 'Recover']) await expect(block(page, phase)).toBeVisible();
    expect((await seasonOf(page, squadId)).plan.blocks.map(({ phase, from }) => [phase, from])).toEqual([
      ['build', today],
      ['sharpen', plus(today, 29)],
      ['compete', plus(today, 50)],
      ['recover', plus(today, 61)],
    ]);
  });

  const edge = page.getByRole('slider', { name: /^Sharpen begins/ });
  await test.step('an edge by keys: a day, a week, and left again', async () => {
    await edge.focus();
    await page.keyboard.press('ArrowLeft');
    await page.keyboard.press('Shift+ArrowLeft');
    await page.keyboard.press('Enter');
    await expect.poll(async () => (await seasonOf(page, squadId)).plan.blocks[1]!.from).toBe(plus(today, 21));
    expect((await seasonOf(page, squadId)).plan.blocks[0]!.until).toBe(plus(today, 20));
    await edge.focus();
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('Escape');
    await expect(edge).toHaveAttribute('aria-valuenow', '21');
  });

  await test.step('the same edge by hand', async () => {
    const grip = (await edge.boundingBox())!;
    const at = { x: grip.x + grip.width / 2, y: grip.y + grip.height / 2 };
    await page.mouse.move(at.x, at.y);
    await page.mouse.down();
    await page.mouse.move(at.x + 40, at.y, { steps: 5 });
    await page.mouse.up();
    await expect.poll(async () => (await seasonOf(page, squadId)).plan.blocks[1]!.from).not.toBe(plus(today, 21));
    expect((await seasonOf(page, squadId)).plan.blocks[1]!.from > plus(today, 21)).toBe(true);
  });

  await test.step('undo twice by keys, and once again', async () => {
    await page.keyboard.press('Control+z');
    await expect.poll(async () => (await seasonOf(page, squadId)).plan.blocks[1]!.from).toBe(plus(today, 21));
    await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
    await page.keyboard.press('Control+z');
    await expect.poll(async () => (await seasonOf(page, squadId)).plan.blocks[1]!.from).toBe(plus(today, 29));
    await page.keyboard.press('Control+Shift+Z');
    await expect.poll(async () => (await seasonOf(page, squadId)).plan.blocks[1]!.from).toBe(plus(today, 21));
  });

  await test.step('a block opened by Enter: typed days, wrong ones said at the place', async () => {
    await block(page, 'Recover').focus();
    await page.keyboard.press('Enter');
    const dialog = page.getByRole('dialog', { name: 'Recover' });
    await typeDay(dialog.getByLabel('Last day'), plus(today, 40));
    await dialog.getByRole('button', { name: 'Keep the change' }).click();
    await expect(dialog.getByRole('alert')).toContainText('It ends on the day it begins, or later.');
    await typeDay(dialog.getByLabel('Last day'), plus(today, 90));
    await dialog.getByRole('button', { name: 'Keep the change' }).click();
    await expect(dialog).toHaveCount(0);
    expect((await seasonOf(page, squadId)).plan.blocks[3]!.until).toBe(plus(today, 90));
  });

  await test.step('a camp', async () => {
    await page.getByRole('button', { name: 'Camps, travel' }).click();
    const dialog = page.getByRole('dialog', { name: 'Camps and travel' });
    await dialog.getByRole('button', { name: 'Add it' }).click();
    await expect(dialog.getByRole('alert')).toContainText('A name of 1 to 80 letters.');
    await dialog.getByLabel('Name').fill('Spring camp');
    await typeDay(dialog.getByLabel('Last day'), plus(today, 6));
    await dialog.getByRole('button', { name: 'Add it' }).click();
    await expect(dialog.getByText('Spring camp')).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.locator('svg.season').getByText('Spring camp', { exact: true })).toBeVisible();
  });
  await page.reload();
  await expect(block(page, 'Recover')).toBeVisible();
});

/** The title of an option that begins with some words. */
async function titleOf(dialog: Locator, page: Page, words: string): Promise<string> {
  const field = dialog.getByRole('combobox', { name: 'Main event' });
  await field.click({ force: true });
  await still(page);
  const title = await page.locator('.ant-select-dropdown:visible').locator(`[title^="${words}"]`).first().getAttribute('title');
  await field.press('Escape');
  return title!;
}

test('an event moves by four days and everything follows, after a look; moved back, everything is where it was', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const today = await todayOf(page);
  const { athleteId, squadId } = await crew(page, 'Mare Holt', 'Quad');
  const eventId = await addEvent(page, 'Quad cup', plus(today, 40), squadId);
  const tie = (days: number) => ({ eventId, days });
  await put(page, `/squads/${squadId}/season`, {
    ...EMPTY,
    blocks: [
      { phase: 'build', from: plus(today, -20), until: plus(today, 29), fromAnchor: null, untilAnchor: tie(-11) },
      { phase: 'compete', from: plus(today, 30), until: plus(today, 40), fromAnchor: tie(-10), untilAnchor: tie(0) },
      { phase: 'recover', from: plus(today, 41), until: plus(today, 54), fromAnchor: tie(1), untilAnchor: tie(14) },
    ],
  });
  const visits = { along: crypto.randomUUID(), stays: crypto.randomUUID(), left: crypto.randomUUID() };
  const book = (id: string, days: number, hour: string) =>
    put(page, `/visits/${id}`, { athleteId, startsAt: `${plus(today, days)}T${hour}:00.000Z`, minutes: 30, overlap: true });
  await book(visits.along, 35, '05:10');
  await book(visits.left, 36, '05:20');
  await book(visits.stays, 12, '05:10');
  await put(page, `/athletes/${athleteId}/goals/${crypto.randomUUID()}`, {
    motionId: 'ankle-lunge',
    side: 'left',
    value: 44,
    byDate: plus(today, 40),
    why: 'demand',
    whyWords: 'for the catch',
  });

  await page.goto(`/season?squad=${squadId}`);
  await page.getByRole('button', { name: /^Quad cup / }).focus();
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await typeDay(dialog.getByLabel('Day'), plus(today, 44));
  await dialog.getByRole('button', { name: 'Keep the change' }).click();
  const look = dialog.getByRole('region', { name: 'What moves with it' });
  await expect(look).toContainText('4 days later');
  await expect(look.getByRole('heading', { name: 'Quad' })).toBeVisible();
  await expect(look.getByText('Goals wanted by that day go along: 1')).toBeVisible();
  await expect(look.getByRole('checkbox', { name: /^Mare Holt/ })).toHaveCount(2);
  // Nothing was moved by looking.
  expect((await seasonOf(page, squadId)).events.find(({ name }) => name === 'Quad cup')!.onDate).toBe(plus(today, 40));
  await look
    .getByRole('checkbox', { name: /^Mare Holt/ })
    .nth(1)
    .uncheck();
  await dialog.getByRole('button', { name: 'Move all of it' }).click();
  await expect(dialog).toHaveCount(0);

  const startsAt = async (id: string) => (await (await page.request.get(`/api/visits/${id}`)).json()).visit.startsAt.slice(0, 10) as string;
  const goalDay = async () => (await (await page.request.get(`/api/athletes/${athleteId}`)).json()).goals[0].byDate as string;
  const season = await seasonOf(page, squadId);
  expect(season.events.find(({ name }) => name === 'Quad cup')!.onDate).toBe(plus(today, 44));
  expect(season.plan.blocks.map(({ from, until }) => [from, until])).toEqual([
    [plus(today, -20), plus(today, 33)],
    [plus(today, 34), plus(today, 44)],
    [plus(today, 45), plus(today, 58)],
  ]);
  expect([await startsAt(visits.along), await startsAt(visits.left), await startsAt(visits.stays), await goalDay()]).toEqual([
    plus(today, 39),
    plus(today, 36),
    plus(today, 12),
    plus(today, 44),
  ]);

  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  await page.keyboard.press('Control+z');
  await expect
    .poll(async () => (await seasonOf(page, squadId)).events.find(({ name }) => name === 'Quad cup')!.onDate)
    .toBe(plus(today, 40));
  expect((await seasonOf(page, squadId)).plan.blocks.map(({ from }) => from)).toEqual([plus(today, -20), plus(today, 30), plus(today, 41)]);
  expect([await startsAt(visits.along), await startsAt(visits.left), await goalDay()]).toEqual([
    plus(today, 35),
    plus(today, 36),
    plus(today, 40),
  ]);
});

test('a phase reaches the visit: nothing new before the race, with its reason, set aside with a word; the practice changes its table', async ({
  page,
  expectedErrors,
}) => {
  expectedErrors.push(REFUSED);
  const today = await todayOf(page);
  const { athleteId, squadId } = await crew(page, 'Nele Brandt', 'Double');
  await addEvent(page, 'Double race', plus(today, 4), squadId);
  await put(page, `/squads/${squadId}/season`, {
    ...EMPTY,
    blocks: [{ phase: 'compete', from: plus(today, -3), until: plus(today, 4), fromAnchor: null, untilAnchor: null }],
  });
  const visitId = crypto.randomUUID();
  await put(page, `/visits/${visitId}`, { athleteId, startsAt: new Date().toISOString(), minutes: 50, overlap: true });
  await page.goto(`/visit/${visitId}/arrive`);
  const card = page.getByRole('region', { name: /Today/ }).first();
  await expect(card).toContainText('Compete: Double race in 4 days');
  await expect(card).toContainText('effort to 40 %, discomfort to 4, holds to 20 s');
  await expect(card).toContainText('Nothing new: Double race in 4 days');

  await page.goto('/practice/phases');
  const table = page.getByRole('region', { name: 'Phases of a season' });
  const holds = table.getByLabel('Compete: holds to');
  await holds.fill('500');
  await table.getByRole('button', { name: 'Keep' }).click();
  await expect(table.getByRole('alert')).toContainText('Compete, holds to: A whole number from 5 to 120.');
  await holds.fill('15');
  await table.getByRole('button', { name: 'Keep' }).click();
  await expect(table.getByText('Kept.')).toBeVisible();
  await page.goto(`/visit/${visitId}/arrive`);
  await expect(card).toContainText('holds to 15 s');
  await page.goto('/practice/phases');
  await table.getByRole('button', { name: /^as it ships/ }).click();
  await table.getByRole('button', { name: 'Keep' }).click();
  await expect(table.getByText('Kept.')).toBeVisible();
});

test('an athlete’s own season over the squad’s: a goal with its path, how likely it is, another rhythm taken in', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/season');
  await choose(page, 'Squad', 'Men’s eight');
  await expect(block(page, 'Sharpen').first()).toBeVisible();
  await choose(page, 'Athlete', 'Kato Lindqvist');
  await expect(page.getByText('follows Men’s eight')).toBeVisible();
  const words = page.getByRole('region', { name: 'The goal' });
  await expect(words).toContainText(/160\.0° by/);
  await expect(words).toContainText(/in 100 that it holds 160\.0°/);
  await expect(words).toContainText(/half of the paths end between/);
  await words.getByRole('link', { name: 'Try other rhythms' }).click();
  await page.getByRole('button', { name: 'Take A into the season' }).click();
  await expect(page.getByText('Taken.')).toBeVisible();
  await page.getByRole('link', { name: 'See it on the weeks' }).click();
  await expect(page.getByText('planned rhythm')).toBeVisible();

  // A block of their own over the squad's, taken back.
  await page.getByRole('button', { name: 'Add block' }).click();
  const dialog = page.getByRole('dialog', { name: 'Add a block' });
  await choose(dialog, 'Phase', 'Recover: gentle only');
  const today = await todayOf(page);
  await typeDay(dialog.getByLabel('First day'), plus(today, 30));
  await typeDay(dialog.getByLabel('Last day'), plus(today, 36));
  await dialog.getByRole('button', { name: 'Add the block' }).click();
  await expect(page.getByRole('button', { name: /^Recover, .*their own/ })).toBeVisible();
  await expect(page.getByText('with 1 change')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /^Recover, .*their own/ })).toHaveCount(0);
});

test('who is due: never seen comes with its reason, a key books the time in the row, and undo takes it off again', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const { athleteId } = await crew(page, 'Aaltje Due', 'Due crew');
  await page.goto('/season');
  const due = page.getByRole('complementary', { name: 'Who is due' });
  await expect(due.getByRole('listitem').first()).toBeVisible();
  const more = due.getByRole('button', { name: /^Show \d+ more/ });
  if (await more.isVisible()) await more.click();
  const row = due.getByRole('listitem').filter({ hasText: 'Aaltje Due' });
  await expect(row).toContainText('Never seen yet');
  await row.getByRole('button', { name: /Book/ }).click();
  await expect(row).toHaveCount(0);
  const booked = async () =>
    ((await (await page.request.get(`/api/athletes/${athleteId}`)).json()).visits as { cancelledAt: string | null }[]).filter(
      ({ cancelledAt }) => cancelledAt === null,
    ).length;
  expect(await booked()).toBe(1);
  await page.keyboard.press('Control+z');
  await expect.poll(booked).toBe(0);

  // The first row by its key.
  await expect(due.getByRole('listitem').first()).toBeVisible();
  const first = (await due.getByRole('listitem').first().getByRole('link').textContent())!;
  await page.keyboard.press('1');
  await expect(due.getByRole('link', { name: first })).toHaveCount(0);
  await page.keyboard.press('Control+z');
  await expect(due.getByRole('link', { name: first })).toHaveCount(1);
});

test('out as a calendar file and an address that other programs read, in from one with a look first', async ({ page, expectedErrors }) => {
  expectedErrors.push(REFUSED);
  const today = await todayOf(page);
  const { squadId } = await crew(page, 'Oda Kern', 'Calendar crew');
  await addEvent(page, 'Calendar cup', plus(today, 20), squadId);
  await put(page, `/squads/${squadId}/season`, {
    ...EMPTY,
    blocks: [{ phase: 'build', from: today, until: plus(today, 20), fromAnchor: null, untilAnchor: null }],
  });
  await page.goto(`/season?squad=${squadId}`);
  await page.getByRole('button', { name: 'Calendar', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Calendar' });
  const [saved] = await Promise.all([page.waitForEvent('download'), dialog.getByRole('link', { name: 'Save the file' }).click()]);
  const text = readFileSync(await saved.path(), 'utf8');
  expect(text).toContain('SUMMARY:Build');
  expect(text).toContain('SUMMARY:Calendar cup');

  await dialog.getByRole('button', { name: 'Make an address to subscribe to' }).click();
  const address = await dialog.getByLabel(/Copy it now/).inputValue();
  const bare = await page.context().browser()!.newContext();
  const read = () => bare.request.get(address);
  expect(await (await read()).text()).toContain('SUMMARY:Calendar cup');
  await dialog.getByRole('button', { name: 'End it' }).click();
  await expect.poll(async () => (await read()).status()).toBe(404);
  await bare.close();

  const ics = (day: string) =>
    [
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      'PRODID:-//test//EN',
      'BEGIN:VEVENT',
      `UID:one-${squadId}`,
      `DTSTART;VALUE=DATE:${day.replaceAll('-', '')}`,
      'SUMMARY:River sprint',
      'END:VEVENT',
      'BEGIN:VEVENT',
      `UID:two-${squadId}`,
      `DTSTART:${day.replaceAll('-', '')}T170000Z`,
      `DTEND:${day.replaceAll('-', '')}T180000Z`,
      'SUMMARY:Evening row',
      'END:VEVENT',
      'END:VCALENDAR',
      '',
    ].join('\r\n');
  const choosing = (name: string, content: string) =>
    dialog.locator('input[type=file]').setInputFiles({ name, mimeType: 'text/calendar', buffer: Buffer.from(content) });
  await choosing('no.ics', 'nonsense');
  await expect(dialog.getByRole('alert')).toContainText('This is no calendar file.');
  await choosing('club.ics', ics(plus(today, 30)));
  // What stands for a whole day is taken for an event; what has a time is mostly training.
  await expect(dialog.getByRole('checkbox', { name: /River sprint/ })).toBeChecked();
  await expect(dialog.getByRole('checkbox', { name: /Evening row/ })).not.toBeChecked();
  await dialog.getByRole('button', { name: 'Import 1' }).click();
  await expect(dialog.getByText('1 event added.')).toBeVisible();
  await choosing('club.ics', ics(plus(today, 33)));
  await dialog.getByRole('button', { name: 'Import 1' }).click();
  await expect(dialog.getByText(/known already and left as it is.*River sprint stands on/)).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /^River sprint/ })).toBeVisible();
});

test('somebody who only looks on sees the season and changes nothing; without a line it is said and can be tried again', async ({
  page,
  line,
  expectedErrors,
}) => {
  expectedErrors.push(REFUSED, /Failed to fetch|net::/);
  await signIn(page, 'pia');
  await page.goto('/season');
  await choose(page, 'Squad', 'Men’s eight');
  await expect(page.getByRole('img', { name: /^Sharpen, / }).first()).toBeVisible();
  await expect(page.getByRole('slider')).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Add event' })).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Use a template' })).toHaveCount(0);
  await signIn(page, 'marit');
  await page.reload();
  const edge = page.getByRole('slider', { name: /^Recover ends|^Build begins/ }).first();
  await edge.focus();
  const before = await edge.getAttribute('aria-valuenow');
  line.cut(WRITES);
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').first()).toBeVisible();
  // What was not kept is not shown as if it were.
  await expect(edge).toHaveAttribute('aria-valuenow', before!);
  line.restore();
});
