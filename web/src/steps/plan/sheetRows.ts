import { motionOf, type Side } from '@pace-bend/core/body';
import type { Entry } from '@pace-bend/core/catalogue';
import { limitWords, type SideCautions } from '@pace-bend/core/caution';
import { formatValue } from '@pace-bend/core/measure';
import { techniquesOf, type BlockPlan, type Line, type Method, type Shelf } from '@pace-bend/core/method';
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
    /** How hard they press in this pass, from the lightest to the hardest round; null where they do not. */
    readonly effort: string | null;
    /** Where the motion ends today, as it was read before work; null where it was not. */
    readonly edge: string | null;
    /** What cautions leave of it, each in a few words. */
    readonly limits: readonly string[];
  } | null;
}

/** What a line of the page is made of beside the plan itself. */
export interface SheetFacts {
  readonly line: Line | null;
  /** Cautions by the id of their block. */
  readonly cautions: ReadonlyMap<string, readonly SideCautions[]>;
  readonly edgeOf: (motionId: string, side: Side) => number | null;
}

/** The lines of a strip: every pass over a side with its own rounds; changes of side are seen from the sides themselves. */
export function sheetRows(strip: SessionStrip, blocks: readonly BlockPlan[], shelf: Shelf, facts: SheetFacts): SheetRow[] {
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
    const side = block.sides[pass]?.side ?? 'midline';
    const of = facts.cautions.get(block.id)?.find((each) => each.side === side);
    const motion = motionOf(entry.motionId);
    const edge = facts.edgeOf(entry.motionId, of?.readSide ?? side);
    const effort = effortOf(blocks.indexOf(block), pass);
    // How hard they may press says nothing where they do not.
    const limits = of && { ...of.result.limits, effortPct: effort === null ? null : of.result.limits.effortPct };
    return {
      entry,
      method,
      rounds: block.sides[pass]?.rounds ?? 0,
      told: techniquesOf(method).includes('contract') ? entry.press : null,
      effort,
      edge: edge === null ? null : formatValue(edge, motion.unit),
      limits: limits ? limitWords(limits, motion.unit === 'deg' ? '°' : ' cm') : [],
    };
  }

  function effortOf(blockIndex: number, pass: number): string | null {
    const efforts = (facts.line?.cues ?? [])
      .filter((cue) => cue.blockIndex === blockIndex && (cue.pass ?? 0) === pass && cue.round > 0 && cue.works === 'athlete')
      .flatMap(({ effortPct }) => effortPct ?? []);
    if (efforts.length === 0) return null;
    const [least, most] = [Math.min(...efforts), Math.max(...efforts)];
    return least === most ? `${least} %` : `${least}–${most} %`;
  }
}

/** What to watch for, once for each thing that is lengthened or pressed, in the order it comes. */
export function sheetWatch(blocks: readonly BlockPlan[], shelf: Shelf): Entry[] {
  const ids = new Set(blocks.map((block) => block.entryId));
  return [...ids].map((id) => shelf.entries.get(id)!).filter((entry) => entry.measured);
}

/** Lines of text that rows take, in heights of the type: what is worked has its name and its numbers, what is left of it a line of its own. */
const LINES = { work: 3.1, limits: 1.3, plain: 1.6, position: 1.9, watch: 1.35, around: 4 } as const;
/** Height of a page of A4 or Letter between its margins, in CSS pixels, whichever is less. */
const PAGE_PX = 840;
const TYPE_PX = { most: 20, least: 12.5 } as const;

/**
 * The size of type, in CSS pixels, in which the page for the wall is one page: as large as that lets it be, and never so small that it is not read from
 * the table at all; a plan of more than some thirty passes runs on to a second page.
 */
export function sheetType(rows: readonly SheetRow[], watched: number): number {
  const lines = rows.reduce(
    (sum, { work, first }) =>
      sum + (first ? LINES.position : 0) + (work ? LINES.work + (work.limits.length > 0 ? LINES.limits : 0) : LINES.plain),
    LINES.around + watched * LINES.watch,
  );
  return Math.max(TYPE_PX.least, Math.min(TYPE_PX.most, PAGE_PX / lines));
}
