import { flushPromises } from '@vue/test-utils';
import { motionOf } from '@pace-bend/core/body';
import type { PastReading } from '@pace-bend/core/record';
import { useAthlete } from '../stores/athlete.ts';
import { named, page, press, put, type } from '../testing/mounted.ts';
import { visitFile } from '../testing/visitFile.ts';
import ConditionForm from './file/ConditionForm.vue';
import RangeChart from './RangeChart.vue';
import { seriesOf } from '../parts/series.ts';

interface Config {
  data: { datasets: { label?: string; data: { x: number; y: number }[] }[] };
  options: { scales: { y: { reverse: boolean } } };
}
const mockDrawn: Config[] = [];
jest.mock('chart.js', () => ({
  Chart: class {
    static register() {}
    constructor(_canvas: unknown, config: Config) {
      mockDrawn.push(config);
    }
    destroy() {}
  },
}));

const { athlete } = visitFile();
const file = {
  athlete,
  conditions: [],
  noTouch: [],
  squads: [],
  past: [],
  errors: { own: [], shifts: [] },
  goals: [],
  visits: [],
  referredVisitIds: [],
  events: [],
};

describe('a condition', () => {
  async function show(condition: object | null = null) {
    const here = await page({
      respond: ({ method, path }) => (method === 'GET' && path === `/api/athletes/${athlete.id}` ? { status: 200, body: file } : null),
    });
    await useAthlete().load(athlete.id);
    const form = await put(ConditionForm, here, { condition });
    return { here, form };
  }
  const choose = async (form: Awaited<ReturnType<typeof show>>['form'], label: string, value: string) => {
    const pick = form.findAllComponents({ name: 'PickOne' }).find((each) => (each.props() as { label: string }).label === label)!;
    (pick.vm as unknown as { $emit: (name: string, value: string) => void }).$emit('change', value);
    await flushPromises();
  };
  const submit = async (form: Awaited<ReturnType<typeof show>>['form']) => {
    await form.trigger('submit');
    await flushPromises();
  };
  const errors = (form: Awaited<ReturnType<typeof show>>['form']) => form.findAll('[role=alert]').map((each) => each.text());

  test('nothing is kept before it is coded; a day that is none, or lies ahead, is named', async () => {
    const { here, form } = await show();
    await submit(form);
    expect(errors(form)).toEqual(['Choose the condition.']);
    await choose(form, 'Condition', 'muscle-strain');
    await type(document.getElementById('condition-onset')!, '2026-11-31');
    expect(errors(form)).toContain('November has 30 days.');
    await type(document.getElementById('condition-onset')!, '2026-12-01');
    expect(errors(form)).toContain('This day lies in the future.');
    expect(here.writes()).toEqual([]);
  });

  test('what somebody allowed in writing needs who and when, and each limit its number; then all of it is sent', async () => {
    const { here, form } = await show();
    await choose(form, 'Condition', 'muscle-strain');
    if (form.text().includes('Where')) await choose(form, 'Where', 'thigh-back');
    await form.get('input[type=checkbox]').setValue(true);
    await press(named(form, 'button', 'Add a limit'));
    await submit(form);
    expect(errors(form)).toEqual(expect.arrayContaining(['Who cleared it.', '0 to 200.']));
    await type(document.getElementById('clear-by')!, 'Dr Example');
    await type(named(form, 'input', 'Limit 1'), '110');
    await choose(form, 'Kind of limit 1', 'ceiling');
    await type(named(form, 'input', 'Limit 1'), '4.5');
    expect(errors(form)).toEqual(['0 to 10.']);
    await type(named(form, 'input', 'Limit 1'), '4');
    await submit(form);
    expect(errors(form)).toEqual([]);
    expect(here.writes()[0]!.body).toMatchObject({
      code: 'muscle-strain',
      clearance: { by: 'Dr Example', on: '2026-11-25', limits: [{ kind: 'ceiling', score: 4 }] },
    });
    expect(form.emitted('done')).toHaveLength(1);
  });
});

test('a side over the visits: before and after, joined where both were read; better upwards; drawn anew with a goal', async () => {
  const motion = motionOf('hip-extension-knee-bent');
  const past = [
    ['2026-10-01', 'before', 4],
    ['2026-10-01', 'after', 9],
    ['2026-10-08', 'before', 6],
  ].map(
    ([day, moment, value], i): PastReading =>
      ({
        id: String(i),
        visitId: String(day),
        startsAt: `${day}T08:00:00.000Z`,
        motionId: motion.id,
        side: 'left',
        moment,
        value,
        trials: [value],
        instrument: 'inclinometer',
        mode: 'passive',
        examinerId: null,
        supersedes: null,
        takenAt: `${day}T08:00:00.000Z`,
      }) as unknown as PastReading,
  );
  const [series] = seriesOf(motion, past, athlete, '2026-11-25');
  const chart = await put(RangeChart, await page(), {
    motion,
    series,
    range: { from: 0, to: 1, low: 0, high: 20 },
    zone: 'Europe/Berlin',
    events: [],
    goal: null,
  });
  const { datasets } = mockDrawn[0]!.data;
  expect(datasets.filter(({ label }) => label === undefined).map(({ data }) => data.map(({ y }) => y))).toEqual([[4, 9]]);
  expect(datasets.find(({ label }) => label === 'before')!.data.map(({ y }) => y)).toEqual([4, 6]);
  expect(datasets.find(({ label }) => label === 'after')!.data.map(({ y }) => y)).toEqual([9]);
  expect(mockDrawn[0]!.options.scales.y.reverse).toBe(false);
  expect(chart.get('figcaption').text()).toMatch(/straight after work 5\.0° more on average$/);
  await chart.setProps({ goal: 15 });
  expect(mockDrawn).toHaveLength(2);
});
