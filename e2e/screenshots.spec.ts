import { mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Page } from '@playwright/test';
import { DateTime } from 'luxon';
import { askFirst, athleteNamed, choose, expect, REFUSED, runThrough, saved, test, typeTrials } from './support.ts';
import { counted, frames, still } from './waiting.ts';

/** The pictures of the README, from the demo's data: `npm run screenshots`. */
const folder = join(dirname(fileURLToPath(import.meta.url)), '..', 'docs', 'screenshots');
mkdirSync(folder, { recursive: true });

async function picture(page: Page, name: string): Promise<void> {
  await still(page);
  await page.screenshot({ path: join(folder, `${name}.png`) });
}

test('one picture of each main view', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Visits' })).toBeVisible();
  await picture(page, 'day');
  await page.goto('/morning');
  await expect(page.getByRole('row', { name: /Joss Adeyemi/ })).toBeVisible();
  await picture(page, 'morning');
  await page.goto('/load');
  // The last whole week: on a Monday this one has nothing in it yet.
  await expect(page.getByRole('grid')).toBeVisible();
  await page.getByRole('button', { name: 'A week back' }).click();
  await expect(page.getByRole('grid')).toContainText('Strength');
  await picture(page, 'load');
  await page.goto('/season');
  await choose(page, 'Squad', 'Men’s eight');
  await expect(page.getByRole('button', { name: /^Sharpen, / }).first()).toBeVisible();
  await choose(page, 'Athlete', 'Kato Lindqvist');
  await expect(page.getByRole('region', { name: 'The goal' })).toContainText('in 100');
  await expect(page.getByRole('complementary', { name: 'Who is due' }).getByRole('listitem').first()).toBeVisible();
  await page.mouse.move(5, 5);
  await picture(page, 'season');
  await page.goto('/week');
  await expect(page.getByText('No week brings more: checked to the end.')).toBeVisible();
  await page
    .getByRole('gridcell', { name: /Tavi Brandsma/ })
    .first()
    .click();
  await expect(page.getByRole('region', { name: 'One more visit' }).getByRole('listitem').first()).toBeVisible();
  await page.mouse.move(5, 5);
  await picture(page, 'week');
  await page.goto('/squad');
  await expect(page.getByRole('region', { name: 'Athletes' })).toBeVisible();
  await page
    .getByRole('region', { name: 'Athletes' })
    .getByRole('link', { name: /Ines Okkonen/ })
    .click();
  await expect(page.getByRole('region', { name: 'Range over the visits' })).toBeVisible();
  await page.getByRole('button', { name: /^Straight-leg raise/ }).click();
  await page.mouse.move(5, 5);
  await picture(page, 'athlete');
  await page.goto('/squad');
  await page
    .getByRole('region', { name: 'Athletes' })
    .getByRole('link', { name: /Kato Lindqvist/ })
    .click();
  await page.getByRole('link', { name: 'What if', exact: true }).click();
  await page.getByRole('button', { name: 'B: a visit a week more' }).click();
  await page.getByRole('button', { name: 'Add C' }).click();
  await page.getByRole('button', { name: 'C: a visit a week fewer' }).click();
  await expect(page.getByRole('region', { name: 'What is kept' })).toBeVisible();
  await expect(page.getByRole('progressbar', { name: 'Looking ahead' })).toHaveCount(0);
  await page.evaluate(() => window.scrollTo(0, 0));
  await page.mouse.move(5, 5);
  await picture(page, 'what-if');

  await page.getByRole('navigation', { name: 'The day' }).getByText('Tavi Brandsma').click();
  await expect(page.getByLabel('What brings them today')).toBeVisible();
  await askFirst(page);
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  const rows = page.getByRole('region', { name: 'Motions' }).getByRole('listitem');
  await rows.first().getByRole('button').first().click();
  await typeTrials(
    page,
    [11, 12, 11, 17, 16, 18, 3, 5, 4, 11, 12, 11, 68, 70, 68, 72, 71, 73, 38, 37, 39, 40, 41, 40, 44, 43, 44, 53, 54, 53],
  );
  await rows.nth(1).getByRole('button').first().click();
  await saved(page);
  await picture(page, 'measure');
  const panel = page.getByRole('region', { name: /^Hip extension, prone, knee bent/ });
  await panel.getByRole('tab', { name: 'End' }).click();
  await panel.getByRole('button', { name: 'muscular' }).first().click();
  await panel.getByRole('button', { name: 'in the muscle that lengthens' }).first().click();
  const findings = page.getByRole('region', { name: 'Findings' });
  await findings.getByRole('button', { name: 'Clock' }).click();
  const dial = findings.getByRole('group', { name: 'Clock, left' });
  await dial.getByRole('button', { name: /^6 o/ }).focus();
  for (const key of ['t', 'ArrowRight', 't', 'ArrowRight', 'p']) await page.keyboard.press(key);
  await findings.getByRole('group', { name: 'Clock, right' }).getByRole('button', { name: /^6 o/ }).click();
  await saved(page);
  await panel.getByRole('tab', { name: 'What holds it' }).click();
  await panel.getByRole('button', { name: /^rectus femoris/ }).click();
  await findings.getByRole('button', { name: 'Glides' }).click();
  for (const name of ['up: not tried', 'down: not tried', 'down: free'])
    await findings.getByRole('group', { name: 'Kneecap, left' }).getByRole('button', { name }).click();
  await findings.getByRole('button', { name: 'Points' }).click();
  await findings.getByRole('button', { name: 'Back', exact: true }).click();
  await findings.getByRole('button', { name: 'hamstrings, left' }).click();
  await findings.getByRole('button', { name: 'upper third', exact: true }).click();
  await findings.getByRole('button', { name: 'lump', exact: true }).click();
  await findings.getByRole('group', { name: 'Tenderness, 0 to 10' }).getByRole('button', { name: '6', exact: true }).click();
  await saved(page);
  await page.mouse.move(5, 5);
  await findings.evaluate((element) => element.scrollIntoView());
  await picture(page, 'found');
  await panel.getByRole('tab', { name: 'Device' }).click();
  await panel.getByRole('button', { name: 'Connect' }).click();
  await panel.getByRole('button', { name: 'Zero here' }).click();
  await frames(page, 50);
  await panel.getByRole('button', { name: 'Disconnect' }).click();

  await page.getByRole('button', { name: /Plan from/ }).click();
  const card = page.getByRole('region', { name: 'Proposed plan' });
  await card.getByRole('button', { name: 'Propose a plan' }).click();
  await expect(card.getByRole('group', { name: 'Plans' }).getByRole('button').nth(1)).toBeVisible();
  await card.getByRole('button', { name: 'Take this plan' }).click();
  await page
    .getByRole('region', { name: 'Session line' })
    .getByRole('button', { name: /^Rectus femoris/ })
    .first()
    .click();
  await saved(page);
  await page.mouse.move(5, 5);
  await page.evaluate(() => window.scrollTo(0, 0));
  await picture(page, 'plan');
  const planned = page.url();
  await page.goto('/shelf');
  await expect(page.getByRole('listitem').filter({ hasText: 'Side of the neck' }).first().locator('svg')).toBeVisible();
  await picture(page, 'shelf');
  await page.goto('/shelf/entry/rectus-femoris-pin');
  await expect(page.getByRole('region', { name: 'Pictures' }).getByRole('img')).toHaveCount(2);
  await picture(page, 'entry');
  // The table and the close are shown with a short plan.
  await page.goto(planned);
  const strip = page.getByRole('region', { name: 'Session line' });
  await expect(strip.locator('.cell.block').first()).toBeVisible();
  for (let left = await strip.locator('.cell.block').count(); left > 0; left--) {
    await strip.locator('.cell.block .open').first().focus();
    await page.keyboard.press('Delete');
    await expect(strip.locator('.cell.block')).toHaveCount(left - 1);
  }
  const sequences = page.getByRole('region', { name: 'Sequences' });
  await sequences.getByRole('combobox', { name: 'A sequence from the shelf' }).fill('Thigh: holds');
  await page.locator('.ant-select-dropdown:visible').getByText('Thigh: holds').first().click();
  await sequences.getByRole('button', { name: 'Put it in the plan' }).click();
  await strip
    .getByRole('button', { name: /^Rectus femoris, pin/ })
    .first()
    .click();
  await saved(page);
  await page.mouse.move(5, 5);
  await page.evaluate(() => window.scrollTo(0, 0));
  await page.getByRole('button', { name: 'Undo' }).click();
  const offers = page.getByRole('region', { name: 'Offers' }).getByRole('listitem');
  await offers.filter({ hasText: 'Rectus femoris' }).first().getByRole('button', { name: 'Breath-led contract-relax' }).click();
  await offers.filter({ hasText: 'Iliopsoas' }).first().getByRole('button', { name: 'Passive hold' }).click();
  await saved(page);

  await page.goto(page.url().replace('/plan', '/table'));
  await expect(page.getByText('Space begins')).toBeVisible();
  for (let i = 0; i < 3; i++) {
    await page.keyboard.press('Space');
    await frames(page, 8);
  }
  for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight');
  await expect(page.locator('.instruction')).toHaveText('Breathe in');
  await page.keyboard.press('ArrowRight');
  await counted(page, 1300);
  await page.keyboard.press('3');
  await picture(page, 'table');
  await page.keyboard.press('6');
  await expect(page.getByText('Ease off first')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Run the plan again' }).click();
  const visit = page.url().replace('/table', '');
  await page.goto(`${visit}/plan`);
  await page.goto(`${visit}/table?rate=40`);
  await expect(page.getByTestId('table')).toBeVisible();
  await page.getByRole('button', { name: 'Run the plan again' }).click();
  await runThrough(page, async (cue) => {
    if (cue % 7 === 0) await page.keyboard.press(String(1 + (cue % 3)));
  });
  await page.keyboard.press('Enter');
  await rows.first().getByRole('button').first().click();
  await typeTrials(page, [17, 17, 18, 21, 20, 21, 12, 11, 12, 15, 16, 16]);
  await page.getByLabel('Your words').fill('Left hip opens after three rounds. Rectus femoris first next time.');
  await rows.nth(1).getByRole('button').first().click();
  const home = page.getByRole('region', { name: 'Home work', exact: true });
  for (const name of ['Slow bridge', 'Daily mobility line', 'Chest in a doorway']) {
    await home.getByRole('combobox', { name: 'Add an exercise' }).fill(name);
    await page.locator('.ant-select-dropdown:visible').getByTitle(name, { exact: true }).click();
    await expect(home.getByRole('heading', { name: new RegExp(name) })).toBeVisible();
  }
  await saved(page);
  await page.mouse.move(5, 5);
  await still(page);
  // Whole: the verdicts on top, the note that wrote itself, what goes home, what was done.
  await page.screenshot({ path: join(folder, 'close.png'), fullPage: true });
  await home.getByRole('link', { name: 'Show, print or save it' }).click();
  await expect(page.getByRole('img', { name: /A code/ })).toBeVisible();
  await picture(page, 'home');
});

