import type { DateTime } from 'luxon';
import { DAY_RULES, OFFERS, weightOf, type EventDaySetUp, type Race, type Starter, type Wish } from '@pace-bend/core/eventDay';
import type { Db } from '../db/pool.ts';
import { writeEventDay } from '../eventDays/queries.ts';
import type { ClubEvents } from './club.ts';
import type { SeededRandom } from './random.ts';

/** The head race's boats, and who sits in them; names that are nobody of the club's are guests. */
const BOATS: readonly { readonly race: string; readonly start: number; readonly crew: readonly string[] }[] = [
  { race: 'Women’s fours', start: 10 * 60, crew: ['Ines Okkonen', 'Sunniva Dahl', 'Mirre Solheim', 'Aster Quill'] },
  { race: 'Single sculls', start: 10 * 60 + 20, crew: ['Perrin Vale', 'Lio Hartwick'] },
  { race: 'Men’s eights', start: 10 * 60 + 40, crew: ['Tavi Brandsma', 'Joss Adeyemi', 'Kato Lindqvist', 'Odin Marsh'] },
  { race: 'Veterans’ doubles', start: 11 * 60 + 10, crew: ['Wren Achterberg', 'Bram Kettel'] },
  { race: 'Mixed quads', start: 12 * 60 + 30, crew: ['Ines Okkonen', 'Kato Lindqvist', 'Aster Quill', 'Perrin Vale'] },
];

export interface EventDayLoad {
  readonly db: Db;
  readonly practiceId: string;
  readonly today: DateTime;
  readonly random: SeededRandom;
  readonly athletes: ReadonlyMap<string, string>;
  readonly accounts: ReadonlyMap<string, string>;
  readonly events: ClubEvents;
  readonly by: string;
}

/** Sets the day of the head race up: five races, two tables, work before every start and between the two of whoever races twice. */
export async function loadEventDay({ db, practiceId, today, random, athletes, accounts, events, by }: EventDayLoad): Promise<void> {
  const id = () => random.uuid(today.toJSDate());
  const { id: eventId, onDate } = events.get('Head race')!;
  const races: Race[] = BOATS.map(({ race, start }) => ({ id: id(), name: race, callAt: start - 20, startAt: start }));
  const starters = new Map<string, Starter>();
  for (const name of new Set(BOATS.flatMap(({ crew }) => crew)))
    starters.set(name, { id: id(), athleteId: athletes.get(name) ?? null, name });
  const wish = (name: string, kind: Wish['kind'], race: Race, next: Race | null, more: Partial<Wish> = {}): Wish => ({
    id: id(),
    starterId: starters.get(name)!.id,
    kind,
    raceId: race.id,
    nextRaceId: next?.id ?? null,
    minutes: OFFERS.find((offer) => offer.kind === kind)!.minutes,
    reasons: [],
    therapistId: null,
    protocolId: null,
    ...more,
  });
  const [marit, jonas] = [accounts.get('Marit Voss')!, accounts.get('Jonas Eklund')!];
  const wishes = BOATS.flatMap(({ crew }, i) =>
    crew.flatMap((name) => {
      const before = BOATS.findIndex((boat) => boat.crew.includes(name));
      if (before < i) return [wish(name, 'between', races[before]!, races[i]!)];
      const more: Partial<Wish> =
        name === 'Tavi Brandsma'
          ? { reasons: ['complaint', 'first-boat'], therapistId: marit }
          : name === 'Joss Adeyemi'
            ? { reasons: ['first-boat'] }
            : {};
      return [wish(name, 'before', races[i]!, null, more)];
    }),
  );
  // Whoever counts more stands first in the list, as it would be written by hand.
  wishes.sort((a, b) => weightOf(b.reasons) - weightOf(a.reasons));
  const setUp: EventDaySetUp = {
    title: 'Head race',
    eventId,
    onDate,
    races,
    starters: [...starters.values()],
    starts: BOATS.flatMap(({ crew }, i) => crew.map((name) => ({ starterId: starters.get(name)!.id, raceId: races[i]!.id }))),
    wishes,
    shifts: [
      { id: id(), table: 1, therapistId: marit, from: 8 * 60, until: 13 * 60 },
      { id: id(), table: 2, therapistId: jonas, from: 8 * 60 + 30, until: 12 * 60 + 30 },
    ],
    offers: OFFERS,
    rules: DAY_RULES,
  };
  await writeEventDay(db, practiceId, id(), 0, setUp, today.toJSDate(), by);
}
