import type { Position, Region, Side } from '@pace-bend/core/body';
import {
  findEntry,
  type Dose,
  type Entry,
  type HomeWork,
  type Section,
  type Stage,
  type Tool,
  type Variant,
} from '@pace-bend/core/catalogue';
import { LONGEST_TEXT, METHODS, phasesOf, sayable, type OwnEntryFields } from '@pace-bend/core/method';
import { HOME_LIMITS } from '@pace-bend/core/record';
import { joinWords, splitWords } from './wordList.ts';
import { t } from '../words/shelf.ts';

/** What an entry adds with the hands, in the words of the form. */
export const ADDS: readonly { readonly value: NonNullable<Entry['adds']>[number]; readonly label: string }[] = [
  { value: 'friction', label: t('friction') },
  { value: 'nerve-line', label: t('alongNerve') },
  { value: 'press', label: t('pressing') },
  { value: 'pin', label: t('pinning') },
  { value: 'mobilize', label: t('movingJoint') },
];

/** One line as it is typed: what is blank is as the way has it. */
export interface SpokenForm {
  readonly text: string;
  readonly detail: string;
  readonly works: 'athlete' | 'therapist' | '';
}

/** An entry as it is typed: lists of words in one line, shares in percent. */
export interface EntryForm {
  section: Section;
  stage: Stage;
  name: string;
  synonyms: string;
  targets: string;
  motionId: string;
  also: string[];
  measured: boolean;
  regions: Region[];
  still: boolean;
  sides: Side[];
  positions: Position[];
  /** How it is set up in each position but the usual one; supports and hands blank where they are as in the usual one. */
  places: Partial<Record<Position, { setUp: string; supports: string; hands: string; without: string[] }>>;
  supports: string;
  setUp: string;
  lead: string;
  ease: string;
  play: string;
  hands: string;
  mover: Entry['mover'];
  press: string;
  pressLine: string;
  bringHome: string;
  watch: string;
  cautions: string;
  /** What is on the skin; empty: either. */
  medium: NonNullable<Entry['medium']> | '';
  /** Which finding says where to go: as in the entry it was made from. */
  found: Entry['found'] | null;
  sign: string;
  longer: string;
  leaveOut: string;
  /** The main one first. */
  tools: { tool: Tool; pct: number }[];
  ways: string[];
  /** What is said here in place of a way's own words, by way and by those words; a blank line leaves the way's. */
  says: Record<string, Record<string, SpokenForm>>;
  /** What a way begins with here, by way. */
  doses: Record<string, Dose>;
  adds: NonNullable<Entry['adds']>[number][];
  /** Places by the id of a list of the ways of working; blank where the way's own are used. */
  lists: Record<string, string>;
  /** A pulse lies near. */
  vessel: boolean;
  afterOperation: boolean;
  onlyAsked: boolean;
  /** How it is done at home; sent only where it is work for home. Zero seconds: it is not held. */
  home: { how: string; stop: string; times: number; seconds: number; breaths: boolean; sets: number; perDay: number; when: string };
  /** The entry of the catalogue whose pictures it has; empty for none. */
  drawnAs: string;
  easier: VariantForm[];
  harder: VariantForm[];
}

/** A variant as it is typed; without an id it is the same entry done otherwise. */
export interface VariantForm {
  id: string;
  why: string;
}

/** What a way of working says, where nothing else was chosen. */
export function sayableOf(way: string): ReturnType<typeof sayable> {
  const method = METHODS.find((each) => each.id === way);
  return method ? sayable(method) : [];
}

export const BLANK: EntryForm = {
  section: 'Hip',
  stage: 'specific',
  name: '',
  synonyms: '',
  targets: '',
  motionId: 'hip-flexion',
  also: [],
  measured: true,
  regions: [],
  still: false,
  sides: [],
  positions: ['supine'],
  places: {},
  supports: '',
  setUp: '',
  lead: '',
  ease: '',
  play: '',
  hands: '',
  mover: 'therapist',
  press: '',
  pressLine: '',
  bringHome: '',
  watch: '',
  cautions: '',
  medium: '',
  found: null,
  sign: '',
  longer: '',
  leaveOut: '',
  tools: [{ tool: 'palm', pct: 60 }],
  ways: ['static-hold'],
  says: {},
  doses: {},
  adds: [],
  lists: {},
  vessel: false,
  afterOperation: false,
  onlyAsked: false,
  home: { how: '', stop: '', times: 2, seconds: 20, breaths: false, sets: 1, perDay: 1, when: t('anyTime') },
  drawnAs: '',
  easier: [],
  harder: [],
};

const NO_CAUTIONS = t('noneOwn');

