import { SPORTS, type AthleteSport } from '@pace-bend/core/sport';
import type { Db } from '../db/pool.ts';
import { invalid } from '../http/problem.ts';
import { problems } from '../http/validate.ts';
import { ownSportsOf } from './queries.ts';

/** Refuses sports, disciplines and roles that are neither shipped nor the practice's own, each at its place under `path`. */
export async function requireKnownSports(
  db: Db,
  practiceId: string,
  lists: readonly { readonly path: string; readonly sports: readonly AthleteSport[] }[],
): Promise<void> {
  if (lists.every(({ sports }) => sports.length === 0)) return;
  const known = [...(await ownSportsOf(db, practiceId)), ...SPORTS];
  const wrong = lists.flatMap(({ path, sports }) =>
    sports.flatMap(({ sportId, discipline, role }, i) => {
      const sport = known.find(({ id }) => id === sportId);
      if (!sport) return [{ path: `${path}.${i}.sportId`, message: 'No such sport is known.' }];
      return [
        ...(discipline !== null && sport.disciplines.every(({ id }) => id !== discipline)
          ? [{ path: `${path}.${i}.discipline`, message: `${sport.name} has no such discipline.` }]
          : []),
        ...(role !== null && sport.roles.every(({ id }) => id !== role)
          ? [{ path: `${path}.${i}.role`, message: `${sport.name} has no such role.` }]
          : []),
      ];
    }),
  );
  if (wrong.length > 0) throw invalid(problems(wrong));
}
