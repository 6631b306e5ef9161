import type { Caution } from '@pace-bend/core/caution';
import { ApiProblem } from '../api/api.ts';
import type { AnyProblem } from '../api/problemTypes.ts';

/** How a later change at the same spot goes together with one that is still waiting there. */
export type Join =
  /** It takes the place of one that was never tried; the id and what is superseded stay. */
  | 'replace'
  /** Its fields are laid over those that wait. */
  | 'fields'
  /** Its events follow those that wait. */
  | 'events'
  /** Both are sent, one after the other. */
  | 'none';

/** Why the server did not take a change, kept with it. */
export interface Refusal {
  /** Left out in what was kept before refusals had one. */
  readonly type?: AnyProblem;
  readonly status: number;
  readonly title: string;
  readonly message: string;
  readonly current: unknown;
  readonly cautions: readonly Caution[];
  readonly isStale: boolean;
}

/** What somebody wants to have changed, as it is made: an intent that is sent until the server has answered it. */
export interface ChangeDraft {
  /** Minted when the intent begins, and the same in every try. */
  readonly id: string;
  /** Changes of one record are sent one after another, in the order they were made. */
  readonly record: string;
  /** What of the record it changes. */
  readonly spot: string;
  /** What it is, for somebody who asks what is not sent yet: “a reading”. */
  readonly words: string;
  readonly method: 'PUT' | 'PATCH' | 'POST' | 'DELETE';
  readonly path: string;
  readonly body: Readonly<Record<string, unknown>>;
  readonly join: Join;
  /** The counter its body must name, and where it stood when the change was made; null where the server counts nothing. */
  readonly revision: { readonly of: string; readonly base: number } | null;
  /** What stood in the fields of the body before: a later change of others is then told from one of the same. */
  readonly before?: Readonly<Record<string, unknown>>;
}

export interface Change extends ChangeDraft {
  /** Its place among all changes of this device. */
  readonly order: number;
  readonly madeAt: string;
  /** Bodies that were on their way and may have arrived although no answer did. */
  readonly tried: readonly Readonly<Record<string, unknown>>[];
  readonly refusal: Refusal | null;
}

/** The most bodies that are remembered of one change, and the most events that go in one request. */
const TRIED_MOST = 6;
export const EVENTS_MOST = 200;

const same = (a: unknown, b: unknown) => JSON.stringify(a ?? null) === JSON.stringify(b ?? null);

/** The body as it is sent, with the counter where the server asks for it. */
export const bodyOf = ({ body, revision }: Change): object => (revision ? { revision: revision.base, ...body } : body);

/** A change that is about to be sent. */
export function asTried(change: Change): Change {
  if (change.tried.some((body) => same(body, change.body))) return change;
  return { ...change, tried: [...change.tried, change.body].slice(-TRIED_MOST) };
}

export function refusalOf({ type, status, title, message, current, cautions, isStale }: ApiProblem): Refusal {
  return { type, status, title, message, current: current ?? null, cautions, isStale };
}

/** A refusal as the problem it was. */
export const problemOf = (refusal: Refusal): ApiProblem =>
  new ApiProblem(refusal.type ?? 'unknown-refusal', refusal.message, {
    status: refusal.status,
    current: refusal.current ?? undefined,
    cautions: refusal.cautions,
  });

/**
 * The waiting change with a later one at its spot in it; null when both must be sent. What may have arrived is never
 * rewritten under its id: a correction of it is a change of its own. Fields are different: the counter tells whether they
 * arrived. Events have an id and a place each, so that sending some of them twice is harmless.
 */
export function joined(waiting: Change, later: ChangeDraft): Change | null {
  if (waiting.spot !== later.spot || (waiting.path !== later.path && later.join !== 'replace')) return null;
  if (waiting.refusal !== null && later.join !== 'fields') return null;
  switch (later.join) {
    case 'replace': {
      if (waiting.tried.length > 0) return null;
      const { supersedes } = waiting.body;
      return { ...waiting, body: 'supersedes' in waiting.body ? { ...later.body, supersedes } : later.body };
    }
    case 'fields':
      return { ...waiting, refusal: null, body: { ...waiting.body, ...later.body }, before: { ...later.before, ...waiting.before } };
    case 'events': {
      const events = [...(waiting.body.events as unknown[]), ...(later.body.events as unknown[])];
      return events.length > EVENTS_MOST ? null : { ...waiting, body: { ...waiting.body, events } };
    }
    case 'none':
      return null;
  }
}

/**
 * A change that came too late, with the counter that stands now: where somebody else changed only other fields, or the
 * fields stand as they did, or as we sent them ourselves and never heard of it. Null when both changed the same.
 */
export function rebased(change: Change, refusal: Refusal): Change | null {
  const current = refusal.current as Record<string, unknown> | null;
  if (!refusal.isStale || change.revision === null || typeof current?.revision !== 'number' || current.revision === change.revision.base)
    return null;
  const ours = [change.before ?? {}, change.body, ...change.tried];
  const agrees = Object.keys(change.body).every((field) => ours.some((values) => field in values && same(values[field], current[field])));
  return agrees ? { ...change, revision: { ...change.revision, base: current.revision } } : null;
}
