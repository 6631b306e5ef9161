import type { DueFile } from '@pace-bend/core/cycle';
import { WEEK_REACH, type WeekFile } from '@pace-bend/core/week';
import { PHASE_RULES } from '@pace-bend/core/season';
import type { PracticeRow } from '../access/sessions.ts';
import { snapshot } from '../db/pool.ts';
import { ANN, newVisit, NOW, openTestApp, request, uuid, type TestApp } from '../testing/app.ts';
import { dueFile, type DueReach } from './facts.ts';

let test_: TestApp;
beforeAll(async () => {
  test_ = await openTestApp();
});
afterAll(() => test_.close());

/** Somebody whose only visit was held some days ago. */
async function seen(daysAgo: number): Promise<string> {
  const { athleteId, visitId } = await newVisit(test_.app);
  const at = new Date(NOW.getTime() - daysAgo * 86_400_000);
  await test_.pool.query('UPDATE visit SET starts_at = ?, finished_at = ? WHERE id = ?', [at, at, visitId]);
  return athleteId;
}
const idsOf = ({ athletes }: DueFile) => athletes.map(({ id }) => id);
/** With another reach than the usual one. */
const within = (reach: DueReach) => {
  const practice = { id: test_.practiceId, timeZone: 'UTC', phases: PHASE_RULES } as unknown as PracticeRow;
  return snapshot(test_.pool, (db) => dueFile(db, practice, NOW, { reach })).then(idsOf);
};

test('where there are more than are looked at, who has a visit soon gives way, then who was seen longest ago', async () => {
  const [long, lately, booked] = [await seen(90), await seen(30), await seen(1)];
  await request(test_.app)
    .put(`/api/visits/${uuid()}`)
    .send({ athleteId: booked, startsAt: '2026-12-05T08:00:00.000Z', minutes: 45, overlap: true })
    .expect(200);
  expect(await within({ seen: 1, unseen: 0 })).toEqual([lately]);
  expect(await within({ seen: 2, unseen: 0 })).toEqual([lately, long]);
  expect(await within({ seen: 3, unseen: 0 })).toEqual([booked, lately, long]);
});

test('a club that is taken in as a whole hides nobody who was seen before; of those never seen the newest are there', async () => {
  const known = await seen(25);
  const club = Array.from({ length: 125 }, () => uuid());
  for (const id of club) await request(test_.app).put(`/api/athletes/${id}`).send(ANN).expect(200);
  const due = (await request(test_.app).get('/api/due').expect(200)).body as DueFile;
  const ids = new Set(idsOf(due));
  expect(ids.has(known)).toBe(true);
  expect(club.filter((id) => ids.has(id))).toHaveLength(120);
  expect(ids.has(club[0]!)).toBe(false);
  expect(ids.has(club.at(-1)!)).toBe(true);
  expect(due.total).toBeGreaterThan(due.athletes.length);

  const week = (await request(test_.app).get('/api/week/2026-11-23').expect(200)).body as WeekFile;
  const weekIds = new Set(week.athletes.map(({ facts }) => facts.id));
  expect(weekIds.has(known)).toBe(true);
  expect(club.filter((id) => weekIds.has(id))).toEqual(club.slice(-WEEK_REACH.unseen));
});
