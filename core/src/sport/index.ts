export { SPORTS } from './coded/index.ts';
export { plainWords } from './plain.ts';
export { allSports, placeWords, playedSports, rolesIn, sportWords } from './play.ts';
export { findSports, placeIn, sportNamed, sportWithRole } from './named.ts';
export { askedOf, askedRanges, sportAsking, type AskedRange } from './demands.ts';
export { sportDifference, turnedArc, type ReadValue, type SportDifference, type TurnedArc } from './shapes.ts';
export { checkSport, type SportProblem } from './check.ts';
export type {
  AthleteSport,
  Demand,
  Discipline,
  EventKind,
  LoadKind,
  Origin,
  OwnSport,
  PlayedSport,
  Role,
  Shape,
  Sport,
  SportingPerson,
  Sureness,
} from './types.ts';
