/** A set of small numbers, thirty to a word. Sets that are compared have the same number of words. */
export type Bits = readonly number[];

const WORD = 30;

export const wordsFor = (count: number): number => Math.max(1, Math.ceil(count / WORD));
export const noBits = (words: number): Bits => Array.from({ length: words }, () => 0);

export function oneBit(i: number, words: number): Bits {
  return Array.from({ length: words }, (_, word) => (word === Math.floor(i / WORD) ? 1 << (i % WORD) : 0));
}

export const union = (a: Bits, b: Bits): Bits => a.map((word, i) => word | b[i]!);
export const common = (a: Bits, b: Bits): Bits => a.map((word, i) => word & b[i]!);
export const has = (bits: Bits, i: number): boolean => ((bits[Math.floor(i / WORD)]! >> (i % WORD)) & 1) === 1;
/** Adds a number to a set that is still being made. */
export function setBit(bits: number[], i: number): void {
  const word = Math.floor(i / WORD);
  bits[word] = bits[word]! | (1 << (i % WORD));
}

export const keyOf = (bits: Bits): string => bits.join('/');

/** Whether everything in `part` is in `whole`. */
export function within(part: Bits, whole: Bits): boolean {
  for (let i = 0; i < part.length; i++) if ((part[i]! & ~whole[i]!) !== 0) return false;
  return true;
}
