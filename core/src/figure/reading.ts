import type { Motion, Side } from '../body/types.ts';
import { skinAt, type Body, type BoneId, type Place } from './body.ts';
import { cameraFor, onPage, type Camera } from './camera.ts';
import { drawScene, type Overlay } from './draw.ts';
import { ARM_KEYS, LEG_KEYS, type JointKey, type Joints } from './joints.ts';
import { sceneBody } from './movement.ts';
import { arrow } from './marks.ts';
import { regionsNamed } from './named.ts';
import { circle, polygon, polyline } from './path.ts';
import type { HandUse, Scene } from './scene.ts';
import { MOTION_SCENES, type MotionScene, type Spot } from './scenes/motions/index.ts';
import { detailAt, type Drawing, type Shape, type Tone } from './shapes.ts';
import { at, dot2, less, norm2, plus, unit2, type Pt, type Vec } from './space.ts';

/** A motion as it is drawn where it is read. */
export type DrawnMotion = Pick<Motion, 'id' | 'rest' | 'sides' | 'fan' | 'lengthens' | 'mode' | 'unit'>;

export interface ReadingRequest {
  /** Values in the motion's unit; none at all draws the way of the motion itself. */
  readonly values: Readonly<Partial<Record<Side, number>>>;
  /** Sides that are short of what is expected. */
  readonly short?: readonly Side[];
  /** The reference: two values between which it lies. */
  readonly band?: { readonly low: number; readonly high: number } | null;
  /** What a sport asks for, side by side: a mark of its own beyond the needle's way. */
  readonly asked?: Readonly<Partial<Record<Side, number>>>;
  /** Without values: the side that is about to be read; left out, the picture is of the side that needs no mirror. */
  readonly toRead?: Side;
  readonly size: number;
  readonly shape?: number;
}

/** The scene of a motion. Throws for one that has none: the tests hold that all have. */
export function motionScene(motionId: string): MotionScene {
  const found = MOTION_SCENES[motionId];
  if (!found) throw new RangeError(`No scene for motion ${motionId}`);
  return found;
}

/** The joint angles a value of a motion stands for; `way` −1 to the other side. */
export const turned = (scene: MotionScene, value: number, way: 1 | -1 = 1): Joints =>
  Object.fromEntries(Object.entries(scene.moves).map(([key, [zero, perUnit]]) => [key, way * (zero + perUnit * value)]));

type Half = 'worked' | 'other';
const boneOf = (id: 'hand' | 'shank' | 'foot', half: Half): BoneId => (half === 'worked' ? id : `other.${id}`);
const SPOTS: Readonly<Record<string, (body: Body, half: Half) => Vec>> = {
  nose: ({ bones }) => plus(plus(bones.head.a, bones.head.frame.u, 9), bones.head.frame.f, 12),
  crown: ({ bones }) => bones.head.b,
  eyes: ({ bones }) => plus(bones.head.a, bones.head.frame.u, 9),
  thumb: ({ bones }, half) => {
    const hand = bones[boneOf('hand', half)];
    return plus(plus(hand.a, hand.d, 8), hand.frame.l, half === 'worked' ? -9 : 9);
  },
  knuckles: ({ bones }, half) => plus(bones[boneOf('hand', half)].a, bones[boneOf('hand', half)].d, 8),
  fingertips: ({ bones }, half) => plus(bones[boneOf('hand', half)].a, bones[boneOf('hand', half)].d, 18),
  ball: ({ toes }, half) => toes[half].root,
  toes: ({ toes }, half) => plus(toes[half].root, toes[half].frame.f, 7),
  ankle: ({ bones }, half) => bones[boneOf('shank', half)].b,
  sole: ({ bones }, half) => plus(bones[boneOf('shank', half)].b, bones[boneOf('foot', half)].frame.u, -9),
};

/** Where a named spot, or an end of a bone, lies in space; on the other limb where asked. */
function spotOf(body: Body, spot: Spot, half: Half): Vec {
  const named = SPOTS[spot];
  if (named) return named(body, half);
  const [bone, end] = spot.endsWith(':near') ? ([spot.slice(0, -5), 'a'] as const) : ([spot, 'b'] as const);
  const id = (half === 'other' && !bone.startsWith('other.') && `other.${bone}` in body.bones ? `other.${bone}` : bone) as BoneId;
  return body.bones[id][end];
}

