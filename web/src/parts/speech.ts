import { t } from '../words/parts.ts';
/** Whether this browser can say anything at all. */
export const canSpeak = (): boolean => 'speechSynthesis' in window;

/**
 * A line as a voice reads it: "gap 1–2" has no dash in it, nor a degree sign.
 * @example aloud('Gap 1–2, to 20°') // → 'Gap 1 to 2, to 20 degrees'
 */
export const aloud = (text: string): string =>
  text
    .replace(/(\d)–(\d)/g, t('n12'))
    .replaceAll('°', ' degrees')
    .replaceAll('%', ` ${t('perCent')}`);

const utterance = (text: string): SpeechSynthesisUtterance => {
  const words = new SpeechSynthesisUtterance(aloud(text));
  words.rate = 1.05;
  return words;
};

/** How a line is said; what is left out is as the browser has it. */
export interface Manner {
  /** 0 to 1. */
  readonly volume?: number;
  readonly rate?: number;
  /** Name of one of the browser's voices. */
  readonly voice?: string | null;
  readonly onStart?: () => void;
  /** Said to its end, cut off, or not said at all. */
  readonly onEnd?: () => void;
}

/** Says a line aloud where the browser can; what it was saying before is cut off. */
export function speak(text: string, { volume, rate, voice, onStart, onEnd }: Manner = {}): void {
  if (!canSpeak()) return;
  const words = utterance(text);
  if (volume !== undefined) words.volume = volume;
  if (rate !== undefined) words.rate = rate;
  words.voice = (voice && window.speechSynthesis.getVoices().find(({ name }) => name === voice)) || null;
  words.onstart = () => onStart?.();
  words.onend = () => onEnd?.();
  words.onerror = () => onEnd?.();
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(words);
}

/**
 * Says lines one after another. `onLine` hears the place of each as it begins, and null when all are said or one could not be. Gives what
 * stops it.
 */
export function speakInOrder(lines: readonly string[], onLine: (at: number | null) => void): () => void {
  if (!canSpeak() || lines.length === 0) {
    onLine(null);
    return () => undefined;
  }
  let stopped = false;
  window.speechSynthesis.cancel();
  const end = () => {
    if (!stopped) onLine(null);
    stopped = true;
  };
  lines.forEach((line, at) => {
    const words = utterance(line);
    words.onstart = () => {
      if (!stopped) onLine(at);
    };
    words.onerror = end;
    if (at === lines.length - 1) words.onend = end;
    window.speechSynthesis.speak(words);
  });
  return () => {
    stopped = true;
    window.speechSynthesis.cancel();
    onLine(null);
  };
}
