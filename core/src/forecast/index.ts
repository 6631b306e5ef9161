export type { Course, Ground, Occasion, Seen } from './types.ts';
export {
  DIMENSIONS,
  FADE,
  FIRST_OFF,
  FLOOR_WANDER,
  HOME,
  KEPT,
  PARAMETERS,
  parametersFrom,
  RESPONSE,
  ROOM,
  WANDER,
  type ParameterId,
} from './parameters.ts';
export { filter, FLOOR, FLOOR_VARIANCE, LEVEL, LEVEL_VARIANCE, pack, STATE, type Packed } from './filter.ts';
export { normals } from './normals.ts';
export { ENOUGH_ESS, learn, reweighed, USUAL, type Known, type Usual } from './posterior.ts';
export { COMMON_TO_ATHLETE, COMMON_TO_PRACTICE, expectedOf, pooled, type Whose } from './pool.ts';
export { chanceOf, levelAt, pathsOf, type Ahead, type Paths } from './paths.ts';
export {
  chancesByRhythm,
  fewestVisits,
  halfGone,
  keptAfter,
  leftOfUsual,
  LIKELY,
  nextKept,
  nextKepts,
  ownShare,
  RHYTHMS,
  usuallyLeft,
  visitDays,
  type Left,
  type Middle,
  type RhythmChance,
} from './answers.ts';
