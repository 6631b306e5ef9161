import { openDB, type IDBPDatabase } from 'idb';
import { api, ApiProblem } from '../api/api.ts';

/** Something that waits to be sent from a check-in page: made once, with its id in its path, so that trying again sends it once. */
export interface Waiting {
  readonly path: string;
  readonly token: string;
  readonly body: unknown;
  readonly madeAt: string;
}

const STORE = 'waiting';
let opened: Promise<IDBPDatabase> | null = null;
const database = () =>
  (opened ??= openDB('pace-bend-check-in', 1, {
    upgrade(db) {
      db.createObjectStore(STORE, { keyPath: 'path' });
    },
  }));
/** Where the browser keeps nothing, what waits is kept while the page is open. */
const memory = new Map<string, Waiting>();

async function stored(): Promise<Waiting[]> {
  const kept = await database()
    .then((db) => db.getAll(STORE) as Promise<Waiting[]>)
    .catch(() => []);
  return [...new Map([...kept, ...memory.values()].map((each) => [each.path, each])).values()].sort((a, b) =>
    a.madeAt < b.madeAt ? -1 : 1,
  );
}

async function forget(path: string): Promise<void> {
  memory.delete(path);
  await database()
    .then((db) => db.delete(STORE, path))
    .catch(() => undefined);
}

export const tokenHead = (token: string) => ({ 'Pace-Bend-Check-In': token });

/** What came of trying to send what waits. */
export interface Sent {
  /** Still waiting, because there was no answer. */
  readonly waiting: number;
  /** What the server refused for good: it is dropped, and said. */
  readonly refused: readonly ApiProblem[];
}

let sending: Promise<Sent> | null = null;

/** Sends everything that waits, one after the other; one run at a time. */
export function sendWaiting(): Promise<Sent> {
  sending ??= run().finally(() => {
    sending = null;
  });
  return sending;
}

async function run(): Promise<Sent> {
  const refused: ApiProblem[] = [];
  for (const each of await stored()) {
    try {
      await api('PUT', each.path, each.body, tokenHead(each.token));
      await forget(each.path);
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      // Later it may go through as it is; until then what follows waits behind it.
      if (error.mayPass) break;
      refused.push(error);
      await forget(each.path);
    }
  }
  return { waiting: (await stored()).length, refused };
}

/** Keeps something on the device first and then tries to send it. */
export async function send(waiting: Omit<Waiting, 'madeAt'>): Promise<Sent> {
  const kept = { ...waiting, madeAt: new Date().toISOString() };
  memory.set(kept.path, kept);
  await database()
    .then((db) => db.put(STORE, JSON.parse(JSON.stringify(kept))))
    .catch(() => undefined);
  // A run that is under way has looked at what waited before this one.
  if (sending) await sending.catch(() => undefined);
  return sendWaiting();
}

/** How many things wait on this device. */
export const waitingCount = async () => (await stored()).length;
