import { dueBefore, NO_KEEPING, type Keeping, type KeepingPage, type KeptKind, type KeptRecord } from '@pace-bend/core/keeping';
import type { PracticeRow } from '../access/sessions.ts';
import { change, firstRow, fromJson, iso, rows, type Db } from '../db/pool.ts';
import { countGuests } from '../eventDays/forget.ts';
import { dayIn } from '../http/days.ts';

const MOST_RECORDS = 200;

export async function keepingOf(db: Db, practiceId: string): Promise<{ readonly keeping: Keeping; readonly revision: number }> {
  const row = (await firstRow<{ keeping: unknown; revision: number }>(
    db,
    'SELECT keeping, keeping_revision AS revision FROM practice WHERE id = ?',
    [practiceId],
  ))!;
  return { keeping: row.keeping === null ? NO_KEEPING : fromJson<Keeping>(row.keeping), revision: row.revision };
}

/** Writes the periods if they still have the named revision; returns whether they had. */
export async function writeKeeping(db: Db, practiceId: string, revision: number, keeping: Keeping): Promise<boolean> {
  return (
    (await change(db, 'UPDATE practice SET keeping = ?, keeping_revision = keeping_revision + 1 WHERE id = ? AND keeping_revision = ?', [
      JSON.stringify(keeping),
      practiceId,
      revision,
    ])) === 1
  );
}

/** The day of the last visit that was not cancelled; null for whoever never came. */
export async function lastVisitOn(db: Db, { timeZone }: PracticeRow, athleteId: string): Promise<string | null> {
  const row = await firstRow<{ last: Date | null }>(
    db,
    'SELECT MAX(starts_at) AS last FROM visit WHERE athlete_id = ? AND cancelled_at IS NULL',
    [athleteId],
  );
  return row?.last ? dayIn(timeZone, row.last) : null;
}

/** Records whose last visit, or for whoever never came their first day on file, lies before a day. */
export async function recordsBefore(
  db: Db,
  { id, timeZone }: PracticeRow,
  before: string,
): Promise<{
  readonly all: number;
  readonly records: { athleteId: string; name: string; birthDate: string; lastOn: string; came: boolean }[];
}> {
  const found = await rows<{ athleteId: string; name: string; birthDate: string; last: Date; came: number }>(
    db,
    `SELECT * FROM (
       SELECT a.id AS athleteId, a.name, a.birth_date AS birthDate, COALESCE(MAX(v.starts_at), a.created_at) AS last, MAX(v.starts_at) IS NOT NULL AS came
       FROM athlete a LEFT JOIN visit v ON v.athlete_id = a.id AND v.cancelled_at IS NULL WHERE a.practice_id = ? GROUP BY a.id
     ) each_of WHERE last < ? ORDER BY last, athleteId`,
    [id, new Date(Date.parse(`${before}T00:00:00Z`) + DAY_MS)],
  );
  const due = found
    .map(({ last, came, ...rest }) => ({ ...rest, lastOn: dayIn(timeZone, last), came: came === 1 }))
    .filter(({ lastOn }) => lastOn < before);
  return { all: due.length, records: due.slice(0, MOST_RECORDS) };
}
const DAY_MS = 86_400_000;

const countBefore = async (db: Db, table: 'check_in' | 'training_load', practiceId: string, before: string) =>
  Number(
    (await firstRow<{ n: number }>(
      db,
      `SELECT COUNT(*) AS n FROM ${table} t JOIN athlete a ON a.id = t.athlete_id WHERE a.practice_id = ? AND t.on_date < ?`,
      [practiceId, before],
    ))!.n,
  );

