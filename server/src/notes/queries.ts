import type { Note, NoteAddendum, NoteEdits, NoteSignature } from '@pace-bend/core/record';
import { change, firstRow, fromJson, iso, rows, type Db } from '../db/pool.ts';

/** The therapist's part of the note on a visit, as it stands; empty with revision 0 when there is none yet. */
export async function noteOf(db: Db, visitId: string): Promise<Note> {
  const [own, signed, addenda] = await Promise.all([
    firstRow<{ text: string; edits: unknown; revision: number }>(db, 'SELECT text, edits, revision FROM note WHERE visit_id = ?', [
      visitId,
    ]),
    signatureOf(db, visitId),
    addendaOf(db, visitId),
  ]);
  return {
    text: own?.text ?? '',
    edits: own ? fromJson<NoteEdits>(own.edits) : {},
    revision: own?.revision ?? 0,
    signed,
    addenda,
  };
}

export async function signatureOf(db: Db, visitId: string): Promise<NoteSignature | null> {
  const row = await firstRow<{ text: string; at: Date; by: string }>(
    db,
    'SELECT text, signed_at AS at, signed_by AS `by` FROM note_signature WHERE visit_id = ?',
    [visitId],
  );
  return row ? { ...row, at: iso(row.at) } : null;
}

async function addendaOf(db: Db, visitId: string): Promise<NoteAddendum[]> {
  const found = await rows<{ id: string; text: string; at: Date; by: string }>(
    db,
    'SELECT id, text, written_at AS at, written_by AS `by` FROM note_addendum WHERE visit_id = ? ORDER BY written_at, id',
    [visitId],
  );
  return found.map((row) => ({ ...row, at: iso(row.at) }));
}

/** Writes the note if it still has the named revision; returns whether it had. */
export async function writeNote(
  db: Db,
  visitId: string,
  revision: number,
  { text, edits }: Pick<Note, 'text' | 'edits'>,
): Promise<boolean> {
  const touched =
    revision === 0
      ? await change(db, 'INSERT IGNORE INTO note (visit_id, text, edits, revision) VALUES (?, ?, ?, 1)', [
          visitId,
          text,
          JSON.stringify(edits),
        ])
      : await change(db, 'UPDATE note SET text = ?, edits = ?, revision = revision + 1 WHERE visit_id = ? AND revision = ?', [
          text,
          JSON.stringify(edits),
          visitId,
          revision,
        ]);
  return touched === 1;
}

export async function insertSignature(db: Db, visitId: string, text: string, at: Date, by: string, accountId: string): Promise<void> {
  await change(db, 'INSERT INTO note_signature (visit_id, text, signed_at, signed_by, account_id) VALUES (?, ?, ?, ?, ?)', [
    visitId,
    text,
    at,
    by,
    accountId,
  ]);
}

export async function addendumById(db: Db, id: string): Promise<(NoteAddendum & { readonly visitId: string }) | null> {
  const row = await firstRow<{ id: string; visitId: string; text: string; at: Date; by: string }>(
    db,
    'SELECT id, visit_id AS visitId, text, written_at AS at, written_by AS `by` FROM note_addendum WHERE id = ?',
    [id],
  );
  return row ? { ...row, at: iso(row.at) } : null;
}

export async function insertAddendum(db: Db, id: string, visitId: string, text: string, at: Date, by: string): Promise<void> {
  await change(db, 'INSERT INTO note_addendum (id, visit_id, text, written_at, written_by) VALUES (?, ?, ?, ?, ?)', [
    id,
    visitId,
    text,
    at,
    by,
  ]);
}

/** How many addenda a note has. */
export async function addendaCount(db: Db, visitId: string): Promise<number> {
  const row = await firstRow<{ n: number | string }>(db, 'SELECT COUNT(*) AS n FROM note_addendum WHERE visit_id = ?', [visitId]);
  return Number(row?.n ?? 0);
}
