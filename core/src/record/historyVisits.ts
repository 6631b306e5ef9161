import { JOINT_REGIONS, motionOf, MOTIONS, MUSCLES, type Joint, type Region, type Side } from '../body/index.ts';
import { currentFindings, findingWords, findLook, pointPlace, subjectWords, type StandingFinding } from '../finding/index.ts';
import { between, detectable, errorOf, formatValue, formatSigned, type ErrorKnowledge } from '../measure/index.ts';
import type { Shelf } from '../method/index.ts';
import type { AthleteFile, AthleteHistory } from './athlete.ts';
import { HOME_DONE } from './home.ts';
import type { PastReading } from './visit.ts';

/** One thing of a visit in its history, with what it can be looked for by. */
export interface HistoryEntry {
  readonly words: string;
  readonly regions: readonly Region[];
  /** The way of working, where it is something done. */
  readonly methodId: string | null;
  /** Whether a reading changed by more than the error of measuring; null where that is not the question. */
  readonly isReal?: boolean;
}

/** A visit as its history says it: what was done, what hands and eyes found, how it answered, what was done at home since. */
export interface HistoryVisit {
  readonly visitId: string;
  readonly startsAt: string;
  readonly complaint: string;
  readonly done: readonly HistoryEntry[];
  readonly found: readonly HistoryEntry[];
  readonly answered: readonly HistoryEntry[];
  readonly home: readonly HistoryEntry[];
  readonly hasPlan: boolean;
}

const sideWords = (side: Side) => (side === 'midline' ? '' : `, ${side}`);
const regionsOfMotion = (motionId: string): readonly Region[] => JOINT_REGIONS[motionOf(motionId).joint];

/**
 * An athlete's visits with what was done, found and read at each, newest first; visits of which nothing of the kind is known are left out, as
 * are cancelled ones. A reading before and after work stands with its change and whether that is more than the error of measuring, where the
 * two can be compared.
 */
export function historyVisits(
  file: Pick<AthleteFile, 'visits' | 'past' | 'errors'>,
  { blocks, findings, home, planned }: AthleteHistory,
  shelf: Shelf,
): HistoryVisit[] {
  const withPlan = new Set(planned);
  return file.visits
    .filter(({ cancelledAt }) => cancelledAt === null)
    .map((visit): HistoryVisit => {
      const readings = file.past.filter((each) => each.visitId === visit.id);
      return {
        visitId: visit.id,
        startsAt: visit.startsAt,
        complaint: visit.complaint,
        done: blocks.filter((block) => block.visitId === visit.id).map((block) => doneEntry(block, shelf)),
        found: currentFindings(findings.filter((each) => each.visitId === visit.id)).map(foundEntry),
        answered: answeredEntries(readings, file.errors),
        home: home
          .filter(({ sheet }) => sheet.visitId === visit.id)
          .flatMap(({ sheet, asked }) =>
            sheet.items.map(({ id, entryId, name }) => {
              const done = HOME_DONE.find((each) => each.id === asked?.answers[id])?.words ?? 'not asked about';
              const entry = shelf.entries.get(entryId);
              return {
                words: `${name}: ${done}`,
                regions: entry ? (entry.regions ?? regionsOfMotion(entry.motionId)) : [],
                methodId: null,
              };
            }),
          ),
        hasPlan: withPlan.has(visit.id),
      };
    })
    .filter(({ done, found, answered, home: given, hasPlan }) => done.length + found.length + answered.length + given.length > 0 || hasPlan)
    .sort((a, b) => (a.startsAt < b.startsAt ? 1 : -1));
}

function doneEntry({ entryId, methodId, motionId, sides }: AthleteHistory['blocks'][number], shelf: Shelf): HistoryEntry {
  const entry = shelf.entries.get(entryId);
  const rounds = sides.map(
    ({ side, rounds: count }) => `${side === 'midline' ? '' : `${side} `}${count === 1 ? '1 round' : `${count} rounds`}`,
  );
  return {
    words: `${entry?.name ?? 'Something no longer on the shelf'}: ${shelf.methods.get(methodId)?.name ?? 'a way no longer on the shelf'}, ${rounds.join(', ')}`,
    regions: [...new Set([...(entry?.regions ?? []), ...regionsOfMotion(motionId)])],
    methodId,
  };
}

