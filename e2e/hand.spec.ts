import type { Page } from '@playwright/test';
import { expect, plannedVisit, saved, test, toTheTable } from './support.ts';

/** The table follows the hand: every key does what it says, is kept with what was done, and can be taken back. */

const status = (page: Page, is: string) => expect(page.getByTestId('table')).toHaveAttribute('data-status', is);
const stair = (page: Page, words: RegExp) => expect(page.locator('[aria-label^="Stair"]')).toHaveAttribute('aria-label', words);
const undo = (page: Page, words: string) => expect(page.getByTestId('undo')).toContainText(words);
/** Through the cues, to one that says this. */
async function goOnTo(page: Page, text: RegExp): Promise<void> {
  for (let guard = 0; guard < 80; guard++) {
    if (text.test(await page.locator('.instruction').innerText())) return;
    await page.keyboard.press('ArrowRight');
  }
  throw new Error(`No cue says ${text}.`);
}
/** To the next press that counts: the one that is only shown asks for no effort. */
async function goOnToPress(page: Page): Promise<void> {
  for (let guard = 0; guard < 80; guard++) {
    if (/% effort/.test(await page.locator('.how').innerText())) return;
    await page.keyboard.press('ArrowRight');
  }
  throw new Error('Nobody presses.');
}
/** A pedal held down until it is another key, which says what it did. */
async function held(page: Page, key: string, says: string): Promise<void> {
  await page.keyboard.down(key);
  await undo(page, says);
  await page.keyboard.up(key);
}
/** To the end of the run, whatever is left of it, and on to what was done. */
async function toTheClose(page: Page): Promise<void> {
  for (let guard = 0; guard < 200; guard++) {
    if ((await page.getByTestId('table').getAttribute('data-status')) === 'finished') break;
    await page.keyboard.press('ArrowRight');
  }
  await page.getByRole('button', { name: /Measure again/ }).click();
  await saved(page);
}
const done = (page: Page) => page.getByRole('region', { name: 'Planned and real' }).getByRole('row');

async function begin(page: Page, name: string, way: 'Breath-led contract-relax' | 'Passive hold' = 'Breath-led contract-relax') {
  const visit = await plannedVisit(page, name, 'straight-leg', [55, 56, 55, 70, 70, 70], way);
  await toTheTable(page);
  await page.keyboard.press('Space');
  return visit;
}

test('one more round, the rest left, the other side now: by key, by pedal held, by touch; said, taken back, kept', async ({ page }) => {
  const visit = await begin(page, 'Hand One');
  await goOnToPress(page);
  await page.keyboard.press('+');
  await undo(page, 'One more round');
  await stair(page, /of 5/);
  // Undone: the stair is as it was.
  await page.keyboard.press('z');
  await stair(page, /of 4/);
  await expect(page.getByTestId('undo')).toHaveCount(0);
  await held(page, 'PageUp', 'One more round');
  await stair(page, /of 5/);
  await page
    .getByRole('group', { name: 'What the hand does' })
    .getByRole('button', { name: /One more round/ })
    .click();
  await stair(page, /of 6/);
  // A second look at the same run shows the same line: it is folded from its events.
  await saved(page);
  await page.reload();
  await stair(page, /of 6/);
  await page.keyboard.press('o');
  await undo(page, 'The other side now');
  await expect(page.locator('.instruction')).toHaveText(/bring it home/i);
  await goOnTo(page, /set up, right/i);
  await expect(page.locator('.then')).toContainText('Waits until they lie right');
  // Both pedals held.
  await page.keyboard.down('PageUp');
  await page.keyboard.down('PageDown');
  await undo(page, 'The rest is left');
  await page.keyboard.up('PageDown');
  await page.keyboard.up('PageUp');
  // What was left of the left side comes behind it, set up again.
  await expect(page.locator('.instruction')).toHaveText(/set up, left/i);
  await toTheClose(page);
  await expect(done(page).nth(1)).toContainText('of 4');
  await expect(done(page).nth(2)).toContainText('left by choice');
  expect(page.url()).toContain(visit);
});

test('wrong direction, twice, and the breath held: nothing counts meanwhile, less is offered, and it is kept', async ({ page }) => {
  await begin(page, 'Hand Two');
  await goOnToPress(page);
  await page.keyboard.press('w');
  await status(page, 'showing');
  await expect(page.locator('.instruction')).toHaveText(/show it again: press/i);
  await page.keyboard.press('Space');
  await goOnToPress(page);
  await expect(page.locator('.how')).toContainText('20 % effort');
  await page.getByRole('button', { name: /Wrong direction/ }).click();
  await expect(page.locator('.then')).toContainText('Wrong 2 times on this side');
  await page.getByRole('button', { name: /Half the effort/ }).click();
  await goOnToPress(page);
  await expect(page.locator('.how')).toContainText('10 % effort');
  await page.keyboard.press('b');
  await status(page, 'eased');
  await expect(page.locator('.how')).toContainText('the breath was held');
  await page.keyboard.press('Space');
  await status(page, 'running');
  await toTheClose(page);
  await expect(done(page).nth(1)).toContainText('drifted twice');
  await expect(done(page).nth(1)).toContainText('breath held once');
});

