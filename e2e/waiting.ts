import { expect, type Page } from '@playwright/test';

/** Waiting for something that happens, never for a time: a slow machine takes longer and is no other machine. */

/** So many frames are drawn, or would be where none are. Also for what must not change meanwhile: it had so many chances. */
export async function frames(page: Page, count = 2): Promise<void> {
  await page.evaluate(
    (n) =>
      new Promise<void>((resolve) => {
        const next = (left: number) => {
          if (left === 0) return resolve();
          let gone = false;
          const on = () => {
            if (!gone) {
              gone = true;
              next(left - 1);
            }
          };
          requestAnimationFrame(on);
          setTimeout(on, 40);
        };
        next(n);
      }),
    count,
  );
}

/** Nothing moves any more: every animation and transition that ends has ended, and what came of it is drawn. */
export async function still(page: Page): Promise<void> {
  await frames(page);
  await page.evaluate(async () => {
    const ending = () =>
      document
        .getAnimations()
        .filter((each) => each.playState === 'running' && each.effect?.getComputedTiming().endTime !== Number.POSITIVE_INFINITY);
    // What begins anew again and again is not waited for for ever.
    for (let n = 0, running = ending(); n < 30 && running.length > 0; n++, running = ending())
      await Promise.race([Promise.allSettled(running.map((each) => each.finished)), new Promise((resolve) => setTimeout(resolve, 100))]);
  });
  await frames(page);
}

/** Place on the line at the table, in milliseconds. */
export async function position(page: Page): Promise<number> {
  return Number(await page.getByTestId('table').getAttribute('data-position'));
}

/** The count at the table has gone on by so many milliseconds of the line. */
export async function counted(page: Page, ms: number): Promise<void> {
  const from = await position(page);
  await expect.poll(() => position(page), { intervals: [50] }).toBeGreaterThanOrEqual(from + ms);
}

/** Clicks a button in the very moment it stands there: for what may be gone before a pointer has got to it. Resolves with whether it was clicked. */
export async function clickAtOnce(page: Page, words: string, act: () => Promise<void>): Promise<boolean> {
  await page.evaluate((name) => {
    const watch = new MutationObserver(() => {
      const button = [...document.querySelectorAll('button')].find((each) => each.textContent?.trim() === name);
      if (!button) return;
      watch.disconnect();
      document.body.dataset.clicked = name;
      button.click();
    });
    watch.observe(document.body, { childList: true, subtree: true });
  }, words);
  await act();
  return page.evaluate((name) => document.body.dataset.clicked === name, words);
}
