import { phaseKind, type Cue, type Line } from '../method/index.ts';
import { pressLeftMs, withOneMore, withoutTheRest, withOtherSideNow, withPiece } from './amend.ts';
import { CAN_BE_UNDONE, isFromDevice, UNDO_MS, type RunEvent } from './events.ts';
import { NO_ADJUSTMENT, READY, type Adjustment, type RunState, type SpanEnd } from './state.ts';

/**
 * The run as a pure state machine.
 *
 * The model. There are two clocks. The run's clock (`atMs`) is the monotonic time since the run began; every
 * event carries its reading of it. The line's clock (`positionMs`) is the place in the compiled line; it moves
 * as fast as the run's clock while the status is `running` and stands still otherwise. State is the fold of
 * the events: before each event the state is carried forward to the event's time, which walks through every
 * cue that ended in between; then the event is applied.
 *
 * Why that is right. Carrying forward is additive: going to t₁ and then to t₂ gives the same state as going
 * to t₂ at once, because a cue's end lies at a fixed place on the line and not at "now plus something". So it
 * does not matter how often the screen looks, how many frames were dropped, or whether the program was closed
 * in between: the same events give the same state. Every stay in a cue is closed exactly once and the next
 * one opens at the same instant or when the count goes on, so nothing is lost and nothing counted twice.
 *
 * Events that make no sense in a status are ignored; an event whose time lies before the clock is applied at
 * the clock. `finished` is final.
 */
export function foldRun(line: Line, events: readonly RunEvent[]): RunState {
  return events.reduce((state, event) => applyEvent(line, state, event), READY);
}

/**
 * The line a state is on: as it was compiled, or as it was amended at the table. Up to the present cue the two are the same cue by cue.
 */
export function lineNow(compiled: Line, state: Pick<RunState, 'line'>): Line {
  return state.line ?? compiled;
}

/** Carries a state forward to a time on the run's clock, without any event. Earlier times change nothing. */
export function carryTo(compiled: Line, state: RunState, toMs: number): RunState {
  const line = lineNow(compiled, state);
  let next = state;
  while ((next.status === 'running' || next.status === 'softening') && next.atMs < toMs) {
    const cue = line.cues[next.cueIndex]!;
    if (next.status === 'softening') {
      const endMs = next.softenEndMs!;
      next = toMs < endMs ? { ...next, atMs: toMs } : softened(line, { ...next, atMs: endMs });
      continue;
    }
    const leftMs = cue.endMs - next.positionMs;
    const stepMs = toMs - next.atMs;
    if (stepMs < leftMs) {
      next = { ...next, atMs: toMs, positionMs: next.positionMs + stepMs };
    } else {
      next = { ...next, atMs: next.atMs + leftMs, positionMs: cue.endMs };
      next = cue.open ? { ...next, status: 'waiting' } : enter(line, leave(line, next, 'done'), next.cueIndex + 1);
    }
  }
  return next.status === 'finished' || next.atMs >= toMs ? next : { ...next, atMs: toMs };
}

/** Carries the state to the event's time and applies the event. */
export function applyEvent(compiled: Line, before: RunState, event: RunEvent): RunState {
  const state = carryTo(compiled, before, event.atMs);
  if (compiled.cues.length === 0) return state;
  if (event.kind === 'undo') return takeBack(compiled, state, event.atMs);
  if (state.status === 'finished') return state;
  if (isFromDevice(event)) return saidByDevice(compiled, state, event);
  const after = happened(lineNow(compiled, state), state, event);
  if (after === state || event.kind === 'beat') return after;
  return {
    ...after,
    undo: CAN_BE_UNDONE.has(event.kind) ? { kind: event.kind, atMs: state.atMs, before: { ...state, undo: null } } : null,
  };
}

