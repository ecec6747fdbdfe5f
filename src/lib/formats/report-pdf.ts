import type { Content } from 'pdfmake/interfaces.js';
import type { Report, ReportPart } from '../workbench/report/types.ts';
import { inFaces, pdfBytes } from './pdf.ts';
import { drawFigure, drawTable, FADED, footOf, type Paper } from './work-pdf.ts';

const RULE = '#262018';

const drawPart = ({ title, lines, table, figures = [] }: ReportPart): Content => ({
  stack: [
    ...(title
      ? [
          {
            text: inFaces(title),
            bold: true,
            fontSize: 12,
            margin: [0, 14, 0, 4],
            headlineLevel: 1
          } satisfies Content
        ]
      : []),
    ...figures.flatMap(drawFigure),
    ...(table ? drawTable(table) : []),
    ...lines.map((line): Content => ({ text: inFaces(line), margin: [0, 1, 0, 1] }))
  ],
  // A drawing stays with its heading; a long table may go on over the page.
  unbreakable: figures.length > 0 && !table
});

/** A report as a PDF, on A4 or Letter, under its letterhead. */
export function reportPdf(report: Report, paper: Paper = 'A4'): Promise<Uint8Array<ArrayBuffer>> {
  const { letterhead, title, facts, result, under, figure, parts, cautions, foot } = report;
  return pdfBytes({
    pageSize: paper === 'A4' ? 'A4' : 'LETTER',
    pageMargins: [48, 44, 48, 50],
    info: { title },
    defaultStyle: { fontSize: 10, lineHeight: 1.15 },
    footer: footOf(foot),
    // No heading at the foot of a page with its table on the next.
    pageBreakBefore: (node, container) =>
      node.headlineLevel === 1 && container.getFollowingNodesOnPage().length === 0,
    content: [
      ...(letterhead.length > 0
        ? [
            {
              stack: letterhead.map((line, i): Content => ({ text: inFaces(line), bold: i === 0 })),
              margin: [0, 0, 0, 6]
            } satisfies Content,
            {
              canvas: [{ type: 'line', x1: 0, y1: 0, x2: 499, y2: 0, lineWidth: 1.2, lineColor: RULE }],
              margin: [0, 0, 0, 12]
            } satisfies Content
          ]
        : []),
      { text: inFaces(title), bold: true, fontSize: 17, margin: [0, 0, 0, 4] },
      {
        columns: [
          {
            width: '*',
            stack: [
              ...facts.map((line): Content => ({ text: inFaces(line), color: FADED })),
              ...(result
                ? [
                    {
                      text: inFaces(result),
                      bold: true,
                      fontSize: 13,
                      margin: [0, 10, 0, 2]
                    } satisfies Content
                  ]
                : []),
              ...under.map((line): Content => ({ text: inFaces(line) }))
            ]
          },
          ...(figure ? [{ width: 'auto', stack: drawFigure(figure) }] : [])
        ],
        columnGap: 16
      },
      ...parts.map(drawPart),
      ...cautions.map((line, i): Content => ({
        text: inFaces(line),
        fontSize: 9,
        color: FADED,
        margin: [0, i === 0 ? 14 : 3, 0, 0]
      }))
    ]
  });
}
