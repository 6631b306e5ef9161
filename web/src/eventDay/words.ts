import { CONSENT_AREAS, type ConsentArea } from '@pace-bend/core/caution';
import { KIND_WORDS, type BoardRow, type NotServed, type Refusal, type Remedy } from '@pace-bend/core/eventDay';

/** Where somebody is, in the words of the board. */
export const STATUS_WORDS = { waiting: 'not here yet', here: 'here', onTable: 'on the table', done: 'done', off: 'not coming' } as const;

const REFUSALS: Readonly<Record<Refusal, string>> = {
  'no-span': 'there is no time for it between the races',
  over: 'its time is over',
  nobody: 'no table is open then',
  'told-just-now': 'they were told a time just now',
  full: 'the tables are full then',
};

export function refusalWords({ why, span }: Pick<NotServed, 'why' | 'span'>, clock: (minute: number) => string): string {
  const when = span && why !== 'no-span' ? ` (${clock(Math.max(0, span.earliest))} to ${clock(Math.min(1439, span.latestEnd))})` : '';
  return `${REFUSALS[why]}${when}`;
}

/** What would give a time to whoever has none. */
export const remedyWords = (remedy: Remedy, clock: (minute: number) => string, nameOf: (wishId: string) => string): string =>
  `${remedy.kind === 'table' ? `Hands at table ${remedy.table} from ${clock(remedy.from)} to ${clock(remedy.until)}` : `${remedy.minutes} instead of ${remedy.instead} minutes ${KIND_WORDS[remedy.of]} for everybody`} would make it possible for ${listed(remedy.serves.map(nameOf))}.`;

export const listed = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;

/** How a time stands, in words; empty where it is as promised. */
export const standingWords = ({ standing, by, state }: Pick<BoardRow, 'standing' | 'by' | 'state'>): string => {
  if (standing === 'on-time') return '';
  if (standing === 'at-risk') return `at risk, ${by} min`;
  return state.status === 'onTable' ? `${by} min over` : `late, ${by} min`;
};

/** Areas somebody agrees to hands on, in words. */
export const areaWords = (areas: readonly ConsentArea[]): string =>
  listed(CONSENT_AREAS.filter(({ id }) => areas.includes(id)).map(({ name }) => name));
