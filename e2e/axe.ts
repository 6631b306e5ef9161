import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import type axe from 'axe-core';
import { expect } from './support.ts';
import { frames } from './waiting.ts';

const SOURCE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/**
 * axe-core finds nothing wrong on the page as it stands, by day and in the dark. In the dark only the contrast is looked at: no other rule sees
 * colours. Soft, so that one run names every fault.
 */
export async function clean(page: Page, where: string): Promise<void> {
  // A page still on its way has no heading yet.
  await expect(page.locator('h1').first()).toBeVisible();
  // A colour half-way through its transition is nobody's contrast.
  await page.addStyleTag({ content: '*, *::before, *::after { transition: none !important; animation: none !important; }' });
  await page.evaluate(SOURCE);
  await noFaults(page, where, { resultTypes: ['violations'] });
  await page.emulateMedia({ colorScheme: 'dark' });
  await frames(page, 3);
  await noFaults(page, `${where}, dark`, { runOnly: ['color-contrast'], resultTypes: ['violations'] });
  await page.emulateMedia({ colorScheme: 'light' });
  await frames(page, 3);
}

async function noFaults(page: Page, where: string, rules: axe.RunOptions): Promise<void> {
  const found = await page.evaluate(async (options) => {
    const { violations } = await (globalThis as unknown as { axe: typeof axe }).axe.run(document, options);
    // The numbers drawn in a figure are no label of the button that shows it large.
    const isDrawn = (id: string, target: string) =>
      id === 'label-content-name-mismatch' && document.querySelector(target)?.querySelector('svg text') !== null;
    // A list that is open stands at the end of the page; its field leads to it.
    const isOpenList = (id: string, target: string) =>
      id === 'region' && document.querySelector(`:is(${target}):is(.ant-select-dropdown *, :has(> div > .ant-select-dropdown))`) !== null;
    return violations
      .map(({ id, nodes }) => ({
        id,
        nodes: nodes.filter((node) => !isDrawn(id, node.target.join(' ')) && !isOpenList(id, node.target.join(' '))),
      }))
      .filter(({ nodes }) => nodes.length > 0)
      .map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.target.join(' ')).join(', ')}`);
  }, rules);
  expect.soft(found.map((fault) => `${where}: ${fault}`)).toEqual([]);
}
