import { skinAt, type Body } from './body.ts';
import { onPage, type Camera } from './camera.ts';
import { placeHand, type HandPicture } from './hand.ts';
import { merged, positive } from './parts.ts';
import { closedCurve, openCurve, rect, shackle } from './path.ts';
import type { HandUse } from './scene.ts';
import type { Shape, Tone } from './shapes.ts';
import { dir2, dot, dot2, RAD, unit2, type Pt } from './space.ts';

/** Where a hand goes on the page. */
export function handOnPage(
  camera: Camera,
  body: Body,
  use: HandUse,
): { picture: HandPicture; behind: boolean; touch: Pt; seen: 'profile' | 'flat' } {
  const { point, normal } = skinAt(body, use.at);
  const touch = onPage(camera, point);
  const facing = dot(normal, camera.toward);
  const bone = body.bones[use.at[0]];
  const along = unit2(onPage(camera, bone.d));
  const n2 = unit2(onPage(camera, normal));
  const seen: 'profile' | 'flat' = Math.abs(facing) > 0.72 ? 'flat' : 'profile';
  const pointing =
    use.contact === 'fist' ||
    use.contact === 'knuckles' ||
    use.contact === 'thumb' ||
    use.contact === 'fingers' ||
    use.contact === 'stick' ||
    use.contact === 'elbow';
  let x: Pt;
  if (typeof use.to === 'number') x = dir2(-use.to);
  else if (seen === 'profile' && pointing && use.contact !== 'elbow') {
    // Into the body, leaning a little along the bone.
    const lean = use.to === 'up' ? -0.35 : use.to === 'down' ? 0.35 : 0;
    x = unit2([-n2[0] + along[0] * lean, -n2[1] + along[1] * lean]);
  } else {
    const sign = use.to === 'up' ? -1 : 1;
    const tangent: Pt = seen === 'profile' ? [-n2[1], n2[0]] : along;
    const k = dot2(tangent, along) >= 0 ? 1 : -1;
    x = [tangent[0] * k * sign, tangent[1] * k * sign];
  }
  // The back of the hand away from the body.
  const left: Pt = [x[1], -x[0]];
  let flip = seen === 'profile' ? dot2(left, n2) < 0 : use.turned === true;
  if (seen === 'profile' && pointing && use.contact !== 'elbow') flip = left[1] > 0 !== (use.turned === true);
  else if (seen === 'profile' && use.turned) flip = !flip;
  const picture = placeHand({
    touch,
    deg: Math.atan2(x[1], x[0]) / RAD,
    flip,
    contact: use.contact,
    seen,
    ...(use.arm === undefined ? {} : { arm: use.arm }),
    ...(use.from === undefined ? {} : { armDeg: -use.from }),
  });
  return { picture, behind: use.under === true || facing < -0.72, touch, seen };
}

/** The shapes of a hand: sleeve, forearm and palm, fingers; a lock on one that keeps its place. */
export function handShapes(picture: HandPicture, use: HandUse, line: number, px: number, full: boolean): Shape[] {
  const [tone, sleeve]: [Tone, Tone] = use.holds ? ['hand-hold', 'sleeve-hold'] : ['hand', 'sleeve'];
  const out: Shape[] = [];
  for (const layer of picture.layers) {
    // Fingers stand beside each other, each with its own outline.
    if (layer.length === 4)
      for (const ring of layer) out.push({ d: closedCurve(positive(ring)), fill: tone, line: 'hand-ink', width: line * 1.6 });
    else out.push({ d: merged(layer), fill: tone, line: 'hand-ink', width: line * 1.8 });
  }
  if (picture.sleeve) out.push({ d: closedCurve(positive(picture.sleeve)), fill: sleeve, line: 'hand-ink', width: line * 1.8 });
  if (full) for (const l of picture.lines) out.push({ d: openCurve(l), line: 'hand-ink', width: line * 0.7 });
  if (use.holds) {
    const s = Math.max(1.5, px * 5);
    const [x, y] = picture.lock;
    out.push({ d: rect(x - s, y - s * 0.2, 2 * s, s * 1.6), fill: 'lock' });
    out.push({ d: shackle(x, y - s * 0.2, s * 0.6, s * 0.5), line: 'lock', width: s * 0.36 });
  }
  return out;
}
