import fc from 'fast-check';
import { ENTRIES, findEntry, type Entry } from '../catalogue/index.ts';
import { CONTEXT, condition } from '../caution/testing.ts';
import { courseOf } from '../cycle/index.ts';
import { entryScene } from '../catalogue/index.ts';
import { drawScene } from '../figure/index.ts';
import { NOTHING_KNOWN } from '../measure/index.ts';
import { BUILT_IN, shelfWith } from '../method/index.ts';
import { HOME_DONE, HOME_LIMITS, type GivenSheet, type HomeDone, type HomeItem, type PastHome, type PastReading } from '../record/index.ts';
import {
  doseLine,
  doseNumbers,
  homeItem,
  homeOffers,
  homeShareBetween,
  homeSides,
  judgeItem,
  keptBeside,
  motionsOfItem,
  sheetText,
  sideWords,
  spanWords,
  tickRows,
} from './index.ts';

const HOME = ENTRIES.filter((entry) => entry.stage === 'home');
const NOTHING = { worked: [], short: [], last: null };

test.each(HOME.map((entry) => [entry.id, entry] as const))(
  '%s: everything an athlete alone needs is said, short and in plain words',
  (_, entry) => {
    const home = entry.home!;
    expect(home.how.length).toBeLessThanOrEqual(HOME_LIMITS.howLength - ' Then the other side.'.length);
    expect(home.stop.length).toBeLessThanOrEqual(HOME_LIMITS.stopLength);
    for (const [value, { min, max }] of [
      [home.times, HOME_LIMITS.times],
      [home.perDay, HOME_LIMITS.perDay],
      [home.sets ?? 1, HOME_LIMITS.sets],
      [home.seconds ?? 1, HOME_LIMITS.seconds],
    ] as const)
      expect(value >= min && value <= max).toBe(true);
    // No word of the trade, and no placeholder left.
    expect(`${home.how} ${home.stop}`).not.toMatch(
      /gastrocnemius|soleus|tibialis|adductor|dorsiflexion|contract|mobiliz|isometric|supine|prone/i,
    );
    for (const side of homeSides(entry)) expect(sideWords(home.how, [side])).not.toMatch(/[{}]/);
    // Sides are named where there are sides, and only there.
    expect(/\{side\}|\{Side\}/.test(home.how)).toBe(homeSides(entry).length > 1);
    expect(drawScene(entryScene(entry), { size: 100 }).shapes.length).toBeGreaterThan(5);
  },
);

test('what is work for home says how, and nothing else does', () => {
  expect(ENTRIES.filter((entry) => (entry.home !== undefined) !== (entry.stage === 'home')).map(({ id }) => id)).toEqual([]);
  expect(HOME.length).toBeGreaterThanOrEqual(11);
});

test('a side stands in the words, at the beginning of a sentence with a capital, and of both the left first', () => {
  expect(sideWords('{side} foot back. {side} knee, not the {other}.', ['right'])).toBe('Right foot back. Right knee, not the left.');
  expect(sideWords('Lift the {side} leg.', ['left', 'right'])).toBe('Lift the left leg. Then the other side.');
  expect(sideWords('Breathe.', ['midline'])).toBe('Breathe.');
});

describe('the dose', () => {
  const item = (fields: Partial<HomeItem>): HomeItem => ({ ...homeItem('i', findEntry('home-front-of-shin')!, ['left']), ...fields });

  test('as large numbers with a word under each', () => {
    expect(
      doseNumbers(
        item({
          sides: [
            { side: 'left', times: 3 },
            { side: 'right', times: 2 },
          ],
          seconds: 30,
        }),
      ),
    ).toEqual([
      { number: '30 s', said: 'each time' },
      { number: '3', said: 'left' },
      { number: '2', said: 'right' },
      { number: '1 × a day', said: 'after training' },
    ]);
    expect(doseLine(homeItem('i', findEntry('home-bridge')!, ['midline']))).toBe('2 s each time, 2 × 10 times, 1 × a day any time');
    expect(doseLine(homeItem('i', findEntry('home-breathing')!, ['midline']))).toBe('10 breaths, 1 × a day before sleep');
    expect(doseLine(homeItem('i', findEntry('home-hot-water')!, ['midline']))).toBe('5 min at a time, 1 × a day in the evening');
  });

  test('seconds are minutes where they come out', () => {
    expect([45, 90, 100, 120, 150, 300].map(spanWords)).toEqual(['45 s', '90 s', '100 s', '2 min', '2.5 min', '5 min']);
  });

  test('every number that was given is in the line and on the sheet', () => {
    const given = fc.record({
      seconds: fc.option(fc.integer(HOME_LIMITS.seconds)),
      left: fc.integer(HOME_LIMITS.times),
      right: fc.integer(HOME_LIMITS.times),
      sets: fc.integer(HOME_LIMITS.sets),
      perDay: fc.integer(HOME_LIMITS.perDay),
    });
    fc.assert(
      fc.property(given, ({ seconds, left, right, sets, perDay }) => {
        const one = item({
          sides: [
            { side: 'left', times: left },
            { side: 'right', times: right },
          ],
          seconds,
          sets,
          perDay,
        });
        const words = sheetText({ items: [one], words: '' }, 'Ann', 'Friday');
        for (const part of [`${left} left`, `${right} right`, `${perDay} × a day`, ...(seconds === null ? [] : [spanWords(seconds)])])
          expect(words).toContain(part);
        if (sets > 1) expect(words).toContain(`${sets} × ${left}`);
        expect(tickRows(one).map(({ label }) => label)).toEqual(['left', 'right']);
      }),
    );
  });

  test('a text for a code keeps the dose whatever it has to leave out', () => {
    const items = HOME.slice(0, 8).map((entry, i) => homeItem(String(i), entry, homeSides(entry)));
    const whole = sheetText({ items, words: '' }, 'Ann', 'Friday');
    const short = sheetText({ items, words: '' }, 'Ann', 'Friday', 1400);
    expect(whole).toContain(items[0]!.how);
    expect(new TextEncoder().encode(short).length).toBeLessThanOrEqual(1400);
    for (const each of items) expect(short).toContain(`${each.name}: ${doseLine(each)}`);
  });
});

