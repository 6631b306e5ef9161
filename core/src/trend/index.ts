export { mostLikelyWander, smoothLevel, type Level, type LevelInput, type LevelPoint } from './localLevel.ts';
export { keptGain, type Kept, type KeptStep, type VisitValues } from './kept.ts';
export { comparePeriods, type Period, type PeriodComparison, type PeriodSummary } from './periods.ts';
export { foldTrends, type FoldedTrend, type FoldReading } from './fold.ts';
