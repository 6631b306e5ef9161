import { JOINT_REGIONS, MOTION_FACETS, motionOf, type BodySide, type Motion, type Region, type Side } from '../body/index.ts';
import { conditionFacts, nervesOf, type ConditionFacts, type ConditionFields, type Shows } from '../caution/index.ts';
import { END_FEELS, FELT, hoursThat, DIRECTIONS, type StandingFinding } from '../finding/index.ts';
import { detectable, formatValue, mdc95 } from '../measure/index.ts';
import type { MotionComparison, SideComparison } from '../record/comparison.ts';
import type { FindingId } from './weights.ts';
import type { Observed, Question } from './judge.ts';
import { ACTIVE_PAIRS, ARC_PAIRS, CLOCK_OF, GLIDE_OF, NERVE_PAIRS, TWO_JOINT_PAIRS } from './pairs.ts';

/** All that is known on the day, as far as it can tell what holds a motion. */
export interface Evidence {
  /** Every motion measured today before work, by id. */
  readonly comparisons: ReadonlyMap<string, MotionComparison>;
  /** Those after work, as far as they were measured. */
  readonly after: ReadonlyMap<string, MotionComparison>;
  readonly findings: readonly StandingFinding[];
  readonly conditions: readonly ConditionFields[];
  readonly complaint: { readonly region: Region | null; readonly side: BodySide; readonly score: number | null };
  /** Sides that were worked on today. */
  readonly worked: readonly { readonly motionId: string; readonly side: Side }[];
  /** ISO date. */
  readonly onDay: string;
}

/** What is on file, by what it says about range; a nerve is looked for by itself. */
const ON_FILE: Readonly<Record<Exclude<Shows, 'nerve'>, readonly [finding: FindingId, words: string]>> = {
  inflamed: ['file-inflamed', 'inflamed joint'],
  hard: ['file-hard', 'hardware or a new joint'],
  frozen: ['file-frozen', 'frozen shoulder'],
  locked: ['file-locked', 'a joint that locks'],
  effusion: ['file-effusion', 'a swollen joint'],
  strain: ['file-strain', 'a strain or sore tendon here'],
};
/** Of these the age says nothing more. */
const AGELESS: readonly Shows[] = ['strain', 'inflamed'];
const RECENT_DAYS = 42;
const HIGH_PAIN = 5;
const COMPLAINT_SCORE = 4;
const WIDE_HOURS = 7;

/** What was found that says something about one side of one motion. Each observation comes once. */
export function gather(motion: Motion, side: Side, evidence: Evidence): Observed[] {
  return [
    ...atTheEnd(motion, side, evidence),
    ...pairs(motion, side, evidence),
    ...rounds(motion, side, evidence),
    ...otherSide(motion, side, evidence),
    ...workToday(motion, side, evidence),
    ...onFile(motion, side, evidence),
  ];
}

const observe = (id: FindingId, words: string, muscle?: string): Observed => (muscle === undefined ? { id, words } : { id, words, muscle });

function sideOf(comparisons: ReadonlyMap<string, MotionComparison>, motionId: string, side: Side): SideComparison | null {
  const found = comparisons.get(motionId)?.sides.find((each) => each.side === side);
  return found?.now ? found : null;
}

function atTheEnd(motion: Motion, side: Side, { findings }: Evidence): Observed[] {
  const found = findings.findLast(
    (each) => each.kind === 'end' && each.subject === motion.id && each.side === side && each.moment === 'before',
  );
  if (found?.kind !== 'end') return [];
  const { endFeel, felt, pain, guarding } = found.data;
  return [
    ...(endFeel ? [observe(`end-${endFeel}`, `End feel ${END_FEELS.find((each) => each.id === endFeel)!.name}`)] : []),
    ...(felt && felt !== 'elsewhere'
      ? [observe(`felt-${felt}`, felt === 'nothing' ? 'Nothing felt at the end' : `Felt ${FELT.find((each) => each.id === felt)!.name}`)]
      : []),
    ...(pain === null
      ? []
      : pain >= HIGH_PAIN
        ? [observe('pain-high', `Pain ${pain} of 10 at the end`)]
        : pain === 0
          ? [observe('pain-none', 'No pain at the end')]
          : []),
    ...(guarding === null ? [] : [observe(guarding ? 'guarding-yes' : 'guarding-no', guarding ? 'The athlete guards' : 'No guarding')]),
  ];
}

