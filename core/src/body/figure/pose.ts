import type { Motion, Side } from '../types.ts';
import { FIGURE_TEMPLATES } from './templates.ts';
import type { SegmentId, TemplateSegment, View } from './types.ts';

export interface Point {
  readonly x: number;
  readonly y: number;
}

export interface PosedSegment {
  readonly id: SegmentId;
  readonly side: 'left' | 'right' | null;
  readonly from: Point;
  readonly to: Point;
  /** Direction on the page, degrees counter-clockwise from "to the right". */
  readonly deg: number;
  readonly width: number;
  readonly taper: number;
  readonly far: boolean;
  /** Turned by the value, or hanging on what is. */
  readonly moving: boolean;
}

/** Where the reference lies: a fan about the moving joint. */
export interface PosedFan {
  readonly side: 'left' | 'right' | null;
  readonly at: Point;
  readonly radius: number;
  /** The directions of two values on the page, in degrees. */
  readonly fromDeg: number;
  readonly toDeg: number;
}

export interface Pose {
  readonly view: View;
  readonly segments: readonly PosedSegment[];
  /** One for every side that has a place of its own, or one for both. */
  readonly fans: readonly PosedFan[];
  readonly ground: { readonly y: number; readonly from: number; readonly to: number } | null;
  readonly faceDeg: number | null;
}

export interface PoseRequest {
  /** The value to draw on each side, in the motion's unit; a side that is left out rests. */
  readonly values: Readonly<Partial<Record<Side, number>>>;
  /** Two values whose fan is drawn, or null. */
  readonly band: { readonly low: number; readonly high: number } | null;
}

const RAD = Math.PI / 180;

/**
 * Poses the figure of a motion: planar forward kinematics. Every segment starts where the one it hangs on ends and
 * points along its parent's direction plus its own angle (or along a fixed direction); the moving segment's own angle
 * is zero + turn · degPerUnit · value. Where sides are mirrored the right half is the left half reflected, so both
 * limbs are posed at once; elsewhere the limb is posed once for each value given, over the same body, and for a part
 * in the middle (head, trunk) the right value turns it the other way. Coordinates are in hundredths of body height,
 * up is plus, the root is the origin.
 * @example poseMotion(motionOf('straight-leg-raise'), { values: { left: 90 }, band: null }).segments.find((each) => each.id === 'thigh').to.x // → 0.000
 */
