import { ENTRIES } from '../catalogue/index.ts';
import { bellyIn, MOTION_FACETS, MOTIONS, REGIONS } from '../body/index.ts';
import { newBlock, sidesOf } from '../method/index.ts';
import { cautionsFor } from './evaluate.ts';
import {
  blockAction,
  CONDITIONS,
  conditionFacts,
  measuring,
  RULES,
  STOP_QUESTIONS,
  type CandidateAction,
  type CautionContext,
} from './index.ts';
import { ACTION, condition, CONTEXT, ON } from './testing.ts';

type Who = Partial<CautionContext['subject']> & Partial<Pick<CautionContext, 'raised' | 'daysToEvent' | 'daysSinceEvent'>>;
type Case = readonly [who: Who, fires: Partial<CandidateAction>, spares: Partial<CandidateAction> | { readonly who: Who }];

const has = (...conditions: ReturnType<typeof condition>[]): Who => ({ conditions });
const left = (code: Parameters<typeof condition>[0], more: Parameters<typeof condition>[1] = {}) =>
  has(condition(code, { side: 'left', ...more }));
const weeksAgo = (weeks: number) => new Date(Date.parse(`${ON}T00:00:00Z`) - weeks * 7 * 86_400_000).toISOString().slice(0, 10);
const daysAgo = (days: number) => new Date(Date.parse(`${ON}T00:00:00Z`) - days * 86_400_000).toISOString().slice(0, 10);
const cleared = { by: 'Dr Example', on: daysAgo(3), text: '', limits: [] };
const R = { side: 'right' } as const;
type Region = CandidateAction['regions'][number];
type Movement = CandidateAction['moves'][number]['movement'];
type More = Partial<CandidateAction>;
const rubbing = (region: Region, more: More = {}): More => ({
  regions: [region],
  presses: [{ kind: 'friction', regions: [region] }],
  under: bellyIn(region),
  techniques: ['friction', 'press'],
  endRange: false,
  ...more,
});
const tapping = (region: Region, more: More = {}): More => ({
  ...rubbing(region),
  presses: [{ kind: 'percussion', regions: [region] }],
  ...more,
});
/** A joint that is moved on the left, or on the side given. */
const moving = (movement: Movement, { side = 'left', endRange = true, ...more }: More = {}): More => ({
  side,
  moves: [{ movement, side, endRange, scale: true }],
  endRange,
  ...more,
});
const graded = (region: Region, grade: number, more: More = {}): More => ({
  regions: [region],
  loads: [region],
  techniques: ['mobilize'],
  grade,
  endRange: grade >= 3,
  ...more,
});
const inRegion = (region: Region, more: More = {}): More => ({ regions: [region], ...more });
const lever = (movement: Movement, region: Region, more: More = {}): More => ({ ...moving(movement, more), loads: [region] });
const works = (muscle: CandidateAction['lengthens'][number], more: More = {}): More => ({ lengthens: [muscle], ...more });
const adult = '1995-01-01';
const lax = [true, true, true, true, true, false, false, false, false];

