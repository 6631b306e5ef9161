import type { HomeItem, HomeSheetFields } from '../record/index.ts';

/** One number of an exercise, and what is said under it. */
export interface DoseNumber {
  readonly number: string;
  readonly said: string;
}

const SIDE = { left: 'left', right: 'right', midline: '' } as const;

/** A span as somebody counts it: seconds up to a minute and a half, else minutes where they come out. */
export const spanWords = (seconds: number): string =>
  seconds > 90 && seconds % 60 === 0 ? `${seconds / 60} min` : seconds > 90 && seconds % 30 === 0 ? `${seconds / 60} min` : `${seconds} s`;

/**
 * What an exercise asks, as large numbers with a word under each: how long, how often on which side, how often a day.
 * @example doseNumbers({ id: 'x', entryId: 'x', name: 'X', sides: [{ side: 'left', times: 3 }], seconds: 30, breaths: false, sets: 1, perDay: 1, when: 'after training', how: '', stop: '' }).map(({ number }) => number).join(', ') // → '30 s, 3, 1 × a day'
 */
export function doseNumbers(item: HomeItem): DoseNumber[] {
  const often = (times: number) => (item.sets > 1 ? `${item.sets} × ${times}` : String(times));
  const once = item.sides.length === 1 && item.sides[0]!.side === 'midline' && item.sides[0]!.times === 1 && item.sets === 1;
  return [
    ...(item.seconds === null ? [] : [{ number: spanWords(item.seconds), said: once ? 'at a time' : 'each time' }]),
    ...(once && item.seconds !== null
      ? []
      : item.sides.map(({ side, times }) => ({
          number: often(times),
          said: [item.breaths ? 'breaths' : SIDE[side] === '' ? 'times' : '', SIDE[side]].filter(Boolean).join(' '),
        }))),
    { number: `${item.perDay} × a day`, said: item.when },
  ];
}

/** The same in one line. */
export const doseLine = (item: HomeItem): string =>
  doseNumbers(item)
    .map(({ number, said }) => [number, said].filter(Boolean).join(' '))
    .join(', ');

/** On how many rows of boxes a day's goes are ticked off: one a side. */
export const tickRows = ({ sides, perDay, sets }: HomeItem): { readonly label: string; readonly boxes: number }[] =>
  sides.map(({ side }) => ({ label: side === 'midline' ? '' : side, boxes: Math.min(perDay * sets, MOST_BOXES) }));

/** So many boxes fit under one day. */
const MOST_BOXES = 4;

/**
 * A sheet as plain text, for a phone that reads it off the screen without any network. `name`: whose it is; `until`: the last day, in words;
 * `most`: bytes at most, in UTF-8: where the whole is longer, what they do is left out first, and then everything but the dose.
 */
export function sheetText(
  sheet: Pick<HomeSheetFields, 'items' | 'words'>,
  name: string,
  until: string,
  most = Number.POSITIVE_INFINITY,
): string {
  const lines = (how: boolean, stop: boolean) =>
    [
      `${name}, at home. Until ${until}.`,
      ...sheet.items.flatMap((item, i) => [
        '',
        `${i + 1}. ${item.name}: ${doseLine(item)}.`,
        ...(how ? [item.how] : []),
        ...(stop ? [`Stop when ${item.stop}`] : []),
      ]),
      ...(sheet.words.trim() === '' ? [] : ['', sheet.words.trim()]),
    ].join('\n');
  const fits = (text: string) => new TextEncoder().encode(text).length <= most;
  return [lines(true, true), lines(false, true)].find(fits) ?? lines(false, false);
}
