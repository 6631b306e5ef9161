/** A complete table of values: one row for each person and side measured, one column for each trial (or examiner). */
export type ValueTable = readonly (readonly number[])[];

/** The two-way analysis of variance of a table without repeats in its cells. Squares are in the square of the unit. */
export interface MeanSquares {
  /** Rows: people and sides measured. */
  readonly n: number;
  /** Columns: trials or examiners. */
  readonly k: number;
  readonly betweenRows: number;
  readonly withinRows: number;
  readonly betweenColumns: number;
  readonly error: number;
  readonly columnMeans: readonly number[];
}

/**
 * Mean squares between rows, within rows, between columns and of the error.
 * Throws a RangeError unless there are at least two rows and two columns, all cells filled with finite numbers.
 * Source: Shrout PE, Fleiss JL. Psychol Bull 1979;86:420–428, table 3.
 * @example meanSquares([[1, 2], [3, 5], [6, 6]]).withinRows // → 0.833
 */
export function meanSquares(table: ValueTable): MeanSquares {
  const n = table.length;
  const k = table[0]?.length ?? 0;
  if (n < 2 || k < 2) throw new RangeError('Repeatability needs at least two measured sides and two trials of each.');
  if (!table.every((row) => row.length === k && row.every(Number.isFinite)))
    throw new RangeError('Every side needs the same number of trials, each a finite number.');
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const squares = (values: readonly number[], about: number) => values.reduce((sum, value) => sum + (value - about) ** 2, 0);
  const grand = mean(table.map(mean));
  const columnMeans = Array.from({ length: k }, (_, column) => mean(table.map((row) => row[column]!)));
  const ssRows = k * squares(table.map(mean), grand);
  const ssWithin = table.reduce((sum, row) => sum + squares(row, mean(row)), 0);
  const ssColumns = n * squares(columnMeans, grand);
  return {
    n,
    k,
    columnMeans,
    betweenRows: ssRows / (n - 1),
    withinRows: ssWithin / (n * (k - 1)),
    betweenColumns: ssColumns / (k - 1),
    // Rounding must not leave a square below nothing.
    error: Math.max(0, ssWithin - ssColumns) / ((n - 1) * (k - 1)),
  };
}
