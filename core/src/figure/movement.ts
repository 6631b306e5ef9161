import { moveBody, poseBody, type Body, type BoneId } from './body.ts';
import { onPage, type Camera } from './camera.ts';
import { footPicture } from './foot.ts';
import { ownHand } from './hand.ts';
import { headPicture } from './head.ts';
import { between, type Joints } from './joints.ts';
import { ARM, LEG } from './parts.ts';
import type { Scene } from './scene.ts';
import { skin } from './skin.ts';
import { at, dot, length, less, norm2, plus, unit2, type Pt, type Vec } from './space.ts';

/** Joint angles of a scene at a share of the way from the set-up to the edge. */
export const jointsAt = (scene: Scene, share: number): Joints =>
  scene.start ? between({ ...scene.joints, ...scene.start }, scene.joints, share) : scene.joints;

/** The body of a scene at a share of the way; an anchored bone's far end lies where it does at the edge. */
export function sceneBody(scene: Scene, share: number): Body {
  const body = poseBody(jointsAt(scene, share));
  if (!scene.anchor || share === 1) return body;
  const held = poseBody(scene.joints).bones[scene.anchor].b;
  return moveBody(body, plus(held, body.bones[scene.anchor].b, -1));
}

/** Something that moves: a limb, or the toes and fingers at its end. */
export type MovedId = 'leg' | 'other.leg' | 'arm' | 'other.arm' | 'head' | 'trunk' | 'toes' | 'fingers';
export interface Moved {
  readonly id: MovedId;
  /** The bone whose far end shows how far. */
  readonly tip: BoneId | 'toes';
  /** How far that end goes, centimetres. */
  readonly by: number;
}

/**
 * Which parts differ between two poses of a body, what goes furthest first.
 */
export function movedParts(a: Body, b: Body): Moved[] {
  const apart = (p: Vec, q: Vec) => length(plus(p, q, -1));
  const far = (id: BoneId) => apart(a.bones[id].b, b.bones[id].b);
  const top = apart(a.bones.neck.a, b.bones.neck.a);
  const face = Math.acos(Math.max(-1, Math.min(1, dot(a.bones.head.frame.f, b.bones.head.frame.f)))) * 11;
  const head = Math.max(apart(a.bones.head.b, b.bones.head.b), face);
  const out: Moved[] = [];
  if (top > 2) out.push({ id: 'trunk', tip: 'head', by: top });
  else if (head > 1.5) out.push({ id: 'head', tip: 'head', by: head });
  for (const side of ['', 'other.'] as const) {
    const bone = <K extends 'shank' | 'foot' | 'forearm' | 'hand'>(id: K) => `${side}${id}` as const;
    const foot = far(bone('foot'));
    if (foot > 1.5) out.push({ id: `${side}leg`, tip: far(bone('shank')) > foot * 0.6 ? bone('shank') : bone('foot'), by: foot });
    const hand = far(bone('hand'));
    if (hand > 1.5 && top <= 2)
      out.push({ id: `${side}arm`, tip: far(bone('forearm')) > hand * 0.6 ? bone('forearm') : bone('hand'), by: hand });
  }
  const toes = Math.acos(Math.max(-1, Math.min(1, dot(a.toes.worked.frame.f, b.toes.worked.frame.f)))) * 7;
  if (toes > 1.5 && !out.some(({ id }) => id === 'leg' || id === 'trunk')) out.push({ id: 'toes', tip: 'toes', by: toes });
  const bent = Math.max(Math.abs(a.fingers.worked.bent - b.fingers.worked.bent), Math.abs(a.fingers.worked.thumb - b.fingers.worked.thumb));
  if (bent > 5 && !out.some(({ id }) => id === 'arm' || id === 'trunk')) out.push({ id: 'fingers', tip: 'hand', by: bent / 8 });
  return out.sort((x, y) => y.by - x.by);
}

/** What comes from elsewhere, as it was in the set-up: closed rings that make one shape. */
export function ghostOf(camera: Camera, body: Body, id: MovedId, samples: number): (readonly Pt[])[] {
  const side = id.startsWith('other.') ? 'other' : 'worked';
  if (id.endsWith('leg')) {
    const chain = skin(
      camera,
      LEG[side].map((each) => body.bones[each]),
      { samples, caps: [0.7, 0] },
    );
    return [...chain.map((each) => each.ring), ...footPicture(camera, body, side).outlines];
  }
  if (id.endsWith('arm')) {
    return [
      ...skin(
        camera,
        ARM[side].map((each) => body.bones[each]),
        { samples, caps: [0.9, 0.6] },
      ).map((each) => each.ring),
      ...ownHand(camera, body, side, true).flat(),
    ];
  }
  if (id === 'toes') return footPicture(camera, body, 'worked').outlines.map((ring) => [...ring]);
  if (id === 'fingers')
    return ownHand(camera, body, 'worked', true)
      .flat()
      .map((ring) => [...ring]);
  const head = headPicture(camera, body).outline;
  if (id === 'head') return [head];
  const { chest, waist, pelvis, neck } = body.bones;
  return [
    ...skin(camera, [chest, waist, pelvis], { samples, caps: [0.55, 0.42] }).map((each) => each.ring),
    ...skin(camera, [neck], { samples, caps: [0.5, 0.4] }).map((each) => each.ring),
    head,
  ];
}

/** Where the far end of a moving part lies on the page. */
export function tipOnPage(camera: Camera, body: Body, tip: BoneId | 'toes'): Pt {
  if (tip === 'toes') return onPage(camera, plus(body.toes.worked.root, body.toes.worked.frame.f, 7));
  return onPage(camera, body.bones[tip].b);
}

/** The joint a moving end goes about: that of the limb where both its bones move along, else the bone's own. */
function aboutOnPage(camera: Camera, body: Body, tip: BoneId | 'toes'): Pt {
  if (tip === 'toes') return onPage(camera, body.toes.worked.root);
  if (tip === 'head') return onPage(camera, body.bones.neck.a);
  const limb = tip.replace('shank', 'thigh').replace('forearm', 'upperArm') as BoneId;
  return onPage(camera, body.bones[limb].a);
}

/**
 * The path of what moves on the page, from a little after the set-up to a little before the edge, set off outward from the joint it
 * goes about. Empty where hardly anything of it is seen.
 */
export function pathOnPage(scene: Scene, camera: Camera, moved: Moved): Pt[] {
  const tip = scene.path?.[0] ?? moved.tip;
  const line: Pt[] = [];
  let about: Pt | null = null;
  for (let i = 0; i <= 8; i++) {
    const body = sceneBody(scene, 0.1 + 0.86 * (i / 8));
    about ??= scene.path ? onPage(camera, body.bones[scene.path[1]].a) : aboutOnPage(camera, body, tip);
    line.push(tipOnPage(camera, body, tip));
  }
  const way = line.slice(1).reduce((sum, p, i) => sum + norm2(less(p, line[i]!)), 0);
  const small = moved.id === 'toes' || moved.id === 'fingers';
  if (way < (small ? 1.5 : 3.5)) return [];
  const off = small ? 2 : tip === 'head' ? 3 : 7;
  return line.map((p) => at(p, unit2(less(p, about!)), off));
}
