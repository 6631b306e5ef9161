import { DAY_RULES, OFFERS, type EventDaySetUp } from '@pace-bend/core/eventDay';

/** A small event day: one race, one athlete of the practice and one by name only, one table. `id` makes ids. */
export function smallEventDay(
  id: () => string,
  { athleteId, therapistId }: { athleteId: string | null; therapistId: string },
): EventDaySetUp {
  const [race, ann, guest] = [id(), id(), id()];
  const wish = (starterId: string) => ({
    id: id(),
    starterId,
    kind: 'before' as const,
    raceId: race,
    nextRaceId: null,
    minutes: 10,
    reasons: [],
    therapistId: null,
    protocolId: null,
  });
  return {
    title: 'Autumn head',
    eventId: null,
    onDate: '2026-12-04',
    races: [{ id: race, name: 'Eights', callAt: 600, startAt: 620 }],
    starters: [
      { id: ann, athleteId, name: 'Ann Rower' },
      { id: guest, athleteId: null, name: 'A guest' },
    ],
    starts: [
      { starterId: ann, raceId: race },
      { starterId: guest, raceId: race },
    ],
    wishes: [wish(ann), wish(guest)],
    shifts: [{ id: id(), table: 1, therapistId, from: 480, until: 720 }],
    offers: OFFERS,
    rules: DAY_RULES,
  };
}
