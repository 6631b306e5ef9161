import { findMotion, MUSCLES } from '../body/index.ts';
import type { Sport } from './types.ts';

/** What is wrong with a sport that a practice wrote, with the place of each. */
export interface SportProblem {
  readonly path: string;
  readonly message: string;
}

/**
 * Everything in a sport that points at nothing or cannot be: motions and muscles that do not exist, values outside what a motion can
 * read, disciplines that the sport does not have, ids that stand twice. Shapes and lengths are for whoever takes it in to check.
 * @example checkSport({ id: 'x', name: 'X', synonyms: [], disciplines: [], roles: [], demands: [], shapes: [], loadKinds: [], eventKinds: [] }) // → []
 */
export function checkSport(sport: Sport): SportProblem[] {
  const problems: SportProblem[] = [];
  const wrong = (path: string, message: string) => problems.push({ path, message });
  const once = (list: readonly { readonly id: string }[], path: string) =>
    list.forEach(({ id }, i) => {
      if (list.findIndex((each) => each.id === id) !== i) wrong(`${path}.${i}.id`, `“${id}” stands here twice.`);
    });
  once(sport.disciplines, 'disciplines');
  once(sport.roles, 'roles');
  once(sport.loadKinds, 'loadKinds');
  once(sport.eventKinds, 'eventKinds');
  const known = (disciplines: readonly string[] | undefined, path: string) => {
    for (const id of disciplines ?? [])
      if (sport.disciplines.every((each) => each.id !== id)) wrong(`${path}.disciplines`, `“${id}” is no discipline of this sport.`);
  };
  sport.roles.forEach((role, i) => known(role.disciplines, `roles.${i}`));
  sport.demands.forEach((demand, i) => {
    const motion = findMotion(demand.motionId);
    known(demand.disciplines, `demands.${i}`);
    if (!motion) return wrong(`demands.${i}.motionId`, `“${demand.motionId}” is no motion.`);
    if (demand.value < motion.possible.min || demand.value > motion.possible.max)
      wrong(`demands.${i}.value`, `${motion.name} reads from ${motion.possible.min} to ${motion.possible.max}.`);
    if (demand.on !== 'both' && motion.sides.includes('midline')) wrong(`demands.${i}.on`, 'This motion has no sides.');
    if ((demand.on === 'leading' || demand.on === 'other') && sport.leading === undefined)
      wrong(`demands.${i}.on`, 'Name the side that leads first.');
  });
  sport.shapes.forEach((shape, i) => {
    known(shape.disciplines, `shapes.${i}`);
    const named =
      shape.kind === 'more'
        ? [['motionId', shape.motionId]]
        : [
            ['gains', shape.gains],
            ['loses', shape.loses],
          ];
    for (const [field, id] of named) {
      const motion = findMotion(id!);
      if (!motion) wrong(`shapes.${i}.${field}`, `“${id}” is no motion.`);
      else if (motion.sides.includes('midline')) wrong(`shapes.${i}.${field}`, 'This motion has no sides.');
    }
    if (shape.on !== 'role' && sport.leading === undefined) wrong(`shapes.${i}.on`, 'Name the side that leads first.');
  });
  sport.loadKinds.forEach((kind, i) => {
    for (const muscle of kind.muscles)
      if (MUSCLES.every(({ id }) => id !== muscle)) wrong(`loadKinds.${i}.muscles`, `“${muscle}” is no muscle.`);
  });
  return problems;
}
