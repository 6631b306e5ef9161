import { findEntry } from '@pace-bend/core/catalogue';
import { findMethod } from '@pace-bend/core/method';
import { doseWords } from './doseWords.ts';

test('what an entry begins with is said with its units, and nothing where it begins as the way does', () => {
  const walk = findEntry('adductors-walk-out')!;
  expect(doseWords(findMethod('cr-light')!, walk)).toBe('2 rounds, contract 7 s, effort 10 %');
  expect(doseWords(findMethod('cr-firm')!, walk)).toBe('');
  expect(doseWords(findMethod('mobilize-sustained')!, findEntry('leg-pull')!)).toBe('1 round, hold 30 s');
  expect(doseWords(findMethod('pin-lengthen')!, findEntry('neck-pin-turn-seated')!)).toContain('who moves: the athlete');
});
