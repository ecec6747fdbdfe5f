import {
  convertLimit,
  differenceOf,
  pointsApart,
  reportedShares,
  USDA_SAND_LIMIT_UM,
  type Compared,
  type Difference,
  type Fractions,
  type Verdict
} from '../core/index.ts';
import type { LabReport } from '../contract/records/sample.ts';

/** How many tests stand side by side at most. */
export const COMPARED_MOST = 12;

/** A test as the page gives it. */
export type CompareTest = {
  id: string;
  code: string;
  sampleId: string;
  sampleName: string;
  methodKey: string;
  methodName: string;
  /** Set-down, ms UTC; null where nobody saw it, and when it was entered. */
  at: number | null;
  enteredAt: number;
  weighed: boolean;
  /** Estimated from all that is known of a jar: it has no other view. */
  estimated: boolean;
  fractions: Fractions;
  sd: Fractions;
  className: string;
  probability: number | null;
  verdict: Verdict | null;
  mass: { fractions: Fractions; sd: Fractions; className: string; probability: number | null } | null;
  lab: LabReport | null;
};

/** A column: a test as it is shown, what a laboratory said of its sample, and how it differs from the first. */
export type CompareColumn = Compared & {
  id: string;
  code: string;
  sampleName: string;
  methodName: string;
  at: number | null;
  enteredAt: number;
  className: string;
  probability: number | null;
  verdict: Verdict | null;
  lab: { fractions: Fractions; name: string; points: number } | null;
  difference: Difference | null;
};

/**
 * The columns, the first of which the others are set against.
 *
 * @param byMass jars by their estimate by mass, where there is one
 */
export function compareColumns(tests: readonly CompareTest[], byMass: boolean): CompareColumn[] {
  const columns = tests.map(({ mass, lab, weighed, estimated, ...test }): CompareColumn => {
    const other = byMass && !weighed && !estimated ? mass : null;
    const shown = { ...test, ...(other ?? {}) };
    const reported = lab && reportedShares(lab);
    const report = reported && convertLimit(reported, lab.sandLimitUm, USDA_SAND_LIMIT_UM);
    return {
      ...shown,
      basis: weighed ? 'mass' : estimated || other ? 'estimate' : 'height',
      lab:
        report && lab
          ? { fractions: report, name: lab.lab, points: pointsApart(shown.fractions, report) }
          : null,
      difference: null
    };
  });
  const [first, ...others] = columns;
  return first ? [first, ...others.map((c) => ({ ...c, difference: differenceOf(first, c) }))] : [];
}
