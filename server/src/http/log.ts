import { closeSync, existsSync, mkdirSync, openSync, renameSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import type { RequestHandler } from 'express';
import { destination, pino, stdTimeFunctions, type Logger } from 'pino';
import { v4 as randomId } from 'uuid';
import { routeOf } from '@pace-bend/core/access';

/** What is written for a request: no ids of people, no words, no bodies, no addresses. */
export interface RequestLine {
  /** The same as in the header `X-Request-Id` and in the words of a failure. */
  readonly id: string;
  readonly method: string;
  /** The row of the table of routes, with colons where ids stood; `unknown` for what has none. */
  readonly route: string;
  readonly status: number;
  readonly ms: number;
}

/** A log file that has grown past this is put aside under `.1` at the next start; what lay there goes. */
const MOST_BYTES = 10 * 1024 * 1024;

/** The server's log: one JSON line each, to a file, or nowhere. */
export function openLog(path: string | null): Logger {
  if (path === null) return silent();
  try {
    mkdirSync(dirname(path), { recursive: true });
    if (existsSync(path) && statSync(path).size > MOST_BYTES) renameSync(path, `${path}.1`);
    closeSync(openSync(path, 'a'));
  } catch (error) {
    console.error(`The log ${path} cannot be written (${(error as NodeJS.ErrnoException).code}): requests are not noted.`);
    return silent();
  }
  const file = destination({ dest: path, append: true, sync: false });
  // A full disk costs lines of the log, and nothing else.
  file.on('error', () => undefined);
  return pino({ base: null, timestamp: stdTimeFunctions.isoTime }, file);
}

const silent = (): Logger => pino({ enabled: false });

/** Writes one line a request once its answer has gone out, or the caller has gone. */
export function requestLog(log: Pick<Logger, 'info'>): RequestHandler {
  return (request, response, next) => {
    const id = randomId();
    const { method } = request;
    // Express shortens the path on its way down.
    const route = routeOf(method, request.path)?.path ?? 'unknown';
    const begun = performance.now();
    response.locals.requestId = id;
    response.set('X-Request-Id', id);
    response.once('close', () => {
      const line: RequestLine = {
        id,
        method,
        route,
        status: response.writableFinished ? response.statusCode : 499,
        ms: Math.round((performance.now() - begun) * 10) / 10,
      };
      log.info(line, 'request');
    });
    next();
  };
}
