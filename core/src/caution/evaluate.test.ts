import fc from 'fast-check';
import { MOTIONS, MOVEMENTS, MUSCLES, REGIONS } from '../body/index.ts';
import { ENTRIES } from '../catalogue/index.ts';
import { findMethod, newBlock, techniquesOf, type Limits } from '../method/index.ts';
import {
  blockAction,
  blockCautions,
  blocking,
  cautionOverview,
  cautionsFor,
  CONDITIONS,
  conditionWords,
  consentArea,
  isAsStrict,
  limitedBlock,
  limitWords,
  MEDICATIONS,
  measuring,
  mergeLimits,
  NO_LIMITS,
  overriddenFor,
  overrideKey,
  regionsOfAreas,
  STOP_QUESTIONS,
  surgeryPhase,
  visitCautions,
  type CandidateAction,
  type CautionContext,
  type ConditionFields,
} from './index.ts';
import { ACTION, CONTEXT, condition, ON } from './testing.ts';

const anyDay = fc
  .integer({ min: 0, max: 800 })
  .map((days) => new Date(Date.parse(`${ON}T00:00:00Z`) - days * 86_400_000).toISOString().slice(0, 10));
const anyRegion = fc.constantFrom(...REGIONS.map((region) => region.id));
const anySide = fc.constantFrom('left' as const, 'right' as const, 'both' as const, null);
const anyLimit = fc.oneof(
  fc.record({ kind: fc.constant('bend' as const), movement: fc.constantFrom(...MOVEMENTS), deg: fc.integer({ min: 10, max: 150 }) }),
  fc.record({ kind: fc.constant('effort' as const), pct: fc.integer({ min: 0, max: 100 }) }),
  fc.record({ kind: fc.constant('ceiling' as const), score: fc.integer({ min: 0, max: 10 }) }),
);
const anyCondition: fc.Arbitrary<ConditionFields> = fc.record({
  code: fc.constantFrom(...CONDITIONS.map((each) => each.code)),
  region: fc.option(anyRegion),
  side: anySide,
  onset: fc.option(anyDay),
  surgeryOn: fc.option(anyDay),
  muscle: fc.option(fc.constantFrom(...MUSCLES.map((each) => each.id))),
  grade: fc.constantFrom(1 as const, 2 as const, 3 as const, null),
  words: fc.constant(''),
  clearance: fc.option(
    fc.record({ by: fc.constant('Dr Example'), on: anyDay, text: fc.constant(''), limits: fc.array(anyLimit, { maxLength: 3 }) }),
  ),
  resolvedOn: fc.option(anyDay),
});
const anyContext: fc.Arbitrary<CautionContext> = fc.record({
  subject: fc.record({
    birthDate: fc.constantFrom('1996-03-04', '2010-05-06'),
    conditions: fc.array(anyCondition, { maxLength: 4 }),
    medications: fc.subarray(MEDICATIONS.map((each) => each.id)),
    beighton: fc.option(fc.array(fc.boolean(), { minLength: 9, maxLength: 9 })),
    noTouch: fc.array(fc.record({ region: anyRegion, side: anySide, words: fc.constant('') }), { maxLength: 2 }),
    historyTaken: fc.boolean(),
  }),
  onDay: fc.constant(ON),
  scope: fc.record({
    mobilizationGrade: fc.integer({ min: 0, max: 4 }),
    byRegion: fc.constantFrom({}, { ankle: 2 }, { hip: 0 }),
    frontOfNeck: fc.boolean(),
    ruleText: fc.constant(''),
    ruleLink: fc.constant(''),
  }),
  daysToEvent: fc.option(fc.integer({ min: 0, max: 10 })),
  daysSinceEvent: fc.option(fc.integer({ min: 0, max: 10 })),
  raised: fc.subarray(
    STOP_QUESTIONS.map((each) => each.id),
    { maxLength: 2 },
  ),
  questions: fc.constantFrom('answered' as const, 'set-aside' as const, 'open' as const),
  consent: fc.option(fc.subarray(REGIONS.map((each) => each.id))),
  today: fc.constant([]),
});
const anyAction: fc.Arbitrary<CandidateAction> = fc.oneof(
  fc.constantFrom(...MOTIONS).chain((motion) => fc.constantFrom(...motion.sides).map((side) => measuring(motion.id, side))),
  fc
    .constantFrom(...ENTRIES)
    .chain((entry) =>
      fc
        .tuple(fc.constantFrom(...entry.ways), fc.constantFrom('left' as const, 'right' as const))
        .map(([way, side]) => blockAction(newBlock('b', entry.id, way, [side]), side)),
    ),
);
const rank = { stop: 3, avoid: 2, modify: 1, note: 0 };

