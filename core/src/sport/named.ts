import { SPORTS } from './coded/index.ts';
import { plainWords } from './plain.ts';
import { allSports } from './play.ts';
import type { AthleteSport, Sport } from './types.ts';

/**
 * Sports whose name, synonym, discipline or role holds every word that was typed, best first; all of them for nothing typed.
 * @example findSports('sprint')[0].id // → 'running'
 */
export function findSports(typed: string, own: readonly Sport[] = []): Sport[] {
  const words = plainWords(typed).split(' ').filter(Boolean);
  const rank = (sport: Sport): number => {
    const name = plainWords(sport.name);
    if (words.every((word) => name.includes(word))) return name.startsWith(words[0] ?? '') ? 0 : 1;
    const texts = [
      sport.name,
      ...sport.synonyms,
      ...sport.disciplines.map((each) => each.name),
      ...sport.roles.map((each) => each.name),
    ].map(plainWords);
    return words.every((word) => texts.some((text) => text.includes(word))) ? 2 : 3;
  };
  return allSports(own)
    .map((sport) => ({ sport, at: rank(sport) }))
    .filter(({ at }) => at < 3)
    .sort((a, b) => a.at - b.at)
    .map(({ sport }) => sport);
}

const isCalled = (words: string, { name, synonyms = [] }: { readonly name: string; readonly synonyms?: readonly string[] }) =>
  plainWords(name) === words || synonyms.some((each) => plainWords(each) === words);

/**
 * The discipline and role that a table's words name in a sport, and what is left over as words.
 * @example placeIn(SPORTS.find(({ id }) => id === 'rowing'), { discipline: '', role: 'Starboard', words: '' }).role // → 'bow-side'
 */
export function placeIn(
  sport: Sport,
  said: { readonly discipline: string; readonly role: string; readonly words: string },
): Pick<AthleteSport, 'discipline' | 'role' | 'words'> {
  const role = sport.roles.find((each) => isCalled(plainWords(said.role), each)) ?? null;
  const named =
    sport.disciplines.find((each) => isCalled(plainWords(said.discipline), each)) ??
    sport.disciplines.find((each) => isCalled(plainWords(said.role), each));
  const discipline = named?.id ?? (role?.disciplines?.length === 1 ? role.disciplines[0]! : null);
  const left = [
    ...(said.discipline && !named ? [said.discipline] : []),
    ...(said.role && !role && !NOTHING.has(plainWords(said.role)) && !(named && isCalled(plainWords(said.role), named)) ? [said.role] : []),
    ...(said.words ? [said.words] : []),
  ];
  return { discipline, role: role?.id ?? null, words: left.join(', ') };
}

/** Words that stand for no role. */
const NOTHING = new Set(['', 'none', 'no']);

/** The sport that has a role of this name or synonym, or null. */
export function sportWithRole(said: string, own: readonly Sport[] = []): Sport | null {
  const words = plainWords(said);
  return words === '' ? null : (allSports(own).find((sport) => sport.roles.some((role) => isCalled(words, role))) ?? null);
}

/**
 * What words of somebody else's table mean: a sport, discipline or role by its whole name or synonym, and otherwise another sport with
 * the words kept. Null for no words. A word that only happens to be part of a name is not taken for it.
 * @example sportNamed('Tennis').sportId // → 'racket'
 * @example sportNamed('throw the hay').words // → 'throw the hay'
 */
export function sportNamed(said: string, own: readonly Sport[] = []): AthleteSport | null {
  const words = plainWords(said);
  if (words === '') return null;
  const sports = allSports(own);
  const entry = (sport: Sport, more: Partial<AthleteSport> = {}): AthleteSport => ({
    sportId: sport.id,
    discipline: null,
    role: null,
    leading: null,
    words: '',
    ...more,
  });
  const byName = sports.find((sport) => plainWords(sport.name) === words);
  if (byName) return entry(byName);
  for (const sport of sports) {
    const discipline = sport.disciplines.find((each) => plainWords(each.name) === words);
    if (discipline) return entry(sport, { discipline: discipline.id });
  }
  const bySynonym = sports.find((sport) => isCalled(words, sport));
  return bySynonym
    ? entry(bySynonym)
    : entry(
        SPORTS.find(({ standsFor }) => standsFor === 'another')!,
        { words: said.trim() },
      );
}
