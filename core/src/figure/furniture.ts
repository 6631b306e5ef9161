import { skinAt, type Body } from './body.ts';
import { onPage, type Camera } from './camera.ts';
import type { Box, Shape } from './shapes.ts';
import { circle, polygon, rect, roundRect } from './path.ts';
import type { Scene, Support } from './scene.ts';
import { times, plus, type Pt } from './space.ts';

/** What the body lies, sits or stands on, and what lies under it. */
export function furniture(scene: Scene, camera: Camera & { plan: boolean }, body: Body, box: Box, px: number, on: Support): Shape[] {
  const out: Shape[] = [];
  const edgeLine = Math.max(px * 0.8, 0.3);
  const place = (at: NonNullable<Scene['edge']>): Pt => onPage(camera, skinAt(body, at).point);
  const ending = scene.edge ? place(scene.edge)[0] : null;
  // Head and chest hang over the near end, legs over the far one.
  const headEnd = scene.edge !== undefined && /head|neck|chest/.test(scene.edge[0]);
  const from = headEnd ? ending! : null;
  const to = headEnd ? null : ending;
  if (on === 'table' && camera.plan) {
    // From above: the top with a seam.
    const upright = scene.posture === 'upright';
    const [x, y, w, h] = upright ? [-30, -44, 60, 66] : [-96, -36, to === null ? 206 : to + 96, 72];
    out.push({ d: roundRect(x, y, w, h, 5), fill: 'table', line: 'table-edge', width: edgeLine });
    out.push({ d: roundRect(x + 3, y + 3, w - 6, h - 6, 3), line: 'table-edge', width: edgeLine * 0.6 });
    if (scene.posture !== 'upright') {
      const head = onPage(camera, plus(body.bones.neck.a, body.bones.chest.frame.u, 19));
      out.push({ d: roundRect(head[0] - 12, head[1] - 15, 24, 30, 5), fill: 'cushion', line: 'table-edge', width: edgeLine });
    }
  } else if (on === 'table') {
    const y = scene.posture === 'upright' ? lowestUnder(camera, body) : tableLine(scene);
    const lying = scene.posture !== 'upright';
    const endView = scene.view === 'crown' || scene.view === 'feet' || scene.view === 'front' || scene.view === 'back';
    const [x0, x1] =
      endView && (!lying || scene.view === 'crown' || scene.view === 'feet')
        ? [-36, 36]
        : lying
          ? [from ?? -112, to ?? 122]
          : [-60, to ?? seatEnd(camera, body)];
    out.push({ d: roundRect(x0, y, x1 - x0, 4.4, 1.6), fill: 'table', line: 'table-edge', width: edgeLine });
    out.push({ d: rect(x0 + 2, y + 4.4, x1 - x0 - 4, 1.8), fill: 'table-edge' });
    for (const x of [x0 + 10, x1 - 13]) out.push({ d: rect(x, y + 6.2, 3, Math.max(30, box.y + box.height - y)), fill: 'leg' });
    if (scene.posture === 'supine' && scene.view === 'side' && !(scene.props ?? []).length) {
      const head = onPage(camera, plus(body.bones.head.a, body.bones.head.frame.u, 9));
      const back = head[1] + 9.6;
      if (y - back > 0.8)
        out.push({
          d: roundRect(head[0] - 13, Math.max(back - 1.6, y - 9), 25, Math.min(9, y - back + 1.6), 2),
          fill: 'cushion',
          line: 'table-edge',
          width: edgeLine,
        });
    }
  } else if (on === 'stool' || on === 'chair') {
    const y = lowestUnder(camera, body);
    const x = onPage(camera, body.bones.pelvis.b)[0];
    out.push({ d: roundRect(x - 17, y, 34, 4, 1.6), fill: 'table', line: 'table-edge', width: edgeLine });
    const floor = floorLine(camera, body);
    for (const leg of [x - 13, x + 10]) out.push({ d: rect(leg, y + 4, 3, floor - y - 4), fill: 'leg' });
    // A chair has a back, behind the one who sits on it.
    if (on === 'chair')
      out.push(
        { d: rect(x - 20, y - 44, 3, 44 + floor - y), fill: 'leg' },
        { d: roundRect(x - 21, y - 46, 5, 26, 2), fill: 'table', line: 'table-edge', width: edgeLine },
      );
    out.push({ d: rect(box.x, floor, box.width, Math.max(0.8, px * 1.4)), fill: 'table-edge' });
  } else if (on === 'floor' && !camera.plan) {
    const floor = scene.posture === 'upright' ? floorLine(camera, body) : Math.max(tableLine(scene), shouldersLine(camera, body));
    out.push({ d: rect(box.x - 1, floor, box.width + 2, Math.max(0.8, px * 1.4)), fill: 'table-edge' });
  }
  for (const prop of scene.props ?? []) {
    if (prop.kind === 'wall') {
      const x = place(prop.at)[0];
      out.push({
        d: prop.side === 'right' ? rect(x, box.y - 2, 3, box.height + 4) : rect(x - 3, box.y - 2, 3, box.height + 4),
        fill: 'leg',
      });
      continue;
    }
    const p = place(prop.under);
    if (prop.kind === 'ball' || prop.kind === 'roll' || prop.kind === 'bolster') {
      const r = prop.kind === 'ball' ? 4 : (prop.size ?? (prop.kind === 'roll' ? 4.5 : 8));
      out.push({
        d: circle([p[0], p[1] + r - 0.6], r),
        fill: 'cushion',
        line: 'table-edge',
        width: edgeLine,
      });
    } else if (prop.kind === 'top') {
      out.push({ d: roundRect(p[0] - 40, p[1], 74, 4, 1.4), fill: 'table', line: 'table-edge', width: edgeLine });
    } else if (prop.kind === 'basin') {
      out.push({
        d: polygon([
          [p[0] - 17, p[1] - 8],
          [p[0] + 19, p[1] - 8],
          [p[0] + 15, p[1] + 1.2],
          [p[0] - 13, p[1] + 1.2],
        ]),
        fill: 'cushion',
        line: 'table-edge',
        width: edgeLine,
      });
    } else {
      const size = prop.size ?? 22;
      out.push({
        d: roundRect(p[0] - size / 2, p[1] - 1.4, size, prop.kind === 'cushion' ? 8 : 6, 2.6),
        fill: 'cushion',
        line: 'table-edge',
        width: edgeLine,
      });
    }
  }
  return out;
}

