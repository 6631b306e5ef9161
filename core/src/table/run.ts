import { phaseKind, type Cue, type Line } from '../method/index.ts';
import type { RunEvent } from './events.ts';
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

/** Carries a state forward to a time on the run's clock, without any event. Earlier times change nothing. */
export function carryTo(line: Line, state: RunState, toMs: number): RunState {
  let next = state;
  while (next.status === 'running' && next.atMs < toMs) {
    const cue = line.cues[next.cueIndex]!;
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
export function applyEvent(line: Line, before: RunState, event: RunEvent): RunState {
  const state = carryTo(line, before, event.atMs);
  if (state.status === 'finished' || line.cues.length === 0) return state;
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
      return state.status === 'eased' ? repeatLighter(line, state) : state;
    case 'stop':
      return stop(line, state);
    case 'edge':
      return edge(line, state, event.value);
    case 'beat':
      return state;
    case 'finish':
      return state.status === 'ready' ? state : { ...(isInCue(state) ? leave(line, state, 'stopped') : state), status: 'finished' };
  }
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
  return state.status === 'running' || state.status === 'held' || state.status === 'waiting';
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
  if (!cue) return { ...state, status: 'finished', positionMs: line.totalMs };
  return { ...state, status: 'running', cueIndex, positionMs: cue.startMs, enteredMs: state.atMs };
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
    default:
      return state;
  }
}

function next(line: Line, state: RunState): RunState {
  if (state.status === 'ready' || state.status === 'eased') return state;
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
  const eased = easeBack(line, state);
  const now = adjustmentFor(eased, cue);
  const lighter = adjust(eased, cue, { ...now, effortFactor: now.effortFactor * LIGHTER_FACTOR });
  const first = line.cues.find((other) => keyOf(other) === keyOf(cue) && other.pass === cue.pass && other.round === cue.round)!;
  // In the opening the set-up is not done again: the move to the edge is.
  return enter(line, lighter, first.open ? cue.index : first.index);
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

function edge(line: Line, state: RunState, value: number): RunState {
  if (state.status === 'ready' || !Number.isFinite(value)) return state;
  // A pressure is felt, not read off.
  if (line.blocks[line.cues[state.cueIndex]!.blockIndex]!.unit === 'of10') return state;
  const cue = line.cues[state.cueIndex]!;
  const { blockIndex, side } = cue;
  const round = Math.min(cue.round, cue.rounds);
  const note = { atMs: state.atMs, blockIndex, side, round, value, positionMs: state.positionMs };
  const now = adjustmentFor(state, cue);
  return adjust({ ...state, edges: [...state.edges, note] }, cue, { ...now, shift: value - cue.edge });
}

function startOfNextSide(line: Line, cueIndex: number): number {
  const key = keyOf(line.cues[cueIndex]!);
  const found = line.cues.findIndex((cue) => cue.index > cueIndex && keyOf(cue) !== key);
  return found === -1 ? line.cues.length : found;
}
