import { breathAt, type Cue, type Line } from '../method/index.ts';
import { adjustmentFor, effortNow, lineNow } from './run.ts';
import { roundsNow } from './amend.ts';
import type { RunState, RunStatus } from './state.ts';

/** Everything the table's screen shows at one moment. */
export interface TableView {
  readonly status: RunStatus;
  readonly cue: Cue;
  /** Rounds of its side by now, with those that were put in. */
  readonly rounds: number;
  /** The cue that follows, or null at the end. */
  readonly nextCue: Cue | null;
  readonly blockName: string;
  /** Whole seconds left in the cue, rounded up so that the last second shows 1. */
  readonly secondsLeft: number;
  /** Whole seconds in the cue by now, counted up while it goes on until it softens; null outside. */
  readonly secondsUp: number | null;
  readonly effortPct: number | null;
  /** Edge now: the last one read on this side, carried on by the prediction. */
  readonly edge: number;
  /** Edge now against the edge this side started from; positive is more range. */
  readonly gainSinceStart: number;
  readonly breath: { readonly way: 'in' | 'out'; readonly share: number };
  readonly elapsedMs: number;
  readonly totalMs: number;
}

/** What to show for a state. The state must already be carried to the moment wanted. */
export function viewRun(compiled: Line, state: RunState): TableView {
  const line = lineNow(compiled, state);
  const cue = line.cues[Math.min(state.cueIndex, line.cues.length - 1)]!;
  const block = line.blocks[cue.blockIndex]!;
  const adjustment = adjustmentFor(state, cue);
  // The edge counts as moved once the advance is done.
  const done = state.positionMs >= cue.endMs;
  const before = line.cues[cue.index - 1];
  const sameSide = before && before.blockIndex === cue.blockIndex && before.side === cue.side;
  const edge = (done || !sameSide ? cue.edge : before.edge) + adjustment.shift;
  const first = line.cues.find((other) => other.blockIndex === cue.blockIndex && other.side === cue.side)!;
  return {
    status: state.status,
    cue,
    rounds: roundsNow(line, cue),
    nextCue: line.cues[cue.index + 1] ?? null,
    blockName: block.name,
    secondsLeft: Math.max(0, Math.ceil((cue.endMs - state.positionMs) / 1000)),
    secondsUp: state.status === 'softening' ? Math.floor((state.atMs - state.enteredMs) / 1000) : null,
    effortPct: effortNow(cue, adjustment),
    edge,
    gainSinceStart: (edge - first.edge) * (block.better === 'higher' ? 1 : -1),
    breath: breathAt(cue.breathOffsetMs + (state.positionMs - cue.startMs), line.breath),
    elapsedMs: state.positionMs,
    totalMs: line.totalMs,
  };
}

/**
 * The cues of one side of a block as they are to be from here on: what is done stands as it was planned, and from the present cue on every
 * place follows the edge as it is now, after easing off or reading it, and every press the effort as it is now. The edge itself goes where
 * it went, rest stays rest, and what lies between keeps its part of the way; nothing is drawn past where cautions end it.
 */
export function redrawn(
  compiled: Line,
  state: Pick<RunState, 'adjustments' | 'cueIndex' | 'line'>,
  blockIndex: number,
  side: Cue['side'],
): Cue[] {
  const line = lineNow(compiled, state);
  const cues = line.cues.filter((cue) => cue.blockIndex === blockIndex && cue.side === side);
  const first = cues[0];
  if (!first) return [];
  const adjustment = adjustmentFor(state, first);
  if (adjustment.shift === 0 && adjustment.effortFactor === 1) return cues;
  const rest = first.from;
  const better = line.blocks[blockIndex]!.better;
  const allowed = (value: number, furthest: number | null) =>
    typeof furthest !== 'number' ? value : better === 'higher' ? Math.min(value, furthest) : Math.max(value, furthest);
  const moved = (value: number, edge: number, furthest: number | null) => {
    const way = edge - rest;
    const next =
      Math.abs(way) < 1e-9
        ? Math.abs(value - edge) < 1e-9
          ? value + adjustment.shift
          : value
        : rest + (value - rest) * ((way + adjustment.shift) / way);
    return Math.abs(value - rest) < 1e-9 ? rest : allowed(next, furthest);
  };
  return cues.map((cue, i) => {
    if (cue.index < state.cueIndex) return cue;
    const before = cues[i - 1] ?? cue;
    return {
      ...cue,
      from: moved(cue.from, before.edge, cue.furthest),
      to: moved(cue.to, cue.edge, cue.furthest),
      edge: allowed(cue.edge + adjustment.shift, cue.furthest),
      effortPct: effortNow(cue, adjustment),
    };
  });
}

/** The next moment on the run's clock at which the screen must change by itself, or null when it will not. */
export function nextChangeMs(line: Line, state: RunState): number | null {
  if (state.status === 'softening') return state.softenEndMs;
  if (state.status !== 'running') return null;
  const cue = lineNow(line, state).cues[state.cueIndex]!;
  return state.atMs + (cue.endMs - state.positionMs);
}

/**
 * An edge typed with its last two digits, as the value nearest to the predicted edge that ends in them.
 * Degrees are whole, centimetres have one decimal; so two presses say 165° when about 160° is expected.
 * @example edgeFromDigits(65, 161, 'deg') // → 165
 */
export function edgeFromDigits(lastTwo: number, predicted: number, unit: 'deg' | 'cm'): number {
  const steps = unit === 'deg' ? 1 : 10;
  const hundreds = Math.round((predicted * steps - lastTwo) / 100);
  return (hundreds * 100 + lastTwo) / steps;
}
