export {
  INSTRUMENTS,
  JOINTS,
  type Side,
  type Unit,
  type Joint,
  type Instrument,
  type Mode,
  type Position,
  type Motion,
  type PersonFacts,
} from './types.ts';
export { MOTIONS, findMotion, motionOf } from './motions/index.ts';
export { tradeNames } from './motionNames.ts';
export { dayAt, dayNumber } from './days.ts';
export { ageInYears } from './age.ts';
export { positionOn, POSITIONS } from './positions.ts';
export { JOINT_REGIONS, REGIONS, placeWords, regionName, type BodySide, type Region, type RegionFacts } from './regions.ts';
export { hasWay, MOVEMENTS, opposite, type Movement } from './movements.ts';
export { MOTION_FACETS, NERVES, type MotionFacets, type Nerve } from './motionFacets.ts';
export { bellyIn, endIn, muscleFacts, MUSCLES, type Muscle, type MuscleFacts } from './muscles.ts';
export { between, jointOf, regionsOf, type Segment } from './segments.ts';
