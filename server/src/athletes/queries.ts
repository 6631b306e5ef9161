import type { Athlete, AthleteFields, AthleteList, AthleteRow } from '@pace-bend/core/record';
import { change, firstRow, fromJson, insertMany, iso, rows, type Bound, type Db } from '../db/pool.ts';

/** Column of each field; JSON ones are written and read as text. */
const COLUMN_OF: Record<keyof AthleteFields, string> = {
  name: 'name',
  birthDate: 'birth_date',
  referenceSex: 'reference_sex',
  sports: 'sports',
  about: 'about',
  breathPeriodMs: 'breath_period_ms',
  hand: 'hand',
  foot: 'foot',
  thighCm: 'thigh_cm',
  legCm: 'leg_cm',
  armCm: 'arm_cm',
  forearmCm: 'forearm_cm',
  build: 'build',
  preferences: 'preferences',
  coach: 'coach',
  contacts: 'contacts',
  medications: 'medications',
  historyOn: 'history_on',
  beighton: 'beighton',
  availability: 'availability',
  availableUntil: 'available_until',
};
const FIELDS = Object.keys(COLUMN_OF) as (keyof AthleteFields)[];
const JSON_FIELDS: readonly (keyof AthleteFields)[] = ['sports', 'contacts', 'medications', 'beighton'];

const COLUMNS = `a.id, a.revision, ${FIELDS.map((field) => `a.${COLUMN_OF[field]} AS ${field}`).join(', ')}`;

function bound(field: keyof AthleteFields, value: AthleteFields[keyof AthleteFields] | undefined): Bound {
  return JSON_FIELDS.includes(field) ? (value === null ? null : JSON.stringify(value)) : (value as Bound);
}

function athleteFrom(row: Athlete): Athlete {
  return {
    ...row,
    sports: fromJson(row.sports),
    contacts: fromJson(row.contacts),
    medications: fromJson(row.medications),
    beighton: row.beighton === null ? null : fromJson(row.beighton),
  };
}

export async function athleteById(db: Db, practiceId: string, id: string): Promise<Athlete | null> {
  const row = await firstRow<Athlete>(db, `SELECT ${COLUMNS} FROM athlete a WHERE a.id = ? AND a.practice_id = ?`, [id, practiceId]);
  return row && athleteFrom(row);
}

const PAGE = 500;

/** A few hundred athletes by name, those after the one given; the first without one. */
async function athletesAfter(db: Db, practiceId: string, last: Pick<Athlete, 'id' | 'name'> | null): Promise<Athlete[]> {
  const after = last === null ? '' : ' AND (a.name > ? OR (a.name = ? AND a.id > ?))';
  return (
    await rows<Athlete>(db, `SELECT ${COLUMNS} FROM athlete a WHERE a.practice_id = ?${after} ORDER BY a.name, a.id LIMIT ${PAGE}`, [
      practiceId,
      ...(last === null ? [] : [last.name, last.name, last.id]),
    ])
  ).map(athleteFrom);
}

/** Everybody of a practice by name, some hundreds at a time, so that others have their turn. */
export async function* athletePages(db: Db, practiceId: string): AsyncGenerator<readonly Athlete[]> {
  for (let page = await athletesAfter(db, practiceId, null); page.length > 0; page = await athletesAfter(db, practiceId, page.at(-1)!))
    yield page;
}

/** How many of them are read side by side where all of them leave as a file. */
export const ATHLETES_AHEAD = 4;

/** Everybody of a practice by name, one after another. */
export async function* everyAthlete(db: Db, practiceId: string): AsyncGenerator<Athlete> {
  for await (const page of athletePages(db, practiceId)) yield* page;
}

export interface ListWish {
  /** Every word has to stand somewhere in the name, the story or the sports; wildcards are taken literally. */
  readonly search: string;
  readonly squadId: string | null;
  readonly offset: number;
  readonly limit: number;
}

