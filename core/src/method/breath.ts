import type { BreathPace } from './types.ts';

/** A slow, guided breath: six a minute, a little longer out than in. Common practice. */
export const SLOW_BREATH: BreathPace = { periodMs: 10_000, inShare: 0.4 };

/**
 * Milliseconds from a moment to the end of a breath in or out that lies nearest to `wantedMs` ahead.
 * The moment is given as its offset into the breath cycle, which starts with the breath in. At least one
 * such end lies ahead; of two equally near ones the later is taken, so that nothing is cut short.
 * All in milliseconds.
 * @example nearestBreathEndMs(6000, 'out', 4000, { periodMs: 10000, inShare: 0.4 }) // → 6000
 */
export function nearestBreathEndMs(wantedMs: number, end: 'in' | 'out', offsetMs: number, pace: BreathPace): number {
  const endOffset = end === 'in' ? Math.round(pace.periodMs * pace.inShare) : pace.periodMs;
  let first = endOffset - (offsetMs % pace.periodMs);
  if (first <= 0) first += pace.periodMs;
  const whole = Math.max(0, Math.floor((wantedMs - first) / pace.periodMs));
  const before = first + whole * pace.periodMs;
  const after = before + pace.periodMs;
  return Math.abs(after - wantedMs) <= Math.abs(before - wantedMs) ? after : before;
}

/**
 * Which way the breath goes at an offset into the cycle, and how far through it is (0–1).
 * @example breathAt(2000, { periodMs: 10000, inShare: 0.4 }).share // → 0.5
 */
export function breathAt(offsetMs: number, pace: BreathPace): { readonly way: 'in' | 'out'; readonly share: number } {
  const within = ((offsetMs % pace.periodMs) + pace.periodMs) % pace.periodMs;
  const inMs = Math.round(pace.periodMs * pace.inShare);
  return within < inMs ? { way: 'in', share: within / inMs } : { way: 'out', share: (within - inMs) / (pace.periodMs - inMs) };
}

/** Whether a stretch of time lies within one breath in, or one breath out; of a free breath nothing is asked. */
export function breathLies(way: 'in' | 'out' | 'free', offsetMs: number, durationMs: number, { periodMs, inShare }: BreathPace): boolean {
  if (way === 'free') return true;
  const inMs = Math.round(periodMs * inShare);
  const [from, to] = way === 'in' ? [0, inMs] : [inMs, periodMs];
  const at = offsetMs % periodMs;
  return at >= from && at + durationMs <= to;
}
