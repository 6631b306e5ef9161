import { readFileSync } from 'node:fs';
import { PHASE_FAMILIES, type PhaseFamily } from '../method/index.ts';

/** The one thing about a phase that stands outside its row: its colours, which belong to the theme. */
const theme = readFileSync('web/src/app/theme.css', 'utf8');
const FAMILIES = Object.keys(PHASE_FAMILIES) as PhaseFamily[];

test('every family of phases has its colour, and a colour for its pattern where it has one', () => {
  for (const family of FAMILIES) {
    expect([family, theme.includes(`--phase-${family}:`)]).toEqual([family, true]);
    if (PHASE_FAMILIES[family].pattern !== null) expect([family, theme.includes(`--phase-${family}-mark:`)]).toEqual([family, true]);
  }
});
