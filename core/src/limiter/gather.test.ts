import { motionOf, type Side } from '../body/index.ts';
import { HOURS, type EndFeel, type Felt, type FindingContent, type StandingFinding } from '../finding/index.ts';
import { compareMotion, type ValueToday } from '../record/index.ts';
import { gather, WEIGHTS, type Evidence, type FindingId } from './index.ts';
import { playedSports } from '../sport/index.ts';

const person = {
  birthDate: '2001-03-04',
  referenceSex: 'male',
  sports: playedSports([{ sportId: 'rowing', discipline: 'sweep', role: 'stroke-side', leading: null, words: '' }]),
} as const;
type Values = Readonly<Record<string, readonly [left: number, right: number]>>;
interface Given {
  readonly motionId: string;
  readonly before?: Values;
  readonly after?: Values;
  readonly found?: readonly FindingContent[];
  readonly more?: Partial<Evidence>;
  /** An error smaller than the default, for differences a default would hide. */
  readonly sem?: number;
}

function evidence({ before = {}, after = {}, found = [], more = {}, sem }: Given): Evidence {
  const read = (values: Values, moment: 'before' | 'after') =>
    Object.entries(values).flatMap(([id, pair]) =>
      (['left', 'right'] as const).map((side, i): ValueToday => ({
        motionId: id,
        side,
        moment,
        instrument: motionOf(id).instruments[0],
        examinerId: 'e',
        value: pair[i]!,
      })),
    );
  const today = [...read(before, 'before'), ...read(after, 'after')];
  const errors = {
    own:
      sem === undefined
        ? []
        : Object.keys(before).map((id) => ({
            examinerId: 'e',
            motionId: id,
            instrument: motionOf(id).instruments[0],
            sem,
            sides: 12,
            trials: 3,
            on: '2026-11-01',
          })),
    shifts: [],
  };
  const compared = (values: Values, moment: 'before' | 'after') =>
    new Map(
      Object.keys(values).map((id) => [id, compareMotion(motionOf(id), moment, { person, onDay: '2026-11-25', today, past: [], errors })]),
    );
  return {
    comparisons: compared(before, 'before'),
    after: compared(after, 'after'),
    conditions: [],
    complaint: { region: null, side: null, score: null },
    worked: Object.keys(after).map((id) => ({ motionId: id, side: 'left' as Side })),
    onDay: '2026-11-25',
    ...more,
    findings: found.map(
      (content, i) =>
        ({ ...content, moment: 'before', id: `f${i}`, supersedes: null, visitId: 'v', foundAt: '', foundBy: '' }) as StandingFinding,
    ),
  };
}
const end = (motionId: string, data: Partial<{ endFeel: EndFeel; felt: Felt; pain: number; guarding: boolean }>): FindingContent => ({
  kind: 'end',
  subject: motionId,
  side: 'left',
  data: { endFeel: null, felt: null, pain: null, guarding: null, ...data },
});
const clock = (tight: number, painful = 0): FindingContent => ({
  kind: 'clock',
  subject: 'hip',
  side: 'left',
  data: { hours: HOURS.map((_, i) => (i < tight ? 'tight' : i < tight + painful ? 'painful' : 'free')) },
});
const glide = (state: 'free' | 'stiff' | 'painful'): FindingContent => ({
  kind: 'glide',
  subject: 'patella',
  side: 'left',
  data: { up: state, down: state, in: state, out: state },
});
const file = (code: string, region: string, more: object = {}) => ({
  more: {
    conditions: [
      { code, region, side: 'left', onset: null, surgeryOn: null, words: '', clearance: null, resolvedOn: null, ...more },
    ] as unknown as Evidence['conditions'],
  },
});
const feel = (endFeel: EndFeel): Given => ({ motionId: 'hip-flexion', found: [end('hip-flexion', { endFeel })] });
const felt = (where: Felt): Given => ({ motionId: 'hip-flexion', found: [end('hip-flexion', { felt: where })] });

