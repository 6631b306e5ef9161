import { onScopeDispose, reactive } from 'vue';
import { findingProblem, type FindingContent, type FindingKind } from '@pace-bend/core/finding';
import { ApiProblem } from '../app/api.ts';
import { useVisit } from '../stores/visit.ts';

/** Several taps in a row are one finding: it is sent when the hand has rested this long. */
const REST_MS = 700;

type DataOf<Kind extends FindingKind> = NonNullable<Extract<FindingContent, { kind: Kind }>['data']>;
type Place<Kind extends FindingKind> = Pick<Extract<FindingContent, { kind: Kind }>, 'kind' | 'subject' | 'side'>;
type AnyPlace = Pick<FindingContent, 'kind' | 'subject' | 'side'>;

/** What is being found and not sent yet; kept under what it is about. */
export function useFindings() {
  const visit = useVisit();
  const drafts = reactive<Record<string, FindingContent>>({});
  const problems = reactive<Record<string, string>>({});
  const timers = new Map<string, ReturnType<typeof setTimeout>>();
  const keyOf = ({ kind, subject, side }: AnyPlace) => `${kind}/${subject}/${side}`;

  /** What stands, or is being found, at a place; null for nothing. */
  function read<Kind extends FindingKind>(place: Place<Kind>): DataOf<Kind> | null {
    const key = keyOf(place as AnyPlace);
    const draft = drafts[key];
    if (draft) return draft.data as DataOf<Kind> | null;
    const standing = visit.findings.find((each) => keyOf(each) === key && each.moment === 'before');
    return (standing?.data as DataOf<Kind> | undefined) ?? null;
  }

  /** Sets what was found; null takes it back. It is sent a moment later. */
  function write(content: FindingContent): void {
    const key = keyOf(content);
    drafts[key] = content;
    delete problems[key];
    clearTimeout(timers.get(key));
    timers.set(key, setTimeout(() => void send(key), REST_MS));
  }

  async function send(key: string): Promise<void> {
    clearTimeout(timers.get(key));
    timers.delete(key);
    const content = drafts[key];
    if (!content || visit.finished) return;
    const problem = findingProblem(content);
    if (problem !== null) return void (problems[key] = problem);
    try {
      await visit.saveFinding(content);
      // Taps made while it was under way wait for their own turn.
      if (drafts[key] === content) delete drafts[key];
    } catch (error) {
      if (!(error instanceof ApiProblem)) throw error;
      problems[key] = error.message;
      if (error.isStale) await visit.load(visit.id);
    }
  }

  const flush = () => Promise.all(Object.keys(drafts).map(send));
  onScopeDispose(() => void flush());

  return { read, write, flush, problemOf: (place: AnyPlace) => problems[keyOf(place)] ?? null };
}

export type Findings = ReturnType<typeof useFindings>;
