import { PEDALS, type PedalAct } from '../../parts/keys.ts';

/** Held down for this long it is another key; a foot that only presses is off again well before. */
export const HOLD_MS = 600;
/** Pressed again within this time of being let go it was pressed twice. The first press has acted already: nobody waits for the second. */
export const TWICE_MS = 300;

type Pedal = 'down' | 'up';
export type PedalCodes = Readonly<Record<Pedal, string>>;

/**
 * Two pedals as seven keys: each pressed, each held down, the one pressed twice, both at once and both held. What is held acts as soon as it has
 * been held long enough; what is only pressed acts when it is let go, because before nobody knows. Of two that are down together neither
 * acts by itself.
 */
export class Pedals {
  private readonly isDown = new Set<Pedal>();
  private timer: ReturnType<typeof setTimeout> | null = null;
  /** What is down has acted, or is part of another gesture. */
  private isSpent = false;
  private areBoth = false;
  private last: { readonly pedal: Pedal; readonly atMs: number } | null = null;

  constructor(
    private readonly act: (what: PedalAct) => void,
    private readonly codes: () => PedalCodes,
    private readonly nowMs: () => number = () => performance.now(),
  ) {}

  /** Whether a key is a pedal's; then it was taken. */
  of(key: string): Pedal | null {
    const { down, up } = this.codes();
    if (key === down) return 'down';
    return key === up ? 'up' : null;
  }

  press(pedal: Pedal): void {
    if (this.isDown.has(pedal)) return;
    this.isDown.add(pedal);
    this.stop();
    if (this.isDown.size === 2) {
      if (this.isSpent) return;
      this.areBoth = true;
    } else this.isSpent = false;
    const { hold } = this.areBoth ? PEDALS.both : PEDALS[pedal];
    this.timer = setTimeout(() => this.spend(hold), HOLD_MS);
  }

  release(pedal: Pedal): void {
    if (!this.isDown.delete(pedal)) return;
    this.stop();
    if (!this.isSpent) {
      if (this.areBoth) this.spend(PEDALS.both.press);
      else {
        const isTwice = this.last?.pedal === pedal && this.nowMs() - this.last.atMs <= TWICE_MS;
        this.last = isTwice ? null : { pedal, atMs: this.nowMs() };
        this.act(isTwice ? PEDALS[pedal].twice : PEDALS[pedal].press);
      }
    }
    // Of both at once, the one that is still down does nothing more.
    if (this.isDown.size === 0) {
      this.isSpent = false;
      this.areBoth = false;
    }
  }

  /** The page lost its keys: whatever is down will not be let go here. */
  forget(): void {
    this.isDown.clear();
    this.isSpent = false;
    this.areBoth = false;
    this.last = null;
    this.stop();
  }

  private spend(what: PedalAct): void {
    if (this.isSpent) return;
    this.isSpent = true;
    this.last = null;
    this.act(what);
  }

  private stop(): void {
    if (this.timer !== null) clearTimeout(this.timer);
    this.timer = null;
  }
}
