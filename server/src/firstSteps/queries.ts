import type { FirstStepId, FirstStepsKept, FirstStepsPage } from '@pace-bend/core/record';
import { change, firstRow, fromJson, type Db } from '../db/pool.ts';

type Seen = Readonly<Record<FirstStepId, number>> & { readonly kept: unknown; readonly samples: number };

/** What is there of each step. Samples are nobody's own: they do not count. */
const SEEN: Readonly<Record<FirstStepId, string>> = {
  sports: "p.sports_served <> '[]' AND EXISTS (SELECT 1 FROM squad s WHERE s.practice_id = p.id AND NOT s.sample)",
  scope: "p.scope_rule_text <> '' OR p.mobilization_grade > 0 OR p.scope_by_region <> '{}' OR p.front_of_neck",
  people: '(SELECT COUNT(*) FROM account c WHERE c.practice_id = p.id) > 1',
  events: 'EXISTS (SELECT 1 FROM calendar_event e WHERE e.practice_id = p.id AND NOT e.sample)',
  athlete: 'EXISTS (SELECT 1 FROM athlete a WHERE a.practice_id = p.id AND NOT a.sample)',
  error: 'EXISTS (SELECT 1 FROM error_study d WHERE d.practice_id = p.id AND d.finished_at IS NOT NULL)',
};
const STEPS = Object.entries(SEEN) as [FirstStepId, string][];

/** How far a practice is with its first steps. */
export async function firstStepsOf(db: Db, practiceId: string): Promise<FirstStepsPage> {
  const { kept, samples, ...seen } = (await firstRow<Seen>(
    db,
    `SELECT ${STEPS.map(([id, sql]) => `(${sql}) AS \`${id}\``).join(', ')}, p.first_steps AS kept,
       (SELECT COUNT(*) FROM athlete a WHERE a.practice_id = p.id AND a.sample) AS samples FROM practice p WHERE p.id = ?`,
    [practiceId],
  ))!;
  return {
    ...fromJson<FirstStepsKept>(kept),
    done: STEPS.flatMap(([id]) => (seen[id] ? [id] : [])),
    sampleAthletes: samples,
  };
}

export async function keepFirstSteps(db: Db, practiceId: string, kept: FirstStepsKept): Promise<void> {
  await change(db, 'UPDATE practice SET first_steps = ? WHERE id = ?', [JSON.stringify(kept), practiceId]);
}
