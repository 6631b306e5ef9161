import type { Reading } from './visit.ts';

/**
 * The readings that stand: those that no other one corrects and that were not withdrawn.
 * Order is kept.
 */
export function currentReadings<R extends Pick<Reading, 'id' | 'supersedes' | 'value'>>(readings: readonly R[]): R[] {
  const corrected = new Set(readings.map((reading) => reading.supersedes));
  return readings.filter((reading) => !corrected.has(reading.id) && reading.value !== null);
}
