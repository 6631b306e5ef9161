import {
  weekDays,
  weekdayOf,
  type Clash,
  type TakenBy,
  type Valued,
  type WeekFile,
  type WeekPlan,
  type WeekVisit,
} from '@pace-bend/core/week';
import { cellVisit, standingVisit, type Cell, type WeekRow } from './cells.ts';
import type { Draft } from './drafts.ts';

interface Shown {
  readonly valued: readonly Valued[];
  /** By slot. */
  readonly clashes: ReadonlyMap<number, readonly Clash[]>;
  readonly standing: readonly (WeekVisit & TakenBy)[];
  readonly today: string;
}

/** The days of a week, each therapist’s, with everything that lies in them in order of time. Days without hours or visits are left out. */
export function rowsOf(file: WeekFile, plan: WeekPlan, draft: Draft, shown: Shown): WeekRow[] {
  const first = file.hours.therapists[0]?.accountId ?? null;
  return weekDays(file.monday).flatMap((date) =>
    file.hours.therapists.flatMap(({ accountId, spans, breaks }): WeekRow[] => {
      const works = spans.some(({ weekday }) => weekday === weekdayOf(date));
      const cells: Cell[] = [
        ...slotCells(plan, draft, shown, date, accountId),
        ...closedCells(draft, date, accountId),
        ...shown.standing
          .filter((visit) => visit.day === date && (visit.therapistId ?? first) === accountId)
          .map((visit): Cell => ({
            id: visit.id,
            fromMin: visit.fromMin,
            state: visit.state,
            slot: null,
            visit: standingVisit(
              visit,
              plan.people.find(({ id }) => id === visit.athleteId),
            ),
            visitId: visit.id,
            words: '',
          })),
        ...breaks
          .filter(({ weekday }) => works && weekday === weekdayOf(date))
          .map(({ fromMin, words }): Cell => ({
            id: `break/${accountId}/${date}/${fromMin}`,
            fromMin,
            state: 'break',
            slot: null,
            visit: null,
            visitId: null,
            words: words || 'break',
          })),
      ];
      if (!works && cells.length === 0) return [];
      return [
        {
          key: `${accountId}/${date}`,
          date,
          accountId,
          cells: date < shown.today && cells.every(({ state }) => state === 'break') ? [] : cells.sort((a, b) => a.fromMin - b.fromMin),
        },
      ];
    }),
  );
}

function slotCells(plan: WeekPlan, draft: Draft, { valued, clashes }: Shown, date: string, accountId: string): Cell[] {
  const pinned = new Set(draft.placed.filter((each) => each.pinned).map(({ key }) => key));
  return plan.slots.flatMap((slot, i): Cell[] => {
    if (slot.date !== date || slot.accountId !== accountId) return [];
    const visit = valued.find((each) => each.slot === i);
    const person = visit && plan.people[visit.person]!;
    return [
      {
        id: slot.key,
        fromMin: slot.fromMin,
        state: visit ? 'placed' : 'free',
        slot,
        visit: visit && person ? cellVisit(person, visit, pinned.has(slot.key), clashes.get(i) ?? []) : null,
        visitId: null,
        words: '',
      },
    ];
  });
}

/** Times that are kept free: they are in no plan, and are shown where they would be. */
const closedCells = ({ closed }: Draft, date: string, accountId: string): Cell[] =>
  closed.flatMap((key): Cell[] => {
    const [who, day, from] = key.split('/');
    if (who !== accountId || day !== date) return [];
    const fromMin = Number(from);
    return [{ id: key, fromMin, state: 'closed', slot: null, visit: null, visitId: null, words: '' }];
  });
