import type { Closing, DayConflict, DayEvent, DayEventBody, DayState, EventDaySetUp, Race, Starter, WishState } from './types.ts';

/** What an event is about: two about the same thing are one after the other, or in conflict. */
export function subjectOf(body: DayEventBody): string {
  switch (body.kind) {
    case 'slip':
      return `race ${body.raceId}`;
    case 'scratch':
      return `starter ${body.starterId}`;
    case 'closes':
      return `shift ${body.shiftId}`;
    case 'wish':
      return `wish ${body.wish.id}`;
    case 'promise':
      return 'times';
    case 'takeBack':
      return `event ${body.eventId}`;
    case 'asked':
      return `asked ${body.wishId}`;
    case 'recorded':
      return `record ${body.wishId}`;
    default:
      return `wish ${body.wishId}`;
  }
}

/** The order in which events count: by their clocks, and by their ids where these are equal; so that every device that has them has one day. */
export const inOrder = (events: readonly DayEvent[]): DayEvent[] =>
  [...new Map(events.map((event) => [event.id, event])).values()].sort(
    (a, b) => (a.at < b.at ? -1 : a.at > b.at ? 1 : 0) || (a.id < b.id ? -1 : a.id > b.id ? 1 : 0),
  );

type Mutable = { -readonly [K in keyof WishState]: WishState[K] };

/**
 * The day as it stands: what was set up, and what happened since, whatever the order the events arrived in and however often. What was taken
 * back did not happen. An event whose device did not know of the one before about the same thing is a conflict, unless both say the
 * same; the later one stands, and both are told.
 */
export function foldDay(setUp: Pick<EventDaySetUp, 'races' | 'starters' | 'wishes'>, events: readonly DayEvent[]): DayState {
  const ordered = inOrder(events);
  const taken = new Set<string>();
  // A taking back may itself be taken back: the last word first.
  for (const { id, body } of [...ordered].reverse()) if (body.kind === 'takeBack' && !taken.has(id)) taken.add(body.eventId);
  const races = new Map<string, Race>(setUp.races.map((race) => [race.id, race]));
  const starters = new Map<string, Starter>(setUp.starters.map((starter) => [starter.id, starter]));
  const wishes = new Map<string, Mutable>();
  const addWish = (wish: WishState['wish']) =>
    wishes.set(wish.id, {
      wish,
      status: 'waiting',
      since: null,
      shiftId: null,
      promise: null,
      lateUntil: null,
      overUntil: null,
      beganAt: null,
      asked: null,
      visitId: null,
    });
  setUp.wishes.forEach(addWish);
  let closings: Closing[] = [];
  const conflicts: DayConflict[] = [];
  const last: Record<string, string> = {};
  const lastEvent = new Map<string, DayEvent>();
  const toldAt: Record<string, string> = {};

  for (const event of ordered) {
    const { body, at, id } = event;
    const subject = subjectOf(body);
    const before = lastEvent.get(subject);
    if (before && event.after !== before.id && !saysTheSame(before.body, body) && !taken.has(id) && !taken.has(before.id))
      conflicts.push({ first: before, second: event });
    last[subject] = id;
    lastEvent.set(subject, event);
    // What is in the file is there, whatever is taken back here.
    if (taken.has(id) && body.kind !== 'recorded') continue;
    const on = 'wishId' in body ? wishes.get(body.wishId) : undefined;
    switch (body.kind) {
      case 'here':
        if (on) Object.assign(on, { status: 'here', since: at, lateUntil: null });
        break;
      case 'onTable':
        if (on) Object.assign(on, { status: 'onTable', since: at, beganAt: at, shiftId: body.shiftId, overUntil: null });
        break;
      case 'done':
        if (on) Object.assign(on, { status: 'done', since: at });
        break;
      case 'notComing':
        if (on) Object.assign(on, { status: 'off', since: at });
        break;
      case 'late':
        if (on) Object.assign(on, { status: 'waiting', since: at, lateUntil: body.until });
        break;
      case 'overrun':
        if (on) on.overUntil = body.until;
        break;
      case 'scratch':
        for (const wish of wishes.values())
          if (wish.wish.starterId === body.starterId && (wish.status === 'waiting' || wish.status === 'here'))
            Object.assign(wish, { status: 'off', since: at });
        break;
      case 'slip': {
        const race = races.get(body.raceId);
        if (race) races.set(race.id, { ...race, callAt: body.callAt, startAt: body.startAt });
        break;
      }
      case 'closes':
        closings = [...closings, { shiftId: body.shiftId, from: body.from, until: body.until }];
        break;
      case 'wish':
        if (body.starter && !starters.has(body.starter.id)) starters.set(body.starter.id, body.starter);
        for (const race of [body.race, body.nextRace]) if (race && !races.has(race.id)) races.set(race.id, race);
        if (!wishes.has(body.wish.id)) addWish(body.wish);
        break;
      case 'promise':
        for (const time of body.times) {
          const wish = wishes.get(time.wishId);
          if (!wish) continue;
          wish.promise = { ...time, toldAt: at };
          toldAt[wish.wish.starterId] = at;
        }
        for (const wishId of body.dropped) {
          const wish = wishes.get(wishId);
          if (!wish) continue;
          wish.promise = null;
          toldAt[wish.wish.starterId] = at;
        }
        break;
      case 'asked':
        if (on) on.asked = body.consent;
        break;
      case 'recorded': {
        if (!on) break;
        on.visitId = body.visitId;
        // Whoever was a name only has a file from here on, for every wish of theirs.
        const starter = starters.get(on.wish.starterId);
        if (starter?.athleteId === null) starters.set(starter.id, { ...starter, athleteId: body.athleteId });
        break;
      }
      case 'takeBack':
        break;
    }
  }
  return { races: [...races.values()], starters: [...starters.values()], wishes: [...wishes.values()], closings, conflicts, last, toldAt };
}

/** Two devices that say the same contradict each other in nothing. */
function saysTheSame(a: DayEventBody, b: DayEventBody): boolean {
  return JSON.stringify(Object.entries(a).sort()) === JSON.stringify(Object.entries(b).sort());
}
