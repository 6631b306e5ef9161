import { compile, newBlock, SLOW_BREATH } from '@pace-bend/core/method';
import { layOutStair } from './stair.ts';
import { arcPath, pointAt, shareOfFan } from './fan.ts';

const line = compile([newBlock('b', 'rectus-femoris-prone', 'cr-breath', ['left', 'right'])], { breath: SLOW_BREATH, edgeOf: () => 4 });
const left = line.cues.filter((cue) => cue.side === 'left');
const size = { width: 800, height: 300 };

describe('stair', () => {
  const stair = layOutStair(left, 'higher', size);

  test('columns lie side by side from edge to edge', () => {
    let x = stair.left;
    for (const column of stair.columns) {
      expect(column.x).toBeCloseTo(x, 6);
      x += column.width;
    }
    expect(x).toBeCloseTo(stair.right, 6);
  });

  test('equal times are equally wide, and more range is higher up', () => {
    const width = (i: number) => stair.columns[i]!.width / (left[i]!.endMs - left[i]!.startMs);
    const timed = left.flatMap((cue, i) => (cue.open ? [] : [i]));
    for (const i of timed) expect(width(i)).toBeCloseTo(width(timed[0]!), 9);
    expect(stair.yAt(10)).toBeLessThan(stair.yAt(4));
  });

  test('says which values it shows, so that nothing is drawn at a rim it does not belong to', () => {
    expect([4, 9, 200, -50].map(stair.shows)).toEqual([true, true, false, false]);
  });

  test('where less is better a smaller value is higher up', () => {
    const gap = compile([newBlock('b', 'quadriceps-heel-to-buttock', 'cr-breath', ['left'])], { breath: SLOW_BREATH, edgeOf: () => 12 });
    const stair = layOutStair(gap.cues, 'lower', size);
    expect(stair.yAt(8)).toBeLessThan(stair.yAt(12));
  });

  test('the playhead moves forward with the line and leaves with the side', () => {
    const end = left.at(-1)!.endMs;
    let last = -Infinity;
    for (let ms = 0; ms <= end; ms += 500) {
      const x = stair.xAt(ms)!;
      expect(x).toBeGreaterThanOrEqual(last);
      last = x;
    }
    expect(last).toBeCloseTo(stair.right, 6);
    expect(stair.xAt(end + 1)).toBeNull();
  });
});

describe('fan', () => {
  const higher = { fan: { min: 0, max: 40 }, better: 'higher' as const };
  const lower = { fan: { min: 0, max: 40 }, better: 'lower' as const };

  test('more range lies farther out, and nothing leaves the fan', () => {
    expect([0, 20, 40, 99, -5].map((value) => shareOfFan(value, higher))).toEqual([0, 0.5, 1, 1, 0]);
    expect(shareOfFan(0, lower)).toBe(1);
  });

  test('left and right are mirror images', () => {
    const [lx, ly] = pointAt({ x: 0, y: 0, radius: 60, opens: -1 }, 0.7, 60);
    const [rx, ry] = pointAt({ x: 0, y: 0, radius: 60, opens: 1 }, 0.7, 60);
    expect([lx, ly]).toEqual([-rx, ry]);
    expect(arcPath({ x: 0, y: 0, radius: 60, opens: 1 }, 0, 1)).toMatch(/^M0 -60A60 60 0 0 1 /);
  });
});

test('a pressure is drawn from nothing up, not from below', () => {
  const { cues } = compile([newBlock('b', 'psoas-sink', 'breath-sink', ['left'])], { breath: SLOW_BREATH, edgeOf: () => null });
  const stair = layOutStair(cues, 'higher', { width: 640, height: 280, base: 0 });
  expect(Math.min(...stair.yTicks.map((tick) => tick.value))).toBe(0);
  expect(stair.yAt(0)).toBe(stair.floor);
});
