import { phaseFamily, phaseKind, type Cue, type PhaseFamily } from '@pace-bend/core/method';
import { t } from '../words/parts.ts';

/** The drawing of one side of one block: angle against time. Pure geometry, in pixels. */
export interface StairLayout {
  readonly columns: readonly StairColumn[];
  /** The limb's path along the top. */
  readonly path: string;
  readonly xTicks: readonly { readonly x: number; readonly label: string }[];
  readonly yTicks: readonly { readonly y: number; readonly value: number }[];
  readonly floor: number;
  readonly left: number;
  readonly right: number;
  readonly top: number;
  /** Place of a moment of the whole line, or null when it lies outside this side. */
  readonly xAt: (lineMs: number) => number | null;
  readonly yAt: (value: number) => number;
  /** Whether a value lies inside the drawing; outside, `yAt` stays at its rim. */
  readonly shows: (value: number) => boolean;
}

export interface StairColumn {
  readonly index: number;
  readonly family: PhaseFamily;
  readonly shape: string;
  readonly x: number;
  readonly width: number;
}

export interface StairSize {
  readonly width: number;
  readonly height: number;
  /** The least there can be: the drawing goes no further down. */
  readonly base?: number;
}

const MARGIN = { left: 46, right: 14, top: 18, bottom: 30 };
/** A line that stays at one angle is drawn flat, not blown up. */
const LEAST_SPAN = 5;
/** Cues that wait for the therapist have no length of their own; each is drawn this wide. */
const OPEN_WIDTH = 22;
/** Room for the label of a moment. */
const LABEL_WIDTH = 42;

/**
 * Lays a stair out. More range is up, whichever way the motion counts. The treads fill the upper part;
 * the way from rest to the first edge is cut off at the floor, where nothing is read off it anyway.
 */
export function layOutStair(
  cues: readonly Cue[],
  better: 'higher' | 'lower',
  size: StairSize,
  extraValues: readonly number[] = [],
): StairLayout {
  const left = MARGIN.left;
  const right = Math.max(left + 60, size.width - MARGIN.right);
  const top = MARGIN.top;
  const floor = size.height - MARGIN.bottom;
  // Treads are what counts; where no cue ever reaches the edge, what it reaches instead.
  const working = cues.filter((cue) => phaseFamily(phaseKind(cue.kind).family).outside !== true);
  const reaches = working.some((cue) => Math.abs(cue.to - cue.edge) < 1e-9);
  // So does every other place where the limb is kept or worked on: short of the edge, slack, part of the way.
  const kept = working.filter((cue) => phaseKind(cue.kind).family !== 'move' || cue.kind === 'lengthen').map((cue) => cue.to);
  const edges = [
    ...(reaches
      ? [...working.map((cue) => cue.edge), ...kept]
      : (working.length > 0 ? working : cues).flatMap((cue) => [cue.from, cue.to])),
    ...extraValues,
  ];
  const [least, most] = [Math.min(...edges), Math.max(...edges)];
  const span = Math.max(most - least, LEAST_SPAN);
  const [low, high] =
    better === 'higher'
      ? [Math.max(size.base ?? Number.NEGATIVE_INFINITY, least - span * 0.9), most + span * 0.18]
      : [most + span * 0.9, least - span * 0.18];
  const shareOf = (value: number) => (value - low) / (high - low);
  const shows = (value: number) => shareOf(value) >= 0 && shareOf(value) <= 1.05;
  const yAt = (value: number) => floor - (floor - top) * Math.min(1.05, Math.max(0, shareOf(value)));

  const open = cues.filter((cue) => cue.open).length;
  const timedMs = cues.reduce((sum, cue) => sum + (cue.open ? 0 : cue.endMs - cue.startMs), 0);
  const perMs = (right - left - open * OPEN_WIDTH) / Math.max(1, timedMs);
  let x = left;
  let path = '';
  const places: { cue: Cue; x0: number; x1: number }[] = [];
  const columns = cues.map((cue): StairColumn => {
    const x0 = x;
    const x1 = x0 + (cue.open ? OPEN_WIDTH : (cue.endMs - cue.startMs) * perMs);
    x = x1;
    const [y0, y1] = [yAt(cue.from), yAt(cue.to)];
    path += `${path === '' ? 'M' : 'L'}${px(x0)} ${px(y0)}L${px(x1)} ${px(y1)}`;
    places.push({ cue, x0, x1 });
    return {
      index: cue.index,
      family: phaseKind(cue.kind).family,
      shape: `M${px(x0)} ${px(floor)}L${px(x0)} ${px(y0)}L${px(x1)} ${px(y1)}L${px(x1)} ${px(floor)}Z`,
      x: x0,
      width: x1 - x0,
    };
  });

  return {
    columns,
    path,
    floor,
    left,
    right,
    top,
    yAt,
    shows,
    xTicks: timeTicks(places, perMs),
    yTicks: valueTicks(low, high, yAt),
    xAt: (lineMs) => placeOf(places, lineMs),
  };
}

function placeOf(places: readonly { cue: Cue; x0: number; x1: number }[], lineMs: number): number | null {
  const place =
    places.find(({ cue }) => lineMs >= cue.startMs && lineMs < cue.endMs) ??
    (lineMs === places.at(-1)?.cue.endMs ? places.at(-1) : undefined);
  if (!place) return null;
  const share = (lineMs - place.cue.startMs) / (place.cue.endMs - place.cue.startMs);
  return place.x0 + (place.x1 - place.x0) * share;
}

/** Seconds count from where the line stops waiting for the therapist. */
function timeTicks(places: readonly { cue: Cue; x0: number; x1: number }[], perMs: number) {
  const first = places.find(({ cue }) => !cue.open);
  const last = places.at(-1);
  if (!first || !last) return [];
  const totalS = (last.x1 - first.x0) / perMs / 1000;
  const stepS = [10, 20, 30, 60, 120, 300].find((step) => totalS / step <= 9 && step * 1000 * perMs >= LABEL_WIDTH) ?? 600;
  return Array.from({ length: Math.floor(totalS / stepS) + 1 }, (_, i) => ({
    x: first.x0 + i * stepS * 1000 * perMs,
    label: t('s', { what: i * stepS }),
  }));
}

function valueTicks(low: number, high: number, yAt: (value: number) => number) {
  const [least, most] = [Math.min(low, high), Math.max(low, high)];
  const step = [0.5, 1, 2, 4, 5, 10, 20].find((each) => (most - least) / each <= 6) ?? 50;
  const ticks = [];
  for (let value = Math.ceil(least / step) * step; value <= most; value += step)
    ticks.push({ value: Math.round(value * 10) / 10, y: yAt(value) });
  return ticks;
}

function px(value: number): number {
  return Math.round(value * 10) / 10;
}
