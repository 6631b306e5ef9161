import { defineStore } from 'pinia';
import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import { v7 as uuid } from 'uuid';
import { addDays, type LoadFields, type TrainingLoad } from '@pace-bend/core/load';
import type { AthleteSport } from '@pace-bend/core/sport';
import { api, ApiProblem } from '../api/api.ts';
import { athleteRecord } from '../outbox/athleteChanges.ts';
import type { Change } from '../outbox/change.ts';
import { savingOf, useOutbox } from './outbox.ts';
import { t } from '../words/stores.ts';

export interface LoadAthlete {
  readonly id: string;
  readonly name: string;
  readonly sports: readonly AthleteSport[];
  readonly loads: readonly TrainingLoad[];
}
interface LoadsPage {
  readonly from: string;
  readonly to: string;
  readonly columns: Readonly<Record<string, string | null>> | null;
  readonly athletes: readonly LoadAthlete[];
}

/** How far back a week looks: its long mean needs the 35 days that end with it. */
const BEHIND_DAYS = 41;
const PAUSE_MS = 400;
/** How often weeks are read again because something of them was answered meanwhile. */
const READS_MOST = 4;
const isLoad = (change: Change) => change.spot.startsWith('load/');
const idOf = (change: Change) => change.spot.slice('load/'.length);

/** Sessions of a squad, and what is on its way to the server. */
export const useLoads = defineStore('loads', () => {
  const outbox = useOutbox();
  const served = shallowRef<LoadsPage | null>(null);
  const problem = ref<ApiProblem | null>(null);

  let turn = 0;
  let answered = 0;

  /**
   * Loads the weeks that end with a day. Of several asked for at once the last one is shown; what is answered while it is on its way is not
   * in what was read, and then it is read again.
   */
  async function load(squadId: string | null, lastDay: string): Promise<void> {
    const mine = ++turn;
    problem.value = null;
    try {
      for (let i = 0; i < READS_MOST; i++) {
        const before = answered;
        const page = await api<LoadsPage>(
          'GET',
          `/loads?from=${addDays(lastDay, -BEHIND_DAYS)}&to=${lastDay}${squadId ? `&squad=${squadId}` : ''}`,
        );
        if (mine !== turn) return;
        served.value = page;
        if (answered === before) return;
      }
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      if (mine === turn) problem.value = error;
    }
  }

  const waiting = computed(() => {
    const byRecord = new Map<string, Change[]>();
    for (const change of outbox.changes) if (isLoad(change)) byRecord.set(change.record, [...(byRecord.get(change.record) ?? []), change]);
    return byRecord;
  });
  const laidOver = new WeakMap<LoadAthlete, { readonly changes: readonly Change[]; readonly athlete: LoadAthlete }>();
  /** One athlete with what waits laid over; the same object as long as the same waits, so that a row is worked out once. */
  const withWaiting = (athlete: LoadAthlete): LoadAthlete => {
    const changes = waiting.value.get(athleteRecord(athlete.id))?.filter((change) => change.refusal === null);
    if (!changes || changes.length === 0) return athlete;
    const known = laidOver.get(athlete);
    if (known?.changes.length === changes.length && changes.every((change, i) => change === known.changes[i])) return known.athlete;
    const laid: LoadAthlete = {
      ...athlete,
      loads: changes.reduce<readonly TrainingLoad[]>((loads, change) => {
        const id = idOf(change);
        const rest = loads.filter((each) => each.id !== id);
        const before = loads.find((each) => each.id === id);
        return change.method === 'DELETE'
          ? rest
          : [...rest, { by: '', at: change.madeAt, revision: before?.revision ?? 0, ...(change.body as unknown as LoadFields), id }];
      }, athlete.loads),
    };
    laidOver.set(athlete, { changes, athlete: laid });
    return laid;
  };
  const athletes = computed(() => (served.value?.athletes ?? []).map(withWaiting));
  /** Athletes and days of which something is not on the server yet, and what was refused. */
  const unsent = computed(() => [...waiting.value.values()].flat());
  const refused = computed(() => unsent.value.filter((change) => change.refusal !== null));

  onScopeDispose(
    outbox.hearAnswers((change, answer) => {
      if (!isLoad(change)) return;
      answered += 1;
      if (!served.value) return;
      const id = idOf(change);
      served.value = {
        ...served.value,
        athletes: served.value.athletes.map((athlete) =>
          athleteRecord(athlete.id) === change.record
            ? {
                ...athlete,
                loads: [...athlete.loads.filter((each) => each.id !== id), ...(change.method === 'DELETE' ? [] : [answer as TrainingLoad])],
              }
            : athlete,
        ),
      };
    }),
  );

  const saveState = computed(() => savingOf(unsent.value, outbox.problem));

  /** Writes a session: a new one, or over one that stands. */
  function write(athleteId: string, fields: LoadFields, over: TrainingLoad | null): string {
    const id = over?.id ?? uuid();
    outbox.put(
      {
        record: athleteRecord(athleteId),
        spot: `load/${id}`,
        words: t('sessionsTraining'),
        method: 'PUT',
        path: `/athletes/${athleteId}/loads/${id}`,
        body: { ...fields },
        join: 'fields',
        revision: { of: `load/${id}`, base: over?.revision ?? 0 },
      },
      PAUSE_MS,
    );
    return id;
  }

  function takeOut(athleteId: string, id: string): void {
    // What was never tried is taken back before anybody knew of it.
    const last = outbox.at(athleteRecord(athleteId), `load/${id}`);
    if (last && last.tried.length === 0 && last.revision?.base === 0 && outbox.drop(last.id)) return;
    outbox.put({
      record: athleteRecord(athleteId),
      spot: `load/${id}`,
      words: t('sessionsTraining'),
      method: 'DELETE',
      path: `/athletes/${athleteId}/loads/${id}`,
      body: {},
      join: 'none',
      revision: null,
    });
  }

  const drop = (id: string) => outbox.drop(id);
  return { served, athletes, problem, unsent, refused, saveState, load, write, takeOut, drop };
});
