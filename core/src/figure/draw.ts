import { moveBody, poseBody, skinAt, type BoneId, type Body } from './body.ts';
import { cameraFor, onPage, type Camera } from './camera.ts';
import { footPicture } from './foot.ts';
import { ownHand, placeHand, type HandPicture } from './hand.ts';
import { headPicture } from './head.ts';
import { between, type Joints } from './joints.ts';
import { markShapes, type Ink } from './marks.ts';
import { REGIONS, type RegionId } from './muscles.ts';
import { closedCurve, openCurve, polyline } from './path.ts';
import { regionShape } from './region.ts';
import type { HandUse, Scene } from './scene.ts';
import { depthOf, skin, type Outline } from './skin.ts';
import { at, dir2, dot, dot2, less, norm2, plus, RAD, unit2, type Pt } from './space.ts';
import { furniture } from './furniture.ts';

/** What a shape is, which is all the interface needs to paint it. */
export type Tone =
  | 'skin'
  | 'skin-far'
  | 'hair'
  | 'hair-far'
  | 'shorts'
  | 'shade'
  | 'muscle'
  | 'fibre'
  | 'deep'
  | 'hand'
  | 'hand-hold'
  | 'sleeve'
  | 'sleeve-hold'
  | 'table'
  | 'table-edge'
  | 'leg'
  | 'cushion'
  | 'ink'
  | 'ink-far'
  | 'ghost'
  | 'hand-ink'
  | 'move'
  | 'athlete'
  | 'rock'
  | 'point'
  | 'joint'
  | 'ground'
  | 'band'
  | 'lock'
  | 'tendon';

export interface Shape {
  readonly d: string;
  readonly fill?: Tone;
  readonly line?: Tone;
  /** In the figure's centimetres. */
  readonly width?: number;
  readonly dash?: readonly [number, number];
  /** Hatched instead of filled. */
  readonly hatch?: true;
  /** Name by which others are cut to it, and the name it is cut to. */
  readonly name?: string;
  readonly cut?: string;
  readonly text?: { readonly at: Pt; readonly said: string; readonly size: number };
}

export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

export interface Drawing {
  readonly box: Box;
  readonly shapes: readonly Shape[];
}

export interface DrawOptions {
  /** Height of the picture in pixels: what can be seen at it is drawn. */
  readonly size: number;
  /** Width to height. */
  readonly shape?: number;
  /** Share of the way from the set-up to the edge; the set-up is then drawn as a ghost. */
  readonly share?: number;
  /** Which side of the athlete is worked on; left out, the head of a lying athlete is at the left. */
  readonly side?: 'left' | 'right';
  readonly ghost?: boolean;
  readonly hands?: boolean;
}

/** What can be seen at a size. */
export type Detail = 'silhouette' | 'arrow' | 'hands' | 'all';
export const detailAt = (size: number): Detail => (size < 72 ? 'silhouette' : size < 150 ? 'arrow' : size < 290 ? 'hands' : 'all');

interface Part {
  readonly rings: readonly (readonly Pt[])[];
  /** Lines that are drawn where the part lies before another one. */
  readonly over: readonly (readonly Pt[])[];
  readonly depth: number;
}

const positive = (ring: readonly Pt[]): readonly Pt[] => {
  let area = 0;
  for (let i = 0; i < ring.length; i++) {
    const [p, q] = [ring[i]!, ring[(i + 1) % ring.length]!];
    area += p[0] * q[1] - q[0] * p[1];
  }
  return area < 0 ? [...ring].reverse() : ring;
};
/** Rings as one path; all wind the same way, so that what overlaps stays filled. */
const merged = (rings: readonly (readonly Pt[])[]): string => rings.map((ring) => closedCurve(positive(ring))).join('');

const LEG = { worked: ['thigh', 'shank'], other: ['other.thigh', 'other.shank'] } as const;
const ARM = { worked: ['upperArm', 'forearm'], other: ['other.upperArm', 'other.forearm'] } as const;

