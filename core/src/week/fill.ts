import { Heap } from '../heap/index.ts';
import { Network, type Flow } from './network.ts';
import type { FillControl, FillPerson, FillProblem, FillSolution, Placed, VisitKind } from './types.ts';
import { kindOn, weekValue } from './valued.ts';

/** Values are counted in whole millionths: sums are exact, and what is equal stays equal. */
const UNIT = 1e6;
const ASK_EVERY = 8;
/** So many visits that lie too near are looked into before one is chosen to part. */
const LOOK_INTO = 6;

interface Open {
  readonly flow: Flow;
}

/** Two days of one person that lie too near each other. */
interface Conflict {
  readonly person: number;
  readonly days: readonly [number, number];
}

/**
 * Fills a week: which of those who want visits get which slots, so that what the visits add is most. Nobody has two visits on days nearer than
 * theirs may be, nor more than they may have, nobody comes when they cannot, and no group of slots holds more than its hands can do. Pins
 * stay; what stands counts as had.
 *
 * Model. What a person's visits add depends on how many there are, how many develop and how many keep, each further one adding no more than
 * the one before, and on the days by a sum. Without the days between visits that is a flow: a unit is a visit and runs source → the person's
 * first, second, … visit → first, second, … that develops or keeps → a day → a slot → its hands → sink; since values do not grow, the best
 * flow takes them in order. Its optimum is whole by itself and found exactly (see Network). Days of one person that follow each other within the
 * days between visits share a node of one unit, which is true of every allowed week and leaves little for what comes next.
 *
 * What is left is two visits of one person too near each other in two neighbouring bundles. Of a run of days as long as the days between visits
 * that holds both, an allowed week has one day at most; so, cut anywhere between the two, it has none before the cut or none after it. Every
 * allowed week is in one of these two parts, and each part is again a flow with arcs closed, worth no more than what it came from. Parts are gone through best first; the first whose flow has no such pair is the best week there is. On the
 * way every part is also made into an allowed week by closing the cheaper of the two days again and again, which gives something to hold when
 * it has to be stopped: `gap` is then the best part left open less the best week found, and no week is better by more.
 *
 * Throws a RangeError where values grow, a pin or slot is not there, or two pins share a slot.
 */
export function fillWeek(problem: FillProblem, { stop, progress }: FillControl = {}): FillSolution {
  check(problem);
  const week = new Week(problem);
  const open = new Heap<Open>(({ flow }) => flow.value);
  open.push({ flow: week.network.best() });
  let best: Flow | null = null;
  for (let n = 0; ; n++) {
    const part = open.pop();
    if (!part || (best !== null && part.flow.value <= best.value)) return week.solution(best!, 0);
    const conflicts = week.conflictsOf(part.flow);
    if (conflicts.length === 0) return week.solution(part.flow, 0);
    if (n % ASK_EVERY === 0) {
      const found = week.allowed(part.flow);
      if (best === null || found.value > best.value) best = found;
      progress?.(week.worthOf(best), week.worthOf(part.flow));
      if (best.value < part.flow.value && stop?.()) return week.solution(best, (part.flow.value - best.value) / UNIT);
    }
    for (const flow of week.parts(part.flow, conflicts)) if (best === null || flow.value > best.value) open.push({ flow });
  }
}

class Week {
  readonly network = new Network();
  /** By arc of a visit: whose it is and in which slot. */
  private readonly visits = new Map<number, Placed>();
  /** By person and day: arcs that put a visit there. */
  private readonly onDay: number[][][];

  constructor(private readonly problem: FillProblem) {
    const { people, slots, groups, pins } = problem;
    const { network } = this;
    const taken = new Set(pins.map(({ slot }) => slot));
    const slotNodes = slots.map(() => network.node());
    const groupNodes = groups.map((most, group) => {
      const node = network.node();
      const left = most - pins.filter(({ slot }) => slots[slot]!.group === group).length;
      for (let i = 0; i < left; i++) network.arc(node, network.sink, 0);
      return node;
    });
    slots.forEach(({ group }, slot) => {
      if (!taken.has(slot)) network.arc(slotNodes[slot]!, groupNodes[group]!, 0);
    });
    this.onDay = people.map((person) => person.days.map(() => []));
    people.forEach((person, who) => {
      const stand = [
        ...person.standing,
        ...pins.filter((pin) => pin.person === who).map(({ slot }) => ({ day: slots[slot]!.day, kind: kindOn(person, slots[slot]!.day) })),
      ];
      this.join(person, who, stand, slotNodes);
    });
  }

