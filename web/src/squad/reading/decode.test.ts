import { decodeTable } from './decode.ts';

const bytes = (...parts: (string | number[])[]) =>
  new Uint8Array(parts.flatMap((part) => (typeof part === 'string' ? [...new TextEncoder().encode(part)] : part)));

test('UTF-8 with and without a mark, UTF-16 both ways, and the old western encoding', () => {
  expect(decodeTable(bytes('Zoë;Łukasz'))).toEqual({ text: 'Zoë;Łukasz', encoding: 'UTF-8' });
  expect(decodeTable(bytes([0xef, 0xbb, 0xbf], 'Zoë')).text).toBe('Zoë');
  expect(decodeTable(bytes([0xff, 0xfe, 0x5a, 0, 0xeb, 0])).text).toBe('Zë');
  expect(decodeTable(bytes([0xfe, 0xff, 0, 0x5a, 0, 0xeb])).text).toBe('Zë');
  // 0xEB alone is no UTF-8; in Windows-1252 it is ë.
  expect(decodeTable(bytes('Zo', [0xeb]))).toEqual({ text: 'Zoë', encoding: 'Windows-1252' });
});

test('bytes that are no text at all give text all the same, and never throw', () => {
  expect(decodeTable(new Uint8Array([0, 159, 146, 150])).text.length).toBe(4);
  expect(decodeTable(new Uint8Array())).toEqual({ text: '', encoding: 'UTF-8' });
});