/** For each rule: somebody it is about, an action it catches, and one (or somebody else) it leaves alone. */
const CASES: Record<string, Case> = {
  ...Object.fromEntries(
    STOP_QUESTIONS.map(({ id }, i) => [
      `stop-${id}`,
      [{ raised: [id] }, {}, { who: { raised: [STOP_QUESTIONS[(i + 1) % STOP_QUESTIONS.length]!.id] } }] satisfies Case,
    ]),
  ),
  'stop-clot': [left('clot-suspected'), R, { who: left('clot-past') }],
  'stop-infection': [has(condition('infection')), {}, { who: has(condition('infection', { resolvedOn: daysAgo(1) })) }],
  'stop-concussion-fresh': [
    has(condition('concussion', { onset: daysAgo(3) })),
    {},
    { who: has(condition('concussion', { onset: daysAgo(9) })) },
  ],
  'concussion-later': [has(condition('concussion', { onset: daysAgo(9) })), inRegion('neck'), inRegion('calf')],

  'operation-no-clearance': [
    left('knee-operation', { surgeryOn: weeksAgo(7) }),
    inRegion('knee'),
    { who: left('knee-operation', { surgeryOn: weeksAgo(7), clearance: cleared }) },
  ],
  'operation-protect-lengthen': [left('knee-operation', { surgeryOn: weeksAgo(5) }), inRegion('knee'), inRegion('knee', R)],
  'operation-protect-contract': [
    left('shoulder-operation', { surgeryOn: weeksAgo(2) }),
    inRegion('shoulder', { techniques: ['contract'] }),
    inRegion('shoulder', { techniques: ['continuous'] }),
  ],
  'operation-repair': [
    left('knee-operation', { surgeryOn: weeksAgo(7) }),
    inRegion('knee'),
    { who: left('knee-operation', { surgeryOn: weeksAgo(13) }) },
  ],
  'operation-repair-grade': [left('ankle-operation', { surgeryOn: weeksAgo(8) }), graded('ankle', 1), graded('ankle', 1, R)],
  'operation-remodel': [
    left('hip-operation', { surgeryOn: weeksAgo(20) }),
    inRegion('hip'),
    { who: left('hip-operation', { surgeryOn: weeksAgo(60) }) },
  ],
  'operation-measure': [
    left('knee-operation', { surgeryOn: weeksAgo(7) }),
    inRegion('knee', { moment: 'measure' }),
    inRegion('knee', { moment: 'work' }),
  ],
  'operation-scar': [left('other-operation', { region: 'calf', surgeryOn: weeksAgo(3) }), rubbing('calf'), rubbing('foot')],
  'operation-still': [
    has(condition('spine-operation', { surgeryOn: weeksAgo(3) })),
    {},
    { who: has(condition('spine-operation', { surgeryOn: weeksAgo(30) })) },
  ],
  'hardware-press': [left('hardware', { region: 'shin' }), rubbing('shin'), rubbing('shin', R)],
  'hardware-percussion': [left('hardware', { region: 'shin' }), tapping('shin'), tapping('shin', R)],
  'replaced-press': [left('knee-replacement', { surgeryOn: weeksAgo(60) }), rubbing('knee'), rubbing('knee', R)],
  'stroke-away': [
    left('varicose-veins', { region: 'calf' }),
    inRegion('thigh-front', { strokesAway: true }),
    inRegion('thigh-front', { strokesAway: false }),
  ],
  'hardware-mobilize': [left('hardware', { region: 'ankle' }), graded('ankle', 3), graded('ankle', 2)],

  'neck-narrow-toward': [left('neck-narrowing'), moving('neck side-bend'), moving('neck side-bend', R)],
  'neck-narrow-extension': [left('neck-narrowing'), moving('neck extension', R), moving('neck rotation', R)],
  'neck-narrow-rotation': [left('neck-narrowing'), moving('neck rotation'), moving('neck rotation', R)],
  'neck-narrow-mobilize': [left('neck-narrowing'), graded('neck', 1, R), graded('upper-back', 1)],
  'neck-dizzy-end': [has(condition('neck-dizziness')), moving('neck rotation'), moving('neck rotation', { endRange: false })],
  'neck-dizzy-traction': [
    has(condition('neck-dizziness')),
    inRegion('neck', { techniques: ['traction'] }),
    inRegion('hip', { techniques: ['traction'] }),
  ],
  'neck-front-press': [{}, rubbing('front-of-neck'), rubbing('neck')],
  'low-back-active': [
    has(condition('low-back-pain')),
    moving('trunk flexion', { techniques: ['active'] }),
    moving('trunk flexion', { techniques: ['lengthen'] }),
  ],
  'low-back-slow': [has(condition('low-back-pain')), moving('trunk rotation'), moving('trunk rotation', { moment: 'measure' })],
  'slipped-extension': [has(condition('slipped-vertebra')), moving('trunk extension'), moving('trunk flexion')],
  'slipped-hip-extension': [has(condition('slipped-vertebra')), moving('hip extension'), moving('hip flexion')],
  'slipped-mobilize': [has(condition('slipped-vertebra')), graded('low-back', 1), graded('hip', 1)],
  'disc-flexion': [left('disc-leg'), moving('trunk flexion', R), moving('trunk extension')],
  'disc-slr': [left('disc-leg'), moving('straight-leg raise'), moving('hip extension')],
  'disc-nerve-line': [left('nerve-signs', { region: 'forearm' }), { techniques: ['nerve-line'] }, { techniques: ['lengthen'] }],
  'sacroiliac-twist': [left('sacroiliac-pain'), moving('trunk rotation'), moving('trunk side-bend')],
  'sacroiliac-mobilize': [left('sacroiliac-pain'), graded('pelvis', 2), graded('ankle', 2)],
  'belly-vessels': [{}, rubbing('belly'), inRegion('belly', { techniques: ['continuous'] })],

  'dislocation-turn-out': [
    left('shoulder-dislocation', { resolvedOn: daysAgo(400) }),
    moving('shoulder external rotation, arm out'),
    moving('shoulder external rotation, arm out', R),
  ],
  'dislocation-behind-back': [left('shoulder-dislocation'), moving('hand behind back'), moving('shoulder internal rotation')],
  'dislocation-overhead-traction': [
    left('shoulder-dislocation'),
    { loads: ['shoulder'], techniques: ['traction'] },
    { loads: ['shoulder'], techniques: ['continuous'] },
  ],
  'dislocation-overhead': [left('shoulder-dislocation'), moving('shoulder flexion'), moving('shoulder flexion', { endRange: false })],
  'dislocation-mobilize': [left('shoulder-dislocation'), graded('shoulder', 1), graded('shoulder', 1, R)],
  'tear-turn-out': [
    left('shoulder-tear', { resolvedOn: daysAgo(300) }),
    moving('shoulder external rotation, arm out'),
    moving('shoulder extension'),
  ],
  'tear-overhead': [left('shoulder-tear'), moving('shoulder flexion'), moving('shoulder flexion', R)],
  'tear-traction': [left('shoulder-tear'), { loads: ['shoulder'], techniques: ['traction'] }, { loads: ['hip'], techniques: ['traction'] }],
  'tear-press': [left('shoulder-tear'), rubbing('shoulder'), rubbing('neck')],
  'frozen-arc': [left('frozen-shoulder'), inRegion('shoulder'), inRegion('shoulder', { techniques: ['press'] })],
  'frozen-grade': [left('frozen-shoulder'), graded('shoulder', 3), graded('shoulder', 2)],
  'armpit-vessels': [{}, rubbing('armpit'), rubbing('shoulder')],
  'elbow-never-past': [{}, moving('elbow extension'), moving('elbow extension', { endRange: false })],
  'elbow-injury-end': [
    left('elbow-injury'),
    moving('elbow extension', { endRange: false }),
    moving('elbow extension', { ...R, endRange: false }),
  ],
  'elbow-injury-lever': [left('elbow-injury'), { loads: ['elbow'] }, { loads: ['forearm'] }],
  'wrist-lever': [left('wrist-injury'), lever('shoulder flexion', 'wrist'), lever('shoulder flexion', 'elbow')],
  'wrist-movement': [left('wrist-injury'), moving('wrist movement'), moving('elbow extension')],

  'hip-replacement-bend': [
    left('hip-replacement-back', { resolvedOn: daysAgo(900) }),
    moving('hip flexion', { motionId: 'hip-flexion' }),
    moving('hip abduction'),
  ],
  'hip-replacement-turn-in': [left('hip-replacement-back'), moving('hip internal rotation'), { who: left('hip-replacement-front') }],
  'hip-replacement-extend': [left('hip-replacement-front'), moving('hip extension'), { who: left('hip-replacement-back') }],
  'hip-replacement-cross': [left('hip-replacement-front'), moving('hip across the midline'), moving('hip abduction')],
  'hip-replacement-mobilize': [left('hip-replacement-back'), graded('hip', 1), graded('hip', 1, R)],
  'hip-pinch-bend': [left('hip-pinching'), moving('hip flexion'), moving('hip extension')],
  'knee-torque': [
    left('knee-operation', { surgeryOn: weeksAgo(20) }),
    lever('hip internal rotation', 'knee'),
    moving('hip internal rotation'),
  ],
  'knee-pain-torque': [left('knee-pain'), lever('hip external rotation', 'knee'), lever('hip external rotation', 'knee', R)],
  'knee-pain-bend': [left('knee-pain'), moving('knee flexion'), moving('knee extension')],
  'knee-long-lever': [left('knee-sprain'), lever('hip abduction', 'knee'), moving('hip abduction')],
  'knee-sprain-fresh': [
    left('knee-sprain', { onset: daysAgo(20) }),
    inRegion('knee'),
    { who: left('knee-sprain', { onset: daysAgo(60) }) },
  ],
  'knee-back-vessels': [{}, rubbing('knee-back'), rubbing('calf')],
  'groin-vessels': [{}, rubbing('groin'), rubbing('hip')],
  'ankle-sprain-fresh': [
    left('ankle-sprain', { onset: daysAgo(2) }),
    inRegion('ankle'),
    { who: left('ankle-sprain', { onset: daysAgo(12) }) },
  ],
  'ankle-sprain-later': [
    left('ankle-sprain', { onset: daysAgo(12) }),
    moving('ankle dorsiflexion'),
    { who: left('ankle-sprain', { onset: daysAgo(2) }) },
  ],

  'strain-fresh': [left('muscle-strain', { region: 'thigh-back', onset: daysAgo(2) }), works('hamstrings'), works('vasti')],
  'strain-later': [left('muscle-strain', { region: 'calf', onset: daysAgo(20) }), works('soleus'), works('soleus', R)],
  'tendon-long-hold': [left('tendon-pain', { region: 'ankle' }), works('gastrocnemius'), works('vasti')],
  'apophysis-no-hard': [left('apophysis', { region: 'knee' }), works('rectus-femoris'), works('soleus')],
  growing: [{ birthDate: '2010-01-01' }, { techniques: ['contract'] }, { who: { birthDate: adult } }],
  'stress-injury': [left('stress-injury', { region: 'chest' }), inRegion('chest'), inRegion('chest', R)],
  fracture: [
    left('fracture', { region: 'wrist' }),
    inRegion('wrist'),
    { who: left('fracture', { region: 'wrist', resolvedOn: daysAgo(2) }) },
  ],
  'lax-beighton': [{ birthDate: adult, beighton: lax }, {}, { who: { birthDate: '2010-01-01', beighton: lax } }],
  'lax-beighton-young': [
    { birthDate: '2010-01-01', beighton: [...lax.slice(0, 5), true, ...lax.slice(6)] },
    {},
    { who: { birthDate: '2010-01-01', beighton: lax } },
  ],
  'lax-diagnosed': [has(condition('hypermobility')), {}, { endRange: false }],
  'lax-mobilize': [has(condition('hypermobility')), graded('hip', 3), graded('hip', 2)],
  'inflamed-joint': [left('inflamed-joint', { region: 'wrist' }), inRegion('wrist'), inRegion('knee')],
  'bone-rotation': [has(condition('osteoporosis')), moving('trunk rotation'), moving('hip flexion')],
  'bone-mobilize': [has(condition('osteoporosis')), graded('low-back', 3), graded('low-back', 2)],
  'bone-lever': [has(condition('osteoporosis')), { longLever: true }, {}],
  'steroid-tissue': [{ medications: ['steroid-long'] }, graded('hip', 4), graded('hip', 2)],
  'steroid-friction': [{ medications: ['steroid-long'] }, rubbing('calf'), inRegion('calf')],
  'quinolone-tendon': [{ medications: ['quinolone'] }, inRegion('calf'), inRegion('calf', { techniques: ['press'] })],
  'thinner-press': [{ medications: ['blood-thinner'] }, rubbing('calf'), inRegion('calf')],
  'bleeding-press': [has(condition('bleeding-disorder')), rubbing('calf'), inRegion('calf')],
  'bleeding-end': [has(condition('bleeding-disorder')), {}, { endRange: false }],
  'painkiller-ceiling': [{ medications: ['pain-killer'] }, {}, { moment: 'measure' }],
  'relaxant-end': [{ medications: ['muscle-relaxant'] }, {}, { endRange: false }],
  'pressure-rise': [{ medications: ['blood-pressure'] }, {}, { who: { medications: ['pain-killer'] } }],
  'heart-contract': [has(condition('heart')), { techniques: ['contract'] }, { techniques: ['lengthen'] }],
  'pregnant-flat': [has(condition('pregnancy')), { position: 'supine' }, { position: 'side-lying left' }],
  'pregnant-supine': [
    has(condition('pregnancy', { onset: weeksAgo(22) })),
    { position: 'supine', holdS: 30 },
    { who: has(condition('pregnancy', { onset: weeksAgo(12) })) },
  ],
  'pregnant-prone': [has(condition('pregnancy')), { position: 'prone' }, { position: 'side-lying left' }],
  'pregnant-belly': [has(condition('pregnancy')), inRegion('belly'), inRegion('calf')],
  'pregnant-end': [has(condition('pregnancy')), {}, { endRange: false }],
  'nerve-region': [left('nerve-signs', { region: 'thigh-back' }), inRegion('thigh-back'), inRegion('thigh-front')],
  'feeling-number': [left('reduced-feeling', { region: 'foot' }), inRegion('foot'), inRegion('foot', R)],
  'clot-past-deep': [left('clot-past', { resolvedOn: daysAgo(500) }), rubbing('calf'), inRegion('calf')],
  veins: [left('varicose-veins', { region: 'calf' }), rubbing('calf'), inRegion('calf')],
  'skin-broken': [left('broken-skin', { region: 'hand' }), inRegion('hand'), inRegion('foot')],
  'skin-rash': [left('rash', { region: 'forearm' }), inRegion('forearm'), inRegion('calf')],
  'injection-fresh': [
    left('injection', { region: 'shoulder', onset: daysAgo(2) }),
    inRegion('shoulder'),
    { who: left('injection', { region: 'shoulder', onset: daysAgo(20) }) },
  ],
  'injection-tendon': [
    left('injection', { region: 'shoulder', onset: daysAgo(20) }),
    inRegion('shoulder'),
    { who: left('injection', { region: 'shoulder', onset: daysAgo(40) }) },
  ],
  'swelling-press': [left('swelling', { region: 'ankle' }), rubbing('ankle'), inRegion('ankle', { techniques: ['continuous'] })],
  'supine-heart': [has(condition('heart')), { position: 'prone' }, { position: 'seated upright' }],

  'start-today-hold': [{ daysToEvent: 0 }, { holdS: 45 }, { holdS: 20 }],
  'start-today-short': [{ daysToEvent: 0 }, {}, { who: { daysToEvent: 1 } }],
  'start-near': [{ daysToEvent: 2 }, {}, { who: { daysToEvent: 3 } }],
  'start-near-mobilize': [{ daysToEvent: 1 }, graded('hip', 3), graded('hip', 2)],
  'after-event': [{ daysSinceEvent: 1 }, {}, { who: { daysSinceEvent: 2 } }],
};

