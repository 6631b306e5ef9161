import { CONSENT_AREAS, type ConsentArea } from '@pace-bend/core/caution';
import { KIND_WORDS, type BoardRow, type NotServed, type Refusal, type Remedy } from '@pace-bend/core/eventDay';
import { t } from '../words/eventDay.ts';

/** Where somebody is, in the words of the board. */
export const STATUS_WORDS = {
  waiting: t('notHereYet'),
  here: t('here2'),
  onTable: t('onTheTable2'),
  done: t('done3'),
  off: t('notComing3'),
} as const;

const REFUSALS: Readonly<Record<Refusal, string>> = {
  'no-span': t('thereNoTimeBetween'),
  over: t('timeOver'),
  nobody: t('noTableOpenThen'),
  'told-just-now': t('theyToldTimeJust'),
  full: t('tablesFullThen'),
};

export function refusalWords({ why, span }: Pick<NotServed, 'why' | 'span'>, clock: (minute: number) => string): string {
  const when = span && why !== 'no-span' ? ` (${clock(Math.max(0, span.earliest))} to ${clock(Math.min(1439, span.latestEnd))})` : '';
  return `${REFUSALS[why]}${when}`;
}

/** What would give a time to whoever has none. */
export const remedyWords = (remedy: Remedy, clock: (minute: number) => string, nameOf: (wishId: string) => string): string =>
  t('wouldMakePossible', {
    what:
      remedy.kind === 'table'
        ? t('handsTableFrom', { table: remedy.table, clock: clock(remedy.from), clock2: clock(remedy.until) })
        : t('insteadMinutesEverybody', { minutes: remedy.minutes, instead: remedy.instead, what: KIND_WORDS[remedy.of] }),
    listed: listed(remedy.serves.map(nameOf)),
  });

export const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : t('and', { names: names.slice(0, -1).join(', '), names2: names.at(-1) });

/** How a time stands, in words; empty where it is as promised. */
export const standingWords = ({ standing, by, state }: Pick<BoardRow, 'standing' | 'by' | 'state'>): string => {
  if (standing === 'on-time') return '';
  if (standing === 'at-risk') return t('riskMin', { by });
  return state.status === 'onTable' ? t('minOver', { by }) : t('lateMin2', { by });
};

/** Areas somebody agrees to hands on, in words. */
export const areaWords = (areas: readonly ConsentArea[]): string =>
  listed(CONSENT_AREAS.filter(({ id }) => areas.includes(id)).map(({ name }) => name));
