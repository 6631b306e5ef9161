import { get } from 'node:http';
import { performance } from 'node:perf_hooks';
import { migrate } from '../server/src/db/migrate.ts';
import { createApp } from '../server/src/app/app.ts';
import { createSession, practiceById } from '../server/src/access/sessions.ts';
import { hashPassword } from '../server/src/access/passwords.ts';
import { insertAccount } from '../server/src/accounts/queries.ts';
import { athletesOf } from '../server/src/athletes/roster.ts';
import { checkInsOfMany } from '../server/src/checkIns/queries.ts';
import { firstRow, openPool, type Pool } from '../server/src/db/pool.ts';
import { ensurePractice } from '../server/src/demo/load.ts';
import { loadsOfMany } from '../server/src/loads/queries.ts';
import { eventsNear } from '../server/src/readiness/morning.ts';
import { addDays } from '@pace-bend/core/load';
import { seeded } from '@pace-bend/core/random';
import { readinessOf, told, type CheckIn } from '@pace-bend/core/readiness';
import type { LoadFields } from '@pace-bend/core/load';

/** 200 athletes with 400 days of check-ins and loads: the morning beside its bare SQL, and readiness by itself. */
const ATHLETES = 200;
const DAYS = 400;
const PASSWORD = 'a bench beside the river';
const TODAY = '2026-11-25';
const now = () => new Date(`${TODAY}T07:00:00.000Z`);

async function seed(db: Pool, practiceId: string): Promise<void> {
  await db.query(
    `INSERT INTO athlete (id, practice_id, name, birth_date, reference_sex, about, breath_period_ms)
     SELECT UUID(), ?, CONCAT('Athlete ', LPAD(seq, 3, '0')), '2000-01-01', 'none', '', 9000 FROM seq_1_to_${ATHLETES}`,
    [practiceId],
  );
  const value = (shift: number) => `1 + (CRC32(CONCAT(a.id, d.seq)) >> ${shift}) % 5`;
  await db.query(
    `INSERT INTO check_in (id, athlete_id, on_date, scale, answers, hours_slept, sore, ill, injured, travelled, training, rmssd_ms, entered_at, entered_by)
     SELECT UUID(), a.id, DATE('${TODAY}') - INTERVAL d.seq DAY, 'four-items',
       JSON_OBJECT('sleep', ${value(0)}, 'stress', ${value(3)}, 'fatigue', ${value(6)}, 'soreness', ${value(9)}),
       6 + (CRC32(CONCAT(a.id, d.seq)) % 5) / 2, '[]', 0, 0, 0, 'full', IF(CRC32(a.id) % 4 = 0, 50 + CRC32(CONCAT(d.seq, a.id)) % 30, NULL), NOW(3), 'the athlete'
     FROM athlete a JOIN seq_0_to_${DAYS - 1} d`,
  );
  await db.query(
    `INSERT INTO training_load (id, athlete_id, on_date, kind, minutes, exertion, entered_at, entered_by)
     SELECT UUID(), a.id, DATE('${TODAY}') - INTERVAL d.seq DAY, 'training', 30 + CRC32(CONCAT(a.id, d.seq)) % 60, CRC32(CONCAT(d.seq, a.id)) % 9, NOW(3), 'the athlete'
     FROM athlete a JOIN seq_1_to_${DAYS} d WHERE (d.seq + CRC32(a.id)) % 7 <> 0`,
  );
  await db.query('ANALYZE TABLE athlete, check_in, training_load');
}

const at = (list: readonly number[], share: number) => [...list].sort((a, b) => a - b)[Math.floor(list.length * share)]!;
async function timed(times: number, work: () => unknown): Promise<number[]> {
  const list: number[] = [];
  for (let i = 0; i < times; i++) {
    const begun = performance.now();
    await work();
    list.push(performance.now() - begun);
  }
  return list;
}

