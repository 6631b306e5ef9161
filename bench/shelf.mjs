/** Scripting time of opening the shelf with all its pictures, as the browser counts it, after one visit that warms everything up. */
export async function shelfScripting(browser, address) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.request.post(`${address}api/sign-in`, { data: { login: 'marit', password: 'quiet river owner' } });
  await page.goto(address);
  await page.getByRole('navigation', { name: 'The day' }).waitFor();
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const scripting = async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    return metrics.find(({ name }) => name === 'ScriptDuration').value * 1000;
  };
  const runs = [];
  for (let i = 0; i < 6; i++) {
    await page.getByRole('link', { name: 'Day', exact: true }).click();
    await page.waitForTimeout(500);
    const before = await scripting();
    await page.getByRole('link', { name: 'Shelf', exact: true }).click();
    await page.getByRole('listitem').first().locator('svg').waitFor();
    await page.waitForTimeout(700);
    runs.push((await scripting()) - before);
  }
  const drawn = await page.locator('ul.entries svg').count();
  const entries = await page.locator('ul.entries li').count();
  await page.close();
  return { firstMs: runs[0], medianMs: runs.slice(1).sort((a, b) => a - b)[2], drawn, entries };
}
