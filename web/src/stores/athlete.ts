import { defineStore } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import { openName } from './openName.ts';
import { v7 as uuid } from 'uuid';
import type { CautionContext, ConditionFields, NoTouchFields } from '@pace-bend/core/caution';
import { daysBetween } from '@pace-bend/core/caution';
import type { AthleteFields, AthleteFile, Condition, GoalFields, NoTouchArea } from '@pace-bend/core/record';
import { api, ApiProblem } from '../api/api.ts';
import { athleteRecord, withAnswer, withWaiting } from '../outbox/athleteChanges.ts';
import { savingOf, useOutbox } from './outbox.ts';
import { usePractice } from './practice.ts';
import { t } from '../words/stores.ts';

/** Typing goes on: what is typed is kept at once and sent when the hand has rested this long, in milliseconds. */
const PAUSE_MS = 500;

/** The athlete whose file is open. */
export const useAthlete = defineStore('athlete', () => {
  const practice = usePractice();
  const outbox = useOutbox();
  /** What the server said last. */
  const served = shallowRef<AthleteFile | null>(null);
  const problem = ref<ApiProblem | null>(null);
  const id = computed(() => served.value?.athlete.id ?? '');
  const record = computed(() => athleteRecord(id.value));
  const waiting = computed(() => outbox.of(record.value));
  /** The file as it is shown: what waits lies over what the server said. */
  const file = computed<AthleteFile | null>(() => (served.value ? withWaiting(served.value, waiting.value) : null));
  const refused = computed(() => waiting.value.filter((change) => change.refusal !== null));
  const saveState = computed(() => savingOf(waiting.value, outbox.problem));

  watch(file, (now) => {
    if (now) openName.value = { id: now.athlete.id, name: now.athlete.name };
  });
  outbox.hearAnswers((change, answer) => {
    if (served.value && change.record === record.value) served.value = withAnswer(served.value, change, answer);
  });

  async function load(athleteId: string): Promise<void> {
    if (id.value !== athleteId) served.value = null;
    problem.value = null;
    try {
      await practice.load();
      await outbox.whileStill(athleteRecord(athleteId), async () => {
        served.value = await api<AthleteFile>('GET', `/athletes/${encodeURIComponent(athleteId)}`);
      });
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problem.value = error;
    }
  }

  type Draft = Parameters<typeof outbox.ask>[0];
  const ask = (draft: Omit<Draft, 'record'>) => outbox.ask({ ...draft, record: record.value });

  /** Changes the file; kept in the browser at once, sent after a pause. */
  function set(fields: Partial<AthleteFields>): void {
    const { athlete } = file.value!;
    const before = Object.fromEntries(Object.keys(fields).map((name) => [name, athlete[name as keyof AthleteFields]]));
    outbox.put(
      {
        record: record.value,
        spot: 'fields',
        words: t('athletesFile'),
        method: 'PATCH',
        path: `/athletes/${id.value}`,
        body: fields,
        join: 'fields',
        revision: { of: record.value, base: served.value!.athlete.revision },
        before,
      },
      PAUSE_MS,
    );
  }

  /** Drops what was refused and takes what stands. */
  async function takeTheirs(): Promise<void> {
    outbox.dropRecord(record.value, (change) => change.refusal !== null);
    await load(id.value);
  }

  /** Puts what was typed here over what was changed meanwhile, knowingly. */
  async function keepMine(): Promise<void> {
    await Promise.all(waiting.value.filter((change) => change.refusal !== null).map((change) => outbox.insist(change.id)));
    await load(id.value);
  }

  /** Adds a condition, or changes one that has an id. Throws ApiProblem. */
  function putCondition(fields: ConditionFields, existing: Condition | null) {
    const conditionId = existing?.id ?? uuid();
    return ask({
      spot: `condition/${conditionId}`,
      words: t('aCondition'),
      method: 'PUT',
      path: `/athletes/${id.value}/conditions/${conditionId}`,
      body: { ...fields },
      join: 'fields',
      revision: { of: `condition/${conditionId}`, base: existing?.revision ?? 0 },
    });
  }

  const withdrawCondition = (condition: Condition) =>
    ask({
      spot: `condition/${condition.id}`,
      words: t('aCondition'),
      method: 'DELETE',
      path: `/athletes/${id.value}/conditions/${condition.id}`,
      body: {},
      join: 'none',
      revision: null,
    });

  function addNoTouch(area: NoTouchFields) {
    const areaId = uuid();
    return ask({
      spot: `no-touch/${areaId}`,
      words: t('areaNotTouched'),
      method: 'PUT',
      path: `/athletes/${id.value}/no-touch/${areaId}`,
      body: { ...area },
      join: 'none',
      revision: null,
    });
  }

  const liftNoTouch = (area: NoTouchArea) =>
    ask({
      spot: `no-touch/${area.id}`,
      words: t('areaNotTouched'),
      method: 'DELETE',
      path: `/athletes/${id.value}/no-touch/${area.id}`,
      body: {},
      join: 'none',
      revision: null,
    });

  /** Sets a goal in place of the one that stood for the motion and side. Throws ApiProblem. */
  function setGoal(goal: GoalFields) {
    const goalId = uuid();
    return ask({
      spot: `goal/${goalId}`,
      words: t('aGoal'),
      method: 'PUT',
      path: `/athletes/${id.value}/goals/${goalId}`,
      body: { ...goal },
      join: 'none',
      revision: null,
    });
  }

  const withdrawGoal = (goalId: string) =>
    ask({
      spot: `goal/${goalId}`,
      words: t('aGoal'),
      method: 'DELETE',
      path: `/athletes/${id.value}/goals/${goalId}`,
      body: {},
      join: 'none',
      revision: null,
    });

  /** What cautions say today, outside any visit: nothing was asked, the next event counts. */
  const cautionContext = computed<CautionContext | null>(() => {
    if (!file.value || !practice.practice) return null;
    const {
      athlete: { birthDate, medications, beighton, historyOn },
      conditions,
      noTouch,
      events,
    } = file.value;
    const next = events.find((event) => event.onDate >= practice.today);
    const last = events.findLast((event) => event.onDate < practice.today);
    return {
      subject: { birthDate, medications, beighton, conditions, noTouch, historyTaken: historyOn !== null },
      onDay: practice.today,
      scope: practice.practice.scope,
      raised: [],
      questions: 'open',
      consent: null,
      // Readiness is asked at a visit; here nothing of the day holds anything back.
      today: [],
      daysToEvent: next ? daysBetween(practice.today, next.onDate) : null,
      daysSinceEvent: last ? daysBetween(last.onDate, practice.today) : null,
    };
  });

  return {
    file,
    problem,
    id,
    record,
    saveState,
    refused,
    cautionContext,
    load,
    set,
    takeTheirs,
    keepMine,
    flush: () => outbox.flush(record.value),
    putCondition,
    withdrawCondition,
    addNoTouch,
    liftNoTouch,
    setGoal,
    withdrawGoal,
  };
});
