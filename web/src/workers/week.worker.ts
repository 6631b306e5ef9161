import { DateTime } from 'luxon';
import { learnGoals } from '@pace-bend/core/cycle';
import { shelfOf, type OwnItem } from '@pace-bend/core/method';
import {
  fillWeek,
  oneMore,
  weekPeople,
  weekPlan,
  type FillSolution,
  type OneMore,
  type WeekChoice,
  type WeekClock,
  type WeekFile,
  type WeekPerson,
} from '@pace-bend/core/week';

/** Fills a week away from the screen: what visits would bring is learned once, then the week is filled as often as it is asked. */
export type WeekQuestion =
  | { readonly kind: 'open'; readonly file: WeekFile; readonly items: readonly OwnItem[]; readonly zone: string; readonly now: string }
  | {
      readonly kind: 'fill';
      readonly turn: number;
      readonly choice: WeekChoice;
      readonly patienceMs: number;
      /** False: only what one more time would bring is wanted. */ readonly show: boolean;
    };

export type WeekAnswer =
  | { readonly kind: 'learning'; readonly share: number }
  | { readonly kind: 'people'; readonly people: readonly WeekPerson[] }
  | { readonly kind: 'filling'; readonly turn: number; readonly best: number; readonly bound: number }
  | {
      readonly kind: 'filled';
      readonly turn: number;
      readonly solution: FillSolution;
      readonly placed: readonly { readonly athleteId: string; readonly key: string }[];
    }
  | { readonly kind: 'more'; readonly turn: number; readonly more: readonly OneMore[] }
  | { readonly kind: 'failed'; readonly message: string };

const TELL_EVERY_MS = 80;
/** For what one more time of a day would bring, each. */
const MORE_MS = 1500;
const say = (answer: WeekAnswer) => self.postMessage(answer);

let opened: { readonly file: WeekFile; readonly people: readonly WeekPerson[]; readonly clock: WeekClock } | null = null;

self.onmessage = ({ data }: MessageEvent<WeekQuestion>) => {
  try {
    if (data.kind === 'open') open(data);
    else fill(data);
  } catch (error) {
    say({ kind: 'failed', message: error instanceof Error ? error.message : String(error) });
  }
};

/** Lets something through every so often. */
function nowAndThen(tell: () => void): () => void {
  let toldAt = 0;
  return () => {
    if (performance.now() - toldAt < TELL_EVERY_MS) return;
    toldAt = performance.now();
    tell();
  };
}

function open({ file, items, zone, now }: Extract<WeekQuestion, { kind: 'open' }>): void {
  const at = (instant: string) => DateTime.fromISO(instant, { zone });
  const clock: WeekClock = {
    now,
    dayOf: (instant) => at(instant).toISODate()!,
    minuteOfDay: (instant) => at(instant).hour * 60 + at(instant).minute,
  };
  const reading = { errors: file.errors, shelf: shelfOf(items), dayOf: clock.dayOf, now };
  let share = 0;
  const tell = nowAndThen(() => say({ kind: 'learning', share }));
  const known = learnGoals(
    file.athletes.map(({ facts }) => facts),
    now,
    reading,
    (done) => {
      share = done;
      tell();
    },
  );
  const people = weekPeople(file, known, reading);
  opened = { file, people, clock };
  say({ kind: 'people', people });
}

function fill({ turn, choice, patienceMs, show }: Extract<WeekQuestion, { kind: 'fill' }>): void {
  const { file, people, clock } = opened!;
  const plan = weekPlan(file, people, choice, clock);
  const begun = performance.now();
  let [best, bound] = [0, 0];
  const tell = nowAndThen(() => say({ kind: 'filling', turn, best, bound }));
  const solution = fillWeek(plan.problem, {
    stop: () => performance.now() - begun > patienceMs,
    progress: (...told) => {
      [best, bound] = told;
      if (show) tell();
    },
  });
  const placed = solution.placed.map(({ person, slot }) => ({ athleteId: people[person]!.id, key: plan.slots[slot]!.key }));
  if (show) say({ kind: 'filled', turn, solution, placed });
  const more = oneMore(file, people, choice, { plan, solution }, clock, () => {
    const from = performance.now();
    return { stop: () => performance.now() - from > MORE_MS };
  });
  say({ kind: 'more', turn, more });
}
