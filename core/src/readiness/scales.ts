/** One question of a check-in. */
export interface ScaleItem {
  readonly id: string;
  readonly name: string;
  /** The words at the two ends, lowest first. */
  readonly ends: readonly [string, string];
}

export interface CheckInScale {
  readonly id: string;
  readonly name: string;
  readonly items: readonly ScaleItem[];
  readonly lowest: number;
  readonly highest: number;
  readonly worse: 'higher' | 'lower';
  readonly source: string;
}

/** The two scales that are common; a practice asks one of them. Words at the ends are our own. */
export const SCALES = [
  {
    id: 'four-items',
    name: 'Four questions, 1 to 7',
    items: [
      { id: 'sleep', name: 'Sleep', ends: ['very, very good', 'very, very poor'] },
      { id: 'stress', name: 'Stress', ends: ['very, very low', 'very, very high'] },
      { id: 'fatigue', name: 'Fatigue', ends: ['very, very low', 'very, very high'] },
      { id: 'soreness', name: 'Soreness', ends: ['very, very low', 'very, very high'] },
    ],
    lowest: 1,
    highest: 7,
    worse: 'higher',
    source: 'Hooper SL, Mackinnon LT. Sports Med 1995;20:321–327, recalled from memory',
  },
  {
    id: 'five-items',
    name: 'Five questions, 1 to 5',
    items: [
      { id: 'fatigue', name: 'Freshness', ends: ['always tired', 'very fresh'] },
      { id: 'sleep', name: 'Sleep', ends: ['no sleep', 'very restful'] },
      { id: 'soreness', name: 'Muscles', ends: ['very sore', 'feeling great'] },
      { id: 'stress', name: 'Calm', ends: ['highly stressed', 'very relaxed'] },
      { id: 'mood', name: 'Mood', ends: ['very low', 'very good'] },
    ],
    lowest: 1,
    highest: 5,
    worse: 'lower',
    source: 'McLean BD et al. Int J Sports Physiol Perform 2010;5:367–383, recalled from memory',
  },
] as const satisfies readonly CheckInScale[];

export type ScaleId = (typeof SCALES)[number]['id'];

/** The scale of an id. Throws a RangeError for an unknown one. */
export function scaleOf(id: ScaleId): CheckInScale {
  const scale: CheckInScale | undefined = SCALES.find((each) => each.id === id);
  if (!scale) throw new RangeError(`There is no scale “${id}”.`);
  return scale;
}

/**
 * The sum of a scale's answers, or null while one of them is missing: a missing answer is missing, not zero.
 * @example scaleSum('four-items', { sleep: 2, stress: 3, fatigue: 4, soreness: 1 }) // → 10
 */
export function scaleSum(id: ScaleId, answers: Readonly<Record<string, number>>): number | null {
  const values = scaleOf(id).items.map((item) => answers[item.id]);
  return values.some((value) => value === undefined) ? null : values.reduce<number>((sum, value) => sum + value!, 0);
}
