import {
  fromMm,
  LengthError,
  outcomeOf,
  parseLength,
  parseShare,
  RangeProblem,
  readNumber,
  stackedTops,
  type LengthUnit
} from '../../core/index.ts';
import { readingEntry } from '../../contract/commands/jars.ts';
import type { ReadingEntry } from '../../contract/records/reading.ts';
import type { Purpose, TypedLength } from '../../contract/records/sample.ts';
import { sharesEntry, smearedEntry } from '../../contract/shares.ts';
import type { Matching, TableField } from './columns.ts';
import type { TableRecord } from './text.ts';

/** A row of a table as a test that somebody ran elsewhere. What it does not say is left out. */
export type TableRow = {
  no: number;
  name: string;
  siteName: string;
  areaName: string;
  /** Local date, YYYY-MM-DD. */
  takenOn?: string;
  depthFrom?: TypedLength;
  depthTo?: TypedLength;
  methodName: string;
  purpose?: Purpose;
  /** What was written beside it, and what has no place of its own, each with the head of its column. */
  note: string;
  entry: ReadingEntry;
};

/** What is wrong with a row: in which column, and what to do. */
export type RowProblem = { no: number; column: number | null; message: string };

/** Longest name and note. */
const MOST = { name: 80, note: 500, by: 40 };

const PURPOSE_WORDS: [Purpose, RegExp][] = [
  ['garden', /garden|bed|plant|grow|farm|field|crop/],
  ['build', /build|wall|block|brick|plaster|earth|cob|adobe/],
  ['bore', /bore|drill|pipe|trench/],
  ['lesson', /lesson|class|school|teach/]
];

/** A figure as the table writes its decimals; NaN for what is none. */
function figureOf(text: string, decimals: Matching['decimals']): number {
  const plain = text.trim().replace(/[\u00a0 ]/g, '');
  if (decimals === 'comma') return readNumber(plain.replace(/\.(?=\d{3}(\D|$))/g, ''));
  return readNumber(plain.replace(/,(?=\d{3}(\D|$))/g, '').replace(',', ' '));
}

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** A day as a table writes it, in its order. @returns undefined for what is none */
export function readDay(text: string, order: Matching['days']): string | undefined {
  const clean = text.trim().replace(/[T ]\d{1,2}:\d{2}.*$/, '');
  const named = /^(\d{1,2})[-. ]+([A-Za-z]{3})[A-Za-z]*\.?,?[-. ]+(\d{4})$/.exec(clean);
  if (named) return dayOf(Number(named[3]), MONTHS.indexOf(named[2].toLowerCase()) + 1, Number(named[1]));
  const parts = /^(\d{1,4})[-./](\d{1,2})[-./](\d{1,4})$/.exec(clean)?.slice(1);
  if (!parts) return undefined;
  const [a, b, c] = parts.map(Number);
  if (parts[0].length === 4) return dayOf(a, b, c);
  const year = parts[2].length === 4 ? c : parts[2].length === 2 ? (c < 70 ? 2000 : 1900) + c : NaN;
  return order === 'mdy' ? dayOf(year, a, b) : dayOf(year, b, a);
}

function dayOf(year: number, month: number, day: number): string | undefined {
  const at = new Date(Date.UTC(year, month - 1, day));
  const same = at.getUTCFullYear() === year && at.getUTCMonth() === month - 1 && at.getUTCDate() === day;
  return same && year >= 1900 ? at.toISOString().slice(0, 10) : undefined;
}

/** Reads the cells of one row; what is wrong is gathered, each with its column. */
class Cells {
  readonly problems: RowProblem[] = [];

  constructor(
    private record: TableRecord,
    private matching: Matching
  ) {}

  column(field: TableField): number {
    return this.matching.fields.indexOf(field);
  }

  text(field: TableField): string {
    const at = this.column(field);
    return at < 0 ? '' : (this.record.cells[at] ?? '').trim();
  }

  wrong(field: TableField, message: string): undefined {
    const at = this.column(field);
    this.problems.push({ no: this.record.no, column: at < 0 ? null : at, message });
    return undefined;
  }

  line(field: TableField, most: number): string {
    const text = printable(this.text(field)).replace(/\s+/g, ' ').trim();
    if (text.length > most) this.wrong(field, `Over ${most} letters. Shorten it.`);
    return text.slice(0, most);
  }

