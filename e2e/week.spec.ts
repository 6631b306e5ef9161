import type { Locator, Page } from '@playwright/test';
import { choose, expect, REFUSED, signIn, test } from './support.ts';
import { WRITES } from './line.ts';
import { still } from './waiting.ts';

const DAY_MS = 86_400_000;
const plus = (day: string, days: number) => new Date(Date.parse(`${day}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
const grid = (page: Page) => page.getByRole('grid', { name: 'Times of the week' });
const cells = (page: Page) => grid(page).getByRole('gridcell');
const placed = (page: Page) => grid(page).locator('.cell.placed');
const free = (page: Page) => grid(page).locator('.cell.free');
const keyOf = async (cell: Locator) => (await cell.getAttribute('data-cell'))!;
const nameIn = async (page: Page, key: string) => (await page.locator(`[data-cell="${key}"] .name`).textContent())!.trim();
const at = (page: Page, key: string) => page.locator(`[data-cell="${key}"]`);
/** Everybody who is placed, by slot. */
const week = (page: Page): Promise<Record<string, string>> =>
  placed(page).evaluateAll((all) =>
    Object.fromEntries(all.map((cell) => [cell.getAttribute('data-cell')!, cell.querySelector('.name')!.textContent!.trim()])),
  );

/** A demo of the test's own, so that nobody else's athletes want a time, on the week. */
async function openWeek(page: Page, url: string, query = ''): Promise<void> {
  await page.goto(`${url}/week${query}`);
  await expect(grid(page)).toBeVisible();
  await expect(page.getByText('No week brings more: checked to the end.')).toBeVisible();
}

test('the week is filled, two visits are moved by hand, it is filled around them, booked, and taken back', async ({
  page,
  emptyApplication,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const application = await emptyApplication();
  await application.start();
  await signIn(page, 'marit', application.url);
  await openWeek(page, application.url);
  const first = await week(page);

  await test.step('who must be seen is in, why stands in the cell, and who is left out is told why', async () => {
    await expect(page.getByRole('gridcell', { name: /Sanne Orrevik week 12 and remodelling begin/ })).toBeVisible();
    await expect(page.getByRole('gridcell', { name: /Sanne Orrevik/ })).toContainText('must see');
    const left = page.getByRole('region', { name: 'Left out' });
    await expect(left.getByRole('listitem').filter({ hasText: 'Ruan Teague' })).toContainText('No motion is short of its goal');
    // The head race is on its own day: nobody is placed there.
    const { today } = (await (await page.request.get(`${application.url}/api/practice`)).json()) as { today: string };
    const race = plus(today, 9);
    expect(Object.keys(first).filter((key) => key.includes(race))).toEqual([]);
  });

  await test.step('by drag: onto a free time, or onto somebody, who comes into the first', async () => {
    const [from, to] = [await keyOf(placed(page).nth(0)), await keyOf(placed(page).nth(1))];
    const [a, b] = [await nameIn(page, from), await nameIn(page, to)];
    await drag(page, at(page, from), at(page, to));
    await expect(at(page, to)).toContainText(a);
    await expect(at(page, from)).toContainText(b);
    await expect(at(page, to)).toHaveClass(/pinned/);
    await expect(page.getByText('Changed by hand.')).toBeVisible();
    expect(await week(page)).toEqual({ ...first, [from]: b, [to]: a });
    await page.keyboard.press('Control+z');
    await expect.poll(() => week(page)).toEqual(first);
    await expect(page.getByText('No week brings more: checked to the end.')).toBeVisible();
    await page.keyboard.press('Control+Shift+Z');
    await expect.poll(() => week(page)).toEqual({ ...first, [from]: b, [to]: a });
    await page.keyboard.press('Control+z');
    await expect.poll(() => week(page)).toEqual(first);
  });

  await test.step('by keys alone: chosen, moved, pinned, taken out, kept free', async () => {
    const key = await keyOf(placed(page).nth(0));
    const name = await nameIn(page, key);
    await at(page, key).focus();
    await page.keyboard.press('Alt+ArrowRight');
    const now = await keyOf(grid(page).locator('.cell.chosen'));
    expect(now).not.toBe(key);
    await expect(at(page, now)).toContainText(name);
    await expect(at(page, now)).toBeFocused();
    await page.keyboard.press('p');
    await expect(at(page, now)).not.toHaveClass(/pinned/);
    await page.keyboard.press('p');
    await expect(at(page, now)).toHaveClass(/pinned/);

    await page.keyboard.press('ArrowDown');
    const below = await keyOf(grid(page).locator('.cell.chosen'));
    await page.keyboard.press('k');
    await expect(at(page, below)).toContainText('kept free');
    await page.keyboard.press('f');
    await expect(page.getByText('No week around the pins brings more: checked to the end.')).toBeVisible();
    // The pin stays where it was put, and nobody is in the time that is kept free.
    await expect(at(page, now)).toContainText(name);
    await expect(at(page, below)).toContainText('kept free');
    await expect(at(page, below)).toBeFocused();

    const out = placed(page).filter({ hasNotText: name }).first();
    const [outKey, gone] = [await keyOf(out), (await out.locator('.name').textContent())!];
    await at(page, outKey).focus();
    await page.keyboard.press('Delete');
    await expect(at(page, outKey)).toContainText('free');
    if (!Object.values(await week(page)).includes(gone)) {
      const row = page.getByRole('region', { name: 'Left out' }).getByRole('listitem').filter({ hasText: gone });
      await expect(row).toContainText('Left out by hand.');
      await row.getByRole('button', { name: /^Put .* in/ }).click();
      await expect(at(page, outKey)).toContainText(gone);
    }
  });

  await test.step('left and come back to, it is as it was', async () => {
    const before = await week(page);
    await page.getByRole('link', { name: 'Season', exact: true }).click();
    await page.getByRole('link', { name: 'Plan the week' }).click();
    await expect(grid(page)).toBeVisible();
    expect(await week(page)).toEqual(before);
  });

  await test.step('booked in one step, on the days, and taken back with one', async () => {
    const before = await week(page);
    const n = Object.keys(before).length;
    await page.getByRole('button', { name: `Book ${n} visits` }).click();
    await expect(grid(page).locator('.cell.booked')).toHaveCount(n);
    const [who, day] = Object.keys(before)[0]!.split('/');
    expect(who).toMatch(/^[0-9a-f-]{36}$/);
    const there = (await (await page.request.get(`${application.url}/api/days/${day}`)).json()) as { visits: { athleteName: string }[] };
    expect(there.visits.map(({ athleteName }) => athleteName).sort()).toEqual(
      Object.entries(before)
        .filter(([key]) => key.includes(day!))
        .map(([, name]) => name)
        .sort(),
    );
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(grid(page).locator('.cell.booked')).toHaveCount(0);
    await expect.poll(() => week(page)).toEqual(before);
    await page.keyboard.press('Control+Shift+Z');
    await expect(grid(page).locator('.cell.booked')).toHaveCount(n);
  });
});

/** By mouse, in steps as a hand moves. */
async function drag(page: Page, from: Locator, to: Locator): Promise<void> {
  await from.scrollIntoViewIfNeeded();
  const [a, b] = [(await from.boundingBox())!, (await to.boundingBox())!];
  await page.mouse.move(a.x + a.width / 2, a.y + 30);
  await page.mouse.down();
  await page.mouse.move(b.x + b.width / 2, b.y + 40, { steps: 8 });
  await page.mouse.up();
  await still(page);
}

test('a time that is taken meanwhile is named and nothing is booked; the line is cut and the week is still there', async ({
  page,
  line,
  emptyApplication,
  expectedErrors,
}) => {
  const application = await emptyApplication();
  await application.start();
  await signIn(page, 'marit', application.url);
  await openWeek(page, application.url);
  const before = await week(page);
  const [key, name] = Object.entries(before)[0]!;
  const book = page.getByRole('button', { name: /^Book \d+ visits$/ });

  await test.step('somebody else books at that time', async () => {
    const { athletes } = (await (await page.request.get(`${application.url}/api/athletes?q=Ruan&offset=0`)).json()) as {
      athletes: { id: string }[];
    };
    const [, date, from] = key.split('/');
    const { timeZone } = (await (await page.request.get(`${application.url}/api/practice`)).json()) as { timeZone: string };
    const startsAt = await page.evaluate(
      ([day, minutes, zone]) => {
        const wall = Date.parse(`${day}T00:00:00Z`) + Number(minutes) * 60_000;
        const shown = (at: number) => Date.parse(`${new Date(at).toLocaleString('sv-SE', { timeZone: zone! }).replace(' ', 'T')}Z`);
        return new Date(wall - (shown(wall) - wall)).toISOString();
      },
      [date, from, timeZone],
    );
    const answer = await page.request.put(`${application.url}/api/visits/${crypto.randomUUID()}`, {
      data: { athleteId: athletes[0]!.id, startsAt, minutes: 45 },
    });
    expect(answer.status()).toBe(200);
    expectedErrors.push(REFUSED);
    await book.click();
    const problem = page.getByRole('alert').filter({ hasText: 'is taken' });
    await expect(problem).toContainText(`${name} by Ruan Teague`);
    await expect(problem).toContainText('Nothing was booked.');
    expect(await week(page)).toEqual(before);
    await problem.getByRole('button', { name: 'Try again' }).click();
    await expect(grid(page).locator('.cell.booked').filter({ hasText: 'Ruan Teague' })).toBeVisible();
    await expect(placed(page)).toHaveCount(Object.keys(before).length - 1);
  });

  await test.step('the line is cut', async () => {
    const now = await week(page);
    line.cut(WRITES);
    await book.click();
    await expect(page.getByRole('alert').filter({ hasText: 'cannot be reached' }).first()).toBeVisible();
    expect(await week(page)).toEqual(now);
    line.restore();
    await book.click();
    await expect(grid(page).locator('.cell.booked')).toHaveCount(Object.keys(now).length + 1);
  });
});

test('hours and times are set, wrong ones named, and the week follows; a week without hours or people says so', async ({
  page,
  emptyApplication,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const application = await emptyApplication();
  await application.start();
  await signIn(page, 'marit', application.url);

  await test.step('hours', async () => {
    await page.goto(`${application.url}/practice/hours`);
    const marit = page.getByRole('region', { name: 'Hours of Marit Voss' });
    await expect(marit).toBeVisible();
    const from = marit.getByLabel('Hours of Marit Voss, 1: from');
    await from.fill('8.30h');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByRole('alert')).toContainText('Marit Voss, hours: Monday: Type a time, as 14:30 or 2:30 pm.');
    await from.fill('09:20');
    await page.getByLabel('Hours of Marit Voss, 1: to').fill('10:05');
    await page.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(page.getByRole('status').filter({ hasText: 'Kept.' })).toBeVisible();
  });

  await test.step('the week has that time alone on its Monday morning', async () => {
    await openWeek(page, application.url);
    const monday = grid(page).getByRole('row').first();
    await expect(monday.getByRole('gridcell').first()).toContainText('09:20');
    await expect(monday.getByRole('gridcell').nth(1)).not.toContainText('10:');
  });

  await test.step('somebody can only come on one evening: then they are there or nowhere', async () => {
    const cell = placed(page).filter({ hasText: 'Kato Lindqvist' }).first();
    await cell.click();
    await page.getByRole('region', { name: 'The week' }).waitFor();
    await page.getByRole('complementary', { name: 'About the week' }).getByRole('button', { name: 'When they can come' }).first().click();
    const dialog = page.getByRole('dialog', { name: 'When Kato Lindqvist can come' });
    await dialog.getByRole('button', { name: 'Times: add a time' }).click();
    await choose(dialog, 'Times, 1: day', 'Thursday');
    await dialog.getByLabel('Times, 1: from').fill('17:30');
    await dialog.getByLabel('Times, 1: to').fill('17:00');
    await dialog.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(dialog.getByRole('alert')).toContainText('ends after it begins');
    await dialog.getByLabel('Times, 1: to').fill('19:00');
    await dialog.getByRole('button', { name: 'Keep', exact: true }).click();
    await expect(dialog).toHaveCount(0);
    await expect(grid(page)).toBeVisible();
    await page.getByRole('button', { name: /^Fill/ }).click();
    await expect(page.getByText(/checked to the end/)).toBeVisible();
    for (const key of Object.entries(await week(page)).flatMap(([slot, name]) => (name === 'Kato Lindqvist' ? [slot] : [])))
      expect(key).toMatch(/\/1070$/);
  });

  await test.step('an hour more is opened, and what it brings was said before', async () => {
    const more = page.getByRole('region', { name: 'One more visit' });
    const open = more.getByRole('button', { name: /^Open/ }).first();
    await expect(open).toBeVisible();
    const count = await cells(page).count();
    await open.click();
    await expect(cells(page)).toHaveCount(count + 1);
    await expect(page.getByText(/checked to the end/)).toBeVisible();
  });

  await test.step('by touch: tapped, pinned, kept free with buttons', async () => {
    const key = await keyOf(placed(page).first());
    await at(page, key).click();
    await page.getByRole('button', { name: 'Pin', exact: true }).click();
    await expect(at(page, key)).toHaveClass(/pinned/);
    await page.getByRole('button', { name: 'Remove' }).click();
    await expect(at(page, key)).toContainText('free');
    await page.getByRole('button', { name: 'Keep the time free' }).click();
    await expect(at(page, key)).toContainText('kept free');
    await page.getByRole('button', { name: 'Give the time back' }).click();
    await expect(free(page).first()).toBeVisible();
  });
});

test('a practice of one’s own with nobody in it: the usual hours stand in, and the week says that there is nobody to see', async ({
  page,
  emptyApplication,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const application = await emptyApplication({ PACE_BEND_DEMO: 'off' });
  await application.start();
  const answer = await page.request.post(`${application.url}/api/first-owner`, {
    data: { practiceName: 'River room', name: 'Ann Owner', login: 'owner', password: 'a river in the rain' },
  });
  expect(answer.status()).toBe(200);
  await page.goto(`${application.url}/week`);
  await expect(page.getByText('The usual hours, 8 to 18 on weekdays, stand in')).toBeVisible();
  await expect(page.getByText('There is nobody to see yet.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Book 0 visits' })).toBeDisabled();
  await page.keyboard.press('f');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Delete');
  await expect(grid(page).locator('.cell.chosen')).toHaveCount(1);
});
