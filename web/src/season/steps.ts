import { PHASE_NAMES, phaseRule, type Develop, type LaidBlock, type PhaseRule } from '@pace-bend/core/season';
import type { SeasonVisit } from '@pace-bend/core/record';
import { blockOn } from '@pace-bend/core/season';
import { t } from '../words/season.ts';

/** How high the line stands: what may change, from keeping only to new ways. */
export const HEIGHT: Readonly<Record<Develop, number>> = { none: 0, gentle: 1, begun: 2, all: 3 };

/** The line's corners: one step a block, down to nothing between blocks. */
export function stepsOf(
  blocks: readonly LaidBlock[],
  rules: readonly PhaseRule[],
  x: (day: string) => number,
  y: (height: number) => number,
  after: (day: string) => string,
): { readonly path: string; readonly block: LaidBlock; readonly left: number; readonly right: number; readonly top: number }[] {
  return blocks.map((block) => {
    const [left, right] = [x(block.from), x(after(block.until))];
    const top = y(HEIGHT[phaseRule(block.phase, rules).develop]);
    return { block, left, right, top, path: `M${left} ${top}H${right}` };
  });
}

/** Booked visits that another line puts into another phase, in words; empty for none. */
export function changedVisits(
  visits: readonly SeasonVisit[],
  dayOf: (instant: string) => string,
  before: readonly LaidBlock[],
  after: readonly LaidBlock[],
): string {
  const changes = new Map<string, number>();
  for (const visit of visits) {
    if (visit.state !== 'booked') continue;
    const day = dayOf(visit.startsAt);
    const [was, is] = [blockOn(before, day)?.phase ?? null, blockOn(after, day)?.phase ?? null];
    if (was !== is) {
      const words = is === null ? t('intoNoBlock') : t('into', { what: PHASE_NAMES[is].toLowerCase() });
      changes.set(words, (changes.get(words) ?? 0) + 1);
    }
  }
  return [...changes].map(([words, n]) => t('booked3', { n, what: n === 1 ? t('visitComes') : t('visitsCome'), words })).join(', ');
}
