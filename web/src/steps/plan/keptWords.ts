import type { Motion } from '@pace-bend/core/body';
import { formatValue } from '@pace-bend/core/measure';
import type { KeptShare } from '@pace-bend/core/session';
import { t } from '../../words/plan.ts';

const inDays = (days: number) => {
  const whole = Math.max(1, Math.round(days));
  return whole === 1 ? t('tomorrow') : t('inDays', { whole });
};

/** How much of a gain is still there at the next visit, by whose visits that is said, and between what eight in ten lie. */
export function keptWords({ share, low, high, visits, days }: KeptShare, gain: number, unit: Motion['unit']): string {
  const part = (of: number) => formatValue(gain * of, unit);
  if (visits === null) return t('aboutStillThereUsual', { part: part(share), inDays: inDays(days) });
  return t('aboutStillThereVisits', { part: part(share), inDays: inDays(days), part2: part(low), part3: part(high), visits });
}

/** What degrees count for because of it; nothing where they count as usual. */
export const keptTimes = (kept: KeptShare | null): string =>
  kept === null || kept.visits === null ? '' : ` ${t('whatKeptWhere1', { what: Math.max(0, kept.factor).toFixed(2) })}`;
