import { skinAt, type Body, type BoneId } from './body.ts';
import { cameraFor, onPage, type Camera } from './camera.ts';
import { fineLines, shortsShapes } from './details.ts';
import { fit } from './fit.ts';
import { furniture, tableLine } from './furniture.ts';
import { handOnPage, handShapes } from './hands.ts';
import { markShapes, type Ink } from './marks.ts';
import { mirrored } from './mirror.ts';
import { ghostOf, movedParts, pathOnPage, sceneBody } from './movement.ts';
import { REGIONS, type RegionId } from './muscles.ts';
import { bodyParts, merged } from './parts.ts';
import { closedCurve, openCurve, pointsIn } from './path.ts';
import { regionShape } from './region.ts';
import type { Scene } from './scene.ts';
import { detailAt, type Box, type Drawing, type Shape, type Tone } from './shapes.ts';
import { depthOf, skin } from './skin.ts';
import { stanceReach, stanceShapes } from './stance.ts';
import type { Pt } from './space.ts';

/** What is laid over a body where it is measured. */
export interface Overlay {
  /** Behind the body, and what is reached by all of it. */
  readonly behind: (px: number) => readonly Shape[];
  readonly front: (px: number) => readonly Shape[];
  readonly reach: readonly Pt[];
}

export interface DrawOptions {
  /** Height of the picture in pixels: what can be seen at it is drawn. */
  readonly size: number;
  /** Width to height. */
  readonly shape?: number;
  /** Share of the way from the set-up to the edge. */
  readonly share?: number;
  /** Which side of the athlete is worked on; left out, the head of a lying athlete is at the left. */
  readonly side?: 'left' | 'right';
  /** Whether the athlete presses now; left out, the picture shows that they will. The frame is the same. */
  readonly presses?: boolean;
  readonly overlay?: (camera: Camera) => Overlay;
  /** The body as it is posed already, where the scene's own angles are not it. */
  readonly body?: Body;
}

const WHOLE: readonly BoneId[] = ['head', 'chest', 'pelvis', 'thigh', 'shank', 'foot', 'upperArm', 'forearm', 'hand'];
const onArm = (id: RegionId): boolean => REGIONS[id].a.some(([bone]) => /upperArm|forearm|hand/.test(bone));
const muscleOf = (name: string): { readonly id: RegionId; readonly other: boolean } =>
  name.startsWith('other.') ? { id: name.slice(6) as RegionId, other: true } : { id: name as RegionId, other: false };

/**
 * A scene as a list of shapes, from the back of the picture to its front: what the body lies on, the ghost of where it comes from,
 * the far limbs, the body, its muscles, the near limbs, the hands, the marks. Coordinates are centimetres on the page, y down. Nothing
 * in it is drawn for one entry: every shape follows from joint angles, places on the skin and marks.
 */
