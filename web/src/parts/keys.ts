/**
 * Every key, once: the sheet of keys, the README's table and, at the table, the handlers and the words on the buttons are made from it.
 */

/** What a key at the table does. Digits stand apart: each is a score. */
export type TableAct =
  | 'space'
  | 'next'
  | 'again'
  | 'more'
  | 'leave'
  | 'until'
  | 'drift'
  | 'brace'
  | 'other'
  | 'swap'
  | 'add'
  | 'found'
  | 'undo'
  | 'stop'
  | 'edge'
  | 'number'
  | 'muted'
  | 'spoken'
  | 'far'
  | 'refer'
  | 'enter'
  | 'erase';

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
  { act: 'space', keys: ['Space', 'Page ↓ held'], codes: [' '], what: 'begin, hold here, go on' },
  { act: 'next', keys: ['→', 'Page ↓'], codes: ['ArrowRight'], what: 'next; the pedal also begins, goes on and ends' },
  { act: 'again', keys: ['←', 'Page ↑'], codes: ['ArrowLeft'], what: 'again; pressed at once, the one before' },
  { act: 'more', keys: ['+', 'Page ↑ held'], codes: ['+', '='], what: 'one more round of this side' },
  { act: 'leave', keys: ['X', 'both Page keys held'], codes: ['x'], what: 'leave the rest of this side' },
  { act: 'until', keys: ['U', 'both Page keys'], codes: ['u'], what: 'until it softens; again: it has' },
  { act: 'drift', keys: ['W'], codes: ['w'], what: 'wrong direction: show the press again' },
  { act: 'brace', keys: ['B'], codes: ['b'], what: 'breath held, bracing: ease off' },
  { act: 'other', keys: ['O'], codes: ['o'], what: 'the other side now' },
  { act: 'swap', keys: ['S'], codes: ['s'], what: 'swap: S and a digit' },
  { act: 'add', keys: ['A'], codes: ['a'], what: 'add here: A and a digit' },
  { act: 'found', keys: ['P'], codes: ['p'], what: 'found: a point in the muscle that is worked on' },
  { act: 'undo', keys: ['Z'], codes: ['z'], what: 'take the last key back, within five seconds' },
  { act: 'digit', keys: ['0–9'], codes: ['0', '1', '2', '3', '4', '5', '6', '7', '8', '9'], what: 'discomfort' },
  {
    act: 'edge',
    keys: ['E', '.'],
    codes: ['e', '.', ','],
    what: 'edge now: E and its last two digits; the fields where something is to be read',
  },
  { act: 'erase', keys: ['Backspace'], codes: ['Backspace'], what: 'take back a digit of the edge' },
  { act: 'number', keys: ['N'], codes: ['n'], what: 'ask for a number: each round, at end range, never' },
  { act: 'muted', keys: ['M'], codes: ['m'], what: 'sounds on or off' },
  { act: 'spoken', keys: ['V'], codes: ['v'], what: 'spoken cues on or off' },
  { act: 'far', keys: ['F'], codes: ['f'], what: 'far view, read from two and a half metres, or near' },
  { act: 'refer', keys: ['R'], codes: ['r'], what: 'stop and refer: the run ends, the referral opens' },
  { act: 'stop', keys: ['Esc', 'Page ↓ twice'], codes: ['Escape'], what: 'stop' },
  { act: 'enter', keys: ['Enter'], codes: ['Enter'], what: 'at the end: measure again' },
];

/** What a key does elsewhere. A row without an act is a field's own. */
export type PageAct =
  | 'find'
  | 'sheet'
  | 'legend'
  | 'cautions'
  | 'refer'
  | 'visitEarlierLater'
  | 'visitLength'
  | 'cancelVisit'
  | 'undo'
  | 'redo'
  | 'allWell'
  | 'sameTouch'
  | 'takeIn'
  | 'answerToday'
  | 'otherPerson'
  | 'openPerson'
  | 'askAgain'
  | 'nextTrial'
  | 'otherMotion'
  | 'sameAsLeft'
  | 'whatToMeasure'
  | 'addMotion'
  | 'nextStep'
  | 'lastSet'
  | 'oneRound'
  | 'takeBackTrial'
  | 'pickSchedule'
  | 'fewerMore'
  | 'homeWork'
  | 'moveBlock'
  | 'bookDue'
  | 'moveEdge'
  | 'takeOut'
  | 'otherSlot'
  | 'moveSlot'
  | 'pinVisit'
  | 'fillWeek'
  | 'keepFree'
  | 'practiseOn'
  | 'practiseEnd';

interface PageKey extends KeyRow {
  readonly act?: PageAct;
}

