import type { Side } from '../body/index.ts';
import type { Entry } from '../catalogue/index.ts';
import { newBlock, sidesOf } from './block.ts';
import { SLOW_BREATH } from './breath.ts';
import { compile } from './compile.ts';
import { phaseKind } from './phases.ts';
import { BUILT_IN, type Shelf } from './shelf.ts';
import type { Cue, Line, Method } from './types.ts';

/** Seconds at end range at which a hold brings half of what it could: holds of 30 and of 60 s gain nearly alike, both more than 15 s. */
const HALF_HOLD_S = 4;
/** From so much of full strength and so many seconds on, a press does what it can: 20, 60 and 100 % gained alike. */
const FULL_EFFORT_PCT = 10;
const FULL_PRESS_S = 3;
/** What is left of a way that presses, or holds, in a round where nobody does. */
const WITHOUT_PRESS = 0.6;
const WITHOUT_HOLD = 0.6;

/** What a cue really took, where it was done. */
export interface CueDone {
  readonly secondsOf: (cueIndex: number) => number;
  readonly effortOf: (cueIndex: number) => number | null;
}

/** What a round is made of: seconds at end range, seconds of work of every other kind, and of these the athlete's press with its strongest effort. */
export interface RoundWork {
  readonly heldS: number;
  readonly workedS: number;
  readonly pressedS: number;
  readonly effortPct: number;
}

/**
 * What each round of a side brings of its motion's usual gain in that round: the way's share, more or less as the round is stronger or
 * weaker than one at the way's own numbers. By round, counted over all passes of the side; what comes after the last counts to it.
 *
 * The model. What a round does follows from its seconds at end range or, in a way that holds nothing, from its seconds of work, with
 * less for every second more: s / (s + half). Of a way that presses, a press that is too light or too short, or none, leaves only part.
 * The yardstick is a round of the same entry in the way as it ships, at a slow breath. So a practice's own numbers, numbers that cautions cut,
 * and rounds cut short at the table all count by what the line makes of them, and never by the name of a way. Halves and bounds are
 * common practice, set so that they agree with what the ways cite: Bandy 1994 for holds, Feland 2004 for effort.
 * @example roundShares(compile([newBlock('b', 'calf-supine', 'static-hold', ['left'])], { breath: SLOW_BREATH, edgeOf: () => 10 }), 0, 'left') // → [0.8, 0.8]
 */
export function roundShares(line: Pick<Line, 'cues' | 'blocks'>, blockIndex: number, side: Side, shelf: Shelf = BUILT_IN): number[] {
  const { entryId, methodId } = line.blocks[blockIndex]!;
  const [entry, method] = [shelf.entries.get(entryId), shelf.methods.get(methodId)];
  const work = roundWork(line, blockIndex, side);
  return entry && method ? sharesOf(work, entry, method, shelf) : work.map(() => 0);
}

/** The same for rounds that were done. */
export function sharesOf(work: readonly RoundWork[], entry: Entry, method: Method, shelf: Shelf = BUILT_IN): number[] {
  const usual = usualRound(entry, method, shelf);
  return work.map((round) => method.share * strength(round, usual));
}

/** What each round of a side is made of, as planned or as it was done. */
export function roundWork(line: Pick<Line, 'cues'>, blockIndex: number, side: Side, done: CueDone = asPlanned(line)): RoundWork[] {
  const cues = line.cues.filter((cue) => cue.blockIndex === blockIndex && cue.side === side && cue.round >= 1);
  const rounds = Math.max(0, ...cues.map((cue) => cue.rounds));
  return Array.from({ length: rounds }, (_, i) =>
    workOf(
      cues.filter((cue) => Math.min(cue.round, rounds) === i + 1),
      done,
    ),
  );
}

function strength(round: RoundWork, usual: RoundWork): number {
  return stretchOf(round, usual) * pressOf(round, usual);
}

function stretchOf(round: RoundWork, usual: RoundWork): number {
  const part = (seconds: number, half: number) => seconds / (seconds + half);
  if (usual.heldS > 0 && round.heldS > 0) return part(round.heldS, HALF_HOLD_S) / part(usual.heldS, HALF_HOLD_S);
  if (usual.workedS === 0) return usual.heldS > 0 ? 0 : 1;
  return (usual.heldS > 0 ? WITHOUT_HOLD : 1) * (part(round.workedS, usual.workedS) / part(usual.workedS, usual.workedS));
}

function pressOf(round: RoundWork, usual: RoundWork): number {
  if (usual.pressedS === 0) return 1;
  const enough = Math.min(1, round.effortPct / FULL_EFFORT_PCT) * Math.min(1, round.pressedS / FULL_PRESS_S);
  return WITHOUT_PRESS + (1 - WITHOUT_PRESS) * enough;
}

function workOf(cues: readonly Cue[], { secondsOf, effortOf }: CueDone): RoundWork {
  const of = (counts: string) => cues.filter((cue) => phaseKind(cue.kind).counts === counts);
  const seconds = (some: readonly Cue[]) => some.reduce((sum, cue) => sum + secondsOf(cue.index), 0);
  const pressed = of('contraction');
  const pressedS = seconds(pressed);
  return {
    heldS: seconds(of('end-range')),
    workedS: seconds(of('work')) + seconds(of('bout')) + pressedS,
    pressedS,
    effortPct: Math.max(0, ...pressed.map((cue) => effortOf(cue.index) ?? 0)),
  };
}

const USUAL = new WeakMap<Entry, Map<string, RoundWork>>();

/** A round of an entry in the way as it ships, whatever the entry begins with: a shorter hold brings less. Neither ever changes, so this is kept. */
function usualRound(entry: Entry, method: Method, shelf: Shelf): RoundWork {
  const id = method.madeFrom ?? method.id;
  const known = USUAL.get(entry) ?? new Map<string, RoundWork>();
  USUAL.set(entry, known);
  const found = known.get(id);
  if (found) return found;
  const { doses: _doses, ...plain } = entry;
  const only: Shelf = { ...shelf, entries: new Map([[entry.id, { ...plain, ways: [id, ...entry.ways] as unknown as Entry['ways'] }]]) };
  const block = newBlock('usual', entry.id, id, sidesOf(entry).slice(0, 1), only);
  const { cues } = compile([{ ...block, sides: block.sides.map((each) => ({ ...each, rounds: 1 })) }], {
    breath: SLOW_BREATH,
    edgeOf: () => null,
    shelf: only,
  });
  const work = workOf(
    cues.filter((cue) => cue.round >= 1),
    asPlanned({ cues }),
  );
  known.set(id, work);
  return work;
}

function asPlanned({ cues }: Pick<Line, 'cues'>): CueDone {
  return { secondsOf: (index) => (cues[index]!.endMs - cues[index]!.startMs) / 1000, effortOf: (index) => cues[index]!.effortPct };
}
