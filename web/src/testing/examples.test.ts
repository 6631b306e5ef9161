import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Runs every `@example expression // → value` of the interface's doc comments, as the core's are run. */
const ROOT = join(process.cwd(), 'web/src');
const examples = readdirSync(ROOT, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.ts') && !/\.(test|mount)\.ts$/.test(file))
  .flatMap((file) =>
    [...readFileSync(join(ROOT, file), 'utf8').matchAll(/@example (.+?) \/\/ → (.+)/g)].map(([, expression, expected]) => ({
      file,
      expression: expression!,
      expected: expected!.trim(),
    })),
  );

test('there are examples to run', () => {
  expect(examples.length).toBeGreaterThan(3);
});

test.each(examples)('$file: $expression', async ({ file, expression, expected }) => {
  const face = (await import(join(ROOT, file))) as Record<string, unknown>;
  const evaluate = (text: string): unknown => new Function(...Object.keys(face), `return (${text});`)(...Object.values(face));
  expect(evaluate(expression)).toEqual(evaluate(expected));
});
