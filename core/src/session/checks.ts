import { regionName, type Region } from '../body/index.ts';
import { sourcesOf, type Entry } from '../catalogue/index.ts';
import { blockAction, consentArea } from '../caution/index.ts';
import type { LookFirst } from '../finding/index.ts';
import { BUILT_IN, type BlockPlan, type Shelf } from '../method/index.ts';
import { orderProblems } from './order.ts';

/** Something worth a look in a plan, in words. It forbids nothing. */
export interface PlanCheck {
  readonly kind: 'order' | 'time' | 'source' | 'look';
  readonly words: string;
}

export interface CheckFacts {
  readonly blocks: readonly BlockPlan[];
  /** Seconds each block takes, by its id; one that is not known is not counted. */
  readonly secondsOf: ReadonlyMap<string, number>;
  readonly complaint: Region | null;
  /** Points of earlier visits that nobody has looked at today. */
  readonly lookFirst?: readonly LookFirst[];
  readonly shelf?: Shelf;
}

/** How long a part of the body is worked on as a rule, in minutes: common practice. A tenth more is not worth a word. */
const USUAL: readonly { readonly what: string; readonly most: number; readonly words: string; readonly is: (at: Placed) => boolean }[] = [
  { what: 'The back', most: 10, words: 'about 10 is common practice', is: ({ area, inChair }) => area === 'back' && !inChair },
  {
    what: 'The feet',
    most: 12,
    words: '5 for a short form, 10 to 12 for a whole one is common practice',
    is: ({ area }) => area === 'feet',
  },
  { what: 'In the chair', most: 20, words: '18 to 20 for the whole sequence is common practice', is: ({ inChair }) => inChair },
];
const SLACK = 1.1;

interface Placed {
  readonly area: string | null;
  readonly inChair: boolean;
}

/**
 * What is worth a look in a plan: points of earlier visits that nobody has looked at today, rules of order that the row breaks, parts of the body that are worked much longer than they usually are,
 * and likely sources of today's complaint that nothing in it works on. Common practice; nothing of it stops anybody.
 */
export function planChecks({ blocks, secondsOf, complaint, lookFirst = [], shelf = BUILT_IN }: CheckFacts): PlanCheck[] {
  const rows = blocks.flatMap((block) => {
    const entry = shelf.entries.get(block.entryId);
    return entry && shelf.methods.has(block.methodId) ? [{ block, entry, at: placed(block, entry, shelf) }] : [];
  });
  const order = orderProblems(blocks, shelf).map(({ words }): PlanCheck => ({ kind: 'order', words }));
  const times = USUAL.flatMap(({ what, most, words, is }): PlanCheck[] => {
    const minutes = rows.filter(({ at }) => is(at)).reduce((sum, { block }) => sum + (secondsOf.get(block.id) ?? 0), 0) / 60;
    return minutes > most * SLACK ? [{ kind: 'time', words: `${what}: ${Math.round(minutes)} min are planned; ${words}.` }] : [];
  });
  const looks = lookFirst.map(({ words }): PlanCheck => ({ kind: 'look', words: `Look first: ${words}.` }));
  return [...looks, ...order, ...times, ...unlooked(rows, complaint)];
}

function placed(block: BlockPlan, entry: Entry, shelf: Shelf): Placed {
  const [region] = blockAction(block, block.sides[0]?.side ?? 'midline', shelf).regions;
  return { area: region ? consentArea(region) : null, inChair: (block.position ?? entry.positions[0]) === 'seated leaning' };
}

/** Likely sources of the complaint that no block works on, one sentence for each reason. */
function unlooked(rows: readonly { readonly entry: Entry }[], complaint: Region | null): PlanCheck[] {
  if (complaint === null || rows.length === 0) return [];
  const worked = new Set(rows.flatMap(({ entry }) => entry.targets));
  const open = sourcesOf(complaint).filter(({ muscle }) => !worked.has(muscle));
  return [...new Set(open.map(({ because }) => because))].map((because) => {
    const muscles = open.filter((each) => each.because === because).map(({ muscle }) => muscle);
    return {
      kind: 'source',
      words: `Sore ${regionName(complaint)}: ${muscles.join(' and ')} ${muscles.length === 1 ? 'is' : 'are'} not looked at; ${because}.`,
    };
  });
}
