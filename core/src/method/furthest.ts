import type { Axis } from './axis.ts';
import type { Limits } from './types.ts';

/** A way shorter than this part of the usual one counts as this long where a share of it is taken off. Common practice. */
const SHORT_WAY = 0.25;

/** What a way goes along, and the edge it began with: read, or only where the drawing begins. */
interface Begun {
  readonly axis: Axis;
  readonly todayEdge: number;
  readonly isMeasured: boolean;
}

/**
 * Where cautions end the way, in the axis's unit; null where nothing does. Of pressure: the ceiling of discomfort, because pressure is counted as
 * it is felt. Of a limb: the nearer of the written cap and the share of the way from rest to today's edge. A share takes off at least what it
 * takes off a short way, so that it still holds where the edge lies at or before rest; of an edge that was not read there is no share, and the
 * limb stays at rest.
 */
export function furthestAllowed(limits: Limits | undefined, { axis, todayEdge, isMeasured }: Begun, ceiling: number): number | null {
  const { cap = null, edgeShare = null, painCeiling = null } = limits ?? {};
  if (axis.unit === 'of10') return Math.min(ceiling, painCeiling ?? axis.possible.max);
  const shared = edgeShare === null || edgeShare >= 1 ? null : isMeasured ? sharedEdge(edgeShare, axis, todayEdge) : axis.rest;
  if (cap === null || shared === null) return cap ?? shared;
  return axis.better === 'higher' ? Math.min(cap, shared) : Math.max(cap, shared);
}

function sharedEdge(share: number, { rest, fan, better }: Axis, todayEdge: number): number {
  const toward = better === 'higher' ? 1 : -1;
  const travel = Math.max(toward * (todayEdge - rest), SHORT_WAY * (fan.max - fan.min));
  return Math.round((todayEdge - toward * (1 - share) * travel) * 10) / 10;
}
