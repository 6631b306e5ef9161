/** What a note is about, in the order a visit goes. */
export const NOTE_PARTS = ['said', 'found', 'done', 'answered', 'next'] as const;
export type NotePart = (typeof NOTE_PARTS)[number];

/** What somebody made of a sentence from the record: other words, or none; `was` is what the record said then. */
export interface NoteEdit {
  readonly text: string;
  readonly was: string;
}
export type NoteEdits = Readonly<Record<string, NoteEdit>>;

/** Headings with the parts that stand under them, in order. */
export interface NoteLayout {
  readonly sections: readonly { readonly heading: string; readonly parts: readonly NotePart[] }[];
}

/** A note as it was signed: from then on nothing of it changes. */
export interface NoteSignature {
  readonly text: string;
  readonly at: string;
  readonly by: string;
}

/** What was added after it was signed. */
export interface NoteAddendum {
  readonly id: string;
  readonly text: string;
  readonly at: string;
  readonly by: string;
}

/** The therapist's part of the note; the rest is written from the record. */
export interface Note {
  /** Own words, beside what the record says. */
  readonly text: string;
  readonly edits: NoteEdits;
  readonly revision: number;
  readonly signed: NoteSignature | null;
  readonly addenda: readonly NoteAddendum[];
}

/** Sentences changed by hand in one note. */
export const MOST_EDITS = 200;
