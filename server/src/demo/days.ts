import type { DateTime } from 'luxon';
import type { CheckInFields, SorePlace } from '@pace-bend/core/readiness';
import { insertMany, type Bound, type Db } from '../db/pool.ts';
import type { DemoPerson } from './people.ts';
import type { SeededRandom } from './random.ts';

/** Twelve weeks of mornings and training for everybody, made up and told so that they hang together with the visits. */
const DAYS = 84;

/** One session of a week: kind, minutes, exertion. */
type Session = readonly [kind: string, minutes: number, exertion: number];

/**
 * Weeks by sport, counted back from today (0 is today, not trained yet): the day before is an easy one, so that a demo visit is not
 * softened by what happened to be trained.
 */
const WEEKS: Readonly<Record<string, readonly (readonly Session[])[]>> = {
  rowing: [
    [['water', 70, 5]],
    [['mobility', 30, 2]],
    [['strength', 60, 6]],
    [['ergometer', 60, 7]],
    [['water', 75, 4]],
    [],
    [
      ['water', 90, 7],
      ['mobility', 20, 1],
    ],
  ],
  running: [
    [['easy-run', 45, 4]],
    [['easy-run', 35, 3]],
    [['hard-run', 55, 7]],
    [],
    [['easy-run', 50, 4]],
    [['strength', 45, 5]],
    [['long-run', 110, 6]],
  ],
  dance: [
    [['class', 90, 4]],
    [['class', 90, 4]],
    [
      ['class', 75, 4],
      ['rehearsal', 120, 6],
    ],
    [['rehearsal', 120, 6]],
    [['class', 90, 5]],
    [['jumps', 30, 6]],
    [],
  ],
  throwing: [
    [['throws', 60, 6]],
    [['mobility', 30, 2]],
    [['strength', 70, 7]],
    [['throws', 75, 6]],
    [],
    [['sprints', 45, 6]],
    [['strength', 60, 6]],
  ],
};

/** What happened to whom, in days before today. */
interface Story {
  readonly cold?: readonly [from: number, to: number];
  readonly hardWeek?: readonly [from: number, to: number];
  readonly missed?: readonly [from: number, to: number];
  /** First day anything was answered. */
  readonly since?: number;
  readonly today?: Partial<CheckInFields> | null;
}

const CAMP: readonly [number, number] = [35, 29];
const sore = (muscle: SorePlace['muscle'], side: SorePlace['side'], score: number): SorePlace => ({ muscle, side, score });

const STORIES: Readonly<Record<string, Story>> = {
  'Ines Okkonen': { today: { sore: [sore('hamstrings', 'left', 3), sore('hamstrings', 'right', 2)] } },
  'Tavi Brandsma': { hardWeek: [14, 8], today: {} },
  'Mirre Solheim': { today: null },
  'Joss Adeyemi': {
    hardWeek: [14, 8],
    today: { hoursSlept: 4.5, answers: { sleep: 5, stress: 3, fatigue: 4, soreness: 3 }, sore: [sore('soleus', 'left', 4)] },
  },
  'Kato Lindqvist': { hardWeek: [14, 8], cold: [26, 21], today: { sore: [sore('deltoid', 'left', 6)], training: 'part' } },
  'Perrin Vale': { today: {} },
  'Wren Achterberg': { since: 5, today: {} },
  'Noor Haverkamp': { today: { ill: true, answers: { sleep: 5, stress: 4, fatigue: 6, soreness: 5 }, training: 'none' } },
  'Odile Marchetti': { missed: [50, 44], today: {} },
  'Ruan Teague': { hardWeek: [14, 8], today: null },
  'Ewout van der Brook-Lindenhof': { since: 40, today: {} },
  'Milo Ferrand': { today: {} },
  'Sanne Orrevik': { today: { travelled: true, sore: [sore('cuff-back', 'right', 4)] } },
};

const within = (day: number, span: readonly [number, number] | undefined) => span !== undefined && day <= span[0] && day >= span[1];
const clamp = (value: number, low: number, high: number) => Math.max(low, Math.min(high, Math.round(value)));

