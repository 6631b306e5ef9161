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
import { checkSport, type Origin, type Sport, type SportProblem } from '../sport/index.ts';
import { fromFirst } from './shelfFirst.ts';

/** What a practice made, as a file of its own: JSON that says what it is, so that another practice can look at it and take it in. */
const FORMAT = 'pace-bend-shelf';
const VERSION = 3;
export const MOST_ITEMS = 200;
const LONGEST_LINE = 160;

/** Terms on which something may be given: lines as they are written into the file. A practice may write its own instead. */
export const LICENCES = [
  { line: 'CC0 1.0', words: 'anybody may use, change and pass it on' },
  { line: 'CC BY 4.0', words: 'anybody may, and says who made it' },
  { line: 'CC BY-SA 4.0', words: 'the same, and passes changes on under the same terms' },
  { line: 'For the practice it is given to', words: 'not to be passed on' },
] as const;

type Fields = OwnItem['fields'];

/** One thing in such a file, under the id it had where it was made. */
export interface ShelfFileItem {
  readonly id: string;
  /** Which version of it this is, counted from one. */
  readonly version: number;
  /** Without where it comes from: that stands in the file. */
  readonly fields: Fields;
}
export interface ShelfFileSport {
  readonly id: string;
  readonly version: number;
  readonly sport: Omit<Sport, 'id'>;
}

/** What is written: what a practice made itself under one licence; what came from elsewhere goes on under its own. */
export interface ShelfFileParts {
  readonly from: string;
  readonly licence: string;
  /** Day it is written. */
  readonly savedOn: string;
  readonly items: readonly ShelfFileItem[];
  readonly sports: readonly ShelfFileSport[];
}

export interface SeenItem extends ShelfFileItem {
  readonly origin: Origin;
  readonly problems: readonly BlockProblem[];
}
export interface SeenSport extends ShelfFileSport {
  readonly origin: Origin;
  readonly problems: readonly SportProblem[];
}

/** What of a file can be taken in, and what is wrong with the rest. */
export interface ShelfFileLook {
  readonly items: readonly SeenItem[];
  readonly sports: readonly SeenSport[];
  /** Why nothing can be read of it; null where it can. */
  readonly problem: string | null;
}

/** The file of these things, as text. */
export function shelfFileText({ from, licence, savedOn, items, sports }: ShelfFileParts): string {
  const apart = <T extends { readonly origin?: Origin }>({ origin, ...rest }: T) => ({ ...(origin ? { origin } : {}), rest });
  const file = {
    format: FORMAT,
    version: VERSION,
    from,
    licence,
    savedOn,
    items: items.map(({ id, version, fields }) => {
      const { rest, ...origin } = apart(fields);
      return { id, version, ...origin, fields: rest };
    }),
    sports: sports.map(({ id, version, sport }) => {
      const { rest, ...origin } = apart(sport);
      return { id, version, ...origin, sport: rest };
    }),
  };
  return `${JSON.stringify(file, null, 2)}\n`;
}

/**
 * Which version an own item is: how many it took the place of, one after the other, and itself.
 * @example versionOf('b', [{ id: 'a', supersedes: null }, { id: 'b', supersedes: 'a' }]) // → 2
 */
export function versionOf(id: string, items: readonly Pick<OwnItem, 'id' | 'supersedes'>[]): number {
  const before = new Map(items.map((item) => [item.id, item.supersedes]));
  let version = 1;
  for (let at = before.get(id) ?? null; at !== null && version <= before.size; at = before.get(at) ?? null) version += 1;
  return version;
}

const KINDS = ['way', 'entry', 'protocol'] as const;
const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Looks into a file without taking anything in. Ways come first, then entries, then sequences, so that what is needed stands before what
 * needs it; a sequence is held against what ships and what comes with it.
 */
export function lookIntoShelfFile(text: string): ShelfFileLook {
  const found = readFile(text);
  if (typeof found === 'string') return { items: [], sports: [], problem: found };
  const inOrder = KINDS.flatMap((kind) => found.items.filter(({ fields }) => fields.kind === kind));
  const sound = inOrder.filter(({ fields }) => fields.kind !== 'protocol' && problemsOf(fields, []).length === 0);
  return {
    items: inOrder.map((item) => ({ ...item, problems: problemsOf(item.fields, sound) })),
    sports: found.sports.map((each) => ({ ...each, problems: sportProblems(each.sport) })),
    problem: null,
  };
}

