/**
 * Days as people type them. A day is read as day, month, year with points, or by the order of their place with slashes, or as written in tables,
 * year first; months by number or by their English name. What is read is said back in words by whoever shows it, because 3/4 is two days.
 */
export type DayOrder = 'dmy' | 'mdy' | 'ymd';

export type TypedDay = { readonly day: string } | { readonly problem: string };

const MONTHS = [
  'january',
  'february',
  'march',
  'april',
  'may',
  'june',
  'july',
  'august',
  'september',
  'october',
  'november',
  'december',
] as const;
const MONTH_LETTERS = 3;
const EARLIEST_YEAR = 1800;
const LATEST_YEAR = 2199;
/** Two figures of a year mean the one that lies no further ahead than this. */
const YEARS_AHEAD = 10;

const two = (n: number) => String(n).padStart(2, '0');
const name = (month: number) => `${MONTHS[month - 1]![0]!.toUpperCase()}${MONTHS[month - 1]!.slice(1)}`;
const daysIn = (year: number, month: number) => new Date(Date.UTC(year, month, 0)).getUTCDate();

/**
 * How a day is written in a place, for a field’s example.
 * @example dayExample('dmy') // → '14.3.2001'
 */
export const dayExample = (order: DayOrder): string => ({ dmy: '14.3.2001', mdy: '3/14/2001', ymd: '2001-03-14' })[order];

/**
 * A day (`YYYY-MM-DD`) as it is written in a place.
 * @example formatDay('2001-03-14', 'dmy') // → '14.3.2001'
 */
export function formatDay(day: string, order: DayOrder): string {
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  return { dmy: `${date}.${month}.${year}`, mdy: `${month}/${date}/${year}`, ymd: day }[order];
}

/**
 * The day that was typed (`YYYY-MM-DD`), or what is wrong with it. `today`, `YYYY-MM-DD`, settles years of two figures.
 * @example readTypedDay('14.3.2001', 'dmy', '2026-11-28') // → { day: '2001-03-14' }
 * @example readTypedDay('31 April 2001', 'dmy', '2026-11-28') // → { problem: 'April has 30 days.' }
 */
export function readTypedDay(text: string, order: DayOrder, today: string): TypedDay {
  const typed = text.trim().toLowerCase();
  const unread = { problem: `Type a day, as ${dayExample(order)} or 2001-03-14.` };
  const words = /[a-z]{3,}/.exec(typed)?.[0];
  if (words !== undefined) {
    const month = MONTHS.findIndex((each) => each.startsWith(words.slice(0, MONTH_LETTERS)) && each.startsWith(words)) + 1;
    const rest = typed.replace(words, ' ').match(/\d+/g) ?? [];
    if (month === 0 || /[^\d\s.,'’-]/.test(typed.replace(words, '').replace(/(\d)(st|nd|rd|th)\b/, '$1'))) return unread;
    if (rest.length === 1) return { problem: 'Add the year.' };
    if (rest.length !== 2) return unread;
    const [date, year] = rest[0]!.length === 4 ? [rest[1]!, rest[0]!] : [rest[0]!, rest[1]!];
    return dayOf(year, month, Number(date), today);
  }
  const parts = /^(\d{1,4})\s*([./-])\s*(\d{1,2})\s*\2\s*(\d{1,4})$/.exec(typed);
  if (!parts) return /^\d{1,2}\s*[./-]\s*\d{1,2}\s*[./-]?$/.test(typed) ? { problem: 'Add the year.' } : unread;
  const [, a, sign, b, c] = parts as unknown as [string, string, string, string, string];
  if (a.length === 4) return dayOf(a, Number(b), Number(c), today);
  if (a.length === 3 || c.length === 3 || c.length === 1) return unread;
  // Points are written where the day comes first; with a slash it is the habit of the place.
  const isMonthFirst = sign !== '.' && order === 'mdy';
  return isMonthFirst ? dayOf(c, Number(a), Number(b), today) : dayOf(c, Number(b), Number(a), today);
}

function dayOf(yearText: string, month: number, date: number, today: string): TypedDay {
  const year = yearText.length === 2 ? wholeYear(Number(yearText), Number(today.slice(0, 4))) : Number(yearText);
  if ((yearText.length !== 2 && yearText.length !== 4) || year < EARLIEST_YEAR || year > LATEST_YEAR)
    return { problem: `A year lies between ${EARLIEST_YEAR} and ${LATEST_YEAR}.` };
  if (month < 1 || month > MONTHS.length) return { problem: `There is no month ${month}.` };
  const most = daysIn(year, month);
  if (date < 1) return { problem: 'A month begins with day 1.' };
  if (date > most) return { problem: month === 2 ? `February ${year} has ${most} days.` : `${name(month)} has ${most} days.` };
  return { day: `${year}-${two(month)}-${two(date)}` };
}

/** The year with these last two figures that is at most so many years ahead. */
function wholeYear(figures: number, thisYear: number): number {
  const century = Math.floor((thisYear + YEARS_AHEAD) / 100) * 100;
  return century + figures > thisYear + YEARS_AHEAD ? century - 100 + figures : century + figures;
}
