import { DateTime } from 'luxon';
import { dueRows, learnPractice, rhythmOf, type DueFile, type DueKnown, type DueRow } from '@pace-bend/core/cycle';
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

const DAY_MS = 86_400_000;
const TELL_EVERY_MS = 80;
const say = (answer: DueAnswer) => self.postMessage(answer);

self.onmessage = ({ data: { file, items, zone, now } }: MessageEvent<DueQuestion>) => {
  try {
    const dayOf = (instant: string) => DateTime.fromISO(instant, { zone }).toISODate()!;
    const reading = { errors: file.errors, shelf: shelfOf(items), dayOf };
    const today = dayOf(now);
    const at = Date.parse(now) / DAY_MS;
    let toldAt = 0;
    const learned = learnPractice(
      file.athletes.map(({ response }) => response),
      (person, motionId, side) => file.athletes[person]!.goals.some((goal) => goal.motionId === motionId && goal.side === side),
      today,
      reading,
      (share) => {
        if (performance.now() - toldAt < TELL_EVERY_MS) return;
        toldAt = performance.now();
        say({ kind: 'working', share });
      },
    );
    const known = new Map(
      file.athletes.map(({ id }, person): [string, DueKnown[]] => [
        id,
        learned[person]!.map(({ motionId, side, course, known: how }) => ({
          motionId,
          side,
          known: how,
          usualGain: rhythmOf(course, at).usualGain,
          since: course.occasions.at(-1)!.day,
        })),
      ]),
    );
    say({ kind: 'rows', rows: dueRows(file, known, { ...reading, now }) });
  } catch (error) {
    say({ kind: 'failed', message: error instanceof Error ? error.message : String(error) });
  }
};
