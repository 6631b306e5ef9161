import { poseBody } from './body.ts';
import { cameraFor } from './camera.ts';
import { drawScene } from './draw.ts';
import { closedCurve } from './path.ts';
import { REGIONS, type RegionId } from './muscles.ts';
import { regionOnPage } from './region.ts';
import type { Scene } from './scene.ts';
import type { Drawing } from './shapes.ts';
import { cross2, type Pt } from './space.ts';

/** The sides a body is looked at from to point at a place on it. */
export const MAP_VIEWS = ['front', 'back', 'right', 'left', 'sole', 'hand'] as const;
export type MapView = (typeof MAP_VIEWS)[number];

const ARMS = { sh: 26, plane: 0, elbow: 4, pron: -80 } as const;
const OPEN = { ...ARMS, 'other.sh': 26, 'other.plane': 0, 'other.elbow': 4, 'other.pron': -80, hipOut: 7, 'other.hipOut': 7 } as const;

const VIEWED: Readonly<Record<MapView, Scene>> = {
  front: { posture: 'upright', view: 'front', joints: OPEN, on: 'none' },
  back: { posture: 'upright', view: 'back', joints: OPEN, on: 'none' },
  right: {
    posture: 'upright',
    view: 'side',
    joints: { sh: 62, plane: 90, elbow: 12, pron: 0, ankle: 0 },
    on: 'none',
    without: ['other arm', 'other leg'],
  },
  left: {
    posture: 'upright',
    view: 'side',
    joints: { sh: 62, plane: 90, elbow: 12, pron: 0, ankle: 0 },
    on: 'none',
    without: ['other arm', 'other leg'],
  },
  sole: { posture: 'supine', view: 'feet', joints: {}, on: 'none', frame: ['foot', 'other.foot'], without: ['body', 'arm', 'other arm'] },
  hand: { posture: 'upright', view: 'front', joints: { ...OPEN, sh: 60, 'other.sh': 60 }, on: 'none', frame: ['forearm', 'hand'] },
};

export interface MapRegion {
  readonly id: RegionId;
  /** The athlete's side; null in the middle. */
  readonly side: 'left' | 'right' | null;
  readonly d: string;
  readonly centre: Pt;
  readonly words: string;
  readonly deep: boolean;
  /** Square centimetres on the page. */
  readonly area: number;
}

export interface BodyMap {
  readonly drawing: Drawing;
  readonly regions: readonly MapRegion[];
}

/** Muscles that lie in the middle have one place, not two. */
const MIDDLE: ReadonlySet<RegionId> = new Set(['abdominals', 'belly']);

/**
 * The body from one side with every muscle that can be seen or felt from there, as outlines to point at: the larger first, so that a
 * small one lies uppermost and can be touched wherever it is. Sides are the athlete's own.
 */
export function bodyMap(view: MapView, size: number): BodyMap {
  const scene = VIEWED[view];
  const side = view === 'left' ? ('left' as const) : view === 'right' ? ('right' as const) : undefined;
  const drawing = drawScene(scene, { size, shape: view === 'sole' || view === 'hand' ? 1.2 : 0.62, ...(side ? { side } : {}) });
  const camera = cameraFor(scene.posture, scene.view);
  const body = poseBody(scene.joints);
  const flip = side === 'left' ? -1 : 1;
  const one = view === 'right' || view === 'left' || view === 'hand';
  const regions: MapRegion[] = [];
  for (const id of Object.keys(REGIONS) as RegionId[]) {
    for (const other of one || MIDDLE.has(id) ? [false] : [false, true]) {
      const { ring, facing } = regionOnPage(camera, body, id, other);
      // The top of the foot is seen along its surface from the front, and from nowhere better.
      if (facing < (id === 'instep' && view === 'front' ? -0.2 : 0.25)) continue;
      const points = ring.map(([x, y]): Pt => [x * flip, y]);
      const { box } = drawing;
      const centre: Pt = [
        points.reduce((sum, p) => sum + p[0], 0) / points.length,
        points.reduce((sum, p) => sum + p[1], 0) / points.length,
      ];
      if (centre[0] < box.x || centre[0] > box.x + box.width || centre[1] < box.y || centre[1] > box.y + box.height) continue;
      const worked = side ?? 'right';
      const own = other ? 'left' : worked;
      const { words, deep } = { deep: false, ...REGIONS[id] } as { words: string; deep: boolean };
      regions.push({ id, side: MIDDLE.has(id) ? null : own, d: closedCurve(points), centre, words, deep, area: areaOf(points) });
    }
  }
  return { drawing, regions: regions.sort((a, b) => b.area - a.area) };
}

const areaOf = (points: readonly Pt[]): number =>
  Math.abs(points.reduce((sum, p, i) => sum + cross2(p, points[(i + 1) % points.length]!), 0)) / 2;

/**
 * The region that is meant by a point: the uppermost one it lies in, else the nearest within a reach, centimetres.
 */
export function regionAt(regions: readonly MapRegion[], p: Pt, inRegion: (region: MapRegion) => boolean, reach: number): MapRegion | null {
  const hit = regions.filter(inRegion).at(-1);
  if (hit) return hit;
  let best: MapRegion | null = null;
  let least = reach;
  for (const region of regions) {
    const far = Math.hypot(region.centre[0] - p[0], region.centre[1] - p[1]);
    if (far < least) [best, least] = [region, far];
  }
  return best;
}
