import type { Level, Premise, Rule, Touch } from '../types.ts';

export const COMMON = 'common practice';
export const SURGEON = `${COMMON}; the surgeon’s own limits come first`;

type More = Pick<Rule, 'limits' | 'refer'> & { readonly source?: string };
type Who = Premise | readonly Extract<Premise, { readonly conditions: unknown }>['conditions'][number][];

function rule(
  level: Level,
  id: string,
  who: Who,
  touches: Touch,
  reason: string,
  instead: string,
  { source = COMMON, ...more }: More = {},
): Rule {
  return { id, premise: Array.isArray(who) ? { conditions: who } : (who as Premise), touches, level, reason, instead, source, ...more };
}

/** A rule of one level, in the order it is read: who, what it touches, why, what instead. */
export const avoid = (...given: Parameters<typeof rule> extends [Level, ...infer Rest] ? Rest : never): Rule => rule('avoid', ...given);
export const modify = (...given: Parameters<typeof rule> extends [Level, ...infer Rest] ? Rest : never): Rule => rule('modify', ...given);
export const note = (...given: Parameters<typeof rule> extends [Level, ...infer Rest] ? Rest : never): Rule => rule('note', ...given);
export const stop = (...given: Parameters<typeof rule> extends [Level, ...infer Rest] ? Rest : never): Rule => rule('stop', ...given);

/** Work that reaches a place: stretching, pressing, pulling, mobilizing, moving it, and holding it short. */
export const ANY_WORK = [
  'lengthen',
  'contract',
  'active',
  'mobilize',
  'traction',
  'press',
  'friction',
  'pin',
  'continuous',
  'comfort',
] as const;
export const TRUNK_MOVES = ['trunk flexion', 'trunk extension', 'trunk rotation', 'trunk side-bend'] as const;
export const NECK_MOVES = ['neck rotation', 'neck side-bend', 'neck flexion', 'neck extension'] as const;
