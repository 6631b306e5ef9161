import type { Motion, Position, Side } from './types.ts';

/** Every position there is, in the order they are named. */
export const POSITIONS: readonly Position[] = [
  'supine',
  'prone',
  'side-lying left',
  'side-lying right',
  'long-sitting',
  'seated upright',
  'seated leaning',
  'floor mat',
  'standing',
];

/**
 * The position the athlete is in while one side is measured: the motion's own, or, lying on a side, the one that brings
 * that side up (or underneath, where the motion is measured on the lower side).
 * @example positionOn({ position: 'side-lying left' }, 'left') // → 'side-lying right'
 */
export function positionOn({ position, under }: Pick<Motion, 'position' | 'under'>, side: Side): Position {
  if (!position.startsWith('side-lying') || side === 'midline') return position;
  return (side === 'left') === (under === true) ? 'side-lying left' : 'side-lying right';
}
