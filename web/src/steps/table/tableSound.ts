import { ref } from 'vue';
import type { PhaseFamily } from '@pace-bend/core/method';
import { keepChoice, readChoice } from '../../api/drafts.ts';
import { speak } from '../../parts/speech.ts';
import { Tones } from './tones.ts';

/** What is heard at the table: tones, and words where they are wanted; both as they were chosen last on this device. */
export function tableSound() {
  const tones = new Tones();
  const muted = ref(readChoice<boolean>('muted') ?? false);
  const spoken = ref(readChoice<boolean>('spoken') ?? false);
  tones.muted = muted.value;

  return {
    muted,
    spoken,
    wake: () => tones.wake(),
    warning: () => tones.warning(),
    /** A phase begins; its words, where it has any, are made only where they are said. */
    phase(family: PhaseFamily, words?: () => string): void {
      tones.phase(family);
      if (words && spoken.value) speak(words());
    },
    toggleMuted(): void {
      muted.value = !muted.value;
      tones.muted = muted.value;
      keepChoice('muted', muted.value);
    },
    /** Words without a tone, where words are wanted. */
    say(words: () => string): void {
      if (spoken.value) speak(words());
    },
    /** Where it speaks from now on, `words` are said at once. */
    toggleSpoken(words: () => string): void {
      spoken.value = !spoken.value;
      keepChoice('spoken', spoken.value);
      if (spoken.value) speak(words());
    },
    close: () => tones.close(),
  };
}
