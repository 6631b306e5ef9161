import MiniSearch from 'minisearch';
import { MOTION_FACETS, motionOf, REGIONS, type Position } from '@pace-bend/core/body';
import { entryRegions, type Entry, type Tool } from '@pace-bend/core/catalogue';
import type { RegionId } from '@pace-bend/core/figure';
import { fits, type Method } from '@pace-bend/core/method';

export interface ShelfFilter {
  readonly text: string;
  readonly section: string | null;
  readonly position: Position | null;
  readonly tool: Tool | null;
  readonly methodId: string | null;
  /** Muscles pointed at: an entry works on any of them. */
  readonly regions: readonly RegionId[];
}

/** What is searched: every name an entry goes by, what it works on and where, and how it is done. */
function documentOf(entry: Entry, methods: readonly Method[]) {
  const motions = [entry.motionId, ...entry.also].map(motionOf);
  const regions = entry.regions ?? MOTION_FACETS[entry.motionId]?.regions ?? [];
  return {
    id: entry.id,
    name: entry.name,
    synonyms: entry.synonyms.join(' '),
    targets: entry.targets.join(' '),
    motions: motions.map((motion) => `${motion.name} ${motion.testPosition}`).join(' '),
    where: [entry.section, ...regions.map((region) => REGIONS.find((each) => each.id === region)!.name), ...entry.positions].join(' '),
    tools: entry.tools.map((load) => load.tool).join(' '),
    ways: methods
      .filter((method) => fits(entry, method))
      .map((method) => `${method.name} ${method.synonyms.join(' ')}`)
      .join(' '),
  };
}

/** An index over entries that finds what is typed with small mistakes, and words that are begun. */
export function shelfIndex(entries: readonly Entry[], methods: readonly Method[]): MiniSearch {
  const index = new MiniSearch({
    fields: ['name', 'synonyms', 'targets', 'motions', 'where', 'tools', 'ways'],
    searchOptions: {
      boost: { name: 4, synonyms: 3, targets: 3, motions: 1.5, ways: 0.6 },
      prefix: true,
      fuzzy: (term) => (term.length > 7 ? 2 : term.length > 3 ? 1 : false),
      combineWith: 'AND',
    },
  });
  index.addAll(entries.map((entry) => documentOf(entry, methods)));
  return index;
}

/**
 * Entries that fit everything asked for: the best match first, or, with nothing typed, in the order of the catalogue. The index is asked for where
 * something is typed.
 */
export function findOnShelf(index: () => MiniSearch, entries: readonly Entry[], methods: readonly Method[], filter: ShelfFilter): Entry[] {
  const method = filter.methodId === null ? null : methods.find((each) => each.id === filter.methodId);
  const typed = filter.text.trim();
  const ranked =
    typed === ''
      ? entries
      : index()
          .search(typed)
          .flatMap((hit) => entries.find((entry) => entry.id === hit.id) ?? []);
  return ranked.filter(
    (entry) =>
      (filter.section === null || entry.section === filter.section) &&
      (filter.position === null ||
        entry.positions.some((each) => each === filter.position || (each.startsWith('side') && filter.position!.startsWith('side')))) &&
      (filter.tool === null || entry.tools.some((load) => load.tool === filter.tool)) &&
      (!method || fits(entry, method)) &&
      (filter.regions.length === 0 || entryRegions(entry).some((id) => filter.regions.includes(id))),
  );
}
