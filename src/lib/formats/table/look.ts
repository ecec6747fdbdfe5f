import {
  CORE_VERSION,
  judgeReading,
  RangeProblem,
  sharesRead,
  sumCheck,
  UNKNOWN_VESSEL,
  type EstimateInput,
  type JarResult,
  type LengthUnit
} from '../../core/index.ts';
import { depositMm, metEstimate, metWaterMm } from '../../contract/met.ts';
import { toJarReading } from '../../contract/reading.ts';
import { refusals } from '../../words/refusals.ts';
import type { Matching } from './columns.ts';
import { suggestMatching } from './columns.ts';
import { recordsOfJson } from './json.ts';
import { summaryOf, titleLines, type LeftOut } from './summary.ts';
import { readTableRow, type RowProblem, type TableRow } from './rows.ts';
import { delimiterOf, recordsOf, requireLines, textOf, type Encoding, type TableRecord } from './text.ts';

/** So many records are shown before a table is taken in, and so many are looked at to see what its columns are. */
const SHOWN = 6;
const HEADS_OFFERED = 12;
const LOOKED_AT = 200;
/** So many problems are named; of more it is said how many. */
const NAMED_MOST = 2000;
/** So many rows that are left out are named. */
const LEFT_OUT_MOST = 50;
/** Up to so many jars with heights are estimated as they are taken in, which takes half a second each. */
const ESTIMATED_MOST = 100;

/** What is asked of a table: its bytes, how to read it if somebody has said so, and what the bench knows. */
export type TableAsked = {
  bytes: Uint8Array;
  matching?: Matching;
  /** The row that names the columns, where somebody has said which; 0 for none. */
  head?: number;
  usual: LengthUnit;
  /** Local date. */
  today: string;
  /** Names of areas and methods, in small letters. */
  areas: string[];
  methods: string[];
};

/** What was found in a table, before anything is taken in. */
export type TableLook = {
  encoding: Encoding;
  heads: string[];
  first: TableRecord[];
  /** The very first rows, titles among them: one of them may name the columns. */
  top: TableRecord[];
  matching: Matching;
  unsure: ('figures' | 'unit' | 'days')[];
  /** Rows that can be taken in, and those that cannot. */
  good: number;
  bad: number;
  problems: RowProblem[];
  /** Rows that are no tests of their own. */
  leftOut: LeftOut[];
  /** How many more there are than are named. */
  more: number;
  /** Of the good ones: with shares alone, and with heights. */
  shares: number;
  heights: number;
  /** Whether those with heights are estimated by mass as they are taken in. */
  estimated: boolean;
  /** Areas and methods that the bench does not know, each with its rows. */
  unknownAreas: [string, number][];
  unknownMethods: [string, number][];
};

/** A table that is being read: what its columns are called, and its rows. */
type Opened = {
  encoding: Encoding;
  heads: string[];
  matching: Matching;
  /** Its rows, but for those that {@link LeftOut} names. @param told of each that is left out */
  body(told?: (row: LeftOut) => void): Generator<TableRecord>;
};

