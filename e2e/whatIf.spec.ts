import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { choose, expect, ownPractice, signIn, test, walkIn } from './support.ts';
import { clickAtOnce, still } from './waiting.ts';
import { ZONE } from './zone.ts';

const schedule = (page: Page, letter: string) => page.getByRole('group', { name: `Schedule ${letter}`, exact: true });
const comesTo = (page: Page, letter: string) => page.locator(`dl[aria-label="What ${letter} comes to"]`);
const chance = async (page: Page, letter: string) => {
  const words = (await schedule(page, letter).locator('.chance b').textContent())!.trim();
  return words === 'under 1' ? 0 : words === 'over 99' ? 100 : Number(words);
};
/** Everything that was asked is answered. */
const answered = async (page: Page) => {
  await expect(page.getByRole('progressbar', { name: 'Looking ahead' })).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'What is kept' })).toBeVisible();
};
async function open(page: Page, name: string): Promise<void> {
  await page.goto('/squad');
  await page
    .getByRole('region', { name: 'Athletes' })
    .getByRole('link', { name: new RegExp(name) })
    .click();
  await page.getByRole('navigation', { name: 'Pages of this athlete' }).getByRole('link', { name: 'What if' }).click();
  await answered(page);
}

test('how likely the goal is, the fewest visits that make it, and what two weeks away and no home work cost', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await open(page, 'Kato Lindqvist');
  const main = page.getByRole('region', { name: 'What if' });
  await expect(main).toContainText('goal 160.0° by');
  expect(await chance(page, 'B')).toBeGreaterThan(await chance(page, 'A'));
  // One way was used so far: there is nothing to hold it against, and that is what is said.
  await expect(page.getByRole('region', { name: 'Which way' })).toContainText(/Only .* so far|Not enough to say|No visit yet/);
  const fewest = page.getByRole('region', { name: 'Fewest visits' });
  await expect(fewest).toContainText('in at least 80 of 100 paths');
  const perWeek = /^(Once|Twice|\d) a week|^(Twice|Once)/.exec((await fewest.locator('b').first().textContent())!)!;
  const visits = { Once: 1, Twice: 2 }[perWeek[0].split(' ')[0]!] ?? Number(perWeek[0].split(' ')[0]);

  // The fewest visits are tried: with them it is likely, with one fewer it is not.
  await schedule(page, 'B').getByRole('button', { name: 'Change B' }).click();
  const dialog = page.getByRole('dialog', { name: 'Change B' });
  await dialog.getByLabel('Visits a week').fill(String(visits));
  await dialog.getByLabel('Home work, days a week').fill('5');
  await dialog.getByRole('button', { name: 'Keep B' }).click();
  await answered(page);
  const with_ = await chance(page, 'B');
  expect(with_).toBeGreaterThanOrEqual(78);
  await schedule(page, 'B').getByRole('button', { name: 'B: a visit a week fewer' }).click();
  await answered(page);
  expect(await chance(page, 'B')).toBeLessThan(82);
  await schedule(page, 'B').getByRole('button', { name: 'B: a visit a week more' }).click();
  await answered(page);
  expect(await chance(page, 'B')).toBe(with_);

  // A third: the same with three weeks away; a fourth: without home work. By keys.
  await page.keyboard.press('2');
  await expect(schedule(page, 'B').getByRole('button', { name: 'B', exact: true })).toHaveAttribute('aria-pressed', 'true');
  await main.getByRole('button', { name: 'Add C' }).click();
  await schedule(page, 'C').getByRole('button', { name: 'Change C' }).click();
  const third = page.getByRole('dialog', { name: 'Change C' });
  await third.getByLabel('Away, weeks').fill('3');
  await third.getByLabel('From week').fill('9');
  await third.getByRole('button', { name: 'Keep C' }).click();
  await answered(page);
  await expect(schedule(page, 'C')).toContainText('away weeks 9 to 11');
  expect(await chance(page, 'C')).toBeLessThan(with_);
  expect(Number(await comesTo(page, 'C').locator('dd b').last().textContent())).toBe(
    Number(await comesTo(page, 'B').locator('dd b').last().textContent()) - 3 * visits,
  );
  await main.getByRole('button', { name: 'Add D' }).click();
  await page.getByRole('heading', { name: 'Kato Lindqvist' }).click();
  await page.keyboard.press('h');
  await answered(page);
  await expect(schedule(page, 'D')).toContainText('no home work');
  await expect(main.getByRole('button', { name: /^Add/ })).toHaveCount(0);
  await schedule(page, 'D').getByRole('button', { name: 'Take D out' }).click();
  await expect(schedule(page, 'D')).toHaveCount(0);
  await page.keyboard.press('1');
  const before = await chance(page, 'A');
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  await answered(page);
  expect(await chance(page, 'A')).toBeGreaterThan(before);
  await expect(page.getByRole('img', { name: /^3? ?.*a week: \d+ in 100 paths reach the goal/ }).first()).toBeVisible();

  // The same picture for the same question, and as a file of its own.
  const fans = page.getByRole('group', { name: 'Where the level may go' });
  const pathsOf = async (at: number) => (await fans.getByRole('img').nth(at).locator('path').first().getAttribute('d'))!;
  await page.reload();
  await answered(page);
  const first = await pathsOf(0);
  await page.reload();
  await answered(page);
  expect(await pathsOf(0)).toBe(first);
  await expect(main).toContainText(/Dashed lines: .*\d [A-Z][a-z]{2}/);

  const file = async (button: string) => {
    const [download] = await Promise.all([page.waitForEvent('download'), main.getByRole('button', { name: button }).click()]);
    return { name: download.suggestedFilename(), bytes: readFileSync(await download.path()) };
  };
  const svg = await file('Save SVG of the fans');
  expect(svg.name).toMatch(/^Kato Lindqvist Shoulder flexion \d{4}-\d\d-\d\d\.svg$/);
  const text = svg.bytes.toString('utf8');
  const parsed = await page.evaluate((source) => {
    const root = new DOMParser().parseFromString(source, 'image/svg+xml');
    const band = root.querySelector('path')!;
    return {
      name: root.documentElement.nodeName,
      d: band.getAttribute('d'),
      fill: band.style.fill,
      classes: root.querySelectorAll('[class]').length,
      words: [...root.querySelectorAll('svg > title, svg > text')].map((each) => each.textContent),
    };
  }, text);
  expect(parsed).toMatchObject({ name: 'svg', d: first, fill: expect.stringMatching(/^rgb\(/), classes: 0 });
  // What it is stands above it, where it comes from beneath, and nothing of it lies outside of the picture.
  expect(parsed.words[0]).toBe('Kato Lindqvist: Shoulder flexion, what if');
  expect(parsed.words.join(' ')).toMatch(/10 000 paths for each schedule.* Drawn by Pace Bend\.$/);
  const png = await file('Save PNG of the fans');
  expect(png.name).toMatch(/\.png$/);
  expect([...png.bytes.subarray(1, 4).toString('latin1')].join('')).toBe('PNG');
  // 180 mm at 300 dots to the inch, in the drawing’s own proportions.
  const [wide, high] = /viewBox="\S+ \S+ (\S+) (\S+)"/.exec(text)!.slice(1).map(Number) as [number, number];
  expect(png.bytes.readUInt32BE(16)).toBe(2126);
  expect(Math.abs(png.bytes.readUInt32BE(20) - (2126 * high) / wide)).toBeLessThan(4);
});

