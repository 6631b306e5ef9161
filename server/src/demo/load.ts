import { DateTime } from 'luxon';
import type { Side } from '@pace-bend/core/body';
import { playedSports, sportDifference } from '@pace-bend/core/sport';
import { newBlock, SLOW_BREATH } from '@pace-bend/core/method';
import { BLANK_FILE, lineOfRun, type ReadingFields, type RunFields } from '@pace-bend/core/record';
import { insertAthlete } from '../athletes/queries.ts';
import { change, firstRow, transaction, type Db, type Pool } from '../db/pool.ts';
import { withLease } from '../db/lease.ts';
import { writeNote } from '../notes/queries.ts';
import { replacePlan } from '../plans/queries.ts';
import { insertReading } from '../measured/queries.ts';
import { insertRun, insertRunEvents } from '../done/runs.ts';
import { keepDone } from '../done/treated.ts';
import { insertVisit } from '../visits/queries.ts';
import { insertAccount, setCoachSquads } from '../accounts/queries.ts';
import { hashPassword } from '../access/passwords.ts';
import { insertCondition, insertNoTouch } from '../athletes/conditions.ts';
import { insertSquad } from '../squads/queries.ts';
import { loadMeasuring } from './measuring.ts';
import { loadHome } from './home.ts';
import { loadSeasons } from './seasons.ts';
import { loadComparison } from './comparison.ts';
import { loadWeek } from './week.ts';
import { loadDays } from './days.ts';
import { ACCOUNTS, EVENTS, NEIGHBOURS, PEOPLE, SCOPE, SQUADS, TODAY, type DemoCondition, type DemoPerson } from './people.ts';
import { SeededRandom } from './random.ts';
import { DemoRange } from './range.ts';
import { rehearse } from './rehearse.ts';

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
    if (!demo) return;
    await new DemoLoader(db, practiceId, DateTime.fromJSDate(now, { zone: timeZone }).startOf('day'), random).load();
  });
}

class DemoLoader {
  private readonly ids = new Map<string, string>();
  private readonly accounts = new Map<string, string>();

  constructor(
    private readonly db: Db,
    private readonly practiceId: string,
    private readonly today: DateTime,
    private random: SeededRandom,
  ) {}

  async load(): Promise<void> {
    for (const event of EVENTS) {
      const on = this.today.plus({ days: event.inDays });
      await change(this.db, 'INSERT INTO calendar_event (id, practice_id, name, on_date, importance) VALUES (?, ?, ?, ?, ?)', [
        this.random.uuid(this.today.toJSDate()),
        this.practiceId,
        event.name,
        on.toISODate(),
        event.importance,
      ]);
    }
    for (const person of PEOPLE) await this.loadPerson(person);
    await this.loadPractice();
    await this.loadToday();
    await loadMeasuring({
      db: this.db,
      practiceId: this.practiceId,
      today: this.today,
      random: this.random,
      athletes: this.ids,
      accounts: this.accounts,
    });
    // From here on with numbers of their own: whatever comes after leaves what was before as it is.
    this.random = new SeededRandom(SEED + 1);
    for (const person of NEIGHBOURS) await this.loadPerson(person);
    await loadDays(this.db, this.today, new SeededRandom(SEED + 2), [...PEOPLE, ...NEIGHBOURS], this.ids);
    await loadSeasons(this.db, this.practiceId, this.today, new SeededRandom(SEED + 3), this.ids);
    await loadWeek(this.db, this.practiceId, this.ids, this.accounts);
    await loadHome(this.db, new SeededRandom(SEED + 5), this.ids);
    await loadComparison(this.db, this.today, new SeededRandom(SEED + 4), this.ids.get('Milo Ferrand')!);
  }

  private async loadToday(): Promise<void> {
    for (const { name, at, minutes } of TODAY) {
      const [hour, minute] = at.split(':').map(Number);
      const startsAt = this.today.set({ hour, minute }).toJSDate();
      const id = this.random.uuid(startsAt);
      await insertVisit(this.db, id, { athleteId: this.ids.get(name)!, startsAt: startsAt.toISOString(), minutes });
      await change(this.db, 'UPDATE visit SET complaint = ? WHERE id = ?', [PEOPLE.find((person) => person.name === name)!.complaint, id]);
    }
  }

