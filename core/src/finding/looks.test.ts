import { REGIONS } from '../body/index.ts';
import {
  findingProblem,
  findingVerdict,
  findingWords,
  LOOK_GROUPS,
  LOOKS,
  PRESS_ANSWERS,
  subjectWords,
  type FindingContent,
  type StandingFinding,
} from './index.ts';

const standing = (content: object, moment: 'before' | 'after'): StandingFinding =>
  ({ id: moment, visitId: 'v', foundAt: '', foundBy: '', supersedes: null, moment, ...content }) as StandingFinding;
const verdict = (kind: string, subject: string, before: object, after: object) =>
  findingVerdict(
    standing({ kind, subject, side: 'left', data: before }, 'before'),
    standing({ kind, subject, side: 'left', data: after }, 'after'),
  );

test.each(LOOKS.map((look) => [look.id, look] as const))('%s: a name, answers that differ, known places, in a group', (_, look) => {
  expect(new Set(look.values).size).toBe(look.values.length);
  expect(look.values.length).toBeGreaterThanOrEqual(3);
  expect(look.regions.every((region) => REGIONS.some(({ id }) => id === region))).toBe(true);
  expect(LOOK_GROUPS).toContain(look.group);
  expect(look.values.every((value) => value.length <= 20)).toBe(true);
  const side = look.sided ? 'left' : 'midline';
  const content = (value: string, at: string = side) => ({ kind: 'look', subject: look.id, side: at, data: { value } }) as FindingContent;
  for (const value of look.values) expect(findingProblem(content(value))).toBeNull();
  expect(findingProblem(content('purple'))).toBe('Say what was seen.');
  expect(findingProblem(content(look.values[0], look.sided ? 'midline' : 'left'))).toBe('Say which side it is.');
  expect(subjectWords({ kind: 'look', subject: look.id })).toBe(look.name);
  expect(findingWords({ kind: 'look', data: { value: look.values[1]! } })).toBe(look.values[1]);
});

test('ids are told apart, and what nobody looks at is said', () => {
  expect(new Set(LOOKS.map(({ id }) => id)).size).toBe(LOOKS.length);
  expect(findingProblem({ kind: 'look', subject: 'aura', side: 'midline', data: { value: 'red' } })).toBe('Nobody looks at that.');
});

test.each<[string, string, object, object, string, string]>([
  [
    'point',
    'gastrocnemius/upper',
    { what: 'lump', tenderness: 6, refers: '' },
    { what: 'lump', tenderness: 3, refers: '' },
    'better',
    'softened, 6 to 3',
  ],
  [
    'point',
    'gastrocnemius/upper',
    { what: 'lump', tenderness: 6, refers: '' },
    { what: 'lump', tenderness: 5, refers: '' },
    'same',
    'still there, 6 to 5',
  ],
  [
    'point',
    'gastrocnemius/upper',
    { what: 'lump', tenderness: 3, refers: '' },
    { what: 'lump', tenderness: 7, refers: '' },
    'worse',
    'more tender, 3 to 7',
  ],
  [
    'point',
    'gastrocnemius/upper',
    { what: 'lump', tenderness: 6, refers: '' },
    { what: 'clean', tenderness: null, refers: '' },
    'better',
    'nothing there any more',
  ],
  [
    'point',
    'gastrocnemius/upper',
    { what: 'lump', tenderness: null, refers: '' },
    { what: 'band', tenderness: 4, refers: '' },
    'other',
    'still there',
  ],
  ['press', 'leg-lift', { answer: 'late' }, { answer: 'late' }, 'same', 'still late'],
  ['press', 'leg-lift', { answer: 'late' }, { answer: 'prompt' }, 'better', 'late, now prompt'],
  ['press', 'leg-lift', { answer: 'late' }, { answer: 'absent' }, 'worse', 'late, now absent'],
  ['look', 'blade-lift', { value: 'not at all' }, { value: 'a little' }, 'better', 'not at all, now a little'],
  ['look', 'pelvis-level', { value: 'left higher' }, { value: 'level' }, 'better', 'left higher, now level'],
  ['look', 'pelvis-level', { value: 'left higher' }, { value: 'right higher' }, 'other', 'left higher, now right higher'],
  [
    'leg-length',
    'legs',
    { shorter: 'left', byCm: null, afterPull: null },
    { shorter: 'even', byCm: null, afterPull: null },
    'better',
    'even after the work',
  ],
  [
    'glide',
    'patella',
    { up: 'stiff', down: 'stiff', in: 'free', out: null },
    { up: 'free', down: 'stiff', in: 'free', out: null },
    'better',
    '2 to 1 ways stiff or painful',
  ],
])('%s %s: %j, then %j', (kind, subject, before, after, way, words) => {
  expect(verdict(kind, subject, before, after)).toEqual({ way, words });
});

test('nobody is called better whose answer is further from what it should be, for every look and press', () => {
  for (const look of LOOKS.filter(({ ordered }) => ordered))
    for (const [i, from] of look.values.entries())
      for (const [j, to] of look.values.entries())
        expect(verdict('look', look.id, { value: from }, { value: to })!.way).toBe(j < i ? 'better' : j > i ? 'worse' : 'same');
  for (const [i, from] of PRESS_ANSWERS.entries())
    for (const [j, to] of PRESS_ANSWERS.entries())
      expect(verdict('press', 'leg-lift', { answer: from }, { answer: to })!.way).toBe(j < i ? 'better' : j > i ? 'worse' : 'same');
});

test('what is a number with an error of its own is not judged here', () => {
  expect(verdict('force', 'hip-flexors', { trialsN: [100] }, { trialsN: [150] })).toBeNull();
});
