import fc from 'fast-check';
import { findEntry } from '../catalogue/index.ts';
import { findProtocol, PROTOCOLS, type OwnEntryFields, type OwnItem } from '../method/index.ts';
import { lookIntoShelfFile, movedIn, shelfFileText, type ShelfFileItem } from './index.ts';

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
  { id: 'seq', fields: { kind: 'protocol', name: 'Both', what: '', steps: [step!, { ...PROTOCOLS[0]!.steps[0]! }] } },
  { id: 'mine', fields: ENTRY },
  { id: 'way', fields: WAY },
];

test('what is saved is read again, ways first, sequences last, and nothing is wrong with it', () => {
  const { items, problem } = lookIntoShelfFile(shelfFileText(ITEMS));
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
    fields: { kind: 'protocol', name: 'Ours', what: '', steps: [{ ...block, numbers, choices: {} }] },
  };
  const alone = lookIntoShelfFile(shelfFileText([seq])).items[0]!;
  expect(alone.problems.map(({ path }) => path)).toContain('steps.0.entryId');
  const together = lookIntoShelfFile(shelfFileText([seq, ITEMS[1]!])).items.find(({ id }) => id === 'seq')!;
  expect(together.problems.map(({ path }) => path)).not.toContain('steps.0.entryId');
});

test('taken in, what came along is named by its new id, and variants that are not here are left out', () => {
  const moved = movedIn(ENTRY, new Map([['mine-2', 'new-2']]));
  expect(moved).toMatchObject({ easier: ENTRY.easier, harder: [{ id: 'new-2', why: 'more' }] });
  expect(movedIn(ENTRY, new Map())).toMatchObject({ easier: ENTRY.easier, harder: [] });
  const seq = movedIn({ kind: 'protocol', name: 'x', what: '', steps: [{ ...step!, entryId: 'mine' }] }, new Map([['mine', 'new']]));
  expect(seq).toMatchObject({ steps: [{ entryId: 'new' }] });
  expect(movedIn(WAY, new Map())).toBe(WAY);
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
  ['nothing in it', shelfFileText([]), 'There is nothing in it.'],
  ['another version', shelfFileText(ITEMS).replace('"version": 2', '"version": 9'), 'This file is of another version.'],
  [
    'another kind',
    shelfFileText(ITEMS).replace('"kind": "way"', '"kind": "wing"'),
    'Something in it is neither a way, an entry nor a sequence.',
  ],
])('%s is refused in words', (_, text, words) => {
  expect(lookIntoShelfFile(text)).toEqual({ items: [], problem: words });
});

test('whatever stands in a field’s place, the look never breaks and never calls it sound without a name', () => {
  fc.assert(
    fc.property(fc.constantFrom('way', 'entry', 'protocol'), fc.object({ maxDepth: 3 }), (kind, rest) => {
      const text = shelfFileText([{ id: 'x', fields: { ...rest, kind } as never }]);
      const look = lookIntoShelfFile(text);
      expect(look.items.length === 1 || look.problem !== null).toBe(true);
      for (const { problems, fields } of look.items)
        if (typeof fields.name !== 'string' || fields.name.trim().length < 2) expect(problems.length).toBeGreaterThan(0);
    }),
  );
});
