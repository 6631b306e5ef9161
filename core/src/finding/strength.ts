import type { Muscle } from '../body/index.ts';
import { currentFindings } from './standing.ts';
import type { Finding, ForceId } from './types.ts';

/** Which muscles press in each test against the gauge. Anatomy: common practice. */
const PRESSED: Readonly<Record<ForceId, readonly Muscle[]>> = {
  'knee-extensors': ['vasti', 'rectus-femoris'],
  'knee-flexors': ['hamstrings', 'gastrocnemius'],
  'hip-abductors': ['gluteus-medius', 'tensor'],
  'hip-adductors': ['adductors'],
  'hip-extensors': ['gluteus-maximus', 'hamstrings'],
  'hip-flexors': ['iliopsoas', 'rectus-femoris'],
  'shoulder-external-rotators': ['cuff-back'],
  'shoulder-internal-rotators': ['subscapularis', 'pectoralis-major', 'latissimus'],
  'wrist-extensors': ['wrist-extensors'],
  'wrist-flexors': ['wrist-flexors'],
};

/** The strongest press that is known of the muscles that contract, and when it was pressed. */
export interface Strongest {
  readonly n: number;
  readonly of: 'today' | 'earlier';
  readonly foundAt: string;
}

/**
 * The strongest press of the muscles that contract on a side: of today's tests before work, else of the last ones. Where several tests fit, the
 * one whose first muscle contracts, then the one with the most of them. Null where none was ever pressed.
 */
export function strongestPress(
  muscles: readonly Muscle[],
  side: Finding['side'],
  today: readonly Finding[],
  earlier: readonly Finding[],
): Strongest | null {
  for (const [findings, of] of [
    [today, 'today'],
    [earlier, 'earlier'],
  ] as const) {
    const fitting = currentFindings(findings)
      .flatMap((each) => (each.kind === 'force' && each.side === side && each.data && each.data.trialsN.length > 0 ? [each] : []))
      .map((each) => {
        const pressed = PRESSED[each.subject as ForceId];
        const shared = pressed.filter((muscle) => muscles.includes(muscle)).length;
        return { each, rank: shared === 0 ? 0 : shared + (muscles.includes(pressed[0]!) ? 10 : 0) };
      })
      .filter(({ rank }) => rank > 0)
      .sort((a, b) => b.rank - a.rank);
    const best = fitting[0]?.each;
    if (best?.kind === 'force') return { n: Math.max(...best.data!.trialsN), of, foundAt: best.foundAt };
  }
  return null;
}
