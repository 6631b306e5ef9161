import type { MeanSquares } from './meanSquares.ts';
import { fQuantile } from '../quantile/index.ts';

export type IccForm = '1,1' | '2,1' | '3,1' | '1,k' | '2,k' | '3,k';

/** An intraclass correlation with its 95 % limits; null where it cannot be computed (nothing varies at all). */
export interface Icc {
  readonly form: IccForm;
  readonly value: number | null;
  readonly low: number | null;
  readonly high: number | null;
}

/** What each form answers, in plain words. */
export const ICC_WORDS: Record<IccForm, string> = {
  '1,1': 'one trial, whoever and whenever it was taken',
  '2,1': 'one trial, agreement: a shift from trial to trial counts as error',
  '3,1': 'one trial, consistency: a shift from trial to trial is left out',
  '1,k': 'the mean of all trials, whoever took them',
  '2,k': 'the mean of all trials, agreement',
  '3,k': 'the mean of all trials, consistency',
};

const TAIL = 0.975;

/**
 * The six intraclass correlations of a two-way table with their 95 % limits.
 * Forms and limits: Shrout PE, Fleiss JL. Psychol Bull 1979;86:420–428; the limits of (2,k) are those of (2,1) stepped
 * up to k trials. A form without a finite value (no variation at all) has null for everything; when the error is exactly
 * zero but the rows differ, the correlation and its limits are 1.
 * @example intraclass(meanSquares([[9, 2, 5, 8], [6, 1, 3, 2], [8, 4, 6, 8], [7, 1, 2, 6], [10, 5, 6, 9], [6, 2, 4, 7]]))[2].value // → 0.71
 */
export function intraclass(squares: MeanSquares): Icc[] {
  const { n, k, betweenRows: b, withinRows: w, betweenColumns: j, error: e } = squares;
  const oneWay = ratioForms('1,1', '1,k', b, w, n - 1, n * (k - 1), k);
  const consistency = ratioForms('3,1', '3,k', b, e, n - 1, (n - 1) * (k - 1), k);
  const [single, average] = agreementForms(b, j, e, n, k);
  return [oneWay[0], single, consistency[0], oneWay[1], average, consistency[1]];
}

function ratioForms(one: IccForm, many: IccForm, b: number, error: number, df1: number, df2: number, k: number): [Icc, Icc] {
  if (b === 0 && error === 0) return [nothing(one), nothing(many)];
  if (error === 0) return [perfect(one), perfect(many)];
  const f = b / error;
  const low = f / fQuantile(TAIL, df1, df2);
  const high = f * fQuantile(TAIL, df2, df1);
  const single = (ratio: number) => (ratio - 1) / (ratio + k - 1);
  // A ratio near nothing has no lower bound for the mean of k.
  const average = (ratio: number) => (ratio === 0 ? -Infinity : 1 - 1 / ratio);
  return [
    { form: one, value: single(f), low: single(low), high: single(high) },
    { form: many, value: finite(average(f)), low: finite(average(low)), high: finite(average(high)) },
  ];
}

function agreementForms(b: number, j: number, e: number, n: number, k: number): [Icc, Icc] {
  const below = b + (k - 1) * e + (k * (j - e)) / n;
  if (below === 0) return [nothing('2,1'), nothing('2,k')];
  const rho = (b - e) / below;
  // Stepping up has no end below −1/(k − 1).
  const averaged = (value: number) => (1 + (k - 1) * value > 0 ? (k * value) / (1 + (k - 1) * value) : -Infinity);
  const averageBelow = b + (j - e) / n;
  const average = averageBelow <= 0 ? null : (b - e) / averageBelow;
  const withoutLimits: [Icc, Icc] = [
    { form: '2,1', value: rho, low: null, high: null },
    { form: '2,k', value: average, low: null, high: null },
  ];
  if (e === 0 && j === 0) return [perfect('2,1'), perfect('2,k')];
  if (e === 0) return withoutLimits;
  const fj = j / e;
  const rows = n * (1 + (k - 1) * rho) - k * rho;
  const v = ((k - 1) * (n - 1) * (k * rho * fj + rows) ** 2) / ((n - 1) * k ** 2 * rho ** 2 * fj ** 2 + rows ** 2);
  if (!(v > 0)) return withoutLimits;
  // With next to no degrees of freedom left a quantile has no end.
  const [up, down] = [fQuantile(TAIL, n - 1, v), fQuantile(TAIL, v, n - 1)];
  if (!Number.isFinite(up) || !Number.isFinite(down)) return withoutLimits;
  const columns = k * j + (k * n - k - n) * e;
  const low = (n * (b - up * e)) / (up * columns + n * b);
  const high = (n * (down * b - e)) / (columns + n * down * b);
  return [
    { form: '2,1', value: rho, low, high },
    { form: '2,k', value: average, low: finite(averaged(low)), high: finite(averaged(high)) },
  ];
}

const nothing = (form: IccForm): Icc => ({ form, value: null, low: null, high: null });
const perfect = (form: IccForm): Icc => ({ form, value: 1, low: 1, high: 1 });
const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);
