import fc from 'fast-check';
import { findEntry } from '../catalogue/index.ts';
import {
  checkBlock,
  checkOwnEntry,
  checkOwnWay,
  compile,
  findMethod,
  fits,
  METHODS,
  newBlock,
  offeredEntries,
  offeredMethods,
  ownWay,
  sayable,
  shelfOf,
  SLOW_BREATH,
  type OwnEntryFields,
  type OwnItem,
  type OwnWayFields,
} from './index.ts';

const WAY: OwnWayFields = {
  kind: 'way',
  baseId: 'cr-breath',
  name: 'Ours',
  purpose: '',
  what: '',
  synonyms: ['club way'],
  schoolsDiffer: '',
  rounds: 2,
  numbers: { effort: [10] },
  choices: { startAt: 'short' },
  lists: {},
};
const { id: _id, ...calf } = findEntry('calf-supine')!;
const ENTRY: OwnEntryFields = { ...calf, kind: 'entry', name: 'Calf, ours' };
const item = (id: string, fields: OwnItem['fields'], change: Partial<OwnItem> = {}): OwnItem => ({
  id,
  fields,
  supersedes: null,
  madeAt: '2026-11-25T09:00:00.000Z',
  madeBy: 'Ann',
  retiredAt: null,
  ...change,
});

test('a way of its own keeps the phases of the one it was made from, with its own defaults and words where it has some', () => {
  const own = ownWay('w', WAY);
  const base = METHODS.find((method) => method.id === 'cr-breath')!;
  expect([own.round, own.opening, own.closing]).toEqual([base.round, base.opening, base.closing]);
  expect(own.numbers.find((spec) => spec.id === 'effort')!.default).toEqual([10]);
  expect(own.numbers.find((spec) => spec.id === 'contract')!.default).toEqual(base.numbers.find((spec) => spec.id === 'contract')!.default);
  expect(own.purpose).toBe(base.purpose);
  expect(own.synonyms).toContain('breath-led contract-relax');
  expect(() => ownWay('w', { ...WAY, baseId: 'magic' })).toThrow('magic');
});

test('of several versions all can be looked up and only the one that stands is offered', () => {
  const shelf = shelfOf([
    item('w1', WAY),
    item('w2', { ...WAY, rounds: 3 }, { supersedes: 'w1' }),
    item('w3', { ...WAY, name: 'Gone' }, { retiredAt: '2026-11-25T10:00:00.000Z' }),
    item('e1', ENTRY),
  ]);
  for (const id of ['w1', 'w2', 'w3']) expect(shelf.methods.has(id)).toBe(true);
  expect(
    offeredMethods(shelf)
      .filter((method) => method.madeFrom !== undefined)
      .map((method) => method.id),
  ).toEqual(['w2']);
  expect(offeredMethods(shelf).at(-1)!.id).toBe('w2');
  expect(offeredEntries(shelf).at(-1)!.id).toBe('e1');
  expect(fits(shelf.entries.get('e1')!, shelf.methods.get('w2')!)).toBe(true);
  // A plan of the first version still compiles, with its numbers.
  const old = newBlock('b', 'e1', 'w1', ['left'], shelf);
  expect(checkBlock(old, shelf)).toEqual([]);
  expect(
    compile([old], { breath: SLOW_BREATH, edgeOf: () => 10, shelf })
      .cues.filter((cue) => cue.effortPct !== null)
      .map((cue) => cue.effortPct),
  ).toEqual([10, 10]);
});

test.each<[string, Partial<OwnWayFields>, string]>([
  ['an unknown base', { baseId: 'magic' }, 'baseId'],
  ['half a round', { rounds: 1.5 }, 'rounds'],
  ['a foreign number', { numbers: { speed: [1] } }, 'numbers.speed'],
  ['too strong', { numbers: { effort: [101] } }, 'numbers.effort.0'],
  ['two values where one belongs', { numbers: { contract: [5, 6] } }, 'numbers.contract'],
  ['no value at all', { numbers: { contract: [] } }, 'numbers.contract'],
  ['a choice that is not offered', { choices: { timing: 'moon' } }, 'choices.timing'],
  ['a list it does not have', { lists: { stations: ['a', 'b'] } }, 'lists.stations'],
])('%s is named at its place', (_, change, path) => {
  expect(checkOwnWay({ ...WAY, ...change }).map((problem) => problem.path)).toContain(path);
});

