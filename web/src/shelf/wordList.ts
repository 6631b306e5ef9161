/** Several names in one line. Names have commas of their own (“adductors, long”), so semicolons part them. */
export function joinWords(words: readonly string[]): string {
  return words.join('; ');
}

/** The names in a line, trimmed; blank ones are left out. */
export function splitWords(line: string): string[] {
  return line
    .split(';')
    .map((each) => each.trim())
    .filter(Boolean);
}
