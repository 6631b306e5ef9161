export { addDays, dayLoads, sessionLoad } from './days.ts';
export { CONTESTED, LONG_DAYS, SHORT_DAYS, uncoupled, weekFigures, weightedMeans, type ShortAndLong, type WeekFigures } from './figures.ts';
export { daysKnown, loadHistory, type LoadHistory } from './history.ts';
export { loadKindsOf, trainedYesterday, type Trained } from './trained.ts';
export { readTyped, typedText, type TypedRead, type TypedSession } from './typed.ts';
export type { DayLoad, LoadFields, TrainingLoad } from './types.ts';
