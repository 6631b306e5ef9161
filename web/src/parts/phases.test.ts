import { PHASE_FAMILIES, PHASE_KINDS, type PhaseFamily } from '@pace-bend/core/method';
import { PHASE_PATTERNS } from './phasePatterns.ts';

const FAMILIES = Object.keys(PHASE_FAMILIES) as PhaseFamily[];

test('no two families that are drawn look the same without their colour, but for those told apart by their place', () => {
  const patterns = FAMILIES.flatMap((family) => PHASE_FAMILIES[family].pattern ?? []);
  expect(new Set(patterns).size).toBe(patterns.length);
  expect(new Set(Object.values(PHASE_PATTERNS).map((tile) => `${tile.path}/${tile.turned}`)).size).toBe(Object.keys(PHASE_PATTERNS).length);
});

test('every family is some kind’s, and sounds within a third of soft tones', () => {
  for (const family of FAMILIES) {
    expect([family, Object.values(PHASE_KINDS).some((kind) => kind.family === family)]).toEqual([family, true]);
    expect(Math.max(...PHASE_FAMILIES[family].notes)).toBeLessThan(700);
  }
});
