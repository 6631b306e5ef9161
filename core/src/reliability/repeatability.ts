import { mdc95 } from '../measure/error.ts';
import { formatValue } from '../measure/words.ts';
import type { Unit } from '../body/index.ts';
import { intraclass, type Icc } from './icc.ts';
import { meanSquares, type MeanSquares, type ValueTable } from './meanSquares.ts';
import { chiSquaredQuantile, fTail } from '../quantile/index.ts';

/** What a repeatability study says about one examiner (or, column by examiner, about several). */
export interface Repeatability {
  readonly squares: MeanSquares;
  readonly iccs: readonly Icc[];
  /** Standard error of measurement, √MSE of the two-way table, in the unit of the values. */
  readonly sem: number;
  /** 95 % limits of the SEM. */
  readonly semLow: number;
  readonly semHigh: number;
  readonly mdc: number;
  /** How much the mean moved from the first trial to the last, and whether that is more than chance. */
  readonly shift: number;
  readonly shiftIsReal: boolean;
  readonly words: string;
}

/** Fewer measured sides than this give limits too wide to lean on; said, not forbidden. Common practice. */
const FEW_ROWS = 8;

/**
 * The repeatability of a table of values, in their own unit.
 * SEM = √MSE of the two-way table and MDC95 = SEM · 1.96 · √2: Weir JP. J Strength Cond Res 2005;19:231–240. The limits
 * of the SEM follow from the chi-squared distribution of the error's sum of squares.
 * Throws a RangeError for a table that is too small or has gaps.
 */
export function repeatability(table: ValueTable, unit: Unit): Repeatability {
  const squares = meanSquares(table);
  const iccs = intraclass(squares);
  const df = (squares.n - 1) * (squares.k - 1);
  const sem = Math.sqrt(squares.error);
  const [semLow, semHigh] = [
    Math.sqrt((squares.error * df) / chiSquaredQuantile(0.975, df)),
    Math.sqrt((squares.error * df) / chiSquaredQuantile(0.025, df)),
  ];
  const shift = squares.columnMeans.at(-1)! - squares.columnMeans[0]!;
  const shiftIsReal =
    squares.error > 0 ? fTail(squares.betweenColumns / squares.error, squares.k - 1, df) < 0.05 : squares.betweenColumns > 0;
  const mdc = mdc95(sem);
  return { squares, iccs, sem, semLow, semHigh, mdc, shift, shiftIsReal, words: sentence() };

  function sentence(): string {
    const agreement = iccs.find((icc) => icc.form === '2,1')!;
    const told =
      agreement.value === null
        ? 'The sides measured do not differ, so nothing can be said about telling them apart.'
        : `${capital(iccWords(agreement))} (ICC ${agreement.value.toFixed(2)}).`;
    const moved =
      shiftIsReal && Math.abs(shift) >= sem / 2
        ? ` From the first trial to the last the values moved by ${formatValue(Math.abs(shift), unit)}: that is more than chance, so warm up or rehearse before the first one that counts.`
        : '';
    const few =
      squares.n < FEW_ROWS
        ? ` Only ${squares.n} sides were measured: the true error may lie anywhere from ${formatValue(semLow, unit)} to ${formatValue(semHigh, unit)}.`
        : '';
    return `One reading is off by about ${formatValue(sem, unit)}; two readings must lie more than ${formatValue(mdc, unit)} apart before it is a real change. ${told}${moved}${few}`;
  }
}

/** Customary names for how well a measure tells people apart. Koo TK, Li MY. J Chiropr Med 2016;15:155–163, recalled from memory. */
function iccWords({ value, low }: Icc): string {
  const grade = (icc: number) => (icc < 0.5 ? 'poor' : icc < 0.75 ? 'moderate' : icc < 0.9 ? 'good' : 'excellent');
  const best = grade(value!);
  const worst = low === null ? best : grade(low);
  return `${worst === best ? best : `${worst} to ${best}`} at telling one side from another`;
}

const capital = (words: string): string => words[0]!.toUpperCase() + words.slice(1);

/** Repeats of one thing on one day. */
export interface WithinDay {
  /** Pooled standard deviation of one trial, in the unit of the values; null while nothing was repeated. */
  readonly sd: number | null;
  /** How many sets of trials went in, and the degrees of freedom they carry. */
  readonly sets: number;
  readonly df: number;
}

/**
 * Pools repeats over people and visits: √(Σ sums of squares within ÷ Σ (k − 1)), in the unit of the trials.
 * Source: Bland JM, Altman DG. Lancet 1986;i:307–310 (repeatability).
 * @example pooledWithin([[3, 5], [4, 4], [6, 7, 8]]).sd // → 1.000
 */
export function pooledWithin(sets: readonly (readonly number[])[]): WithinDay {
  let [squares, df, used] = [0, 0, 0];
  for (const set of sets) {
    if (set.length < 2) continue;
    const mean = set.reduce((sum, value) => sum + value, 0) / set.length;
    squares += set.reduce((sum, value) => sum + (value - mean) ** 2, 0);
    df += set.length - 1;
    used += 1;
  }
  return { sd: df > 0 ? Math.sqrt(squares / df) : null, sets: used, df };
}
