import type { BlockPlan, Line } from '../method/index.ts';

/** What can happen at the table. A run is a list of these, in the order of their sequence numbers. */
export type RunEventBody =
  /** The count begins. */
  | { readonly kind: 'start' }
  /** The count stops where it is. */
  | { readonly kind: 'hold' }
  /** The count goes on. */
  | { readonly kind: 'go' }
  | { readonly kind: 'next' }
  | { readonly kind: 'again' }
  | { readonly kind: 'discomfort'; readonly score: number }
  /** After easing off: go on from a shorter range. */
  | { readonly kind: 'ease' }
  /** After easing off, or after a press that went the wrong way: this round again, with half the effort. */
  | { readonly kind: 'lighter' }
  | { readonly kind: 'stop' }
  /** The edge as read now, in the block's unit; by a device that stood still there, or by eye. */
  | { readonly kind: 'edge'; readonly value: number; readonly by?: 'device' }
  /** How hard a contraction was pressed, as the gauge heard it: see EffortReached. `of`: which strongest press the percent are of. */
  | {
      readonly kind: 'effort';
      readonly cueIndex: number;
      readonly n: number;
      readonly pct: number | null;
      readonly of: 'today' | 'earlier' | null;
      readonly ms: number;
      readonly insideMs: number;
      readonly overMs: number;
    }
  /** The limb has left the plane of its motion, as the device says it: so many degrees, in words. */
  | { readonly kind: 'plane'; readonly deg: number; readonly words: string }
  /** One more round of this side. */
  | { readonly kind: 'more' }
  /** No more rounds of this side: it is closed now. */
  | { readonly kind: 'leave' }
  /** The press went the wrong way: the round stops, the press is shown again, the round starts over. */
  | { readonly kind: 'drift' }
  /** The breath is held, they brace: off the edge at once. */
  | { readonly kind: 'brace' }
  /** The cue goes on until it softens; once more: it has. */
  | { readonly kind: 'until' }
  /** How it felt before it softened and after, 0–10. */
  | { readonly kind: 'felt'; readonly before: number; readonly after: number }
  /** The other side of this block next. */
  | { readonly kind: 'other' }
  /** A block put in here, or in place of what is left of the present one; `piece` is what it compiled to. */
  | { readonly kind: 'put'; readonly how: 'added' | 'instead'; readonly block: BlockPlan; readonly piece: Pick<Line, 'cues' | 'blocks'> }
  /** What was found belongs to a physician: the run ends here. */
  | { readonly kind: 'refer' }
  /** The last key is taken back, within five seconds of it. */
  | { readonly kind: 'undo' }
  /** Nothing happened; the clock was alive. */
  | { readonly kind: 'beat' }
  /** The run ends here. */
  | { readonly kind: 'finish' };

export type RunEventKind = RunEventBody['kind'];

/** An event with its place on the run's own clock, milliseconds since the run began. */
export type RunEvent = RunEventBody & { readonly atMs: number };

export const RUN_EVENT_KINDS: readonly RunEventKind[] = [
  'start',
  'hold',
  'go',
  'next',
  'again',
  'discomfort',
  'ease',
  'lighter',
  'stop',
  'edge',
  'effort',
  'plane',
  'more',
  'leave',
  'drift',
  'brace',
  'until',
  'felt',
  'other',
  'put',
  'refer',
  'undo',
  'beat',
  'finish',
];

/** Milliseconds within which the last key can be taken back. */
export const UNDO_MS = 5000;

/** What `undo` does not take back: beginnings and ends, waiting and going on, what devices say, and itself. */
const STAYS: ReadonlySet<RunEventKind> = new Set<RunEventKind>(['start', 'hold', 'go', 'effort', 'plane', 'undo', 'beat', 'finish']);

/** What a device has said, not a key: it takes nothing back, and no key takes it back. */
export const isFromDevice = (event: RunEventBody): boolean =>
  event.kind === 'effort' || event.kind === 'plane' || (event.kind === 'edge' && event.by === 'device');

/** What `undo` takes back: whatever else changes where the run is, or what is kept of it. */
export const CAN_BE_UNDONE: ReadonlySet<RunEventKind> = new Set(RUN_EVENT_KINDS.filter((kind) => !STAYS.has(kind)));
