import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { MOTIONS } from '../body/index.ts';
import { ENTRIES } from '../catalogue/index.ts';
import { CONDITIONS } from '../caution/index.ts';
import { METHODS } from '../method/index.ts';
import { SPORTS } from '../sport/index.ts';

/**
 * The logic knows fields, not names: what plans, times, counts, judges and learns holds no id of a way, an entry, a motion, a condition or a sport, so
 * that a practice's own are treated like those that ship. Data files, tests and what only gives an example in a comment may.
 */
const LOGIC = [
  'session',
  'table',
  'trend',
  'record',
  'exchange',
  'load',
  'readiness',
  'sport/play.ts',
  'sport/named.ts',
  'sport/demands.ts',
  'sport/shapes.ts',
  'sport/check.ts',
  'method',
  'limiter/judge.ts',
  'limiter/gather.ts',
  'caution/evaluate.ts',
  'caution/blocks.ts',
  'caution/limits.ts',
  'caution/grounds.ts',
];
const DATA = [/\/ways\//, /\/protocols\.ts$/, /\.test\.ts$/, /\/lineSides\.ts$/, /\/shelfFirst\.ts$/];
/** Words that are something else as well: a phase, a kind of cause, a run that runs, a side that is not the leading one, a heading, nothing. */
const SAME_WORD = new Set(['stroke', 'swelling', 'running', 'rowing', 'other', 'none']);
const root = join(process.cwd(), 'core', 'src');

function filesIn(path: string): string[] {
  return statSync(path).isFile() ? [path] : readdirSync(path).flatMap((name) => filesIn(join(path, name)));
}

const ids = new Map<string, string>([
  ...METHODS.map(({ id }): [string, string] => [id, 'way']),
  ...ENTRIES.map(({ id }): [string, string] => [id, 'entry']),
  ...MOTIONS.map(({ id }): [string, string] => [id, 'motion']),
  ...SPORTS.map(({ id }): [string, string] => [id, 'sport']),
  ...CONDITIONS.map(({ code }): [string, string] => [code, 'condition']),
]);

test('no id of data stands in the logic', () => {
  const files = LOGIC.flatMap((part) => filesIn(join(root, part))).filter(
    (file) => file.endsWith('.ts') && !DATA.some((each) => each.test(file)),
  );
  expect(files.length).toBeGreaterThan(60);
  const found = files.flatMap((file) => {
    const code = readFileSync(file, 'utf8')
      .replace(/\/\*[\s\S]*?\*\//g, '')
      .replace(/^\s*\/\/.*$/gm, '');
    return [...code.matchAll(/'([a-z][a-z0-9-]+)'/g)].flatMap(([, id]) =>
      ids.has(id!) && !SAME_WORD.has(id!) ? [`${file.slice(root.length + 1)}: ${ids.get(id!)} ${id}`] : [],
    );
  });
  expect(found).toEqual([]);
});
