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

/**
 * The smoothed level of a motion over its readings.
 *
 * The model is the local-level model with irregular gaps: a reading is the level of its day plus measuring error of
 * known variance SEM²; between two readings the level moves by a normal step whose variance is wander · days. The error
 * is not estimated (a handful of visits could not tell it from real movement): it is the examiner's own SEM. The wander
 * is the one unknown and is found by maximum likelihood, the first reading standing for what was not known before it.
 * Given it, the Kalman filter forward and the Rauch–Tung–Striebel smoother backward give the exact mean and variance of
 * every day's level given all readings, which a test holds against solving the same Gaussian system at once.
 *
 * Readings must be in order of day. Two on one day are both taken. An empty list gives no points.
 * Throws a RangeError for a SEM that is not positive or days that run backward.
 * Source: Harvey AC. Forecasting, Structural Time Series Models and the Kalman Filter (1989), recalled from memory.
 */
export function smoothLevel(readings: readonly LevelInput[], wander: number = mostLikelyWander(readings)): Level {
  check(readings);
  const filtered = filter(readings, wander);
  const points: LevelPoint[] = new Array<LevelPoint>(readings.length);
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
    const half = Z95 * Math.sqrt(Math.max(0, variance));
    points[i] = { day: readings[i]!.day, level, low: level - half, high: level + half };
  }
  return { points, wander };
}

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
  const scale = readings.reduce((sum, { sem }) => sum + sem ** 2, 0) / readings.length;
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
