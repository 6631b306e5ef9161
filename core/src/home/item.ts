import { motionOf, type Side } from '../body/index.ts';
import type { Entry } from '../catalogue/index.ts';
import { HOME_LIMITS, type HomeItem } from '../record/index.ts';
import type { Limits } from '../method/index.ts';

/** Sides a home entry can be given on: its own, or those of its motion; a midline stands alone. */
export const homeSides = (entry: Entry): readonly Side[] => {
  const sides = entry.sides ?? motionOf(entry.motionId).sides;
  return sides.length === 1 ? ['midline'] : sides.filter((side) => side !== 'midline');
};

/** Words with the side in them; said of both sides, of the left first. */
export function sideWords(text: string, sides: readonly Side[]): string {
  const first = sides.find((side) => side !== 'midline');
  if (first === undefined) return text;
  const other = first === 'left' ? 'right' : 'left';
  const said = text
    .replaceAll('{Side}', `${first[0]!.toUpperCase()}${first.slice(1)}`)
    .replaceAll(/(^|[.!?] )\{side\}/g, (_, before: string) => `${before}${first[0]!.toUpperCase()}${first.slice(1)}`)
    .replaceAll('{side}', first)
    .replaceAll('{other}', other);
  return sides.includes(other) ? `${said} Then the other side.` : said;
}

/**
 * An entry as an exercise of a sheet, as the shelf has it, held to what cautions leave: a hold is no longer than they allow. Throws a
 * RangeError for an entry that is no work for home, or for a side it is not done on.
 */
export function homeItem(id: string, entry: Entry, sides: readonly Side[], limits: Pick<Limits, 'holdS'> = { holdS: null }): HomeItem {
  const { home } = entry;
  if (!home) throw new RangeError(`${entry.name} is no work for home.`);
  const possible = homeSides(entry);
  if (sides.length === 0 || !sides.every((side) => possible.includes(side)))
    throw new RangeError(`${entry.name} is not done on that side.`);
  const seconds = home.seconds === null || limits.holdS === null ? home.seconds : Math.max(1, Math.min(home.seconds, limits.holdS));
  return {
    id,
    entryId: entry.id,
    name: entry.name,
    sides: possible.filter((side) => sides.includes(side)).map((side) => ({ side, times: home.times })),
    seconds,
    breaths: home.breaths === true,
    sets: home.sets ?? 1,
    perDay: home.perDay,
    when: home.when,
    how: sideWords(home.how, sides).slice(0, HOME_LIMITS.howLength),
    stop: home.stop,
  };
}
