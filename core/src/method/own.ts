import { MOTIONS, POSITIONS } from '../body/index.ts';
import { SECTIONS, STAGES, TOOLS, type Dose, type Entry } from '../catalogue/index.ts';
import type { Origin } from '../sport/index.ts';
import { checkNumber, checkRounds, LONGEST_PLACE, type BlockProblem } from './block.ts';
import { findMethod } from './methods.ts';
import { arrange, checkOwnRound, type OwnPhase } from './ownRound.ts';
import type { PhaseKind } from './phases.ts';
import type { Protocol, ProtocolStep } from './protocol.ts';
import { shelfWith, type Shelf } from './shelf.ts';
import { phasesOf } from './techniques.ts';
import type { ChoiceValues, ListValues, Method, NumberValues, PhaseNode } from './types.ts';

/** What a practice changed in a way of working that ships with the program. */
export interface OwnWayFields {
  readonly kind: 'way';
  readonly baseId: string;
  readonly name: string;
  readonly purpose: string;
  readonly what: string;
  readonly synonyms: readonly string[];
  readonly schoolsDiffer: string;
  readonly rounds: number;
  /** Defaults by number id; one that is left out is the base's. */
  readonly numbers: NumberValues;
  readonly choices: ChoiceValues;
  readonly lists: ListValues;
  /** The round in the practice's own order; left out where it is the base's. */
  readonly phases?: readonly OwnPhase[];
  readonly origin?: Origin;
}

export interface OwnEntryFields extends Omit<Entry, 'id' | 'claims'> {
  readonly kind: 'entry';
  readonly origin?: Origin;
}

/** A sequence of the practice's own, as a visit had it. */
export interface OwnProtocolFields {
  readonly kind: 'protocol';
  readonly name: string;
  readonly what: string;
  readonly steps: readonly ProtocolStep[];
  readonly origin?: Origin;
}

/** Something of the practice's own on the shelf. It is never changed: a change is a new item that points at the one it takes the place of. */
export interface OwnItem {
  readonly id: string;
  readonly fields: OwnWayFields | OwnEntryFields | OwnProtocolFields;
  readonly supersedes: string | null;
  readonly madeAt: string;
  readonly madeBy: string;
  readonly retiredAt: string | null;
}

/**
 * A practice's own way of working: its base with other defaults and words, and its round arranged anew where it says so. Throws a RangeError for an unknown base.
 * @example ownWay('mine', { kind: 'way', baseId: 'cr-breath', name: 'Ours', purpose: '', what: '', synonyms: [], schoolsDiffer: '', rounds: 2, numbers: {}, choices: {}, lists: {} }).rounds.default // → 2
 */
export function ownWay(id: string, fields: OwnWayFields): Method {
  const found = findMethod(fields.baseId);
  if (!found) throw new RangeError(`No way of working has the id "${fields.baseId}".`);
  const base = fields.phases ? arrange(found, fields.phases) : found;
  return {
    ...base,
    id,
    madeFrom: base.id,
    name: fields.name,
    purpose: fields.purpose || base.purpose,
    what: fields.what || base.what,
    schoolsDiffer: fields.schoolsDiffer || base.schoolsDiffer,
    synonyms: [...new Set([...fields.synonyms, base.name.toLowerCase()])],
    rounds: { ...base.rounds, default: fields.rounds },
    numbers: base.numbers.map((spec) => ({ ...spec, default: fields.numbers[spec.id] ?? spec.default })),
    choices: base.choices.map((choice) => ({ ...choice, default: fields.choices[choice.id] ?? choice.default })),
    lists: base.lists.map((list) => ({ ...list, default: fields.lists[list.id] ?? list.default })),
  };
}

/** Everything that is wrong with a practice's own way of working, each with its path. */
export function checkOwnWay(fields: OwnWayFields): BlockProblem[] {
  const found = findMethod(fields.baseId);
  if (!found) return [{ path: 'baseId', message: `No way of working has the id "${fields.baseId}".` }];
  const problems: BlockProblem[] = fields.phases ? checkOwnRound(found, fields.phases) : [];
  problems.push(...checkDose(fields.phases ? arrange(found, fields.phases) : found, fields));
  return problems;
}