  private join(
    person: FillPerson,
    who: number,
    stand: readonly { readonly day: number; readonly kind: VisitKind }[],
    slotNodes: readonly number[],
  ): void {
    const { network, problem } = this;
    const free = person.slots.filter((slot) => {
      const { day } = problem.slots[slot]!;
      return person.days[day] && stand.every((each) => Math.abs(each.day - day) >= person.apart);
    });
    const left = person.most - stand.length;
    if (free.length === 0 || left <= 0) return;
    const self = network.node();
    for (let n = 0; n < left; n++) network.arc(network.source, self, whole(person.any[stand.length + n] ?? 0));
    for (const kind of ['develop', 'keep'] as const) {
      const had = stand.filter((each) => each.kind === kind).length;
      const here = free.filter((slot) => person.days[problem.slots[slot]!.day]!.kind === kind);
      if (here.length === 0) continue;
      const hub = network.node();
      for (let n = 0; n < left; n++) network.arc(self, hub, whole(person[kind][had + n] ?? 0));
      const bundles = new Map<number, number>();
      for (const slot of here) {
        const { day } = problem.slots[slot]!;
        const bundle = Math.floor(day / person.apart);
        let node = bundles.get(bundle);
        if (node === undefined) {
          bundles.set(bundle, (node = network.node()));
          network.arc(hub, node, 0);
        }
        const arc = network.arc(node, slotNodes[slot]!, whole(person.days[day]!.add));
        this.visits.set(arc, { person: who, slot });
        this.onDay[who]![day]!.push(arc);
      }
    }
  }

  private placedBy({ on }: Flow): Placed[] {
    return [...this.visits].flatMap(([arc, placed]) => (on[arc] === 1 ? [placed] : []));
  }

  conflictsOf(flow: Flow): Conflict[] {
    const days = new Map<number, number[]>();
    for (const { person, slot } of this.placedBy(flow)) {
      const { day } = this.problem.slots[slot]!;
      const list = days.get(person);
      if (list) list.push(day);
      else days.set(person, [day]);
    }
    return [...days].flatMap(([person, list]) => {
      const { apart } = this.problem.people[person]!;
      return list
        .sort((a, b) => a - b)
        .slice(1)
        .flatMap((day, i): Conflict[] => (day - list[i]! < apart ? [{ person, days: [list[i]!, day] }] : []));
    });
  }

  /** A flow without a person on some days, from the first to the last. */
  private without(flow: Flow, person: number, first: number, last: number): Flow {
    return this.network.without(flow, this.onDay[person]!.slice(Math.max(0, first), last + 1).flat());
  }

  /** Every way to part two days that lie too near: each run of days that holds both, cut at each place between them. */
  private partings(flow: Flow, { person, days: [a, b] }: Conflict): [Flow, Flow][] {
    const { apart } = this.problem.people[person]!;
    return Array.from({ length: apart - (b - a) }, (_, i) => b - apart + 1 + i).flatMap((first) =>
      Array.from({ length: b - a }, (_, i): [Flow, Flow] => [
        this.without(flow, person, first, a + i),
        this.without(flow, person, a + i + 1, first + apart - 1),
      ]),
    );
  }

  /** The two parts of that parting which costs most: what is dear is settled first. */
  parts(flow: Flow, conflicts: readonly Conflict[]): [Flow, Flow] {
    const most = ([a, b]: [Flow, Flow]) => Math.max(a.value, b.value);
    const least = ([a, b]: [Flow, Flow]) => Math.min(a.value, b.value);
    return conflicts
      .slice(0, LOOK_INTO)
      .flatMap((conflict) => this.partings(flow, conflict))
      .reduce((dearest, each) =>
        most(each) < most(dearest) || (most(each) === most(dearest) && least(each) < least(dearest)) ? each : dearest,
      );
  }

  /** An allowed week out of a part: of each pair too near the cheaper day is closed until there is none. */
  allowed(flow: Flow): Flow {
    for (let at = flow; ;) {
      const conflict = this.conflictsOf(at)[0];
      if (!conflict) return at;
      const [a, b] = conflict.days.map((day) => this.without(at, conflict.person, day, day));
      at = a!.value >= b!.value ? a! : b!;
    }
  }

  worthOf(flow: Flow): number {
    return flow.value / UNIT + weekValue(this.problem, this.problem.pins);
  }

  solution(flow: Flow, gap: number): FillSolution {
    const placed = [...this.problem.pins, ...this.placedBy(flow)].sort((a, b) => a.slot - b.slot);
    return { status: gap > 0 ? 'stopped' : 'optimal', value: weekValue(this.problem, placed), gap, placed };
  }
}

const whole = (value: number): number => Math.round(value * UNIT);

function check({ people, slots, groups, pins }: FillProblem): void {
  const isThere = (slot: number) => slots[slot] !== undefined;
  if (slots.some(({ group, day }) => groups[group] === undefined || !Number.isInteger(day) || day < 0))
    throw new RangeError('Every slot is on a day and of a group that is there.');
  for (const { any, develop, keep, apart, slots: can } of people) {
    for (const values of [any, develop, keep])
      if (values.some((value, i) => !Number.isFinite(value) || (i > 0 && value > values[i - 1]!)))
        throw new RangeError('No further visit is worth more than the one before.');
    if (!(Number.isInteger(apart) && apart >= 1)) throw new RangeError('Visits are one or more whole days apart.');
    if (!can.every(isThere)) throw new RangeError('Somebody can come to a slot that is not there.');
  }
  if (!pins.every(({ person, slot }) => people[person] !== undefined && isThere(slot))) throw new RangeError('A pin is not there.');
  if (new Set(pins.map(({ slot }) => slot)).size < pins.length) throw new RangeError('Two pins share a slot.');
}
