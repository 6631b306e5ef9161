import { addDays } from '../load/index.ts';
import type { Anchor, Block, PhaseId, SeasonEvent } from './types.ts';

/** Where a part of a template begins: so many days after the start, or after one of its peaks (before it: negative). */
type Begins = { readonly at: 'start'; readonly days: number } | { readonly at: 'peak'; readonly peak: number; readonly days: number };

export interface SeasonTemplate {
  readonly id: string;
  readonly name: string;
  readonly words: string;
  /** Events it is built around, by name of their part. */
  readonly peaks: readonly string[];
  /** One after the other; each lasts until the next begins. */
  readonly parts: readonly { readonly phase: PhaseId; readonly begins: Begins }[];
  /** Days after the last peak, or after the start where there is none, on which it ends. */
  readonly endsAfterDays: number;
}

const start = (days = 0): Begins => ({ at: 'start', days });
const peak = (n: number, days: number): Begins => ({ at: 'peak', peak: n, days });

/** Lengths are common practice; everything can be changed once it is applied. */
export const SEASON_TEMPLATES: readonly SeasonTemplate[] = [
  {
    id: 'single-peak',
    name: 'Single peak',
    words: 'Builds up to one event: sharpens for three weeks, competes for ten days, recovers for two weeks.',
    peaks: ['Main event'],
    parts: [
      { phase: 'build', begins: start() },
      { phase: 'sharpen', begins: peak(0, -31) },
      { phase: 'compete', begins: peak(0, -10) },
      { phase: 'recover', begins: peak(0, 1) },
    ],
    endsAfterDays: 14,
  },
  {
    id: 'two-peaks',
    name: 'Two peaks',
    words: 'Two events with a second build between them.',
    peaks: ['First event', 'Second event'],
    parts: [
      { phase: 'build', begins: start() },
      { phase: 'sharpen', begins: peak(0, -24) },
      { phase: 'compete', begins: peak(0, -7) },
      { phase: 'recover', begins: peak(0, 1) },
      { phase: 'build', begins: peak(0, 11) },
      { phase: 'sharpen', begins: peak(1, -31) },
      { phase: 'compete', begins: peak(1, -10) },
      { phase: 'recover', begins: peak(1, 1) },
    ],
    endsAfterDays: 14,
  },
  {
    id: 'league',
    name: 'League',
    words: 'A start every week or two: competes from the first to the last, with a short sharpening before and a rest after.',
    peaks: ['First match', 'Last match'],
    parts: [
      { phase: 'build', begins: start() },
      { phase: 'sharpen', begins: peak(0, -21) },
      { phase: 'compete', begins: peak(0, -4) },
      { phase: 'recover', begins: peak(1, 1) },
    ],
    endsAfterDays: 21,
  },
  {
    id: 'off-season',
    name: 'Off season',
    words: 'Two weeks of recovery, four weeks off, and six of building up again.',
    peaks: [],
    parts: [
      { phase: 'recover', begins: start() },
      { phase: 'off', begins: start(14) },
      { phase: 'build', begins: start(42) },
    ],
    endsAfterDays: 84,
  },
];

export type Templated = { readonly ok: true; readonly blocks: readonly Block[] } | { readonly ok: false; readonly message: string };

/**
 * The blocks of a template from a day on around its events. Parts that would begin before the start are cut, or left out where nothing is
 * left of them; an event before the start, or events out of order, are said. Edges are tied to the event they stand by.
 */
export function fromTemplate(template: SeasonTemplate, from: string, peaks: readonly SeasonEvent[]): Templated {
  if (peaks.length !== template.peaks.length)
    return { ok: false, message: `It needs ${template.peaks.length === 1 ? 'one event' : `${template.peaks.length} events`}.` };
  for (const [i, each] of peaks.entries()) {
    if (each.onDate < from) return { ok: false, message: `${each.name} is before the season begins.` };
    if (i > 0 && each.onDate <= peaks[i - 1]!.onDate)
      return { ok: false, message: `${each.name} has to come after ${peaks[i - 1]!.name}.` };
  }
  // What belongs to a later event begins when the one before it is over, however near they are.
  const starts = template.parts.map(({ begins }) => {
    if (begins.at === 'start') return addDays(from, begins.days);
    const day = addDays(peaks[begins.peak]!.onDate, begins.days);
    const over = begins.peak === 0 ? from : addDays(peaks[begins.peak - 1]!.onDate, 1);
    return day < over ? over : day;
  });
  const last = peaks.at(-1);
  const end = addDays(last?.onDate ?? from, template.endsAfterDays);
  /** The anchor of a day at which a part begins, if it really stands by its event. */
  const anchorAt = (begins: Begins, day: string): Anchor | null =>
    begins.at === 'peak' && addDays(peaks[begins.peak]!.onDate, begins.days) === day
      ? { eventId: peaks[begins.peak]!.id, days: begins.days }
      : null;
  const blocks = template.parts.flatMap(({ phase, begins }, i): Block[] => {
    const own = starts[i]!;
    // What belongs to a later event and begins no later takes its days.
    if (starts.slice(i + 1).some((day) => day <= own)) return [];
    const next = starts.findIndex((day, j) => j > i && starts.slice(i + 1).every((other) => day <= other));
    const until = next === -1 ? end : addDays(starts[next]!, -1);
    const nextAnchor =
      next === -1
        ? last
          ? { eventId: last.id, days: template.endsAfterDays + 1 }
          : null
        : anchorAt(template.parts[next]!.begins, starts[next]!);
    return [
      {
        phase,
        from: own,
        until,
        fromAnchor: anchorAt(begins, own),
        untilAnchor: nextAnchor === null ? null : { ...nextAnchor, days: nextAnchor.days - 1 },
      },
    ];
  });
  return { ok: true, blocks };
}