/** Everything that is wrong with what a way begins with: rounds, numbers, choices and places, each with its path. */
export function checkDose(method: Method, { rounds, numbers = {}, choices = {}, lists = {} }: Dose): BlockProblem[] {
  const problems: BlockProblem[] = [];
  const wrong = rounds === undefined ? null : checkRounds(rounds, method);
  if (wrong) problems.push({ path: 'rounds', message: wrong });
  for (const [id, values] of Object.entries(numbers)) {
    const spec = method.numbers.find((each) => each.id === id);
    if (!spec) problems.push({ path: `numbers.${id}`, message: `${method.name} has no number "${id}".` });
    else if (values.length === 0 || values.length > (spec.perRound ? method.rounds.max : 1))
      problems.push({
        path: `numbers.${id}`,
        message: `${spec.label} takes ${spec.perRound ? `at most ${method.rounds.max} values` : 'one value'}.`,
      });
    else
      values.forEach((value, i) => {
        const message = checkNumber(value, spec);
        if (message) problems.push({ path: `numbers.${id}.${i}`, message });
      });
  }
  for (const [id, value] of Object.entries(choices)) {
    if (!method.choices.find((each) => each.id === id)?.options.some((option) => option.id === value))
      problems.push({ path: `choices.${id}`, message: `${method.name} does not offer this.` });
  }
  for (const [id, places] of Object.entries(lists)) {
    const spec = method.lists.find((each) => each.id === id);
    if (
      !spec ||
      places.length < spec.min ||
      places.length > spec.max ||
      places.some((place) => place.trim() === '' || place.length > LONGEST_PLACE)
    )
      problems.push({
        path: `lists.${id}`,
        message: spec ? `${spec.label}: ${spec.min} to ${spec.max}, each with a name.` : `${method.name} has no list "${id}".`,
      });
  }
  return problems;
}

/** A line is read across a room. */
const MOST_WORDS = 6;

/**
 * What a way says in its phases where nothing else was chosen, with what goes with it: an entry may say it in its own words. Setting up,
 * showing the press, the way home and the rest are said by the entry anyway.
 */
export function sayable(
  method: Pick<Method, 'opening' | 'round' | 'closing' | 'choices'>,
): { readonly words: string; readonly detail: string }[] {
  const usual = (node: PhaseNode) =>
    (node.when ?? []).every(
      (each) => !('choice' in each) || method.choices.some((choice) => choice.id === each.choice && choice.default === each.is),
    );
  const found = new Map<string, string>();
  const go = (nodes: readonly PhaseNode[]): void => {
    for (const node of nodes.filter(usual)) {
      if ('each' in node) go(node.phases);
      else if (!SAID_ANYWAY.includes(node.kind) && !found.has(node.text)) found.set(node.text, node.detail);
    }
  };
  for (const nodes of [method.opening, method.round, method.closing]) go(nodes);
  return [...found].map(([words, detail]) => ({ words, detail }));
}

const SAID_ANYWAY: readonly PhaseKind[] = ['set-up', 'rehearse', 'rest'];

