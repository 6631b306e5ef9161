import type { RequestHandler, Response } from 'express';
import { routeOf, type RouteAccess } from '@pace-bend/core/access';
import { isId } from '../http/ids.ts';
import { invalid, notFound, Problem } from '../http/problem.ts';
import { Audit } from './audit.ts';
import { withNote } from '../db/noted.ts';
import { firstRow, type Pool } from '../db/pool.ts';
import { sessionToken } from './cookies.ts';
import { callerOf, type Caller } from './sessions.ts';

/** Who asks. Only for routes that need a sign-in; the guard has put it there. */
export function caller(response: Response): Caller {
  return response.locals.caller as Caller;
}

/** Tells the audit whose file a request turned out to be about, where the address does not say. */
export function concerns(response: Response, athleteId: string): void {
  response.locals.athleteId = athleteId;
}

const OWNED: Record<NonNullable<RouteAccess['about']>, string> = {
  athlete: 'SELECT a.id AS athleteId FROM athlete a WHERE a.id = ? AND a.practice_id = ?',
  visit: 'SELECT a.id AS athleteId FROM visit v JOIN athlete a ON a.id = v.athlete_id WHERE v.id = ? AND a.practice_id = ?',
  run: 'SELECT a.id AS athleteId FROM run r JOIN visit v ON v.id = r.visit_id JOIN athlete a ON a.id = v.athlete_id WHERE r.id = ? AND a.practice_id = ?',
};

const WHAT = { athlete: 'This athlete', visit: 'This visit', run: 'This run' } as const;

/**
 * Lets a request through by the table of routes, and by nothing else: no row, no answer. Somebody has to be signed
 * in, in a role of the row, and what the address names has to belong to their practice; another practice's id is
 * as unknown as one that never was. What a row names for the audit is written in the transaction of the first change that is
 * made, or before the answer goes out when nothing is.
 */
export function guard(pool: Pool, now: () => Date): RequestHandler {
  const audit = new Audit(now);
  return async (request, response, next) => {
    // Rows are looked up by the parts as they were sent, the way the routes will read them: an encoded slash parts nothing.
    const route = routeOf(request.method, request.path);
    if (!route) throw new Problem('not-found', `${request.method} ${request.originalUrl.slice(0, 200)} is not part of the API.`);
    if (route.roles === 'anybody') return next();

    const token = sessionToken(request);
    const who = token === null ? null : await callerOf(pool, token, now());
    if (!who) throw new Problem('not-signed-in', 'Sign in first. What you typed is kept in this browser.');
    const meant = request.get('Pace-Bend-Account');
    if (meant !== undefined && meant.toLowerCase() !== who.accountId)
      throw new Problem(
        'somebody-else',
        'Somebody else has signed in here meanwhile. What you typed is kept for you; sign in again to send it.',
      );
    if (!route.roles.includes(who.role)) throw new Problem('not-yours', `This is not for the role “${who.role}”.`);
    response.locals.caller = who;

    if (route.about) {
      const id = decoded(request.path.split('/')[2]!);
      if (!isId(id)) throw invalid([{ path: 'id', message: 'The id in the address is not a UUID.' }]);
      const owned = await firstRow<{ athleteId: string }>(pool, OWNED[route.about], [id, who.practice.id]);
      if (!owned) throw notFound(WHAT[route.about]);
      concerns(response, owned.athleteId);
    }
    if (!route.audit) return next();
    const note = audit.noteOf(who, route, () => (response.locals.athleteId as string | undefined) ?? null);
    const write = async () => {
      if (note.written) return;
      note.written = true;
      await note.write(pool);
      note.stands();
    };
    response.locals.writeNote = write;
    noteBeforeAnswer(response, write, next);
    withNote(note, next);
  };
}

function decoded(part: string): string {
  try {
    return decodeURIComponent(part);
  } catch {
    throw new Problem('unreadable', 'The address cannot be read.');
  }
}

/** Writes the audit's line of this request. For answers that are sent piece by piece: their first piece leaves after it. */
export async function noted(response: Response): Promise<void> {
  await (response.locals.writeNote as (() => Promise<void>) | undefined)?.();
}

/** Holds an answer back until the audit has its line; without the line there is no answer. */
function noteBeforeAnswer(response: Response, note: () => Promise<void>, fail: (error: unknown) => void): void {
  const send = response.send.bind(response);
  let noted = false;
  response.send = (body?: unknown) => {
    if (noted || response.statusCode >= 400) return send(body);
    noted = true;
    note().then(() => send(body), fail);
    return response;
  };
}