const context = ({ raised, daysToEvent, daysSinceEvent, ...subject }: Who): CautionContext => ({
  ...CONTEXT,
  raised: raised ?? [],
  daysToEvent: daysToEvent ?? null,
  daysSinceEvent: daysSinceEvent ?? null,
  subject: { ...CONTEXT.subject, ...subject },
});

test('there are at least sixty rules, each with an id of its own, a reason, something to do instead and a source', () => {
  expect(RULES.length).toBeGreaterThanOrEqual(60);
  expect(new Set(RULES.map((rule) => rule.id)).size).toBe(RULES.length);
  for (const rule of RULES) for (const text of [rule.reason, rule.instead, rule.source]) expect(text.length).toBeGreaterThan(5);
  for (const rule of RULES) if (rule.level === 'stop') expect(rule.refer).toBeTruthy();
});

test('every condition of the list is known to a rule', () => {
  const used = new Set(RULES.flatMap((rule) => ('conditions' in rule.premise ? rule.premise.conditions : [])));
  expect(CONDITIONS.map((each) => each.code).filter((code) => !used.has(code))).toEqual([]);
});

test('every line of the table is one of a rule that stands', () =>
  expect(Object.keys(CASES).filter((id) => !RULES.some((rule) => rule.id === id))).toEqual([]));