/** For every finding that has weights, something a therapist would enter that brings it about. */
const BROUGHT_ABOUT: Readonly<Record<FindingId, Given>> = {
  'end-muscular': feel('muscular'),
  'end-capsular': feel('capsular'),
  'end-bony': feel('bony'),
  'end-springy': feel('springy'),
  'end-guarded': feel('guarded'),
  'end-empty': feel('empty'),
  'felt-target': felt('target'),
  'felt-joint': felt('joint'),
  'felt-closing': felt('closing'),
  'felt-line': felt('line'),
  'felt-nothing': felt('nothing'),
  'pain-high': { motionId: 'hip-flexion', found: [end('hip-flexion', { pain: 5 })] },
  'pain-none': { motionId: 'hip-flexion', found: [end('hip-flexion', { pain: 0 })] },
  'guarding-yes': { motionId: 'hip-flexion', found: [end('hip-flexion', { guarding: true })] },
  'guarding-no': { motionId: 'hip-flexion', found: [end('hip-flexion', { guarding: false })] },
  'slack-frees': { motionId: 'ankle-dorsiflexion', before: { 'ankle-dorsiflexion': [2, 14], 'ankle-dorsiflexion-knee-bent': [20, 21] } },
  'slack-same': { motionId: 'ankle-dorsiflexion', before: { 'ankle-dorsiflexion': [2, 14], 'ankle-dorsiflexion-knee-bent': [4, 21] } },
  'nerve-takes': { motionId: 'straight-leg-raise', before: { 'straight-leg-raise': [60, 70], 'straight-leg-raise-ankle-up': [45, 66] } },
  'nerve-same': { motionId: 'straight-leg-raise', before: { 'straight-leg-raise': [60, 70], 'straight-leg-raise-ankle-up': [58, 66] } },
  'active-less': { motionId: 'hip-flexion', before: { 'hip-flexion': [125, 128], 'hip-flexion-active': [95, 120] } },
  'active-same': { motionId: 'hip-flexion', before: { 'hip-flexion': [125, 128], 'hip-flexion-active': [121, 124] } },
  'passive-full': { motionId: 'hip-flexion-active', before: { 'hip-flexion': [125, 128], 'hip-flexion-active': [95, 120] } },
  'clock-few': { motionId: 'hip-flexion', found: [clock(3)] },
  'clock-wide': { motionId: 'hip-flexion', found: [clock(8)] },
  'clock-painful': { motionId: 'hip-flexion', found: [clock(0, 2)] },
  'clock-free': { motionId: 'hip-flexion', found: [clock(0)] },
  'glide-stiff': { motionId: 'knee-flexion', found: [glide('stiff')] },
  'glide-free': { motionId: 'knee-flexion', found: [glide('free')] },
  'glide-painful': { motionId: 'knee-flexion', found: [glide('painful')] },
  'other-side-more': { motionId: 'hip-flexion', before: { 'hip-flexion': [100, 130] } },
  'both-alike': { motionId: 'hip-flexion', before: { 'hip-flexion': [100, 101] } },
  'sport-explains': { motionId: 'trunk-rotation', before: { 'trunk-rotation': [42, 50] }, sem: 2 },
  'arc-shifted': {
    motionId: 'shoulder-internal-rotation',
    before: { 'shoulder-internal-rotation': [45, 65], 'shoulder-external-rotation': [110, 90] },
  },
  'work-gained': { motionId: 'hip-flexion', before: { 'hip-flexion': [100, 130] }, after: { 'hip-flexion': [115, 131] } },
  'work-nothing': { motionId: 'hip-flexion', before: { 'hip-flexion': [100, 130] }, after: { 'hip-flexion': [102, 131] } },
  'file-inflamed': { motionId: 'knee-flexion', ...file('inflamed-joint', 'knee') },
  'file-locked': { motionId: 'knee-flexion', ...file('joint-locked', 'knee') },
  'file-effusion': { motionId: 'knee-flexion', ...file('effusion', 'knee') },
  'file-recent': { motionId: 'knee-flexion', ...file('knee-operation', 'knee', { surgeryOn: '2026-11-01' }) },
  'file-hard': { motionId: 'hip-flexion', ...file('hip-pinching', 'hip') },
  'file-frozen': { motionId: 'shoulder-flexion', ...file('frozen-shoulder', 'shoulder') },
  'file-nerve': { motionId: 'straight-leg-raise', ...file('nerve-signs', 'thigh-back') },
  'file-strain': { motionId: 'straight-leg-raise', ...file('muscle-strain', 'thigh-back') },
  'complaint-here': { motionId: 'hip-flexion', more: { complaint: { region: 'groin', side: 'left', score: 5 } } },
};

