import { motionOf, type Side } from '../body/index.ts';
import { doingOf } from './doing/index.ts';
import type { Entry } from './types.ts';

/**
 * Worked side and direction of motion are two things. A block names the side that is worked on: the muscle, the limb, the joint.
 * A motion is read on a limb, or, where it belongs to the head or the trunk, on the way that goes. Everything that needs one of the
 * two and has the other asks here.
 */

type Sided = Pick<Entry, 'id' | 'drawnAs' | 'motionId' | 'regions'>;
const OTHER = { left: 'right', right: 'left', midline: 'midline' } as const satisfies Record<Side, Side>;

/** How the side of a motion follows from the side that is worked on. */
export type SideRelation = 'same' | 'opposite' | 'midline';

/**
 * How the side of one of an entry's motions follows from the worked side.
 * @example sideRelation(findEntry('neck-side-bend-supine'), 'neck-side-bend') // → 'opposite'
 */
export function sideRelation(entry: Sided, motionId: string): SideRelation {
  const motion = motionOf(motionId);
  if (motion.sides.length === 1) return 'midline';
  return motion.goes === undefined ? 'same' : (doingOf(entry).goes?.[motionId] ?? 'same');
}

/**
 * The side on which a motion is read while one side is worked on. What is done in the middle is read on neither.
 * @example motionSide(findEntry('neck-side-bend-supine'), 'neck-side-bend', 'right') // → 'left'
 */
export function motionSide(entry: Sided, motionId: string, worked: Side): Side {
  return acrossSide(sideRelation(entry, motionId), worked);
}

/**
 * The side of a relation seen from the other end; a relation to the middle gives the middle.
 * @example acrossSide('opposite', 'left') // → 'right'
 */
export function acrossSide(relation: SideRelation, side: Side): Side {
  return relation === 'midline' ? 'midline' : relation === 'same' ? side : OTHER[side];
}

/**
 * The sides to work on for one side of a motion; none where the entry cannot be done for it.
 * @example workedSides({ ...findEntry('neck-side-bend-supine') }, 'neck-side-bend', 'left') // → ['right']
 */
export function workedSides(entry: Sided & Pick<Entry, 'sides'>, motionId: string, read: Side): readonly Side[] {
  const possible = entry.sides ?? motionOf(entry.motionId).sides;
  return possible.filter((worked) => motionSide(entry, motionId, worked) === read);
}

/**
 * What goes where while a side is worked on, as it is said at the set-up; null where worked side and motion are the same limb.
 * @example sideSentence(findEntry('neck-side-bend-supine'), 'right') // → 'right side lengthens: head bends left'
 */
export function sideSentence(entry: Sided & Pick<Entry, 'still'>, worked: Side): string | null {
  const { goes } = motionOf(entry.motionId);
  if (goes === undefined || worked === 'midline') return null;
  const moved = entry.still !== true && doingOf(entry).instead === undefined;
  return moved
    ? `${worked} side lengthens: ${goes} ${motionSide(entry, entry.motionId, worked)}`
    : `${worked} side is worked on; shown by ${goes.replace(/s$/, 'ing')} ${motionSide(entry, entry.motionId, worked)}`;
}