const PAGES: readonly { readonly title: string; readonly rows: readonly PageKey[] }[] = [
  {
    title: 'Anywhere',
    rows: [
      { act: 'find', keys: ['/'], what: 'find an athlete' },
      { act: 'sheet', keys: ['?'], what: 'this sheet' },
      { act: 'legend', keys: ['L'], what: 'what the marks in the figures mean' },
      { act: 'cautions', keys: ['C'], what: 'cautions of the open visit or athlete, in full' },
      { act: 'refer', keys: ['R'], what: 'in a visit: write the referral' },
      { act: 'nextStep', keys: ['Alt N'], what: 'in a visit: the next step' },
    ],
  },
  {
    title: 'The day',
    rows: [
      { act: 'visitEarlierLater', keys: ['Alt ↑', 'Alt ↓'], what: 'move the visit by five minutes; with Shift fifteen' },
      { act: 'visitLength', keys: ['Alt ←', 'Alt →'], what: 'shorten, lengthen' },
      { act: 'cancelVisit', keys: ['Del'], what: 'cancel the visit' },
      { act: 'undo', keys: ['Ctrl Z'], what: 'undo' },
    ],
  },
  {
    title: 'Arriving',
    rows: [
      { act: 'allWell', keys: ['A'], what: 'none of the stop questions' },
      { act: 'sameTouch', keys: ['S'], what: 'may be touched: same as last time' },
      { act: 'takeIn', keys: ['T'], what: 'apply how they are today' },
      { act: 'answerToday', keys: ['D'], what: 'today’s answers: enter or correct them' },
    ],
  },
  {
    title: 'The morning',
    rows: [
      { act: 'otherPerson', keys: ['↑', '↓'], what: 'another person' },
      { act: 'openPerson', keys: ['Enter'], what: 'twelve weeks of the person' },
      { act: 'askAgain', keys: ['A'], what: 'a check-in page for the person' },
    ],
  },
  {
    title: 'Load',
    rows: [
      { keys: ['↑', '↓', '←', '→'], what: 'another day, another person' },
      { keys: ['0–9'], what: 'a session: minutes, a space or x, how hard (60 7)' },
      { keys: ['Enter'], what: 'keep it and go down' },
      { keys: ['Del'], what: 'remove the day’s sessions' },
      { keys: ['Ctrl V'], what: 'paste from a spreadsheet, a cell a day' },
      { act: 'undo', keys: ['Ctrl Z'], what: 'undo' },
    ],
  },
  {
    title: 'What if',
    rows: [
      { act: 'pickSchedule', keys: ['1', '2', '3', '4'], what: 'choose a schedule' },
      { act: 'fewerMore', keys: ['−', '+'], what: 'visits a week fewer, more' },
      { act: 'homeWork', keys: ['H'], what: 'home work on five days, or none' },
    ],
  },
  {
    title: 'Season',
    rows: [
      { keys: ['Tab'], what: 'the next edge, event or block of the line' },
      { act: 'moveEdge', keys: ['←', '→'], what: 'move the edge by a day; with Shift a week' },
      { keys: ['Enter'], what: 'open the block or the event' },
      { act: 'bookDue', keys: ['1', '2', '3', '4', '5', '6'], what: 'book the visit named in a row of who is due' },
      { act: 'undo', keys: ['Ctrl Z'], what: 'undo' },
      { act: 'redo', keys: ['Ctrl Shift Z'], what: 'redo' },
    ],
  },
  {
    title: 'The week',
    rows: [
      { act: 'otherSlot', keys: ['←', '→', '↑', '↓'], what: 'another time' },
      { act: 'moveSlot', keys: ['Alt ←', 'Alt →', 'Alt ↑', 'Alt ↓'], what: 'move the visit there, or change two' },
      { act: 'pinVisit', keys: ['P'], what: 'pin the visit: it stays put' },
      { act: 'fillWeek', keys: ['F'], what: 'fill the week around the pins' },
      { act: 'keepFree', keys: ['K'], what: 'keep a time free, or give it back' },
      { act: 'takeOut', keys: ['Del'], what: 'remove the visit' },
      { act: 'undo', keys: ['Ctrl Z'], what: 'undo' },
      { act: 'redo', keys: ['Ctrl Shift Z'], what: 'redo' },
    ],
  },
  {
    title: 'Measuring',
    rows: [
      { keys: ['0–9'], what: 'into the focused trial' },
      { act: 'nextTrial', keys: ['Enter'], what: 'next trial, then the other side, then the next motion' },
      { act: 'otherMotion', keys: ['↑', '↓'], what: 'another motion' },
      { act: 'sameAsLeft', keys: ['='], what: 'right side: same as left' },
      { act: 'addMotion', keys: ['Alt M'], what: 'add a motion' },
      { act: 'whatToMeasure', keys: ['Alt P'], what: 'what to measure today' },
      { act: 'lastSet', keys: ['Alt L'], what: 'the set of the last visit' },
      { act: 'oneRound', keys: ['Alt R'], what: 'one round, position by position' },
      { act: 'takeBackTrial', keys: ['Esc'], what: 'take back what was typed in this trial' },
    ],
  },
  {
    title: 'Planning',
    rows: [
      { act: 'undo', keys: ['Ctrl Z'], what: 'undo' },
      { act: 'redo', keys: ['Ctrl Shift Z'], what: 'redo' },
      { act: 'moveBlock', keys: ['Alt ←', 'Alt →'], what: 'move a block' },
      { act: 'takeOut', keys: ['Del'], what: 'remove a block' },
      { keys: ['Tab', '↑', '↓'], what: 'a handle of the stair: seconds, angle, effort; with Shift five steps, Home and End to the bounds' },
    ],
  },
  {
    title: 'Practising',
    rows: [
      { act: 'practiseOn', keys: ['Space', 'Page ↓'], what: 'begin, hold here, go on; counting yourself: the phase is over' },
      { act: 'practiseEnd', keys: ['Esc'], what: 'end here and see how it went' },
    ],
  },
];

