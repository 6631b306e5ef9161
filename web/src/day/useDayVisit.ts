import { computed } from 'vue';
import { DateTime } from 'luxon';
import { LIMITS, type DayVisit, type ProjectedVisit } from '@pace-bend/core/record';
import { usePractice } from '../stores/practice.ts';
import type { Booking } from './useBooking.ts';
import { t } from '../words/day.ts';

const { dayGrid: GRID, visitMinutes } = LIMITS;

/** A visit of the day, however it is shown: what is said of it, and how it is moved and made longer. */
export function useDayVisit(visitNow: () => DayVisit, projected: () => ProjectedVisit | null, booking: Booking) {
  const practice = usePractice();
  const about = computed(() => [practice.sportPlace(visitNow().sports), visitNow().about].filter(Boolean).join(' · '));
  const readinessWords = computed(() => [visitNow().readiness.word, visitNow().readiness.reason].filter(Boolean).join(': '));
  const isOver = computed(() => visitNow().finishedAt !== null);
  const lateWords = computed(() => {
    const late = projected();
    if (!late) return '';
    if (late.overMin > 0) return t('minOver2', { overMin: late.overMin });
    return late.lateMin >= GRID ? t('lateAbout', { timeOfDay: practice.timeOfDay(new Date(late.startsAtMs).toISOString()) }) : '';
  });

  /** Moves it by minutes and makes it longer by minutes. Stays on its day: another day is another booking. */
  function place(moved: number, grown: number): void {
    const visit = visitNow();
    const to = {
      startsAt: DateTime.fromISO(visit.startsAt).plus({ minutes: moved }).toUTC().toISO()!,
      minutes: Math.min(visitMinutes.max, Math.max(visitMinutes.min, visit.minutes + grown)),
    };
    if (practice.dayOf(to.startsAt) !== practice.dayOf(visit.startsAt)) return;
    const words =
      moved !== 0
        ? t('movedTo', { athleteName: visit.athleteName, timeOfDay: practice.timeOfDay(to.startsAt) })
        : t('hasMinutes', { athleteName: visit.athleteName, minutes: to.minutes });
    void booking.place(visit.id, to, words);
  }

  return { about, readinessWords, isOver, lateWords, place };
}
