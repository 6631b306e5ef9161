import fc from 'fast-check';
import { anySetUp } from '../testing/eventDaySetUps.ts';
import { seeded } from '../random/index.ts';
import {
  boardOf,
  checkSetUp,
  DAY_RULES,
  foldDay,
  planDay,
  remediesFor,
  spanOf,
  weightOf,
  type DayEvent,
  type DayEventBody,
  type EventDaySetUp,
  type Minute,
  type PromisedTime,
  type Race,
} from './index.ts';

const MIDNIGHT = Date.parse('2027-05-08T00:00:00.000Z');
const at = (minute: number) => new Date(MIDNIGHT + minute * 60_000).toISOString();
const minuteOf = (instant: string) => (Date.parse(instant) - MIDNIGHT) / 60_000;

/** Stops after so many parts: what is asserted here holds for every plan, the best or not. */
function soon(parts = 3): { readonly stop: () => boolean } {
  let left = parts;
  return { stop: () => --left < 0 };
}

/** One device that sees everything. */
class Device {
  readonly events: DayEvent[] = [];
  constructor(readonly setUp: EventDaySetUp) {}

  get state() {
    return foldDay(this.setUp, this.events);
  }

  say(minute: number, body: DayEventBody): DayEvent {
    const { last } = this.state;
    const subject = 'wishId' in body ? `wish ${body.wishId}` : body.kind === 'promise' ? 'times' : '';
    const event = { id: `e${String(this.events.length).padStart(4, '0')}`, at: at(minute), by: 'Ann', after: last[subject] ?? null, body };
    this.events.push(event);
    return event;
  }

  plan(minute: Minute) {
    return planDay(this.setUp, this.state, minute, minuteOf, soon());
  }

  take(minute: Minute): PromisedTime[] {
    const { changes } = this.plan(minute);
    const times = changes.flatMap(({ to }) => (to ? [to] : []));
    const dropped = changes.flatMap(({ wishId, to }) => (to ? [] : [wishId]));
    if (changes.length > 0) this.say(minute, { kind: 'promise', times, dropped });
    return times;
  }
}

const races: Race[] = [
  { id: 'a', name: 'Heat 1', callAt: 600, startAt: 620 },
  { id: 'b', name: 'Final', callAt: null, startAt: 800 },
];

describe('when a wish may be served', () => {
  // Common practice: begun not more than 90 minutes before the call, ended at least 20 before it; within two hours after.
  test('before, between and after', () => {
    expect(spanOf({ kind: 'before', raceId: 'a', nextRaceId: null }, races, DAY_RULES)).toEqual({ earliest: 510, latestEnd: 580 });
    expect(spanOf({ kind: 'between', raceId: 'a', nextRaceId: 'b' }, races, DAY_RULES)).toEqual({ earliest: 635, latestEnd: 780 });
    expect(spanOf({ kind: 'after', raceId: 'b', nextRaceId: null }, races, DAY_RULES)).toEqual({ earliest: 815, latestEnd: 935 });
    expect(spanOf({ kind: 'after', raceId: 'c', nextRaceId: null }, races, DAY_RULES)).toBeNull();
    expect(spanOf({ kind: 'between', raceId: 'a', nextRaceId: null }, races, DAY_RULES)).toBeNull();
  });
});

