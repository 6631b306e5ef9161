import type { Side } from '../body/index.ts';
import { TOOLS, type Tool } from '../catalogue/index.ts';
import { BUILT_IN, offeredEntries, phaseKind, workedSideIn, type Line, type Shelf } from '../method/index.ts';

/** What one side of one target got or is to get; the side is the one that was worked on. Seconds, and percent of full strength times seconds. */
export interface TargetDose {
  readonly target: string;
  readonly side: Side;
  readonly endRangeS: number;
  readonly contractS: number;
  /** Effort × time: 20 % for 6 s is 120. */
  readonly effortPctS: number;
  readonly rounds: number;
  /** Mobilization bouts. */
  readonly bouts: number;
}

/** Minutes each of the therapist's tools is under load. */
export type ToolMinutes = Readonly<Record<Tool, number>>;

/** What was done: an athlete's seven days before a visit, and the day of the therapist's hands without that visit. */
export interface DoneSoFar {
  readonly week: readonly TargetDose[];
  readonly today: ToolMinutes;
}

/** How long a cue lasted: as planned, or as it was done. */
export type CueSeconds = (cueIndex: number) => number;
const asPlanned =
  (line: Line): CueSeconds =>
  (index) =>
    (line.cues[index]!.endMs - line.cues[index]!.startMs) / 1000;

/**
 * The dose of a line by main target and side: time at end range, contraction and effort, rounds and mobilization bouts.
 * The first target of an entry counts; a muscle worked by two entries gets the sum.
 */
export function doseByTarget(line: Line, secondsOf: CueSeconds = asPlanned(line), shelf: Shelf = BUILT_IN): TargetDose[] {
  const doses = new Map<string, TargetDose>();
  const rounds = new Map<string, Set<string>>();
  for (const cue of line.cues) {
    const entry = shelf.entries.get(line.blocks[cue.blockIndex]!.entryId);
    const seconds = secondsOf(cue.index);
    if (!entry || seconds <= 0) continue;
    const target = entry.targets[0];
    const side = workedSideIn(line.blocks[cue.blockIndex]!, cue.side, shelf);
    const key = `${target}/${side}`;
    const so = doses.get(key) ?? { target, side, endRangeS: 0, contractS: 0, effortPctS: 0, rounds: 0, bouts: 0 };
    if (cue.round >= 1 && cue.round <= cue.rounds) rounds.set(key, (rounds.get(key) ?? new Set()).add(`${cue.blockIndex}/${cue.round}`));
    const { counts } = phaseKind(cue.kind);
    const isContract = counts === 'contraction';
    doses.set(key, {
      ...so,
      endRangeS: so.endRangeS + (counts === 'end-range' ? seconds : 0),
      contractS: so.contractS + (isContract ? seconds : 0),
      effortPctS: so.effortPctS + (isContract ? seconds * (cue.effortPct ?? 0) : 0),
      rounds: rounds.get(key)?.size ?? 0,
      bouts: so.bouts + (counts === 'bout' || cue.bout === true ? 1 : 0),
    });
  }
  return [...doses.values()];
}

/** Doses of several sessions added up, by target and side. */
export function addDoses(parts: readonly (readonly TargetDose[])[]): TargetDose[] {
  const sums = new Map<string, TargetDose>();
  for (const dose of parts.flat()) {
    const key = `${dose.target}/${dose.side}`;
    const so = sums.get(key);
    sums.set(
      key,
      so
        ? {
            ...dose,
            endRangeS: so.endRangeS + dose.endRangeS,
            contractS: so.contractS + dose.contractS,
            effortPctS: so.effortPctS + dose.effortPctS,
            rounds: so.rounds + dose.rounds,
            bouts: so.bouts + dose.bouts,
          }
        : dose,
    );
  }
  return [...sums.values()];
}

export interface Guidance {
  readonly words: string;
  readonly source: string;
}

const SESSION_S = 60;
const WEEK_S = 300;
const BEFORE_START_S = 60;

/**
 * What published guidance says of a dose: this session, with the week so far, and before a start. Sentences, never a prohibition.
 * Garber 2011 (ACSM), Thomas 2018, Behm 2016, all recalled from memory.
 */
