/**
 * Words as they are compared: without accents, capitals and signs, single spaces between.
 * @example plainWords(' Zoë, B.-side ') // → 'zoe b side'
 */
export function plainWords(text: string): string {
  return text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
}
