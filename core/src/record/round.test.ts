import fc from 'fast-check';
import { MOTIONS, motionOf, type Position } from '../body/index.ts';
import { NOTHING_KNOWN } from '../measure/index.ts';
import { planRound, proposeMeasuring, roundSeconds, turnSeconds, type Goal, type PastReading, type ProposalFacts } from './index.ts';
import { playedSports } from '../sport/index.ts';

const sets = fc.uniqueArray(fc.constantFrom(...MOTIONS), { minLength: 1, maxLength: 14, selector: (motion) => motion.id });

/** Every order of a list, for an independent search. */
function orders<T>(list: readonly T[]): T[][] {
  return list.length < 2
    ? [[...list]]
    : list.flatMap((first, i) => orders([...list.slice(0, i), ...list.slice(i + 1)]).map((rest) => [first, ...rest]));
}

describe('the round', () => {
  test('every side of every motion once, each position visited once', () => {
    fc.assert(
      fc.property(sets, (motions) => {
        const { items, positions, turns } = planRound(motions);
        expect(items.length).toBe(motions.reduce((sum, motion) => sum + motion.sides.length, 0));
        expect(new Set(items.map((item) => `${item.motion.id}/${item.side}`)).size).toBe(items.length);
        const changes = items.filter((item, i) => i > 0 && item.position !== items[i - 1]!.position).length;
        expect([changes, new Set(positions).size]).toEqual([turns, positions.length]);
      }),
    );
  });

  test('no order of the positions costs less: all of them tried', () => {
    fc.assert(
      fc.property(sets, (motions) => {
        const { positions, turnSeconds: cost } = planRound(motions);
        const costOf = (order: readonly Position[]) =>
          order.reduce((sum, place, i) => sum + turnSeconds(i === 0 ? 'standing' : order[i - 1]!, place), 0);
        expect(cost).toBe(Math.min(...orders(positions).map(costOf)));
        expect(costOf(positions)).toBe(cost);
      }),
      { numRuns: 60 },
    );
  });

  test('not motion by motion: what is read prone is read together, standing ones first, off the table', () => {
    const { positions } = planRound(
      ['hip-extension-knee-bent', 'straight-leg-raise', 'hip-internal-rotation', 'knee-to-wall', 'hip-flexion'].map(motionOf),
    );
    expect(positions[0]).toBe('standing');
    expect(
      planRound(['hip-adduction-side-straight', 'hip-adduction-side-bent'].map(motionOf)).items.map((item) => [item.side, item.position]),
    ).toEqual([
      ['left', 'side-lying right'],
      ['left', 'side-lying right'],
      ['right', 'side-lying left'],
      ['right', 'side-lying left'],
    ]);
  });

  test('an empty round takes no time', () => expect([roundSeconds([]), planRound([]).turns]).toEqual([0, 0]));
});

const BOW_SIDE = playedSports([{ sportId: 'rowing', discipline: 'sweep', role: 'bow-side', leading: null, words: '' }]);

describe('what to measure today', () => {
  const reading = (
    motionId: string,
    side: 'left' | 'right',
    value: number,
    on: string,
    moment: 'before' | 'after' = 'before',
  ): PastReading => ({ visitId: on, startsAt: on, motionId, side, moment, instrument: 'goniometer', examinerId: null, value });
  const facts = (patch: Partial<ProposalFacts>): ProposalFacts => ({
    person: {
      birthDate: '2001-03-04',
      referenceSex: 'female',
      sports: [],
    },
    complaint: { region: null, side: null },
    goals: [],
    past: [],
    errors: NOTHING_KNOWN,
    today: '2026-11-25',
    dayOf: (instant) => instant,
    forbidden: () => false,
    ...patch,
  });
  const past = [
    reading('hip-flexion', 'left', 110, '2026-11-18'),
    reading('hip-flexion', 'right', 130, '2026-11-18'),
    reading('hip-flexion', 'left', 116, '2026-11-18', 'after'),
    reading('ankle-plantar-flexion', 'left', 60, '2026-09-01'),
    reading('ankle-plantar-flexion', 'right', 60, '2026-09-01'),
  ];
  const said = (list: ReturnType<typeof proposeMeasuring>, id: string) =>
    list.find((each) => each.motion.id === id)?.reasons.map((reason) => reason.words);

  test('a stranger with nothing to say gets no proposal', () => expect(proposeMeasuring(facts({}), 10)).toEqual([]));

  test('short last time and worked on; overdue', () => {
    const list = proposeMeasuring(facts({ past }), 20);
    expect(list[0]!.motion.id).toBe('hip-flexion');
    expect(said(list, 'hip-flexion')).toEqual(['Left 20.0° less: a real side difference', 'worked on last time: was it kept?']);
    expect(said(list, 'ankle-plantar-flexion')).toEqual(['not read for 12 weeks']);
  });

  test('a goal comes first; the complaint brings its joint; the sport its own', () => {
    const goal: Goal = {
      id: 'g',
      motionId: 'hip-flexion',
      side: 'left',
      value: 125,
      byDate: '2026-12-20',
      why: null,
      whyWords: '',
      setAt: '',
    };
    const list = proposeMeasuring(
      facts({ past, goals: [goal], complaint: { region: 'knee', side: 'left' }, person: { ...facts({}).person, sports: BOW_SIDE } }),
      60,
    );
    expect(said(list, 'hip-flexion')).toContain('goal left 125.0° by 2026-12-20, 15.0° to go');
    expect(said(list, 'knee-flexion')).toEqual(['the complaint is here']);
    expect(said(list, 'straight-leg-raise')).toEqual(['rowing asks for it, no starting value yet']);
  });

  test('what is taken fits the minutes, and what is forbidden is left out', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), (minutes) => {
        const given = facts({
          past,
          complaint: { region: 'hip', side: null },
          forbidden: (motion) => motion.joint === 'ankle',
        });
        const list = proposeMeasuring(given, minutes);
        expect(roundSeconds(list.filter((each) => each.fits).map((each) => each.motion))).toBeLessThanOrEqual(minutes * 60);
        expect(list.some((each) => each.motion.joint === 'ankle')).toBe(false);
      }),
    );
  });
});
