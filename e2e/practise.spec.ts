import type { Page } from '@playwright/test';
import { expect, signIn, test } from './support.ts';
import { play } from './standIns.ts';

/** A way rehearsed without an athlete: at real speed, by the program's count and by one's own, with the gauge, and nothing of it in any record. */

const stage = (page: Page) => page.getByTestId('practise');
const writes = (page: Page) => {
  const seen: string[] = [];
  page.on('request', (request) => {
    if (request.method() !== 'GET') seen.push(`${request.method()} ${new URL(request.url()).pathname}`);
  });
  return seen;
};
/** On by the key, until the words say this. */
async function onTo(page: Page, text: RegExp): Promise<void> {
  for (let guard = 0; guard < 40; guard++) {
    if (text.test(await page.locator('.how').innerText())) return;
    const cue = await stage(page).getAttribute('data-cue');
    await page.getByRole('button', { name: 'Next phase' }).click();
    await expect(stage(page)).not.toHaveAttribute('data-cue', cue!);
  }
  throw new Error(`Nothing says ${text}.`);
}

test('the program counts at real speed, the gauge says what the press came to; nothing is sent, and a visit knows nothing of it', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/shelf/entry/calf-supine');
  const sent = writes(page);
  await page.getByRole('button', { name: 'Practise it' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/^Practise: Calf/);
  await page.getByRole('button', { name: 'Connect the force gauge' }).click();
  await page.getByRole('button', { name: 'Take the strongest press' }).click();
  await page.getByRole('button', { name: 'Let the stand-in press' }).click();
  await expect(page.getByText(/\d\d+ N so far/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep the strongest' }).click();
  await expect(page.getByText(/N is 100 %/)).toBeVisible();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(stage(page)).toHaveAttribute('data-status', 'running');
  await onTo(page, /% effort/);
  // A second of the screen is a second of the clock.
  const count = page.getByTestId('practise-count');
  const first = Number(await count.innerText());
  const at = Date.now();
  await play(page, 'force-gauge', [{ do: 'press', pct: 70, seconds: 10 }]);
  await expect(page.getByTestId('live-effort-word')).toHaveText('too hard');
  await expect(count).toHaveText(String(first - 3));
  expect(Date.now() - at).toBeGreaterThan(1900);
  await page.getByRole('button', { name: 'Next phase' }).click();
  await page.keyboard.press('Escape');
  const results = page.getByRole('region', { name: 'How it went' });
  await expect(results).toContainText('0 of 1 presses as asked');
  await expect(results.getByRole('row', { name: /too hard$/ })).toContainText('0 % of the time');
  await expect(results).toContainText('in no record');
  expect(sent).toEqual([]);
});

test('one’s own count by keys alone: no number is shown, the phases and how far off they were come out, and before stands beside it', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/shelf/ways');
  await page.getByRole('article', { name: 'Passive hold' }).getByRole('link', { name: 'Practise it' }).click();
  await expect(page.getByRole('button', { name: 'I count myself' })).toBeVisible();
  await expect(page.locator('.setup .ant-select-selection-item').first()).toHaveText('Passive hold');
  const sent = writes(page);
  await page.getByRole('button', { name: 'I count myself' }).click();
  await page.getByRole('heading', { level: 1 }).click();
  for (const expected of ['0 of', '0 of']) {
    await page.keyboard.press('Space');
    await expect(stage(page)).toHaveAttribute('data-status', /running|waiting/);
    await expect(page.getByTestId('practise-count')).toHaveCount(0);
    for (let guard = 0; guard < 60 && (await stage(page).getAttribute('data-status')) !== 'finished'; guard++)
      await page.keyboard.press('PageDown');
    const results = page.getByRole('region', { name: 'How it went' });
    await expect(results.getByRole('status')).toContainText(expected);
    await expect(results.getByRole('row', { name: /^hold/ })).toContainText(/s short/);
  }
  await expect(page.getByRole('region', { name: 'How it went' }).getByRole('heading', { name: 'Before' })).toBeVisible();
  expect(sent).toEqual([]);
});

test('an entry that is not there is said; without devices there is none to connect, and ended at once there is nothing to compare', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await signIn(page, 'pia');
  await page.goto('/shelf/entry/nothing-like-it/practise');
  await expect(page.getByText('This entry is not on the shelf.')).toBeVisible();
  await page.goto('/shelf/entry/calf-supine/practise?way=no-such-way');
  await page.getByRole('button', { name: 'Begin' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('region', { name: 'How it went' })).toContainText('there is nothing to compare');
  // At a phone’s width nothing runs off.
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('button', { name: 'Practise again' }).click();
  await expect(stage(page)).toHaveAttribute('data-status', 'running');
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