/** The records of a text, as often as they are asked for: lines of a table, or tests of a document. */
function recordsIn(text: string): () => Iterable<TableRecord> {
  if (/^\s*\{/.test(text)) {
    const records = recordsOfJson(text);
    return () => records;
  }
  requireLines(text);
  const delimiter = delimiterOf(text);
  return () => recordsOf(text, delimiter);
}

function opened(asked: TableAsked): Opened & Pick<TableLook, 'unsure' | 'first' | 'top'> {
  const { text, encoding } = textOf(asked.bytes);
  const all = recordsIn(text);
  const looked: TableRecord[] = [];
  for (const record of all()) {
    looked.push(record);
    if (looked.length === LOOKED_AT) break;
  }
  const told = asked.matching?.head ?? asked.head;
  const titles = told ? looked.filter(({ no }) => no < told).length : titleLines(looked);
  const isTest = (record: TableRecord) => summaryOf(record) === undefined;
  const [named, ...rest] = looked.slice(titles);
  // What somebody says is the head is the head, whatever it looks like.
  const first = [...(named && (told || isTest(named)) ? [named] : []), ...rest.filter(isTest)];
  function* records() {
    let left = titles;
    for (const record of all()) if (left-- <= 0) yield record;
  }
  const suggested = suggestMatching(first, asked.usual, {
    titles: looked.slice(0, titles).map(({ cells }) => cells.join(' ')),
    named: told === undefined ? undefined : told > 0
  });
  const matching = asked.matching ?? suggested.matching;
  const width = Math.max(0, ...first.map(({ cells }) => cells.length));
  const [head] = matching.head > 0 ? first : [];
  return {
    encoding,
    heads: Array.from({ length: width }, (_, i) => head?.cells[i]?.trim() ?? ''),
    top: looked.slice(0, HEADS_OFFERED),
    first: first.slice(matching.head > 0 ? 1 : 0).slice(0, SHOWN),
    matching,
    unsure: asked.matching ? [] : suggested.unsure,
    *body(told) {
      let inHead = matching.head > 0;
      for (const record of records()) {
        const left = inHead ? undefined : summaryOf(record);
        if (left) told?.(left);
        else if (!inHead) yield record;
        inHead = false;
      }
    }
  };
}

/** Reads a row, by the same checks that hold when it is shown ever after. */
function checkedRow(record: TableRecord, { matching, heads }: Opened, today: string) {
  const read = readTableRow(record, matching, heads, today);
  if ('problems' in read) return read;
  try {
    const reading = toJarReading(read.row.entry, { vessel: UNKNOWN_VESSEL, waterMm: waterOf(read.row) });
    const shares = sharesRead(reading);
    const { measuredTotalMm, sigmaMm } = reading;
    // A jar that is finished by hand is asked for a word about it: a row has nobody to ask.
    if (
      shares.kind === 'texture' &&
      measuredTotalMm !== undefined &&
      !sumCheck(shares.totalMm, measuredTotalMm, sigmaMm).agrees
    )
      throw new RangeProblem('total', refusals.imports.sumDiffers);
    return read;
  } catch (problem) {
    if (!(problem instanceof RangeProblem)) throw problem;
    const column = matching.fields.findIndex((field) => field === problem.field);
    return { problems: [{ no: record.no, column: column < 0 ? null : column, message: problem.message }] };
  }
}

const waterOf = ({ entry }: TableRow) => metWaterMm(entry, UNKNOWN_VESSEL, false);

/**
 * Looks through a whole table: what would be taken in, and all that stands in the way.
 *
 * @param told how much of it has been looked at, 0 to 1
 * @throws {TableProblem} where the file is no table
 */
export function lookThrough(asked: TableAsked): TableLook {
  const table = opened(asked);
  const problems: RowProblem[] = [];
  const counts = { good: 0, bad: 0, more: 0, shares: 0, heights: 0 };
  const areas = new Map<string, number>();
  const methods = new Map<string, number>();
  const count = (into: Map<string, number>, name: string, known: ReadonlySet<string>) => {
    if (name !== '' && !known.has(name.toLowerCase())) into.set(name, (into.get(name) ?? 0) + 1);
  };
  const [knownAreas, knownMethods] = [new Set(asked.areas), new Set(asked.methods)];
  const leftOut: LeftOut[] = [];
  const leave = (row: LeftOut) => leftOut.length < LEFT_OUT_MOST && leftOut.push(row);
  for (const record of table.body(leave)) {
    const read = checkedRow(record, table, asked.today);
    if ('problems' in read) {
      counts.bad++;
      for (const problem of read.problems) {
        if (problems.length < NAMED_MOST) problems.push(problem);
        else counts.more++;
      }
      continue;
    }
    counts.good++;
    counts[read.row.entry.figures ? 'shares' : 'heights']++;
    count(areas, read.row.areaName, knownAreas);
    count(methods, read.row.methodName, knownMethods);
  }
  const { encoding, heads, first, top, matching, unsure } = table;
  const listed = (from: Map<string, number>) => [...from].sort((a, b) => b[1] - a[1]).slice(0, 20);
  return {
    encoding,
    heads,
    first,
    top,
    matching,
    unsure,
    problems,
    leftOut,
    ...counts,
    estimated: counts.heights <= ESTIMATED_MOST,
    unknownAreas: listed(areas),
    unknownMethods: listed(methods)
  };
}

/** A row with what it comes to. */
export type WorkedRow = TableRow & {
  result: JarResult;
  coreVersion: string;
  waterMm: number;
  soilMm: number;
  /** What the answer by mass is estimated from, where the row allows one. */
  estimate?: EstimateInput;
};

/** Draws of a row that is one of many: its chances are then two points off at most. */
const DRAWS = 2000;

/**
 * The good rows of a table one after the other, each worked out.
 *
 * @throws {TableProblem} as {@link lookThrough}
 */
export function* workThrough(asked: TableAsked): Generator<WorkedRow> {
  const table = opened(asked);
  for (const record of table.body()) {
    const read = checkedRow(record, table, asked.today);
    if ('problems' in read) continue;
    const { row } = read;
    const waterMm = waterOf(row);
    const glass = { vessel: UNKNOWN_VESSEL, waterMm };
    const { result } = judgeReading(toJarReading(row.entry, glass), 'usda', { draws: DRAWS });
    const estimate = metEstimate(row.entry, {
      vessel: UNKNOWN_VESSEL,
      vesselKnown: false,
      stood: 'unknown'
    });
    yield {
      ...row,
      result,
      coreVersion: CORE_VERSION,
      waterMm,
      soilMm: Math.max(1, depositMm(row.entry) || waterMm / 3),
      ...(estimate ? { estimate } : {})
    };
  }
}
