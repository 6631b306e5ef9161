import { toRef, watch } from 'vue';
import { phaseKind, type Cue, type PhaseFamily } from '@pace-bend/core/method';
import { heardWithin } from '@pace-bend/core/table';
import { speak } from '../../parts/speech.ts';
import { Tones, type Planned } from './tones.ts';
import type { TableSettings } from './tableSettings.ts';

/** Where a run is, for what is heard next. */
export interface Heading {
  readonly cue: Cue;
  readonly next: Cue | undefined;
  /** On the line, in milliseconds, at this moment. */
  readonly positionMs: number;
  /** How fast the line runs: 1 at the table. */
  readonly rate: number;
}

/** What is heard at the table: tones, and words where they are wanted, as the one at the table has set it. */
export function tableSound(settings: TableSettings) {
  const tones = new Tones();
  watch(
    () => [settings.muted, settings.volume] as const,
    ([muted, volume]) => {
      tones.muted = muted;
      tones.volume = volume;
    },
    { immediate: true },
  );
  const say = (words: string): void => {
    if (words)
      speak(words, {
        volume: settings.volume,
        rate: settings.rate,
        voice: settings.voice,
        onStart: () => tones.duck(true),
        onEnd: () => tones.duck(false),
      });
  };

  return {
    muted: toRef(settings, 'muted'),
    spoken: toRef(settings, 'spoken'),
    wake: () => tones.wake(),
    warning: () => tones.warning(),
    /** A phase begins; its words, where it has any, are made only where they are said. */
    phase(family: PhaseFamily, words?: () => string): void {
      tones.phase(family);
      if (words && settings.spoken) say(words());
    },
    /** What is heard until the phase ends, and the tone of the next one, set ahead; null: nothing runs, and what was set is taken off. */
    ahead(heading: Heading | null): void {
      if (!heading || settings.muted) return tones.plan('', []);
      const { cue, next, positionMs, rate } = heading;
      const inS = (atMs: number) => (atMs - positionMs) / rate / 1000;
      const planned: Planned[] = settings.ticks && rate === 1 ? heardWithin(cue).map(({ atMs, what }) => ({ inS: inS(atMs), what })) : [];
      if (next && !cue.open) planned.push({ inS: inS(cue.endMs), what: phaseKind(next.kind).family });
      tones.plan(`${cue.index}/${cue.startMs}/${cue.endMs}/${settings.ticks}`, planned);
    },
    /** Words without a tone, where words are wanted. */
    say(words: () => string): void {
      if (settings.spoken) say(words());
    },
    /** A tone of each kind and a sentence, as they are set now, whatever is switched off. */
    try(words: string): void {
      tones.wake();
      tones.plan('', []);
      tones.plan('try', [
        { inS: 0.05, what: 'contract' },
        { inS: 0.7, what: 'relax' },
        { inS: 1.4, what: 'hold' },
        { inS: 2, what: 'tick' },
        { inS: 3, what: 'tick' },
        { inS: 4, what: 'turn' },
      ]);
      say(words);
    },
    toggleMuted(): void {
      settings.muted = !settings.muted;
    },
    /** Where it speaks from now on, `words` are said at once. */
    toggleSpoken(words: () => string): void {
      settings.spoken = !settings.spoken;
      if (settings.spoken) say(words());
    },
    close: () => tones.close(),
  };
}
