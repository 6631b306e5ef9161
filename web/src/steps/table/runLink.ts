import { v7 as uuid } from 'uuid';
import type { RunFields, StoredRunEvent } from '@pace-bend/core/record';
import type { RunEvent } from '@pace-bend/core/table';
import type { ApiProblem } from '../../api/api.ts';
import { problemOf, type Change } from '../../outbox/change.ts';

export type LinkState = 'sent' | 'waiting' | 'elsewhere' | 'refused';

/** What this browser has of a run and the server may not. */
export interface PendingRun {
  readonly runId: string;
  /** What the run is to be begun with; null once the server knows it. */
  readonly fields: RunFields | null;
  readonly events: readonly StoredRunEvent[];
}

type Sent = StoredRunEvent['event'] & { readonly id: string; readonly seq: number };

export const runSpot = (runId: string) => `run/${runId}`;
export const eventsSpot = (runId: string) => `events/${runId}`;
export const isOfRun = (change: Pick<Change, 'spot'>, runId: string) => change.spot === runSpot(runId) || change.spot === eventsSpot(runId);

/** The run that waits among a visit's changes: the last one, because an earlier one was left. Null when none does. */
export function pendingRun(changes: readonly Change[]): PendingRun | null {
  const runId = changes.findLast((change) => /^(run|events)\//.test(change.spot))?.spot.split('/')[1];
  if (runId === undefined) return null;
  const events = changes.filter((change) => change.spot === eventsSpot(runId)).flatMap((change) => change.body.events as Sent[]);
  return {
    runId,
    fields: (changes.find((change) => change.spot === runSpot(runId))?.body as RunFields | undefined) ?? null,
    events: events.map(({ id, seq, ...event }) => ({ id, seq, event: event as RunEvent })),
  };
}

/** Where the events of a run are, from its changes that wait and whether the last try failed. */
export function linkOf(
  changes: readonly Change[],
  failed: ApiProblem | null,
): { readonly state: LinkState; readonly problem: ApiProblem | null } {
  const refusal = changes.find((change) => change.refusal !== null)?.refusal;
  // A place in the sequence that is taken means that another page leads the run; a run of this id that is another one does as well.
  if (refusal)
    return {
      state: refusal.type === 'led-elsewhere' || refusal.type === 'changed-meanwhile' ? 'elsewhere' : 'refused',
      problem: problemOf(refusal),
    };
  return changes.length > 0 && failed ? { state: 'waiting', problem: failed } : { state: 'sent', problem: null };
}

/**
 * Puts a run's events into the outbox, one place in the sequence after another. Sending them again is harmless because each
 * has an id and a place.
 */
export class RunLink {
  private lastSeq: number;

  constructor(
    readonly runId: string,
    lastSeq: number,
    private readonly keep: (events: readonly object[]) => void,
  ) {
    this.lastSeq = lastSeq;
  }

  add(event: RunEvent): void {
    this.lastSeq += 1;
    this.keep([{ id: uuid(), seq: this.lastSeq, ...event }]);
  }
}

/**
 * The events of a run from both sides: those the server has, then those only this browser has. What the browser
 * kept counts only if it follows on directly; otherwise another tab has gone on and its events stand.
 */
export function joinEvents(
  stored: readonly StoredRunEvent[],
  pending: readonly StoredRunEvent[],
): { all: StoredRunEvent[]; unsent: StoredRunEvent[] } {
  const lastSeq = stored.at(-1)?.seq ?? 0;
  const ids = new Map(stored.map((each) => [each.seq, each.id]));
  const agrees = pending.every((each) => each.seq > lastSeq || ids.get(each.seq) === each.id);
  const after = pending.filter((each) => each.seq > lastSeq);
  const follows = after.every((each, i) => each.seq === lastSeq + 1 + i);
  const unsent = agrees && follows ? after : [];
  return { all: [...stored, ...unsent], unsent };
}