function happened(line: Line, state: RunState, event: RunEvent): RunState {
  switch (event.kind) {
    case 'start':
      return state.status === 'ready' ? enter(line, state, 0) : state;
    case 'hold':
      return state.status === 'running' ? { ...state, status: 'held' } : state;
    case 'go':
      return go(line, state);
    case 'next':
      return next(line, state);
    case 'again':
      return again(line, state);
    case 'discomfort':
      return discomfort(line, state, event.score);
    case 'ease':
      return state.status === 'eased' ? enter(line, easeBack(line, state), state.cueIndex + 1) : state;
    case 'lighter':
      return state.status === 'eased' || state.status === 'showing' ? repeatLighter(line, state) : state;
    case 'stop':
      return stop(line, state);
    case 'edge':
      return edge(line, state, event.value, event.by);
    case 'effort':
      return effort(line, state, event);
    case 'plane':
      return state.status === 'ready'
        ? state
        : { ...state, planes: [...state.planes, { atMs: state.atMs, cueIndex: state.cueIndex, deg: event.deg, words: event.words }] };
    case 'more':
      return isInCue(state) ? amended(state, withOneMore(line, state.cueIndex)) : state;
    case 'leave':
      return goOnWith(line, state, withoutTheRest);
    case 'drift':
      return drift(line, state);
    case 'brace':
      return brace(line, state);
    case 'until':
      return until(line, state);
    case 'felt':
      return felt(state, event);
    case 'other':
      return goOnWith(line, state, withOtherSideNow);
    case 'put':
      return event.how === 'instead'
        ? goOnWith(line, state, (each, at) => withPiece(each, at, event.piece, 'instead'))
        : state.status === 'ready'
          ? state
          : amended(state, withPiece(line, state.cueIndex, event.piece, 'added'));
    case 'refer':
      return state.status === 'ready' ? state : { ...ended(line, state), referredMs: state.atMs };
    case 'finish':
      return state.status === 'ready' ? state : ended(line, state);
    case 'undo':
    case 'beat':
      return state;
  }
}

/**
 * What a device says is kept beside whatever the last key was: that key can still be taken back, and what the device said is not taken back with
 * it. So it is noted in the state as it is and in the one the key would give back.
 */
function saidByDevice(compiled: Line, state: RunState, event: RunEvent): RunState {
  const after = happened(lineNow(compiled, state), state, event);
  if (after === state || !state.undo) return after;
  const before = carryTo(compiled, state.undo.before, event.atMs);
  return { ...after, undo: { ...state.undo, before: happened(lineNow(compiled, before), before, event) } };
}

/** Of a contraction that was begun; one that the line does not have, or that has not come yet, is none. */
function effort(
  line: Line,
  state: RunState,
  { cueIndex, n, pct, of, ms, insideMs, overMs }: Extract<RunEvent, { kind: 'effort' }>,
): RunState {
  const isBegun = cueIndex === state.cueIndex || state.spans.some((span) => span.cueIndex === cueIndex);
  if (state.status === 'ready' || !line.cues[cueIndex] || !isBegun) return state;
  return { ...state, efforts: [...state.efforts, { atMs: state.atMs, cueIndex, n, pct, of, ms, insideMs, overMs }] };
}

const ended = (line: Line, state: RunState): RunState => ({
  ...(isInCue(state) ? leave(line, state, 'stopped') : state),
  status: 'finished',
});

/**
 * The last key taken back: the state is what it would be now had it not been pressed. Only the last one, and only for five seconds of the
 * run's clock; what was counted meanwhile goes on as if nothing had happened.
 */
function takeBack(compiled: Line, state: RunState, atMs: number): RunState {
  const nowMs = Math.max(state.atMs, atMs);
  if (!state.undo || nowMs - state.undo.atMs > UNDO_MS) return state;
  return carryTo(compiled, state.undo.before, nowMs);
}

const amended = (state: RunState, line: Line | null): RunState => (line === null ? state : { ...state, line });

/** The rest of the line made anew, and on to what comes first in it; where there is nothing to amend, nothing happens. */
function goOnWith(line: Line, state: RunState, amend: (line: Line, at: number) => Line | null): RunState {
  if (state.status === 'ready') return state;
  const next = amend(line, state.cueIndex);
  if (next === null) return state;
  const left = isInCue(state) ? leave(line, state, 'left') : state;
  return enter(
    next,
    { ...left, line: next, stops: state.status === 'stopped' ? state.stops.slice(0, -1) : state.stops },
    state.cueIndex + 1,
  );
}

/** A press that went the wrong way: the round stops where it is. Outside a round there is nothing to drift. */
function drift(line: Line, state: RunState): RunState {
  const cue = line.cues[state.cueIndex]!;
  if (!isInCue(state) || cue.round < 1 || cue.round > cue.rounds) return state;
  const noted = { ...state, drifts: [...state.drifts, { atMs: state.atMs, cueIndex: state.cueIndex }] };
  return { ...leave(line, noted, 'drifted'), status: 'showing' };
}

/** Breath held or bracing, told like discomfort above the ceiling: off the edge at once where there is one. */
function brace(line: Line, state: RunState): RunState {
  if (state.status === 'ready') return state;
  const cue = line.cues[state.cueIndex]!;
  const noted = { ...state, braces: [...state.braces, { atMs: state.atMs, cueIndex: state.cueIndex }] };
  return isInCue(state) && phaseKind(cue.kind).exposed ? { ...leave(line, noted, 'eased'), status: 'eased' } : noted;
}

/** Longest stay until something softens: what has not by then will not today. Common practice: 90 s, and as much again. */
const LONGEST_SOFTEN_MS = 180_000;

