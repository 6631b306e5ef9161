import { join, sep } from 'node:path';
import compression from 'compression';
import express, { type ErrorRequestHandler, type Express, type Request } from 'express';
import expressStaticGzip from 'express-static-gzip';
import { ARCHIVE_LIMITS } from '@pace-bend/core/exchange';
import { LIMITS } from '@pace-bend/core/record';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { guard } from '../access/guard.ts';
import { onlyOurs } from '../access/reach.ts';
import { accountRoutes } from '../accounts/routes.ts';
import { signInRoutes } from '../accounts/signIn.ts';
import { archiveRoutes } from '../archive/routes.ts';
import { athleteFileRoutes } from '../athleteFile/routes.ts';
import { practiceTableRoutes } from '../athleteFile/practiceTables.ts';
import { athleteRoutes } from '../athletes/routes.ts';
import { auditRoutes } from '../audit/routes.ts';
import { coachRoutes } from '../coach/routes.ts';
import { eventDayRoutes } from '../eventDays/routes.ts';
import { eventMoveRoutes } from '../eventMoves/routes.ts';
import { eventRoutes } from '../events/routes.ts';
import { dayRoutes } from '../days/routes.ts';
import { problemOfDatabase } from '../db/failures.ts';
import type { Pool } from '../db/pool.ts';
import { keepingRoutes } from '../keeping/routes.ts';
import { firstStepsRoutes } from '../firstSteps/routes.ts';
import { homeRoutes } from '../home/routes.ts';
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
import { seasonRoutes } from '../seasons/routes.ts';
import { dueRoutes } from '../due/routes.ts';
import { comparisonRoutes } from '../comparisons/routes.ts';
import { hoursRoutes } from '../hours/routes.ts';
import { weekRoutes } from '../week/routes.ts';
import { squadRoutes } from '../squads/routes.ts';
import { studyRoutes } from '../studies/routes.ts';
import { checkInPageRoutes } from '../checkIns/page.ts';
import { checkInRoutes } from '../checkIns/routes.ts';
import { loadRoutes } from '../loads/routes.ts';
import { readinessRoutes } from '../readiness/routes.ts';
import { visitReadinessRoutes } from '../visits/readiness.ts';
import { sportRoutes } from '../sports/routes.ts';
import { visitFileRoutes } from '../visitFile/routes.ts';
import { visitRoutes } from '../visits/routes.ts';
import { safetyRoutes } from '../visits/safety.ts';
import { health } from './health.ts';
import { openLog, requestLog } from '../http/log.ts';
import { Problem } from '../http/problem.ts';
import { requireFewParts, requireSaneShape, SHAPE, TOO_MUCH_STRUCTURE } from '../http/shape.ts';

export interface AppOptions {
  readonly pool: Pool;
  readonly now: () => Date;
  /** Folder of the built interface; left out in tests. */
  readonly webFolder?: string;
  /** Where the measuring devices are, on this machine. */
  readonly devicesUrl?: string | null;
  /** Whether the sign-in page may show the demo's accounts with their passwords. */
  readonly demo?: boolean;
  /** Where browsers find it when that is not this machine's loopback address. */
  readonly publicUrl?: string | null;
  readonly trustProxy?: string | null;
  /** Where requests are noted, one line each; nowhere when left out. */
  readonly log?: Logger;
}

/** Take a squad, or a whole record, at once, so they read their own, larger bodies. */
const IMPORTS: Readonly<Record<string, number>> = {
  '/import/athletes': LIMITS.importBytes,
  '/archive/look': ARCHIVE_LIMITS.pieceBytes,
  '/archive/take': ARCHIVE_LIMITS.pieceBytes,
};
const parseBody = express.json({
  limit: LIMITS.bodyBytes,
  verify: requireFewParts(SHAPE.parts),
  type: ['application/json', 'application/problem+json'],
});

/**
 * No script but the program's own files, no eval, nothing from elsewhere, in no other page's frame. Styles may be
 * put in by script, because the component kit makes its own at run time. Served on this machine only it has no TLS, so
 * requests are not upgraded; served publicly, browsers are told to come over TLS from then on. The measuring devices are the one
 * other place that may be spoken to.
 */
const securityHeaders = (devicesUrl: string | null, overTls: boolean) =>
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        scriptSrc: ["'self'"],
        workerSrc: ["'self'"],
        styleSrc: ["'self'", "'unsafe-inline'"],
        fontSrc: ["'self'"],
        imgSrc: ["'self'", 'data:'],
        connectSrc: ["'self'", ...(devicesUrl ? [devicesUrl] : [])],
        manifestSrc: ["'self'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
        objectSrc: ["'none'"],
      },
    },
    strictTransportSecurity: overTls ? { maxAge: 180 * 24 * 3600, includeSubDomains: false } : false,
    referrerPolicy: { policy: 'no-referrer' },
  });

