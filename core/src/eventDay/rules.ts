import type { DayRules, Offer, WishKind, WishReason } from './types.ts';

/** The day's rules to begin with. Ninety, twenty minutes and two hours: common practice; the others are habits of this program. */
export const DAY_RULES: DayRules = {
  beforeAtMost: 90,
  beforeAtLeast: 20,
  raceTakes: 15,
  afterWithin: 120,
  step: 5,
  turnover: 2,
  grace: 5,
  notice: 5,
  quiet: 10,
};

/** Ranges the rules may be chosen from. */
export const DAY_RULE_RANGE: { readonly [K in keyof DayRules]: { readonly min: number; readonly max: number } } = {
  beforeAtMost: { min: 30, max: 240 },
  beforeAtLeast: { min: 5, max: 60 },
  raceTakes: { min: 0, max: 240 },
  afterWithin: { min: 20, max: 360 },
  step: { min: 1, max: 15 },
  turnover: { min: 0, max: 15 },
  grace: { min: 0, max: 15 },
  notice: { min: 0, max: 30 },
  quiet: { min: 0, max: 60 },
};

/** What is offered to begin with. Eight to fifteen minutes before a start: common practice. */
export const OFFERS: readonly Offer[] = [
  { kind: 'before', offered: true, minutes: 10, leastMinutes: 8, protocolIds: ['before-a-start'] },
  { kind: 'between', offered: true, minutes: 10, leastMinutes: 6, protocolIds: ['between-races'] },
  { kind: 'after', offered: true, minutes: 15, leastMinutes: 10, protocolIds: ['after-a-race'] },
];

/** Minutes a wish may take. */
export const WISH_MINUTES = { min: 5, max: 40 } as const;

/** How much a wish counts: one, and more for each reason. Defaults of this program. */
export const REASON_WEIGHTS: Readonly<Record<WishReason, number>> = { 'first-boat': 1, complaint: 2, must: 8 };

export const KIND_WORDS: Readonly<Record<WishKind, string>> = {
  before: 'before the start',
  between: 'between races',
  after: 'after the race',
};
export const REASON_WORDS: Readonly<Record<WishReason, string>> = { must: 'must', complaint: 'complaint', 'first-boat': 'first boat' };

/** Most of everything on one day. */
export const DAY_LIMITS = { tables: 4, shifts: 24, races: 80, starters: 120, wishes: 120, events: 5000, raceName: 60, title: 120 } as const;

/** What a wish counts. */
export const weightOf = (reasons: readonly WishReason[]): number => reasons.reduce((sum, reason) => sum + REASON_WEIGHTS[reason], 1);
