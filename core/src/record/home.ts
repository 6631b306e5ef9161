import type { Side } from '../body/index.ts';

/** One exercise of a sheet for home, as it was given: what the shelf says later changes nothing of it. */
export interface HomeItem {
  readonly id: string;
  readonly entryId: string;
  readonly name: string;
  /** How often in one go, on each side it is done on. */
  readonly sides: readonly { readonly side: Side; readonly times: number }[];
  /** How long each time, in seconds; null where it is not held. */
  readonly seconds: number | null;
  /** The times are breaths. */
  readonly breaths: boolean;
  readonly sets: number;
  readonly perDay: number;
  /** When in the day, in a few words. */
  readonly when: string;
  /** What they do, in their words. */
  readonly how: string;
  /** When they stop, after “Stop when”. */
  readonly stop: string;
}

/** What an athlete takes home from one visit. */
export interface HomeSheetFields {
  readonly items: readonly HomeItem[];
  /** The last day it is meant for. */
  readonly until: string;
  /** A sentence of their own at the foot. */
  readonly words: string;
}
export interface HomeSheet extends HomeSheetFields {
  readonly revision: number;
}

/** A sheet of an earlier visit, with the day it was given. */
export interface GivenSheet extends HomeSheet {
  readonly visitId: string;
  readonly startsAt: string;
  /** It was asked about at an earlier visit already. */
  readonly askedBefore: boolean;
}

/** How much of it was done, as somebody answers who is asked on arrival; with the share of the days it is taken for. Common practice: five words are told apart. */
export const HOME_DONE = [
  { id: 'every', words: 'every day', share: 1 },
  { id: 'most', words: 'most days', share: 0.75 },
  { id: 'half', words: 'about half', share: 0.5 },
  { id: 'few', words: 'a few times', share: 0.25 },
  { id: 'none', words: 'not at all', share: 0 },
] as const;
export type HomeDone = (typeof HOME_DONE)[number]['id'];

/** What was answered at one visit about the sheet of an earlier one, exercise by exercise; one that was not asked about is not in it. */
export interface HomeAnswersFields {
  readonly sheetOf: string;
  readonly answers: Readonly<Record<string, HomeDone>>;
}
export interface HomeAnswers extends HomeAnswersFields {
  readonly revision: number;
}

/** A sheet and what came of it, for what is learned over weeks. */
export interface PastHome {
  readonly sheet: GivenSheet;
  /** When it was asked about, and what was said; null where nobody has asked. */
  readonly asked: { readonly visitId: string; readonly startsAt: string; readonly answers: HomeAnswersFields['answers'] } | null;
}

export const HOME_LIMITS = {
  items: 8,
  times: { min: 1, max: 60 },
  seconds: { min: 1, max: 1800 },
  sets: { min: 1, max: 10 },
  perDay: { min: 1, max: 12 },
  whenLength: 40,
  howLength: 400,
  stopLength: 240,
  wordsLength: 240,
  /** Days a sheet is meant for at most. */
  days: 120,
} as const;
