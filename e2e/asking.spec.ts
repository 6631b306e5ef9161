import { addMotion, arriveNow, expect, saved, test, toTheTable, typeTrials } from './support.ts';

/** What has to be asked before hands go on: open on every step until it is asked, or set aside with a word that is kept. */
test('nobody goes to the table unasked; a word sets it aside; what is found at any step ends in the referral by one key', async ({
  page,
}) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Walk-in' }).click();
  await page.getByRole('button', { name: 'Somebody new' }).click();
  await page.getByLabel('Name').fill('Unasked Rower');
  await page.getByLabel('Birth date').fill('2001-05-06');
  await arriveNow(page, { ask: false });
  const open = page.getByRole('link', { name: 'Not asked yet stop questions and consent' });

  await test.step('nobody took a history: an empty file says nothing', async () => {
    await expect(page.getByText('History not taken: an empty file says nothing')).toBeVisible();
    await expect(page.getByText('No cautions on file')).toHaveCount(0);
  });

  await test.step('the chip stands on every step, and the table waits', async () => {
    await expect(open).toBeVisible();
    await page.getByRole('button', { name: 'Measure', exact: true }).click();
    await expect(open).toBeVisible();
    await addMotion(page, 'neck side-bend');
    await typeTrials(page, [25, 25, 25, 42, 42, 42]);
    await page.getByRole('button', { name: /Plan from/ }).click();
    await expect(open).toBeVisible();
    // The head bends too little to the left: it is the right side that has to lengthen.
    await page.getByRole('region', { name: 'Offers' }).getByRole('button', { name: 'Breath-led contract-relax' }).first().click();
    await expect(page.getByLabel('Rounds, right')).toHaveValue('4');
    await expect(page.getByLabel('Rounds, left')).toHaveValue('3');
    await saved(page);
    const at = page.url();
    await page.goto(at.replace('/plan', '/table'));
    await expect(page.getByRole('heading', { name: 'Ask first' })).toBeVisible();
    await open.click();
  });

  await test.step('too short a word is refused, a sound one is kept and the table opens', async () => {
    await page.getByRole('region', { name: 'Stop and refer' }).getByRole('button', { name: 'Not asked today' }).click();
    const stop = page.getByRole('region', { name: 'Stop and refer' });
    await stop.getByLabel('Not asked, because').fill('no');
    await stop.getByRole('button', { name: 'Keep the word' }).click();
    await expect(stop.getByRole('alert')).toContainText('At least');
    await stop.getByLabel('Not asked, because').fill('asked by the team physician this morning');
    await stop.getByRole('button', { name: 'Keep the word' }).click();
    await expect(stop.getByRole('status')).toHaveText('Set aside');
    await page.getByRole('region', { name: 'Consent' }).getByRole('button', { name: 'neck and head' }).click();
    await page.getByRole('region', { name: 'Consent' }).getByRole('button', { name: 'shoulders' }).click();
    await saved(page);
    await expect(page.getByText('Not asked yet')).toHaveCount(0);
    await page.getByRole('link', { name: 'Plan', exact: true }).click();
    await toTheTable(page);
    await page.keyboard.press('Space');
    await expect(page.getByTestId('table')).toContainText('right side lengthens: head bends left');
  });

  await test.step('R at the table: the clock waits, the referral opens', async () => {
    await page.keyboard.press('r');
    await expect(page).toHaveURL(/\/letter$/);
    await expect(page.getByLabel('To', { exact: true })).toBeVisible();
  });
});
