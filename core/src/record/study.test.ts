import fc from 'fast-check';
import { repeatability } from '../reliability/index.ts';
import {
  emptyValues,
  knowledgeOf,
  nextStep,
  partMeans,
  partsOf,
  studyOrder,
  studyProblem,
  tableOf,
  unfinishedBecause,
  type Study,
  type StudyFields,
} from './index.ts';

const subjects = (n: number) => Array.from({ length: n }, (_, i) => ({ label: `P${i}`, athleteId: null, side: 'left' as const }));
const study = (patch: Partial<Study> = {}): Study => {
  const fields = {
    kind: 'repeatability' as const,
    motionId: 'hip-flexion',
    instruments: ['goniometer' as const],
    examinerIds: ['a'],
    spacing: 'one-day' as const,
    trials: 3,
    subjects: subjects(4),
    ...patch,
  };
  return {
    ...fields,
    values: emptyValues(fields),
    id: 'study-1',
    revision: 1,
    startedAt: '2026-11-20T10:00:00Z',
    startedBy: 'Ann',
    finishedAt: null,
    used: false,
    ...patch,
  };
};
const filled = (values: Study['values'], patch: Partial<Study> = {}) =>
  study({
    values,
    subjects: subjects(values.length),
    trials: values[0]![0]!.length,
    finishedAt: '2026-11-21T10:00:00Z',
    used: true,
    ...patch,
  });

describe('the order of reading', () => {
  const designs = fc
    .record({
      n: fc.integer({ min: 3, max: 20 }),
      trials: fc.integer({ min: 2, max: 5 }),
      examiners: fc.integer({ min: 1, max: 4 }),
      id: fc.uuid(),
    })
    .map(({ n, trials, examiners, id }) =>
      study({ id, trials, subjects: subjects(n), examinerIds: Array.from({ length: examiners }, (_, i) => `e${i}`) }),
    );

  test('has every place once', () => {
    fc.assert(
      fc.property(designs, (design) => {
        const order = studyOrder(design);
        expect(order).toHaveLength(design.subjects.length * partsOf(design) * design.trials);
        expect(new Set(order.map(({ subject, part, trial }) => `${subject}/${part}/${trial}`)).size).toBe(order.length);
      }),
    );
  });
  test('goes through everybody before anybody comes again, so no value is remembered', () => {
    fc.assert(
      fc.property(designs, (design) => {
        const n = design.subjects.length;
        for (const [i, step] of studyOrder(design).entries())
          expect([step.trial, step.part]).toEqual([Math.floor(i / (n * partsOf(design))), Math.floor(i / n) % partsOf(design)]);
      }),
    );
  });
  test('is the same every time it is asked, and another one for another study', () => {
    const many = subjects(20);
    expect(studyOrder(study({ subjects: many }))).toEqual(studyOrder(study({ subjects: many })));
    expect(studyOrder(study({ subjects: many, id: 'study-2' }))).not.toEqual(studyOrder(study({ subjects: many })));
    const first = studyOrder(study({ subjects: many }))
      .slice(0, 20)
      .map((step) => step.subject);
    expect(
      studyOrder(study({ subjects: many }))
        .slice(20, 40)
        .map((step) => step.subject),
    ).not.toEqual(first);
  });
  test('the next place is the first without a value; nothing is left when all is read', () => {
    const design = study();
    const [first, second] = studyOrder(design);
    expect(nextStep(design)).toEqual(first);
    const values = design.values.map((row, s) =>
      row.map((part, p) => part.map((value, t) => (s === first!.subject && p === first!.part && t === first!.trial ? 100 : value))),
    );
    expect(nextStep({ ...design, values })).toEqual(second);
    expect(nextStep({ ...design, values: values.map((row) => row.map((part) => part.map(() => 100))) })).toBeNull();
  });
});

