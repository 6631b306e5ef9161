import { phaseFamily, type PhaseFamily } from '@pace-bend/core/method';

const WARNING: readonly number[] = [220, 220, 220];
/** Shorter and higher than any phase: the last three seconds, and the moment at which the hand turns round. */
const TICK: readonly number[] = [880];
const TURN: readonly number[] = [698, 698];

const NOTE_S = 0.16;
const TICK_S = 0.04;
const LOUDNESS = 0.32;
/** How loud tones are while a voice speaks, as a share of what they are otherwise. */
const DUCKED = 0.25;
/** A phase begins a frame or two after its tone was due: within this it is that tone, and not another one. */
const SAME_TONE_S = 0.4;

export type Heard = 'tick' | 'turn' | PhaseFamily;
export interface Planned {
  readonly inS: number;
  readonly what: Heard;
}

/**
 * Soft tones at phase changes, ticks before they end. The browser allows sound only after a key or a touch; until then it stays silent.
 *
 * What is known ahead is set on the audio clock ahead: a page that is busy or in the background plays it on time all the same. When the hand
 * does something else, what has not begun is taken off again.
 */
export class Tones {
  private context: AudioContext | null = null;
  private loud: GainNode | null = null;
  private ahead: { readonly atS: number; readonly isPhase: boolean; readonly tone: OscillatorNode }[] = [];
  private planKey = '';
  private phaseAtS = -Infinity;
  private isDucked = false;
  private level = 0.5;
  private isMuted = false;

  /** Call from a key or a touch. */
  wake(): void {
    try {
      if (!this.context) {
        this.context = new AudioContext();
        this.loud = this.context.createGain();
        this.loud.connect(this.context.destination);
        this.setLevel();
      }
      if (this.context.state === 'suspended') void this.context.resume();
    } catch {
      this.context = null;
    }
  }

  get muted(): boolean {
    return this.isMuted;
  }
  set muted(muted: boolean) {
    this.isMuted = muted;
    if (muted) this.plan('', []);
  }

  /** From 0 to 1. */
  set volume(volume: number) {
    this.level = volume;
    this.setLevel();
  }

  /** While a voice speaks the tones step back. */
  duck(on: boolean): void {
    this.isDucked = on;
    this.setLevel();
  }

  /** A phase begins now. Where its tone was set ahead it has been heard, or is being heard. */
  phase(family: PhaseFamily): void {
    const now = this.context?.currentTime ?? 0;
    if (this.phaseAtS <= now + 0.02 && this.phaseAtS > now - SAME_TONE_S) return;
    this.play(phaseFamily(family).notes, now);
  }

  warning(): void {
    this.play(WARNING, this.context?.currentTime ?? 0);
  }

  /**
   * Sets what is heard in the next seconds on the audio clock. Under the same key it is set already; under another one, what has not begun
   * of the plan before is taken off.
   */
  plan(key: string, planned: readonly Planned[]): void {
    if (key === this.planKey) return;
    this.planKey = key;
    const now = this.context?.currentTime ?? 0;
    for (const { atS, isPhase, tone } of this.ahead) {
      if (atS <= now) continue;
      tone.stop(now);
      tone.disconnect();
      if (isPhase) this.phaseAtS = -Infinity;
    }
    this.ahead = [];
    for (const { inS, what } of planned) {
      if (inS <= 0) continue;
      const atS = now + inS;
      if (what === 'tick') this.play(TICK, atS, TICK_S, true);
      else if (what === 'turn') this.play(TURN, atS, NOTE_S, true);
      else if (this.play(phaseFamily(what).notes, atS, NOTE_S, true, true)) this.phaseAtS = atS;
    }
  }

  private setLevel(): void {
    if (this.context && this.loud) this.loud.gain.setValueAtTime(this.level * (this.isDucked ? DUCKED : 1), this.context.currentTime);
  }

  private play(notes: readonly number[], fromS: number, noteS = NOTE_S, isAhead = false, isPhase = false): boolean {
    const { context, loud } = this;
    if (!context || !loud || this.isMuted || context.state !== 'running') return false;
    notes.forEach((hertz, i) => {
      const at = fromS + i * noteS;
      const [tone, gain] = [context.createOscillator(), context.createGain()];
      tone.frequency.value = hertz;
      gain.gain.setValueAtTime(0, at);
      gain.gain.linearRampToValueAtTime(LOUDNESS, at + Math.min(0.02, noteS / 2));
      gain.gain.exponentialRampToValueAtTime(0.001, at + noteS * 1.8);
      tone.connect(gain).connect(loud);
      tone.start(at);
      tone.stop(at + noteS * 2);
      if (isAhead) this.ahead.push({ atS: fromS, isPhase, tone });
    });
    return true;
  }

  close(): void {
    this.plan('', []);
    void this.context?.close();
    this.context = null;
    this.loud = null;
  }
}