type ReadItem = Omit<SeenItem, 'problems'>;
type ReadSport = Omit<SeenSport, 'problems'>;

function readFile(text: string): { readonly items: ReadItem[]; readonly sports: ReadSport[] } | string {
  let file: unknown;
  try {
    file = JSON.parse(text);
  } catch {
    return 'This is no JSON file.';
  }
  if (!isObject(file) || file.format !== FORMAT || !Array.isArray(file.items)) return 'This is not a file of a shelf.';
  if (file.version !== VERSION && file.version !== 2 && file.version !== 1) return 'This file is of another version.';
  const [items, sports] = [file.items as unknown[], (Array.isArray(file.sports) ? file.sports : []) as unknown[]];
  if (items.length + sports.length === 0) return 'There is nothing in it.';
  if (items.length + sports.length > MOST_ITEMS) return `At most ${MOST_ITEMS} things at once.`;
  const whole = { from: lineOf(file.from), licence: lineOf(file.licence) };
  const readItems = items.flatMap((item): ReadItem[] =>
    isObject(item) &&
    typeof item.id === 'string' &&
    isObject(item.fields) &&
    KINDS.some((kind) => kind === (item.fields as unknown as Fields).kind)
      ? [{ id: item.id, ...versionAndOrigin(item, whole), fields: item.fields as unknown as Fields }]
      : [],
  );
  if (readItems.length !== items.length) return 'Something in it is neither a way, an entry nor a sequence.';
  const readSports = sports.flatMap((each): ReadSport[] =>
    isObject(each) && typeof each.id === 'string' && isObject(each.sport)
      ? [{ id: each.id, ...versionAndOrigin(each, whole), sport: each.sport as unknown as Sport }]
      : [],
  );
  if (readSports.length !== sports.length) return 'Something in it is no sport.';
  return { items: file.version === 1 ? readItems.map((item) => ({ ...item, ...fromFirst(item) })) : readItems, sports: readSports };
}

/** One line of a file, shortened where it is none. */
const lineOf = (value: unknown): string => (typeof value === 'string' ? value.replace(/\s+/g, ' ').trim().slice(0, LONGEST_LINE) : '');

/** Which version something is, and where it comes from: what it says of itself, or else what the file says. */
function versionAndOrigin(
  item: Record<string, unknown>,
  whole: Omit<Origin, 'version'>,
): { readonly version: number; readonly origin: Origin } {
  const count = (value: unknown) =>
    Number.isInteger(value) && (value as number) >= 1 && (value as number) < 10_000 ? (value as number) : 1;
  const version = count(item.version);
  const own = isObject(item.origin) ? item.origin : null;
  return {
    version,
    origin: own ? { from: lineOf(own.from), licence: lineOf(own.licence), version: count(own.version) } : { ...whole, version },
  };
}

function sportProblems(sport: Omit<Sport, 'id'>): readonly SportProblem[] {
  try {
    if (typeof sport.name !== 'string' || sport.name.trim() === '') return [{ path: 'name', message: 'It has no name.' }];
    return checkSport({ ...sport, id: 'read-in' });
  } catch {
    // Whatever the file holds in a field's place.
    return [{ path: '', message: 'It cannot be read.' }];
  }
}

function problemsOf(fields: Fields, beside: readonly Pick<ShelfFileItem, 'id' | 'fields'>[]): readonly BlockProblem[] {
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
 * The fields as they are sent here, with where they come from: ids of things that came with them in the words of this practice, and variants that are not here left out.
 */
export function movedIn({ fields, origin }: Pick<SeenItem, 'fields' | 'origin'>, newIds: ReadonlyMap<string, string>): Fields {
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
      origin,
      easier: variants(rest.easier),
      harder: variants(rest.harder),
      ...(drawnAs !== undefined && findEntry(drawnAs) ? { drawnAs } : {}),
    };
  }
  if (fields.kind === 'protocol') {
    const { steps, ...rest }: OwnProtocolFields = fields;
    return { ...rest, origin, steps: steps.map((step) => ({ ...step, entryId: here(step.entryId), methodId: here(step.methodId) })) };
  }
  return { ...fields, origin };
}
