import type { Muscle } from '../body/index.ts';
import type { ScaleId } from './scales.ts';

/** A sore place, by the muscle that lies there. */
export interface SorePlace {
  readonly muscle: Muscle;
  /** Null in the middle. */
  readonly side: 'left' | 'right' | null;
  /** 0–10. */
  readonly score: number;
}

/** What somebody answered on one day. Whatever was not answered is missing: null, or not there. */
export interface CheckInFields {
  readonly onDate: string;
  readonly scale: ScaleId;
  /** By the id of the item. */
  readonly answers: Readonly<Record<string, number>>;
  readonly hoursSlept: number | null;
  /** Empty where nothing is sore, null where it was not asked. */
  readonly sore: readonly SorePlace[] | null;
  readonly ill: boolean | null;
  readonly injured: boolean | null;
  readonly travelled: boolean | null;
  /** Whether they can train today. */
  readonly training: 'full' | 'part' | 'none' | null;
  /** In milliseconds, of this morning; null without one. */
  readonly rmssdMs: number | null;
}

/** One that was sent. None is changed: a correction names the one it takes the place of. */
export interface CheckIn extends CheckInFields {
  readonly id: string;
  readonly at: string;
  /** Who entered it. */
  readonly by: string;
  readonly supersedes: string | null;
}

/**
 * The check-ins that stand, one for each day: the last one sent for it, corrections counted.
 * @example standing([]) // → []
 */
export function standing(all: readonly CheckIn[]): CheckIn[] {
  const corrected = new Set<string>();
  for (const { supersedes } of all) if (supersedes !== null) corrected.add(supersedes);
  const byDay = new Map<string, CheckIn>();
  for (const each of all) {
    if (corrected.has(each.id)) continue;
    const other = byDay.get(each.onDate);
    if (!other || other.at <= each.at) byDay.set(each.onDate, each);
  }
  return [...byDay.values()].sort((a, b) => (a.onDate < b.onDate ? -1 : 1));
}
