const digit = (day: string, at: number): number => day.charCodeAt(at) - 48;
const two = (value: number): string => (value < 10 ? `0${value}` : String(value));

/**
 * Calendar days as whole numbers: days since 1 January 1970. Days are counted as dates, whatever clocks do. Written out instead of asked
 * of a date, because a morning asks it tens of thousands of times.
 * Source: days from civil, Hinnant H (2013), chrono-compatible low-level date algorithms; recalled from memory.
 * @example dayNumber('1970-01-02') // → 1
 */
export function dayNumber(day: string): number {
  const month = digit(day, 5) * 10 + digit(day, 6);
  const year = digit(day, 0) * 1000 + digit(day, 1) * 100 + digit(day, 2) * 10 + digit(day, 3) - (month <= 2 ? 1 : 0);
  const ofMonth = digit(day, 8) * 10 + digit(day, 9);
  const era = Math.floor(year / 400);
  const ofEra = year - era * 400;
  const ofYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + ofMonth - 1;
  return era * 146_097 + ofEra * 365 + Math.floor(ofEra / 4) - Math.floor(ofEra / 100) + ofYear - 719_468;
}

/**
 * The day of a number, `YYYY-MM-DD`.
 * @example dayAt(20_000) // → '2024-10-04'
 */
export function dayAt(number: number): string {
  const shifted = number + 719_468;
  const era = Math.floor(shifted / 146_097);
  const ofEra = shifted - era * 146_097;
  const yearOfEra = Math.floor((ofEra - Math.floor(ofEra / 1460) + Math.floor(ofEra / 36_524) - Math.floor(ofEra / 146_096)) / 365);
  const ofYear = ofEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const shiftedMonth = Math.floor((5 * ofYear + 2) / 153);
  const ofMonth = ofYear - Math.floor((153 * shiftedMonth + 2) / 5) + 1;
  const month = shiftedMonth + (shiftedMonth < 10 ? 3 : -9);
  const year = yearOfEra + era * 400 + (month <= 2 ? 1 : 0);
  return `${String(year).padStart(4, '0')}-${two(month)}-${two(ofMonth)}`;
}
