/** A span of a day that is taken, in minutes since midnight on the practice's clock. */
export interface Taken {
  readonly day: string;
  readonly fromMin: number;
  readonly toMin: number;
}

export interface Slot {
  readonly day: string;
  readonly fromMin: number;
}

/** When visits are offered where nothing else is set. Common practice. */
export const USUAL_HOURS = { fromMin: 8 * 60, toMin: 18 * 60, step: 30 } as const;

/**
 * The first free spans of some minutes on given days, in order, at whole steps of the clock within the usual hours; `most` of them, and no two that
 * overlap. Days that are not given are not looked at. Spans that are taken may overlap and come in any order.
 * @example freeSlots(['2026-11-27'], [{ day: '2026-11-27', fromMin: 480, toMin: 525 }], 45, 1) // → [{ day: '2026-11-27', fromMin: 540 }]
 */
export function freeSlots(days: readonly string[], taken: readonly Taken[], minutes: number, most: number): Slot[] {
  const found: Slot[] = [];
  for (const day of days) {
    const here = taken.filter((each) => each.day === day);
    for (let from: number = USUAL_HOURS.fromMin; from + minutes <= USUAL_HOURS.toMin && found.length < most; from += USUAL_HOURS.step) {
      const last = found.at(-1);
      if (last && last.day === day && from < last.fromMin + minutes) continue;
      if (here.every(({ fromMin, toMin }) => toMin <= from || from + minutes <= fromMin)) found.push({ day, fromMin: from });
    }
  }
  return found;
}
