import { readFileSync } from 'node:fs';
import { LIGHT } from '@pace-bend/core/figure';

const css = readFileSync('web/src/app/theme.css', 'utf8');
/** The tones of a theme as they stand in the style sheet. */
function tonesAfter(mark: string): Record<string, string> {
  const from = css.indexOf(mark);
  const block = css.slice(from, css.indexOf('}', from));
  return Object.fromEntries([...block.matchAll(/--fig-([\w-]+): (#[0-9a-f]{6});/g)].map(([, name, value]) => [name, value]));
}
const THEMES = { light: tonesAfter(':root {'), dark: tonesAfter(':root:not([data-light])'), table: tonesAfter('[data-figures') };

/** WCAG 2.2 contrast ratio of two colours. */
function contrast(a: string, b: string): number {
  const light = (hex: string) => {
    const [r, g, bl] = [1, 3, 5].map((i) => {
      const c = parseInt(hex.slice(i, i + 2), 16) / 255;
      return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
    }) as [number, number, number];
    return 0.2126 * r + 0.7152 * g + 0.0722 * bl;
  };
  const [x, y] = [light(a), light(b)];
  return (Math.max(x, y) + 0.05) / (Math.min(x, y) + 0.05);
}

test('the ratio is the published one: black on white is 21, the same colour is 1', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 6);
  expect(contrast('#777777', '#777777')).toBe(1);
});

test.each(Object.entries(THEMES))('%s: every tone a drawing can have is there', (_name, tones) => {
  expect(Object.keys(tones).sort()).toEqual(Object.keys(LIGHT).sort());
});

test('the table by day has the tones of the dark: they are written twice and stay the same', () => {
  expect(THEMES.table).toEqual(THEMES.dark);
});

// Marks against what they lie on: three to one, as for any graphic that has to be understood (WCAG 2.2, 1.4.11).
test.each(
  Object.entries(THEMES).flatMap(([name, tones]) =>
    (
      [
        ['ink', 'skin'],
        ['muscle', 'skin'],
        ['deep', 'skin'],
        ['hand-ink', 'hand'],
        ['hand-ink', 'hand-hold'],
        ['lock', 'hand-hold'],
        ['move', 'ground'],
        ['athlete', 'ground'],
        ['rock', 'ground'],
        ['point', 'ground'],
        ['left', 'ground'],
        ['right', 'ground'],
        ['low', 'ground'],
        ['ghost', 'ground'],
      ] as const
    ).map(([mark, on]) => [name, mark, on, tones[mark]!, tones[on]!] as const),
  ),
)('%s: %s is told from %s', (_name, _mark, _on, mark, on) => {
  expect(contrast(mark, on)).toBeGreaterThanOrEqual(3);
});