/** Everything that is wrong with a practice's own entry, each with its path. */
export function checkOwnEntry(fields: OwnEntryFields): BlockProblem[] {
  const problems: BlockProblem[] = [];
  const need = (path: string, sound: boolean, message: string) => {
    if (!sound) problems.push({ path, message });
  };
  need('section', SECTIONS.includes(fields.section), 'Choose a part of the body.');
  need('stage', STAGES.includes(fields.stage), 'Choose where in a visit it belongs.');
  need(
    'motionId',
    MOTIONS.some((each) => each.id === fields.motionId),
    'Choose the motion that shows whether it worked.',
  );
  need(
    'positions',
    fields.positions.length > 0 && fields.positions.every((position) => POSITIONS.includes(position)),
    'Choose at least one position.',
  );
  for (const position of fields.positions.slice(1))
    need(
      `places.${position}`,
      (fields.places?.[position]?.setUp.trim().length ?? 0) > 1,
      'Say in one sentence how it is set up in this position.',
    );
  for (const [position, { without = [] }] of Object.entries(fields.places ?? {}))
    need(
      `places.${position}`,
      without.every((way) => fields.ways.some((each) => each === way)),
      'Only ways of working chosen can be left out in a position.',
    );
  need(
    'places',
    Object.keys(fields.places ?? {}).every((position) => fields.positions.slice(1).some((each) => each === position)),
    'Only positions it has, other than the usual one, have a set-up of their own.',
  );
  for (const id of ['lead', 'ease', 'play'] as const)
    need(
      id,
      fields[id] === undefined || (fields[id].trim() !== '' && fields[id].trim().split(/\s+/).length < MOST_WORDS),
      `Say it in ${MOST_WORDS - 1} words at most.`,
    );
  for (const [way, lines] of Object.entries(fields.says ?? {})) {
    const method = fields.ways.some((each) => each === way) ? findMethod(way) : undefined;
    for (const [words, { text }] of Object.entries(lines)) {
      need(
        `says.${way}.${words}`,
        method !== undefined && phasesOf(method).some((each) => each.text === words),
        'None of the ways of working chosen says this.',
      );
      need(
        `says.${way}.${words}`,
        text.trim() !== '' && text.trim().split(/\s+/).length <= MOST_WORDS,
        `Say it in ${MOST_WORDS} words at most.`,
      );
    }
  }
  for (const [way, dose] of Object.entries(fields.doses ?? {})) {
    const method = fields.ways.some((each) => each === way) ? findMethod(way) : undefined;
    if (!method) need(`doses.${way}`, false, 'It is not one of the ways of working chosen.');
    else for (const { path, message } of checkDose(method, dose)) need(`doses.${way}.${path}`, false, message);
  }
  need('ways', fields.ways.length > 0 && fields.ways.every((way) => findMethod(way) !== undefined), 'Choose at least one way of working.');
  need(
    'tools',
    fields.tools.length > 0 && fields.tools.every(({ tool, share }) => TOOLS.includes(tool) && share >= 0 && share <= 1),
    'Choose what of you does the work.',
  );
  need(
    'also',
    fields.also.every((id) => MOTIONS.some((each) => each.id === id)),
    'Choose motions from the list.',
  );
  for (const [id, places] of Object.entries(fields.lists ?? {})) {
    const specs = fields.ways.flatMap((way) => findMethod(way)?.lists.filter((list) => list.id === id) ?? []);
    need(`lists.${id}`, specs.length > 0, 'None of the ways of working chosen takes these.');
    const least = Math.max(0, ...specs.map((spec) => spec.min));
    if (specs.length > 0)
      need(
        `lists.${id}`,
        places.length >= least && places.every((place) => place.trim() !== '' && place.length <= LONGEST_PLACE),
        `${specs[0]!.label}: at least ${least}, each 1 to ${LONGEST_PLACE} characters.`,
      );
  }
  // Pressing one side of the back has two sides although its motion has none.
  if (fields.sides) need('sides', fields.sides.length > 0, 'Choose the sides it is done on.');
  return problems;
}

/** The shelf of a practice: every version of its own items can be looked up, only those that stand are offered. */
export function shelfOf(items: readonly OwnItem[]): Shelf {
  const methods = items.flatMap(({ id, fields }) => (fields.kind === 'way' ? [ownWay(id, fields)] : []));
  const entries = items.flatMap(({ id, fields }): Entry[] => {
    if (fields.kind !== 'entry') return [];
    const { kind: _kind, ...rest } = fields;
    return [{ ...rest, id }];
  });
  const gone = new Set(
    items.flatMap((item) => [...(item.supersedes === null ? [] : [item.supersedes]), ...(item.retiredAt === null ? [] : [item.id])]),
  );
  return { ...shelfWith({ entries, methods }), gone };
}

/** The practice's own sequences that stand, oldest first: not those a newer version took the place of, nor those taken off the shelf. */
export function protocolsOf(items: readonly OwnItem[]): Protocol[] {
  const replaced = new Set(items.flatMap((item) => (item.supersedes === null ? [] : [item.supersedes])));
  return items.flatMap(({ id, fields, retiredAt }): Protocol[] => {
    if (fields.kind !== 'protocol' || retiredAt !== null || replaced.has(id)) return [];
    const [first, ...more] = fields.steps;
    return first ? [{ id, name: fields.name, what: fields.what, minutes: null, steps: [first, ...more] }] : [];
  });
}
