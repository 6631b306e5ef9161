import { computed } from 'vue';
import { draftNote, editSentence, NOTE_LAYOUTS, noteText, standingSentences } from '@pace-bend/core/note';
import { useSession } from '../../stores/session.ts';
import { usePractice } from '../../stores/practice.ts';
import { useVisit } from '../../stores/visit.ts';

/** The note of the open visit: what the record says, what was changed by hand, own words, in the practice's order. */
export function useNote() {
  const visit = useVisit();
  const practice = usePractice();
  const session = useSession();

  const layout = computed(() => practice.practice?.noteLayout ?? NOTE_LAYOUTS[0]!);
  const note = computed(() => visit.file!.note);
  const draft = computed(() => {
    const file = visit.file!;
    return draftNote({
      ...file,
      person: practice.personOf(file.athlete),
      onDay: practice.dayOf(file.visit.startsAt),
      nameOf: (id) => (id !== null && id === session.me?.id ? session.me.name : null),
      timeOf: (instant) => practice.recordTime(instant),
      dayWords: (instant) => practice.shortDate(instant),
    });
  });
  const sentences = computed(() => standingSentences(draft.value, note.value?.edits ?? {}));
  const own = computed(() => note.value?.text ?? '');
  const text = computed(() => noteText(sentences.value, own.value, layout.value));

  return {
    note,
    own,
    text,
    sentences,
    sections: computed(() =>
      layout.value.sections.map(({ heading, parts }) => ({
        heading,
        sentences: parts.flatMap((part) => sentences.value.filter((each) => each.part === part)),
      })),
    ),
    edit: (key: string, words: string) => visit.setNote({ edits: editSentence(note.value?.edits ?? {}, draft.value, key, words) }),
    writeOwn: (words: string) => visit.setNote({ text: words }),
    /** What the record says by now, where that is not what was signed. */
    changedSince: computed(() => Boolean(note.value?.signed && note.value.signed.text.trim() !== text.value.trim())),
  };
}
