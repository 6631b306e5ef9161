import { MOTIONS, type Motion, type Side } from '@pace-bend/core/body';
import { ENTRIES } from '@pace-bend/core/catalogue';
import { blockAction, blocking, cautionsFor, measuring, type Caution, type CautionContext, type CautionResult } from '@pace-bend/core/caution';
import { findMethod, newBlock, type Method } from '@pace-bend/core/method';

/** One way of working for each kind of thing that cautions tell apart: lengthening, pressing against a hand, joint play, pressure, easy movement. */
export const LIMIT_WAYS: readonly Method[] = ['static-hold', 'cr-breath', 'mobilize-oscillate', 'point-hold', 'continuous-motion'].map((id) => findMethod(id)!);

/** What stands in a cell: nothing to do here, free, limited, or out altogether. */
export type CellLevel = 'none' | 'free' | 'modify' | 'avoid' | 'stop';

export interface LimitCell {
  readonly level: CellLevel;
  /** Null where the catalogue offers nothing. */
  readonly result: CautionResult | null;
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

function cellOf(result: CautionResult | null): LimitCell {
  if (!result) return { level: 'none', result };
  if (blocking(result, new Set()).length > 0) return { level: result.level === 'stop' ? 'stop' : 'avoid', result };
  // Notes are for reading; a limit begins with "modify".
  return { level: result.level === 'modify' ? 'modify' : 'free', result };
}

/** Every motion and side with what limits it; rows that nothing but scope limits are left out unless `all` is wished. */
export function limitRows(context: CautionContext, all = false): LimitRow[] {
  return MOTIONS.flatMap((motion) => motion.sides.map((side): LimitRow => {
    const measure = cellOf(cautionsFor(context, measuring(motion.id, side)));
    const ways = LIMIT_WAYS.map((method) => {
      const entry = ENTRIES.find((each) => each.motionId === motion.id && each.ways.includes(method.id));
      return cellOf(entry ? cautionsFor(context, blockAction(newBlock('x', entry.id, method.id, [side]), side)) : null);
    });
    const found = [measure, ...ways].flatMap((cell) => cell.result?.cautions ?? []);
    const key = (caution: Caution) => `${caution.ruleId}/${caution.because}/${caution.reason}`;
    return { motion, side, measure, ways, cautions: [...new Map(found.map((caution) => [key(caution), caution])).values()] };
  })).filter((row) => all || row.cautions.some((caution) => caution.level !== 'note' && caution.kind !== 'scope'));
}
