/** Taken once: looked up each time they are most of the work where a test has a global scope of its own. */
const { exp, log } = Math;

/**
 * What differs from body to body. Each is reached from a number that is normal about 0 with deviation 1 beforehand, so that priors, pooling
 * and proposals all live in one plain space.
 */
export const PARAMETERS = [
  {
    id: 'room',
    name: 'Room above where it settles',
    prior:
      'Two and a half full visits’ gain, 1 to 6 of them in nine of ten. Common practice: what is gained in one visit is a good part of what there is.',
  },
  { id: 'response', name: 'Answer to a visit', prior: 'As usual, give or take a half. The same as the plan expects of a first session.' },
  {
    id: 'kept',
    name: 'Share of a gain that is held',
    prior: 'Three tenths, 0.10 to 0.61 in nine of ten. Common practice: most of a gain is gone within the hour.',
  },
  {
    id: 'fade',
    name: 'Days until two thirds are gone',
    prior: 'Three weeks, 8 to 56 days in nine of ten. Common practice: weeks, not days and not seasons.',
  },
  { id: 'home', name: 'Gain of a day of home work', prior: 'A thirtieth of a full visit, 0.01 to 0.09 in nine of ten. Common practice.' },
  {
    id: 'wander',
    name: 'Wander of the level in a day',
    prior:
      'A twenty-fifth of a full visit for the root of a day, 0.01 to 0.15 in nine of ten. Chosen wide enough that bands stay honest on athletes who lose range for a reason nobody knows, and over the seasons of a year.',
  },
] as const;

export type ParameterId = (typeof PARAMETERS)[number]['id'];
export const DIMENSIONS = PARAMETERS.length;
export const [ROOM, RESPONSE, KEPT, FADE, HOME, WANDER] = [0, 1, 2, 3, 4, 5] as const;

/** Medians and spreads behind the sentences above; room, home work and wander in full visits. */
const MIDDLE = { room: log(2.5), response: 1, kept: -0.85, fade: log(21), home: log(0.03), wander: log(0.04) };
const SPREAD = { room: 0.55, response: 0.5, kept: 0.8, fade: 0.6, home: 0.7, wander: 0.8 };

/** The parameters themselves, written into `out` at `to`: room, response, share held, days of fading, home work a day, wander for √day. */
export function parametersFrom(z: ArrayLike<number>, from: number, fullGain: number, out: Float64Array, to = 0): void {
  out[to + ROOM] = fullGain * exp(MIDDLE.room + SPREAD.room * z[from + ROOM]!);
  out[to + RESPONSE] = MIDDLE.response + SPREAD.response * z[from + RESPONSE]!;
  out[to + KEPT] = 1 / (1 + exp(-(MIDDLE.kept + SPREAD.kept * z[from + KEPT]!)));
  out[to + FADE] = exp(MIDDLE.fade + SPREAD.fade * z[from + FADE]!);
  out[to + HOME] = fullGain * exp(MIDDLE.home + SPREAD.home * z[from + HOME]!);
  out[to + WANDER] = fullGain * exp(MIDDLE.wander + SPREAD.wander * z[from + WANDER]!);
}

/** How much of the level's wander the floor shifts by as well, from visit to visit: seasons, growth and years of training move it. Chosen with the wander. */
export const FLOOR_WANDER = 0.7;

/** How far a level lies from where it settles when it is first seen, as a share of the room. Common practice. */
export const FIRST_OFF = 0.2;