/** The parts of a posed body as a camera sees them. */
export function bodyParts(
  camera: Camera,
  body: Body,
  samples: number,
  table: { readonly y: number; readonly to: number } | null,
  plain: boolean,
  lateral: boolean,
  noLegs = false,
) {
  const trunkBones = [body.bones.chest, body.bones.waist, body.bones.pelvis];
  const legBones = (side: 'worked' | 'other') => LEG[side].map((id) => body.bones[id]);
  // Seen from the side trunk and near leg are one skin.
  const joined = lateral && !noLegs;
  const trunk: Outline[] = skin(camera, joined ? [...trunkBones, ...legBones('worked')] : trunkBones, {
    samples,
    caps: [0.55, joined ? 0 : 0.42],
    table,
  });
  const leg = (side: 'worked' | 'other', bare: boolean): Part => {
    const outlines = bare ? [] : skin(camera, legBones(side), { samples, caps: [0.75, 0], table });
    const foot = footPicture(camera, body, side);
    const over = outlines.flatMap((each) =>
      each.right.length === 0
        ? [[...each.ring, each.ring[0]!]]
        : [each.left.slice(Math.floor(samples * 0.3)), each.right.slice(Math.floor(samples * 0.3))],
    );
    const ankle = onPage(camera, body.bones[LEG[side][1]].b);
    const joint = Array.from({ length: 10 }, (_, i) => at(ankle, dir2(i * 36), 3.55));
    return {
      rings: [...outlines.map((each) => each.ring), joint, ...foot.outlines],
      over: [...over],
      depth: depthOf(camera, body.bones[LEG[side][0]]) + depthOf(camera, body.bones[LEG[side][1]]),
    };
  };
  const arm = (side: 'worked' | 'other'): Part & { readonly hand: readonly (readonly (readonly Pt[])[])[] } => {
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
    };
  };
  const neck = skin(camera, [body.bones.neck], { samples, caps: [0.5, 0.4], table: null });
  return { trunk, neck, head: headPicture(camera, body), leg, arm, joined };
}

/** Which limbs differ between two poses, and by how much at their ends, centimetres. */
function movedParts(
  a: Body,
  b: Body,
): {
  readonly id: 'leg' | 'other.leg' | 'arm' | 'other.arm' | 'head' | 'trunk' | 'toes' | 'fingers';
  readonly tip: BoneId;
  readonly by: number;
}[] {
  const far = (id: BoneId) => Math.hypot(...([0, 1, 2] as const).map((i) => a.bones[id].b[i] - b.bones[id].b[i]));
  const top = Math.hypot(...([0, 1, 2] as const).map((i) => a.bones.neck.a[i] - b.bones.neck.a[i]));
  const head = Math.hypot(...([0, 1, 2] as const).map((i) => a.bones.head.b[i] - b.bones.head.b[i]));
  const face = Math.acos(Math.max(-1, Math.min(1, dot(a.bones.head.frame.f, b.bones.head.frame.f)))) * 11;
  const out: { id: 'leg' | 'other.leg' | 'arm' | 'other.arm' | 'head' | 'trunk'; tip: BoneId; by: number }[] = [];
  if (top > 2) out.push({ id: 'trunk', tip: 'head', by: top });
  else if (head > 1.5 || face > 1.5) out.push({ id: 'head', tip: 'head', by: Math.max(head, face) });
  for (const side of ['', 'other.'] as const) {
    const foot = far(`${side}foot` as BoneId);
    if (foot > 1.5)
      out.push({
        id: `${side}leg`,
        tip: far(`${side}shank` as BoneId) > foot * 0.6 ? (`${side}shank` as BoneId) : (`${side}foot` as BoneId),
        by: foot,
      });
    const hand = far(`${side}hand` as BoneId);
    if (hand > 1.5 && top <= 2)
      out.push({
        id: `${side}arm`,
        tip: far(`${side}forearm` as BoneId) > hand * 0.6 ? (`${side}forearm` as BoneId) : (`${side}hand` as BoneId),
        by: hand,
      });
  }
  return out.sort((x, y) => y.by - x.by);
}

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

const pointsOf = (rings: readonly (readonly Pt[])[]): Pt[] => rings.flat() as Pt[];

