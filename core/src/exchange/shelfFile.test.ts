import fc from 'fast-check';
import { findEntry } from '../catalogue/index.ts';
import { findProtocol, PROTOCOLS, type OwnEntryFields, type OwnItem } from '../method/index.ts';
import { SPORTS, type Sport } from '../sport/index.ts';
import { LICENCES, lookIntoShelfFile, movedIn, shelfFileText, versionOf, type ShelfFileItem, type ShelfFileSport } from './index.ts';

const { id: _id, ...calf } = findEntry('calf-supine')!;
const ENTRY: OwnEntryFields = {
  ...calf,
  kind: 'entry',
  name: 'Calf, ours',
  easier: [{ id: 'calf-pin', why: 'lighter' }, { why: 'one hand' }],
  harder: [{ id: 'mine-2', why: 'more' }],
};
const WAY: OwnItem['fields'] = {
  kind: 'way',
  baseId: 'cr-light',
  name: 'Ours',
  purpose: '',
  what: '',
  synonyms: [],
  schoolsDiffer: '',
  rounds: 2,
  numbers: {},
  choices: {},
  lists: {},
};
const [step] = findProtocol('neck-on-the-breath')!.steps;
const ITEMS: ShelfFileItem[] = [
  { id: 'seq', version: 1, fields: { kind: 'protocol', name: 'Both', what: '', steps: [step!, { ...PROTOCOLS[0]!.steps[0]! }] } },
  { id: 'mine', version: 3, fields: ENTRY },
  { id: 'way', version: 1, fields: WAY },
];

const ORIGIN = { from: 'River room', licence: 'CC BY 4.0', version: 3 };
const written = (items: readonly ShelfFileItem[], sports: readonly ShelfFileSport[] = []) =>
  shelfFileText({ from: 'River room', licence: 'CC BY 4.0', savedOn: '2026-11-29', items, sports });

test('what is saved is read again, ways first, sequences last, and nothing is wrong with it', () => {
  const { items, problem } = lookIntoShelfFile(written(ITEMS));
  expect(problem).toBeNull();
  expect(items.map(({ id }) => id)).toEqual(['way', 'mine', 'seq']);
  expect(items.flatMap(({ problems }) => problems)).toEqual([]);
  for (const { id, fields } of items) expect(fields).toEqual(ITEMS.find((each) => each.id === id)!.fields);
});

test('a sequence that needs what comes with it is sound; without it, it is not, and says where', () => {
  const block = { ...findProtocol('thigh-pin-cr')!.steps[3]!, entryId: 'mine', methodId: 'static-hold' };
  const numbers = {
    hold: [20],
    moveIn: [6],
    setUp: [20],
    bringHome: [6],
    restBreaths: [1],
    easeBack: [6],
    painCeiling: [4],
    gain: [3],
    between: [5],
    back: [4],
  };
  const seq: ShelfFileItem = {
    id: 'seq',
    version: 1,
    fields: { kind: 'protocol', name: 'Ours', what: '', steps: [{ ...block, numbers, choices: {} }] },
  };
  const alone = lookIntoShelfFile(written([seq])).items[0]!;
  expect(alone.problems.map(({ path }) => path)).toContain('steps.0.entryId');
  const together = lookIntoShelfFile(written([seq, ITEMS[1]!])).items.find(({ id }) => id === 'seq')!;
  expect(together.problems.map(({ path }) => path)).not.toContain('steps.0.entryId');
});

test('taken in, what came along is named by its new id, and variants that are not here are left out', () => {
  const moved = movedIn({ fields: ENTRY, origin: ORIGIN }, new Map([['mine-2', 'new-2']]));
  expect(moved).toMatchObject({ easier: ENTRY.easier, harder: [{ id: 'new-2', why: 'more' }] });
  expect(movedIn({ fields: ENTRY, origin: ORIGIN }, new Map())).toMatchObject({ easier: ENTRY.easier, harder: [] });
  const fields = { kind: 'protocol', name: 'x', what: '', steps: [{ ...step!, entryId: 'mine' }] } as const;
  const seq = movedIn({ fields, origin: ORIGIN }, new Map([['mine', 'new']]));
  expect(seq).toMatchObject({ steps: [{ entryId: 'new' }] });
  expect(movedIn({ fields: WAY, origin: ORIGIN }, new Map())).toEqual({ ...WAY, origin: ORIGIN });
});