export function poseMotion(motion: Pick<Motion, 'figure' | 'rest' | 'sides'>, { values, band }: PoseRequest): Pose {
  const { figure } = motion;
  const template = FIGURE_TEMPLATES.get(figure.template)!;
  const moved = template.segments.find((each) => each.id === figure.moves)!;
  const scale = figure.degPerUnit ?? 1;
  const turned = (value: number, way: 1 | -1) => figure.zero + way * figure.turn * scale * value;
  const asked = motion.sides.filter((side) => values[side] !== undefined);
  const segments: PosedSegment[] = [];

  const poseOnce = (value: number, side: 'left' | 'right' | null, mirror: boolean, way: 1 | -1): Map<SegmentId, PosedSegment> => {
    const posed = new Map<SegmentId, PosedSegment>();
    for (const each of template.segments) {
      const parent = each.on === 'root' ? null : (posed.get(each.on) ?? null);
      const own = each.id === figure.moves ? turned(value, way) : (figure.set?.[each.id] ?? each.deg);
      const parentDeg = parent && !each.fixed ? (mirror ? 180 - parent.deg : parent.deg) : 0;
      const unmirrored = parentDeg + own;
      const deg = mirror && !each.central ? 180 - unmirrored : unmirrored;
      const from = parent?.to ?? { x: 0, y: 0 };
      const to = { x: from.x + each.length * Math.cos(deg * RAD), y: from.y + each.length * Math.sin(deg * RAD) };
      posed.set(each.id, {
        id: each.id,
        side: each.central ? null : side,
        from,
        to,
        deg,
        width: each.width,
        taper: each.taper ?? each.width,
        far: each.far === true,
        moving: each.id === figure.moves || parent?.moving === true,
      });
    }
    return posed;
  };
  const visible = (posed: Map<SegmentId, PosedSegment>, keep: (segment: TemplateSegment, made: PosedSegment) => boolean) =>
    template.segments.filter((each) => !each.hidden && keep(each, posed.get(each.id)!)).map((each) => posed.get(each.id)!);

  const fans: PosedFan[] = [];
  const addFan = (posed: Map<SegmentId, PosedSegment>, side: 'left' | 'right' | null, mirror: boolean, way: 1 | -1) => {
    if (!band) return;
    const base = posed.get(figure.moves)!;
    const carried = moved.on === 'root' || moved.fixed ? null : posed.get(moved.on)!.deg;
    const onPage = (value: number) => {
      const unmirrored = turned(value, way) + (carried === null ? 0 : mirror ? 180 - carried : carried);
      return mirror ? 180 - unmirrored : unmirrored;
    };
    const reach = Math.max(
      base.width,
      ...template.segments
        .filter((each) => posed.get(each.id)!.moving)
        .map((each) => Math.hypot(posed.get(each.id)!.to.x - base.from.x, posed.get(each.id)!.to.y - base.from.y)),
    );
    fans.push({ side, at: base.from, radius: reach, fromDeg: onPage(band.low), toDeg: onPage(band.high) });
  };

  if (template.mirrored && !moved.central) {
    for (const [side, mirror] of [
      ['left', false],
      ['right', true],
    ] as const) {
      const posed = poseOnce(values[side] ?? motion.rest, side, mirror, 1);
      segments.push(...visible(posed, (each) => side === 'left' || !each.central));
      addFan(posed, side, mirror, 1);
    }
    return { view: template.view, segments, fans, ground: template.ground ?? null, faceDeg: template.faceDeg ?? null };
  }
  // One place for both sides. A part in the middle turns to either side; a limb is drawn twice over one body.
  const opposed = template.mirrored;
  const both = asked.length > 0 ? asked : (['midline'] as const);
  for (const [i, side] of both.entries()) {
    const value = values[side] ?? motion.rest;
    const way = opposed && side === 'right' ? -1 : 1;
    const named = side === 'midline' ? null : side;
    const posed = poseOnce(value, named, false, way);
    segments.push(
      ...visible(posed, (_each, made) => i === 0 || made.moving).map((each) => ({ ...each, side: each.moving ? named : null })),
    );
    if (template.mirrored) {
      const mirrored = poseMirrored(posed, way);
      segments.push(...mirrored.filter((each) => i === 0 || each.moving).map((each) => ({ ...each, side: each.moving ? named : null })));
    }
    if (i === 0 || opposed) addFan(posed, opposed ? named : null, false, way);
  }
  return { view: template.view, segments, fans, ground: template.ground ?? null, faceDeg: template.faceDeg ?? null };

  /** The paired segments of the other half, hanging on the middle as it is posed. */
  function poseMirrored(posed: Map<SegmentId, PosedSegment>, way: 1 | -1): PosedSegment[] {
    const other = new Map<SegmentId, PosedSegment>();
    const out: PosedSegment[] = [];
    for (const each of template.segments) {
      if (each.central) {
        other.set(each.id, posed.get(each.id)!);
        continue;
      }
      const parent = each.on === 'root' ? null : other.get(each.on)!;
      const own = each.id === figure.moves ? turned(values.left ?? motion.rest, way) : (figure.set?.[each.id] ?? each.deg);
      const deg = each.fixed || parent === null ? 180 - own : parent.deg - own;
      const from = parent?.to ?? { x: 0, y: 0 };
      const made: PosedSegment = {
        ...posed.get(each.id)!,
        from,
        deg,
        to: { x: from.x + each.length * Math.cos(deg * RAD), y: from.y + each.length * Math.sin(deg * RAD) },
      };
      other.set(each.id, made);
      if (!each.hidden) out.push(made);
    }
    return out;
  }
}