test('swapped in two presses, a block added from the shelf, one after another; what was put in is in what was done', async ({ page }) => {
  await begin(page, 'Hand Three');
  await goOnToPress(page);
  await page.keyboard.press('s');
  const sheet = page.getByRole('dialog', { name: 'Instead of the rest of this block' });
  await expect(sheet).toContainText('easier: the knee stays bent');
  await page.keyboard.press('1');
  await expect(sheet).toHaveCount(0);
  await undo(page, 'Swapped');
  await goOnTo(page, /set up, left/i);
  await expect(page.locator('.block-name')).toContainText('knee bent');
  await page.keyboard.press('a');
  const add = page.getByRole('dialog', { name: 'Add after this side' });
  await expect(add).toContainText('a press against your hand');
  await add.getByRole('combobox').fill('calf, straight');
  await page
    .locator('.ant-select-dropdown:visible')
    .getByTitle(/^Calf, straight knee/)
    .first()
    .click();
  await undo(page, 'Added');
  await page.reload();
  await page.keyboard.press('Space');
  await toTheClose(page);
  await expect(done(page)).toHaveCount(1 + 2 + 2 + 1);
  await expect(done(page).filter({ hasText: 'knee bent' }).first()).toContainText('in place of the plan');
  await expect(done(page).filter({ hasText: 'Calf, straight knee' })).toContainText('added at the table');
});

test('until it softens, by both pedals at once: the seconds that it took, before and after; then a point is found there', async ({
  page,
}) => {
  await begin(page, 'Hand Four');
  await page.keyboard.press('a');
  const add = page.getByRole('dialog', { name: 'Add after this side' });
  await add.getByRole('combobox').fill('calf point holds');
  await page.locator('.ant-select-dropdown:visible').getByTitle(/point/i).first().click();
  await page.keyboard.press('x');
  await goOnTo(page, /^(?!.*(set up|show)).*(press|point|stay|sink)/i);
  await page.keyboard.down('PageUp');
  await page.keyboard.down('PageDown');
  await page.keyboard.up('PageUp');
  await page.keyboard.up('PageDown');
  await status(page, 'softening');
  await expect(page.getByTestId('count-up')).toHaveText(/^([2-9]|\d\d)$/);
  // A pedal that is only pressed: it has.
  await page.keyboard.press('PageDown');
  await expect(page.getByTestId('felt')).toContainText('How did it feel before, and now?');
  await page.keyboard.press('7');
  await page.keyboard.press('3');
  await undo(page, 'From 7 to 3');
  await page.keyboard.press('p');
  const found = page.getByRole('dialog', { name: 'What the hand found' });
  await expect(found.getByText('gastrocnemius', { exact: false }).first()).toBeVisible();
  await found.getByRole('group', { name: 'What is there' }).getByText('lump').click();
  await found.getByRole('group', { name: 'Tenderness, 0 to 10' }).getByText('6', { exact: true }).click();
  await page.keyboard.press('Escape');
  // The hand is still there: how tender it is now, a digit and Enter, without leaving the table.
  const again = page.getByRole('group', { name: 'To be felt again' });
  for (let guard = 0; guard < 60 && !(await again.isVisible()); guard++) await page.keyboard.press('ArrowRight');
  await expect(again).toContainText('left gastrocnemius, middle third: lump, 6 of 10');
  await again.getByRole('textbox').fill('11');
  await expect(again.getByRole('alert')).toHaveText('A whole number, 0 to 10.');
  await again.getByRole('textbox').fill('2');
  await page.keyboard.press('Enter');
  await expect(again).toHaveCount(0);
  await toTheClose(page);
  await expect(page.getByText('softened, 6 to 2').first()).toBeVisible();
  await expect(done(page).last()).toContainText(/softened after \d+ s, 7 to 3/);
  await page.goto(page.url().replace('/close', '/measure'));
  await expect(page.getByRole('region', { name: 'Findings' })).toContainText(/lump/i);
});

test('a number is asked for where it is wanted, a pulse is felt for before the hand presses, and the warning stands', async ({ page }) => {
  await begin(page, 'Hand Five', 'Passive hold');
  await page.keyboard.press('n');
  await expect(page.getByRole('button', { name: /ask: each round/ })).toBeVisible();
  await page.keyboard.press('n');
  await expect(page.getByRole('button', { name: /ask: at end range/ })).toBeVisible();
  await expect(page.getByTestId('warning')).toContainText('Tingling or pull below the knee');
  await goOnTo(page, /breathe, heel heavy/i);
  await expect(page.getByTestId('number-asked')).toHaveText('Number, please');
  await page.keyboard.press('3');
  await expect(page.getByTestId('number-asked')).toHaveCount(0);
  // Undone, it is asked again.
  await undo(page, 'Discomfort 3');
  await page.keyboard.press('z');
  await expect(page.getByTestId('number-asked')).toBeVisible();
  await page.keyboard.press('n');
  await page.keyboard.press('a');
  const add = page.getByRole('dialog', { name: 'Add after this side' });
  await add.getByRole('combobox').fill('biceps pin');
  await page
    .locator('.ant-select-dropdown:visible')
    .getByTitle(/biceps/i)
    .first()
    .click();
  await page.keyboard.press('x');
  await goOnTo(page, /no pulse under the fingers/i);
  await expect(page.locator('.then')).toContainText('Waits until nothing beats');
});

test('stop and refer: the run ends, can be taken back for five seconds, and the referral says what happened', async ({ page }) => {
  const visit = await begin(page, 'Hand Six');
  await goOnToPress(page);
  await page.keyboard.press('r');
  await status(page, 'finished');
  await undo(page, 'Ended, to refer');
  await page.keyboard.press('z');
  await status(page, 'running');
  await page.keyboard.press('6');
  await status(page, 'eased');
  await page.keyboard.press('r');
  await expect(page).toHaveURL(new RegExp(`${visit}/letter`), { timeout: 9000 });
  await expect(page.getByLabel(/seen/i).first()).toHaveValue(/Stopped at the table during Hamstrings, straight leg/);
  await expect(page.getByLabel(/seen/i).first()).toHaveValue(/discomfort 6 of 10/);
});
