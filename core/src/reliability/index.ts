export { meanSquares, type MeanSquares, type ValueTable } from './meanSquares.ts';
export { intraclass, ICC_WORDS, type Icc, type IccForm } from './icc.ts';
export { pooledWithin, repeatability, type Repeatability, type WithinDay } from './repeatability.ts';
export { agreement, type Agreement, type Estimate, type Pair } from './agreement.ts';
export { fitLine, type Line } from './regression.ts';
export { chiSquaredQuantile, fQuantile, fTail, tQuantile, tTails } from '../quantile/index.ts';
