import type { Entry } from '@pace-bend/core/catalogue';
import { techniquesOf, type BlockPlan, type Method, type Shelf } from '@pace-bend/core/method';
import type { SessionStrip, StripItem } from '@pace-bend/core/session';

/** One line of the page for the wall. */
export interface SheetRow {
  readonly item: StripItem;
  /** Begins another position. */
  readonly first: boolean;
  /** What is done, where it is a block's pass over a side. */
  readonly work: {
    readonly entry: Entry;
    readonly method: Method;
    readonly rounds: number;
    /** What the athlete is told, where they press. */ readonly told: string | null;
  } | null;
}

/** The lines of a strip: every pass over a side with its own rounds; changes of side are seen from the sides themselves. */
export function sheetRows(strip: SessionStrip, blocks: readonly BlockPlan[], shelf: Shelf): SheetRow[] {
  const passes = new Map<string, number>();
  return strip.items
    .filter((item) => item.kind !== 'side')
    .map((item, i, all) => ({ item, first: item.position !== all[i - 1]?.position, work: workOf(item) }));

  function workOf({ kind, blockId }: StripItem): SheetRow['work'] {
    const block = kind === 'block' ? blocks.find((each) => each.id === blockId) : undefined;
    if (!block) return null;
    const pass = passes.get(block.id) ?? 0;
    passes.set(block.id, pass + 1);
    const [entry, method] = [shelf.entries.get(block.entryId)!, shelf.methods.get(block.methodId)!];
    return { entry, method, rounds: block.sides[pass]?.rounds ?? 0, told: techniquesOf(method).includes('contract') ? entry.press : null };
  }
}

/** What to watch for, once for each thing that is lengthened or pressed, in the order it comes. */
export function sheetWatch(blocks: readonly BlockPlan[], shelf: Shelf): Entry[] {
  const ids = new Set(blocks.map((block) => block.entryId));
  return [...ids].map((id) => shelf.entries.get(id)!).filter((entry) => entry.measured);
}
