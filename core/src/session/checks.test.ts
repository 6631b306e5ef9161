import { ENTRIES, sourcesOf } from '../catalogue/index.ts';
import { REGIONS } from '../body/index.ts';
import { newBlock, type BlockPlan } from '../method/index.ts';
import { planChecks } from './index.ts';

const block = (id: string, entryId: string, more: Partial<BlockPlan> = {}): BlockPlan => ({
  ...newBlock(id, entryId, ENTRIES.find((entry) => entry.id === entryId)!.ways[0], [
    ENTRIES.find((entry) => entry.id === entryId)!.sides?.[0] ?? 'left',
  ]),
  ...more,
});
const minutes = (by: Record<string, number>) => new Map(Object.entries(by).map(([id, each]) => [id, each * 60]));
const words = (blocks: readonly BlockPlan[], by: Record<string, number>, complaint: Parameters<typeof planChecks>[0]['complaint'] = null) =>
  planChecks({ blocks, secondsOf: minutes(by), complaint }).map((each) => each.words);

test('common practice: the back about 10 min, feet 5 or 10 to 12, the chair 18 to 20; within them nothing is said', () => {
  const back = [block('a', 'lumbar-forearm-sink'), block('b', 'back-dry-prep')];
  expect(words(back, { a: 7, b: 3 })).toEqual([]);
  expect(words(back, { a: 9, b: 5 })).toEqual(['The back: 14 min are planned; about 10 is common practice.']);
  const feet = [block('a', 'foot-rounds'), block('b', 'arch-spring')];
  expect(words(feet, { a: 6, b: 6 })).toEqual([]);
  expect(words(feet, { a: 9, b: 7 })).toEqual([
    'The feet: 16 min are planned; 5 for a short form, 10 to 12 for a whole one is common practice.',
  ]);
  // The back in the chair is the chair's time.
  const chair = [block('a', 'back-press-walk-seated'), block('b', 'blade-edge-trace')];
  expect(words(chair, { a: 11, b: 8 })).toEqual([]);
  expect(words(chair, { a: 14, b: 12 })[0]).toMatch(/^In the chair: 26 min/);
});

test('a sore calf asks for the shin and the outer lower leg, until something works on them', () => {
  const calf = block('a', 'calf-pin');
  expect(words([calf], { a: 3 }, 'calf')).toEqual([
    'Sore calf: tibialis anterior and peroneus longus are not looked at; a sore calf mostly comes from elsewhere: the shin and the outer lower leg.',
  ]);
  const shin = ENTRIES.filter(({ targets }) => targets.includes('tibialis anterior') || targets.includes('peroneus longus'));
  expect(shin.length).toBeGreaterThan(0);
  const both = [calf, ...shin.map(({ id }, i) => block(`s${i}`, id))];
  expect(planChecks({ blocks: both, secondsOf: new Map(), complaint: 'calf' }).filter(({ kind }) => kind === 'source')).toEqual([]);
  expect(words([calf], { a: 3 })).toEqual([]);
  expect(words([], {}, 'calf')).toEqual([]);
});

test('what is named as a source can be worked on: some entry does, and no place is its own source', () => {
  for (const { id } of REGIONS)
    for (const { muscle, because } of sourcesOf(id)) {
      expect([id, muscle, ENTRIES.some(({ targets }) => targets.includes(muscle))]).toEqual([id, muscle, true]);
      expect(because.length).toBeGreaterThan(10);
    }
});

test('a rule of order that the row breaks is told', () => {
  const told = planChecks({
    blocks: [block('a', 'gluteal-elbow-line'), block('b', 'sacral-edge-presses')],
    secondsOf: new Map(),
    complaint: null,
  });
  for (const each of told) expect(each.kind).toBe('order');
  const late = planChecks({ blocks: [block('a', 'shake-down'), block('b', 'calf-pin')], secondsOf: new Map(), complaint: null });
  expect(late.map((each) => each.words).join(' ')).toMatch(/ends the visit/);
});

test('blocks that are not known are left out, and an unknown length counts as nothing', () => {
  expect(planChecks({ blocks: [{ ...block('a', 'calf-pin'), entryId: 'gone' }], secondsOf: new Map(), complaint: 'calf' })).toEqual([]);
});

test('a lump that nobody has looked at today is said first', () => {
  const finding = { id: 'f' } as never;
  const told = planChecks({
    blocks: [block('a', 'calf-pin')],
    secondsOf: new Map(),
    complaint: 'calf',
    lookFirst: [
      {
        finding,
        what: 'left gastrocnemius, upper third: lump, 6 of 10',
        words: 'left gastrocnemius, upper third: lump, 6 of 10, 3 weeks old',
      },
    ],
  });
  expect(told[0]).toEqual({ kind: 'look', words: 'Look first: left gastrocnemius, upper third: lump, 6 of 10, 3 weeks old.' });
});
