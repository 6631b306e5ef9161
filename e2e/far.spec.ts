import type { Page } from '@playwright/test';
import { arcMinutes } from '@pace-bend/core/table';
import { overprints } from './overprint.ts';
import { expect, plannedVisit, test, toTheTable } from './support.ts';
import { frames, still } from './waiting.ts';

const table = (page: Page) => page.getByTestId('table');

/** Height of a capital of what stands there, in CSS pixels, as the browser draws its font. */
const capPx = (page: Page, selector: string) =>
  page
    .locator(selector)
    .first()
    .evaluate((element) => {
      const { fontStyle, fontWeight, fontSize, fontFamily } = getComputedStyle(element);
      const context = document.createElement('canvas').getContext('2d')!;
      context.font = `${fontStyle} ${fontWeight} ${fontSize} ${fontFamily}`;
      return context.measureText('H').actualBoundingBoxAscent;
    });

test('the far view: at 2.5 m instruction and effort are seen under 16 minutes of arc or more, what comes next and the side under 10', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await plannedVisit(page, 'Far Away', 'straight-leg', [55, 56, 55, 70, 70, 70], 'Breath-led contract-relax');
  await toTheTable(page);
  await page.keyboard.press('Space');
  for (let guard = 0; guard < 30 && !(await page.getByTestId('effort').isVisible()); guard++) {
    await page.keyboard.press('ArrowRight');
    await frames(page);
  }
  await expect(page.getByTestId('effort')).toHaveText(/^\d+ %\s*effort · breathe out$/);
  // A 10-inch tablet of either shape, a 13-inch laptop.
  for (const [width, height, inches] of [
    [1280, 800, 10.1],
    [1024, 768, 10],
    [1440, 900, 13.3],
  ] as const) {
    await page.setViewportSize({ width, height });
    await still(page);
    const mmPerPx = (inches * 25.4) / Math.hypot(width, height);
    const seen = async (selector: string) => arcMinutes((await capPx(page, selector)) * mmPerPx, 2.5);
    for (const selector of ['.instruction', '[data-testid="effort"]'])
      expect(await seen(selector), `${selector} at ${width}`).toBeGreaterThanOrEqual(16);
    for (const selector of ['.then', '.where', '[data-testid="edge"]'])
      expect(await seen(selector), `${selector} at ${width}`).toBeGreaterThanOrEqual(10);
    expect(await seen('[data-testid="count"]'), `count at ${width}`).toBeGreaterThanOrEqual(16);
  }
});

test('in the far view every cue of a line is whole: nothing over anything, nothing off the screen; F changes the view, and it is kept', async ({
  page,
  expectedErrors,
}) => {
  expect(expectedErrors).toEqual([]);
  await plannedVisit(
    page,
    'Maximiliane-Theodora Vandenbroucke-Østergaard',
    'straight-leg',
    [55, 56, 55, 70, 70, 70],
    'Breath-led contract-relax',
  );
  await toTheTable(page);
  await expect(table(page)).toHaveClass(/\bfar\b/);
  await page.keyboard.press('Space');
  const seen = new Set<string>();
  for (let guard = 0; guard < 40 && (await table(page).getAttribute('data-status')) !== 'finished'; guard++) {
    const words = await page.locator('.say').innerText();
    if (!seen.has(words)) {
      seen.add(words);
      for (const [width, height] of [
        [1280, 800],
        [1024, 768],
      ] as const) {
        await page.setViewportSize({ width, height });
        await still(page);
        const faults = (await overprints(page)).filter((fault) => !/take back/.test(fault));
        expect(faults, `${width}: ${words}`).toEqual([]);
        expect(await page.evaluate(() => document.documentElement.scrollHeight - window.innerHeight), words).toBeLessThanOrEqual(0);
        // All at one moment: the count goes on meanwhile, and the words with it.
        const below = await page.locator('.say').evaluate((say) => {
          const parts = [...document.querySelectorAll('.instruction, .effort, .then')];
          const end = say.getBoundingClientRect().bottom + 1;
          return parts.filter((part) => part.getBoundingClientRect().bottom > end).map((part) => part.textContent);
        });
        expect(below, `${width}: ${words}`).toEqual([]);
      }
    }
    await page.keyboard.press('ArrowRight');
    await frames(page);
  }
  expect(seen.size).toBeGreaterThan(6);

  await page.keyboard.press('f');
  await expect(table(page)).not.toHaveClass(/\bfar\b/);
  await page.reload();
  await expect(table(page)).not.toHaveClass(/\bfar\b/);
  await page.getByRole('button', { name: 'Near view' }).click();
  await expect(table(page)).toHaveClass(/\bfar\b/);
});