/** Where a hand goes on the page. */
export function handOnPage(camera: Camera, body: Body, use: HandUse): { picture: HandPicture; behind: boolean; touch: Pt; skinPoint: Pt } {
  const { point, normal } = skinAt(body, use.at);
  const touch = onPage(camera, point);
  const facing = dot(normal, camera.toward);
  const bone = body.bones[use.at[0]];
  const along = unit2(onPage(camera, bone.d));
  const n2 = unit2(onPage(camera, normal));
  const seen: 'profile' | 'flat' = Math.abs(facing) > 0.72 ? 'flat' : 'profile';
  const pointing =
    use.contact === 'fist' || use.contact === 'knuckles' || use.contact === 'thumb' || use.contact === 'fingers' || use.contact === 'elbow';
  let x: Pt;
  if (typeof use.to === 'number') x = dir2(-use.to);
  else if (seen === 'profile' && pointing && use.contact !== 'elbow') {
    // Into the body, leaning a little along the bone.
    const lean = use.to === 'up' ? -0.35 : use.to === 'down' ? 0.35 : 0;
    x = unit2([-n2[0] + along[0] * lean, -n2[1] + along[1] * lean]);
  } else {
    const sign = use.to === 'up' ? -1 : 1;
    const tangent: Pt = seen === 'profile' ? [-n2[1], n2[0]] : along;
    const k = dot2(tangent, along) >= 0 ? 1 : -1;
    x = [tangent[0] * k * sign, tangent[1] * k * sign];
  }
  // The back of the hand away from the body.
  const left: Pt = [x[1], -x[0]];
  let flip = seen === 'profile' ? dot2(left, n2) < 0 : use.turned === true;
  if (seen === 'profile' && pointing && use.contact !== 'elbow') flip = left[1] > 0 !== (use.turned === true);
  else if (seen === 'profile' && use.turned) flip = !flip;
  const picture = placeHand({
    touch,
    deg: Math.atan2(x[1], x[0]) / RAD,
    flip,
    contact: use.contact,
    seen,
    ...(use.arm === undefined ? {} : { arm: use.arm }),
    ...(use.from === undefined ? {} : { armDeg: -use.from }),
  });
  return { picture, behind: use.under === true || facing < -0.72, touch, skinPoint: touch };
}

/**
 * A scene as a list of shapes, from the back of the picture to its front: what the body lies on, the ghost of where it comes from,
 * the far limbs, the body, its muscles, the near limbs, the hands, the marks. Coordinates are centimetres on the page, y down.
 */
