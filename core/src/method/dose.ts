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
  const doses = new Map<string, SideDose>();
  for (const cue of line.cues) {
    const key = `${cue.blockIndex}:${cue.side}`;
    const dose = doses.get(key) ?? {
      blockIndex: cue.blockIndex,
      side: cue.side,
      totalMs: 0,
      endRangeMs: 0,
      contractMs: 0,
      rounds: cue.rounds,
    };
    const durationMs = cue.endMs - cue.startMs;
    doses.set(key, {
      ...dose,
      totalMs: dose.totalMs + durationMs,
      endRangeMs: dose.endRangeMs + (phaseKind(cue.kind).counts === 'end-range' ? durationMs : 0),
      contractMs: dose.contractMs + (phaseKind(cue.kind).counts === 'contraction' ? durationMs : 0),
    });
  }
  return [...doses.values()];
}
