import fc from 'fast-check';
import { motionOf, type Side } from '../body/index.ts';
import { HOURS, type EndData, type FindingContent, type StandingFinding } from '../finding/index.ts';
import { compareMotion, type ValueToday } from '../record/index.ts';
import {
  ACTIVE_PAIRS,
  ARC_PAIRS,
  CAUSE_KINDS,
  gather,
  judge,
  NERVE_PAIRS,
  openQuestions,
  stepsOf,
  TWO_JOINT_PAIRS,
  WEIGHTS,
  type Evidence,
  type Observed,
} from './index.ts';
import { playedSports } from '../sport/index.ts';

const person = {
  birthDate: '2001-03-04',
  referenceSex: 'male',
  sports: playedSports([{ sportId: 'rowing', discipline: 'sweep', role: 'stroke-side', leading: null, words: '' }]),
} as const;
/** An examiner who reads trunks to two degrees: with the default error a rower's difference stays inside it. */
const EXACT = {
  own: [{ examinerId: 'e', motionId: 'trunk-rotation', instrument: 'goniometer', sem: 2, sides: 12, trials: 3, on: '2026-11-01' }],
  shifts: [],
} as const;
type Values = Readonly<Record<string, readonly [left: number, right: number]>>;

function evidence(
  values: Values,
  findings: readonly FindingContent[] = [],
  more: Partial<Evidence> & { readonly afterValues?: Values } = {},
): Evidence {
  const today = (list: Values, moment: 'before' | 'after'): ValueToday[] =>
    Object.entries(list).flatMap(([motionId, pair]) =>
      (['left', 'right'] as const).map((side, i) => ({
        motionId,
        side,
        moment,
        instrument: motionOf(motionId).instruments[0],
        examinerId: 'e',
        value: pair[i]!,
      })),
    );
  const all = [...today(values, 'before'), ...today(more.afterValues ?? {}, 'after')];
  const compared = (moment: 'before' | 'after', list: Values) =>
    new Map(
      Object.keys(list).map((id) => [
        id,
        compareMotion(motionOf(id), moment, { person, onDay: '2026-11-25', today: all, past: [], errors: EXACT }),
      ]),
    );
  return {
    comparisons: compared('before', values),
    after: compared('after', more.afterValues ?? {}),
    conditions: [],
    complaint: { region: null, side: null, score: null },
    worked: [],
    onDay: '2026-11-25',
    ...more,
    findings: findings.map(
      (content, i) =>
        ({ ...content, moment: 'before', id: `f${i}`, supersedes: null, visitId: 'v', foundAt: '', foundBy: '' }) as StandingFinding,
    ),
  };
}
const end = (subject: string, data: Partial<EndData>, side: Side = 'left'): FindingContent => ({
  kind: 'end',
  subject,
  side,
  data: { endFeel: null, pain: null, felt: null, guarding: null, ...data },
});
const condition = (code: string, region: string, more: object = {}) =>
  ({
    code,
    region,
    side: 'left',
    onset: null,
    surgeryOn: null,
    words: '',
    clearance: null,
    resolvedOn: null,
    ...more,
  }) as unknown as Evidence['conditions'][number];
const judged = (motionId: string, given: Evidence, side: Side = 'left') =>
  judge(motionOf(motionId), gather(motionOf(motionId), side, given), openQuestions(motionOf(motionId), side, given));

