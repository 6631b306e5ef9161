import type { Side } from '../body/index.ts';
import { doseOf, phaseKind, type Line, type SideDose } from '../method/index.ts';
import { lineNow, type RunState } from '../table/index.ts';

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
  /** Presses that went the wrong way, and breaths held. */
  readonly timesDrifted: number;
  readonly timesBraced: number;
  /** What was stayed in until it softened: whole seconds, and how it felt before and after where that was said. */
  readonly softened: readonly { readonly seconds: number; readonly before: number | null; readonly after: number | null }[];
  /** Left before its rounds were done, by a key and not by discomfort. */
  readonly left: boolean;
  /** Put in at the table, beside what was planned or in its place; null for what was planned. */
  readonly unplanned: 'added' | 'instead' | null;
  readonly stopped: boolean;
  /** What the gauge heard of its contractions, in order: newtons, percent of which strongest press, and the share of the time inside the band. */
  readonly reached: readonly {
    readonly round: number;
    readonly n: number;
    readonly pct: number | null;
    readonly of: 'today' | 'earlier' | null;
    readonly insidePct: number;
  }[];
  /** Off the plane of the motion, in words, as often as it was told. */
  readonly offPlane: readonly string[];
  /** Edges read at the table, in order, in the block's unit. */
  readonly edges: readonly { readonly round: number; readonly value: number }[];
}

/**
 * Sums a run up by block and side, in the order of the line. Sides that were never reached are listed
 * with nothing done, so that a side left undone is seen. Real times are the time spent in the cue,
 * holds by the therapist included, because the limb stayed where it was.
 */
export function whatWasDone(compiled: Line, state: RunState): SideDone[] {
  const line = lineNow(compiled, state);
  const asked = doseOf(compiled);
  const isAsked = (dose: SideDose) => asked.some((each) => each.blockIndex === dose.blockIndex && each.side === dose.side);
  const putIn = doseOf(line).filter((dose) => !isAsked(dose));
  return [...asked, ...putIn.map((dose) => ({ ...dose, rounds: 0, totalMs: 0, endRangeMs: 0, contractMs: 0 }))].map((dose): SideDone => {
    const isHere = ({ cueIndex }: { readonly cueIndex: number }) =>
      line.cues[cueIndex]!.blockIndex === dose.blockIndex && line.cues[cueIndex]!.side === dose.side;
    const cues = line.cues.filter(({ index }) => isHere({ cueIndex: index }));
    const spans = state.spans.filter(isHere);
    const timeIn = (wanted: (cueIndex: number) => boolean) =>
      spans.filter((span) => wanted(span.cueIndex)).reduce((sum, span) => sum + span.endMs - span.startMs, 0);
    const ended = new Set(spans.filter((span) => span.end === 'done').map((span) => span.cueIndex));
    const finished = Array.from({ length: Math.max(0, ...cues.map(({ rounds }) => rounds)) }, (_, i) => i + 1).filter((round) => {
      // Of a round that was laid again behind another side, the later one counts; a closing is no round.
      const last = cues.findLast((cue) => cue.round === round && cue.round <= cue.rounds);
      return last !== undefined && ended.has(last.index);
    });
    const discomfort = state.discomfort.filter(isHere).map((note) => note.score);
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
      timesDrifted: state.drifts.filter(isHere).length,
      timesBraced: state.braces.filter(isHere).length,
      softened: state.softened.filter(isHere).map(({ ms, before, after }) => ({ seconds: Math.round(ms / 1000), before, after })),
      left: spans.some((span) => span.end === 'left'),
      unplanned: line.blocks[dose.blockIndex]!.unplanned ?? null,
      stopped: state.stops.some(isHere),
      reached: state.efforts.filter(isHere).map(({ cueIndex, n, pct, of, ms, insideMs }) => ({
        round: Math.min(line.cues[cueIndex]!.round, line.cues[cueIndex]!.rounds),
        n,
        pct,
        of,
        insidePct: Math.round((100 * insideMs) / ms),
      })),
      offPlane: state.planes.filter(isHere).map(({ words }) => words),
      edges: state.edges
        .filter((note) => note.blockIndex === dose.blockIndex && note.side === dose.side)
        .map(({ round, value }) => ({ round, value })),
    };
  });
}