const needleOf = (camera: Camera, scene: MotionScene, body: Body, half: Half): { readonly from: Pt; readonly to: Pt } => ({
  from: onPage(camera, spotOf(body, scene.axis, half)),
  to: onPage(camera, spotOf(body, scene.tip, half)),
});
/** The angles of one limb as the other one's. */
const acrossTo = (joints: Joints, keys: readonly string[]): Joints =>
  Object.fromEntries(keys.map((key) => [`other.${key}` as JointKey, joints[key as JointKey] ?? 0]));

/**
 * A motion in its test position: the limb on each side at its value, needles from the joint's axis to what is read, and the reference as
 * a wedge about the axis. A side view has the right limb near and the left one far; where one limb must be out of the way, or head and
 * trunk go to both sides, the second value is a needle only. Distances turn the joint as far as makes the drawing true enough to be
 * recognised.
 */
export function drawMotion(
  motion: DrawnMotion,
  { values, short = [], band = null, asked = {}, toRead, size, shape = 1.25 }: ReadingRequest,
): Drawing {
  const scene = motionScene(motion.id);
  const given = motion.sides.filter((side) => values[side] !== undefined);
  const shown = { ...(scene.scene.muscles ? {} : { muscles: regionsNamed(motion.lengthens).slice(0, 1) }), ...scene.scene };
  if (given.length === 0) {
    const value = (motion.fan.min + 2 * motion.fan.max) / 3;
    const far = motion.unit === 'cm' ? motion.fan.min + 0.3 * (motion.fan.max - motion.fan.min) : value;
    const whole: Scene = { ...shown, joints: { ...shown.joints, ...turned(scene, far, 1) }, start: turned(scene, motion.rest, 1) };
    const mover = motion.mode === 'active' ? 'athlete' : 'therapist';
    // One that goes from the middle to both sides has its own way for each; the picture of a limb is mirrored.
    const side = toRead === undefined || toRead === 'midline' ? {} : { side: toRead };
    return drawScene(
      { ...whole, pathless: true },
      { size, shape, ...side, overlay: (camera) => wayOverlay(camera, scene, whole, size, mover) },
    );
  }
  // A picture with the head at the left is of the right side where no mirror is needed for it, else of the left one.
  const { flip } = cameraFor(shown.posture, shown.view);
  const preferred: Side = flip ? 'left' : 'right';
  const side: Side = given.includes(preferred) ? preferred : given[0]!;
  const second = given.find((each) => each !== side);
  const onArm = ARM_AXES.test(scene.axis);
  const left = shown.without ?? [];
  const hidden = shown.view === 'inside' || left.includes(onArm ? 'other arm' : 'other leg') || (!onArm && left.includes('legs'));
  const together = second !== undefined && !scene.central && !scene.alone && !hidden;
  const wayOf = (each: Side): 1 | -1 => (scene.central && each !== 'midline' && (each === 'left') !== flip ? -1 : 1);
  const posed = (each: Side, value: number): Joints => ({ ...shown.joints, ...turned(scene, value, wayOf(each)) });
  const limb = onArm ? ARM_KEYS : LEG_KEYS;
  const joints: Joints = {
    ...posed(side, values[side]!),
    ...(together ? acrossTo(posed(second, values[second]!), limb) : {}),
  };
  const drawn: Scene = {
    ...shown,
    joints,
    ...(detailAt(size) === 'all' && !shown.hands ? { hands: readingHands(motion, scene, joints) } : {}),
  };
  const body = sceneBody(drawn, 1);

  const toneOf = (each: Side): Tone => (short.includes(each) ? 'low' : each === 'right' ? 'right' : 'left');
  const overlay = (camera: Camera): Overlay => {
    const needles = given.map((each): Needle => {
      const half: Half = together && each === second ? 'other' : 'worked';
      const own = each === side || half === 'other' ? body : sceneBody({ ...drawn, joints: posed(each, values[each]!) }, 1);
      return { side: each, tone: toneOf(each), ...needleOf(camera, scene, own, half) };
    });
    const twoPlaces = (scene.central && motion.sides.length === 2) || (together && !isLateral(drawn));
    const wedges = band
      ? (twoPlaces ? (['right', 'left'] as const) : [side]).map((each) => {
          const half: Half = together && each !== side ? 'other' : 'worked';
          const bodyAt = (value: number): Body => {
            const there = posed(each, value);
            return sceneBody({ ...drawn, joints: half === 'other' ? { ...joints, ...acrossTo(there, limb) } : there }, 1);
          };
          return wedgeOf(band, scene, (value) => needleOf(camera, scene, bodyAt(value), half));
        })
      : [];
    const asks = given.flatMap((each): { readonly side: Side; readonly from: Pt; readonly to: Pt }[] => {
      const value = asked[each];
      if (value === undefined) return [];
      const half: Half = together && each === second ? 'other' : 'worked';
      const there = posed(each, value);
      const own = sceneBody({ ...drawn, joints: half === 'other' ? { ...joints, ...acrossTo(there, limb) } : there }, 1);
      return [{ side: each, ...needleOf(camera, scene, own, half) }];
    });
    return {
      reach: [...needles.flatMap(({ from, to }) => [from, to]), ...asks.map(({ to }) => to), ...wedges.flat()],
      behind: () => wedges.map((wedge): Shape => ({ d: polygon(wedge), fill: 'band' })),
      front: (px) => [...needleShapes(needles, size, px), ...askedShapes(asks, size, px)],
    };
  };
  return drawScene(drawn, { size, shape, overlay, body, ...(side === 'midline' || scene.central ? {} : { side }) });
}

