import fc from 'fast-check';
import { mat4, quat, vec3 } from 'gl-matrix';
import { poseBody, reachOf, skinAt, type BoneId } from './body.ts';
import { cameraFor, onPage, POSTURES, VIEWS } from './camera.ts';
import { bodyParts } from './parts.ts';
import { SECTIONS, sectionAt, type SectionId } from './sections.ts';
import { flatBone, hull, withoutLoops } from './skin.ts';
import { area, crossings } from '../testing/rings.ts';
import { cross, dot, length, plus, times, unit, type Pt, type Vec } from './space.ts';

const deg = (low: number, high: number) => fc.double({ min: low, max: high, noNaN: true });
const lengthOf = (id: BoneId) => poseBody({}).bones[id].length;
// Shares of stature: Drillis R, Contini R (1966), Body Segment Parameters, as given in Winter, Biomechanics and Motor Control of Human
// Movement, figure 4.1; from memory.
test.each([
  ['thigh', 0.245],
  ['shank', 0.246],
  ['foot', 0.152],
  ['upperArm', 0.186],
  ['forearm', 0.146],
  ['hand', 0.108],
] as const)('published proportions: %s is %d of stature', (id, share) => {
  expect(lengthOf(id) / 175).toBeCloseTo(share, 3);
});

test('published proportions: standing, shoulders and crown are as high above the sole as the table says, within three per cent', () => {
  const { bones } = poseBody({});
  const sole = bones.shank.b[1] - 0.039 * 175;
  expect((bones.thigh.a[1] - sole) / 175).toBeCloseTo(0.53, 2);
  expect(Math.abs((bones.upperArm.a[1] - sole) / 175 - 0.818)).toBeLessThan(0.03);
  expect(Math.abs((bones.head.b[1] - sole) / 175 - 1)).toBeLessThan(0.03);
});

describe('kinematics, against a general library’s quaternions', () => {
  const axis = (name: 'x' | 'y' | 'z', degrees: number) =>
    quat.setAxisAngle(quat.create(), name === 'x' ? [1, 0, 0] : name === 'y' ? [0, 1, 0] : [0, 0, 1], (degrees * Math.PI) / 180);
  const product = (...all: quat[]) => all.reduce((a, b) => quat.multiply(quat.create(), a, b));
  const turned = (q: quat, v: Vec) => [...vec3.transformQuat(vec3.create(), [...v], q)];
  const close = (a: readonly number[], b: readonly number[]) => a.forEach((value, i) => expect(value).toBeCloseTo(b[i]!, 4));

  test('hip and knee: flexion, abduction, turning, in this order, on both sides', () => {
    fc.assert(
      fc.property(deg(-30, 130), deg(-30, 60), deg(-60, 60), deg(0, 150), (hip, out, turn, knee) => {
        const { bones } = poseBody({
          hip,
          hipOut: out,
          hipIn: turn,
          knee,
          'other.hip': hip,
          'other.hipOut': out,
          'other.hipIn': turn,
          'other.knee': knee,
        });
        const q = product(axis('x', -hip), axis('z', -out), axis('y', turn));
        close(bones.thigh.d, turned(q, [0, -1, 0]));
        close(bones.shank.d, turned(product(q, axis('x', knee)), [0, -1, 0]));
        // The other leg is its mirror image.
        close(bones['other.thigh'].d, [-bones.thigh.d[0], bones.thigh.d[1], bones.thigh.d[2]]);
        close(bones['other.shank'].b, [-bones.shank.b[0], bones.shank.b[1], bones.shank.b[2]]);
      }),
    );
  });

  test('the spine carries what hangs on it: head and hands turn with the trunk', () => {
    fc.assert(
      fc.property(deg(-30, 90), deg(-40, 40), deg(-60, 60), (bend, side, twist) => {
        const { bones } = poseBody({ bend, side, twist });
        const half = product(axis('x', bend / 2), axis('z', side / 2), axis('y', -twist / 2));
        const chest = product(half, half);
        close(bones.chest.frame.u, turned(chest, [0, 1, 0]));
        close(bones.chest.front, turned(chest, [0, 0, 1]));
        close(plus(bones.upperArm.a, bones['other.upperArm'].a, -1), turned(chest, [-34.6, 0, 0]));
      }),
    );
  });

  test('whatever the angles, bones keep their length and frames stay square', () => {
    const rest = poseBody({});
    fc.assert(
      fc.property(deg(-60, 60), deg(0, 180), deg(-90, 130), deg(-90, 90), deg(0, 150), (twist, sh, plane, shIn, elbow) => {
        const { bones } = poseBody({ twist, sh, plane, shIn, elbow, neckTurn: twist, hip: sh / 2, ankle: plane / 5 });
        for (const id of Object.keys(bones) as BoneId[]) {
          const bone = bones[id];
          expect(length(plus(bone.b, bone.a, -1))).toBeCloseTo(rest.bones[id].length, 6);
          expect(Math.abs(dot(bone.front, bone.outer))).toBeLessThan(1e-6);
          expect(length(plus(cross(bone.frame.l, bone.frame.u), bone.frame.f, -1))).toBeLessThan(1e-6);
        }
      }),
    );
  });

  test('a camera is a rotation, with or without a mirror: distances across it are kept', () => {
    for (const posture of POSTURES)
      for (const view of VIEWS) {
        const { right, up, toward, flip } = cameraFor(posture, view);
        const turn = mat4.fromValues(...right, 0, ...up, 0, ...toward, 0, 0, 0, 0, 1);
        expect(mat4.determinant(turn)).toBeCloseTo(flip ? -1 : 1, 9);
      }
  });
});

