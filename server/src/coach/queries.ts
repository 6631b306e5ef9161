import type { Role } from '@pace-bend/core/access';
import type { Side } from '@pace-bend/core/body';
import type { AvailabilityLevel } from '@pace-bend/core/record';
import { rows, type Db } from '../db/pool.ts';

/** Who looks. */
export interface Who {
  readonly accountId: string;
  readonly practiceId: string;
  readonly role: Role;
}

/** Squads somebody may look at, as a join condition; its parameters are the practice and, for a coach, the account. */
function mine(who: Who): { readonly join: string; readonly params: string[] } {
  return who.role === 'coach'
    ? {
        join: 'JOIN coach_squad cs ON cs.squad_id = s.id AND cs.account_id = ? WHERE s.practice_id = ?',
        params: [who.accountId, who.practiceId],
      }
    : { join: 'WHERE s.practice_id = ?', params: [who.practiceId] };
}

export interface MemberRow {
  readonly squadId: string;
  readonly squadName: string;
  /** Null for a squad without members. */
  readonly id: string | null;
  readonly name: string | null;
  readonly availability: AvailabilityLevel | null;
  readonly availableUntil: string | null;
}

export async function membersFor(db: Db, who: Who): Promise<MemberRow[]> {
  const { join, params } = mine(who);
  return rows(
    db,
    `SELECT s.id AS squadId, s.name AS squadName, a.id, a.name, a.availability, a.available_until AS availableUntil FROM squad s LEFT JOIN squad_member m ON m.squad_id = s.id LEFT JOIN athlete a ON a.id = m.athlete_id ${join} ORDER BY s.name, a.name`,
    params,
  );
}

export interface CoachVisit {
  readonly id: string;
  readonly athleteId: string;
  readonly at: Date;
}

const MEMBERS = (join: string) => `SELECT m.athlete_id FROM squad s JOIN squad_member m ON m.squad_id = s.id ${join}`;

/** Visits of everybody in these squads since an instant, oldest first; each once, however many squads they are in. */
export async function visitsFor(db: Db, who: Who, since: Date): Promise<CoachVisit[]> {
  const { join, params } = mine(who);
  return rows<CoachVisit>(
    db,
    `SELECT v.id, v.athlete_id AS athleteId, v.starts_at AS at FROM visit v
     WHERE v.athlete_id IN (${MEMBERS(join)}) AND v.starts_at > ? AND v.cancelled_at IS NULL ORDER BY v.starts_at`,
    [...params, since],
  );
}

export interface CoachReading {
  readonly visitId: string;
  readonly motionId: string;
  readonly side: Side;
  readonly value: number;
}

/** What stands of the readings before work at those visits. The visits say whose and when; a row holds only what differs. */
export async function readingsFor(db: Db, who: Who, since: Date): Promise<CoachReading[]> {
  const { join, params } = mine(who);
  return rows<CoachReading>(
    db,
    `SELECT r.visit_id AS visitId, r.motion_id AS motionId, r.side, r.value FROM visit v JOIN rom_reading r ON r.visit_id = v.id LEFT JOIN rom_reading later ON later.supersedes = r.id
     WHERE v.athlete_id IN (${MEMBERS(join)}) AND v.starts_at > ? AND v.cancelled_at IS NULL AND later.id IS NULL AND r.value IS NOT NULL AND r.moment = 'before' ORDER BY r.taken_at, r.id`,
    [...params, since],
  );
}
