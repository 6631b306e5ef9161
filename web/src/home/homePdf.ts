import type { Column, Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import { doseNumbers, tickRows } from '@pace-bend/core/home';
import type { HomeItem } from '@pace-bend/core/record';
import { dayHead, dayWords, sheetDays } from './homeDays.ts';
import { t } from '../words/home.ts';

/** What stands on a sheet for home. */
export interface HomePage {
  readonly name: string;
  readonly by: string;
  readonly practice: string;
  readonly visitDay: string;
  readonly until: string;
  /** When they meet again, in words, or null. */
  readonly again: string | null;
  readonly items: readonly HomeItem[];
  readonly words: string;
  /** The picture of an exercise as a drawing of its own, or null where it has none. */
  readonly picture: (item: HomeItem) => string | null;
}

const INK = '#1e2a26';
const SOFT = '#56625c';
const CLAY = '#b94e25';
const WIDTH = 507;

/** Sizes for so many exercises that everything stands on one page: the type gives way last. */
const SIZES = [
  { most: 3, figure: 128, dose: 23, name: 17, text: 11.5, boxes: true, gap: 10 },
  { most: 4, figure: 92, dose: 19, name: 15, text: 10.5, boxes: true, gap: 6 },
  { most: 5, figure: 74, dose: 16, name: 13.5, text: 9.5, boxes: true, gap: 3 },
  { most: 8, figure: 56, dose: 13, name: 12, text: 8.2, boxes: false, gap: 2 },
] as const;

/** Letters that everybody's printer and every font has; what the page's own faces draw is said in words here. */
const EMPTY_BOX = 11;

/** A sheet as a document of one page: pictures as vectors, the dose as large numbers, boxes to tick where there is room for them. */
export function homeDocument(page: HomePage): TDocumentDefinitions {
  const size = SIZES.find(({ most }) => page.items.length <= most) ?? SIZES.at(-1)!;
  const days = sheetDays(page.visitDay, page.until);
  const boxed = size.boxes && days.length > 0;
  return {
    info: { title: t('atHome2', { name: page.name }) },
    pageSize: 'A4',
    pageMargins: [44, 40, 44, 40],
    defaultStyle: { font: 'Roboto', fontSize: size.text, color: INK, lineHeight: 1.18 },
    content: [
      {
        columns: [
          { width: '*', text: t('atHome2', { name: page.name }), fontSize: 24, bold: true },
          { width: 'auto', text: [`${page.by}\n`, page.practice], alignment: 'right', color: SOFT, fontSize: 10 },
        ],
      },
      {
        text: [t('until2', { day: dayWords(page.until) }), page.again === null ? '' : ` ${t('weMeet', { again: page.again })}`],
        fontSize: 12,
        margin: [0, 2, 0, 8],
      },
      rule(),
      ...(boxed ? [ticks(t('tickHere'), days.map(dayHead), true), rule()] : []),
      ...page.items.flatMap((item, i) => [
        exercise(item, i, page.picture(item), size),
        ...(boxed ? boxRows(item, days.length) : []),
        rule(),
      ]),
      {
        columns: [
          {
            width: '*',
            text: [
              { text: `${t('missedDayMissedDay')} `, bold: true },
              t('doNotMakeUp'),
              ...(page.words.trim() === '' ? [] : [`\n${page.words.trim()}`]),
            ],
          },
          { width: 150, text: t('howDidFeel') },
        ],
        columnGap: 18,
        margin: [0, 6, 0, 0],
      },
    ],
  };
}

function exercise(item: HomeItem, i: number, picture: string | null, size: (typeof SIZES)[number]): Content {
  return {
    margin: [0, size.gap, 0, size.gap],
    columns: [
      picture
        ? { width: size.figure * 1.25, svg: picture, fit: [size.figure * 1.25, size.figure] }
        : { width: size.figure * 1.25, text: '' },
      {
        width: '*',
        stack: [
          { text: `${i + 1}. ${item.name}`, fontSize: size.name, bold: true },
          {
            columns: doseNumbers(item).map(({ number, said }) => ({
              width: 'auto',
              stack: [
                { text: number, fontSize: size.dose, bold: true },
                { text: said === '' ? ' ' : said, color: SOFT, fontSize: size.text - 1.5 },
              ],
            })),
            columnGap: 18,
            margin: [0, 1, 0, 3],
          },
          { text: item.how },
          {
            table: { widths: ['*'], body: [[{ text: [{ text: `${t('stopWhen')} `, bold: true }, item.stop], margin: [6, 1, 0, 1] }]] },
            layout: { hLineWidth: () => 0, vLineWidth: (line) => (line === 0 ? 3 : 0), vLineColor: () => CLAY },
            margin: [0, 3, 0, 0],
          },
        ],
      },
    ],
    columnGap: 16,
  };
}

const boxRows = (item: HomeItem, days: number): Content[] =>
  tickRows(item).map(({ label, boxes }) =>
    ticks(
      label,
      Array.from({ length: days }, () => boxes),
      false,
    ),
  );

/** One row under the days: words, or so many empty boxes a day. */
function ticks(label: string, cells: readonly (string | number)[], bold: boolean): Content {
  return {
    columns: [
      { width: 60, text: label, color: SOFT, fontSize: 9.5 },
      ...cells.map((cell): Column =>
        typeof cell === 'string'
          ? { width: '*', text: cell, bold, fontSize: 9.5, alignment: 'center' }
          : { width: '*', stack: [{ svg: boxesSvg(cell), fit: [cell * (EMPTY_BOX + 4), EMPTY_BOX + 1], alignment: 'center' }] },
      ),
    ],
    margin: [0, 2, 0, 3],
  };
}

function boxesSvg(count: number): string {
  const box = (i: number) =>
    `<rect x="${0.5 + i * (EMPTY_BOX + 4)}" y="0.5" width="${EMPTY_BOX}" height="${EMPTY_BOX}" rx="1.5" fill="none" stroke="${INK}" stroke-width="0.8"/>`;
  const width = count * (EMPTY_BOX + 4);
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${EMPTY_BOX + 1}" viewBox="0 0 ${width} ${EMPTY_BOX + 1}">${Array.from({ length: count }, (_, i) => box(i)).join('')}</svg>`;
}

const rule = (): Content => ({
  canvas: [{ type: 'line', x1: 0, y1: 0, x2: WIDTH, y2: 0, lineWidth: 1, lineColor: INK }],
  margin: [0, 1, 0, 1],
});