test('adding a condition never weakens: every caution stays, no level falls, no limit widens', () => {
  fc.assert(
    fc.property(anyContext, anyCondition, anyAction, fc.nat(), (context, added, action, at) => {
      const before = cautionsFor(context, action);
      const conditions = [...context.subject.conditions];
      conditions.splice(at % (conditions.length + 1), 0, added);
      const after = cautionsFor({ ...context, subject: { ...context.subject, conditions } }, action);
      for (const caution of before.cautions) expect(after.cautions).toContainEqual(caution);
      if (before.level) expect(rank[after.level!]).toBeGreaterThanOrEqual(rank[before.level]);
      expect(isAsStrict(after.limits, before.limits)).toBe(true);
      expect(blocking(after, new Set()).length).toBeGreaterThanOrEqual(blocking(before, new Set()).length);
    }),
    { numRuns: 1500 },
  );
});

test('the order of conditions changes nothing, and the strongest always comes first', () => {
  fc.assert(
    fc.property(anyContext, anyAction, (context, action) => {
      const result = cautionsFor(context, action);
      const turned = cautionsFor(
        {
          ...context,
          subject: {
            ...context.subject,
            conditions: [...context.subject.conditions].reverse(),
            noTouch: [...context.subject.noTouch].reverse(),
          },
        },
        action,
      );
      const key = (caution: object) => JSON.stringify(caution);
      expect([...turned.cautions].map(key).sort()).toEqual([...result.cautions].map(key).sort());
      expect(turned.limits).toEqual(result.limits);
      expect(result.cautions.map((caution) => rank[caution.level])).toEqual(
        result.cautions.map((caution) => rank[caution.level]).sort((a, b) => b - a),
      );
    }),
    { numRuns: 500 },
  );
});

test('limits are merged by the stricter one, in any order and as often as one likes', () => {
  const anyLimits: fc.Arbitrary<Limits> = fc.record({
    cap: fc.option(fc.integer()),
    edgeShare: fc.option(fc.double({ min: 0, max: 1, noNaN: true })),
    effortPct: fc.option(fc.nat(100)),
    painCeiling: fc.option(fc.nat(10)),
    grade: fc.option(fc.nat(4)),
    holdS: fc.option(fc.nat(120)),
    contractS: fc.option(fc.integer({ min: 0, max: 90 })),
    pressS: fc.option(fc.integer({ min: 0, max: 300 })),
  });
  fc.assert(
    fc.property(anyLimits, anyLimits, anyLimits, (a, b, c) => {
      expect(mergeLimits(a, b)).toEqual(mergeLimits(b, a));
      expect(mergeLimits(a, mergeLimits(b, c))).toEqual(mergeLimits(mergeLimits(a, b), c));
      expect(mergeLimits(a, a)).toEqual(a);
      expect(isAsStrict(mergeLimits(a, b), a) && isAsStrict(mergeLimits(a, b), b)).toBe(true);
      expect(mergeLimits(a, NO_LIMITS)).toEqual(a);
    }),
  );
});

const knee: ConditionFields = condition('knee-operation', {
  side: 'left',
  surgeryOn: '2026-10-07',
  clearance: {
    by: 'Dr Example',
    on: '2026-11-20',
    text: 'knee bend to 110°',
    limits: [{ kind: 'bend', movement: 'knee flexion', deg: 110 }],
  },
});
const with_ = (...conditions: ConditionFields[]): CautionContext => ({ ...CONTEXT, subject: { ...CONTEXT.subject, conditions } });

test('a knee operated on seven weeks ago: light, short of the edge, to the written bend; no torque; the other knee is free', () => {
  expect(surgeryPhase('2026-10-07', ON)).toEqual({ weeks: 7, phase: 'repair' });
  expect(conditionWords(knee, ON)).toBe('Knee operation, left knee, 7 weeks, early repair');
  const bend = cautionsFor(with_(knee), measuring('knee-flexion', 'left'));
  expect(bend.limits).toEqual({ ...NO_LIMITS, cap: 110, painCeiling: 3 });
  const work = cautionsFor(with_(knee), blockAction(newBlock('b', 'vasti-supine', 'cr-breath', ['left']), 'left'));
  expect(work.limits).toMatchObject({ cap: 110, effortPct: 20, painCeiling: 3, edgeShare: 0.9 });
  expect(bend.cautions.map((caution) => caution.reason).join(' ')).toContain('Dr Example, 2026-11-20');
  expect(cautionsFor(with_(knee), measuring('knee-flexion', 'right')).limits).toEqual(NO_LIMITS);
  expect(cautionsFor(with_(knee), measuring('hip-internal-rotation', 'left')).level).toBe('avoid');
  // In centimetres the written bend cannot be held to.
  expect(cautionsFor(with_(knee), measuring('heel-to-buttock', 'left')).cautions).toContainEqual(
    expect.objectContaining({ kind: 'written', level: 'avoid', reason: expect.stringContaining('not read in those degrees') }),
  );
  // A position that needs more bend than was allowed.
  const tight = {
    ...knee,
    clearance: { ...knee.clearance!, limits: [{ kind: 'bend' as const, movement: 'knee flexion' as const, deg: 70 }] },
  };
  expect(cautionsFor(with_(tight), measuring('hip-extension-knee-bent', 'left')).cautions).toContainEqual(
    expect.objectContaining({ kind: 'written', level: 'avoid', reason: expect.stringContaining('needs it at 90°') }),
  );
});

