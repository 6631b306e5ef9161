import type { DayEventBody, EventDaySetUp, Starter } from '@pace-bend/core/eventDay';
import { change, fromJson, rows, type Db } from '../db/pool.ts';

/** What stands in a start list for somebody whose file was erased. */
const NOBODY = 'Erased';

/** Somebody on a start list as they stand there after their file was erased. */
const erased = (starter: Starter): Starter => ({ ...starter, athleteId: null, name: NOBODY });

interface AddedEvent {
  readonly id: string;
  readonly dayId: string;
  readonly data: unknown;
}

/**
 * Takes an athlete's name and file out of every event day: the times stay, whose they were does not. That goes for whoever stood there by
 * their file, and for whoever was a guest by name until something was written down of them.
 */
export async function forgetInEventDays(db: Db, athleteId: string): Promise<void> {
  const records = await rows<AddedEvent>(
    db,
    "SELECT id, event_day_id AS dayId, data FROM event_day_event WHERE JSON_VALUE(data, '$.athleteId') = ? ORDER BY id FOR UPDATE",
    [athleteId],
  );
  const recorded = new Set<string>();
  for (const { id, data } of records) {
    const body = fromJson<Extract<DayEventBody, { kind: 'recorded' }>>(data);
    recorded.add(body.wishId);
    await change(db, 'UPDATE event_day_event SET data = ? WHERE id = ?', [JSON.stringify({ ...body, athleteId: null }), id]);
  }
  const days = await rows<{ id: string; data: unknown }>(
    db,
    `SELECT id, data FROM event_day WHERE JSON_SEARCH(data, 'one', ?, NULL, '$.starters[*].athleteId') IS NOT NULL
     ${records.length > 0 ? `OR id IN (${records.map(() => '?').join(', ')})` : ''} ORDER BY id FOR UPDATE`,
    [athleteId, ...records.map(({ dayId }) => dayId)],
  );
  for (const { id, data } of days) {
    const setUp = fromJson<EventDaySetUp>(data);
    const added = (
      await rows<AddedEvent>(
        db,
        "SELECT id, event_day_id AS dayId, data FROM event_day_event WHERE event_day_id = ? AND JSON_VALUE(data, '$.kind') = 'wish' ORDER BY id FOR UPDATE",
        [id],
      )
    ).map((event) => ({ id: event.id, body: fromJson<Extract<DayEventBody, { kind: 'wish' }>>(event.data) }));
    const theirs = new Set(
      [...setUp.wishes, ...added.map(({ body }) => body.wish)].filter((wish) => recorded.has(wish.id)).map(({ starterId }) => starterId),
    );
    const isThem = (starter: Starter) => starter.athleteId === athleteId || theirs.has(starter.id);
    if (setUp.starters.some(isThem))
      await change(db, 'UPDATE event_day SET data = ?, revision = revision + 1 WHERE id = ?', [
        JSON.stringify({ ...setUp, starters: setUp.starters.map((starter) => (isThem(starter) ? erased(starter) : starter)) }),
        id,
      ]);
    await forgetAdded(db, added, isThem);
  }
  const elsewhere = await rows<AddedEvent>(
    db,
    "SELECT id, event_day_id AS dayId, data FROM event_day_event WHERE JSON_VALUE(data, '$.starter.athleteId') = ? ORDER BY id FOR UPDATE",
    [athleteId],
  );
  await forgetAdded(
    db,
    elsewhere.map(({ id, data }) => ({ id, body: fromJson<Extract<DayEventBody, { kind: 'wish' }>>(data) })),
    (starter) => starter.athleteId === athleteId,
  );
}

async function forgetAdded(
  db: Db,
  added: readonly { readonly id: string; readonly body: Extract<DayEventBody, { kind: 'wish' }> }[],
  isThem: (starter: Starter) => boolean,
): Promise<void> {
  for (const { id, body } of added)
    if (body.starter && isThem(body.starter))
      await change(db, 'UPDATE event_day_event SET data = ? WHERE id = ?', [
        JSON.stringify({ ...body, starter: erased(body.starter) }),
        id,
      ]);
}

/** A guest: on a start list by name, without a file. */
const isGuest = ({ athleteId, name }: Starter) => athleteId === null && name !== NOBODY;

/** How many guests stand by name on the event days of a practice before a day. */
export async function countGuests(db: Db, practiceId: string, before: string): Promise<number> {
  let count = 0;
  for (const { setUp, added } of await daysBefore(db, practiceId, before))
    count += setUp.starters.filter(isGuest).length + added.filter(({ body }) => body.starter && isGuest(body.starter)).length;
  return count;
}

/** Takes the names of guests out of the event days of a practice before a day: the times stay. Returns how many there were. */
export async function forgetGuests(db: Db, practiceId: string, before: string): Promise<number> {
  let count = 0;
  for (const { id, setUp, added } of await daysBefore(db, practiceId, before, true)) {
    const listed = setUp.starters.filter(isGuest).length;
    count += listed + added.filter(({ body }) => body.starter && isGuest(body.starter)).length;
    if (listed > 0)
      await change(db, 'UPDATE event_day SET data = ?, revision = revision + 1 WHERE id = ?', [
        JSON.stringify({ ...setUp, starters: setUp.starters.map((starter) => (isGuest(starter) ? erased(starter) : starter)) }),
        id,
      ]);
    await forgetAdded(db, added, isGuest);
  }
  return count;
}

type AddedWish = { readonly id: string; readonly body: Extract<DayEventBody, { kind: 'wish' }> };

async function daysBefore(
  db: Db,
  practiceId: string,
  before: string,
  lock = false,
): Promise<{ readonly id: string; readonly setUp: EventDaySetUp; readonly added: AddedWish[] }[]> {
  const days = await rows<{ id: string; data: unknown }>(
    db,
    `SELECT id, data FROM event_day WHERE practice_id = ? AND on_date < ? ORDER BY id${lock ? ' FOR UPDATE' : ''}`,
    [practiceId, before],
  );
  const found = [];
  for (const { id, data } of days) {
    const wishes = await rows<AddedEvent>(
      db,
      "SELECT id, event_day_id AS dayId, data FROM event_day_event WHERE event_day_id = ? AND JSON_VALUE(data, '$.kind') = 'wish' ORDER BY id",
      [id],
    );
    found.push({
      id,
      setUp: fromJson<EventDaySetUp>(data),
      added: wishes.map((event): AddedWish => ({ id: event.id, body: fromJson<AddedWish['body']>(event.data) })),
    });
  }
  return found;
}
