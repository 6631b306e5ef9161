import type { Motion } from '@pace-bend/core/body';

/** Geometry of one fan of a bend pair: zero range stands at the middle, more range sweeps outward. */
export interface FanGeometry {
  /** Centre of the fan. */
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  /** −1 opens to the left, +1 to the right. */
  readonly opens: -1 | 1;
}

const SWEEP_DEG = 84;

/** How far out a value lies, 0 (no range) to 1 (the fan's full range); values beyond stay at the rim. */
export function shareOfFan(value: number, motion: Pick<Motion, 'fan' | 'better'>): number {
  const { min, max } = motion.fan;
  const share = (value - min) / (max - min);
  return Math.min(1, Math.max(0, motion.better === 'higher' ? share : 1 - share));
}

/** The point at a share of the sweep and a distance from the centre. */
export function pointAt({ x, y, opens }: FanGeometry, share: number, distance: number): readonly [number, number] {
  const angle = (share * SWEEP_DEG * Math.PI) / 180;
  return [round(x + opens * distance * Math.sin(angle)), round(y - distance * Math.cos(angle))];
}

/** An SVG path along the fan's arc between two shares. */
export function arcPath(fan: FanGeometry, fromShare: number, toShare: number): string {
  const [x0, y0] = pointAt(fan, fromShare, fan.radius);
  const [x1, y1] = pointAt(fan, toShare, fan.radius);
  const sweep = toShare > fromShare === (fan.opens === 1) ? 1 : 0;
  return `M${x0} ${y0}A${fan.radius} ${fan.radius} 0 0 ${sweep} ${x1} ${y1}`;
}

function round(value: number): number {
  return Math.round(value * 100) / 100;
}
