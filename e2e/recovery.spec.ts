import {
  addMotion,
  arriveNow,
  expect,
  ownPractice,
  plannedVisit,
  REFUSED,
  runThrough,
  saved,
  signIn,
  test,
  typeTrials,
  walkIn,
} from './support.ts';
import type { Page } from '@playwright/test';
import { WRITES } from './line.ts';
import { counted, frames, position } from './waiting.ts';

const planOneBlock = (page: Page, name: string) =>
  plannedVisit(page, name, 'hip extension knee bent', [3, 5, 4, 11, 12, 11], 'Breath-led contract-relax');

/** Into the breath-led part, a few seconds in. */
async function intoTheRun(page: Page, visit: string): Promise<void> {
  await page.goto(`${visit}/table`);
  await expect(page.getByText('Space begins')).toBeVisible();
  for (let i = 0; i < 3; i++) {
    await page.keyboard.press('Space');
    await frames(page, 12);
  }
  await counted(page, 4200);
  await page.keyboard.press('2');
}

test('the tab is closed in the middle: the visit reopens where it was', async ({ page, context, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  const visit = await planOneBlock(page, 'Closed Tab');
  await intoTheRun(page, visit);
  const before = await position(page);
  await page.close();

  const again = await context.newPage();
  await again.goto(visit);
  await expect(again).toHaveURL(/\/table$/);
  await expect(again.getByText('Reopened where it was. Space goes on')).toBeVisible();
  const after = await position(again);
  expect(Math.abs(after - before)).toBeLessThan(1500);
  // It stands still until the therapist goes on.
  await frames(again, 48);
  expect(await position(again)).toBe(after);
  await again.keyboard.press('Space');
  await counted(again, 300);
  expect(await position(again)).toBeGreaterThan(after);
});

test('another browser sees what the server has acknowledged, and goes on from there', async ({ page, browser, expectedErrors }) => {
  expect(expectedErrors).toEqual([]);
  const visit = await planOneBlock(page, 'Other Browser');
  await intoTheRun(page, visit);
  const before = await position(page);
  await frames(page, 18);
  await page.close();
  const other = await (await browser.newContext()).newPage();
  await signIn(other);
  await other.goto(visit);
  await expect(other.getByText('Reopened where it was. Space goes on')).toBeVisible();
  // The score is in: it was acknowledged before the tab closed.
  await expect(other.getByRole('button', { name: 'Discomfort 2', pressed: true })).toBeVisible();
  expect(Math.abs((await position(other)) - before)).toBeLessThan(3500);
  await other.context().close();
});

test('the program is killed in the middle: nothing acknowledged is lost, and what was not is sent later', async ({
  page,
  expectedErrors,
  applicationFromNothing,
}) => {
  expectedErrors.push(REFUSED);
  const application = await ownPractice(page, applicationFromNothing);
  await page.goto(application.url);
  await expect(page.getByText('No visits on this day')).toBeVisible();
  await page.getByRole('button', { name: 'Walk-in' }).click();
  await page.getByLabel('Name').fill('First Athlete');
  await page.getByLabel('Birth date').fill('1999-09-09');
  await arriveNow(page);
  await page.getByRole('button', { name: 'Measure', exact: true }).click();
  await expect(page.getByText('Choose the first motion to measure')).toBeVisible();
  await addMotion(page, 'hip extension knee bent');
  await typeTrials(page, [3, 5, 4, 11, 12, 11]);
  await page.getByRole('button', { name: /Plan from/ }).click();
  await page.getByRole('region', { name: 'Offers' }).getByRole('button', { name: 'Breath-led contract-relax' }).first().click();
  await page.getByRole('region', { name: 'Way of working' }).getByRole('button', { name: 'leave right out' }).click();
  await saved(page);
  const visit = page.url().replace('/plan', '');
  await page.goto(`${visit}/table?rate=10`);
  await expect(page.getByText('Space begins')).toBeVisible();
  await page.keyboard.press('Space');
  await frames(page, 12);
  await page.keyboard.press('Space');
  await frames(page, 18);
  await application.kill();

  // The count at the table does not depend on the server.
  const table = page.getByTestId('table');
  await page.keyboard.press('Space');
  await counted(page, 5000);
  await page.keyboard.press('4');
  await expect(page.getByText('Not sent yet: kept here')).toBeVisible();
  await expect(table).toHaveAttribute('data-status', 'running');
  const before = await position(page);

  await application.start();
  await expect(page.getByText('Not sent yet: kept here')).toHaveCount(0);
  expect(await position(page)).toBeGreaterThanOrEqual(before);
  await runThrough(page);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row').filter({ hasText: 'Left' })).toContainText('4 of 4');
  await page.reload();
  await expect(page.getByRole('row').filter({ hasText: 'Left' })).toContainText('4');

  // Killed once more with everything at rest: the visit is all there.
  await expect.poll(async () => (await (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json()).visit.step).toBe('close');
  await application.kill();
  await application.start();
  await page.goto(visit);
  await expect(page).toHaveURL(/\/close$/);
  await expect(page.getByText('was 4.0')).toBeVisible();
});

test('no answer for a while: what is typed is kept and sent', async ({ page, line, expectedErrors }) => {
  expectedErrors.push(REFUSED, /ERR_FAILED/);
  const visit = await walkIn(page, 'No Answer');
  line.cut(WRITES);
  await page.getByLabel('What brings them today').fill('Typed while nobody answered');
  await expect(page.getByText('Not sent yet: kept here, trying again')).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('What brings them today')).toHaveValue('Typed while nobody answered');
  line.restore();
  await expect(page.getByText('Not sent yet: kept here, trying again')).toHaveCount(0);
  await saved(page);
  const file = await page.request.get(visit.replace('/visit/', '/api/visits/'));
  expect((await file.json()).visit.complaint).toBe('Typed while nobody answered');
});
