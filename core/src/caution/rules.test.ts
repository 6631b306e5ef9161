import { ENTRIES } from '../catalogue/index.ts';
import { MOTIONS } from '../body/index.ts';
import { cautionsFor } from './evaluate.ts';
import { CONDITIONS, conditionFacts, MOTION_FACETS, RULES, STOP_QUESTIONS, type CandidateAction, type CautionContext } from './index.ts';
import { ACTION, condition, CONTEXT, ON } from './testing.ts';

type Who = Partial<CautionContext['subject']> & Partial<Pick<CautionContext, 'raised' | 'daysToEvent' | 'daysSinceEvent'>>;
type Case = readonly [who: Who, fires: Partial<CandidateAction>, spares: Partial<CandidateAction> | { readonly who: Who }];

const has = (...conditions: ReturnType<typeof condition>[]): Who => ({ conditions });
const left = (code: Parameters<typeof condition>[0], more: Parameters<typeof condition>[1] = {}) => has(condition(code, { side: 'left', ...more }));
const weeksAgo = (weeks: number) => new Date(Date.parse(`${ON}T00:00:00Z`) - weeks * 7 * 86_400_000).toISOString().slice(0, 10);
const daysAgo = (days: number) => new Date(Date.parse(`${ON}T00:00:00Z`) - days * 86_400_000).toISOString().slice(0, 10);
const cleared = { by: 'Dr Example', on: daysAgo(3), text: '', limits: [] };
const R = { side: 'right' } as const;
const rubbing = (region: CandidateAction['regions'][number], more: Partial<CandidateAction> = {}): Partial<CandidateAction> => ({ regions: [region], techniques: ['friction'], endRange: false, ...more });
const moving = (movement: CandidateAction['movements'][number], more: Partial<CandidateAction> = {}): Partial<CandidateAction> => ({ movements: [movement], ...more });
const graded = (region: CandidateAction['regions'][number], grade: number, more: Partial<CandidateAction> = {}): Partial<CandidateAction> => ({ regions: [region], techniques: ['mobilize'], grade, endRange: grade >= 3, ...more });
const inRegion = (region: CandidateAction['regions'][number], more: Partial<CandidateAction> = {}): Partial<CandidateAction> => ({ regions: [region], ...more });
const adult = '1995-01-01';
const lax = [true, true, true, true, true, false, false, false, false];

