import { REGIONS, type RegionId } from '../figure/index.ts';
import { currentFindings } from './standing.ts';
import { POINTS, THIRDS, type Finding, type PointData, type StandingFinding, type Third } from './types.ts';

/** A place in a muscle. */
export interface PointPlace {
  readonly muscle: RegionId;
  readonly third: Third;
}

/**
 * The subject of a point in a muscle.
 * @example pointSubject({ muscle: 'gastrocnemius', third: 'upper' }) // → 'gastrocnemius/upper'
 */
export const pointSubject = ({ muscle, third }: PointPlace): string => `${muscle}/${third}`;

/**
 * The place a subject names, or null.
 * @example pointPlace('gastrocnemius/upper').third // → 'upper'
 */
export function pointPlace(subject: string): PointPlace | null {
  const [muscle = '', third, ...more] = subject.split('/');
  return more.length === 0 && Object.hasOwn(REGIONS, muscle) && THIRDS.some((each) => each === third)
    ? { muscle: muscle as RegionId, third: third as Third }
    : null;
}

/**
 * What a finger found, in words.
 * @example pointWords({ what: 'lump', tenderness: 6, refers: '' }) // → 'lump, 6 of 10'
 */
export function pointWords({ what, tenderness, refers }: PointData): string {
  return [
    POINTS.find((each) => each.id === what)!.name,
    tenderness === null ? '' : `${tenderness} of 10`,
    refers === '' ? '' : `felt at ${refers}`,
  ]
    .filter(Boolean)
    .join(', ');
}

type Point = Extract<StandingFinding, { kind: 'point' }>;

/** Where a point lies and what it is, in words. */
const pointAt = ({ side, data }: Point, { muscle, third }: PointPlace): string =>
  `${side} ${REGIONS[muscle].words}, ${third} third: ${pointWords(data)}`;

/** A place that is looked at before anything else. */
export interface LookFirst {
  readonly finding: Point;
  /** Where and what, without how old it is. */
  readonly what: string;
  /** The same with its age, and how often it was found where that was more than once. */
  readonly words: string;
}

const DAY_MS = 86_400_000;
const DAYS_A_WEEK = 7;

/** How long ago, as it is said. */
function ago(foundAt: string, nowMs: number): string {
  const days = Math.max(0, Math.floor((nowMs - Date.parse(foundAt)) / DAY_MS));
  if (days < 1) return 'today';
  if (days < 2 * DAYS_A_WEEK) return days === 1 ? 'a day old' : `${days} days old`;
  return `${Math.round(days / DAYS_A_WEEK)} weeks old`;
}

/**
 * What to look at first: points that stood when they were last looked at, but for those that were clean then and those somebody has
 * looked at today, the most tender first. `before` are findings of earlier visits, `today` those of this one; of a place that was felt
 * several times the last time counts, at one visit the second look.
 */
export function lookFirst(before: readonly Finding[], today: readonly Finding[], nowMs: number): LookFirst[] {
  const placeOf = ({ subject, side }: Pick<Finding, 'subject' | 'side'>) => `${subject}/${side}`;
  const points = (findings: readonly Finding[]) => currentFindings(findings).filter((each): each is Point => each.kind === 'point');
  const looked = new Set(points(today).map(placeOf));
  const last = new Map<string, Point>();
  for (const point of [...points(before)].sort((a, b) => (a.foundAt < b.foundAt ? -1 : a.foundAt > b.foundAt ? 1 : 0)))
    last.set(placeOf(point), point);
  return [...last.values()]
    .filter((point) => point.data.what !== 'clean' && !looked.has(placeOf(point)) && pointPlace(point.subject) !== null)
    .sort((a, b) => (b.data.tenderness ?? -1) - (a.data.tenderness ?? -1))
    .map((finding) => {
      const what = pointAt(finding, pointPlace(finding.subject)!);
      const times = new Set(
        points(before)
          .filter((each) => placeOf(each) === placeOf(finding) && each.data.what !== 'clean')
          .map(({ visitId }) => visitId),
      ).size;
      return { finding, what, words: `${what}, ${ago(finding.foundAt, nowMs)}${times > 1 ? `, found ${times} times` : ''}` };
    });
}

/** A point to be felt once more, in the words for where it is. */
export interface FeltBefore {
  readonly finding: Point;
  readonly words: string;
}

/**
 * Points of today that lie in muscles that were worked on, on that side, and have not been felt again since: to be felt once more while the hand
 * is there. Of what was clean there is nothing to feel again.
 * @param muscles Muscles that were worked on; `side`, the limb, or both where the work was on the midline.
 */
export function feltAgainNext(today: readonly Finding[], muscles: readonly string[], side: 'left' | 'right' | 'midline'): FeltBefore[] {
  const points = currentFindings(today).filter((each): each is Point => each.kind === 'point');
  const isAgain = ({ subject, side: at }: Point) =>
    points.some((each) => each.moment === 'after' && each.subject === subject && each.side === at);
  return points.flatMap((finding) => {
    const place = pointPlace(finding.subject);
    const isHere = place !== null && muscles.includes(place.muscle) && (side === 'midline' || finding.side === side);
    if (finding.moment !== 'before' || finding.data.what === 'clean' || !isHere || isAgain(finding)) return [];
    return [{ finding, words: pointAt(finding, place) }];
  });
}
