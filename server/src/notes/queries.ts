import type { Note } from '@pace-bend/core/record';
import { change, firstRow, type Db } from '../db/pool.ts';

/** The therapist's words on a visit; empty with revision 0 when there are none yet. */
export async function noteOf(db: Db, visitId: string): Promise<Note> {
  return (await firstRow<Note>(db, 'SELECT text, revision FROM note WHERE visit_id = ?', [visitId])) ?? { text: '', revision: 0 };
}

/** Writes the note if it still has the named revision; returns whether it had. */
export async function writeNote(db: Db, visitId: string, revision: number, text: string): Promise<boolean> {
  const touched =
    revision === 0
      ? await change(db, 'INSERT IGNORE INTO note (visit_id, text, revision) VALUES (?, ?, 1)', [visitId, text])
      : await change(db, 'UPDATE note SET text = ?, revision = revision + 1 WHERE visit_id = ? AND revision = ?', [
          text,
          visitId,
          revision,
        ]);
  return touched === 1;
}
