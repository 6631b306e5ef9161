import { BANDS, calibrate, chiSquared, RANKED } from '../core/src/testing/calibration.ts';
import type { Otherwise } from '../core/src/testing/athletes.ts';

/** Prints, as tables, how even the ranks of truths are and how many truths lie within the bands: on athletes of the model and of others. */
const asked = Number(process.argv[2] ?? 1000);
if (!Number.isInteger(asked) || asked < 100) {
  process.stderr.write('A number of athletes, 100 or more.\n');
  process.exit(1);
}
const SEED = 5;
const OTHERS: readonly (readonly [string, Otherwise])[] = [
  ['loses 8° for a reason nobody tells', { step: 8 }],
  ['answers to no visit', { noAnswer: true }],
  ['goes with the seasons, ± 1.5°', { season: 1.5 }],
  ['errors with heavy tails (t, 3 df)', { heavyTails: true }],
];
const say = (line: string) => process.stdout.write(`${line}\n`);
const row = (cells: readonly string[]) => say(`| ${cells.join(' | ')} |`);
const rule = (cells: number) => row(Array.from({ length: cells }, () => '---'));
const share = (count: number, of: number) => `${((100 * count) / of).toFixed(1)} %`;

say(`χ² of the ranks over twenty bins, ${asked} athletes of the model (19 degrees of freedom: 95 % lie below 30.1, 99.9 % below 43.8)\n`);
row(['visits', ...RANKED, 'least ESS']);
rule(RANKED.length + 2);
const bands: string[][] = [];
for (const visits of [3, 8, 20]) {
  const found = calibrate(asked, visits, SEED);
  row([String(visits), ...found.ranks.map((ranks) => chiSquared(ranks).toFixed(1)), found.leastEss.toFixed(0)]);
  bands.push(['of the model', String(visits), ...found.within.map((count) => share(count, asked))]);
}
for (const [name, otherwise] of OTHERS)
  for (const visits of [8, 20])
    bands.push([name, String(visits), ...calibrate(asked, visits, SEED, otherwise).within.map((count) => share(count, asked))]);
const error = (band: number) => (100 * Math.sqrt((band * (1 - band)) / asked)).toFixed(1);
say(
  `\nHow many levels four weeks on lay within the band (error of a share: ${BANDS.map((band) => `± ${error(band)}`).join(', ')} points)\n`,
);
row(['athletes', 'visits', ...BANDS.map((band) => `${band * 100} % band`)]);
rule(2 + BANDS.length);
for (const cells of bands) row(cells);