/** Points, comfort positions and sinks only: what has an edge is not left at it without a count. */
function until(line: Line, state: RunState): RunState {
  const cue = line.cues[state.cueIndex]!;
  if (state.status === 'softening') return softened(line, state);
  if (!isInCue(state) || !canSoften(cue)) return state;
  const left = pressLeftMs(line, cue, [...state.spans, { cueIndex: state.cueIndex, startMs: state.enteredMs, endMs: state.atMs }]);
  const forMs = Math.min(left ?? LONGEST_SOFTEN_MS, LONGEST_SOFTEN_MS - (state.atMs - state.enteredMs));
  return forMs <= 0 ? state : { ...state, status: 'softening', softenEndMs: state.atMs + forMs };
}

/** Whether a cue can be stayed in until something softens under the hand. */
export function canSoften(cue: Pick<Cue, 'kind'>): boolean {
  return phaseKind(cue.kind).softens === true;
}

function softened(line: Line, state: RunState): RunState {
  const note = { atMs: state.atMs, cueIndex: state.cueIndex, ms: state.atMs - state.enteredMs, before: null, after: null };
  return enter(line, { ...leave(line, state, 'done'), softened: [...state.softened, note] }, state.cueIndex + 1);
}

/** How it felt belongs to what softened last. */
function felt(state: RunState, { before, after }: { readonly before: number; readonly after: number }): RunState {
  const last = state.softened.at(-1);
  return last ? { ...state, softened: [...state.softened.slice(0, -1), { ...last, before, after }] } : state;
}

/** Pressing `again` this soon after a cue began means the cue before it. */
const AGAIN_MEANS_PREVIOUS_MS = 1500;

/** "Repeat lighter" halves the effort; common practice, start low again. */
const LIGHTER_FACTOR = 0.5;
const LEAST_EFFORT_PCT = 5;

/**
 * The effort asked for in a cue after any lightening, in whole percent, never under 5; null where nobody contracts.
 */
export function effortNow(cue: Cue, adjustment: Adjustment): number | null {
  return cue.effortPct === null
    ? null
    : Math.max(Math.min(LEAST_EFFORT_PCT, cue.effortPct), Math.round(cue.effortPct * adjustment.effortFactor));
}

/** The adjustments in force for a cue's block and side. */
export function adjustmentFor(state: Pick<RunState, 'adjustments'>, cue: Pick<Cue, 'blockIndex' | 'side'>): Adjustment {
  return state.adjustments[keyOf(cue)] ?? NO_ADJUSTMENT;
}

function keyOf(cue: Pick<Cue, 'blockIndex' | 'side'>): string {
  return `${cue.blockIndex}:${cue.side}`;
}

function isInCue(state: RunState): boolean {
  return state.status === 'running' || state.status === 'held' || state.status === 'waiting' || state.status === 'softening';
}

/** Closes the present stay at the present time. */
function leave(line: Line, state: RunState, end: SpanEnd): RunState {
  const cue = line.cues[state.cueIndex]!;
  const span = {
    cueIndex: state.cueIndex,
    startMs: state.enteredMs,
    endMs: state.atMs,
    end,
    effortPct: effortNow(cue, adjustmentFor(state, cue)),
  };
  return { ...state, spans: [...state.spans, span] };
}

/** Opens a stay in a cue and runs; past the last cue the run is finished. */
function enter(line: Line, state: RunState, cueIndex: number): RunState {
  const cue = line.cues[cueIndex];
  if (!cue) return { ...state, status: 'finished', positionMs: line.totalMs, softenEndMs: null };
  return { ...state, status: 'running', cueIndex, positionMs: cue.startMs, enteredMs: state.atMs, softenEndMs: null };
}

function go(line: Line, state: RunState): RunState {
  const cue = line.cues[state.cueIndex]!;
  switch (state.status) {
    case 'ready':
      return enter(line, state, 0);
    case 'held':
      return { ...state, status: 'running' };
    case 'waiting':
      return enter(line, leave(line, state, 'done'), state.cueIndex + 1);
    case 'running':
      // In an open cue "go on" means "I am ready": nothing is being counted that could be cut short.
      return cue.open ? enter(line, leave(line, state, 'done'), state.cueIndex + 1) : state;
    case 'stopped':
      return { ...enter(line, state, state.cueIndex), stops: state.stops.slice(0, -1) };
    case 'softening':
      return softened(line, state);
    case 'showing':
      return enter(line, state, roundStart(line, state.cueIndex));
    default:
      return state;
  }
}

