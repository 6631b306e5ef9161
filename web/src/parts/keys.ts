import { t } from '../words/parts.ts';
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
  { act: 'space', keys: ['Space', t('pageHeld')], codes: [' '], what: t('beginHoldHereGo') },
  { act: 'next', keys: ['→', t('page')], codes: ['ArrowRight'], what: t('nextPedalAlsoBegins') },
  { act: 'again', keys: ['←', t('page2')], codes: ['ArrowLeft'], what: t('againPressedOnceOne') },
  { act: 'more', keys: ['+', t('pageHeld2')], codes: ['+', '='], what: t('oneMoreRoundSide') },
  { act: 'leave', keys: ['X', t('bothPageKeysHeld')], codes: ['x'], what: t('leaveRestSide') },
  { act: 'until', keys: ['U', t('bothPageKeys')], codes: ['u'], what: t('untilSoftensAgain') },
  { act: 'drift', keys: ['W'], codes: ['w'], what: t('wrongDirectionShowPress') },
  { act: 'brace', keys: ['B'], codes: ['b'], what: t('breathHeldBracingEase') },
  { act: 'other', keys: ['O'], codes: ['o'], what: t('otherSideNow') },
  { act: 'swap', keys: ['S'], codes: ['s'], what: t('swapSDigit') },
  { act: 'add', keys: ['A'], codes: ['a'], what: t('addHereDigit') },
  { act: 'found', keys: ['P'], codes: ['p'], what: t('foundPointMuscleWorked') },
  { act: 'undo', keys: ['Z'], codes: ['z'], what: t('takeLastKeyBack') },
  { act: 'digit', keys: ['0–9'], codes: ['0', '1', '2', '3', '4', '5', '6', '7', '8', '9'], what: 'discomfort' },
  {
    act: 'edge',
    keys: ['E', '.'],
    codes: ['e', '.', ','],
    what: t('edgeNowELast'),
  },
  { act: 'erase', keys: ['Backspace'], codes: ['Backspace'], what: t('takeBackDigitEdge') },
  { act: 'number', keys: ['N'], codes: ['n'], what: t('askNumberEachRound') },
  { act: 'muted', keys: ['M'], codes: ['m'], what: t('soundsOff') },
  { act: 'spoken', keys: ['V'], codes: ['v'], what: t('spokenCuesOff') },
  { act: 'far', keys: ['F'], codes: ['f'], what: t('farViewReadFrom') },
  { act: 'refer', keys: ['R'], codes: ['r'], what: t('stopReferRunEnds') },
  { act: 'stop', keys: [t('esc'), t('pageTwice')], codes: ['Escape'], what: 'stop' },
  { act: 'enter', keys: ['Enter'], codes: ['Enter'], what: t('endMeasureAgain') },
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
    title: t('anywhere'),
    rows: [
      { act: 'find', keys: ['/'], what: t('findAthlete') },
      { act: 'sheet', keys: ['?'], what: t('thisSheet') },
      { act: 'legend', keys: ['L'], what: t('whatMarksFiguresMean') },
      { act: 'cautions', keys: ['C'], what: t('cautionsOpenVisitAthlete') },
      { act: 'refer', keys: ['R'], what: t('visitWriteReferral') },
      { act: 'nextStep', keys: [t('altN')], what: t('visitNextStep') },
    ],
  },
  {
    title: t('theDay'),
    rows: [
      { act: 'visitEarlierLater', keys: [t('alt'), t('alt2')], what: t('moveVisitFiveMinutes') },
      { act: 'visitLength', keys: [t('alt3'), t('alt4')], what: t('shortenLengthen') },
      { act: 'cancelVisit', keys: [t('del')], what: t('cancelVisit') },
      { act: 'undo', keys: [t('ctrlZ')], what: 'undo' },
    ],
  },
  {
    title: t('arriving'),
    rows: [
      { act: 'allWell', keys: ['A'], what: t('noneStopQuestions') },
      { act: 'sameTouch', keys: ['S'], what: t('mayTouchedSameLast') },
      { act: 'takeIn', keys: ['T'], what: t('applyHowTheyToday') },
      { act: 'answerToday', keys: ['D'], what: t('todaysAnswersEnterCorrect') },
    ],
  },
  {
    title: t('theMorning'),
    rows: [
      { act: 'otherPerson', keys: ['↑', '↓'], what: t('anotherPerson') },
      { act: 'openPerson', keys: ['Enter'], what: t('twelveWeeksPerson') },
      { act: 'askAgain', keys: ['A'], what: t('checkPagePerson') },
    ],
  },
  {
    title: t('load'),
    rows: [
      { keys: ['↑', '↓', '←', '→'], what: t('anotherDayAnotherPerson') },
      { keys: ['0–9'], what: t('sessionMinutesSpaceX') },
      { keys: ['Enter'], what: t('keepGoDown') },
      { keys: [t('del')], what: t('removeDaysSessions') },
      { keys: [t('ctrlV')], what: t('pasteFromSpreadsheetCell') },
      { act: 'undo', keys: [t('ctrlZ')], what: 'undo' },
    ],
  },
  {
    title: t('whatIf'),
    rows: [
      { act: 'pickSchedule', keys: ['1', '2', '3', '4'], what: t('chooseSchedule') },
      { act: 'fewerMore', keys: ['−', '+'], what: t('visitsWeekFewerMore') },
      { act: 'homeWork', keys: ['H'], what: t('homeWorkFiveDays') },
    ],
  },
  {
    title: t('season'),
    rows: [
      { keys: ['Tab'], what: t('nextEdgeEventBlock') },
      { act: 'moveEdge', keys: ['←', '→'], what: t('moveEdgeDayShift') },
      { keys: ['Enter'], what: t('openBlockEvent') },
      { act: 'bookDue', keys: ['1', '2', '3', '4', '5', '6'], what: t('bookVisitNamedRow') },
      { act: 'undo', keys: [t('ctrlZ')], what: 'undo' },
      { act: 'redo', keys: [t('ctrlShiftZ')], what: 'redo' },
    ],
  },
  {
    title: t('theWeek'),
    rows: [
      { act: 'otherSlot', keys: ['←', '→', '↑', '↓'], what: t('anotherTime') },
      { act: 'moveSlot', keys: [t('alt3'), t('alt4'), t('alt'), t('alt2')], what: t('moveVisitThereChange') },
      { act: 'pinVisit', keys: ['P'], what: t('pinVisitStaysPut') },
      { act: 'fillWeek', keys: ['F'], what: t('fillWeekAroundPins') },
      { act: 'keepFree', keys: ['K'], what: t('keepTimeFreeGive') },
      { act: 'takeOut', keys: [t('del')], what: t('removeVisit') },
      { act: 'undo', keys: [t('ctrlZ')], what: 'undo' },
      { act: 'redo', keys: [t('ctrlShiftZ')], what: 'redo' },
    ],
  },
  {
    title: t('measuring'),
    rows: [
      { keys: ['0–9'], what: t('intoFocusedTrial') },
      { act: 'nextTrial', keys: ['Enter'], what: t('nextTrialThenOther') },
      { act: 'otherMotion', keys: ['↑', '↓'], what: t('anotherMotion') },
      { act: 'sameAsLeft', keys: ['='], what: t('rightSideSameLeft') },
      { act: 'addMotion', keys: [t('altM')], what: t('addMotion') },
      { act: 'whatToMeasure', keys: [t('altP')], what: t('whatMeasureToday') },
      { act: 'lastSet', keys: [t('altL')], what: t('setLastVisit') },
      { act: 'oneRound', keys: [t('altR')], what: t('oneRoundPositionPosition') },
      { act: 'takeBackTrial', keys: [t('esc')], what: t('takeBackWhatTyped') },
    ],
  },
  {
    title: t('planning'),
    rows: [
      { act: 'undo', keys: [t('ctrlZ')], what: 'undo' },
      { act: 'redo', keys: [t('ctrlShiftZ')], what: 'redo' },
      { act: 'moveBlock', keys: [t('alt3'), t('alt4')], what: t('moveBlock') },
      { act: 'takeOut', keys: [t('del')], what: t('removeBlock') },
      { keys: ['Tab', '↑', '↓'], what: t('handleStairSecondsAngle') },
    ],
  },
  {
    title: t('practising'),
    rows: [
      { act: 'practiseOn', keys: ['Space', t('page')], what: t('beginHoldHereGoCounting') },
      { act: 'practiseEnd', keys: [t('esc')], what: t('endHereSeeHow') },
    ],
  },
];

export const KEY_GROUPS: readonly { readonly title: string; readonly rows: readonly KeyRow[] }[] = [
  ...PAGES,
  { title: t('atTheTable'), rows: TABLE_KEYS },
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
  const [alt, ctrl, shift] = ['Alt', t('ctrl'), 'Shift'].map((each) => parts.includes(each));
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
  return [t('whereKey'), '|---|---|---|', ...rows].join('\n');
}