/** One page of the athletes by name, and how many fit in all. Counts are taken for the page only. */
export async function athletesByName(db: Db, practiceId: string, { search, squadId, offset, limit }: ListWish): Promise<AthleteList> {
  const words = search
    .split(/\s+/)
    .filter(Boolean)
    .slice(0, 8)
    .map((word) => `%${word.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`);
  const where = `a.practice_id = ?${" AND (CONCAT_WS(' ', a.name, a.about) LIKE ? OR LOWER(JSON_EXTRACT(a.sports, '$[*].*')) LIKE LOWER(?))".repeat(words.length)}${squadId ? ' AND a.id IN (SELECT m.athlete_id FROM squad_member m WHERE m.squad_id = ?)' : ''}`;
  const params: Bound[] = [practiceId, ...words.flatMap((word) => [word, word]), ...(squadId ? [squadId] : [])];
  const [found, counted] = await Promise.all([
    rows<Omit<AthleteRow, 'lastVisitAt'> & { lastVisitAt: Date | null }>(
      db,
      `SELECT a.id, a.name, a.birth_date AS birthDate, a.reference_sex AS referenceSex, a.sports, a.about, a.availability, a.available_until AS availableUntil,
         (SELECT MAX(v.finished_at) FROM visit v WHERE v.athlete_id = a.id) AS lastVisitAt,
         (SELECT COUNT(v.finished_at) FROM visit v WHERE v.athlete_id = a.id) AS visits,
         (SELECT COUNT(*) FROM athlete_condition c WHERE c.athlete_id = a.id AND c.withdrawn_at IS NULL AND c.resolved_on IS NULL) AS open
       FROM (SELECT a.id FROM athlete a WHERE ${where} ORDER BY a.name, a.id LIMIT ${Number(limit)} OFFSET ${Number(offset)}) page JOIN athlete a ON a.id = page.id ORDER BY a.name, a.id`,
      params,
    ),
    firstRow<{ n: number }>(db, `SELECT COUNT(*) AS n FROM athlete a WHERE ${where}`, params),
  ]);
  return {
    athletes: found.map((row) => ({
      ...row,
      sports: fromJson(row.sports),
      visits: Number(row.visits),
      open: Number(row.open),
      lastVisitAt: row.lastVisitAt ? iso(row.lastVisitAt) : null,
    })),
    total: Number(counted?.n ?? 0),
    offset,
  };
}

export async function insertAthlete(db: Db, practiceId: string, id: string, fields: AthleteFields): Promise<void> {
  await change(
    db,
    `INSERT INTO athlete (id, practice_id, ${FIELDS.map((field) => COLUMN_OF[field]).join(', ')}) VALUES (?, ?${', ?'.repeat(FIELDS.length)})`,
    [id, practiceId, ...FIELDS.map((field) => bound(field, fields[field]))],
  );
}

/** Adds many at once, in statements of a few hundred rows. */
export async function insertAthletes(
  db: Db,
  practiceId: string,
  people: readonly (AthleteFields & { readonly id: string })[],
): Promise<void> {
  const BATCH = 400;
  for (let from = 0; from < people.length; from += BATCH) {
    const batch = people.slice(from, from + BATCH);
    await insertMany(
      db,
      `INSERT INTO athlete (id, practice_id, ${FIELDS.map((field) => COLUMN_OF[field]).join(', ')}) VALUES ?`,
      batch.map((person) => [person.id, practiceId, ...FIELDS.map((field) => bound(field, person[field]))]),
    );
  }
}

/** Changes what is given if the athlete still has the revision the change was made on; returns whether it had. */
export async function updateAthlete(db: Db, id: string, revision: number, patch: Partial<AthleteFields>): Promise<boolean> {
  const given = FIELDS.filter((field) => patch[field] !== undefined);
  const touched = await change(
    db,
    `UPDATE athlete SET ${given.map((field) => `${COLUMN_OF[field]} = ?`).join(', ')}, revision = revision + 1 WHERE id = ? AND revision = ?`,
    [...given.map((field) => bound(field, patch[field])), id, revision],
  );
  return touched === 1;
}
