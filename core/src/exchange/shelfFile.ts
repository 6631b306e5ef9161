import { findEntry, type Variant } from '../catalogue/index.ts';
import {
  checkOwnEntry,
  checkOwnWay,
  checkSteps,
  shelfOf,
  type BlockProblem,
  type OwnEntryFields,
  type OwnItem,
  type OwnProtocolFields,
} from '../method/index.ts';
import { fromFirst } from './shelfFirst.ts';

/** What a practice made, as a file of its own: JSON that says what it is, so that another practice can look at it and take it in. */
const FORMAT = 'pace-bend-shelf';
const VERSION = 2;
export const MOST_ITEMS = 200;

type Fields = OwnItem['fields'];

/** One thing in such a file, under the id it had where it was made. */
export interface ShelfFileItem {
  readonly id: string;
  readonly fields: Fields;
}

/** What of a file can be taken in, and what is wrong with the rest. */
export interface ShelfFileLook {
  readonly items: readonly (ShelfFileItem & { readonly problems: readonly BlockProblem[] })[];
  /** Why nothing can be read of it; null where it can. */
  readonly problem: string | null;
}

/** The file of these things, as text. */
export function shelfFileText(items: readonly ShelfFileItem[]): string {
  return `${JSON.stringify({ format: FORMAT, version: VERSION, items: items.map(({ id, fields }) => ({ id, fields })) }, null, 2)}\n`;
}

const KINDS = ['way', 'entry', 'protocol'] as const;
const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Looks into a file without taking anything in. Ways come first, then entries, then sequences, so that what is needed stands before what
 * needs it; a sequence is held against what ships and what comes with it.
 */
export function lookIntoShelfFile(text: string): ShelfFileLook {
  const found = itemsIn(text);
  if (typeof found === 'string') return { items: [], problem: found };
  const inOrder = KINDS.flatMap((kind) => found.filter(({ fields }) => fields.kind === kind));
  const sound = inOrder.filter(({ fields }) => fields.kind !== 'protocol' && problemsOf(fields, []).length === 0);
  return { items: inOrder.map((item) => ({ ...item, problems: problemsOf(item.fields, sound) })), problem: null };
}

function itemsIn(text: string): ShelfFileItem[] | string {
  let file: unknown;
  try {
    file = JSON.parse(text);
  } catch {
    return 'This is no JSON file.';
  }
  if (!isObject(file) || file.format !== FORMAT || !Array.isArray(file.items)) return 'This is not a file of a shelf.';
  if (file.version !== VERSION && file.version !== 1) return 'This file is of another version.';
  if (file.items.length === 0) return 'There is nothing in it.';
  if (file.items.length > MOST_ITEMS) return `At most ${MOST_ITEMS} things at once.`;
  const items = file.items as unknown[];
  const read = items.flatMap((item): ShelfFileItem[] =>
    isObject(item) && typeof item.id === 'string' && isObject(item.fields) && KINDS.some((kind) => kind === (item.fields as Fields).kind)
      ? [{ id: item.id, fields: item.fields as unknown as Fields }]
      : [],
  );
  return read.length === items.length
    ? file.version === 1
      ? read.map(fromFirst)
      : read
    : 'Something in it is neither a way, an entry nor a sequence.';
}

function problemsOf(fields: Fields, beside: readonly ShelfFileItem[]): readonly BlockProblem[] {
  try {
    if (typeof fields.name !== 'string' || fields.name.trim().length < 2) return [{ path: 'name', message: 'It has no name.' }];
    if (fields.kind === 'way') return checkOwnWay(fields);
    if (fields.kind === 'entry') return checkOwnEntry(fields);
    const items = beside.map(({ id, fields: own }): OwnItem => ({
      id,
      fields: own,
      supersedes: null,
      madeAt: '',
      madeBy: '',
      retiredAt: null,
    }));
    return checkSteps(fields.steps, shelfOf(items));
  } catch {
    // Whatever the file holds in a field's place.
    return [{ path: '', message: 'It cannot be read.' }];
  }
}

/**
 * The fields as they are sent here: ids of things that came with them in the words of this practice, and variants that are not here left out.
 */
export function movedIn(fields: Fields, newIds: ReadonlyMap<string, string>): Fields {
  const here = (id: string) => newIds.get(id) ?? id;
  const known = (id: string) => findEntry(id) !== undefined || [...newIds.values()].includes(id);
  const variants = (given: readonly Variant[]): Variant[] =>
    given.flatMap((each) => {
      if (each.id === undefined) return [each];
      const id = here(each.id);
      return known(id) ? [{ ...each, id }] : [];
    });
  if (fields.kind === 'entry') {
    const { drawnAs, ...rest }: OwnEntryFields = fields;
    return {
      ...rest,
      easier: variants(rest.easier),
      harder: variants(rest.harder),
      ...(drawnAs !== undefined && findEntry(drawnAs) ? { drawnAs } : {}),
    };
  }
  if (fields.kind === 'protocol') {
    const { steps, ...rest }: OwnProtocolFields = fields;
    return { ...rest, steps: steps.map((step) => ({ ...step, entryId: here(step.entryId), methodId: here(step.methodId) })) };
  }
  return fields;
}