describe('what can be given', () => {
  test('what today speaks for comes first, on its own side, with the reason', () => {
    const offers = homeOffers(
      { worked: [{ motionId: 'ankle-plantar-flexion', side: 'right' }], short: [{ motionId: 'knee-to-wall', side: 'left' }], last: null },
      CONTEXT,
      [],
      BUILT_IN,
    );
    expect(offers.slice(0, 3).map(({ entry, sides, why }) => [entry.id, sides, why])).toEqual([
      ['home-calf-release', ['left'], 'still short of the goal'],
      ['home-hot-water', ['midline'], 'worked on today'],
      ['home-front-of-shin', ['right'], 'worked on today'],
    ]);
    expect(offers).toHaveLength(HOME.length);
    expect(offers.every(({ entry }) => entry.stage === 'home')).toBe(true);
  });

  test('the side a motion is read on is not the side that is worked on: the neck bends away from it', () => {
    const neck = motionsOfItem(homeItem('i', findEntry('home-neck-desk')!, ['left']), BUILT_IN);
    expect(neck).toContainEqual({ motionId: 'neck-side-bend', side: 'right' });
  });

  test('what cautions forbid comes last, cannot be given, and says why; on a sheet from before it is forbidden too', () => {
    const context = {
      ...CONTEXT,
      subject: {
        ...CONTEXT.subject,
        conditions: [condition('achilles-repair', { region: 'calf', side: 'left', surgeryOn: '2026-11-10' })],
      },
    };
    const offers = homeOffers(NOTHING, context, [], BUILT_IN);
    const calf = offers.find(({ entry }) => entry.id === 'home-calf-release')!;
    expect(calf.sides).toEqual(['right']);
    const item = homeItem('i', findEntry('home-calf-release')!, ['left']);
    expect(judgeItem(item, CONTEXT, [], BUILT_IN).forbidden).toBeNull();
    expect(judgeItem(item, context, [], BUILT_IN).forbidden).toMatch(/./);
  });

  test('an entry that is gone, a side it is not done on, a hold that is too long', () => {
    const item = homeItem('i', findEntry('home-front-of-shin')!, ['left']);
    expect(judgeItem({ ...item, entryId: 'gone' }, CONTEXT, [], BUILT_IN).forbidden).toContain('no longer on the shelf');
    expect(judgeItem({ ...item, sides: [{ side: 'midline', times: 1 }] }, CONTEXT, [], BUILT_IN).forbidden).toContain(
      'not done on that side',
    );
    expect(() => homeItem('i', findEntry('static-hold')!, ['left'])).toThrow();
    expect(() => homeItem('i', findEntry('home-bridge')!, ['left'])).toThrow(RangeError);
    expect(homeItem('i', findEntry('home-front-of-shin')!, ['left'], { holdS: 6 }).seconds).toBe(6);
  });

  test('a practice’s own work for home is offered like those that ship', () => {
    const own: Entry = { ...findEntry('home-bridge')!, id: 'own-bridge', name: 'Bridge on one leg' };
    const shelf = shelfWith({ entries: [own], methods: [] });
    expect(homeOffers(NOTHING, CONTEXT, [], shelf).map(({ entry }) => entry.id)).toContain('own-bridge');
  });
});

