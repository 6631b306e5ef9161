import { poseBody, skinAt } from './body.ts';
import { cameraFor, onPage } from './camera.ts';
import { CONTACTS, ownHand, placeHand, tube } from './hand.ts';
import { handOnPage } from './hands.ts';
import { inside } from '../testing/rings.ts';
import { less, norm2, type Pt } from './space.ts';

const nearest = (p: Pt, rings: readonly (readonly Pt[])[]): number => Math.min(...rings.flat().map((q) => norm2(less(p, q))));
describe.each(CONTACTS)('%s', (contact) => {
  test.each([0, 70, 180, 250])('laid along %d°, it is where it touches, whichever way it is turned and looked at', (deg) => {
    for (const seen of ['profile', 'flat'] as const)
      for (const flip of [false, true]) {
        const { layers, lock } = placeHand({ touch: [10, -20], deg, flip, contact, seen });
        const rings = layers.flat();
        expect(rings.length).toBeGreaterThan(0);
        for (const ring of rings) for (const p of ring) expect(Number.isFinite(p[0]) && Number.isFinite(p[1])).toBe(true);
        const touches = rings.some((ring) => inside([10, -20], ring)) || nearest([10, -20], rings) < 1.6;
        expect([contact, seen, flip, touches]).toEqual([contact, seen, flip, true]);
        expect(Number.isFinite(lock[0])).toBe(true);
      }
  });

  test('from the side it lies on the skin and not in the limb: most of it outside', () => {
    const camera = cameraFor('supine', 'side');
    const body = poseBody({});
    for (const around of [0, 180]) {
      const { picture, seen } = handOnPage(camera, body, { contact, at: ['thigh', 0.5, around] });
      expect(seen).toBe('profile');
      const { point, normal } = skinAt(body, ['thigh', 0.5, around]);
      const [skin, out] = [onPage(camera, point), onPage(camera, normal)];
      const points = picture.layers.flat(2);
      const outside = points.filter((p) => (p[0] - skin[0]) * out[0] + (p[1] - skin[1]) * out[1] > -1.2);
      expect([contact, around, outside.length / points.length > 0.6]).toEqual([contact, around, true]);
    }
  });
});

test('a finger is a closed tube as wide as it is said to be', () => {
  const ring = tube(
    [
      [0, 0],
      [10, 0],
    ],
    [1, 0.5],
  );
  expect(Math.max(...ring.map(([x]) => x))).toBeCloseTo(10.5, 1);
  expect(Math.min(...ring.map(([x]) => x))).toBeCloseTo(-1, 1);
  expect(Math.max(...ring.map(([, y]) => Math.abs(y)))).toBeCloseTo(1, 6);
});

test('the athlete’s own hand: flat from its palm, an edge from its thumb, a fist end on; both hands mirror each other', () => {
  const body = poseBody({ pron: -90, 'other.pron': -90 });
  const front = cameraFor('upright', 'front');
  const width = (rings: readonly (readonly Pt[])[], axis: 0 | 1) => {
    const values = rings.flat().map((p) => p[axis]);
    return Math.max(...values) - Math.min(...values);
  };
  const flat = ownHand(front, body, 'worked', false).flat();
  const edge = ownHand(cameraFor('upright', 'side'), body, 'worked', false).flat();
  expect(width(flat, 0)).toBeGreaterThan(width(edge, 0) * 1.3);
  const end = ownHand(front, poseBody({ sh: 90, plane: 90, pron: 90 }), 'worked', false).flat();
  expect(width(end, 0)).toBeLessThan(12);
  const other = ownHand(front, body, 'other', false).flat();
  const mirrored = other.map((ring) => ring.map(([x, y]): Pt => [-x, y]));
  flat.forEach((ring, i) => ring.forEach((p, j) => expect(norm2(less(p, mirrored[i]![j]!))).toBeLessThan(1e-6)));
});
