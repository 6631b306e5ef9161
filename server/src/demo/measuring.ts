import { DateTime } from 'luxon';
import { motionOf, type Side } from '@pace-bend/core/body';
import { HOURS, type FindingContent } from '@pace-bend/core/finding';
import { emptyValues, type StudyFields, type StudySubject } from '@pace-bend/core/record';
import { change, rows, type Db } from '../db/pool.ts';
import { insertFinding } from '../findings/queries.ts';
import { finishStudy, insertStudy } from '../studies/queries.ts';
import type { GoalWhy } from '@pace-bend/core/record';
import type { SeededRandom } from './random.ts';

/** What hands and eyes found at the latest visit of some of the squad. */
const FINDINGS: readonly { readonly name: string; readonly found: readonly FindingContent[] }[] = [
  {
    name: 'Tavi Brandsma',
    found: [
      {
        kind: 'end',
        subject: 'hip-extension-knee-bent',
        side: 'left',
        data: { endFeel: 'muscular', pain: 2, felt: 'target', guarding: false },
      },
      {
        kind: 'end',
        subject: 'hip-extension-knee-straight',
        side: 'left',
        data: { endFeel: 'muscular', pain: 1, felt: 'target', guarding: false },
      },
      { kind: 'clock', subject: 'hip', side: 'left', data: { hours: HOURS.map((hour) => (hour === 6 || hour === 7 ? 'tight' : 'free')) } },
      { kind: 'press', subject: 'buttock-squeeze', side: 'left', data: { answer: 'late' } },
      { kind: 'press', subject: 'buttock-squeeze', side: 'right', data: { answer: 'prompt' } },
      { kind: 'leg-length', subject: 'legs', side: 'midline', data: { shorter: 'left', byCm: 0.5, afterPull: 'even' } },
      { kind: 'force', subject: 'knee-flexors', side: 'left', data: { trialsN: [212, 224, 219] } },
      { kind: 'force', subject: 'knee-extensors', side: 'left', data: { trialsN: [455, 470, 466] } },
      { kind: 'force', subject: 'knee-flexors', side: 'right', data: { trialsN: [262, 271, 268] } },
      { kind: 'force', subject: 'knee-extensors', side: 'right', data: { trialsN: [468, 475, 470] } },
    ],
  },
  {
    name: 'Joss Adeyemi',
    found: [
      { kind: 'point', subject: 'gastrocnemius/upper', side: 'left', data: { what: 'lump', tenderness: 6, refers: '' } },
      { kind: 'end', subject: 'ankle-lunge', side: 'left', data: { endFeel: 'capsular', pain: 2, felt: 'joint', guarding: false } },
      {
        kind: 'clock',
        subject: 'ankle',
        side: 'left',
        data: { hours: HOURS.map((hour) => (hour === 12 || hour === 1 ? 'tight' : hour === 4 ? 'painful' : 'free')) },
      },
    ],
  },
  {
    name: 'Wren Achterberg',
    found: [{ kind: 'glide', subject: 'patella', side: 'left', data: { up: 'stiff', down: 'stiff', in: 'free', out: 'painful' } }],
  },
];

const GOALS: readonly {
  readonly name: string;
  readonly motionId: string;
  readonly side: Side;
  readonly value: number;
  readonly inDays: number | null;
  readonly why: GoalWhy;
  readonly whyWords: string;
}[] = [
  {
    name: 'Tavi Brandsma',
    motionId: 'hip-extension-knee-bent',
    side: 'left',
    value: 12,
    inDays: 9,
    why: 'demand',
    whyWords: 'so that the finish stays tall',
  },
  { name: 'Ines Okkonen', motionId: 'straight-leg-raise', side: 'left', value: 78, inDays: 9, why: 'symmetry', whyWords: '' },
  {
    name: 'Joss Adeyemi',
    motionId: 'knee-to-wall',
    side: 'left',
    value: 9,
    inDays: 122,
    why: 'demand',
    whyWords: 'heels down at the catch',
  },
  {
    name: 'Kato Lindqvist',
    motionId: 'shoulder-flexion',
    side: 'left',
    value: 160,
    inDays: 84,
    why: 'wish',
    whyWords: 'overhead press without arching',
  },
];

export interface DemoMeasuring {
  readonly db: Db;
  readonly practiceId: string;
  readonly today: DateTime;
  readonly random: SeededRandom;
  /** Ids of athletes and of accounts by name. */
  readonly athletes: ReadonlyMap<string, string>;
  readonly accounts: ReadonlyMap<string, string>;
}

/** Whom the second therapist has read so far; all others have been read by one hand, so that their visits compare. */
const JONAS_READS = ['Joss Adeyemi', 'Ruan Teague'] as const;