/** Values entered after work stand for those before it in the comparison; they carry both. */
const made = (given: Given): Evidence => {
  const base = evidence(given);
  if (!given.after) return base;
  const both = evidence({ ...given, before: given.before ?? {}, after: given.after });
  const today = (moment: 'before' | 'after', values: Values) =>
    Object.entries(values).flatMap(([id, pair]) =>
      (['left', 'right'] as const).map((side, i): ValueToday => ({
        motionId: id,
        side,
        moment,
        instrument: motionOf(id).instruments[0],
        examinerId: 'e',
        value: pair[i]!,
      })),
    );
  const all = [...today('before', given.before ?? {}), ...today('after', given.after)];
  return {
    ...both,
    after: new Map(
      Object.keys(given.after).map((id) => [
        id,
        compareMotion(motionOf(id), 'after', { person, onDay: '2026-11-25', today: all, past: [] }),
      ]),
    ),
  };
};

test.each(WEIGHTS.map((weight) => weight.id))('%s is found when it is there', (id) => {
  const given = BROUGHT_ABOUT[id];
  const ids = gather(motionOf(given.motionId), 'left', made(given)).map((each) => each.id);
  expect(ids).toContain(id);
  expect(new Set(ids).size).toBe(ids.length);
});

test('nothing known, nothing found; the other side’s findings are not this side’s', () => {
  expect(gather(motionOf('hip-flexion'), 'left', evidence({ motionId: 'hip-flexion' }))).toEqual([]);
  expect(
    gather(
      motionOf('hip-flexion'),
      'right',
      evidence({ motionId: 'hip-flexion', found: [end('hip-flexion', { endFeel: 'bony' }), clock(3)] }),
    ),
  ).toEqual([]);
});

test('what is over, elsewhere or of the other leg on file says nothing', () => {
  for (const given of [
    file('inflamed-joint', 'knee', { resolvedOn: '2026-10-01' }),
    file('inflamed-joint', 'wrist'),
    file('inflamed-joint', 'knee', { side: 'right' }),
  ])
    expect(gather(motionOf('knee-flexion'), 'left', evidence({ motionId: 'knee-flexion', ...given }))).toEqual([]);
});

test('an operation long ago is not recent; a big-toe clock says nothing of the lesser toes', () => {
  expect(
    gather(
      motionOf('knee-flexion'),
      'left',
      evidence({ motionId: 'knee-flexion', ...file('knee-operation', 'knee', { surgeryOn: '2024-11-01' }) }),
    ),
  ).toEqual([]);
  const toes: FindingContent = { kind: 'clock', subject: 'big-toe', side: 'left', data: { hours: HOURS.map(() => 'tight') } };
  expect(gather(motionOf('lesser-toes-extension'), 'left', evidence({ motionId: 'lesser-toes-extension', found: [toes] }))).toEqual([]);
  expect(
    gather(motionOf('big-toe-extension'), 'left', evidence({ motionId: 'big-toe-extension', found: [toes] })).map((each) => each.id),
  ).toEqual(['clock-wide']);
});
