import { DateTime } from 'luxon';
import type { CalendarEvent, MoveLook, MoveVisit } from '@pace-bend/core/record';
import { movedLines, movedVisits, type MovedLine } from '@pace-bend/core/season';
import { daysBetween } from '@pace-bend/core/caution';
import type { Side } from '@pace-bend/core/body';
import type { PracticeRow } from '../access/sessions.ts';
import { iso, rows, type Db } from '../db/pool.ts';
import { dayBounds, dayIn } from '../http/days.ts';
import { visitsInSpan } from '../visits/queries.ts';
import { couldFollow, followedOf, plansOf } from '../seasons/queries.ts';

export interface Moving extends MoveLook {
  /** Goals by id, as they are written. */
  readonly goalIds: readonly string[];
}

/** The athletes an event concerns. */
async function athletesAt(db: Db, practiceId: string, { id, squadId, athleteId }: CalendarEvent): Promise<{ id: string; name: string }[]> {
  return rows(
    db,
    `SELECT a.id, a.name FROM athlete a WHERE a.practice_id = ? AND a.id NOT IN (SELECT n.athlete_id FROM event_not_at n WHERE n.event_id = ?)
     ${athleteId ? 'AND a.id = ?' : squadId ? 'AND a.id IN (SELECT m.athlete_id FROM squad_member m WHERE m.squad_id = ?)' : ''} ORDER BY a.name, a.id`,
    [practiceId, id, ...(athleteId ? [athleteId] : squadId ? [squadId] : [])],
  );
}

/** All lines of the practice with an end tied to an event, as they would be. `lock` keeps them until the transaction ends. */
async function linesOf(db: Db, practice: PracticeRow, event: CalendarEvent, toDay: string, lock: boolean): Promise<MovedLine[]> {
  const owners = await rows<{ id: string; squad: string | null; athlete: string | null }>(
    db,
    `SELECT p.owner_id AS id, s.name AS squad, a.name AS athlete FROM season_plan p LEFT JOIN squad s ON s.id = p.owner_id LEFT JOIN athlete a ON a.id = p.owner_id
     WHERE p.practice_id = ? AND INSTR(p.data, ?) > 0 ORDER BY p.owner_id`,
    [practice.id, event.id],
  );
  const plans = await plansOf(
    db,
    practice.id,
    owners.map(({ id }) => id),
    lock,
  );
  return movedLines(
    owners.flatMap(({ id, squad, athlete }) => {
      const kept = plans.get(id);
      const owner = squad !== null ? ('squad' as const) : athlete !== null ? ('athlete' as const) : ('everybody' as const);
      return kept ? [{ ...kept, owner, name: squad ?? athlete ?? 'everybody' }] : [];
    }),
    event,
    toDay,
  );
}

/** What moves when an event does: lines, goals that are wanted by its day, and visits booked in the stretches that begin by it. */
export async function lookAtMove(
  db: Db,
  practice: PracticeRow,
  event: CalendarEvent,
  toDay: string,
  now: Date,
  lock = false,
): Promise<Moving> {
  const lines = await linesOf(db, practice, event, toDay, lock);
  const athletes = await athletesAt(db, practice.id, event);
  const goals =
    athletes.length === 0 || toDay === event.onDate
      ? []
      : await rows<{ id: string; athleteId: string; motionId: string; side: Side }>(
          db,
          `SELECT id, athlete_id AS athleteId, motion_id AS motionId, side FROM athlete_goal
           WHERE withdrawn_at IS NULL AND by_date = ? AND athlete_id IN (${athletes.map(() => '?').join(', ')}) ORDER BY athlete_id, id${lock ? ' FOR UPDATE' : ''}`,
          [event.onDate, ...athletes.map(({ id }) => id)],
        );
  return {
    event,
    toDay,
    lines,
    goals: goals.map(({ athleteId, motionId, side }) => ({
      athleteName: athletes.find(({ id }) => id === athleteId)!.name,
      motionId,
      side,
    })),
    goalIds: goals.map(({ id }) => id),
    visits: lines.length === 0 ? [] : await visitsAlong(db, practice, athletes, event, toDay, now),
  };
}

async function visitsAlong(
  db: Db,
  practice: PracticeRow,
  athletes: readonly { readonly id: string; readonly name: string }[],
  event: CalendarEvent,
  toDay: string,
  now: Date,
): Promise<MoveVisit[]> {
  if (athletes.length === 0) return [];
  const booked = await rows<{ id: string; athleteId: string; startsAt: Date; minutes: number; revision: number }>(
    db,
    `SELECT v.id, v.athlete_id AS athleteId, v.starts_at AS startsAt, v.minutes, v.revision FROM visit v
     WHERE v.cancelled_at IS NULL AND v.finished_at IS NULL AND v.starts_at > ? AND v.athlete_id IN (${athletes.map(() => '?').join(', ')}) ORDER BY v.starts_at, v.id`,
    [now, ...athletes.map(({ id }) => id)],
  );
  const by = daysBetween(event.onDate, toDay);
  const along: (typeof booked)[number][] = [];
  for (const { id } of athletes) {
    const theirs = booked.filter((visit) => visit.athleteId === id);
    if (theirs.length === 0) continue;
    const could = await couldFollow(db, practice, id);
    const plans = await plansOf(db, practice.id, [...could.map((each) => each.id), id]);
    const own = plans.get(id)?.plan ?? null;
    const followed = followedOf(could, own?.follows ?? null, plans);
    const moved = movedVisits(
      theirs.map((visit) => ({ id: visit.id, day: dayIn(practice.timeZone, visit.startsAt) })),
      { followed: (followed && plans.get(followed.id)?.plan.blocks) ?? [], own: own?.blocks ?? [] },
      event,
      toDay,
    );
    along.push(...theirs.filter((visit) => moved.some((each) => each.id === visit.id)));
  }
  const ids = new Set(along.map(({ id }) => id));
  return Promise.all(
    along
      .sort((a, b) => a.startsAt.getTime() - b.startsAt.getTime())
      .map(async ({ id, athleteId, startsAt, minutes, revision }): Promise<MoveVisit> => {
        // The same hour on the clock of that day, whatever the clocks did in between.
        const to = DateTime.fromJSDate(startsAt, { zone: practice.timeZone }).plus({ days: by }).toJSDate();
        const there = await visitsInSpan(db, practice.id, to, minutes, id);
        return {
          id,
          revision,
          athleteName: athletes.find((each) => each.id === athleteId)!.name,
          startsAt: iso(startsAt),
          minutes,
          toStartsAt: iso(to),
          taken: there.filter((each) => !ids.has(each.id)).map((each) => each.athleteName),
          past: to < dayBounds(dayIn(practice.timeZone, now), practice.timeZone).from,
        };
      }),
  );
}
