import type { Side } from '../body/index.ts';
import { doseOf, phaseKind, type Line } from '../method/index.ts';
import type { RunState } from '../table/index.ts';

/** What was planned and what was done, for one side of one block. Times in milliseconds. */
export interface SideDone {
  readonly blockIndex: number;
  readonly side: Side;
  readonly name: string;
  readonly planned: { readonly rounds: number; readonly totalMs: number; readonly endRangeMs: number; readonly contractMs: number };
  readonly real: {
    /** Rounds whose last phase was reached and done, and which these are. */
    readonly rounds: number;
    readonly finished: readonly number[];
    readonly totalMs: number;
    readonly endRangeMs: number;
    readonly contractMs: number;
  };
  /** Efforts of the contractions that were started, in order, percent. */
  readonly efforts: readonly number[];
  readonly discomfort: readonly number[];
  readonly highestDiscomfort: number | null;
  readonly timesEased: number;
  readonly stopped: boolean;
  /** Edges read at the table, in order, in the block's unit. */
  readonly edges: readonly { readonly round: number; readonly value: number }[];
}

/**
 * Sums a run up by block and side, in the order of the line. Sides that were never reached are listed
 * with nothing done, so that a side left undone is seen. Real times are the time spent in the cue,
 * holds by the therapist included, because the limb stayed where it was.
 */
export function whatWasDone(line: Line, state: RunState): SideDone[] {
  return doseOf(line).map((dose): SideDone => {
    const isHere = (cueIndex: number) => line.cues[cueIndex]!.blockIndex === dose.blockIndex && line.cues[cueIndex]!.side === dose.side;
    const spans = state.spans.filter((span) => isHere(span.cueIndex));
    const timeIn = (wanted: (cueIndex: number) => boolean) =>
      spans.filter((span) => wanted(span.cueIndex)).reduce((sum, span) => sum + span.endMs - span.startMs, 0);
    const ended = new Set(spans.filter((span) => span.end === 'done').map((span) => span.cueIndex));
    const finished = Array.from({ length: dose.rounds }, (_, i) => i + 1).filter((round) =>
      ended.has(line.cues.findLastIndex((cue) => isHere(cue.index) && cue.round === round)),
    );
    const discomfort = state.discomfort.filter((note) => isHere(note.cueIndex)).map((note) => note.score);
    return {
      blockIndex: dose.blockIndex,
      side: dose.side,
      name: line.blocks[dose.blockIndex]!.name,
      planned: { rounds: dose.rounds, totalMs: dose.totalMs, endRangeMs: dose.endRangeMs, contractMs: dose.contractMs },
      real: {
        rounds: finished.length,
        finished,
        totalMs: timeIn(() => true),
        endRangeMs: timeIn((i) => phaseKind(line.cues[i]!.kind).counts === 'end-range'),
        contractMs: timeIn((i) => phaseKind(line.cues[i]!.kind).counts === 'contraction'),
      },
      efforts: spans.flatMap((span) =>
        phaseKind(line.cues[span.cueIndex]!.kind).counts === 'contraction' && span.effortPct !== null ? [span.effortPct] : [],
      ),
      discomfort,
      highestDiscomfort: discomfort.length > 0 ? Math.max(...discomfort) : null,
      timesEased: spans.filter((span) => span.end === 'eased').length,
      stopped: state.stops.some((stop) => isHere(stop.cueIndex)),
      edges: state.edges
        .filter((note) => note.blockIndex === dose.blockIndex && note.side === dose.side)
        .map(({ round, value }) => ({ round, value })),
    };
  });
}
