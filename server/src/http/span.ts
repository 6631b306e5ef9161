import { addDays } from '@pace-bend/core/load';
import { isDay } from '@pace-bend/core/record';
import { invalid, type FieldError } from './problem.ts';

/** The days `from` and `to` of a query, both included; without them the `usual` days that end today. Throws a 422 for a span that is none, or longer than `most` days. */
export function spanOf(query: Record<string, unknown>, today: string, most: number, usual: number): { from: string; to: string } {
  const { from, to } = query;
  const wrong: FieldError[] = [];
  const day = (value: unknown, path: string, otherwise: string): string => {
    if (value === undefined) return otherwise;
    if (typeof value === 'string' && isDay(value)) return value;
    wrong.push({ path, message: 'A day is written YYYY-MM-DD.' });
    return otherwise;
  };
  const last = day(to, 'to', today);
  const first = day(from, 'from', addDays(last, -usual));
  if (wrong.length === 0 && (first > last || addDays(first, most) < last))
    wrong.push({ path: 'from', message: `A span begins before it ends and has ${most} days at most.` });
  if (wrong.length > 0) throw invalid(wrong);
  return { from: first, to: last };
}