const LINE = { text: 'Swing it', detail: '{rate} a minute', works: 'therapist' as const };
test.each<[string, Partial<OwnEntryFields>, string]>([
  ['no section', { section: 'Wing' as never }, 'section'],
  ['no such motion', { motionId: 'wing' }, 'motionId'],
  ['no position', { positions: [] as never }, 'positions'],
  ['no way', { ways: [] as never }, 'ways'],
  ['no tool', { tools: [] as never }, 'tools'],
  ['a tool beyond itself', { tools: [{ tool: 'palm', share: 2 }] }, 'tools'],
  ['a side it has not', { sides: [] }, 'sides'],
  ['a further position that is not set up', { positions: ['supine', 'prone'] }, 'places.prone'],
  ['words in place of what its ways do not say', { says: { 'continuous-motion': { Shuffle: LINE } } }, 'says.continuous-motion.Shuffle'],
  ['words of a way it has not', { ways: ['static-hold'], says: { 'continuous-motion': { Rock: LINE } } }, 'says.continuous-motion.Rock'],
  [
    'a line too long to be read across a room',
    { ways: ['continuous-motion'], says: { 'continuous-motion': { Rock: { ...LINE, text: 'one two three four five six seven' } } } },
    'says.continuous-motion.Rock',
  ],
  ['a number no way of it has', { ways: ['cr-light'], doses: { 'cr-light': { numbers: { wings: [2] } } } }, 'doses.cr-light.numbers.wings'],
  [
    'a number beyond its bounds',
    { ways: ['cr-light'], doses: { 'cr-light': { numbers: { contract: [200] } } } },
    'doses.cr-light.numbers.contract.0',
  ],
  ['too many rounds', { ways: ['cr-light'], doses: { 'cr-light': { rounds: 99 } } }, 'doses.cr-light.rounds'],
  ['a dose of a way it has not', { ways: ['static-hold'], doses: { 'cr-light': { rounds: 2 } } }, 'doses.cr-light'],
  ['a set-up for a position it has not', { places: { standing: { setUp: 'Standing at the wall' } } }, 'places'],
])('an entry with %s is refused at its place', (_, change, path) => {
  expect(checkOwnEntry({ ...ENTRY, ...change }).map((problem) => problem.path)).toContain(path);
});

test('what a way says in its phases can be said otherwise; what the entry says anyway is not asked for', () => {
  expect(sayable(findMethod('continuous-motion')!).map(({ words }) => words)).toEqual(['Find the rhythm', 'Rock', 'Bring it home']);
  expect(sayable(findMethod('static-hold')!).map(({ words }) => words)).toContain('Hold');
  const fields = { ...ENTRY, ways: ['continuous-motion'] as const, says: { 'continuous-motion': { Rock: LINE } } };
  expect(checkOwnEntry({ ...ENTRY, ...fields })).toEqual([]);
});

test('whatever numbers are inside their bounds make a way that compiles everywhere its base does', () => {
  fc.assert(
    fc.property(fc.constantFrom(...METHODS), fc.double({ min: 0, max: 1, noNaN: true }), (base, share) => {
      const numbers = Object.fromEntries(
        base.numbers
          .filter((spec) => Array.isArray(spec.default))
          .map((spec) => [
            spec.id,
            [Math.round((spec.min + share * Math.min(60, spec.max - spec.min)) / spec.step) * spec.step].map((value) =>
              Math.min(spec.max, Math.max(spec.min, value)),
            ),
          ]),
      );
      const fields: OwnWayFields = { ...WAY, baseId: base.id, rounds: base.rounds.min, numbers, choices: {}, lists: {} };
      expect(checkOwnWay(fields)).toEqual([]);
      const shelf = shelfOf([item('own', fields)]);
      const entry = offeredEntries(shelf).find((each) => each.ways.includes(base.id))!;
      const [side] = entry.sides ?? ['left' as const];
      expect(
        compile([newBlock('b', entry.id, 'own', [side!], shelf)], { breath: SLOW_BREATH, edgeOf: () => 20, shelf }).cues.length,
      ).toBeGreaterThan(0);
    }),
    { numRuns: 60 },
  );
});
