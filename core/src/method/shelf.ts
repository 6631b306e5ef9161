import { ENTRIES, type Entry } from '../catalogue/index.ts';
import { METHODS } from './methods.ts';
import type { Method } from './types.ts';

/** Everything that can be planned: the built-in catalogue and ways of working, and a practice's own. */
export interface Shelf {
  readonly entries: ReadonlyMap<string, Entry>;
  readonly methods: ReadonlyMap<string, Method>;
  /** Ids that old plans may still name but that are not offered any more. */
  readonly gone: ReadonlySet<string>;
}

const byId = <T extends { readonly id: string }>(items: readonly T[]) => new Map(items.map((item) => [item.id, item]));

/** What ships with the program. */
export const BUILT_IN: Shelf = { entries: byId(ENTRIES), methods: byId(METHODS), gone: new Set() };

/**
 * The built-in shelf with a practice's own added. An own item never takes the place of a built-in one: ids differ.
 * @example shelfWith({ entries: [], methods: [] }).methods.size === BUILT_IN.methods.size // → true
 */
export function shelfWith(own: { readonly entries: readonly Entry[]; readonly methods: readonly Method[] }): Shelf {
  return {
    entries: new Map([...byId(own.entries), ...BUILT_IN.entries]),
    methods: new Map([...byId(own.methods), ...BUILT_IN.methods]),
    gone: new Set(),
  };
}

/** Entries that are offered, in the order of the catalogue, a practice's own last. */
export function offeredEntries(shelf: Shelf): Entry[] {
  const offered = [...shelf.entries.values()].filter((entry) => !shelf.gone.has(entry.id));
  return offered.sort((a, b) => Number(BUILT_IN.entries.has(b.id)) - Number(BUILT_IN.entries.has(a.id)));
}

/** Ways of working that are offered, a practice's own last. */
export function offeredMethods(shelf: Shelf): Method[] {
  const offered = [...shelf.methods.values()].filter((method) => !shelf.gone.has(method.id));
  return offered.sort((a, b) => Number(BUILT_IN.methods.has(b.id)) - Number(BUILT_IN.methods.has(a.id)));
}
