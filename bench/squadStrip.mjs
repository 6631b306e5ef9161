import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import { build, preview } from 'vite';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const ROUNDS = 7;

/** Scripting time and time to first paint of a squad strip of 40 × 24 and of the kit's table with the same figures, in turns. */
export async function squadStrip(browser) {
  const outDir = mkdtempSync(join(tmpdir(), 'pace-bend-strip-'));
  await build({
    root: join(root, 'bench', 'strip'),
    configFile: false,
    logLevel: 'error',
    plugins: [vue()],
    build: { target: 'es2022', outDir, emptyOutDir: true, chunkSizeWarningLimit: 5000 },
  });
  const server = await preview({
    root: join(root, 'bench', 'strip'),
    configFile: false,
    logLevel: 'error',
    build: { outDir },
    preview: { host: '127.0.0.1', port: 0 },
  });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`http://127.0.0.1:${server.httpServer.address().port}/`);
  await page.waitForFunction(() => 'paint' in window);
  const runs = { strip: [], table: [] };
  for (let i = 0; i < ROUNDS; i++)
    for (const kind of ['strip', 'table']) runs[kind].push(await page.evaluate((which) => window.paint(which), kind));
  await page.close();
  await new Promise((resolve) => server.httpServer.close(resolve));
  rmSync(outDir, { recursive: true, force: true });
  const median = (list, key) => list.map((each) => each[key]).sort((a, b) => a - b)[Math.floor(list.length / 2)];
  // The first run of each warms the engine up and is left out.
  const of = (list) => ({
    scriptMs: median(list.slice(1), 'scriptMs'),
    paintMs: median(list.slice(1), 'paintMs'),
    firstMs: list[0].paintMs,
    nodes: list[0].nodes,
  });
  return { strip: of(runs.strip), table: of(runs.table) };
}
