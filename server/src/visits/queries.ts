import type { Arrival, Step, Visit, VisitFile } from '@pace-bend/core/record';
import { change, firstRow, fromJson, iso, rows, type Bound, type Db } from '../db/pool.ts';
import type { NewVisit } from './schema.ts';

/** Column of each thing asked at arrival. */
const ARRIVAL_COLUMN: Record<keyof Arrival, string> = {
  complaint: 'complaint',
  complaintRegion: 'complaint_region',
  complaintSide: 'complaint_side',
  complaintScore: 'complaint_score',
  changed: 'changed',
  trainingSince: 'training_since',
  trainingNext: 'training_next',
  minutesAvailable: 'minutes_available',
  consent: 'consent',
  consentWord: 'consent_word',
  lookFirst: 'look_first',
};
const ARRIVAL = Object.keys(ARRIVAL_COLUMN) as (keyof Arrival)[];

export const VISIT_COLUMNS = `v.id, v.athlete_id AS athleteId, v.starts_at AS startsAt, v.minutes, v.step, v.finished_at AS finishedAt, v.cancelled_at AS cancelledAt, v.event_day_id AS eventDayId, v.revision,
  ${ARRIVAL.map((field) => `v.${ARRIVAL_COLUMN[field]} AS ${field}`).join(', ')}`;

export type VisitRow = Omit<Visit, 'startsAt' | 'finishedAt' | 'cancelledAt' | 'consent'> & {
  readonly startsAt: Date;
  readonly finishedAt: Date | null;
  readonly cancelledAt: Date | null;
  readonly consent: unknown;
};

/** The visit in a row, whatever else the row holds. */
export function visitFrom(row: VisitRow): Visit {
  return {
    id: row.id,
    athleteId: row.athleteId,
    minutes: row.minutes,
    step: row.step,
    eventDayId: row.eventDayId,
    revision: row.revision,
    ...arrivalFrom(row),
    startsAt: iso(row.startsAt),
    finishedAt: row.finishedAt ? iso(row.finishedAt) : null,
    cancelledAt: row.cancelledAt ? iso(row.cancelledAt) : null,
  };
}

function arrivalFrom(row: Omit<Arrival, 'consent'> & { readonly consent: unknown }): Arrival {
  return {
    ...(Object.fromEntries(ARRIVAL.map((field) => [field, row[field]])) as unknown as Arrival),
    consent: row.consent === null ? null : fromJson(row.consent),
  };
}

export async function visitById(db: Db, practiceId: string, id: string): Promise<Visit | null> {
  const row = await firstRow<VisitRow>(
    db,
    `SELECT ${VISIT_COLUMNS} FROM visit v JOIN athlete a ON a.id = v.athlete_id WHERE v.id = ? AND a.practice_id = ?`,
    [id, practiceId],
  );
  return row ? visitFrom(row) : null;
}

export async function visitsOf(db: Db, athleteId: string): Promise<Visit[]> {
  return (
    await rows<VisitRow>(db, `SELECT ${VISIT_COLUMNS} FROM visit v WHERE v.athlete_id = ? ORDER BY v.starts_at DESC`, [athleteId])
  ).map(visitFrom);
}

/** How many visits an athlete had up to an instant, that one included; booked ones that never began do not count. */
export async function visitNumber(db: Db, visit: Visit): Promise<number> {
  const row = await firstRow<{ n: number }>(
    db,
    'SELECT COUNT(*) AS n FROM visit WHERE athlete_id = ? AND (id = ? OR (starts_at <= ? AND finished_at IS NOT NULL))',
    [visit.athleteId, visit.id, new Date(visit.startsAt)],
  );
  return Number(row?.n ?? 1);
}

export async function insertVisit(db: Db, id: string, visit: NewVisit, therapistId: string | null = null): Promise<void> {
  await change(db, 'INSERT INTO visit (id, athlete_id, starts_at, minutes, minutes_available, therapist_id) VALUES (?, ?, ?, ?, ?, ?)', [
    id,
    visit.athleteId,
    new Date(visit.startsAt),
    visit.minutes,
    visit.minutes,
    therapistId,
  ]);
}

/** Says that a visit was work at an event, and which wish of the day it answered. */
export async function markEventWork(db: Db, id: string, eventDayId: string, wishId: string): Promise<void> {
  await change(db, 'UPDATE visit SET event_day_id = ?, event_wish_id = ? WHERE id = ?', [eventDayId, wishId, id]);
}

