import type { Position } from '../body/index.ts';
import { ENTRIES } from './entries/index.ts';
import type { Entry, SetUp } from './types.ts';

const USUAL = new Map(ENTRIES.map(({ id, positions }) => [id, positions[0]] as const));

/** The usual position of an entry of the catalogue, or of the one a practice's own was made from: what is said of that one holds there. */
export const usualPosition = ({ id, drawnAs }: Pick<Entry, 'id' | 'drawnAs'>): Position | undefined => USUAL.get(drawnAs ?? id);

/** The same name for lying on either side. */
const kindOf = (position: Position): Position => (position === 'side-lying right' ? 'side-lying left' : position);

/**
 * How an entry is set up in a position: its own words for it, or those of its usual one. Lying on a side is said once, for the worked side up.
 * @example setUpIn(findEntry('palm-spread'), 'seated upright').supports // → 'Forearm on the table'
 */
export function setUpIn(
  entry: Pick<Entry, 'positions' | 'places' | 'setUp' | 'supports' | 'hands'>,
  position: Position,
): Required<Omit<SetUp, 'without'>> {
  const { setUp, supports, hands } = placeOf(entry, position) ?? {};
  return { setUp: setUp ?? entry.setUp, supports: supports ?? entry.supports, hands: hands ?? entry.hands };
}

/** What an entry says of a position of its own; nothing of its usual one. */
function placeOf(entry: Pick<Entry, 'positions' | 'places'>, position: Position): SetUp | undefined {
  return position === entry.positions[0] ? undefined : (entry.places?.[position] ?? entry.places?.[kindOf(position)]);
}

/**
 * The positions of an entry in which a way of working goes; in the usual one, all of them do. A practice's own way goes where the one does
 * that it was made from.
 * @example positionsFor(findEntry('cuff-four-way'), { id: 'pulsed' }) // → ['supine', 'seated upright']
 */
export function positionsFor(
  entry: Pick<Entry, 'positions' | 'places'>,
  { id, madeFrom }: { readonly id: string; readonly madeFrom?: string },
): readonly Position[] {
  return entry.positions.filter((position) => {
    const without = placeOf(entry, position)?.without ?? [];
    return !without.includes(id) && (madeFrom === undefined || !without.includes(madeFrom));
  });
}

/** What a position is called where more of it matters than how the athlete lies; the usual position of each entry. Common practice. */
const ARRANGED: Readonly<Record<string, readonly string[]>> = {
  'head past the table end': ['neck-extension-table-end'],
  'shoulders at the table end': ['neck-diagonal', 'neck-diagonal-levator'],
  'at the table edge': ['pectoralis-supine', 'pectoralis-press-stretch', 'pectoralis-nerve-line', 'biceps-pin'],
  'shank hanging over the table edge': ['rectus-femoris-pin', 'rectus-femoris-table-side'],
  'upper leg over the table edge': ['side-lying-rotation-low', 'quadratus-crossed'],
  'foot past the table end': [
    'ankle-back-glide',
    'talocrural-traction',
    'talocrural-open-close',
    'talocrural-traction-bend',
    'shin-pin',
    'sole-stick',
    'sole-pin',
    'calf-pin',
    'post-op-fluid',
    'post-op-calf',
    'post-op-sole',
  ],
  'knee bent, shin upright': ['soleus-prone', 'outward-rotators-prone', 'inward-rotators-prone'],
  'up on the elbows': ['splenius-reset'],
  'thigh over the table edge or on a cushion': ['gluteals-comfort-press'],
  'other foot over the table edge': ['adductors-walk-out'],
};
const ARRANGED_BY_ID = new Map(Object.entries(ARRANGED).flatMap(([words, ids]) => ids.map((id) => [id, words] as const)));

/**
 * What tells the usual position of an entry from just lying or sitting so: the head past the table's end, the shank hanging; null where
 * nothing does. Leaning forward, it is the massage chair.
 * @example arrangedIn(findEntry('neck-extension-table-end'), 'supine') // → 'head past the table end'
 */
export function arrangedIn(entry: Pick<Entry, 'id' | 'drawnAs'>, position: Position): string | null {
  if (position === 'seated leaning') return 'in the massage chair, or over the table with a cushion';
  return position === usualPosition(entry) ? (ARRANGED_BY_ID.get(entry.drawnAs ?? entry.id) ?? null) : null;
}

/**
 * A position as it is said of an entry.
 * @example positionWords(findEntry('neck-extension-table-end'), 'supine') // → 'supine, head past the table end'
 */
export function positionWords(entry: Pick<Entry, 'id' | 'drawnAs'>, position: Position): string {
  const arranged = arrangedIn(entry, position);
  return `${position.startsWith('side-lying') ? 'side-lying' : position}${arranged ? `, ${arranged}` : ''}`;
}
