import type { Content, ContentTable, TableCell } from 'pdfmake/interfaces.js';
import type { WorkFigure, WorkSheet, WorkTable } from '../workbench/working/types.ts';
import { inFaces, pdfBytes } from './pdf.ts';

export const PAPERS = ['A4', 'Letter'] as const;
export type Paper = (typeof PAPERS)[number];

export const FADED = '#555555';
const RULE = '#bbbbbb';

export function drawTable({ title, head, rows, numbers, formulas = [] }: WorkTable): Content[] {
  const side = (i: number) => (numbers.includes(i) ? ('right' as const) : ('left' as const));
  /** A figure and its unit, or a formula, stay on one line. */
  const whole = (i: number) => numbers.includes(i) || formulas.includes(i);
  const cell = (text: string, i: number): TableCell => ({
    text: inFaces(text, whole(i)),
    alignment: side(i)
  });
  const table: ContentTable = {
    table: {
      headerRows: 1,
      dontBreakRows: true,
      // A working in numbers takes what room is left; other tables stay close together.
      widths: head.map((_, i) => (formulas.includes(i - 1) ? '*' : 'auto')),
      body: [
        head.map((text, i) => ({ text: inFaces(text), alignment: side(i), color: FADED, fontSize: 8 })),
        ...rows.map((row) => row.map(cell))
      ]
    },
    layout: {
      hLineWidth: (i: number) => (i === 1 ? 0.8 : i === 0 ? 0 : 0.3),
      vLineWidth: () => 0,
      hLineColor: () => RULE,
      paddingLeft: (i: number) => (i === 0 ? 0 : 4),
      paddingRight: () => 8,
      paddingTop: () => 2,
      paddingBottom: () => 2
    },
    fontSize: 9
  };
  return [
    ...(title ? [{ text: title, bold: true, fontSize: 11, margin: [0, 12, 0, 4] as const }] : []),
    table
  ].map((c) => c as Content);
}

export const drawFigure = ({ svg, widthPt, title }: WorkFigure): Content[] => [
  ...(title ? [{ text: title, bold: true, fontSize: 11, margin: [0, 12, 0, 4] } satisfies Content] : []),
  { svg, width: widthPt }
];

/** What stands under each page: a line, and which of how many it is. */
export const footOf =
  (foot: string) =>
  (page: number, pages: number): Content => ({
    columns: [
      { text: inFaces(foot), color: FADED, fontSize: 8 },
      { text: `${page} / ${pages}`, alignment: 'right', width: 60, color: FADED, fontSize: 8 }
    ],
    margin: [48, 18, 48, 0]
  });

/** The working of a test as a PDF: what was done, each table of it, what comes of it. */
export function workPdf(sheet: WorkSheet, paper: Paper = 'A4'): Promise<Uint8Array<ArrayBuffer>> {
  return pdfBytes({
    pageSize: paper === 'A4' ? 'A4' : 'LETTER',
    pageMargins: [48, 44, 48, 50],
    info: { title: sheet.title },
    defaultStyle: { fontSize: 10, lineHeight: 1.15 },
    footer: footOf(sheet.foot),
    content: [
      { text: inFaces(sheet.title), bold: true, fontSize: 17, margin: [0, 0, 0, 4] },
      {
        columns: [
          {
            width: '*',
            stack: [
              ...sheet.facts.map((line): Content => ({ text: inFaces(line), color: FADED })),
              { text: inFaces(sheet.result), bold: true, fontSize: 13, margin: [0, 10, 0, 2] },
              ...sheet.under.map((line): Content => ({ text: inFaces(line) }))
            ]
          },
          ...(sheet.triangle ? [{ width: 'auto', stack: drawFigure(sheet.triangle) }] : [])
        ],
        columnGap: 16
      },
      ...sheet.tables.slice(0, 1).flatMap(drawTable),
      ...(sheet.figures ?? []).flatMap(drawFigure),
      ...sheet.tables.slice(1).flatMap(drawTable),
      ...sheet.notes.map((line, i): Content => ({
        text: inFaces(line),
        color: FADED,
        fontSize: 9,
        margin: [0, i === 0 ? 10 : 2, 0, 0]
      }))
    ]
  });
}
