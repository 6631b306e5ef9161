import type { Motion, Side } from '../body/index.ts';
import { motionOf } from '../body/index.ts';
import { positionsFor, type Entry } from '../catalogue/index.ts';
import { axisOf } from './axis.ts';
import { BUILT_IN, type Shelf } from './shelf.ts';
import type { BlockPlan, ChoiceValues, ListValues, Method, NumberSpec, NumberValues } from './types.ts';

/** Something wrong with a block, and where: `numbers.effort.1`, `sides.0.rounds`. */
export interface BlockProblem {
  readonly path: string;
  readonly message: string;
}

/**
 * The numbers a way of working starts with on a motion, by number id.
 * @example defaultNumbers(CR_BREATH, motion).effort // → [20, 30, 40]
 */
export function defaultNumbers(method: Pick<Method, 'numbers' | 'rounds'>, motion: Pick<Motion, 'roundGain'>): NumberValues {
  return Object.fromEntries(
    method.numbers.map((spec) => [spec.id, defaultOf(spec, motion).slice(0, spec.perRound ? method.rounds.max : 1)]),
  );
}

function defaultOf(spec: NumberSpec, motion: Pick<Motion, 'roundGain'>): readonly number[] {
  if (!('from' in spec.default) && !('timesFirstGain' in spec.default)) return [...spec.default];
  if ('from' in spec.default) return [...motion.roundGain];
  return [spec.default.timesFirstGain * (motion.roundGain[0] ?? 0)];
}

/**
 * The choices a way of working starts with.
 * @example defaultChoices(CR_BREATH).startAt // → 'edge'
 */
export function defaultChoices(method: Method): ChoiceValues {
  return Object.fromEntries(method.choices.map((choice) => [choice.id, choice.default]));
}

/**
 * The stations and directions a way of working starts with on an entry: the entry's own where it names some.
 * @example defaultLists(CR_BREATH, entry) // → {}
 */
export function defaultLists(method: Method, entry: Pick<Entry, 'lists'>): ListValues {
  return Object.fromEntries(method.lists.map((list) => [list.id, (entry.lists?.[list.id] ?? list.default).slice(0, list.max)]));
}

/** What a block begins with before anybody changes it. */
export interface Beginning {
  readonly numbers: NumberValues;
  readonly choices: ChoiceValues;
  readonly rounds: number;
  /** Left out where the way of working has none. */
  readonly lists?: ListValues;
}

/**
 * What a way of working begins with on an entry: the entry's own numbers, choices, rounds and places for it, and the way's where it has none.
 * A practice's own way begins with what the practice gave it; only places come from the entry.
 * @example beginningOf(CR_BREATH, { motionId: 'hip-flexion', doses: { 'cr-breath': { rounds: 2 } } }).rounds // → 2
 */
export function beginningOf(method: Method, entry: Pick<Entry, 'doses' | 'lists' | 'motionId'>): Beginning {
  const dose = entry.doses?.[method.id];
  const places = dose?.lists ?? (method.madeFrom === undefined ? undefined : entry.doses?.[method.madeFrom]?.lists);
  return {
    numbers: { ...defaultNumbers(method, axisOf(method, motionOf(entry.motionId))), ...dose?.numbers },
    choices: { ...defaultChoices(method), ...dose?.choices },
    rounds: dose?.rounds ?? method.rounds.default,
    ...(method.lists.length > 0 ? { lists: defaultLists(method, places ? { lists: { ...entry.lists, ...places } } : entry) } : {}),
  };
}

/** Sides an entry can be done on: its own, or those of its motion. */
export function sidesOf(entry: Pick<Entry, 'sides' | 'motionId'>): readonly Side[] {
  return entry.sides ?? motionOf(entry.motionId).sides;
}

/**
 * A block with what its way of working begins with on its entry, for the given sides in the given order.
 * Throws a RangeError for an unknown entry or way of working.
 */