test.each(Object.keys(CASES))('%s fires where it should and nowhere else', (id) => {
  const [who, fires, spares] = CASES[id]!;
  const found = (subject: Who, action: Partial<CandidateAction>) =>
    cautionsFor(context(subject), { ...ACTION, ...action }).cautions.filter((caution) => caution.ruleId === id);
  const [caution] = found(who, fires);
  expect(caution).toBeDefined();
  expect(caution!.level).toBe(RULES.find((rule) => rule.id === id)!.level);
  if ('who' in spares) expect(found(spares.who, fires)).toEqual([]);
  else expect(found(who, spares)).toEqual([]);
});

/** Everything the program can do to somebody: each motion measured, each entry in each way, on each side, gently and strongly. */
const EVERYTHING = [
  ...MOTIONS.flatMap((motion) => motion.sides.map((side) => measuring(motion.id, side))),
  ...ENTRIES.flatMap((entry) =>
    entry.ways.flatMap((way) =>
      sidesOf(entry).flatMap((side) =>
        entry.positions.flatMap((position) => {
          const block = { ...newBlock('b', entry.id, way, [side]), position };
          const strong = {
            ...block,
            numbers: {
              ...block.numbers,
              ...(block.numbers.grade ? { grade: [4] } : {}),
              ...(block.numbers.effort ? { effort: [80] } : {}),
              ...(block.numbers.hold ? { hold: [60] } : {}),
            },
          };
          return [blockAction(block, side), blockAction(strong, side)];
        }),
      ),
    ),
  ),
];

