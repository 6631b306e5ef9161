import type { PhaseFamilyFacts } from '@pace-bend/core/method';

/** One tile of a pattern: its size, its path, and how it is drawn with the mark colour of a family. */
export interface PatternTile {
  readonly width: number;
  readonly height: number;
  readonly path: string;
  readonly stroke: number;
  /** Filled instead of drawn. */
  readonly filled?: true;
  readonly faint?: true;
  readonly turned?: true;
}

/** Every pattern of phases, for the stair, its legend, a round of one's own and the table alike. */
export const PHASE_PATTERNS: Readonly<Record<NonNullable<PhaseFamilyFacts['pattern']>, PatternTile>> = {
  zigzag: { width: 9, height: 10, path: 'M0 9L4.5 3L9 9', stroke: 2 },
  dots: {
    width: 8,
    height: 8,
    path: 'M.7 2a1.3 1.3 0 1 0 2.6 0a1.3 1.3 0 1 0-2.6 0M4.7 6a1.3 1.3 0 1 0 2.6 0a1.3 1.3 0 1 0-2.6 0',
    stroke: 0,
    filled: true,
  },
  lines: { width: 8, height: 6, path: 'M0 3H8', stroke: 1, faint: true },
  waves: { width: 12, height: 10, path: 'M0 5Q3 0 6 5T12 5', stroke: 1.5 },
  bars: { width: 6, height: 8, path: 'M3 0V8', stroke: 2 },
  rails: { width: 8, height: 7, path: 'M0 3.5H8', stroke: 3 },
  stripes: { width: 7, height: 7, path: 'M0 0V7', stroke: 2, turned: true },
};
