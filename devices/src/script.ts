import type { ScriptStep } from '@pace-bend/core/device';
import type { Limb } from './limb.ts';

const MOST_STEPS = 200;
const LONGEST_S = 120;

/** What is wrong with a script, in words, or null. */
export function scriptProblem(steps: unknown): string | null {
  if (!Array.isArray(steps) || steps.length > MOST_STEPS) return `A script is a list of at most ${MOST_STEPS} steps.`;
  const number = (value: unknown, min: number, max: number) => typeof value === 'number' && value >= min && value <= max;
  const seconds = (value: unknown) => value === undefined || number(value, 0, LONGEST_S);
  for (const [i, step] of (steps as Record<string, unknown>[]).entries()) {
    const fits =
      step &&
      {
        move: () => number(step.to, -180, 180) && seconds(step.seconds),
        hold: () => number(step.seconds, 0, LONGEST_S),
        drift: () => ['x', 'y', 'z'].includes(step.axis as string) && number(step.deg, -90, 90) && seconds(step.seconds),
        plane: () => ['x', 'y', 'z'].includes(step.axis as string),
        edge: () => number(step.deg, -180, 180),
        drop: () => number(step.seconds, 0, 30),
        press: () => number(step.pct, 0, 100) && number(step.seconds, 0, LONGEST_S) && (step.to === undefined || number(step.to, 0, 100)),
        button: () => true,
      }[step.do as ScriptStep['do']]?.();
    if (!fits) return `Step ${i + 1} cannot be read.`;
  }
  return null;
}

/** Plays a script on a limb, a step at a time. */
export class Player {
  private steps: ScriptStep[] = [];
  private leftS = 0;
  private waiting = false;
  /** A press that fades, or grows, while it goes on. */
  private fading: { readonly from: number; readonly to: number; readonly seconds: number } | null = null;
  /** Set for one sample when the button is pressed. */
  button = false;

  constructor(
    private readonly limb: Limb,
    private readonly drop: (seconds: number) => void,
  ) {}

  /** Begins another script; what was left of the last one is dropped. */
  play(steps: readonly ScriptStep[]): void {
    this.steps = [...steps];
    this.leftS = 0;
    this.waiting = false;
    this.fading = null;
    this.limb.press(0);
  }

  get idle(): boolean {
    return this.steps.length === 0 && this.leftS <= 0 && !this.waiting;
  }

  tick(seconds: number): void {
    this.button = false;
    if (this.leftS > 0) {
      this.leftS -= seconds;
      if (this.leftS <= 0) {
        this.fading = null;
        this.limb.press(0);
      } else if (this.fading) {
        const { from, to, seconds: length } = this.fading;
        this.limb.press(to + ((from - to) * this.leftS) / length);
      }
      return;
    }
    if (this.waiting && !this.limb.arrived) return;
    this.waiting = false;
    const step = this.steps.shift();
    if (!step) return;
    switch (step.do) {
      case 'move':
        this.limb.moveTo(step.to, step.seconds);
        this.waiting = true;
        return;
      case 'drift':
        this.limb.driftTo(step.axis, step.deg, step.seconds);
        this.waiting = true;
        return;
      case 'hold':
        this.leftS = step.seconds;
        return;
      case 'press':
        this.limb.press(step.pct);
        this.leftS = step.seconds;
        this.fading = step.to === undefined ? null : { from: step.pct, to: step.to, seconds: step.seconds };
        return;
      case 'plane':
        this.limb.plane = step.axis;
        return;
      case 'edge':
        this.limb.traits = { ...this.limb.traits, edge: step.deg };
        return;
      case 'button':
        this.button = true;
        return;
      case 'drop':
        this.drop(step.seconds);
    }
  }
}
