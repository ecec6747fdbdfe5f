import type { CanvasElement, Content } from 'pdfmake/interfaces.js';
import { encode } from 'uqr';
import { labelPlaces, type LabelPlace, type LabelSheet } from './labels.ts';
import { pdfBytes } from './pdf.ts';

/** What a label says. */
export type SampleLabel = {
  code: string;
  name: string;
  /** Its area on the sketch, if it has one. */
  area?: string;
  /** When it was dug or written up, as it is to be read. */
  day: string;
  /** Address of the sample, behind the square. */
  link: string;
};

const PT_PER_MM = 72 / 25.4;
const pt = (mm: number) => mm * PT_PER_MM;
/** Room kept free along the edges of a label, mm: cutters are not exact. */
const EDGE = 3;

/** The small line: the area, where the name does not say it already, and the day. */
function under({ name, area, day }: SampleLabel): string {
  const said = area === undefined || name.toLowerCase().includes(area.toLowerCase());
  return said ? day : `${area} · ${day}`;
}

/**
 * The square that opens a link, as one outline: a drawing of each of its cells by itself would cost more than all the rest of a label.
 *
 * @param corner its upper left one, and @param side, pt
 */
export function squarePath(link: string, corner: { x: number; y: number }, side: number): string {
  const { data, size } = encode(link, { ecc: 'M', border: 0 });
  const cell = side / size;
  const runs = data.flatMap((row, y) => {
    const starts = row.flatMap((dark, x) => (dark && !row[x - 1] ? [x] : []));
    return starts.map((x) => {
      const end = row.indexOf(false, x);
      const wide = ((end === -1 ? size : end) - x) * cell;
      const at = `${(corner.x + x * cell).toFixed(3)} ${(corner.y + y * cell).toFixed(3)}`;
      return `M${at}h${wide.toFixed(3)}v${cell.toFixed(3)}h${(-wide).toFixed(3)}z`;
    });
  });
  return runs.join('');
}

/** An outline where it lies on the page. The writer draws these too, though its types do not say so. */
const filled = (d: string) => ({ type: 'path', d, color: '#000000' }) as unknown as CanvasElement;

function drawLabel(label: SampleLabel, place: LabelPlace, on: LabelSheet): Content[] {
  const { width, height } = on.label;
  const square = Math.min(height - 2 * EDGE, 26);
  const textWidth = width - 3 * EDGE - square;
  const big = height > 45;
  const at = (x: number, y: number) => ({ x: pt(place.x + x), y: pt(place.y + y) });
  return [
    {
      absolutePosition: at(EDGE, EDGE - 0.5),
      columns: [
        {
          width: pt(textWidth),
          stack: [
            { text: label.code, bold: true, fontSize: big ? 30 : height > 30 ? 20 : 15, lineHeight: 0.95 },
            {
              text: label.name.slice(0, big ? 80 : 44),
              fontSize: big ? 11 : height > 30 ? 8 : 7,
              lineHeight: 1
            },
            { text: under(label), fontSize: big ? 10 : 7, color: '#444444' }
          ]
        }
      ]
    },
    {
      absolutePosition: at(0, 0),
      canvas: [filled(squarePath(label.link, at(width - EDGE - square, EDGE), pt(square)))]
    },
    {
      absolutePosition: at(EDGE, height - EDGE),
      canvas: [{ type: 'line', x1: 0, y1: 0, x2: pt(textWidth), y2: 0, lineWidth: 0.5, lineColor: '#888888' }]
    }
  ];
}

/**
 * Labels as a PDF: code, place, area, day, a QR code that opens the sample, and a line for a pen.
 *
 * @param skip labels of the first sheet that have been used already
 * @param told how much of it is made, 0 to 1
 */
export async function labelsPdf(
  labels: readonly SampleLabel[],
  on: LabelSheet,
  skip = 0,
  told?: (share: number) => void
): Promise<Uint8Array<ArrayBuffer>> {
  const places = labelPlaces(on, labels.length, skip);
  const content: Content[] = [];
  places.forEach((place, i) => {
    if (i > 0 && place.page > places[i - 1].page)
      content.push({ text: ' ', fontSize: 1, pageBreak: 'before' });
    content.push(...drawLabel(labels[i], place, on));
  });
  const sheet = {
    pageSize: { width: pt(on.page.width), height: pt(on.page.height) },
    pageMargins: 0,
    info: { title: 'Labels' },
    content
  };
  return pdfBytes(sheet, told);
}
