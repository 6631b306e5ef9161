import { SPORTS } from './coded/index.ts';
import type { AthleteSport, PlayedSport, Role, Sport } from './types.ts';

/** The sports that ship and those a practice added; an own one with the id of one that ships takes its place. */
export function allSports(own: readonly Sport[]): Sport[] {
  return [...own, ...SPORTS.filter((sport) => own.every(({ id }) => id !== sport.id))].sort(
    (a, b) => Number(a.standsFor !== undefined) - Number(b.standsFor !== undefined) || (a.name < b.name ? -1 : 1),
  );
}

/**
 * An athlete's sports with what they are. A discipline or role that the sport no longer has is nobody's; a sport that is no longer known
 * is left out.
 * @example playedSports([{ sportId: 'running', discipline: 'trail', role: null, leading: null, words: '' }])[0].discipline.name // → 'Trail'
 */
export function playedSports(entries: readonly AthleteSport[], own: readonly Sport[] = []): PlayedSport[] {
  const known = [...own, ...SPORTS];
  return entries.flatMap((entry): PlayedSport[] => {
    const sport = known.find(({ id }) => id === entry.sportId);
    if (!sport) return [];
    const discipline = sport.disciplines.find(({ id }) => id === entry.discipline) ?? null;
    const role = rolesIn(sport, discipline?.id ?? null).find(({ id }) => id === entry.role) ?? null;
    return [{ sport, discipline, role, leading: sport.leading === undefined ? null : entry.leading, words: entry.words }];
  });
}

/** The roles of a sport that its discipline has; without a discipline, all of them. */
export function rolesIn(sport: Sport, discipline: string | null): readonly Role[] {
  return sport.roles.filter((role) => discipline === null || (role.disciplines?.includes(discipline) ?? true));
}

/**
 * The same in the fewest words: the role, the discipline, or the sport where there is neither; several with commas.
 * @example placeWords(playedSports([{ sportId: 'rowing', discipline: 'sweep', role: 'bow-side', leading: null, words: '' }])) // → 'bow side'
 */
export function placeWords(played: readonly PlayedSport[]): string {
  return played.map(({ sport, discipline, role }) => (role ?? discipline)?.name.toLowerCase() ?? sport.name.toLowerCase()).join(', ');
}

/**
 * What somebody does, in a few words; empty for nothing.
 * @example sportWords(playedSports([{ sportId: 'rowing', discipline: 'sweep', role: 'bow-side', leading: null, words: '' }])) // → 'Rowing, bow side'
 */
export function sportWords(played: readonly PlayedSport[]): string {
  return played
    .map(({ sport, discipline, role, leading, words }) => {
      const parts = [
        ...(role || !discipline ? [] : [discipline.name.toLowerCase()]),
        ...(role ? [role.name.toLowerCase()] : []),
        ...(leading && sport.leading ? [`${leading} ${sport.leading.toLowerCase().split(' ').at(-1)}`] : []),
        ...(words ? [words] : []),
      ];
      return [sport.name, ...parts].join(', ');
    })
    .join('; ');
}
