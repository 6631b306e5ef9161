import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { text } from 'node:stream/consumers';
import { createApp } from '../server/src/app/app.ts';
import { goalsOf } from '../server/src/athletes/goals.ts';
import { conditionsOf, noTouchOf } from '../server/src/athletes/conditions.ts';
import { readLayout } from '../server/src/archive/columns.ts';
import { partOf } from '../server/src/archive/write.ts';
import { athleteById, athletesByName } from '../server/src/athletes/queries.ts';
import { insertAccount, setCoachSquads } from '../server/src/accounts/queries.ts';
import { createSession } from '../server/src/access/sessions.ts';
import { membersFor, readingsFor, visitsFor } from '../server/src/coach/queries.ts';
import { eventsAround, eventsFrom, eventsOfAthlete } from '../server/src/events/queries.ts';
import { unfinishedBefore, visitsBetween } from '../server/src/days/queries.ts';
import { migrate } from '../server/src/db/migrate.ts';
import { firstRow, openPool, type Pool } from '../server/src/db/pool.ts';
import { ensurePractice } from '../server/src/demo/load.ts';
import { findingsBefore, findingsOf } from '../server/src/findings/queries.ts';
import { noteOf } from '../server/src/notes/queries.ts';
import { planOf } from '../server/src/plans/queries.ts';
import { pastReadings, readingsOf, stripReadings } from '../server/src/measured/queries.ts';
import { runsOf } from '../server/src/done/runs.ts';
import { membersOf, squadNamesOf, squadsOf } from '../server/src/squads/queries.ts';
import { errorKnowledge, withinDay } from '../server/src/studies/queries.ts';
import { arrivalBefore, visitById, visitNumber, visitsOf } from '../server/src/visits/queries.ts';
import { answersOf, overridesOf, referralOf, referredVisits } from '../server/src/safety/queries.ts';
import { practiceById } from '../server/src/access/sessions.ts';

/**
 * Two thousand athletes with ten visits and a hundred readings each, then every list and file request beside the
 * same queries without the server: one after the other, in turns, medians in milliseconds.
 */
const ATHLETES = 2000;
const VISITS = 10;
const TURNS = 150;
const NOW = new Date('2026-11-25T09:00:00.000Z');

const pool = openPool(process.env.DATABASE_URL!);
await migrate(pool);
await ensurePractice(pool, { now: NOW, demo: false, timeZone: 'Europe/Berlin' });
const { id: practiceId } = (await firstRow<{ id: string }>(pool, 'SELECT id FROM practice'))!;
await seed(pool);
const layout = await readLayout(pool);
const accountId = '01900000-0000-7000-8000-000000000001';
await insertAccount(pool, practiceId, accountId, { name: 'Bench', login: 'bench', role: 'owner', active: true }, 'no password');
// One examiner's year: some five thousand readings.
await pool.query('UPDATE rom_reading SET examiner_id = ? WHERE CRC32(id) % 40 = 0', [accountId]);
const cookie = `pace_bend=${await createSession(pool, accountId, NOW)}`;
const coach = { accountId: '01900000-0000-7000-8000-000000000002', practiceId, role: 'coach' as const };
await insertAccount(pool, practiceId, coach.accountId, { name: 'Coach', login: 'coach', role: 'coach', active: true }, 'no password');
await setCoachSquads(
  pool,
  practiceId,
  coach.accountId,
  (await squadsOf(pool, practiceId)).slice(0, 4).map((squad) => squad.id),
);
const coachCookie = `pace_bend=${await createSession(pool, coach.accountId, NOW)}`;
const since = new Date(NOW.getTime() - 120 * 86_400_000);
const server = createApp({ pool, now: () => NOW }).listen(0, '127.0.0.1');
await new Promise((resolve) => server.once('listening', resolve));
const base = `http://127.0.0.1:${(server.address() as { port: number }).port}/api`;

