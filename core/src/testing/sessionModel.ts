import type { SessionProblem } from '../session/index.ts';

/**
 * A session as a mixed-integer program in the LP file format, for an exact general solver: which place each of a few slots has,
 * which candidates are in at which level, and in which slot each task is done. It shares nothing with the program's own method.
 */
export function sessionModel(problem: SessionProblem): string {
  const { candidates, warmUps, measurings, mostStays, arriveS, moveS, moveCost } = problem;
  const slots = Array.from({ length: mostStays }, (_, k) => k);
  const places = arriveS.map((_, p) => p);
  const rows: string[] = [];
  const binaries: string[] = [];
  const value: string[] = [];
  const time: string[] = [];
  const term = (factor: number, name: string) => `${factor < 0 ? '-' : '+'} ${Math.abs(factor)} ${name}`;
  const row = (left: readonly string[], sense: '<=' | '>=' | '=', right: number) => rows.push(`${left.join(' ')} ${sense} ${right}`);
  const binary = (name: string) => {
    binaries.push(name);
    return name;
  };

  for (const k of slots) {
    for (const p of places) binary(`y_${k}_${p}`);
    row(
      places.map((p) => `+ y_${k}_${p}`),
      '<=',
      1,
    );
    if (k > 0) row([...places.map((p) => `+ y_${k}_${p}`), ...places.map((p) => `- y_${k - 1}_${p}`)], '<=', 0);
  }
  for (const p of places) time.push(term(arriveS[p]!, `y_0_${p}`));
  // Where the last stay is: a place in a slot with nothing in the next.
  if (problem.leaveS ?? problem.leaveCost) {
    for (const k of slots) {
      for (const p of places) {
        const end = `e_${k}_${p}`;
        row([`+ ${end}`, `- y_${k}_${p}`, ...(k + 1 < mostStays ? places.map((q) => `+ y_${k + 1}_${q}`) : [])], '>=', 0);
        time.push(term(problem.leaveS?.[p] ?? 0, end));
        value.push(term(-(problem.leaveCost?.[p] ?? 0), end));
      }
    }
  }
  for (const k of slots.slice(1)) {
    for (const p of places) {
      for (const q of places.filter((each) => each !== p)) {
        const z = `z_${k}_${p}_${q}`;
        row([`+ ${z}`, `- y_${k - 1}_${p}`, `- y_${k}_${q}`], '>=', -1);
        time.push(term(moveS[p]![q]!, z));
        value.push(term(-moveCost[p]![q]!, z));
      }
    }
  }
  /** A task that is done exactly when something is used, in one slot at one of its places. */
  const task = (name: string, used: readonly string[], at: readonly number[]) => {
    for (const k of slots) {
      binary(`${name}_${k}`);
      row([`+ ${name}_${k}`, ...at.map((p) => `- y_${k}_${p}`)], '<=', 0);
    }
    row([...slots.map((k) => `+ ${name}_${k}`), ...used.map((each) => `- ${each}`)], '=', 0);
  };
  /** The first is no later than the second, whenever the second is done at all. */
  const noLater = (first: string, second: string) => {
    for (const k of slots) row([...slots.slice(0, k + 1).map((j) => `+ ${first}_${j}`), `- ${second}_${k}`], '>=', 0);
  };

  warmUps.forEach(({ seconds, places: at }, w) => {
    task(`w${w}`, [binary(`uw${w}`)], at);
    time.push(term(seconds, `uw${w}`));
  });
  measurings.forEach(({ places: at, beforeS, afterS }, m) => {
    binary(`um${m}`);
    if (beforeS > 0) {
      task(`b${m}`, [`um${m}`], at);
      time.push(term(beforeS, `um${m}`));
    }
    if (afterS > 0) {
      task(`a${m}`, [`um${m}`], at);
      time.push(term(afterS, `um${m}`));
    }
  });
  candidates.forEach(({ places: at, levels, warmUp, measuring, required, banned }, i) => {
    const chosen = levels.map((level, l) => {
      value.push(term(level.value, `x_${i}_${l}`));
      time.push(term(level.seconds, `x_${i}_${l}`));
      return binary(`x_${i}_${l}`);
    });
    row(
      chosen.map((name) => `+ ${name}`),
      required ? '=' : '<=',
      banned ? 0 : 1,
    );
    task(`c${i}`, chosen, at);
    if (warmUp !== null) {
      row([`+ uw${warmUp}`, ...chosen.map((name) => `- ${name}`)], '>=', 0);
      noLater(`w${warmUp}`, `c${i}`);
    }
    if (measuring === null) return;
    row([`+ um${measuring}`, ...chosen.map((name) => `- ${name}`)], '>=', 0);
    if (measurings[measuring]!.beforeS > 0) noLater(`b${measuring}`, `c${i}`);
    if (measurings[measuring]!.afterS > 0)
      for (const k of slots) row([...slots.slice(k).map((j) => `+ a${measuring}_${j}`), `- c${i}_${k}`], '>=', 0);
  });
  const all = (i: number, sign: string) => candidates[i]!.levels.map((_, l) => `${sign} x_${i}_${l}`);
  for (const [a, b] of problem.together) row([...all(a, '+'), ...all(b, '-')], '=', 0);
  for (const [a, b] of problem.exclude) row([...all(a, '+'), ...all(b, '+')], '<=', 1);
  for (const list of problem.oneOf ?? [])
    row(
      list.flatMap((i) => all(i, '+')),
      '>=',
      1,
    );
  for (const [a, b] of problem.precede) noLater(`c${a}`, `c${b}`);
  row(time, '<=', problem.seconds - problem.openingS - problem.closingS);
  return [
    'Maximize',
    ` obj: ${value.join(' ')}`,
    'Subject To',
    ...rows.map((each, i) => ` r${i}: ${each}`),
    'Binary',
    ` ${binaries.join(' ')}`,
    'End',
  ].join('\n');
}
