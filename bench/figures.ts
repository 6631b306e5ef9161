import { performance } from 'node:perf_hooks';
import { MOTIONS } from '@pace-bend/core/body';
import { ENTRIES, entryScene } from '@pace-bend/core/catalogue';
import { drawMotion, drawScene, LIGHT, svgText, type Drawing } from '@pace-bend/core/figure';

/** Milliseconds to draw a figure, beside writing the finished drawing down as text: what any picture has to pay. Both warm. */
const ROUNDS = 8;
const median = (list: readonly number[], share = 0.5) => [...list].sort((a, b) => a - b)[Math.floor(list.length * share)]!;

const kinds: readonly [string, readonly ((size: number) => Drawing)[]][] = [
  ['entries', ENTRIES.map((entry) => (size: number) => drawScene(entryScene(entry), { size }))],
  [
    'motions, both sides',
    MOTIONS.map((motion) => (size: number) => {
      const values = motion.sides.length === 1 ? { midline: motion.fan.max } : { left: motion.fan.min, right: motion.fan.max };
      return drawMotion(motion, { values, band: { low: motion.fan.min, high: motion.fan.max }, size });
    }),
  ],
];
const rows = kinds.flatMap(([name, list]) =>
  [48, 96, 200, 400].map((size) => {
    const [draw, write]: [number[], number[]] = [[], []];
    for (let round = 0; round < ROUNDS; round++)
      for (const each of list) {
        const begun = performance.now();
        const drawing = each(size);
        const drawn = performance.now();
        svgText(drawing, LIGHT, 'a');
        if (round > 1) {
          draw.push(drawn - begun);
          write.push(performance.now() - drawn);
        }
      }
    return { name, size, count: list.length, drawMs: median(draw), p95Ms: median(draw, 0.95), writeMs: median(write) };
  }),
);
process.stdout.write(JSON.stringify(rows));
