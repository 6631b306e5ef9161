/** Times of day as people type and read them: twenty-four hours, or twice twelve. */
export type ClockHabit = '24' | '12';

export type TypedTime = { readonly minute: number } | { readonly problem: string };

const HOUR_MIN = 60;
const NOON = 12;
const two = (n: number) => String(n).padStart(2, '0');

/**
 * A minute of the day (0 to 1440, where 1440 ends the day) as a clock shows it.
 * @example formatClock(870, '24') // → '14:30'
 * @example formatClock(870, '12') // → '2:30 pm'
 */
export function formatClock(minute: number, habit: ClockHabit): string {
  const [hour, rest] = [Math.floor(minute / HOUR_MIN), minute % HOUR_MIN];
  if (habit === '24') return `${two(hour)}:${two(rest)}`;
  return `${hour % NOON === 0 ? NOON : hour % NOON}:${two(rest)} ${hour % (2 * NOON) < NOON ? 'am' : 'pm'}`;
}

/**
 * The minute of the day that was typed, or what is wrong with it. Hours and minutes by colon, point or nothing between four figures; with am or pm
 * hours are 1 to 12. `24:00` is the end of the day, where `endOfDay` allows it.
 * @example readTypedTime('14.30') // → { minute: 870 }
 * @example readTypedTime('2:30 pm') // → { minute: 870 }
 * @example readTypedTime('25:00') // → { problem: 'A day has hours 0 to 23.' }
 */
export function readTypedTime(text: string, { endOfDay = false } = {}): TypedTime {
  const parts = /^(\d{1,2})(?:\s*[:.]\s*(\d{1,2})|(\d{2}))?\s*(?:([ap])\.?\s*m\.?)?$/i.exec(text.trim());
  if (!parts) return { problem: 'Type a time, as 14:30 or 2:30 pm.' };
  const [, hours, after, glued, half] = parts;
  const minutes = after ?? glued ?? '0';
  if (after?.length === 1) return { problem: 'Minutes have two figures, as 14:05.' };
  if (Number(minutes) >= HOUR_MIN) return { problem: 'An hour has minutes 0 to 59.' };
  let hour = Number(hours);
  if (half !== undefined) {
    if (hour < 1 || hour > NOON) return { problem: 'With am or pm hours are 1 to 12.' };
    hour = (hour % NOON) + (half.toLowerCase() === 'p' ? NOON : 0);
  }
  const minute = hour * HOUR_MIN + Number(minutes);
  const last = 2 * NOON * HOUR_MIN;
  return minute < last || (endOfDay && minute === last && half === undefined) ? { minute } : { problem: 'A day has hours 0 to 23.' };
}

/** What is wrong with a time as a field holds it: `HH:MM`, or what was typed where that is none. */
export function timeProblem(held: string): string | null {
  const read = readTypedTime(held);
  return 'problem' in read ? read.problem : null;
}
