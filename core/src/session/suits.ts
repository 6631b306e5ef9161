import type { CauseKind } from '../limiter/index.ts';
import type { Method, Suit } from '../method/index.ts';
import type { SessionFacts } from './free.ts';
import type { Wanted } from './wanted.ts';

/** How well a way suits what is wanted. */
export interface Suited {
  readonly fit: string;
  /** Times what it is worth. */
  readonly factor: number;
  /** On the day of a start what is long or strong is out. */
  readonly allowed: boolean;
}

/** How much a way is worth that suits what holds the motion, and one that does not. Common practice. */
const SUITS_FACTOR = 1.2;
const MISFIT_FACTOR = 0.6;
const NEAR_START_DAYS = 2;

/** What is asked of a way, with the words for one that has it and one that has not. */
const ASKED: Readonly<Record<Suit, { readonly suits: string; readonly misfits: string }>> = {
  start: { suits: 'short and easy this close to a start', misfits: 'longer than one wants this close to a start' },
  capsule: { suits: 'the joint capsule is likely to hold it', misfits: 'lengthens, where the capsule is likely to hold it' },
  weakness: { suits: 'the athlete’s own strength leaves range out', misfits: 'lengthens, where strength is missing' },
  guarding: { suits: 'lighter and slower, because it guards', misfits: 'strong, where it guards' },
};

const BY_CAUSE: Readonly<Partial<Record<CauseKind, Suit>>> = { capsule: 'capsule', weakness: 'weakness', guarding: 'guarding' };

/** What a way is worth for a motion: a start near asks for short and easy ones, otherwise what is likely to hold the motion asks. */
export function suitOf(
  { suits }: Pick<Method, 'suits'>,
  sides: readonly Wanted[],
  { daysToEvent, causes }: Pick<SessionFacts, 'daysToEvent' | 'causes'>,
): Suited {
  const near = daysToEvent !== null && daysToEvent >= 0 && daysToEvent <= NEAR_START_DAYS;
  const cause = sides.map((each) => causes[`${each.motion.id}/${each.side}`]).find((each) => each !== undefined);
  const asked: Suit | undefined = near ? 'start' : cause && BY_CAUSE[cause];
  if (!asked) return { fit: 'the usual way for it', factor: 1, allowed: true };
  const has = suits.includes(asked);
  return {
    fit: ASKED[asked][has ? 'suits' : 'misfits'],
    factor: has ? SUITS_FACTOR : MISFIT_FACTOR,
    allowed: has || asked !== 'start' || daysToEvent !== 0,
  };
}
