import { ENTRIES } from '../catalogue/index.ts';
import { checkNumber, fits, newBlock, sidesOf, type BlockProblem } from './block.ts';
import { SLOW_BREATH } from './breath.ts';
import { compile } from './compile.ts';
import { phaseKind, type PhaseKind } from './phases.ts';
import { shelfWith } from './shelf.ts';
import { phasesOf } from './techniques.ts';
import type { AngleRule, AxisKind, ChoiceSpec, ChoiceValues, Condition, Cue, Method, NumberSpec, PhaseNode, PhaseSpec } from './types.ts';
import { byBreath, effort, gain, REHEARSE, rehearse, seconds, short, slack, taught } from './ways/parts.ts';

/**
 * A round as a practice arranged it: phases of the way it was made from, in its own order, left out where they are not
 * named, with phases of its own between them. What results is a way of working like any other: the compiler, the
 * cautions and the screens know nothing of where it came from.
 *
 * Three things follow from the phases and are never typed: which numbers and choices there are (those that no phase asks
 * for any more go, those that a new phase asks for come), what is done in general (a press makes it a way that contracts,
 * so that cautions about pressing speak), and what is said of the breath.
 *
 * Two rules of the work hold for every round, checked on what the compiler makes of it rather than on the list, so that
 * neither a condition nor a loop can hide anything: after a press comes letting go before anything moves, and a hold is
 * at the edge. The lines looked at are those of every combination of choices, with two rounds, so that what holds only in
 * the first or not in the last is seen too; and each once with the usual numbers and once with the least there may be, because
 * a phase of no seconds is no phase.
 */

/** A phase of the base by its place in the base's round, or one that is added; either may have words of its own. */
export type OwnPhase =
  | { readonly of: number; readonly text?: string; readonly detail?: string }
  | { readonly adds: AddedKind; readonly seconds: number; readonly text?: string; readonly detail?: string };

interface Added extends Pick<PhaseSpec, 'angle' | 'breath' | 'works' | 'text' | 'leads' | 'detail' | 'effort'> {
  readonly label: string;
  readonly axes: readonly AxisKind[];
  readonly standard: number;
  readonly min: number;
  readonly max: number;
  /** Which end of a breath it goes to where the way is timed by the breath. */
  readonly ends?: 'in' | 'out';
  readonly asksFor?: NumberSpec;
  readonly limitedBy?: NonNullable<NumberSpec['limitedBy']>;
}

const stay: AngleRule = { to: 'stay' };
const MOTION: readonly AxisKind[] = ['motion'];
const BOTH: readonly AxisKind[] = ['motion', 'pressure'];

