import type { BlockPlan, Cue, Method, NumberSpec } from '@pace-bend/core/method';
import type { StairLayout } from '../../parts/stair.ts';
import { t } from '../../words/plan.ts';

/** What can be taken hold of in the stair: an edge for seconds, a tread for the place, a column for the effort. */
export interface Handle {
  readonly key: string;
  readonly kind: 'seconds' | 'place' | 'effort';
  readonly spec: NumberSpec;
  /** Which of the number's values it changes. */
  readonly index: number;
  readonly value: number;
  /** What a caution holds it at on this side, when that is less than planned. */
  readonly heldAt: number | null;
  readonly x: number;
  readonly y: number;
  readonly label: string;
  /** How much of the number one pixel is, to the right or upward. */
  readonly perPx: number;
}

/** Pixels for one percent of effort: a hand's breadth of mouse covers the useful range. */
const EFFORT_PX = 2.5;

/** A value brought onto the steps of its number and between its bounds; whole steps count from zero. */
export function snapped(value: number, spec: Pick<NumberSpec, 'min' | 'max' | 'step'>, steps = 1): number {
  const step = spec.step * steps;
  const onStep = Math.round(value / step) * step;
  return Math.round(Math.min(spec.max, Math.max(spec.min, onStep)) * 1000) / 1000;
}

/** The handles of one side of a block. Each value of each number has one, at the first cue it makes, however often it comes again. */
export function handlesOf(block: BlockPlan, method: Method, cues: readonly Cue[], stair: StairLayout): Handle[] {
  const found = new Map<string, Handle>();
  const specOf = (id: string | undefined) => method.numbers.find((spec) => spec.id === id);
  for (const cue of cues) {
    const column = stair.columns.find((each) => each.index === cue.index);
    if (!column || cue.open) continue;
    const add = (kind: Handle['kind'], id: string | undefined, x: number, y: number, perPx: number) => {
      const spec = specOf(id);
      if (!spec || perPx === 0 || !Number.isFinite(perPx)) return;
      const values = block.numbers[spec.id] ?? [];
      const index = spec.perRound ? Math.min(Math.max(cue.round, 1), values.length) - 1 : 0;
      const key = `${kind}/${spec.id}/${index}`;
      if (found.has(key) || values[index] === undefined) return;
      const limit = spec.limitedBy === undefined ? null : (block.limits?.find((each) => each.side === cue.side)?.[spec.limitedBy] ?? null);
      const heldAt = limit !== null && limit < values[index] ? limit : null;
      const of = spec.perRound && values.length > 1 ? t('round2', { what: index + 1 }) : '';
      found.set(key, { key, kind, spec, index, value: values[index], heldAt, x, y, label: `${spec.label}${of}`, perPx });
    };
    const msPerPx = column.width > 0 ? (cue.endMs - cue.startMs) / column.width : 0;
    add('seconds', cue.madeOf?.seconds, column.x + column.width, stair.floor, msPerPx / 1000);
    add('effort', cue.madeOf?.effort, column.x + column.width / 2, (stair.yAt(cue.from) + stair.floor) / 2, 1 / EFFORT_PX);
    if (cue.madeOf?.place !== undefined) {
      const up = stair.yAt(cue.to) - stair.yAt(cue.to + 1) || 0;
      const spec = specOf(cue.madeOf.place);
      // Up is more range. A number that leads away from the edge grows downward.
      const away = spec?.unit === 'motion' && !['advance', 'active', 'lengthen', 'sink'].includes(cue.kind) ? -1 : 1;
      const scale = spec?.unit === 'share' ? 100 / Math.max(1e-6, Math.abs(cue.edge - cues[0]!.from)) : 1;
      add('place', cue.madeOf.place, column.x + column.width, stair.yAt(cue.to), up === 0 ? 0 : (away * scale) / Math.abs(up));
    }
  }
  return [...found.values()];
}

/** A block with one value of a number changed; rounds up to it get values of their own. */
export function withValue(block: BlockPlan, { spec, index }: Pick<Handle, 'spec' | 'index'>, value: number): BlockPlan {
  const values = [...(block.numbers[spec.id] ?? [])];
  values[index] = value;
  return { ...block, numbers: { ...block.numbers, [spec.id]: values } };
}
