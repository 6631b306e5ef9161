import { computed, reactive } from 'vue';
import { findingProblem, type FindingContent, type FindingKind } from '@pace-bend/core/finding';
import { findingSpot } from '../outbox/visitChanges.ts';
import { useOutbox } from '../stores/outbox.ts';
import { useVisit } from '../stores/visit.ts';

/** Several taps in a row are one finding: it is sent when the hand has rested this long. */
const REST_MS = 700;

type DataOf<Kind extends FindingKind> = NonNullable<Extract<FindingContent, { kind: Kind }>['data']>;
type Place<Kind extends FindingKind> = Pick<Extract<FindingContent, { kind: Kind }>, 'kind' | 'subject' | 'side'>;
type AnyPlace = Pick<FindingContent, 'kind' | 'subject' | 'side'>;

/** What is found by hand and eye: read and written under what it is about. */
export function useFindings(moment: 'before' | 'after' = 'before') {
  const visit = useVisit();
  const outbox = useOutbox();
  /** What cannot be, as it was tapped. */
  const drafts = reactive<Record<string, FindingContent>>({});
  const problems = reactive<Record<string, string>>({});
  const keyOf = ({ kind, subject, side }: AnyPlace) => `${kind}/${subject}/${side}`;

  const refusedAt = (place: AnyPlace) => outbox.refusedAt(visit.record, findingSpot({ ...place, moment }));

  /** What stands, or is being found, at a place; null for nothing. */
  function read<Kind extends FindingKind>(place: Place<Kind>): DataOf<Kind> | null {
    const key = keyOf(place as AnyPlace);
    const draft = drafts[key];
    if (draft) return draft.data as DataOf<Kind> | null;
    // What was refused stays as it was tapped, beside what is said of it.
    const wrong = refusedAt(place as AnyPlace);
    if (wrong) return wrong.body.data as DataOf<Kind> | null;
    const standing = visit.findings.find((each) => keyOf(each) === key && each.moment === moment);
    return (standing?.data as DataOf<Kind> | undefined) ?? null;
  }

  /** Sets what was found; null takes it back. It is kept at once and sent when the hand has rested. What cannot be is kept on the screen and named. */
  function write(content: FindingContent): void {
    const key = keyOf(content);
    const problem = findingProblem(content);
    if (problem !== null) {
      drafts[key] = content;
      problems[key] = problem;
      return;
    }
    delete drafts[key];
    delete problems[key];
    if (!visit.finished) visit.saveFinding(content, moment, REST_MS);
  }

  /** How many findings the server does not have, once it could not be reached. */
  const unsent = computed(() => (outbox.isStuck ? visit.waiting.filter((change) => change.spot.startsWith('finding/')).length : 0));

  return {
    moment,
    read,
    write,
    unsent,
    problemOf: (place: AnyPlace) => problems[keyOf(place)] ?? refusedAt(place)?.refusal?.message ?? null,
  };
}

export type Findings = ReturnType<typeof useFindings>;
