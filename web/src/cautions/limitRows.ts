import { MOTIONS, type Motion, type Side } from '@pace-bend/core/body';
import { ENTRIES, workedSides } from '@pace-bend/core/catalogue';
import {
  blockAction,
  blocking,
  cautionsFor,
  measuring,
  type Caution,
  type CautionContext,
  type CautionResult,
} from '@pace-bend/core/caution';
import { findMethod, newBlock, type Method } from '@pace-bend/core/method';

/** One way of working for each kind of thing that cautions tell apart: lengthening, pressing against a hand, joint play, pressure, easy movement. */
export const LIMIT_WAYS: readonly Method[] = ['static-hold', 'cr-breath', 'mobilize-oscillate', 'point-hold', 'continuous-motion'].map(
  (id) => findMethod(id)!,
);

/** What stands in a cell: nothing to do here, free, limited, or out altogether. */
export type CellLevel = 'none' | 'free' | 'modify' | 'avoid' | 'stop';

export interface LimitCell {
  readonly level: CellLevel;
  /** What is said of the entry that is limited least; null where the catalogue offers nothing. */
  readonly result: CautionResult | null;
  /** How many of the catalogue's entries are out while another one is not. */
  readonly out: number;
  /** What keeps those out. */
  readonly outBecause: readonly Caution[];
}

/** One motion on one side: what cautions say of measuring it, and of each of those ways of working. */
export interface LimitRow {
  readonly motion: Motion;
  readonly side: Side;
  readonly measure: LimitCell;
  readonly ways: readonly LimitCell[];
  /** All that is said in the row, each once. */
  readonly cautions: readonly Caution[];
}

const HARDER: readonly CellLevel[] = ['none', 'free', 'modify', 'avoid', 'stop'];

function levelOf(result: CautionResult): CellLevel {
  if (blocking(result, new Set()).length > 0) return result.level === 'stop' ? 'stop' : 'avoid';
  // Notes are for reading; a limit begins with "modify".
  return result.level === 'modify' ? 'modify' : 'free';
}

/** How much is left of the way, then of the effort, then of the discomfort: more is milder. */
function roomOf({ limits }: CautionResult): number {
  return (limits.edgeShare ?? 1) * 1e4 + (limits.effortPct ?? 100) * 10 + (limits.painCeiling ?? 10);
}

/** One cell from all that could be done there: the mildest, because that is what one would choose, and how many others are out. */
function cellOf(results: readonly CautionResult[]): LimitCell {
  const found = results.map((result) => ({ level: levelOf(result), result }));
  const [mildest] = [...found].sort((a, b) => HARDER.indexOf(a.level) - HARDER.indexOf(b.level) || roomOf(b.result) - roomOf(a.result));
  if (!mildest) return { level: 'none', result: null, out: 0, outBecause: [] };
  const isOut = ({ level }: { level: CellLevel }) => level === 'avoid' || level === 'stop';
  const out = isOut(mildest) ? [] : found.filter(isOut);
  return { ...mildest, out: out.length, outBecause: out.flatMap(({ result }) => blocking(result, new Set())) };
}

/** Every motion and side with what limits it; rows that nothing but scope limits are left out unless `all` is wished. */
export function limitRows(context: CautionContext, all = false): LimitRow[] {
  return MOTIONS.flatMap((motion) =>
    motion.sides.map((side): LimitRow => {
      const measure = cellOf([cautionsFor(context, measuring(motion.id, side))]);
      const ways = LIMIT_WAYS.map((method) =>
        cellOf(
          ENTRIES.filter((entry) => entry.motionId === motion.id && entry.measured && entry.ways.includes(method.id)).flatMap((entry) =>
            workedSides(entry, motion.id, side).map((worked) =>
              cautionsFor(context, blockAction(newBlock('x', entry.id, method.id, [worked]), worked)),
            ),
          ),
        ),
      );
      const found = [measure, ...ways].flatMap((cell) => [...(cell.result?.cautions ?? []), ...cell.outBecause]);
      const key = (caution: Caution) => `${caution.ruleId}/${caution.because}/${caution.reason}`;
      return { motion, side, measure, ways, cautions: [...new Map(found.map((caution) => [key(caution), caution])).values()] };
    }),
  ).filter((row) => all || row.cautions.some((caution) => caution.level !== 'note' && caution.kind !== 'scope'));
}
