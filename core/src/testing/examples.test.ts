import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import * as access from '../access/index.ts';
import * as body from '../body/index.ts';
import * as catalogue from '../catalogue/index.ts';
import * as caution from '../caution/index.ts';
import * as areas from '../caution/areas.ts';
import * as season from '../season/index.ts';
import * as keeping from '../keeping/index.ts';
import * as eventDay from '../eventDay/index.ts';
import * as week from '../week/index.ts';
import * as cycle from '../cycle/index.ts';
import * as device from '../device/index.ts';
import * as exchange from '../exchange/index.ts';
import * as figure from '../figure/index.ts';
import * as fhir from '../fhir/index.ts';
import * as finding from '../finding/index.ts';
import * as forecast from '../forecast/index.ts';
import * as heap from '../heap/index.ts';
import * as limiter from '../limiter/index.ts';
import * as load from '../load/index.ts';
import * as measure from '../measure/index.ts';
import * as method from '../method/index.ts';
import * as quantile from '../quantile/index.ts';
import * as random from '../random/index.ts';
import * as readiness from '../readiness/index.ts';
import * as record from '../record/index.ts';
import * as reliability from '../reliability/index.ts';
import * as session from '../session/index.ts';
import * as sport from '../sport/index.ts';
import * as home from '../home/index.ts';
import * as next from '../next/index.ts';
import * as note from '../note/index.ts';
import * as table from '../table/index.ts';
import * as trend from '../trend/index.ts';

/**
 * Runs every `@example expression // → value` of the doc comments, so that no example is ever wrong.
 * Numbers are compared to the decimals that are written.
 */
const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const faces: Record<string, Record<string, unknown>> = {
  access,
  body,
  catalogue,
  caution: { ...caution, ...areas },
  cycle,
  season,
  week,
  eventDay,
  keeping,
  device,
  exchange,
  fhir,
  figure,
  finding,
  forecast,
  heap,
  limiter,
  load,
  measure,
  method,
  quantile,
  random,
  readiness,
  record,
  reliability,
  session,
  sport,
  home,
  next,
  note,
  table,
  trend,
};
const fixtures = {
  entry: catalogue.findEntry('rectus-femoris-prone'),
  motion: body.motionOf('hip-extension-knee-bent'),
  effort: method.CR_BREATH.numbers.find((spec) => spec.id === 'effort'),
};

/** Files of a folder of the core, those in folders within it too. */
const filesIn = (folder: string): string[] =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' }).filter(
    (file) => file.endsWith('.ts') && !file.endsWith('.test.ts'),
  );

const examples = Object.entries(faces).flatMap(([folder, face]) =>
  filesIn(folder).flatMap((file) =>
    [...readFileSync(join(root, folder, file), 'utf8').matchAll(/@example (.+?) \/\/ → (.+)/g)].map(([, expression, expected]) => ({
      place: `${folder}/${file}`,
      expression: expression!,
      expected: expected!.trim(),
      face,
    })),
  ),
);

test('every folder of the core is looked at', () => {
  const folders = readdirSync(root, { withFileTypes: true })
    .filter((each) => each.isDirectory() && each.name !== 'testing')
    .map((each) => each.name);
  expect(Object.keys(faces).sort()).toEqual(folders.sort());
});

function evaluate(expression: string, face: Record<string, unknown>): unknown {
  const names = { ...method, ...fixtures, ...face };
  return new Function(...Object.keys(names), `return (${expression});`)(...Object.values(names));
}

test('there are examples to run', () => {
  expect(examples.length).toBeGreaterThan(20);
});

test.each(examples)('$place: $expression', ({ expression, expected, face }) => {
  const value = evaluate(expression, face);
  const decimals = /^-?\d+\.(\d+)$/.exec(expected)?.[1]?.length;
  if (decimals === undefined) expect(value).toEqual(evaluate(expected, face));
  else expect(value).toBeCloseTo(Number(expected), decimals);
});
