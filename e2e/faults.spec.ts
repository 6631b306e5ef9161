import type { Page } from '@playwright/test';
import { clean } from './axe.ts';
import { expect, PASSWORDS, plannedVisit, REFUSED, test } from './support.ts';
import { counted, frames, position } from './waiting.ts';

const plan = (page: Page, name: string) =>
  plannedVisit(page, name, 'hip extension knee bent', [3, 5, 4, 11, 12, 11], 'Breath-led contract-relax');

interface Stored {
  readonly id: string;
  readonly seq: number;
  readonly event: { readonly kind: string; readonly atMs: number; readonly score?: number };
}

/** What the server has of the last run: never a place taken twice, never a gap, never back in time. */
async function eventsOf(page: Page, visit: string): Promise<Stored[]> {
  const { runs } = await (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json();
  const events: Stored[] = runs.at(-1).events;
  expect(events.map(({ seq }) => seq)).toEqual(events.map((_, i) => i + 1));
  expect(new Set(events.map(({ id }) => id)).size).toBe(events.length);
  for (const [i, each] of events.entries()) expect(each.event.atMs).toBeGreaterThanOrEqual(events[i - 1]?.event.atMs ?? 0);
  return events;
}

async function begin(page: Page, visit: string): Promise<void> {
  await page.goto(`${visit}/table`);
  await expect(page.getByText('Space begins')).toBeVisible();
  for (let i = 0; i < 3; i++) {
    await page.keyboard.press('Space');
    await frames(page, 12);
  }
  await counted(page, 1500);
}

test('two tabs at one table: one leads, the other is told and takes over; every event once, nothing of the first lost', async ({
  page,
  context,
  expectedErrors,
}) => {
  // The place in the sequence that was taken.
  expectedErrors.push(REFUSED);
  const visit = await plan(page, 'Two Tabs');
  await begin(page, visit);
  await page.keyboard.press('2');
  await expect.poll(async () => (await eventsOf(page, visit)).filter(({ event }) => event.kind === 'discomfort').length).toBe(1);

  const second = await context.newPage();
  await second.goto(`${visit}/table`);
  await expect(second.getByText('Reopened where it was. Space goes on')).toBeVisible();
  await expect(second.getByRole('button', { name: 'Discomfort 2', pressed: true })).toBeVisible();

  // The first goes on meanwhile; the second, which knows nothing of it, presses a key as well.
  await page.keyboard.press('3');
  await expect.poll(async () => (await eventsOf(page, visit)).filter(({ event }) => event.kind === 'discomfort').length).toBe(2);
  await second.keyboard.press('Space');
  await expect(second.getByText('Another tab is leading this run. What you see here no longer counts.')).toBeVisible();
  await clean(second, 'the table, led elsewhere');
  const before = await position(second);
  await second.keyboard.press('Space');
  await frames(second, 20);
  expect(await position(second)).toBe(before);

  await second.getByRole('button', { name: 'Take it back here' }).click();
  await expect(second.getByRole('button', { name: 'Discomfort 3', pressed: true })).toBeVisible();
  await second.keyboard.press('Space');
  await counted(second, 500);
  await second.keyboard.press('1');
  await expect
    .poll(async () => (await eventsOf(page, visit)).flatMap(({ event }) => (event.kind === 'discomfort' ? [event.score] : [])))
    .toEqual([2, 3, 1]);

  // Now it is the first that no longer counts, and says so with its next beat or key.
  await page.keyboard.press('5');
  await expect(page.getByText('Another tab is leading this run. What you see here no longer counts.')).toBeVisible();
  await second.keyboard.press('Space');
  await expect
    .poll(async () => (await eventsOf(second, visit)).flatMap(({ event }) => (event.kind === 'discomfort' ? [event.score] : [])))
    .toEqual([2, 3, 1]);
});

test('the laptop sleeps for ten minutes in mid-count: the run holds where it last was, asks, and the ten minutes count for nothing', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const visit = await plan(page, 'Closed Lid');
  await page.clock.install();
  await begin(page, visit);
  const before = await position(page);
  // What a closed lid is for a page: no timer runs, and then all that were due ring once.
  await page.clock.fastForward('10:00');
  await expect(page.getByTestId('table')).toHaveAttribute('data-status', 'held');
  await expect(page.getByText(/10 min/).first()).toBeVisible();
  const after = await position(page);
  expect(after - before).toBeLessThan(6000);
  await expect.poll(async () => (await eventsOf(page, visit)).at(-1)?.event.kind).toBe('hold');
  expect((await eventsOf(page, visit)).at(-1)!.event.atMs).toBeLessThan(60_000);
  await page.keyboard.press('Space');
  await expect(page.getByTestId('table')).toHaveAttribute('data-status', 'running');
  await expect.poll(() => position(page)).toBeGreaterThan(after);
});

test('signed out in mid-count: the count goes on and nothing comes between; at a hold one signs in again, and everything is there', async ({
  page,
  expectedErrors,
}) => {
  expectedErrors.push(REFUSED);
  const visit = await plan(page, 'Signed Out At The Table');
  await begin(page, visit);
  await page.context().clearCookies({ name: 'pace_bend' });
  await page.keyboard.press('2');
  await expect(page.getByText('Signed out: kept here')).toBeVisible();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  const from = await position(page);
  await counted(page, 1000);
  await page.keyboard.press('4');
  await page.keyboard.press('Space');
  await expect(page.getByTestId('table')).toHaveAttribute('data-status', 'held');
  const held = await position(page);
  expect(held).toBeGreaterThan(from);

  await clean(page, 'the table, held and signed out');
  await page.getByRole('button', { name: 'Sign in again' }).click();
  const dialog = page.getByRole('dialog', { name: 'Sign in again' });
  await dialog.getByLabel('Sign-in name').fill('marit');
  // Digits and spaces of a password are no keys of the table.
  await dialog.getByLabel('Password').pressSequentially(PASSWORDS.marit);
  await expect(dialog.getByLabel('Password')).toHaveValue(PASSWORDS.marit);
  expect(await position(page)).toBe(held);
  await dialog.getByRole('button', { name: 'Sign in', exact: true }).click();
  await expect(dialog).toBeHidden();
  await expect(page.getByText('Signed out: kept here')).toHaveCount(0);
  await expect
    .poll(async () => (await eventsOf(page, visit)).flatMap(({ event }) => (event.kind === 'discomfort' ? [event.score] : [])))
    .toEqual([2, 4]);
});

test('reloaded in mid-table again and again: one run, every event once, never further than the count was', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  const visit = await plan(page, 'Reloaded');
  await begin(page, visit);
  for (const score of ['1', '2', '3']) {
    await page.keyboard.press(score);
    await counted(page, 700);
    const before = await position(page);
    await page.reload();
    await expect(page.getByText('Reopened where it was. Space goes on')).toBeVisible();
    expect(await position(page)).toBeLessThanOrEqual(before + 1500);
    await page.keyboard.press('Space');
    await counted(page, 300);
  }
  const { runs } = await (await page.request.get(visit.replace('/visit/', '/api/visits/'))).json();
  expect(runs).toHaveLength(1);
  await expect
    .poll(async () => (await eventsOf(page, visit)).flatMap(({ event }) => (event.kind === 'discomfort' ? [event.score] : [])))
    .toEqual([1, 2, 3]);
});
