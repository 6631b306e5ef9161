import { phaseFamily, type PhaseFamily } from '@pace-bend/core/method';

const WARNING: readonly number[] = [220, 220, 220];

const NOTE_S = 0.16;
const LOUDNESS = 0.16;

/** Soft tones at phase changes. The browser allows sound only after a key or a touch; until then it stays silent. */
export class Tones {
  private context: AudioContext | null = null;
  muted = false;

  /** Call from a key or a touch. */
  wake(): void {
    try {
      this.context ??= new AudioContext();
      if (this.context.state === 'suspended') void this.context.resume();
    } catch {
      this.context = null;
    }
  }

  phase(family: PhaseFamily): void {
    this.play(phaseFamily(family).notes);
  }

  warning(): void {
    this.play(WARNING);
  }

  private play(notes: readonly number[]): void {
    const context = this.context;
    if (!context || this.muted || context.state !== 'running') return;
    notes.forEach((hertz, i) => {
      const at = context.currentTime + i * NOTE_S;
      const [tone, gain] = [context.createOscillator(), context.createGain()];
      tone.frequency.value = hertz;
      gain.gain.setValueAtTime(0, at);
      gain.gain.linearRampToValueAtTime(LOUDNESS, at + 0.02);
      gain.gain.exponentialRampToValueAtTime(0.001, at + NOTE_S * 1.8);
      tone.connect(gain).connect(context.destination);
      tone.start(at);
      tone.stop(at + NOTE_S * 2);
    });
  }

  close(): void {
    void this.context?.close();
    this.context = null;
  }
}
