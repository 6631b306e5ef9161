import { execFileSync } from 'node:child_process';
import { expect, plannedVisit, saved, test, toTheTable, typeTrials } from './support.ts';

/** The note: written from the record, changed by hand, signed, added to; the day names what is not signed. */

test('the draft writes itself, keeps what was changed by hand, is signed and added to, printed and saved', async ({ page }, info) => {
  const visit = await plannedVisit(page, 'Note Taker', 'straight-leg', [55, 56, 55, 70, 70, 70], 'Passive hold');
  await toTheTable(page);
  await page.keyboard.press('Space');
  for (let i = 0; i < 40 && (await page.getByTestId('table').getAttribute('data-status')) !== 'finished'; i++)
    await page.keyboard.press('ArrowRight');
  await page.getByRole('button', { name: /Measure again/ }).click();
  const note = page.getByRole('region', { name: 'Note' });
  await expect(note).toContainText('left 55.3°, right 70.0°');
  await expect(note).toContainText('Not read again: straight-leg raise left, straight-leg raise right.');
  // Where a sentence comes from is a touch away.
  await note.getByRole('button', { name: /left 55.3°, right 70.0°/ }).click();
  await expect(note).toContainText('trials 55°, 56°, 55°, inclinometer, before work, Marit Voss');
  // In other words, by keys alone; then the data behind another sentence change.
  await note.getByLabel('In your words').fill('Left is the short one, 55 against 70.');
  await page.keyboard.press('Control+Enter');
  await expect(note.getByRole('button', { name: 'Left is the short one, 55 against 70.' })).toBeFocused();
  await note.getByRole('button', { name: /The stop questions were not asked/ }).click();
  await note.getByRole('button', { name: 'Leave it out' }).click();
  await expect(note.getByRole('button', { name: /Left out: The stop questions were not asked/ })).toBeVisible();
  await page.getByLabel('Your words').fill('Come back before the race.');
  await page.locator('[data-field="trial-left-0"]').click();
  await typeTrials(page, [75, 75, 75, 71, 71, 71]);
  await expect(note).toContainText('from 55.3° to 75.0°, +19.7°: a real gain');
  await expect(note).toContainText('Left is the short one, 55 against 70.');
  await expect(note).not.toContainText('Not read again');
  // Beside it what the plan had expected, all of its rounds.
  await expect(page.getByRole('region', { name: 'What the plan expected' })).toContainText(
    /75°, more than expected: \d+°, nine readings in ten/,
  );
  await saved(page);
  await page.reload();
  await expect(note).toContainText('Left is the short one, 55 against 70.');

  await page.getByRole('button', { name: 'Finish the visit' }).click();
  await expect(page.getByText(/^Finished/)).toBeVisible();
  await page.goto('/');
  const toSign = page.getByRole('region', { name: 'Notes to sign' });
  await toSign.getByRole('link', { name: 'Note Taker' }).click();
  await note.getByRole('button', { name: 'Sign and lock' }).click();
  await expect(note).toContainText('Signed by Marit Voss');
  await expect(note.getByTestId('signed')).toContainText('Come back before the race.');
  await expect(note.getByTestId('signed')).not.toContainText('stop questions');
  await expect(note.getByLabel('Your words')).toHaveCount(0);
  await note.getByLabel('Add to the signed note').fill('Called in the evening: no soreness.');
  await note.getByRole('button', { name: 'Sign this addition' }).click();
  await expect(note.getByRole('list', { name: 'Additions' })).toContainText('Called in the evening: no soreness.');
  await note.getByRole('link', { name: 'Print or save it' }).click();
  await expect(page.getByRole('article')).toContainText('Addition: Called in the evening');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as text' }).click();
  expect((await download).suggestedFilename()).toMatch(/^note-\d{4}-\d\d-\d\d\.txt$/);
  await page.goto('/');
  await expect(toSign.getByRole('link', { name: 'Note Taker' })).toHaveCount(0);

  // The report of the visit holds what was chosen and nothing else, as another program reads it.
  await page.goto(`${visit}/close`);
  const report = page.getByRole('region', { name: 'Report of this visit' });
  const pdf = async () => {
    const [file] = await Promise.all([
      page.waitForEvent('download'),
      report.getByRole('button', { name: 'Save the report as PDF' }).click(),
    ]);
    const path = info.outputPath(`${crypto.randomUUID()}.pdf`);
    await file.saveAs(path);
    return execFileSync('pdftotext', ['-layout', path, '-'], { encoding: 'utf8' }).replaceAll(/\s+/g, ' ');
  };
  const forAthlete = await pdf();
  expect(forAthlete).toContain('from 55.3° to 75.0°, +19.7°: a real gain');
  expect(forAthlete).not.toContain('Come back before the race.');
  await report.getByRole('button', { name: 'for a physician' }).click();
  await report.getByRole('button', { name: 'What was done' }).click();
  const forPhysician = await pdf();
  expect(forPhysician).toContain('Come back before the race.');
  expect(forPhysician).toContain('Addition: Called in the evening: no soreness.');
  expect(forPhysician).toContain('Signed by Marit Voss');
  expect(forPhysician).not.toContain('What was done');
});

test('the practice decides on order and headings; the drafts follow at once', async ({ page }) => {
  await page.goto('/practice/notes');
  await page.getByText('Subjective, objective, assessment, plan').click();
  await page.getByLabel('Heading 4').fill('What next');
  await page.getByRole('button', { name: 'Move What next up' }).click();
  await page.getByRole('button', { name: 'Keep this order' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
  const visit = await plannedVisit(page, 'Note Order', 'straight-leg', [55, 56, 55, 70, 70, 70], 'Passive hold');
  await page.goto(`${visit}/close`);
  const note = page.getByRole('region', { name: 'Note' });
  await expect(note.getByRole('heading', { level: 3 })).toHaveText(['Subjective', 'Objective', 'What next', 'Assessment', 'Your words']);
  // As it was, for whoever comes after.
  await page.goto('/practice/notes');
  await page.getByText('Said, found, done').click();
  await page.getByLabel('Heading 1').fill(' ');
  await expect(page.getByText('A heading of 1 to 40 letters.')).toBeVisible();
  await page.getByLabel('Heading 1').fill('Said');
  await page.getByRole('button', { name: 'Keep this order' }).click();
  await expect(page.getByText('Kept.')).toBeVisible();
});
