import type { Body } from './body.ts';
import { onPage, type Camera } from './camera.ts';
import { footPicture, type FootPicture } from './foot.ts';
import { ownHand } from './hand.ts';
import { headPicture } from './head.ts';
import { closedCurve } from './path.ts';
import { depthOf, skin, type Outline } from './skin.ts';
import { at, dir2, dot, type Pt } from './space.ts';

export interface Part {
  readonly rings: readonly (readonly Pt[])[];
  /** Lines that are drawn where the part lies before another one. */
  readonly over: readonly (readonly Pt[])[];
  readonly depth: number;
}

export const positive = (ring: readonly Pt[]): readonly Pt[] => {
  let area = 0;
  for (let i = 0; i < ring.length; i++) {
    const [p, q] = [ring[i]!, ring[(i + 1) % ring.length]!];
    area += p[0] * q[1] - q[0] * p[1];
  }
  return area < 0 ? [...ring].reverse() : ring;
};
/** Rings as one path; all wind the same way, so that what overlaps stays filled. */
export const merged = (rings: readonly (readonly Pt[])[]): string => rings.map((ring) => closedCurve(positive(ring))).join('');

export const LEG = { worked: ['thigh', 'shank'], other: ['other.thigh', 'other.shank'] } as const;
const HANDS = { worked: 'hand', other: 'other.hand' } as const;
export const ARM = { worked: ['upperArm', 'forearm'], other: ['other.upperArm', 'other.forearm'] } as const;

export interface PartOptions {
  readonly samples: number;
  /** Where flesh lies flat: the table's surface and how far it goes. */
  readonly table: { readonly y: number; readonly to: number } | null;
  readonly plain: boolean;
  /** Seen from a side: trunk and near leg are one skin. */
  readonly lateral: boolean;
  readonly legs: boolean;
  /** Left out, of the legs only what is below the knee is drawn. */
  readonly body: boolean;
}

/** The parts of a posed body as a camera sees them: closed rings, and the lines that show where one lies before another. */
export function bodyParts(camera: Camera, body: Body, options: PartOptions) {
  const { samples, table, plain, lateral } = options;
  const trunkBones = [body.bones.chest, body.bones.waist, body.bones.pelvis];
  const legBones = (side: 'worked' | 'other') => LEG[side].map((id) => body.bones[id]);
  const joined = lateral && options.legs && options.body;
  const trunk: Outline[] = skin(camera, joined ? [...trunkBones, ...legBones('worked')] : trunkBones, {
    samples,
    caps: [0.55, joined ? 0 : 0.42],
    table,
  });
  const leg = (side: 'worked' | 'other', bare: boolean): Part & { readonly foot: FootPicture } => {
    const chain = options.body ? legBones(side) : legBones(side).slice(1);
    const outlines = bare ? [] : skin(camera, chain, { samples, caps: [0.75, 0], table });
    const foot = footPicture(camera, body, side);
    // A thigh that comes toward the viewer lies over the trunk: its outline is drawn almost from the hip.
    const bones = legBones(side);
    const lifted = dot(bones[0]!.b, camera.toward) - dot(body.bones.pelvis.b, camera.toward) > 12;
    const from = Math.floor(samples * (lifted ? 0.1 : 0.3));
    const over = outlines.flatMap((each) =>
      each.right.length === 0 ? [[...each.ring, each.ring[0]!]] : [each.left.slice(from), each.right.slice(from)],
    );
    const ankle = onPage(camera, body.bones[LEG[side][1]].b);
    const joint = Array.from({ length: 10 }, (_, i) => at(ankle, dir2(i * 36), 3.55));
    return {
      rings: [...outlines.map((each) => each.ring), joint, ...foot.outlines],
      over: [...over],
      depth: depthOf(camera, body.bones[LEG[side][0]]) + depthOf(camera, body.bones[LEG[side][1]]),
      foot,
    };
  };
  const arm = (
    side: 'worked' | 'other',
  ): Part & { readonly hand: readonly (readonly (readonly Pt[])[])[]; readonly handNearer: boolean } => {
    const outlines = skin(
      camera,
      ARM[side].map((id) => body.bones[id]),
      { samples, caps: [0.9, 0.6], table: null },
    );
    const open = outlines.flatMap((each, i) =>
      each.right.length === 0
        ? [[...each.ring, each.ring[0]!]]
        : i === 0
          ? [[...each.left.slice(Math.floor(samples * 0.22)), ...each.far, ...[...each.right.slice(Math.floor(samples * 0.22))].reverse()]]
          : [[...each.ring, each.ring[0]!]],
    );
    return {
      rings: outlines.map((each) => each.ring),
      over: open,
      depth: depthOf(camera, body.bones[ARM[side][0]]) + depthOf(camera, body.bones[ARM[side][1]]),
      hand: ownHand(camera, body, side, plain),
      handNearer: depthOf(camera, body.bones[HANDS[side]]) > depthOf(camera, body.bones[ARM[side][1]]) + 6,
    };
  };
  const neck = skin(camera, [body.bones.neck], { samples, caps: [0.5, 0.4], table: null });
  return { trunk, neck, head: headPicture(camera, body), leg, arm, joined };
}