const pool = openPool(process.env.DATABASE_URL!);
await migrate(pool);
await ensurePractice(pool, { now: now(), demo: false, timeZone: 'Europe/Berlin' });
const { id: practiceId } = (await firstRow<{ id: string }>(pool, 'SELECT id FROM practice'))!;
await seed(pool, practiceId);
const account = '01900000-0000-7000-8000-000000000001';
await insertAccount(
  pool,
  practiceId,
  account,
  { name: 'Bench', login: 'bench', role: 'owner', active: true },
  await hashPassword(PASSWORD),
);
const cookie = `pace_bend=${await createSession(pool, account, now())}`;
const server = createApp({ pool, now }).listen(0, '127.0.0.1');
await new Promise((resolve) => server.once('listening', resolve));
const url = `http://127.0.0.1:${(server.address() as { port: number }).port}/api/morning`;
const practice = await practiceById(pool, practiceId);

/**
 * Asks and takes the answer as it comes over the line, pressed as a browser would get it. What a browser makes of it is not the
 * request's, and this one runs where the server does.
 */
const request = () =>
  new Promise<void>((resolve, reject) => {
    get(url, { headers: { cookie, 'accept-encoding': 'gzip' } }, (answer) => {
      if (answer.statusCode !== 200) reject(new Error(String(answer.statusCode)));
      answer.resume().once('end', resolve);
    }).once('error', reject);
  });
/** The same questions to the database, rows read as the program reads them, and nothing made of them. */
const bare = async () => {
  const ids = (await athletesOf(pool, practice.id, null)).map(({ id }) => id);
  await Promise.all([
    checkInsOfMany(pool, ids, addDays(TODAY, -28), TODAY),
    checkInsOfMany(pool, ids, addDays(TODAY, -80), addDays(TODAY, -29), true),
    loadsOfMany(pool, ids, addDays(TODAY, -30), addDays(TODAY, -1)),
    eventsNear(pool, practice.id, ids, TODAY),
  ]);
};
for (let i = 0; i < 8; i++) {
  await request();
  await bare();
}
const [asked, sql]: [number[], number[]] = [[], []];
for (let i = 0; i < 80; i++) {
  asked.push(...(await timed(1, request)));
  sql.push(...(await timed(1, bare)));
}

const random = seeded(5);
const people = Array.from({ length: ATHLETES }, (_, person) => ({
  checkIns: Array.from({ length: 81 }, (_, ago): CheckIn => {
    const item = () => 1 + Math.floor(random() * 5);
    return {
      id: `${person}-${ago}`,
      at: `${addDays(TODAY, -ago)}T06:00:00.000Z`,
      by: '',
      supersedes: null,
      onDate: addDays(TODAY, -ago),
      scale: 'four-items',
      answers: { sleep: item(), stress: item(), fatigue: item(), soreness: item() },
      hoursSlept: 5 + random() * 4,
      sore: [],
      ill: false,
      injured: false,
      travelled: false,
      training: 'full',
      rmssdMs: 50 + 30 * random(),
    };
  }),
  loads: Array.from({ length: 35 }, (_, ago): LoadFields => ({
    onDate: addDays(TODAY, -ago - 1),
    kind: 'training',
    minutes: 60,
    exertion: Math.floor(random() * 10),
    amount: null,
    askedAfterMin: null,
    planned: false,
  })),
}));
const whole = () => {
  for (const { checkIns, loads } of people)
    readinessOf(told({ onDay: TODAY, checkIns, loads, motionsBelow: null, daysToEvent: null, daysSinceEvent: null }, 'four-items').signals);
};
await timed(10, whole);
const core = await timed(30, whole);
server.close();
await pool.end();
process.stdout.write(
  JSON.stringify({
    password: PASSWORD,
    athletes: ATHLETES,
    days: DAYS,
    request: at(asked, 0.5),
    requestP95: at(asked, 0.95),
    bare: at(sql, 0.5),
    core: at(core, 0.5),
    coreP95: at(core, 0.95),
  }),
);
process.exit(0);