/** The form filled with an entry. */
export function formOf(entry: Entry): EntryForm {
  return {
    section: entry.section,
    stage: entry.stage,
    name: entry.name,
    synonyms: joinWords(entry.synonyms),
    targets: joinWords(entry.targets),
    motionId: entry.motionId,
    also: [...entry.also],
    measured: entry.measured,
    regions: [...(entry.regions ?? [])],
    still: entry.still === true,
    sides: [...(entry.sides ?? [])],
    positions: [...entry.positions],
    places: Object.fromEntries(
      entry.positions.slice(1).map((position) => {
        const { setUp = '', supports = '', hands = '', without = [] } = entry.places?.[position] ?? {};
        return [position, { setUp, supports, hands, without: [...without] }];
      }),
    ),
    supports: entry.supports,
    setUp: entry.setUp,
    lead: entry.lead ?? '',
    ease: entry.ease ?? '',
    play: entry.play ?? '',
    hands: entry.hands,
    mover: entry.mover,
    press: entry.press,
    pressLine: entry.pressLine,
    bringHome: entry.bringHome,
    watch: entry.watch,
    cautions: entry.cautions,
    medium: entry.medium ?? '',
    found: entry.found ?? null,
    sign: entry.sign ?? '',
    longer: entry.longer ?? '',
    leaveOut: entry.leaveOut ?? '',
    tools: entry.tools.map(({ tool, share }) => ({ tool, pct: Math.round(share * 100) })),
    ways: [...entry.ways],
    says: Object.fromEntries(
      Object.entries(entry.says ?? {}).map(([way, lines]) => [
        way,
        Object.fromEntries(Object.entries(lines).map(([words, line]): [string, SpokenForm] => [words, { detail: '', works: '', ...line }])),
      ]),
    ),
    doses: { ...entry.doses },
    adds: [...(entry.adds ?? [])],
    lists: Object.fromEntries(Object.entries(entry.lists ?? {}).map(([id, places]) => [id, joinWords(places)])),
    vessel: entry.vessel === true,
    afterOperation: entry.afterOperation === true,
    onlyAsked: entry.onlyAsked === true,
    home: entry.home
      ? { ...entry.home, seconds: entry.home.seconds ?? 0, breaths: entry.home.breaths === true, sets: entry.home.sets ?? 1 }
      : { ...BLANK.home },
    drawnAs: entry.drawnAs ?? (findEntry(entry.id) ? entry.id : ''),
    easier: entry.easier.map(({ id = '', why }) => ({ id, why })),
    harder: entry.harder.map(({ id = '', why }) => ({ id, why })),
  };
}

/**
 * What is sent for a form. Words are trimmed, blank lists left out, and what is not said stays as the motion or the way of working has
 * it. Filling the form with an entry and sending it gives
 * the entry again, with the pictures it has.
 */
export function sentOf(form: EntryForm): OwnEntryFields {
  const lists = Object.entries(form.lists)
    .map(([id, text]) => [id, splitWords(text)] as const)
    .filter(([, places]) => places.length > 0);
  // What was typed for a position that is no longer one of them is not sent.
  const places = form.positions.slice(1).flatMap((position) => {
    const { setUp = '', supports = '', hands = '', without = [] } = form.places[position] ?? {};
    const out = without.filter((way) => form.ways.includes(way));
    const more = {
      ...(supports.trim() ? { supports: supports.trim() } : {}),
      ...(hands.trim() ? { hands: hands.trim() } : {}),
      ...(out.length > 0 ? { without: out } : {}),
    };
    return setUp.trim() || Object.keys(more).length > 0 ? [[position, { setUp: setUp.trim(), ...more }] as const] : [];
  });
  const says = form.ways.flatMap((way) => {
    const method = METHODS.find((each) => each.id === way);
    const lines = Object.entries(form.says[way] ?? {}).flatMap(([words, { text, detail, works }]) =>
      text.trim() && method && phasesOf(method).some((phase) => phase.text === words)
        ? [[words, { text: text.trim(), ...(detail.trim() ? { detail: detail.trim() } : {}), ...(works ? { works } : {}) }] as const]
        : [],
    );
    return lines.length > 0 ? [[way, Object.fromEntries(lines)] as const] : [];
  });
  const doses = form.ways.flatMap((way) => (Object.keys(form.doses[way] ?? {}).length > 0 ? [[way, form.doses[way]!] as const] : []));
  return {
    kind: 'entry',
    section: form.section,
    stage: form.stage,
    name: form.name.trim(),
    synonyms: splitWords(form.synonyms),
    targets: splitWords(form.targets) as unknown as Entry['targets'],
    motionId: form.motionId,
    also: form.also.filter((id) => id !== form.motionId),
    measured: form.measured,
    ...(form.regions.length > 0 ? { regions: [...form.regions] } : {}),
    ...(form.still ? { still: true as const } : {}),
    ...(form.sides.length > 0 ? { sides: [...form.sides] } : {}),
    positions: [...form.positions] as unknown as Entry['positions'],
    ...(places.length > 0 ? { places: Object.fromEntries(places) } : {}),
    supports: form.supports.trim(),
    setUp: form.setUp.trim(),
    ...(form.lead.trim() ? { lead: form.lead.trim() } : {}),
    ...(form.ease.trim() ? { ease: form.ease.trim() } : {}),
    ...(form.play.trim() ? { play: form.play.trim() } : {}),
    hands: form.hands.trim(),
    mover: form.mover,
    press: form.press.trim(),
    pressLine: form.pressLine.trim(),
    bringHome: form.bringHome.trim(),
    watch: form.watch.trim(),
    cautions: form.cautions.trim() || NO_CAUTIONS,
    ...(form.medium ? { medium: form.medium } : {}),
    ...(form.found ? { found: form.found } : {}),
    ...(form.sign.trim() ? { sign: form.sign.trim() } : {}),
    ...(form.longer.trim() ? { longer: form.longer.trim() } : {}),
    ...(form.leaveOut.trim() ? { leaveOut: form.leaveOut.trim() } : {}),
    tools: form.tools.map(({ tool, pct }) => ({ tool, share: pct / 100 })) as unknown as Entry['tools'],
    ways: [...form.ways] as unknown as Entry['ways'],
    ...(doses.length > 0 ? { doses: Object.fromEntries(doses) } : {}),
    ...(says.length > 0 ? { says: Object.fromEntries(says) } : {}),
    ...(form.adds.length > 0 ? { adds: [...form.adds] } : {}),
    ...(lists.length > 0 ? { lists: Object.fromEntries(lists) } : {}),
    ...(form.vessel ? { vessel: true as const } : {}),
    ...(form.afterOperation ? { afterOperation: true as const } : {}),
    ...(form.onlyAsked ? { onlyAsked: true as const } : {}),
    ...(form.stage === 'home' ? { home: homeSent(form.home) } : {}),
    ...(form.drawnAs ? { drawnAs: form.drawnAs } : {}),
    easier: form.easier.flatMap(variant),
    harder: form.harder.flatMap(variant),
  };
}

