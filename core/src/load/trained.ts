import type { Muscle } from '../body/index.ts';
import type { LoadKind, PlayedSport } from '../sport/index.ts';
import { addDays, sessionLoad } from './days.ts';
import type { LoadFields } from './types.ts';

/** What was trained on one day, kind by kind. */
export interface Trained {
  readonly kind: LoadKind | null;
  /** The kind's name, or its id where no sport of the athlete has it any more. */
  readonly name: string;
  readonly minutes: number;
  readonly exertion: number | null;
  readonly load: number | null;
  readonly muscles: readonly Muscle[];
}

/** The load kinds of an athlete's sports, each once; of somebody without a sport, none. */
export function loadKindsOf(played: readonly PlayedSport[]): LoadKind[] {
  const kinds = new Map<string, LoadKind>();
  for (const { sport } of played) for (const kind of sport.loadKinds) if (!kinds.has(kind.id)) kinds.set(kind.id, kind);
  return [...kinds.values()];
}

/** What was trained the day before, the heaviest first. */
export function trainedYesterday(loads: readonly LoadFields[], played: readonly PlayedSport[], onDay: string): Trained[] {
  const kinds = loadKindsOf(played);
  const day = addDays(onDay, -1);
  return loads
    .filter((each) => each.onDate === day && !each.planned)
    .map((each): Trained => {
      const kind = kinds.find(({ id }) => id === each.kind) ?? null;
      return {
        kind,
        name: kind?.name ?? each.kind,
        minutes: each.minutes,
        exertion: each.exertion,
        load: sessionLoad(each),
        muscles: kind?.muscles ?? [],
      };
    })
    .sort((a, b) => (b.load ?? 0) - (a.load ?? 0));
}
