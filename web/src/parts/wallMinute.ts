import { DateTime } from 'luxon';

/**
 * Minutes of the day by the clock on the wall, from instants: on a day on which the clock is put forward or back, the hour that is shown
 * counts. Before the day they are below 0, after it above 1439.
 */
export function wallMinute(onDate: string, zone: string): (instant: string | Date) => number {
  const day = DateTime.fromISO(onDate, { zone: 'utc' });
  return (instant) => {
    const at = typeof instant === 'string' ? DateTime.fromISO(instant, { zone }) : DateTime.fromJSDate(instant, { zone });
    const days = at.setZone('utc', { keepLocalTime: true }).startOf('day').diff(day, 'days').days;
    return days * 1440 + at.hour * 60 + at.minute + at.second / 60;
  };
}
