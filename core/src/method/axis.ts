import type { Motion } from '../body/index.ts';
import type { AxisUnit, Method } from './types.ts';

/** What a line is drawn along: the motion in its own unit, or pressure from 0 to 10 as the athlete feels it. */
export interface Axis {
  readonly unit: AxisUnit;
  readonly better: 'higher' | 'lower';
  readonly rest: number;
  readonly possible: { readonly min: number; readonly max: number };
  readonly fan: { readonly min: number; readonly max: number };
  readonly roundGain: readonly number[];
}

const PRESSURE: Axis = { unit: 'of10', better: 'higher', rest: 0, possible: { min: 0, max: 10 }, fan: { min: 0, max: 10 }, roundGain: [] };

/**
 * The axis a way of working has on a motion.
 * @example axisOf({ axis: 'pressure' }, motion).unit // → 'of10'
 */
export function axisOf(method: Pick<Method, 'axis'>, motion: Pick<Motion, keyof Axis>): Axis {
  return method.axis === 'pressure' ? PRESSURE : motion;
}
