import { REGIONS } from '../figure/index.ts';
import { currentFindings } from './standing.ts';
import { pointPlace, pointWords } from './points.ts';
import type { Finding } from './types.ts';

/** A place that was pointed at, over the visits. */
export interface FindingLine {
  readonly subject: string;
  readonly side: Finding['side'];
  /** Where it is: “left gastrocnemius, upper third”. */
  readonly place: string;
  /** Every visit at which somebody looked there, oldest first, the second look of a visit where there were two. */
  readonly looks: readonly {
    readonly visitId: string;
    readonly foundAt: string;
    readonly words: string;
    readonly tenderness: number | null;
    readonly isClean: boolean;
  }[];
  readonly firstAt: string;
  /** At how many of these visits something was there. */
  readonly times: number;
  /** Since when it was clean whenever somebody looked; null where it was there the last time. */
  readonly goneSince: string | null;
}

/**
 * The line of every point over an athlete's visits: when it was found first, how often, and since when it is gone. What stood last at a visit
 * counts for it; a place that was clean whenever somebody looked has no line. Those that are there come first, the most often found before the
 * others, then those that are gone, the latest first.
 */
export function findingLines(findings: readonly Finding[]): FindingLine[] {
  const visits = new Map<string, Finding[]>();
  for (const each of findings) visits.set(each.visitId, [...(visits.get(each.visitId) ?? []), each]);
  const lines = new Map<string, Finding[]>();
  for (const ofVisit of visits.values())
    for (const point of lastOfEach(currentFindings(ofVisit).filter(({ kind }) => kind === 'point')))
      lines.set(placeOf(point), [...(lines.get(placeOf(point)) ?? []), point]);
  return [...lines.values()]
    .flatMap((points): FindingLine[] => {
      const at = pointPlace(points[0]!.subject);
      if (!at) return [];
      const looks = points
        .flatMap((point) =>
          point.kind === 'point' && point.data
            ? [
                {
                  visitId: point.visitId,
                  foundAt: point.foundAt,
                  words: pointWords(point.data),
                  tenderness: point.data.tenderness,
                  isClean: point.data.what === 'clean',
                },
              ]
            : [],
        )
        .sort((a, b) => (a.foundAt < b.foundAt ? -1 : 1));
      const there = looks.filter(({ isClean }) => !isClean);
      if (there.length === 0) return [];
      const gone = looks.slice(looks.lastIndexOf(there.at(-1)!) + 1);
      return [
        {
          subject: points[0]!.subject,
          side: points[0]!.side,
          place: `${points[0]!.side} ${REGIONS[at.muscle].words}, ${at.third} third`,
          looks,
          firstAt: there[0]!.foundAt,
          times: there.length,
          goneSince: gone[0]?.foundAt ?? null,
        },
      ];
    })
    .sort((a, b) =>
      (a.goneSince === null) === (b.goneSince === null)
        ? a.goneSince === null
          ? b.times - a.times
          : a.goneSince < b.goneSince!
            ? 1
            : -1
        : a.goneSince === null
          ? -1
          : 1,
    );
}

const placeOf = ({ subject, side }: Pick<Finding, 'subject' | 'side'>) => `${subject}/${side}`;

/** Of places looked at twice in one visit, the second look. */
function lastOfEach<F extends Finding>(points: readonly F[]): F[] {
  const last = new Map<string, F>();
  for (const point of points) {
    const before = last.get(placeOf(point));
    if (!before || before.moment === 'before' || point.moment === 'after') last.set(placeOf(point), point);
  }
  return [...last.values()];
}