/** For each rule: somebody it is about, an action it catches, and one (or somebody else) it leaves alone. */
const CASES: Record<string, Case> = {
  ...Object.fromEntries(STOP_QUESTIONS.map(({ id }, i) => [`stop-${id}`, [{ raised: [id] }, {}, { who: { raised: [STOP_QUESTIONS[(i + 1) % STOP_QUESTIONS.length]!.id] } }] satisfies Case])),
  'stop-clot': [left('clot-suspected'), R, { who: left('clot-past') }],
  'stop-infection': [has(condition('infection')), {}, { who: has(condition('infection', { resolvedOn: daysAgo(1) })) }],
  'stop-concussion-fresh': [has(condition('concussion', { onset: daysAgo(3) })), {}, { who: has(condition('concussion', { onset: daysAgo(9) })) }],
  'concussion-later': [has(condition('concussion', { onset: daysAgo(9) })), inRegion('neck'), inRegion('calf')],

  'operation-no-clearance': [left('knee-operation', { surgeryOn: weeksAgo(7) }), inRegion('knee'), { who: left('knee-operation', { surgeryOn: weeksAgo(7), clearance: cleared }) }],
  'operation-protect-lengthen': [left('knee-operation', { surgeryOn: weeksAgo(5) }), inRegion('knee'), inRegion('knee', R)],
  'operation-protect-contract': [left('shoulder-operation', { surgeryOn: weeksAgo(2) }), inRegion('shoulder', { techniques: ['contract'] }), inRegion('shoulder', { techniques: ['continuous'] })],
  'operation-repair': [left('knee-operation', { surgeryOn: weeksAgo(7) }), inRegion('knee'), { who: left('knee-operation', { surgeryOn: weeksAgo(13) }) }],
  'operation-repair-grade': [left('ankle-operation', { surgeryOn: weeksAgo(8) }), graded('ankle', 1), graded('ankle', 1, R)],
  'operation-remodel': [left('hip-operation', { surgeryOn: weeksAgo(20) }), inRegion('hip'), { who: left('hip-operation', { surgeryOn: weeksAgo(60) }) }],
  'operation-measure': [left('knee-operation', { surgeryOn: weeksAgo(7) }), inRegion('knee', { moment: 'measure' }), inRegion('knee', { moment: 'work' })],
  'operation-scar': [left('other-operation', { region: 'calf', surgeryOn: weeksAgo(3) }), rubbing('calf'), rubbing('shin')],
  'operation-still': [has(condition('spine-operation', { surgeryOn: weeksAgo(3) })), {}, { who: has(condition('spine-operation', { surgeryOn: weeksAgo(30) })) }],
  'hardware-press': [left('hardware', { region: 'shin' }), rubbing('shin'), rubbing('shin', R)],
  'hardware-mobilize': [left('hardware', { region: 'ankle' }), graded('ankle', 3), graded('ankle', 2)],

  'neck-narrow-toward': [left('neck-narrowing'), moving('neck side-bend'), moving('neck side-bend', R)],
  'neck-narrow-extension': [left('neck-narrowing'), moving('neck extension', R), moving('neck rotation', R)],
  'neck-narrow-rotation': [left('neck-narrowing'), moving('neck rotation'), moving('neck rotation', R)],
  'neck-narrow-mobilize': [left('neck-narrowing'), graded('neck', 1, R), graded('upper-back', 1)],
  'neck-dizzy-end': [has(condition('neck-dizziness')), moving('neck rotation'), moving('neck rotation', { endRange: false })],
  'neck-dizzy-traction': [has(condition('neck-dizziness')), inRegion('neck', { techniques: ['traction'] }), inRegion('hip', { techniques: ['traction'] })],
  'neck-front-press': [{}, rubbing('front-of-neck'), rubbing('neck')],
  'low-back-active': [has(condition('low-back-pain')), moving('trunk flexion', { techniques: ['active'] }), moving('trunk flexion', { techniques: ['lengthen'] })],
  'low-back-slow': [has(condition('low-back-pain')), moving('trunk rotation'), moving('trunk rotation', { moment: 'measure' })],
  'slipped-extension': [has(condition('slipped-vertebra')), moving('trunk extension'), moving('trunk flexion')],
  'slipped-hip-extension': [has(condition('slipped-vertebra')), moving('hip extension'), moving('hip flexion')],
  'slipped-mobilize': [has(condition('slipped-vertebra')), graded('low-back', 1), graded('hip', 1)],
  'disc-flexion': [left('disc-leg'), moving('trunk flexion', R), moving('trunk extension')],
  'disc-slr': [left('disc-leg'), moving('straight-leg raise'), moving('hip extension')],
  'disc-nerve-line': [left('nerve-signs', { region: 'forearm' }), { techniques: ['nerve-line'] }, { techniques: ['lengthen'] }],
  'sacroiliac-twist': [left('sacroiliac-pain'), moving('trunk rotation'), moving('trunk side-bend')],
  'sacroiliac-mobilize': [left('sacroiliac-pain'), graded('pelvis', 2), graded('ankle', 2)],
  'belly-vessels': [{}, inRegion('belly', { techniques: ['press'] }), inRegion('belly', { techniques: ['continuous'] })],

  'dislocation-turn-out': [left('shoulder-dislocation', { resolvedOn: daysAgo(400) }), moving('shoulder external rotation, arm out'), moving('shoulder external rotation, arm out', R)],
  'dislocation-behind-back': [left('shoulder-dislocation'), moving('hand behind back'), moving('shoulder internal rotation')],
  'dislocation-overhead-traction': [left('shoulder-dislocation'), inRegion('shoulder', { techniques: ['traction'] }), inRegion('shoulder', { techniques: ['continuous'] })],
  'dislocation-overhead': [left('shoulder-dislocation'), moving('shoulder flexion'), moving('shoulder flexion', { endRange: false })],
  'dislocation-mobilize': [left('shoulder-dislocation'), graded('shoulder', 1), graded('shoulder', 1, R)],
  'tear-turn-out': [left('shoulder-tear', { resolvedOn: daysAgo(300) }), moving('shoulder external rotation, arm out'), moving('shoulder internal rotation')],
  'tear-overhead': [left('shoulder-tear'), moving('shoulder flexion'), moving('shoulder flexion', R)],
  'tear-traction': [left('shoulder-tear'), inRegion('shoulder', { techniques: ['traction'] }), inRegion('hip', { techniques: ['traction'] })],
  'tear-press': [left('shoulder-tear'), rubbing('shoulder'), rubbing('neck')],
  'frozen-arc': [left('frozen-shoulder'), inRegion('shoulder'), inRegion('shoulder', { techniques: ['continuous'] })],
  'frozen-grade': [left('frozen-shoulder'), graded('shoulder', 3), graded('shoulder', 2)],
  'armpit-vessels': [{}, rubbing('armpit'), rubbing('shoulder')],
  'elbow-never-past': [{}, moving('elbow extension'), moving('elbow extension', { endRange: false })],
  'elbow-injury-end': [left('elbow-injury'), moving('elbow extension', { endRange: false }), moving('elbow extension', { ...R, endRange: false })],
  'elbow-injury-lever': [left('elbow-injury'), inRegion('forearm', { longLever: true }), inRegion('forearm', { longLever: false })],
  'wrist-lever': [left('wrist-injury'), inRegion('hand', { longLever: true }), inRegion('hand')],
  'wrist-movement': [left('wrist-injury'), moving('wrist movement'), moving('elbow extension')],

  'hip-replacement-bend': [left('hip-replacement-back', { resolvedOn: daysAgo(900) }), moving('hip flexion', { motionId: 'hip-flexion' }), moving('hip abduction')],
  'hip-replacement-turn-in': [left('hip-replacement-back'), moving('hip internal rotation'), { who: left('hip-replacement-front') }],
  'hip-replacement-extend': [left('hip-replacement-front'), moving('hip extension'), { who: left('hip-replacement-back') }],
  'hip-replacement-cross': [left('hip-replacement-front'), moving('hip across the midline'), moving('hip abduction')],
  'hip-replacement-mobilize': [left('hip-replacement-back'), graded('hip', 1), graded('hip', 1, R)],
  'hip-pinch-bend': [left('hip-pinching'), moving('hip flexion'), moving('hip extension')],
  'knee-torque': [left('knee-operation', { surgeryOn: weeksAgo(20) }), moving('hip internal rotation', { longLever: true }), moving('hip internal rotation')],
  'knee-pain-torque': [left('knee-pain'), moving('hip external rotation', { longLever: true }), moving('hip external rotation', { longLever: true, ...R })],
  'knee-pain-bend': [left('knee-pain'), moving('knee flexion'), moving('knee extension')],
  'knee-long-lever': [left('knee-sprain'), moving('hip abduction', { longLever: true }), moving('hip abduction')],
  'knee-sprain-fresh': [left('knee-sprain', { onset: daysAgo(20) }), inRegion('knee'), { who: left('knee-sprain', { onset: daysAgo(60) }) }],
  'knee-back-vessels': [{}, rubbing('knee-back'), rubbing('calf')],
  'groin-vessels': [{}, rubbing('groin'), rubbing('hip')],
  'ankle-sprain-fresh': [left('ankle-sprain', { onset: daysAgo(2) }), inRegion('ankle'), { who: left('ankle-sprain', { onset: daysAgo(12) }) }],
  'ankle-sprain-later': [left('ankle-sprain', { onset: daysAgo(12) }), moving('ankle dorsiflexion'), { who: left('ankle-sprain', { onset: daysAgo(2) }) }],

  'strain-fresh': [left('muscle-strain', { region: 'thigh-back', onset: daysAgo(2) }), inRegion('thigh-back'), inRegion('thigh-front')],
  'strain-later': [left('muscle-strain', { region: 'calf', onset: daysAgo(20) }), inRegion('calf'), inRegion('calf', R)],
  'tendon-long-hold': [left('tendon-pain', { region: 'ankle' }), inRegion('ankle'), inRegion('ankle', { techniques: ['continuous'] })],
  'apophysis-no-hard': [left('apophysis', { region: 'knee' }), inRegion('knee'), inRegion('ankle')],
  growing: [{ birthDate: '2010-01-01' }, { techniques: ['contract'] }, { who: { birthDate: adult } }],
  'stress-injury': [left('stress-injury', { region: 'chest' }), inRegion('chest'), inRegion('chest', R)],
  fracture: [left('fracture', { region: 'wrist' }), inRegion('wrist'), { who: left('fracture', { region: 'wrist', resolvedOn: daysAgo(2) }) }],
  'lax-beighton': [{ birthDate: adult, beighton: lax }, {}, { who: { birthDate: '2010-01-01', beighton: lax } }],
  'lax-diagnosed': [has(condition('hypermobility')), {}, { endRange: false }],
  'lax-mobilize': [has(condition('hypermobility')), graded('hip', 3), graded('hip', 2)],
  'inflamed-joint': [left('inflamed-joint', { region: 'wrist' }), inRegion('wrist'), inRegion('knee')],
  'bone-rotation': [has(condition('osteoporosis')), moving('trunk rotation'), moving('hip flexion')],
  'bone-mobilize': [has(condition('osteoporosis')), graded('low-back', 3), graded('low-back', 2)],
  'bone-lever': [has(condition('osteoporosis')), { longLever: true }, {}],
  'steroid-tissue': [{ medications: ['steroid-long'] }, graded('hip', 4), graded('hip', 2)],
  'steroid-friction': [{ medications: ['steroid-long'] }, rubbing('calf'), inRegion('calf')],
  'quinolone-tendon': [{ medications: ['quinolone'] }, inRegion('calf'), inRegion('neck')],
  'thinner-press': [{ medications: ['blood-thinner'] }, rubbing('calf'), inRegion('calf')],
  'bleeding-press': [has(condition('bleeding-disorder')), rubbing('calf'), inRegion('calf')],
  'bleeding-end': [has(condition('bleeding-disorder')), {}, { endRange: false }],
  'painkiller-ceiling': [{ medications: ['pain-killer'] }, {}, { techniques: ['continuous'] }],
  'relaxant-end': [{ medications: ['muscle-relaxant'] }, {}, { endRange: false }],
  'pressure-rise': [{ medications: ['blood-pressure'] }, {}, { who: { medications: ['pain-killer'] } }],
  'heart-contract': [has(condition('heart')), { techniques: ['contract'] }, { techniques: ['lengthen'] }],
  'pregnant-supine': [has(condition('pregnancy')), { position: 'supine' }, { position: 'side-lying left' }],
  'pregnant-prone': [has(condition('pregnancy')), { position: 'prone' }, { position: 'side-lying left' }],
  'pregnant-belly': [has(condition('pregnancy')), inRegion('belly'), inRegion('calf')],
  'pregnant-end': [has(condition('pregnancy')), {}, { endRange: false }],
  'nerve-region': [left('nerve-signs', { region: 'thigh-back' }), inRegion('thigh-back'), inRegion('thigh-front')],
  'feeling-number': [left('reduced-feeling', { region: 'foot' }), inRegion('foot'), inRegion('foot', R)],
  'clot-past-deep': [left('clot-past', { resolvedOn: daysAgo(500) }), rubbing('calf'), inRegion('calf')],
  veins: [left('varicose-veins', { region: 'calf' }), rubbing('calf'), inRegion('calf')],
  'skin-broken': [left('broken-skin', { region: 'hand' }), inRegion('hand'), inRegion('foot')],
  'skin-rash': [left('rash', { region: 'forearm' }), inRegion('forearm'), inRegion('calf')],
  'injection-fresh': [left('injection', { region: 'shoulder', onset: daysAgo(2) }), inRegion('shoulder'), { who: left('injection', { region: 'shoulder', onset: daysAgo(20) }) }],
  'injection-tendon': [left('injection', { region: 'shoulder', onset: daysAgo(20) }), inRegion('shoulder'), inRegion('knee')],
  'swelling-press': [left('swelling', { region: 'ankle' }), rubbing('ankle'), inRegion('ankle', { techniques: ['continuous'] })],
  'supine-heart': [has(condition('heart')), { position: 'prone' }, { position: 'seated upright' }],

  'start-today-hold': [{ daysToEvent: 0 }, { holdS: 45 }, { holdS: 20 }],
  'start-today-short': [{ daysToEvent: 0 }, {}, { who: { daysToEvent: 1 } }],
  'start-near': [{ daysToEvent: 2 }, {}, { who: { daysToEvent: 3 } }],
  'start-near-mobilize': [{ daysToEvent: 1 }, graded('hip', 3), graded('hip', 2)],
  'after-event': [{ daysSinceEvent: 1 }, {}, { who: { daysSinceEvent: 2 } }],
};

