import { dayInNote } from './index.ts';

describe('the day in a note', () => {
  test('is the word, its reasons, and what was set aside with the word why', () => {
    expect(
      dayInNote(
        'ease',
        ['Slept five hours or less.', 'Trained hard yesterday.'],
        [{ what: 'Slept five hours or less.', reason: 'slept later' }],
      ),
    ).toBe('Ease today: Slept five hours or less. Trained hard yesterday. Set aside: Slept five hours or less (slept later).');
  });

  test('without reasons it is the word alone', () => {
    expect(dayInNote('not known', [], [])).toBe('Not known today.');
    expect(dayInNote('ready', [], [{ what: 'Effort to 30 %', reason: 'felt fine' }])).toBe(
      'Ready today. Set aside: Effort to 30 % (felt fine).',
    );
  });
});
