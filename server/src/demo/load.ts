import { DateTime } from 'luxon';
import { setCoachSquads, insertAccount } from '../accounts/queries.ts';
import { hashPassword } from '../access/passwords.ts';
import { withLease } from '../db/lease.ts';
import { change, firstRow, transaction, type Db, type Pool } from '../db/pool.ts';
import { loadEvents, loadSquads, type ClubSquads } from './club.ts';
import { loadComparison } from './comparison.ts';
import { loadDays } from './days.ts';
import { loadHome } from './home.ts';
import { PeopleLoader } from './loadPeople.ts';
import { loadEventDay } from './eventDay.ts';
import { loadMeasuring, readByTwoHands } from './measuring.ts';
import { ACCOUNTS, NEIGHBOURS, PEOPLE, SCOPE } from './people.ts';
import { SeededRandom } from './random.ts';
import { loadSeasons } from './seasons.ts';
import { loadToday } from './today.ts';
import { loadWeek } from './week.ts';

const SEED = 20_260;

export interface PracticeOptions {
  readonly now: Date;
  readonly demo: boolean;
  readonly timeZone?: string;
}

/** Sets the practice up in an empty database, with the demo's people or without; does nothing in any other. */
export async function ensurePractice(
  pool: Pool,
  { now, demo, timeZone = Intl.DateTimeFormat().resolvedOptions().timeZone }: PracticeOptions,
): Promise<void> {
  const isThere = async () => Boolean(await firstRow(pool, 'SELECT id FROM practice LIMIT 1'));
  if (await isThere()) return;
  // Two servers of a cluster may start at once: one sets it up, the other waits and finds it.
  await withLease(pool, 'first data', async () => {
    if (!(await isThere())) await setUp(pool, now, demo, timeZone);
  });
}

async function setUp(pool: Pool, now: Date, demo: boolean, timeZone: string): Promise<void> {
  const random = new SeededRandom(SEED);
  await transaction(pool, async (db) => {
    const practiceId = random.uuid(now);
    await change(db, 'INSERT INTO practice (id, name, time_zone) VALUES (?, ?, ?)', [
      practiceId,
      demo ? 'Alder Weir Rowing Club, river Sallow' : 'My practice',
      timeZone,
    ]);
    if (demo) await loadDemo(db, practiceId, DateTime.fromJSDate(now, { zone: timeZone }).startOf('day'), random);
  });
}

async function loadDemo(db: Db, practiceId: string, today: DateTime, random: SeededRandom): Promise<void> {
  const events = await loadEvents(db, practiceId, today, random);
  const people = new PeopleLoader(db, practiceId, today, random);
  for (const person of PEOPLE) await people.load(person);
  const squads = await loadSquads(db, practiceId, today, random, people.ids);
  const accounts = await loadPractice(db, practiceId, today, random, squads);
  await loadToday(db, today, random, people.ids);
  await loadMeasuring({ db, practiceId, today, random, athletes: people.ids, accounts });
  people.goOnWith(new SeededRandom(SEED + 1));
  for (const person of NEIGHBOURS) await people.load(person);
  await readByTwoHands(db, people.ids.get('Yara Denholm')!, accounts);
  await loadDays(db, today, new SeededRandom(SEED + 2), [...PEOPLE, ...NEIGHBOURS], people.ids);
  const by = 'Marit Voss';
  await loadSeasons({ db, practiceId, today, random: new SeededRandom(SEED + 3), athletes: people.ids, squads, events, by });
  await loadEventDay({ db, practiceId, today, random: new SeededRandom(SEED + 6), athletes: people.ids, accounts, events, by });
  await loadWeek(db, practiceId, people.ids, accounts);
  await loadHome(db, new SeededRandom(SEED + 5), people.ids);
  await loadComparison(db, today, new SeededRandom(SEED + 4), people.ids.get('Milo Ferrand')!, by);
}

/** What the demo's practice may do, and who works in it; returns the accounts by name. */
async function loadPractice(
  db: Db,
  practiceId: string,
  today: DateTime,
  random: SeededRandom,
  squads: ClubSquads,
): Promise<ReadonlyMap<string, string>> {
  await change(
    db,
    'UPDATE practice SET first_steps = ?, mobilization_grade = ?, scope_by_region = ?, front_of_neck = ?, scope_rule_text = ?, scope_rule_link = ? WHERE id = ?',
    [
      // The demo is set up: nobody is led into it.
      JSON.stringify({ skipped: [], left: true }),
      SCOPE.mobilizationGrade,
      JSON.stringify(SCOPE.byRegion),
      SCOPE.frontOfNeck,
      SCOPE.ruleText,
      SCOPE.ruleLink,
      practiceId,
    ],
  );
  const accounts = new Map<string, string>();
  for (const [i, account] of ACCOUNTS.entries()) {
    const id = random.uuid(today.minus({ days: 30 - i }).toJSDate());
    accounts.set(account.name, id);
    await insertAccount(db, practiceId, id, { ...account, active: true }, await hashPassword(account.password), account.password);
    await setCoachSquads(
      db,
      practiceId,
      id,
      account.squads.map((name) => squads.get(name)!),
    );
  }
  return accounts;
}
