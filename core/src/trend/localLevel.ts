/** One reading on a time line: days from any start, value in the motion's unit, SEM of that value. */
export interface LevelInput {
  readonly day: number;
  readonly value: number;
  readonly sem: number;
}

/** The smoothed level at one reading: what lies behind it, with its 95 % band. */
export interface LevelPoint {
  readonly day: number;
  readonly level: number;
  readonly low: number;
  readonly high: number;
}

export interface Level {
  readonly points: readonly LevelPoint[];
  /** How fast the level itself wanders: variance per day, in the square of the unit. */
  readonly wander: number;
}

const Z95 = 1.96;
/** Powers of ten, times the mean error variance per day, between which the wander is looked for. */
const WANDER_FROM = -5;
const WANDER_TO = 1;
const GRID_STEP = 0.5;
/** How likely standing still is beforehand, against one power on the grid. */
const STILL_WEIGHT = 2;

/**
 * The smoothed level of a motion over its readings.
 *
 * The model is the local-level model with irregular gaps: a reading is the level of its day plus measuring error of
 * known variance SEM² (of one day against another, the day's own part included); between two readings the level moves by a normal step
 * whose variance is wander · days. The error is not estimated (a handful of visits could not tell it from real movement). The wander is
 * the one unknown. Given it, the Kalman filter forward and the Rauch–Tung–Striebel smoother backward give the exact mean and variance of
 * every day's level given all readings, which a test holds against solving the same Gaussian system at once.
 *
 * A few readings cannot tell how fast the level wanders, and a band that takes the likeliest wander for the true one is too narrow. So
 * the wander is summed over: a grid of powers of ten and standing still, each alike likely beforehand, weighted by how well it explains
 * the readings. Level and band are those of the mixture (mean of the means; mean of the variances plus the variance of the means). With
 * one or two readings hardly anything is known of the wander, and the band says so by being wide. A wander that is handed in is taken as it is.
 *
 * Readings must be in order of day. Two on one day are both taken. An empty list gives no points.
 * Throws a RangeError for a SEM that is not positive or days that run backward.
 * Source: Harvey AC. Forecasting, Structural Time Series Models and the Kalman Filter (1989), recalled from memory.
 */
export function smoothLevel(readings: readonly LevelInput[], wander?: number): Level {
  check(readings);
  if (readings.length === 0) return { points: [], wander: 0 };
  if (wander !== undefined) return { points: asPoints(readings, smoothed(readings, wander)), wander };
  const scale = scaleOf(readings);
  const grid = [
    0,
    ...Array.from({ length: Math.round((WANDER_TO - WANDER_FROM) / GRID_STEP) + 1 }, (_, i) => scale * 10 ** (WANDER_FROM + i * GRID_STEP)),
  ];
  const logs = grid.map((each) => likelihoodOf(readings, each));
  const most = Math.max(...logs);
  // Standing still stands for all wanders too small to be on the grid.
  const weights = logs.map((log, i) => Math.exp(log - most) * (i === 0 ? STILL_WEIGHT : 1));
  const sum = weights.reduce((total, each) => total + each, 0);
  const passes = grid
    .map((each, i) => ({ weight: weights[i]! / sum, wander: each, levels: weights[i]! / sum > 1e-6 ? smoothed(readings, each) : [] }))
    .filter((each) => each.levels.length > 0);
  const mixed = readings.map((_, i): Gaussian => {
    const level = passes.reduce((total, each) => total + each.weight * each.levels[i]!.level, 0);
    return {
      level,
      variance: passes.reduce((total, each) => total + each.weight * (each.levels[i]!.variance + (each.levels[i]!.level - level) ** 2), 0),
    };
  });
  return { points: asPoints(readings, mixed), wander: passes.reduce((total, each) => total + each.weight * each.wander, 0) };
}

interface Gaussian {
  readonly level: number;
  readonly variance: number;
}

function smoothed(readings: readonly LevelInput[], wander: number): Gaussian[] {
  const filtered = filter(readings, wander);
  const out: Gaussian[] = new Array<Gaussian>(readings.length);
  let [level, variance] = [0, 0];
  for (let i = readings.length - 1; i >= 0; i -= 1) {
    const now = filtered[i]!;
    const next = filtered[i + 1];
    if (!next) [level, variance] = [now.level, now.variance];
    else {
      const gain = next.predicted === 0 ? 0 : now.variance / next.predicted;
      level = now.level + gain * (level - now.level);
      variance = now.variance + gain ** 2 * (variance - next.predicted);
    }
    out[i] = { level, variance: Math.max(0, variance) };
  }
  return out;
}

