import { formatTapeTime, type WorkedReading, type WorkedReadings } from '$lib/core';
import { standingGauges } from '$lib/contract/cylinder';
import type { GaugeRecord, JarRecord, RunRecord } from '$lib/contract/records';

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
