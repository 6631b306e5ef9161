import { motionOf, type Side } from '../body/index.ts';
import { motionSide } from '../catalogue/index.ts';
import { between, detectable, errorOf, type ErrorKnowledge } from '../measure/index.ts';
import type { Shelf } from '../method/index.ts';
import { HOME_DONE, type HomeDone, type HomeItem, type PastHome, type PastReading } from '../record/index.ts';

const SHARES = Object.fromEntries(HOME_DONE.map(({ id, share }) => [id, share])) as Readonly<Record<HomeDone, number>>;
const nextDay = (day: string): string => new Date(Date.parse(`${day}T00:00:00Z`) + 86_400_000).toISOString().slice(0, 10);

/** Motions, with the side they are read on, that an exercise is meant to lengthen; none where none is expected to change. */
export function motionsOfItem(
  item: Pick<HomeItem, 'entryId' | 'sides'>,
  shelf: Shelf,
): { readonly motionId: string; readonly side: Side }[] {
  const entry = shelf.entries.get(item.entryId);
  if (!entry?.measured) return [];
  return [entry.motionId, ...entry.also].flatMap((motionId) => {
    const read = item.sides.map(({ side }) => motionSide(entry, motionId, side));
    const sides = motionOf(motionId).sides;
    return [...new Set(read)].filter((side) => sides.includes(side)).map((side) => ({ motionId, side }));
  });
}

/**
 * The share of the days after one day, up to another, on which home work for a motion and side was done, as it was answered: 0 to 1.
 *
 * The model. A sheet covers the days after it was given, to its last day or to the visit at which it was asked about, whichever is first.
 * On each of them the motion is worked on with the share of the answer; of several exercises for it, the one that was done most counts, and so
 * does the sheet, where several cover a day: doing two on one day is one day with home work. A sheet nobody asked about counts as none:
 * nothing is known of it. Days are calendar days (`YYYY-MM-DD`) where the practice is.
 */
export function homeShareBetween(
  past: readonly PastHome[],
  motionId: string,
  side: Side,
  { after, until }: { readonly after: string; readonly until: string },
  dayOf: (instant: string) => string,
  shelf: Shelf,
): number {
  const spans = past.flatMap(({ sheet, asked }) => {
    if (!asked) return [];
    const shares = sheet.items
      .filter((item) => motionsOfItem(item, shelf).some((each) => each.motionId === motionId && each.side === side))
      .map(({ id }) => asked.answers[id])
      .filter((answer) => answer !== undefined)
      .map((answer) => SHARES[answer]);
    const back = dayOf(asked.startsAt);
    return shares.length === 0
      ? []
      : [{ from: dayOf(sheet.startsAt), to: sheet.until < back ? sheet.until : back, share: Math.max(...shares) }];
  });
  if (spans.length === 0 || after >= until) return 0;
  let [sum, days] = [0, 0];
  for (let day = nextDay(after); day <= until; day = nextDay(day)) {
    days += 1;
    sum += Math.max(0, ...spans.filter(({ from, to }) => from < day && day <= to).map(({ share }) => share));
  }
  return sum / days;
}

/** What an exercise stands beside: what the visit gained in its motion, and what was still there when they came back. */
export interface HomeBeside {
  readonly itemId: string;
  readonly motionId: string;
  readonly side: Side;
  /** In the motion's unit, more is better; null where it was not read after the work. */
  readonly gained: number | null;
  /** What was there on coming back, over the value before that work. */
  readonly kept: number;
  /** Differences up to this may be measuring error: 95 in 100. */
  readonly error: number;
}

/**
 * What was kept in range beside what was done at home, for every exercise of a sheet whose motion was read before work at both visits. A pair,
 * not a cause: nobody knows what would be there without it. Values that cannot be compared (another instrument that nobody studied) are left out.
 */
export function keptBeside(
  { sheet, asked }: PastHome,
  readings: readonly PastReading[],
  errors: ErrorKnowledge,
  shelf: Shelf,
): HomeBeside[] {
  if (!asked) return [];
  return sheet.items.flatMap((item) =>
    motionsOfItem(item, shelf)
      .slice(0, item.sides.length)
      .flatMap(({ motionId, side }): HomeBeside[] => {
        const motion = motionOf(motionId);
        const sign = motion.better === 'higher' ? 1 : -1;
        const of = (visitId: string, moment: 'before' | 'after') =>
          readings.find((each) => each.visitId === visitId && each.motionId === motionId && each.side === side && each.moment === moment);
        const [before, after, back] = [of(sheet.visitId, 'before'), of(sheet.visitId, 'after'), of(asked.visitId, 'before')];
        if (!before || !back) return [];
        const way = between(motion, before, back, errors);
        if (way.kind === 'cannot-tell') return [];
        const shift = way.kind === 'shifted' ? way : { correction: 0, error: 0 };
        const [first, second] = [errorOf(motion, before, errors, 'between'), errorOf(motion, back, errors, 'between')];
        return [
          {
            itemId: item.id,
            motionId,
            side,
            gained: after && between(motion, before, after, errors).kind === 'alike' ? sign * (after.value - before.value) : null,
            kept: sign * (back.value - before.value - shift.correction),
            error: detectable({ ...first, sem: Math.hypot(first.sem, shift.error) }, second),
          },
        ];
      }),
  );
}
