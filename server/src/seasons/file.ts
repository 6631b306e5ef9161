import { DateTime } from 'luxon';
import { addDays } from '@pace-bend/core/load';
import type { SeasonFile, SeasonOwner, SeasonVisit, SeasonWeek } from '@pace-bend/core/record';
import { EMPTY_PLAN } from '@pace-bend/core/season';
import type { PracticeRow } from '../access/sessions.ts';
import { iso, rows, type Db } from '../db/pool.ts';
import { allEvents, eventsOfAthlete, notAtOf } from '../events/queries.ts';
import { dayBounds, dayIn } from '../http/days.ts';
import { notFound } from '../http/problem.ts';
import { couldFollow, followedOf, laidOut, plansOf } from './queries.ts';

/** How far a season is drawn: weeks back and ahead of today. */
const BACK_DAYS = 40 * 7;
const AHEAD_DAYS = 52 * 7;

interface Whose {
  readonly owner: SeasonOwner;
  readonly ownerId: string;
  readonly name: string;
  /** Condition on an athlete `a`, and what it asks for. */
  readonly of: string;
  readonly bound: readonly string[];
}

/** Whose season an address names; `lock` keeps them from being erased until the transaction ends. */
export async function whoseSeason(db: Db, practice: PracticeRow, owner: SeasonOwner, id: string, lock = false): Promise<Whose> {
  if (owner === 'everybody') return { owner, ownerId: practice.id, name: 'everybody', of: 'a.practice_id = ?', bound: [practice.id] };
  const table = owner === 'squad' ? 'squad' : 'athlete';
  const [found] = await rows<{ name: string }>(
    db,
    `SELECT name FROM ${table} WHERE id = ? AND practice_id = ?${lock ? ' LOCK IN SHARE MODE' : ''}`,
    [id, practice.id],
  );
  if (!found) throw notFound(owner === 'squad' ? 'This squad' : 'This athlete');
  return owner === 'squad'
    ? { owner, ownerId: id, name: found.name, of: 'a.id IN (SELECT m.athlete_id FROM squad_member m WHERE m.squad_id = ?)', bound: [id] }
    : { owner, ownerId: id, name: found.name, of: 'a.id = ?', bound: [id] };
}

/** Everything a season is drawn from, of one moment: under a snapshot. */
export async function seasonFile(db: Db, practice: PracticeRow, owner: SeasonOwner, id: string, now: Date): Promise<SeasonFile> {
  const whose = await whoseSeason(db, practice, owner, id);
  const { ownerId, name } = whose;
  const today = dayIn(practice.timeZone, now);
  const could = owner === 'athlete' ? await couldFollow(db, practice, ownerId) : [];
  const plans = await plansOf(db, practice.id, [...could.map((each) => each.id), ownerId]);
  const kept = plans.get(ownerId);
  const followed = owner === 'athlete' ? followedOf(could, kept?.plan.follows ?? null, plans) : null;
  const events =
    owner === 'athlete'
      ? await eventsOfAthlete(db, practice.id, ownerId)
      : (await allEvents(db, practice.id)).filter((event) =>
          owner === 'squad' ? event.athleteId === null && (event.squadId === null || event.squadId === ownerId) : event.athleteId === null,
        );
  return {
    owner,
    ownerId,
    name,
    plan: { ...(kept?.plan ?? EMPTY_PLAN), notAt: owner === 'athlete' ? await notAtOf(db, ownerId) : [] },
    revision: kept?.revision ?? 0,
    followed: followed && { ...followed, plan: plans.get(followed.id)?.plan ?? EMPTY_PLAN },
    couldFollow: could,
    laidOut: await laidOut(db, practice.id),
    rules: practice.phases,
    events: events.filter(({ onDate }) => onDate >= addDays(today, -BACK_DAYS) && onDate <= addDays(today, 2 * AHEAD_DAYS)),
    visits: await visitsIn(db, practice, whose, today, now),
    weeks: await weeksIn(db, whose, today),
  };
}

async function visitsIn(db: Db, practice: PracticeRow, { of, bound }: Whose, today: string, now: Date): Promise<SeasonVisit[]> {
  const found = await rows<Omit<SeasonVisit, 'startsAt' | 'state'> & { startsAt: Date; finished: number }>(
    db,
    `SELECT v.id, a.id AS athleteId, a.name AS athleteName, v.starts_at AS startsAt, v.minutes, v.finished_at IS NOT NULL AS finished
     FROM visit v JOIN athlete a ON a.id = v.athlete_id
     WHERE ${of} AND v.cancelled_at IS NULL AND v.starts_at >= ? AND v.starts_at < ? ORDER BY v.starts_at, v.id`,
    [
      ...bound,
      dayBounds(addDays(today, -BACK_DAYS), practice.timeZone).from,
      dayBounds(addDays(today, AHEAD_DAYS), practice.timeZone).from,
    ],
  );
  // One that was never finished and whose day is over was not held.
  const begins = dayBounds(today, practice.timeZone).from;
  return found
    .filter((row) => Number(row.finished) === 1 || row.startsAt >= begins || row.startsAt >= now)
    .map(({ finished, ...row }) => ({ ...row, startsAt: iso(row.startsAt), state: Number(finished) === 1 ? 'done' : 'booked' }));
}

async function weeksIn(db: Db, { of, bound }: Whose, today: string): Promise<SeasonWeek[]> {
  const found = await rows<{ athleteId: string; onDate: string; load: number; planned: number }>(
    db,
    `SELECT l.athlete_id AS athleteId, l.on_date AS onDate, SUM(l.minutes * l.exertion) AS \`load\`, l.planned
     FROM training_load l JOIN athlete a ON a.id = l.athlete_id
     WHERE ${of} AND l.withdrawn_at IS NULL AND l.exertion IS NOT NULL AND l.on_date BETWEEN ? AND ?
     GROUP BY l.athlete_id, l.on_date, l.planned`,
    [...bound, addDays(today, -BACK_DAYS), addDays(today, AHEAD_DAYS)],
  );
  const weeks = new Map<string, { sum: number; people: Set<string>; planned: boolean }>();
  for (const { athleteId, onDate, load, planned } of found) {
    const monday = DateTime.fromISO(onDate, { zone: 'utc' }).startOf('week').toISODate()!;
    const isPlanned = Number(planned) === 1;
    // Of a week that is over only what was done counts; ahead, what is planned.
    if (isPlanned && onDate < today) continue;
    const key = `${monday}/${isPlanned}`;
    const week = weeks.get(key) ?? { sum: 0, people: new Set<string>(), planned: isPlanned };
    week.sum += Number(load);
    week.people.add(athleteId);
    weeks.set(key, week);
  }
  return [...weeks]
    .map(([key, { sum, people, planned }]) => ({ monday: key.slice(0, 10), load: Math.round(sum / people.size), planned }))
    .sort((a, b) => (a.monday < b.monday ? -1 : a.monday > b.monday ? 1 : Number(a.planned) - Number(b.planned)));
}
