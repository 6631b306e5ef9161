import type { SessionProblem } from './types.ts';

const MOST_PLACES = 12;
const MOST_WARM_UPS = 12;
const MOST_STAYS = 15;

/** Throws a RangeError for a problem that contradicts itself or asks for the impossible. */
export function checkProblem(problem: SessionProblem): void {
  const { moveS, moveCost, arriveS, candidates, warmUps, measurings, precede, stepS, mostStays } = problem;
  const places = arriveS.length;
  const wrong = (words: string) => {
    throw new RangeError(words);
  };
  if (places > MOST_PLACES) wrong(`At most ${MOST_PLACES} places.`);
  if (warmUps.length > MOST_WARM_UPS) wrong(`At most ${MOST_WARM_UPS} warm-ups.`);
  if (!(stepS > 0) || !(mostStays >= 1 && mostStays <= MOST_STAYS) || !Number.isFinite(problem.seconds))
    wrong('Seconds, steps and stays have to be numbers above nothing.');
  if (moveS.length !== places || moveCost.length !== places || [...moveS, ...moveCost].some((row) => row.length !== places))
    wrong('Moves need a row and a column for every place.');
  if (problem.leaveS && problem.leaveS.length !== places) wrong('Leaving needs a time for every place.');
  if (problem.leaveCost && problem.leaveCost.length !== places) wrong('Leaving needs a cost for every place.');
  const known = (list: readonly number[]) =>
    list.length > 0 && list.every((place) => Number.isInteger(place) && place >= 0 && place < places);
  if (![...candidates, ...warmUps, ...measurings].every((each) => known(each.places))) wrong('Everything needs a place that exists.');
  if (
    candidates.some(({ levels }) => levels.length === 0 || levels.some(({ seconds, value }) => !(seconds >= 0) || !Number.isFinite(value)))
  )
    wrong('Every candidate needs levels with a time and a value.');
  for (let a = 0; a < places; a++) {
    for (let b = 0; b < places; b++) {
      for (let c = 0; c < places; c++) {
        if (a === b || b === c || a === c) continue;
        const steps = (seconds: number) => Math.ceil(seconds / stepS);
        if (
          steps(moveS[a]![c]!) > steps(moveS[a]![b]!) + steps(moveS[b]![c]!) ||
          moveCost[a]![c]! > moveCost[a]![b]! + moveCost[b]![c]! + 1e-12
        )
          wrong(`Going from place ${a} to ${c} over ${b} is shorter than straight: the table of moves contradicts itself.`);
      }
      const leaveSteps = (place: number) => Math.ceil((problem.leaveS?.[place] ?? 0) / stepS);
      if (
        leaveSteps(a) > Math.ceil(moveS[a]![b]! / stepS) + leaveSteps(b) ||
        (problem.leaveCost?.[a] ?? 0) > moveCost[a]![b]! + (problem.leaveCost?.[b] ?? 0) + 1e-12
      )
        wrong(`Leaving place ${a} over ${b} is shorter than straight.`);
      if (a !== b && Math.ceil(arriveS[b]! / stepS) > Math.ceil(arriveS[a]! / stepS) + Math.ceil(moveS[a]![b]! / stepS))
        wrong(`Arriving at place ${b} over ${a} is shorter than straight.`);
    }
  }
  if (candidates.some((candidate) => candidate.required === true && candidate.banned === true))
    wrong('A candidate cannot be required and banned.');
  if (problem.oneOf?.some((list) => list.length === 0 || list.some((i) => !candidates[i])))
    wrong('A list of which one is needed names candidates.');
  if (precede.some((pair) => pair.some((i) => candidates[i]?.required !== true)))
    wrong('An order between two blocks needs both of them required.');
}
