import { PEDALS, type TableAct } from '../../parts/keys.ts';

/** Held down for this long it is another key; a foot that only presses is off again well before. */
export const HOLD_MS = 600;

type Pedal = 'down' | 'up';

/**
 * Two pedals as five keys: each pressed, each held down, and both at once. What is held acts as soon as it has been held long enough; what
 * is only pressed acts when it is let go, because before nobody knows. Of two that are down together neither acts by itself.
 */
export class Pedals {
  private readonly isDown = new Set<Pedal>();
  private timer: ReturnType<typeof setTimeout> | null = null;
  private isSpent = false;

  constructor(private readonly act: (what: TableAct) => void) {}

  /** Whether a key is a pedal's; then it was taken. */
  static of(key: string): Pedal | null {
    if (key === PEDALS.down.code) return 'down';
    return key === PEDALS.up.code ? 'up' : null;
  }

  press(pedal: Pedal): void {
    if (this.isDown.has(pedal)) return;
    this.isDown.add(pedal);
    this.stop();
    if (this.isDown.size === 2) {
      this.spend(PEDALS.both);
      return;
    }
    this.isSpent = false;
    this.timer = setTimeout(() => this.spend(PEDALS[pedal].hold), HOLD_MS);
  }

  release(pedal: Pedal): void {
    if (!this.isDown.delete(pedal)) return;
    this.stop();
    if (!this.isSpent) this.act(PEDALS[pedal].press);
    // Of both at once, the one that is still down does nothing more.
    if (this.isDown.size === 0) this.isSpent = false;
  }

  /** The page lost its keys: whatever is down will not be let go here. */
  forget(): void {
    this.isDown.clear();
    this.isSpent = false;
    this.stop();
  }

  private spend(what: TableAct): void {
    if (this.isSpent) return;
    this.isSpent = true;
    this.act(what);
  }

  private stop(): void {
    if (this.timer !== null) clearTimeout(this.timer);
    this.timer = null;
  }
}