export function drawScene(scene: Scene, options: DrawOptions): Drawing {
  const { size, shape = 1.25, share = 1 } = options;
  const detail = detailAt(size);
  const plain = detail === 'silhouette' || detail === 'arrow';
  const full = detail === 'all';
  const samples = plain ? 7 : 11;
  const camera = cameraFor(scene.posture, scene.view);
  const mirror = options.side !== undefined && (options.side === 'left') !== camera.flip;
  const body = sceneBody(scene, share);
  const from = scene.start ? sceneBody(scene, 0) : null;
  const moved = from && !scene.plainMove ? movedParts(from, sceneBody(scene, 1)) : [];
  const lateral = scene.view === 'side';
  const on = scene.on ?? (scene.posture === 'upright' ? 'floor' : 'table');
  const table =
    !camera.plan && on === 'table' && scene.posture !== 'upright' && scene.view === 'side'
      ? { y: tableLine(scene), to: scene.edge ? onPage(camera, skinAt(body, scene.edge).point)[0] + 3 : 300 }
      : null;
  const without = new Set(scene.without ?? []);
  const parts = bodyParts(camera, body, samples, table, plain, lateral, without.has('legs'));

  // What the picture is about, before its scale is known.
  const legs = { worked: parts.leg('worked', parts.joined), other: parts.leg('other', false) };
  const arms = { worked: parts.arm('worked'), other: parts.arm('other') };
  const headRings = [parts.head.outline, ...parts.head.bits, ...(parts.head.hair ? [parts.head.hair] : [])];
  const byBone: Partial<Record<BoneId, readonly Pt[]>> = {};
  const ringOf = (id: BoneId): readonly Pt[] => {
    if (id === 'head') return pointsOf(headRings);
    if (id === 'foot') return pointsOf(footPicture(camera, body, 'worked').outlines);
    if (id === 'other.foot') return pointsOf(footPicture(camera, body, 'other').outlines);
    if (id === 'hand') return pointsOf(arms.worked.hand.flat());
    if (id === 'other.hand') return pointsOf(arms.other.hand.flat());
    return (byBone[id] ??= pointsOf(skin(camera, [body.bones[id]], { samples: 4, caps: [0.4, 0.4] }).map((each) => each.ring)));
  };
  const hands = options.hands === false || plain ? [] : (scene.hands ?? []).map((use) => ({ use, ...handOnPage(camera, body, use) }));
  const all: BoneId[] = ['head', 'chest', 'pelvis', 'thigh', 'shank', 'foot', 'upperArm', 'forearm', 'hand'];
  if (!without.has('other leg') && !without.has('legs')) all.push('other.thigh', 'other.shank', 'other.foot');
  if (!without.has('other arm')) all.push('other.upperArm', 'other.forearm', 'other.hand');
  const content: Pt[] = (scene.frame ?? all).flatMap((id) => [...ringOf(id)]);
  for (const { picture } of hands) content.push(...pointsOf(picture.layers.flat()), ...(picture.sleeve ?? []));
  const ghostParts = from && options.ghost !== false && moved.length > 0 ? ghostOf(camera, from, moved[0]!.id, samples) : [];
  if (!scene.frame) content.push(...pointsOf(ghostParts));
  const path = moved.length > 0 && detail !== 'silhouette' ? pathOf(scene, camera, scene.path?.[0] ?? moved[0]!.tip) : [];
  content.push(...path);
  if (detail !== 'silhouette') {
    // Marks have the size of the picture, not of the body: they are laid out once to see how far they reach.
    const guess = fit(content, shape, 0.05);
    const ink: Ink = { px: guess.height / size, line: 0, mover: scene.mover ?? 'therapist' };
    for (const each of markShapes(scene, camera, body, [], from, ink, plain)) content.push(...pointsIn(each.d));
  }
  const box = fit(content, shape, plain ? 0.045 : 0.05);
  const px = box.height / size;
  const line = px * (detail === 'silhouette' ? 1.1 : detail === 'arrow' ? 1.25 : detail === 'hands' ? 1.35 : 1.7);

  const shapes: Shape[] = [];
  if (detail !== 'silhouette' || scene.on) shapes.push(...furniture(scene, camera, body, box, px, on));
  if (ghostParts.length > 0)
    shapes.push({ d: merged(ghostParts), fill: 'ground', line: 'ghost', width: line * 1.7, dash: [px * 4.4, px * 3.2] });
  for (const { picture, use, behind } of hands) if (behind) shapes.push(...handShapes(picture, use, line, px, full));

  const group = (rings: readonly (readonly Pt[])[], tone: Tone, ink: Tone, name?: string) =>
    shapes.push({ d: merged(rings), fill: tone, line: ink, width: line * 2, ...(name ? { name } : {}) });
  const drawArm = (side: 'worked' | 'other', far: boolean) => {
    if (without.has(side === 'worked' ? 'arm' : 'other arm')) return;
    const part = arms[side];
    const [tone, ink]: [Tone, Tone] = far ? ['skin-far', 'ink-far'] : ['skin', 'ink'];
    if (behindTrunk(side)) shapes.push({ d: merged(part.rings), line: ink, width: line * 2 });
    else for (const open of part.over) shapes.push({ d: openCurve(open), line: ink, width: line * 2 });
    const prefix = side === 'worked' ? '' : 'other.';
    const nearer = depthOf(camera, body.bones[`${prefix}hand` as BoneId]) > depthOf(camera, body.bones[`${prefix}forearm` as BoneId]) + 6;
    if (!nearer) for (const layer of part.hand) group(layer, tone, ink);
    shapes.push({ d: merged(part.rings), fill: tone, ...(side === 'worked' ? { name: 'arm' } : {}) });
    if (nearer) for (const layer of part.hand) group(layer, tone, ink);
  };
  const trunkDepth = depthOf(camera, body.bones.chest);
  const behindTrunk = (side: 'worked' | 'other') => (lateral ? side === 'other' : arms[side].depth / 2 < trunkDepth - 7);

  // Far limbs.
  if (lateral) {
    drawArm('other', true);
    if (!without.has('other leg') && !without.has('legs')) group(legs.other.rings, 'skin-far', 'ink-far');
  } else for (const side of ['other', 'worked'] as const) if (behindTrunk(side)) drawArm(side, false);

  // The body.
  const main = [...parts.trunk.map((each) => each.ring), ...parts.neck.map((each) => each.ring), parts.head.outline, ...parts.head.bits];
  const shownLegs = without.has('legs')
    ? []
    : (['worked', 'other'] as const).filter((side) => side === 'worked' || !without.has('other leg'));
  const legRings = lateral ? (without.has('legs') ? [] : legs.worked.rings) : shownLegs.flatMap((side) => legs[side].rings);
  const beside = (['worked', 'other'] as const).filter(
    (side) => !behindTrunk(side) && !without.has(side === 'worked' ? 'arm' : 'other arm'),
  );
  group([...main, ...legRings, ...beside.flatMap((side) => arms[side].rings)], 'skin', 'ink', 'body');
  if (!lateral) {
    const order = [...shownLegs].sort((a, b) => legs[a].depth - legs[b].depth);
    for (const side of order) {
      for (const open of legs[side].over) shapes.push({ d: openCurve(open), line: 'ink', width: line * 2 });
      shapes.push({ d: merged(legs[side].rings), fill: 'skin' });
    }
  }
  shapes.push(...shortsShapes(camera, body, lateral, shownLegs.length > 0));
  if (parts.head.hair) shapes.push({ d: closedCurve(parts.head.hair), fill: 'hair', line: 'hair', width: px * 0.5 });
  if (full || detail === 'hands') {
    for (const l of parts.head.lines) shapes.push({ d: openCurve(l), line: 'ink', width: line * 0.8 });
    for (const side of ['worked', 'other'] as const)
      if (!(lateral && side === 'other') && shownLegs.includes(side))
        for (const l of footPicture(camera, body, side).lines) shapes.push({ d: openCurve(l), line: 'ink', width: line * 0.7 });
  }
  const onArm = (id: RegionId) => REGIONS[id].a.some(([bone]) => /upperArm|forearm|hand/.test(bone));
  const muscles = (scene.muscles ?? []).map((name) =>
    name.startsWith('other.') ? { id: name.slice(6) as RegionId, other: true } : { id: name as RegionId, other: false },
  );
  const drawMuscle = ({ id, other }: { id: RegionId; other: boolean }, cut: string) =>
    shapes.push(...regionShape(camera, body, id, other, { px, line, fibres: !plain, cut }));
  for (const muscle of muscles.filter(({ id }) => !onArm(id))) drawMuscle(muscle, 'body');

  // Near arms.
  if (lateral) drawArm('worked', false);
  else {
    const order = (['worked', 'other'] as const).filter((side) => !behindTrunk(side)).sort((a, b) => arms[a].depth - arms[b].depth);
    for (const side of order) drawArm(side, false);
  }
  for (const muscle of muscles.filter(({ id }) => onArm(id))) drawMuscle(muscle, '');

  for (const { picture, use, behind } of hands) if (!behind) shapes.push(...handShapes(picture, use, line, px, full));
  if (detail !== 'silhouette') {
    const ink: Ink = { px, line, mover: scene.mover ?? 'therapist' };
    shapes.push(...markShapes(scene, camera, body, path, from, ink, plain));
  }
  return mirror ? mirrored({ box, shapes }, camera.plan && scene.posture !== 'upright') : { box, shapes };
}