/** Phases that can be added, with their usual seconds and bounds. Common practice. */
export const ADDED = {
  move: {
    label: 'Move to the edge',
    axes: MOTION,
    standard: 5,
    min: 2,
    max: 30,
    ends: 'out',
    angle: { to: 'edge' },
    breath: 'out',
    works: 'therapist',
    text: 'Slowly to the edge',
    leads: 'there',
    detail: 'first firm resistance; they say when',
  },
  'breathe-in': {
    label: 'Breathe in',
    axes: MOTION,
    standard: 3,
    min: 1,
    max: 10,
    ends: 'in',
    angle: stay,
    breath: 'in',
    works: 'athlete',
    text: 'Breathe in',
    detail: 'stay where you are',
  },
  contract: {
    label: 'Press',
    axes: MOTION,
    standard: 6,
    min: 2,
    max: 20,
    ends: 'out',
    angle: stay,
    breath: 'out',
    works: 'athlete',
    effort: 'effort',
    text: '{press}',
    detail: '{pressLine}',
    asksFor: effort([20]),
  },
  relax: {
    label: 'Let go',
    axes: MOTION,
    standard: 3,
    min: 1,
    max: 20,
    ends: 'in',
    angle: stay,
    breath: 'in',
    works: 'nobody',
    text: 'Let go',
    detail: 'all of it, at once',
  },
  advance: {
    label: 'Take up the new range',
    axes: MOTION,
    standard: 4,
    min: 2,
    max: 20,
    ends: 'out',
    angle: { to: 'new-edge', by: 'gain' },
    breath: 'out',
    works: 'therapist',
    text: 'Take up the new range',
    leads: 'further',
    detail: 'slowly, on the breath out',
    asksFor: gain,
  },
  hold: {
    label: 'Hold',
    axes: MOTION,
    standard: 10,
    min: 2,
    max: 120,
    ends: 'out',
    angle: stay,
    breath: 'free',
    works: 'nobody',
    text: 'Hold',
    detail: 'keep breathing; face and jaw soft',
    limitedBy: 'holdS',
  },
  active: {
    label: 'Pull the other way',
    axes: MOTION,
    standard: 4,
    min: 2,
    max: 10,
    angle: stay,
    breath: 'free',
    works: 'athlete',
    text: 'Pull the other way',
    detail: 'the opposite muscle, lightly',
  },
  'back-off': {
    label: 'Back off',
    axes: MOTION,
    standard: 4,
    min: 1,
    max: 10,
    ends: 'in',
    angle: { to: 'short-of-edge', by: 'short' },
    breath: 'in',
    works: 'therapist',
    text: 'Back off',
    detail: 'until the pull has just gone',
    asksFor: short,
  },
  shorten: {
    label: 'Bring it short',
    axes: MOTION,
    standard: 4,
    min: 2,
    max: 15,
    angle: { to: 'slack', by: 'slack' },
    breath: 'free',
    works: 'therapist',
    text: 'Bring it short',
    detail: 'until the muscle is slack',
    asksFor: slack,
  },
  return: {
    label: 'Bring it back',
    axes: MOTION,
    standard: 5,
    min: 2,
    max: 30,
    angle: { to: 'rest' },
    breath: 'free',
    works: 'therapist',
    text: 'Bring it back',
    detail: 'they do not help',
  },
  wait: {
    label: 'Wait',
    axes: ['pressure'],
    standard: 5,
    min: 1,
    max: 30,
    angle: stay,
    breath: 'free',
    works: 'therapist',
    text: 'Wait',
    detail: 'the hand stays where it is',
  },
  rest: {
    label: 'Rest',
    axes: BOTH,
    standard: 5,
    min: 1,
    max: 60,
    angle: stay,
    breath: 'free',
    works: 'nobody',
    text: 'Rest',
    detail: 'nothing to do',
  },
} as const satisfies Partial<Record<PhaseKind, Added>>;

export type AddedKind = keyof typeof ADDED;
export const ADDED_KINDS = Object.keys(ADDED) as AddedKind[];

/** Phases in one round, loops counted once. */
export const MOST_PHASES = 16;
/** Letters of an instruction: it is read across a room. */
export const LONGEST_TEXT = 26;
export const LONGEST_DETAIL = 80;

/**
 * Kinds of phase that can be added to a way of working.
 * @example addable(findMethod('point-hold')) // → ['wait', 'rest']
 */
export function addable(base: Pick<Method, 'axis'>): AddedKind[] {
  return ADDED_KINDS.filter((kind) => (ADDED[kind].axes as readonly AxisKind[]).includes(base.axis));
}

/**
 * The base's own round, phase by phase.
 * @example basePhases(findMethod('cr-light')) // → [{ of: 0 }, { of: 1 }, { of: 2 }, { of: 3 }]
 */
export function basePhases(base: Pick<Method, 'round'>): OwnPhase[] {
  return base.round.map((_, of) => ({ of }));
}

/**
 * Whether a round is the base's, phase by phase and word for word.
 * @example isBase([{ of: 0 }], findMethod('cr-light')) // → false
 */
export function isBase(phases: readonly OwnPhase[], base: Pick<Method, 'round'>): boolean {
  return phases.length === base.round.length && phases.every((phase, i) => 'of' in phase && phase.of === i && !phase.text && !phase.detail);
}

/** Id of the number that says how long the phase at this place of the round takes. */
const ownSeconds = (at: number) => `own${at + 1}`;

/**
 * The base with its round arranged anew. Phases that name nothing the base has are left out; `checkOwnRound` says so.
 * @example arrange(findMethod('cr-light'), [{ of: 0 }, { of: 1 }]).numbers.some((spec) => spec.id === 'gain') // → false
 */
