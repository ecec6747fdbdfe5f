import {
  isShare,
  jarColumn,
  readingDoubts,
  columnFacts,
  type JarResult,
  type ReadingDoubt
} from '../core/index.ts';
import type { JarRecord } from '../contract/records/jar.ts';
import type { ReadingEntry } from '../contract/records/reading.ts';
import type { RunRecord } from '../contract/records/run.ts';
import { readMoment } from '../contract/read-moment.ts';
import { TEXTURE_LAYERS } from './layers.ts';

/**
 * What stands against the shares of a reading: marks far from their time, and a reading made while silt still came down.
 * Figures that are no heights of this jar have no time to be doubted by.
 *
 * @param readAt when the layers were read, ms UTC
 */
export function doubtsOf(
  jar: Pick<JarRecord, 'method' | 'waterMm' | 'tempC' | 'soilMm'>,
  run: Pick<RunRecord, 'setDownAt' | 'stood'> | null | undefined,
  entry: ReadingEntry,
  result: JarResult,
  readAt: number
): ReadingDoubt[] {
  if (!run || entry.figures) return [];
  const { waterMm: columnMm, tempC, soilMm } = jar;
  const markedS: Partial<Record<'sand' | 'silt' | 'clay', number>> = {};
  for (const layer of TEXTURE_LAYERS) markedS[layer] = entry.lines[layer]?.markS;
  const seen = run.stood === null;
  return readingDoubts({
    method: jar.method,
    column: jarColumn(columnFacts(jar)),
    columnMm,
    tempC,
    soilMm: seen ? soilMm : undefined,
    readS: run.stood === 'unknown' ? undefined : (readMoment(run, readAt) - run.setDownAt) / 1000,
    water: entry.water ?? 'unseen',
    markedS,
    layers: isShare(result) ? undefined : result.layers
  });
}
