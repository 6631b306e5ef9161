import type { Movement } from './movements.ts';
import type { Region } from './regions.ts';

/**
 * The chains of bones and joints a force runs along, from the trunk outward, and where on the body each lies. A limb that is
 * held at one segment and moved at another loads both and everything between them.
 */
const CHAINS = [
  ['low-back', 'pelvis', 'hip', 'thigh', 'knee', 'lower leg', 'ankle', 'foot'],
  ['chest', 'shoulder', 'upper arm', 'elbow', 'forearm', 'wrist', 'hand'],
  ['low-back', 'upper-back', 'neck', 'head'],
] as const;
export type Segment = (typeof CHAINS)[number][number];

const LIES: Readonly<Record<Segment, readonly Region[]>> = {
  'low-back': ['low-back'],
  pelvis: ['pelvis'],
  hip: ['hip', 'groin', 'buttock'],
  thigh: ['thigh-front', 'thigh-back', 'thigh-inner'],
  knee: ['knee', 'knee-back'],
  'lower leg': ['shin', 'calf'],
  ankle: ['ankle'],
  foot: ['foot'],
  chest: ['chest'],
  shoulder: ['shoulder', 'armpit'],
  'upper arm': ['upper-arm'],
  elbow: ['elbow'],
  forearm: ['forearm'],
  wrist: ['wrist'],
  hand: ['hand'],
  'upper-back': ['upper-back'],
  neck: ['neck', 'front-of-neck'],
  head: ['head'],
};

/**
 * The joint a movement happens in.
 * @example jointOf('straight-leg raise') // → 'hip'
 */
export function jointOf(movement: Movement): Segment {
  if (movement === 'straight-leg raise') return 'hip';
  if (movement.startsWith('foot') || movement.startsWith('heel') || movement.startsWith('toe')) return 'foot';
  if (movement.startsWith('trunk')) return 'low-back';
  if (movement === 'hand behind back') return 'shoulder';
  if (movement === 'finger movement') return 'hand';
  return (['neck', 'shoulder', 'elbow', 'forearm', 'wrist', 'hip', 'knee', 'ankle'] as const).find((joint) => movement.startsWith(joint))!;
}

/**
 * Everything between two segments of one chain, both included; only the two where no chain holds both.
 * @example between('hip', 'knee') // → ['hip', 'thigh', 'knee']
 */
export function between(from: Segment, to: Segment): readonly Segment[] {
  for (const chain of CHAINS) {
    const [a, b] = [(chain as readonly Segment[]).indexOf(from), (chain as readonly Segment[]).indexOf(to)];
    if (a >= 0 && b >= 0) return chain.slice(Math.min(a, b), Math.max(a, b) + 1);
  }
  return [from, to];
}

/**
 * Where on the body segments lie.
 * @example regionsOf(['knee']) // → ['knee', 'knee-back']
 */
export function regionsOf(segments: readonly Segment[]): readonly Region[] {
  return [...new Set(segments.flatMap((segment) => LIES[segment]))];
}
