import MiniSearch from 'minisearch';
import { motionOf, tradeNames, type Motion } from '@pace-bend/core/body';

/** Accents and large letters are the same as plain ones. */
const plain = (term: string) => term.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** An index over motions: by their own names and the trade's, by muscle and position, with small typing errors. */
export function motionIndex(motions: readonly Motion[]): MiniSearch {
  const index = new MiniSearch({
    fields: ['name', 'trade', 'muscles', 'where'],
    processTerm: (term) => plain(term) || null,
    searchOptions: {
      boost: { name: 4, trade: 4, muscles: 3 },
      prefix: true,
      fuzzy: (term) => (term.length > 7 ? 2 : term.length > 3 ? 1 : false),
      combineWith: 'AND',
      processTerm: (term) => plain(term) || null,
    },
  });
  index.addAll(
    motions.map((motion) => ({
      id: motion.id,
      name: motion.name,
      trade: tradeNames(motion).join(' '),
      muscles: motion.lengthens.join(' '),
      where: `${motion.joint} ${motion.testPosition} ${motion.mode}`,
    })),
  );
  return index;
}

const words = (text: string) =>
  plain(text)
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

/** How literally a motion's own words are what is typed: they begin with it, hold it, or only mean it. */
function literally(id: string, typed: string): number {
  const { name, testPosition } = motionOf(id);
  const own = words(`${name} ${testPosition}`);
  return own.startsWith(typed) ? 2 : own.includes(typed) ? 1 : 0;
}

/** Ids of the motions that what is typed may mean, the likeliest first; null when nothing is typed. Who types a motion's own words gets that one. */
export function findMotions(index: MiniSearch, typed: string): readonly string[] | null {
  const wanted = words(typed);
  if (wanted === '') return null;
  return index
    .search(typed)
    .map((hit) => String(hit.id))
    .sort((a, b) => literally(b, wanted) - literally(a, wanted));
}
