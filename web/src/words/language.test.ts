import { speak, wordsOf } from './language.ts';

const t = wordsOf('try', { hello: 'Good morning', rounds: '{n} rounds of {what}', twice: '{n} and {n}', odd: 'a | b @ c %{n}' });

test('a sentence is said with what is put in, as often as it asks for it; what is missing is left empty', () => {
  expect(t('hello')).toBe('Good morning');
  expect(t('rounds', { n: 3, what: 'six' })).toBe('3 rounds of six');
  expect(t('twice', { n: 0 })).toBe('0 and 0');
  expect(t('rounds', { n: null, what: undefined })).toBe(' rounds of ');
  // Signs that mean something elsewhere mean nothing here.
  expect(t('odd', { n: 5 })).toBe('a | b @ c %5');
  // What was put in is not read again.
  expect(t('rounds', { n: '{what}', what: 'x' })).toBe('{what} rounds of x');
});

test('another language is its catalogues; what it has not is said in English', () => {
  speak('xx', { try: { hello: 'Doma kyl', rounds: '{what}: {n}' } });
  expect(t('hello')).toBe('Doma kyl');
  expect(t('rounds', { n: 3, what: 'six' })).toBe('six: 3');
  expect(t('twice', { n: 1 })).toBe('1 and 1');
  speak('en', {});
  expect(t('hello')).toBe('Good morning');
});
