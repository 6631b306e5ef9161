import { MOTIONS, type Motion, type Side } from '../body/index.ts';
import { rankStiffness, type ChangeVerdict } from '../measure/index.ts';
import { playedSports, type Sport } from '../sport/index.ts';
import { compareMotion, type MotionComparison, type ValueToday } from './comparison.ts';
import type { PastReading, SquadStrip } from './visit.ts';

/** One motion of one athlete: the latest value of each side against the one before and the first. */
export interface StripCell {
  readonly comparison: MotionComparison;
  /** How many standard errors the stiffer side falls short; zero: nothing to chase. */
  readonly score: number;
  /** Sides whose latest reading really differs from the one before it. */
  readonly changes: readonly { readonly side: Side; readonly verdict: ChangeVerdict }[];
}

export interface StripRow {
  readonly id: string;
  readonly name: string;
  readonly cells: ReadonlyMap<string, StripCell>;
  /** The largest score of the row, and how many sides really changed. */
  readonly worst: number;
  readonly changed: number;
}

export interface Strip {
  /** Motions anybody was read in, in the catalogue's order. */
  readonly motions: readonly Motion[];
  readonly rows: readonly StripRow[];
}

/**
 * A squad at a glance: people by motions. Of each side the latest reading stands for now, whatever visit it is from; what it is
 * compared with are the readings before it.
 */
export function stripOf({ athletes, errors }: SquadStrip, dayOf: (instant: string) => string, ownSports: readonly Sport[] = []): Strip {
  const seen = new Set<string>();
  const rows = athletes.map(({ id, name, birthDate, referenceSex, sports, readings }): StripRow => {
    const person = { birthDate, referenceSex, sports: playedSports(sports, ownSports) };
    const newest = MOTIONS.flatMap((motion) =>
      motion.sides.flatMap((side) => readings.findLast((reading) => reading.motionId === motion.id && reading.side === side) ?? []),
    );
    const byMotion = new Map<string, PastReading[]>();
    for (const reading of readings) {
      seen.add(reading.motionId);
      const list = byMotion.get(reading.motionId);
      if (list) list.push(reading);
      else byMotion.set(reading.motionId, [reading]);
    }
    const cells = new Map<string, StripCell>();
    for (const motion of MOTIONS) {
      const own = byMotion.get(motion.id);
      if (!own) continue;
      const latest = motion.sides.flatMap((side) => own.findLast((reading) => reading.side === side) ?? []);
      const comparison = compareMotion(motion, 'before', {
        person,
        onDay: dayOf(latest.at(-1)!.startsAt),
        today: newest.map((reading): ValueToday => reading),
        past: own.filter((reading) => !latest.includes(reading)),
        errors,
      });
      const ranked = rankStiffness(
        comparison.sides.flatMap((side) =>
          side.error ? [{ motion, side: side.side, sem: side.error.sem, reference: side.reference, sides: comparison.sideVerdict }] : [],
        ),
      );
      const changes = comparison.sides.flatMap((side) =>
        side.sinceLast && (side.sinceLast.kind === 'real-gain' || side.sinceLast.kind === 'real-loss')
          ? [{ side: side.side, verdict: side.sinceLast }]
          : [],
      );
      cells.set(motion.id, { comparison, score: ranked[0]?.score ?? 0, changes });
    }
    return {
      id,
      name,
      cells,
      worst: Math.max(0, ...[...cells.values()].map((cell) => cell.score)),
      changed: [...cells.values()].reduce((sum, cell) => sum + cell.changes.length, 0),
    };
  });
  return { motions: MOTIONS.filter((motion) => seen.has(motion.id)), rows };
}

export type StripOrder = 'name' | 'worst' | 'changed' | { readonly motionId: string };

/** Sorted rows: by name, or the stiffest, most changed or shortest in one motion first; who was not read comes last. Ties go by name. */
export function sortStrip(rows: readonly StripRow[], order: StripOrder): StripRow[] {
  const key = (row: StripRow): number =>
    order === 'name' ? 0 : order === 'worst' ? row.worst : order === 'changed' ? row.changed : (row.cells.get(order.motionId)?.score ?? -1);
  return [...rows].sort((a, b) => key(b) - key(a) || a.name.localeCompare(b.name));
}
