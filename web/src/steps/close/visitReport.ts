import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { doseLine } from '@pace-bend/core/home';
import type { StandingSentence } from '@pace-bend/core/note';
import type { HomeSheet, Note } from '@pace-bend/core/record';
import { t } from '../../words/close.ts';

/** What can be in a report of a visit. */
export const REPORT_PARTS = [
  { id: 'said', label: t('whatSaid') },
  { id: 'found', label: t('whatFoundBeforeWork') },
  { id: 'done', label: t('whatDone') },
  { id: 'answered', label: t('howAnsweredErrorMeasuring') },
  { id: 'note', label: t('signedNote') },
  { id: 'home', label: t('whatGoesHome') },
] as const;
export type ReportPart = (typeof REPORT_PARTS)[number]['id'];

/** What a report is made of. */
export interface VisitReport {
  readonly name: string;
  readonly date: string;
  readonly practice: string;
  readonly by: string;
  readonly parts: readonly ReportPart[];
  /** Sentences of the record as they stand, changed by hand or not; those left out are not in them. */
  readonly sentences: readonly StandingSentence[];
  readonly note: Note | null;
  readonly when: (instant: string) => string;
  readonly home: HomeSheet;
  /** A picture for each motion that was read, with its name and what was read. */
  readonly pictures: readonly { readonly name: string; readonly values: string; readonly svg: string }[];
}

const INK = '#1e2a26';
const SOFT = '#56625c';

/** A report of one visit as a document: only the parts that were chosen, and of them only what there is. */
export function visitReportDocument(report: VisitReport): TDocumentDefinitions {
  const has = (part: ReportPart) => report.parts.includes(part);
  const of = (part: ReportPart) => report.sentences.filter((each) => each.part === part && each.text !== '').map(({ text }) => text);
  const section = (title: string, content: readonly Content[]): Content[] =>
    content.length === 0 ? [] : [{ text: title, style: 'part' }, ...content];
  const lines = (texts: readonly string[]): Content[] => texts.map((text) => ({ text, margin: [0, 0, 0, 3] }));
  return {
    info: { title: `${report.name}, ${report.date}` },
    pageSize: 'A4',
    pageMargins: [48, 46, 48, 50],
    defaultStyle: { font: 'Roboto', fontSize: 10.5, color: INK, lineHeight: 1.25 },
    styles: { part: { fontSize: 13, bold: true, margin: [0, 12, 0, 4] } },
    footer: (page, pages) => ({
      text: t('of4', { name: report.name, date: report.date, page, pages }),
      alignment: 'center',
      color: SOFT,
      fontSize: 8,
      margin: [0, 16, 0, 0],
    }),
    content: [
      { text: report.name, fontSize: 20, bold: true },
      { text: t('visitOf', { date: report.date, practice: report.practice, by: report.by }), color: SOFT, margin: [0, 2, 0, 0] },
      ...(has('said') ? section(t('whatSaid'), lines(of('said'))) : []),
      ...(has('found') ? section(t('whatFound'), [...pictures(report), ...lines(of('found'))]) : []),
      ...(has('done') ? section(t('whatDone'), lines(of('done'))) : []),
      ...(has('answered') ? section(t('howAnswered'), lines(of('answered'))) : []),
      ...(has('note') ? section(t('note'), noteContent(report)) : []),
      ...(has('home')
        ? section(
            t('atHome'),
            report.home.items.map((item): Content => ({
              text: [{ text: `${item.name}: `, bold: true }, t('stopWhen', { doseLine: doseLine(item), how: item.how, stop: item.stop })],
              margin: [0, 0, 0, 4],
            })),
          )
        : []),
    ],
  };
}

/** Three pictures a row, each with what was read. */
function pictures({ pictures: drawn }: VisitReport): Content[] {
  const rows: Content[] = [];
  for (let i = 0; i < drawn.length; i += 3)
    rows.push({
      unbreakable: true,
      columnGap: 14,
      margin: [0, 2, 0, 8],
      columns: Array.from({ length: 3 }, (_, column): Content => {
        const each = drawn[i + column];
        return each
          ? {
              stack: [
                { svg: each.svg, fit: [150, 110] },
                { text: each.name, bold: true },
                { text: each.values, color: SOFT },
              ],
            }
          : { text: '' };
      }),
    });
  return rows;
}

/** The note as it was signed, with what was added; a draft says that it is none. */
function noteContent({ note, when }: VisitReport): Content[] {
  if (note === null) return [];
  if (!note.signed) return [{ text: t('noteVisitNotSigned'), color: SOFT }];
  return [
    { text: note.signed.text },
    { text: t('signedBy', { by: note.signed.by, when: when(note.signed.at) }), color: SOFT, margin: [0, 3, 0, 6] },
    ...note.addenda.flatMap((each): Content[] => [
      { text: t('addition', { text: each.text }) },
      { text: t('signedBy', { by: each.by, when: when(each.at) }), color: SOFT, margin: [0, 2, 0, 5] },
    ]),
  ];
}
