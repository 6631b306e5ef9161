import {
  between,
  jointOf,
  hasWay,
  motionOf,
  MOTION_FACETS,
  muscleFacts,
  MUSCLES,
  opposite,
  regionsOf,
  type Movement,
  type Muscle,
  type Nerve,
  type Region,
  type Segment,
  type Side,
} from '../body/index.ts';
import { acrossSide, doingOf, motionSide, sideRelation, type Doing, type Entry, type PressKind } from '../catalogue/index.ts';
import {
  BUILT_IN,
  goesSlack,
  phasesOf,
  reachesEdge,
  techniquesOf,
  type BlockPlan,
  type Method,
  type Shelf,
  type Technique,
} from '../method/index.ts';
import type { CandidateAction, Moved, Pressed } from './types.ts';

/**
 * From data to what is done to the body.
 *
 * The model. Three things are known: what an entry does (its motions, `doing`), how a way of working does it (its phases), and the numbers
 * of the block. Movements come from every motion the entry drives, on the side that motion is read on, from its second joints and from
 * what is kept in the set-up; a way that makes the muscle slack moves each joint the other way too. Force comes in where the limb is held
 * and runs along the chain to the joint that moves, so everything between carries it. Muscles are lengthened by the movements that
 * lengthen them, contract where the way has a contraction, and lie under the hand where it presses. What is not known counts as done:
 * any choice of a way, any number of a round. So a rule can ask for anatomy instead of names of entries.
 */

const unique = <T>(items: readonly T[]): T[] => [...new Set(items)];
/** From so many segments on, force goes through most of a limb. */
const LONG = 4;

/** Muscles of the worked side that a movement lengthens; of head and trunk, by the way they go. */
function lengthenedBy({ movement, side }: Pick<Moved, 'movement' | 'side'>, worked: Side): Muscle[] {
  return MUSCLES.filter((muscle) => {
    const { lengthenedBy: limb, away = [], toward = [] } = muscleFacts(muscle.id);
    if (!hasWay(movement)) return limb.includes(movement);
    const either = side === 'midline' || worked === 'midline';
    return (away.includes(movement) && (either || side !== worked)) || (toward.includes(movement) && (either || side === worked));
  }).map(({ id }) => id);
}

/** What carries the force of movements that are made from one place; joints that are pulled apart begin one segment earlier. */
function loadsOf(moves: readonly Moved[], held: Segment | undefined, pulls: Segment | undefined): readonly Segment[] {
  if (held === undefined) return [];
  const before: Partial<Record<Segment, Segment>> = {
    hip: 'pelvis',
    neck: 'upper-back',
    ankle: 'lower leg',
    hand: 'wrist',
    shoulder: 'chest',
    foot: 'ankle',
  };
  const pulled = pulls === undefined ? [] : between(before[pulls] ?? pulls, held);
  return unique([held, ...pulled, ...moves.flatMap(({ movement }) => between(jointOf(movement), held))]);
}

/** The movements of one of an entry's motions, with the side it is read on. */
function movesOf(motionId: string, side: Side, main: boolean, endRange: boolean): Moved[] {
  const { movements, scale } = MOTION_FACETS[motionId]!;
  return movements.map((movement) => ({ movement, side, endRange, scale: main && scale.includes(movement) }));
}

const slackOf = (moves: readonly Moved[]): Moved[] =>
  moves.map(({ movement, side }) =>
    hasWay(movement)
      ? { movement, side: acrossSide('opposite', side), endRange: false, scale: false }
      : { movement: opposite(movement), side, endRange: false, scale: false },
  );

/** Each movement on each side once, to the edge where any of them is. */
function merged(moves: readonly Moved[]): Moved[] {
  const by = new Map<string, Moved>();
  for (const each of moves) {
    const key = `${each.movement}/${each.side}`;
    const so = by.get(key);
    by.set(key, so ? { ...each, endRange: so.endRange || each.endRange, scale: so.scale || each.scale } : each);
  }
  return [...by.values()];
}

/**
 * Measuring one motion on one side, as an action: it is taken to its edge once, nobody works against it.
 * Throws a RangeError for an unknown motion.
 * @example measuring('knee-flexion', 'left').moves[0].movement // → 'knee flexion'
 */
