import {
  ADDED,
  arrange,
  basePhases,
  checkNumber,
  checkOwnRound,
  checkRounds,
  isBase,
  type AddedKind,
  type ChoiceValues,
  type Method,
  type NumberSpec,
  type OwnPhase,
  type OwnWayFields,
} from '@pace-bend/core/method';
import { joinWords, splitWords } from './wordList.ts';
import { t } from '../words/shelf.ts';

/** A phase of the round as it is typed; `key` stays with it wherever it is moved. */
export interface PhaseRow {
  readonly key: number;
  readonly of?: number;
  readonly adds?: AddedKind;
  seconds: number;
  text: string;
  detail: string;
}

/** A way of working as it is typed: lists of places in one line. */
export interface WayForm {
  name: string;
  purpose: string;
  what: string;
  synonyms: string;
  schoolsDiffer: string;
  rounds: number;
  numbers: Record<string, number[]>;
  choices: Record<string, string>;
  lists: Record<string, string>;
  phases: readonly PhaseRow[];
}

/** The form filled from a way of working, and from what the practice had made of its round. */
export function wayForm(from: Method, base: Method, phases: readonly OwnPhase[] | undefined, name: string): WayForm {
  return {
    name,
    purpose: from.purpose,
    what: from.what,
    synonyms: joinWords(from.synonyms.slice(0, 6)),
    schoolsDiffer: from.schoolsDiffer,
    rounds: from.rounds.default,
    numbers: Object.fromEntries(from.numbers.flatMap((spec) => (isGiven(spec) ? [[spec.id, [...spec.default]]] : []))),
    choices: Object.fromEntries(from.choices.map((choice) => [choice.id, choice.default])),
    lists: Object.fromEntries(from.lists.map((list) => [list.id, joinWords(list.default)])),
    phases: rowsOf(phases ?? basePhases(base)),
  };
}

export function rowsOf(phases: readonly OwnPhase[]): PhaseRow[] {
  return phases.map((phase, key) => ({
    key,
    ...('of' in phase ? { of: phase.of, seconds: NaN } : { adds: phase.adds, seconds: phase.seconds }),
    text: phase.text ?? '',
    detail: phase.detail ?? '',
  }));
}

/** One more row at the end, with the usual seconds of its kind. */
export function withAdded(rows: readonly PhaseRow[], adds: AddedKind): PhaseRow[] {
  return [...rows, { key: Math.max(-1, ...rows.map((row) => row.key)) + 1, adds, seconds: ADDED[adds].standard, text: '', detail: '' }];
}

export function moved(rows: readonly PhaseRow[], from: number, to: number): PhaseRow[] {
  const without = rows.filter((_, i) => i !== from);
  return [...without.slice(0, to), rows[from]!, ...without.slice(to)];
}

export function phasesOf(rows: readonly PhaseRow[]): OwnPhase[] {
  return rows.map(({ of, adds, seconds, text, detail }) => ({
    ...(adds === undefined ? { of: of! } : { adds, seconds }),
    ...(text.trim() ? { text: text.trim() } : {}),
    ...(detail.trim() ? { detail: detail.trim() } : {}),
  }));
}

/** The way as its round stands now, before its numbers are the practice's. Seconds that cannot be read yet are the usual ones. */
export function arranged(form: WayForm, base: Method): Method {
  return arrange(
    base,
    phasesOf(form.phases).map((phase) =>
      'adds' in phase && !Number.isFinite(phase.seconds) ? { ...phase, seconds: ADDED[phase.adds].standard } : phase,
    ),
  );
}

const isGiven = (spec: NumberSpec): spec is NumberSpec & { readonly default: readonly number[] } => Array.isArray(spec.default);

/** Numbers typed below the round: those with defaults of their own. What an added phase takes is typed beside it. */
export function typedNumbers(way: Method): (NumberSpec & { readonly default: readonly number[] })[] {
  return way.numbers.filter(isGiven).filter((spec) => !/^own\d+$/.test(spec.id));
}

export const valuesOf = (form: WayForm, spec: NumberSpec & { readonly default: readonly number[] }): readonly number[] =>
  form.numbers[spec.id] ?? spec.default;

/** What is sent: only what the round as it stands asks for, and the round only where it is not the base's. */
export function wayFields(form: WayForm, base: Method): OwnWayFields {
  const way = arranged(form, base);
  const phases = phasesOf(form.phases);
  const choices: ChoiceValues = Object.fromEntries(way.choices.map((choice) => [choice.id, form.choices[choice.id] ?? choice.default]));
  return {
    kind: 'way',
    baseId: base.id,
    name: form.name.trim(),
    purpose: form.purpose.trim(),
    what: form.what.trim(),
    synonyms: splitWords(form.synonyms),
    schoolsDiffer: form.schoolsDiffer.trim(),
    rounds: form.rounds,
    numbers: Object.fromEntries(typedNumbers(way).map((spec) => [spec.id, [...valuesOf(form, spec)]])),
    choices,
    lists: Object.fromEntries(way.lists.map((list) => [list.id, splitWords(form.lists[list.id] ?? joinWords(list.default))])),
    ...(isBase(phases, base) ? {} : { phases }),
  };
}

/** What is wrong, by field; a phase by its key as `phase.3`, so that the words stay beside it when it is moved. */
export function wrongIn(form: WayForm, base: Method, taken: readonly string[]): Record<string, string> {
  const messages: Record<string, string> = {};
  const name = form.name.trim().toLowerCase();
  if (name.length < 2) messages.name = t('needsName');
  else if (taken.some((each) => each.toLowerCase() === name)) messages.name = t('wayWorkingCalledAlready');
  const rounds = checkRounds(form.rounds, base);
  if (rounds) messages.rounds = rounds;
  const way = arranged(form, base);
  for (const spec of typedNumbers(way))
    for (const value of valuesOf(form, spec)) {
      const message = checkNumber(value, spec);
      if (message) messages[spec.id] = message;
    }
  for (const list of way.lists) {
    const places = splitWords(form.lists[list.id] ?? joinWords(list.default));
    if (places.length < list.min || places.length > list.max)
      messages[list.id] = t('to', { label: list.label, min: list.min, max: list.max });
  }
  for (const { path, message } of checkOwnRound(base, phasesOf(form.phases))) {
    const at = /^phases\.(\d+)/.exec(path)?.[1];
    messages[at === undefined ? 'phases' : `phase.${form.phases[Number(at)]!.key}`] ??= message;
  }
  return messages;
}
