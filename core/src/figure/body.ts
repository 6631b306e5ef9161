import type { ArmKey, Joints, LegKey, TrunkKey } from './joints.ts';
import { LENGTHS } from './proportions.ts';
import { sectionAt, type SectionId } from './sections.ts';
import { cross, dot, plus, RAD, times, turnFrame, unit, type Frame, type Vec } from './space.ts';

export type Limb = 'thigh' | 'shank' | 'foot' | 'upperArm' | 'forearm' | 'hand';
export type Middle = 'head' | 'neck' | 'chest' | 'waist' | 'pelvis';
export type BoneId = Middle | Limb | `other.${Limb}`;

/** A bone in space: from its near end (for the trunk: the upper one) to the far one, and the directions skin is measured in. */
export interface Bone {
  readonly id: BoneId;
  readonly section: SectionId;
  readonly a: Vec;
  readonly b: Vec;
  /** Unit vector from a to b. */
  readonly d: Vec;
  readonly length: number;
  /** Unit vectors across the bone: to its front, and away from the body's midline. */
  readonly front: Vec;
  readonly outer: Vec;
  readonly frame: Frame;
}

export interface Body {
  readonly bones: Readonly<Record<BoneId, Bone>>;
  /** The frames of the toes, whose joint lies at `toeRoot`. */
  readonly toes: Readonly<Record<'worked' | 'other', { readonly root: Vec; readonly frame: Frame }>>;
  /** How far the fingers are bent and the thumb is led away, degrees. */
  readonly fingers: Readonly<Record<'worked' | 'other', { readonly bent: number; readonly thumb: number }>>;
}

export interface BodyOptions {
  /** How the root stands in space; left out, upright and facing along z. */
  readonly root?: Frame;
}

const NEUTRAL: Frame = { l: [1, 0, 0], u: [0, 1, 0], f: [0, 0, 1] };
/** The ball of the foot lies this far before the ankle and below it. */
export const BALL = { forward: 12.6, down: 5.2 } as const;

/**
 * Forward kinematics of the whole body from joint angles: every part hangs on the one before it, rotations are applied in the order
 * flexion, abduction, turning about the part's own length (hip: Grood and Suntay 1983; shoulder: plane, elevation, turning, Wu and
 * others 2005, from memory). The worked side is the athlete's right; a left-sided picture is its mirror image. Lengths in centimetres;
 * the origin is the middle between the hip joints.
 * @example Math.round(poseBody({ hip: 90 }).bones.thigh.b[2]) // → 43
 */
