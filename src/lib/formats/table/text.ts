import Papa from 'papaparse';

/** A file that is no table that can be taken in, in a sentence that says what to do. */
export class TableProblem extends Error {
  override name = 'TableProblem';
}

/** What a table may hold at most. */
export const TABLE_MOST = { bytes: 50_000_000, columns: 200, rows: 200_000, cell: 2000 };

const SPREADSHEETS: [string, string][] = [
  [
    'PK\u0003\u0004',
    'This is a spreadsheet or an archive, not a table of text. Save the sheet as CSV first.'
  ],
  ['\u00d0\u00cf\u0011\u00e0', 'This is a spreadsheet, not a table of text. Save the sheet as CSV first.'],
  ['%PDF', 'This is a PDF, not a table. Export the table itself as CSV.']
];
const NO_TEXT = 'This file holds no text. Save the table as CSV, in UTF-8.';

/** How a file is written, as far as it says so itself. */
export type Encoding = 'UTF-8' | 'UTF-16' | 'Windows-1252';

/**
 * The text of a file of a table. What is not UTF-8 is read as UTF-16 where it says so, else as Windows-1252, as old spreadsheets write.
 *
 * @throws {TableProblem} for what is no text, is empty, or is too large
 */
export function textOf(bytes: Uint8Array): { text: string; encoding: Encoding } {
  if (bytes.length === 0) throw new TableProblem('This file is empty.');
  if (bytes.length > TABLE_MOST.bytes) {
    throw new TableProblem(
      `This file is ${Math.round(bytes.length / 1e6)} MB. Up to ${TABLE_MOST.bytes / 1e6} MB are taken in at once: cut it in parts.`
    );
  }
  const head = String.fromCharCode(...bytes.subarray(0, 4));
  const other = SPREADSHEETS.find(([begins]) => head.startsWith(begins));
  if (other) throw new TableProblem(other[1]);
  const [first, second] = bytes;
  if ((first === 0xff && second === 0xfe) || (first === 0xfe && second === 0xff)) {
    const order = first === 0xff ? 'utf-16le' : 'utf-16be';
    return { text: new TextDecoder(order).decode(bytes), encoding: 'UTF-16' };
  }
  if (bytes.includes(0)) throw new TableProblem(NO_TEXT);
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' };
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'Windows-1252' };
  }
}

const DELIMITERS = [',', ';', '\t', '|'];
/** So many lines are looked at to see what stands between the cells. */
const LOOKED_AT = 30;
/** So many records are read at once: however long a table is, no more are in memory. */
const AT_ONCE = 500;

type LineEnd = '\n' | '\r\n' | '\r';

/** A record of a table: its number as a spreadsheet counts it, from 1, and its cells. */
export type TableRecord = { no: number; cells: string[] };

/** A line of more letters holds more than the widest row may; cells may have line ends in them, but not on every line. */
const LINE_MOST = { letters: TABLE_MOST.columns * TABLE_MOST.cell, lines: 10 * TABLE_MOST.rows };

/** Refuses lines that no table has, before they are cut into cells. @throws {TableProblem} */
export function requireLines(text: string): void {
  const most = LINE_MOST.letters;
  const requireShort = (letters: number, no: number) => {
    if (letters <= most) return;
    throw new TableProblem(
      `Line ${no} has over ${most.toLocaleString('en')} letters. Save the table as CSV, with a row on each line.`
    );
  };
  let no = 1;
  let from = 0;
  for (const { index } of text.matchAll(/[\r\n]/g)) {
    requireShort(index - from, no);
    from = index + 1;
    no++;
    if (no > LINE_MOST.lines) throw tooManyRows();
  }
  requireShort(text.length - from, no);
}

export const tooManyRows = () =>
  new TableProblem(`This table has over ${TABLE_MOST.rows.toLocaleString('en')} rows. Cut it in parts.`);

/** What stands between the cells: whatever cuts most lines alike. */
export function delimiterOf(text: string): string {
  const looked = (delimiter: string) => {
    const { data } = Papa.parse<string[]>(text, { delimiter, preview: LOOKED_AT, fastMode: false });
    const widths = data.filter((cells) => cells.some(Boolean)).map((cells) => cells.length);
    const [width = 1] = widths;
    const alike = widths.filter((one) => one === width).length;
    return { delimiter, width, alike: alike / Math.max(1, widths.length) };
  };
  const cut = DELIMITERS.map(looked).filter(({ width }) => width > 1);
  cut.sort((a, b) => b.alike - a.alike || b.width - a.width);
  return cut[0]?.delimiter ?? ',';
}

/**
 * The records of a table, one after the other. Empty ones are left out but counted.
 *
 * @throws {TableProblem} for more columns, rows or letters than {@link TABLE_MOST}, and for a quote that is never closed
 */
export function* recordsOf(text: string, delimiter = delimiterOf(text)): Generator<TableRecord> {
  let no = 0;
  let rest = text;
  /** How lines end: found out once, for all of the text is looked at for it. */
  let newline: LineEnd | undefined;
  while (rest.length > 0) {
    // Without quotes it would cut all of the text into lines each time.
    const { data, errors, meta } = Papa.parse<string[]>(rest, {
      delimiter,
      newline,
      preview: AT_ONCE,
      fastMode: false
    });
    newline ??= meta.linebreak as LineEnd;
    const broken = errors.find(({ type }) => type === 'Quotes');
    if (broken) {
      const at = no + (broken.row ?? 0) + 1;
      throw new TableProblem(`A quotation mark in row ${at} is never closed. Mend that row, then try again.`);
    }
    for (const cells of data) {
      no++;
      if (no > TABLE_MOST.rows) {
        throw tooManyRows();
      }
      if (cells.length > TABLE_MOST.columns) {
        throw new TableProblem(
          `Row ${no} has ${cells.length.toLocaleString('en')} columns; ${TABLE_MOST.columns} is the most. Take out those that are not needed.`
        );
      }
      if (cells.some((cell) => cell.length > TABLE_MOST.cell)) {
        throw new TableProblem(
          `A cell in row ${no} holds over ${TABLE_MOST.cell.toLocaleString('en')} letters. Shorten it.`
        );
      }
      if (cells.some((cell) => cell.trim() !== '')) yield { no, cells };
    }
    if (data.length < AT_ONCE || meta.cursor <= 0) return;
    rest = rest.slice(meta.cursor);
  }
}
