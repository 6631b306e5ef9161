import fc from 'fast-check';
import {
  balances,
  CLOCKS,
  currentFindings,
  findingProblem,
  findingWords,
  FORCES,
  GLIDES,
  HOURS,
  feltAgainNext,
  lookFirst,
  pointPlace,
  PRESSES,
  subjectWords,
  weakSides,
  workOrder,
  type Finding,
  type FindingContent,
  type HourState,
  type StandingFinding,
} from './index.ts';

const make = (content: FindingContent, id = 'a', supersedes: string | null = null): Finding =>
  ({ ...content, moment: 'before', id, supersedes, visitId: 'v', foundAt: '2026-11-25T10:00:00Z', foundBy: 'Somebody' }) as Finding;
const force = (subject: (typeof FORCES)[number]['id'], side: 'left' | 'right', ...trialsN: number[]) =>
  make({ kind: 'force', subject, side, data: { trialsN } }, `${subject}${side}`) as StandingFinding;
const clock = (tight: readonly number[], painful: readonly number[] = []) => ({
  hours: HOURS.map((hour): HourState => (tight.includes(hour) ? 'tight' : painful.includes(hour) ? 'painful' : 'free')),
});

describe('what stands', () => {
  test('a correction replaces, a withdrawal removes', () => {
    const first = make({ kind: 'press', subject: 'hip-hike', side: 'left', data: { answer: 'late' } }, 'a');
    const second = make({ kind: 'press', subject: 'hip-hike', side: 'left', data: { answer: 'weak' } }, 'b', 'a');
    expect(currentFindings([first, second]).map((each) => each.id)).toEqual(['b']);
    expect(currentFindings([first, second, make({ kind: 'press', subject: 'hip-hike', side: 'left', data: null }, 'c', 'b')])).toEqual([]);
  });
});

describe('in words', () => {
  test.each<[FindingContent, string, string]>([
    [
      { kind: 'point', subject: 'soleus/middle', side: 'left', data: { what: 'lump', tenderness: 6, refers: 'the heel' } },
      'Soleus, middle third',
      'lump, 6 of 10, felt at the heel',
    ],
    [
      { kind: 'end', subject: 'hip-flexion', side: 'left', data: { endFeel: 'capsular', pain: 3, felt: 'joint', guarding: false } },
      'Hip flexion, supine, knee bent',
      'capsular end feel, pain 3 of 10, felt deep in the joint, no guarding',
    ],
    [
      { kind: 'end', subject: 'hip-flexion', side: 'left', data: { endFeel: null, pain: 0, felt: 'nothing', guarding: null } },
      'Hip flexion, supine, knee bent',
      'no pain, nothing felt',
    ],
    [{ kind: 'clock', subject: 'ankle', side: 'left', data: clock([11, 12, 1], [4]) }, 'Ankle', 'tight at 12, 1 and 11, painful at 4'],
    [{ kind: 'clock', subject: 'hip', side: 'left', data: clock([]) }, 'Hip', 'free all round'],
    [
      { kind: 'glide', subject: 'patella', side: 'right', data: { up: 'free', down: 'stiff', in: 'stiff', out: 'painful' } },
      'Kneecap',
      'stiff down and in, painful out',
    ],
    [
      { kind: 'glide', subject: 'patella', side: 'right', data: { up: 'free', down: 'free', in: 'free', out: 'free' } },
      'Kneecap',
      'free all ways',
    ],
    [
      { kind: 'leg-length', subject: 'legs', side: 'midline', data: { shorter: 'left', byCm: 0.5, afterPull: 'even' } },
      'Leg length',
      'left looks shorter by 0.5 cm; after a pull even: a tight side, not a short leg',
    ],
    [{ kind: 'press', subject: 'buttock-squeeze', side: 'left', data: { answer: 'late' } }, 'Buttock squeeze', 'late'],
    [{ kind: 'force', subject: 'knee-flexors', side: 'left', data: { trialsN: [180.2, 201.6, 190] } }, 'Knee flexors', '202 N, best of 3'],
  ])('%j', (content, subject, words) => {
    expect(findingProblem(content)).toBeNull();
    expect(subjectWords(make(content))).toBe(subject);
    expect(findingWords(make(content) as StandingFinding)).toBe(words);
  });
});

describe('where to work on a clock (common practice)', () => {
  test('10 and 2 for a tight 12, then the hour itself', () => expect(workOrder(clock([12]))).toEqual([10, 2, 12]));
  test('a run of hours is flanked once', () => expect(workOrder(clock([5, 6, 7]))).toEqual([3, 9, 5, 6, 7]));
  test('painful hours are left alone', () => expect(workOrder(clock([12], [2]))).toEqual([10, 12]));
  test('every tight hour is worked once, and no painful one ever', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom<HourState>('free', 'tight', 'painful'), { minLength: 12, maxLength: 12 }), (hours) => {
        const order = workOrder({ hours });
        expect(new Set(order).size).toBe(order.length);
        for (const [i, hour] of HOURS.entries()) {
          if (hours[i] === 'tight') expect(order).toContain(hour);
          if (hours[i] === 'painful') expect(order).not.toContain(hour);
        }
      }),
    );
  });
});

