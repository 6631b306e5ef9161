import type { DateTime } from 'luxon';
import { daysBetween } from '@pace-bend/core/caution';
import { EMPTY_PLAN, type Anchor, type Block, type PhaseId, type SeasonPlan, type Stay } from '@pace-bend/core/season';
import { change, type Db } from '../db/pool.ts';
import { setNotAt, writePlan } from '../seasons/queries.ts';
import type { ClubEvents, ClubSquads } from './club.ts';
import type { SeededRandom } from './random.ts';

/** Blocks by the day they end on, counted from today, one after the other; the first begins on `from`. `by`: the event its end stands by. */
interface DemoSeason {
  readonly squad?: string;
  readonly athlete?: string;
  readonly from: number;
  readonly blocks: readonly { readonly phase: PhaseId; readonly until: number; readonly by?: string }[];
  readonly stays?: readonly (Omit<Stay, 'id' | 'from' | 'until'> & { readonly from: number; readonly until: number })[];
  readonly notAt?: readonly string[];
}

/** Two seasons of squads and what two athletes have over it, so that today lies in the middle of things. */
const SEASONS: readonly DemoSeason[] = [
  {
    squad: 'Men’s eight',
    from: -98,
    blocks: [
      { phase: 'recover', until: -78 },
      { phase: 'build', until: -19, by: 'Head race' },
      { phase: 'sharpen', until: 4, by: 'Head race' },
      { phase: 'compete', until: 9, by: 'Head race' },
      { phase: 'recover', until: 23, by: 'Head race' },
      { phase: 'build', until: 90, by: 'Spring regatta' },
      { phase: 'sharpen', until: 111, by: 'Spring regatta' },
      { phase: 'compete', until: 122, by: 'Spring regatta' },
      { phase: 'recover', until: 136, by: 'Spring regatta' },
    ],
    stays: [
      { kind: 'camp', name: 'Autumn camp', from: -35, until: -29, visits: true },
      { kind: 'camp', name: 'Winter camp', from: 58, until: 65, visits: false },
    ],
  },
  {
    squad: 'Women’s four',
    from: -84,
    blocks: [
      { phase: 'off', until: -57 },
      { phase: 'build', until: 90, by: 'Spring regatta' },
      { phase: 'sharpen', until: 111, by: 'Spring regatta' },
      { phase: 'compete', until: 122, by: 'Spring regatta' },
      { phase: 'recover', until: 140, by: 'Spring regatta' },
    ],
    stays: [{ kind: 'travel', name: 'Away with the club', from: 24, until: 38, visits: false }],
  },
  // New in the stroke seat: what that asks of the left hip is built on until the week of the race.
  { athlete: 'Tavi Brandsma', from: -18, blocks: [{ phase: 'build', until: 4 }] },
  { athlete: 'Ruan Teague', from: -3, blocks: [{ phase: 'recover', until: 16 }], notAt: ['Head race'] },
];

export interface SeasonsLoad {
  readonly db: Db;
  readonly practiceId: string;
  readonly today: DateTime;
  readonly random: SeededRandom;
  readonly athletes: ReadonlyMap<string, string>;
  readonly squads: ClubSquads;
  readonly events: ClubEvents;
  /** Who wrote them. */
  readonly by: string;
}

/** Lays the demo's seasons out. */
export async function loadSeasons({ db, practiceId, today, random, athletes, squads, events, by }: SeasonsLoad): Promise<void> {
  const day = (offset: number) => today.plus({ days: offset }).toISODate()!;
  const eventOf = (name: string) => events.get(name)!;
  const anchorOf = (name: string | undefined, offset: number): Anchor | null => {
    if (name === undefined) return null;
    const { id, onDate } = eventOf(name);
    const inDays = daysBetween(onDate, day(0));
    return { eventId: id, days: offset + inDays };
  };
  for (const season of SEASONS) {
    const ownerId = season.athlete ? athletes.get(season.athlete)! : squads.get(season.squad!)!;
    const blocks = season.blocks.map(({ phase, until, by: event }, i): Block => {
      const before = season.blocks[i - 1];
      const from = before ? before.until + 1 : season.from;
      return { phase, from: day(from), until: day(until), fromAnchor: anchorOf(before?.by, from), untilAnchor: anchorOf(event, until) };
    });
    const stays = (season.stays ?? []).map(({ from, until, ...stay }): Stay => ({
      ...stay,
      id: random.uuid(today.toJSDate()),
      from: day(from),
      until: day(until),
    }));
    const plan: SeasonPlan = { ...EMPTY_PLAN, blocks, stays };
    await writePlan(db, practiceId, ownerId, 0, plan, today.toJSDate(), by);
    if (season.notAt)
      await setNotAt(
        db,
        practiceId,
        ownerId,
        season.notAt.map((name) => eventOf(name).id),
      );
  }
  // Somebody who is due, with something to gain.
  await change(
    db,
    "INSERT INTO athlete_goal (id, athlete_id, motion_id, side, value, by_date, why, why_words, set_at) VALUES (?, ?, 'trunk-rotation', 'right', 46, ?, 'demand', 'long at the catch', ?)",
    [random.uuid(today.toJSDate()), athletes.get('Sunniva Dahl')!, day(122), today.minus({ days: 24 }).toJSDate()],
  );
}
