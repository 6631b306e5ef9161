/** Typing into a week of 200 athletes: how long the page is held up by a key, and by keeping a cell, as the browser counts long tasks. */
export async function weekGrid(browser, address, password) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.request.post(`${address}api/sign-in`, { data: { login: 'bench', password } });
  await page.goto(`${address}load`);
  await page.getByRole('button', { name: 'A week back' }).click();
  await page.locator('[data-cell="0/0"]').waitFor();
  await page.waitForTimeout(1500);
  await page.evaluate(() => {
    window.longTasks = [];
    new PerformanceObserver((list) => window.longTasks.push(...list.getEntries().map((entry) => entry.duration))).observe({
      type: 'longtask',
      buffered: false,
    });
  });
  const times = [];
  for (let row = 0; row < 30; row++) {
    await page.locator(`[data-cell="${row}/2"]`).focus();
    const begun = Date.now();
    await page.keyboard.type('45 6');
    await page.keyboard.press('Enter');
    times.push(Date.now() - begun);
  }
  await page.waitForTimeout(1500);
  const longest = await page.evaluate(() => Math.max(0, ...window.longTasks));
  const rows = await page.locator('tbody tr').count();
  await page.close();
  return { rows, cells: times.length, medianMs: [...times].sort((a, b) => a - b)[15], longestTaskMs: longest };
}