test('people, files and cautions', async ({ page, expectedErrors }) => {
  expectedErrors.push(REFUSED);
  await page.goto('/squad/range');
  await expect(page.getByRole('region', { name: 'Squad strip' })).toBeVisible();
  await page.goto('/practice/error');
  await page.getByRole('button', { name: /^Shoulder external rotation, inclinometer/ }).click();
  await expect(page.getByRole('region', { name: 'Marit Voss' })).toBeVisible();

  await page.goto('/');
  await page.getByRole('navigation', { name: 'The day' }).getByText('Wren Achterberg').click();
  await expect(page.getByLabel('What brings them today')).toBeVisible();
  await page.keyboard.press('s');
  await page.getByRole('button', { name: '4', exact: true }).click();
  await saved(page);
  await picture(page, 'arrive');
  await page.keyboard.press('a');
  const visit = page.url().replace('/arrive', '');
  await page.keyboard.press('c');
  const sheet = page.getByRole('dialog', { name: 'Cautions' });
  await sheet
    .getByRole('button', { name: /^Hip internal rotation, left/ })
    .first()
    .click();
  await page.goto(`${visit}/measure`);
  await page
    .getByRole('region', { name: 'Motions' })
    .getByRole('button', { name: /^Knee flexion/ })
    .first()
    .click();
  await typeTrials(page, [107, 106, 108, 139, 140, 138]);
  await saved(page);
  await page.getByRole('button', { name: /Plan from/ }).click();
  await page
    .getByRole('region', { name: 'Offers' })
    .getByRole('listitem')
    .filter({ hasText: 'Vasti' })
    .getByRole('button', { name: 'Breath-led contract-relax' })
    .click();
  await saved(page);
  await page.getByRole('heading', { level: 1 }).getByRole('link').click();
  await page.getByRole('link', { name: 'File', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Conditions' })).toBeVisible();

  await page.goto('/');
  await page.getByRole('navigation', { name: 'The day' }).getByText('Joss Adeyemi').click();
  await page
    .getByRole('group', { name: /^A calf that is swollen/ })
    .getByRole('button', { name: 'yes' })
    .click();
  await page.getByRole('button', { name: 'End in a referral' }).click();
  await expect(page.getByLabel('What was said and seen')).toBeVisible();
});

test('a day at an event, and what leaves the program', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  const { days } = (await (await page.request.get('/api/event-days')).json()) as { days: { id: string; onDate: string }[] };
  const { timeZone } = (await (await page.request.get('/api/practice')).json()) as { timeZone: string };
  const [day] = days;
  await page.goto(`/event-day/${day!.id}/set-up`);
  await expect(page.getByTestId('start-row')).toHaveCount(16);
  await picture(page, 'event-set-up');
  // A tablet on the table of the tent, on the morning of the race.
  await page.setViewportSize({ width: 1024, height: 768 });
  await page.clock.install({ time: DateTime.fromISO(`${day!.onDate}T08:52`, { zone: timeZone }).toJSDate() });
  await page.goto(`/event-day/${day!.id}`);
  await page.getByRole('button', { name: 'Look at the times' }).click();
  await page.getByRole('button', { name: 'Tell these times' }).click();
  for (const table of ['Table 1', 'Table 2']) {
    const region = page.getByRole('region', { name: table });
    await region.getByRole('button', { name: 'On the table' }).click();
    await page.getByRole('button', { name: 'None of these' }).click();
    await region.getByRole('button', { name: 'Here' }).click();
  }
  // The last thing said can be taken back for a while; then the board is all there is.
  await page.clock.fastForward('09:00');
  await expect(page.getByRole('button', { name: 'Undo' })).toHaveCount(0);
  await picture(page, 'event-board');
  await page.setViewportSize({ width: 1280, height: 800 });
  const bundle = await (await page.request.get(`/api/athletes/${await athleteNamed(page, 'Ines Okkonen')}/fhir`)).body();
  await page.goto('/practice/export');
  const card = page.getByRole('region', { name: 'Import records' });
  await card.locator('input[type=file]').setInputFiles({ name: 'ines.json', mimeType: 'application/fhir+json', buffer: bundle });
  await expect(card.getByRole('button', { name: 'Import 1 athlete' })).toBeEnabled();
  await picture(page, 'export');
});