describe('what can be made of it', () => {
  const gaps: Study['values'] = [
    [
      [10, 11, 12],
      [9, 9, 9],
    ],
    [
      [20, null, 22],
      [19, 19, 19],
    ],
    [
      [30, 31, 32],
      [29, null, null],
    ],
    [
      [40, 41, 42],
      [39, 40, 41],
    ],
  ];
  test('rows with gaps are left out, part by part', () => {
    expect(tableOf({ values: gaps }, 0)).toEqual([
      [10, 11, 12],
      [30, 31, 32],
      [40, 41, 42],
    ]);
    expect(tableOf({ values: gaps }, 1)).toHaveLength(3);
    expect(partMeans({ values: gaps })).toEqual([
      [11, 9],
      [41, 40],
    ]);
  });
  test('how much is missing is said', () => {
    expect(unfinishedBecause(study())).toBe('Only 0 of at least 3 sides are read completely.');
    expect(unfinishedBecause(filled(gaps, { examinerIds: ['a', 'b'] }))).toBeNull();
    expect(unfinishedBecause(filled(gaps, { kind: 'agreement', instruments: ['goniometer', 'inclinometer'] }))).toBe(
      'Only 2 of at least 3 sides are read completely.',
    );
  });
});

describe('what is known from finished studies', () => {
  const table = [
    [100, 102, 101],
    [110, 111, 113],
    [120, 118, 119],
    [130, 133, 131],
  ];
  const values = table.map((row) => [row]);
  test('the SEM in use is the one the study shows', () => {
    const { own } = knowledgeOf([filled(values)]);
    expect(own).toEqual([
      {
        examinerId: 'a',
        motionId: 'hip-flexion',
        instrument: 'goniometer',
        sem: expect.closeTo(repeatability(table, 'deg').sem, 12),
        sides: 4,
        trials: 3,
        spacing: 'one-day',
        on: '2026-11-21',
      },
    ]);
  });
  test('nothing from one that is not finished, not in use, or too small', () => {
    expect(knowledgeOf([filled(values, { finishedAt: null }), filled(values, { used: false }), filled(values.slice(0, 1))])).toEqual({
      own: [],
      shifts: [],
      examiners: [],
    });
  });
  test('each examiner has an own error', () => {
    const two = table.map((row, r) => [row, row.map((value, i) => value + (i === 1 ? (r % 2 ? 6 : -6) : 0))]);
    const { own } = knowledgeOf([filled(two, { examinerIds: ['a', 'b'] })]);
    expect(own.map((each) => each.examinerId)).toEqual(['a', 'b']);
    expect(own[1]!.sem).not.toBeCloseTo(own[0]!.sem, 3);
  });
  test('two instruments: bias and its error, in use or not', () => {
    const pairs = [
      [
        [100, 102],
        [97, 97],
      ],
      [
        [110, 110],
        [108, 106],
      ],
      [
        [120, 120],
        [116, 116],
      ],
    ];
    const [shift] = knowledgeOf([filled(pairs, { kind: 'agreement', instruments: ['goniometer', 'inclinometer'], used: false })]).shifts;
    // Differences of the means: 4, 3, 4.
    expect(shift).toMatchObject({
      first: 'goniometer',
      second: 'inclinometer',
      bias: expect.closeTo(11 / 3, 9),
      biasError: expect.closeTo(Math.sqrt(1 / 3) / Math.sqrt(3), 9),
      used: false,
      pairs: 3,
    });
  });
});

test.each<[string, Partial<StudyFields>, string | null]>([
  ['sound', {}, null],
  ['two instruments for repeating', { instruments: ['goniometer', 'inclinometer'] }, 'of one instrument'],
  ['one instrument for comparing', { kind: 'agreement' }, 'two different instruments'],
  [
    'two examiners for comparing',
    { kind: 'agreement', instruments: ['goniometer', 'inclinometer'], examinerIds: ['a', 'b'] },
    'by one examiner',
  ],
  ['nobody reads', { examinerIds: [] }, 'examiners read'],
  ['five read', { examinerIds: ['a', 'b', 'c', 'd', 'e'] }, 'examiners read'],
  ['one of them twice', { examinerIds: ['a', 'a'] }, 'named twice'],
  ['a side that is none', { motionId: 'fingertip-to-floor', instruments: ['tape'] }, 'has no left side'],
  ['a tape for an angle', { instruments: ['tape'] }, 'not measured with that'],
])('%s', (_, patch, words) => {
  const fields = study(patch as Partial<Study>);
  const problem = studyProblem(fields);
  if (words === null) expect(problem).toBeNull();
  else expect(problem).toContain(words);
});

test('a table of another size, and values no motion reads', () => {
  expect(studyProblem({ ...study(), values: [] })).toContain('does not fit');
  expect(studyProblem({ ...study(), values: study().values.map((row) => row.map((part) => part.map(() => 900))) })).toContain(
    'lies outside',
  );
});