test('another motion without a goal, and back to set one; what is said fits what is known', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await open(page, 'Joss Adeyemi');
  const kept = page.getByRole('region', { name: 'What is kept' });
  await expect(kept).toContainText(/never worked on: mostly what is usual \(their own readings took \d %/);
  await expect(page.getByRole('region', { name: 'Fewest visits' })).toBeVisible();
  await choose(page, 'Motion and side', 'Ankle dorsiflexion, lunge to wall, shin tilt, left');
  await answered(page);
  await expect(page).toHaveURL(/motion=ankle-lunge&side=left/);
  await expect(page.getByRole('region', { name: 'What if' })).toContainText('no goal yet: twelve weeks are looked at');
  await expect(page.getByRole('region', { name: 'Fewest visits' })).toHaveCount(0);
  await expect(kept).toContainText(/From 12 visits: (mostly|partly)/);
  await page.reload();
  await answered(page);
  await expect(page.getByRole('combobox', { name: 'Motion and side' }).locator('xpath=../..')).toContainText('left');
  await page.getByRole('link', { name: 'Set a goal' }).click();
  await expect(page.getByRole('button', { name: 'Set a goal, left' })).toBeVisible();
});

test('nobody measured yet is said; on a phone nothing runs off; looking can be left off', async ({
  page,
  browser,
  expectedErrors,
  emptyApplication,
}) => {
  expect(expectedErrors).toEqual([]);
  const application = await ownPractice(page, emptyApplication);
  const visit = await walkIn(page, 'Nobody Yet', '2000-01-02', application.url);
  const file = (await (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json()) as { athlete: { id: string } };
  await page.goto(`${application.url}/athlete/${file.athlete.id}/what-if`);
  await expect(page.getByText('Nothing measured yet. After the first reading')).toBeVisible();

  const context = await browser.newContext({
    baseURL: process.env.APPLICATION_URL!,
    viewport: { width: 360, height: 740 },
    timezoneId: ZONE,
  });
  const phone = await context.newPage();
  await signIn(phone);
  await open(phone, 'Ines Okkonen');
  for (const width of [360, 600, 800, 1024, 1280, 1440]) {
    await phone.setViewportSize({ width, height: 800 });
    await still(phone);
    expect([width, await phone.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth)]).toEqual([
      width,
      0,
    ]);
  }
  // At once: a quick machine is done before a pointer has got there.
  const isLeftOff = await clickAtOnce(phone, 'Leave off', () =>
    schedule(phone, 'A').getByRole('button', { name: 'A: a visit a week more' }).click(),
  );
  expect(isLeftOff).toBe(true);
  await expect(phone.getByRole('button', { name: 'Leave off' })).toHaveCount(0);
  await phone.getByRole('button', { name: 'Look again' }).click();
  await answered(phone);
  await context.close();
});