export function arrange(base: Method, phases: readonly OwnPhase[]): Method {
  if (isBase(phases, base)) return base;
  const byTheBreath = base.choices.some((choice) => choice.id === 'timing');
  const added: NumberSpec[] = [];
  const need = (spec: NumberSpec) => {
    if (![...base.numbers, ...added].some((each) => each.id === spec.id)) added.push(spec);
  };
  const labels = new Set(base.numbers.map((spec) => spec.label));

  const round = phases.flatMap((phase, at): PhaseNode[] => {
    if ('of' in phase) {
      const node = base.round[phase.of];
      return node ? ['each' in node ? node : { ...node, ...words(phase) }] : [];
    }
    const { label, standard: _usual, min, max, ends, asksFor, limitedBy, axes: _axes, ...spec }: Added = ADDED[phase.adds];
    if (asksFor) need(asksFor);
    const wanted = phase.text || label;
    const own = labels.has(wanted) ? `${wanted}, phase ${at + 1}` : wanted;
    labels.add(own);
    need(seconds(ownSeconds(at), own, [phase.seconds], { min, max, ...(limitedBy ? { limitedBy } : {}) }));
    return [
      {
        kind: phase.adds,
        ...spec,
        duration: { seconds: ownSeconds(at), ...(ends && byTheBreath ? { toBreath: { end: ends, when: byBreath } } : {}) },
        ...words(phase),
      },
    ];
  });

  const presses = round.some((node) => nodesOf(node).some((each) => each.kind === 'contract'));
  const rehearses = base.opening.some((node) => !('each' in node) && node.kind === 'rehearse');
  const opening = presses && !rehearses ? [...base.opening.slice(0, 1), REHEARSE, ...base.opening.slice(1)] : base.opening;
  if (opening !== base.opening) need(rehearse);

  const arranged = { ...base, opening, round };
  const [asked, askedBefore] = [askedFor(arranged), askedFor(base)];
  /** What nothing ever asked for by name, such as the pressure a hand begins with, stays. */
  const remains = ({ id }: { readonly id: string }) => asked.has(id) || !askedBefore.has(id);
  return {
    ...arranged,
    numbers: [...base.numbers.filter(remains), ...added],
    choices: base.choices.filter(remains).map((choice) => ({ ...choice, ...stillOffered(choice, base, arranged) })),
    lists: base.lists.filter(remains),
    breathWords: breathWords(round),
    claims: [
      taught(`The order of phases is the practice’s own; what is claimed for ${base.name.toLowerCase()} does not carry over as it stands.`),
    ],
  };
}

/** The options of a choice, less those that some phase of the base waits for and none of the arranged round. */
function stillOffered(choice: ChoiceSpec, base: Method, arranged: Method): Pick<ChoiceSpec, 'options' | 'default'> {
  const waits = (method: Method) =>
    new Set(
      phasesOf(method).flatMap(({ when = [] }) => when.flatMap((each) => ('choice' in each && each.choice === choice.id ? [each.is] : []))),
    );
  const [before, now] = [waits(base), waits(arranged)];
  const options = choice.options.filter(({ id }) => !before.has(id) || now.has(id));
  return { options, default: options.some(({ id }) => id === choice.default) ? choice.default : options[0]!.id };
}

function words({ text, detail }: OwnPhase): Partial<Pick<PhaseSpec, 'text' | 'leads' | 'detail'>> {
  return { ...(text ? { text, leads: undefined } : {}), ...(detail ? { detail } : {}) };
}

function nodesOf(node: PhaseNode): PhaseSpec[] {
  return 'each' in node ? node.phases.flatMap(nodesOf) : [node];
}

/** Ids of the numbers, choices and lists that some phase asks for, and the two that every way has. */
function askedFor(method: Method): Set<string> {
  const ids = new Set([method.painCeiling, method.easeBack]);
  const ofConditions = (conditions: readonly Condition[] = []) =>
    conditions.forEach((condition) => {
      if ('choice' in condition) ids.add(condition.choice);
    });
  const ofNode = (node: PhaseNode): void => {
    ofConditions(node.when);
    if ('each' in node) {
      ids.add('times' in node.each ? node.each.times : node.each.list);
      node.phases.forEach(ofNode);
      return;
    }
    const { duration, angle, effort: strength, rate, text, detail } = node;
    if ('seconds' in duration) {
      ids.add(duration.seconds);
      ofConditions(duration.toBreath ? [duration.toBreath.when] : []);
    }
    if ('breaths' in duration) ids.add(duration.breaths);
    if ('by' in angle) ids.add(angle.by);
    if ('share' in angle) ids.add(angle.share);
    if (strength) ids.add(strength);
    if (rate) ids.add(rate);
    for (const [, name] of `${text} ${detail}`.matchAll(/\{(\w+)\}/g)) ids.add(name!);
  };
  [...method.opening, ...method.round, ...method.closing].forEach(ofNode);
  return ids;
}

/** What a round says of the breath: each kind of phase that has a place in it, once. */
function breathWords(round: readonly PhaseNode[]): string {
  const said = [
    ...new Set(
      round
        .flatMap(nodesOf)
        .filter((phase) => phase.breath !== 'free' && phase.kind !== 'breathe-in')
        .map((phase) => `${phaseKind(phase.kind).name} on the breath ${phase.breath}`),
    ),
  ];
  return said.join(', ') || 'breathing free';
}

