import type { Side } from '../body/index.ts';
import { phaseKind } from './phases.ts';
import type { Line } from './types.ts';

/** Time by what it is spent on, for one side of one block. All in milliseconds. */
export interface SideDose {
  readonly blockIndex: number;
  readonly side: Side;
  readonly totalMs: number;
  /** Held at the edge with nobody working; what dose guidance counts as stretch. */
  readonly endRangeMs: number;
  readonly contractMs: number;
  readonly rounds: number;
}

/**
 * What a line asks of each block and side, in the order they come.
 * The totals add up to the line's own total.
 */
export function doseOf(line: Pick<Line, 'cues'>): SideDose[] {
  const doses = new Map<string, { -readonly [K in keyof SideDose]: SideDose[K] }>();
  for (const cue of line.cues) {
    const key = `${cue.blockIndex}:${cue.side}`;
    let dose = doses.get(key);
    if (!dose) {
      dose = { blockIndex: cue.blockIndex, side: cue.side, totalMs: 0, endRangeMs: 0, contractMs: 0, rounds: cue.rounds };
      doses.set(key, dose);
    }
    const durationMs = cue.endMs - cue.startMs;
    const { counts } = phaseKind(cue.kind);
    dose.totalMs += durationMs;
    if (counts === 'end-range') dose.endRangeMs += durationMs;
    if (counts === 'contraction') dose.contractMs += durationMs;
  }
  return [...doses.values()];
}
