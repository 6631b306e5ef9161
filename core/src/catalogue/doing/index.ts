import { MOTION_FACETS } from '../../body/index.ts';
import type { Entry } from '../types.ts';
import { ARM_DOING } from './arm.ts';
import { NECK_POINTS_DOING } from './neckPoints.ts';
import { SHOULDER_POINTS_DOING } from './shoulderPoints.ts';
import { CHAIR_DOING } from './chair.ts';
import { ARM_LINES_DOING } from './armLines.ts';
import { BACK_WORK_DOING } from './backWork.ts';
import { HIP_WORK_DOING } from './hipWork.ts';
import { THIGH_WORK_DOING } from './thighWork.ts';
import { FOOT_SERIES_DOING } from './footSeries.ts';
import { AFTER_OPERATION_DOING } from './afterOperation.ts';
import { CLOSING_DOING } from './closing.ts';
import { FOOT_DOING } from './foot.ts';
import { HIP_DOING } from './hip.ts';
import { NECK_DOING } from './neck.ts';
import { SHOULDER_DOING } from './shoulder.ts';
import { THIGH_DOING } from './thigh.ts';
import { TRUNK_DOING } from './trunk.ts';
import type { Doing } from './types.ts';

export { PRESS_KINDS, type Doing, type Goes, type PressKind, type Squeezed } from './types.ts';

const ALL: Readonly<Record<string, Doing>> = {
  ...NECK_DOING,
  ...SHOULDER_DOING,
  ...ARM_DOING,
  ...TRUNK_DOING,
  ...HIP_DOING,
  ...THIGH_DOING,
  ...FOOT_DOING,
  ...CLOSING_DOING,
  ...NECK_POINTS_DOING,
  ...SHOULDER_POINTS_DOING,
  ...CHAIR_DOING,
  ...ARM_LINES_DOING,
  ...BACK_WORK_DOING,
  ...HIP_WORK_DOING,
  ...THIGH_WORK_DOING,
  ...FOOT_SERIES_DOING,
  ...AFTER_OPERATION_DOING,
};

/**
 * What an entry does to the body. A practice's own entry does what the one it was made from does, along the motions it names;
 * one made from nothing does what its motion does when it is measured, held where that is held.
 * @example doingOf(findEntry('leg-pull')).pulls // → 'hip'
 */
export function doingOf(entry: Pick<Entry, 'id' | 'drawnAs' | 'motionId' | 'regions'>): Doing {
  const known = ALL[entry.id] ?? (entry.drawnAs === undefined ? undefined : ALL[entry.drawnAs]);
  if (known) return known;
  const { held, regions } = MOTION_FACETS[entry.motionId]!;
  return { muscles: [], on: entry.regions ?? regions, ...(held ? { held } : {}) };
}
