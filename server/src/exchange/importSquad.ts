import { setImmediate as breathe } from 'node:timers/promises';
import Joi from 'joi';
import { v7 as uuid } from 'uuid';
import { personKey, type SquadRow } from '@pace-bend/core/exchange';
import { SLOW_BREATH } from '@pace-bend/core/method';
import { BLANK_FILE, checkBirthDate, LIMITS } from '@pace-bend/core/record';
import { idSchema } from '../http/ids.ts';
import { invalid, type FieldError } from '../http/problem.ts';
import { MOST_PROBLEMS } from '../http/shape.ts';
import { problems } from '../http/validate.ts';
import type { Wire } from '../http/wire.ts';
import { oneLine } from '../http/text.ts';
import { insertAthletes } from '../athletes/queries.ts';
import { sportsSchema } from '../athletes/schema.ts';
import { change, firstRow, rows, type Db } from '../db/pool.ts';
import { addMembers } from '../squads/queries.ts';

export type ImportRow = SquadRow & { readonly id: string };

/** So many rows are looked at in one go before others have their turn. */
const SLICE = 200;

const line = oneLine().allow('').max(LIMITS.lineLength).required();
const rowSchema = (today: string) =>
  Joi.object<Wire<ImportRow>, true>({
    id: idSchema.required(),
    name: oneLine().trim(true).min(1).max(LIMITS.nameLength).required().label('Name'),
    birthDate: Joi.string()
      .required()
      .label('Birth date')
      .custom((value: string, helpers) => {
        const message = checkBirthDate(value, today);
        return message ? helpers.message({ custom: message }) : value;
      }),
    referenceSex: Joi.string().valid('female', 'male', 'none').required(),
    sports: sportsSchema.required(),
    coach: line,
    about: Joi.string().allow('').max(LIMITS.aboutLength).required(),
    squads: Joi.array().items(oneLine().trim(true).min(1).max(LIMITS.squadName)).max(20).required(),
  });

/** Checks the rows that were sent, a slice at a time; throws a 422 with the first fifty problems, each at its row. */
export async function rowsFrom(body: unknown, today: string): Promise<ImportRow[]> {
  const sent = (body as { rows?: unknown } | null)?.rows;
  if (!Array.isArray(sent) || sent.length === 0) throw invalid([{ path: 'rows', message: 'Rows are sent as a list with at least one.' }]);
  if (sent.length > LIMITS.importRows)
    throw invalid([{ path: 'rows', message: `${LIMITS.importRows} rows at most are imported at once; ${sent.length} were sent.` }]);
  const schema = rowSchema(today);
  const wrong: FieldError[] = [];
  for (let from = 0; from < sent.length; from += SLICE) {
    for (let i = from; i < Math.min(sent.length, from + SLICE); i++) {
      const { error } = schema.validate(sent[i], { abortEarly: false, convert: false, errors: { wrap: { label: false } } });
      for (const detail of error?.details ?? [])
        wrong.push({
          path: `rows.${i}${detail.path.length > 0 ? `.${detail.path.join('.')}` : ''}`.slice(0, 200),
          message: `${detail.message}.`.replace('..', '.').slice(0, 240),
        });
      if (wrong.length > MOST_PROBLEMS) throw invalid(problems(wrong));
    }
    await breathe();
  }
  if (wrong.length > 0) throw invalid(wrong);
  return sent as ImportRow[];
}

/**
 * For each row, the id of whoever has this name and birth date already: as the database compares names, and without regard to
 * spaces and accents, as the table was looked at in the browser.
 */
async function alreadyHere(db: Db, practiceId: string, sent: readonly ImportRow[]): Promise<(string | null)[]> {
  const people = await rows<{ id: string; name: string; birthDate: string }>(
    db,
    'SELECT id, name, birth_date AS birthDate FROM athlete WHERE practice_id = ?',
    [practiceId],
  );
  const keys = new Map(people.map((person) => [personKey(person.name, person.birthDate), person.id]));
  const found = sent.map((row) => keys.get(personKey(row.name, row.birthDate)) ?? null);
  for (let from = 0; from < sent.length; from += SLICE) {
    const slice = sent.slice(from, from + SLICE);
    const here = await rows<{ i: number | string; id: string }>(
      db,
      `SELECT w.i, a.id FROM (${slice.map((_, i) => `SELECT ${i} AS i, ? AS name, CAST(? AS DATE) AS born`).join(' UNION ALL ')}) w JOIN athlete a ON a.practice_id = ? AND a.name = w.name AND a.birth_date = w.born`,
      [...slice.flatMap((row) => [row.name, row.birthDate]), practiceId],
    );
    // Of several with this name the one with the row's own id counts: it is the same request again.
    for (const { i, id } of here)
      if (found[from + Number(i)] === null || slice[Number(i)]!.id.toLowerCase() === id) found[from + Number(i)] = id;
  }
  return found;
}

/** The squad with this name, as the database compares names; made when there is none. */
async function squadNamed(db: Db, practiceId: string, name: string): Promise<string> {
  const known = await firstRow<{ id: string }>(db, 'SELECT id FROM squad WHERE practice_id = ? AND name = ?', [practiceId, name]);
  if (known) return known.id;
  const id = uuid();
  await change(db, 'INSERT INTO squad (id, practice_id, name) VALUES (?, ?, ?)', [id, practiceId, name]);
  return id;
}

/** Writes the rows of people who are not here yet; every row, or none with each row's own message. Returns how many were added. */
export async function importRows(db: Db, practiceId: string, sent: readonly ImportRow[]): Promise<number> {
  // One import at a time in a practice, so that nobody comes in twice.
  await rows(db, 'SELECT id FROM practice WHERE id = ? FOR UPDATE', [practiceId]);
  const here = await alreadyHere(db, practiceId, sent);
  const wrong: FieldError[] = [];
  const seen = new Set<string>();
  const fresh = sent.filter((row, i) => {
    if (here[i] === row.id.toLowerCase()) return false;
    const who = personKey(row.name, row.birthDate);
    if (here[i] !== null) wrong.push({ path: `rows.${i}.name`, message: `${row.name}, born ${row.birthDate}, is already here.` });
    else if (seen.has(who)) wrong.push({ path: `rows.${i}.name`, message: `${row.name}, born ${row.birthDate}, comes twice.` });
    seen.add(who);
    return true;
  });
  if (wrong.length > 0) throw invalid(problems(wrong));
  await insertAthletes(
    db,
    practiceId,
    fresh.map(({ squads: _squads, ...row }) => ({ ...BLANK_FILE, ...row, breathPeriodMs: SLOW_BREATH.periodMs })),
  );
  const squads = new Map<string, string>();
  for (const name of new Set(fresh.flatMap((row) => row.squads))) squads.set(name, await squadNamed(db, practiceId, name));
  await addMembers(
    db,
    practiceId,
    fresh.flatMap((row) => row.squads.map((name) => [squads.get(name)!, row.id] as const)),
  );
  return fresh.length;
}