describe('the day from its events', () => {
  const day = anySetUp(seeded(4), { people: 6, tables: 2 });
  const event = (id: string, minute: number, body: DayEventBody, after: string | null = null): DayEvent => ({
    id,
    at: at(minute),
    by: 'Ann',
    after,
    body,
  });

  test('is the same whatever the order they arrive in, and however often', () => {
    const wish = fc.constantFrom(...day.wishes.map(({ id }) => id));
    const body = fc.oneof(
      fc.record({ kind: fc.constantFrom('here' as const, 'done' as const, 'notComing' as const), wishId: wish }),
      fc.record({ kind: fc.constant('onTable' as const), wishId: wish, shiftId: fc.constantFrom(...day.shifts.map(({ id }) => id)) }),
      fc.record({ kind: fc.constant('scratch' as const), starterId: fc.constantFrom(...day.starters.map(({ id }) => id)) }),
      fc.record({ kind: fc.constant('takeBack' as const), eventId: fc.constantFrom('e0', 'e1', 'e2', 'e3', 'e4') }),
    );
    const happened = fc.array(fc.tuple(fc.integer({ min: 500, max: 520 }), body), { maxLength: 12 });
    fc.assert(
      fc.property(happened, fc.infiniteStream(fc.nat()), (list, numbers) => {
        const events = list.map(([minute, each], i) => event(`e${i}`, minute, each as DayEventBody));
        const keys = [...numbers.take(events.length * 2)];
        const shuffled = [...events, ...events]
          .map((each, i) => [keys[i]!, each] as const)
          .sort((a, b) => a[0] - b[0])
          .map(([, each]) => each);
        expect(foldDay(day, shuffled)).toEqual(foldDay(day, events));
      }),
    );
  });

  test('what is taken back did not happen, and a taking back can be taken back', () => {
    const [first] = day.wishes;
    const here = event('1', 500, { kind: 'here', wishId: first!.id });
    const back = event('2', 501, { kind: 'takeBack', eventId: '1' });
    const again = event('3', 502, { kind: 'takeBack', eventId: '2' });
    const status = (events: DayEvent[]) => foldDay(day, events).wishes[0]!.status;
    expect([status([here]), status([here, back]), status([here, back, again])]).toEqual(['here', 'waiting', 'here']);
  });

  test('two devices that did not know of each other: told, the later stands; the same said twice is none', () => {
    const [first] = day.wishes;
    const shift = day.shifts[0]!.id;
    const here = event('1', 500, { kind: 'here', wishId: first!.id });
    const off = event('2', 501, { kind: 'notComing', wishId: first!.id }, '1');
    const on = event('3', 502, { kind: 'onTable', wishId: first!.id, shiftId: shift }, '1');
    const state = foldDay(day, [on, here, off]);
    expect(state.conflicts.map(({ first: a, second: b }) => [a.id, b.id])).toEqual([['2', '3']]);
    expect(state.wishes[0]!.status).toBe('onTable');
    // Both say they are here; and one that knew of the other.
    expect(foldDay(day, [here, event('4', 500.5, { kind: 'here', wishId: first!.id })]).conflicts).toEqual([]);
    expect(foldDay(day, [here, off, event('5', 503, { kind: 'here', wishId: first!.id }, '2')]).conflicts).toEqual([]);
  });

  test('a slip moves everybody in the race, a scratch takes what has not begun, one more wish brings its person and race', () => {
    const device = new Device(day);
    const race = day.races.find(({ id }) => day.wishes.some((wish) => wish.raceId === id && wish.kind === 'before'))!;
    device.say(470, { kind: 'slip', raceId: race.id, callAt: race.startAt + 10, startAt: race.startAt + 30 });
    expect(device.state.races.find(({ id }) => id === race.id)!.startAt).toBe(race.startAt + 30);
    const [who] = day.starters;
    const mine = day.wishes.filter(({ starterId }) => starterId === who!.id);
    device.say(480, { kind: 'onTable', wishId: mine[0]!.id, shiftId: day.shifts[0]!.id });
    device.say(481, { kind: 'scratch', starterId: who!.id });
    expect(device.state.wishes.filter(({ wish }) => wish.starterId === who!.id).map(({ status }) => status)).toEqual(
      mine.map((_, i) => (i === 0 ? 'onTable' : 'off')),
    );
    const guest = { id: 'guest', athleteId: null, name: 'A guest' };
    const wish = { ...day.wishes[0]!, id: 'more', starterId: 'guest', raceId: 'late', nextRaceId: null, kind: 'before' as const };
    device.say(482, { kind: 'wish', wish, starter: guest, race: { id: 'late', name: 'Relay', callAt: 700, startAt: 710 }, nextRace: null });
    expect(device.state.starters.at(-1)).toEqual(guest);
    expect(device.state.wishes.at(-1)!.wish.id).toBe('more');
  });
});

