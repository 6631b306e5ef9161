import type { Change } from './change.ts';

/** Where what is not sent lies, in words that are true of it. */
export const keptWords = (isStored: boolean) => (isStored ? 'kept here' : 'kept while this page is open');

/** How many are not sent: “3 not sent yet”. */
export const countWords = (count: number) => `${count} not sent yet`;

/** Field names of a record as somebody would say them. */
const FIELDS: Readonly<Record<string, string>> = {
  complaint: 'What brings them',
  complaintScore: 'How much',
  complaintRegion: 'Place',
  complaintSide: 'Side',
  changed: 'What changed',
  trainingSince: 'Training since',
  trainingNext: 'Training next',
  minutesAvailable: 'Minutes',
  consent: 'May be touched',
  consentWord: 'Consent',
  lookFirst: 'Look at first',
  text: 'Note',
  blocks: 'Plan',
  to: 'To',
  seen: 'What was seen',
  birthDate: 'Birth date',
  breathPeriodMs: 'Breath',
};

const spaced = (name: string) =>
  name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`).replace(/^./, (letter) => letter.toUpperCase());

function valueWords(value: unknown, nameOf: (block: { readonly entryId: string }) => string): string {
  if (value === null || value === undefined || value === '') return 'nothing';
  if (Array.isArray(value))
    return value.length === 0
      ? 'nothing'
      : value
          .map((each) =>
            typeof each === 'object' && each !== null && 'entryId' in each
              ? nameOf(each as { entryId: string })
              : typeof each === 'object'
                ? JSON.stringify(each)
                : String(each),
          )
          .join(', ');
  return typeof value === 'object' ? JSON.stringify(value) : String(value);
}

export interface Difference {
  readonly field: string;
  readonly theirs: string;
  readonly mine: string;
}

/** Where a change that came too late and what stands now differ, field by field, in words. `nameOf` names a block of a plan. */
export function differences(change: Change, nameOf: (block: { readonly entryId: string }) => string): Difference[] {
  const current = change.refusal?.current as Record<string, unknown> | null;
  if (!change.refusal?.isStale || !current) return [];
  return Object.entries(change.body)
    .map(([name, value]) => ({
      field: FIELDS[name] ?? spaced(name),
      theirs: valueWords(current[name], nameOf),
      mine: valueWords(value, nameOf),
    }))
    .filter(({ theirs, mine }) => theirs !== mine);
}
