import { classesOf, type Classes } from './classes.ts';
import { componentsOf } from './components.ts';
import { ReachedSets } from './reached.ts';
import { clustersOf, type Cluster } from './table.ts';
import { leastTours } from './tours.ts';
import type { SessionProblem } from './types.ts';
import { Worth } from './worth.ts';

/** Everything of a problem that its minutes, its opening and its end say nothing of. */
export interface Basis {
  readonly classes: Classes;
  readonly sets: ReachedSets;
  readonly canBeEmpty: boolean;
  readonly moveSteps: readonly (readonly number[])[];
  readonly stepTours: readonly Float64Array[];
  readonly costTours: readonly Float64Array[];
  readonly leastMove: { readonly steps: number; readonly cost: number };
  /** Values within so many steps and fewer. */
  readonly worth: (total: number) => Worth;
}

/** Questions that follow one another ask for a few minutes more: their tables are made with as many steps to spare. */
const SPARE_S = 20 * 60;

const PARTS = [
  'stepS',
  'arriveS',
  'moveS',
  'moveCost',
  'warmUps',
  'measurings',
  'candidates',
  'oneOf',
  'together',
  'exclude',
  'precede',
] as const satisfies readonly (keyof SessionProblem)[];
const known = new WeakMap<SessionProblem['candidates'], { readonly problem: SessionProblem; readonly basis: Basis }>();

/**
 * The basis of a problem. The same is given again for a problem made of the same parts (the very same, not equal ones), so that plans for
 * other minutes, or with another end, do not begin from nothing; it goes when its candidates do. Throws a RangeError for a problem that
 * contradicts itself.
 */
export function basisOf(problem: SessionProblem): Basis {
  const last = known.get(problem.candidates);
  if (last && PARTS.every((part) => last.problem[part] === problem[part])) return last.basis;
  const basis = makeBasis(problem);
  known.set(problem.candidates, { problem, basis });
  return basis;
}

function makeBasis(problem: SessionProblem): Basis {
  const steps = (seconds: number) => Math.ceil(seconds / problem.stepS);
  const classes = classesOf(problem);
  const sets = new ReachedSets(classes);
  const components = componentsOf(problem, classes);
  const clusters: readonly Cluster[] = clustersOf(
    components,
    problem.warmUps.map((each) => steps(each.seconds)),
  );
  const moveSteps = problem.moveS.map((row) => row.map(steps));
  const real = (table: readonly (readonly number[])[]) => table.flatMap((row, a) => row.filter((_, b) => a !== b));
  let made: { readonly total: number; readonly worth: Worth } | null = null;
  return {
    classes,
    sets,
    canBeEmpty: !components.some((component) => component.required),
    moveSteps,
    stepTours: leastTours(moveSteps),
    costTours: leastTours(problem.moveCost),
    leastMove: {
      steps: Math.min(...real(moveSteps), Number.MAX_SAFE_INTEGER),
      cost: Math.min(...real(problem.moveCost), Number.MAX_SAFE_INTEGER),
    },
    worth(total) {
      if (made && made.total >= total) return made.worth;
      const most = made ? total + steps(SPARE_S) : total;
      made = { total: most, worth: new Worth(sets, components, clusters, most) };
      return made.worth;
    },
  };
}
