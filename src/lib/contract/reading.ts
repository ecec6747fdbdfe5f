import { READING_SIGMA_MM, LAYER_ORDER, type JarReading } from '../core/index.ts';
import type { ReadingEntry } from './records.ts';

/** The reading a core function takes, from the entry a person made. */
export function toJarReading(entry: ReadingEntry): JarReading {
  const tops: JarReading['tops'] = {};
  const ownSigmaMm: JarReading['ownSigmaMm'] = {};
  for (const layer of LAYER_ORDER) {
    const line = entry.lines[layer];
    if (!line) continue;
    tops[layer] = line.mm;
    if (line.sigmaMm !== undefined) ownSigmaMm[layer] = line.sigmaMm;
  }
  const sigmaMm = READING_SIGMA_MM[entry.ruler === 'mm' ? 'ruler' : entry.ruler];
  return {
    tops,
    sigmaMm,
    ownSigmaMm,
    measuredTotalMm: entry.measuredTotal?.mm,
    organicsMm: entry.organics?.mm
  };
}
