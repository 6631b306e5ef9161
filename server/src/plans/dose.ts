import { Router } from 'express';
import { shelfOf, type Line, type Shelf } from '@pace-bend/core/method';
import { addDoses, doseByTarget, toolMinutes, type CueSeconds, type DoneSoFar, type ToolMinutes } from '@pace-bend/core/session';
import { caller } from '../access/guard.ts';
import { dayBounds, dayIn } from '../http/days.ts';
import { idFrom } from '../http/ids.ts';
import type { Db, Pool } from '../db/pool.ts';
import { cueSeconds, treatedRuns } from '../done/treated.ts';
import { itemsOf } from '../shelf/queries.ts';
import { findVisit } from '../visits/find.ts';

const WEEK_MS = 7 * 86_400_000;

interface DoneRun {
  readonly line: Line;
  readonly secondsOf: CueSeconds;
}

export function doseRoutes(pool: Pool): Router {
  const router = Router();

  router.get('/visits/:id/dose', async (request, response) => {
    const { practice, accountId } = caller(response);
    const visit = await findVisit(pool, practice, idFrom(request));
    const shelf = shelfOf(await itemsOf(pool, practice.id));
    const at = new Date(visit.startsAt);
    const day = dayBounds(dayIn(practice.timeZone, at), practice.timeZone);
    const [week, today] = await Promise.all([
      runsWhere(pool, 'v.athlete_id = ? AND v.starts_at < ? AND v.starts_at >= ?', [visit.athleteId, at, new Date(at.getTime() - WEEK_MS)]),
      // One's own hands: what others led that day is not in them.
      runsWhere(pool, 'r.account_id = ? AND v.id <> ? AND v.starts_at >= ? AND v.starts_at < ?', [accountId, visit.id, day.from, day.to]),
    ]);
    response.json({
      week: addDoses(week.map(({ line, secondsOf }) => doseByTarget(line, secondsOf, shelf))),
      today: addMinutes(today, shelf),
    } satisfies DoneSoFar);
  });

  return router;
}

function addMinutes(runs: readonly DoneRun[], shelf: Shelf): ToolMinutes {
  const parts = runs.map(({ line, secondsOf }) => toolMinutes(line, secondsOf, shelf));
  const none = toolMinutes({ version: 1, cues: [], totalMs: 0, breath: { periodMs: 1, inShare: 0.5 }, blocks: [] });
  return parts.reduce(
    (sum, part) =>
      Object.fromEntries(Object.entries(sum).map(([tool, minutes]) => [tool, minutes + part[tool as keyof ToolMinutes]])) as ToolMinutes,
    none,
  );
}

/** Treated runs, with the seconds each cue really had. */
async function runsWhere(db: Db, condition: string, params: readonly (string | Date)[]): Promise<DoneRun[]> {
  return (await treatedRuns(db, condition, params)).map((run) => ({ line: run.line, secondsOf: cueSeconds(run) }));
}
