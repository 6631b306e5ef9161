/**
 * Every way in which the server does not do what was asked, in one place for both sides. The type is what a program switches on; title and
 * status follow from it, and the detail is written where it happens. `means` is what it is for whoever sent it:
 * `stale`: somebody changed the same thing since; what stands now can be looked at. `elsewhere`: another page leads. `refused`: as it is it will
 * not go through. `sign-in`: nobody, or somebody else, is signed in. `later`: it may go through as it is, later.
 */
export const PROBLEMS = {
  'changed-meanwhile': { status: 409, title: 'Changed meanwhile', means: 'stale' },
  'led-elsewhere': { status: 409, title: 'Led elsewhere', means: 'elsewhere' },
  gap: { status: 409, title: 'Gap', means: 'refused' },
  finished: { status: 409, title: 'Finished', means: 'refused' },
  'not-finished': { status: 409, title: 'Not finished', means: 'refused' },
  'not-complete': { status: 409, title: 'Not complete', means: 'refused' },
  cancelled: { status: 409, title: 'Cancelled', means: 'refused' },
  caution: { status: 409, title: 'Caution', means: 'refused' },
  stopped: { status: 409, title: 'Stopped', means: 'refused' },
  'limits-changed': { status: 409, title: 'Limits changed', means: 'refused' },
  signed: { status: 409, title: 'Signed already', means: 'refused' },
  'not-signed': { status: 409, title: 'Not signed yet', means: 'refused' },
  'not-asked-yet': { status: 409, title: 'Not asked yet', means: 'refused' },
  overlaps: { status: 409, title: 'Overlaps', means: 'refused' },
  full: { status: 409, title: 'Full', means: 'refused' },
  taken: { status: 409, title: 'Taken', means: 'refused' },
  'in-use': { status: 409, title: 'In use', means: 'refused' },
  ended: { status: 410, title: 'Ended', means: 'refused' },
  'already-set-up': { status: 409, title: 'Already set up', means: 'refused' },
  'not-found': { status: 404, title: 'Not found', means: 'refused' },
  'not-valid': { status: 422, title: 'Not valid', means: 'refused' },
  'too-long': { status: 422, title: 'Too long', means: 'refused' },
  'too-large': { status: 413, title: 'Too large', means: 'refused' },
  'too-much': { status: 413, title: 'Too much', means: 'refused' },
  'too-deep': { status: 413, title: 'Too deep', means: 'refused' },
  'not-json': { status: 400, title: 'Not JSON', means: 'refused' },
  refused: { status: 403, title: 'Refused', means: 'refused' },
  unreadable: { status: 400, title: 'Refused', means: 'refused' },
  'not-yours': { status: 403, title: 'Not yours to do', means: 'refused' },
  'not-signed-in': { status: 401, title: 'Not signed in', means: 'sign-in' },
  'somebody-else': { status: 401, title: 'Somebody else', means: 'sign-in' },
  wait: { status: 429, title: 'Wait', means: 'later' },
  error: { status: 500, title: 'Error', means: 'later' },
  'try-again': { status: 503, title: 'Try again', means: 'later' },
  'disk-full': { status: 507, title: 'Disk full', means: 'later' },
} as const satisfies Record<string, ProblemFacts>;

export type ProblemType = keyof typeof PROBLEMS;
export type ProblemMeans = 'stale' | 'elsewhere' | 'refused' | 'sign-in' | 'later';

export interface ProblemFacts {
  readonly status: number;
  readonly title: string;
  readonly means: ProblemMeans;
}

/** Problem documents name their type by a reference, as RFC 9457 asks. */
const PREFIX = '/problems/';

/**
 * The reference that stands in a problem document.
 * @example problemReference('gap') // → '/problems/gap'
 */
export function problemReference(type: ProblemType): string {
  return `${PREFIX}${type}`;
}

/**
 * The type a reference names, or null for one that this version does not know.
 * @example problemType('/problems/gap') // → 'gap'
 */
export function problemType(reference: unknown): ProblemType | null {
  if (typeof reference !== 'string' || !reference.startsWith(PREFIX)) return null;
  const type = reference.slice(PREFIX.length);
  return Object.hasOwn(PROBLEMS, type) ? (type as ProblemType) : null;
}