function next(line: Line, state: RunState): RunState {
  if (state.status === 'ready' || state.status === 'eased') return state;
  if (state.status === 'softening') return softened(line, state);
  if (state.status === 'showing') return enter(line, state, startAfterRound(line, state.cueIndex));
  if (state.status === 'stopped') return enter(line, state, startOfNextSide(line, state.cueIndex));
  const open = line.cues[state.cueIndex]!.open;
  return enter(line, leave(line, state, open ? 'done' : 'skipped'), state.cueIndex + 1);
}

function again(line: Line, state: RunState): RunState {
  if (!isInCue(state)) return state;
  const soon = state.atMs - state.enteredMs < AGAIN_MEANS_PREVIOUS_MS;
  const back = soon && state.cueIndex > 0 ? state.cueIndex - 1 : state.cueIndex;
  return enter(line, leave(line, state, 'again'), back);
}

function discomfort(line: Line, state: RunState, score: number): RunState {
  if (state.status === 'ready') return state;
  const cue = line.cues[state.cueIndex]!;
  const aboveCeiling = score > cue.painCeiling;
  const noted: RunState = {
    ...state,
    discomfort: [...state.discomfort, { atMs: state.atMs, cueIndex: state.cueIndex, score, aboveCeiling }],
  };
  if (!aboveCeiling || !isInCue(state) || !phaseKind(cue.kind).exposed) return noted;
  return { ...leave(line, noted, 'eased'), status: 'eased' };
}

/** Predictions for this side go back by what the block says; the sign follows the way the motion counts. */
function easeBack(line: Line, state: RunState): RunState {
  const cue = line.cues[state.cueIndex]!;
  const toward = line.blocks[cue.blockIndex]!.better === 'higher' ? 1 : -1;
  const now = adjustmentFor(state, cue);
  return adjust(state, cue, { ...now, shift: now.shift - toward * cue.easeBack });
}

function repeatLighter(line: Line, state: RunState): RunState {
  const cue = line.cues[state.cueIndex]!;
  // A press that went the wrong way is no reason to go back from the edge.
  const eased = state.status === 'eased' ? easeBack(line, state) : state;
  const now = adjustmentFor(eased, cue);
  const lighter = adjust(eased, cue, { ...now, effortFactor: now.effortFactor * LIGHTER_FACTOR });
  const first = roundStart(line, cue.index);
  // In the opening the set-up is not done again: the move to the edge is.
  return enter(line, lighter, line.cues[first]!.open ? cue.index : first);
}

const sameRound = (a: Cue, b: Cue) => keyOf(a) === keyOf(b) && a.pass === b.pass && a.round === b.round;

/** The first cue of the round a cue is in; rounds stand in one piece. */
function roundStart(line: Line, cueIndex: number): number {
  let first = cueIndex;
  while (first > 0 && sameRound(line.cues[first - 1]!, line.cues[cueIndex]!)) first--;
  return first;
}

/** The first cue behind the round a cue is in. */
function startAfterRound(line: Line, cueIndex: number): number {
  let after = cueIndex;
  while (after < line.cues.length && sameRound(line.cues[after]!, line.cues[cueIndex]!)) after++;
  return after;
}

function adjust(state: RunState, cue: Cue, adjustment: Adjustment): RunState {
  return { ...state, adjustments: { ...state.adjustments, [keyOf(cue)]: adjustment } };
}

function stop(line: Line, state: RunState): RunState {
  switch (state.status) {
    case 'ready':
      return state;
    case 'stopped':
      return { ...state, status: 'finished' };
    default: {
      const left = isInCue(state) ? leave(line, state, 'stopped') : state;
      return { ...left, status: 'stopped', stops: [...left.stops, { atMs: state.atMs, cueIndex: state.cueIndex }] };
    }
  }
}

function edge(line: Line, state: RunState, value: number, by?: 'device'): RunState {
  if (state.status === 'ready' || !Number.isFinite(value)) return state;
  // A pressure is felt, not read off.
  if (line.blocks[line.cues[state.cueIndex]!.blockIndex]!.unit === 'of10') return state;
  const cue = line.cues[state.cueIndex]!;
  const { blockIndex, side } = cue;
  const round = Math.min(cue.round, cue.rounds);
  const note = { atMs: state.atMs, blockIndex, side, round, value, positionMs: state.positionMs, ...(by ? { by } : {}) };
  const now = adjustmentFor(state, cue);
  return adjust({ ...state, edges: [...state.edges, note] }, cue, { ...now, shift: value - cue.edge });
}

function startOfNextSide(line: Line, cueIndex: number): number {
  const key = keyOf(line.cues[cueIndex]!);
  const found = line.cues.findIndex((cue) => cue.index > cueIndex && keyOf(cue) !== key);
  return found === -1 ? line.cues.length : found;
}