describe('balance', () => {
  test('hamstrings against quadriceps, either side', () => {
    const found = [
      force('knee-flexors', 'left', 150, 160),
      force('knee-extensors', 'left', 400, 380),
      force('knee-flexors', 'right', 240),
      force('knee-extensors', 'right', 400),
    ];
    expect(balances(found).map(({ side, kind }) => [side, kind])).toEqual([
      ['left', 'low'],
      ['right', 'usual'],
    ]);
    expect(balances(found)[0]!.words).toBe('0.40 ± 0.09, usually 0.50 to 0.80: knee flexors are the weaker ones');
    expect(weakSides(found)).toEqual([{ group: 'knee-flexors', side: 'left', share: expect.closeTo(2 / 3, 6) }]);
  });
  test('one group alone says nothing', () => expect(balances([force('hip-flexors', 'left', 200)])).toEqual([]));
});

describe('what is wrong is said', () => {
  test.each<[unknown, string]>([
    [{ kind: 'end', subject: 'nothing', side: 'left', data: null }, 'No such motion'],
    [{ kind: 'end', subject: 'fingertip-to-floor', side: 'left', data: null }, 'has no left side'],
    [
      { kind: 'end', subject: 'hip-flexion', side: 'left', data: { endFeel: null, pain: null, felt: null, guarding: null } },
      'Nothing was found',
    ],
    [{ kind: 'end', subject: 'hip-flexion', side: 'left', data: { endFeel: null, pain: 11, felt: null, guarding: null } }, '0 to 10'],
    [{ kind: 'clock', subject: 'elbow', side: 'left', data: clock([]) }, 'cannot be found'],
    [{ kind: 'clock', subject: 'hip', side: 'left', data: { hours: ['free'] } }, 'twelve hours'],
    [{ kind: 'clock', subject: 'hip', side: 'midline', data: clock([]) }, 'which side'],
    [{ kind: 'glide', subject: 'patella', side: 'left', data: { up: null, down: null, in: null, out: null } }, 'Nothing was found'],
    [{ kind: 'leg-length', subject: 'legs', side: 'midline', data: { shorter: 'left', byCm: 20, afterPull: null } }, '0 and 8 cm'],
    [{ kind: 'press', subject: 'hip-hike', side: 'left', data: { answer: 'so-so' } }, 'prompt, late'],
    [{ kind: 'force', subject: 'knee-flexors', side: 'left', data: { trialsN: [] } }, 'One to 5'],
    [{ kind: 'force', subject: 'knee-flexors', side: 'left', data: { trialsN: [-3] } }, '0 and 1500 N'],
  ])('%j', (content, words) => expect(findingProblem(content as FindingContent)).toContain(words));

  test('whatever the data, an answer and never a throw', () => {
    const anyContent = fc.oneof(
      fc.record({ kind: fc.constant('end'), subject: fc.constant('hip-flexion'), side: fc.constant('left'), data: fc.object() }),
      ...(
        [
          ['clock', CLOCKS],
          ['glide', GLIDES],
          ['press', PRESSES],
          ['force', FORCES],
        ] as const
      ).map(([kind, subjects]) =>
        fc.record({
          kind: fc.constant(kind),
          subject: fc.constantFrom(...subjects.map((each) => each.id)),
          side: fc.constant('left'),
          data: fc.anything(),
        }),
      ),
    );
    fc.assert(
      fc.property(anyContent, (content) => {
        const problem = findingProblem(content as unknown as FindingContent);
        expect(problem === null || problem.length > 5).toBe(true);
      }),
    );
  });
});

