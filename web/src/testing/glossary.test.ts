import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from '@vue/compiler-sfc';

/** docs/glossary.md holds on every screen: what is called one thing there is called nothing else in any template. */
const SOURCE = 'web/src';
const ELEMENT = 1;
const TEXT = 2;
const ATTRIBUTE = 6;
/** Attributes whose words are read or heard. */
const SAID = new Set(['label', 'title', 'placeholder', 'aria-label', 'nothing', 'unit']);

interface Node {
  readonly type: number;
  readonly content?: unknown;
  readonly name?: string;
  readonly value?: { readonly content: string };
  readonly props?: readonly Node[];
  readonly children?: readonly Node[];
}

/** Words of a template as they stand in it: texts, and attributes that are said. What is put together from data is not looked at. */
function wordsOf(node: Node): string[] {
  if (node.type === TEXT) return [String(node.content)];
  if (node.type === ATTRIBUTE) return node.value && SAID.has(node.name!) ? [node.value.content] : [];
  return [...(node.type === ELEMENT ? (node.props ?? []) : []), ...(node.children ?? [])].flatMap(wordsOf);
}
const screens = readdirSync(SOURCE, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.vue'))
  .map((file) => {
    const { ast } = parse(readFileSync(join(SOURCE, file), 'utf8')).descriptor.template ?? {};
    return {
      file,
      words: ast
        ? wordsOf(ast as unknown as Node)
            .join(' \n ')
            .toLowerCase()
        : '',
    };
  });

const rows = readFileSync('docs/glossary.md', 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('| ') && !line.startsWith('| we say') && !line.startsWith('| ---'))
  .map((line) => line.split('|').map((cell) => cell.trim()));

test('the screens are read: texts and labels of all of them', () => {
  expect(screens.length).toBeGreaterThan(200);
  const all = screens.map(({ words }) => words).join(' ');
  for (const words of ['what brings them today', 'add an event', 'find by name, seat or story', 'first steps'])
    expect(all).toContain(words);
});

test('each thing is said once, and has a meaning', () => {
  expect(rows.length).toBeGreaterThan(20);
  const said = rows.flatMap(([, name]) => name!.split(', '));
  expect(new Set(said).size).toBe(said.length);
  for (const row of rows) expect([row[1], row[2] !== '']).toEqual([row[1], true]);
});

test.each(rows.filter(([, , , not]) => not !== '').map(([, name, , not]) => [name!, not!] as const))(
  '“%s” is not called %s anywhere',
  (_name, not) => {
    for (const word of not.split(', ')) {
      const pattern = new RegExp(`(^|[^\\p{L}])${word.toLowerCase()}s?($|[^\\p{L}])`, 'u');
      expect([word, screens.filter(({ words }) => pattern.test(words)).map(({ file }) => file)]).toEqual([word, []]);
    }
  },
);
