#!/usr/bin/env node
// Contact sheets of every figure, by region and joint, at 96 and 400 pixels: `npm run figures [-- folder]`.
import { spawnSync } from 'node:child_process';
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { ensureBrowser } from './lib/browser.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { say } from './lib/say.mjs';
import { WITH_TYPES } from './lib/withTypes.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
ensurePackages(root);
const executablePath = ensureBrowser();
const { chromium } = await import('@playwright/test');
const folder = process.argv[2] ?? join(root, '.data', 'figures');
mkdirSync(folder, { recursive: true });

const made = spawnSync(process.execPath, [...WITH_TYPES, 'bench/sheets.ts'], {
  cwd: root,
  encoding: 'utf8',
  maxBuffer: 1 << 28,
  stdio: ['ignore', 'pipe', 'inherit'],
});
if (made.status !== 0) throw new Error('The sheets could not be drawn.');
const sheets = JSON.parse(made.stdout);
const browser = await chromium.launch({ executablePath, args: ['--no-sandbox', '--disable-gpu'] });
try {
  for (const { file, html } of sheets) {
    const path = join(folder, `${file}.html`);
    writeFileSync(path, html);
    const page = await browser.newPage({ viewport: { width: file.endsWith('-96') ? 1120 : 1600, height: 700 } });
    await page.goto(pathToFileURL(path).href);
    await page.screenshot({ path: join(folder, `${file}.png`), fullPage: true });
    await page.close();
  }
} finally {
  await browser.close();
}
say(`${sheets.length} sheets in ${folder}`);