  private async loadPractice(): Promise<void> {
    await change(
      this.db,
      'UPDATE practice SET mobilization_grade = ?, scope_by_region = ?, front_of_neck = ?, scope_rule_text = ?, scope_rule_link = ? WHERE id = ?',
      [SCOPE.mobilizationGrade, JSON.stringify(SCOPE.byRegion), SCOPE.frontOfNeck, SCOPE.ruleText, SCOPE.ruleLink, this.practiceId],
    );
    const squads = new Map<string, string>();
    for (const { name, members } of SQUADS) {
      const id = this.random.uuid(this.today.toJSDate());
      squads.set(name, id);
      await insertSquad(
        this.db,
        this.practiceId,
        id,
        name,
        members.map((member) => this.ids.get(member)!),
      );
    }
    for (const [i, account] of ACCOUNTS.entries()) {
      const id = this.random.uuid(this.today.minus({ days: 30 - i }).toJSDate());
      this.accounts.set(account.name, id);
      await insertAccount(
        this.db,
        this.practiceId,
        id,
        { ...account, active: true },
        await hashPassword(account.password),
        account.password,
      );
      await setCoachSquads(
        this.db,
        this.practiceId,
        id,
        account.squads.map((name) => squads.get(name)!),
      );
    }
  }

  private day(daysAgo: number | undefined): string | null {
    return daysAgo === undefined ? null : this.today.minus({ days: daysAgo }).toISODate()!;
  }

  private async loadCondition(athleteId: string, condition: DemoCondition): Promise<void> {
    const { code, region = null, side = null, words = '', clearance } = condition;
    await insertCondition(this.db, athleteId, this.random.uuid(this.today.minus({ days: 80 }).toJSDate()), {
      code,
      region,
      side,
      words,
      muscle: null,
      grade: null,
      revision: 0,
      onset: this.day(condition.onsetDaysAgo ?? condition.surgeryDaysAgo),
      surgeryOn: this.day(condition.surgeryDaysAgo),
      resolvedOn: this.day(condition.resolvedDaysAgo),
      clearance: clearance ? { by: clearance.by, text: clearance.text, limits: clearance.limits, on: this.day(clearance.daysAgo)! } : null,
    });
  }

  private async loadPerson(person: DemoPerson): Promise<void> {
    const id = this.random.uuid(this.today.minus({ days: 90 }).toJSDate());
    this.ids.set(person.name, id);
    const birthDate = `${this.today.year - person.birth.yearsAgo}-${person.birth.monthDay}`;
    await insertAthlete(this.db, this.practiceId, id, {
      ...BLANK_FILE,
      historyOn: this.day(80),
      name: person.name,
      birthDate,
      referenceSex: person.sex,
      sports: person.sports,
      about: person.about,
      breathPeriodMs: person.breathPeriodMs,
      ...person.file,
    });

    for (const condition of person.conditions ?? []) await this.loadCondition(id, condition);
    for (const area of person.noTouch ?? [])
      await insertNoTouch(
        this.db,
        id,
        this.random.uuid(this.today.minus({ days: 60 }).toJSDate()),
        area,
        this.today.minus({ days: 60 }).toJSDate(),
      );

    const firstDay = -(person.visitDaysAgo[0] ?? 0) - 7;
    const ranges = person.motions.flatMap((demo) => {
      const sides: readonly Side[] = demo.motionId === 'fingertip-to-floor' ? ['midline'] : ['left', 'right'];
      return sides.map((side, i) => ({
        side,
        range: new DemoRange(demo, i as 0 | 1, person, this.isTreated(person, demo.motionId), firstDay),
      }));
    });
    for (const daysAgo of person.visitDaysAgo) {
      for (const { range } of ranges) range.passTo(-daysAgo);
      await this.loadVisit(person, id, daysAgo, ranges);
    }
  }

  /** Work on one motion of a joint shows in its neighbours too. */
  private isTreated(person: DemoPerson, motionId: string): boolean {
    if (!person.treats || sportDifference(motionId, playedSports(person.sports), () => null)) return false;
    const family = motionId.split('-')[0]!;
    return person.motions[0]!.motionId.startsWith(family) || person.motions[1]?.motionId.startsWith(family) === true;
  }

