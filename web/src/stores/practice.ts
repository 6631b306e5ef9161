import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { DateTime } from 'luxon';
import { formatClock, type Athlete, type ClockHabit, type Practice } from '@pace-bend/core/record';
import {
  allSports,
  placeWords,
  playedSports,
  sportWords,
  type AthleteSport,
  type OwnSport,
  type SportingPerson,
} from '@pace-bend/core/sport';
import { keepChoice, readChoice } from '../api/drafts.ts';
import { read } from '../api/kept.ts';

/** The practice: its name, its time zone, and the day it is there. */
export const usePractice = defineStore('practice', () => {
  const practice = ref<Practice | null>(null);
  let loading: Promise<void> | null = null;

  /** Loads once; `again` asks anew, because the day may have turned since. */
  function load(again = false): Promise<void> {
    if (again) loading = null;
    // Whose habit it is is known once somebody is in.
    clockHabit.value = readChoice('clock') === '12' ? '12' : '24';
    loading ??= read<Practice>('/practice').then(
      (found) => {
        practice.value = found;
      },
      (error: unknown) => {
        loading = null;
        throw error;
      },
    );
    return loading;
  }

  /** Takes what the server has just answered. */
  function take(found: Practice): void {
    practice.value = found;
  }

  const zone = computed(() => practice.value?.timeZone ?? 'utc');
  const today = computed(() => practice.value?.today ?? '');

  /** An instant as the practice's clock shows it. */
  const clockHabit = ref<ClockHabit>('24');
  /** How times are shown to the account signed in, on this device. */
  function setClockHabit(habit: ClockHabit): void {
    clockHabit.value = habit;
    keepChoice('clock', habit);
  }
  /** Minutes since midnight as somebody reads them here. */
  const clock = (minute: number) => formatClock(minute, clockHabit.value);
  /** An instant on the practice's clock, as somebody reads times here. */
  const timeOfDay = (instant: string) => clock(minuteOfDay(instant));
  /** An instant on the practice's clock as records and letters have it: the same for whoever reads them. */
  const recordTime = (instant: string) => formatClock(minuteOfDay(instant), '24');
  /** An instant as a short date of the practice, with the year when it is another one. */
  const shortDate = (instant: string) => {
    const date = DateTime.fromISO(instant, { zone: zone.value });
    return date.toFormat(today.value.startsWith(String(date.year)) ? 'd LLL' : 'd LLL yyyy');
  };
  /** The calendar day an instant falls on in the practice. */
  const dayOf = (instant: string) => DateTime.fromISO(instant, { zone: zone.value }).toISODate()!;
  /** A time of day on a calendar day of the practice, as an instant; null when it is none. */
  const instantAt = (day: string, time: string) => {
    const at = DateTime.fromISO(`${day}T${time}`, { zone: zone.value });
    // In the hour over which clocks go forward there is no such time, though one would be made up for it.
    return at.isValid && at.toFormat('HH:mm') === time ? at.toUTC().toISO()! : null;
  };
  /** Minutes since midnight of an instant, on the practice's clock. */
  const minuteOfDay = (instant: string) => {
    const at = DateTime.fromISO(instant, { zone: zone.value });
    return at.hour * 60 + at.minute;
  };
  /** Whole days from today to a calendar day; negative when it has passed. */
  const daysUntil = (day: string) => Math.round(DateTime.fromISO(day).diff(DateTime.fromISO(today.value), 'days').days);

  const ownSports = computed<readonly OwnSport[]>(() => practice.value?.ownSports ?? []);
  /** The sports somebody is asked about here: those the practice serves, or all of them. Having none, or another, is always possible. */
  const sportsServed = computed(() => {
    const served = practice.value?.sportsServed ?? [];
    return allSports(ownSports.value).filter((sport) => served.length === 0 || sport.standsFor !== undefined || served.includes(sport.id));
  });
  const played = (sports: readonly AthleteSport[]) => playedSports(sports, ownSports.value);
  /** An athlete as the computation needs one. */
  const personOf = ({ birthDate, referenceSex, sports }: Pick<Athlete, 'birthDate' | 'referenceSex' | 'sports'>): SportingPerson => ({
    birthDate,
    referenceSex,
    sports: played(sports),
  });
  /** What somebody does, in a few words; empty for nothing. */
  const sportLine = (sports: readonly AthleteSport[]) => sportWords(played(sports));
  /** The same in a word or two, for where there is little room. */
  const sportPlace = (sports: readonly AthleteSport[]) => placeWords(played(sports));
  /** The same without the athlete's own words. */
  const sportShort = (sports: readonly AthleteSport[]) => sportWords(played(sports).map((each) => ({ ...each, words: '' })));

  return {
    practice,
    ownSports,
    sportsServed,
    played,
    personOf,
    sportLine,
    sportPlace,
    sportShort,
    zone,
    today,
    load,
    take,
    clockHabit,
    setClockHabit,
    clock,
    timeOfDay,
    recordTime,
    shortDate,
    dayOf,
    daysUntil,
    instantAt,
    minuteOfDay,
  };
});
