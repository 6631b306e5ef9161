import type { Position } from '@pace-bend/core/body';
import type { SessionStrip, StripItem } from '@pace-bend/core/session';

/** What is drawn as one box of the strip: a block with all its passes that follow on one another, or a single small part. */
export interface StripCell {
  readonly key: string;
  readonly kind: StripItem['kind'];
  readonly items: readonly StripItem[];
  readonly blockId?: string;
  readonly startS: number;
  readonly seconds: number;
  readonly words: string;
  /** The position, where it begins here. */
  readonly position: Position | null;
  /** Begins after the booked time has ended. */
  readonly late: boolean;
  /** The booked time ends within it. */
  readonly endsHere: boolean;
}

/** Boxes of a strip. Changes of side inside one block, and measuring one after the other, are drawn together. */
export function cellsOf(strip: SessionStrip, bookedS: number): StripCell[] {
  const groups: StripItem[][] = [];
  for (const item of strip.items) {
    const last = groups.at(-1);
    const before = last?.at(-1);
    const sameBlock =
      before !== undefined &&
      item.blockId !== undefined &&
      last!.some((each) => each.blockId === item.blockId) &&
      before.position === item.position;
    const sameMeasuring = before !== undefined && (item.kind === 'before' || item.kind === 'after') && before.kind === item.kind;
    if (sameBlock || sameMeasuring) last!.push(item);
    else groups.push([item]);
  }
  // A change of side belongs to the block it is inside of.
  const joined: StripItem[][] = [];
  groups.forEach((group, i) => {
    const [only] = group;
    const [before, after] = [joined.at(-1), groups[i + 1]];
    const inside =
      group.length === 1 && only!.kind === 'side' && before?.[0]?.blockId !== undefined && before[0].blockId === after?.[0]?.blockId;
    const goesOn =
      before !== undefined && group[0]!.blockId !== undefined && before.at(-1)!.kind === 'side' && before[0]!.blockId === group[0]!.blockId;
    if (inside || goesOn) before!.push(...group);
    else joined.push([...group]);
  });
  let position: Position | null = null;
  return joined.map((items, i): StripCell => {
    const first = items[0]!;
    const seconds = items.reduce((sum, item) => sum + item.seconds, 0);
    const begins = first.position !== position && first.kind !== 'turn';
    if (first.kind !== 'turn') position = first.position;
    const end = first.startS + seconds;
    return {
      key: `${i}/${first.kind}/${first.blockId ?? first.motionId ?? ''}`,
      kind: first.kind,
      items,
      ...(first.blockId === undefined ? {} : { blockId: first.blockId }),
      startS: first.startS,
      seconds,
      words: [...new Set(items.map((item) => item.words))].join(', '),
      position: begins ? first.position : null,
      late: first.startS >= bookedS,
      endsHere: first.startS < bookedS && end > bookedS,
    };
  });
}
