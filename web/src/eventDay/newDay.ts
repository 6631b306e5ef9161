import { v7 as uuid } from 'uuid';
import { DAY_RULES, OFFERS, type EventDaySetUp, type Race, type Starter, type Wish, type WishKind } from '@pace-bend/core/eventDay';
import type { StartRow } from '@pace-bend/core/exchange';
import { plainWords } from '@pace-bend/core/sport';

/** A day with nothing on it yet. */
export const newDay = (title: string, onDate: string, eventId: string | null): EventDaySetUp => ({
  title,
  eventId,
  onDate,
  races: [],
  starters: [],
  starts: [],
  wishes: [],
  shifts: [],
  offers: OFFERS,
  rules: DAY_RULES,
});

type Lists = Pick<EventDaySetUp, 'races' | 'starters' | 'starts'>;

/** The start list with more starts in it. Who and which race is there already is not doubled; a race's times become those of the list. */
export function withStarts(lists: Lists, rows: readonly Omit<StartRow, 'row'>[]): Lists {
  const races = [...lists.races];
  const starters = [...lists.starters];
  const starts = [...lists.starts];
  for (const row of rows) {
    let race: Race | undefined = races.find(({ name }) => plainWords(name) === plainWords(row.race));
    if (race) races[races.indexOf(race)] = race = { ...race, callAt: row.callAt, startAt: row.startAt };
    else races.push((race = { id: uuid(), name: row.race, callAt: row.callAt, startAt: row.startAt }));
    let starter: Starter | undefined = starters.find(({ name, athleteId }) =>
      row.athleteId && athleteId ? athleteId === row.athleteId : plainWords(name) === plainWords(row.name),
    );
    if (!starter) starters.push((starter = { id: uuid(), athleteId: row.athleteId, name: row.name }));
    const start = { starterId: starter.id, raceId: race.id };
    if (!starts.some((each) => each.starterId === start.starterId && each.raceId === start.raceId)) starts.push(start);
  }
  return { races, starters, starts };
}

/** A wish as it begins: the minutes that are offered, no reason to go first, anybody's hands. */
export const newWish = (
  { offers }: Pick<EventDaySetUp, 'offers'>,
  kind: WishKind,
  starterId: string,
  raceId: string,
  nextRaceId: string | null,
): Wish => ({
  id: uuid(),
  starterId,
  kind,
  raceId,
  nextRaceId,
  minutes: offers.find((offer) => offer.kind === kind)!.minutes,
  reasons: [],
  therapistId: null,
  protocolId: null,
});

/** The race somebody starts in next after one, or null. */
export function nextRaceOf({ races, starts }: Lists, starterId: string, raceId: string): Race | null {
  const at = races.find(({ id }) => id === raceId)!.startAt;
  return (
    starts
      .filter((start) => start.starterId === starterId)
      .map((start) => races.find(({ id }) => id === start.raceId)!)
      .filter((race) => race.startAt > at)
      .sort((a, b) => a.startAt - b.startAt)[0] ?? null
  );
}
