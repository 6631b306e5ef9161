import { DAY_RULES, OFFERS, type EventDaySetUp, type Race, type Shift, type Wish } from '../eventDay/index.ts';

/** A made-up regatta: races through a day, some people in two of them, tables with hands that change at noon. Ids are counted, not drawn. */
export function anySetUp(random: () => number, { people, tables }: { readonly people: number; readonly tables: number }): EventDaySetUp {
  const int = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
  const races: Race[] = Array.from({ length: Math.max(3, Math.ceil(people / 3)) }, (_, i) => {
    const startAt = 560 + i * 25 + int(0, 10);
    return { id: `race-${i}`, name: `Race ${i + 1}`, callAt: random() < 0.9 ? startAt - 20 : null, startAt };
  });
  const starters = Array.from({ length: people }, (_, i) => ({ id: `starter-${i}`, athleteId: null, name: `Rower ${i + 1}` }));
  const starts: { starterId: string; raceId: string }[] = [];
  const wishes: Wish[] = [];
  const therapists = Array.from({ length: tables * 2 }, (_, i) => `hands-${i}`);
  for (const { id: starterId } of starters) {
    const first = int(0, races.length - 1);
    const second = random() < 0.4 && first + 4 < races.length ? int(first + 4, races.length - 1) : null;
    starts.push({ starterId, raceId: races[first]!.id }, ...(second === null ? [] : [{ starterId, raceId: races[second]!.id }]));
    const wish = (kind: Wish['kind'], raceId: string, nextRaceId: string | null, minutes: number): Wish => ({
      id: `wish-${wishes.length}`,
      starterId,
      kind,
      raceId,
      nextRaceId,
      minutes,
      reasons: random() < 0.15 ? ['must'] : random() < 0.2 ? ['complaint'] : [],
      therapistId: random() < 0.3 ? therapists[int(0, therapists.length - 1)]! : null,
      protocolId: null,
    });
    wishes.push(wish('before', races[first]!.id, null, int(8, 12)));
    if (second !== null && random() < 0.7) wishes.push(wish('between', races[first]!.id, races[second]!.id, 10));
    if (random() < 0.3) wishes.push(wish('after', races[second ?? first]!.id, null, 15));
  }
  const last = races.at(-1)!.startAt + 140;
  const shifts: Shift[] = Array.from({ length: tables }, (_, i) => i).flatMap((i) => [
    { id: `shift-${i}a`, table: i + 1, therapistId: therapists[2 * i]!, from: 470, until: 720 },
    { id: `shift-${i}b`, table: i + 1, therapistId: therapists[2 * i + 1]!, from: 720, until: Math.min(1430, last) },
  ]);
  return {
    title: 'Made-up regatta',
    eventId: null,
    onDate: '2027-05-08',
    races,
    starters,
    starts,
    wishes,
    shifts,
    offers: OFFERS,
    rules: DAY_RULES,
  };
}
