import type { Side } from '../body/index.ts';
import type { ReadinessWord } from '../readiness/index.ts';
import type { AvailabilityLevel } from './athlete.ts';

export interface CoachAthlete {
  readonly id: string;
  readonly name: string;
  /** The word of today and nothing behind it. */
  readonly readiness: ReadinessWord;
  readonly availability: AvailabilityLevel;
  readonly availableUntil: string | null;
  /** Range before work at each visit, oldest first, by motion and side. */
  readonly trends: readonly {
    readonly motionId: string;
    readonly side: Side;
    readonly points: readonly { readonly on: string; readonly value: number }[];
  }[];
}

/** What a coach sees: the squads given to them, and of each athlete no more than this. */
export interface CoachPage {
  readonly squads: readonly { readonly id: string; readonly name: string; readonly athletes: readonly CoachAthlete[] }[];
}

/** What a coach's page is made from: rows as they are kept, days already in the practice's own time. */
export interface CoachFacts {
  readonly today: string;
  /** One row for each squad and member; a squad without members has one with no athlete. By squad, then by name. */
  readonly members: readonly {
    readonly squadId: string;
    readonly squadName: string;
    readonly id: string | null;
    readonly name: string | null;
    readonly availability: AvailabilityLevel | null;
    readonly availableUntil: string | null;
  }[];
  /** Oldest first. */
  readonly visits: readonly {
    readonly id: string;
    readonly athleteId: string;
    readonly on: string;
  }[];
  /** Today's word by athlete; nobody in it is not known. */
  readonly readiness: ReadonlyMap<string, ReadinessWord>;
  readonly readings: readonly { readonly visitId: string; readonly motionId: string; readonly side: Side; readonly value: number }[];
}

/** Squads with what a coach may see of each member. An availability that ran out is full again. */
export function coachPage({ today, members, visits, readings, readiness }: CoachFacts): CoachPage {
  const byVisit = groupBy(readings, (reading) => reading.visitId);
  const byAthlete = groupBy(visits, (visit) => visit.athleteId);
  const athleteOf = ({ id, name, availability, availableUntil }: CoachFacts['members'][number]): CoachAthlete => {
    const own = byAthlete.get(id!) ?? [];
    const over = availableUntil !== null && availableUntil < today;
    const level = over ? 'full' : availability!;
    const points = own.flatMap((visit) =>
      (byVisit.get(visit.id) ?? []).map(({ motionId, side, value }) => ({ motionId, side, on: visit.on, value })),
    );
    return {
      id: id!,
      name: name!,
      availability: level,
      availableUntil: over ? null : availableUntil,
      readiness: readiness.get(id!) ?? 'not known',
      trends: [...groupBy(points, (point) => `${point.motionId}/${point.side}`).values()].map((list) => ({
        motionId: list[0]!.motionId,
        side: list[0]!.side,
        points: list.map(({ on, value }) => ({ on, value })),
      })),
    };
  };
  return {
    squads: [...groupBy(members, (member) => member.squadId).values()].map((rows) => ({
      id: rows[0]!.squadId,
      name: rows[0]!.squadName,
      athletes: rows.filter((row) => row.id !== null).map(athleteOf),
    })),
  };
}

function groupBy<T>(list: readonly T[], keyOf: (item: T) => string): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const item of list) {
    const group = groups.get(keyOf(item));
    if (group) group.push(item);
    else groups.set(keyOf(item), [item]);
  }
  return groups;
}
