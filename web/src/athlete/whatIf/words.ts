import { formatNumber } from '@pace-bend/core/measure';
import type { Unit } from '@pace-bend/core/body';
import { ENOUGH_OWN, type Schedule } from '@pace-bend/core/cycle';
import type { Middle } from '@pace-bend/core/forecast';

const unitOf = (unit: Unit) => (unit === 'deg' ? '°' : ' cm');

/** A gain or a level with its unit, to a tenth. */
export const amount = (value: number, unit: Unit): string => `${formatNumber(value, 1)}${unitOf(unit)}`;

/** "0.3 (0.2 to 0.4)": the middle, and between what eight in ten lie. */
export const middleWords = ({ middle, low, high }: Middle, digits: number): string =>
  `${formatNumber(middle, digits)} (${formatNumber(low, digits)} to ${formatNumber(high, digits)})`;

/** A chance in words that promise no more than was reckoned: never certain. */
export function chanceWords(chance: number): string {
  const inHundred = Math.round(chance * 100);
  return inHundred <= 0 ? 'under 1' : inHundred >= 100 ? 'over 99' : String(inHundred);
}

/** "Once a week", "3 a week", "No visits". */
export function rhythmWords(perWeek: number): string {
  if (perWeek === 0) return 'No visits';
  if (perWeek === 1) return 'Once a week';
  if (perWeek === 2) return 'Twice a week';
  if (perWeek === 0.5) return 'Every other week';
  return `${formatNumber(perWeek, perWeek % 1 === 0 ? 0 : 1)} a week`;
}

/** What else is special about a schedule, in one line. */
export function scheduleWords({ homeDays, startsInWeeks, away }: Schedule): string {
  return [
    homeDays === 0
      ? 'no home work'
      : homeDays === 7
        ? 'home work every day'
        : `home work on ${homeDays} ${homeDays === 1 ? 'day' : 'days'}`,
    ...(startsInWeeks > 0 ? [`from week ${startsInWeeks + 1}`] : []),
    ...(away
      ? [`away ${away.weeks === 1 ? `week ${away.fromWeek + 1}` : `weeks ${away.fromWeek + 1} to ${away.fromWeek + away.weeks}`}`]
      : []),
  ].join(', ');
}

/** From how many visits, and how much of it is the athlete's own. */
export function knownWords(occasions: number, worked: number, ownShare: number): string {
  const on = worked === 0 ? ', never worked on' : worked < occasions ? `, worked on at ${worked}` : '';
  const visits = `From ${occasions} ${occasions === 1 ? 'visit' : 'visits'}${on}`;
  const own = `their own readings took ${Math.round(ownShare * 100)} % of the doubt about what a visit leaves behind`;
  if (ownShare < ENOUGH_OWN) return `${visits}: mostly what is usual (${own}).`;
  if (ownShare < 2 / 3) return `${visits}: partly what is usual, partly their own (${own}).`;
  return `${visits}: mostly their own (${own}).`;
}
