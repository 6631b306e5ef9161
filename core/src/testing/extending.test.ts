import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { MOTION_FACETS, MOTIONS } from '../body/index.ts';
import { drawMotion, drawScene } from '../figure/index.ts';
import { doingOf, ENTRIES, entryScene } from '../catalogue/index.ts';
import { CONDITIONS, RULES, surgeryPhase } from '../caution/index.ts';
import { fits, METHODS } from '../method/index.ts';
import { noReferenceBecause, referenceBands } from '../measure/index.ts';

/** What docs/extending.md promises: whatever was forgotten when something was added is named here. */
const document = readFileSync('docs/extending.md', 'utf8');

test.each(MOTIONS)('a motion, $id: facets, a figure over its whole range, a reference or why there is none', (motion) => {
  expect(MOTION_FACETS[motion.id]).toBeDefined();
  for (const value of [motion.fan.min, motion.rest, motion.fan.max])
    expect(drawMotion(motion, { values: { [motion.sides[0]!]: value }, size: 96 }).shapes.length).toBeGreaterThan(0);
  const bands = referenceBands(motion.id, { birthDate: '1996-01-01', referenceSex: 'female' }, '2026-11-25');
  if (bands.length === 0)
    expect(noReferenceBecause(motion.id, { birthDate: '1996-01-01', referenceSex: 'female' }, '2026-11-25')).toBeTruthy();
});

test.each(ENTRIES)('an entry, $id: what it does to the body, a figure in a position it is done in, ways that exist', (entry) => {
  expect(doingOf(entry)).toBeDefined();
  expect(drawScene(entryScene(entry), { size: 96 }).shapes.length).toBeGreaterThan(0);
  expect(entry.ways.every((way) => METHODS.some((method) => method.id === way))).toBe(true);
});

test.each(METHODS)('a way of working, $id: an entry that it fits, and what it brings', (method) => {
  expect(ENTRIES.some((entry) => fits(entry, method))).toBe(true);
  expect(method.share).toBeGreaterThan(0);
});

test.each(CONDITIONS)('a condition, $code: a rule that speaks of it; an operation has phases', ({ code, ...facts }) => {
  expect(JSON.stringify(RULES)).toContain(`"${code}"`);
  if ('surgery' in facts) expect(surgeryPhase('2026-10-07', '2026-11-25').phase).toBe('repair');
});

test('every file and every test that the list names is there', () => {
  const paths = [...document.matchAll(/`((?:core|web)\/src\/[^`<]+)`/g)].map(([, path]) => path!);
  expect(paths.length).toBeGreaterThan(12);
  for (const path of paths) expect([path, existsSync(path)]).toEqual([path, true]);
  const tests = new Set([...document.matchAll(/`(\w+\.test\.ts)`/g)].map(([, name]) => name!));
  const there = new Set<string>();
  const walk = (folder: string): void => {
    for (const each of readdirSync(folder, { recursive: true, encoding: 'utf8' })) there.add(each.split('/').at(-1)!);
  };
  for (const part of ['core/src', 'server/src', 'web/src']) walk(part);
  for (const name of tests) expect([name, there.has(name)]).toEqual([name, true]);
});
