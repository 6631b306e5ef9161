import type { Line } from '../method/index.ts';
import type { RunEvent } from './events.ts';
import { applyEvent, carryTo } from './run.ts';
import { READY } from './state.ts';
import { nextChangeMs } from './view.ts';

/**
 * The events of a line that was done as it was planned while nobody counted: begun, gone on at every cue that waits, to the end. Discomfort,
 * edges and efforts are not among them, because nobody said any. A line without cues has none.
 */
export function walkThrough(line: Line): RunEvent[] {
  if (line.cues.length === 0) return [];
  const events: RunEvent[] = [];
  let state = READY;
  const add = (event: RunEvent) => {
    events.push(event);
    state = applyEvent(line, state, event);
  };
  add({ kind: 'start', atMs: 0 });
  while (state.status !== 'finished') {
    const change = nextChangeMs(line, state);
    if (change === null) add({ kind: 'go', atMs: state.atMs });
    else state = carryTo(line, state, change);
  }
  add({ kind: 'finish', atMs: state.atMs });
  return events;
}
