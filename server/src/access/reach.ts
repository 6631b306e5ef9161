import type { RequestHandler } from 'express';
import { Problem } from '../http/problem.ts';

const LOCAL_HOST = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/;

/**
 * Lets in what is addressed to this machine, or to the address that was made public. A request must name one of them as its host
 * (a web page that points a name of its own at 127.0.0.1 does not), and a change must not come from another site.
 */
export function onlyOurs(publicUrl: string | null): RequestHandler {
  const publicHost = publicUrl === null ? null : new URL(publicUrl).host;
  return (request, _response, next) => {
    const host = request.headers.host ?? '';
    const isPublic = publicHost !== null && host.toLowerCase() === publicHost;
    if (!isPublic && !LOCAL_HOST.test(host))
      throw new Problem(
        'refused',
        publicUrl === null ? 'This address is served to this machine only.' : 'This is not the address under which the program is served.',
      );
    const origin = request.headers.origin;
    const own = isPublic ? [publicUrl] : [`http://${host}`, `https://${host}`];
    if (request.method !== 'GET' && request.method !== 'HEAD' && origin !== undefined && !own.includes(origin) && origin !== publicUrl)
      throw new Problem('refused', 'Changes from another site are refused.');
    // Browsers say themselves where a request was started.
    if (request.headers['sec-fetch-site'] === 'cross-site' && request.path.startsWith('/api/'))
      throw new Problem('refused', 'Requests from another site are refused.');
    next();
  };
}
