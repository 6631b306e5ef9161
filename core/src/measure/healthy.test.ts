import { MOTIONS } from '../body/index.ts';
import { seeded } from '../random/index.ts';
import { compareMotion, type ValueToday } from '../record/index.ts';
import { noReferenceBecause, referenceBands } from './index.ts';

const ON = '2026-11-25';
const random = seeded(20);
const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
/** Twenty motions with two sides that have a reference: what a thorough first visit reads. */
const TWENTY = MOTIONS.filter(
  (motion) => motion.sides.length === 2 && referenceBands(motion.id, { birthDate: '1996-01-01', referenceSex: 'male' }, ON).length > 0,
).slice(0, 20);

test.each(['male', 'female'] as const)('a healthy person (%s) over twenty motions comes out short on about one', (referenceSex) => {
  const PEOPLE = 3000;
  let short = 0;
  for (let i = 0; i < PEOPLE; i++) {
    for (const motion of TWENTY) {
      const [band] = referenceBands(motion.id, { birthDate: '1996-01-01', referenceSex }, ON);
      const sd = (band!.high - band!.low) / (2 * 1.96);
      // Left and right of one person are nearly alike; what the sources spread includes the error of measuring.
      const own = band!.middle + sd * normal();
      const today = motion.sides.map((side): ValueToday => ({
        motionId: motion.id,
        side,
        moment: 'before',
        instrument: motion.instruments[0],
        examinerId: null,
        value: own,
      }));
      const { sides } = compareMotion(motion, 'before', {
        person: { birthDate: '1996-01-01', referenceSex, sports: [] },
        onDay: ON,
        today,
        past: [],
      });
      if (sides.some((side) => side.reference?.kind === 'below')) short += 1;
    }
  }
  process.stdout.write(`  healthy ${referenceSex}: short on ${(short / PEOPLE).toFixed(2)} of ${TWENTY.length} motions\n`);
  expect(TWENTY).toHaveLength(20);
  expect(short / PEOPLE).toBeGreaterThan(0.2);
  expect(short / PEOPLE).toBeLessThan(1.4);
});

test('the limits of one person, not of a mean: Soucie’s interval of the mean becomes a spread', () => {
  const [band] = referenceBands('hip-extension-knee-straight', { birthDate: '2002-03-04', referenceSex: 'male' }, ON);
  // 17.4 (16.3 to 18.5) of about 100 people: SD 1.1 · √100 / 1.96 = 5.6.
  expect([band!.middle, band!.low, band!.high]).toEqual([17.4, 6.4, 28.4]);
});

/** Values and limits that were set right, from memory (docs/sources.md), and their sense. */
test.each([
  ['trunk-flexion', 60, 42],
  ['subtalar-inversion', 25, 13],
  ['subtalar-eversion', 8, 1],
  ['shoulder-flexion-active', 166, 150],
  ['shoulder-internal-rotation', 55, 37],
  ['ankle-dorsiflexion-active', 13, 4],
  ['neck-rotation-bent', 44, 32],
  ['neck-extension', 67, 46],
] as const)('%s: the middle is %d, short begins about %d', (motionId, middle, low) => {
  const [band] = referenceBands(motionId, { birthDate: '1996-01-01', referenceSex: 'male' }, ON);
  expect(band!.middle).toBe(middle);
  expect(Math.abs(band!.low - low)).toBeLessThanOrEqual(1.1);
});

test('women turn in more and open the knee further; under nine and over sixty-nine no reference fits, and it is said why', () => {
  const of = (motionId: string, referenceSex: 'female' | 'male', birthDate = '1996-01-01') =>
    referenceBands(motionId, { birthDate, referenceSex }, ON)[0];
  expect(of('hip-internal-rotation', 'female')!.middle).toBeGreaterThan(of('hip-internal-rotation', 'male')!.middle);
  expect([of('knee-extension-hip-90', 'female')!.middle, of('knee-extension-hip-90', 'male')!.middle]).toEqual([20, 29]);
  for (const birthDate of ['2019-01-01', '1950-01-01']) {
    expect(of('neck-rotation', 'male', birthDate)).toBeUndefined();
    expect(noReferenceBecause('neck-rotation', { birthDate, referenceSex: 'male' }, ON)).toBe('age');
  }
  expect(noReferenceBecause('scapula-upward-rotation', { birthDate: '1996-01-01', referenceSex: 'male' }, ON)).toBe('motion');
});

test('gravity does not tell how far something turned about the upright: no inclinometer alone is offered there', () => {
  const about = [
    'neck-rotation',
    'neck-side-bend-supine',
    'trunk-rotation',
    'hip-abduction',
    'hip-adduction',
    'shoulder-abduction',
    'subtalar-inversion',
    'subtalar-eversion',
    'forefoot-in',
    'forefoot-out',
    'wrist-radial-deviation',
    'wrist-ulnar-deviation',
  ];
  for (const motion of MOTIONS)
    if (about.includes(motion.id))
      expect([motion.id, motion.instruments.includes('inclinometer'), motion.instruments.includes('paired sensors')]).toEqual([
        motion.id,
        false,
        true,
      ]);
});
