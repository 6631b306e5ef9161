import { blockAction, blockCautions, CONSENT_AREAS, consentArea, limitedBlock, limitWords, NO_LIMITS } from '../caution/index.ts';
import type { CautionContext, ConsentArea, DayLimit } from '../caution/index.ts';
import { BUILT_IN, compile, protocolBlocks, reachesEdge, SLOW_BREATH, type BlockPlan, type Protocol, type Shelf } from '../method/index.ts';
import { phaseRule, type PhaseRule } from '../season/index.ts';
import type { WishKind } from './types.ts';

/**
 * What may be done at a table around a race, and whether a sequence is that.
 *
 * Before a start the limits are those of the phase in which one competes, after a race those of the phase in which one recovers, as the
 * practice has them. Between two races there is comfort and flushing only (common practice): nothing goes to the end of its range, nobody
 * presses hard, nothing is held. Whatever a caution of this one athlete forbids is forbidden here as everywhere.
 */

/** Between races: nobody presses harder than this, in percent, and nothing is held longer, in seconds. Defaults of this program. */
export const BETWEEN_MOST = { effortPct: 20, holdS: 10, painCeiling: 3 } as const;

const WHEN: Readonly<Record<WishKind, string>> = { before: 'Before a start', between: 'Between races', after: 'After a race' };

/** What holds back all work of a kind that day, by the phases of the practice. */
export function eventLimit(kind: WishKind, own: readonly PhaseRule[] = []): DayLimit {
  const limits =
    kind === 'between'
      ? { ...NO_LIMITS, ...BETWEEN_MOST }
      : { ...NO_LIMITS, ...phaseRule(kind === 'before' ? 'compete' : 'recover', own).limits };
  return {
    id: `event-${kind}`,
    because: WHEN[kind],
    reason: kind === 'before' ? 'Short, warm, easy.' : kind === 'between' ? 'Comfort and flushing only.' : 'Light and flowing.',
    instead: 'Within these limits.',
    limits,
    muscles: null,
    side: null,
  };
}

/** A block as it would be done, and why it would not. */
export interface WorkBlock {
  /** With what is held back written into it. */
  readonly block: BlockPlan;
  /** Why it is left out; empty where it is not. */
  readonly against: readonly string[];
}

export interface WorkLook {
  readonly blocks: readonly WorkBlock[];
  /** Seconds of the blocks that nothing speaks against, at a slow breath. */
  readonly seconds: number;
  /** What is held back, in words: `holds to 20 s`. */
  readonly limits: readonly string[];
}

/** Seconds of blocks at a slow breath, as their cues have them. */
export const secondsOf = (blocks: readonly BlockPlan[], shelf: Shelf = BUILT_IN): number =>
  Math.round(compile(blocks, { breath: SLOW_BREATH, edgeOf: () => null, shelf }).totalMs / 1000);

/** Blocks looked at for one person on the day, each with what is held back and what speaks against it. Consent is asked apart. */
export function lookAtWork(
  kind: WishKind,
  blocks: readonly BlockPlan[],
  context: CautionContext,
  shelf: Shelf = BUILT_IN,
  own: readonly PhaseRule[] = [],
): WorkLook {
  const limit = eventLimit(kind, own);
  const asked: CautionContext = {
    ...context,
    consent: context.consent ?? CONSENT_AREAS.flatMap(({ regions }) => [...regions]),
    today: [...context.today, limit],
  };
  const looked = blocks.map((planned): WorkBlock => {
    const block = limitedBlock(planned, asked, shelf);
    const forbidden = blockCautions(block, asked, [], shelf).flatMap(({ blocking }) =>
      blocking.map(({ because, reason }) => `${because}: ${reason}`),
    );
    const toTheEnd = kind === 'between' && goesToTheEnd(block, shelf);
    return { block, against: [...new Set([...forbidden, ...(toTheEnd ? ['Between races nothing goes to the end of its range.'] : [])])] };
  });
  const done = looked.filter(({ against }) => against.length === 0).map(({ block }) => block);
  return { blocks: looked, seconds: done.length > 0 ? secondsOf(done, shelf) : 0, limits: limitWords(limit.limits, '°') };
}

function goesToTheEnd(block: BlockPlan, shelf: Shelf): boolean {
  const method = shelf.methods.get(block.methodId);
  const entry = shelf.entries.get(block.entryId);
  return !!method && !!entry && entry.still !== true && method.axis === 'motion' && reachesEdge(method, block.numbers);
}

/** The areas hands are on in some blocks, for which consent is asked, in the order they are asked. */
export function areasOf(blocks: readonly BlockPlan[], shelf: Shelf = BUILT_IN): ConsentArea[] {
  const areas = new Set(
    blocks.flatMap((block) =>
      block.sides.flatMap(({ side }) => {
        const region = blockAction(block, side, shelf).regions[0];
        return region ? [consentArea(region)] : [];
      }),
    ),
  );
  return CONSENT_AREAS.map(({ id }) => id).filter((id) => areas.has(id));
}

/** Somebody of whom nothing speaks against anything: what is left is what the day itself says. */
const ANYBODY: CautionContext = {
  subject: { birthDate: '1990-01-01', conditions: [], medications: [], beighton: null, noTouch: [], historyTaken: true },
  onDay: '2020-01-01',
  scope: { mobilizationGrade: 4, byRegion: {}, frontOfNeck: true, ruleText: '', ruleLink: '' },
  daysToEvent: null,
  daysSinceEvent: null,
  raised: [],
  questions: 'answered',
  consent: null,
  today: [],
};

/** Whether a sequence can be offered around a race. */
export interface ProtocolFit {
  /** Its seconds with what is held back. */
  readonly seconds: number;
  /** Why it cannot be offered; empty where it can. */
  readonly against: readonly string[];
}

/**
 * Whether a sequence is something for around a race, whoever it is for: nothing in it is against the day, and it fits the minutes.
 */
export function protocolFit(
  protocol: Pick<Protocol, 'steps'>,
  kind: WishKind,
  minutes: number,
  shelf: Shelf = BUILT_IN,
  own: readonly PhaseRule[] = [],
): ProtocolFit {
  let next = 0;
  const blocks = protocolBlocks(protocol, () => String((next += 1)));
  const look = lookAtWork(kind, blocks, ANYBODY, shelf, own);
  const seconds = secondsOf(
    look.blocks.map(({ block }) => block),
    shelf,
  );
  const against = [...new Set(look.blocks.flatMap((each) => each.against))];
  if (seconds > minutes * 60) against.push(`It takes ${Math.ceil(seconds / 60)} minutes of ${minutes}.`);
  return { seconds, against };
}
