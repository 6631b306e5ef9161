import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import type { Report } from './report.ts';
import { t } from '../../words/athlete.ts';

/** Drawings of a report, by motion and side, as files of their own; the figure by motion. */
export interface ReportDrawings {
  readonly chart: (motionId: string, side: string) => string | null;
  readonly figure: (motionId: string) => string | null;
}

const INK = '#1e2a26';
const SOFT = '#56625c';

/** A report as a document: words as text, drawings as vectors, one motion never torn apart between two pages. */
export function reportDocument(report: Report, drawings: ReportDrawings): TDocumentDefinitions {
  const motions = report.motions.map(({ motion, sides }): Content => {
    const figure = drawings.figure(motion.id);
    return {
      unbreakable: true,
      margin: [0, 10, 0, 0],
      stack: [
        {
          columns: [
            {
              width: '*',
              stack: [
                { text: motion.name, style: 'motion' },
                ...sides.map(({ words }) => ({ text: words, margin: [0, 2, 0, 0] as [number, number, number, number] })),
              ],
            },
            ...(figure ? [{ width: 110, svg: figure, fit: [110, 80] as [number, number] }] : []),
          ],
          columnGap: 12,
        },
        {
          columns: sides.flatMap(({ side }): Content[] => {
            const svg = drawings.chart(motion.id, side);
            return svg ? [{ svg, width: 245, margin: [0, 4, 0, 0] }] : [];
          }),
          columnGap: 12,
        },
      ],
    };
  });
  return {
    info: { title: report.title },
    pageSize: 'A4',
    pageMargins: [44, 44, 44, 48],
    defaultStyle: { font: 'Roboto', fontSize: 10, color: INK, lineHeight: 1.2 },
    styles: { title: { fontSize: 19, bold: true }, motion: { fontSize: 13, bold: true } },
    footer: (page, pages) => ({
      text: t('of2', { title: report.title, page, pages }),
      alignment: 'center',
      color: SOFT,
      fontSize: 8,
      margin: [0, 14, 0, 0],
    }),
    content: [
      { text: report.title, style: 'title' },
      { text: report.about, color: SOFT, margin: [0, 2, 0, 8] },
      ...report.sentences.map((text): Content => ({ text, margin: [0, 0, 0, 3] })),
      ...(report.season.length > 0
        ? [{ text: t('season', { season: report.season.join('; ') }), margin: [0, 0, 0, 3] } satisfies Content]
        : []),
      ...motions,
      ...(report.motions.length > 0
        ? [
            {
              text: t('ringsBeforeWorkDiamonds'),
              color: SOFT,
              fontSize: 8,
              margin: [0, 10, 0, 0],
            } satisfies Content,
          ]
        : []),
    ],
  };
}
