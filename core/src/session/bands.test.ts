import { motionOf } from '../body/index.ts';
import { NOTHING_KNOWN } from '../measure/index.ts';
import { seeded } from '../random/index.ts';
import type { PastBlock, PastReading } from '../record/index.ts';
import { BETWEEN_ATHLETES, BETWEEN_SESSIONS, predictEdges, responseOf, usualGain } from './index.ts';

/**
 * "Nine in ten", by simulation: athletes are drawn as the model says they differ, sessions and readings with their own chance, and the band
 * is made of nothing but what was read.
 */
const MOTION = motionOf('straight-leg-raise');
const SEM = 2;
const ATHLETES = 3000;

/** Normal numbers by Box and Muller. */
const normalFrom = (random: () => number) => (): number => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

/** How many of the next readings and of the true gains lie in the bands that were told before. */
function covered(sessions: number, seed: number): { reading: number; gain: number } {
  const normal = normalFrom(seeded(seed));
  const x = usualGain(MOTION, [1, 1, 1]);
  let [reading, gain] = [0, 0];
  for (let athlete = 0; athlete < ATHLETES; athlete++) {
    const scale = 1 + BETWEEN_ATHLETES * normal();
    const session = () => scale * x + BETWEEN_SESSIONS * x * normal();
    const read = (truth: number) => truth + SEM * normal();
    const past: PastReading[] = [];
    const blocks: PastBlock[] = [];
    for (let i = 0; i < sessions; i++) {
      const shared = { visitId: `v${i}`, startsAt: '2026-11-01T09:00:00.000Z', motionId: MOTION.id };
      past.push(
        { ...shared, side: 'left', moment: 'before', instrument: 'inclinometer', examinerId: 'e', value: read(60) },
        { ...shared, side: 'left', moment: 'after', instrument: 'inclinometer', examinerId: 'e', value: read(60 + session()) },
      );
      blocks.push({ ...shared, entryId: 'hamstring-heel-on-shoulder', methodId: 'cr-breath', sides: [{ side: 'left', rounds: 3 }] });
    }
    const truth = session();
    const start = read(60);
    const told = predictEdges(
      { ...MOTION, possible: { min: -1000, max: 1000 } },
      { start, error: { sem: SEM } },
      [1, 1, 1],
      responseOf(MOTION.id, past, blocks, NOTHING_KNOWN),
    ).at(-1)!;
    const next = read(60 + truth);
    if (told.reading.low <= next && next <= told.reading.high) reading += 1;
    if (told.gain.low <= truth && truth <= told.gain.high) gain += 1;
  }
  return { reading: reading / ATHLETES, gain: gain / ATHLETES };
}

test.each([0, 1, 2, 3, 5, 8, 12, 20])(
  'after %d sessions nine readings in ten, and nine true gains in ten, lie where it was said',
  (sessions) => {
    const { reading, gain } = covered(sessions, 100 + sessions);
    // Three standard errors of a share of 0.9 in three thousand.
    expect(Math.abs(reading - 0.9)).toBeLessThan(3 * Math.sqrt((0.9 * 0.1) / ATHLETES));
    expect(Math.abs(gain - 0.9)).toBeLessThan(3 * Math.sqrt((0.9 * 0.1) / ATHLETES));
  },
  60_000,
);
