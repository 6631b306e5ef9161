import type { DateTime } from 'luxon';
import type { Side } from '@pace-bend/core/body';
import { playedSports, sportDifference } from '@pace-bend/core/sport';
import { newBlock, SLOW_BREATH } from '@pace-bend/core/method';
import { BLANK_FILE, lineOfRun, type ReadingFields, type RunFields } from '@pace-bend/core/record';
import { insertCondition, insertNoTouch } from '../athletes/conditions.ts';
import { insertAthlete } from '../athletes/queries.ts';
import { change, type Db } from '../db/pool.ts';
import { insertRun, insertRunEvents } from '../done/runs.ts';
import { keepDone } from '../done/treated.ts';
import { insertReading } from '../measured/queries.ts';
import { writeNote } from '../notes/queries.ts';
import { replacePlan } from '../plans/queries.ts';
import { insertVisit } from '../visits/queries.ts';
import type { DemoCondition, DemoPerson } from './people.ts';
import type { SeededRandom } from './random.ts';
import { DemoRange } from './range.ts';
import { rehearse } from './rehearse.ts';
import { storyOf } from './stories.ts';

/** Writes made-up people with the weeks behind them: file, conditions, visits, readings, runs, notes. */
export class PeopleLoader {
  /** Ids by name. */
  readonly ids = new Map<string, string>();

  constructor(
    private readonly db: Db,
    private readonly practiceId: string,
    private readonly today: DateTime,
    private random: SeededRandom,
  ) {}

  /** From here on with numbers of their own: whatever comes after leaves what was before as it is. */
  goOnWith(random: SeededRandom): void {
    this.random = random;
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

  /** Writes a person’s file and visits. */
  async load(person: DemoPerson): Promise<void> {
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
    const { complaint, changed, note } = storyOf(person.name, person.visitDaysAgo.indexOf(daysAgo));
    const words =
      person.setBack && Math.abs(person.setBack.daysAgo - daysAgo) < 7 && daysAgo <= person.setBack.daysAgo ? person.setBack.words : note;
    await writeNote(this.db, visitId, 0, { text: words, edits: {} });
    const asked = person.asked ?? {};
    await change(
      this.db,
      "UPDATE visit SET complaint = ?, complaint_region = ?, complaint_side = ?, complaint_score = ?, changed = ?, training_since = ?, training_next = ?, look_first = ?, consent = ?, step = 'close', finished_at = ? WHERE id = ?",
      [
        complaint,
        asked.complaintRegion ?? null,
        asked.complaintSide ?? null,
        asked.complaintScore ?? null,
        changed,
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
