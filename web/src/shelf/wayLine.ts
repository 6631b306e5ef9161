import { motionOf } from '@pace-bend/core/body';
import type { Entry } from '@pace-bend/core/catalogue';
import {
  axisOf,
  compile,
  doseOf,
  newBlock,
  sidesOf,
  SLOW_BREATH,
  type AxisUnit,
  type Cue,
  type Method,
  type Shelf,
  type SideDose,
} from '@pace-bend/core/method';

/** What a way of working does on one side of an entry, with its own defaults and a slow breath. */
export interface WayLine {
  readonly entryName: string;
  readonly cues: readonly Cue[];
  readonly better: 'higher' | 'lower';
  readonly unit: AxisUnit;
  readonly dose: SideDose;
}

/** Compiles a way of working on the first side of an entry it fits. Throws PlanProblem where it does not fit or a number is out of bounds. */
export function wayLine(method: Method, entry: Entry, shelf: Shelf): WayLine {
  const axis = axisOf(method, motionOf(entry.motionId));
  const [side] = sidesOf(entry);
  const { cues } = compile([newBlock('x', entry.id, method.id, [side!], shelf)], { breath: SLOW_BREATH, edgeOf: () => null, shelf });
  return { entryName: entry.name, cues, better: axis.better, unit: axis.unit, dose: doseOf({ cues })[0]! };
}
