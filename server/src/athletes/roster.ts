import type { AthleteSport } from '@pace-bend/core/sport';
import { fromJson, rows, type Db } from '../db/pool.ts';

export interface RosterAthlete {
  readonly id: string;
  readonly name: string;
  readonly sports: readonly AthleteSport[];
}

/** The athletes of a squad, or of the whole practice, by name. */
export async function athletesOf(db: Db, practiceId: string, squadId: string | null): Promise<RosterAthlete[]> {
  const found = await rows<Omit<RosterAthlete, 'sports'> & { sports: unknown }>(
    db,
    `SELECT a.id, a.name, a.sports FROM athlete a WHERE a.practice_id = ?${
      squadId ? ' AND a.id IN (SELECT m.athlete_id FROM squad_member m WHERE m.squad_id = ?)' : ''
    } ORDER BY a.name, a.id`,
    [practiceId, ...(squadId ? [squadId] : [])],
  );
  return found.map((row) => ({ ...row, sports: fromJson(row.sports) }));
}
