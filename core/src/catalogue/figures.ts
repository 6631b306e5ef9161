import { motionOf, type Motion, type Position } from '../body/index.ts';
import {
  ENTRY_SCENES,
  motionScene,
  PLACE_SCENES,
  regionsNamed,
  turned,
  type Elsewhere,
  type RegionId,
  type Scene,
} from '../figure/index.ts';
import type { Entry } from './types.ts';

/** Share of the way from rest to the far end of the drawn range: a little in for the set-up, short of the end for the edge. */
const SET_UP_SHARE = 0.15;
const END_SHARE = 0.8;

const KNEELING = 100;

/**
 * The positions a scene shows an athlete in; null for a close view of a hand, which is the same in all.
 * @example positionsShown({ posture: 'supine', view: 'side', joints: {} }) // → ['supine']
 */
export function positionsShown({ posture, on, joints }: Scene): readonly Position[] | null {
  if (on === 'none') return null;
  if (posture === 'side-lying')
    return on === 'floor' ? ['floor mat', 'side-lying left', 'side-lying right'] : ['side-lying left', 'side-lying right'];
  if (posture !== 'upright') return on === 'floor' ? ['floor mat'] : [posture];
  if (on === 'floor') return ['standing'];
  const straight = (joints.knee ?? 0) < KNEELING / 2 && (joints['other.knee'] ?? 0) < KNEELING / 2 && (joints.hip ?? 0) > KNEELING / 2;
  return straight ? ['long-sitting'] : ['seated upright', 'seated leaning'];
}

/** Whether a scene shows an athlete in one of the positions an entry is done in. */
export function showsEntry(scene: Scene, entry: Pick<Entry, 'positions'>): boolean {
  const shown = positionsShown(scene);
  return shown === null || entry.positions.some((position) => shown.includes(position));
}

const ELSEWHERE: Readonly<Partial<Record<Position, Elsewhere>>> = {
  supine: 'supine',
  prone: 'prone',
  'side-lying left': 'side-lying',
  'side-lying right': 'side-lying',
  'seated upright': 'seated',
  'seated leaning': 'leaning',
  'floor mat': 'mat',
  standing: 'standing',
};

/**
 * How an entry is drawn in a position, the usual one where none is said: the scene it has for that position, or its usual one while that
 * shows a position of its own; a practice's own has those of the entry it was made from. Else as one of its motions is measured, with
 * what it works on shaded. Every entry of the catalogue is drawn in every position it is done in.
 * @example entryScene(findEntry('neck-extension-table-end')).posture // → 'supine'
 * @example entryScene(findEntry('still-hold'), 'prone').posture // → 'prone'
 */
export function entryScene(entry: Entry, position: Position = entry.positions[0]): Scene {
  const id = entry.drawnAs ?? entry.id;
  const here = PLACE_SCENES[id]?.[ELSEWHERE[position]!];
  if (here) return here;
  const own = ENTRY_SCENES[id];
  if (own && showsEntry(own, entry)) return own;
  const motions = [entry.motionId, ...entry.also].map(motionOf);
  const motion = motions.find((each) => showsEntry(motionScene(each.id).scene, entry)) ?? motions[0]!;
  const drawn = motionScene(motion.id);
  const { scene } = drawn;
  const muscles = regionsNamed(entry.targets);
  const base: Scene = { ...scene, ...(muscles.length > 0 ? { muscles } : {}), mover: entry.mover };
  if (entry.still) return { ...base, joints: { ...scene.joints, ...turned(drawn, motion.rest) } };
  return {
    ...base,
    joints: { ...scene.joints, ...turned(drawn, along(motion, END_SHARE)) },
    start: turned(drawn, along(motion, SET_UP_SHARE)),
  };
}

/**
 * The muscles on the body map that an entry works on: those it names, and those its picture shades.
 * @example entryRegions(findEntry('hamstring-ninety')) // → ['hamstrings']
 */
export function entryRegions(entry: Entry): readonly RegionId[] {
  const shaded = (entryScene(entry).muscles ?? []).map((name) => name.replace('other.', '') as RegionId);
  return [...new Set([...regionsNamed(entry.targets), ...shaded])];
}

/**
 * How far along its way, from the set-up (0) to the edge (1), an entry's figure is when the limb is at a value of its motion. What is
 * pressed stays at its end.
 */
export function figureShare(entry: Entry, value: number, position?: Position): number {
  if (entryScene(entry, position).start === undefined) return 1;
  const motion = motionOf(entry.motionId);
  const toward = motion.better === 'higher' ? motion.fan.max : motion.fan.min;
  const share = toward === motion.rest ? 0 : (value - motion.rest) / (toward - motion.rest);
  return Math.min(1, Math.max(0, (share - SET_UP_SHARE) / (END_SHARE - SET_UP_SHARE)));
}

/** A value at a share of the way from rest to the far end of what is drawn. */
function along({ rest, fan, better }: Motion, share: number): number {
  return rest + ((better === 'higher' ? fan.max : fan.min) - rest) * share;
}