export function poseBody(joints: Joints, options: BodyOptions = {}): Body {
  const t = (key: TrunkKey): number => joints[key] ?? 0;
  let pelvis = options.root ?? NEUTRAL;
  pelvis = turnFrame(pelvis, pelvis.u, -t('turn'));
  pelvis = turnFrame(pelvis, pelvis.f, t('list'));
  pelvis = turnFrame(pelvis, pelvis.l, t('tilt'));
  const spine = (from: Frame, share: number): Frame => {
    let frame = turnFrame(from, from.l, t('bend') * share);
    frame = turnFrame(frame, frame.f, t('side') * share);
    return turnFrame(frame, frame.u, -t('twist') * share);
  };
  const waist = spine(pelvis, 0.5);
  const chest = spine(waist, 0.5);
  let neck = turnFrame(chest, chest.l, t('neck'));
  neck = turnFrame(neck, neck.f, t('neckSide') * 0.75);
  neck = turnFrame(neck, neck.u, -t('neckTurn') * 0.4);
  let head = turnFrame(neck, neck.l, t('nod') - t('neck') * 0.1);
  head = turnFrame(head, head.f, t('neckSide') * 0.25);
  head = turnFrame(head, head.u, -t('neckTurn') * 0.6);

  const hips: Vec = [0, 0, 0];
  const waistBase = plus(hips, pelvis.u, LENGTHS.pelvis);
  const chestBase = plus(waistBase, waist.u, LENGTHS.waist);
  const neckBase = plus(chestBase, chest.u, LENGTHS.chest);
  const headBase = plus(neckBase, neck.u, LENGTHS.neck * (1 + t('neckLong') / 100));

  const bones = {} as Record<BoneId, Bone>;
  const put = (id: BoneId, section: SectionId, a: Vec, b: Vec, frame: Frame, outward: 1 | -1): Bone => {
    const way = plus(b, a, -1);
    const size = Math.hypot(way[0], way[1], way[2]);
    return (bones[id] = {
      id,
      section,
      a,
      b,
      d: times(way, 1 / size),
      length: size,
      front: frame.f,
      outer: times(frame.l, outward),
      frame,
    });
  };
  put('head', 'head', plus(headBase, head.u, -3), plus(headBase, head.u, 21), head, -1);
  put('neck', 'neck', neckBase, headBase, neck, -1);
  put('chest', 'chest', neckBase, chestBase, chest, -1);
  put('waist', 'waist', chestBase, waistBase, waist, -1);
  put('pelvis', 'pelvis', waistBase, hips, pelvis, -1);

  const toes = {} as Record<'worked' | 'other', { root: Vec; frame: Frame }>;
  const fingers = {} as Record<'worked' | 'other', { bent: number; thumb: number }>;
  for (const side of ['worked', 'other'] as const) {
    const prefix = side === 'worked' ? '' : 'other.';
    const m = side === 'worked' ? 1 : -1;
    const outward = -m as 1 | -1;
    const v = (key: LegKey | ArmKey): number => joints[`${prefix}${key}` as LegKey] ?? 0;
    // Leg.
    let thigh = turnFrame(pelvis, pelvis.l, -v('hip'));
    thigh = turnFrame(thigh, thigh.f, -m * v('hipOut'));
    thigh = turnFrame(thigh, thigh.u, m * v('hipIn'));
    const hip = plus(hips, pelvis.l, outward * LENGTHS.hipHalf);
    const knee = plus(hip, thigh.u, -LENGTHS.thigh);
    let shank = turnFrame(thigh, thigh.l, v('knee'));
    shank = turnFrame(shank, shank.u, m * v('shinIn'));
    const ankle = plus(knee, shank.u, -LENGTHS.shank);
    let foot = turnFrame(shank, shank.l, -v('ankle'));
    foot = turnFrame(foot, foot.f, m * v('soleIn'));
    const ball = plus(plus(ankle, foot.f, BALL.forward), foot.u, -BALL.down);
    put(`${prefix}thigh` as BoneId, 'thigh', hip, knee, thigh, outward);
    put(`${prefix}shank` as BoneId, 'shank', knee, ankle, shank, outward);
    // Along the foot from the heel to the toes; its front is its upper side.
    const heel = plus(ankle, foot.f, -6.4);
    const tip = plus(heel, foot.f, LENGTHS.foot);
    const long = put(`${prefix}foot` as BoneId, 'foot', heel, tip, foot, outward);
    bones[`${prefix}foot` as BoneId] = { ...long, front: foot.u };
    toes[side] = { root: ball, frame: turnFrame(foot, foot.l, -v('toes')) };
    // Arm.
    const [e, plane] = [v('sh'), v('plane')];
    const rise = Math.max(0, Math.min(1, (e - 60) / 120));
    let shoulder = plus(neckBase, chest.l, outward * (LENGTHS.shoulderHalf - 2.4 * rise));
    shoulder = plus(shoulder, chest.u, -LENGTHS.shoulderDrop + 13 * Math.sin(v('girdle') * RAD) + 3.5 * rise);
    shoulder = plus(shoulder, chest.f, 13 * Math.sin(v('reach') * RAD));
    const down = times(chest.u, -1);
    const toward = plus(times(chest.l, outward * Math.cos(plane * RAD)), chest.f, Math.sin(plane * RAD));
    let arm = turnFrame(chest, unit(cross(down, toward)), e);
    arm = turnFrame(arm, arm.u, m * v('shIn'));
    const elbow = plus(shoulder, arm.u, -LENGTHS.upperArm);
    let forearm = turnFrame(arm, arm.l, -v('elbow'));
    const wristAt = plus(elbow, forearm.u, -LENGTHS.forearm);
    put(`${prefix}upperArm` as BoneId, 'upperArm', shoulder, elbow, arm, outward);
    // The forearm's muscles turn by about half of the hand's turn.
    put(`${prefix}forearm` as BoneId, 'forearm', elbow, wristAt, turnFrame(forearm, forearm.u, m * 0.5 * (90 + v('pron'))), outward);
    forearm = turnFrame(forearm, forearm.u, m * (90 + v('pron')));
    let hand = turnFrame(forearm, forearm.l, -v('wrist'));
    hand = turnFrame(hand, hand.f, m * v('dev'));
    put(`${prefix}hand` as BoneId, 'hand', wristAt, plus(wristAt, hand.u, -LENGTHS.hand), hand, outward);
    fingers[side] = { bent: v('fingers'), thumb: v('thumb') };
  }
  return { bones, toes, fingers };
}

/** A place on the skin: the bone, the share of its length, and the angle around it (0 front, 90 outer, 180 back, −90 inner). */
export type Place = readonly [BoneId, number, number];

/**
 * Where a place lies in space, and which way the skin faces there. Centimetres; the second is a unit vector.
 * @example Math.round(skinAt(poseBody({}), ['thigh', 0.5, 0]).point[2]) // → 9
 */
export function skinAt(body: Body, [id, share, around]: Place): { readonly point: Vec; readonly normal: Vec } {
  const bone = body.bones[id];
  const [front, back, outer, inner] = sectionAt(bone.section, Math.max(0, Math.min(1, share)));
  const [c, s] = [Math.cos(around * RAD), Math.sin(around * RAD)];
  const [rf, ro] = [c >= 0 ? front : back, s >= 0 ? outer : inner];
  const middle = plus(bone.a, bone.d, bone.length * share);
  const point = plus(plus(middle, bone.front, c * rf), bone.outer, s * ro);
  const normal = unit(plus(times(bone.front, c / Math.max(0.3, Math.abs(rf))), bone.outer, s / Math.max(0.3, Math.abs(ro))));
  return { point, normal };
}

/**
 * How far the skin of a section reaches in a direction across the bone (a unit vector), and the point that reaches it, as [front, outer].
 */
export function reachOf(
  bone: Bone,
  share: number,
  direction: Vec,
): { readonly reach: number; readonly front: number; readonly outer: number } {
  const [front, back, outer, inner] = sectionAt(bone.section, share);
  const [cf, co] = [dot(direction, bone.front), dot(direction, bone.outer)];
  const [rf, ro] = [cf >= 0 ? front : back, co >= 0 ? outer : inner];
  const reach = Math.hypot(rf * cf, ro * co) || 1e-9;
  return { reach, front: (rf * rf * cf) / reach, outer: (ro * ro * co) / reach };
}

/** The same body moved as a whole. */
export function moveBody(body: Body, by: Vec): Body {
  const bones = Object.fromEntries(
    Object.entries(body.bones).map(([id, bone]) => [id, { ...bone, a: plus(bone.a, by), b: plus(bone.b, by) }]),
  ) as unknown as Body['bones'];
  const toe = (side: 'worked' | 'other') => ({ ...body.toes[side], root: plus(body.toes[side].root, by) });
  return { ...body, bones, toes: { worked: toe('worked'), other: toe('other') } };
}