test('each written limit is named by what it says: a reason given for one never covers another that takes its place', () => {
  const to = (deg: number) =>
    with_({ ...knee, clearance: { ...knee.clearance!, limits: [{ kind: 'bend', movement: 'knee flexion', deg }] } });
  const [wide, tight] = [
    cautionsFor(to(110), measuring('heel-to-buttock', 'left')),
    cautionsFor(to(60), measuring('heel-to-buttock', 'left')),
  ];
  const given = new Set(wide.cautions.filter((caution) => caution.kind === 'written').map(overrideKey));
  expect([...given]).toEqual(['written-knee-operation-left-knee-flexion-110@knee-operation//left//2026-10-07']);
  expect(blocking(wide, given)).toEqual([]);
  expect(blocking(tight, given).map((caution) => caution.ruleId)).toEqual(['written-knee-operation-left-knee-flexion-60']);
});

test('without a go-ahead the operated joint is left alone, and a written reason sets that aside for one motion and side', () => {
  const uncleared = with_({ ...knee, clearance: null });
  const block = newBlock('b', 'vasti-supine', 'cr-breath', ['left', 'right']);
  const [left, right] = blockCautions(block, uncleared, []);
  expect(left!.blocking.map((caution) => caution.ruleId)).toEqual(['operation-no-clearance']);
  expect(right!.blocking).toEqual([]);
  const override = {
    ruleId: 'operation-no-clearance',
    ground: 'knee-operation//left//2026-10-07',
    motionId: 'knee-flexion',
    side: 'left' as const,
    reason: 'Surgeon said yes on the phone',
  };
  expect(blockCautions(block, uncleared, [override])[0]!.blocking).toEqual([]);
  expect(overriddenFor([override], 'knee-flexion', 'right').size).toBe(0);
  // Another condition under the same rule needs a reason of its own.
  const two = with_({ ...knee, clearance: null }, condition('cruciate-hamstring', { side: 'left', surgeryOn: '2026-10-01' }));
  expect(blockCautions(block, two, [override])[0]!.blocking.map((caution) => [caution.ruleId, caution.ground])).toContainEqual([
    'operation-no-clearance',
    'cruciate-hamstring//left//2026-10-01',
  ]);
  // The limits stay even then.
  expect(limitedBlock(block, uncleared).limits).toEqual([
    { side: 'left', cap: null, edgeShare: 0.8, effortPct: 10, painCeiling: 2, grade: null, holdS: null, contractS: 60, pressS: null },
  ]);
});

test('hands at the front of the neck: the practice decides once, and until then they stay off', () => {
  const off = { ...CONTEXT, scope: { ...CONTEXT.scope, frontOfNeck: false } };
  const everything = new Set(['scope-front-of-neck', 'scope-front-of-neck@scope']);
  const fired = (context: CautionContext, entryId: string, methodId: string) =>
    blocking(cautionsFor(context, blockAction(newBlock('b', entryId, methodId, ['left']), 'left')), everything).map(({ ruleId }) => ruleId);
  for (const [entryId, methodId] of [
    ['neck-pin-turn-seated', 'pin-lengthen'],
    ['neck-pin-turn-seated', 'point-hold'],
    ['scalene-pin-move', 'pin-lengthen'],
  ] as const) {
    expect([entryId, methodId, fired(off, entryId, methodId)]).toEqual([entryId, methodId, ['scope-front-of-neck']]);
    expect([entryId, methodId, fired(CONTEXT, entryId, methodId)]).toEqual([entryId, methodId, []]);
  }
  // Without a finger on it, the same muscles may be stretched; the back of the neck is another matter.
  expect(fired(off, 'scalene-pin-move', 'cr-light')).toEqual([]);
  expect(fired(off, 'neck-side-bend-supine', 'cr-breath')).toEqual([]);
  expect(fired(off, 'neck-thumb-stretch', 'pin-lengthen')).toEqual([]);
  // Measuring presses nothing.
  expect(cautionsFor(off, measuring('neck-extension', 'midline')).cautions.map(({ ruleId }) => ruleId)).not.toContain(
    'scope-front-of-neck',
  );
});