/** Loads check-ins and training of everybody. `random` is for these alone. */
export async function loadDays(
  db: Db,
  today: DateTime,
  random: SeededRandom,
  people: readonly DemoPerson[],
  ids: ReadonlyMap<string, string>,
): Promise<void> {
  const checkIns: Bound[][] = [];
  const loads: Bound[][] = [];
  for (const person of people) {
    const story = STORIES[person.name] ?? {};
    const athleteId = ids.get(person.name)!;
    const sportId = person.sports[0]!.sportId;
    const steers = person.sports[0]!.role === 'cox';
    const usual = { answer: 2.6 + random.next() * 0.9, hours: 7.2 + random.next() * 0.8, rmssd: 55 + random.next() * 30 };
    const measuresHeart = person.name === 'Tavi Brandsma' || person.name === 'Milo Ferrand';
    for (let ago = Math.min(DAYS, story.since ?? DAYS); ago >= 0; ago--) {
      const on = today.minus({ days: ago });
      const day = on.toISODate()!;
      const [ill, hard, camp] = [within(ago, story.cold), within(ago, story.hardWeek), within(ago, CAMP) && sportId === 'rowing'];
      const hurt = person.setBack !== null && ago <= person.setBack.daysAgo && ago > person.setBack.daysAgo - 6;
      const heavy = (hard ? 1.1 : 0) + (camp ? 0.8 : 0) + (ill ? 2 : 0) + (hurt ? 0.7 : 0);
      if (ago > 0 && !ill && !within(ago, story.missed)) {
        const week = WEEKS[sportId] ?? WEEKS.rowing!;
        const sessions = [...week[ago % 7]!, ...(camp && ago % 7 !== 5 ? week[0]! : [])];
        for (const [kind, minutes, exertion] of sessions) {
          const rated = clamp(exertion + (hard ? 1.5 : 0) + random.normal() * 0.6, 1, 10);
          loads.push([
            random.uuid(on.set({ hour: 18 }).toJSDate()),
            athleteId,
            day,
            kind,
            clamp((minutes * (hard ? 1.2 : 1) + random.normal() * 5) / 5, 3, 40) * 5,
            steers ? Math.min(3, rated) : rated,
            null,
            20,
            false,
            on.set({ hour: 19 }).toJSDate(),
            'the athlete',
          ]);
        }
      }
      const answered = ago === 0 ? story.today !== undefined && story.today !== null : random.next() > 0.1;
      if (!answered || within(ago, story.missed)) continue;
      const answer = (more: number) => clamp(usual.answer + heavy * more + random.normal() * 0.7, 1, 7);
      // Today is as usual as the story says: nobody is softened by chance.
      const quiet = ago === 0;
      const plain = clamp(usual.answer, 1, 7);
      const fields: Omit<CheckInFields, 'onDate' | 'scale'> = {
        answers: quiet
          ? { sleep: plain, stress: plain, fatigue: plain, soreness: plain }
          : { sleep: answer(0.7), stress: answer(0.3), fatigue: answer(1.1), soreness: answer(1) },
        hoursSlept: Math.round((usual.hours - (quiet ? 0 : heavy * 0.3 + random.normal() * 0.5)) * 2) / 2,
        sore: !quiet && (hurt || hard) ? [sore('hamstrings', 'left', clamp(3 + heavy, 0, 7))] : [],
        ill,
        injured: false,
        travelled: (ago === CAMP[0] + 1 || ago === CAMP[1] - 1) && sportId === 'rowing',
        training: ill ? 'none' : 'full',
        rmssdMs: measuresHeart ? Math.round(usual.rmssd * Math.exp(-0.12 * heavy + random.normal() * 0.08) * 10) / 10 : null,
        ...(quiet ? story.today : {}),
      };
      const at = on.set({ hour: 6, minute: 20 + Math.floor(random.next() * 70) }).toJSDate();
      checkIns.push([
        random.uuid(at),
        athleteId,
        day,
        'four-items',
        JSON.stringify(fields.answers),
        fields.hoursSlept,
        JSON.stringify(fields.sore),
        fields.ill,
        fields.injured,
        fields.travelled,
        fields.training,
        fields.rmssdMs,
        at,
        'the athlete',
      ]);
    }
  }
  await insertMany(
    db,
    'INSERT INTO check_in (id, athlete_id, on_date, scale, answers, hours_slept, sore, ill, injured, travelled, training, rmssd_ms, entered_at, entered_by) VALUES ?',
    checkIns,
  );
  await insertMany(
    db,
    'INSERT INTO training_load (id, athlete_id, on_date, kind, minutes, exertion, amount, asked_after_min, planned, entered_at, entered_by) VALUES ?',
    loads,
  );
}
