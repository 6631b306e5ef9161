import fc from 'fast-check';
import { arcMinutes, capHeightMm, FAR, farType } from './far.ts';

test('height and angle: a worked value, the small-angle rule of thumb, and back again', () => {
  // 16′ at 2.5 m: 2 · 2500 · tan(8′) = 11.636 mm; for small angles h ≈ d · minutes · 0.000291 (a radian has 3437.75′).
  expect(capHeightMm(16, 2.5)).toBeCloseTo(11.636, 3);
  expect(capHeightMm(10, 2.5)).toBeCloseTo(7.272, 3);
  fc.assert(
    fc.property(fc.double({ min: 1, max: 60, noNaN: true }), fc.double({ min: 0.3, max: 10, noNaN: true }), (minutes, metres) => {
      const mm = capHeightMm(minutes, metres);
      expect(Math.abs(mm - (metres * 1000 * minutes) / 3437.75)).toBeLessThan(mm * 1e-4);
      expect(arcMinutes(mm, metres)).toBeCloseTo(minutes, 6);
    }),
  );
});

test('on a screen of ten inches or more what is to be read is seen under the angle promised, however many pixels it calls itself', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 600, max: 2600 }),
      fc.integer({ min: 500, max: 1700 }),
      fc.double({ min: FAR.diagonalInches, max: 32, noNaN: true }),
      (width, height, inches) => {
        const capShare = 0.7;
        const { read, glance } = farType({ width, height }, capShare);
        const mmPerPx = (inches * 25.4) / Math.hypot(width, height);
        expect(arcMinutes(read * capShare * mmPerPx, FAR.metres)).toBeGreaterThanOrEqual(FAR.readMinutes - 1e-6);
        expect(arcMinutes(glance * capShare * mmPerPx, FAR.metres)).toBeGreaterThanOrEqual(FAR.glanceMinutes - 1e-6);
      },
    ),
  );
});