function pairs(motion: Motion, side: Side, { comparisons }: Evidence): Observed[] {
  const here = sideOf(comparisons, motion.id, side);
  if (!here) return [];
  const out: Observed[] = [];
  for (const { tight, slack, muscle, usual } of TWO_JOINT_PAIRS) {
    if (tight !== motion.id) continue;
    const other = sideOf(comparisons, slack, side);
    if (!other) continue;
    const { unit, better } = motion;
    const frees = observe('slack-frees', `Free with ${muscle} slack (${named(slack)})`, muscle);
    const same = observe('slack-same', `Short with ${muscle} slack too (${named(slack)})`, muscle);
    if (usual === null) {
      if (here.short) out.push(other.short ? same : frees);
      continue;
    }
    // The two tests against each other: more apart than they usually are, by more than both readings' error.
    const apart = (better === 'higher' ? other.now!.value - here.now!.value : here.now!.value - other.now!.value) - usual;
    if (apart > detectable(here.error!, other.error!))
      out.push({ ...frees, words: `${frees.words}: ${formatValue(apart, unit)} more than the two usually differ` });
    else if (here.short) out.push(same);
  }
  // Two ways to see a nerve or an active lag are one observation: the first pair that was read counts.
  for (const { plain, loaded, usual } of NERVE_PAIRS) {
    if (plain !== motion.id && loaded !== motion.id) continue;
    const lost = lostFrom(plain, loaded, side, comparisons, usual);
    if (lost) {
      out.push(observe(lost.real ? 'nerve-takes' : 'nerve-same', `The nerve line drawn long takes ${lost.words}`));
      break;
    }
  }
  for (const { passive, active } of ACTIVE_PAIRS) {
    if (passive !== motion.id && active !== motion.id) continue;
    const lost = lostFrom(passive, active, side, comparisons);
    if (!lost) continue;
    out.push(observe(lost.real ? 'active-less' : 'active-same', `The athlete’s own strength leaves out ${lost.words}`));
    // The hand gets all the way, the athlete does not.
    if (lost.real && motion.id === active && sideOf(comparisons, passive, side)?.reference?.kind !== 'below')
      out.push(observe('passive-full', 'Moved by the hand it goes all the way'));
    break;
  }
  return out;
}

const named = (motionId: string): string => motionOf(motionId).testPosition;

/** How much less range the second motion has than the first, and whether that is more than it usually is and error. */
function lostFrom(
  first: string,
  second: string,
  side: Side,
  comparisons: Evidence['comparisons'],
  usual = 0,
): { readonly real: boolean; readonly words: string } | null {
  const [a, b] = [sideOf(comparisons, first, side), sideOf(comparisons, second, side)];
  if (!a || !b) return null;
  const { unit, better } = motionOf(first);
  const lost = better === 'higher' ? a.now!.value - b.now!.value : b.now!.value - a.now!.value;
  const real = lost - usual > mdc95(a.error!.sem, b.error!.sem);
  return { real, words: real ? formatValue(lost, unit) : usual > 0 ? 'no more than usual' : 'no more than error' };
}

function rounds(motion: Motion, side: Side, { findings }: Evidence): Observed[] {
  const out: Observed[] = [];
  const clock = findings.findLast(
    (each) => each.kind === 'clock' && each.subject === CLOCK_OF[motion.joint] && each.side === side && each.moment === 'before',
  );
  if (clock?.kind === 'clock' && (clock.subject !== 'big-toe' || motion.id.startsWith('big-toe'))) {
    const [tight, painful] = [hoursThat(clock.data, 'tight').length, hoursThat(clock.data, 'painful').length];
    if (painful > 0) out.push(observe('clock-painful', `Clock painful at ${painful} ${painful === 1 ? 'hour' : 'hours'}`));
    if (tight >= WIDE_HOURS) out.push(observe('clock-wide', `Clock tight at ${tight} hours`));
    else if (tight > 0) out.push(observe('clock-few', `Clock tight at only ${tight} ${tight === 1 ? 'hour' : 'hours'}`));
    else if (painful === 0) out.push(observe('clock-free', 'Clock free all round'));
  }
  const glide = findings.findLast(
    (each) => each.kind === 'glide' && each.subject === GLIDE_OF[motion.joint] && each.side === side && each.moment === 'before',
  );
  if (glide?.kind === 'glide') {
    const states = DIRECTIONS.map((each) => glide.data[each]);
    if (states.includes('painful')) out.push(observe('glide-painful', 'A glide hurts'));
    if (states.includes('stiff')) out.push(observe('glide-stiff', 'A glide is stiff'));
    else if (states.every((each) => each === 'free')) out.push(observe('glide-free', 'Glides free all ways'));
  }
  return out;
}