function asPoints(readings: readonly LevelInput[], levels: readonly Gaussian[]): LevelPoint[] {
  return levels.map(({ level, variance }, i) => {
    const half = Z95 * Math.sqrt(variance);
    return { day: readings[i]!.day, level, low: level - half, high: level + half };
  });
}

const scaleOf = (readings: readonly LevelInput[]) => readings.reduce((sum, { sem }) => sum + sem ** 2, 0) / readings.length;

interface Filtered {
  readonly level: number;
  readonly variance: number;
  /** Variance of the level before its reading was taken in. */
  readonly predicted: number;
}

function filter(readings: readonly LevelInput[], wander: number): Filtered[] {
  const out: Filtered[] = [];
  for (const [i, { day, value, sem }] of readings.entries()) {
    const before = out[i - 1];
    if (!before) {
      out.push({ level: value, variance: sem ** 2, predicted: Infinity });
      continue;
    }
    const predicted = before.variance + wander * (day - readings[i - 1]!.day);
    const gain = predicted / (predicted + sem ** 2);
    out.push({ level: before.level + gain * (value - before.level), variance: (1 - gain) * predicted, predicted });
  }
  return out;
}

/** The log-likelihood of a wander: the same pass without keeping it, because the search asks for it again and again. */
function likelihoodOf(readings: readonly LevelInput[], wander: number): number {
  const first = readings[0]!;
  let [level, variance, sum] = [first.value, first.sem ** 2, 0];
  for (let i = 1; i < readings.length; i += 1) {
    const { day, value, sem } = readings[i]!;
    const predicted = variance + wander * (day - readings[i - 1]!.day);
    const spread = predicted + sem ** 2;
    const off = value - level;
    const gain = predicted / spread;
    sum -= 0.5 * (Math.log(2 * Math.PI * spread) + off ** 2 / spread);
    level += gain * off;
    variance = (1 - gain) * predicted;
  }
  return sum;
}

/**
 * The wander (variance per day) under which the readings are most likely; zero when standing still explains them best.
 * A search over powers of ten, then golden sections around the best: the likelihood of one variance need not have a
 * single hill, so the coarse look comes first.
 */
export function mostLikelyWander(readings: readonly LevelInput[]): number {
  check(readings);
  if (readings.length < 3) return 0;
  const scale = scaleOf(readings);
  const at = (power: number) => scale * 10 ** power;
  const likelihood = (wander: number) => likelihoodOf(readings, wander);
  let [best, most] = [WANDER_FROM, -Infinity];
  for (let power = WANDER_FROM; power <= WANDER_TO; power += 0.5) {
    const found = likelihood(at(power));
    if (found > most) [best, most] = [power, found];
  }
  let [from, to] = [Math.max(WANDER_FROM, best - 0.5), Math.min(WANDER_TO, best + 0.5)];
  const golden = (Math.sqrt(5) - 1) / 2;
  let [a, b] = [to - golden * (to - from), from + golden * (to - from)];
  let [atA, atB] = [likelihood(at(a)), likelihood(at(b))];
  for (let i = 0; i < 24; i += 1) {
    if (atA > atB) {
      [to, b, atB] = [b, a, atA];
      a = to - golden * (to - from);
      atA = likelihood(at(a));
    } else {
      [from, a, atA] = [a, b, atB];
      b = from + golden * (to - from);
      atB = likelihood(at(b));
    }
  }
  const found = at((from + to) / 2);
  return likelihood(found) > likelihood(0) ? found : 0;
}

function check(readings: readonly LevelInput[]): void {
  for (const [i, { day, value, sem }] of readings.entries()) {
    if (!Number.isFinite(value) || !Number.isFinite(day)) throw new RangeError('Readings on a time line are finite numbers.');
    if (!(sem > 0)) throw new RangeError('The error of a reading on a time line is larger than zero.');
    if (i > 0 && day < readings[i - 1]!.day) throw new RangeError('Readings on a time line come in the order of their days.');
  }
}