export function measuring(motionId: string, side: Side): CandidateAction {
  const motion = motionOf(motionId);
  const facets = MOTION_FACETS[motionId]!;
  const held = limbMoves(facets.otherLimb).map((movement): Moved => ({
    movement,
    side: acrossSide('opposite', side),
    endRange: false,
    scale: false,
  }));
  const own = movesOf(motionId, side, true, true);
  const moves = [...own, ...held];
  const segments = loadsOf(own, facets.held, undefined);
  const loads = facets.weight === true ? unique([...regionsOf(segments), ...regionsOf(between('low-back', 'foot'))]) : regionsOf(segments);
  return {
    moment: 'measure',
    side,
    motionId,
    motionSide: side,
    moves,
    regions: facets.regions,
    loads,
    presses: [],
    squeezes: [],
    lengthens: unique(own.flatMap((each) => lengthenedBy(each, hasWay(each.movement) ? 'midline' : side))),
    contracts: [],
    under: [],
    nerves: facets.nerves ?? [],
    techniques: [motion.mode === 'active' ? 'active' : 'lengthen', ...(facets.nerveLine ? ['nerve-line' as const] : [])],
    position: motion.position,
    grade: null,
    endRange: true,
    longLever: facets.held !== undefined && longest(own, facets.held) >= LONG,
    holdS: null,
    effortPct: null,
    contractS: null,
    postures: facets.postures ?? {},
    otherPostures: facets.otherLimb ?? {},
    weight: facets.weight === true,
    headDown: false,
    heat: false,
    strokesAway: false,
    work: null,
  };
}

const longest = (moves: readonly Moved[], held: Segment) =>
  Math.max(0, ...moves.map(({ movement }) => between(jointOf(movement), held).length));
const most = (values: readonly number[]) => (values.length > 0 ? Math.max(...values) : null);

/** How a way presses with an entry's tools, or null where it does not press. */
function pressKind(techniques: readonly Technique[], entry: Entry, doing: Doing): PressKind | null {
  if (doing.kind) return doing.kind;
  if (techniques.includes('friction')) return 'friction';
  if (!techniques.includes('press') && !techniques.includes('pin')) return null;
  return entry.tools.some(({ tool }) => tool === 'thumb' || tool === 'elbow' || tool === 'fingers' || tool === 'knuckles') ||
    techniques.includes('comfort')
    ? 'point'
    : 'broad';
}

/** Seconds and percent a block gives to phases of one kind. */
function numbersOf(
  method: Method,
  block: Pick<BlockPlan, 'numbers'>,
  wanted: (phase: ReturnType<typeof phasesOf>[number]) => string | undefined,
): readonly number[] {
  return unique(phasesOf(method).flatMap((phase) => wanted(phase) ?? [])).flatMap((id) => block.numbers[id] ?? []);
}

/**
 * One side of a block, as an action: what the entry does to which place, in which way, how long, how strongly.
 * Throws a RangeError for an entry or way of working that is not known.
 * @example blockAction(newBlock('b', 'leg-pull', 'mobilize-sustained', ['left']), 'left').loads.includes('knee') // → true
 */
