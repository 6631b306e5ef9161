import type { Page } from '@playwright/test';
import { addMotion, expect, signIn, test, typeTrials, walkIn } from './support.ts';

test.use({ serviceWorkers: 'allow' });

const rowsOf = (page: Page, database: string, store: string) =>
  page.evaluate(
    ([name, rows]) =>
      new Promise<number>((resolve) => {
        const asked = indexedDB.open(name);
        asked.onsuccess = () => {
          const count = asked.result.transaction(rows).objectStore(rows).count();
          count.onsuccess = () => {
            resolve(count.result);
            asked.result.close();
          };
        };
      }),
    [database, store] as const,
  );

/** Of which addresses the device keeps the answer. */
const keysOf = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<string[]>((resolve) => {
        const asked = indexedDB.open('pace-bend-kept');
        asked.onsuccess = () => {
          const keys = asked.result.transaction('answers').objectStore('answers').getAllKeys();
          keys.onsuccess = () => {
            resolve(keys.result.map(String));
            asked.result.close();
          };
        };
      }),
  );

test('without the line the program opens, moves and takes what is typed; with it again everything arrives, and signing out leaves nothing', async ({
  page,
  context,
  expectedErrors,
}) => {
  expectedErrors.push(/ERR_INTERNET_DISCONNECTED/, /Failed to load resource/);
  const visit = await walkIn(page, 'No Line');
  await expect(page.getByLabel('What brings them today')).toBeVisible();
  // The whole program is on the device once the worker that keeps it is at work.
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await expect
    .poll(() =>
      page.evaluate(async () =>
        (await Promise.all((await caches.keys()).map(async (name) => (await (await caches.open(name)).keys()).length))).reduce(
          (sum, each) => sum + each,
          0,
        ),
      ),
    )
    .toBeGreaterThan(60);
  await page.goto('/');
  await expect(page.getByRole('region', { name: 'Visits' })).toBeVisible();
  // Somebody of today whom nobody has opened here.
  const booked = page.getByRole('navigation', { name: 'The day' }).getByRole('link', { name: /Perrin Vale/ });
  const unopened = (await booked.getAttribute('href'))!.split('/')[2]!;
  await expect.poll(() => keysOf(page)).toContainEqual(expect.stringContaining(`/visits/${unopened}`));
  await page.goto(`${visit}/arrive`);
  await expect(page.getByLabel('What brings them today')).toBeVisible();

  await context.setOffline(true);
  await page.goto(`/visit/${unopened}/arrive`);
  await expect(page.getByRole('heading', { name: 'Perrin Vale' })).toBeVisible();
  await expect(page.getByLabel('What brings them today')).toBeVisible();
  await page.goto(`/visit/${unopened}/plan`);
  await expect(page.getByRole('region', { name: 'Session line' })).toBeVisible();
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

  // With the line back it is the day that is open, not the visit: what waits arrives all the same.
  await context.setOffline(false);
  await page.goto('/');
  await expect
    .poll(
      async () => {
        const file = await (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json();
        return [file.readings.length, file.plan.blocks.length];
      },
      { timeout: 40_000 },
    )
    .toEqual([2, 1]);
  await expect.poll(() => rowsOf(page, 'pace-bend', 'changes')).toBe(0);
  await expect(page.getByRole('navigation', { name: 'The day' }).getByRole('button', { name: /not sent yet/ })).toHaveCount(0);
  await expect(page.getByText('The program cannot be reached.')).toHaveCount(0);

  // What was acknowledged is part of what is kept of the visit, though nobody has opened it since.
  await context.setOffline(true);
  await page.goto(`${visit}/measure`);
  await expect(page.getByTestId('value-left')).toHaveText(/4\.0/);
  await expect(page.getByTestId('value-left')).not.toHaveClass(/unsent/);
  await context.setOffline(false);
  await page.goto('/');
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByLabel('Sign-in name')).toBeVisible();
  // Only that nobody is in.
  expect(await rowsOf(page, 'pace-bend-kept', 'answers')).toBeLessThanOrEqual(1);
  await signIn(page);
});
