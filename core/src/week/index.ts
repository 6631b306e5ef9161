export { freeSlots, USUAL_HOURS, type Slot, type Taken } from './slots.ts';