describe('times', () => {
  test('a promise is kept while it can be; a slip changes whose race it is, and nobody else’s for nothing', () => {
    const setUp: EventDaySetUp = {
      ...anySetUp(seeded(1), { people: 0, tables: 1 }),
      races,
      starters: ['x', 'y'].map((id) => ({ id, athleteId: null, name: id })),
      starts: [],
      wishes: ['x', 'y'].map((id, i) => ({
        id,
        starterId: id,
        kind: 'before',
        raceId: ['a', 'b'][i]!,
        nextRaceId: null,
        minutes: 10,
        reasons: [],
        therapistId: null,
        protocolId: null,
      })),
      shifts: [{ id: 's', table: 1, therapistId: 'h', from: 500, until: 900 }],
    };
    const device = new Device(setUp);
    expect(device.take(480).map(({ start }) => start)).toEqual([510, 710]);
    expect(device.plan(495).changes).toEqual([]);
    device.say(495, { kind: 'slip', raceId: 'a', callAt: 660, startAt: 680 });
    expect(device.plan(495).changes).toMatchObject([{ wishId: 'x', from: { start: 510 }, to: { start: 570 } }]);
  });

  test('what cannot be served says why, and what would serve it does', () => {
    const found = { full: 0, table: 0, shorter: 0 };
    for (let seed = 1; seed <= 14; seed++) {
      const setUp = anySetUp(seeded(seed), { people: 24, tables: 2 });
      const device = new Device(setUp);
      const plan = device.plan(470);
      for (const { why, span, wishId } of plan.notServed) {
        const { minutes } = setUp.wishes.find(({ id }) => id === wishId)!;
        expect(why === 'no-span').toBe(span === null || span.latestEnd - span.earliest < minutes);
        if (why === 'full') found.full += 1;
      }
      for (const remedy of remediesFor(setUp, device.state, plan, 470, minuteOf, soon)) {
        found[remedy.kind] += 1;
        const changed: EventDaySetUp =
          remedy.kind === 'table'
            ? {
                ...setUp,
                shifts: [...setUp.shifts, { id: 'more', table: remedy.table, therapistId: 'more', from: remedy.from, until: remedy.until }],
              }
            : {
                ...setUp,
                wishes: setUp.wishes.map((wish) =>
                  wish.kind === remedy.of ? { ...wish, minutes: Math.min(wish.minutes, remedy.minutes) } : wish,
                ),
              };
        const then = planDay(changed, foldDay(changed, []), 470, minuteOf, soon(40));
        const weight = ({ times }: { readonly times: readonly PromisedTime[] }) =>
          times.reduce((sum, { wishId }) => sum + weightOf(setUp.wishes.find(({ id }) => id === wishId)!.reasons), 0);
        expect(weight(then)).toBeGreaterThan(weight(plan));
      }
    }
    expect(Math.min(found.full, found.table, found.shorter)).toBeGreaterThan(0);
  });

  /** Through a whole day minute by minute: somebody is late, one does not come, races slip, a table closes, work overruns; new times are taken at once. */
  function throughTheDay(seed: number): Device {
    const random = seeded(seed);
    const int = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
    const device = new Device(anySetUp(random, { people: 14, tables: 2 }));
    const { setUp } = device;
    const end = Math.max(...setUp.shifts.map(({ until }) => until));
    device.take(465);
    for (let minute = 470; minute < end; minute += 3) {
      const { wishes } = device.state;
      const board = boardOf(setUp, device.state, minute, minuteOf);
      for (const { now, next } of board.tables) {
        if (now && now.until! <= minute && random() < 0.8) device.say(minute, { kind: 'done', wishId: now.state.wish.id });
        else if (now && now.until! <= minute) device.say(minute, { kind: 'overrun', wishId: now.state.wish.id, until: minute + 4 });
        else if (!now && next && next.at! <= minute && random() < 0.9)
          device.say(minute, { kind: 'onTable', wishId: next.state.wish.id, shiftId: next.state.promise!.shiftId });
      }
      const waiting = wishes.filter(({ status }) => status === 'waiting');
      if (waiting.length > 0 && random() < 0.03)
        device.say(minute, { kind: 'notComing', wishId: waiting[int(0, waiting.length - 1)]!.wish.id });
      if (waiting.length > 0 && random() < 0.03)
        device.say(minute, { kind: 'late', wishId: waiting[int(0, waiting.length - 1)]!.wish.id, until: minute + int(5, 30) });
      if (random() < 0.04) {
        const race = device.state.races[int(0, setUp.races.length - 1)]!;
        const by = int(5, 25);
        device.say(minute, { kind: 'slip', raceId: race.id, callAt: race.callAt && race.callAt + by, startAt: race.startAt + by });
      }
      if (random() < 0.01)
        device.say(minute, { kind: 'closes', shiftId: setUp.shifts[int(0, 3)]!.id, from: minute + 5, until: minute + 45 });
      device.take(minute);
    }
    return device;
  }

  test('through thirty days: nobody is told twice within ten minutes, nothing is promised outside its time, no table twice', () => {
    let told = 0;
    for (let seed = 1; seed <= 30; seed++) {
      const { events, setUp } = throughTheDay(seed);
      const lastTold = new Map<string, number>();
      for (const [i, { body, at: when }] of events.entries()) {
        if (body.kind !== 'promise') continue;
        const [before, state] = [foldDay(setUp, events.slice(0, i)), foldDay(setUp, events.slice(0, i + 1))];
        const now = minuteOf(when);
        const people = new Set(
          [...body.times.map(({ wishId }) => wishId), ...body.dropped].map(
            (wishId) => setUp.wishes.find(({ id }) => id === wishId)!.starterId,
          ),
        );
        for (const person of people) {
          // The first times of all are told before the day's first minute of work; from then on there are ten minutes of quiet.
          const last = lastTold.get(person);
          if (last !== undefined && now >= 470) expect(now - last).toBeGreaterThanOrEqual(DAY_RULES.quiet);
          lastTold.set(person, now);
          told += 1;
        }
        for (const { wishId, shiftId, start } of body.times) {
          const { wish, status } = state.wishes.find((each) => each.wish.id === wishId)!;
          const span = spanOf(wish, state.races, DAY_RULES)!;
          const shift = setUp.shifts.find(({ id }) => id === shiftId)!;
          // A promise that is kept at another table keeps its time, even one that is just past.
          const stood = before.wishes.find((each) => each.wish.id === wishId)!.promise;
          const soonest = now + (status === 'here' ? 0 : DAY_RULES.notice);
          if (stood?.start !== start) expect(start).toBeGreaterThanOrEqual(Math.max(span.earliest, shift.from, soonest));
          expect(start + wish.minutes).toBeLessThanOrEqual(Math.min(span.latestEnd, shift.until));
        }
        // Those that were just told lie beside each other; one that keeps a promise may begin late by the grace.
        const placed = body.times.map((time) => ({
          ...time,
          until: time.start + setUp.wishes.find(({ id }) => id === time.wishId)!.minutes,
        }));
        for (const a of placed)
          for (const b of placed)
            if (a !== b && a.shiftId === b.shiftId && a.start <= b.start)
              expect(b.start + DAY_RULES.grace).toBeGreaterThanOrEqual(a.until + DAY_RULES.turnover);
      }
    }
    expect(told).toBeGreaterThan(300);
  });
});

