import { FORCES, type ForceId, type StandingFinding } from './types.ts';

/** Two groups that work against each other, and how strong the first usually is against the second. */
export interface BalancePair {
  readonly agonist: ForceId;
  readonly antagonist: ForceId;
  /** Usual range of agonist ÷ antagonist; recalled from memory, order of magnitude, isometric and hand-held. */
  readonly usual: { readonly low: number; readonly high: number };
}

export const BALANCE_PAIRS: readonly BalancePair[] = [
  { agonist: 'knee-flexors', antagonist: 'knee-extensors', usual: { low: 0.5, high: 0.8 } },
  { agonist: 'hip-adductors', antagonist: 'hip-abductors', usual: { low: 0.8, high: 1.2 } },
  { agonist: 'hip-extensors', antagonist: 'hip-flexors', usual: { low: 0.9, high: 1.5 } },
  { agonist: 'shoulder-external-rotators', antagonist: 'shoulder-internal-rotators', usual: { low: 0.65, high: 1 } },
  { agonist: 'wrist-extensors', antagonist: 'wrist-flexors', usual: { low: 0.6, high: 1 } },
];

/** Standard error of one best press with a hand-held gauge, as a share of it. Recalled from memory, order of magnitude. */
const PRESS_ERROR = 0.08;
/** A ratio of two presses is off by so much of itself, nineteen times in twenty. */
const RATIO_ERROR = 1.96 * Math.SQRT2 * PRESS_ERROR;
/** Below this share of the other side a group counts as weak. Common practice. */
const SIDE_SHARE = 0.85;

export interface Balance {
  readonly pair: BalancePair;
  readonly side: 'left' | 'right';
  readonly ratio: number;
  /** Half the width of its 95 % band. */
  readonly error: number;
  readonly kind: 'usual' | 'low' | 'high';
  readonly words: string;
}

/** Best press by group and side, newtons. */
function bests(findings: readonly StandingFinding[]): Map<string, number> {
  return new Map(
    findings.flatMap((finding) =>
      finding.kind === 'force' ? [[`${finding.subject}/${finding.side}`, Math.max(...finding.data.trialsN)] as const] : [],
    ),
  );
}

const nameOf = (id: ForceId): string => FORCES.find((each) => each.id === id)!.name;

/** Every pair of which both groups were pressed on a side. */
export function balances(findings: readonly StandingFinding[]): Balance[] {
  const best = bests(findings);
  return BALANCE_PAIRS.flatMap((pair) =>
    (['left', 'right'] as const).flatMap((side): Balance[] => {
      const [agonist, antagonist] = [best.get(`${pair.agonist}/${side}`), best.get(`${pair.antagonist}/${side}`)];
      if (agonist === undefined || antagonist === undefined) return [];
      const ratio = agonist / antagonist;
      const error = ratio * RATIO_ERROR;
      // Outside the usual range by more than the presses can be off.
      const kind = ratio + error < pair.usual.low ? 'low' : ratio - error > pair.usual.high ? 'high' : 'usual';
      const near = kind === 'usual' && (ratio < pair.usual.low || ratio > pair.usual.high);
      const range = `usually ${pair.usual.low.toFixed(2)} to ${pair.usual.high.toFixed(2)}`;
      const weak = kind === 'low' ? pair.agonist : pair.antagonist;
      const read = `${ratio.toFixed(2)} ± ${error.toFixed(2)}, ${range}`;
      const words =
        kind !== 'usual'
          ? `${read}: ${nameOf(weak).toLowerCase()} are the weaker ones`
          : near
            ? `${read}: outside it by less than the default error`
            : read;
      return [{ pair, side, ratio, error, kind, words }];
    }),
  );
}

/**
 * Groups that press clearly less on one side: below 85 % of the other, and by more than the error of two presses. Common practice.
 */
export function weakSides(
  findings: readonly StandingFinding[],
): { readonly group: ForceId; readonly side: 'left' | 'right'; readonly share: number }[] {
  const best = bests(findings);
  return FORCES.flatMap(({ id }) => {
    const [left, right] = [best.get(`${id}/left`), best.get(`${id}/right`)];
    if (left === undefined || right === undefined) return [];
    const share = Math.min(left, right) / Math.max(left, right);
    return share < SIDE_SHARE && Math.abs(left - right) > PRESS_ERROR * 1.96 * Math.hypot(left, right)
      ? [{ group: id, side: left < right ? ('left' as const) : ('right' as const), share }]
      : [];
  });
}
