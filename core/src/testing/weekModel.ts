import type { FillProblem } from '../week/index.ts';

/**
 * A week written as linear rows over zeros and ones, in the LP format that general solvers read: one column for each person and slot, and one for
 * each further visit of a kind. Nothing of the program's own method is in it: days between visits are rows over runs of days.
 */
export function weekModel({ slots, groups, people, pins }: FillProblem): string {
  const worth: string[] = [];
  const rows: string[] = [];
  const binaries: string[] = [];
  const add = (name: string, value: number) => {
    binaries.push(name);
    worth.push(`${value < 0 ? '-' : '+'} ${Math.abs(value)} ${name}`);
  };
  const sum = (names: readonly string[]) => names.map((name) => `+ 1 ${name}`).join(' ');
  people.forEach((person, p) => {
    const own = pins.filter((pin) => pin.person === p);
    const stand = [
      ...person.standing,
      ...own.map(({ slot }) => ({ day: slots[slot]!.day, kind: person.days[slots[slot]!.day]?.kind ?? ('keep' as const) })),
    ];
    const free = person.slots.filter((slot) => person.days[slots[slot]!.day] && !pins.some((pin) => pin.slot === slot));
    const name = (slot: number) => `x_${p}_${slot}`;
    for (const slot of free) add(name(slot), person.days[slots[slot]!.day]!.add);
    const left = Math.max(0, person.most - stand.length);
    if (free.length === 0) return;
    rows.push(`${sum(free.map(name))} <= ${left}`);
    for (const kind of ['any', 'develop', 'keep'] as const) {
      const had = kind === 'any' ? stand.length : stand.filter((each) => each.kind === kind).length;
      const here = free.filter((slot) => kind === 'any' || person.days[slots[slot]!.day]!.kind === kind);
      if (here.length === 0) continue;
      const steps = here.map((_, n) => `${kind[0]}_${p}_${n}`);
      steps.forEach((step, n) => add(step, person[kind][had + n] ?? 0));
      rows.push(`${sum(here.map(name))} ${steps.map((step) => `- 1 ${step}`).join(' ')} = 0`);
    }
    // Any run of so many days that follow each other holds one visit at most, and none where one stands.
    const last = Math.max(...slots.map(({ day }) => day));
    for (let from = 1 - person.apart; from <= last; from++) {
      const run = free.filter((slot) => slots[slot]!.day >= from && slots[slot]!.day < from + person.apart);
      const stood = stand.filter(({ day }) => day >= from && day < from + person.apart).length;
      if (run.length > 0) rows.push(`${sum(run.map(name))} <= ${Math.max(0, 1 - stood)}`);
    }
  });
  const columns = binaries.filter((each) => each.startsWith('x_')).map((each) => ({ name: each, slot: Number(each.split('_')[2]) }));
  slots.forEach((_, slot) => {
    const here = columns.filter((each) => each.slot === slot);
    if (here.length > 0) rows.push(`${sum(here.map(({ name }) => name))} <= 1`);
  });
  groups.forEach((most, group) => {
    const here = columns.filter((each) => slots[each.slot]!.group === group);
    const left = Math.max(0, most - pins.filter(({ slot }) => slots[slot]!.group === group).length);
    if (here.length > 0) rows.push(`${sum(here.map(({ name }) => name))} <= ${left}`);
  });
  if (binaries.length === 0) return '';
  return `Maximize\n obj: ${worth.join('\n ')}\nSubject To\n${rows.map((row, i) => ` c${i}: ${row}`).join('\n')}\nBinary\n ${binaries.join('\n ')}\nEnd\n`;
}