describe('what was done', () => {
  const dayOf = (instant: string) => instant.slice(0, 10);
  const at = (day: number) => new Date(Date.UTC(2026, 9, 1 + day, 9)).toISOString();
  const shin = homeItem('shin', findEntry('home-front-of-shin')!, ['left']);
  const sheetOn = (day: number, until: number, items = [shin]): GivenSheet => ({
    visitId: `v${day}`,
    startsAt: at(day),
    items,
    until: dayOf(at(until)),
    words: '',
    revision: 1,
    askedBefore: false,
  });
  const past = (day: number, until: number, back: number, done: HomeDone): PastHome => ({
    sheet: sheetOn(day, until),
    asked: { visitId: `v${back}`, startsAt: at(back), answers: { shin: done } },
  });
  const share = (facts: readonly PastHome[], after: number, until: number, side: 'left' | 'right' = 'left') =>
    homeShareBetween(facts, 'ankle-plantar-flexion', side, { after: dayOf(at(after)), until: dayOf(at(until)) }, dayOf, BUILT_IN);

  test('as it was answered, over the days it was meant for, and for its motion and side only', () => {
    expect(share([past(0, 7, 7, 'every')], 0, 7)).toBe(1);
    expect(share([past(0, 7, 7, 'most')], 0, 7)).toBe(0.75);
    expect(share([past(0, 7, 14, 'every')], 0, 14)).toBe(0.5);
    expect(share([past(0, 14, 7, 'every')], 0, 14)).toBe(0.5);
    expect(share([past(0, 7, 7, 'none')], 0, 7)).toBe(0);
    expect(share([past(0, 7, 7, 'every')], 0, 7, 'right')).toBe(0);
    expect(share([{ sheet: sheetOn(0, 7), asked: null }], 0, 7)).toBe(0);
    expect(share([past(0, 7, 7, 'every')], 3, 3)).toBe(0);
  });

  test('a share by another count: day by day, the sheet that was done most on each of them', () => {
    const facts = fc.array(
      fc.tuple(
        fc.integer({ min: 0, max: 20 }),
        fc.integer({ min: 1, max: 15 }),
        fc.integer({ min: 1, max: 15 }),
        fc.constantFrom(...HOME_DONE),
      ),
      { maxLength: 5 },
    );
    fc.assert(
      fc.property(facts, fc.integer({ min: 0, max: 20 }), fc.integer({ min: 1, max: 20 }), (sheets, from, span) => {
        const given = sheets.map(([day, length, back, { id }]) => past(day, day + length, day + back, id));
        let sum = 0;
        for (let day = from + 1; day <= from + span; day++)
          sum += sheets.reduce(
            (most, [g, length, back, done]) => (day > g && day <= g + Math.min(length, back) ? Math.max(most, done.share) : most),
            0,
          );
        expect(share(given, from, from + span)).toBeCloseTo(sum / span, 12);
      }),
    );
  });

  test('the forecast is told of it: the occasion after the sheet carries the share', () => {
    const reading = (day: number, value: number): PastReading => ({
      visitId: `v${day}`,
      startsAt: at(day),
      motionId: 'ankle-plantar-flexion',
      side: 'left',
      moment: 'before',
      instrument: 'goniometer',
      examinerId: null,
      value,
    });
    const facts = {
      person: { birthDate: '2000-01-01', referenceSex: 'none' as const },
      conditions: [],
      past: [reading(0, 40), reading(7, 44)],
      blocks: [],
    };
    const course = (home?: readonly PastHome[]) =>
      courseOf('ankle-plantar-flexion', 'left', { ...facts, ...(home ? { home } : {}) }, dayOf(at(8)), { errors: NOTHING_KNOWN, dayOf })!
        .occasions;
    expect(course([past(0, 7, 7, 'half')])[1]!.homeShare).toBe(0.5);
    expect(course()[1]!.homeShare).toBeUndefined();
  });

  test('kept beside it: what was gained and what was still there, with its error; a pair that cannot be compared is left out', () => {
    const read = (day: number, moment: 'before' | 'after', value: number, over: Partial<PastReading> = {}): PastReading => ({
      visitId: `v${day}`,
      startsAt: at(day),
      motionId: 'ankle-plantar-flexion',
      side: 'left',
      moment,
      instrument: 'goniometer',
      examinerId: null,
      value,
      ...over,
    });
    const readings = [read(0, 'before', 40), read(0, 'after', 48), read(7, 'before', 45)];
    const [beside] = keptBeside(past(0, 7, 7, 'most'), readings, NOTHING_KNOWN, BUILT_IN);
    expect(beside).toMatchObject({ itemId: 'shin', gained: 8, kept: 5 });
    expect(beside!.error).toBeGreaterThan(5);
    expect(keptBeside(past(0, 7, 7, 'most'), readings.slice(0, 2), NOTHING_KNOWN, BUILT_IN)).toEqual([]);
    expect(
      keptBeside(
        past(0, 7, 7, 'most'),
        [...readings.slice(0, 2), read(7, 'before', 45, { instrument: 'inclinometer' })],
        NOTHING_KNOWN,
        BUILT_IN,
      ),
    ).toEqual([]);
    expect(keptBeside({ sheet: sheetOn(0, 7), asked: null }, readings, NOTHING_KNOWN, BUILT_IN)).toEqual([]);
  });
});