export function drawScene(scene: Scene, options: DrawOptions): Drawing {
  const { size, shape = 1.25, share = 1 } = options;
  const detail = detailAt(size);
  const plain = detail === 'silhouette' || detail === 'arrow';
  const samples = plain ? 7 : 11;
  const camera = cameraFor(scene.posture, scene.view);
  const mirror = options.side !== undefined && (options.side === 'left') !== camera.flip;
  const body = options.body ?? sceneBody(scene, share);
  const from = scene.start && share > 0 ? sceneBody(scene, 0) : null;
  const moved = from && !scene.plainMove ? movedParts(from, body) : [];
  const lateral = scene.view === 'side' || scene.view === 'inside';
  // From the inside the other limbs would stand before the one the picture is about.
  const without = new Set([...(scene.without ?? []), ...(scene.view === 'inside' ? (['other leg', 'other arm'] as const) : [])]);
  const on = scene.on ?? (scene.posture === 'upright' ? 'floor' : 'table');
  const table =
    on === 'table' && scene.posture !== 'upright' && scene.view === 'side' && !camera.plan
      ? {
          y: tableLine(scene),
          to: scene.edge && !/head|neck|chest/.test(scene.edge[0]) ? onPage(camera, skinAt(body, scene.edge).point)[0] + 3 : Infinity,
        }
      : null;
  const parts = bodyParts(camera, body, { samples, table, plain, lateral, legs: !without.has('legs'), body: !without.has('body') });
  const shownLegs = without.has('legs')
    ? []
    : (['worked', 'other'] as const).filter((side) => side === 'worked' || !without.has('other leg'));
  const shownArms = (['worked', 'other'] as const).filter((side) => !without.has(side === 'worked' ? 'arm' : 'other arm'));
  const legs = { worked: parts.leg('worked', parts.joined), other: parts.leg('other', false) };
  const arms = { worked: parts.arm('worked'), other: parts.arm('other') };

  // What the picture is about, before its scale is known.
  const ringOf = (id: BoneId): readonly Pt[] => {
    if (id === 'head') return [...parts.head.outline, ...(parts.head.hair ?? []), ...parts.head.bits.flat()];
    if (id === 'foot' || id === 'other.foot') return legs[id === 'foot' ? 'worked' : 'other'].foot.outlines.flat();
    if (id === 'hand' || id === 'other.hand') return arms[id === 'hand' ? 'worked' : 'other'].hand.flat(2);
    return skin(camera, [body.bones[id]], { samples: 4, caps: [0.4, 0.4] }).flatMap((each) => each.ring);
  };
  const whole = [
    ...WHOLE,
    ...(shownLegs.includes('other') ? (['other.thigh', 'other.shank', 'other.foot'] as const) : []),
    ...(shownArms.includes('other') ? (['other.upperArm', 'other.forearm', 'other.hand'] as const) : []),
  ];
  const content: Pt[] = (scene.frame ?? whole).flatMap((id) => [...ringOf(id)]);
  // Where nothing moves, the hands say what is done even in a list.
  const hands =
    plain && scene.start && !scene.plainMove ? [] : (scene.hands ?? []).map((use) => ({ use, ...handOnPage(camera, body, use) }));
  for (const { picture } of hands) content.push(...picture.layers.flat(2), ...(picture.sleeve ?? []));
  const ghost = from && moved[0] ? ghostOf(camera, from, moved[0].id, samples) : [];
  if (!scene.frame) content.push(...ghost.flat());
  const path = moved[0] && detail !== 'silhouette' && !scene.pathless ? pathOnPage(scene, camera, moved[0]) : [];
  content.push(...path);
  const overlay = options.overlay?.(camera);
  if (overlay) content.push(...overlay.reach);
  if (scene.stance && !plain) content.push(...stanceReach(scene.stance, camera, body));
  const mover = scene.mover ?? 'therapist';
  if (detail !== 'silhouette' && scene.marks) {
    // Marks have the size of the picture, not of the body: they are laid out once to see how far they reach.
    const ink: Ink = { px: fit(content, shape, 0.05).height / size, line: 0, mover, detail };
    for (const each of markShapes(scene, camera, body, [], from, ink)) content.push(...pointsIn(each.d));
  }
  // One frame for the whole way: a picture that moves neither zooms nor wanders, and set-up and edge have one scale.
  const box = share === 1 || !scene.start ? fit(content, shape, plain ? 0.045 : 0.05) : drawScene(scene, { size, shape }).box;
  const px = box.height / size;
  const line = px * (detail === 'silhouette' ? 1.1 : detail === 'arrow' ? 1.25 : detail === 'hands' ? 1.35 : 1.7);

  const shapes: Shape[] = [];
  const group = (rings: readonly (readonly Pt[])[], tone: Tone, ink: Tone, name?: string) =>
    shapes.push({ d: merged(rings), fill: tone, line: ink, width: line * 2, ...(name ? { name } : {}) });
  const trunkDepth = depthOf(camera, body.bones.chest);
  const behindTrunk = (side: 'worked' | 'other') => (lateral ? side === 'other' : arms[side].depth / 2 < trunkDepth - 7);
  const drawArm = (side: 'worked' | 'other', far: boolean) => {
    const part = arms[side];
    const [tone, ink]: [Tone, Tone] = far ? ['skin-far', 'ink-far'] : ['skin', 'ink'];
    if (behindTrunk(side)) shapes.push({ d: merged(part.rings), line: ink, width: line * 2 });
    else for (const open of part.over) shapes.push({ d: openCurve(open), line: ink, width: line * 2 });
    const fingers = () => part.hand.forEach((layer) => group(layer, tone, ink));
    if (!part.handNearer) fingers();
    shapes.push({ d: merged(part.rings), fill: tone });
    if (part.handNearer) fingers();
  };
  const drawMuscles = (arm: boolean) => {
    for (const { id, other } of (scene.muscles ?? []).map(muscleOf))
      if (onArm(id) === arm) shapes.push(...regionShape(camera, body, id, other, { px, line, fibres: !plain, cut: arm ? '' : 'body' }));
  };

  shapes.push(...furniture(scene, camera, body, box, px, on));
  if (overlay) shapes.push(...overlay.behind(px));
  if (ghost.length > 0) shapes.push({ d: merged(ghost), fill: 'ground', line: 'ghost', width: line * 1.7, dash: [px * 4.4, px * 3.2] });
  for (const { picture, use, behind } of hands) if (behind) shapes.push(...handShapes(picture, use, line, px, detail === 'all'));

  if (scene.stance && !plain) shapes.push(...stanceShapes(scene.stance, camera, body, line));

  // Far limbs, then the body with the near legs and the arms beside it as one outline.
  for (const side of shownArms) if (behindTrunk(side)) drawArm(side, lateral);
  if (lateral) for (const side of shownLegs) if (side === 'other') group(legs[side].rings, 'skin-far', 'ink-far');
  const beside = shownArms.filter((side) => !behindTrunk(side));
  const nearLegs = shownLegs.filter((side) => !lateral || side === 'worked');
  group(
    [
      ...(without.has('body')
        ? []
        : [...parts.trunk.map((each) => each.ring), ...parts.neck.map((each) => each.ring), parts.head.outline, ...parts.head.bits]),
      ...nearLegs.flatMap((side) => legs[side].rings),
      ...beside.flatMap((side) => arms[side].rings),
    ],
    'skin',
    'ink',
    'body',
  );
  if (!lateral)
    for (const side of [...nearLegs].sort((a, b) => legs[a].depth - legs[b].depth)) {
      for (const open of legs[side].over) shapes.push({ d: openCurve(open), line: 'ink', width: line * 2 });
      shapes.push({ d: merged(legs[side].rings), fill: 'skin' });
    }
  if (!without.has('body')) shapes.push(...shortsShapes(camera, body, lateral, shownLegs.length > 0));
  if (parts.head.hair && !without.has('body'))
    shapes.push({ d: closedCurve(parts.head.hair), fill: 'hair', line: 'hair', width: px * 0.5 });
  if (!plain) {
    if (!without.has('body')) for (const each of parts.head.lines) shapes.push({ d: openCurve(each), line: 'ink', width: line * 0.8 });
    for (const side of nearLegs)
      for (const each of legs[side].foot.lines) shapes.push({ d: openCurve(each), line: 'ink', width: line * 0.7 });
  }
  if (detail === 'all') shapes.push(...fineLines(camera, body, line * 0.7, shownLegs.length > 0));
  drawMuscles(false);
  for (const side of [...beside].sort((a, b) => arms[a].depth - arms[b].depth)) drawArm(side, false);
  drawMuscles(true);
  for (const { picture, use, behind } of hands) if (!behind) shapes.push(...handShapes(picture, use, line, px, detail === 'all'));
  if (overlay) shapes.push(...overlay.front(px));
  const marked = options.presses === false ? { ...scene, marks: (scene.marks ?? []).filter(({ kind }) => kind !== 'press') } : scene;
  if (detail !== 'silhouette') shapes.push(...markShapes(marked, camera, body, path, from, { px, line, mover, detail }));

  const drawing: Drawing = { box, shapes };
  const placed = mirror ? mirrored(drawing, camera.plan && scene.posture !== 'upright') : drawing;
  if (!scene.inset || plain) return placed;
  const corner = freeCorner(box, [...content], 0.36);
  const side = options.side ? { side: options.side } : {};
  return {
    ...placed,
    inset: {
      at: mirror ? mirrored({ box: corner, shapes: [] }, camera.plan).box : corner,
      drawing: drawScene(scene.inset, { size: size * 0.36, shape: corner.width / corner.height, ...side }),
    },
  };
}

/** The corner of a picture with the least in it, as a box of a share of its height. */
function freeCorner(box: Box, content: readonly Pt[], share: number): Box {
  const [width, height] = [box.height * share * 1.2, box.height * share];
  const corners = [
    [box.x, box.y],
    [box.x + box.width - width, box.y],
    [box.x, box.y + box.height - height],
    [box.x + box.width - width, box.y + box.height - height],
  ] as const;
  const inside = ([x, y]: readonly [number, number]) =>
    content.filter((p) => p[0] > x && p[0] < x + width && p[1] > y && p[1] < y + height).length;
  const [x, y] = corners.reduce((best, corner) => (inside(corner) < inside(best) ? corner : best));
  return { x, y, width, height };
}
