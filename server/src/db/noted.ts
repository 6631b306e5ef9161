import { AsyncLocalStorage } from 'node:async_hooks';
import type { Db } from './pool.ts';

/** A line that has to be written together with what a request changes. */
export interface Note {
  write(db: Db): Promise<void>;
  /** Called once the line stands for good. */
  stands(): void;
  written: boolean;
}

const notes = new AsyncLocalStorage<Note | null>();

/** Runs the rest of a request with a note that goes into the transaction of its first change. */
export function withNote(note: Note, rest: () => void): void {
  notes.run(note, rest);
}

/** Does something beside what the request is for, counting an attempt for one: it carries no note. */
export function aside<T>(work: () => Promise<T>): Promise<T> {
  return notes.run(null, work);
}

/** The note of the request under way that nothing has carried yet. */
export function pendingNote(): Note | null {
  const note = notes.getStore();
  return note && !note.written ? note : null;
}
