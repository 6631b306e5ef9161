import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { v7 as uuid } from 'uuid';
import type { CautionContext, ConditionFields, NoTouchFields } from '@pace-bend/core/caution';
import { daysBetween } from '@pace-bend/core/caution';
import type { Athlete, AthleteFields, AthleteFile, Condition, Goal, GoalFields, NoTouchArea } from '@pace-bend/core/record';
import { api, ApiProblem } from '../app/api.ts';
import { autosave, type Autosave } from './autosave.ts';
import { usePractice } from './practice.ts';

/** The athlete whose file is open. */
export const useAthlete = defineStore('athlete', () => {
  const practice = usePractice();
  const file = shallowRef<AthleteFile | null>(null);
  const problem = ref<ApiProblem | null>(null);
  const id = computed(() => file.value?.athlete.id ?? '');
  const saver = shallowRef(makeSaver(''));

  function makeSaver(athleteId: string): Autosave<Partial<AthleteFields>> {
    const made: Autosave<Partial<AthleteFields>> = autosave<Partial<AthleteFields>>(`${athleteId}.file`, async (fields) => {
      const saved = await api<Athlete>('PATCH', `/athletes/${athleteId}`, { revision: file.value!.athlete.revision, ...fields });
      if (file.value?.athlete.id === athleteId) file.value = { ...file.value, athlete: { ...saved, ...made.pending() } };
    });
    return made;
  }

  async function load(athleteId: string): Promise<void> {
    if (id.value !== athleteId) file.value = null;
    problem.value = null;
    try {
      await practice.load();
      file.value = await api<AthleteFile>('GET', `/athletes/${encodeURIComponent(athleteId)}`);
      saver.value = makeSaver(file.value.athlete.id);
      const pending = saver.value.pending();
      if (pending) set(pending);
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problem.value = error;
    }
  }

  /** Changes the file; kept in the browser at once, sent after a pause. */
  function set(fields: Partial<AthleteFields>): void {
    file.value = { ...file.value!, athlete: { ...file.value!.athlete, ...fields } };
    saver.value.set({ ...saver.value.pending(), ...fields });
  }

  /** Drops what was refused and takes what stands. */
  async function takeTheirs(): Promise<void> {
    saver.value.discard();
    await load(id.value);
  }

  /** Adds a condition, or changes one that has an id. Throws ApiProblem. */
  async function putCondition(fields: ConditionFields, existing: Condition | null): Promise<void> {
    const saved = await api<Condition>('PUT', `/athletes/${id.value}/conditions/${existing?.id ?? uuid()}`, { ...fields, revision: existing?.revision ?? 0 });
    file.value = { ...file.value!, conditions: [...file.value!.conditions.filter((each) => each.id !== saved.id), saved] };
  }

  async function withdrawCondition(condition: Condition): Promise<void> {
    const { conditions } = await api<{ conditions: Condition[] }>('DELETE', `/athletes/${id.value}/conditions/${condition.id}`, {});
    file.value = { ...file.value!, conditions };
  }

  async function addNoTouch(area: NoTouchFields): Promise<void> {
    const { noTouch } = await api<{ noTouch: NoTouchArea[] }>('PUT', `/athletes/${id.value}/no-touch/${uuid()}`, area);
    file.value = { ...file.value!, noTouch };
  }

  async function liftNoTouch(area: NoTouchArea): Promise<void> {
    const { noTouch } = await api<{ noTouch: NoTouchArea[] }>('DELETE', `/athletes/${id.value}/no-touch/${area.id}`, {});
    file.value = { ...file.value!, noTouch };
  }

  /** Sets a goal in place of the one that stood for the motion and side. Throws ApiProblem. */
  async function setGoal(goal: GoalFields): Promise<void> {
    const { goals } = await api<{ goals: Goal[] }>('PUT', `/athletes/${id.value}/goals/${uuid()}`, goal);
    file.value = { ...file.value!, goals };
  }

  async function withdrawGoal(goalId: string): Promise<void> {
    const { goals } = await api<{ goals: Goal[] }>('DELETE', `/athletes/${id.value}/goals/${goalId}`, {});
    file.value = { ...file.value!, goals };
  }

  /** What cautions say today, outside any visit: nothing was asked, the next event counts. */
  const cautionContext = computed<CautionContext | null>(() => {
    if (!file.value || !practice.practice) return null;
    const { athlete: { birthDate, medications, beighton, historyOn }, conditions, noTouch, events } = file.value;
    const next = events.find((event) => event.onDate >= practice.today);
    const last = events.findLast((event) => event.onDate < practice.today);
    return {
      subject: { birthDate, medications, beighton, conditions, noTouch, historyTaken: historyOn !== null }, onDay: practice.today, scope: practice.practice.scope, raised: [], questions: 'open', consent: null,
      daysToEvent: next ? daysBetween(practice.today, next.onDate) : null, daysSinceEvent: last ? daysBetween(last.onDate, practice.today) : null,
    };
  });

  return { file, problem, id, saver, cautionContext, load, set, takeTheirs, putCondition, withdrawCondition, addNoTouch, liftNoTouch, setGoal, withdrawGoal };
});
