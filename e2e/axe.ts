import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import type axe from 'axe-core';
import { expect } from './support.ts';

const SOURCE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/**
 * axe-core finds nothing wrong on the page as it stands. In the dark only the contrast is looked at: no other rule sees colours, and
 * the light run has gone through all of them. Soft, so that one run names every fault.
 */
export async function clean(page: Page, where: string): Promise<void> {
  // A page still on its way has no heading yet.
  await expect(page.locator('h1').first()).toBeVisible();
  // A colour half-way through its transition is nobody's contrast.
  await page.addStyleTag({ content: '*, *::before, *::after { transition: none !important; animation: none !important; }' });
  await page.evaluate(SOURCE);
  const found = await page.evaluate(async () => {
    const rules = matchMedia('(prefers-color-scheme: dark)').matches ? { runOnly: ['color-contrast'] } : {};
    const { violations } = await (globalThis as unknown as { axe: typeof axe }).axe.run(document, rules);
    // The numbers drawn in a figure are no label of the button that shows it large.
    const isDrawn = (id: string, target: string) =>
      id === 'label-content-name-mismatch' && document.querySelector(target)?.querySelector('svg text') !== null;
    return violations
      .map(({ id, nodes }) => ({ id, nodes: nodes.filter((node) => !isDrawn(id, node.target.join(' '))) }))
      .filter(({ nodes }) => nodes.length > 0)
      .map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.target.join(' ')).join(', ')}`);
  });
  expect.soft(found.map((fault) => `${where}: ${fault}`)).toEqual([]);
}
