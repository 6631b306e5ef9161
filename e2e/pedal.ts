import type { Page } from '@playwright/test';

/** Longer than the time within which two presses of a pedal are one gesture. */
const APART_MS = 340;

/** Presses a pedal and lets it go, far enough from the press before that it is one by itself. */
export async function pedal(page: Page, key = 'PageDown'): Promise<void> {
  await page.keyboard.press(key);
  await page.evaluate((ms) => new Promise((resolve) => setTimeout(resolve, ms)), APART_MS);
}

/** Holds a pedal until it has acted. */
export async function holdPedal(page: Page, key: string): Promise<void> {
  await page.keyboard.down(key);
  await page.evaluate(() => new Promise((resolve) => setTimeout(resolve, 700)));
  await page.keyboard.up(key);
}

/** Presses a pedal twice at once, as one gesture: on a busy machine two presses sent one after the other come too late for that. */
export async function pressTwice(page: Page, key: string): Promise<void> {
  await page.evaluate((pressed) => {
    const on = document.activeElement ?? document.body;
    for (const type of ['keydown', 'keyup', 'keydown', 'keyup'])
      on.dispatchEvent(new KeyboardEvent(type, { key: pressed, code: pressed, bubbles: true, cancelable: true }));
  }, key);
}