function otherSide(motion: Motion, side: Side, { comparisons }: Evidence): Observed[] {
  const comparison = comparisons.get(motion.id);
  const verdict = comparison?.sideVerdict;
  if (!comparison || !verdict || side === 'midline') return [];
  const shifted = arcShifted(motion, side, comparisons);
  if (verdict.kind === 'explained-by-sport' && verdict.stiffer === side)
    return [observe('sport-explains', `The side difference ${verdict.words.split(': ')[1] ?? 'belongs to the sport'}`)];
  if (shifted) return [shifted];
  if (verdict.kind === 'real' && verdict.stiffer === side) return [observe('other-side-more', 'The other side really has more')];
  const bothShort = comparison.sides.every((each) => each.reference?.kind === 'below');
  return bothShort && (verdict.kind === 'even' || verdict.kind === 'inside-error')
    ? [observe('both-alike', 'Both sides alike, both below the reference')]
    : [];
}

/** Less one way, as much more the other way, the total the same as on the other side. */
function arcShifted(motion: Motion, side: 'left' | 'right', comparisons: Evidence['comparisons']): Observed | null {
  const pair = ARC_PAIRS.find((each) => each.includes(motion.id));
  if (!pair) return null;
  const other = side === 'left' ? 'right' : 'left';
  const values = ([side, other] as const).map((each) => pair.map((id) => sideOf(comparisons, id, each)));
  if (values.flat().some((each) => each === null)) return null;
  const [own, others] = values.map((list) => list.map((each) => each!.now!.value)) as [[number, number], [number, number]];
  const limit = Math.hypot(...values.flat().map((each) => 1.96 * each!.error!.sem));
  const i = pair.indexOf(motion.id) as 0 | 1;
  const less = others[i] - own[i];
  const more = own[1 - i]! - others[1 - i]!;
  const single = mdc95(values[0]![i]!.error!.sem);
  if (less <= single || more <= single || Math.abs(own[0] + own[1] - others[0] - others[1]) > limit) return null;
  return observe('arc-shifted', 'The arc is shifted, its total as on the other side');
}

function workToday(motion: Motion, side: Side, { after, worked }: Evidence): Observed[] {
  if (!worked.some((each) => each.motionId === motion.id && each.side === side)) return [];
  const gained = sideOf(after, motion.id, side)?.gained;
  if (!gained) return [];
  return [
    gained.kind === 'real-gain'
      ? observe('work-gained', `Today’s work gained ${formatValue(gained.gain, motion.unit)}`)
      : observe('work-nothing', 'Today’s work gained nothing beyond error'),
  ];
}

function onFile(motion: Motion, side: Side, { conditions, complaint, onDay }: Evidence): Observed[] {
  const regions = JOINT_REGIONS[motion.joint];
  const here = (region: Region | null, at: BodySide) =>
    region !== null && regions.includes(region) && (at === null || at === 'both' || side === 'midline' || at === side);
  const out: Observed[] = [];
  const age = (day: string | null) => (day === null ? null : (Date.parse(onDay) - Date.parse(day)) / 86_400_000);
  const nerves = MOTION_FACETS[motion.id]?.nerves ?? [];
  for (const condition of conditions.filter((each) => each.resolvedOn === null)) {
    const facts: ConditionFacts = conditionFacts(condition.code);
    const region = condition.region ?? facts.region;
    // A nerve is felt far from where it is pinched: what counts is whether this motion draws it long.
    if (facts.shows === 'nerve') {
      const signs = nervesOf(region);
      if (
        signs.some((nerve) => nerves.includes(nerve)) &&
        (condition.side === null || condition.side === 'both' || side === 'midline' || condition.side === side)
      )
        out.push(observe('file-nerve', 'On file: signs of a nerve that this motion draws long'));
      continue;
    }
    if (!here(region, condition.side)) continue;
    if (facts.shows) {
      const [finding, words] = ON_FILE[facts.shows];
      out.push(observe(finding, `On file: ${facts.showsAs ?? words}`));
    }
    const days = age(condition.surgeryOn ?? condition.onset);
    if (!(facts.shows && AGELESS.includes(facts.shows)) && days !== null && days >= 0 && days < RECENT_DAYS)
      out.push(observe('file-recent', `On file: ${Math.round(days / 7)} weeks since an injury or operation here`));
  }
  const unique = out.filter((each, i) => out.findIndex((other) => other.id === each.id) === i);
  return here(complaint.region, complaint.side) && (complaint.score ?? 0) >= COMPLAINT_SCORE
    ? [...unique, observe('complaint-here', `The complaint is here, ${complaint.score} of 10`)]
    : unique;
}

