export type { DayControl, DayPlace, DayProblem, DayShift, DaySolution, DayTask, DayWorth, Kept } from './solve/types.ts';
export { solveDay } from './solve/solve.ts';
