import { phaseKind, type Cue } from '../method/index.ts';

/** What a voice says at the table; each can be left out. */
export interface SpokenKinds {
  /** What is to be done: "press, 20 percent". */
  readonly instruction: boolean;
  /** For how long: "6 seconds". */
  readonly counts: boolean;
  /** Where to go: "left side next: walk round to the left". */
  readonly side: boolean;
  /** Rests and returns, in which nobody works. */
  readonly rest: boolean;
}

export const ALL_SPOKEN: SpokenKinds = { instruction: true, counts: true, side: true, rest: true };

/** A cue shorter than this is over before its length is said. */
const LEAST_COUNTED_MS = 3000;
/** So many seconds before the end of a phase are ticked. */
const TICKS = [3, 2, 1] as const;
/** A phase has to be this long for its end to be ticked: a shorter one would be all ticks. */
const LEAST_TICKED_MS = 5000;
/** What tells the hand to turn round in the middle of a cue; the tone comes where the words say it. */
const HALF_AND_HALF = 'half one way, half the other';

const isRest = (cue: Cue) => phaseKind(cue.kind).family === 'rest' || cue.kind === 'return';

/**
 * What a voice says as a cue begins.
 * @param cue the cue that begins
 * @param first what has to be done before it, or empty: who turns, where the therapist goes
 * @param wanted what is to be said
 * @returns words for a voice; empty where nothing is wanted
 * (of a press of six seconds: "Press into my hand. 20 percent. 6 seconds")
 */
export function spokenWords(cue: Cue, first: string, wanted: SpokenKinds): string {
  const parts: string[] = [];
  if (wanted.side && first) parts.push(cue.side === 'midline' ? first : `${cue.side} side next: ${first}`);
  const speaks = isRest(cue) ? wanted.rest : wanted.instruction;
  if (speaks) {
    parts.push(cue.text);
    if (cue.effortPct !== null) parts.push(`${cue.effortPct} percent`);
  }
  const ms = cue.endMs - cue.startMs;
  if (wanted.counts && !cue.open && ms >= LEAST_COUNTED_MS && (speaks || !isRest(cue))) parts.push(`${Math.round(ms / 1000)} seconds`);
  return parts.join('. ');
}

export interface HeardAt {
  /** On the line, in milliseconds. */
  readonly atMs: number;
  readonly what: 'tick' | 'turn';
}

/**
 * What is heard within a cue, besides the tone with which it begins: the last three seconds, and the half where the hand turns round.
 * @param cue a cue of the line
 * @returns moments on the line in their order; none where the cue waits for the hand
 */
export function heardWithin(cue: Cue): readonly HeardAt[] {
  const ms = cue.endMs - cue.startMs;
  if (cue.open) return [];
  const turn: HeardAt[] = cue.detail.includes(HALF_AND_HALF) ? [{ atMs: cue.startMs + ms / 2, what: 'turn' }] : [];
  const ticks: HeardAt[] = ms < LEAST_TICKED_MS ? [] : TICKS.map((s) => ({ atMs: cue.endMs - s * 1000, what: 'tick' }));
  return [...turn, ...ticks].sort((a, b) => a.atMs - b.atMs);
}
