import { hasAnswer, NOTHING_ANSWERED, scored, toggled } from './answers.ts';

test('nothing is preset, and anything that was touched is an answer', () => {
  expect(hasAnswer(NOTHING_ANSWERED)).toBe(false);
  expect(hasAnswer({ ...NOTHING_ANSWERED, answers: { sleep: 3 } })).toBe(true);
  expect(hasAnswer({ ...NOTHING_ANSWERED, sore: [] })).toBe(true);
  expect(hasAnswer({ ...NOTHING_ANSWERED, ill: false })).toBe(true);
});

test('a place is tapped down with a middling score, said more of, and tapped away; left and right are two places', () => {
  const left = { muscle: 'soleus', side: 'left' } as const;
  const right = { muscle: 'soleus', side: 'right' } as const;
  const both = toggled(toggled([], left), right);
  expect(both.map(({ score }) => score)).toEqual([4, 4]);
  expect(scored(both, left, 20).map(({ score }) => score)).toEqual([10, 4]);
  expect(scored(both, left, -20).map(({ score }) => score)).toEqual([0, 4]);
  expect(toggled(both, left)).toEqual([{ ...right, score: 4 }]);
});
