import { DateTime } from 'luxon';
import { dueRows, learnGoals, type DueFile, type DueRow } from '@pace-bend/core/cycle';
import { shelfOf, type OwnItem } from '@pace-bend/core/method';

/** Works out who is due away from the screen: what a visit would bring is learned from everybody's readings. */
export interface DueQuestion {
  readonly file: DueFile;
  readonly items: readonly OwnItem[];
  readonly zone: string;
  /** The instant it is about. */
  readonly now: string;
}

export type DueAnswer =
  | { readonly kind: 'working'; readonly share: number }
  | { readonly kind: 'rows'; readonly rows: readonly DueRow[] }
  | { readonly kind: 'failed'; readonly message: string };

const TELL_EVERY_MS = 80;
const say = (answer: DueAnswer) => self.postMessage(answer);

self.onmessage = ({ data: { file, items, zone, now } }: MessageEvent<DueQuestion>) => {
  try {
    const dayOf = (instant: string) => DateTime.fromISO(instant, { zone }).toISODate()!;
    const reading = { errors: file.errors, shelf: shelfOf(items), dayOf };
    let toldAt = 0;
    const known = learnGoals(file.athletes, now, reading, (share) => {
      if (performance.now() - toldAt < TELL_EVERY_MS) return;
      toldAt = performance.now();
      say({ kind: 'working', share });
    });
    say({ kind: 'rows', rows: dueRows(file, known, { ...reading, now }) });
  } catch (error) {
    say({ kind: 'failed', message: error instanceof Error ? error.message : String(error) });
  }
};
