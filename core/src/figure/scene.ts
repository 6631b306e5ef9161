import type { BoneId, Place } from './body.ts';
import type { Posture, View } from './camera.ts';
import type { Contact } from './hand.ts';
import type { Joints } from './joints.ts';
import type { RegionId } from './muscles.ts';

/** A hand on the body. */
export interface HandUse {
  readonly contact: Contact;
  readonly at: Place;
  /** It keeps its place while the other works. */
  readonly holds?: true;
  /** Where its fingers point: along the bone, back along it, or degrees on the page (0 to the right, 90 up). */
  readonly to?: 'down' | 'up' | number;
  /** Where the forearm comes from, degrees on the page, where the wrist bends. */
  readonly from?: number;
  /** The back of the hand on the other side. */
  readonly turned?: true;
  /** Length of forearm drawn, centimetres. */
  readonly arm?: number;
  /** Drawn under the body although the skin there is seen. */
  readonly under?: true;
}

/** Something that happens, shown by one mark with one meaning. */
export type MarkUse =
  /** The athlete's press against the hand; left out, against the movement at the working hand. */
  | { readonly kind: 'press'; readonly at?: Place; readonly deg?: number }
  /** Drawn apart along a bone, from a place on it. */
  | { readonly kind: 'pull'; readonly at: Place; readonly deg?: number; readonly back?: true }
  /** Circles about a joint or place. */
  | { readonly kind: 'circle'; readonly at: Place; readonly radius?: number }
  /** To and fro. */
  | { readonly kind: 'rock'; readonly at: Place; readonly deg?: number; readonly radius?: number }
  /** Sinking in with the breath. */
  | { readonly kind: 'sink'; readonly at: Place }
  /** One point that is pressed; several are numbered in their order. */
  | { readonly kind: 'points'; readonly at: readonly Place[] }
  /** Across the fibres. */
  | { readonly kind: 'friction'; readonly at: Place; readonly deg?: number }
  /** A long stroke from place to place. */
  | { readonly kind: 'stroke'; readonly along: readonly [Place, Place, ...Place[]] }
  /** Two parts past each other, or apart. */
  | { readonly kind: 'scissor'; readonly at: Place; readonly deg?: number }
  | { readonly kind: 'spread'; readonly at: Place; readonly deg?: number }
  /** A joint that is worked on. */
  | { readonly kind: 'joint'; readonly at: Place }
  /** A small glide of one bone on another. */
  | { readonly kind: 'glide'; readonly at: Place; readonly deg: number }
  /** Turned about a place, degrees on the page, counted like a compass of mathematics: 0 to the right, 90 up. */
  | { readonly kind: 'turn'; readonly at: Place; readonly from: number; readonly to: number; readonly radius: number }
  /** A towel from a place on the skin to the fists that hold its ends. */
  | { readonly kind: 'towel'; readonly at: Place; readonly deg: number }
  /** Tapping. */
  | { readonly kind: 'tap'; readonly at: Place }
  /** The same way as the limb goes, where its path says little. */
  | { readonly kind: 'way'; readonly at: Place; readonly deg: number };

export type PropUse =
  | { readonly kind: 'pillow' | 'bolster' | 'cushion' | 'roll' | 'ball' | 'top' | 'basin'; readonly under: Place; readonly size?: number }
  | { readonly kind: 'wall'; readonly side: 'left' | 'right'; readonly at: Place };

/** What the body lies, sits or stands on. */
export type Support = 'table' | 'stool' | 'chair' | 'floor' | 'none';

/** A standing or kneeling therapist seen from the side, whose shoulder or hand is at a place of the athlete. */
export interface Stance {
  readonly joints: Joints;
  readonly by: 'shoulder' | 'hand';
  readonly at: Place;
  readonly faces: 'left' | 'right';
}

/** A technique or a test position: angles and marks, nothing drawn by hand. */
export interface Scene {
  readonly posture: Posture;
  readonly view: View;
  /** Joint angles at the edge. */
  readonly joints: Joints;
  /** Those that differ in the set-up. */
  readonly start?: Joints;
  /** Who makes the movement. */
  readonly mover?: 'therapist' | 'athlete' | 'both';
  readonly on?: Support;
  /** Where the table ends, as a place on the body under which its edge lies. */
  readonly edge?: Place;
  /** Bones that the picture is about; left out, the whole body. */
  readonly frame?: readonly BoneId[];
  readonly muscles?: readonly (RegionId | `other.${RegionId}`)[];
  readonly hands?: readonly HandUse[];
  readonly marks?: readonly MarkUse[];
  readonly props?: readonly PropUse[];
  /** No arrow and no ghost for what moves: the marks say it. */
  readonly plainMove?: true;
  /** How the therapist stands, where that matters: drawn as a ghost behind the athlete. */
  readonly stance?: Stance;
  /** The ghost of the set-up, but no arrow from it: something else shows the way. */
  readonly pathless?: true;
  /** A second, small picture where depth decides. */
  readonly inset?: Scene;
  /** Parts left out of the picture. */
  readonly without?: readonly ('other arm' | 'arm' | 'other leg' | 'legs' | 'body')[];
  /** A bone whose far end keeps its place while the joints move: the foot on the floor. */
  readonly anchor?: BoneId;
  /** What is read while it moves, where that is not the far end of the limb: a bone's far end, and the bone about whose near end it goes. */
  readonly path?: readonly [tip: BoneId, about: BoneId];
}