describe('the board', () => {
  test('now, next and later by table; late and at risk follow from what lies before', () => {
    const base = anySetUp(seeded(1), { people: 0, tables: 1 });
    const wish = (id: string) => ({
      id,
      starterId: id,
      kind: 'before' as const,
      raceId: 'a',
      nextRaceId: null,
      minutes: 10,
      reasons: [],
      therapistId: null,
      protocolId: null,
    });
    const ids = ['p', 'q', 'r', 's'];
    const setUp: EventDaySetUp = {
      ...base,
      races: [{ id: 'a', name: 'Heat 1', callAt: 600, startAt: 620 }],
      starters: ids.map((id) => ({ id, athleteId: null, name: id.toUpperCase() })),
      wishes: ids.map(wish),
      shifts: [{ id: 'one', table: 1, therapistId: 'h', from: 500, until: 700 }],
    };
    const device = new Device(setUp);
    device.say(490, {
      kind: 'promise',
      times: [
        { wishId: 'p', shiftId: 'one', start: 510 },
        { wishId: 'q', shiftId: 'one', start: 525 },
        { wishId: 'r', shiftId: 'one', start: 540 },
      ],
      dropped: [],
    });
    const board = (minute: number) => boardOf(setUp, device.state, minute, minuteOf);
    expect(board(505).tables[0]).toMatchObject({
      table: 1,
      now: null,
      next: { name: 'P', at: 510 },
      later: [{ name: 'Q' }, { name: 'R' }],
    });
    expect(board(505).untimed.map(({ name }) => name)).toEqual(['S']);
    expect(board(517).tables[0]!.next).toMatchObject({ name: 'P', standing: 'late', by: 7 });
    device.say(517, { kind: 'onTable', wishId: 'p', shiftId: 'one' });
    // P lies until 527, Q begins at 529: four minutes late is within the grace; R at 541 as well.
    expect(board(518).tables[0]).toMatchObject({
      now: { name: 'P', at: 517, until: 527, standing: 'on-time' },
      next: { name: 'Q', at: 525, expected: 529, standing: 'on-time' },
      later: [{ name: 'R', expected: 541, standing: 'on-time' }],
    });
    device.say(520, { kind: 'overrun', wishId: 'p', until: 540 });
    expect(board(520).tables[0]).toMatchObject({
      now: { standing: 'late', by: 13 },
      next: { name: 'Q', expected: 542, standing: 'at-risk', by: 12 },
      later: [{ name: 'R', expected: 554, standing: 'at-risk' }],
    });
    device.say(541, { kind: 'done', wishId: 'p' });
    device.say(541, { kind: 'notComing', wishId: 'q' });
    expect(board(541)).toMatchObject({ finished: [{ name: 'P' }], off: [{ name: 'Q' }] });
  });
});

