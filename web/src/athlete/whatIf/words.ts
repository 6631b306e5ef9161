import { formatNumber } from '@pace-bend/core/measure';
import type { Unit } from '@pace-bend/core/body';
import { ENOUGH_OWN, type Schedule } from '@pace-bend/core/cycle';
import type { Middle } from '@pace-bend/core/forecast';
import { t } from '../../words/athlete.ts';

const unitOf = (unit: Unit) => (unit === 'deg' ? '°' : ' cm');

/** A gain or a level with its unit, to a tenth. */
export const amount = (value: number, unit: Unit): string => `${formatNumber(value, 1)}${unitOf(unit)}`;

/** "0.3 (0.2 to 0.4)": the middle, and between what eight in ten lie. */
export const middleWords = ({ middle, low, high }: Middle, digits: number): string =>
  t('to9', { number: formatNumber(middle, digits), number2: formatNumber(low, digits), number3: formatNumber(high, digits) });

/** A chance in words that promise no more than was reckoned: never certain. */
export function chanceWords(chance: number): string {
  const inHundred = Math.round(chance * 100);
  return inHundred <= 0 ? t('under1') : inHundred >= 100 ? t('over99') : String(inHundred);
}

/** "Once a week", "3 a week", "No visits". */
export function rhythmWords(perWeek: number): string {
  if (perWeek === 0) return t('noVisits');
  if (perWeek === 1) return t('onceWeek');
  if (perWeek === 2) return t('twiceWeek');
  if (perWeek === 0.5) return t('everyOtherWeek');
  return t('aWeek', { number: formatNumber(perWeek, perWeek % 1 === 0 ? 0 : 1) });
}

/** What else is special about a schedule, in one line. */
export function scheduleWords({ homeDays, startsInWeeks, away }: Schedule): string {
  return [
    homeDays === 0
      ? t('noHomeWork')
      : homeDays === 7
        ? t('homeWorkEveryDay')
        : t('homeWorkOn', { homeDays, what: homeDays === 1 ? t('day2') : t('days2') }),
    ...(startsInWeeks > 0 ? [t('fromWeek2', { what: startsInWeeks + 1 })] : []),
    ...(away
      ? [
          t('away', {
            what:
              away.weeks === 1
                ? t('week', { what: away.fromWeek + 1 })
                : t('weeksTo', { what: away.fromWeek + 1, what2: away.fromWeek + away.weeks }),
          }),
        ]
      : []),
  ].join(', ');
}

/** From how many visits, and how much of it is the athlete's own. */
export function knownWords(occasions: number, worked: number, ownShare: number): string {
  const on = worked === 0 ? t('neverWorked') : worked < occasions ? t('workedOnAt', { worked }) : '';
  const visits = t('from2', { occasions, what: occasions === 1 ? t('visit') : t('visits2'), on });
  const own = t('theirOwnReadingsTook', { ownShare: Math.round(ownShare * 100) });
  if (ownShare < ENOUGH_OWN) return t('mostlyWhatUsual', { visits, own });
  if (ownShare < 2 / 3) return t('partlyWhatUsualPartly', { visits, own });
  return t('mostlyTheirOwn', { visits, own });
}