interface Needle {
  readonly side: Side;
  readonly tone: Tone;
  readonly from: Pt;
  readonly to: Pt;
}

/** The reference about the axis: where the needle would end at its values, a few degrees wide even for a single one. */
function wedgeOf(
  band: { readonly low: number; readonly high: number },
  scene: MotionScene,
  needleAt: (value: number) => { from: Pt; to: Pt },
): Pt[] {
  const LEAST_DEG = 5;
  const perUnit = Math.abs(Object.values(scene.moves)[0]![1]) || 1;
  const spread = Math.max(band.high - band.low, LEAST_DEG / perUnit) / 2;
  const middle = (band.low + band.high) / 2;
  const needles = Array.from({ length: 7 }, (_, i) => needleAt(middle - spread + (spread * 2 * i) / 6));
  return [needles[0]!.from, ...needles.map(({ from, to }) => at(to, unit2(less(to, from)), 4))];
}

/** What is read along: a full line on the left, a broken one on the right, with its letter; and the ring about the axis. */
function needleShapes(needles: readonly Needle[], size: number, px: number): Shape[] {
  const plain = detailAt(size) === 'silhouette' || detailAt(size) === 'arrow';
  const out: Shape[] = [];
  for (const { side, tone, from, to } of needles) {
    const d = unit2(less(to, from));
    const end = at(to, d, px * (plain ? 3 : 6));
    const line = polyline([from, end]);
    out.push({ d: line, line: 'ground', width: px * (plain ? 4 : 5) });
    out.push({ d: line, line: tone, width: px * (plain ? 2 : 2.4), ...(side === 'right' ? { dash: [px * 5, px * 3] as const } : {}) });
    if (!plain && side !== 'midline' && norm2(less(to, from)) > 2)
      out.push({ d: '', fill: 'ink', text: { at: at(end, d, px * 9), said: side === 'left' ? 'L' : 'R', size: px * 14 } });
  }
  if (!plain) out.push({ d: circle(needles[0]!.from, px * 5), fill: 'paper', line: 'ink', width: px * 2.8 });
  return out;
}