describe('one scripted case for each structure', () => {
  test.each<[string, string, Evidence, string]>([
    [
      'rectus femoris: short with the knee bent, free with it straight',
      'hip-extension-knee-bent',
      evidence({ 'hip-extension-knee-bent': [2, 14], 'hip-extension-knee-straight': [17, 18] }, [
        end('hip-extension-knee-bent', { endFeel: 'muscular', felt: 'target' }),
      ]),
      'rectus femoris',
    ],
    [
      'iliopsoas: short either way',
      'hip-extension-knee-bent',
      evidence({ 'hip-extension-knee-bent': [2, 14], 'hip-extension-knee-straight': [4, 18] }, [
        end('hip-extension-knee-bent', { endFeel: 'muscular', felt: 'target' }),
      ]),
      'iliopsoas',
    ],
    [
      'gastrocnemius against soleus',
      'ankle-dorsiflexion',
      evidence({ 'ankle-dorsiflexion': [2, 14], 'ankle-dorsiflexion-knee-bent': [20, 22] }, [
        end('ankle-dorsiflexion', { endFeel: 'muscular' }),
      ]),
      'gastrocnemius',
    ],
    [
      'soleus: bending the knee frees nothing',
      'ankle-dorsiflexion',
      evidence({ 'ankle-dorsiflexion': [2, 14], 'ankle-dorsiflexion-knee-bent': [4, 22] }, [
        end('ankle-dorsiflexion', { endFeel: 'muscular', felt: 'target' }),
      ]),
      'soleus',
    ],
    [
      'joint capsule: leather, deep, round the clock',
      'hip-flexion',
      evidence({ 'hip-flexion': [100, 128] }, [
        end('hip-flexion', { endFeel: 'capsular', felt: 'joint' }),
        { kind: 'clock', subject: 'hip', side: 'left', data: { hours: HOURS.map((hour) => (hour < 9 ? 'tight' : 'free')) } },
      ]),
      'joint capsule',
    ],
    [
      'nerve: felt along the limb, less with the ankle up',
      'straight-leg-raise',
      evidence({ 'straight-leg-raise': [60, 78], 'straight-leg-raise-ankle-up': [42, 74] }, [
        end('straight-leg-raise', { felt: 'line', pain: 3 }),
      ]),
      'nerve tension',
    ],
    [
      'guarding: the athlete stops it, pain',
      'shoulder-abduction',
      evidence({ 'shoulder-abduction': [110, 170] }, [end('shoulder-abduction', { endFeel: 'guarded', pain: 6, guarding: true })]),
      'guarding or pain',
    ],
    [
      'swelling: springy, inflamed on file',
      'knee-flexion',
      evidence({ 'knee-flexion': [110, 138] }, [end('knee-flexion', { endFeel: 'springy' })], {
        conditions: [condition('inflamed-joint', 'knee')],
      }),
      'swelling',
    ],
    [
      'bone or hardware: hard, pinching, metal on file',
      'ankle-dorsiflexion-knee-bent',
      evidence(
        { 'ankle-dorsiflexion-knee-bent': [6, 18] },
        [end('ankle-dorsiflexion-knee-bent', { endFeel: 'bony', felt: 'closing', pain: 0 })],
        { conditions: [condition('hardware', 'ankle')] },
      ),
      'bone or hardware',
    ],
    [
      'the sport: a sweep rower’s trunk, free of pain',
      'trunk-rotation',
      evidence({ 'trunk-rotation': [42, 51] }, [end('trunk-rotation', { pain: 0, felt: 'nothing' })]),
      'the sport’s own shape',
    ],
  ])('%s', (_, motionId, given, name) => {
    const { causes, kind } = judged(motionId, given);
    expect([causes[0]!.name, kind]).toEqual([name, 'likely']);
    expect(causes[0]!.pushes.length).toBeGreaterThan(0);
  });

  test('a shoulder that turned its arc: less in, as much more out, the total as on the other side', () => {
    const given = evidence({ 'shoulder-internal-rotation': [45, 65], 'shoulder-external-rotation': [110, 90] }, [
      end('shoulder-internal-rotation', { felt: 'nothing', pain: 0 }),
    ]);
    expect(gather(motionOf('shoulder-internal-rotation'), 'left', given).map((each) => each.id)).toContain('arc-shifted');
    expect(judged('shoulder-internal-rotation', given).causes[0]!.name).toBe('the sport’s own shape');
  });
});

