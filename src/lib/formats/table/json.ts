import type { z } from 'zod';
import { logDocument, testDocument } from '../json-schema.ts';
import { TABLE_MOST, TableProblem, tooManyRows, type TableRecord } from './text.ts';

const HEADS = ['Their number', 'Sample', 'Day', 'Sand %', 'Silt %', 'Clay %', 'Method', 'Purpose'];

type Shares = { sand: number; silt: number; clay: number } | null;
type Line = {
  code: string;
  sample: string;
  at: string | null;
  shares: Shares;
  share: { layer: 'sand' | 'clay'; pct: number; orMore: boolean } | null;
  method: string;
  purpose: string;
};

const cellsOf = ({ code, sample, at, shares, share, method, purpose }: Line): string[] => {
  const pct = (layer: 'sand' | 'silt' | 'clay') =>
    shares ? String(shares[layer]) : share?.layer === layer ? `${share.orMore ? '> ' : ''}${share.pct}` : '';
  return [code, sample, at?.slice(0, 10) ?? '', pct('sand'), pct('silt'), pct('clay'), method, purpose];
};

/**
 * The tests of a document that was saved here or elsewhere by the published schemas, as the records of a table: a log, or one test.
 * The answer by mass counts where there is one, else what was read.
 *
 * @throws {TableProblem} for another document
 */
export function recordsOfJson(text: string): TableRecord[] {
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch {
    throw new TableProblem(
      'This file begins like JSON, but is none: it was cut off or changed. Save it once more.'
    );
  }
  const lines = linesOf(document, text.length);
  return [HEADS, ...lines.map(cellsOf)].map((cells, i) => ({ no: i + 1, cells }));
}

/** One test with all that happened to it is shorter by far, letters. */
const ONE_TEST_MOST = 2_000_000;

const { element: testOfLog } = logDocument.shape.tests;

/**
 * The tests of a log; undefined where the document is none. Each is checked by itself: the first that is none ends it, and what is
 * found wrong is not gathered for all of them.
 */
function testsOfLog(document: unknown): z.output<typeof testOfLog>[] | undefined {
  const { tests } = (document ?? {}) as { tests?: unknown };
  if (!Array.isArray(tests) || !logDocument.safeParse({ ...(document as object), tests: [] }).success)
    return undefined;
  if (tests.length > TABLE_MOST.rows) throw tooManyRows();
  const read: z.output<typeof testOfLog>[] = [];
  for (const one of tests) {
    const { data } = testOfLog.safeParse(one);
    if (!data) return undefined;
    read.push(data);
  }
  return read;
}

function linesOf(document: unknown, letters: number): Line[] {
  const log = testsOfLog(document);
  if (log) {
    return log.map(({ code, sample, setDownAt, fractions, answer, share, method, purpose }) => ({
      code,
      sample,
      at: setDownAt,
      shares: answer ?? fractions,
      share,
      method,
      purpose
    }));
  }
  const one = letters > ONE_TEST_MOST ? undefined : testDocument.safeParse(document);
  if (one?.success) {
    const { code, sample, runs, results, method } = one.data.test;
    const kept = results.find((result) => result.supersededAt === null);
    return [
      {
        code,
        sample: sample.name,
        at: runs.at(0)?.setDownAt ?? null,
        shares: kept?.answer?.fractions ?? kept?.fractions ?? null,
        share: kept?.share ?? null,
        method: method.key,
        purpose: sample.purpose
      }
    ];
  }
  throw new TableProblem(
    'This JSON is neither a log nor a test by the published schemas. A whole bench is brought back under Profile.'
  );
}
