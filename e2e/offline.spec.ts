import { addMotion, expect, signIn, test, typeTrials, walkIn } from './support.ts';

test.use({ serviceWorkers: 'allow' });

test('without the line the program opens, moves and takes what is typed; with it again everything arrives, and signing out leaves nothing', async ({ page, context, expectedErrors }) => {
  test.setTimeout(150_000);
  expectedErrors.push(/ERR_INTERNET_DISCONNECTED/, /Failed to load resource/);
  const visit = await walkIn(page, 'No Line');
  await expect(page.getByLabel('What brings them today')).toBeVisible();
  // The whole program is on the device once the worker that keeps it is at work.
  await page.evaluate(async () => { await navigator.serviceWorker.ready; });
  await expect.poll(() => page.evaluate(async () => (await Promise.all((await caches.keys()).map(async (name) => (await (await caches.open(name)).keys()).length))).reduce((sum, each) => sum + each, 0)), { timeout: 30_000 }).toBeGreaterThan(60);
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Visits' })).toBeVisible();
  await page.goto(`${visit}/arrive`);
  await expect(page.getByLabel('What brings them today')).toBeVisible();

  await context.setOffline(true);
  await page.goto(`${visit}/measure`);
  await expect(page.getByText('The program cannot be reached.')).toBeVisible();
  await addMotion(page, 'hip extension knee bent');
  await typeTrials(page, [3, 5, 4, 11, 12, 11]);
  await page.getByRole('button', { name: /Plan from/ }).click();
  await page.getByRole('region', { name: 'Offers' }).getByRole('button', { name: 'Breath-led contract-relax' }).first().click();
  // Opened anew: what was typed is there, and so is the day; a file that was never opened is said not to be.
  await page.reload();
  await expect(page.getByRole('region', { name: 'Session line' }).locator('.cell.block').first()).toBeVisible();
  await page.goto(`${visit}/measure`);
  await expect(page.getByTestId('value-left')).toHaveText(/4\.0/);
  await expect(page.getByTestId('value-left')).toHaveClass(/unsent/);
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Visits' })).toBeVisible();
  await page.goto('/squad');
  await expect(page.getByRole('alert')).toContainText('cannot be reached');

  await context.setOffline(false);
  await page.goto(`${visit}/plan`);
  await expect(page.getByRole('navigation', { name: 'The day' }).getByRole('button', { name: /not sent yet/ })).toHaveCount(0, { timeout: 40_000 });
  await expect.poll(async () => {
    const file = await (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json();
    return [file.readings.length, file.plan.blocks.length];
  }).toEqual([2, 1]);
  await expect(page.getByText('The program cannot be reached.')).toHaveCount(0);

  // What is acknowledged after it was read is part of what is kept.
  await context.setOffline(true);
  await page.goto(`${visit}/measure`);
  await expect(page.getByTestId('value-left')).toHaveText(/4\.0/);
  await expect(page.getByTestId('value-left')).not.toHaveClass(/unsent/);
  await context.setOffline(false);
  await page.goto('/');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByLabel('Sign-in name')).toBeVisible();
  const left = await page.evaluate(() => new Promise<number>((resolve) => {
    const asked = indexedDB.open('pace-bend-kept');
    asked.onsuccess = () => { const count = asked.result.transaction('answers').objectStore('answers').count(); count.onsuccess = () => resolve(count.result); };
  }));
  // Only that nobody is in.
  expect(left).toBeLessThanOrEqual(1);
  await signIn(page);
});
