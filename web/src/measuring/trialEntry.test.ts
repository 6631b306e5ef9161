import { motionOf } from '@pace-bend/core/body';
import { checkTrials, differs, fieldCount } from './trialEntry.ts';

const hip = motionOf('hip-extension-knee-bent');

test('good and bad trials side by side: the good ones still count, each bad one says why', () => {
  const checked = checkTrials(['12', 'abc', '', '400'], hip);
  expect(checked.values).toEqual([12]);
  expect(checked.sound).toBe(false);
  expect(checked.messages.map((message) => message !== null)).toEqual([false, true, false, true]);
});

test('three fields, a fourth when they are full, never more than five', () => {
  expect([[], ['1'], ['1', '2', '3'], ['1', '2', '3', '4'], ['1', '2', '3', '4', '5']].map(fieldCount)).toEqual([3, 3, 4, 5, 5]);
});

test('only a difference is worth saving', () => {
  expect(differs([1, 2], [1, 2])).toBe(false);
  expect(differs([1], undefined)).toBe(true);
  expect(differs([], undefined)).toBe(false);
  expect(differs([2, 1], [1, 2])).toBe(true);
});