/** Invented people and values, made by the database itself. */
async function seed(db: Pool): Promise<void> {
  const motions = ['hip-flexion', 'straight-leg-raise', 'knee-flexion', 'ankle-dorsiflexion', 'shoulder-flexion'];
  await db.query(
    `INSERT INTO athlete (id, practice_id, name, birth_date, reference_sex, sports, about, breath_period_ms)
    SELECT UUID(), ?, CONCAT('Rower ', LPAD(seq, 4, '0')), DATE('1990-01-01') + INTERVAL seq DAY, 'none', '[{"sportId":"rowing","discipline":"sculls","role":"sculler","leading":null,"words":""}]', IF(seq % 7 = 0, 'tall, long thighs', ''), 9000 FROM seq_1_to_${ATHLETES}`,
    [practiceId],
  );
  await db.query(`INSERT INTO visit (id, athlete_id, starts_at, minutes, minutes_available, step, finished_at)
    SELECT UUID(), a.id, TIMESTAMP('2026-11-25 08:00:00') - INTERVAL (s.seq * 7 + a.breath_period_ms % 3) DAY + INTERVAL (CRC32(a.id) % 600) MINUTE, 45, 45, 'close', TIMESTAMP('2026-11-25 09:00:00') - INTERVAL s.seq * 7 DAY FROM athlete a JOIN seq_1_to_${VISITS} s`);
  await db.query(`INSERT INTO rom_reading (id, visit_id, motion_id, side, moment, mode, instrument, trials, value, taken_at)
    SELECT UUID(), v.id, m.id, s.side, 'before', 'passive', 'goniometer', '[90,91,92]', 91, v.starts_at FROM visit v
    JOIN (${motions.map((motion) => `SELECT '${motion}' AS id`).join(' UNION ALL ')}) m JOIN (SELECT 'left' AS side UNION ALL SELECT 'right') s`);
  await db.query(
    "UPDATE visit SET starts_at = TIMESTAMP('2026-11-25 07:00:00') + INTERVAL (CRC32(id) % 600) MINUTE, finished_at = NULL, step = 'arrive' WHERE id IN (SELECT id FROM (SELECT id FROM visit ORDER BY starts_at DESC LIMIT 12) latest)",
  );
  // A crew of nine for every boat, as a coach would be given them.
  await db.query("INSERT INTO squad (id, practice_id, name) SELECT UUID(), ?, CONCAT('Crew ', seq) FROM seq_1_to_40", [practiceId]);
  await db.query(
    'INSERT INTO squad_member (squad_id, athlete_id) SELECT s.id, a.id FROM (SELECT id, ROW_NUMBER() OVER (ORDER BY id) AS n FROM squad) s JOIN (SELECT id, ROW_NUMBER() OVER (ORDER BY name) AS n FROM athlete) a ON (a.n - 1) DIV 9 + 1 = s.n',
  );
  await db.query('ANALYZE TABLE athlete, visit, rom_reading');
}

const one = (await firstRow<{ id: string; athleteId: string; startsAt: Date }>(
  pool,
  'SELECT id, athlete_id AS athleteId, starts_at AS startsAt FROM visit WHERE finished_at IS NOT NULL ORDER BY starts_at DESC LIMIT 1',
))!;
const day = { from: new Date('2026-11-24T23:00:00.000Z'), to: new Date('2026-11-25T23:00:00.000Z') };
const crew = (await squadsOf(pool, practiceId))[0]!;
const everybody = { search: '', squadId: null, offset: 0, limit: 100 };

const REQUESTS: readonly { readonly name: string; readonly path: string; readonly as?: string; readonly bare: () => Promise<unknown> }[] = [
  { name: 'list, first page', path: '/athletes', bare: () => athletesByName(pool, practiceId, everybody) },
  { name: 'list, last page', path: '/athletes?offset=1900', bare: () => athletesByName(pool, practiceId, { ...everybody, offset: 1900 }) },
  {
    name: 'search, two words',
    path: '/athletes?q=long+rower',
    bare: () => athletesByName(pool, practiceId, { ...everybody, search: 'long rower' }),
  },
  {
    name: "an athlete's file",
    path: `/athletes/${one.athleteId}`,
    bare: () =>
      Promise.all([
        athleteById(pool, practiceId, one.athleteId),
        conditionsOf(pool, one.athleteId),
        noTouchOf(pool, one.athleteId),
        squadNamesOf(pool, one.athleteId),
        pastReadings(pool, one.athleteId, null),
        visitsOf(pool, one.athleteId),
        referredVisits(pool, one.athleteId),
        eventsOfAthlete(pool, practiceId, one.athleteId),
        errorKnowledge(pool, practiceId),
        goalsOf(pool, one.athleteId),
      ]),
  },
  {
    name: "a visit's file",
    path: `/visits/${one.id}`,
    bare: async () => {
      const visit = (await visitById(pool, practiceId, one.id))!;
      return Promise.all([
        athleteById(pool, practiceId, one.athleteId),
        conditionsOf(pool, one.athleteId),
        noTouchOf(pool, one.athleteId),
        eventsAround(pool, practiceId, one.athleteId, '2026-11-25'),
        visitNumber(pool, visit),
        readingsOf(pool, one.id),
        pastReadings(pool, one.athleteId, visit.startsAt),
        planOf(pool, one.id),
        runsOf(pool, one.id),
        noteOf(pool, one.id),
        answersOf(pool, one.id),
        overridesOf(pool, one.id),
        referralOf(pool, one.id),
        arrivalBefore(pool, one.athleteId, visit.startsAt),
        errorKnowledge(pool, practiceId),
        findingsOf(pool, one.id),
        findingsBefore(pool, one.athleteId, visit.startsAt),
        goalsOf(pool, one.athleteId),
      ]);
    },
  },
  { name: 'squads', path: '/squads', bare: () => squadsOf(pool, practiceId) },
  {
    name: 'audit, first page',
    path: '/audit',
    bare: () =>
      pool.query(
        'SELECT u.id, u.at, u.account_name, u.what, u.athlete_id, a.name FROM audit u LEFT JOIN athlete a ON a.id = u.athlete_id WHERE u.practice_id = ? ORDER BY u.id DESC LIMIT 101',
        [practiceId],
      ),
  },
  {
    name: 'an athlete, whole record',
    path: `/athletes/${one.athleteId}/record`,
    bare: () => partOf(pool, layout, 'athlete', one.athleteId),
  },
  {
    name: 'a coach, four crews',
    path: '/coach',
    as: coachCookie,
    bare: () => Promise.all([membersFor(pool, coach), visitsFor(pool, coach, since), readingsFor(pool, coach, since)]),
  },
  {
    name: 'a day of twelve visits',
    path: '/days/2026-11-25',
    bare: async () =>
      Promise.all([
        visitsBetween(pool, await practiceById(pool, practiceId), day.from, day.to),
        eventsFrom(pool, practiceId, '2026-11-25'),
        unfinishedBefore(pool, await practiceById(pool, practiceId), day.from),
        errorKnowledge(pool, practiceId),
      ]),
  },
  {
    name: 'a crew’s strip',
    path: `/squads/${crew.id}/strip`,
    bare: () =>
      Promise.all([squadsOf(pool, practiceId), membersOf(pool, crew.id), stripReadings(pool, crew.id), errorKnowledge(pool, practiceId)]),
  },
  {
    name: 'repeats within a day',
    path: '/studies/within-day',
    bare: () => withinDay(pool, accountId, new Date(NOW.getTime() - 365 * 86_400_000)),
  },
];