export function newBlock(id: string, entryId: string, methodId: string, sides: readonly Side[], shelf: Shelf = BUILT_IN): BlockPlan {
  const entry = shelf.entries.get(entryId);
  const method = shelf.methods.get(methodId);
  if (!entry) throw new RangeError(`No catalogue entry has the id "${entryId}".`);
  if (!method) throw new RangeError(`No way of working has the id "${methodId}".`);
  const { rounds, ...begins } = beginningOf(method, entry);
  return { id, entryId, methodId, ...begins, sides: sides.map((side) => ({ side, rounds })) };
}

/**
 * Whether a way of working fits an entry: it is named there, or it is a practice's own made from one that is.
 * @example fits({ ways: ['cr-breath'] }, CR_BREATH) // → true
 */
export function fits(entry: Pick<Entry, 'ways'>, method: Pick<Method, 'id' | 'madeFrom'>): boolean {
  return entry.ways.includes(method.id) || (method.madeFrom !== undefined && entry.ways.includes(method.madeFrom));
}

/**
 * How far down an entry's own order of ways a way of working stands, 0 for its usual one; a practice's own stands where the one does that
 * it was made from, and one that the entry does not name behind all of them.
 * @example wayRank({ ways: ['cr-breath', 'static-hold'] }, { id: 'static-hold' }) // → 1
 */
export function wayRank(entry: Pick<Entry, 'ways'>, method: Pick<Method, 'id' | 'madeFrom'>): number {
  const named = entry.ways.includes(method.id) ? method.id : method.madeFrom;
  const at = named === undefined ? -1 : entry.ways.indexOf(named);
  return at < 0 ? entry.ways.length : at;
}

/**
 * Everything that is wrong with a block, in the order of its fields; an empty list when it can be compiled.
 * The same check runs beside the field, at the server's entrance, and before compiling.
 */
export function checkBlock(block: BlockPlan, shelf: Shelf = BUILT_IN): BlockProblem[] {
  const entry = shelf.entries.get(block.entryId);
  const method = shelf.methods.get(block.methodId);
  const problems: BlockProblem[] = [];
  if (!entry) problems.push({ path: 'entryId', message: `No catalogue entry has the id "${block.entryId}".` });
  if (!method) problems.push({ path: 'methodId', message: `No way of working has the id "${block.methodId}".` });
  if (!entry || !method) return problems;
  if (!fits(entry, method)) problems.push({ path: 'methodId', message: `${method.name} does not fit ${entry.name}.` });
  return [
    ...problems,
    ...checkNumbers(block.numbers, method),
    ...checkChoices(block.choices, method),
    ...checkLists(block.lists ?? {}, method),
    ...checkPosition(block, entry, method),
    ...checkSides(block, method, entry),
  ];
}

function checkNumbers(numbers: NumberValues, method: Method): BlockProblem[] {
  const problems: BlockProblem[] = [];
  for (const spec of method.numbers) {
    const values = numbers[spec.id];
    if (values === undefined && spec.before !== undefined) continue;
    if (!values || values.length === 0) {
      problems.push({ path: `numbers.${spec.id}`, message: `${spec.label} is missing.` });
      continue;
    }
    const most = spec.perRound ? method.rounds.max : 1;
    if (values.length > most)
      problems.push({ path: `numbers.${spec.id}`, message: `${spec.label} takes ${most === 1 ? 'one value' : `at most ${most} values`}.` });
    values.forEach((value, i) => {
      const message = checkNumber(value, spec);
      if (message) problems.push({ path: `numbers.${spec.id}.${i}`, message });
    });
  }
  for (const id of Object.keys(numbers)) {
    if (!method.numbers.some((spec) => spec.id === id))
      problems.push({ path: `numbers.${id}`, message: `${method.name} has no number "${id}".` });
  }
  return problems;
}

const UNIT_WORDS: Record<NumberSpec['unit'], string> = {
  s: ' s',
  pct: ' %',
  share: ' %',
  motion: '',
  times: '',
  breaths: ' breaths',
  score: '',
  grade: '',
  'per-s': ' a second',
  'per-min': ' a minute',
};

