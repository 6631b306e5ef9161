import { NOTE_PARTS, type NoteLayout, type NotePart } from '../record/index.ts';

const section = (heading: string, ...parts: NotePart[]) => ({ heading, parts });

/** Layouts to begin with; a practice takes one and gives it its own headings and order. */
export const NOTE_LAYOUTS: readonly (NoteLayout & { readonly id: string })[] = [
  {
    id: 'told',
    sections: [
      section('Said', 'said'),
      section('Found', 'found'),
      section('Done', 'done'),
      section('Answered', 'answered'),
      section('Next', 'next'),
    ],
  },
  // Common practice in health records.
  {
    id: 'soap',
    sections: [
      section('Subjective', 'said'),
      section('Objective', 'found', 'done'),
      section('Assessment', 'answered'),
      section('Plan', 'next'),
    ],
  },
  { id: 'work-first', sections: [section('Work', 'done', 'answered'), section('Findings', 'found', 'said'), section('Next', 'next')] },
];

export const LONGEST_HEADING = 40;

/**
 * Everything wrong with a layout: every part stands under exactly one heading, and every heading has words.
 * @example checkLayout(NOTE_LAYOUTS[0]) // → []
 */
export function checkLayout({ sections }: NoteLayout): { readonly path: string; readonly message: string }[] {
  const problems = sections.flatMap(({ heading, parts }, i) => [
    ...(heading.trim() === '' || heading.length > LONGEST_HEADING
      ? [{ path: `sections.${i}.heading`, message: `A heading of 1 to ${LONGEST_HEADING} letters.` }]
      : []),
    ...(parts.length === 0 ? [{ path: `sections.${i}.parts`, message: 'Nothing stands under it.' }] : []),
  ]);
  const placed = sections.flatMap(({ parts }) => parts);
  for (const part of NOTE_PARTS)
    if (placed.filter((each) => each === part).length !== 1)
      problems.push({ path: 'sections', message: `“${part}” stands under exactly one heading.` });
  return problems;
}