export function blockAction(
  block: Pick<BlockPlan, 'entryId' | 'methodId' | 'numbers' | 'position'> & Partial<Pick<BlockPlan, 'choices'>>,
  side: Side,
  shelf: Shelf = BUILT_IN,
): CandidateAction {
  const entry = shelf.entries.get(block.entryId);
  const method = shelf.methods.get(block.methodId);
  if (!entry || !method) throw new RangeError('A block names an entry or a way of working that is not known.');
  const doing = doingOf(entry);
  const facets = MOTION_FACETS[entry.motionId]!;
  const grade = most(block.numbers.grade ?? []);
  const techniques = unique([
    ...techniquesOf(method),
    ...(entry.adds ?? []),
    ...(doing.pulls ? ['traction' as const] : []),
    ...(doing.kind === 'friction' ? ['friction' as const] : []),
    ...(doing.kind ? ['press' as const] : []),
  ]);

  // Pressing and shaking leave the joint where it is, whatever motion shows the effect.
  const moving = entry.still !== true && method.axis === 'motion';
  const endRange = moving && reachesEdge(method, block.numbers);
  const strong = grade !== null && grade >= 3;
  const driven = moving
    ? (doing.instead?.map((movement): Moved => ({ movement, side, endRange, scale: false })) ??
      [entry.motionId, ...entry.also].flatMap((id) =>
        movesOf(id, motionSideOf(entry, id, side), id === entry.motionId, endRange || strong),
      ))
    : [];
  const added = (movements: readonly Movement[] | undefined, on: Side, toEnd: boolean) =>
    (movements ?? []).map((movement): Moved => ({ movement, side: hasWay(movement) ? 'midline' : on, endRange: toEnd, scale: false }));
  const along = moving && doing.instead === undefined ? added(doing.moves, side, endRange) : [];
  const slack = moving && goesSlack(method) ? slackOf(driven) : [];
  const moves = merged([
    ...driven,
    ...along,
    ...slack,
    ...added(doing.keeps, side, false),
    ...added(limbMoves(doing.otherLimb), acrossSide('opposite', side), false),
  ]);

  const forced = moves.filter((each) => hasWay(each.movement) || each.side === side || side === 'midline');
  const pulls = doing.pulls ?? (techniques.includes('traction') && doing.held ? jointOf(facets.movements[0]!) : undefined);
  const segments = loadsOf(forced, doing.held, pulls);
  const kind = pressKind(techniques, entry, doing);
  const pressRegions = kind === null ? [] : (doing.on ?? entry.regions ?? facets.regions.slice(0, 1));
  const presses: Pressed[] =
    kind === null
      ? []
      : [
          { kind, regions: pressRegions },
          ...(doing.kind &&
          kind !== 'point' &&
          techniquesOf(method).includes('press') &&
          method.axis === 'pressure' &&
          entry.tools.some(({ tool }) => tool === 'thumb' || tool === 'knuckles' || tool === 'elbow')
            ? [{ kind: 'point' as const, regions: pressRegions }]
            : []),
        ];
  const lengthens = techniques.includes('lengthen') || moving || strong;
  const lengthened = lengthens
    ? unique([
        ...(techniques.includes('lengthen') && moving ? doing.muscles : []),
        ...moves
          .filter((each) => each.side === side || hasWay(each.movement) || side === 'midline')
          .flatMap((each) => lengthenedBy(each, side)),
      ])
    : [];
  const active = techniques.includes('active') || entry.mover !== 'therapist';
  const pressing = techniques.includes('contract') ? (doing.contracts ?? (doing.muscles.length > 0 ? doing.muscles : lengthened)) : [];
  const pulling = active
    ? unique([
        ...(doing.contracts ?? []),
        ...driven.flatMap((each) =>
          lengthenedBy(
            { movement: opposite(each.movement), side: hasWay(each.movement) ? acrossSide('opposite', each.side) : each.side },
            side,
          ),
        ),
        ...(moving ? [] : doing.muscles),
      ])
    : [];
  return {
    moment: 'work',
    side,
    motionId: entry.motionId,
    motionSide: motionSide(entry, entry.motionId, side),
    moves,
    regions: unique([
      ...(entry.regions ?? facets.regions),
      ...(moving ? entry.also.flatMap((id) => MOTION_FACETS[id]!.regions) : []),
      ...pressRegions,
    ]),
    loads: doing.weight
      ? unique([
          ...regionsOf(segments),
          ...regionsOf(between('low-back', block.position === 'standing' || entry.positions.includes('standing') ? 'foot' : 'pelvis')),
        ])
      : regionsOf(segments),
    presses,
    squeezes: doing.squeezes ?? [],
    lengthens: lengthened,
    contracts: unique([...pressing, ...pulling]),
    under: kind === null ? [] : musclesUnder(pressRegions, doing),
    nerves: unique<Nerve>([...(moving ? (facets.nerves ?? []) : []), ...(doing.nerves ?? [])]),
    techniques,
    position: block.position ?? entry.positions[0],
    grade,
    endRange: endRange || strong,
    longLever: doing.held !== undefined && longest(forced, doing.held) >= LONG,
    holdS: most(method.numbers.filter((spec) => spec.limitedBy === 'holdS').flatMap((spec) => block.numbers[spec.id] ?? [])),
    effortPct: most(numbersOf(method, block, (phase) => phase.effort)),
    contractS: most(
      numbersOf(method, block, ({ kind: phase, duration }) =>
        phase === 'contract' && 'seconds' in duration ? duration.seconds : undefined,
      ),
    ),
    postures: { ...(moving ? facets.postures : {}), ...doing.postures },
    otherPostures: doing.otherLimb ?? {},
    weight: doing.weight === true || (moving && facets.weight === true && entry.positions.includes('standing')),
    headDown: doing.headDown === true,
    heat: doing.heat === true,
    strokesAway: presses.length > 0 && strokesAway(method, block.choices ?? {}, doing),
    work: { entryId: entry.id, wayId: method.madeFrom ?? method.id },
  };
}

/** Whether a hand strokes away from the heart: as it is chosen, where a choice decides that, or as the entry is done. */
function strokesAway(method: Method, choices: BlockPlan['choices'], doing: Doing): boolean {
  const chosen = method.choices.flatMap((spec) => {
    const strokes = spec.options.find((option) => option.id === (choices[spec.id] ?? spec.default))?.strokes;
    return strokes ? [strokes] : [];
  });
  return chosen.length > 0 ? chosen.includes('away') : doing.strokes !== undefined;
}

const limbMoves = (kept: Doing['otherLimb']) => Object.keys(kept ?? {}) as Movement[];

/** Where a motion goes is known, or it may be either way. */
function motionSideOf(entry: Entry, motionId: string, side: Side): Side {
  const motion = motionOf(motionId);
  if (motion.goes !== undefined && doingOf(entry).goes?.[motionId] === undefined) return 'midline';
  return acrossSide(sideRelation(entry, motionId), side);
}

/** Muscles that lie where a hand presses: those that are worked on, and any whose belly is there. */
function musclesUnder(regions: readonly Region[], doing: Doing): Muscle[] {
  return unique([
    ...doing.muscles.filter(
      (id) =>
        muscleFacts(id).belly.some((region) => regions.includes(region)) || muscleFacts(id).ends.some((region) => regions.includes(region)),
    ),
    ...MUSCLES.filter((muscle) => (muscle.belly as readonly Region[]).some((region) => regions.includes(region))).map(({ id }) => id),
  ]);
}
