import { newBlock, compile, SLOW_BREATH } from '@pace-bend/core/method';
import { sessionStrip } from '@pace-bend/core/session';
import { named, page, press, put, type } from '../../testing/mounted.ts';
import { visitFile } from '../../testing/visitFile.ts';
import BlockNumbers from './BlockNumbers.vue';
import DoseCards from './DoseCards.vue';
import SessionLine from './SessionLine.vue';
import { ENTRIES } from '@pace-bend/core/catalogue';

const hip = () => newBlock('one', 'rectus-femoris-prone', 'cr-breath', ['left', 'right']);
const calf = () => newBlock('two', 'latissimus-supine', 'static-hold', ['left', 'right']);
const lineOf = (blocks: ReturnType<typeof hip>[]) => compile(blocks, { breath: SLOW_BREATH, edgeOf: () => null });
const stripOf = (blocks: ReturnType<typeof hip>[]) =>
  sessionStrip({ blocks, line: lineOf(blocks), isMeasured: () => false, mayMeasure: () => true });

describe('the numbers of a block', () => {
  const show = async (block = hip(), cues = lineOf([block]).cues) =>
    put(BlockNumbers, await page({ file: visitFile() }), { block, cues, tighter: 'left', canSplit: true, disabled: false });

  test('rounds of each side are their own; what cannot be is said beside it', async () => {
    const numbers = await show();
    await type(named(numbers, 'input', 'Rounds, left'), '4');
    const changed = numbers.emitted('change')!.at(-1)![0] as ReturnType<typeof hip>;
    expect(changed.sides.map(({ side, rounds }) => [side, rounds])).toEqual([
      ['left', 4],
      ['right', hip().sides[1]!.rounds],
    ]);
    await numbers.setProps({
      block: {
        ...hip(),
        sides: [
          { side: 'left', rounds: 99 },
          { side: 'right', rounds: 2 },
        ],
      },
    });
    expect(numbers.findAll('[role=alert]')).toHaveLength(1);
    expect(named(numbers, 'input', 'Rounds, left').getAttribute('aria-invalid')).toBe('true');
    expect(named(numbers, 'input', 'Rounds, right').getAttribute('aria-invalid')).not.toBe('true');
  });

  test('another way brings its own numbers and keeps the sides', async () => {
    const numbers = await show();
    const { vm } = numbers.findAllComponents({ name: 'PickOne' })[0]!;
    (vm as unknown as { $emit: (name: string, value: string) => void }).$emit('change', 'static-hold');
    const changed = numbers.emitted('change')!.at(-1)![0] as ReturnType<typeof hip>;
    expect(changed.methodId).toBe('static-hold');
    expect(Object.keys(changed.numbers)).not.toEqual(Object.keys(hip().numbers));
    expect(changed.sides.map(({ side }) => side)).toEqual(['left', 'right']);
  });

  test('what comes out is told where it is not what was wished', async () => {
    const wished = { ...hip(), numbers: { ...hip().numbers, contract: [7] } };
    const numbers = await show(wished);
    expect(numbers.findAll('.made').map((each) => each.text())).toEqual(['comes out as 6 s: to the end of a breath']);
    await numbers.setProps({ block: hip(), cues: lineOf([hip()]).cues });
    expect(numbers.findAll('.made')).toEqual([]);
  });
});

describe('the session line', () => {
  const show = async (blocks = [hip(), calf()], more: Record<string, unknown> = {}) =>
    put(SessionLine, await page({ file: visitFile() }), {
      blocks,
      strip: stripOf(blocks),
      selectedId: 'one',
      minutes: 45,
      disabled: false,
      refusal: '',
      visitId: 'v',
      ...more,
    });

  test('every block is a box with its name; keys move it and take it out', async () => {
    const line = await show();
    const boxes = line.findAll('.cell.block .open');
    expect(boxes.length).toBeGreaterThanOrEqual(2);
    await press(boxes[0]!.element as HTMLElement, 'ArrowRight', { altKey: true });
    await press(boxes[0]!.element as HTMLElement, 'Delete');
    await press(boxes[0]!.element as HTMLElement, 'ArrowRight');
    expect([line.emitted('move'), line.emitted('remove')]).toEqual([[['one', 1]], [['one']]]);
  });

  test('minutes left and minutes too many are told, the end of the booked time is marked', async () => {
    const line = await show();
    expect(line.text()).toMatch(/left/);
    await line.setProps({ minutes: 5 });
    expect(line.get('header').text()).toContain('longer than the time there is');
    expect(line.findAll('.booked')).toHaveLength(1);
    expect(line.findAll('.spare')).toEqual([]);
  });

  test('a visit that is over can be looked at and not changed', async () => {
    const line = await show(undefined, { disabled: true });
    expect(line.findAll('.tools')).toEqual([]);
    await press(line.findAll('.cell.block .open')[0]!.element as HTMLElement, 'Delete');
    expect(line.emitted('remove')).toBeUndefined();
  });
});

test('dose by side, the hands against their day, and where the table height comes from', async () => {
  const blocks = [hip()];
  const here = await page({
    file: visitFile(),
    respond: ({ path }) =>
      path.endsWith('/dose') ? { status: 503, body: { type: '/problems/busy', title: 'Busy', detail: 'Later.' } } : null,
  });
  const cards = await put(DoseCards, here, {
    line: lineOf(blocks),
    blocks,
    selected: blocks[0],
    entry: ENTRIES.find(({ id }) => id === 'rectus-femoris-prone'),
    blockIndex: 0,
    visitId: 'v',
    daysToEvent: null,
  });
  expect(cards.findAll('.dose').map((each) => each.attributes('aria-label'))).toEqual(['Time, left', 'Time, right']);
  expect(Number.parseInt(cards.get('[data-testid="end-range-left"]').text(), 10)).toBeGreaterThan(0);
  expect(cards.get('.hands').text()).toContain('What was done earlier could not be read.');
  expect(cards.get('.hands').text()).toContain('give your knuckle height');
});
