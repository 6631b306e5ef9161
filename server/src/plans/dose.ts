import { Router } from 'express';
import { shelfOf, type Line, type Shelf } from '@pace-bend/core/method';
import { addDoses, doseByTarget, toolMinutes, type CueSeconds, type DoneSoFar, type ToolMinutes } from '@pace-bend/core/session';
import { foldRun, type RunEvent } from '@pace-bend/core/table';
import { caller } from '../access/guard.ts';
import { dayBounds, dayIn } from '../app/days.ts';
import { idFrom } from '../app/ids.ts';
import { fromJson, rows, type Db, type Pool } from '../db/pool.ts';
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
    response.json({ week: addDoses(week.map(({ line, secondsOf }) => doseByTarget(line, secondsOf, shelf))), today: addMinutes(today, shelf) } satisfies DoneSoFar);
  });

  return router;
}

function addMinutes(runs: readonly DoneRun[], shelf: Shelf): ToolMinutes {
  const parts = runs.map(({ line, secondsOf }) => toolMinutes(line, secondsOf, shelf));
  const none = toolMinutes({ version: 1, cues: [], totalMs: 0, breath: { periodMs: 1, inShare: 0.5 }, blocks: [] });
  return parts.reduce((sum, part) => Object.fromEntries(Object.entries(sum).map(([tool, minutes]) => [tool, minutes + part[tool as keyof ToolMinutes]])) as ToolMinutes, none);
}

/** Runs that were begun, with the seconds each cue really had. */
async function runsWhere(db: Db, condition: string, params: readonly (string | Date)[]): Promise<DoneRun[]> {
  const found = await rows<{ id: string; line: unknown }>(db, `SELECT r.id, r.line FROM visit v JOIN athlete a ON a.id = v.athlete_id JOIN run r ON r.visit_id = v.id WHERE ${condition} AND v.cancelled_at IS NULL`, params);
  if (found.length === 0) return [];
  const events = await rows<{ runId: string; atMs: number; kind: string; data: unknown }>(db, `SELECT run_id AS runId, at_ms AS atMs, kind, data FROM run_event WHERE run_id IN (${found.map(() => '?').join(', ')}) ORDER BY run_id, seq`, found.map((run) => run.id));
  return found.map(({ id, line: stored }) => {
    const line = fromJson<Line>(stored);
    const state = foldRun(line, events.filter((event) => event.runId === id).map(({ atMs, kind, data }) => ({ kind, atMs, ...fromJson<object>(data) }) as RunEvent));
    const seconds = new Map<number, number>();
    for (const span of state.spans) seconds.set(span.cueIndex, (seconds.get(span.cueIndex) ?? 0) + (span.endMs - span.startMs) / 1000);
    return { line, secondsOf: (index: number) => seconds.get(index) ?? 0 };
  });
}
