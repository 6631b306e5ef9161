import { DateTime } from 'luxon';
import { eraseAthlete } from '../athleteFile/erase.ts';
import { withLease } from '../db/lease.ts';
import { change, firstRow, rows, transaction, type Db, type Pool } from '../db/pool.ts';
import { loadEvents, loadSquads } from '../demo/club.ts';
import { loadComparison } from '../demo/comparison.ts';
import { loadDays } from '../demo/days.ts';
import { loadHome } from '../demo/home.ts';
import { PeopleLoader } from '../demo/loadPeople.ts';
import { NEIGHBOURS, PEOPLE } from '../demo/people.ts';
import { SeededRandom } from '../demo/random.ts';
import { loadSeasons } from '../demo/seasons.ts';
import { loadToday } from '../demo/today.ts';

/**
 * Sample athletes: the demo's people with the twelve weeks behind them, their squads, seasons and events, without its accounts, its scope and
 * its studies – those are the practice's own. Each athlete, squad and event is marked, so that all of it can go in one go.
 */

const haveSamples = async (db: Db, practiceId: string): Promise<boolean> =>
  Boolean(await firstRow(db, 'SELECT id FROM athlete WHERE practice_id = ? AND sample LIMIT 1', [practiceId]));

/**
 * One at a time for a practice, by a lease and not by a lock on its row: everything that is written in the practice meanwhile would wait for that.
 */
export const oneAtATime = <T>(pool: Pool, practiceId: string, work: () => Promise<T>): Promise<T> =>
  withLease(pool, `samples ${practiceId.replaceAll('-', '')}`, work);

/** Adds the samples as of today, in one transaction; does nothing when they are there. `by`: who is named as having laid out their seasons. */
export async function addSamples(db: Db, practiceId: string, today: DateTime, by: string): Promise<void> {
  if (await haveSamples(db, practiceId)) return;
  // Added a second time, after they were removed, they are others: no id is ever used again.
  const random = new SeededRandom(crypto.getRandomValues(new Uint32Array(1))[0]!);
  const events = await loadEvents(db, practiceId, today, random);
  const people = new PeopleLoader(db, practiceId, today, random);
  for (const person of [...PEOPLE, ...NEIGHBOURS]) await people.load(person);
  const athletes = people.ids;
  const squads = await loadSquads(db, practiceId, today, random, athletes);
  await loadToday(db, today, random, athletes);
  await loadDays(db, today, random, [...PEOPLE, ...NEIGHBOURS], athletes);
  await loadSeasons({ db, practiceId, today, random, athletes, squads, events, by });
  await loadHome(db, random, athletes);
  await loadComparison(db, today, random, athletes.get('Milo Ferrand')!, by);
  for (const [table, ids] of [
    ['athlete', [...athletes.values()]],
    ['squad', [...squads.values()]],
    ['calendar_event', [...events.values()].map(({ id }) => id)],
  ] as const)
    await change(db, `UPDATE ${table} SET sample = TRUE WHERE id IN (${ids.map(() => '?').join(', ')})`, ids);
}

/** What hangs on a squad, in the order in which nothing is left pointing at what is gone. */
const OF_SQUAD = [
  'DELETE FROM squad_member WHERE squad_id = ?',
  'DELETE FROM coach_squad WHERE squad_id = ?',
  'DELETE FROM check_in_link WHERE squad_id = ?',
  'DELETE FROM calendar_link WHERE squad_id = ?',
  'DELETE FROM calendar_event WHERE squad_id = ?',
  'DELETE FROM season_plan WHERE owner_id = ?',
  'DELETE FROM squad WHERE id = ?',
];

/**
 * Removes the samples with everything that was added to them since: their visits, readings, notes, whatever hands did with them. A sample squad
 * that somebody of the practice's own has joined stays, and is its own from then on. Each athlete goes whole in a transaction of its own, so that
 * nobody who works meanwhile waits long; cut short, it goes on where it was the next time.
 */
export async function removeSamples(pool: Pool, practiceId: string): Promise<void> {
  for (const { id } of await rows<{ id: string }>(pool, 'SELECT id FROM athlete WHERE practice_id = ? AND sample', [practiceId]))
    await eraseAthlete(pool, id);
  await transaction(pool, (db) => removeClub(db, practiceId));
}

async function removeClub(db: Db, practiceId: string): Promise<void> {
  const squads = await rows<{ id: string; own: number }>(
    db,
    'SELECT s.id, EXISTS (SELECT 1 FROM squad_member m WHERE m.squad_id = s.id) AS own FROM squad s WHERE s.practice_id = ? AND s.sample FOR UPDATE',
    [practiceId],
  );
  for (const { id, own } of squads)
    if (own) await change(db, 'UPDATE squad SET sample = FALSE WHERE id = ?', [id]);
    else for (const sql of OF_SQUAD) await change(db, sql, [id]);
  await change(db, 'DELETE n FROM event_not_at n JOIN calendar_event e ON e.id = n.event_id WHERE e.practice_id = ? AND e.sample', [
    practiceId,
  ]);
  await change(db, 'DELETE FROM calendar_event WHERE practice_id = ? AND sample', [practiceId]);
}