test('over metal the hand is limited and asks, and is not forbidden; a replaced joint is not pressed', () => {
  const conditions = [{ ...condition('hardware'), region: 'calf' as const, side: 'left' as const }];
  const press = { ...ACTION, regions: ['calf' as const], presses: [{ kind: 'point' as const, regions: ['calf' as const] }] };
  const found = cautionsFor({ ...CONTEXT, subject: { ...CONTEXT.subject, conditions } }, press);
  expect(blocking(found, new Set())).toEqual([]);
  expect(found.limits).toMatchObject({ painCeiling: 1, pressS: 60 });
  expect(found.cautions.find(({ ruleId }) => ruleId === 'hardware-press')!.reason).toMatch(/ask/i);
});

test('scope, consent and no-touch areas cannot be set aside; thrust is never within scope', () => {
  const everything = new Set(['scope-mobilization', 'scope-grade', 'scope-thrust', 'consent-missing', 'no-touch-hip']);
  const glide = blockAction({ ...newBlock('b', 'ankle-back-glide', 'mobilize-oscillate', ['left']) }, 'left');
  const none = { ...CONTEXT, scope: { ...CONTEXT.scope, mobilizationGrade: 0, ruleText: 'Only with a physiotherapist.' } };
  expect(blocking(cautionsFor(none, glide), everything).map((caution) => caution.ruleId)).toEqual(['scope-mobilization']);
  expect(cautionsFor(none, glide).cautions[0]!.reason).toContain('Only with a physiotherapist.');
  const toTwo = { ...CONTEXT, scope: { ...CONTEXT.scope, mobilizationGrade: 0, byRegion: { ankle: 2 } } };
  expect(blocking(cautionsFor(toTwo, glide), new Set())).toEqual([]);
  expect(cautionsFor(toTwo, glide).limits.grade).toBe(2);
  expect(blocking(cautionsFor(toTwo, { ...glide, grade: 3 }), everything).map((caution) => caution.ruleId)).toEqual(['scope-grade']);
  expect(blocking(cautionsFor(CONTEXT, { ...glide, techniques: ['thrust'] }), everything).map((caution) => caution.ruleId)).toEqual([
    'scope-thrust',
  ]);
  const private_ = {
    ...CONTEXT,
    consent: regionsOfAreas(['neck']),
    subject: { ...CONTEXT.subject, noTouch: [{ region: 'hip' as const, side: null, words: '' }] },
  };
  expect(blocking(cautionsFor(private_, measuring('hip-flexion', 'right')), everything).map((caution) => caution.ruleId)).toEqual([
    'consent-missing',
    'no-touch-hip',
  ]);
  expect(blocking(cautionsFor(private_, measuring('neck-rotation', 'right')), everything)).toEqual([]);
});

test('a stop concerns the whole visit, and no reason sets it aside', () => {
  const raised = { ...CONTEXT, raised: ['calf' as const] };
  expect(visitCautions(raised).level).toBe('stop');
  expect(visitCautions(CONTEXT).cautions).toEqual([]);
  expect(blocking(cautionsFor(raised, measuring('neck-rotation', 'left')), new Set(['stop-calf']))).toHaveLength(1);
});

test('the overview names what is on file once, with the strongest level first, and skips plain anatomy', () => {
  const overview = cautionOverview({ ...with_(knee, condition('shoulder-tear', { side: 'right' })), daysToEvent: 1 });
  expect(overview.map((each) => [each.because, each.level])).toEqual([
    ['Knee operation, left knee, 7 weeks, early repair', 'avoid'],
    ['Torn shoulder, right shoulder', 'avoid'],
    ['Start tomorrow', 'modify'],
  ]);
  expect(overview[0]!.cautions.map((caution) => caution.reason)).toContainEqual(expect.stringMatching(/^Knee flexion to 110° at most/));
});

test('the table obeys: no cue goes past the cap, the share or the efforts, on the limited side only', () => {
  const block = limitedBlock(newBlock('b', 'vasti-supine', 'cr-breath', ['left', 'right']), with_(knee));
  expect(block.limits!.map((limits) => limits.side)).toEqual(['left']);
  expect(limitWords(block.limits![0]!, '°')).toEqual([
    'to 110° at most',
    '90 % of the way to the edge',
    'effort to 20 %',
    'discomfort to 3',
    '60 s of contraction in all',
  ]);
  expect(techniquesOf(findMethod('cr-breath')!)).toEqual(['lengthen', 'contract']);
  expect(consentArea('knee')).toBe('legs');
});
