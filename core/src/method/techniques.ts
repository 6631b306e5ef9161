import { PHASE_KINDS, type Technique } from './phases.ts';
import type { Method, NumberValues, PhaseNode, PhaseSpec } from './types.ts';

/** From this share of the way on, a limb that is carried part of it is as good as at its edge. */
const AS_GOOD_AS_EDGE_PCT = 90;

function phasesIn(nodes: readonly PhaseNode[]): PhaseSpec[] {
  return nodes.flatMap((node) => ('each' in node ? phasesIn(node.phases) : [node]));
}

/** Every phase of a way of working, loops counted once, whatever is chosen. */
export function phasesOf(method: Pick<Method, 'opening' | 'round' | 'closing'>): PhaseSpec[] {
  return phasesIn([...method.opening, ...method.round, ...method.closing]);
}

const toEdge = ({ angle }: PhaseSpec) => angle.to === 'edge' || angle.to === 'new-edge';

const found = new WeakMap<object, readonly Technique[]>();

/**
 * What hands and athlete do in a way of working, from its phases: each kind names what it is done with, and a phase that takes a limb
 * to its edge lengthens. Whatever is chosen counts, so that nothing is hidden behind a choice. Ways never change, so this is kept.
 * @example techniquesOf(findMethod('cr-light')) // → ['lengthen', 'contract']
 */
export function techniquesOf(method: Pick<Method, 'axis' | 'opening' | 'round' | 'closing'>): readonly Technique[] {
  const known = found.get(method);
  if (known) return known;
  const techniques = [
    ...new Set(
      phasesOf(method).flatMap((phase): Technique[] => [
        ...PHASE_KINDS[phase.kind].techniques,
        ...(method.axis === 'motion' && toEdge(phase) ? ['lengthen' as const] : []),
      ]),
    ),
  ];
  found.set(method, techniques);
  return techniques;
}

/**
 * Whether a way of working takes the limb to its edge, with these numbers.
 * @example reachesEdge(findMethod('position-of-comfort'), {}) // → false
 */
export function reachesEdge(method: Pick<Method, 'axis' | 'opening' | 'round' | 'closing'>, numbers: NumberValues): boolean {
  return (
    method.axis === 'motion' &&
    phasesOf(method).some(
      (phase) =>
        toEdge(phase) ||
        (phase.angle.to === 'part-way' && (numbers[phase.angle.share] ?? []).some((share) => share >= AS_GOOD_AS_EDGE_PCT)),
    )
  );
}

/**
 * Whether a way of working takes the limb beyond rest, away from the edge: the muscle is made slack.
 * @example goesSlack(findMethod('position-of-comfort')) // → true
 */
export function goesSlack(method: Pick<Method, 'axis' | 'opening' | 'round' | 'closing'>): boolean {
  return method.axis === 'motion' && phasesOf(method).some(({ angle }) => angle.to === 'slack');
}
