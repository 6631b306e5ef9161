import { phaseHold, seasonDay, stayOn, type SeasonFacts } from '@pace-bend/core/season';
import { shelfOf } from '@pace-bend/core/method';
import { toolLimits, toolMinutes, type ToolMinutes } from '@pace-bend/core/session';
import {
  ANY_TIME,
  WEEK_REACH,
  weekDays,
  type AthleteTimes,
  type WeekAthlete,
  type WeekDay,
  type WeekFile,
  type WeekVisit,
} from '@pace-bend/core/week';
import type { PracticeRow } from '../access/sessions.ts';
import { firstRow, fromJson, iso, rows, type Db } from '../db/pool.ts';
import { cueSeconds, treatedRuns } from '../done/treated.ts';
import { dueFile } from '../due/facts.ts';
import { hoursOf } from '../hours/queries.ts';
import { dayBounds, dayIn } from '../http/days.ts';
import { seasonFactsOf } from '../seasons/queries.ts';
import { itemsOf } from '../shelf/queries.ts';

const DAY_MS = 86_400_000;
/** Weeks before it that say who was left out. */
const WEEKS_BEFORE = 3;

interface About {
  readonly id: string;
  readonly createdAt: Date;
  readonly firstVisitAt: Date | null;
  readonly lastVisitId: string | null;
  readonly availability: string;
  readonly availableUntil: string | null;
  readonly times: unknown;
  readonly timesRevision: number | null;
}

/** Everything a week that begins on a Monday is filled from. */
export async function weekFile(db: Db, practice: PracticeRow, monday: string, now: Date): Promise<WeekFile> {
  const days = weekDays(monday);
  const { from } = dayBounds(monday, practice.timeZone);
  const due = await dueFile(db, practice, now, { outUntil: days.at(-1)!, reach: WEEK_REACH });
  const ids = due.athletes.map(({ id }) => id);
  const [{ hours, set, therapists }, about, training, limits] = [
    await hoursOf(db, practice.id),
    new Map((await aboutOf(db, ids)).map((each) => [each.id, each])),
    await trainingOf(db, ids, days[0]!, days.at(-1)!),
    await firstRow<{ limits: unknown }>(db, 'SELECT tool_limits AS limits FROM practice WHERE id = ?', [practice.id]),
  ];
  const shelf = shelfOf(await itemsOf(db, practice.id));
  const thumbs = await thumbsOf(
    db,
    [...about.values()].flatMap(({ lastVisitId }) => lastVisitId ?? []),
    shelf,
  );
  const athletes = await Promise.all(
    due.athletes.map(async (facts): Promise<WeekAthlete> => {
      const { createdAt, firstVisitAt, lastVisitId, availability, availableUntil, times, timesRevision } = about.get(facts.id)!;
      const season = await seasonFactsOf(db, practice, facts.id);
      const out = (date: string) => availability === 'out' && (availableUntil === null || date <= availableUntil);
      return {
        facts,
        times: times === null ? ANY_TIME : fromJson<AthleteTimes>(times),
        timesRevision: timesRevision ?? 0,
        days: days.map((date) => dayOf(season, date, out(date), training.get(`${facts.id}/${date}`) ?? 0)),
        eventAfter:
          season.events
            .filter(({ onDate, importance }) => onDate > days.at(-1)! && importance < 3)
            .sort((a, b) => (a.onDate < b.onDate ? -1 : 1))[0] ?? null,
        thumbMin: lastVisitId === null ? null : (thumbs.get(lastVisitId) ?? null),
        since: [createdAt, ...(firstVisitAt ? [firstVisitAt] : [])].map((at) => dayIn(practice.timeZone, at)).sort()[0]!,
      };
    }),
  );
  return {
    monday,
    hours,
    hoursSet: set,
    therapists,
    athletes,
    visits: await visitsAround(db, practice.id, from),
    rules: due.rules,
    errors: due.errors,
    total: due.total,
    thumbLimit: toolLimits(limits!.limits === null ? null : fromJson<Partial<ToolMinutes>>(limits!.limits)).thumb,
  };
}

