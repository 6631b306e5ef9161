export type { NoteSentence, StandingSentence } from './types.ts';
export { checkLayout, LONGEST_HEADING, NOTE_LAYOUTS } from './layouts.ts';
export { draftNote, type NoteFacts } from './draft.ts';
export { editSentence, noteText, standingSentences } from './standing.ts';
