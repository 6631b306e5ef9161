export { chiSquaredQuantile, fQuantile, fTail, tQuantile, tTails } from './quantiles.ts';
