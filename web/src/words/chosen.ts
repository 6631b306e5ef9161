/**
 * The language to speak: the first of those somebody reads that is offered, by its whole tag or by its first part; English where
 * they read it before any of them, or none is there.
 * @example chosen(['de-AT', 'en'], ['de', 'fr']) // → 'de'
 */
export function chosen(wanted: readonly string[], offered: readonly string[]): string {
  for (const each of wanted) {
    const tag = each.toLowerCase();
    const found =
      ['en', ...offered].find((language) => language.toLowerCase() === tag) ??
      ['en', ...offered].find((language) => language.toLowerCase() === tag.split('-')[0]);
    if (found) return found;
  }
  return 'en';
}
