import Joi from 'joi';
import { Router } from 'express';
import { addDays } from '@pace-bend/core/load';
import { caller } from '../access/guard.ts';
import { athleteById } from '../athletes/queries.ts';
import { isDuplicate, type Pool } from '../db/pool.ts';
import { dayIn } from '../http/days.ts';
import { idFrom, idSchema } from '../http/ids.ts';
import { invalid, notFound, stale } from '../http/problem.ts';
import { validate } from '../http/validate.ts';
import { hasSquad, insertLink, openLinks, revokeLink, type NewLink } from './links.ts';
import { checkInSchema } from './schema.ts';
import { appendCheckIn } from './write.ts';

/** How long a squad's tablet may stay open. */
const KIOSK_DAYS = 14;

const linkSchema = Joi.object<NewLink>({
  id: idSchema.lowercase().required(),
  athleteId: idSchema.lowercase().allow(null).required(),
  squadId: idSchema.lowercase().allow(null).required(),
}).custom((sent: NewLink, helpers) =>
  (sent.athleteId === null) !== (sent.squadId === null) ? sent : helpers.message({ custom: 'A page is for one athlete or for one squad' }),
);

/** Check-ins as whoever is signed in enters them, and the pages that may send them without. */
export function checkInRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();

  router.put('/athletes/:id/check-ins/:checkInId', async (request, response) => {
    const athleteId = idFrom(request);
    const id = idFrom(request, 'checkInId');
    const { practice, name } = caller(response);
    const sent = validate(checkInSchema(dayIn(practice.timeZone, now())), request.body);
    response.json(await appendCheckIn(pool, athleteId, id, sent, now(), name));
  });

  router.get('/check-in-links', async (_request, response) => {
    const { practice } = caller(response);
    response.json({ links: await openLinks(pool, practice.id, dayIn(practice.timeZone, now())) });
  });

  /** Opens a page. Its token is in this answer and nowhere else: whoever loses it opens another. */
  router.post('/check-in-links', async (request, response) => {
    const { practice, name } = caller(response);
    const sent = validate(linkSchema, request.body);
    const today = dayIn(practice.timeZone, now());
    if (sent.athleteId !== null && !(await athleteById(pool, practice.id, sent.athleteId)))
      throw invalid([{ path: 'athleteId', message: 'No such athlete is known.' }]);
    if (sent.squadId !== null && !(await hasSquad(pool, practice.id, sent.squadId)))
      throw invalid([{ path: 'squadId', message: 'No such squad is known.' }]);
    const link = { ...sent, fromDate: today, untilDate: sent.athleteId === null ? addDays(today, KIOSK_DAYS - 1) : today };
    const token = await insertLink(pool, practice.id, link, now(), name).catch((error: unknown) => {
      throw isDuplicate(error) ? stale('This page', null) : error;
    });
    response.json({ token, untilDate: link.untilDate, links: await openLinks(pool, practice.id, today) });
  });

  router.delete('/check-in-links/:id', async (request, response) => {
    const { practice } = caller(response);
    if (!(await revokeLink(pool, practice.id, idFrom(request), now()))) throw notFound('This page');
    response.json({ links: await openLinks(pool, practice.id, dayIn(practice.timeZone, now())) });
  });

  return router;
}
