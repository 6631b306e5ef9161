import { join } from 'node:path';
import express, { type ErrorRequestHandler, type Express, type Request } from 'express';
import { LIMITS } from '@pace-bend/core/record';
import helmet from 'helmet';
import { guard } from '../access/guard.ts';
import { onlyThisMachine } from '../access/loopback.ts';
import { accountRoutes } from '../accounts/routes.ts';
import { signInRoutes } from '../accounts/signIn.ts';
import { athleteRoutes } from '../athletes/routes.ts';
import { auditRoutes } from '../audit/routes.ts';
import { coachRoutes } from '../coach/routes.ts';
import { dayRoutes } from '../days/routes.ts';
import type { Pool } from '../db/pool.ts';
import { noteRoutes } from '../notes/routes.ts';
import { findingRoutes } from '../findings/routes.ts';
import { exchangeRoutes } from '../exchange/routes.ts';
import { handRoutes } from '../hands/routes.ts';
import { shelfRoutes } from '../shelf/routes.ts';
import { doseRoutes } from '../plans/dose.ts';
import { planRoutes } from '../plans/routes.ts';
import { practiceRoutes } from '../practices/routes.ts';
import { readingRoutes } from '../readings/routes.ts';
import { runRoutes } from '../runs/routes.ts';
import { squadRoutes } from '../squads/routes.ts';
import { studyRoutes } from '../studies/routes.ts';
import { visitRoutes } from '../visits/routes.ts';
import { safetyRoutes } from '../visits/safety.ts';
import { Problem } from './problem.ts';

export interface AppOptions {
  readonly pool: Pool;
  readonly now: () => Date;
  /** Folder of the built interface; left out in tests. */
  readonly webFolder?: string;
  /** Where the measuring devices are, on this machine. */
  readonly devicesUrl?: string | null;
}

/** Takes a squad at once, so it reads its own, larger body. */
const IMPORT = '/import/athletes';
const parseBody = express.json({ limit: LIMITS.bodyBytes, type: ['application/json', 'application/problem+json'] });

/**
 * No script but the program's own files, no eval, nothing from elsewhere, in no other page's frame. Styles may be
 * put in by script, because the component kit makes its own at run time. Served without TLS on this machine only,
 * so requests are not upgraded. The measuring devices are the one other place that may be spoken to.
 */
const securityHeaders = (devicesUrl: string | null) => helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'none'"], scriptSrc: ["'self'"], workerSrc: ["'self'"], styleSrc: ["'self'", "'unsafe-inline'"], fontSrc: ["'self'"], imgSrc: ["'self'", 'data:'], connectSrc: ["'self'", ...(devicesUrl ? [devicesUrl] : [])],
      manifestSrc: ["'self'"], baseUri: ["'none'"], formAction: ["'self'"], frameAncestors: ["'none'"], objectSrc: ["'none'"],
    },
  },
  strictTransportSecurity: false,
  referrerPolicy: { policy: 'no-referrer' },
});

/** The whole HTTP side: the API under /api, the built interface for everything else. */
export function createApp({ pool, now, webFolder, devicesUrl = null }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(securityHeaders(devicesUrl));
  app.use(onlyThisMachine);

  const api = express.Router();
  api.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  // Who may come in is decided before a body is read.
  api.use(guard(pool, now));
  api.use((request, response, next) => (request.path === IMPORT ? next() : parseBody(request, response, next)));
  api.get('/health', (_request, response) => void response.json({ ok: true }));
  api.use(
    signInRoutes(pool, now), accountRoutes(pool), practiceRoutes(pool, now, devicesUrl), auditRoutes(pool), coachRoutes(pool, now), dayRoutes(pool), athleteRoutes(pool, now), squadRoutes(pool), exchangeRoutes(pool, now),
    visitRoutes(pool, now), safetyRoutes(pool, now), readingRoutes(pool, now), findingRoutes(pool, now), studyRoutes(pool, now), planRoutes(pool), doseRoutes(pool), shelfRoutes(pool, now), handRoutes(pool), runRoutes(pool, now), noteRoutes(pool),
  );
  api.use((request) => {
    throw new Problem(404, 'Not found', `${request.method} ${request.originalUrl.slice(0, 200)} is not part of the API.`);
  });
  app.use('/api', api);

  if (webFolder) {
    app.use(express.static(webFolder, { index: false, maxAge: '1y', immutable: true, setHeaders: (response, path) => {
      if (path.endsWith('.html')) response.set('Cache-Control', 'no-cache');
    } }));
    app.get(/^\/(?!assets\/)/, (_request, response) => response.set('Cache-Control', 'no-cache').sendFile(join(webFolder, 'index.html')));
  }
  app.use(problems);
  return app;
}

/** The one place where errors become answers. */
const problems: ErrorRequestHandler = (error, request, response, _next) => {
  const problem = toProblem(error, request);
  if (problem.status >= 500) console.error(`${request.method} ${request.originalUrl}`, error);
  response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
};

function toProblem(error: unknown, request: Request): Problem {
  if (error instanceof Problem) return error;
  const { type, status } = error as { type?: string; status?: number };
  if (type === 'entity.too.large') return new Problem(413, 'Too large', `A request may hold ${(request.path.endsWith(IMPORT) ? LIMITS.importBytes : LIMITS.bodyBytes) / 1024} kB at most. Nothing was written.`);
  if (type === 'entity.parse.failed') return new Problem(400, 'Not JSON', 'What was sent is not valid JSON. Nothing was written.');
  if (status !== undefined && status >= 400 && status < 500) return new Problem(status, 'Refused', (error as Error).message);
  return new Problem(500, 'Error', 'The server failed at this. What was saved before stays saved.');
}
