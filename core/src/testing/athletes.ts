import {
  DIMENSIONS,
  FADE,
  FIRST_OFF,
  FLOOR_WANDER,
  HOME,
  KEPT,
  normals,
  parametersFrom,
  RESPONSE,
  ROOM,
  WANDER,
  type Course,
  type Ground,
  type Occasion,
} from '../forecast/index.ts';

/** Made-up athletes whose truth is known: from the model that the forecast is, and from others that it is not. */

export const GROUND: Ground = { floorMean: 60, floorSd: 14, fullGain: 8 };
const SEM = 2.5;
const DAY_SD = 2;

export interface Truth {
  readonly z: Float64Array;
  readonly theta: Float64Array;
  readonly floor: number;
  /** The level so many days after the last occasion, with nothing done since. */
  readonly levelOn: (daysAfterLast: number) => number;
}

export interface Made {
  readonly course: Course;
  readonly truth: Truth;
}

/** In what a made-up athlete differs from the model. */
export interface Otherwise {
  /** The level falls by so much at the middle visit, and nobody says why. */
  readonly step?: number;
  /** Nothing a visit does is held. */
  readonly noAnswer?: boolean;
  /** A wave over the year, so high. */
  readonly season?: number;
  /** Errors of Student's t with three degrees of freedom, of the same deviation. */
  readonly heavyTails?: boolean;
}

/**
 * An athlete drawn from what is usual beforehand, with so many visits: days between them 2 to 12, gains 0.4 to 1 of a full visit, one visit in
 * ten without work, one in six without a reading after it, home work on a share of the days in every third gap.
 */
export function madeAthlete(random: () => number, visits: number, otherwise: Otherwise = {}, ground: Ground = GROUND): Made {
  const normal = normals(random);
  const z = Float64Array.from({ length: DIMENSIONS }, () => normal());
  const theta = new Float64Array(DIMENSIONS);
  parametersFrom(z, 0, ground.fullGain, theta);
  const room = theta[ROOM]!;
  if (otherwise.noAnswer) theta[RESPONSE] = 0;
  let floor = ground.floorMean + ground.floorSd * normal();
  let level = floor + FIRST_OFF * room * normal();
  const error = () => (otherwise.heavyTails ? student3(normal) : normal());
  const wave = (day: number) => (otherwise.season ?? 0) * Math.sin((2 * Math.PI * day) / 365 + 1);
  const occasions: Occasion[] = [];
  let day = 0;
  for (let visit = 0; visit < visits; visit++) {
    const gap = visit === 0 ? 0 : 2 + Math.floor(random() * 11);
    const homeShare = visit > 0 && random() < 1 / 3 ? random() : 0;
    day += gap;
    level = later(theta, floor, level, gap, homeShare) + theta[WANDER]! * Math.sqrt(gap) * normal();
    floor += FLOOR_WANDER * theta[WANDER]! * Math.sqrt(gap) * normal();
    if (otherwise.step !== undefined && visit === visits >> 1) level -= otherwise.step;
    const usualGain = random() < 0.1 ? 0 : ground.fullGain * (0.4 + 0.6 * random());
    const after = level + theta[RESPONSE]! * usualGain * (1 - (level - floor) / room);
    const part = DAY_SD * error() + wave(day);
    const read = (value: number) => ({ value: value + part + SEM * error(), variance: SEM ** 2 });
    occasions.push({
      day,
      usualGain,
      homeShare,
      before: read(level),
      after: random() < 1 / 6 ? null : read(after),
      dayVariance: DAY_SD ** 2,
    });
    level += theta[KEPT]! * (after - level);
  }
  const [held, base, wander] = [level, floor, theta[WANDER]! * normal()];
  return {
    course: { ground, occasions },
    truth: {
      z,
      theta,
      floor,
      levelOn: (days) => later(theta, base, held, days, 0) + wander * Math.sqrt(days) + wave(day + days),
    },
  };
}

/** The level after a gap, before its noise: the equation of the model, solved in small steps and not as the forecast solves it. */
function later(theta: Float64Array, floor: number, level: number, days: number, homeShare: number): number {
  const steps = Math.max(1, Math.ceil(days * 4));
  const dt = days / steps;
  const slope = (x: number) => -(x - floor) / theta[FADE]! + homeShare * theta[HOME]! * (1 - (x - floor) / theta[ROOM]!);
  let x = level;
  for (let step = 0; step < steps; step++) {
    // Fourth order, Runge and Kutta.
    const a = slope(x);
    const b = slope(x + (dt / 2) * a);
    const c = slope(x + (dt / 2) * b);
    const d = slope(x + dt * c);
    x += (dt / 6) * (a + 2 * b + 2 * c + d);
  }
  return x;
}

/** Student's t with three degrees of freedom, divided by its deviation √3. */
function student3(normal: () => number): number {
  const chi = normal() ** 2 + normal() ** 2 + normal() ** 2;
  return normal() / Math.sqrt(chi / 3) / Math.sqrt(3);
}