/** What a sport asks for: a diamond on the way of the needle, where it would end; too small to be told below the size of hands. */
function askedShapes(asks: readonly { readonly side: Side; readonly from: Pt; readonly to: Pt }[], size: number, px: number): Shape[] {
  const detail = detailAt(size);
  if (detail === 'silhouette' || detail === 'arrow') return [];
  return asks.map(({ side, from, to }): Shape => {
    const d = unit2(less(to, from));
    const across: Pt = [-d[1], d[0]];
    const middle = at(to, d, px * 6);
    const corners = [at(middle, d, px * 6), at(middle, across, px * 4.5), at(middle, d, -px * 6), at(middle, across, -px * 4.5)];
    return { d: polygon(corners), fill: 'rock', line: 'paper', width: px * 1.4, name: `asked ${side}` };
  });
}

const isLateral = ({ view }: Pick<Scene, 'view'>): boolean => view === 'side' || view === 'inside';
const ARM_AXES = /upperArm|forearm|hand|knuckles/;

/** The way of what is read, from rest to far along, as an arrow set off from the joint. */
function wayOverlay(camera: Camera, scene: MotionScene, whole: Scene, size: number, mover: 'therapist' | 'athlete'): Overlay {
  const path: Pt[] = [];
  for (let i = 0; i <= 8; i++) {
    const { from, to } = needleOf(camera, scene, sceneBody(whole, 0.06 + 0.9 * (i / 8)), 'worked');
    path.push(at(to, unit2(less(to, from)), norm2(less(to, from)) > 30 ? 7 : 3));
  }
  const detail = detailAt(size);
  return {
    reach: path,
    behind: () => [],
    front: (px) =>
      detail === 'silhouette'
        ? []
        : arrow(
            path,
            mover === 'athlete' ? 'athlete' : 'move',
            px * (detail === 'arrow' ? 1.7 : 2.4),
            mover === 'athlete' ? { bars: true } : {},
          ),
  };
}

/** Where the other hand holds, by the bone that turns. */
const HELD: Readonly<Record<string, readonly [BoneId, number]>> = {
  thigh: ['pelvis', 0.5],
  shank: ['thigh', 0.72],
  foot: ['shank', 0.78],
  upperArm: ['chest', 0.16],
  forearm: ['upperArm', 0.76],
  hand: ['forearm', 0.72],
  neck: ['upperArm', 0.02],
  chest: ['pelvis', 0.4],
};

/** The hand that takes the limb, behind its way, and the one that holds what must not follow; nobody's where the athlete does it. */
function readingHands(motion: DrawnMotion, scene: MotionScene, joints: Joints): HandUse[] {
  if (motion.mode === 'active' || motion.unit === 'cm') return [];
  const camera = cameraFor(scene.scene.posture, scene.scene.view);
  const now = sceneBody({ ...scene.scene, joints }, 1);
  const before = sceneBody({ ...scene.scene, joints: { ...joints, ...turned(scene, motion.rest, 1) } }, 1);
  const bone = (scene.tip in now.bones ? scene.tip : null) as BoneId | null;
  const out: HandUse[] = [];
  const most = (id: BoneId, share: number, toward: Pt): Place => {
    const angles = [0, 90, 180, -90].map((around) => ({ around, n: onPage(camera, skinAt(now, [id, share, around]).normal) }));
    return [id, share, angles.reduce((best, each) => (dot2(each.n, toward) > dot2(best.n, toward) ? each : best)).around];
  };
  if (bone && bone !== 'head') {
    const spot = (body: Body) => onPage(camera, body.bones[bone].b);
    const way = less(spot(now), spot(before));
    if (norm2(way) > 2) out.push({ contact: 'cup', at: most(bone, 0.8, [-way[0], -way[1]]), to: 'down' });
  }
  const held = HELD[scene.axis.replace(':near', '')];
  if (held) out.push({ contact: 'palm', at: most(held[0], held[1], [0, -1]), to: 'up', holds: true });
  return out;
}

const VIEW_WORDS = {
  side: 'the side',
  inside: 'the inside',
  front: 'the front',
  back: 'behind',
  crown: 'the head',
  feet: 'the feet',
} as const;

/**
 * From where a scene is looked at, in words.
 * @example viewWords({ posture: 'supine', view: 'front', joints: {} }) // → 'above'
 */
export function viewWords(scene: Pick<Scene, 'posture' | 'view' | 'joints'>): string {
  return cameraFor(scene.posture, scene.view).plan ? 'above' : VIEW_WORDS[scene.view];
}
