import type { Report, ReportPart } from '../workbench/report/types.ts';
import type { WorkFigure, WorkTable } from '../workbench/working/types.ts';
import { t } from '../words/index.ts';

/** Text as it may stand in HTML, in an attribute too. */
const text = (plain: string): string =>
  plain.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');

const lines = (all: readonly string[], tag = 'p') =>
  all.map((line) => `<${tag}>${text(line)}</${tag}>`).join('');

/** A drawing; its words are those of the page, and it is told by its heading. */
const drawing = ({ svg, widthPt, title }: WorkFigure) =>
  `<figure style="max-width:${Math.round(widthPt * 1.5)}px">${title ? `<figcaption>${text(title)}</figcaption>` : ''}${svg.replace('<svg ', `<svg role="img" aria-label="${text(title ?? '')}" `)}</figure>`;

function table({ head, rows, numbers, title }: WorkTable): string {
  const side = (i: number) => (numbers.includes(i) ? ' class="n"' : '');
  const heads = head.map((one, i) => `<th scope="col"${side(i)}>${text(one)}</th>`).join('');
  const body = rows
    .map((row) => `<tr>${row.map((one, i) => `<td${side(i)}>${text(one)}</td>`).join('')}</tr>`)
    .join('');
  return `<div class="wide"><table>${title ? `<caption>${text(title)}</caption>` : ''}<thead><tr>${heads}</tr></thead><tbody>${body}</tbody></table></div>`;
}

const part = ({ title, lines: said, table: own, figures = [] }: ReportPart) =>
  `<section>${title ? `<h2>${text(title)}</h2>` : ''}${figures
    .map((figure) => drawing({ ...figure, title: figure.title ?? (title || t.report.title) }))
    .join('')}${own ? table(own) : ''}${lines(said)}</section>`;

/** A report as the body of a page: text, tables and drawings, and nothing that is fetched or runs. */
export function reportBody(report: Report): string {
  const { letterhead, title, facts, result, under, figure, parts, cautions, foot } = report;
  const answer = `<div>${lines(facts).replaceAll('<p>', '<p class="faded">')}${result ? `<p class="result">${text(result)}</p>` : ''}${lines(under)}</div>`;
  return [
    letterhead.length > 0 ? `<header>${lines(letterhead)}</header>` : '',
    `<h1>${text(title)}</h1>`,
    `<div class="answer">${answer}${figure ? drawing({ ...figure, title: figure.title ?? t.report.triangle }) : ''}</div>`,
    ...parts.map(part),
    `<section><h2>${text(t.report.cautions)}</h2>${lines(cautions)}</section>`,
    `<footer>${text(foot)}</footer>`
  ].join('\n');
}

/** How a report looks by itself, on a screen and on paper. */
const STYLE = `
body{margin:0 auto;max-width:50rem;padding:2rem 1.2rem;font:16px/1.45 "Atkinson Hyperlegible Next","Segoe UI",system-ui,sans-serif;color:#262018;background:#fffdf7}
header{border-bottom:2px solid #262018;margin-bottom:1.2rem;padding-bottom:.4rem}header p{margin:0}header p:first-child{font-weight:700}
h1{font-size:1.7rem;line-height:1.2;margin:.2rem 0}h2{font-size:1.15rem;margin:1.6rem 0 .4rem}
p{margin:.25rem 0}.faded,figcaption,footer{color:#5d5344}.result{font-size:1.25rem;font-weight:700;margin-top:.8rem}
.answer{display:flex;flex-wrap:wrap;gap:1rem 2rem;align-items:flex-start}.answer>div{flex:1 1 18rem}
figure{margin:.4rem 0}figcaption{position:absolute;clip-path:inset(50%)}svg{width:100%;height:auto}svg text{font-family:inherit}
.wide{overflow-x:auto}table{border-collapse:collapse;width:100%;font-size:.93rem}th,td{text-align:left;vertical-align:top;padding:.3rem .8rem .3rem 0;border-bottom:1px solid #ddd4c0}
th{color:#5d5344;font-weight:600;border-bottom-color:#262018}.n{text-align:right;white-space:nowrap}caption{text-align:left;font-weight:700;padding:.6rem 0 .2rem}
footer{margin-top:2rem;border-top:1px solid #ddd4c0;padding-top:.4rem;font-size:.9rem}
@media print{body{padding:0;background:#fff;font-size:10pt}h2{break-after:avoid}figure,tr{break-inside:avoid}}`;

/** A report as one HTML file that opens anywhere: nothing is fetched, nothing runs. */
export const reportHtml = (report: Report): string =>
  `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'"><title>${text(report.title)}</title><style>${STYLE}</style></head>
<body>${reportBody(report)}</body></html>
`;
