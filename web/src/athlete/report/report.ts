import { MOTIONS, type Motion, type Side } from '@pace-bend/core/body';
import { goalStanding } from '@pace-bend/core/cycle';
import { formatValue } from '@pace-bend/core/measure';
import type { AthleteFile, SeasonFile } from '@pace-bend/core/record';
import { laidOver, PHASE_NAMES } from '@pace-bend/core/season';
import { goalWhyWords, SIDE_WORDS } from '../../parts/words.ts';
import { seriesOf, type SideSeries } from '../../parts/series.ts';
import { t } from '../../words/athlete.ts';

/** For whom a report is: the athlete has all of it; a coach availability and range, and no reasons. */
export type Reader = 'athlete' | 'coach';

export interface ReportSide {
  readonly side: Side;
  readonly words: string;
  readonly series: SideSeries;
  readonly goal: number | null;
  readonly latest: number;
}

export interface ReportMotion {
  readonly motion: Motion;
  readonly sides: readonly ReportSide[];
}

export interface Report {
  readonly title: string;
  readonly about: string;
  /** Plain sentences, each a paragraph. */
  readonly sentences: readonly string[];
  readonly season: readonly string[];
  readonly motions: readonly ReportMotion[];
}

export interface ReportFacts {
  readonly file: AthleteFile;
  readonly season: SeasonFile | null;
  readonly from: string;
  readonly to: string;
  readonly today: string;
  readonly practice: string;
  readonly sport: string;
  readonly availability: string;
  readonly dayOf: (instant: string) => string;
  readonly dayWords: (day: string) => string;
}

/** A report speaks to others: what is the therapist’s own is ours. */
const ours = (words: string) => words.replaceAll(t('yourError'), t('ourOwnError'));
const sideName = (side: Side) => (side === 'midline' ? '' : `${SIDE_WORDS[side]}: `);

/**
 * What a report says of an athlete between two days: nothing that was not read, and of every change whether it is one. For a coach: whether they
 * are available, and the range; no conditions, no reasons for a goal, nothing of the phases and nothing that was complained of.
 */
export function reportOf(facts: ReportFacts, reader: Reader): Report {
  const { file, season, from, to, today, dayOf, dayWords } = facts;
  const within = (instant: string) => dayOf(instant) >= from && dayOf(instant) <= to;
  const past = file.past.filter(({ startsAt }) => within(startsAt));
  const held = file.visits.filter(
    ({ finishedAt, cancelledAt, startsAt }) => finishedAt !== null && cancelledAt === null && within(startsAt),
  );
  const line = laidOver(season?.followed?.plan.blocks ?? [], season?.plan.blocks ?? []);
  const minutes = held.reduce((sum, visit) => sum + visit.minutes, 0);
  const sentences = [
    t('availabilityToday', { availability: facts.availability }),
    held.length === 0
      ? t('noVisitTime')
      : t('timeMinutesBooked', { count: held.length, what: held.length === 1 ? t('visit') : t('visits2'), minutes }),
  ];
  const ahead = file.events.filter(({ onDate }) => onDate >= today).sort((a, b) => (a.onDate < b.onDate ? -1 : 1));
  if (ahead.length > 0)
    sentences.push(
      t('ahead', {
        what: ahead
          .slice(0, 4)
          .map(({ name, onDate }) => `${name}, ${dayWords(onDate)}`)
          .join('; '),
      }),
    );
  const motions = MOTIONS.flatMap((motion): ReportMotion[] => {
    const sides = seriesOf(motion, past, file.athlete, today, file.errors).map((series): ReportSide => {
      const goal = file.goals.find((each) => each.motionId === motion.id && each.side === series.side) ?? null;
      const before = series.points.filter((point) => point.before !== null);
      const latest = before.at(-1)!.before!;
      const words = [
        t('firstNow', {
          value: formatValue(series.baseline, motion.unit, 1),
          value2: formatValue(latest, motion.unit, 1),
          ours: ours(series.verdict),
        }),
      ];
      if (goal) {
        const why = reader === 'athlete' ? goalWhyWords(goal) : '';
        words.push(
          t('goal3', {
            value: formatValue(goal.value, motion.unit, 1),
            what: goal.byDate ? ` ${t('by4', { day: dayWords(goal.byDate) })}` : '',
            what2: why ? `, ${why}` : '',
          }),
        );
        const standing = season
          ? goalStanding(goal, file.past, { blocks: line, rules: season.rules }, { errors: file.errors, today, dayOf })
          : null;
        if (standing && reader === 'athlete') words.push(t('itIs', { words: standing.words }));
      }
      return { side: series.side, words: `${sideName(series.side)}${words.join(' ')}`, series, goal: goal?.value ?? null, latest };
    });
    return sides.length > 0 ? [{ motion, sides }] : [];
  });
  if (motions.length === 0) sentences.push(t('nothingMeasuredTime'));
  return {
    title: t('to4', { name: file.athlete.name, day: dayWords(from), day2: dayWords(to) }),
    about: [facts.sport, facts.practice, t('made', { day: dayWords(today) })].filter((each) => each !== '').join(' · '),
    sentences,
    season:
      reader === 'athlete'
        ? line
            .filter((block) => block.until >= from && block.from <= to)
            .map((block) => t('to5', { what: PHASE_NAMES[block.phase], day: dayWords(block.from), day2: dayWords(block.until) }))
        : [],
    motions,
  };
}