export function guidanceFor({ endRangeS }: Pick<TargetDose, 'endRangeS'>, weekEndRangeS: number, daysToEvent: number | null): Guidance[] {
  const said: Guidance[] = [];
  const s = Math.round(endRangeS);
  if (s > 0) {
    const words =
      s < SESSION_S
        ? `${s} s at end range: under the usual ${SESSION_S} s a muscle and session`
        : `${s} s at end range: the usual ${SESSION_S} s a muscle and session are reached`;
    said.push({ words, source: 'Garber 2011 (ACSM), from memory' });
  }
  if (weekEndRangeS > 0) {
    const week = Math.round(weekEndRangeS);
    said.push({
      words:
        week >= WEEK_S
          ? `${minutes(week)} in seven days: five minutes a week and more lengthen`
          : `${minutes(week)} of five minutes in seven days`,
      source: 'Thomas 2018, from memory',
    });
  }
  if (daysToEvent !== null && daysToEvent <= 0 && s >= BEFORE_START_S)
    said.push({
      words: `${s} s before a start: 60 s and more cost about 4.6 % of performance, shorter about 1.1 %`,
      source: 'Behm 2016, from memory',
    });
  return said;
}

const minutes = (seconds: number) => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')} min`;

/** Cues in which the therapist's hands carry load: neither waiting nor resting. */
function loads(line: Line, index: number): boolean {
  const { family } = phaseKind(line.cues[index]!.kind);
  return family !== 'rest' && !line.cues[index]!.open && line.cues[index]!.kind !== 'set-up';
}

/** Minutes of load on each tool in a line. */
export function toolMinutes(line: Line, secondsOf: CueSeconds = asPlanned(line), shelf: Shelf = BUILT_IN): ToolMinutes {
  const sums = Object.fromEntries(TOOLS.map((tool) => [tool, 0])) as Record<Tool, number>;
  for (const cue of line.cues) {
    if (!loads(line, cue.index)) continue;
    for (const { tool, share } of shelf.entries.get(line.blocks[cue.blockIndex]!.entryId)?.tools ?? [])
      sums[tool] += (secondsOf(cue.index) * share) / 60;
  }
  return sums;
}

/** Minutes a day of each tool that a practice starts with. Common practice: thumbs and fingers little, leaning most. */
export const USUAL_TOOL_LIMITS: ToolMinutes = {
  palm: 150,
  forearm: 120,
  knuckles: 45,
  thumb: 20,
  fingers: 40,
  elbow: 30,
  'body lean': 180,
  stick: 120,
  foot: 60,
  towel: 120,
};

/**
 * The minutes a practice allows each tool: its own, and for a tool it has said nothing of yet what practices start with.
 * @example toolLimits({ thumb: 15 }).thumb // → 15
 */
export function toolLimits(own: Partial<ToolMinutes> | null): ToolMinutes {
  return { ...USUAL_TOOL_LIMITS, ...own };
}

/** Table heights to begin with, from the knuckles of a loose fist, standing. Common practice. */
export function tableHeight(knuckleCm: number): readonly { readonly work: string; readonly cm: number }[] {
  return [
    { work: 'hands and limbs, lying', cm: Math.round(knuckleCm) },
    { work: 'leaning: forearm, elbow, palms', cm: Math.round(knuckleCm - 6) },
    { work: 'side-lying', cm: Math.round(knuckleCm - 10) },
    { work: 'fine work: feet, hands, neck', cm: Math.round(knuckleCm + 6) },
  ];
}

/** Entries for the same target that spare a tool, gentlest on it first. */
export function sparing(entryId: string, tool: Tool, shelf: Shelf = BUILT_IN) {
  const entry = shelf.entries.get(entryId);
  const shareOf = (id: string) => shelf.entries.get(id)!.tools.find((each) => each.tool === tool)?.share ?? 0;
  if (!entry) return [];
  return offeredEntries(shelf)
    .filter(
      (other) =>
        other.id !== entryId &&
        other.targets.some((target) => entry.targets.includes(target)) &&
        shareOf(other.id) < shareOf(entryId) / 2 &&
        other.stage !== 'home',
    )
    .sort((a, b) => shareOf(a.id) - shareOf(b.id))
    .slice(0, 3);
}
