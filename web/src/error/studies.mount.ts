import { flushPromises } from '@vue/test-utils';
import { emptyValues, studyOrder, type Study } from '@pace-bend/core/record';
import { agreement } from '@pace-bend/core/reliability';
import { named, page, press, put, type } from '../testing/mounted.ts';
import AgreementPlot from './AgreementPlot.vue';
import StudyForm from './StudyForm.vue';
import StudyRead from './StudyRead.vue';

interface Drawn {
  config: { data: { datasets: { data: unknown[] }[] }; options: { scales: { y: { min: number; max: number } } } };
  gone: boolean;
}
const mockDrawn: Drawn[] = [];
jest.mock('chart.js', () => ({
  Chart: class {
    static register() {}
    drawn: Drawn;
    constructor(_canvas: unknown, config: Drawn['config']) {
      this.drawn = { config, gone: false };
      mockDrawn.push(this.drawn);
    }
    destroy() {
      this.drawn.gone = true;
    }
  },
}));

const EXAMINERS = [
  { id: 'ann', name: 'Ann Owner', active: true },
  { id: 'ben', name: 'Ben Other', active: true },
  { id: 'old', name: 'Old One', active: false },
];

describe('beginning a study', () => {
  async function show(kind: 'repeatability' | 'agreement') {
    const begun: object[] = [];
    const here = await page({
      respond: ({ path }) =>
        path.startsWith('/api/athletes?')
          ? { status: 200, body: { athletes: [{ id: 'a', name: 'Ann Example' }], total: 1, offset: 0 } }
          : path === '/api/squads'
            ? { status: 200, body: { squads: [{ id: 's', name: 'Eight', athleteIds: ['a', 'gone'] }] } }
            : null,
    });
    const form = await put(StudyForm, here, {
      kind,
      studies: { examiners: { value: EXAMINERS }, begin: async (fields: object) => void begun.push(fields) },
    });
    return { form, begun };
  }
  const begin = (form: { element: Element }) => named({ element: form.element.firstElementChild! }, 'button', 'Begin') as HTMLButtonElement;

  test('it says how many sides and readings it is, and begins only when it can say something', async () => {
    const { form, begun } = await show('repeatability');
    expect(form.get('[role=status]').text()).toContain('0 sides, 0 readings');
    expect(begin(form).disabled).toBe(true);
    await type(form.get('.others input').element as HTMLElement, 'A, B; C');
    expect(form.get('[role=status]').text()).toContain('6 sides, 18 readings');
    expect(form.get('fieldset').text()).not.toContain('Old One');
    await press(begin(form));
    expect(begun).toHaveLength(1);
    expect(begun[0]).toMatchObject({
      kind: 'repeatability',
      trials: 3,
      spacing: 'one-day',
      examinerIds: ['ann'],
      subjects: expect.arrayContaining([{ label: 'B', athleteId: null, side: 'right' }]),
    });
  });

  test('two instruments are compared by one examiner', async () => {
    const { form, begun } = await show('agreement');
    await type(form.get('.others input').element as HTMLElement, 'A, B, C, D, E, F');
    const ben = form.findAll('input[type=radio]').filter((each) => each.attributes('name') === 'examiner')[1]!;
    await ben.trigger('change');
    await press(begin(form));
    const [study] = begun as [{ instruments: string[]; examinerIds: string[] }];
    expect([study.instruments.length, study.examinerIds]).toEqual([2, ['ben']]);
  });

  test('a squad brings those who are on the list, once', async () => {
    const { form } = await show('repeatability');
    const squad = form
      .findAllComponents({ name: 'PickOne' })
      .find((each) => (each.props() as { label: string }).label === 'Take a whole squad')!;
    for (let i = 0; i < 2; i++) (squad.vm as unknown as { $emit: (name: string, value: string) => void }).$emit('change', 's');
    await flushPromises();
    expect(form.get('[role=status]').text()).toContain('2 sides');
  });
});

describe('reading a study', () => {
  const study = (): Study => {
    const base = {
      kind: 'repeatability' as const,
      motionId: 'hip-extension-knee-bent',
      instruments: ['inclinometer' as const],
      examinerIds: ['ann'],
      spacing: 'one-day' as const,
      trials: 2,
      subjects: ['A', 'B', 'C'].flatMap((label) => (['left', 'right'] as const).map((side) => ({ label, athleteId: null, side }))),
    };
    return { ...base, id: 'study', values: emptyValues(base), startedAt: '', finishedAt: null, revision: 1 } as unknown as Study;
  };
  async function show() {
    const written: (number | null)[][][][] = [];
    const studies = {
      examiners: { value: EXAMINERS },
      waiting: () => [],
      write: (_study: Study, values: (number | null)[][][]) => void written.push(values),
    };
    const reading = await put(StudyRead, await page(), { study: study(), studies });
    return { reading, written, input: () => reading.get('input.value').element as HTMLInputElement };
  }

  test('a value goes to the side that is asked for, is hidden at once, and can be taken back', async () => {
    const { reading, written, input } = await show();
    const [first] = studyOrder(study());
    expect(reading.find('[role=img]').attributes('aria-label')).toContain(`the ${study().subjects[first!.subject]!.side} side`);
    expect(document.activeElement).toBe(input());
    await type(input(), '12,5');
    await press(input(), 'Enter');
    expect(written[0]![first!.subject]![first!.part]![first!.trial]).toBe(12.5);
    expect(input().value).toBe('');
    expect(reading.text()).not.toContain('12.5');
    expect(reading.get('[role=status]').text()).toBe('1 of 12 read');
    await press(named(reading, 'button', 'Take the last one back'));
    expect(written[1]!.flat(2).every((each) => each === null)).toBe(true);
  });

  test('what cannot be read is named and nothing is written; too little read cannot be finished and says why', async () => {
    const { reading, written, input } = await show();
    await type(input(), 'twelve');
    await press(input(), 'Enter');
    expect(reading.get('#study-wrong').text()).not.toBe('');
    expect(written).toEqual([]);
    // It is selected: what is typed next takes its place.
    expect([input().selectionStart, input().selectionEnd]).toEqual([0, 'twelve'.length]);
    expect((named(reading, 'button', 'Finish early') as HTMLButtonElement).disabled).toBe(true);
    expect(reading.get('.choices').text()).toMatch(/Drop the study.+/);
  });
});

test('differences are drawn against means with room for the limits, drawn anew when they change, and taken away', async () => {
  const pairs = [
    [10, 12],
    [14, 15],
    [20, 24],
    [30, 31],
  ].map(([first, second]) => ({ first: first!, second: second! }));
  const result = agreement(pairs, 'deg');
  const plot = await put(AgreementPlot, await page(), { result, unit: 'deg', names: ['the inclinometer', 'the goniometer'] });
  expect(mockDrawn).toHaveLength(1);
  expect(mockDrawn[0]!.config.data.datasets[0]!.data).toEqual(
    pairs.map(({ first, second }) => ({ x: (first + second) / 2, y: first - second })),
  );
  const { min, max } = mockDrawn[0]!.config.options.scales.y;
  expect([min < result.lower.low, max > result.upper.high, min < 0, max > 0]).toEqual([true, true, true, true]);
  expect(plot.get('canvas').attributes('aria-label')).toContain('Differences of 4 sides against their means.');
  await plot.setProps({ result: agreement(pairs.slice(0, 3), 'deg') });
  expect(mockDrawn.map(({ gone }) => gone)).toEqual([true, false]);
  plot.unmount();
  expect(mockDrawn.map(({ gone }) => gone)).toEqual([true, true]);
});