function dayOf(season: SeasonFacts, date: string, out: boolean, trainingMin: number): WeekDay {
  const stay = stayOn([season.own, season.followed?.plan ?? null], date);
  const hold = phaseHold(seasonDay(season, date), date);
  return {
    date,
    away: out ? 'out' : stay && !stay.visits ? stay.name : '',
    develop: hold?.develop ?? 'all',
    because: hold?.because ?? '',
    events: season.events.filter(({ onDate }) => onDate === date),
    trainingMin,
  };
}

const among = (ids: readonly string[]): string => ids.map(() => '?').join(', ');

async function aboutOf(db: Db, ids: readonly string[]): Promise<About[]> {
  if (ids.length === 0) return [];
  return rows(
    db,
    `SELECT a.id, a.created_at AS createdAt, a.availability, a.available_until AS availableUntil, t.data AS times, t.revision AS timesRevision,
       (SELECT MIN(v.starts_at) FROM visit v WHERE v.athlete_id = a.id AND v.cancelled_at IS NULL) AS firstVisitAt,
       (SELECT v.id FROM visit v WHERE v.athlete_id = a.id AND v.cancelled_at IS NULL AND v.finished_at IS NOT NULL ORDER BY v.starts_at DESC LIMIT 1) AS lastVisitId
     FROM athlete a LEFT JOIN athlete_times t ON t.athlete_id = a.id WHERE a.id IN (${among(ids)})`,
    ids,
  );
}

/** Minutes of training that are planned, by athlete and day. */
async function trainingOf(db: Db, ids: readonly string[], from: string, to: string): Promise<Map<string, number>> {
  if (ids.length === 0) return new Map();
  const found = await rows<{ id: string; onDate: string; minutes: string }>(
    db,
    `SELECT athlete_id AS id, on_date AS onDate, SUM(minutes) AS minutes FROM training_load
     WHERE planned AND withdrawn_at IS NULL AND on_date BETWEEN ? AND ? AND athlete_id IN (${among(ids)}) GROUP BY athlete_id, on_date`,
    [from, to, ...ids],
  );
  return new Map(found.map(({ id, onDate, minutes }) => [`${id}/${onDate}`, Number(minutes)]));
}

/** Minutes of thumb work that visits really had, by visit; one at which nothing was run is not among them. */
async function thumbsOf(db: Db, visitIds: readonly string[], shelf: ReturnType<typeof shelfOf>): Promise<Map<string, number>> {
  const minutes = new Map<string, number>();
  if (visitIds.length === 0) return minutes;
  for (const run of await treatedRuns(db, `v.id IN (${among(visitIds)})`, visitIds))
    minutes.set(run.visitId, (minutes.get(run.visitId) ?? 0) + toolMinutes(run.line, cueSeconds(run), shelf).thumb);
  return minutes;
}

/** Visits from three weeks before a Monday to the end of the week after it. */
async function visitsAround(db: Db, practiceId: string, monday: Date): Promise<WeekVisit[]> {
  const found = await rows<Omit<WeekVisit, 'startsAt' | 'state'> & { startsAt: Date; finishedAt: Date | null }>(
    db,
    `SELECT v.id, v.athlete_id AS athleteId, a.name AS athleteName, v.starts_at AS startsAt, v.minutes, v.therapist_id AS therapistId, v.revision, v.finished_at AS finishedAt
     FROM visit v JOIN athlete a ON a.id = v.athlete_id WHERE a.practice_id = ? AND v.cancelled_at IS NULL AND v.starts_at >= ? AND v.starts_at < ? ORDER BY v.starts_at, v.id`,
    [practiceId, new Date(monday.getTime() - WEEKS_BEFORE * 7 * DAY_MS - DAY_MS), new Date(monday.getTime() + 15 * DAY_MS)],
  );
  return found.map(({ startsAt, finishedAt, ...visit }) => ({ ...visit, startsAt: iso(startsAt), state: finishedAt ? 'done' : 'booked' }));
}
