import { aloud, canSpeak, speak, speakInOrder } from './speech.ts';

interface Words {
  readonly text: string;
  onstart?: () => void;
  onend?: () => void;
  onerror?: () => void;
}
let said: Words[] = [];
function withSpeech(): void {
  said = [];
  const speechSynthesis = { cancel: () => void (said = []), speak: (words: Words) => void said.push(words) };
  Object.defineProperty(globalThis, 'window', { value: { speechSynthesis }, configurable: true });
  Object.defineProperty(globalThis, 'SpeechSynthesisUtterance', {
    value: class {
      rate = 1;
      constructor(public text: string) {}
    },
    configurable: true,
  });
}
const withoutSpeech = () => Object.defineProperty(globalThis, 'window', { value: {}, configurable: true });

test('a line is said aloud where the browser can, the last one only; elsewhere nothing happens', () => {
  withoutSpeech();
  expect(canSpeak()).toBe(false);
  speak('Let go');
  withSpeech();
  speak('Press into my hand');
  speak('Let go');
  expect(said.map(({ text }) => text)).toEqual(['Let go']);
});

test('lines in order: each says where it is, the last says that all is said, and stopping cuts it off', () => {
  const heard: (number | null)[] = [];
  withoutSpeech();
  speakInOrder(['a'], (at) => heard.push(at));
  expect(heard.splice(0)).toEqual([null]);
  withSpeech();
  const stop = speakInOrder(['Chin down', 'Let go'], (at) => heard.push(at));
  const [first, last] = said;
  first!.onstart!();
  last!.onstart!();
  last!.onend!();
  expect(heard.splice(0)).toEqual([0, 1, null]);
  stop();
  expect(said).toEqual([]);
  heard.length = 0;
  // A voice that fails ends it, and what comes later of it is not heard.
  speakInOrder(['Chin down', 'Let go'], (at) => heard.push(at));
  const [one, two] = said;
  one!.onerror!();
  two!.onstart!();
  expect(heard).toEqual([null]);
});

test('what a voice would stumble over is written out', () => {
  expect(aloud('Take hold: gap 1–2')).toBe('Take hold: gap 1 to 2');
  expect(aloud('20%, 30°')).toBe('20 per cent, 30 degrees');
  expect(aloud('Let go')).toBe('Let go');
});