const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
async function timed(work: () => Promise<unknown>): Promise<number> {
  const from = performance.now();
  await work();
  return performance.now() - from;
}

const found: { name: string; server: number; bare: number }[] = [];
for (const request of REQUESTS) {
  const get = async () => {
    const answer = await fetch(`${base}${request.path}`, { headers: { Cookie: request.as ?? cookie } });
    if (!answer.ok) throw new Error(`${request.path}: ${answer.status}`);
    return answer.text();
  };
  for (let i = 0; i < 10; i++) await Promise.all([get(), request.bare()]);
  const [server_, bare]: [number[], number[]] = [[], []];
  for (let i = 0; i < TURNS; i++) {
    server_.push(await timed(get));
    bare.push(await timed(request.bare));
  }
  found.push({ name: request.name, server: median(server_), bare: median(bare) });
}

/**
 * What leaves of the whole practice: its lines, its size and the most memory of the server while it is sent, beside reading the same rows by one
 * query. Whoever reads it is a process of its own, as a browser is.
 */
async function exported(
  path: string,
): Promise<{ readonly ms: number; readonly lines: number; readonly sentMb: number; readonly heapMb: number }> {
  global.gc?.();
  const before = process.memoryUsage().heapUsed;
  let most = 0;
  const watch = setInterval(() => (most = Math.max(most, process.memoryUsage().heapUsed - before)), 20);
  const reader = spawn(process.execPath, [join(import.meta.dirname, 'readExport.mjs'), `${base}${path}`, cookie], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const said = await text(reader.stdout);
  clearInterval(watch);
  const { ms, lines, bytes } = JSON.parse(said) as { ms: number; lines: number; bytes: number };
  return { ms, lines, sentMb: bytes / 2 ** 20, heapMb: most / 2 ** 20 };
}
const bareReadings = () =>
  timed(() =>
    pool.query(
      'SELECT r.*, a.name FROM rom_reading r JOIN visit v ON v.id = r.visit_id JOIN athlete a ON a.id = v.athlete_id ORDER BY a.name, a.id, r.taken_at',
    ),
  );
async function beside(path: string) {
  await exported(path);
  await bareReadings();
  const [runs, bares] = [
    [await exported(path), await exported(path), await exported(path)],
    [await bareReadings(), await bareReadings(), await bareReadings()],
  ];
  return {
    ms: median(runs.map(({ ms }) => ms)),
    bareMs: median(bares),
    lines: runs[0]!.lines - 1,
    sentMb: runs[0]!.sentMb,
    heapMb: Math.max(...runs.map(({ heapMb }) => heapMb)),
  };
}
const [table, practice] = [await beside('/export/tables/readings'), await beside('/export/practice')];
process.stdout.write(`${JSON.stringify({ found, table, practice })}\n`);
server.closeAllConnections();
server.close();
await pool.end();
