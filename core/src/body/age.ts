/**
 * Whole years between a birth date and a day, both ISO dates (`YYYY-MM-DD`).
 * A birthday on 29 February is counted from 1 March in other years.
 * Throws a RangeError when either is not a calendar date or the day lies before the birth.
 * @example ageInYears('2001-11-26', '2026-11-25') // → 24
 */
export function ageInYears(birthDate: string, onDay: string): number {
  const [birthYear, birthMonth, birthDay] = parts(birthDate);
  const [year, month, day] = parts(onDay);
  const hadBirthday = month > birthMonth || (month === birthMonth && day >= birthDay);
  const age = year - birthYear - (hadBirthday ? 0 : 1);
  if (age < 0) throw new RangeError(`${onDay} lies before the birth date ${birthDate}.`);
  return age;
}

function parts(isoDate: string): [number, number, number] {
  const match = /^(\d{4})-(\d{2})-(\d{2})$/.exec(isoDate);
  if (!match) throw new RangeError(`"${isoDate}" is not a date of the form YYYY-MM-DD.`);
  const [year, month, day] = [Number(match[1]), Number(match[2]), Number(match[3])];
  const date = new Date(Date.UTC(year, month - 1, day));
  if (date.getUTCMonth() !== month - 1 || date.getUTCDate() !== day) throw new RangeError(`"${isoDate}" is not a day of the calendar.`);
  return [year, month, day];
}
