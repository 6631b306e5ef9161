import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import { motionOf } from '@pace-bend/core/body';
import { goalStanding } from '@pace-bend/core/cycle';
import { daysBetween } from '@pace-bend/core/caution';
import { addDays } from '@pace-bend/core/load';
import { errorOf } from '@pace-bend/core/measure';
import type { AthleteFile } from '@pace-bend/core/record';
import type { LaidBlock, PhaseRule } from '@pace-bend/core/season';
import { smoothLevel } from '@pace-bend/core/trend';
import { api, ApiProblem } from '../api/api.ts';
import { usePractice } from '../stores/practice.ts';

const goalKey = ({ motionId, side }: { readonly motionId: string; readonly side: string }) => `${motionId}/${side}`;

/** The goals of an athlete over a season: one of them is looked at, with its readings, its level and its path. */
export function useGoal(line: Ref<readonly LaidBlock[]>, rules: Ref<readonly PhaseRule[]>) {
  const practice = usePractice();
  const file = shallowRef<AthleteFile | null>(null);
  const problem = shallowRef<ApiProblem | null>(null);
  const chosen = ref<string | null>(null);
  let turn = 0;

  async function open(athleteId: string | null): Promise<void> {
    const mine = ++turn;
    if (file.value?.athlete.id !== athleteId) {
      file.value = null;
      chosen.value = null;
    }
    problem.value = null;
    if (athleteId === null) return;
    try {
      const found = await api<AthleteFile>('GET', `/athletes/${encodeURIComponent(athleteId)}`);
      if (mine === turn) file.value = found;
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      if (mine === turn) problem.value = error;
    }
  }

  /** Goals with a day and readings: the others have no path. */
  const goals = computed(() =>
    (file.value?.goals ?? []).filter((goal) => goal.byDate !== null && file.value!.past.some((each) => goalKey(each) === goalKey(goal))),
  );
  watch(goals, (now) => {
    if (!now.some((goal) => goalKey(goal) === chosen.value)) chosen.value = now[0] ? goalKey(now[0]) : null;
  });
  const goal = computed(() => goals.value.find((each) => goalKey(each) === chosen.value) ?? null);
  const motion = computed(() => (goal.value ? motionOf(goal.value.motionId) : null));
  const mine = computed(() => (goal.value ? file.value!.past.filter((each) => goalKey(each) === goalKey(goal.value!)) : []));

  const readings = computed(() => {
    const days = new Map<string, { day: string; before: number | null; after: number | null }>();
    for (const { startsAt, moment, value } of mine.value) {
      const day = practice.dayOf(startsAt);
      days.set(day, { ...(days.get(day) ?? { day, before: null, after: null }), [moment]: value });
    }
    return [...days.values()];
  });
  const standing = computed(() =>
    goal.value
      ? goalStanding(
          goal.value,
          file.value!.past,
          { blocks: line.value, rules: rules.value },
          { errors: file.value!.errors, today: practice.today, dayOf: practice.dayOf },
        )
      : null,
  );

  const level = computed(() => {
    const before = mine.value.filter(({ moment }) => moment === 'before');
    if (before.length === 0 || !motion.value) return [];
    const { points } = smoothLevel(
      before.map((each) => ({
        day: -daysBetween(practice.dayOf(each.startsAt), practice.today),
        value: each.value,
        sem: errorOf(motion.value!, each, file.value!.errors, 'between').sem,
      })),
    );
    const known = points.map((point) => ({ ...point, on: addDays(practice.today, point.day) }));
    // Up to today it is less and less known.
    const now = standing.value?.level;
    return now && known.at(-1)!.on < practice.today ? [...known, { ...known.at(-1)!, ...now, day: 0, on: practice.today }] : known;
  });
  return { file, problem, goals, chosen, goal, motion, readings, level, standing, open, goalKey };
}
