import { randomBytes } from 'node:crypto';
import { v7 as uuid } from 'uuid';
import type { Express } from 'express';
import supertest from 'supertest';
import type { Role } from '@pace-bend/core/access';
import { STOP_QUESTIONS } from '@pace-bend/core/caution';
import type { VisitFile } from '@pace-bend/core/record';
import { createApp } from '../app/app.ts';
import { migrate } from '../db/migrate.ts';
import { insertAccount } from '../accounts/queries.ts';
import { createSession } from '../access/sessions.ts';
import { change, firstRow, openPool, type Pool } from '../db/pool.ts';
import { ensurePractice } from '../demo/load.ts';

export const NOW = new Date('2026-11-25T09:00:00.000Z');

export interface TestApp {
  readonly app: Express;
  readonly pool: Pool;
  readonly practiceId: string;
  /** Moves the server's clock. */
  setNow(now: Date): void;
  /** The cookie of somebody new, signed in, in a role of this practice or another one. */
  cookieOf(role: Role, practiceId?: string): Promise<string>;
  /** Another practice in the same database. */
  anotherPractice(): Promise<string>;
  /** A new owner for whom requests are made from now on, after the accounts were emptied; returns their id. */
  renewOwner(): Promise<string>;
  close(): Promise<void>;
}

/** Cookies of the owner each test application was opened with. */
const owners = new WeakMap<Express, string>();

/** Requests as the owner. */
export function request(app: Express): ReturnType<typeof supertest.agent> {
  return supertest.agent(app).set('Cookie', owners.get(app)!) as unknown as ReturnType<typeof supertest.agent>;
}

/** Requests as whoever a cookie belongs to, or nobody. */
export function requestAs(app: Express, cookie: string | null): ReturnType<typeof supertest.agent> {
  return (cookie === null ? supertest.agent(app) : supertest.agent(app).set('Cookie', cookie)) as unknown as ReturnType<
    typeof supertest.agent
  >;
}

/** The whole server on a database of its own in the MariaDB that the test command started. */
export async function openTestApp({ demo = false } = {}): Promise<TestApp> {
  const base = process.env.TEST_DATABASE_URL;
  if (!base) throw new Error('TEST_DATABASE_URL is not set: run the tests with `npm test`.');
  const name = `pace_test_${randomBytes(6).toString('hex')}`;
  const admin = openPool(base);
  await admin.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`);
  const pool = openPool(base.replace(/\/[^/]*$/, `/${name}`));
  await migrate(pool);
  await ensurePractice(pool, { now: NOW, demo, timeZone: 'Europe/Berlin' });
  let time = NOW;
  const app = createApp({ pool, now: () => time });
  const { id: practiceId } = (await firstRow<{ id: string }>(pool, 'SELECT id FROM practice LIMIT 1'))!;
  const cookieOf = async (role: Role, of = practiceId) => {
    const id = uuid();
    await insertAccount(pool, of, id, { name: `A ${role}`, login: `${role}-${id.slice(-12)}`, role, active: true }, 'no password');
    return `pace_bend=${await createSession(pool, id, time)}`;
  };
  const renewOwner = async () => {
    owners.set(app, await cookieOf('owner'));
    return (await firstRow<{ id: string }>(pool, "SELECT id FROM account WHERE role = 'owner' ORDER BY created_at DESC LIMIT 1"))!.id;
  };
  await renewOwner();
  return {
    renewOwner,
    app,
    pool,
    practiceId,
    cookieOf,
    setNow(now) {
      time = now;
    },
    async anotherPractice() {
      const id = uuid();
      await change(
        pool,
        "INSERT INTO practice (id, name, time_zone, created_at) VALUES (?, 'Another practice', 'Europe/Berlin', '2030-01-01')",
        [id],
      );
      return id;
    },
    async close() {
      await pool.end();
      await admin.query(`DROP DATABASE ${name}`);
      await admin.end();
    },
  };
}

/** No more than a new athlete needs. */
export const ANN = {
  name: 'Ann Example',
  birthDate: '2001-05-06',
  referenceSex: 'female',
  sports: [{ sportId: 'rowing', discipline: 'sweep', role: 'stroke-side', leading: null, words: '' }],
  about: '',
  breathPeriodMs: 10_000,
} as const;

/** An athlete with one visit; returns their ids. */
export async function newVisit(app: Express): Promise<{ athleteId: string; visitId: string }> {
  const [athleteId, visitId] = [uuid(), uuid()];
  await request(app).put(`/api/athletes/${athleteId}`).send(ANN).expect(200);
  await request(app)
    .put(`/api/visits/${visitId}`)
    .send({ athleteId, startsAt: '2026-11-25T09:30:00.000Z', minutes: 45, overlap: true })
    .expect(200);
  return { athleteId, visitId };
}

/** Asks what has to be asked before hands go on: none of the stop questions, and a word for consent. */
export async function ask(app: Express, visitId: string): Promise<void> {
  const answers = Object.fromEntries(STOP_QUESTIONS.map((question) => [question.id, 'no']));
  await request(app).put(`/api/visits/${visitId}/answers/${uuid()}`).send({ answers }).expect(200);
  const { revision } = (await visitFile(app, visitId)).visit;
  await request(app).patch(`/api/visits/${visitId}`).send({ revision, consentWord: 'as agreed last week' }).expect(200);
}

/** The same, ready for the table. */
export async function newAskedVisit(app: Express): Promise<{ athleteId: string; visitId: string }> {
  const ids = await newVisit(app);
  await ask(app, ids.visitId);
  return ids;
}

export async function visitFile(app: Express, visitId: string): Promise<VisitFile> {
  return (await request(app).get(`/api/visits/${visitId}`).expect(200)).body as VisitFile;
}

export { uuid };
