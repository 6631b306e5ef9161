export { freeSlots, USUAL_HOURS, type Slot, type Taken } from './slots.ts';
export { fillWeek } from './fill.ts';
export { clashesOf, valuedVisits, weekValue, type Clash, type Valued } from './valued.ts';
export type { FillControl, FillDay, FillPerson, FillProblem, FillSlot, FillSolution, Placed, VisitKind } from './types.ts';
