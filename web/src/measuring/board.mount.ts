import { STOP_QUESTIONS } from '@pace-bend/core/caution';
import { flushPromises } from '@vue/test-utils';
import { named, page, press, put, type } from '../testing/mounted.ts';
import { reading, visitFile } from '../testing/visitFile.ts';
import { useVisit } from '../stores/visit.ts';
import MeasureBoard from './MeasureBoard.vue';

const asked = () => ({ ...visitFile().visit, consentWord: 'as agreed' });
const fileWith = (...trials: [left: number[], right: number[]] | []) =>
  visitFile({
    visit: asked(),
    answers: [
      { id: 'q', at: '', by: 'Ann', notAsked: null, answers: Object.fromEntries(STOP_QUESTIONS.map(({ id }) => [id, 'no'])) as never },
    ],
    readings:
      trials.length === 0
        ? []
        : [
            reading({ motionId: 'hip-extension-knee-bent', side: 'left', trials: trials[0] }),
            reading({ motionId: 'hip-extension-knee-bent', side: 'right', trials: trials[1] }),
          ],
  });
const trial = (board: { element: Element }, side: 'Left' | 'Right', n: number) =>
  named(board, 'input', `${side}, trial ${n}`) as HTMLInputElement;
const value = (side: string) => document.querySelector(`[data-testid="value-${side}"]`)!;

test('nothing measured yet: the board says what to begin with', async () => {
  const board = await put(MeasureBoard, await page({ file: fileWith() }), { moment: 'before' });
  expect(board.text()).toContain('Choose the first motion to measure');
});

test('trials go from field to field with Enter, are sent as one reading, and are drawn as not sent until they are', async () => {
  const here = await page({
    file: fileWith([4, 5, 6], [11, 12, 11]),
    respond: ({ method, path, body }) =>
      method === 'PUT' && path.includes('/readings/')
        ? {
            status: 200,
            body: {
              ...reading({ motionId: 'hip-extension-knee-bent', side: 'left', trials: (body as { trials: number[] }).trials }),
              supersedes: (body as { supersedes: string }).supersedes,
            },
          }
        : null,
  });
  const board = await put(MeasureBoard, here, { moment: 'before' });
  trial(board, 'Left', 1).focus();
  for (const [i, text] of ['7', '8', '9'].entries()) {
    await type(trial(board, 'Left', i + 1), text);
    if (i === 2) expect(value('left').textContent).toContain('8.0');
    await press(trial(board, 'Left', i + 1), 'Enter');
  }
  // The third Enter of the left side leads to the right one.
  expect(document.activeElement).toBe(trial(board, 'Right', 1));
  await flushPromises();
  expect(here.writes().at(-1)!.body).toMatchObject({ motionId: 'hip-extension-knee-bent', side: 'left', trials: [7, 8, 9] });
  expect(value('left').classList.contains('unsent')).toBe(false);
});

test('what cannot be read keeps the focus, says why, and is not sent', async () => {
  const here = await page({ file: fileWith([4, 5, 6], [11, 12, 11]) });
  const board = await put(MeasureBoard, here, { moment: 'before' });
  trial(board, 'Left', 1).focus();
  await type(trial(board, 'Left', 1), 'four');
  await press(trial(board, 'Left', 1), 'Enter');
  expect(document.activeElement).toBe(trial(board, 'Left', 1));
  expect(board.get('#wrong-left').text()).not.toBe('');
  expect(trial(board, 'Left', 1).getAttribute('aria-invalid')).toBe('true');
  expect(here.writes()).toEqual([]);
  await press(trial(board, 'Left', 1), 'Escape');
  expect(trial(board, 'Left', 1).value).toBe('4');
});

test('a stop says why instead of asking for numbers', async () => {
  const file = fileWith([4, 5, 6], [11, 12, 11]);
  const here = await page({
    file: {
      ...file,
      answers: [{ ...file.answers[0]!, answers: { ...file.answers[0]!.answers, [STOP_QUESTIONS[0]!.id]: 'yes' } as never }],
    },
  });
  const board = await put(MeasureBoard, here, { moment: 'before' });
  expect(useVisit().stops.length).toBeGreaterThan(0);
  expect(board.findAll('input.trial')).toEqual([]);
});

test('one round walks position by position; the choice is kept; ↓ goes to the next motion of the order shown', async () => {
  const file = fileWith([4, 5, 6], [11, 12, 11]);
  const here = await page({
    file: {
      ...file,
      readings: [
        ...file.readings,
        reading({ motionId: 'hip-flexion', side: 'left', trials: [110] }),
        reading({ motionId: 'shoulder-flexion', side: 'left', trials: [170] }),
      ],
    },
  });
  const board = await put(MeasureBoard, here, { moment: 'before' });
  const names = () => board.findAll('.list li .what b').map((each) => each.text());
  const before = names();
  await press(named(board, 'button', 'One round'));
  expect(named(board, 'button', 'One round').getAttribute('aria-pressed')).toBe('true');
  expect([...names()].sort()).toEqual([...before].sort());
  expect(board.findAll('.turn').length).toBeGreaterThan(0);
  await press(board.findAll('.list li button.row')[0]!.element as HTMLElement);
  await press(trial(board, 'Left', 1), 'ArrowDown');
  expect(board.get('.list li.on .what b').text()).toBe(names()[1]);
});

// The last one: what is not sent is tried again for as long as the page lives, and the next page's visit would answer to it.
test('without an answer a value is drawn as not sent, and says so once a try has failed', async () => {
  const here = await page({
    file: fileWith([4, 5, 6], []),
    respond: ({ method }) => (method === 'PUT' ? { status: 503, body: { type: '/problems/busy', title: 'Busy', detail: 'Later.' } } : null),
  });
  const board = await put(MeasureBoard, here, { moment: 'before' });
  expect(value('left').classList.contains('unsent')).toBe(false);
  await press(named(board, 'button', 'same as left'));
  expect(value('right').textContent).toContain('5.0');
  expect(value('right').classList.contains('unsent')).toBe(true);
  expect(board.get('section[aria-label="Motions"]').text()).toContain('not sent');
});
