import type { DayEventBody, EventDaySetUp, Starter } from '@pace-bend/core/eventDay';
import { change, fromJson, rows, type Db } from '../db/pool.ts';

/** What stands in a start list for somebody whose file was erased. */
const NOBODY = 'Erased';

/** Takes an athlete's name and file out of every event day: the times stay, whose they were does not. */
export async function forgetInEventDays(db: Db, athleteId: string): Promise<void> {
  const forgotten = (starter: Starter): Starter =>
    starter.athleteId === athleteId ? { ...starter, athleteId: null, name: NOBODY } : starter;
  const days = await rows<{ id: string; data: unknown }>(
    db,
    "SELECT id, data FROM event_day WHERE JSON_SEARCH(data, 'one', ?, NULL, '$.starters[*].athleteId') IS NOT NULL ORDER BY id FOR UPDATE",
    [athleteId],
  );
  for (const { id, data } of days) {
    const setUp = fromJson<EventDaySetUp>(data);
    await change(db, 'UPDATE event_day SET data = ?, revision = revision + 1 WHERE id = ?', [
      JSON.stringify({ ...setUp, starters: setUp.starters.map(forgotten) }),
      id,
    ]);
  }
  const added = await rows<{ id: string; data: unknown }>(
    db,
    "SELECT id, data FROM event_day_event WHERE JSON_VALUE(data, '$.starter.athleteId') = ? ORDER BY id FOR UPDATE",
    [athleteId],
  );
  for (const { id, data } of added) {
    const body = fromJson<Extract<DayEventBody, { kind: 'wish' }>>(data);
    await change(db, 'UPDATE event_day_event SET data = ? WHERE id = ?', [
      JSON.stringify({ ...body, starter: body.starter && forgotten(body.starter) }),
      id,
    ]);
  }
}
