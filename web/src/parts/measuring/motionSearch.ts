import MiniSearch from 'minisearch';
import { tradeNames, type Motion } from '@pace-bend/core/body';

/** Accents and large letters are the same as plain ones. */
const plain = (term: string) => term.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase();

/** An index over motions: by their own names and the trade's, by muscle and position, with small typing errors. */
export function motionIndex(motions: readonly Motion[]): MiniSearch {
  const index = new MiniSearch({
    fields: ['name', 'trade', 'muscles', 'where'],
    processTerm: (term) => plain(term) || null,
    searchOptions: { boost: { name: 4, trade: 4, muscles: 3 }, prefix: true, fuzzy: (term) => (term.length > 7 ? 2 : term.length > 3 ? 1 : false), combineWith: 'AND', processTerm: (term) => plain(term) || null },
  });
  index.addAll(motions.map((motion) => ({ id: motion.id, name: motion.name, trade: tradeNames(motion).join(' '), muscles: motion.lengthens.join(' '), where: `${motion.joint} ${motion.testPosition} ${motion.mode}` })));
  return index;
}

/** Ids of the motions that what is typed may mean, the likeliest first; null when nothing is typed. */
export function findMotions(index: MiniSearch, typed: string): readonly string[] | null {
  return typed.trim() === '' ? null : index.search(typed).map((hit) => String(hit.id));
}