/** The points of a path that are written absolutely. */
function pointsIn(d: string): Pt[] {
  const out: Pt[] = [];
  for (const [, rest] of d.matchAll(/[MLQ]([^A-Za-z]+)/g)) {
    const numbers = rest!.trim().split(/\s+/).map(Number);
    for (let i = 0; i + 1 < numbers.length; i += 2) out.push([numbers[i]!, numbers[i + 1]!]);
  }
  return out;
}

/** Where the table's surface lies under a body seen from the side, y on the page. */
export function tableLine(scene: Scene): number {
  if (scene.posture === 'supine') return 11;
  if (scene.posture === 'prone') return 11.4;
  if (scene.posture === 'side-lying') return 18;
  return 10.5;
}

function ghostOf(camera: Camera, body: Body, id: string, samples: number): (readonly Pt[])[] {
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
  return [headPicture(camera, body).outline];
}

/** The path of a bone's far end from a little after the set-up to a little before the edge, set off outward. */
function pathOf(scene: Scene, camera: Camera, tip: BoneId): Pt[] {
  const line: Pt[] = [];
  let pivot: Pt | null = null;
  for (let i = 0; i <= 8; i++) {
    const body = sceneBody(scene, 0.1 + 0.86 * (i / 8));
    const bone = body.bones[tip];
    const end = tip === 'head' ? at(onPage(camera, bone.b), unit2(onPage(camera, bone.d)), 1) : onPage(camera, bone.b);
    if (scene.path) pivot ??= onPage(camera, body.bones[scene.path[1]].a);
    pivot ??= onPage(
      camera,
      tip === 'head'
        ? body.bones.neck.a
        : tip.endsWith('shank') || tip.endsWith('forearm')
          ? body.bones[tip.replace('shank', 'thigh').replace('forearm', 'upperArm') as BoneId].a
          : bone.a,
    );
    line.push(end);
  }
  const total = line.slice(1).reduce((sum, p, i) => sum + norm2(less(p, line[i]!)), 0);
  if (total < 3.5) return [];
  const off = tip === 'head' ? 3 : 7;
  return line.map((p) => at(p, unit2(less(p, pivot!)), off));
}