function foundEntry(finding: StandingFinding): HistoryEntry {
  const place = finding.kind === 'point' ? pointPlace(finding.subject) : null;
  return {
    words: `${subjectWords(finding)}${sideWords(finding.side)}${finding.moment === 'after' ? ', after work' : ''}: ${findingWords(finding)}`,
    regions: place
      ? bodyRegionsOf(place.muscle)
      : finding.kind === 'look'
        ? (findLook(finding.subject)?.regions ?? [])
        : regionsFound(finding.subject),
    methodId: null,
  };
}

/** Where on the body a muscle lies that was pointed at; nowhere for one that is only drawn. */
const bodyRegionsOf = (muscle: string): readonly Region[] => MUSCLES.find(({ id }) => id === muscle)?.belly ?? [];

/** Where on the body something was found that names a motion, or a joint. */
function regionsFound(subject: string): readonly Region[] {
  if (MOTIONS.some(({ id }) => id === subject)) return regionsOfMotion(subject);
  return Object.hasOwn(JOINT_REGIONS, subject) ? JOINT_REGIONS[subject as Joint] : [];
}

function answeredEntries(readings: readonly PastReading[], errors: ErrorKnowledge): HistoryEntry[] {
  return readings
    .filter(({ moment }) => moment === 'before')
    .map((before): HistoryEntry => {
      const motion = motionOf(before.motionId);
      const after = readings.findLast((each) => each.moment === 'after' && each.motionId === before.motionId && each.side === before.side);
      const name = `${motion.name}${sideWords(before.side)}`;
      const was = formatValue(before.value, motion.unit);
      const regions = regionsOfMotion(before.motionId);
      if (!after) return { words: `${name}: ${was}, not read again`, regions, methodId: null };
      const now = formatValue(after.value, motion.unit);
      if (between(motion, before, after, errors).kind !== 'alike')
        return { words: `${name}: ${was}, then ${now} with another instrument; not compared`, regions, methodId: null };
      const error = detectable(errorOf(motion, before, errors, 'within'), errorOf(motion, after, errors, 'within'));
      const change = after.value - before.value;
      const isReal = Math.abs(change) > error;
      return {
        words: `${name}: ${was} to ${now}, ${formatSigned(change, motion.unit)}, ${isReal ? 'more than' : 'within'} the error of ±${formatValue(error, motion.unit)}`,
        regions,
        methodId: null,
        isReal,
      };
    });
}

/**
 * Visits with only what concerns a part of the body and a way of working; null leaves either open. A way asks for what was done with it: of
 * such a visit the rest still stands, as it answered to it. A visit of which nothing is left is left out.
 */
export function inRegion(visits: readonly HistoryVisit[], region: Region | null, methodId: string | null): HistoryVisit[] {
  const here = (entries: readonly HistoryEntry[]) =>
    region === null ? entries : entries.filter(({ regions }) => regions.includes(region));
  return visits.flatMap((visit) => {
    const done = here(visit.done).filter((entry) => methodId === null || entry.methodId === methodId);
    if (methodId !== null && done.length === 0) return [];
    const left = { ...visit, done, found: here(visit.found), answered: here(visit.answered), home: here(visit.home) };
    const isEmpty = left.done.length + left.found.length + left.answered.length + left.home.length === 0;
    return isEmpty && (region !== null || methodId !== null) ? [] : [left];
  });
}

/** Ways of working that were used, by how often, to choose from. */
export function historyWays(visits: readonly HistoryVisit[]): { readonly methodId: string; readonly times: number }[] {
  const times = new Map<string, number>();
  for (const { methodId } of visits.flatMap(({ done }) => done)) if (methodId) times.set(methodId, (times.get(methodId) ?? 0) + 1);
  return [...times].map(([methodId, count]) => ({ methodId, times: count })).sort((a, b) => b.times - a.times);
}
