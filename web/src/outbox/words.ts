import type { Change } from './change.ts';
import { t } from '../words/outbox.ts';

/** Where what is not sent lies, in words that are true of it. */
export const keptWords = (isStored: boolean) => (isStored ? t('keptHere') : t('keptWhilePageOpen'));

/** How many are not sent: “3 not sent yet”. */
export const countWords = (count: number) => t('notSentYet', { count });

/** Field names of a record as somebody would say them. */
const FIELDS: Readonly<Record<string, string>> = {
  complaint: t('whatBringsThem'),
  complaintScore: t('howMuch'),
  complaintRegion: t('place'),
  complaintSide: t('side'),
  changed: t('whatChanged'),
  trainingSince: t('trainingSince'),
  trainingNext: t('trainingNext'),
  minutesAvailable: t('minutes'),
  consent: t('mayTouched'),
  consentWord: t('consent'),
  lookFirst: t('lookFirst'),
  text: t('note'),
  blocks: t('plan'),
  to: t('to'),
  seen: t('whatSeen'),
  birthDate: t('birthDate'),
  breathPeriodMs: t('breath'),
};

const spaced = (name: string) =>
  name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`).replace(/^./, (letter) => letter.toUpperCase());

function valueWords(value: unknown, nameOf: (block: { readonly entryId: string }) => string): string {
  if (value === null || value === undefined || value === '') return t('nothing');
  if (Array.isArray(value))
    return value.length === 0
      ? t('nothing')
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
