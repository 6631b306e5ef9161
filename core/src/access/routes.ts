/** What an account may do. A coach is no part of the treatment; an assistant works the day but reads no notes. */
export const ROLES = ['owner', 'therapist', 'assistant', 'coach'] as const;
export type Role = (typeof ROLES)[number];

export type HttpMethod = 'GET' | 'PUT' | 'PATCH' | 'POST' | 'DELETE';

export interface RouteAccess {
  readonly method: HttpMethod;
  /** Path under /api; a segment with a colon stands for an id. */
  readonly path: string;
  /** Who may call it; `anybody` needs no sign-in. */
  readonly roles: readonly Role[] | 'anybody';
  /** Whose file the id in the address leads to: it has to be of the caller's own practice, and is noted in the audit. */
  readonly about?: 'athlete' | 'visit' | 'run';
  /** What the audit says was done; left out for what concerns no athlete. */
  readonly audit?: string;
  /** Done again and again while somebody works: repeats within minutes are one line of the audit. */
  readonly often?: true;
}

const all: readonly Role[] = ROLES;
const clinic: readonly Role[] = ['owner', 'therapist', 'assistant'];
const therapists: readonly Role[] = ['owner', 'therapist'];
const owner: readonly Role[] = ['owner'];

/**
 * Every route and who may call it. The server lets nothing through that has no row here, the interface hides
 * what a role may not do, and a test tries every row as every role.
 */
