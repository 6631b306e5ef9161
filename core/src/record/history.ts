import { placeWords } from '../body/index.ts';
import { conditionWords } from '../caution/index.ts';
import type { AthleteFile, HistoryLine } from './athlete.ts';

/**
 * Everything that is dated in an athlete's file, newest first: visits and referrals, conditions with their
 * operations, clearances and ends, areas not to be touched, events up to today.
 */
export function historyOf(file: AthleteFile, today: string, dayOf: (instant: string) => string): HistoryLine[] {
  const lines: HistoryLine[] = [];
  for (const visit of file.visits) {
    if (visit.cancelledAt) continue;
    const referred = file.referredVisitIds.includes(visit.id);
    const measured = new Set(file.past.filter((reading) => reading.visitId === visit.id).map((reading) => reading.motionId)).size;
    const words = [
      [visit.eventDayId === null ? '' : 'Event work', visit.complaint].filter(Boolean).join(' · ') || 'Visit',
      measured > 0 ? `${measured} ${measured === 1 ? 'motion' : 'motions'} measured` : '',
      referred ? 'ended in a referral' : visit.finishedAt ? '' : dayOf(visit.startsAt) > today ? 'booked' : 'not finished',
    ]
      .filter(Boolean)
      .join(' · ');
    lines.push({ on: dayOf(visit.startsAt), kind: referred ? 'referral' : 'visit', words, visitId: visit.id });
  }
  for (const condition of file.conditions) {
    const name = conditionWords({ ...condition, resolvedOn: null, onset: null, surgeryOn: null }, today).replace(', date not known', '');
    const add = (on: string | null, kind: HistoryLine['kind'], words: string) => {
      if (on) lines.push({ on, kind, words, visitId: null });
    };
    add(condition.surgeryOn, 'operation', name);
    if (condition.onset !== condition.surgeryOn) add(condition.onset, 'condition', condition.words ? `${name}: ${condition.words}` : name);
    add(
      condition.clearance?.on ?? null,
      'clearance',
      `${name}: cleared by ${condition.clearance?.by}${condition.clearance?.text ? `, “${condition.clearance.text}”` : ''}`,
    );
    add(condition.resolvedOn, 'resolved', `${name}: over`);
  }
  for (const area of file.noTouch)
    lines.push({
      on: dayOf(area.since),
      kind: 'no-touch',
      words: `Not to be touched: ${placeWords(area.region, area.side)}`,
      visitId: null,
    });
  for (const event of file.events.filter((each) => each.onDate <= today))
    lines.push({ on: event.onDate, kind: 'event', words: event.name, visitId: null });
  return lines.sort((a, b) => b.on.localeCompare(a.on));
}
