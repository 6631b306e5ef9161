import { seeded } from '@pace-bend/core/random';

/** A seeded source of numbers: the same seed gives the same demo. */
export class SeededRandom {
  /** Even in [0, 1). */
  readonly next: () => number;

  constructor(seed: number) {
    this.next = seeded(seed);
  }

  /** Normal with mean 0 and SD 1 (Box–Muller). */
  normal(): number {
    return Math.sqrt(-2 * Math.log(1 - this.next())) * Math.cos(2 * Math.PI * this.next());
  }

  /** A version 7 UUID for an instant. */
  uuid(at: Date): string {
    const time = at.getTime().toString(16).padStart(12, '0');
    const nibbles = Array.from({ length: 19 }, () => Math.floor(this.next() * 16).toString(16)).join('');
    const variant = (8 + Math.floor(this.next() * 4)).toString(16);
    return `${time.slice(0, 8)}-${time.slice(8)}-7${nibbles.slice(0, 3)}-${variant}${nibbles.slice(3, 6)}-${nibbles.slice(6, 18)}`;
  }
}
