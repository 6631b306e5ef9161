import { about, AXES, multiply, type Axis, type Quaternion } from '@pace-bend/core/device';

/** What can be set about the simulated athlete. Degrees, newtons. */
export interface LimbTraits {
  /** First firm resistance. */
  readonly edge: number;
  /** How fast resistance rises past the edge: degrees for which it doubles. */
  readonly give: number;
  /** How quickly a hand that comes too fast is answered with bracing; 0 never. */
  readonly guarding: number;
  /** Spread of one sample. */
  readonly noise: number;
  /** Slow wandering of the sensors against each other, degrees a minute. */
  readonly sensorDrift: number;
  /** Strongest press. */
  readonly strengthN: number;
}

export const USUAL_LIMB: LimbTraits = { edge: 75, give: 2.5, guarding: 0.6, noise: 0.12, sensorDrift: 0.4, strengthN: 240 };

/** The hand takes a limb along at this speed unless it is told how long to take, degrees a second. */
const HAND_SPEED = 45;
/** Past this speed near the edge an athlete braces. */
const STARTLING_SPEED = 60;
/** How far past the edge a hand gets without force. */
const PAST_EDGE = 2;

/**
 * One joint of an invented athlete, moved by a hand.
 *
 * The hand wants to be at a target and moves toward it at a speed. Up to the edge the limb follows. Past it tissue resists, rising
 * with `give`, so the hand comes to rest about two degrees past the edge and creeps a little further while it holds. A hand that
 * arrives fast is answered with guarding: the limb is pulled back some degrees, and lets go over two seconds. All of it is told as two
 * orientations: the still segment lies in the room as it happens to lie, the moving one is turned in the motion's plane, drifts out of it
 * as told, and both sensors have noise and drift.
 */
export class Limb {
  private angle = 0;
  private target = 0;
  private speed = HAND_SPEED;
  private creep = 0;
  private brace = 0;
  private readonly off: Record<Axis, { now: number; target: number; speed: number }> = {
    x: { now: 0, target: 0, speed: 10 },
    y: { now: 0, target: 0, speed: 10 },
    z: { now: 0, target: 0, speed: 10 },
  };
  private elapsedS = 0;
  private pressing = { pct: 0, now: 0 };
  plane: Axis = 'y';

  constructor(
    public traits: LimbTraits = USUAL_LIMB,
    private readonly random: () => number = Math.random,
  ) {}

  moveTo(deg: number, seconds: number | undefined): void {
    this.target = deg;
    const distance = Math.abs(deg - this.angle);
    this.speed = seconds && seconds > 0 ? distance / seconds : HAND_SPEED;
    if (this.traits.guarding > 0 && this.speed > STARTLING_SPEED && deg > this.traits.edge - 15) this.brace = 6 * this.traits.guarding;
  }

  driftTo(axis: Axis, deg: number, seconds: number | undefined): void {
    this.off[axis].target = deg;
    this.off[axis].speed = Math.abs(deg - this.off[axis].now) / Math.max(0.2, seconds ?? 1);
  }

  press(pct: number): void {
    this.pressing.pct = pct;
  }

  /** Whether the hand has arrived, as far as tissue lets it. */
  get arrived(): boolean {
    return Math.abs(this.reachable() - this.angle) < 0.3 && Object.values(this.off).every((each) => Math.abs(each.now - each.target) < 0.3);
  }

  private reachable(): number {
    const limit = this.traits.edge + PAST_EDGE + this.creep;
    return Math.min(this.target, limit);
  }

  step(seconds: number): void {
    this.elapsedS += seconds;
    const towards = (now: number, to: number, by: number) => (Math.abs(to - now) <= by ? to : now + Math.sign(to - now) * by);
    // Held past the edge, tissue gives slowly and ever less.
    const held = this.target > this.traits.edge && this.angle > this.traits.edge - 1;
    this.creep = held ? Math.min(1.5, this.creep + seconds * 0.06) : Math.max(0, this.creep - seconds * 0.3);
    this.angle = towards(this.angle, this.reachable(), this.speed * seconds * (this.angle > this.traits.edge ? 1 / this.traits.give : 1));
    this.brace = Math.max(0, this.brace - seconds * 3);
    for (const each of Object.values(this.off)) each.now = towards(each.now, each.target, each.speed * seconds);
    const wanted = this.traits.strengthN * (this.pressing.pct / 100);
    this.pressing.now += (wanted - this.pressing.now) * Math.min(1, seconds * 6);
  }

  private normal(): number {
    return Math.sqrt(-2 * Math.log(1 - this.random())) * Math.cos(2 * Math.PI * this.random());
  }

  /** Both sensors now. */
  orientations(): { readonly still: Quaternion; readonly moving: Quaternion } {
    const jitter = (q: Quaternion) =>
      (['x', 'y', 'z'] as const).reduce((turned, axis) => multiply(turned, about(AXES[axis], this.normal() * this.traits.noise)), q);
    // Breathing moves the whole athlete a little; the sensors drift about the vertical.
    const room = multiply(
      about(AXES.z, 31 + this.traits.sensorDrift * (this.elapsedS / 60)),
      about(AXES.x, 0.4 * Math.sin(this.elapsedS * 1.4)),
    );
    const mounted = multiply(about(AXES.x, 12), about(AXES.z, -7));
    const outside = (['x', 'y', 'z'] as const)
      .filter((axis) => axis !== this.plane)
      .reduce<Quaternion>((turned, axis) => multiply(turned, about(AXES[axis], this.off[axis].now)), { w: 1, x: 0, y: 0, z: 0 });
    const turned = multiply(outside, about(AXES[this.plane], this.angle - this.brace));
    return { still: jitter(room), moving: jitter(multiply(multiply(room, turned), mounted)) };
  }

  /** Newtons on the gauge now: a press trembles by a few percent. */
  force(): number {
    const { now } = this.pressing;
    return Math.max(0, now * (1 + this.normal() * 0.02) + this.normal() * 0.4);
  }
}
