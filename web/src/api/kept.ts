import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { accountOfPage } from './account.ts';
import { api, ApiProblem } from './api.ts';

interface Answer {
  readonly key: string;
  readonly at: number;
  readonly value: unknown;
}

interface Schema extends DBSchema {
  answers: { key: string; value: Answer };
}

/** What was read is kept for the day, in milliseconds. */
const KEPT_MS = 16 * 3_600_000;

let opening: Promise<IDBPDatabase<Schema>> | null = null;
function open(): Promise<IDBPDatabase<Schema>> {
  opening ??= openDB<Schema>('pace-bend-kept', 1, { upgrade: (db) => { db.createObjectStore('answers', { keyPath: 'key' }); }, terminated: () => { opening = null; } }).catch((error: unknown) => {
    opening = null;
    throw error;
  });
  return opening;
}

/** Who is in is asked before anybody is known. */
const WHO = '/me';
const keyOf = (path: string) => (path === WHO ? WHO : `${accountOfPage() ?? 'nobody'} ${path}`);

/** Keeps what the server said of a path, for the account of this page. Where nothing can be kept, nothing is. */
export async function keepAnswer(path: string, value: unknown): Promise<void> {
  try {
    await (await open()).put('answers', { key: keyOf(path), at: Date.now(), value });
  } catch {
    // Full or forbidden: without the line this page cannot be opened again then, and says so.
  }
}

async function keptAnswer(path: string): Promise<unknown> {
  try {
    const kept = await (await open()).get('answers', keyOf(path));
    return kept && Date.now() - kept.at < KEPT_MS ? kept.value : null;
  } catch {
    return null;
  }
}

/** Forgets what other accounts read here: whoever comes in finds nothing of theirs on the device. */
export async function forgetOthers(): Promise<void> {
  try {
    const db = await open();
    for (const key of await db.getAllKeys('answers')) if (key !== WHO && !key.startsWith(`${accountOfPage() ?? 'nobody'} `)) await db.delete('answers', key);
  } catch {
    // Nothing was kept either.
  }
}

/** Forgets everything that was read: whoever signs out leaves nothing of others behind. */
export async function forgetKept(): Promise<void> {
  try {
    await (await open()).clear('answers');
  } catch {
    // Nothing was kept either.
  }
}

/** Reads from the server; without the line, what it said last today. Throws ApiProblem. */
export async function read<T>(path: string): Promise<T> {
  try {
    const found = await api<T>('GET', path);
    void keepAnswer(path, found);
    return found;
  } catch (error) {
    if (!(error instanceof ApiProblem) || !error.isOffline) throw error;
    const kept = await keptAnswer(path);
    if (kept === null) throw error;
    return kept as T;
  }
}
