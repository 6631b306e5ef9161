import type { Page } from '@playwright/test';
import { choose, expect, plannedVisit, saved, test } from './support.ts';

/** Types into a list that takes several and chooses one. */
async function pickFrom(page: Page, name: string, typed: string, option: RegExp): Promise<void> {
  await page.getByRole('combobox', { name, exact: true }).click({ force: true });
  await page.keyboard.type(typed);
  await page.locator('.ant-select-dropdown:visible').getByTitle(option).first().click();
  await page.keyboard.press('Escape');
}

test('the shelf: found with a slip of the finger, by way of working, by region; an entry says everything', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/');
  await page.getByRole('navigation', { name: 'The day' }).getByRole('link', { name: 'Shelf' }).click();
  await expect(page.getByRole('region', { name: 'Neck' }).getByRole('listitem').first()).toBeVisible();
  const search = page.getByLabel('Find on the shelf');
  await search.fill('hamstrng');
  const hits = page.getByRole('listitem').filter({ has: page.getByRole('link', { name: /amstrings/ }) });
  await expect(hits.first()).toBeVisible();
  await search.fill('zzzz');
  await expect(page.getByText('Nothing on the shelf is called that')).toBeVisible();
  await page.getByRole('button', { name: 'Show everything' }).click();
  await choose(page, 'Part of the body', 'Closing');
  await expect(page.getByRole('region', { name: 'Closing' }).getByRole('listitem')).toHaveCount(4);
  await expect(page.getByRole('region', { name: 'Neck' })).toHaveCount(0);

  await page.goto('/shelf/entry/rectus-femoris-prone');
  await expect(page.getByRole('region', { name: 'At the table' })).toContainText('“Press into my hand”');
  await expect(page.getByRole('region', { name: 'Pictures' }).getByRole('img')).toHaveCount(2);
  await page.getByRole('link', { name: 'Quadriceps, heel to buttock' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Quadriceps, heel to buttock');
});

test('a way of working of its own: made, planned with, changed; the older plan keeps its numbers', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/shelf/ways');
  const breath = page.getByRole('article', { name: 'Breath-led contract-relax', exact: true });
  await expect(breath).toContainText('shown in trials');
  await breath.getByRole('link', { name: 'Copy as your own' }).click();
  await page.getByLabel('Name').fill('Breath-led contract-relax');
  await expect(page.getByText('A way of working is called that already.')).toBeVisible();
  await page.getByLabel('Name').fill('Crew breath work');
  await page.getByLabel('Contract', { exact: true }).fill('99');
  await expect(page.getByText('Contract is 2 to 30 s.')).toBeVisible();
  await page.getByLabel('Contract', { exact: true }).fill('9');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('article', { name: 'Crew breath work' })).toContainText('your own, from breath-led contract-relax');

  const visit = await plannedVisit(page, 'Own Way', 'straight-leg', [60, 61, 62, 70, 70, 70], 'Passive hold');
  await choose(page, 'Way of working', 'Crew breath work');
  await expect(page.getByLabel('Contract', { exact: true }).and(page.locator('input'))).toHaveValue('9');
  await saved(page);
  await page.goto('/shelf/ways');
  await page.getByRole('article', { name: 'Crew breath work' }).getByRole('link', { name: 'Change it' }).click();
  await page.getByLabel('Contract', { exact: true }).fill('4');
  await page.getByRole('button', { name: 'Keep as the new version' }).click();
  await expect(page.getByRole('article', { name: 'Crew breath work' })).toHaveCount(1);
  await page.goto(`${visit}/plan`);
  await expect(page.getByLabel('Contract', { exact: true }).and(page.locator('input'))).toHaveValue('9');

  await page.goto('/shelf/ways');
  await page.getByRole('article', { name: 'Crew breath work' }).getByRole('link', { name: 'Change it' }).click();
  await page.getByRole('button', { name: 'Take it off the shelf' }).click();
  await expect(page.getByRole('article', { name: 'Crew breath work' })).toHaveCount(0);
});

test('an entry of its own, from another one: what is missing is said beside the field', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/shelf/new?from=calf-supine');
  await page.getByLabel('Name').fill('Calf over the bolster');
  await page.getByLabel('They are told').fill('Press your toes away as hard as you like');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText('At most 26 letters: it is read across a room.')).toBeVisible();
  await page.getByLabel('They are told').fill('Toes away');
  // Everything an entry says can be said here: what is easier, the tools with their shares, places of its own.
  await pickFrom(page, 'Easier', 'calf, straight', /^Calf, straight knee/);
  await page.getByRole('checkbox', { name: 'forearm' }).check();
  await page.getByLabel('Share, forearm').fill('140');
  await expect(page.getByText('Shares are 0 to 100 %.')).toBeVisible();
  await page.getByLabel('Share, forearm').fill('35');
  await page.getByRole('checkbox', { name: 'Sustained compression' }).check();
  await page.getByLabel('Points, with semicolons').fill(Array(3).fill('a name that is far longer than anybody reads across a room').join(';'));
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText(/each 1 to 40 characters/)).toBeVisible();
  await page.getByLabel('Points, with semicolons').fill('inner head; outer head, low');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Calf over the bolster');
  await expect(page.getByRole('link', { name: 'Calf, straight knee' })).toBeVisible();
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByLabel('Points, with semicolons')).toHaveValue('inner head; outer head, low');
  await expect(page.getByLabel('Share, forearm')).toHaveValue('35');
  await page.goBack();
  await page.getByRole('button', { name: 'Take off the shelf' }).click();
  await expect(page.getByText('taken off the shelf')).toBeVisible();
  await page.getByRole('button', { name: 'Put back' }).click();
  await expect(page.getByText('taken off the shelf')).toHaveCount(0);
});