/** What must be seen, with a margin, brought to a shape (width to height). */
export function fit(points: readonly Pt[], shape: number, margin: number): Box {
  let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [x, y] of points) {
    if (x < x0) x0 = x;
    if (x > x1) x1 = x;
    if (y < y0) y0 = y;
    if (y > y1) y1 = y;
  }
  const pad = margin * Math.max(x1 - x0, (y1 - y0) * shape) + 1;
  const [w, h] = [x1 - x0 + 2 * pad, y1 - y0 + 2 * pad];
  const width = Math.max(w, h * shape);
  const height = width / shape;
  const r = (v: number) => Math.round(v * 10) / 10;
  return { x: r((x0 + x1 - width) / 2), y: r((y0 + y1 - height) / 2), width: r(width), height: r(height) };
}

/** Short trousers: a band over pelvis and upper thighs, cut to the body. */
function shortsShapes(camera: Camera, body: Body, lateral: boolean, legs: boolean): Shape[] {
  const ring = (id: BoneId, from: number, to: number, wide: number): Pt[] => {
    const bone = body.bones[id];
    const a = onPage(camera, [0, 1, 2].map((i) => bone.a[i]! + bone.d[i]! * bone.length * from) as unknown as [number, number, number]);
    const b = onPage(camera, [0, 1, 2].map((i) => bone.a[i]! + bone.d[i]! * bone.length * to) as unknown as [number, number, number]);
    const d = unit2(less(b, a));
    const n: Pt = [d[1], -d[0]];
    return [at(a, n, wide), at(b, n, wide), at(b, n, -wide), at(a, n, -wide)];
  };
  const shown = (id: BoneId) =>
    norm2(less(onPage(camera, body.bones[id].b), onPage(camera, body.bones[id].a))) > 0.42 * body.bones[id].length;
  const rings: Pt[][] = [];
  if (shown('pelvis')) rings.push(ring('pelvis', 0.12, 1.02, 18));
  for (const id of ['thigh', 'other.thigh'] as const)
    if (legs && !(lateral && id === 'other.thigh') && shown(id)) rings.push(ring(id, -0.06, 0.34, lateral ? 16 : 9.6));
  if (lateral) rings.push(Array.from({ length: 14 }, (_, i) => at(onPage(camera, body.bones.thigh.a), dir2(i * 25.7), 14.4)));
  return rings.length === 0 ? [] : [{ d: rings.map((r) => `${polyline(positive(r))}Z`).join(''), fill: 'shorts', cut: 'body' }];
}

