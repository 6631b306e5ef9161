import type { KeptShare } from '@pace-bend/core/session';
import { keptTimes, keptWords } from './keptWords.ts';

const share = (more: Partial<KeptShare> = {}): KeptShare => ({
  days: 6.6,
  share: 0.5,
  low: 0.3,
  high: 0.7,
  visits: 8,
  factor: 1.6,
  ...more,
});

test('what is kept is said with its ends, and by whose visits', () => {
  expect(keptWords(share(), 6, 'deg')).toBe('about 3.0° of it still there in 7 days (1.8° to 4.2°), by 8 visits of theirs');
  expect(keptWords(share({ visits: null, share: 0.2 }), 6, 'deg')).toBe(
    'about 1.2° of it still there in 7 days, as is usual: their own visits do not say yet',
  );
  expect(keptWords(share({ days: 0.4 }), 6, 'deg')).toContain('still there tomorrow');
});

test('what degrees count for is told only where it is not as usual', () => {
  expect(keptTimes(share())).toBe(' × 1.60 for what is kept of it, where 1 is usual');
  expect(keptTimes(share({ visits: null, factor: 1 }))).toBe('');
  expect(keptTimes(share({ factor: -0.2 }))).toContain('× 0.00');
  expect(keptTimes(null)).toBe('');
});
