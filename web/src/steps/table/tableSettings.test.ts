import { nextTick } from 'vue';
import { keepChoice, readChoice } from '../../api/drafts.ts';
import { RATE, useTableSettings } from './tableSettings.ts';

const kept = new Map<string, string>();
beforeEach(() => {
  kept.clear();
  Object.defineProperty(globalThis, 'localStorage', {
    value: { getItem: (key: string) => kept.get(key) ?? null, setItem: (key: string, value: string) => void kept.set(key, value) },
    configurable: true,
  });
});

test('as it ships: tones on, voice off, the page keys for pedals, the far view by the size of the screen', () => {
  expect(useTableSettings()).toMatchObject({
    muted: false,
    spoken: false,
    ticks: true,
    far: null,
    pedals: { down: 'PageDown', up: 'PageUp' },
    says: { instruction: true, counts: true, side: true, rest: true },
  });
});

test('every change is kept and there the next time; what was kept wrongly or by an older program is as it ships', async () => {
  const settings = useTableSettings();
  settings.volume = 0.2;
  settings.says = { ...settings.says, rest: false };
  settings.pedals = { ...settings.pedals, down: 'b' };
  await nextTick();
  expect(useTableSettings()).toMatchObject({ volume: 0.2, says: { rest: false, side: true }, pedals: { down: 'b', up: 'PageUp' } });
  keepChoice('table', { volume: 7, rate: 'fast', says: { counts: false } });
  const next = useTableSettings();
  expect([next.volume, next.rate, next.says.counts, next.says.side]).toEqual([0.5, 1.05, false, true]);
  expect(next.rate).toBeLessThan(RATE.max);
  expect(readChoice('table')).toMatchObject({ volume: 7 });
});
