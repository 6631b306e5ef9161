import { DateTime } from 'luxon';
import type { Side } from '@pace-bend/core/body';
import { findEntry } from '@pace-bend/core/catalogue';
import { homeItem } from '@pace-bend/core/home';
import type { HomeDone } from '@pace-bend/core/record';
import { rows, type Db } from '../db/pool.ts';
import { writeHome, writeHomeAnswers } from '../home/queries.ts';
import type { SeededRandom } from './random.ts';

interface Given {
  readonly entryId: string;
  readonly sides: readonly Side[];
  /** What was answered at the visit after it; left out on the sheet nobody was asked about yet. */
  readonly done: HomeDone;
}

/** Who took what home from their last two visits; made up. */
const GIVEN: Readonly<Record<string, readonly Given[]>> = {
  'Ines Okkonen': [
    { entryId: 'home-calf-release', sides: ['left', 'right'], done: 'most' },
    { entryId: 'home-mobility-line', sides: ['left', 'right'], done: 'every' },
  ],
  'Tavi Brandsma': [
    { entryId: 'home-bridge', sides: ['midline'], done: 'half' },
    { entryId: 'home-chest-doorway', sides: ['left', 'right'], done: 'few' },
  ],
  'Joss Adeyemi': [{ entryId: 'home-front-of-shin', sides: ['left'], done: 'none' }],
};

/** Sheets of the last two visits, the earlier one asked about at the later. */
export async function loadHome(db: Db, random: SeededRandom, athletes: ReadonlyMap<string, string>): Promise<void> {
  for (const [name, given] of Object.entries(GIVEN)) {
    const visits = await rows<{ id: string; startsAt: Date }>(
      db,
      'SELECT id, starts_at AS startsAt FROM visit WHERE athlete_id = ? AND finished_at IS NOT NULL ORDER BY starts_at DESC LIMIT 2',
      [athletes.get(name)!],
    );
    let asked: { readonly id: string; readonly items: readonly string[] } | null = null;
    for (const visit of [...visits].reverse()) {
      const items = given.map(({ entryId, sides }) => homeItem(random.uuid(visit.startsAt), findEntry(entryId)!, sides));
      const until = DateTime.fromJSDate(visit.startsAt).plus({ days: 14 }).toISODate()!;
      await writeHome(db, visit.id, 0, { items, until, words: '' });
      if (asked)
        await writeHomeAnswers(db, visit.id, 0, {
          sheetOf: asked.id,
          answers: Object.fromEntries(asked.items.map((id, i) => [id, given[i]!.done])),
        });
      asked = { id: visit.id, items: items.map(({ id }) => id) };
    }
  }
}
