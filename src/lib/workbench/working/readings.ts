import {
  formatTapeTime,
  outcomeOf,
  workOutCylinder,
  workOutReadings,
  type CylinderInput,
  type RangeProblem,
  type WorkedCylinder,
  type WorkedReading,
  type WorkedReadings
} from '../../core/index.ts';
import { standingGauges } from '../../contract/cylinder.ts';
import type { GaugeRecord, RunRecord } from '../../contract/records/run.ts';
import type { JarRecord } from '../../contract/records/jar.ts';

/** A line of the table of readings: what the method asks for, what was taken, and what came of it. */
export type ReadingRow = {
  no: number;
  asked: string;
  /** Set down and not taken in time: passed over, yet it may be typed in. */
  passed: boolean;
  next: boolean;
  gauge?: GaugeRecord;
  took?: string;
  worked?: WorkedReading;
};

/** The readings of a run, one line each that the method asks for, with the latest that was taken for it. */
export function readingRows(
  method: JarRecord['method'],
  run: Pick<RunRecord, 'setDownAt' | 'gauges'> | null,
  worked: WorkedReadings | undefined,
  nextNo: number | undefined
): ReadingRow[] {
  const standing = run ? standingGauges(run.gauges) : [];
  return (method.readings ?? []).map((reading, no) => {
    const gauge = standing.find((g) => g.no === no) ?? run?.gauges.findLast((g) => g.no === no);
    return {
      no,
      asked: formatTapeTime(reading.atS ?? 0),
      passed: !gauge && nextNo !== undefined && no < nextNo,
      next: no === nextNo,
      gauge,
      took: gauge && run ? formatTapeTime((gauge.at - run.setDownAt) / 1000) : undefined,
      worked: worked?.readings.find((r) => r.no === no)
    };
  });
}

/**
 * How dark a suspension is drawn, 0-1: by what the last reading leaves in it; before one, fading by the logarithm of time,
 * which only has to look right. Never quite clear: clay stays up for days.
 *
 * @param goneS since set-down, s; undefined before it
 */
export function drawnDarkness(worked: WorkedReadings | undefined, goneS: number | undefined): number {
  if (goneS === undefined) return 1;
  const finerPct = worked?.readings.at(-1)?.finerPct;
  if (finerPct !== undefined) return Math.max(0.12, finerPct / 100);
  return Math.max(0.25, 1 - Math.log10(Math.max(1, goneS)) / 7);
}

/** How far the readings of a cylinder go: each for itself, the cylinder once they tell sand from clay, and what stands against it. */
export type WorkedSoFar = { readings?: WorkedReadings; worked?: WorkedCylinder; problem?: RangeProblem };

/** Works out what can be worked out of a cylinder, by the limits of USDA. */
export function workedSoFar(input: CylinderInput | undefined): WorkedSoFar {
  if (!input || input.readings.length === 0) return {};
  const readings = outcomeOf(() => workOutReadings(input));
  if (readings.problem) return { problem: readings.problem };
  const cylinder = outcomeOf(() => workOutCylinder(input, 'usda'));
  return { readings: readings.done, worked: cylinder.done, problem: cylinder.problem };
}

/** What is wrong with single readings, by their number. */
export function wrongReadings(problem: RangeProblem | undefined): Record<number, string> {
  const no = /^reading\.(\d+)$/.exec(problem?.field ?? '')?.[1];
  return problem && no !== undefined ? { [Number(no)]: problem.message } : {};
}
