import type { DateTime } from 'luxon';
import { change, type Db } from '../db/pool.ts';
import { insertVisit } from '../visits/queries.ts';
import { PEOPLE, TODAY } from './people.ts';
import type { SeededRandom } from './random.ts';

/** Books today's visits, each with what brings them. */
export async function loadToday(db: Db, today: DateTime, random: SeededRandom, athletes: ReadonlyMap<string, string>): Promise<void> {
  for (const { name, at, minutes } of TODAY) {
    const [hour, minute] = at.split(':').map(Number);
    const startsAt = today.set({ hour, minute }).toJSDate();
    const id = random.uuid(startsAt);
    await insertVisit(db, id, { athleteId: athletes.get(name)!, startsAt: startsAt.toISOString(), minutes });
    await change(db, 'UPDATE visit SET complaint = ? WHERE id = ?', [PEOPLE.find((person) => person.name === name)!.complaint, id]);
  }
}
