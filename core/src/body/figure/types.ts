import type { Position } from '../types.ts';

/** From where the athlete is looked at. */
export type View = 'side' | 'front' | 'behind' | 'above' | 'feet' | 'detail';

export type TemplateId =
  | 'supine'
  | 'supine-arm-out'
  | 'prone'
  | 'table-end'
  | 'sitting'
  | 'long-sitting'
  | 'standing'
  | 'lunge'
  | 'side-lying'
  | 'supine-head-over'
  | 'side-lying-arm'
  | 'side-lying-above'
  | 'side-lying-forearm'
  | 'sitting-behind'
  | 'ninety-from-above'
  | 'wall-sit'
  | 'standing-behind'
  | 'lying-from-above'
  | 'sitting-from-above'
  | 'head-from-above'
  | 'feet-from-above'
  | 'shins-up'
  | 'shins-down'
  | 'knees-from-feet'
  | 'arms-from-feet'
  | 'arms-reaching'
  | 'hand'
  | 'palm'
  | 'fist'
  | 'foot-side'
  | 'heel'
  | 'forefoot';

export type SegmentId =
  | 'trunk'
  | 'head'
  | 'nose'
  | 'chest'
  | 'pelvis'
  | 'girdle'
  | 'hip'
  | 'upperArm'
  | 'forearm'
  | 'hand'
  | 'fingers'
  | 'thumb'
  | 'thigh'
  | 'shank'
  | 'foot'
  | 'toe'
  | 'farThigh'
  | 'farShank'
  | 'farFoot';

/**
 * One straight part of the drawn body. Angles are in degrees, counted counter-clockwise from "to the right", relative to
 * the direction of the part it hangs on; `fixed` ones keep their direction on the page whatever the others do.
 * Lengths and widths are in hundredths of a standing body's height.
 */
export interface TemplateSegment {
  readonly id: SegmentId;
  /** What it hangs on: the far end of another segment, or the root. */
  readonly on: SegmentId | 'root';
  readonly deg: number;
  readonly fixed?: true;
  readonly length: number;
  readonly width: number;
  /** Width at its far end, where it tapers. */
  readonly taper?: number;
  /** The limb that is not measured: drawn behind, lighter. */
  readonly far?: true;
  /** Drawn once, in the middle; in a mirrored template everything else is drawn on both sides. */
  readonly central?: true;
  /** Draws nothing; carries others. */
  readonly hidden?: true;
}

export interface FigureTemplate {
  readonly id: TemplateId;
  readonly view: View;
  /** Positions it shows an athlete in; null for a close view of a hand or a foot, which is the same in all. */
  readonly shows: readonly Position[] | null;
  /** Left and right are two places on the page: the segments are the left ones, the right ones mirror them. */
  readonly mirrored: boolean;
  /** In the order in which they are drawn; parents before what hangs on them. */
  readonly segments: readonly TemplateSegment[];
  /** Height of the table's surface or the floor, and from where to where; in the same hundredths, up is plus. */
  readonly ground?: { readonly y: number; readonly from: number; readonly to: number };
  /** Which way the face looks, where a side view shows it: degrees on top of the head's own direction. */
  readonly faceDeg?: number;
}

/** How a motion is drawn in its test position. */
export interface MotionFigure {
  readonly template: TemplateId;
  /** The segment that the value turns. */
  readonly moves: SegmentId;
  /** Its angle at a value of zero, relative to what it hangs on. */
  readonly zero: number;
  /** Whether more of the value turns it counter-clockwise (1) or clockwise (−1); for the left side where sides are mirrored. */
  readonly turn: 1 | -1;
  /** Degrees on the page for one unit of the value: 1 for degrees; for a distance what makes the drawing true enough to be recognised. */
  readonly degPerUnit?: number;
  /** Other segments that this test position puts elsewhere than its template. */
  readonly set?: Readonly<Partial<Record<SegmentId, number>>>;
}
