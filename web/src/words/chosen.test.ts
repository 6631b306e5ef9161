import { chosen } from './chosen.ts';

test.each([
  [['de-AT', 'en'], ['de', 'fr'], 'de'],
  [['en-GB', 'de'], ['de'], 'en'],
  [['ja', 'fr-CA'], ['fr', 'fr-CA'], 'fr-CA'],
  [['ja'], ['de'], 'en'],
  [[], ['de'], 'en'],
  [['de'], [], 'en'],
  [['PT-BR'], ['pt-BR'], 'pt-BR'],
])('who reads %j, where %j is offered, is spoken to in %s', (wanted, offered, language) => {
  expect(chosen(wanted, offered)).toBe(language);
});
