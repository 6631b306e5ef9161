import { JOINT_REGIONS, JOINTS, MOTIONS, motionOf, positionOn, REGIONS } from './index.ts';

test.each(MOTIONS)('$id: complete and consistent', (motion) => {
  const { possible, fan, rest, unit, sides, instruments, lengthens, landmarks, block, roundGain, better, lever } = motion;
  expect(possible.min).toBeLessThan(possible.max);
  expect(fan.min).toBeGreaterThanOrEqual(possible.min);
  expect(fan.max).toBeLessThanOrEqual(possible.max);
  expect(rest).toBeGreaterThanOrEqual(possible.min);
  expect(rest).toBeLessThanOrEqual(possible.max);
  expect(sides.length === 1 ? sides : [...sides]).toEqual(sides.length === 1 ? ['midline'] : ['left', 'right']);
  expect([unit, instruments.includes('tape')]).toEqual([unit, unit === 'cm']);
  if (lever) expect(unit).toBe('cm');
  for (const words of [landmarks, block, ...lengthens]) expect(words.length).toBeGreaterThan(3);
  expect(roundGain.every((gain, i) => gain > 0 && (i === 0 || gain <= roundGain[i - 1]!))).toBe(true);
  expect(['higher', 'lower']).toContain(better);
});

test('every joint of the list is measured, and has its regions', () => {
  for (const joint of JOINTS) {
    expect([joint, MOTIONS.some((motion) => motion.joint === joint)]).toEqual([joint, true]);
    expect(JOINT_REGIONS[joint].every((region) => REGIONS.some((each) => each.id === region))).toBe(true);
  }
});

test('distances the trade uses are there', () => {
  for (const id of ['knee-to-wall', 'fingertip-to-floor', 'heel-to-buttock', 'side-bend-slide', 'hands-behind-back-gap', 'fist-to-wall'])
    expect([id, motionOf(id).unit]).toEqual([id, 'cm']);
});

test('lying on a side, the measured one is up, or underneath where the motion says so', () => {
  const upper = motionOf('hip-adduction-side-straight');
  const lower = motionOf('shoulder-internal-rotation-lying');
  expect([positionOn(upper, 'left'), positionOn(upper, 'right')]).toEqual(['side-lying right', 'side-lying left']);
  expect([positionOn(lower, 'left'), positionOn(lower, 'right')]).toEqual(['side-lying left', 'side-lying right']);
  expect([positionOn(motionOf('hip-flexion'), 'left'), positionOn(motionOf('fingertip-to-floor'), 'midline')]).toEqual([
    'supine',
    'standing',
  ]);
});
