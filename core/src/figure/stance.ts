import { poseBody, skinAt, type Body } from './body.ts';
import { cameraFor, onPage, type Camera } from './camera.ts';
import { bodyParts, merged } from './parts.ts';
import type { Stance } from './scene.ts';
import type { Shape } from './shapes.ts';
import { less, type Pt } from './space.ts';

/** The same body, standing: the therapist from the side, moved so that shoulder or hand is where it works. */
function stanceRings({ joints, by, at, faces }: Stance, camera: Camera, athlete: Body): (readonly Pt[])[] {
  const side = cameraFor('upright', 'side');
  const body = poseBody(joints);
  const parts = bodyParts(side, body, { samples: 8, table: null, plain: true, lateral: true, legs: true, body: true });
  const turn = ([x, y]: Pt): Pt => (faces === 'left' ? [-x, y] : [x, y]);
  const held = onPage(side, by === 'shoulder' ? body.bones.upperArm.a : body.bones.hand.a);
  const target = onPage(camera, skinAt(athlete, at).point);
  // A limb lies on top of the shoulder, not in its middle.
  const [dx, dy] = less(target, turn([held[0], held[1] - (by === 'shoulder' ? 6 : 0)]));
  const arm = by === 'hand' ? parts.arm('worked').rings : [];
  const rings = [
    ...parts.trunk.map((each) => each.ring),
    ...parts.neck.map((each) => each.ring),
    parts.head.outline,
    ...parts.leg('worked', true).rings,
    ...parts.leg('other', false).rings,
    ...arm,
  ];
  return rings.map((ring) => ring.map((p) => [turn(p)[0] + dx, turn(p)[1] + dy] as const));
}

export const stanceShapes = (stance: Stance, camera: Camera, athlete: Body, line: number): Shape[] => [
  { d: merged(stanceRings(stance, camera, athlete)), fill: 'stance', line: 'hand-ink', width: line * 1.3 },
];

/** What of the stance must be in the picture: head and shoulders. */
export function stanceReach(stance: Stance, camera: Camera, athlete: Body): readonly Pt[] {
  const rings = stanceRings(stance, camera, athlete);
  return [...rings[1]!, ...rings[2]!];
}