const context = ({ raised, daysToEvent, daysSinceEvent, ...subject }: Who): CautionContext => ({
  ...CONTEXT, raised: raised ?? [], daysToEvent: daysToEvent ?? null, daysSinceEvent: daysSinceEvent ?? null, subject: { ...CONTEXT.subject, ...subject },
});

test('there are at least sixty rules, each with an id of its own, a reason, something to do instead and a source', () => {
  expect(RULES.length).toBeGreaterThanOrEqual(60);
  expect(new Set(RULES.map((rule) => rule.id)).size).toBe(RULES.length);
  for (const rule of RULES) for (const text of [rule.reason, rule.instead, rule.source]) expect(text.length).toBeGreaterThan(5);
  for (const rule of RULES) if (rule.level === 'stop') expect(rule.refer).toBeTruthy();
});

test('every rule stands in the table below, and every condition of the list is known to a rule', () => {
  expect(Object.keys(CASES).sort()).toEqual(RULES.map((rule) => rule.id).sort());
  const used = new Set(RULES.flatMap((rule) => ('conditions' in rule.premise ? rule.premise.conditions : [])));
  expect(CONDITIONS.map((each) => each.code).filter((code) => !used.has(code))).toEqual([]);
});

test.each(RULES.map((rule) => rule.id))('%s fires where it should and nowhere else', (id) => {
  const [who, fires, spares] = CASES[id]!;
  const found = (subject: Who, action: Partial<CandidateAction>) => cautionsFor(context(subject), { ...ACTION, ...action }).cautions.filter((caution) => caution.ruleId === id);
  const [caution] = found(who, fires);
  expect(caution).toBeDefined();
  expect(caution!.level).toBe(RULES.find((rule) => rule.id === id)!.level);
  if ('who' in spares) expect(found(spares.who, fires)).toEqual([]);
  else expect(found(who, spares)).toEqual([]);
});

test('every motion that can be measured, and so every entry, says what it does to the body', () => {
  expect(MOTIONS.map((motion) => motion.id).filter((id) => !MOTION_FACETS[id])).toEqual([]);
  expect(ENTRIES.every((entry) => MOTION_FACETS[entry.motionId] !== undefined)).toBe(true);
  for (const [id, facets] of Object.entries(MOTION_FACETS)) if (facets.scale.length > 0) expect(MOTIONS.find((motion) => motion.id === id)).toMatchObject({ unit: 'deg', better: 'higher' });
  for (const facets of Object.values(MOTION_FACETS)) expect(facets.scale.every((movement) => facets.movements.includes(movement))).toBe(true);
});

test('a condition whose region is chosen says so, and one that is an operation has a date to count from', () => {
  for (const each of CONDITIONS) expect(conditionFacts(each.code)).toBe(each);
  expect(CONDITIONS.filter((each) => each.group === 'operation' && each.code !== 'hardware').every((each) => 'surgery' in each)).toBe(true);
});