/** Somebody a rule is about, with the condition in one place, on the left. */
function somebody({ premise }: (typeof RULES)[number], region: (typeof REGIONS)[number]['id']): CautionContext[] {
  if ('medications' in premise) return premise.medications.map((id) => context({ medications: [id] }));
  if ('beightonAtLeast' in premise)
    return [
      context({
        beighton: [true, true, true, true, true, true, true, true, true],
        birthDate: premise.underAge ? '2012-01-01' : premise.fromAge === 50 ? '1970-01-01' : adult,
      }),
    ];
  if ('underAge' in premise) return [context({ birthDate: '2012-01-01' })];
  if ('fromAge' in premise) return [context({ birthDate: '1950-01-01' })];
  if ('raised' in premise) return [context({ raised: [premise.raised] })];
  if ('daysToEventAtMost' in premise) return [context({ daysToEvent: premise.daysToEventAtMost })];
  if ('daysSinceEventAtMost' in premise) return [context({ daysSinceEvent: premise.daysSinceEventAtMost })];
  if (!('conditions' in premise)) return [context({})];
  const days = premise.afterDays ?? 1;
  const weeks = premise.phases ? { protect: 3, repair: 8, remodel: 20, settled: 70 }[premise.phases[0]!] : 3;
  return premise.conditions.map((code) => {
    const facts = conditionFacts(code);
    return context(
      has(
        condition(code, {
          side: 'left',
          region: facts.chooseRegion ? region : null,
          ...(facts.surgery ? { surgeryOn: weeksAgo(weeks) } : { onset: daysAgo(days) }),
          grade: premise.grades?.[0] ?? null,
          clearance: premise.cleared === false ? null : cleared,
          ...(premise.resolvedWithinDays ? { resolvedOn: daysAgo(5), surgeryOn: null } : {}),
        }),
      ),
    );
  });
}

