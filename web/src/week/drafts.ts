import { defineStore } from 'pinia';
import { shallowReactive } from 'vue';
import { v7 as uuid } from 'uuid';
import type { WeekState, WorkSlot } from '@pace-bend/core/week';

/** Somebody in a slot of a week that is not booked yet. */
export interface Put {
  readonly athleteId: string;
  readonly key: string;
  readonly pinned: boolean;
}

/** A week as it is being made. */
export interface Draft {
  readonly placed: readonly Put[];
  /** Slots that are kept free, slots beyond the hours, and who is left out by hand. */
  readonly closed: readonly string[];
  readonly opened: readonly WorkSlot[];
  readonly out: readonly string[];
  readonly how: WeekState | 'empty';
  /** How much better a week could be at most, where the search was stopped. */
  readonly gap: number;
}

/** Something that was done to a week, with its way back and forth. */
export interface Done {
  readonly words: string;
  readonly back: () => Promise<void> | void;
  readonly again: () => Promise<void> | void;
}

interface Kept {
  readonly draft: Draft;
  readonly done: readonly Done[];
  readonly undone: readonly Done[];
}

const EMPTY: Draft = { placed: [], closed: [], opened: [], out: [], how: 'empty', gap: 0 };
const NEW: Kept = { draft: EMPTY, done: [], undone: [] };

/** Weeks that are being made, by their Monday: they are there again when the page is. */
export const useWeekDrafts = defineStore('weekDrafts', () => {
  const weeks = shallowReactive(new Map<string, Kept>());
  /** A visit keeps the id it was first given, so that booking it twice books it once. */
  const ids = new Map<string, string>();

  const kept = (monday: string): Kept => weeks.get(monday) ?? NEW;
  const of = (monday: string): Draft => kept(monday).draft;
  const put = (monday: string, draft: Draft): void => void weeks.set(monday, { ...kept(monday), draft });
  /** Takes in that something was done. */
  const did = (monday: string, done: Done): void =>
    void weeks.set(monday, { ...kept(monday), done: [...kept(monday).done, done], undone: [] });
  /** Changes a week, with a way back. */
  function step(monday: string, words: string, draft: Draft): void {
    const before = of(monday);
    put(monday, draft);
    did(monday, { words, back: () => put(monday, before), again: () => put(monday, draft) });
  }
  /** Takes the last thing back. */
  async function undo(monday: string): Promise<void> {
    const last = kept(monday).done.at(-1);
    if (!last) return;
    await last.back();
    weeks.set(monday, { ...kept(monday), done: kept(monday).done.slice(0, -1), undone: [...kept(monday).undone, last] });
  }
  async function redo(monday: string): Promise<void> {
    const last = kept(monday).undone.at(-1);
    if (!last) return;
    await last.again();
    weeks.set(monday, { ...kept(monday), done: [...kept(monday).done, last], undone: kept(monday).undone.slice(0, -1) });
  }
  function idOf(monday: string, athleteId: string, key: string, standing: ReadonlySet<string>): string {
    const name = `${monday}/${athleteId}/${key}`;
    const had = ids.get(name);
    // Moved elsewhere since, it is another visit.
    const id = had === undefined || standing.has(had) ? uuid() : had;
    ids.set(name, id);
    return id;
  }

  return { empty: EMPTY, of, kept, put, did, step, undo, redo, idOf };
});
