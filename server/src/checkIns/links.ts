import { digest, newToken } from '../access/tokens.ts';
import { change, firstRow, iso, rows, type Db } from '../db/pool.ts';

/** A page that may send check-ins: of one athlete, or a squad's tablet. */
export interface CheckInLink {
  readonly id: string;
  readonly athleteId: string | null;
  readonly squadId: string | null;
  /** The athlete or squad, by name. */
  readonly of: string;
  readonly fromDate: string;
  readonly untilDate: string;
  readonly madeAt: string;
  readonly madeBy: string;
}

export interface NewLink {
  readonly id: string;
  readonly athleteId: string | null;
  readonly squadId: string | null;
  readonly fromDate: string;
  readonly untilDate: string;
}

/** Makes a link; returns its token, which is kept nowhere. */
export async function insertLink(db: Db, practiceId: string, link: NewLink, at: Date, by: string): Promise<string> {
  const token = newToken();
  await change(db, 'DELETE FROM check_in_link WHERE practice_id = ? AND until_date < ?', [practiceId, link.fromDate]);
  await change(
    db,
    'INSERT INTO check_in_link (id, token_hash, practice_id, athlete_id, squad_id, from_date, until_date, made_at, made_by) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
    [link.id, digest(token), practiceId, link.athleteId, link.squadId, link.fromDate, link.untilDate, at, by],
  );
  return token;
}

/** Whether a squad is the practice's. */
export async function hasSquad(db: Db, practiceId: string, squadId: string): Promise<boolean> {
  return (await rows(db, 'SELECT id FROM squad WHERE id = ? AND practice_id = ?', [squadId, practiceId])).length > 0;
}

/** The links that still open something on a day. */
export async function openLinks(db: Db, practiceId: string, day: string): Promise<CheckInLink[]> {
  const found = await rows<Omit<CheckInLink, 'madeAt'> & { madeAt: Date }>(
    db,
    `SELECT l.id, l.athlete_id AS athleteId, l.squad_id AS squadId, COALESCE(a.name, s.name) AS \`of\`, l.from_date AS fromDate, l.until_date AS untilDate, l.made_at AS madeAt, l.made_by AS madeBy
     FROM check_in_link l LEFT JOIN athlete a ON a.id = l.athlete_id LEFT JOIN squad s ON s.id = l.squad_id
     WHERE l.practice_id = ? AND l.until_date >= ? AND l.revoked_at IS NULL ORDER BY l.made_at, l.id`,
    [practiceId, day],
  );
  return found.map((row) => ({ ...row, madeAt: iso(row.madeAt) }));
}

/** Closes a page; returns whether there is such a one. */
export async function revokeLink(db: Db, practiceId: string, id: string, at: Date): Promise<boolean> {
  await change(db, 'UPDATE check_in_link SET revoked_at = ? WHERE id = ? AND practice_id = ? AND revoked_at IS NULL', [at, id, practiceId]);
  return (await rows(db, 'SELECT id FROM check_in_link WHERE id = ? AND practice_id = ?', [id, practiceId])).length > 0;
}

/** What a token lets in, or null when nobody made it. Whether it still does is for whoever asks to see. */
export async function linkByToken(
  db: Db,
  token: string,
): Promise<{
  readonly practiceId: string;
  readonly athleteId: string | null;
  readonly squadId: string | null;
  readonly fromDate: string;
  readonly untilDate: string;
  readonly revoked: number;
} | null> {
  return firstRow(
    db,
    'SELECT practice_id AS practiceId, athlete_id AS athleteId, squad_id AS squadId, from_date AS fromDate, until_date AS untilDate, revoked_at IS NOT NULL AS revoked FROM check_in_link WHERE token_hash = ?',
    [digest(token)],
  );
}

/** Who can check in through a link on a day, by name: no more of them than that and whether they have. */
export async function peopleBehind(
  db: Db,
  link: { readonly athleteId: string | null; readonly squadId: string | null },
  day: string,
): Promise<{ id: string; name: string; answered: boolean; sports: unknown }[]> {
  const found = await rows<{ id: string; name: string; answered: number; sports: unknown }>(
    db,
    `SELECT a.id, a.name, a.sports, EXISTS (SELECT 1 FROM check_in c WHERE c.athlete_id = a.id AND c.on_date = ?) AS answered FROM athlete a WHERE ${
      link.athleteId ? 'a.id = ?' : 'a.id IN (SELECT m.athlete_id FROM squad_member m WHERE m.squad_id = ?)'
    } ORDER BY a.name`,
    [day, (link.athleteId ?? link.squadId)!],
  );
  return found.map((row) => ({ ...row, answered: Number(row.answered) === 1 }));
}
