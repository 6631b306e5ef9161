import { phaseKind, type Line } from '@pace-bend/core/method';
import { applyEvent, carryTo, nextChangeMs, READY, type RunEvent } from '@pace-bend/core/table';
import type { SeededRandom } from './random.ts';

/** Walks a line through to its end the way a visit goes: a pause at every open cue, a number asked for in most rounds. */
export function rehearse(line: Line, random: SeededRandom, soreRound: boolean): RunEvent[] {
  const events: RunEvent[] = [];
  let state = READY;
  const add = (event: RunEvent) => {
    events.push(event);
    state = applyEvent(line, state, event);
  };
  add({ kind: 'start', atMs: 0 });
  let sore = soreRound;
  while (state.status !== 'finished') {
    const change = nextChangeMs(line, state);
    if (change === null) {
      if (state.status === 'eased') add({ kind: 'lighter', atMs: state.atMs + 9000 });
      else add({ kind: 'go', atMs: state.atMs + Math.round(2000 + random.next() * 9000) });
      continue;
    }
    const cue = line.cues[state.cueIndex]!;
    if (cue.kind === 'hold' && state.positionMs === cue.startMs && random.next() < 0.7) {
      const atMs = state.atMs + Math.round((cue.endMs - cue.startMs) * 0.6);
      add({
        kind: 'discomfort',
        atMs,
        score: sore && phaseKind(cue.kind).exposed ? cue.painCeiling + 1 : 1 + Math.floor(random.next() * cue.painCeiling),
      });
      sore = sore && state.status !== 'eased';
      continue;
    }
    state = carryTo(line, state, change);
  }
  add({ kind: 'finish', atMs: state.atMs });
  return events;
}
