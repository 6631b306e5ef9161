import type { DayVisit } from '@pace-bend/core/record';

export interface PlacedVisit {
  readonly visit: DayVisit;
  /** Minutes since midnight. */
  readonly from: number;
  /** Which of how many columns, where visits overlap. */
  readonly column: number;
  readonly columns: number;
}

/**
 * Puts visits side by side where they share time, each group of overlapping ones in as few columns as it takes.
 * Cancelled visits are listed elsewhere.
 */
export function layOutDay(visits: readonly DayVisit[], minuteOf: (instant: string) => number): PlacedVisit[] {
  const placed: PlacedVisit[] = [];
  let group: { visit: DayVisit; from: number; to: number; column: number }[] = [];
  const close = () => {
    const columns = Math.max(1, ...group.map((each) => each.column + 1));
    placed.push(...group.map(({ visit, from, column }) => ({ visit, from, column, columns })));
    group = [];
  };
  const sorted = visits
    .filter((visit) => !visit.cancelledAt)
    .map((visit) => ({ visit, from: minuteOf(visit.startsAt), to: minuteOf(visit.startsAt) + visit.minutes }))
    .sort((a, b) => a.from - b.from || a.visit.id.localeCompare(b.visit.id));
  for (const each of sorted) {
    if (group.length > 0 && group.every((other) => other.to <= each.from)) close();
    const taken = new Set(group.filter((other) => other.to > each.from).map((other) => other.column));
    let column = 0;
    while (taken.has(column)) column += 1;
    group.push({ ...each, column });
  }
  close();
  return placed;
}

/** Letters from which a name takes more than a line. */
export const LONG_NAME = 30;
/** Pixels for a minute: forty minutes hold a name, a complaint and what was stiff. */
const USUAL_SCALE = 1.75;
/** A day is drawn this large at most, whatever is on it. */
const LARGEST_SCALE = 5;

/** How high a visit has to be for its name to stand there whole, in pixels: beside others a name has less of a line. */
function needed({ visit, columns }: PlacedVisit): number {
  const isLong = visit.athleteName.length > LONG_NAME;
  if (columns > 1) return isLong ? 98 : 60;
  return isLong ? 46 : 34;
}

/** Pixels for a minute: as usual, or as many as the shortest visit needs for its name. */
export function scaleOf(placed: readonly PlacedVisit[]): number {
  return Math.min(LARGEST_SCALE, Math.max(USUAL_SCALE, ...placed.map((each) => needed(each) / each.visit.minutes)));
}

/** The hours a day shows: from eight to six, and as far as its visits reach. */
export function hoursOf(placed: readonly PlacedVisit[]): { readonly first: number; readonly last: number } {
  const first = Math.min(8, ...placed.map((each) => Math.floor(each.from / 60)));
  const last = Math.max(18, ...placed.map((each) => Math.ceil((each.from + each.visit.minutes) / 60)));
  return { first, last: Math.min(24, last) };
}
