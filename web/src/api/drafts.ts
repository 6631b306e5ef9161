import { accountOfPage } from './account.ts';
import { t } from '../words/opening.ts';

/**
 * What was begun and is not ready to be sent: half a reading, a letter being written. Kept in this browser for the account that
 * typed it: nobody else who signs in here is shown it. What is ready is the outbox's.
 * Storage can be full or forbidden; typing must go on all the same, so failures are swallowed here and only here.
 */
const draftPrefix = () => `pace-bend.draft.${accountOfPage() ?? 'nobody'}.`;
/** How somebody likes to work on this machine; nothing that could be lost. */
const choicePrefix = () => `pace-bend.choice.${accountOfPage() ?? 'nobody'}.`;

function read<T>(key: string): T | null {
  try {
    const text = localStorage.getItem(key);
    return text === null ? null : (JSON.parse(text) as T);
  } catch {
    return null;
  }
}

function keep(key: string, value: unknown): void {
  try {
    localStorage.setItem(key, JSON.stringify(value));
  } catch {
    // Full or forbidden: the screen still holds what was typed.
  }
}

export const readDraft = <T>(key: string): T | null => read<T>(draftPrefix() + key);
export const keepDraft = (key: string, value: unknown): void => keep(draftPrefix() + key, value);
export const readChoice = <T>(key: string): T | null => read<T>(choicePrefix() + key);
export const keepChoice = (key: string, value: unknown): void => keep(choicePrefix() + key, value);

export function dropDraft(key: string): void {
  try {
    localStorage.removeItem(draftPrefix() + key);
  } catch {
    // Nothing was kept either.
  }
}

/** What a draft is, by the last part of its key. */
const words = (): Readonly<Record<string, string>> => ({
  before: t('readingsBeforeWorkNot'),
  after: t('readingsAfterWorkNot'),
  referral: t('aReferral'),
});

/** What the one signed in has typed here that the server has not acknowledged, in words. */
export function unsentDrafts(): string[] {
  try {
    const prefix = draftPrefix();
    const keys = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i)!).filter(
      (key) => key.startsWith(prefix) && !['{}', '[]', 'null', '""'].includes(localStorage.getItem(key) ?? '{}'),
    );
    return [...new Set(keys.flatMap((key) => words()[key.split('.').at(-1)!] ?? []))];
  } catch {
    return [];
  }
}
