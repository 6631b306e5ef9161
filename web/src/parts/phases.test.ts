import { readFileSync } from 'node:fs';
import { PHASE_FAMILIES, PHASE_KINDS, type PhaseFamily } from '@pace-bend/core/method';
import { PHASE_PATTERNS } from './phasePatterns.ts';

const theme = readFileSync('web/src/app/theme.css', 'utf8');
const FAMILIES = Object.keys(PHASE_FAMILIES) as PhaseFamily[];

test('every family of phases has its colour, and a colour for its pattern where it has one', () => {
  for (const family of FAMILIES) {
    expect([family, theme.includes(`--phase-${family}:`)]).toEqual([family, true]);
    if (PHASE_FAMILIES[family].pattern !== null) expect([family, theme.includes(`--phase-${family}-mark:`)]).toEqual([family, true]);
  }
});

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
