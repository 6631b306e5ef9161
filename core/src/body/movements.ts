/**
 * A direction of a joint, whatever the test position. Limits written by others name these.
 * Movements of the neck and the trunk are named for the way the head or the trunk goes; all others for the limb that moves.
 */
export const MOVEMENTS = [
  'neck rotation',
  'neck side-bend',
  'neck flexion',
  'neck extension',
  'trunk flexion',
  'trunk extension',
  'trunk rotation',
  'trunk side-bend',
  'shoulder-blade movement',
  'shoulder flexion',
  'shoulder extension',
  'shoulder abduction',
  'shoulder across the body',
  'shoulder out and back',
  'shoulder external rotation, arm in',
  'shoulder external rotation, arm out',
  'shoulder internal rotation',
  'hand behind back',
  'elbow flexion',
  'elbow extension',
  'forearm rotation',
  'wrist movement',
  'wrist flexion',
  'wrist extension',
  'finger movement',
  'hip flexion',
  'straight-leg raise',
  'hip extension',
  'hip internal rotation',
  'hip external rotation',
  'hip abduction',
  'hip across the midline',
  'knee flexion',
  'knee extension',
  'knee twist',
  'ankle dorsiflexion',
  'ankle plantar flexion',
  'heel and midfoot movement',
  'foot turned in',
  'foot turned out',
  'toe movement',
] as const;
export type Movement = (typeof MOVEMENTS)[number];

/** Movements that have a way of their own, left or right, instead of a limb. */
const WAYS: readonly Movement[] = ['neck rotation', 'neck side-bend', 'trunk rotation', 'trunk side-bend'];

/**
 * Whether a movement's side is the way the head or the trunk goes.
 * @example hasWay('neck side-bend') // → true
 */
export function hasWay(movement: Movement): boolean {
  return WAYS.includes(movement);
}

const OPPOSITES: readonly (readonly [Movement, Movement])[] = [
  ['neck flexion', 'neck extension'],
  ['trunk flexion', 'trunk extension'],
  ['shoulder flexion', 'shoulder extension'],
  ['shoulder across the body', 'shoulder out and back'],
  ['shoulder internal rotation', 'shoulder external rotation, arm out'],
  ['elbow flexion', 'elbow extension'],
  ['wrist flexion', 'wrist extension'],
  ['hip flexion', 'hip extension'],
  ['hip internal rotation', 'hip external rotation'],
  ['hip abduction', 'hip across the midline'],
  ['knee flexion', 'knee extension'],
  ['ankle dorsiflexion', 'ankle plantar flexion'],
  ['foot turned in', 'foot turned out'],
];
/** Movements that are undone by another one without being what undoes it. */
const UNDONE: Readonly<Partial<Record<Movement, Movement>>> = {
  'straight-leg raise': 'hip extension',
  'shoulder abduction': 'shoulder across the body',
  'shoulder external rotation, arm in': 'shoulder internal rotation',
  'hand behind back': 'shoulder external rotation, arm in',
};

/**
 * The movement that takes a joint the other way; itself where left and right, or nothing, tell the two apart.
 * @example opposite('hip extension') // → 'hip flexion'
 */
export function opposite(movement: Movement): Movement {
  const pair = OPPOSITES.find((each) => each.includes(movement));
  return pair ? (pair[0] === movement ? pair[1] : pair[0]) : (UNDONE[movement] ?? movement);
}