function handShapes(picture: HandPicture, use: HandUse, line: number, px: number, full: boolean): Shape[] {
  const [tone, sleeve]: [Tone, Tone] = use.holds ? ['hand-hold', 'sleeve-hold'] : ['hand', 'sleeve'];
  const out: Shape[] = [];
  if (picture.sleeve) out.push({ d: closedCurve(positive(picture.sleeve)), fill: sleeve, line: 'hand-ink', width: line * 1.8 });
  for (const layer of picture.layers) {
    // Fingers stand beside each other, each with its own outline.
    if (layer.length === 4)
      for (const ring of layer) out.push({ d: closedCurve(positive(ring)), fill: tone, line: 'hand-ink', width: line * 1.6 });
    else out.push({ d: merged(layer), fill: tone, line: 'hand-ink', width: line * 1.8 });
  }
  if (full) for (const l of picture.lines) out.push({ d: openCurve(l), line: 'hand-ink', width: line * 0.7 });
  if (use.holds) {
    const s = Math.max(1.5, px * 5);
    const [x, y] = picture.lock;
    out.push({ d: `M${f(x - s)} ${f(y - s * 0.2)}h${f(2 * s)}v${f(s * 1.6)}h${f(-2 * s)}Z`, fill: 'lock' });
    out.push({
      d: `M${f(x - s * 0.6)} ${f(y - s * 0.2)}v${f(-s * 0.5)}a${f(s * 0.6)} ${f(s * 0.6)} 0 0 1 ${f(s * 1.2)} 0v${f(s * 0.5)}`,
      line: 'lock',
      width: s * 0.36,
    });
  }
  return out;
}
const f = (v: number): string => `${Math.round(v * 50) / 50}`;

/** The mirror image: left and right on the page, or (seen along gravity, lying) top and bottom. */
function mirrored({ box, shapes }: Drawing, upsideDown: boolean): Drawing {
  const flipped = (d: string): string => flipPath(d, upsideDown);
  return {
    box: upsideDown ? { ...box, y: -box.y - box.height } : { ...box, x: -box.x - box.width },
    shapes: shapes.map((shape) => ({
      ...shape,
      d: flipped(shape.d),
      ...(shape.text
        ? {
            text: { ...shape.text, at: (upsideDown ? [shape.text.at[0], -shape.text.at[1]] : [-shape.text.at[0], shape.text.at[1]]) as Pt },
          }
        : {}),
    })),
  };
}

/** A path reflected in one of the axes. Knows the commands that are written here. */
export function flipPath(d: string, upsideDown: boolean): string {
  return d.replace(/([MLQCahvHVZ])([^MLQCahvHVZ]*)/g, (_all, command: string, rest: string) => {
    const numbers =
      rest.trim() === ''
        ? []
        : rest
            .trim()
            .split(/[\s,]+/)
            .map(Number);
    if (command === 'a') {
      const [rx, ry, turn, large, sweep, x, y] = numbers as [number, number, number, number, number, number, number];
      return `a${rx} ${ry} ${turn} ${large} ${sweep === 1 ? 0 : 1} ${upsideDown ? x : -x} ${upsideDown ? -y : y}`;
    }
    if (command === 'h' || command === 'H') return `${command}${upsideDown ? numbers[0] : -numbers[0]!}`;
    if (command === 'v' || command === 'V') return `${command}${upsideDown ? -numbers[0]! : numbers[0]}`;
    return command + numbers.map((v, i) => ((i % 2 === 1) === upsideDown ? -v : v)).join(' ');
  });
}
