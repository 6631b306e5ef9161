import { wrongSpans, type WorkSpan } from '@pace-bend/core/week';
import { clockWords, WEEKDAYS } from './cells.ts';

/** A span as it is typed. */
export interface TypedSpan {
  readonly id: number;
  readonly weekday: number;
  readonly from: string;
  readonly to: string;
  readonly words: string;
}

let nextId = 1;
/** A row to be typed into. */
export const newSpan = (weekday = 1, from = '08:00', to = '12:00', words = ''): TypedSpan => ({ id: nextId++, weekday, from, to, words });

export const typedSpans = (spans: readonly (WorkSpan & { readonly words?: string })[]): TypedSpan[] =>
  [...spans]
    .sort((a, b) => a.weekday - b.weekday || a.fromMin - b.fromMin)
    .map(({ weekday, fromMin, toMin, words = '' }) => newSpan(weekday, clockWords(fromMin), clockWords(toMin), words));

/**
 * Minutes since midnight of a time as it is typed, `8:30`, `08.30` or `8`; null where it is none. 24:00 ends a day.
 * @example minutesOf('8:30') // → 510
 */
export function minutesOf(typed: string): number | null {
  const match = /^(\d{1,2})(?:[:.](\d{2}))?$/.exec(typed.trim());
  if (!match) return null;
  const minutes = Number(match[1]) * 60 + Number(match[2] ?? 0);
  return Number(match[2] ?? 0) < 60 && minutes <= 24 * 60 ? minutes : null;
}

/** Spans as they are kept, or what is wrong with them in words. */
export function readSpans(typed: readonly TypedSpan[]): {
  readonly spans: (WorkSpan & { readonly words: string })[];
  readonly wrong: string;
} {
  const spans: (WorkSpan & { words: string })[] = [];
  for (const { weekday, from, to, words } of typed) {
    const [fromMin, toMin] = [minutesOf(from), minutesOf(to)];
    if (fromMin === null || toMin === null) return { spans: [], wrong: `${WEEKDAYS[weekday - 1]!.name}: times are written like 08:30.` };
    spans.push({ weekday, fromMin, toMin, words: words.trim() });
  }
  return { spans, wrong: wrongSpans(spans) };
}