  private async loadVisit(
    person: DemoPerson,
    athleteId: string,
    daysAgo: number,
    ranges: readonly { side: Side; range: DemoRange }[],
  ): Promise<void> {
    const starts = this.today
      .minus({ days: daysAgo })
      .set({ hour: 9 + Math.floor(this.random.next() * 7), minute: this.random.next() < 0.5 ? 0 : 30 });
    const at = (minutes: number) => starts.plus({ minutes }).toJSDate();
    const visitId = this.random.uuid(at(0));
    await insertVisit(this.db, visitId, { athleteId, startsAt: at(0).toISOString(), minutes: 45 });

    const read = async (side: Side, range: DemoRange, moment: 'before' | 'after', plus: number) => {
      const minute = moment === 'before' ? 5 : 35;
      const trials = range.trials(range.value(plus), this.random);
      const fields: ReadingFields = {
        motionId: range.motion.id,
        side,
        moment,
        mode: range.motion.mode,
        instrument: range.motion.instruments[0],
        trials,
        supersedes: null,
      };
      await insertReading(this.db, this.random.uuid(at(minute)), visitId, fields, at(minute), null);
      return trials.reduce((sum, trial) => sum + trial, 0) / trials.length;
    };

    const edges: RunFields['edges'][number][] = [];
    for (const { side, range } of ranges) edges.push({ motionId: range.motion.id, side, value: await read(side, range, 'before', 0) });
    if (person.treats) {
      await this.loadRun(person, visitId, edges, at(12), daysAgo);
      for (const { side, range } of ranges) {
        const keptBefore = range.value();
        range.treat();
        // Right after the work all of the gain shows; what is kept of it is already in the range itself.
        const shown = Math.abs(range.value() - keptBefore) / Math.max(0.05, person.response.keeps);
        await read(side, range, 'after', shown - Math.abs(range.value() - keptBefore));
      }
    }
    const words =
      person.setBack && Math.abs(person.setBack.daysAgo - daysAgo) < 7 && daysAgo <= person.setBack.daysAgo
        ? person.setBack.words
        : 'As planned. Same again next time, measure first.';
    await writeNote(this.db, visitId, 0, { text: words, edits: {} });
    const asked = person.asked ?? {};
    await change(
      this.db,
      "UPDATE visit SET complaint = ?, complaint_region = ?, complaint_side = ?, complaint_score = ?, changed = ?, training_since = ?, training_next = ?, look_first = ?, consent = ?, step = 'close', finished_at = ? WHERE id = ?",
      [
        person.complaint,
        asked.complaintRegion ?? null,
        asked.complaintSide ?? null,
        asked.complaintScore ?? null,
        asked.changed ?? '',
        asked.trainingSince ?? '',
        asked.trainingNext ?? '',
        asked.lookFirst ?? '',
        asked.consent ? JSON.stringify(asked.consent) : null,
        at(42),
        visitId,
      ],
    );
  }

  private async loadRun(person: DemoPerson, visitId: string, edges: RunFields['edges'], startedAt: Date, daysAgo: number): Promise<void> {
    const { entryId, methodId: usual, sides } = person.treats!;
    const methodId = person.otherWay?.daysAgo.includes(daysAgo) ? person.otherWay.methodId : usual;
    const blocks = [newBlock(this.random.uuid(startedAt), entryId, methodId, sides)];
    const breath = { ...SLOW_BREATH, periodMs: person.breathPeriodMs };
    const line = lineOfRun({ blocks, breath, edges });
    const runId = this.random.uuid(startedAt);
    await replacePlan(this.db, visitId, 0, blocks);
    await insertRun(this.db, runId, { visitId, blocks, breath, edges, clockRate: 1 }, JSON.stringify(line), startedAt, null);
    const sore = person.setBack !== null && daysAgo <= person.setBack.daysAgo && daysAgo > person.setBack.daysAgo - 8;
    await insertRunEvents(
      this.db,
      runId,
      rehearse(line, this.random, sore).map(({ kind, atMs, ...data }, i) => ({
        id: this.random.uuid(new Date(startedAt.getTime() + atMs)),
        seq: i + 1,
        atMs,
        kind,
        ...data,
      })),
    );
    await keepDone(this.db, runId);
  }
}
