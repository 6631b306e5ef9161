import fc from 'fast-check';
import type { Side } from '../body/index.ts';
import { NOTHING_KNOWN } from '../measure/index.ts';
import type { Goal, PastBlock, PastReading, ValueToday } from '../record/index.ts';
import { DEVELOP, type PhaseHold } from '../season/index.ts';
import { playedSports } from '../sport/index.ts';
import { wantedMotions, type WantedFacts } from './index.ts';

const ON = '2026-11-25';
const value = (motionId: string, side: Side, read: number): ValueToday => ({
  motionId,
  side,
  moment: 'before',
  instrument: 'inclinometer',
  examinerId: null,
  value: read,
});
const goal = (motionId: string, side: Side, wanted: number): Goal => ({
  id: motionId,
  motionId,
  side,
  value: wanted,
  byDate: null,
  why: null,
  whyWords: '',
  setAt: '2026-10-01T09:00:00.000Z',
});
const past = (startsAt: string, read: number): PastReading => ({
  ...value('straight-leg-raise', 'left', read),
  visitId: startsAt,
  startsAt: `${startsAt}T09:00:00.000Z`,
});
const worked = (startsAt: string): PastBlock => ({
  visitId: startsAt,
  startsAt: `${startsAt}T09:00:00.000Z`,
  entryId: 'any',
  methodId: 'any',
  motionId: 'straight-leg-raise',
  sides: [{ side: 'left', rounds: 2 }],
});
const facts = (change: Partial<WantedFacts> = {}): WantedFacts => ({
  person: { birthDate: '2001-04-02', referenceSex: 'male', sports: playedSports([]) },
  onDay: ON,
  today: [
    value('straight-leg-raise', 'left', 62),
    value('straight-leg-raise', 'right', 74),
    value('ankle-lunge', 'left', 33),
    value('ankle-lunge', 'right', 41),
  ],
  past: [],
  pastBlocks: [],
  goals: [],
  complaint: { region: null, side: null },
  errors: NOTHING_KNOWN,
  daysToEvent: 9,
  ...change,
});
const hold = (develop: PhaseHold['develop']): PhaseHold => ({ develop, because: 'keep only: Head race in 9 days' });
const of = (given: WantedFacts, motionId: string) =>
  wantedMotions(given).find((each) => each.motion.id === motionId && each.side === 'left')!;

test('where only what is under way goes on, nothing else is wanted, and the reason is the phase', () => {
  const free = of(facts(), 'ankle-lunge');
  expect(free.missing).toBeGreaterThan(0);
  expect(of(facts({ hold: hold('begun') }), 'ankle-lunge')).toMatchObject({ missing: 0, because: 'keep only: Head race in 9 days' });
  for (const begun of [
    { goals: [goal('ankle-lunge', 'left', 45)] },
    { pastBlocks: [{ ...worked('2026-10-20'), motionId: 'ankle-lunge' }] },
    { complaint: { region: 'ankle', side: 'left' } as const },
  ])
    expect(of(facts({ ...begun, hold: hold('begun') }), 'ankle-lunge').missing).toBe(of(facts(begun), 'ankle-lunge').missing);
  // Work of more than six weeks ago is under way no longer.
  expect(
    of(facts({ pastBlocks: [{ ...worked('2026-10-13'), motionId: 'ankle-lunge' }], hold: hold('begun') }), 'ankle-lunge').missing,
  ).toBe(0);
});

test('keeping is what was there lately and at least a usual round, with the phase named before the gap', () => {
  const given = facts({
    goals: [goal('straight-leg-raise', 'left', 90)],
    past: [past('2026-11-04', 69), past('2026-08-01', 85)],
    hold: hold('none'),
  });
  expect(of(given, 'straight-leg-raise')).toMatchObject({
    missing: 7,
    because: expect.stringMatching(/^keep only: Head race in 9 days; 28\.0° to the goal/),
  });
  const kept = of({ ...given, past: [past('2026-11-04', 60)] }, 'straight-leg-raise');
  expect(kept.missing).toBe(kept.motion.roundGain[0]);
});

test('a phase takes away from what is wanted and never adds to it, for anybody', () => {
  fc.assert(
    fc.property(
      fc.record({
        left: fc.integer({ min: 30, max: 100 }),
        right: fc.integer({ min: 30, max: 100 }),
        wanted: fc.integer({ min: 30, max: 110 }),
      }),
      fc.array(fc.integer({ min: 30, max: 110 }), { maxLength: 4 }),
      fc.boolean(),
      fc.boolean(),
      ({ left, right, wanted }, reads, hasGoal, hasWork) => {
        const given = facts({
          today: [value('straight-leg-raise', 'left', left), value('straight-leg-raise', 'right', right)],
          past: reads.map((read, i) => past(`2026-11-0${i + 1}`, read)),
          pastBlocks: hasWork ? [worked('2026-11-01')] : [],
          goals: hasGoal ? [goal('straight-leg-raise', 'left', wanted)] : [],
        });
        const amounts = DEVELOP.map((develop) => wantedMotions({ ...given, hold: hold(develop) }).map(({ missing }) => missing));
        const [all, begun, gentle, none] = amounts as [number[], number[], number[], number[]];
        expect(all).toEqual(wantedMotions(given).map(({ missing }) => missing));
        expect(gentle).toEqual(all);
        begun.forEach((missing, i) => expect(missing).toBeLessThanOrEqual(all[i]!));
        none.forEach((missing, i) => expect(missing).toBeLessThanOrEqual(begun[i]!));
      },
    ),
  );
});
