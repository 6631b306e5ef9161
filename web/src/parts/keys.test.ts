import { readFileSync } from 'node:fs';
import { KEY_GROUPS, keysAsMarkdown, TABLE_KEYS } from './keys.ts';

test('the README’s table of keys is made from the list', () => {
  expect(readFileSync('README.md', 'utf8')).toContain(keysAsMarkdown());
});

test('at the table no key means two things', () => {
  const codes = TABLE_KEYS.flatMap((each) => each.codes);
  expect(new Set(codes).size).toBe(codes.length);
  for (const { title, rows } of KEY_GROUPS) {
    const shown = rows.map((row) => row.keys.join(' '));
    expect([title, new Set(shown).size]).toEqual([title, shown.length]);
  }
});