/** What has not been looked at yet and could be, with what each answer would be. */
export function openQuestions(motion: Motion, side: Side, evidence: Evidence): Question[] {
  const { comparisons, findings } = evidence;
  const read = (id: string) => sideOf(comparisons, id, side) !== null;
  const where = side === 'midline' ? '' : `, ${side}`;
  const label = (id: string) => {
    const each = motionOf(id);
    return `Read ${each.name.toLowerCase()}, ${each.testPosition}${where}`;
  };
  const out: Question[] = [];
  for (const { tight, slack, muscle } of TWO_JOINT_PAIRS) {
    if (tight !== motion.id || read(slack)) continue;
    out.push({
      id: `read:${slack}`,
      words: label(slack),
      motionId: slack,
      outcomes: [observe('slack-frees', 'Free there', muscle), observe('slack-same', 'Short there too', muscle)],
    });
  }
  for (const { plain, loaded } of NERVE_PAIRS) {
    if (plain !== motion.id || read(loaded)) continue;
    out.push({
      id: `read:${loaded}`,
      words: label(loaded),
      motionId: loaded,
      outcomes: [observe('nerve-takes', 'Clearly less there'), observe('nerve-same', 'The same there')],
    });
  }
  for (const { passive, active } of ACTIVE_PAIRS) {
    const missing = passive === motion.id ? active : active === motion.id ? passive : null;
    if (missing === null || read(missing)) continue;
    out.push({
      id: `read:${missing}`,
      words: label(missing),
      motionId: missing,
      outcomes: [observe('active-less', 'The athlete leaves out a lot'), observe('active-same', 'Hardly a difference')],
    });
  }
  const found = new Set(gather(motion, side, evidence).map((each) => each.id.split('-')[0]));
  if (!found.has('end'))
    out.push({
      id: 'end-feel',
      words: `Feel the end of the motion${where}`,
      motionId: motion.id,
      outcomes: END_FEELS.map((each) => observe(`end-${each.id}`, `${each.name[0]!.toUpperCase()}${each.name.slice(1)}`)),
    });
  if (!found.has('felt'))
    out.push({
      id: 'felt',
      words: `Ask where it is felt${where}`,
      motionId: motion.id,
      outcomes: FELT.flatMap((each) =>
        each.id === 'elsewhere' ? [] : [observe(`felt-${each.id}`, `${each.name[0]!.toUpperCase()}${each.name.slice(1)}`)],
      ),
    });
  const clock = CLOCK_OF[motion.joint];
  if (
    clock &&
    (clock !== 'big-toe' || motion.id.startsWith('big-toe')) &&
    !findings.some((each) => each.kind === 'clock' && each.subject === clock && each.side === side)
  ) {
    out.push({
      id: 'clock',
      words: `Go round the clock${where}`,
      motionId: null,
      outcomes: [
        observe('clock-few', 'Tight at a few hours'),
        observe('clock-wide', 'Tight nearly all round'),
        observe('clock-free', 'Free all round'),
      ],
    });
  }
  const glide = GLIDE_OF[motion.joint];
  if (glide && !findings.some((each) => each.kind === 'glide' && each.subject === glide && each.side === side)) {
    out.push({
      id: 'glide',
      words: `Try the glides of the ${glide === 'patella' ? 'kneecap' : 'shoulder blade'}${where}`,
      motionId: null,
      outcomes: [observe('glide-stiff', 'Stiff'), observe('glide-free', 'Free')],
    });
  }
  return out;
}
