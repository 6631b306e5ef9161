import { BUILT_IN, basePhases } from '@pace-bend/core/method';
import { flushPromises, type VueWrapper } from '@vue/test-utils';
import { named, page, press, put, type } from '../testing/mounted.ts';
import CompareView from './CompareView.vue';
import OwnRound from './OwnRound.vue';
import { rowsOf, type PhaseRow } from './ownWayForm.ts';

const base = BUILT_IN.methods.get('cr-breath')!;

describe('a round of one’s own', () => {
  async function show(wrong: Record<string, string> = {}) {
    const onChange = (rows: readonly PhaseRow[]) => void round.setProps({ rows });
    const round: VueWrapper = await put(OwnRound, await page(), {
      base,
      rows: rowsOf(basePhases(base)),
      numbers: { contract: [6] },
      wrong,
      onChange,
    });
    return round;
  }
  const rows = (round: VueWrapper) => (round.props() as unknown as { rows: readonly PhaseRow[] }).rows;
  const grips = (round: VueWrapper) => round.findAll('.grip').map((each) => each.element as HTMLElement);

  test('a phase is moved with the arrows, keeps the focus, and undo puts it back', async () => {
    const round = await show();
    const before = rows(round).map(({ key }) => key);
    await press(grips(round)[1]!, 'ArrowDown');
    expect(rows(round).map(({ key }) => key)).toEqual([before[0], before[2], before[1], ...before.slice(3)]);
    expect(document.activeElement).toBe(grips(round)[2]);
    expect(round.get('[role=status]').text()).toMatch(/ is phase 3 of \d+\.$/);
    await press(named(round, 'button', 'Undo'));
    expect(rows(round).map(({ key }) => key)).toEqual(before);
  });

  test('the first cannot go up, the last cannot go down, and one phase at least stays', async () => {
    const round = await show();
    await press(grips(round)[0]!, 'ArrowUp');
    await press(grips(round).at(-1)!, 'ArrowDown');
    expect(round.emitted('change')).toBeUndefined();
    await round.setProps({ rows: rows(round).slice(0, 1) });
    expect(round.findAll('.out').map((each) => (each.element as HTMLButtonElement).disabled)).toEqual([true]);
  });

  test('typing a word is one step of undo, not its letters; another field is another step', async () => {
    const round = await show();
    const input = () => named(round, 'input', 'Instruction, phase 1');
    for (const text of ['S', 'Se', 'Set']) await type(input(), text);
    await type(named(round, 'input', 'How, phase 1'), 'slowly');
    expect([rows(round)[0]!.text, rows(round)[0]!.detail]).toEqual(['Set', 'slowly']);
    await press(named(round, 'button', 'Undo'));
    expect([rows(round)[0]!.text, rows(round)[0]!.detail]).toEqual(['Set', '']);
    await press(named(round, 'button', 'Undo'));
    expect(rows(round)[0]!.text).toBe('');
    expect((named(round, 'button', 'Undo') as HTMLButtonElement).disabled).toBe(true);
  });

  test('what is wrong stands beside its phase', async () => {
    const [first] = rowsOf(basePhases(base));
    const round = await show({ [`phase.${first!.key}`]: 'Too long.', phases: 'No press in it.' });
    expect(round.findAll('[role=alert]').map((each) => each.text())).toEqual(['Too long.', 'No press in it.']);
    expect(round.findAll('li.bad')).toHaveLength(1);
  });
});

test('two ways are laid side by side on one axis; another choice is in the address', async () => {
  const here = await page({ path: '/shelf/compare?a=cr-breath&b=static-hold' });
  const view = await put(CompareView, here);
  expect(view.text()).toContain('Contraction-relax'.slice(0, 8));
  const stairs = view.findAll('svg[role=img], svg[role=group]').filter((each) => each.attributes('aria-label'));
  expect(stairs.length).toBeGreaterThanOrEqual(2);
  expect(view.text()).toContain('none');
  const picks = view.findAllComponents({ name: 'PickOne' });
  (picks[0]!.vm as unknown as { $emit: (name: string, value: string) => void }).$emit('change', 'static-hold');
  await flushPromises();
  expect(here.router.currentRoute.value.query.a).toBe('static-hold');
});
