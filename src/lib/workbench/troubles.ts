import { jarColumn, columnFacts, type TroubleFacts } from '../core/index.ts';
import { timedMarks, toJarReading } from '../contract/reading.ts';
import type { ReadingEntry } from '../contract/records/reading.ts';
import type { TestDetail } from '../contract/records/result.ts';

/**
 * What is known of a jar, for the rules that look for trouble.
 *
 * @param entry the layers as they were read, or are being read; none before a reading
 * @param readAt when, ms UTC
 */
export function troubleFacts(
  test: TestDetail,
  entry?: ReadingEntry,
  readAt?: number
): TroubleFacts | undefined {
  const run = test.runs.at(-1);
  // The rules look at layers; what is wrong with an instrument's readings is said beside them.
  if (!run || test.cylinder || entry?.figures) return undefined;
  // Of a jar that stood already nobody saw how it was filled: rules that go by it are left out.
  const seen = run.stood === null;
  return {
    vessel: test.vessel,
    method: seen ? test.method : { ...test.method, dispersant: { ...test.method.dispersant, mlPerL: 0 } },
    soilMm: seen ? test.soilMm : 0,
    waterMm: test.waterMm,
    dispersantMl: test.dispersantMl,
    column: jarColumn(columnFacts(test)),
    marks: timedMarks(run),
    notes: run.notes.map((note) => note.kind),
    earlier: test.runs.slice(0, -1).map(timedMarks),
    ...(entry && readAt !== undefined
      ? {
          reading: {
            tops: toJarReading(entry).tops,
            ...(entry.measuredTotal ? { totalMm: entry.measuredTotal.mm } : {}),
            // Read in the minute of its set-down it is a second old at least.
            atS: Math.max(1, (readAt - run.setDownAt) / 1000),
            ...(entry.water && entry.water !== 'unseen' ? { water: entry.water } : {})
          }
        }
      : {})
  };
}
