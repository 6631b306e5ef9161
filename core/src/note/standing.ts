import { NOTE_PARTS, type NoteEdits, type NoteLayout, type NotePart } from '../record/index.ts';
import type { NoteSentence, StandingSentence } from './types.ts';

/**
 * The sentences of a note as they stand: what the record says, and in its place what somebody made of it by hand, which stays when the
 * data change later. A sentence that was changed by hand and has no data any more stays where it was, so that nothing written is lost.
 */
export function standingSentences(draft: readonly NoteSentence[], edits: NoteEdits): StandingSentence[] {
  const drafted = new Map(draft.map((each) => [each.key, each]));
  const stands = draft.map((each): StandingSentence => {
    const edit = edits[each.key];
    return edit
      ? { ...each, text: edit.text, byHand: true, record: edit.text === each.text ? null : each.text, isOutdated: edit.was !== each.text }
      : { ...each, byHand: false, record: null, isOutdated: false };
  });
  const left = Object.entries(edits).flatMap(([key, edit]): StandingSentence[] => {
    const part = partOf(key);
    if (drafted.has(key) || part === null || edit.text.trim() === '') return [];
    return [{ key, part, text: edit.text, trace: `by hand; the record said: ${edit.was}`, byHand: true, record: null, isOutdated: true }];
  });
  return NOTE_PARTS.flatMap((part) => [...stands, ...left].filter((each) => each.part === part));
}

function partOf(key: string): NotePart | null {
  return NOTE_PARTS.find((part) => key.startsWith(`${part}/`)) ?? null;
}

/** A sentence changed by hand; words as the record has them are no change, and an edit that takes nothing back is dropped. */
export function editSentence(edits: NoteEdits, draft: readonly NoteSentence[], key: string, text: string): NoteEdits {
  const now = draft.find((each) => each.key === key);
  const { [key]: before, ...others } = edits;
  const words = text.trim();
  if (now && words === now.text) return others;
  if (!now && words === '') return others;
  return { ...others, [key]: { text: words, was: now?.text ?? before?.was ?? '' } };
}

/** A note as plain text: headings in the practice's order, sentences under them, and the therapist's own words last. */
export function noteText(sentences: readonly StandingSentence[], own: string, { sections }: NoteLayout): string {
  const blocks = sections.flatMap(({ heading, parts }) => {
    const words = parts.flatMap((part) => sentences.filter((each) => each.part === part && each.text !== '').map(({ text }) => text));
    return words.length > 0 ? [`${heading}\n${words.join('\n')}`] : [];
  });
  return [...blocks, ...(own.trim() ? [own.trim()] : [])].join('\n\n');
}
