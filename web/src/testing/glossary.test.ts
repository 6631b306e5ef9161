import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** docs/glossary.md holds in every catalogue: what is called one thing there is called nothing else on any screen. */
const CATALOGUES = 'web/src/words/en';

const areas = readdirSync(CATALOGUES).map((file) => ({
  file,
  words: Object.values(JSON.parse(readFileSync(join(CATALOGUES, file), 'utf8')) as Record<string, string>)
    .join(' \n ')
    .toLowerCase(),
}));

const rows = readFileSync('docs/glossary.md', 'utf8')
  .split('\n')
  .filter((line) => line.startsWith('| ') && !line.startsWith('| we say') && !line.startsWith('| ---'))
  .map((line) => line.split('|').map((cell) => cell.trim()));

test('the catalogues are read, those of all areas', () => {
  expect(areas.length).toBeGreaterThan(30);
  const all = areas.map(({ words }) => words).join(' ');
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
      expect([word, areas.filter(({ words }) => pattern.test(words)).map(({ file }) => file)]).toEqual([word, []]);
    }
  },
);
