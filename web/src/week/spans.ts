import { formatClock, readTypedTime, type ClockHabit } from '@pace-bend/core/record';
import { wrongSpans, type WorkSpan } from '@pace-bend/core/week';
import { WEEKDAYS } from './cells.ts';

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
export const newSpan = (weekday: number, from: string, to: string, words = ''): TypedSpan => ({ id: nextId++, weekday, from, to, words });

export const typedSpans = (spans: readonly (WorkSpan & { readonly words?: string })[], habit: ClockHabit): TypedSpan[] =>
  [...spans]
    .sort((a, b) => a.weekday - b.weekday || a.fromMin - b.fromMin)
    .map(({ weekday, fromMin, toMin, words = '' }) => newSpan(weekday, formatClock(fromMin, habit), formatClock(toMin, habit), words));

/** Spans as they are kept, or what is wrong with them in words. */
export function readSpans(typed: readonly TypedSpan[]): {
  readonly spans: (WorkSpan & { readonly words: string })[];
  readonly wrong: string;
} {
  const spans: (WorkSpan & { words: string })[] = [];
  for (const { weekday, from, to, words } of typed) {
    const [start, end] = [readTypedTime(from), readTypedTime(to, { endOfDay: true })];
    const problem = 'problem' in start ? start.problem : 'problem' in end ? end.problem : null;
    if ('problem' in start || 'problem' in end) return { spans: [], wrong: `${WEEKDAYS[weekday - 1]!.name}: ${problem}` };
    spans.push({ weekday, fromMin: start.minute, toMin: end.minute, words: words.trim() });
  }
  return { spans, wrong: wrongSpans(spans) };
}
