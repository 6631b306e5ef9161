import { daysBetween } from '@pace-bend/core/caution';
import { addDays } from '@pace-bend/core/load';
import { byUrgency, morningOf, READINESS_DAYS, type MorningRow } from '@pace-bend/core/record';
import type { PracticeRow } from '../access/sessions.ts';
import { checkInsOfMany } from '../checkIns/queries.ts';
import { rows, type Db } from '../db/pool.ts';
import { loadsOfMany } from '../loads/queries.ts';

/** Answers of so many days make a normal; loads need one more, because yesterday has its own 28 before it. */
const ANSWER_DAYS = 28;
const LOAD_DAYS = 30;

/** Whose morning is asked for. */
type Named = Pick<MorningRow, 'id' | 'name'>;

interface NearEvents {
  readonly next: string | null;
  readonly last: string | null;
}

/** The nearest event on either side of a day for each of these athletes: of theirs and of everybody's. */
export async function eventsNear(db: Db, practiceId: string, athleteIds: readonly string[], day: string): Promise<Map<string, NearEvents>> {
  const near = new Map<string, NearEvents>();
  if (athleteIds.length === 0) return near;
  const marks = athleteIds.map(() => '?').join(', ');
  const [events, members, away] = await Promise.all([
    rows<{ id: string; squadId: string | null; athleteId: string | null; onDate: string }>(
      db,
      'SELECT id, squad_id AS squadId, athlete_id AS athleteId, on_date AS onDate FROM calendar_event WHERE practice_id = ? AND on_date BETWEEN ? AND ?',
      [practiceId, addDays(day, -7), addDays(day, 7)],
    ),
    rows<{ squadId: string; athleteId: string }>(
      db,
      `SELECT m.squad_id AS squadId, m.athlete_id AS athleteId FROM squad_member m WHERE m.athlete_id IN (${marks})`,
      athleteIds,
    ),
    rows<{ athleteId: string; eventId: string }>(
      db,
      `SELECT athlete_id AS athleteId, event_id AS eventId FROM event_not_at WHERE athlete_id IN (${marks})`,
      athleteIds,
    ),
  ]);
  const squads = new Map<string, Set<string>>();
  for (const { squadId, athleteId } of members) squads.set(athleteId, (squads.get(athleteId) ?? new Set()).add(squadId));
  for (const id of athleteIds) {
    const own = events
      .filter(
        (event) =>
          (event.athleteId === null ? event.squadId === null || squads.get(id)?.has(event.squadId) : event.athleteId === id) &&
          !away.some((each) => each.athleteId === id && each.eventId === event.id),
      )
      .map(({ onDate }) => onDate);
    near.set(id, {
      next: own.filter((on) => on >= day).sort()[0] ?? null,
      last:
        own
          .filter((on) => on < day)
          .sort()
          .at(-1) ?? null,
    });
  }
  return near;
}

/** How everybody of a list is on a day, most urgent first. Six questions to the database, whatever the number of athletes. */
export async function morningRows(db: Db, practice: PracticeRow, athletes: readonly Named[], day: string): Promise<MorningRow[]> {
  const ids = athletes.map(({ id }) => id);
  const [answers, hrv, loads, events] = await Promise.all([
    checkInsOfMany(db, ids, addDays(day, -ANSWER_DAYS), day),
    checkInsOfMany(db, ids, addDays(day, -READINESS_DAYS), addDays(day, -ANSWER_DAYS - 1), true),
    loadsOfMany(db, ids, addDays(day, -LOAD_DAYS), addDays(day, -1)),
    eventsNear(db, practice.id, ids, day),
  ]);
  return byUrgency(
    athletes.map(({ id, name }) => {
      const { next = null, last = null } = events.get(id) ?? {};
      return morningOf(
        { id, name },
        {
          onDay: day,
          checkIns: [...(hrv.get(id) ?? []), ...(answers.get(id) ?? [])],
          loads: loads.get(id) ?? [],
          motionsBelow: null,
          daysToEvent: next === null ? null : daysBetween(day, next),
          daysSinceEvent: last === null ? null : daysBetween(last, day),
        },
        practice.checkInScale,
      );
    }),
  );
}
