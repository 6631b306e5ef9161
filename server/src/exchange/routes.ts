import express, { Router } from 'express';
import Joi from 'joi';
import { v7 as uuid } from 'uuid';
import { personKey, writeSquad, type SquadRow } from '@pace-bend/core/exchange';
import { SLOW_BREATH } from '@pace-bend/core/method';
import { BLANK_FILE, checkBirthDate, LIMITS } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { dayIn } from '../app/days.ts';
import { idSchema } from '../app/ids.ts';
import { invalid, type FieldError } from '../app/problem.ts';
import { validate } from '../app/validate.ts';
import type { Wire } from '../app/wire.ts';
import { allAthletes, insertAthletes } from '../athletes/queries.ts';
import { change, isDuplicate, rows, transaction, type Pool } from '../db/pool.ts';
import { addMembers, squadsOf } from '../squads/queries.ts';

type ImportRow = SquadRow & { readonly id: string };

const line = Joi.string().allow('').max(LIMITS.lineLength).required();
const importSchema = (today: string) => Joi.object<{ rows: Wire<ImportRow>[] }, true>({
  rows: Joi.array().min(1).max(LIMITS.importRows).required().label('Rows').items(Joi.object<Wire<ImportRow>, true>({
    id: idSchema.required(),
    name: Joi.string().trim(true).min(1).max(LIMITS.nameLength).required().label('Name'),
    birthDate: Joi.string().required().label('Birth date').custom((value: string, helpers) => {
      const message = checkBirthDate(value, today);
      return message ? helpers.message({ custom: message }) : value;
    }),
    referenceSex: Joi.string().valid('female', 'male', 'none').required(),
    rowing: Joi.string().valid('stroke', 'bow', 'sculls', 'cox', 'none').required(),
    sport: line, role: line, coach: line,
    about: Joi.string().allow('').max(LIMITS.aboutLength).required(),
    squads: Joi.array().items(Joi.string().trim(true).min(1).max(LIMITS.squadName)).max(20).required(),
  })),
});

export function exchangeRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  /**
   * Reads a squad in: every row, or none. A row that cannot be, or a person who is already here or comes twice,
   * refuses the whole request with each row's own message. The same request again finds its own rows and adds none.
   */
  router.post('/import/athletes', express.json({ limit: LIMITS.importBytes }), async (request, response) => {
    const { practice } = caller(response);
    const { rows: sent } = validate(importSchema(dayIn(practice.timeZone, now())), request.body);
    const people = await rows<{ id: string; name: string; birthDate: string }>(pool, 'SELECT id, name, birth_date AS birthDate FROM athlete WHERE practice_id = ?', [practice.id]);
    const here = new Map(people.map((person) => [personKey(person.name, person.birthDate), person.id]));
    const wrong: FieldError[] = [];
    const seen = new Map<string, number>();
    const fresh = sent.filter((row, i) => {
      const who = personKey(row.name, row.birthDate);
      const [known, before] = [here.get(who), seen.get(who)];
      seen.set(who, i);
      if (known === row.id.toLowerCase()) return false;
      if (known !== undefined) wrong.push({ path: `rows.${i}.name`, message: `${row.name}, born ${row.birthDate}, is already here.` });
      else if (before !== undefined) wrong.push({ path: `rows.${i}.name`, message: `${row.name}, born ${row.birthDate}, comes twice.` });
      return true;
    });
    if (wrong.length > 0) throw invalid(wrong);

    await transaction(pool, async (db) => {
      await insertAthletes(db, practice.id, fresh.map(({ squads: _squads, ...row }) => ({ ...BLANK_FILE, ...row, breathPeriodMs: SLOW_BREATH.periodMs })));
      const squads = new Map((await squadsOf(db, practice.id)).map((squad) => [squad.name.toLowerCase(), squad.id]));
      const members: [string, string][] = [];
      for (const row of fresh) {
        for (const name of row.squads) {
          if (!squads.has(name.toLowerCase())) {
            const id = uuid();
            await change(db, 'INSERT INTO squad (id, practice_id, name) VALUES (?, ?, ?)', [id, practice.id, name]);
            squads.set(name.toLowerCase(), id);
          }
          members.push([squads.get(name.toLowerCase())!, row.id]);
        }
      }
      await addMembers(db, practice.id, members);
    }).catch((error: unknown) => {
      if (isDuplicate(error)) throw invalid([{ path: 'rows', message: 'A row’s id is taken, or two rows have the same one.' }]);
      throw error;
    });
    response.json({ added: fresh.length, already: sent.length - fresh.length });
  });

  router.get('/export/athletes', async (_request, response) => {
    const { practice } = caller(response);
    const athletes = await allAthletes(pool, practice.id);
    const squads = await rows<{ athleteId: string; name: string }>(pool, 'SELECT m.athlete_id AS athleteId, s.name FROM squad_member m JOIN squad s ON s.id = m.squad_id WHERE s.practice_id = ? ORDER BY s.name', [practice.id]);
    const names = new Map<string, string[]>();
    for (const { athleteId, name } of squads) names.set(athleteId, [...(names.get(athleteId) ?? []), name]);
    const text = writeSquad(athletes.map((athlete) => ({ ...athlete, squads: names.get(athlete.id) ?? [] })));
    response.attachment('squad.csv').type('text/csv; charset=utf-8').send(`\uFEFF${text}`);
  });

  return router;
}