describe('what was set up', () => {
  const good = anySetUp(seeded(9), { people: 8, tables: 2 });
  test('made-up days are sound, and each kind of nonsense is told at its place', () => {
    expect(checkSetUp(good)).toEqual([]);
    const shift = good.shifts[0]!;
    const paths = (setUp: Partial<EventDaySetUp>) => checkSetUp({ ...good, ...setUp }).map(({ path }) => path);
    expect(paths({ shifts: [shift, { ...shift, id: 'x', therapistId: 'other', from: 600 }] })).toEqual(['shifts.1.from']);
    expect(paths({ shifts: [shift, { ...shift, id: 'x', table: 2 }] })).toEqual(['shifts.1.from']);
    expect(paths({ shifts: [{ ...shift, until: shift.from }] })).toEqual(['shifts.0.until']);
    expect(paths({ shifts: [{ ...shift, table: 5 }] })).toEqual(['shifts.0.table']);
    expect(paths({ races: [...good.races, good.races[0]!] })).toEqual(['races']);
    expect(paths({ races: good.races.map((race, i) => (i === 0 ? { ...race, callAt: race.startAt + 1 } : race)) })).toEqual([
      'races.0.callAt',
    ]);
    expect(paths({ wishes: [{ ...good.wishes[0]!, starterId: 'nobody' }] })).toEqual(['wishes.0.starterId']);
    expect(paths({ wishes: [{ ...good.wishes[0]!, kind: 'between', nextRaceId: null }] })).toEqual(['wishes.0.nextRaceId']);
    expect(paths({ wishes: [{ ...good.wishes[0]!, minutes: 3 }] })).toEqual(['wishes.0.minutes']);
    expect(paths({ offers: [{ ...good.offers[0]!, leastMinutes: 12 }] })).toEqual(['offers.0.leastMinutes']);
    expect(paths({ rules: { ...DAY_RULES, step: 0 } })).toEqual(['rules.step']);
    expect(paths({ rules: { ...DAY_RULES, beforeAtMost: 30, beforeAtLeast: 30 } })).toEqual(['rules.beforeAtMost']);
  });
});
