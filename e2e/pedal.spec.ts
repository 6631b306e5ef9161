import type { Page } from '@playwright/test';
import { holdPedal, pedal, pressTwice } from './pedal.ts';
import { expect, plannedVisit, saved, test, toTheTable } from './support.ts';

const table = (page: Page) => page.getByTestId('table');
const status = (page: Page) => table(page).getAttribute('data-status');

test('a whole visit from Begin to the last reading after work, by one pedal and the number pad', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  const visit = await plannedVisit(page, 'One Pedal', 'straight-leg', [55, 56, 55, 70, 70, 70], 'Passive hold');
  await toTheTable(page);
  // From here on nothing but the pedal and the number pad.
  await pedal(page);
  await expect(table(page)).not.toHaveAttribute('data-status', 'ready');
  for (let guard = 0; guard < 80 && (await status(page)) !== 'finished'; guard++) {
    if (guard === 3) await page.keyboard.press('3');
    await pedal(page);
  }
  await expect(table(page)).toHaveAttribute('data-status', 'finished');
  // What is to be read: one press into its fields, digits and Enter, and on.
  await pedal(page);
  await expect(page.locator('input:focus')).toHaveCount(1);
  const type = async (digits: string) => {
    // A number pad sends digits, with its lamp on.
    await page.keyboard.type(digits);
    await page.keyboard.press('NumpadEnter');
  };
  for (const trial of ['63', '64', '63']) await type(trial);
  await saved(page);
  for (let guard = 0; guard < 4 && !page.url().endsWith('/close'); guard++) await pedal(page);
  await expect(page).toHaveURL(`${visit}/close`);
  // What is still to be read after work waits with its first field.
  await expect(page.locator('input:focus')).toHaveCount(1);
  for (const trial of ['72', '71', '72']) await type(trial);
  await saved(page);
  const after = async () => {
    const file = (await (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json()) as {
      readings: { moment: string; side: string }[];
    };
    return file.readings
      .filter(({ moment }) => moment === 'after')
      .map(({ side }) => side)
      .sort();
  };
  await expect.poll(after).toEqual(['left', 'right']);
});

test('held it holds, pressed twice it stops; another key is learned for it, and kept', async ({ page, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  await plannedVisit(page, 'Own Pedal', 'straight-leg', [55, 56, 55, 70, 70, 70], 'Passive hold');
  await toTheTable(page);
  await page.getByRole('button', { name: 'Settings', exact: true }).click();
  const dialog = page.getByRole('dialog', { name: 'Sound, voice and pedals' });
  await dialog.getByRole('button', { name: 'Learn the pedal: On' }).click();
  await page.keyboard.press('5');
  await expect(dialog.getByRole('alert')).toHaveText('5 has another meaning at the table.');
  await page.keyboard.press('PageUp');
  await expect(dialog.getByRole('alert')).toHaveText('Page ↑ is the other pedal.');
  await page.keyboard.press('F7');
  await expect(dialog.getByRole('region', { name: 'Pedals' })).toContainText('F7');
  await expect(dialog.getByRole('alert')).toHaveCount(0);
  await page.keyboard.press('Escape');
  await expect(dialog).toBeHidden();
  await page.reload();
  await expect(page.getByText('Space begins')).toBeVisible();
  await pedal(page, 'F7');
  await expect(table(page)).not.toHaveAttribute('data-status', 'ready');
  // Where something counts: a cue that waits for the hand is gone on from.
  for (let guard = 0; guard < 10 && !(await page.getByTestId('count').isVisible()); guard++) await pedal(page, 'F7');
  await holdPedal(page, 'F7');
  await expect(table(page)).toHaveAttribute('data-status', 'held');
  await pedal(page, 'F7');
  await expect(table(page)).toHaveAttribute('data-status', 'running');
  await pressTwice(page, 'F7');
  await expect(table(page)).toHaveAttribute('data-status', 'stopped');
});
