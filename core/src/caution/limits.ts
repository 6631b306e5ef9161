import type { Limits } from '../method/index.ts';

/** No limit at all. */
export const NO_LIMITS: Limits = {
  cap: null,
  edgeShare: null,
  effortPct: null,
  painCeiling: null,
  grade: null,
  holdS: null,
  contractS: null,
  pressS: null,
};

const NAMES = Object.keys(NO_LIMITS) as (keyof Limits)[];

/**
 * The stricter of two limits, member by member: the smaller bend, the lower ceiling.
 * Commutative, associative and idempotent, so the order in which cautions are found cannot matter.
 * @example mergeLimits(NO_LIMITS, NO_LIMITS).effortPct // → null
 */
export function mergeLimits(a: Limits, b: Limits): Limits {
  const stricter: { -readonly [K in keyof Limits]: Limits[K] } = { ...NO_LIMITS };
  for (const name of NAMES) {
    const [x, y] = [a[name], b[name]];
    stricter[name] = x === null ? y : y === null ? x : Math.min(x, y);
  }
  return stricter;
}

/**
 * Whether limits are at least as strict as others, member by member.
 * @example isAsStrict(NO_LIMITS, NO_LIMITS) // → true
 */
export function isAsStrict(limits: Limits, than: Limits): boolean {
  return NAMES.every((name) => than[name] === null || (limits[name] !== null && limits[name] <= than[name]));
}

/**
 * Whether limits hold anything back.
 * @example anyLimit(NO_LIMITS) // → false
 */
export function anyLimit(limits: Limits): boolean {
  return NAMES.some((name) => limits[name] !== null);
}

/**
 * Limits in words, the tightest facts first; empty for none.
 * @example limitWords({ ...NO_LIMITS, cap: 110, effortPct: 20 }, '°').join(', ') // → 'to 110° at most, effort to 20 %'
 */
export function limitWords(limits: Limits, unit: '°' | ' cm'): string[] {
  const words: string[] = [];
  if (limits.cap !== null) words.push(`to ${limits.cap}${unit} at most`);
  if (limits.edgeShare !== null && limits.edgeShare < 1) words.push(`${Math.round(limits.edgeShare * 100)} % of the way to the edge`);
  if (limits.effortPct !== null) words.push(limits.effortPct === 0 ? 'no contraction' : `effort to ${limits.effortPct} %`);
  if (limits.painCeiling !== null) words.push(`discomfort to ${limits.painCeiling}`);
  if (limits.grade !== null) words.push(limits.grade === 0 ? 'no mobilization' : `grade ${limits.grade} at most`);
  if (limits.holdS !== null) words.push(`holds to ${limits.holdS} s`);
  if (limits.contractS !== null) words.push(`${limits.contractS} s of contraction in all`);
  if (limits.pressS !== null) words.push(limits.pressS === 0 ? 'no pressing' : `${limits.pressS} s of pressing in all`);
  return words;
}
