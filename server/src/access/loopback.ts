import type { RequestHandler } from 'express';
import { Problem } from '../app/problem.ts';

const LOCAL_HOST = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;

/**
 * The program serves one machine. A request must name that machine as its host (a web page that points a
 * name of its own at 127.0.0.1 does not), and a change must not come from another site.
 */
export const onlyThisMachine: RequestHandler = (request, _response, next) => {
  if (!LOCAL_HOST.test(request.headers.host ?? '')) throw new Problem(403, 'Refused', 'This address is served to this machine only.');
  const origin = request.headers.origin;
  if (request.method !== 'GET' && request.method !== 'HEAD' && origin !== undefined && origin !== `http://${request.headers.host}`) {
    throw new Problem(403, 'Refused', 'Changes from another site are refused.');
  }
  // Browsers say themselves where a request was started.
  if (request.headers['sec-fetch-site'] === 'cross-site' && request.path.startsWith('/api/')) throw new Problem(403, 'Refused', 'Requests from another site are refused.');
  next();
};
