import type { CheckIn } from '@pace-bend/core/readiness';
import { change, fromJson, iso, rows, type Db } from '../db/pool.ts';
import type { SentCheckIn } from './schema.ts';

const COLUMNS = `c.id, c.on_date AS onDate, c.scale, c.answers, c.hours_slept AS hoursSlept, c.sore, c.ill, c.injured, c.travelled, c.training, c.rmssd_ms AS rmssdMs,
  c.entered_at AS at, c.entered_by AS \`by\`, c.supersedes`;

type CheckInRow = Omit<CheckIn, 'at' | 'answers' | 'sore' | 'ill' | 'injured' | 'travelled'> & {
  readonly at: Date;
  readonly answers: unknown;
  readonly sore: unknown;
  readonly ill: number | null;
  readonly injured: number | null;
  readonly travelled: number | null;
};

const yes = (value: number | null) => (value === null ? null : value === 1);

const checkInFrom = (row: CheckInRow): CheckIn => ({
  ...row,
  at: iso(row.at),
  answers: fromJson(row.answers),
  sore: row.sore === null ? null : fromJson(row.sore),
  ill: yes(row.ill),
  injured: yes(row.injured),
  travelled: yes(row.travelled),
});

/** An athlete's check-ins of a span of days, corrections too, oldest first. */
export async function checkInsOf(db: Db, athleteId: string, from: string, to: string): Promise<CheckIn[]> {
  return (
    await rows<CheckInRow>(
      db,
      `SELECT ${COLUMNS} FROM check_in c WHERE c.athlete_id = ? AND c.on_date BETWEEN ? AND ? ORDER BY c.on_date, c.entered_at, c.id`,
      [athleteId, from, to],
    )
  ).map(checkInFrom);
}

export async function checkInById(db: Db, athleteId: string, id: string): Promise<CheckIn | null> {
  const [row] = await rows<CheckInRow>(db, `SELECT ${COLUMNS} FROM check_in c WHERE c.id = ? AND c.athlete_id = ?`, [id, athleteId]);
  return row ? checkInFrom(row) : null;
}

/** The check-ins of many athletes, by athlete. */
export async function checkInsOfMany(
  db: Db,
  athleteIds: readonly string[],
  from: string,
  to: string,
  /** Only those with a value of heart-rate variability. */
  withRmssd = false,
): Promise<Map<string, CheckIn[]>> {
  const byAthlete = new Map<string, CheckIn[]>();
  if (athleteIds.length === 0) return byAthlete;
  const found = await rows<CheckInRow & { athleteId: string }>(
    db,
    `SELECT c.athlete_id AS athleteId, ${COLUMNS} FROM check_in c WHERE c.athlete_id IN (${athleteIds.map(() => '?').join(', ')}) AND c.on_date BETWEEN ? AND ?${withRmssd ? ' AND c.rmssd_ms IS NOT NULL' : ''}`,
    [...athleteIds, from, to],
  );
  for (const { athleteId, ...row } of found) {
    const list = byAthlete.get(athleteId);
    if (list) list.push(checkInFrom(row));
    else byAthlete.set(athleteId, [checkInFrom(row)]);
  }
  return byAthlete;
}

/** How many check-ins an athlete has on a day, corrections counted. */
export async function checkInsOn(db: Db, athleteId: string, day: string): Promise<number> {
  const [row] = await rows<{ n: number }>(db, 'SELECT COUNT(*) AS n FROM check_in WHERE athlete_id = ? AND on_date = ?', [athleteId, day]);
  return Number(row?.n ?? 0);
}

export async function insertCheckIn(db: Db, athleteId: string, id: string, sent: SentCheckIn, at: Date, by: string): Promise<void> {
  await change(
    db,
    `INSERT INTO check_in (id, athlete_id, on_date, scale, answers, hours_slept, sore, ill, injured, travelled, training, rmssd_ms, entered_at, entered_by, supersedes)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
    [
      id,
      athleteId,
      sent.onDate,
      sent.scale,
      JSON.stringify(sent.answers),
      sent.hoursSlept,
      sent.sore === null ? null : JSON.stringify(sent.sore),
      sent.ill,
      sent.injured,
      sent.travelled,
      sent.training,
      sent.rmssdMs,
      at,
      by,
      sent.supersedes,
    ],
  );
}
