import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Change } from './change.ts';

/** A change with whose it is and the page that sends it. */
export interface StoredChange {
  readonly id: string;
  readonly account: string;
  readonly page: string;
  readonly change: Change;
}

/** Where changes outlive the page. All of these may fail: storage can be forbidden or full. */
export interface ChangeStorage {
  readonly of: (account: string) => Promise<StoredChange[]>;
  readonly put: (stored: StoredChange) => Promise<void>;
  readonly remove: (id: string) => Promise<void>;
}

interface Schema extends DBSchema {
  changes: { key: string; value: StoredChange; indexes: { account: string } };
}

/** The browser's own database. It is opened on first use, and again after it was closed under us. */
export function browserStorage(name = 'pace-bend'): ChangeStorage {
  let opening: Promise<IDBPDatabase<Schema>> | null = null;
  function open(): Promise<IDBPDatabase<Schema>> {
    opening ??= openDB<Schema>(name, 1, {
      upgrade: (db) => {
        db.createObjectStore('changes', { keyPath: 'id' }).createIndex('account', 'account');
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
  return {
    of: async (account) => (await open()).getAllFromIndex('changes', 'account', account),
    put: async (stored) => {
      await (await open()).put('changes', stored);
    },
    remove: async (id) => {
      await (await open()).delete('changes', id);
    },
  };
}

/** Pages of this browser that are open: each holds a lock with its name for as long as it lives. */
export interface OpenPages {
  readonly mine: string;
  /** Whether the browser says which pages live. Where it does not, a page takes up what lies there once, when it opens; the server writes it once. */
  readonly canTell: boolean;
  /** Names of the pages that live. */
  readonly living: () => Promise<ReadonlySet<string>>;
  /** Does the work while no other page does. */
  readonly alone: (work: () => Promise<void>) => Promise<void>;
}

const LOCK = 'pace-bend.page.';

export function openPages(
  mine: string,
  locks = typeof navigator === 'undefined' ? undefined : (navigator.locks as LockManager | undefined),
): OpenPages {
  if (!locks) return { mine, canTell: false, living: async () => new Set([mine]), alone: (work) => work() };
  const held = new Promise<void>(
    (holds) =>
      void locks.request(LOCK + mine, () => {
        holds();
        return new Promise(() => undefined);
      }),
  );
  return {
    mine,
    canTell: true,
    async living() {
      await held;
      const names = ((await locks.query()).held ?? []).map((lock) => lock.name ?? '');
      return new Set([mine, ...names.filter((name) => name.startsWith(LOCK)).map((name) => name.slice(LOCK.length))]);
    },
    alone: (work) => locks.request('pace-bend.adopt', work),
  };
}