test('a file of the first version is read as it was meant', () => {
  const pulled = { ...findProtocol('whole-body')!.steps.find(({ entryId }) => entryId === 'neck-traction')! };
  const sides = [
    { side: 'left', rounds: 2 },
    { side: 'right', rounds: 3 },
  ];
  const first = {
    format: 'pace-bend-shelf',
    version: 1,
    items: [
      { id: 'mine', fields: { ...ENTRY, easier: ['calf-pin'], harder: [] } },
      {
        id: 'way',
        fields: {
          ...WAY,
          baseId: 'inhibit-integrated',
          phases: [{ of: 4 }, { of: 5 }, { of: 6 }, { of: 10 }, { adds: 'rest', seconds: 5 }],
        },
      },
      { id: 'seq', fields: { kind: 'protocol', name: 'Pulled', what: '', steps: [{ ...pulled, sides }] } },
    ],
  };
  const { items } = lookIntoShelfFile(JSON.stringify(first));
  expect(items.map(({ problems }) => problems)).toEqual([[], [], []]);
  expect(items.map(({ fields }) => fields)).toMatchObject([
    { phases: [{ of: 4 }, { of: 6 }, { of: 7 }, { of: 11 }, { adds: 'rest' }] },
    { easier: [{ id: 'calf-pin', why: '' }], harder: [] },
    { steps: [{ sides: [{ side: 'midline', rounds: 3 }] }] },
  ]);
});

test.each([
  ['no JSON', 'hello', 'This is no JSON file.'],
  ['another file', '{"a":1}', 'This is not a file of a shelf.'],
  ['nothing in it', written([]), 'There is nothing in it.'],
  ['another version', written(ITEMS).replace('"version": 3,', '"version": 9,'), 'This file is of another version.'],
  ['another kind', written(ITEMS).replace('"kind": "way"', '"kind": "wing"'), 'Something in it is neither a way, an entry nor a sequence.'],
])('%s is refused in words', (_, text, words) => {
  expect(lookIntoShelfFile(text)).toEqual({ items: [], sports: [], problem: words });
});

test('whatever stands in a field’s place, the look never breaks and never calls it sound without a name', () => {
  fc.assert(
    fc.property(fc.constantFrom('way', 'entry', 'protocol'), fc.object({ maxDepth: 3 }), (kind, rest) => {
      const text = written([{ id: 'x', version: 1, fields: { ...rest, kind } as never }]);
      const look = lookIntoShelfFile(text);
      expect(look.items.length === 1 || look.problem !== null).toBe(true);
      for (const { problems, fields } of look.items)
        if (typeof fields.name !== 'string' || fields.name.trim().length < 2) expect(problems.length).toBeGreaterThan(0);
    }),
  );
});

test('licence, maker and version go with everything; what came from elsewhere goes on under its own terms', () => {
  const given = { from: 'Hill house', licence: 'CC BY-SA 4.0', version: 2 };
  const { id: sportId, ...rowing } = SPORTS[0]!;
  const text = written(
    [
      { id: 'mine', version: 3, fields: ENTRY },
      { id: 'theirs', version: 4, fields: { ...ENTRY, origin: given } },
    ],
    [{ id: sportId, version: 5, sport: rowing }],
  );
  const { items, sports } = lookIntoShelfFile(text);
  expect(items.map(({ id, version, origin }) => [id, version, origin])).toEqual([
    ['mine', 3, ORIGIN],
    ['theirs', 4, given],
  ]);
  expect(items.every(({ fields }) => fields.origin === undefined)).toBe(true);
  expect(sports).toEqual([{ id: sportId, version: 5, sport: rowing, origin: { ...ORIGIN, version: 5 }, problems: [] }]);
  expect(LICENCES.every(({ line }) => line.length <= 160)).toBe(true);
});

test('a file of the second version says no licence and is read all the same', () => {
  const second = { format: 'pace-bend-shelf', version: 2, items: [{ id: 'mine', fields: ENTRY }] };
  const { items, sports } = lookIntoShelfFile(JSON.stringify(second));
  expect(items[0]).toMatchObject({ version: 1, origin: { from: '', licence: '', version: 1 }, problems: [] });
  expect(sports).toEqual([]);
});

test('a sport that names what is not there says so; whatever stands in its place never breaks the look', () => {
  const { id: _sport, ...rowing } = SPORTS[0]!;
  const wrong = { ...rowing, demands: [{ ...rowing.demands[0]!, motionId: 'wing' }] };
  expect(lookIntoShelfFile(written([], [{ id: 'x', version: 1, sport: wrong }])).sports[0]!.problems[0]!.message).toContain('is no motion');
  fc.assert(
    fc.property(fc.object({ maxDepth: 3 }), (sport) => {
      const look = lookIntoShelfFile(written([], [{ id: 'x', version: 1, sport: sport as unknown as Sport }]));
      expect(look.sports.length === 1 && look.problem === null).toBe(true);
      if (typeof (sport as { name?: unknown }).name !== 'string') expect(look.sports[0]!.problems.length).toBeGreaterThan(0);
    }),
  );
});

test('versions are counted along what took whose place', () => {
  const chain = [
    { id: 'a', supersedes: null },
    { id: 'b', supersedes: 'a' },
    { id: 'c', supersedes: 'b' },
    { id: 'other', supersedes: null },
  ];
  expect(['a', 'b', 'c', 'other', 'none'].map((id) => versionOf(id, chain))).toEqual([1, 2, 3, 1, 1]);
  // A circle, which cannot be, ends.
  expect(
    versionOf('x', [
      { id: 'x', supersedes: 'y' },
      { id: 'y', supersedes: 'x' },
    ]),
  ).toBeLessThan(10);
});
