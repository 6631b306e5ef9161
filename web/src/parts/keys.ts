/**
 * Every key, once: the sheet of keys, the README's table and, at the table, the handlers and the words on the buttons are made from it.
 */

/** What a key at the table does. Digits stand apart: each is a score. */
export type TableAct = 'space' | 'next' | 'again' | 'stop' | 'edge' | 'muted' | 'spoken' | 'refer' | 'enter' | 'erase';

export interface KeyRow {
  /** As it is printed on the keys; several stand for the same. */
  readonly keys: readonly string[];
  readonly what: string;
}

interface TableKey extends KeyRow {
  readonly act: TableAct | 'digit';
  /** `KeyboardEvent.key`, letters small. */
  readonly codes: readonly string[];
}

export const TABLE_KEYS: readonly TableKey[] = [
  { act: 'space', keys: ['Space'], codes: [' '], what: 'begin, hold here, go on' },
  { act: 'next', keys: ['→', 'Page ↓'], codes: ['ArrowRight', 'PageDown'], what: 'next' },
  { act: 'again', keys: ['←', 'Page ↑'], codes: ['ArrowLeft', 'PageUp'], what: 'again; pressed at once, the one before' },
  { act: 'digit', keys: ['0–9'], codes: ['0', '1', '2', '3', '4', '5', '6', '7', '8', '9'], what: 'discomfort' },
  { act: 'edge', keys: ['E'], codes: ['e'], what: 'edge now: E and its last two digits' },
  { act: 'erase', keys: ['Backspace'], codes: ['Backspace'], what: 'take back a digit of the edge' },
  { act: 'muted', keys: ['M'], codes: ['m'], what: 'sounds on or off' },
  { act: 'spoken', keys: ['V'], codes: ['v'], what: 'spoken cues on or off' },
  { act: 'refer', keys: ['R'], codes: ['r'], what: 'refer: hold, and write the referral' },
  { act: 'stop', keys: ['Esc'], codes: ['Escape'], what: 'stop' },
  { act: 'enter', keys: ['Enter'], codes: ['Enter'], what: 'at the end: measure again' },
];

export const KEY_GROUPS: readonly { readonly title: string; readonly rows: readonly KeyRow[] }[] = [
  {
    title: 'Anywhere',
    rows: [
      { keys: ['/'], what: 'find an athlete' },
      { keys: ['?'], what: 'this sheet' },
      { keys: ['C'], what: 'cautions of the open visit or athlete, in full' },
    ],
  },
  {
    title: 'The day',
    rows: [
      { keys: ['Alt ↑', 'Alt ↓'], what: 'move the visit by five minutes; with Shift fifteen' },
      { keys: ['Alt ←', 'Alt →'], what: 'shorten, lengthen' },
      { keys: ['Del'], what: 'cancel the visit' },
      { keys: ['Ctrl Z'], what: 'undo' },
    ],
  },
  {
    title: 'Arriving',
    rows: [
      { keys: ['A'], what: 'none of the stop questions' },
      { keys: ['S'], what: 'may be touched: same as last time' },
    ],
  },
  {
    title: 'Measuring',
    rows: [
      { keys: ['0–9'], what: 'into the focused trial' },
      { keys: ['Enter'], what: 'next trial, then the other side, then the next motion' },
      { keys: ['↑', '↓'], what: 'another motion' },
      { keys: ['='], what: 'right side: same as left' },
      { keys: ['Alt P'], what: 'what to measure today' },
      { keys: ['Alt L'], what: 'the set of the last visit' },
      { keys: ['Alt R'], what: 'one round, position by position' },
      { keys: ['Esc'], what: 'take back what was typed in this trial' },
    ],
  },
  {
    title: 'Planning',
    rows: [
      { keys: ['Ctrl Z'], what: 'undo' },
      { keys: ['Ctrl Shift Z'], what: 'redo' },
      { keys: ['Alt ←', 'Alt →'], what: 'move a block' },
      { keys: ['Del'], what: 'take a block out' },
      { keys: ['Tab', '↑', '↓'], what: 'a handle of the stair: seconds, angle, effort; with Shift five steps, Home and End to the bounds' },
    ],
  },
  { title: 'At the table', rows: TABLE_KEYS },
];

/**
 * The first key of an action at the table, as it is printed.
 * @example keyOf('next') // → '→'
 */
export const keyOf = (act: TableAct): string => TABLE_KEYS.find((each) => each.act === act)!.keys[0]!;

/** The table of keys in the README. */
export function keysAsMarkdown(): string {
  const rows = KEY_GROUPS.flatMap(({ title, rows: own }) =>
    own.map(({ keys, what }, i) => `| ${i === 0 ? title.toLowerCase() : ''} | ${keys.map((key) => `\`${key}\``).join(' ')} | ${what} |`),
  );
  return ['| where | key | |', '|---|---|---|', ...rows].join('\n');
}
