import { Router, type Request } from 'express';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { addDays, loadKindsOf } from '@pace-bend/core/load';
import { playedSports, type AthleteSport } from '@pace-bend/core/sport';
import { practiceById, type PracticeRow } from '../access/sessions.ts';
import { fromJson, type Pool } from '../db/pool.ts';
import { dayIn } from '../http/days.ts';
import { idFrom } from '../http/ids.ts';
import { invalid, Problem } from '../http/problem.ts';
import { validate } from '../http/validate.ts';
import { writeLoad } from '../loads/write.ts';
import { pageLoadSchema } from '../loads/schema.ts';
import { ownSportsOf } from '../sports/queries.ts';
import { linkByToken, peopleBehind } from './links.ts';
import { pageCheckInSchema } from './schema.ts';
import { appendCheckIn } from './write.ts';

/** So many requests a minute from one address, a squad's tablet and a changing room together; a token nobody made costs many. */
const A_MINUTE = 240;
const WRONG_COSTS = 20;

/** What was answered in time and only found a line later is still taken. */
const GRACE_DAYS = 2;

export const TOKEN_HEADER = 'Pace-Bend-Check-In';

/**
 * What a check-in page may do without anybody signed in. Its token stands in the request's head, never in an address, so that no log has
 * it; it opens the names behind it, whether each has answered today, and what can be answered, and nothing that was answered.
 */
export function checkInPageRoutes(pool: Pool, now: () => Date): Router {
  const router = Router();
  const limiter = new RateLimiterMemory({ points: A_MINUTE, duration: 60 });

  async function counted(request: Request, points = 1): Promise<void> {
    try {
      await limiter.consume(request.ip ?? 'unknown', points);
    } catch (error) {
      if (!(error instanceof RateLimiterRes)) throw error;
      throw new Problem('wait', 'Too many requests from here. Wait a minute; what was answered is kept on this device.', [], {
        retryAfterS: Math.ceil(error.msBeforeNext / 1000),
      });
    }
  }

  /** What the request's token opens today. */
  async function opened(
    request: Request,
    graceDays = 0,
  ): Promise<{ practice: PracticeRow; today: string; link: NonNullable<Awaited<ReturnType<typeof linkByToken>>> }> {
    await counted(request);
    const token = request.get(TOKEN_HEADER) ?? '';
    const link = /^[\w-]{20,80}$/.test(token) ? await linkByToken(pool, token) : null;
    if (!link) {
      await counted(request, WRONG_COSTS);
      throw new Problem('not-found', 'This check-in page is not known. Ask for a new link.');
    }
    const practice = await practiceById(pool, link.practiceId);
    const today = dayIn(practice.timeZone, now());
    if (link.revoked === 1 || today < link.fromDate || today > addDays(link.untilDate, graceDays))
      throw new Problem('ended', 'This check-in page has ended. Ask for a new link.');
    return { practice, today, link };
  }

  router.get('/check-in', async (request, response) => {
    const { practice, today, link } = await opened(request);
    const own = await ownSportsOf(pool, practice.id);
    const people = await peopleBehind(pool, link, today);
    response.json({
      practice: practice.name,
      today,
      scale: practice.checkInScale,
      shared: link.squadId !== null,
      people: people.map(({ id, name, answered, sports }) => ({
        id,
        name,
        answered,
        loadKinds: loadKindsOf(playedSports(fromJson<AthleteSport[]>(sports), own)).map((kind) => ({
          id: kind.id,
          name: kind.name,
          counts: kind.counts ?? null,
        })),
      })),
    });
  });

  /** Whom something is about: the link's own athlete, or one of the squad's. */
  async function athleteOf(
    link: { athleteId: string | null; squadId: string | null },
    sent: string | null,
    today: string,
  ): Promise<string> {
    if (link.athleteId !== null) {
      if (sent !== null && sent !== link.athleteId) throw invalid([{ path: 'athleteId', message: 'This page is for somebody else.' }]);
      return link.athleteId;
    }
    const found = (await peopleBehind(pool, link, today)).find((person) => person.id === sent);
    if (!found) throw invalid([{ path: 'athleteId', message: 'Nobody of this squad.' }]);
    return found.id;
  }

  router.put('/check-in/answers/:checkInId', async (request, response) => {
    const { today, link } = await opened(request, GRACE_DAYS);
    const { athleteId: sentId, ...sent } = validate(pageCheckInSchema(today), request.body);
    if (sent.onDate < link.fromDate || sent.onDate > link.untilDate)
      throw invalid([{ path: 'onDate', message: 'This page is not for that day.' }]);
    const athleteId = await athleteOf(link, sentId, today);
    await appendCheckIn(pool, athleteId, idFrom(request, 'checkInId'), sent, now(), link.athleteId ? 'the athlete' : 'the squad’s tablet');
    response.json({ kept: true });
  });

  router.put('/check-in/loads/:loadId', async (request, response) => {
    const { today, link } = await opened(request, GRACE_DAYS);
    const { athleteId: sentId, ...sent } = validate(pageLoadSchema(today), request.body);
    const athleteId = await athleteOf(link, sentId, today);
    await writeLoad(pool, athleteId, idFrom(request, 'loadId'), sent, now(), link.athleteId ? 'the athlete' : 'the squad’s tablet', true);
    response.json({ kept: true });
  });

  return router;
}
