import { v7 as uuid } from 'uuid';
import type { RunFields, StoredRunEvent } from '@pace-bend/core/record';
import type { RunEvent } from '@pace-bend/core/table';
import { ApiProblem } from '../../app/api.ts';

export type LinkState = 'sent' | 'waiting' | 'elsewhere' | 'refused';

/** What a run needs from outside: the server, a place in the browser to keep what it has not acknowledged, and a pause. */
export interface RunLinkDeps {
  readonly begin: (runId: string, fields: RunFields) => Promise<unknown>;
  readonly append: (runId: string, events: readonly object[]) => Promise<{ lastSeq: number }>;
  readonly keep: (value: PendingRun) => void;
  readonly drop: () => void;
  readonly pause: (ms: number) => Promise<void>;
  readonly onState: (state: LinkState, problem: ApiProblem | null) => void;
}

/** What the browser keeps of a run until the server has it. */
export interface PendingRun {
  readonly runId: string;
  /** What the run is to be begun with; null once the server knows it. */
  readonly fields: RunFields | null;
  readonly events: readonly StoredRunEvent[];
}

const RETRY_MS = [500, 1000, 2000, 4000, 8000] as const;
const MOST_IN_ONE_REQUEST = 200;

/**
 * Carries a run's events to the server in order. Every event is kept in the browser before anything else happens
 * to it and dropped only when the server has acknowledged it, so closing the page or losing the server loses
 * nothing; sending again is harmless because each event has an id and a place. An event refused because its
 * place is taken means that another tab leads the run: then nothing more is sent from here.
 */
export class RunLink {
  private pending: StoredRunEvent[];
  private lastSeq: number;
  private working: Promise<void> | null = null;
  private closed = false;

  constructor(readonly runId: string, private fields: RunFields | null, acknowledgedSeq: number, pending: readonly StoredRunEvent[], private readonly deps: RunLinkDeps) {
    this.pending = [...pending];
    this.lastSeq = pending.at(-1)?.seq ?? acknowledgedSeq;
    if (this.pending.length > 0 || fields) void this.flush();
  }

  /** Keeps an event and sends it as soon as may be. */
  add(event: RunEvent): void {
    if (this.closed) return;
    this.lastSeq += 1;
    this.pending.push({ id: uuid(), seq: this.lastSeq, event });
    this.keep();
    void this.flush();
  }

  /** Resolves when everything is acknowledged or nothing more will be sent. */
  flush(): Promise<void> {
    this.working ??= this.work().finally(() => {
      this.working = null;
    });
    return this.working;
  }

  /** Sends nothing more; what is kept stays kept. */
  close(): void {
    this.closed = true;
  }

  private async work(): Promise<void> {
    let tries = 0;
    while (!this.closed && (this.fields || this.pending.length > 0)) {
      try {
        if (this.fields) {
          await this.deps.begin(this.runId, this.fields);
          this.fields = null;
          this.keep();
        }
        const batch = this.pending.slice(0, MOST_IN_ONE_REQUEST);
        if (batch.length > 0) {
          const { lastSeq } = await this.deps.append(this.runId, batch.map(({ id, seq, event }) => ({ id, seq, ...event })));
          this.pending = this.pending.filter((each) => each.seq > lastSeq);
          this.keep();
        }
        tries = 0;
      } catch (error) {
        if (!(error instanceof ApiProblem)) throw error;
        if (error.mayPass) {
          this.deps.onState('waiting', error);
          await this.deps.pause(RETRY_MS[Math.min(tries++, RETRY_MS.length - 1)]!);
          continue;
        }
        this.closed = true;
        this.deps.onState(error.isStale ? 'elsewhere' : 'refused', error);
        return;
      }
    }
    if (!this.closed) this.deps.onState('sent', null);
  }

  private keep(): void {
    if (this.pending.length === 0 && !this.fields) this.deps.drop();
    else this.deps.keep({ runId: this.runId, fields: this.fields, events: this.pending });
  }
}

/**
 * The events of a run from both sides: those the server has, then those only this browser has. What the browser
 * kept counts only if it follows on directly; otherwise another tab has gone on and its events stand.
 */
export function joinEvents(stored: readonly StoredRunEvent[], pending: readonly StoredRunEvent[]): { all: StoredRunEvent[]; unsent: StoredRunEvent[] } {
  const lastSeq = stored.at(-1)?.seq ?? 0;
  const ids = new Map(stored.map((each) => [each.seq, each.id]));
  const agrees = pending.every((each) => each.seq > lastSeq || ids.get(each.seq) === each.id);
  const after = pending.filter((each) => each.seq > lastSeq);
  const follows = after.every((each, i) => each.seq === lastSeq + 1 + i);
  const unsent = agrees && follows ? after : [];
  return { all: [...stored, ...unsent], unsent };
}