test('every rule catches something that can really be planned or measured, and, unless it is about the whole visit, leaves something alone', () => {
  const dead: string[] = [];
  const everywhere: string[] = [];
  for (const rule of RULES) {
    const catches = (where: CautionContext, action: CandidateAction) =>
      cautionsFor(where, action).cautions.some((caution) => caution.ruleId === rule.id);
    const contexts = REGIONS.flatMap(({ id }) => somebody(rule, id));
    if (!contexts.some((where) => EVERYTHING.some((action) => catches(where, action)))) dead.push(rule.id);
    if (!rule.touches.visit && !contexts.some((where) => EVERYTHING.some((action) => !catches(where, action)))) everywhere.push(rule.id);
  }
  // Nothing in the catalogue presses there; the rules are for what a practice adds.
  expect([dead, everywhere]).toEqual([['neck-front-press', 'knee-back-vessels'], []]);
}, 120_000);

/** Done on the right only: nothing of it goes to the left or to both sides. */
const RIGHT = EVERYTHING.filter((action) => action.side === 'right' && action.moves.every((each) => each.side === 'right'));

test('a condition on the left leaves the right free, unless the rule says whichever side', () => {
  const anySide = new Set(
    RULES.filter(({ premise, touches }) => !('conditions' in premise) || touches.visit || touches.side !== undefined).map(
      (rule) => rule.id,
    ),
  );
  const wrong = new Set<string>();
  CONDITIONS.forEach(({ code }, n) => {
    const facts = conditionFacts(code);
    for (const [at, { id }] of REGIONS.entries()) {
      if (!facts.chooseRegion && at > 0) continue;
      for (const [age, weeks] of [3, 8, 20, 70].entries()) {
        const where = context(
          has(
            condition(code, {
              side: 'left',
              region: facts.chooseRegion ? id : null,
              ...(facts.surgery ? { surgeryOn: weeksAgo(weeks) } : { onset: daysAgo(weeks) }),
            }),
          ),
        );
        // Every action in turn, a different tenth of them each time.
        for (const action of RIGHT.filter((_, i) => (i + n + at + age) % 10 === 0))
          for (const caution of cautionsFor(where, action).cautions)
            if (caution.kind === 'rule' && !anySide.has(caution.ruleId)) wrong.add(`${caution.ruleId}: ${action.motionId}`);
      }
    }
  });
  expect([...wrong]).toEqual([]);
}, 120_000);

test('every motion that can be measured, and so every entry, says what it does to the body', () => {
  expect(MOTIONS.map((motion) => motion.id).filter((id) => !MOTION_FACETS[id])).toEqual([]);
  expect(ENTRIES.every((entry) => MOTION_FACETS[entry.motionId] !== undefined)).toBe(true);
  for (const [id, facets] of Object.entries(MOTION_FACETS))
    if (facets.scale.length > 0) expect(MOTIONS.find((motion) => motion.id === id)).toMatchObject({ unit: 'deg', better: 'higher' });
  for (const facets of Object.values(MOTION_FACETS))
    expect(facets.scale.every((movement) => facets.movements.includes(movement))).toBe(true);
});

test('a condition whose region is chosen says so, and one that is an operation has a date to count from', () => {
  for (const each of CONDITIONS) expect(conditionFacts(each.code)).toBe(each);
  expect(CONDITIONS.filter((each) => each.group === 'operation' && each.code !== 'hardware').every((each) => 'surgery' in each)).toBe(true);
});