test('a contour is where the section reaches furthest across: against going round the section', () => {
  const ids = (Object.keys(SECTIONS) as SectionId[]).filter((id) => id !== 'foot');
  fc.assert(
    fc.property(fc.constantFrom(...ids), deg(0, 1), deg(0, 360), (id, share, around) => {
      const bone = { ...poseBody({}).bones.thigh, section: id };
      const way = (around * Math.PI) / 180;
      const direction = unit(plus(times(bone.front, Math.cos(way)), bone.outer, Math.sin(way)));
      const [front, back, outer, inner] = sectionAt(id, share);
      let most = 0;
      for (let i = 0; i < 7200; i++) {
        const t = (i * Math.PI) / 3600;
        const [x, y] = [Math.cos(t) * (Math.cos(t) >= 0 ? front : back), Math.sin(t) * (Math.sin(t) >= 0 ? outer : inner)];
        most = Math.max(most, x * dot(direction, bone.front) + y * dot(direction, bone.outer));
      }
      expect(reachOf(bone, share, direction).reach).toBeCloseTo(most, 3);
    }),
    { numRuns: 60 },
  );
});

test('skin lies where the contour is: a place on the edge of a limb is on its outline', () => {
  const camera = cameraFor('supine', 'side');
  const { bones } = poseBody({ hip: 40, knee: 30 });
  const { sides } = flatBone(camera, bones.thigh, 20);
  for (const [around, share] of [
    [0, 0.5],
    [180, 0.5],
    [0, 0.8],
  ] as const) {
    const p = onPage(camera, skinAt(poseBody({ hip: 40, knee: 30 }), ['thigh', share, around]).point);
    const nearest = Math.min(...sides.flat().map((q) => Math.hypot(p[0] - q[0], p[1] - q[1])));
    expect(nearest).toBeLessThan(1);
  }
});

const ringAt = (joints: Parameters<typeof poseBody>[0]) => {
  const parts = bodyParts(cameraFor('supine', 'side'), poseBody(joints), {
    samples: 11,
    table: null,
    plain: false,
    lateral: true,
    legs: true,
    body: true,
  });
  return { leg: parts.trunk[0]!.ring, arm: parts.arm('worked').rings[0]! };
};

test('one outline over hip and knee at every angle they reach: closed, without crossing itself, and as large as at rest within a tenth', () => {
  const rest = Math.abs(area(ringAt({}).leg));
  const bad: string[] = [];
  for (let hip = -30; hip <= 130; hip += 10)
    for (let knee = 0; knee <= 145; knee += 5) {
      const ring = ringAt({ hip, knee }).leg;
      const share = Math.abs(area(ring)) / rest;
      // Folded hard, thigh lies on belly and calf on thigh: flesh meets flesh, and less of it is seen.
      const folded = hip > 100 || knee > 115;
      if (crossings(ring) > 0 || share > 1.1 || share < (folded ? 0.78 : 0.9))
        bad.push(`hip ${hip} knee ${knee}: ${crossings(ring)} crossings, ${share.toFixed(3)}`);
    }
  expect(bad).toEqual([]);
});

test('one outline over the elbow at every angle it reaches', () => {
  const rest = Math.abs(area(ringAt({ sh: 60, plane: 90, pron: -90 }).arm));
  const bad: string[] = [];
  for (let elbow = 0; elbow <= 150; elbow += 5) {
    const ring = ringAt({ sh: 60, plane: 90, elbow, pron: -90 }).arm;
    const share = Math.abs(area(ring)) / rest;
    if (crossings(ring) > 0 || share > 1.1 || share < (elbow > 120 ? 0.8 : 0.9))
      bad.push(`elbow ${elbow}: ${crossings(ring)} crossings, ${share.toFixed(3)}`);
  }
  expect(bad).toEqual([]);
});

test('a loop is cut off where a line crosses itself, and nothing else', () => {
  const square: Pt[] = [
    [0, 0],
    [10, 0],
    [10, 10],
    [0, 10],
  ];
  expect(withoutLoops(square)).toEqual(square);
  const looped = withoutLoops([
    [0, 0],
    [10, 0],
    [10, 6],
    [12, 7],
    [12, 5],
    [9, 7],
    [10, 10],
    [0, 10],
  ]);
  expect(crossings(looped)).toBe(0);
  expect(Math.abs(area(looped))).toBeGreaterThan(90);
  expect(Math.abs(area(looped))).toBeLessThan(101);
});

test('a hull holds every point and turns one way only', () => {
  fc.assert(
    fc.property(fc.array(fc.tuple(deg(-50, 50), deg(-50, 50)), { minLength: 3, maxLength: 40 }), (points) => {
      const ring = hull(points);
      const side = (p: Pt, q: Pt, r: Pt) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
      ring.forEach((p, i) => {
        const q = ring[(i + 1) % ring.length]!;
        for (const r of points) expect(side(p, q, r)).toBeGreaterThan(-1e-6);
      });
    }),
  );
});