export const ROUTES: readonly RouteAccess[] = [
  { method: 'GET', path: '/health', roles: 'anybody' },
  { method: 'GET', path: '/welcome', roles: 'anybody' },
  { method: 'POST', path: '/sign-in', roles: 'anybody' },
  { method: 'POST', path: '/first-owner', roles: 'anybody' },

  // A page that sends check-ins: what its token in the request's head lets in is one day of one athlete, or a squad's tablet.
  { method: 'GET', path: '/check-in', roles: 'anybody' },
  { method: 'PUT', path: '/check-in/answers/:checkInId', roles: 'anybody' },
  { method: 'PUT', path: '/check-in/loads/:loadId', roles: 'anybody' },

  // A calendar that other programs read: the token in its address lets in blocks, events and visits of one season, and no word about anybody's health.
  { method: 'GET', path: '/calendars/:token', roles: 'anybody' },

  { method: 'GET', path: '/me', roles: 'anybody' },
  { method: 'POST', path: '/sign-out', roles: all, audit: 'signed out' },
  { method: 'POST', path: '/sign-out-everywhere', roles: all, audit: 'signed out everywhere' },
  { method: 'POST', path: '/me/password', roles: all, audit: 'password changed' },
  { method: 'GET', path: '/practice', roles: all },
  { method: 'GET', path: '/coach', roles: ['coach', 'owner'], audit: 'squads looked at by a coach', often: true },

  { method: 'GET', path: '/first-steps', roles: owner },
  { method: 'PUT', path: '/first-steps', roles: owner },
  { method: 'POST', path: '/samples', roles: owner, audit: 'sample athletes added' },
  { method: 'DELETE', path: '/samples', roles: owner, audit: 'sample athletes removed' },
  { method: 'GET', path: '/days/:date', roles: clinic, audit: 'day read', often: true },
  { method: 'GET', path: '/athletes', roles: clinic, audit: 'list read', often: true },
  { method: 'GET', path: '/athletes/:id', roles: clinic, about: 'athlete', audit: 'file read', often: true },
  { method: 'PUT', path: '/athletes/:id', roles: clinic, audit: 'added' },
  { method: 'PATCH', path: '/athletes/:id', roles: therapists, about: 'athlete', audit: 'file changed' },
  { method: 'GET', path: '/athletes/:id/erasing', roles: owner, about: 'athlete', audit: 'erasing looked at', often: true },
  { method: 'DELETE', path: '/athletes/:id', roles: owner, about: 'athlete', audit: 'erased' },
  { method: 'GET', path: '/keeping', roles: owner },
  { method: 'PUT', path: '/keeping', roles: owner, audit: 'periods of keeping changed' },
  { method: 'POST', path: '/keeping/check-ins', roles: owner, audit: 'check-ins past their period erased' },
  { method: 'POST', path: '/keeping/loads', roles: owner, audit: 'loads past their period erased' },
  { method: 'POST', path: '/keeping/guests', roles: owner, audit: 'names of guests past their period erased' },
  { method: 'GET', path: '/keeping/kept/:id', roles: owner, audit: 'kept record exported' },
  { method: 'DELETE', path: '/keeping/kept/:id', roles: owner, audit: 'kept record erased' },
  { method: 'GET', path: '/athletes/:id/record', roles: therapists, about: 'athlete', audit: 'whole record exported' },
  { method: 'GET', path: '/athletes/:id/fhir', roles: therapists, about: 'athlete', audit: 'record exported as FHIR' },
  { method: 'GET', path: '/athletes/:id/tables', roles: therapists, about: 'athlete', audit: 'tables exported' },
  { method: 'GET', path: '/athletes/:id/tables/:table', roles: therapists, about: 'athlete', audit: 'table exported' },
  { method: 'PUT', path: '/athletes/:id/conditions/:conditionId', roles: therapists, about: 'athlete', audit: 'condition written' },
  { method: 'DELETE', path: '/athletes/:id/conditions/:conditionId', roles: therapists, about: 'athlete', audit: 'condition withdrawn' },
  { method: 'PUT', path: '/athletes/:id/no-touch/:areaId', roles: clinic, about: 'athlete', audit: 'no-touch area written' },
  { method: 'DELETE', path: '/athletes/:id/no-touch/:areaId', roles: clinic, about: 'athlete', audit: 'no-touch area lifted' },
  { method: 'PUT', path: '/athletes/:id/goals/:goalId', roles: clinic, about: 'athlete', audit: 'goal written' },
  { method: 'DELETE', path: '/athletes/:id/goals/:goalId', roles: clinic, about: 'athlete', audit: 'goal withdrawn' },
  { method: 'GET', path: '/athletes/:id/days', roles: clinic, about: 'athlete', audit: 'check-ins and loads read', often: true },
  { method: 'GET', path: '/athletes/:id/response', roles: clinic, about: 'athlete', audit: 'range over the weeks read', often: true },
  { method: 'GET', path: '/athletes/:id/history', roles: clinic, about: 'athlete', audit: 'range over the weeks read', often: true },
  { method: 'PUT', path: '/athletes/:id/check-ins/:checkInId', roles: clinic, about: 'athlete', audit: 'check-in written' },
  { method: 'PUT', path: '/athletes/:id/loads/:loadId', roles: clinic, about: 'athlete', audit: 'load written', often: true },
  { method: 'DELETE', path: '/athletes/:id/loads/:loadId', roles: clinic, about: 'athlete', audit: 'load withdrawn' },
  { method: 'GET', path: '/morning', roles: clinic, audit: 'morning read', often: true },
  { method: 'GET', path: '/loads', roles: clinic, audit: 'loads read', often: true },
  { method: 'POST', path: '/import/loads', roles: therapists, audit: 'loads imported' },
  { method: 'GET', path: '/check-in-links', roles: clinic },
  { method: 'POST', path: '/check-in-links', roles: clinic, audit: 'check-in page opened' },
  { method: 'DELETE', path: '/check-in-links/:id', roles: clinic, audit: 'check-in page closed' },
  { method: 'PUT', path: '/sports/:id', roles: therapists },
  { method: 'DELETE', path: '/sports/:id', roles: therapists },
  { method: 'POST', path: '/import/athletes', roles: therapists, audit: 'squad imported' },
  { method: 'GET', path: '/export/athletes', roles: therapists, audit: 'squad exported' },
  { method: 'GET', path: '/export/tables', roles: therapists, audit: 'tables of the practice exported' },
  { method: 'GET', path: '/export/tables/:table', roles: therapists, audit: 'table of the practice exported' },

  { method: 'GET', path: '/export/practice', roles: owner, audit: 'whole practice exported' },
  { method: 'GET', path: '/archive/schema', roles: therapists },
  { method: 'POST', path: '/archive/look', roles: owner, audit: 'file of records looked into', often: true },
  { method: 'POST', path: '/archive/take', roles: owner, audit: 'records imported' },

  { method: 'GET', path: '/squads', roles: clinic },
  { method: 'PUT', path: '/squads/:id', roles: therapists, audit: 'squad changed' },
  { method: 'GET', path: '/events', roles: clinic },
  { method: 'PUT', path: '/events/:id', roles: therapists, audit: 'event written' },
  { method: 'DELETE', path: '/events/:id', roles: therapists, audit: 'event taken off' },
  { method: 'POST', path: '/events/:id/move-look', roles: therapists, audit: 'season read', often: true },
  { method: 'POST', path: '/events/:id/move', roles: therapists, audit: 'event moved' },
  { method: 'POST', path: '/import/events', roles: therapists, audit: 'events imported' },
  { method: 'GET', path: '/event-days', roles: clinic },
  { method: 'GET', path: '/event-days/:id', roles: clinic, audit: 'event day read', often: true },
  { method: 'PUT', path: '/event-days/:id', roles: therapists, audit: 'event day set up' },
  { method: 'DELETE', path: '/event-days/:id', roles: therapists, audit: 'event day taken off' },
  { method: 'GET', path: '/event-days/:id/events', roles: clinic, audit: 'event day read', often: true },
  { method: 'POST', path: '/event-days/:id/events', roles: clinic, audit: 'event day written', often: true },
  { method: 'GET', path: '/event-days/:id/people', roles: clinic, audit: 'cautions of a start list read', often: true },
  { method: 'PUT', path: '/event-days/:id/records/:wishId', roles: therapists, audit: 'event work written down' },
  { method: 'GET', path: '/season', roles: clinic, audit: 'season read', often: true },
  { method: 'PUT', path: '/season', roles: therapists, audit: 'season written' },
  { method: 'GET', path: '/season/calendar', roles: clinic, audit: 'calendar exported' },
  { method: 'GET', path: '/squads/:id/season', roles: clinic, audit: 'season read', often: true },
  { method: 'PUT', path: '/squads/:id/season', roles: therapists, audit: 'season written' },
  { method: 'GET', path: '/squads/:id/season/calendar', roles: clinic, audit: 'calendar exported' },
  { method: 'GET', path: '/athletes/:id/season', roles: clinic, about: 'athlete', audit: 'season read', often: true },
  { method: 'PUT', path: '/athletes/:id/season', roles: therapists, about: 'athlete', audit: 'season written' },
  { method: 'GET', path: '/athletes/:id/season/calendar', roles: clinic, about: 'athlete', audit: 'calendar exported' },
  { method: 'GET', path: '/calendar-links', roles: clinic },
  { method: 'POST', path: '/calendar-links', roles: therapists, audit: 'calendar opened' },
  { method: 'DELETE', path: '/calendar-links/:id', roles: therapists, audit: 'calendar ended' },
  { method: 'GET', path: '/due', roles: clinic, audit: 'list of who is due read', often: true },
  { method: 'GET', path: '/week/:date', roles: clinic, audit: 'week read', often: true },
  { method: 'POST', path: '/week/book', roles: clinic, audit: 'week booked' },
  { method: 'POST', path: '/week/cancel', roles: clinic, audit: 'bookings of a week taken back' },
  { method: 'GET', path: '/week-hours', roles: clinic },
  { method: 'PUT', path: '/week-hours', roles: therapists, audit: 'hours changed' },
  { method: 'GET', path: '/athletes/:id/comparisons', roles: clinic, about: 'athlete', audit: 'range over the weeks read', often: true },
  { method: 'PUT', path: '/athletes/:id/comparisons/:comparisonId', roles: therapists, about: 'athlete', audit: 'comparison planned' },
  { method: 'POST', path: '/athletes/:id/comparisons/:comparisonId/end', roles: therapists, about: 'athlete', audit: 'comparison ended' },
  { method: 'GET', path: '/athletes/:id/times', roles: clinic, about: 'athlete', audit: 'file read', often: true },
  { method: 'PUT', path: '/athletes/:id/times', roles: clinic, about: 'athlete', audit: 'times they can come changed' },
  { method: 'GET', path: '/squads/:id/strip', roles: clinic, audit: 'squad read', often: true },

  { method: 'GET', path: '/shelf', roles: clinic },
  { method: 'PUT', path: '/shelf/:id', roles: therapists },
  { method: 'POST', path: '/shelf/:id/retire', roles: therapists },
  { method: 'POST', path: '/shelf/:id/restore', roles: therapists },
  { method: 'GET', path: '/hands', roles: clinic },
  { method: 'PUT', path: '/hands/me', roles: clinic },
  { method: 'PUT', path: '/hands/limits', roles: owner, audit: 'limits of hands changed' },

  { method: 'GET', path: '/studies', roles: clinic },
  { method: 'GET', path: '/studies/within-day', roles: clinic },
  { method: 'PUT', path: '/studies/:id', roles: clinic },
  { method: 'DELETE', path: '/studies/:id', roles: clinic },
  { method: 'POST', path: '/studies/:id/finish', roles: clinic },
  { method: 'POST', path: '/studies/:id/use', roles: therapists },

  { method: 'GET', path: '/visits/:id', roles: clinic, about: 'visit', audit: 'visit read', often: true },
  { method: 'GET', path: '/visits/:id/ahead', roles: clinic, about: 'visit', audit: 'visit kept on a device for the day', often: true },
  { method: 'GET', path: '/visits/:id/dose', roles: clinic, about: 'visit', audit: 'visit read', often: true },
  { method: 'PUT', path: '/visits/:id', roles: clinic, audit: 'visit booked' },
  { method: 'PATCH', path: '/visits/:id', roles: clinic, about: 'visit', audit: 'visit written', often: true },
  { method: 'POST', path: '/visits/:id/booking', roles: clinic, about: 'visit', audit: 'visit moved' },
  { method: 'POST', path: '/visits/:id/cancel', roles: clinic, about: 'visit', audit: 'visit cancelled' },
  { method: 'POST', path: '/visits/:id/restore', roles: clinic, about: 'visit', audit: 'visit restored' },
  { method: 'POST', path: '/visits/:id/finish', roles: clinic, about: 'visit', audit: 'visit finished' },
  { method: 'POST', path: '/visits/:id/reopen', roles: clinic, about: 'visit', audit: 'visit reopened' },
  { method: 'PUT', path: '/visits/:id/answers/:answersId', roles: clinic, about: 'visit', audit: 'stop questions answered' },
  { method: 'PUT', path: '/visits/:id/overrides/:overrideId', roles: therapists, about: 'visit', audit: 'caution set aside' },
  { method: 'PUT', path: '/visits/:id/readiness', roles: clinic, about: 'visit', audit: 'readiness applied' },
  { method: 'PUT', path: '/visits/:id/readiness-aside/:asideId', roles: therapists, about: 'visit', audit: 'limit of the day set aside' },
  { method: 'PUT', path: '/visits/:id/referral', roles: clinic, about: 'visit', audit: 'referral written' },
  { method: 'PUT', path: '/visits/:id/readings/:readingId', roles: clinic, about: 'visit', audit: 'reading written', often: true },
  { method: 'PUT', path: '/visits/:id/findings/:findingId', roles: clinic, about: 'visit', audit: 'finding written', often: true },
  { method: 'PUT', path: '/visits/:id/plan', roles: clinic, about: 'visit', audit: 'plan written', often: true },
  { method: 'PUT', path: '/visits/:id/note', roles: therapists, about: 'visit', audit: 'note written', often: true },
  { method: 'PUT', path: '/visits/:id/note/signature', roles: therapists, about: 'visit', audit: 'note signed' },
  { method: 'PUT', path: '/visits/:id/note/addenda/:addendumId', roles: therapists, about: 'visit', audit: 'note added to' },
  { method: 'PUT', path: '/visits/:id/home', roles: therapists, about: 'visit', audit: 'home work given', often: true },
  { method: 'PUT', path: '/visits/:id/home-answers', roles: clinic, about: 'visit', audit: 'home work asked about' },
  { method: 'PUT', path: '/runs/:id', roles: clinic, audit: 'run begun' },
  { method: 'POST', path: '/runs/:id/events', roles: clinic, about: 'run', audit: 'run recorded', often: true },

  { method: 'PATCH', path: '/practice', roles: owner, audit: 'practice changed' },
  { method: 'GET', path: '/accounts', roles: owner },
  { method: 'PUT', path: '/accounts/:id', roles: owner, audit: 'account made' },
  { method: 'PATCH', path: '/accounts/:id', roles: owner, audit: 'account changed' },
  { method: 'GET', path: '/audit', roles: owner },
];

/**
 * The row for a request, or null when no row fits.
 * @example routeOf('GET', '/health').roles // → 'anybody'
 */
export function routeOf(method: string, path: string): RouteAccess | null {
  const parts = path.split('/');
  return (
    ROUTES.find((route) => {
      const wanted = route.path.split('/');
      return (
        route.method === method &&
        wanted.length === parts.length &&
        wanted.every((part, i) => (part.startsWith(':') ? parts[i] !== '' : part === parts[i]))
      );
    }) ?? null
  );
}

/**
 * Who may call a route of the table. Throws a RangeError for a route that has no row.
 * @example whoMay('GET', '/accounts') // → ['owner']
 */
export function whoMay(method: HttpMethod, path: string): readonly Role[] {
  const route = ROUTES.find((each) => each.method === method && each.path === path);
  if (!route) throw new RangeError(`No row for ${method} ${path}.`);
  return route.roles === 'anybody' ? ROLES : route.roles;
}

/**
 * Whether a role may call a route of the table. Throws a RangeError for a route that has no row.
 * @example mayCall('coach', 'GET', '/visits/:id') // → false
 */
export function mayCall(role: Role, method: HttpMethod, path: string): boolean {
  return whoMay(method, path).includes(role);
}