/** Changes what is given in a visit if it still has the revision the change was made on; returns whether it had. */
export async function updateVisit(db: Db, id: string, revision: number, patch: Partial<Arrival>): Promise<boolean> {
  const given = ARRIVAL.filter((field) => patch[field] !== undefined);
  const bound = (field: keyof Arrival): Bound =>
    field === 'consent' && patch.consent ? JSON.stringify(patch.consent) : (patch[field] as Bound);
  return (
    (await change(
      db,
      `UPDATE visit SET ${given.map((field) => `${ARRIVAL_COLUMN[field]} = ?`).join(', ')}, revision = revision + 1 WHERE id = ? AND revision = ?`,
      [...given.map(bound), id, revision],
    )) === 1
  );
}

/** What was answered at the athlete's last visit before an instant that was not cancelled, or null. */
export async function arrivalBefore(db: Db, athleteId: string, before: string): Promise<VisitFile['lastArrival']> {
  const row = await firstRow<VisitRow>(
    db,
    `SELECT ${VISIT_COLUMNS} FROM visit v WHERE v.athlete_id = ? AND v.starts_at < ? AND v.cancelled_at IS NULL AND (v.finished_at IS NOT NULL OR v.step <> 'arrive') ORDER BY v.starts_at DESC LIMIT 1`,
    [athleteId, new Date(before)],
  );
  return row && { ...arrivalFrom(row), startsAt: iso(row.startsAt) };
}

/** When an athlete is booked next after an instant, or null. */
export async function nextVisitAt(db: Db, athleteId: string, after: string): Promise<string | null> {
  const row = await firstRow<{ startsAt: Date }>(
    db,
    'SELECT starts_at AS startsAt FROM visit WHERE athlete_id = ? AND starts_at > ? AND cancelled_at IS NULL ORDER BY starts_at LIMIT 1',
    [athleteId, new Date(after)],
  );
  return row && iso(row.startsAt);
}

/** Moves a visit or changes its length; the minutes available follow a new length. */
export async function rebook(db: Db, id: string, revision: number, startsAt: Date, minutes: number): Promise<boolean> {
  return (
    (await change(
      db,
      'UPDATE visit SET starts_at = ?, minutes_available = IF(minutes = ?, minutes_available, ?), minutes = ?, revision = revision + 1 WHERE id = ? AND revision = ?',
      [startsAt, minutes, minutes, minutes, id, revision],
    )) === 1
  );
}

/** Cancels a visit, or takes that back. */
export async function setCancelled(db: Db, id: string, revision: number, at: Date | null): Promise<boolean> {
  return (
    (await change(db, 'UPDATE visit SET cancelled_at = ?, revision = revision + 1 WHERE id = ? AND revision = ?', [at, id, revision])) === 1
  );
}

/** Keeps everybody else from booking in this practice until the transaction ends. */
export async function lockBookings(db: Db, practiceId: string): Promise<void> {
  await rows(db, 'SELECT id FROM practice WHERE id = ? FOR UPDATE', [practiceId]);
}

export interface VisitInSpan {
  readonly id: string;
  readonly athleteName: string;
  readonly startsAt: string;
  readonly minutes: number;
  readonly therapistId: string | null;
}

/** Visits that share time with a span, with who they are for. The named one, cancelled ones and finished ones, which have left the table, do not count. */
export async function visitsInSpan(db: Db, practiceId: string, from: Date, minutes: number, exceptId: string): Promise<VisitInSpan[]> {
  const found = await rows<Omit<VisitInSpan, 'startsAt'> & { startsAt: Date }>(
    db,
    `SELECT v.id, a.name AS athleteName, v.starts_at AS startsAt, v.minutes, v.therapist_id AS therapistId FROM visit v JOIN athlete a ON a.id = v.athlete_id
     WHERE a.practice_id = ? AND v.id <> ? AND v.cancelled_at IS NULL AND v.finished_at IS NULL AND v.starts_at < ? AND v.starts_at > ? AND v.starts_at + INTERVAL v.minutes MINUTE > ? ORDER BY v.starts_at`,
    [practiceId, exceptId, new Date(from.getTime() + minutes * 60_000), new Date(from.getTime() - 24 * 3_600_000), from],
  );
  return found.map((row) => ({ ...row, startsAt: iso(row.startsAt) }));
}

/** Remembers which step is open. That is a place in the program, not content: the last one to look wins, and no revision is counted. */
export async function setStep(db: Db, id: string, step: Step): Promise<void> {
  await change(db, 'UPDATE visit SET step = ? WHERE id = ?', [step, id]);
}

/** Sets or clears the end of a visit. */
export async function setFinished(db: Db, id: string, revision: number, at: Date | null): Promise<boolean> {
  return (
    (await change(db, 'UPDATE visit SET finished_at = ?, revision = revision + 1 WHERE id = ? AND revision = ?', [at, id, revision])) === 1
  );
}
