import { poseBody } from './body.ts';
import { cameraFor, onPage } from './camera.ts';
import { handOnPage, handShapes } from './hands.ts';
import { arrow, markShapes, MARK_WORDS, type Ink } from './marks.ts';
import type { MarkUse } from './scene.ts';
import type { Drawing, Shape } from './shapes.ts';
import type { Pt } from './space.ts';

export type MarkName = keyof typeof MARK_WORDS;
export const MARK_NAMES = Object.keys(MARK_WORDS) as readonly MarkName[];

/**
 * One mark alone, as it is drawn in pictures of a height in pixels: for the legend.
 */
export function markSample(name: MarkName, size: number): Drawing {
  const camera = cameraFor('supine', 'side');
  const body = poseBody({});
  const place = ['thigh', 0.5, 90] as const;
  const [x, y] = onPage(camera, body.bones.thigh.a);
  const centre: Pt = [x + (onPage(camera, body.bones.thigh.b)[0] - x) / 2, y];
  // What is set off from its place stands in the middle of its picture all the same.
  const up = name === 'rock' ? 14 : name === 'tap' ? 4 : 0;
  const box = { x: centre[0] - 17, y: centre[1] - 12 - up, width: 34, height: 24 };
  const px = box.height / size;
  const ink: Ink = { px, line: px * 1.4, mover: 'therapist', detail: 'hands' };
  const shapesOf = (mark: MarkUse): Shape[] =>
    markShapes({ posture: 'supine', view: 'side', joints: {}, marks: [mark] }, camera, body, [], null, ink);
  const path: Pt[] = Array.from({ length: 7 }, (_, i) => [centre[0] - 11 + i * 3.6, centre[1] + 5 - Math.sin((i / 6) * Math.PI) * 8]);
  const shapes = (): Shape[] => {
    switch (name) {
      case 'move':
        return arrow(path, 'move', px * 2.4);
      case 'own-move':
        return arrow(path, 'athlete', px * 2.4, { bars: true });
      case 'lock':
        return handShapes(
          handOnPage(camera, body, { contact: 'palm', at: place, holds: true, to: 0, arm: 4 }).picture,
          { contact: 'palm', at: place, holds: true },
          ink.line,
          px,
          false,
        );
      case 'press':
        return shapesOf({ kind: 'press', at: place, deg: 180 });
      case 'circle':
        return shapesOf({ kind: 'circle', at: place, radius: 7 });
      case 'rock':
        return shapesOf({ kind: 'rock', at: ['thigh', 0.5, 90], deg: 90, radius: 15 });
      case 'turn':
        return shapesOf({ kind: 'turn', at: place, from: 200, to: 20, radius: 8 });
      case 'points':
        return shapesOf({
          kind: 'points',
          at: [
            ['thigh', 0.3, 90],
            ['thigh', 0.5, 90],
            ['thigh', 0.7, 90],
          ],
        });
      case 'stroke':
        return shapesOf({
          kind: 'stroke',
          along: [
            ['thigh', 0.24, 90],
            ['thigh', 0.76, 90],
          ],
        });
      case 'glide':
        return shapesOf({ kind: 'glide', at: place, deg: 0 });
      case 'way':
        return shapesOf({ kind: 'way', at: place, deg: 0 });
      case 'towel':
        return shapesOf({ kind: 'towel', at: ['thigh', 0.2, 90], deg: 0 });
      case 'friction':
        return shapesOf({ kind: 'friction', at: place, deg: 90 });
      case 'scissor':
        return shapesOf({ kind: 'scissor', at: place, deg: 90 });
      case 'pull':
      case 'spread':
      case 'sink':
      case 'joint':
      case 'tap':
        return shapesOf(name === 'pull' ? { kind: 'pull', at: ['thigh', 0.3, 90], deg: 0 } : { kind: name, at: place });
    }
  };
  return { box, shapes: shapes() };
}
