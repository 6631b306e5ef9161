import type { ErrorKnowledge } from '../measure/index.ts';
import type { Shelf } from '../method/index.ts';
import type { CheckIn } from '../readiness/index.ts';
import type { Athlete, Condition, Goal, PastBlock, PastHome, Reading, Visit } from '../record/index.ts';

/** What of an athlete's record leaves as FHIR. Lists are those of the chosen visits; conditions and goals are of the athlete and come whole. */
export interface FhirSource {
  readonly practice: { readonly id: string; readonly name: string };
  readonly athlete: Athlete;
  readonly conditions: readonly Condition[];
  readonly goals: readonly Goal[];
  readonly visits: readonly Visit[];
  /** Those that stand. */
  readonly readings: readonly Reading[];
  readonly blocks: readonly PastBlock[];
  readonly home: readonly PastHome[];
  /** Those that stand. */
  readonly checkIns: readonly CheckIn[];
  readonly errors: ErrorKnowledge;
  /** The names of entries and ways of working, a practice's own among them. */
  readonly shelf: Shelf;
  /** The name of an account by its id, or null for one that is gone. */
  readonly nameOf: (accountId: string) => string | null;
  /** The calendar day of an instant where the practice is. */
  readonly dayOf: (instant: string) => string;
}
