import type { Motion } from '@pace-bend/core/body';
import { formatValue } from '@pace-bend/core/measure';
import type { KeptShare } from '@pace-bend/core/session';

const inDays = (days: number) => {
  const whole = Math.max(1, Math.round(days));
  return whole === 1 ? 'tomorrow' : `in ${whole} days`;
};

/** How much of a gain is still there at the next visit, by whose visits that is said, and between what eight in ten lie. */
export function keptWords({ share, low, high, visits, days }: KeptShare, gain: number, unit: Motion['unit']): string {
  const part = (of: number) => formatValue(gain * of, unit);
  if (visits === null) return `about ${part(share)} of it still there ${inDays(days)}, as is usual: their own visits do not say yet`;
  return `about ${part(share)} of it still there ${inDays(days)} (${part(low)} to ${part(high)}), by ${visits} visits of theirs`;
}

/** What degrees count for because of it; nothing where they count as usual. */
export const keptTimes = (kept: KeptShare | null): string =>
  kept === null || kept.visits === null ? '' : ` × ${Math.max(0, kept.factor).toFixed(2)} for what is kept of it, where 1 is usual`;
