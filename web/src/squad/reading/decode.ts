export interface Decoded {
  readonly text: string;
  readonly encoding: 'UTF-8' | 'UTF-16' | 'Windows-1252';
}

/**
 * The text of a table's bytes. A byte-order mark decides; without one it is UTF-8 if it can be, and otherwise the old
 * western encoding that spreadsheets still write (WHATWG Encoding Standard: its label is windows-1252).
 */
export function decodeTable(bytes: Uint8Array): Decoded {
  const [first, second] = bytes;
  if (first === 0xff && second === 0xfe) return { text: new TextDecoder('utf-16le').decode(bytes), encoding: 'UTF-16' };
  if (first === 0xfe && second === 0xff) return { text: new TextDecoder('utf-16be').decode(bytes), encoding: 'UTF-16' };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' };
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'Windows-1252' };
  }
}