describe('points', () => {
  const NOW = Date.parse('2026-11-28T09:00:00Z');
  const point = (
    id: string,
    subject: string,
    side: 'left' | 'right',
    what: string,
    tenderness: number | null,
    foundAt: string,
    supersedes: string | null = null,
  ) =>
    ({
      ...make({ kind: 'point', subject, side, data: { what, tenderness, refers: '' } } as FindingContent, id, supersedes),
      foundAt,
    }) as Finding;
  const lump = point('a', 'gastrocnemius/upper', 'left', 'lump', 6, '2026-11-07T10:00:00Z');

  test('a lump from an earlier visit is looked at first, with where, what, how tender and how old', () => {
    expect(lookFirst([lump], [], NOW).map(({ words }) => words)).toEqual(['left gastrocnemius, upper third: lump, 6 of 10, 3 weeks old']);
    // Found at an earlier visit as well: how often is said; what is left out of the kept words is only that and the age.
    const earlier = { ...lump, id: 'z', visitId: 'an earlier one', foundAt: '2026-10-20T10:00:00Z' } as Finding;
    expect(lookFirst([earlier, lump], [], NOW)).toMatchObject([
      {
        what: 'left gastrocnemius, upper third: lump, 6 of 10',
        words: 'left gastrocnemius, upper third: lump, 6 of 10, 3 weeks old, found 2 times',
      },
    ]);
  });

  test('the most tender first; what was clean when it was last felt, and what was looked at today, is not asked about', () => {
    const band = point('b', 'soleus/middle', 'right', 'band', 7, '2026-11-20T10:00:00Z');
    expect(lookFirst([lump, band], [], NOW).map(({ finding }) => finding.id)).toEqual(['b', 'a']);
    const clean = point('c', 'gastrocnemius/upper', 'left', 'clean', null, '2026-11-21T10:00:00Z');
    expect(lookFirst([clean, lump, band], [], NOW).map(({ finding }) => finding.id)).toEqual(['b']);
    const again = point('d', 'soleus/middle', 'right', 'band', 3, '2026-11-28T08:00:00Z');
    expect(lookFirst([lump, band], [again], NOW).map(({ finding }) => finding.id)).toEqual(['a']);
    // The other side, and another third, are other places.
    const other = point('e', 'gastrocnemius/lower', 'left', 'clean', null, '2026-11-28T08:00:00Z');
    expect(lookFirst([lump], [other], NOW)).toHaveLength(1);
    // What was taken back today was not looked at.
    const gone = { ...point('f', 'gastrocnemius/upper', 'left', 'lump', 2, '2026-11-28T08:00:00Z', 'g'), data: null } as Finding;
    expect(lookFirst([lump], [gone], NOW)).toHaveLength(1);
  });

  test('what was found in a muscle that was worked on, on that side, is felt again, until it was', () => {
    const band = point('b', 'soleus/middle', 'right', 'band', 7, '2026-11-28T08:00:00Z');
    const clean = point('c', 'gastrocnemius/lower', 'left', 'clean', null, '2026-11-28T08:00:00Z');
    const today = [lump, band, clean];
    const ids = (muscles: readonly string[], side: 'left' | 'right' | 'midline', found: readonly Finding[] = today) =>
      feltAgainNext(found, muscles, side).map(({ finding }) => finding.id);
    expect(ids(['gastrocnemius', 'soleus'], 'left')).toEqual(['a']);
    expect(ids(['gastrocnemius', 'soleus'], 'right')).toEqual(['b']);
    expect(ids(['gastrocnemius', 'soleus'], 'midline')).toEqual(['a', 'b']);
    expect(ids(['hamstrings'], 'left')).toEqual([]);
    const after = { ...point('d', 'gastrocnemius/upper', 'left', 'lump', 2, '2026-11-28T08:30:00Z'), moment: 'after' } as Finding;
    expect(ids(['gastrocnemius', 'soleus'], 'midline', [...today, after])).toEqual(['b']);
    // What was felt again and taken back is to be felt again.
    const back = { ...after, id: 'e', supersedes: 'd', data: null } as Finding;
    expect(ids(['gastrocnemius'], 'left', [...today, after, back])).toEqual(['a']);
    expect(feltAgainNext(today, ['gastrocnemius'], 'left')[0]!.words).toBe('left gastrocnemius, upper third: lump, 6 of 10');
  });

  test('places that are none, and values that cannot be, are refused in words', () => {
    const sound = { kind: 'point', subject: 'soleus/middle', side: 'left', data: { what: 'band', tenderness: 4, refers: '' } } as const;
    expect(findingProblem(sound)).toBeNull();
    expect(findingProblem({ ...sound, data: { ...sound.data, refers: 'heel' } })).toBeNull();
    for (const wrong of [
      { ...sound, subject: 'soleus' },
      { ...sound, subject: 'soleus/middle/more' },
      { ...sound, subject: 'toString/middle' },
      { ...sound, subject: 'soleus/outer' },
      { ...sound, data: { ...sound.data, what: 'monster' } },
      { ...sound, data: { ...sound.data, tenderness: 11 } },
      { ...sound, data: { ...sound.data, tenderness: 2.5 } },
      { ...sound, data: { ...sound.data, refers: 'x'.repeat(81) } },
      { ...sound, data: { ...sound.data, refers: 7 } },
      { ...sound, side: 'midline' },
    ])
      expect([JSON.stringify(wrong), findingProblem(wrong as never)]).toEqual([JSON.stringify(wrong), expect.any(String)]);
    expect(pointPlace('__proto__/middle')).toBeNull();
  });
});
