import type { Method } from './types.ts';
import { ACTIVE_ASSISTED, AGONIST_CONTRACT, GLIDE_CIRCUMDUCT, PIN_LENGTHEN } from './ways/active.ts';
import { CRAC, CR_BACKOFF, CR_BREATH, CR_FIRM, CR_LIGHT, PULSED } from './ways/contract.ts';
import { FOUR_WAY, INHIBIT_INTEGRATED } from './ways/settle.ts';
import { BRIEF_HOLD, POSITION_OF_COMFORT, SLACK_STRETCH, STATIC_HOLD } from './ways/holds.ts';
import { CONTINUOUS_MOTION, MOBILIZE_MOVEMENT, MOBILIZE_OSCILLATE, MOBILIZE_SUSTAINED } from './ways/joint.ts';
import { PUSH_ALONG, TRIAL_STAY } from './ways/led.ts';
import { BREATH_SINK, LINE_PRESS, POINT_HOLD } from './ways/pressure.ts';
import { SINK_CONTRACT, SINK_RELEASE, WAIT_LIGHTER } from './ways/sinking.ts';
import { CLEAR_STRIP, PRESS_STRIP, STROKE_ACTIVE } from './ways/stripping.ts';
import { ALTERNATE_COMFORT, COUNTER_RHYTHM, EACH_IN_TURN, HOUR_CIRCLES } from './ways/turnwise.ts';

/** Built-in ways of working, in the order they are shown. */
export const METHODS: readonly Method[] = [
  STATIC_HOLD,
  BRIEF_HOLD,
  CR_LIGHT,
  CR_BREATH,
  CR_FIRM,
  CR_BACKOFF,
  AGONIST_CONTRACT,
  CRAC,
  ACTIVE_ASSISTED,
  PULSED,
  INHIBIT_INTEGRATED,
  FOUR_WAY,
  POSITION_OF_COMFORT,
  PIN_LENGTHEN,
  POINT_HOLD,
  SLACK_STRETCH,
  MOBILIZE_OSCILLATE,
  MOBILIZE_SUSTAINED,
  MOBILIZE_MOVEMENT,
  CONTINUOUS_MOTION,
  BREATH_SINK,
  LINE_PRESS,
  GLIDE_CIRCUMDUCT,
  SINK_CONTRACT,
  SINK_RELEASE,
  WAIT_LIGHTER,
  STROKE_ACTIVE,
  PRESS_STRIP,
  CLEAR_STRIP,
  TRIAL_STAY,
  PUSH_ALONG,
  ALTERNATE_COMFORT,
  COUNTER_RHYTHM,
  HOUR_CIRCLES,
  EACH_IN_TURN,
];

export { CR_BREATH, MOBILIZE_OSCILLATE, STATIC_HOLD };

/**
 * The built-in way of working with this id, or undefined.
 * @example findMethod('cr-breath').name // → 'Breath-led contract-relax'
 */
export function findMethod(id: string): Method | undefined {
  return METHODS.find((method) => method.id === id);
}
