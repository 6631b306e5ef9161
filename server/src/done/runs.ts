import type { BlockPlan, Line } from '@pace-bend/core/method';
import type { Run, RunFields, StoredRunEvent, Visit } from '@pace-bend/core/record';
import type { RunEvent } from '@pace-bend/core/table';
import { change, firstRow, fromJson, insertMany, iso, rows, type Db } from '../db/pool.ts';

/** An event as it is sent and kept. */
export interface SentEvent {
  readonly id: string;
  readonly seq: number;
  readonly atMs: number;
  readonly kind: string;
  readonly score?: number;
  readonly value?: number;
  readonly before?: number;
  readonly after?: number;
  readonly by?: 'device';
  readonly cueIndex?: number;
  readonly n?: number;
  readonly pct?: number | null;
  readonly of?: 'today' | 'earlier' | null;
  readonly ms?: number;
  readonly insideMs?: number;
  readonly overMs?: number;
  readonly deg?: number;
  readonly words?: string;
  readonly how?: 'added' | 'instead';
  readonly block?: BlockPlan;
  readonly piece?: Pick<Line, 'cues' | 'blocks'>;
}

interface RunRow {
  readonly id: string;
  readonly visitId: string;
  readonly line: unknown;
  readonly input: unknown;
  readonly clockRate: number;
  readonly startedAt: Date;
}

const COLUMNS = 'id, visit_id AS visitId, line, input, clock_rate AS clockRate, started_at AS startedAt';

async function runFrom(db: Db, row: RunRow): Promise<Run> {
  return {
    id: row.id,
    visitId: row.visitId,
    line: fromJson<Line>(row.line),
    clockRate: row.clockRate,
    startedAt: iso(row.startedAt),
    events: await eventsOf(db, row.id),
  };
}

export async function runById(db: Db, id: string): Promise<(Run & { readonly input: RunFields }) | null> {
  const row = await firstRow<RunRow>(db, `SELECT ${COLUMNS} FROM run WHERE id = ?`, [id]);
  return row ? { ...(await runFrom(db, row)), input: fromJson<RunFields>(row.input) } : null;
}

/** Every run of a visit, oldest first. */
export async function runsOf(db: Db, visitId: string): Promise<Run[]> {
  const found = await rows<RunRow>(db, `SELECT ${COLUMNS} FROM run WHERE visit_id = ? ORDER BY started_at, id`, [visitId]);
  return Promise.all(found.map((row) => runFrom(db, row)));
}

/** The events of a run from a sequence number on, in order. */
export async function eventsOf(db: Db, runId: string, fromSeq = 1): Promise<StoredRunEvent[]> {
  const found = await rows<{ id: string; seq: number; atMs: number; kind: string; data: unknown }>(
    db,
    'SELECT id, seq, at_ms AS atMs, kind, data FROM run_event WHERE run_id = ? AND seq >= ? ORDER BY seq',
    [runId, fromSeq],
  );
  return found.map((row) => ({
    id: row.id,
    seq: row.seq,
    event: { kind: row.kind, atMs: row.atMs, ...fromJson<object>(row.data) } as RunEvent,
  }));
}

/** A run that begins, and whose hands lead it where that is known. */
export async function insertRun(
  db: Db,
  id: string,
  fields: RunFields,
  lineText: string,
  startedAt: Date,
  accountId: string | null,
): Promise<void> {
  await change(db, 'INSERT INTO run (id, visit_id, input, line, clock_rate, started_at, account_id) VALUES (?, ?, ?, ?, ?, ?, ?)', [
    id,
    fields.visitId,
    JSON.stringify(fields),
    lineText,
    fields.clockRate,
    startedAt,
    accountId,
  ]);
}

/** Locks the run for the rest of the transaction and returns the last sequence number it holds, 0 for none. */
/** Whether the visit of a run is open, locked until what follows is written; null for a run that is not there. */
export async function visitOfRunLocked(db: Db, runId: string): Promise<Pick<Visit, 'finishedAt' | 'cancelledAt'> | null> {
  const row = await firstRow<{ finishedAt: Date | null; cancelledAt: Date | null }>(
    db,
    'SELECT v.finished_at AS finishedAt, v.cancelled_at AS cancelledAt FROM visit v JOIN run r ON r.visit_id = v.id WHERE r.id = ? FOR UPDATE',
    [runId],
  );
  return row
    ? { finishedAt: row.finishedAt ? iso(row.finishedAt) : null, cancelledAt: row.cancelledAt ? iso(row.cancelledAt) : null }
    : null;
}

export async function lastSeqLocked(db: Db, runId: string): Promise<number> {
  await rows(db, 'SELECT id FROM run WHERE id = ? FOR UPDATE', [runId]);
  const row = await firstRow<{ last: number | null }>(db, 'SELECT MAX(seq) AS `last` FROM run_event WHERE run_id = ?', [runId]);
  return row?.last ?? 0;
}

export async function insertRunEvents(db: Db, runId: string, events: readonly SentEvent[]): Promise<void> {
  if (events.length === 0) return;
  await insertMany(
    db,
    'INSERT INTO run_event (run_id, seq, id, at_ms, kind, data) VALUES ?',
    events.map(({ id, seq, atMs, kind, ...data }) => [runId, seq, id, atMs, kind, JSON.stringify(data)]),
  );
}