/**
 * Everything that is wrong with a round a practice arranged, each with its path from the way's root: `phases.2.seconds`.
 * An empty list when `arrange` makes a sound way of working of it.
 */
export function checkOwnRound(base: Method, phases: readonly OwnPhase[]): BlockProblem[] {
  const problems: BlockProblem[] = [];
  if (phases.length === 0 || phases.length > MOST_PHASES) return [{ path: 'phases', message: `A round has 1 to ${MOST_PHASES} phases.` }];
  const offered = addable(base);
  phases.forEach((phase, i) => {
    if ('of' in phase) {
      if (!base.round[phase.of]) problems.push({ path: `phases.${i}`, message: `${base.name} has no such phase.` });
    } else if (!offered.includes(phase.adds))
      problems.push({ path: `phases.${i}`, message: `Such a phase cannot be added to ${base.name.toLowerCase()}.` });
    else {
      const { label, min, max } = ADDED[phase.adds];
      const message = checkNumber(phase.seconds, seconds('', label, [], { min, max }));
      if (message) problems.push({ path: `phases.${i}.seconds`, message });
    }
    if ((phase.text ?? '').length > LONGEST_TEXT)
      problems.push({ path: `phases.${i}.text`, message: `At most ${LONGEST_TEXT} letters: it is read across a room.` });
    if ((phase.detail ?? '').length > LONGEST_DETAIL)
      problems.push({ path: `phases.${i}.detail`, message: `At most ${LONGEST_DETAIL} letters.` });
  });
  return problems.length > 0 ? problems : brokenRules(base, phases);
}

/** Places of the round, from 0, that break a rule of the work, each told once. */
function brokenRules(base: Method, phases: readonly OwnPhase[]): BlockProblem[] {
  const found = new Map<number, string>();
  for (const cues of linesOf(marked(arrange(base, phases)))) {
    cues.forEach((cue, i) => {
      const at = placeOf(cue);
      if (at === null) return;
      if (cue.kind === 'contract') {
        const next = cues.slice(i + 1).find((each) => each.kind !== 'contract');
        if (next && !LETTING_GO.includes(phaseKind(next.kind).family))
          found.set(at, 'After a press comes letting go, before anything else.');
      }
      if (cue.kind === 'hold' && Math.abs(cue.from - cue.edge) > 1e-6) found.set(at, 'A hold belongs at the edge: move there first.');
    });
  }
  return [...found].sort(([a], [b]) => a - b).map(([at, message]) => ({ path: `phases.${at}`, message }));
}

const LETTING_GO: readonly string[] = ['relax', 'rest'];
const MARK = /^#(\d+)$/;
const placeOf = (cue: Cue) => {
  const mark = MARK.exec(cue.text);
  return mark ? Number(mark[1]) : null;
};

/** The same round with every phase's place for its words. */
function marked(method: Method): Method {
  const mark = (node: PhaseNode, at: number): PhaseNode =>
    'each' in node ? { ...node, phases: node.phases.map((inner) => mark(inner, at)) } : { ...node, text: `#${at}` };
  return { ...method, id: 'looked-at', madeFrom: method.id, round: method.round.map(mark) };
}

/** What the compiler makes of two rounds on one side, on an entry that the way fits: for every combination of choices, with the usual numbers and with the least. */
function* linesOf(method: Method): Generator<readonly Cue[]> {
  const entry = ENTRIES.find((each) => fits(each, method))!;
  const shelf = shelfWith({ entries: [], methods: [method] });
  const [side] = sidesOf(entry);
  const block = newBlock('looked-at', entry.id, method.id, [side!], shelf);
  const sides = [{ side: side!, rounds: Math.min(2, method.rounds.max) }];
  const least = Object.fromEntries(method.numbers.map((spec) => [spec.id, [spec.min]]));
  for (const choices of combinations(method)) {
    for (const numbers of [block.numbers, least])
      yield compile([{ ...block, choices, numbers, sides }], { breath: SLOW_BREATH, edgeOf: () => null, shelf }).cues;
  }
}

function combinations({ choices }: Pick<Method, 'choices'>): ChoiceValues[] {
  return choices.reduce<ChoiceValues[]>(
    (sets, choice) => sets.flatMap((set) => choice.options.map((option) => ({ ...set, [choice.id]: option.id }))),
    [{}],
  );
}
