import { readFileSync } from 'node:fs';
import { referenceBands } from '../measure/index.ts';
import { MOTIONS } from './index.ts';

const lines = readFileSync(new URL('../../../docs/motions.md', import.meta.url), 'utf8').split('\n');

test.each(MOTIONS)('$id stands in docs/motions.md with the source of its reference', (motion) => {
  const line = lines.find((each) => each.includes(`| ${motion.name} | ${motion.testPosition} |`));
  const [band] = referenceBands(motion.id, { birthDate: '1996-01-01', referenceSex: 'female' }, '2026-11-25');
  expect(line).toContain(`| ${band ? band.source.short : 'none'} |`);
});

test('at least seventy pairs of motion and position, distances among them, no name with one position twice', () => {
  expect(MOTIONS.length).toBeGreaterThanOrEqual(70);
  expect(MOTIONS.filter((motion) => motion.unit === 'cm').length).toBeGreaterThanOrEqual(6);
  expect(new Set(MOTIONS.map((motion) => `${motion.name}/${motion.testPosition}`)).size).toBe(MOTIONS.length);
});
