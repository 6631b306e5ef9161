import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';

/**
 * Folders know each other one way only: whoever looks at one need not look at what is above it. Ways are followed through every import of
 * every file that is not a test; of the core its main folders count, elsewhere every folder does.
 */
const PARTS = [
  { part: 'core/src', folderOf: (file: string) => file.split('/').slice(0, -1)[0] ?? '' },
  { part: 'server/src', folderOf: (file: string) => dirname(file) },
  { part: 'web/src', folderOf: (file: string) => dirname(file) },
];

function edgesOf(part: string, folderOf: (file: string) => string): Map<string, Set<string>> {
  const root = join(process.cwd(), part);
  const edges = new Map<string, Set<string>>();
  for (const file of readdirSync(root, { recursive: true, encoding: 'utf8' })) {
    if (!/\.(ts|vue)$/.test(file) || /\.test\.ts$/.test(file) || /(^|\/)testing(\/|\.ts$)/.test(file)) continue;
    for (const [, path] of readFileSync(join(root, file), 'utf8').matchAll(/(?:from|import)\s*\(?\s*'(\.[^']+)'/g)) {
      const to = relative(root, resolve(dirname(join(root, file)), path!));
      if (to.startsWith('..') || folderOf(to) === folderOf(file)) continue;
      edges.set(folderOf(file), (edges.get(folderOf(file)) ?? new Set()).add(folderOf(to)));
    }
  }
  return edges;
}

/** A ring of folders, or null: whatever can still be taken away because it leads nowhere is taken away. */
function ringIn(edges: ReadonlyMap<string, ReadonlySet<string>>): string[] | null {
  const left = new Map([...edges].map(([from, to]) => [from, new Set(to)]));
  for (let taken = true; taken;) {
    taken = false;
    for (const [from, to] of left) {
      for (const each of to) if (!left.has(each)) to.delete(each);
      if (to.size === 0) {
        left.delete(from);
        taken = true;
      }
    }
  }
  return left.size === 0 ? null : [...left.keys()].sort();
}

test.each(PARTS)('no folder of $part leads back to itself', ({ part, folderOf }) => {
  const edges = edgesOf(part, folderOf);
  expect(edges.size).toBeGreaterThan(8);
  expect(ringIn(edges)).toBeNull();
});

test('a ring is found', () => {
  expect(
    ringIn(
      new Map([
        ['a', new Set(['b'])],
        ['b', new Set(['c'])],
        ['c', new Set(['a'])],
        ['d', new Set(['a'])],
      ]),
    ),
  ).toEqual(['a', 'b', 'c', 'd']);
  expect(
    ringIn(
      new Map([
        ['a', new Set(['b', 'c'])],
        ['b', new Set(['c'])],
      ]),
    ),
  ).toBeNull();
});