describe('not enough to say', () => {
  test('nothing found', () => {
    const { kind, words, decide } = judged('hip-extension-knee-bent', evidence({ 'hip-extension-knee-bent': [2, 3] }));
    expect([kind, words.slice(0, 17)]).toEqual(['not-enough', 'Not enough to say']);
    expect(decide!.question.words).toBe('Read hip extension, prone, knee straight, left');
    expect(decide!.says).toEqual(['Free there: rather rectus femoris', 'Short there too: rather iliopsoas']);
  });
  test('one finding alone', () =>
    expect(judged('hip-extension-knee-bent', evidence({}, [end('hip-extension-knee-bent', { endFeel: 'muscular' })])).kind).toBe(
      'not-enough',
    ));
  test('two muscles level', () => {
    const { kind, words } = judged(
      'hip-extension-knee-bent',
      evidence({ 'hip-extension-knee-bent': [2, 14] }, [end('hip-extension-knee-bent', { endFeel: 'muscular', felt: 'target' })]),
    );
    expect([kind, words]).toEqual(['not-enough', 'Not enough to say: rectus femoris or iliopsoas']);
  });
  test('what has been read is not asked for again', () => {
    const given = evidence({ 'hip-extension-knee-bent': [2, 14], 'hip-extension-knee-straight': [4, 18] }, [
      end('hip-extension-knee-bent', { endFeel: 'muscular', felt: 'target' }),
    ]);
    expect(openQuestions(motionOf('hip-extension-knee-bent'), 'left', given).map((each) => each.id)).toEqual(['clock']);
  });
});

const observed = fc.record({
  id: fc.constantFrom(...WEIGHTS.map((weight) => weight.id)),
  words: fc.string(),
  muscle: fc.option(fc.constantFrom('rectus femoris', 'iliopsoas'), { nil: undefined }),
}) as fc.Arbitrary<Observed>;
const motion = motionOf('hip-extension-knee-bent');
const stepsById = (list: readonly Observed[]) => new Map(judge(motion, list).causes.map((cause) => [cause.id, cause]));

test('the order of the findings does not matter', () => {
  fc.assert(
    fc.property(fc.array(observed, { maxLength: 12 }), (findings) => {
      const plain = (list: readonly Observed[]) => judge(motion, list).causes.map(({ id, probability }) => [id, probability.toFixed(12)]);
      expect(plain([...findings].reverse())).toEqual(plain(findings));
    }),
  );
});

test('a further finding moves every cause in its stated direction, and no other', () => {
  fc.assert(
    fc.property(fc.array(observed, { maxLength: 10 }), observed, (findings, added) => {
      const [before, after] = [stepsById(findings), stepsById([...findings, added])];
      for (const [id, cause] of before) {
        const stated = stepsOf(added.id, cause.kind, added.muscle === cause.name);
        expect(Math.sign(after.get(id)!.probability - cause.probability)).toBe(Math.sign(stated));
      }
    }),
  );
});

test('probabilities are those of Bayes’ rule on odds', () => {
  fc.assert(
    fc.property(fc.array(observed, { maxLength: 10 }), (findings) => {
      for (const cause of judge(motion, findings).causes) {
        const likelihoods = cause.pushes.reduce((product, push) => product * 2 ** push.steps, 1);
        const priorOdds = 2 ** (cause.steps - cause.pushes.reduce((sum, push) => sum + push.steps, 0));
        const odds = priorOdds * likelihoods;
        expect(cause.probability).toBeCloseTo(odds / (1 + odds), 9);
      }
    }),
  );
});

test('the data hold together: every pair names two motions of one joint chain, every finding pushes something', () => {
  for (const id of [
    ...TWO_JOINT_PAIRS.flatMap(({ tight, slack }) => [tight, slack]),
    ...NERVE_PAIRS.flatMap(({ plain, loaded }) => [plain, loaded]),
    ...ACTIVE_PAIRS.flatMap(({ passive, active }) => [passive, active]),
    ...ARC_PAIRS.flat(),
  ])
    expect(() => motionOf(id)).not.toThrow();
  for (const { tight, muscle } of TWO_JOINT_PAIRS) expect(motionOf(tight).lengthens).toContain(muscle);
  for (const weight of WEIGHTS) expect(Object.values(weight.steps as Record<string, number>).some((steps) => steps !== 0)).toBe(true);
  for (const kind of CAUSE_KINDS)
    expect(WEIGHTS.filter((weight) => (weight.steps as Record<string, number>)[kind]! > 0).length).toBeGreaterThan(0);
});
