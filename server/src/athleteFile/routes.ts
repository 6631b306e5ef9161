import { buffer } from 'node:stream/consumers';
import { Router } from 'express';
import { ZipFile } from 'yazl';
import { addDays } from '@pace-bend/core/load';
import { type AthleteFile, type AthleteHistory } from '@pace-bend/core/record';
import { caller } from '../access/guard.ts';
import { conditionsOf, noTouchOf } from '../athletes/conditions.ts';
import { goalsOf } from '../athletes/goals.ts';
import { athleteById } from '../athletes/queries.ts';
import { snapshot, type Pool } from '../db/pool.ts';
import { eventsOfAthlete } from '../events/queries.ts';
import { dayIn } from '../http/days.ts';
import { idFrom } from '../http/ids.ts';
import { spanOf } from '../http/span.ts';
import { checkInsOf } from '../checkIns/queries.ts';
import { loadsOf } from '../loads/queries.ts';
import { notFound } from '../http/problem.ts';
import { dataPackage, RECORD_TABLES } from '@pace-bend/core/exchange';
import { responseFile } from './response.ts';
import { tablesOf } from './tables.ts';
import { pastBlocks } from '../done/past.ts';
import { findingsOfAthlete } from '../findings/queries.ts';
import { pastHome } from '../home/queries.ts';
import { plannedVisits } from '../plans/queries.ts';
import { pastReadings } from '../measured/queries.ts';
import { referredVisits } from '../safety/queries.ts';
import { squadNamesOf } from '../squads/queries.ts';
import { errorKnowledge } from '../studies/queries.ts';
import { visitsOf } from '../visits/queries.ts';
import { athleteBundle } from './fhir.ts';

const DAY_MS = 86_400_000;
/** How far back a history goes: longer than anybody keeps one. */
const HISTORY_DAYS = 36_500;
/** How far ahead visits are booked at most. */
const BOOKED_DAYS = 366;

/** The longest span of an athlete's days, and the usual one. */
const MOST_DAYS = 800;
const USUAL_DAYS = 120;

/** An athlete's file as a whole, read at one moment; it stands above the folders it is made of. */
export function athleteFileRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  router.get('/athletes/:id', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    response.json(
      await snapshot(pool, async (db): Promise<AthleteFile> => {
        const athlete = await athleteById(db, practice.id, id);
        if (!athlete) throw notFound('This athlete');
        return {
          athlete,
          conditions: await conditionsOf(db, id),
          noTouch: await noTouchOf(db, id),
          squads: await squadNamesOf(db, id),
          past: await pastReadings(db, id, null),
          visits: await visitsOf(db, id),
          referredVisitIds: await referredVisits(db, id),
          events: await eventsOfAthlete(db, practice.id, id),
          errors: await errorKnowledge(db, practice.id),
          goals: await goalsOf(db, id),
        };
      }),
    );
  });

  /** An athlete's days: what they answered and what they trained. */
  router.get('/athletes/:id/days', async (request, response) => {
    const athleteId = idFrom(request);
    const { practice } = caller(response);
    const { from, to } = spanOf(request.query, dayIn(practice.timeZone, now()), MOST_DAYS, USUAL_DAYS);
    const [checkIns, loads] = await Promise.all([checkInsOf(pool, athleteId, from, to), loadsOf(pool, athleteId, from, to)]);
    response.json({ from, to, scale: practice.checkInScale, checkIns, loads });
  });

  /** What says how an athlete's range answers over weeks, and the same of others of the practice. */
  router.get('/athletes/:id/response', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    response.json(await responseFile(pool, practice.id, id, now()));
  });

  /** What was done, found and given to do at home over all visits. */
  router.get('/athletes/:id/history', async (request, response) => {
    const id = idFrom(request);
    const until = new Date(now().getTime() + DAY_MS).toISOString();
    response.json(
      await snapshot(pool, async (db): Promise<AthleteHistory> => ({
        blocks: await pastBlocks(db, { athleteId: id, startsAt: until }, HISTORY_DAYS),
        findings: await findingsOfAthlete(db, id),
        home: await pastHome(db, id, until),
        planned: await plannedVisits(db, id),
      })),
    );
  });

  /** One table of the record as CSV. */
  router.get('/athletes/:id/tables/:table', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const table = RECORD_TABLES.find((each) => each.id === request.params.table);
    if (!table) throw notFound('This table');
    const { tables } = await snapshot(pool, (db) => tablesOf(db, practice, id, table.id));
    response.attachment(`${table.id}.csv`).type('text/csv; charset=utf-8').send(tables[table.id].csv());
  });

  /** All tables of the record with their data dictionary, as one zip file. */
  router.get('/athletes/:id/tables', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const at = now();
    const { name, tables } = await snapshot(pool, (db) => tablesOf(db, practice, id, null));
    const zip = new ZipFile();
    const add = (file: string, text: string) => zip.addBuffer(Buffer.from(text), file, { mtime: at });
    add('datapackage.json', JSON.stringify(dataPackage(tables, `Record of ${name}`, at.toISOString()), null, 2));
    for (const table of RECORD_TABLES) add(`${table.id}.csv`, tables[table.id].csv());
    zip.end();
    const packed = await buffer(zip.outputStream);
    response.attachment('athlete-tables.zip').type('application/zip').send(packed);
  });

  /** The record as HL7 FHIR R4: of all visits, or of those of some days. */
  router.get('/athletes/:id/fhir', async (request, response) => {
    const id = idFrom(request);
    const { practice } = caller(response);
    const span = spanOf(request.query, addDays(dayIn(practice.timeZone, now()), BOOKED_DAYS), HISTORY_DAYS, HISTORY_DAYS);
    const bundle = await snapshot(pool, (db) => athleteBundle(db, practice, id, span, now()));
    response.attachment('athlete-fhir.json').type('application/fhir+json').send(JSON.stringify(bundle));
  });

  return router;
}
