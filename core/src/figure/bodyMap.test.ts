import { MUSCLES } from '../body/index.ts';
import { bodyMap, MAP_VIEWS, regionAt } from './bodyMap.ts';
import { flipPath } from './mirror.ts';
import { muscleAt } from './muscleAt.ts';
import { REGIONS } from './muscles.ts';
import { MARK_NAMES, markSample } from './markSample.ts';

test('every muscle can be pointed at from somewhere, on each side that has it', () => {
  const reached = new Map<string, Set<string | null>>();
  for (const view of MAP_VIEWS)
    for (const { id, side } of bodyMap(view, 460).regions) reached.set(id, (reached.get(id) ?? new Set()).add(side));
  expect(Object.keys(REGIONS).filter((id) => !reached.has(id))).toEqual([]);
  for (const id of ['hamstrings', 'soleus', 'upper-trapezius', 'piriformis'])
    expect([id, [...reached.get(id)!].sort()]).toEqual([id, ['left', 'right']]);
  expect([...reached.get('abdominals')!]).toEqual([null]);
});

test('sides are the athlete’s own: from the front the right is at the left of the page, from behind at the right', () => {
  const middle = (view: 'front' | 'back', id: string, side: string) =>
    bodyMap(view, 460).regions.find((each) => each.id === id && each.side === side)!.centre[0];
  expect(middle('front', 'rectus-femoris', 'right')).toBeLessThan(middle('front', 'rectus-femoris', 'left'));
  expect(middle('back', 'hamstrings', 'right')).toBeGreaterThan(middle('back', 'hamstrings', 'left'));
});

test('a view from the left is the mirror image of the one from the right', () => {
  const [left, right] = [bodyMap('left', 460), bodyMap('right', 460)];
  expect(left.regions.map(({ id }) => id)).toEqual(right.regions.map(({ id }) => id));
  expect(left.regions.map(({ d }) => flipPath(d, false))).toEqual(right.regions.map(({ d }) => flipPath(flipPath(d, false), false)));
});

test('what is small lies uppermost; a finger beside everything means the nearest, and far off nothing', () => {
  const { regions } = bodyMap('back', 460);
  for (let i = 1; i < regions.length; i++) expect(regions[i]!.area).toBeLessThanOrEqual(regions[i - 1]!.area);
  const piriformis = regions.find(({ id, side }) => id === 'piriformis' && side === 'right')!;
  const gluteus = regions.find(({ id, side }) => id === 'gluteus-maximus' && side === 'right')!;
  expect(regionAt(regions, piriformis.centre, (each) => each === piriformis || each === gluteus, 5)).toBe(piriformis);
  expect(regionAt(regions, piriformis.centre, () => false, 5)).toBe(piriformis);
  expect(regionAt(regions, [500, 500], () => false, 5)).toBeNull();
});

test('no two marks look alike, and each is inside its picture of the legend', () => {
  const seen = new Map<string, string>();
  for (const name of MARK_NAMES) {
    const { shapes, box } = markSample(name, 72);
    expect([name, shapes.length > 0]).toEqual([name, true]);
    // Told apart without colour: by outline, dashes and text alone.
    const shape = JSON.stringify(shapes.map(({ d, dash, text }) => [d, dash ?? null, text?.said ?? null]));
    expect([name, seen.get(shape) ?? 'unlike all']).toEqual([name, 'unlike all']);
    seen.set(shape, name);
    expect(box.width).toBeGreaterThan(0);
  }
});

test('a path mirrored twice is itself', () => {
  for (const { d } of bodyMap('front', 460).drawing.shapes.filter((shape) => shape.d !== '')) {
    const plain = flipPath(flipPath(d, false), false);
    expect(flipPath(flipPath(plain, true), true)).toBe(plain);
    expect(plain.replace(/\s/g, '')).toBe(d.replace(/\s/g, ''));
  }
});

test('no muscle is led round its limb: it is as wide on the left as on the right, and no wider than what it lies on', () => {
  for (const view of ['front', 'back'] as const) {
    const { regions } = bodyMap(view, 460);
    for (const region of regions.filter(({ side }) => side === 'right')) {
      const other = regions.find(({ id, side }) => id === region.id && side === 'left');
      expect([view, region.id, other?.area ?? 0]).toEqual([view, region.id, expect.closeTo(region.area, 1)]);
      expect([view, region.id, region.area < 600]).toEqual([view, region.id, true]);
    }
  }
});

test('every region of the map is some muscle’s', () => {
  for (const view of MAP_VIEWS)
    for (const { id } of bodyMap(view, 460).regions) expect(MUSCLES.map((muscle) => muscle.id)).toContain(muscleAt(id));
});
