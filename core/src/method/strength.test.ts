import fc from 'fast-check';
import { motionOf } from '../body/index.ts';
import { ENTRIES } from '../catalogue/index.ts';
import {
  axisOf,
  compile,
  defaultChoices,
  defaultNumbers,
  fits,
  METHODS,
  newBlock,
  ownWay,
  roundShares,
  shelfWith,
  sidesOf,
  SLOW_BREATH,
  type NumberValues,
} from './index.ts';

const shares = (entryId: string, methodId: string, numbers: NumberValues = {}, limits?: { holdS: number }) => {
  const block = newBlock('b', entryId, methodId, ['left']);
  const line = compile(
    [
      {
        ...block,
        numbers: { ...block.numbers, ...numbers },
        ...(limits
          ? {
              limits: [
                {
                  side: 'left' as const,
                  cap: null,
                  edgeShare: null,
                  effortPct: null,
                  painCeiling: null,
                  grade: null,
                  contractS: null,
                  pressS: null,
                  ...limits,
                },
              ],
            }
          : {}),
      },
    ],
    { breath: SLOW_BREATH, edgeOf: () => 40 },
  );
  return roundShares(line, 0, 'left');
};

test('at the way’s own numbers, whatever an entry begins with, every way brings its own share, on every entry, in every round', () => {
  let seen = 0;
  for (const entry of ENTRIES) {
    for (const method of METHODS.filter((each) => fits(entry, each))) {
      const side = sidesOf(entry)[0]!;
      const block = {
        ...newBlock('b', entry.id, method.id, [side]),
        numbers: defaultNumbers(method, axisOf(method, motionOf(entry.motionId))),
        choices: defaultChoices(method),
      };
      const line = compile([block], { breath: SLOW_BREATH, edgeOf: () => null });
      for (const share of roundShares(line, 0, side))
        expect([entry.id, method.id, Math.round(share * 1000) / 1000]).toEqual([entry.id, method.id, method.share]);
      seen += 1;
    }
  }
  expect(seen).toBeGreaterThan(400);
});

// Bandy, Irion 1994, recalled from memory: holds of 30 and 60 s gain alike, both more than 15 s. Feland, Marin 2004, recalled from memory: 20, 60 and 100 % gain alike.
test('a longer hold brings more, ever less of it; a firm press no more than a moderate one; next to none leaves the stretch', () => {
  const held = [5, 15, 30, 60].map((hold) => shares('hamstring-heel-on-shoulder', 'static-hold', { hold: [hold] })[0]!);
  expect(held).toEqual([...held].sort((a, b) => a - b));
  expect(held[3]! / held[2]!).toBeLessThan(1.1);
  expect(held[2]! / held[1]!).toBeGreaterThan(held[3]! / held[2]!);
  const pressed = [5, 20, 60, 100].map((effort) => shares('hamstring-heel-on-shoulder', 'cr-breath', { effort: [effort] })[0]!);
  expect(pressed.slice(1)).toEqual([pressed[1], pressed[1], pressed[1]]);
  expect(pressed[0]!).toBeLessThan(pressed[1]!);
  expect(pressed[0]! / pressed[1]!).toBeGreaterThan(0.6);
});

test('what cautions cut counts as cut, and numbers only as far as the line takes them', () => {
  expect(shares('hamstring-heel-on-shoulder', 'static-hold', { hold: [40] }, { holdS: 10 })).toEqual(
    shares('hamstring-heel-on-shoulder', 'static-hold', { hold: [10] }),
  );
  fc.assert(
    fc.property(fc.integer({ min: 2, max: 119 }), (hold) => {
      expect(shares('hamstring-heel-on-shoulder', 'static-hold', { hold: [hold + 1] })[0]!).toBeGreaterThanOrEqual(
        shares('hamstring-heel-on-shoulder', 'static-hold', { hold: [hold] })[0]!,
      );
    }),
  );
});

test('a practice’s own way counts by its numbers against the one it was made from, whatever it is called', () => {
  const own = (numbers: NumberValues) =>
    ownWay('ours', {
      kind: 'way',
      baseId: 'static-hold',
      name: 'Ours',
      purpose: '',
      what: '',
      synonyms: [],
      schoolsDiffer: '',
      rounds: 2,
      numbers,
      choices: {},
      lists: {},
    });
  const of = (numbers: NumberValues) => {
    const shelf = shelfWith({ entries: [], methods: [own(numbers)] });
    return roundShares(
      compile([newBlock('b', 'calf-supine', 'ours', ['left'], shelf)], { breath: SLOW_BREATH, edgeOf: () => 10, shelf }),
      0,
      'left',
      shelf,
    );
  };
  expect(of({})).toEqual(shares('calf-supine', 'static-hold'));
  expect(of({ hold: [60] })).toEqual(shares('calf-supine', 'static-hold', { hold: [60] }));
});
