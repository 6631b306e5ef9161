import type { Box } from './shapes.ts';
import type { Pt } from './space.ts';

/** What must be seen, with a margin, brought to a shape (width to height). */
export function fit(points: readonly Pt[], shape: number, margin: number): Box {
  let [x0, x1, y0, y1] = [Infinity, -Infinity, Infinity, -Infinity];
  for (const [x, y] of points) {
    if (x < x0) x0 = x;
    if (x > x1) x1 = x;
    if (y < y0) y0 = y;
    if (y > y1) y1 = y;
  }
  const pad = margin * Math.max(x1 - x0, (y1 - y0) * shape) + 1;
  const [w, h] = [x1 - x0 + 2 * pad, y1 - y0 + 2 * pad];
  const width = Math.max(w, h * shape);
  const height = width / shape;
  const r = (v: number) => Math.round(v * 10) / 10;
  return { x: r((x0 + x1 - width) / 2), y: r((y0 + y1 - height) / 2), width: r(width), height: r(height) };
}