/** One athlete who was read by one hand until the last visit and by the other there: what changed is told with the error of two. */
export async function readByTwoHands(db: Db, athleteId: string, accounts: ReadonlyMap<string, string>): Promise<void> {
  const [last] = await rows<{ id: string }>(db, 'SELECT id FROM visit WHERE athlete_id = ? ORDER BY starts_at DESC LIMIT 1', [athleteId]);
  await change(db, 'UPDATE rom_reading r JOIN visit v ON v.id = r.visit_id SET r.examiner_id = IF(v.id = ?, ?, ?) WHERE v.athlete_id = ?', [
    last!.id,
    accounts.get('Marit Voss')!,
    accounts.get('Jonas Eklund')!,
    athleteId,
  ]);
}

/** Findings, goals, the studies of the error, and who read what. */
export async function loadMeasuring(demo: DemoMeasuring): Promise<void> {
  const { db, today, random, athletes, accounts } = demo;
  const [marit, jonas] = [accounts.get('Marit Voss')!, accounts.get('Jonas Eklund')!];
  await change(db, 'UPDATE rom_reading r JOIN visit v ON v.id = r.visit_id SET r.examiner_id = IF(v.athlete_id IN (?, ?), ?, ?)', [
    ...JONAS_READS.map((name) => athletes.get(name)!),
    jonas,
    marit,
  ]);
  for (const { name, found } of FINDINGS) {
    const last = (
      await rows<{ id: string; startsAt: Date }>(
        db,
        'SELECT id, starts_at AS startsAt FROM visit WHERE athlete_id = ? AND finished_at IS NOT NULL ORDER BY starts_at DESC LIMIT 1',
        [athletes.get(name)!],
      )
    )[0]!;
    for (const [i, content] of found.entries()) {
      const at = DateTime.fromJSDate(last.startsAt)
        .plus({ minutes: 6, seconds: 10 * i })
        .toJSDate();
      await insertFinding(db, random.uuid(at), last.id, { ...content, moment: 'before', supersedes: null }, at, 'Marit Voss');
    }
  }
  for (const { name, motionId, side, value, inDays, why, whyWords } of GOALS) {
    const at = today.minus({ days: 20 }).toJSDate();
    await change(
      db,
      'INSERT INTO athlete_goal (id, athlete_id, motion_id, side, value, by_date, why, why_words, set_at) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)',
      [
        random.uuid(at),
        athletes.get(name)!,
        motionId,
        side,
        value,
        inDays === null ? null : today.plus({ days: inDays }).toISODate(),
        why,
        whyWords,
        at,
      ],
    );
  }
  const people = ['Ruan Teague', 'Kato Lindqvist', 'Odile Marchetti', 'Noor Haverkamp', 'Ines Okkonen', 'Sunniva Dahl'];
  const subjects = people.flatMap((name) =>
    (['left', 'right'] as const).map((side): StudySubject => ({ label: name, athleteId: athletes.get(name)!, side })),
  );
  await loadStudy(
    demo,
    {
      kind: 'repeatability',
      motionId: 'shoulder-external-rotation',
      instruments: ['inclinometer'],
      examinerIds: [marit, jonas],
      spacing: 'one-day',
      trials: 3,
      subjects,
      values: [],
    },
    24,
    [
      { sd: 1.4, shift: 0 },
      { sd: 2.6, shift: 1.5 },
    ],
  );
  await loadStudy(
    demo,
    {
      kind: 'agreement',
      motionId: 'hip-abduction',
      instruments: ['goniometer', 'inclinometer'],
      examinerIds: [marit],
      spacing: 'one-day',
      trials: 2,
      subjects,
      values: [],
    },
    17,
    [
      { sd: 1.8, shift: 3.2 },
      { sd: 1.2, shift: 0 },
    ],
  );
}

/** A finished study: each side has a true value, each part its own shift and scatter. */
async function loadStudy(
  { db, practiceId, today, random }: DemoMeasuring,
  fields: StudyFields,
  daysAgo: number,
  parts: readonly { readonly sd: number; readonly shift: number }[],
): Promise<void> {
  const { fan, possible } = motionOf(fields.motionId);
  const values = emptyValues(fields).map((row) => {
    const truth = fan.min + (0.55 + 0.35 * random.next()) * (fan.max - fan.min);
    return row.map((part, i) =>
      part.map(() => Math.min(possible.max, Math.round(truth + parts[i]!.shift + random.normal() * parts[i]!.sd))),
    );
  });
  const at = today.minus({ days: daysAgo }).set({ hour: 18 }).toJSDate();
  const id = random.uuid(at);
  await insertStudy(db, practiceId, id, { ...fields, values }, at, 'Marit Voss');
  await finishStudy(db, practiceId, id, 1, DateTime.fromJSDate(at).plus({ minutes: 40 }).toJSDate());
}
