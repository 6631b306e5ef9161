import { readdirSync, readFileSync } from 'node:fs';
import { isPrinted, KEY_GROUPS, keysAsMarkdown, TABLE_KEYS, whichKey } from './keys.ts';

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

const press = (key: string, more: Partial<Parameters<typeof isPrinted>[0]> = {}) => ({
  key,
  code: /^[a-z]$/i.test(key) ? `Key${key.toUpperCase()}` : key,
  altKey: false,
  ctrlKey: false,
  metaKey: false,
  shiftKey: false,
  ...more,
});

test('a printed key is the key that is pressed: with its modifiers, whatever a keyboard makes of a letter with Alt', () => {
  expect(isPrinted(press('/'), '/')).toBe(true);
  expect(isPrinted(press('?', { shiftKey: true }), '?')).toBe(true);
  expect(isPrinted(press('C', { shiftKey: true }), 'C')).toBe(true);
  expect(isPrinted(press('c', { ctrlKey: true }), 'C')).toBe(false);
  expect(isPrinted(press('π', { code: 'KeyP', altKey: true }), 'Alt P')).toBe(true);
  expect(isPrinted(press('p'), 'Alt P')).toBe(false);
  expect(isPrinted(press('z', { metaKey: true }), 'Ctrl Z')).toBe(true);
  expect(isPrinted(press('Z', { ctrlKey: true, shiftKey: true }), 'Ctrl Z')).toBe(false);
  expect(isPrinted(press('Z', { ctrlKey: true, shiftKey: true }), 'Ctrl Shift Z')).toBe(true);
  expect(isPrinted(press('ArrowUp', { altKey: true, shiftKey: true }), 'Alt ↑')).toBe(true);
  expect(isPrinted(press('ArrowUp'), 'Alt ↑')).toBe(false);
  expect([isPrinted(press('PageDown'), 'Page ↓'), isPrinted(press('ArrowDown'), 'Page ↓'), isPrinted(press(' '), 'Space')]).toEqual([
    true,
    false,
    true,
  ]);
  expect(['Delete', 'Backspace', 'd'].map((key) => isPrinted(press(key), 'Del'))).toEqual([true, true, false]);
  expect([
    whichKey(press('ArrowLeft', { altKey: true }), 'moveBlock'),
    whichKey(press('ArrowRight', { altKey: true }), 'moveBlock'),
    whichKey(press('x'), 'moveBlock'),
  ]).toEqual([0, 1, null]);
});

test('no key of a page is looked up anywhere else: handlers ask this list', () => {
  const files = readdirSync('web/src', { recursive: true, encoding: 'utf8' }).filter(
    (file) => /\.(vue|ts)$/.test(file) && !/\.(test|mount)\.ts$/.test(file),
  );
  // A handler on the whole window is a command; what a single field or list does with its arrows is its own.
  const commands = files.filter((file) =>
    /window\.addEventListener\('keydown'|useWindowKeys\(/.test(readFileSync(`web/src/${file}`, 'utf8')),
  );
  expect(commands.length).toBeGreaterThan(6);
  const elsewhere = commands.filter((file) =>
    /event\.code\b|\.key (?:===|!==)|\.key\.toLowerCase\(\) (?:===|!==)/.test(readFileSync(`web/src/${file}`, 'utf8')),
  );
  // The table's own handler asks the table's list, and leaves Enter to a button that has the focus.
  expect(elsewhere).toEqual(['steps/table/useTableKeys.ts']);
});