  length(field: TableField, text: string, unit: LengthUnit): TypedLength | undefined {
    const plain = this.matching.decimals === 'comma' ? text : text.replace(/,(?=\d{3}(\D|$))/g, '');
    try {
      return { mm: parseLength(plain, unit), text: /[a-z"]/i.test(text) ? text : `${text} ${unit}` };
    } catch (problem) {
      if (problem instanceof LengthError) return this.wrong(field, problem.message);
      throw problem;
    }
  }

  /** A share of a layer, percent. */
  share(field: TableField, figures: 'percent' | 'fraction'): number | undefined {
    const text = this.text(field);
    if (isNothing(text)) return undefined;
    if (this.matching.decimals === 'point' && text.includes(','))
      return this.wrong(
        field,
        `“${shown(text)}” has a comma where other figures have a point. Type it with a point.`
      );
    const figure = figureOf(text.replace(/%$/, ''), this.matching.decimals);
    // A share in words or as a fraction, as it is said of a jar.
    const said = Number.isNaN(figure) ? outcomeOf(() => parseShare(text)).done : undefined;
    if (said !== undefined) return said;
    const value = figure;
    const pct = figures === 'fraction' && !text.endsWith('%') ? value * 100 : value;
    if (Number.isNaN(value))
      return this.wrong(field, `“${shown(text)}” is no figure. Type a share such as 40.`);
    if (pct < 0 || pct > 100)
      return this.wrong(field, `${shown(text)} is no share: it lies between 0 and 100 %.`);
    return pct;
  }

  /** A height of a layer, mm. */
  height(field: TableField): { mm: number; text: string } | undefined {
    const text = this.text(field);
    return isNothing(text) ? undefined : this.length(field, text, this.matching.unit);
  }
}

/** Without what no keyboard writes and no page shows: control characters and marks of direction. */
const printable = (text: string): string => text.replace(/[\p{Cc}\p{Cf}]/gu, ' ');

const isNothing = (text: string) => text === '' || /^(-|–|n\/?a|nd|none given|null|nan)$/i.test(text);
const shown = (text: string) => (text.length > 30 ? `${text.slice(0, 30)}…` : text);

/** Clay of a jar without a line: how much over half nobody can read. */
const OVER_HALF = /^(>|over|more than)\s*50(\.0+)?\s*%?$/i;

/** The shares of a row as a reading; undefined where something is wrong, which has been said. */
function sharesOf(cells: Cells, figures: 'percent' | 'fraction'): ReadingEntry | undefined {
  const before = cells.problems.length;
  if (OVER_HALF.test(cells.text('clay')) && isNothing(cells.text('sand')) && isNothing(cells.text('silt')))
    return smearedEntry();
  const given: Parameters<typeof sharesEntry>[0] = {};
  const texts: Parameters<typeof sharesEntry>[2] = {};
  for (const field of ['sand', 'silt', 'clay'] as const) {
    const pct = cells.share(field, figures);
    if (pct === undefined) continue;
    given[field] = pct;
    texts[field] = cells.text(field).slice(0, 40);
  }
  if (cells.problems.length > before) return undefined;
  if (Object.keys(given).length === 0) {
    return cells.wrong(
      'sand',
      'No share stands in this row. Leave it out, or type two of sand, silt and clay.'
    );
  }
  try {
    return sharesEntry(given, 'others', texts).entry;
  } catch (problem) {
    if (problem instanceof RangeProblem) return cells.wrong(problem.field as TableField, problem.message);
    throw problem;
  }
}

/** The heights of a row as a reading: lines over the inside bottom, from how thick layers are or how high they reach. */
function heightsOf(cells: Cells, by: 'thickness' | 'tops', unit: LengthUnit): ReadingEntry | undefined {
  const before = cells.problems.length;
  const typed = new Map(HEIGHTS.map((field) => [field, cells.height(field)]));
  if (cells.problems.length > before) return undefined;
  const noted = Object.fromEntries(HEIGHTS.map((field) => [field, typed.get(field)?.mm]));
  const { done, problem } = outcomeOf(() => stackedTops(noted, by));
  if (!done) return problem && cells.wrong(problem.field as TableField, problem.message);
  // A height stands as it was typed; one that was worked out, in the unit of the table.
  const lined = (mm: number, own: TableField) => {
    const text = typed.get(own as (typeof HEIGHTS)[number]);
    return { mm, text: text?.mm === mm ? text.text : `${shortFigure(fromMm(mm, unit))} ${unit}` };
  };
  const lines = Object.fromEntries(
    Object.entries(done.tops).map(([layer, mm]) => [layer, lined(mm, layer as TableField)])
  );
  return {
    ruler: unit === 'in' ? 'sixteenths' : 'mm',
    lines,
    ...(done.none.length > 0
      ? { unplaced: Object.fromEntries(done.none.map((layer) => [layer, 'none' as const])) }
      : {}),
    ...(done.measuredTotalMm === undefined ? {} : { measuredTotal: lined(done.measuredTotalMm, 'total') })
  };
}

const HEIGHTS = ['gravel', 'sand', 'silt', 'clay', 'total'] as const;

const shortFigure = (value: number) => String(Math.round(value * 1000) / 1000);

function depthsOf(cells: Cells, { depthUnit }: Matching): Pick<TableRow, 'depthFrom' | 'depthTo'> {
  const whole = /^(.+?)\s*(?:-|–|to|\.\.)\s*(.+)$/i.exec(cells.text('depth'));
  const unit = /[a-z"]+$/i.exec(cells.text('depth'))?.[0] ?? '';
  const ends: [TableField, string][] = whole
    ? [
        ['depth', /[a-z"]/i.test(whole[1]) || !unit ? whole[1] : `${whole[1]} ${unit}`],
        ['depth', whole[2]]
      ]
    : [
        ['depthFrom', cells.text('depthFrom')],
        [cells.text('depthTo') === '' ? 'depth' : 'depthTo', cells.text('depthTo') || cells.text('depth')]
      ];
  const [from, to] = ends.map(([field, text]) =>
    isNothing(text) ? undefined : cells.length(field, text, depthUnit)
  );
  if (from && to && to.mm <= from.mm) {
    cells.wrong(whole ? 'depth' : 'depthTo', 'The lower end must lie below the upper one.');
  }
  return { ...(from ? { depthFrom: from } : {}), ...(to ? { depthTo: to } : {}) };
}

/** What of a row has no place of its own, each with the head of its column. */
function noteOf({ cells }: TableRecord, { fields, figures }: Matching, heads: readonly string[]): string {
  const shares = figures === 'percent' || figures === 'fraction';
  const kept = cells.flatMap((cell, i) => {
    const [field, text] = [fields[i], printable(cell).replace(/\s+/g, ' ').trim()];
    if (text === '') return [];
    const head = (heads[i] ?? '').trim();
    if (field === 'note') return [/^(notes?|remarks?|comments?)?$/i.test(head) ? text : `${head}: ${text}`];
    if (field === 'theirs') return [`${head || 'Their number'}: ${text}`];
    // Stones are no part of shares of the fine earth.
    if (shares && (field === 'gravel' || field === 'total')) return [`${head || field}: ${text}`];
    return [];
  });
  return kept.join('; ');
}

/**
 * Reads one row of a table.
 *
 * @param heads what its columns are called
 * @param today local date, after which nothing was taken
 * @returns the row, or all that is wrong with it
 */
export function readTableRow(
  record: TableRecord,
  matching: Matching,
  heads: readonly string[],
  today: string
): { row: TableRow } | { problems: RowProblem[] } {
  const cells = new Cells(record, matching);
  const { figures } = matching;
  const entry =
    figures === 'percent' || figures === 'fraction'
      ? sharesOf(cells, figures)
      : heightsOf(cells, figures, matching.unit);
  const by = cells.line('by', MOST.by);
  const dayText = cells.text('takenOn');
  const takenOn = isNothing(dayText) ? undefined : readDay(dayText, matching.days);
  if (!isNothing(dayText) && !takenOn) {
    cells.wrong('takenOn', `“${shown(dayText)}” is no day, or in another order. Type it like 2026-05-04.`);
  } else if (takenOn && takenOn > today) cells.wrong('takenOn', 'This day is still to come. Check the year.');
  const depths = depthsOf(cells, matching);
  const note = noteOf(record, matching, heads);
  if (note.length > MOST.note)
    cells.wrong('note', `The notes of this row come to over ${MOST.note} letters.`);
  const purposeText = cells.text('purpose').toLowerCase();
  const purpose = PURPOSE_WORDS.find(([, named]) => named.test(purposeText))?.[0];
  const [name, areaName, siteName] = (['name', 'area', 'site'] as const).map((field) =>
    cells.line(field, MOST.name)
  );
  const methodName = cells.line('method', MOST.name);
  if (entry && cells.problems.length === 0) {
    const whole = readingEntry.safeParse(by === '' ? entry : { ...entry, by });
    if (whole.success) {
      const of = name || areaName || siteName || 'Soil not named';
      const row = {
        no: record.no,
        name: of,
        siteName,
        areaName,
        ...depths,
        methodName,
        note,
        entry: whole.data
      };
      return { row: { ...row, ...(takenOn ? { takenOn } : {}), ...(purpose ? { purpose } : {}) } };
    }
    cells.wrong('sand', whole.error.issues[0].message);
  }
  return { problems: cells.problems };
}
