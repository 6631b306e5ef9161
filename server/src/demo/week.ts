import type { AthleteTimes, WeekHours } from '@pace-bend/core/week';
import { change, type Db } from '../db/pool.ts';

const WEEKDAYS = [1, 2, 3, 4, 5];

/** Two before work and two after training, less around the middle of the week; one afternoon somebody else has the table. */
const hoursFor = (marit: string, jonas: string): WeekHours => ({
  minutes: 45,
  pauseMin: 5,
  tables: 1,
  apart: 2,
  therapists: [
    {
      accountId: marit,
      spans: [
        ...[1, 2, 3, 4].map((weekday) => ({ weekday, fromMin: 8 * 60 + 30, toMin: 10 * 60 + 10 })),
        ...[1, 2, 4].map((weekday) => ({ weekday, fromMin: 17 * 60, toMin: 18 * 60 + 40 })),
      ],
      breaks: [{ weekday: 3, fromMin: 9 * 60 + 20, toMin: 10 * 60 + 10, words: 'club meeting' }],
      most: 5,
    },
    { accountId: jonas, spans: [{ weekday: 5, fromMin: 16 * 60, toMin: 17 * 60 + 40 }], breaks: [], most: 3 },
  ],
});

/** Who cannot come at any time, or wants fewer visits. */
const TIMES: Readonly<Record<string, AthleteTimes>> = {
  // At school until four.
  'Bela Strand': {
    perWeek: 1,
    spans: [
      { weekday: 2, fromMin: 16 * 60, toMin: 19 * 60 },
      { weekday: 4, fromMin: 16 * 60, toMin: 19 * 60 },
    ],
  },
  'Odile Marchetti': { perWeek: 1, spans: WEEKDAYS.map((weekday) => ({ weekday, fromMin: 17 * 60, toMin: 20 * 60 })) },
  'Ewout van der Brook-Lindenhof': { perWeek: 1, spans: [{ weekday: 3, fromMin: 8 * 60, toMin: 12 * 60 }] },
};

/** When the demo's practice sees people, and when they can come. */
export async function loadWeek(
  db: Db,
  practiceId: string,
  athletes: ReadonlyMap<string, string>,
  accounts: ReadonlyMap<string, string>,
): Promise<void> {
  await change(db, 'UPDATE practice SET week_hours = ?, week_hours_revision = 1 WHERE id = ?', [
    JSON.stringify(hoursFor(accounts.get('Marit Voss')!, accounts.get('Jonas Eklund')!)),
    practiceId,
  ]);
  for (const [name, times] of Object.entries(TIMES))
    await change(db, 'INSERT INTO athlete_times (athlete_id, data) VALUES (?, ?)', [athletes.get(name)!, JSON.stringify(times)]);
}
