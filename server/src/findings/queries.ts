import { currentFindings, type Finding, type FindingFields } from '@pace-bend/core/finding';
import { change, firstRow, fromJson, iso, rows, type Db } from '../db/pool.ts';

type FindingRow = Omit<Finding, 'data' | 'foundAt'> & { readonly data: unknown; readonly foundAt: Date };

const COLUMNS =
  'f.id, f.visit_id AS visitId, f.kind, f.subject, f.side, f.moment, f.data, f.found_at AS foundAt, f.found_by AS foundBy, f.supersedes';

function findingFrom(row: FindingRow): Finding {
  return { ...row, data: row.data === null ? null : fromJson(row.data), foundAt: iso(row.foundAt) } as Finding;
}

/** Everything found at a visit, corrected ones too, in the order it was found. */
export async function findingsOf(db: Db, visitId: string): Promise<Finding[]> {
  return (await rows<FindingRow>(db, `SELECT ${COLUMNS} FROM finding f WHERE f.visit_id = ? ORDER BY f.found_at, f.id`, [visitId])).map(
    findingFrom,
  );
}

export async function findingById(db: Db, id: string): Promise<Finding | null> {
  const row = await firstRow<FindingRow>(db, `SELECT ${COLUMNS} FROM finding f WHERE f.id = ?`, [id]);
  return row && findingFrom(row);
}

/** Everything found on an athlete at any visit that was not cancelled, corrected ones too, oldest first. */
export async function findingsOfAthlete(db: Db, athleteId: string): Promise<Finding[]> {
  return (
    await rows<FindingRow>(
      db,
      `SELECT ${COLUMNS} FROM finding f JOIN visit v ON v.id = f.visit_id WHERE v.athlete_id = ? AND v.cancelled_at IS NULL ORDER BY v.starts_at, f.found_at, f.id`,
      [athleteId],
    )
  ).map(findingFrom);
}

/** Points older than this are not asked about any more. */
const POINTS_DAYS = 183;

/**
 * What stood at the athlete's latest visit before an instant at which anything was found, and, of the half year before it, every point that
 * was found at an earlier one: a lump is asked about until somebody has looked again.
 */
export async function findingsBefore(db: Db, athleteId: string, before: string): Promise<Finding[]> {
  const at = new Date(before);
  const last = await firstRow<{ id: string }>(
    db,
    'SELECT v.id FROM visit v WHERE v.athlete_id = ? AND v.starts_at < ? AND EXISTS (SELECT 1 FROM finding f WHERE f.visit_id = v.id) ORDER BY v.starts_at DESC LIMIT 1',
    [athleteId, at],
  );
  if (!last) return [];
  const points = await rows<FindingRow>(
    db,
    `SELECT ${COLUMNS} FROM finding f JOIN visit v ON v.id = f.visit_id
     WHERE v.athlete_id = ? AND v.starts_at < ? AND v.starts_at >= ? AND v.id <> ? AND f.kind = 'point' ORDER BY f.found_at, f.id`,
    [athleteId, at, new Date(at.getTime() - POINTS_DAYS * 86_400_000), last.id],
  );
  return [...currentFindings(points.map(findingFrom)), ...currentFindings(await findingsOf(db, last.id))];
}

export async function insertFinding(db: Db, id: string, visitId: string, finding: FindingFields, at: Date, by: string): Promise<void> {
  await change(
    db,
    'INSERT INTO finding (id, visit_id, kind, subject, side, moment, data, found_at, found_by, supersedes) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)',
    [
      id,
      visitId,
      finding.kind,
      finding.subject,
      finding.side,
      finding.moment,
      finding.data === null ? null : JSON.stringify(finding.data),
      at,
      by,
      finding.supersedes,
    ],
  );
}