export const KEY_GROUPS: readonly { readonly title: string; readonly rows: readonly KeyRow[] }[] = [
  ...PAGES,
  { title: 'At the table', rows: TABLE_KEYS },
];

const keysFor = (act: PageAct): readonly string[] => PAGES.flatMap(({ rows }) => rows).find((row) => row.act === act)!.keys;

/**
 * The keys of an action elsewhere, as they are printed, for a title.
 * @example hintOf('oneRound') // → 'Alt R'
 */
export const hintOf = (act: PageAct): string => keysFor(act).join(', ');

type Pressed = Pick<KeyboardEvent, 'key' | 'code' | 'altKey' | 'ctrlKey' | 'metaKey' | 'shiftKey'>;

/** What a printed key is called by browsers; a Mac's delete key calls itself Backspace. */
const NAMED: Readonly<Record<string, readonly string[]>> = {
  '↑': ['ArrowUp'],
  '↓': ['ArrowDown'],
  '←': ['ArrowLeft'],
  '→': ['ArrowRight'],
  '−': ['-', '−'],
  Del: ['Delete', 'Backspace'],
  Esc: ['Escape'],
  Space: [' '],
  'Page ↓': ['PageDown'],
};

/**
 * Whether a press is the printed key. Alt turns letters into others on many keyboards, so that with it the place of the key counts;
 * Shift is told apart only beside Ctrl, because elsewhere it makes the sign itself or makes steps larger.
 * @example isPrinted({ key: 'π', code: 'KeyP', altKey: true, ctrlKey: false, metaKey: false, shiftKey: false }, 'Alt P') // → true
 */
export function isPrinted(event: Pressed, printed: string): boolean {
  const parts = printed.split(' ');
  const key = printed in NAMED ? printed : parts.at(-1)!;
  const [alt, ctrl, shift] = ['Alt', 'Ctrl', 'Shift'].map((each) => parts.includes(each));
  if (event.altKey !== alt || (event.ctrlKey || event.metaKey) !== ctrl || (ctrl && event.shiftKey !== shift)) return false;
  if (alt && /^[A-Z]$/.test(key)) return event.code === `Key${key}`;
  return (NAMED[key] ?? [key]).some((name) => name.toLowerCase() === event.key.toLowerCase());
}

/**
 * Which of an action's keys was pressed, counted from 0, or null for another one: of two, the first is the way back.
 * @example whichKey({ key: 'ArrowRight', code: 'ArrowRight', altKey: true, ctrlKey: false, metaKey: false, shiftKey: false }, 'moveBlock') // → 1
 */
export function whichKey(event: Pressed, act: PageAct): number | null {
  const at = keysFor(act).findIndex((printed) => isPrinted(event, printed));
  return at < 0 ? null : at;
}
export const isKey = (event: Pressed, act: PageAct): boolean => whichKey(event, act) !== null;

/**
 * The first key of an action at the table, as it is printed.
 * @example keyOf('next') // → '→'
 */
export const keyOf = (act: TableAct): string => TABLE_KEYS.find((each) => each.act === act)!.keys[0]!;

/** What a pedal does: an act of the table, or the one step that is due, from the first to the last. */
export type PedalAct = TableAct | 'step';

interface Gestures {
  readonly press: PedalAct;
  readonly hold: PedalAct;
}

/**
 * What a foot pedal, or a knuckle on the page keys, does: pressed, held down, pressed twice, and both at once. The key a pedal sends can be
 * another one: it is learned at the table.
 */
export const PEDALS = {
  down: { code: 'PageDown', press: 'step', hold: 'space', twice: 'stop' },
  up: { code: 'PageUp', press: 'again', hold: 'more', twice: 'again' },
  both: { press: 'until', hold: 'leave' },
} as const satisfies {
  readonly down: Gestures & { readonly code: string; readonly twice: PedalAct };
  readonly up: Gestures & { readonly code: string; readonly twice: PedalAct };
  readonly both: Gestures;
};

/** The table of keys in the README. */
export function keysAsMarkdown(): string {
  const rows = KEY_GROUPS.flatMap(({ title, rows: own }) =>
    own.map(({ keys, what }, i) => `| ${i === 0 ? title.toLowerCase() : ''} | ${keys.map((key) => `\`${key}\``).join(' ')} | ${what} |`),
  );
  return ['| where | key | |', '|---|---|---|', ...rows].join('\n');
}
