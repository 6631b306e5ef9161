import { ageInYears, type Motion, type PersonFacts } from '../body/index.ts';
import type { Measured } from './change.ts';
import {
  GENERAL_ROWS,
  REFERENCE_AGES,
  SOUCIE,
  SOUCIE_AGES,
  SOUCIE_PEOPLE,
  SOUCIE_ROWS,
  SPREAD_AT_LEAST,
  type SourceOfReference,
} from './references.ts';
import { formatValue } from './words.ts';

const Z95 = 1.96;

/** Where healthy people lie: the middle, and the limits between which 95 of 100 of them are. In the motion's unit. */
export interface ReferenceBand {
  readonly low: number;
  readonly middle: number;
  readonly high: number;
  /** Whom it holds for: "men 20–44", "everyone". */
  readonly people: string;
  readonly source: SourceOfReference;
}

const bandAround = (middle: number, sd: number, people: string, source: SourceOfReference): ReferenceBand => ({
  low: tenth(middle - Z95 * sd),
  middle,
  high: tenth(middle + Z95 * sd),
  people,
  source,
});
const tenth = (value: number) => Math.round(value * 10) / 10;

/**
 * The reference bands for a motion and a person on a day (ISO date): one for a known sex, two when the person's reference sex is
 * `none` and it matters, none when no table covers the motion or the age. A band is mean ± 1.96 SD of persons, because the mean of a
 * group, or the low end of its interval, is no floor for one of them. Where a source gives the interval of the mean, the SD comes from
 * it and the number of people. Sources: see `references.ts`.
 * @example referenceBands('hip-extension-knee-straight', { birthDate: '2002-03-04', referenceSex: 'male' }, '2026-11-25')[0].middle // → 17.4
 */
export function referenceBands(motionId: string, person: PersonFacts, onDay: string): ReferenceBand[] {
  const age = ageInYears(person.birthDate, onDay);
  if (age < REFERENCE_AGES.from || age > REFERENCE_AGES.to) return [];
  const sexes = person.referenceSex === 'none' ? (['female', 'male'] as const) : [person.referenceSex];
  const general = GENERAL_ROWS[motionId];
  if (general) {
    const { mean, women, men, sd, source } = general;
    if (women === undefined || men === undefined) return [bandAround(mean, sd, 'everyone', source)];
    return sexes.map((sex) => bandAround(sex === 'female' ? women : men, sd, sex === 'female' ? 'women' : 'men', source));
  }
  const row = SOUCIE_ROWS[motionId];
  const column = SOUCIE_AGES.findIndex((group) => age >= group.from && age <= group.to);
  const group = SOUCIE_AGES[column];
  if (!row || !group) return [];
  return sexes.map((sex) => {
    const [mean, low, high] = row[sex][column]!;
    const sd = Math.max(SPREAD_AT_LEAST[motionId] ?? 0, (((high - low) / 2) * Math.sqrt(SOUCIE_PEOPLE)) / Z95);
    return bandAround(mean, sd, `${sex === 'female' ? 'women' : 'men'} ${group.from}–${group.to}`, SOUCIE);
  });
}

/**
 * Why there is no reference for a motion and a person: nobody's table fits the age, or none covers the motion; null where there is one.
 * @example noReferenceBecause('hip-flexion', { birthDate: '1950-01-01', referenceSex: 'male' }, '2026-11-25') // → 'age'
 */
export function noReferenceBecause(motionId: string, person: PersonFacts, onDay: string): 'age' | 'motion' | null {
  if (referenceBands(motionId, person, onDay).length > 0) return null;
  return GENERAL_ROWS[motionId] || SOUCIE_ROWS[motionId] ? 'age' : 'motion';
}

export type ReferenceKindOfVerdict = 'below' | 'reached';

export interface ReferenceVerdict {
  readonly kind: ReferenceKindOfVerdict;
  /** How much range is missing to the near limit of the band, zero when reached, in the motion's unit. */
  readonly missing: number;
  readonly words: string;
}

/**
 * Where a value stands against a reference band. `below` means short of the near limit: fewer than three in a hundred healthy people
 * are. The spread of persons was measured with an error too, so nothing more is taken off for the error of one reading; a shortfall
 * smaller than that error is said to be. With two bands the easier one decides, so that nobody is called short on a table that may
 * not be theirs. Returns null when there is no band.
 * @example classifyReference({ value: 3, sem: 2 }, [{ low: 6.4, middle: 17.4, high: 28.4, people: 'men 20–44', source: SOUCIE }], motion).kind // → 'below'
 */
export function classifyReference(
  measured: Measured,
  bands: readonly ReferenceBand[],
  motion: Pick<Motion, 'unit' | 'better'>,
): ReferenceVerdict | null {
  if (bands.length === 0) return null;
  const missingTo = (band: ReferenceBand) => (motion.better === 'higher' ? band.low - measured.value : measured.value - band.high);
  const missing = Math.max(0, Math.min(...bands.map(missingTo)));
  if (missing === 0) return { kind: 'reached', missing, words: 'Within the range of healthy people' };
  const near = missing <= Z95 * measured.sem ? ', by less than the error of one reading' : '';
  return { kind: 'below', missing, words: `${formatValue(missing, motion.unit)} short of the range of healthy people${near}` };
}
