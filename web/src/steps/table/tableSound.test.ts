import { jest } from '@jest/globals';
import { reactive } from 'vue';
import type { Cue } from '@pace-bend/core/method';
import { ALL_SPOKEN } from '@pace-bend/core/table';
import { tableSound } from './tableSound.ts';
import type { TableSettings } from './tableSettings.ts';
import { Tones, type Planned } from './tones.ts';

class FakeUtterance {
  volume = 1;
  rate = 1;
  voice: { name: string } | null = null;
  onstart: (() => void) | null = null;
  onend: (() => void) | null = null;
  constructor(readonly text: string) {}
}
const said: FakeUtterance[] = [];
beforeEach(() => {
  said.length = 0;
  const speechSynthesis = {
    cancel: () => undefined,
    speak: (words: FakeUtterance) => void said.push(words),
    getVoices: () => [{ name: 'Ada' }],
  };
  Object.assign(globalThis, { SpeechSynthesisUtterance: FakeUtterance, speechSynthesis, window: { speechSynthesis } });
});
afterEach(() => jest.restoreAllMocks());

const settings = (more: Partial<TableSettings> = {}): TableSettings =>
  reactive({
    muted: false,
    spoken: true,
    volume: 0.4,
    rate: 0.9,
    voice: 'Ada',
    says: ALL_SPOKEN,
    ticks: true,
    pedals: { down: 'PageDown', up: 'PageUp' },
    far: null,
    ...more,
  });
const cue = (more: Partial<Cue> = {}) =>
  ({ index: 3, kind: 'contract', startMs: 10_000, endMs: 16_000, open: false, detail: '', ...more }) as Cue;

test('the voice speaks as loud, as fast and with whose voice it is set, and the tones step back while it does', () => {
  const duck = jest.spyOn(Tones.prototype, 'duck');
  const sound = tableSound(settings());
  sound.phase('contract', () => 'Press. 20 percent');
  expect(said).toHaveLength(1);
  expect(said[0]).toMatchObject({ text: 'Press. 20 percent', volume: 0.4, rate: 0.9, voice: { name: 'Ada' } });
  said[0]!.onstart!();
  said[0]!.onend!();
  expect(duck.mock.calls).toEqual([[true], [false]]);
});

test('without a voice nothing is said, and its words are not even made; where nothing of a cue is wanted, it is silent', () => {
  const words = jest.fn(() => '');
  tableSound(settings({ spoken: false })).phase('hold', words);
  expect(words).not.toHaveBeenCalled();
  tableSound(settings()).phase('hold', words);
  expect([words.mock.calls.length, said.length]).toEqual([1, 0]);
});

test('ahead of a cue: its last three seconds and the tone of the next; at another speed, muted or without ticks only what fits', () => {
  const plan = jest.spyOn(Tones.prototype, 'plan').mockImplementation(() => undefined);
  const heading = { cue: cue(), next: cue({ index: 4, kind: 'relax' }), positionMs: 11_000, rate: 1 };
  const planned = (more: Partial<TableSettings>, rate = 1): readonly Planned[] => {
    tableSound(settings(more)).ahead({ ...heading, rate });
    return plan.mock.lastCall![1];
  };
  expect(planned({})).toEqual([
    { inS: 2, what: 'tick' },
    { inS: 3, what: 'tick' },
    { inS: 4, what: 'tick' },
    { inS: 5, what: 'relax' },
  ]);
  expect(planned({ ticks: false })).toEqual([{ inS: 5, what: 'relax' }]);
  expect(planned({}, 20)).toEqual([{ inS: 0.25, what: 'relax' }]);
  expect(planned({ muted: true })).toEqual([]);
  tableSound(settings()).ahead(null);
  expect(plan.mock.lastCall).toEqual(['', []]);
});
