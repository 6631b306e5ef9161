/**
 * What was typed and not yet acknowledged by the server, kept in this browser until it is.
 * Storage can be full or forbidden; typing must go on all the same, so failures are swallowed here and only here.
 */
const PREFIX = 'pace-bend.draft.';

export function readDraft<T>(key: string): T | null {
  try {
    const text = localStorage.getItem(PREFIX + key);
    return text === null ? null : (JSON.parse(text) as T);
  } catch {
    return null;
  }
}

export function keepDraft(key: string, value: unknown): void {
  try {
    localStorage.setItem(PREFIX + key, JSON.stringify(value));
  } catch {
    // Full or forbidden: the screen still holds what was typed.
  }
}

export function dropDraft(key: string): void {
  try {
    localStorage.removeItem(PREFIX + key);
  } catch {
    // Nothing was kept either.
  }
}