/** Under the shoulders of a lying body whose pelvis is lifted: then they lie lower than it does. */
function shouldersLine(camera: Camera, body: Body): number {
  const [shoulders, pelvis] = [onPage(camera, body.bones.neck.a)[1], onPage(camera, body.bones.pelvis.b)[1]];
  return shoulders - pelvis > 8 ? shoulders + 11 : -Infinity;
}

/** The lowest of the soles. */
export function floorLine(camera: Camera, body: Body): number {
  let low = -Infinity;
  for (const side of ['foot', 'other.foot'] as const) {
    const foot = body.bones[side];
    for (const share of [0, 0.65]) {
      const sole = plus(plus(foot.a, foot.d, foot.length * share), foot.frame.u, -6.9);
      low = Math.max(low, onPage(camera, sole)[1]);
    }
  }
  // Kneeling: the knee, or the shin laid on the floor.
  for (const side of ['shank', 'other.shank'] as const)
    low = Math.max(low, onPage(camera, plus(body.bones[side].a, times([0, 1, 0], -5)))[1]);
  return low;
}

/** Under the seat of a sitting body. */
function lowestUnder(camera: Camera, body: Body): number {
  const pelvis = onPage(camera, plus(body.bones.pelvis.b, body.bones.pelvis.d, 11.4))[1];
  const thigh = Math.max(
    ...(['thigh', 'other.thigh'] as const).map((id) => onPage(camera, plus(body.bones[id].a, body.bones[id].d, 20))[1] + 9),
  );
  return Math.min(Math.max(pelvis, 9), Math.max(thigh, 9), 11.4);
}

/** Where the table's surface lies under a body seen from the side, y on the page. */
export function tableLine(scene: Scene): number {
  if (scene.posture === 'supine') return 11;
  if (scene.posture === 'prone') return 11.4;
  if (scene.posture === 'side-lying') return 18;
  return 10.5;
}

/** How far a table goes under somebody sitting on it: to the back of the knees, or under straight legs to the heels. */
function seatEnd(camera: Camera, body: Body): number {
  const [knee, ankle] = [onPage(camera, body.bones.thigh.b), onPage(camera, body.bones.shank.b)];
  return ankle[1] - knee[1] < 14 && ankle[0] > knee[0] ? ankle[0] + 14 : knee[0] - 9;
}
