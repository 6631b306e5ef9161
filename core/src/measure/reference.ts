import { ageInYears, type Motion, type PersonFacts } from '../body/index.ts';
import { band95 } from './error.ts';
import type { Measured } from './change.ts';
import { GENERAL_ROWS, SOUCIE, SOUCIE_AGES, SOUCIE_ROWS, type SourceOfReference } from './references.ts';
import { formatValue } from './words.ts';

export interface ReferenceBand {
  /** In the motion's unit; equal for a single round value. */
  readonly low: number;
  readonly high: number;
  /** Whom it holds for: "men 20–44", "everyone". */
  readonly people: string;
  readonly source: SourceOfReference;
}

/**
 * The reference bands for a motion and a person on a day (ISO date): one for a known sex, two when the
 * person's reference sex is `none`, none when no table covers the motion or the age.
 * Sources: see `references.ts`.
 * @example referenceBands('hip-extension-knee-straight', { birthDate: '2002-03-04', referenceSex: 'male' }, '2026-11-25')[0].low // → 16.3
 */
export function referenceBands(motionId: string, person: PersonFacts, onDay: string): ReferenceBand[] {
  const general = GENERAL_ROWS[motionId];
  if (general) return [{ low: general.low, high: general.high, people: 'everyone', source: general.source }];
  const row = SOUCIE_ROWS[motionId];
  if (!row) return [];
  const age = ageInYears(person.birthDate, onDay);
  const column = SOUCIE_AGES.findIndex((group) => age >= group.from && age <= group.to);
  const group = SOUCIE_AGES[column];
  if (!group) return [];
  const sexes = person.referenceSex === 'none' ? (['female', 'male'] as const) : [person.referenceSex];
  return sexes.map((sex) => {
    const [, low, high] = row[sex][column]!;
    return { low, high, people: `${sex === 'female' ? 'women' : 'men'} ${group.from}–${group.to}`, source: SOUCIE };
  });
}

export type ReferenceKindOfVerdict = 'below' | 'within-error' | 'reached';

export interface ReferenceVerdict {
  readonly kind: ReferenceKindOfVerdict;
  /** How much range is missing to the near edge of the band, zero when reached, in the motion's unit. */
  readonly missing: number;
  readonly words: string;
}

/**
 * Where a value stands against a reference band. `below` means short of the band's near edge by more
 * than the 95 % error of one measured value (1.96 · SEM). With two bands the easier one decides, so that
 * nobody is called short on a table that may not be theirs.
 * Returns null when there is no band.
 * @example classifyReference({ value: 8, sem: 2 }, [{ low: 16.3, high: 18.5, people: 'men 20–44', source: SOUCIE }], motion).kind // → 'below'
 */
export function classifyReference(measured: Measured, bands: readonly ReferenceBand[], motion: Pick<Motion, 'unit' | 'better'>): ReferenceVerdict | null {
  if (bands.length === 0) return null;
  const missingTo = (band: ReferenceBand) => (motion.better === 'higher' ? band.low - measured.value : measured.value - band.high);
  const missing = Math.max(0, Math.min(...bands.map(missingTo)));
  if (missing === 0) return { kind: 'reached', missing, words: 'At the reference' };
  const amount = formatValue(missing, motion.unit);
  if (missing <= band95(measured.sem)) {
    return { kind: 'within-error', missing, words: `${amount} short of the reference: inside the error of one reading` };
  }
  return { kind: 'below', missing, words: `${amount} short of the reference` };
}
