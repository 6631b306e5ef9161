import type { GivenSheet, HomeAnswers, HomeItem, HomeSheet, HomeSheetFields, HomeAnswersFields, PastHome } from '@pace-bend/core/record';
import { change, firstRow, fromJson, iso, rows, type Db } from '../db/pool.ts';

interface SheetRow {
  readonly items: unknown;
  readonly until: string;
  readonly words: string;
  readonly revision: number;
}
interface GivenRow extends SheetRow {
  readonly visitId: string;
  readonly startsAt: Date;
  readonly askedBefore: number;
}
interface AnswersRow {
  readonly sheetOf: string;
  readonly answers: unknown;
  readonly revision: number;
}

const SHEET = 'h.items, h.until_date AS until, h.words, h.revision';
/** Whether a sheet was asked about at a visit before an instant, which is the one value it needs. */
const ASKED_BEFORE = `EXISTS (SELECT 1 FROM home_answers a JOIN visit w ON w.id = a.visit_id
  WHERE a.sheet_of = h.visit_id AND w.starts_at < ? AND w.cancelled_at IS NULL AND JSON_LENGTH(a.answers) > 0)`;
const EMPTY: HomeSheet = { items: [], until: '', words: '', revision: 0 };

const sheetFrom = ({ items, until, words, revision }: SheetRow): HomeSheet => ({
  items: fromJson<HomeItem[]>(items),
  until,
  words,
  revision,
});
const givenFrom = (row: GivenRow): GivenSheet => ({
  ...sheetFrom(row),
  visitId: row.visitId,
  startsAt: iso(row.startsAt),
  askedBefore: Number(row.askedBefore) === 1,
});

/** What goes home from a visit; with no exercise and revision 0 where nothing does yet. */
export async function homeOf(db: Db, visitId: string): Promise<HomeSheet> {
  const row = await firstRow<SheetRow>(db, `SELECT ${SHEET} FROM home_sheet h WHERE h.visit_id = ?`, [visitId]);
  return row ? sheetFrom(row) : EMPTY;
}

/** The sheet given last before an instant, or null. One that was emptied again was not given. */
export async function homeBefore(db: Db, athleteId: string, before: string): Promise<GivenSheet | null> {
  const row = await firstRow<GivenRow>(
    db,
    `SELECT ${SHEET}, v.id AS visitId, v.starts_at AS startsAt, ${ASKED_BEFORE} AS askedBefore FROM home_sheet h JOIN visit v ON v.id = h.visit_id
     WHERE v.athlete_id = ? AND v.starts_at < ? AND v.cancelled_at IS NULL AND JSON_LENGTH(h.items) > 0
     ORDER BY v.starts_at DESC LIMIT 1`,
    [new Date(before), athleteId, new Date(before)],
  );
  return row && givenFrom(row);
}

/** What was answered at a visit about an earlier sheet, or null. */
export async function homeAnswersOf(db: Db, visitId: string): Promise<HomeAnswers | null> {
  const row = await firstRow<AnswersRow>(db, 'SELECT sheet_of AS sheetOf, answers, revision FROM home_answers WHERE visit_id = ?', [
    visitId,
  ]);
  return row && { sheetOf: row.sheetOf, answers: fromJson<HomeAnswers['answers']>(row.answers), revision: row.revision };
}

/** An athlete's sheets up to an instant, oldest first, each with what was answered when it was asked about first: later ones do not know which days they speak of. */
export async function pastHome(db: Db, athleteId: string, until: string): Promise<PastHome[]> {
  const [sheets, answers] = await Promise.all([
    rows<GivenRow>(
      db,
      `SELECT ${SHEET}, v.id AS visitId, v.starts_at AS startsAt, ${ASKED_BEFORE} AS askedBefore FROM home_sheet h JOIN visit v ON v.id = h.visit_id
       WHERE v.athlete_id = ? AND v.starts_at < ? AND v.cancelled_at IS NULL AND JSON_LENGTH(h.items) > 0 ORDER BY v.starts_at`,
      [new Date(until), athleteId, new Date(until)],
    ),
    rows<AnswersRow & { readonly visitId: string; readonly startsAt: Date }>(
      db,
      `SELECT a.sheet_of AS sheetOf, a.answers, a.revision, v.id AS visitId, v.starts_at AS startsAt FROM home_answers a
       JOIN visit v ON v.id = a.visit_id
       WHERE v.athlete_id = ? AND v.starts_at < ? AND v.cancelled_at IS NULL ORDER BY v.starts_at`,
      [athleteId, new Date(until)],
    ),
  ]);
  return sheets.map((row) => {
    const asked = answers.find(({ sheetOf }) => sheetOf === row.visitId);
    return {
      sheet: givenFrom(row),
      asked: asked
        ? { visitId: asked.visitId, startsAt: iso(asked.startsAt), answers: fromJson<HomeAnswers['answers']>(asked.answers) }
        : null,
    };
  });
}

/** Writes the sheet if it still has the named revision; returns whether it had. */
export async function writeHome(db: Db, visitId: string, revision: number, { items, until, words }: HomeSheetFields): Promise<boolean> {
  const values = [JSON.stringify(items), until, words];
  const touched =
    revision === 0
      ? await change(db, 'INSERT IGNORE INTO home_sheet (items, until_date, words, visit_id, revision) VALUES (?, ?, ?, ?, 1)', [
          ...values,
          visitId,
        ])
      : await change(
          db,
          'UPDATE home_sheet SET items = ?, until_date = ?, words = ?, revision = revision + 1 WHERE visit_id = ? AND revision = ?',
          [...values, visitId, revision],
        );
  return touched === 1;
}

/** The same for the answers. */
export async function writeHomeAnswers(
  db: Db,
  visitId: string,
  revision: number,
  { sheetOf, answers }: HomeAnswersFields,
): Promise<boolean> {
  const values = [sheetOf, JSON.stringify(answers)];
  const touched =
    revision === 0
      ? await change(db, 'INSERT IGNORE INTO home_answers (sheet_of, answers, visit_id, revision) VALUES (?, ?, ?, 1)', [
          ...values,
          visitId,
        ])
      : await change(db, 'UPDATE home_answers SET sheet_of = ?, answers = ?, revision = revision + 1 WHERE visit_id = ? AND revision = ?', [
          ...values,
          visitId,
          revision,
        ]);
  return touched === 1;
}
