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
  // A new number forgets what an older program kept: answers then had another form. They are only for a time without the line.
  opening ??= openDB<Schema>('pace-bend-kept', 3, {
    upgrade: (db) => {
      if (db.objectStoreNames.contains('answers')) db.deleteObjectStore('answers');
      db.createObjectStore('answers', { keyPath: 'key' });
    },
    terminated: () => {
      opening = null;
    },
  }).catch((error: unknown) => {
    opening = null;
    throw error;
  });
  return opening;
}

/** Who is in is asked before anybody is known. */
const WHO = '/me';
const keyOf = (path: string) => (path === WHO ? WHO : `${accountOfPage() ?? 'nobody'} ${path}`);

/** How often what was acknowledged was put into what is kept, by how the paths begin: an answer asked for before that is older. */
const amends = new Map<string, number>();
const amendsOf = (path: string) => [...amends].reduce((sum, [start, times]) => sum + (path.startsWith(start) ? times : 0), 0);

/** Keeps what the server said of a path, for the account of this page. Where nothing can be kept, nothing is. */
export async function keepAnswer(path: string, value: unknown): Promise<void> {
  try {
    const db = await open();
    if (!left) await db.put('answers', { key: keyOf(path), at: Date.now(), value });
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

/**
 * Puts what the server acknowledged into every answer kept for this account whose path begins so. `change` gives the answer as it
 * is now, or the same one where nothing in it is different. Where nothing is kept there is nothing to put it into.
 */
export async function amendKept(pathStart: string, change: (value: unknown) => unknown): Promise<void> {
  amends.set(pathStart, (amends.get(pathStart) ?? 0) + 1);
  try {
    const start = keyOf(pathStart);
    const store = (await open()).transaction('answers', 'readwrite').store;
    for (let cursor = await store.openCursor(IDBKeyRange.bound(start, `${start}\uffff`)); cursor; cursor = await cursor.continue()) {
      const value = change(cursor.value.value);
      if (value !== cursor.value.value) await cursor.update({ ...cursor.value, value });
    }
  } catch {
    // Nothing was kept either.
  }
}

/** Forgets what other accounts read here: whoever comes in finds nothing of theirs on the device. */
export async function forgetOthers(): Promise<void> {
  try {
    const db = await open();
    for (const key of await db.getAllKeys('answers'))
      if (key !== WHO && !key.startsWith(`${accountOfPage() ?? 'nobody'} `)) await db.delete('answers', key);
  } catch {
    // Nothing was kept either.
  }
}

/** Somebody has left: an answer that was still on its way when they did is kept no more. */
let left = false;

/** Forgets everything that was read: whoever signs out leaves nothing of others behind, however late an answer comes to this page. */
export async function forgetForGood(): Promise<void> {
  left = true;
  await forgetKept();
}

/** Forgets everything that was read up to now. */
export async function forgetKept(): Promise<void> {
  try {
    await (await open()).clear('answers');
  } catch {
    // Nothing was kept either.
  }
}

/** When what is kept of a path was read, in milliseconds; null where nothing is. */
export async function keptSince(path: string): Promise<number | null> {
  try {
    return (await (await open()).get('answers', keyOf(path)))?.at ?? null;
  } catch {
    return null;
  }
}

/**
 * Reads from one address what is kept as the answer of another, so that it is there before it is asked for. Throws ApiProblem; what
 * was acknowledged meanwhile is better than what was read before it.
 */
export async function readAhead(from: string, path: string): Promise<void> {
  const before = amendsOf(path);
  const found = await api<unknown>('GET', from);
  if (amendsOf(path) === before) await keepAnswer(path, found);
}

/** Reads from the server; without the line, what it said last today. Throws ApiProblem. */
export async function read<T>(path: string): Promise<T> {
  const before = amendsOf(path);
  try {
    const found = await api<T>('GET', path);
    // What was acknowledged meanwhile may not be in it: then what is kept, with that in it, is the better of the two.
    if (amendsOf(path) === before) void keepAnswer(path, found);
    return found;
  } catch (error) {
    if (!(error instanceof ApiProblem) || !error.isOffline) throw error;
    const kept = await keptAnswer(path);
    if (kept === null) throw error;
    return kept as T;
  }
}