const homeSent = ({ how, stop, times, seconds, breaths, sets, perDay, when }: EntryForm['home']): HomeWork => ({
  how: how.trim(),
  stop: stop.trim(),
  times,
  seconds: seconds > 0 ? seconds : null,
  ...(breaths ? { breaths: true as const } : {}),
  ...(sets > 1 ? { sets } : {}),
  perDay,
  when: when.trim(),
});

/** What is sent for a variant: nothing of one that names neither an entry nor how. */
function variant({ id, why }: VariantForm): Variant[] {
  if (id !== '') return [{ id, why: why.trim() }];
  return why.trim() === '' ? [] : [{ why: why.trim() }];
}

/** The numbers of work for home as they are typed; zero seconds: it is not held. */
export const HOME_NUMBERS = [
  { id: 'times', label: t('timesOneGoEach'), unit: '×', ...HOME_LIMITS.times },
  { id: 'seconds', label: t('held0WhereNot'), unit: 's', min: 0, max: HOME_LIMITS.seconds.max },
  { id: 'sets', label: t('sets'), unit: '', ...HOME_LIMITS.sets },
  { id: 'perDay', label: t('timesDay'), unit: '×', ...HOME_LIMITS.perDay },
] as const;

const NEEDED = [
  ['name', t('aName')],
  ['targets', t('whatWorks')],
  ['setUp', t('aSetUp')],
  ['hands', t('whatEachHandDoes2')],
  ['press', t('howTheyToldPress')],
  ['pressLine', t('theDirection')],
  ['bringHome', t('theWayHome')],
  ['watch', t('whatWatch')],
] as const;

/** What is missing or too long in the typed words, by field. */
export function missingIn(form: EntryForm): Record<string, string> {
  return {
    ...Object.fromEntries(NEEDED.filter(([id]) => form[id].trim().length < 2).map(([id, words]) => [id, t('itNeeds', { words })])),
    ...(form.press.trim().length > LONGEST_TEXT ? { press: t('mostLettersReadAcross', { longestText: LONGEST_TEXT }) } : {}),
    ...(form.stage === 'home' && form.home.how.trim().length < 2 ? { 'home.how': t('needsWhatTheyDo') } : {}),
    ...(form.stage === 'home' && form.home.stop.trim().length < 2 ? { 'home.stop': t('needsWhenTheyStop') } : {}),
    ...(form.stage === 'home'
      ? Object.fromEntries(
          HOME_NUMBERS.filter(({ id, min, max }) => !(Number.isInteger(form.home[id]) && form.home[id] >= min && form.home[id] <= max)).map(
            ({ id, min, max }) => [`home.${id}`, t('wholeNumbers', { min, max })],
          ),
        )
      : {}),
    ...(form.tools.some(({ pct }) => !(pct >= 0 && pct <= 100)) ? { tools: t('shares0100') } : {}),
  };
}
