import { motionOf, type Side } from '../body/index.ts';
import type { Demand, OnSide, PlayedSport, Sureness } from './types.ts';

/** What the sports of one athlete ask of one side of a motion. */
export interface AskedRange {
  readonly motionId: string;
  readonly side: Side;
  readonly value: number;
  readonly why: string;
  readonly sport: string;
  readonly sure: Sureness;
  readonly source: string | null;
}

/** The sides a demand or a shape is about, or none when the side it follows is not known. */
export function sidesOn(on: OnSide, { leading, role }: Pick<PlayedSport, 'leading' | 'role'>): readonly ('left' | 'right')[] {
  if (on === 'both') return ['left', 'right'];
  const side = on === 'role' ? role?.side : leading;
  if (!side) return [];
  return [on === 'other' ? (side === 'left' ? 'right' : 'left') : side];
}

/** Whether something of a sport is about this athlete: the discipline is one it names, or nobody said which. */
export function isOf(disciplines: readonly string[] | undefined, { discipline, role }: Pick<PlayedSport, 'discipline' | 'role'>): boolean {
  if (disciplines === undefined) return true;
  if (discipline) return disciplines.includes(discipline.id);
  return role?.disciplines?.some((each) => disciplines.includes(each)) ?? false;
}

const asksOf = (played: PlayedSport): readonly Demand[] =>
  played.role?.asksNothing ? [] : played.sport.demands.filter((demand) => isOf(demand.disciplines, played));

/**
 * The range an athlete's sports ask for, motion by motion and side by side, in the motions' units; of several the one that is hardest to
 * meet. Where the side is not known (no role, no leading side), nothing is asked for.
 * @example askedRanges([]) // → []
 */
export function askedRanges(played: readonly PlayedSport[]): AskedRange[] {
  const hardest = new Map<string, AskedRange>();
  for (const each of played)
    for (const demand of asksOf(each)) {
      const motion = motionOf(demand.motionId);
      const sides = motion.sides.includes('midline') ? (['midline'] as const) : sidesOn(demand.on, each);
      for (const side of sides) {
        const key = `${motion.id}/${side}`;
        const before = hardest.get(key);
        if (before && (motion.better === 'higher' ? before.value >= demand.value : before.value <= demand.value)) continue;
        hardest.set(key, {
          motionId: motion.id,
          side,
          value: demand.value,
          why: demand.why,
          sport: each.sport.name,
          sure: demand.sure,
          source: demand.source ?? null,
        });
      }
    }
  return [...hardest.values()];
}

/** What is asked of one side of a motion, or null. */
export function askedOf(played: readonly PlayedSport[], motionId: string, side: Side): AskedRange | null {
  return askedRanges(played).find((asked) => asked.motionId === motionId && asked.side === side) ?? null;
}

/**
 * The sport that asks for a motion on any side, or null.
 * @example sportAsking([], 'hip-flexion') // → null
 */
export function sportAsking(played: readonly PlayedSport[], motionId: string): string | null {
  return (
    played.find((each) =>
      asksOf(each).some((demand) => demand.motionId === motionId && (demand.on === 'both' || sidesOn(demand.on, each).length > 0)),
    )?.sport.name ?? null
  );
}
