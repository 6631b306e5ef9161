import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createServer } from 'vite';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Cue error over a real two-minute line: the program's clock against a plain countdown, in the same page at the same time. */
export async function cueClock(browser) {
  const server = await createServer({
    root: join(root, 'bench', 'clock'),
    configFile: false,
    logLevel: 'error',
    worker: { format: 'es' },
    server: { host: '127.0.0.1', port: 0, fs: { allow: [root] } },
  });
  await server.listen();
  const url = `http://127.0.0.1:${server.httpServer.address().port}/`;
  const measure = async (busy) => {
    const page = await browser.newPage();
    await page.goto(url);
    await page.waitForFunction(() => 'measure' in window);
    const seconds = await page.evaluate(() => window.lineSeconds);
    const errors = await page.evaluate((isBusy) => window.measure(isBusy), busy);
    await page.close();
    return { seconds, ...errors };
  };
  const quiet = await measure(false);
  const busy = await measure(true);
  await server.close();
  return { quiet, busy };
}

/** p50, p99 and the largest of the errors' sizes, and the last error: what a drift has added up to. */
export function describe(errors) {
  const sizes = errors.map(Math.abs).sort((a, b) => a - b);
  const at = (share) => sizes[Math.min(sizes.length - 1, Math.ceil(share * sizes.length) - 1)];
  return { p50: at(0.5), p99: at(0.99), max: sizes.at(-1), last: errors.at(-1) };
}
