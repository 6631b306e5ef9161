import type { Cue } from '../method/index.ts';
import { ALL_SPOKEN, heardWithin, spokenWords } from './heard.ts';

const cue = (more: Partial<Cue> = {}): Cue =>
  ({
    kind: 'contract',
    side: 'left',
    startMs: 10_000,
    endMs: 16_000,
    open: false,
    text: 'Press into my hand',
    detail: '',
    effortPct: 20,
    ...more,
  }) as Cue;

test.each([
  ['a press', cue(), '', 'Press into my hand. 20 percent. 6 seconds'],
  ['let go, too short to be counted', cue({ kind: 'relax', text: 'Let go', effortPct: null, endMs: 12_000 }), '', 'Let go'],
  ['what waits for the hand has no length', cue({ kind: 'set-up', text: 'Set up', effortPct: null, open: true }), '', 'Set up'],
  [
    'the other side',
    cue({ open: true, text: 'Set up', effortPct: null }),
    'walk round to the left',
    'left side next: walk round to the left. Set up',
  ],
  ['no side', cue({ side: 'midline', open: true, text: 'Set up', effortPct: null }), 'roll over to prone', 'roll over to prone. Set up'],
] as const)('%s', (_name, given, first, words) => {
  expect(spokenWords(given, first, ALL_SPOKEN)).toBe(words);
});

test('each kind can be left out by itself', () => {
  const without = (kind: keyof typeof ALL_SPOKEN, given: Cue, first = '') => spokenWords(given, first, { ...ALL_SPOKEN, [kind]: false });
  expect(without('instruction', cue())).toBe('6 seconds');
  expect(without('counts', cue())).toBe('Press into my hand. 20 percent');
  expect(without('side', cue({ open: true }), 'walk round')).toBe('Press into my hand. 20 percent');
  const rest = cue({ kind: 'rest', text: 'Rest', effortPct: null });
  expect(without('rest', rest)).toBe('');
  expect(without('instruction', rest)).toBe('Rest. 6 seconds');
});

test('the last three seconds of a phase are ticked, a short one and one that waits are not; a hand that turns round hears the half', () => {
  expect(heardWithin(cue())).toEqual([13_000, 14_000, 15_000].map((atMs) => ({ atMs, what: 'tick' })));
  expect(heardWithin(cue({ endMs: 14_900 }))).toEqual([]);
  expect(heardWithin(cue({ open: true }))).toEqual([]);
  expect(heardWithin(cue({ endMs: 70_000, detail: '20 a minute; half one way, half the other' }))[0]).toEqual({
    atMs: 40_000,
    what: 'turn',
  });
});
