import type { Page } from '@playwright/test';
import { expect, plannedVisit, saved, test, toTheTable } from './support.ts';

/** One short passive hold on one side: to the edge in 3 s, held 4 s, home in 2 s. */
async function planShortHold(page: Page, name: string): Promise<string> {
  const visit = await plannedVisit(page, name, 'straight-leg', [60, 61, 62, 70, 70, 70], 'Passive hold');
  const numbers = page.getByRole('region', { name: 'Way of working' });
  await numbers.getByRole('button', { name: 'leave right out' }).click();
  await numbers.getByLabel('Rounds, left').fill('1');
  await numbers.getByLabel('Hold', { exact: false }).first().fill('4');
  await numbers.getByRole('button', { name: 'More numbers' }).click();
  await numbers.getByLabel('Move to the edge').fill('3');
  await numbers.getByLabel('Bring it home').fill('2');
  await numbers.getByLabel('Rest after').fill('0');
  await saved(page);
  return visit;
}

/** What the page saw of itself: every change of cue and status, and every turn a plain timer of its own got, by one clock. */
interface Seen {
  readonly changes: readonly { readonly cue: string; readonly status: string; readonly at: number }[];
  readonly turns: readonly number[];
}

/** Notes changes and turns inside the page, where nothing but the page itself delays them. */
async function noteChanges(page: Page): Promise<() => Promise<Seen>> {
  await page.evaluate(() => {
    const table = document.querySelector('[data-testid="table"]')!;
    const seen: { changes: { cue: string; status: string; at: number }[]; turns: number[] } = { changes: [], turns: [] };
    Object.assign(window, { seen });
    setInterval(() => seen.turns.push(performance.now()), 20);
    new MutationObserver(() => {
      const [cue, status] = [table.getAttribute('data-cue')!, table.getAttribute('data-status')!];
      const last = seen.changes.at(-1);
      if (!last || last.cue !== cue || last.status !== status) seen.changes.push({ cue, status, at: performance.now() });
    }).observe(table, { attributes: true });
  });
  return () => page.evaluate(() => (window as unknown as { seen: Seen }).seen);
}

/** The longest the page got no turn at all between two moments: what a machine with other things to do took from it. */
function longestGap(turns: readonly number[], fromMs: number, toMs: number): number {
  return turns.reduce((longest, turn, index) => {
    const before = turns[index - 1];
    return before === undefined || turn < fromMs || before > toMs ? longest : Math.max(longest, turn - before);
  }, 0);
}

for (const frames of ['drawn', 'never drawn, as in a background tab'] as const) {
  test(`a short block in real time with frames ${frames}: every cue changes when it should`, async ({ page, expectedErrors }) => {
    expect(expectedErrors).toEqual([]);
    if (frames !== 'drawn')
      await page.addInitScript(() => {
        window.requestAnimationFrame = () => 0;
      });
    const visit = await planShortHold(page, `Real Time, ${frames.slice(0, 5)}`);
    if (frames === 'drawn') await toTheTable(page);
    else await page.goto(`${visit}/table`);
    await expect(page.getByText('Space begins')).toBeVisible();
    const changes = await noteChanges(page);
    await page.keyboard.press('Space');
    await expect(page.getByText('Waits until they lie right and you stand right: Space')).toBeVisible();
    await page.keyboard.press('Space');
    await expect(page.getByTestId('count')).toHaveText('3');
    await expect(page.getByTestId('table')).toHaveAttribute('data-status', 'finished');

    const seen = await changes();
    const at = (cue: string, status: string) => seen.changes.find((each) => each.cue === cue && each.status === status)!.at;
    const began = at('1', 'running');
    for (const [moment, wanted] of [
      [at('2', 'running'), began + 3000],
      [at('3', 'running'), began + 7000],
      [at('3', 'finished'), began + 9000],
    ] as const) {
      // One slow frame is allowed, and a turn the machine did not give to the page; a drift or an alarm that does not ring is not.
      const late = moment - wanted;
      expect(late).toBeLessThan(250 + longestGap(seen.turns, wanted, moment));
      expect(late).toBeGreaterThan(-250 - longestGap(seen.turns, began - 1000, began));
    }
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(`${visit}/close`);
    await expect(page.getByRole('row').filter({ hasText: 'Left' })).toContainText('4 s of 4 s');
  });
}