/** The whole HTTP side: the API under /api, the built interface for everything else. */
export function createApp({
  pool,
  now,
  webFolder,
  devicesUrl = null,
  demo = true,
  publicUrl = null,
  trustProxy = null,
  log = openLog(null),
}: AppOptions): Express {
  const app = express();
  const overTls = publicUrl?.startsWith('https://') ?? false;
  app.disable('x-powered-by');
  app.set('served securely', overTls);
  if (trustProxy)
    app.set(
      'trust proxy',
      trustProxy.split(',').map((address) => address.trim()),
    );
  app.use(securityHeaders(devicesUrl, overTls));
  app.use(onlyOurs(publicUrl));

  const api = express.Router();
  api.use(requestLog(log));
  api.use((_request, response, next) => {
    response.set('Cache-Control', 'no-store');
    next();
  });
  // A visit's file shrinks to a tenth. Secrets travel in cookies, never in a body beside words that somebody else chose.
  api.use(compression());
  // Who may come in is decided before a body is read.
  api.use(guard(pool, now));
  api.use((request, response, next) => (request.path in IMPORTS ? next() : parseBody(request, response, next)));
  api.use((request, _response, next) => {
    if (!(request.path in IMPORTS)) requireSaneShape(request.body);
    next();
  });
  api.get('/health', health(pool));
  api.use(
    signInRoutes(pool, now, demo),
    accountRoutes(pool),
    practiceRoutes(pool, now, devicesUrl),
    firstStepsRoutes(pool, now),
    auditRoutes(pool),
    coachRoutes(pool, now),
    dayRoutes(pool),
    eventRoutes(pool),
    eventDayRoutes(pool, now),
    eventMoveRoutes(pool, now),
    athleteRoutes(pool, now),
    athleteFileRoutes(pool, now),
    archiveRoutes(pool, now),
    keepingRoutes(pool, now),
    practiceTableRoutes(pool, now),
    squadRoutes(pool),
    seasonRoutes(pool, now),
    dueRoutes(pool, now),
    comparisonRoutes(pool, now),
    hoursRoutes(pool),
    weekRoutes(pool, now),
    exchangeRoutes(pool, now),
    sportRoutes(pool),
    checkInPageRoutes(pool, now),
    checkInRoutes(pool, now),
    loadRoutes(pool, now),
    readinessRoutes(pool, now),
    visitReadinessRoutes(pool, now),
    visitFileRoutes(pool),
    visitRoutes(pool, now),
    safetyRoutes(pool, now),
    readingRoutes(pool, now),
    findingRoutes(pool, now),
    studyRoutes(pool, now),
    planRoutes(pool),
    doseRoutes(pool),
    shelfRoutes(pool, now),
    handRoutes(pool),
    runRoutes(pool, now),
    noteRoutes(pool, now),
    homeRoutes(pool),
  );
  api.use((request) => {
    throw new Problem('not-found', `${request.method} ${request.originalUrl.slice(0, 200)} is not part of the API.`);
  });
  app.use('/api', api);

  if (webFolder) {
    // What the build compressed already is sent as it lies there. Only what lies among the assets carries a hash of itself in its name.
    app.use(
      expressStaticGzip(webFolder, {
        index: false,
        enableBrotli: true,
        orderPreference: ['br', 'gz'],
        serveStatic: {
          maxAge: '1y',
          immutable: true,
          setHeaders: (response, path) => {
            if (!path.includes(`${sep}assets${sep}`)) response.setHeader('Cache-Control', 'no-cache');
          },
        },
      }),
    );
    app.get(/^\/(?!assets\/)/, (_request, response) => response.set('Cache-Control', 'no-cache').sendFile(join(webFolder, 'index.html')));
  }
  app.use(problems(log));
  return app;
}

/** The one place where errors become answers. */
const problems =
  (log: Logger): ErrorRequestHandler =>
  (error, request, response, _next) => {
    const problem = toProblem(error, request);
    if (problem.status === 500) {
      console.error(`${request.method} ${routeWords(request)} failed:`, withoutContent(error));
      log.error(
        { id: response.locals.requestId as string | undefined, route: routeWords(request), failure: withoutContent(error) },
        'failed',
      );
    }
    if (typeof problem.more.retryAfterS === 'number') response.set('Retry-After', String(problem.more.retryAfterS));
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  };

/** Which route failed, without the ids and words that were asked for. */
const routeWords = (request: Request) => request.path.replace(/[0-9a-f]{8}-[0-9a-f-]{27}/gi, ':id').slice(0, 120);

/** Where a program failed, for the terminal. The database quotes values in its messages, and those are about people. */
function withoutContent(error: unknown): string {
  const { name, message, stack, code, sqlMessage } = error as Error & { code?: string; sqlMessage?: string };
  const places =
    stack
      ?.split('\n')
      .filter((line) => /^\s+at /.test(line))
      .slice(0, 12)
      .join('\n') ?? '';
  return `${sqlMessage === undefined ? `${name}: ${message}` : `${name} ${code}`}\n${places}`;
}

function toProblem(error: unknown, request: Request): Problem {
  if (error instanceof Problem) return error;
  const ofDatabase = problemOfDatabase(error);
  if (ofDatabase) return ofDatabase;
  const { type, status } = error as { type?: string; status?: number };
  if (type === 'entity.too.large')
    return new Problem(
      'too-large',
      `A request may hold ${(IMPORTS[request.path.replace(/^\/api/, '')] ?? LIMITS.bodyBytes) / 1024} kB at most. Nothing was written.`,
    );
  if (type === TOO_MUCH_STRUCTURE)
    return new Problem('too-much', 'What was sent has more parts than any request needs. Nothing was written.');
  if (type === 'entity.parse.failed') return new Problem('not-json', 'What was sent is not valid JSON. Nothing was written.');
  if (status !== undefined && status >= 400 && status < 500) return new Problem('unreadable', (error as Error).message, [], {}, status);
  return new Problem('error', 'The server failed at this. What was saved before stays saved.');
}