/** What is past its period, kind by kind; null for a kind without one. */
export async function pastTheirPeriod(
  db: Db,
  practiceId: string,
  keeping: Keeping,
  today: string,
): Promise<Pick<KeepingPage, 'checkIns' | 'loads' | 'guests'>> {
  const of = async (months: number | null, count: (before: string) => Promise<number>) => {
    const before = dueBefore(months, today);
    return before === null ? null : { before, count: await count(before) };
  };
  return {
    checkIns: await of(keeping.checkInsMonths, (before) => countBefore(db, 'check_in', practiceId, before)),
    loads: await of(keeping.loadsMonths, (before) => countBefore(db, 'training_load', practiceId, before)),
    guests: await of(keeping.guestsMonths, (before) => countGuests(db, practiceId, before)),
  };
}

/** Erases check-ins of before a day; one that a later day’s correction stands on stays until that goes. */
export async function eraseCheckInsBefore(db: Db, practiceId: string, before: string): Promise<number> {
  const latest = `DELETE c FROM check_in c JOIN athlete a ON a.id = c.athlete_id LEFT JOIN check_in later ON later.supersedes = c.id
    WHERE later.id IS NULL AND a.practice_id = ? AND c.on_date < ?`;
  let gone = 0;
  for (let some = await change(db, latest, [practiceId, before]); some > 0; some = await change(db, latest, [practiceId, before]))
    gone += some;
  return gone;
}

export async function eraseLoadsBefore(db: Db, practiceId: string, before: string): Promise<number> {
  return change(db, 'DELETE l FROM training_load l JOIN athlete a ON a.id = l.athlete_id WHERE a.practice_id = ? AND l.on_date < ?', [
    practiceId,
    before,
  ]);
}

interface KeptRow {
  readonly id: string;
  readonly athleteId: string;
  readonly erasedAt: Date;
  readonly erasedBy: string;
  readonly keepUntil: string;
  readonly reason: string;
  readonly kinds: unknown;
  readonly name: string;
  readonly birthDate: string;
}
const KEPT = `SELECT id, athlete_id AS athleteId, erased_at AS erasedAt, erased_by AS erasedBy, keep_until AS keepUntil, reason, kinds,
    JSON_VALUE(data, '$.athletes[0].tables.athlete[0].name') AS name, JSON_VALUE(data, '$.athletes[0].tables.athlete[0].birth_date') AS birthDate
  FROM kept_record WHERE practice_id = ?`;

const keptFrom =
  ({ timeZone }: PracticeRow) =>
  ({ erasedAt, kinds, ...row }: KeptRow): KeptRecord => ({
    ...row,
    erasedOn: dayIn(timeZone, erasedAt),
    kinds: fromJson<KeptKind[]>(kinds),
  });

/** What the law keeps of those who were erased, what may go first in front. */
export async function keptRecords(db: Db, practice: PracticeRow): Promise<KeptRecord[]> {
  return (await rows<KeptRow>(db, `${KEPT} ORDER BY keep_until, id LIMIT 500`, [practice.id])).map(keptFrom(practice));
}

export async function keptRecord(db: Db, practice: PracticeRow, id: string): Promise<KeptRecord | null> {
  const row = await firstRow<KeptRow>(db, `${KEPT} AND id = ?`, [practice.id, id]);
  return row && keptFrom(practice)(row);
}

/** Backups in which whoever is erased now still stands. */
export async function backups(db: Db): Promise<KeepingPage['backups']> {
  const found = await rows<{ name: string; madeAt: Date; goesOn: string | null }>(
    db,
    'SELECT name, made_at AS madeAt, goes_on AS goesOn FROM backup_made WHERE dropped_at IS NULL ORDER BY made_at, name',
  );
  return found.map(({ madeAt, ...rest }) => ({ ...rest, madeAt: iso(madeAt) }));
}

export async function erasedSoFar(db: Db, { id, timeZone }: PracticeRow): Promise<KeepingPage['erased']> {
  const row = (await firstRow<{ n: number; last: Date | null }>(
    db,
    'SELECT COUNT(*) AS n, MAX(erased_at) AS last FROM erased WHERE practice_id = ?',
    [id],
  ))!;
  return { count: Number(row.n), last: row.last ? dayIn(timeZone, row.last) : null };
}
