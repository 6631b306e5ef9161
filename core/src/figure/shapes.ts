import type { Pt } from './space.ts';

/** What a shape is, which is all the interface needs to paint it. */
export type Tone =
  | 'skin'
  | 'skin-far'
  | 'hair'
  | 'shorts'
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
  | 'stance'
  | 'ground'
  | 'band'
  | 'lock'
  | 'left'
  | 'right'
  | 'low'
  | 'paper';

export interface Shape {
  /** A path in whole numbers of `PATH_SCALE` to the centimetre; everything else here is in centimetres. */
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
  /** A second, smaller view laid into a corner. */
  readonly inset?: { readonly at: Box; readonly drawing: Drawing };
}

/** What can be seen at a height in pixels: the silhouette and the muscle, then arrows, then hands, then everything. */
export type Detail = 'silhouette' | 'arrow' | 'hands' | 'all';
export const detailAt = (size: number): Detail => (size < 72 ? 'silhouette' : size < 150 ? 'arrow' : size < 290 ? 'hands' : 'all');
