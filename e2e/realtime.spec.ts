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

/** Notes changes of cue and status inside the page, where nothing but the page itself delays them. */
async function noteChanges(page: Page): Promise<() => Promise<(cue: string, status: string) => number>> {
  await page.evaluate(() => {
    const table = document.querySelector('[data-testid="table"]')!;
    const seen: { cue: string; status: string; at: number }[] = [];
    Object.assign(window, { seen });
    new MutationObserver(() => {
      const [cue, status] = [table.getAttribute('data-cue')!, table.getAttribute('data-status')!];
      const last = seen.at(-1);
      if (!last || last.cue !== cue || last.status !== status) seen.push({ cue, status, at: performance.now() });
    }).observe(table, { attributes: true });
  });
  return async () => {
    const seen = await page.evaluate(() => (window as unknown as { seen: { cue: string; status: string; at: number }[] }).seen);
    return (cue, status) => seen.find((each) => each.cue === cue && each.status === status)!.at;
  };
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

    const at = await changes();
    const began = at('1', 'running');
    for (const [moment, wanted] of [
      [at('2', 'running'), 3000],
      [at('3', 'running'), 7000],
      [at('3', 'finished'), 9000],
    ] as const) {
      // One slow frame of a busy machine is allowed; a drift is not.
      expect(Math.abs(moment - began - wanted)).toBeLessThan(250);
    }
    await page.keyboard.press('Enter');
    await expect(page).toHaveURL(`${visit}/close`);
    await expect(page.getByRole('row').filter({ hasText: 'Left' })).toContainText('4 s of 4 s');
  });
}
