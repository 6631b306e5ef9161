import { DateTime } from 'luxon';
import { v7 as uuid } from 'uuid';
import { keptFacts, type ResponseFacts } from '@pace-bend/core/cycle';
import {
  minutesMore,
  otherSessions,
  proposeSession,
  type Alternative,
  type KeptFacts,
  type LeftOut,
  type Proposal,
  type ProposeControl,
  type SessionFacts,
} from '@pace-bend/core/session';
import { shelfOf, type OwnItem } from '@pace-bend/core/method';

/** Solves away from the screen. A question that comes while another is being answered waits; the page ends a worker it no longer needs. */
export interface PlanQuestion {
  readonly facts: Omit<SessionFacts, 'shelf'>;
  readonly items: readonly OwnItem[];
  /** What it is learned from how much of a gain is kept, or what was learned of it before. */
  readonly response: { readonly facts: ResponseFacts; readonly now: string; readonly zone: string } | KeptFacts;
  /** Longest search in milliseconds; then the best so far is shown with its gap. */
  readonly patienceMs: number;
}

export type PlanAnswer =
  | { readonly kind: 'kept'; readonly kept: KeptFacts }
  | { readonly kind: 'progress'; readonly best: number; readonly bound: number; readonly soFar: Proposal | null }
  | { readonly kind: 'plan'; readonly proposal: Proposal; readonly ms: number }
  | { readonly kind: 'others'; readonly others: readonly Alternative[] }
  | { readonly kind: 'more'; readonly leftOut: readonly LeftOut[] }
  | { readonly kind: 'failed'; readonly message: string };

/** How many minutes more are tried for what was left out. */
const MOST_MORE = 60;
const EVERY_MS = 80;

self.onmessage = ({ data }: MessageEvent<PlanQuestion>) => {
  const say = (answer: PlanAnswer) => self.postMessage(answer);
  try {
    const plain: SessionFacts = { ...data.facts, shelf: shelfOf(data.items) };
    const kept = 'days' in data.response ? data.response : learned(data.response, plain);
    say({ kind: 'kept', kept });
    const facts: SessionFacts = { ...plain, kept };
    const begun = performance.now();
    let said = begun;
    const within = (from: number) => ({
      stop: () => performance.now() - from > data.patienceMs,
    });
    const progress: ProposeControl['progress'] = (best, bound, soFar) => {
      if (performance.now() - said < EVERY_MS) return;
      said = performance.now();
      say({ kind: 'progress', best, bound, soFar: soFar() });
    };
    const idFor = () => uuid();
    const proposal = proposeSession(facts, idFor, { ...within(begun), progress });
    say({ kind: 'plan', proposal, ms: performance.now() - begun });
    say({ kind: 'others', others: otherSessions(facts, proposal, idFor, within(performance.now())) });
    say({ kind: 'more', leftOut: minutesMore(facts, proposal.leftOut, MOST_MORE, within(performance.now())) });
  } catch (error) {
    say({ kind: 'failed', message: error instanceof Error ? error.message : String(error) });
  }
};

/** What is kept of this athlete's gains. */
function learned({ facts, now, zone }: Extract<PlanQuestion['response'], { now: string }>, { errors, shelf }: SessionFacts): KeptFacts {
  const dayOf = (instant: string) => DateTime.fromISO(instant, { zone }).toISODate()!;
  return keptFacts(facts, now, { errors, dayOf, ...(shelf ? { shelf } : {}) });
}
