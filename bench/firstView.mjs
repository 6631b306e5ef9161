import { gzipSync } from 'node:zlib';

/** Bytes the first view loads, compressed: scripts, styles and fonts by themselves. */
export async function firstView(browser, url) {
  const page = await browser.newPage();
  const sums = { script: 0, stylesheet: 0, font: 0 };
  const sizes = [];
  page.on('response', (response) => {
    const type = response.request().resourceType();
    if (type in sums)
      sizes.push(
        response.body().then(
          (body) => {
            sums[type] += type === 'font' ? body.length : gzipSync(body, { level: 9 }).length;
          },
          () => {},
        ),
      );
  });
  // The demo's owner, so that the day is what is shown.
  await page.request.post(`${url}api/sign-in`, { data: { login: 'marit', password: 'quiet river owner' } });
  const started = performance.now();
  await page.goto(url);
  await page.getByRole('region', { name: 'Visits' }).waitFor();
  const shownMs = performance.now() - started;
  await page.waitForLoadState('networkidle');
  await Promise.all(sizes);
  await page.close();
  return { ...sums, shownMs };
}
