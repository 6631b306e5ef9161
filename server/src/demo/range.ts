import { motionOf, type Motion } from '@pace-bend/core/body';
import { defaultSem } from '@pace-bend/core/measure';
import type { DemoMotion, DemoPerson } from './people.ts';
import type { SeededRandom } from './random.ts';

/** After about this many days without work two thirds of a kept gain are gone. */
const FADE_DAYS = 40;
/** Range that can be won over the lasting one, as a multiple of one visit's first gain. */
const ROOM = 2.2;

/**
 * A believable athlete's range over the weeks, one motion on one side. What is gained at a visit shrinks as
 * the range nears its ceiling; part of it is kept; what is kept fades; a set-back takes some away.
 * Everything in the motion's unit, positive is more range.
 */
export class DemoRange {
  readonly motion: Motion;
  private kept = 0;
  private day: number;

  constructor(
    demo: DemoMotion,
    private readonly sideIndex: 0 | 1,
    private readonly person: DemoPerson,
    private readonly treated: boolean,
    startDay: number,
  ) {
    this.motion = motionOf(demo.motionId);
    this.base = demo.base[sideIndex];
    this.day = startDay;
  }

  private readonly base: number;

  /** Days count upward to today, which is 0. */
  passTo(day: number): void {
    const setBack = this.person.setBack;
    this.kept *= Math.exp(-(day - this.day) / FADE_DAYS);
    if (this.treated && setBack && this.day < -setBack.daysAgo && day >= -setBack.daysAgo) this.kept -= setBack.loses * this.scale();
    this.day = day;
  }

  /** What a visit adds for the moment, and what of it stays. */
  treat(): number {
    if (!this.treated) return 0;
    const full = this.person.response.gain * this.scale();
    const acute = full * Math.max(0.15, 1 - this.kept / (full * ROOM));
    this.kept += acute * this.person.response.keeps;
    return acute;
  }

  value(plus = 0): number {
    const gained = this.kept + plus;
    return this.motion.better === 'higher' ? this.base + gained : this.base - gained;
  }

  /** Three trials as a goniometer or tape would read them. */
  trials(value: number, random: SeededRandom): number[] {
    const { sem } = defaultSem(this.motion, this.motion.instruments[0]);
    const offset = random.normal() * sem * 0.35;
    const step = this.motion.unit === 'deg' ? 1 : 0.5;
    const { min, max } = this.motion.possible;
    return [0, 1, 2].map(() => {
      const read = value + offset + random.normal() * sem * 0.3;
      return Math.min(max, Math.max(min, Math.round(read / step) * step));
    });
  }

  /** The second side in the list is the freer one and gains a little less; distances gain in centimetres. */
  private scale(): number {
    const perUnit = this.motion.unit === 'cm' ? 0.35 : 1;
    return perUnit * (this.sideIndex === 0 ? 1 : 0.7);
  }
}