/**
 * What is wrong with one value of a number, or null.
 * @example checkNumber(120, effort) // → 'Effort is 5 to 100 %.'
 */
export function checkNumber(value: number, spec: NumberSpec): string | null {
  if (Number.isFinite(value) && value >= spec.min && value <= spec.max) return null;
  return `${spec.label} is ${spec.min} to ${spec.max}${UNIT_WORDS[spec.unit]}.`;
}

/**
 * What is wrong with a count of rounds for a way of working, or null.
 * @example checkRounds(99, CR_BREATH) // → 'Rounds are whole, 1 to 12.'
 */
export function checkRounds(rounds: number, method: Pick<Method, 'rounds'>): string | null {
  const { min, max } = method.rounds;
  return Number.isInteger(rounds) && rounds >= min && rounds <= max ? null : `Rounds are whole, ${min} to ${max}.`;
}

function checkChoices(choices: ChoiceValues, method: Method): BlockProblem[] {
  const problems: BlockProblem[] = [];
  for (const spec of method.choices) {
    // A plan from before there was this choice has its usual one.
    if (choices[spec.id] === undefined) continue;
    if (!spec.options.some((option) => option.id === choices[spec.id])) {
      problems.push({
        path: `choices.${spec.id}`,
        message: `${spec.label} is one of: ${spec.options.map((option) => option.label).join(', ')}.`,
      });
    }
  }
  for (const id of Object.keys(choices)) {
    if (!method.choices.some((spec) => spec.id === id))
      problems.push({ path: `choices.${id}`, message: `${method.name} has no choice "${id}".` });
  }
  return problems;
}

export const LONGEST_PLACE = 40;

function checkLists(lists: ListValues, method: Method): BlockProblem[] {
  const problems: BlockProblem[] = [];
  for (const spec of method.lists) {
    const places = lists[spec.id] ?? spec.default;
    if (places.length < spec.min || places.length > spec.max)
      problems.push({ path: `lists.${spec.id}`, message: `${spec.label}: ${spec.min} to ${spec.max}.` });
    places.forEach((place, i) => {
      if (place.trim() === '' || place.length > LONGEST_PLACE)
        problems.push({ path: `lists.${spec.id}.${i}`, message: `A name of 1 to ${LONGEST_PLACE} characters.` });
    });
  }
  for (const id of Object.keys(lists)) {
    if (!method.lists.some((spec) => spec.id === id))
      problems.push({ path: `lists.${id}`, message: `${method.name} has no list "${id}".` });
  }
  return problems;
}

function checkPosition({ position }: BlockPlan, entry: Entry, method: Method): BlockProblem[] {
  const possible = positionsFor(entry, method);
  if (position === undefined || possible.includes(position)) return [];
  const message = entry.positions.includes(position)
    ? `${method.name} is not done ${position} on ${entry.name}: ${possible.join(', or ')}.`
    : `${entry.name} is done ${entry.positions.join(', or ')}.`;
  return [{ path: 'position', message }];
}

/** Passes over the sides of one block: left, right, left and right again is the most. */
export const MOST_PASSES = 6;

function checkSides(block: BlockPlan, method: Method, entry: Entry): BlockProblem[] {
  const possible = sidesOf(entry);
  const problems: BlockProblem[] = [];
  if (block.sides.length === 0) problems.push({ path: 'sides', message: 'A block works on at least one side.' });
  if (block.sides.length > MOST_PASSES) problems.push({ path: 'sides', message: `At most ${MOST_PASSES} passes over the sides.` });
  block.sides.forEach(({ side, rounds }, i) => {
    if (!possible.includes(side)) problems.push({ path: `sides.${i}.side`, message: `${entry.name} is not done on the ${side}.` });
    if (block.sides[i - 1]?.side === side)
      problems.push({ path: `sides.${i}.side`, message: `The ${side} follows on itself: give it more rounds instead.` });
    const message = checkRounds(rounds, method);
    if (message) problems.push({ path: `sides.${i}.rounds`, message });
  });
  return problems;
}
