import { computed, watch, type Ref } from 'vue';
import { firstAway } from '@pace-bend/core/cycle';
import type { SeasonPlan, Stay } from '@pace-bend/core/season';
import { useForecast } from '../athlete/whatIf/useForecast.ts';
import { usePractice } from '../stores/practice.ts';
import type { useGoal } from './useGoal.ts';

/** No further than forecasts look, in days. */
const FURTHEST_DAYS = 280;

/** The forecast of the goal that is looked at, by the rhythm that is planned or, without one, as visits went lately, away as laid out. */
export function useGoalOutlook(
  { file, goals, goal }: ReturnType<typeof useGoal>,
  plan: Ref<SeasonPlan | null>,
  stays: Ref<readonly Stay[]>,
) {
  const practice = usePractice();
  const { open, look, clear, state, problem, failure, spots, outlooks } = useForecast();

  const spot = computed(() => spots.value.find((each) => each.motionId === goal.value?.motionId && each.side === goal.value.side) ?? null);
  watch(
    () => file.value?.athlete.id,
    (id) => {
      if (id && goals.value.length > 0) void open(id, file.value!.errors);
    },
  );
  const endDays = computed(() => (goal.value?.byDate ? practice.daysUntil(goal.value.byDate) : 0));
  const away = computed(() => firstAway(stays.value, practice.today, goal.value?.byDate ?? practice.today));
  const perWeek = computed(() => plan.value?.rhythm?.perWeek ?? spot.value?.rhythm.perWeek ?? null);
  watch([spot, goal, away, perWeek], ([now]) => {
    clear();
    if (!now || !goal.value || endDays.value <= 0 || perWeek.value === null) return;
    look({
      motionId: now.motionId,
      side: now.side,
      goal: goal.value.value,
      end: Math.min(endDays.value, FURTHEST_DAYS),
      schedules: [
        {
          perWeek: perWeek.value,
          usualGain: now.rhythm.usualGain,
          homeDays: plan.value?.rhythm?.homeDays ?? 0,
          startsInWeeks: 0,
          away: away.value,
        },
      ],
    });
  });
  return { state, problem, failure, endDays, away, perWeek, outlook: computed(() => outlooks.value[0] ?? null) };
}
