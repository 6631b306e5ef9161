/**
 * The body's thickness: for every bone rows of [share of its length from the near end, front, back, outer, inner], centimetres from
 * the bone to the skin. A section is four quarter ellipses. Proportions of an adult, common practice.
 */
export type Row = readonly [number, number, number, number, number];

export const SECTIONS = {
  neck: [
    [0, 5.8, 6.2, 8.6, 8.6],
    [0.3, 5.5, 6, 6.3, 6.3],
    [0.6, 5.3, 6.1, 5.7, 5.7],
    [1, 5.3, 6.6, 5.7, 5.7],
  ],
  chest: [
    [0, 3.4, 5.4, 8, 8],
    [0.07, 5.6, 7.4, 11.6, 11.6],
    [0.14, 8, 9.2, 15, 15],
    [0.24, 10.3, 10.6, 16.7, 16.7],
    [0.38, 11.8, 11.4, 17, 17],
    [0.55, 12.4, 11.5, 16.2, 16.2],
    [0.8, 11.4, 10, 14.6, 14.6],
    [1, 10.6, 8.8, 13.6, 13.6],
  ],
  waist: [
    [0, 10.6, 8.8, 13.6, 13.6],
    [0.5, 10, 7.9, 12.9, 12.9],
    [1, 10, 8.3, 13.3, 13.3],
  ],
  pelvis: [
    [0, 10, 8.3, 13.3, 13.3],
    [0.4, 9.9, 10.8, 15.2, 15.2],
    [0.75, 9.1, 13.4, 16.8, 16.8],
    [1, 8.6, 14, 17, 17],
  ],
  thigh: [
    [0, 8.6, 14, 8.6, 7.8],
    [0.1, 9.5, 13, 9.2, 7.9],
    [0.22, 10, 10.4, 9.3, 7.9],
    [0.4, 9.7, 8.9, 8.8, 7.4],
    [0.6, 8.6, 7.9, 7.3, 6.3],
    [0.8, 6.9, 6.4, 5.9, 5.4],
    [0.92, 6.3, 5.4, 5.4, 5.4],
    [1, 6.4, 5.2, 5.4, 5.5],
  ],
  shank: [
    [0, 6.4, 5.2, 5.4, 5.5],
    [0.07, 5.5, 5.3, 5.2, 5.1],
    [0.15, 4.8, 6.2, 5.7, 5.4],
    [0.3, 4.5, 7.9, 6.2, 6],
    [0.42, 4.3, 7.5, 5.6, 5.6],
    [0.6, 3.9, 5.4, 4.4, 4.4],
    [0.8, 3.4, 3.8, 3.3, 3.3],
    [0.93, 3.3, 3.4, 3.1, 3.2],
    [1, 3.7, 3.8, 3.6, 3.8],
  ],
  upperArm: [
    [0, 5.4, 5.6, 5.2, 4.7],
    [0.14, 6, 6.1, 6, 4.9],
    [0.3, 5.5, 5.6, 5.5, 4.9],
    [0.5, 5.4, 5.3, 4.9, 4.7],
    [0.7, 4.9, 4.6, 4.3, 4.2],
    [0.88, 4, 4.2, 4, 3.9],
    [1, 3.8, 4.2, 4, 4.1],
  ],
  forearm: [
    [0, 3.8, 4.2, 4, 4.1],
    [0.14, 4.5, 4.2, 4.7, 4.4],
    [0.28, 4.6, 4.2, 4.8, 4.3],
    [0.5, 3.9, 3.7, 4, 3.7],
    [0.75, 3, 2.9, 3.1, 2.9],
    [0.92, 2.4, 2.4, 2.8, 2.7],
    [1, 2.4, 2.4, 2.9, 2.8],
  ],
  hand: [
    [0, 2.3, 2.3, 2.9, 2.9],
    [0.2, 2.6, 2, 4, 4.2],
    [0.48, 1.8, 1.6, 4.2, 4.2],
    [0.75, 1.1, 1.1, 3.6, 3.6],
    [1, 0.6, 0.6, 2, 2],
  ],
  foot: [
    [0, 1, 6.8, 3.4, 3.2],
    [0.35, 2, 6, 3.9, 3.5],
    [0.65, -1, 6.8, 4.9, 4.7],
    [0.8, -2.6, 6.8, 4.9, 4.9],
    [1, -4.5, 6.4, 3.2, 3.6],
  ],
  head: [
    [0, 9.4, 5.6, 6.2, 6.2],
    [0.3, 10.4, 9.4, 7.6, 7.6],
    [0.55, 9.6, 10.2, 7.8, 7.8],
    [0.8, 7.4, 8.6, 6.6, 6.6],
    [1, 1, 1, 1, 1],
  ],
} as const satisfies Readonly<Record<string, readonly Row[]>>;

export type SectionId = keyof typeof SECTIONS;

/**
 * Front, back, outer and inner thickness at a share of a bone's length: smooth between rows by a cubic Hermite curve with the
 * neighbours' slopes, so that contours have no corners. Centimetres.
 */
export function sectionAt(id: SectionId, share: number): readonly [number, number, number, number] {
  const rows: readonly Row[] = SECTIONS[id];
  let i = 0;
  while (i < rows.length - 2 && share > rows[i + 1]![0]) i++;
  const [a, b] = [rows[i]!, rows[i + 1]!];
  const h = b[0] - a[0];
  const t = Math.max(0, Math.min(1, (share - a[0]) / h));
  const [before, after] = [rows[i - 1], rows[i + 2]];
  const [t2, t3] = [t * t, t * t * t];
  const [h00, h10, h01, h11] = [2 * t3 - 3 * t2 + 1, t3 - 2 * t2 + t, 3 * t2 - 2 * t3, t3 - t2];
  const value = (c: 1 | 2 | 3 | 4): number => {
    const m0 = before ? ((b[c] - before[c]) / (b[0] - before[0])) * h : b[c] - a[c];
    const m1 = after ? ((after[c] - a[c]) / (after[0] - a[0])) * h : b[c] - a[c];
    return h00 * a[c] + h10 * m0 + h01 * b[c] + h11 * m1;
  };
  return [value(1), value(2), value(3), value(4)];
}

const TABLES = new Map<string, readonly (readonly [number, number, number, number])[]>();

/**
 * The sections at equal shares of a bone's length, from 0 to 1: they are the same in every picture, so they are reckoned once.
 */
export function sectionsOf(id: SectionId, samples: number): readonly (readonly [number, number, number, number])[] {
  const key = `${id}/${samples}`;
  const known = TABLES.get(key);
  if (known) return known;
  const made = Array.from({ length: samples + 1 }, (_, i) => sectionAt(id, i / samples));
  TABLES.set(key, made);
  return made;
}
