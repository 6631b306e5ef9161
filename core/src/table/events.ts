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
  /** After easing off: this round again, with half the effort. */
  | { readonly kind: 'lighter' }
  | { readonly kind: 'stop' }
  /** The edge as read now, in the block's unit. */
  | { readonly kind: 'edge'; readonly value: number }
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
  'beat',
  'finish',
];
