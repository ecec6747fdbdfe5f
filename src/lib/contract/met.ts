import { LINE_ORDER, type EstimateInput, type Vessel } from '../core/index.ts';
import { toEstimate } from './evidence.ts';
import type { ReadingEntry } from './records/reading.ts';
import { STOOD_MS, type Stood } from './records/run.ts';

/** Water that is taken for a jar that was met standing, whose vessel and water line nobody noted. */
export const USUAL_TEMP_C = 18;
const WATER_OVER = { times: 1.6, mm: 40 };
/** Where not even the heights of its layers were read, mm. */
const USUAL_WATER_MM = 120;

/** The top of what settled, mm; shares by eye have no height. */
export function depositMm(entry: ReadingEntry): number {
  if (entry.figures) return 0;
  const tops = LINE_ORDER.filter((name) => name !== 'surface').map((name) => entry.lines[name]?.mm ?? 0);
  return Math.max(...tops, entry.measuredTotal?.mm ?? 0);
}

/**
 * How high the water of a jar is taken to stand that was met standing, mm.
 * @param vesselKnown somebody said which vessel it is
 */
export function metWaterMm(entry: ReadingEntry, glass: Vessel, vesselKnown: boolean): number {
  const top = depositMm(entry);
  const over = entry.figures ? USUAL_WATER_MM : Math.max(top * WATER_OVER.times, top + WATER_OVER.mm);
  const usual = vesselKnown ? glass.shoulderHeightMm : over;
  const surface = entry.lines.surface?.mm;
  return Math.min(glass.innerHeightMm, entry.figures ? usual : (surface ?? Math.max(usual, top + 1)));
}

/** What the answer of a jar is estimated from that was met standing, before it is on record. */
export function metEstimate(
  entry: ReadingEntry,
  o: { vessel: Vessel; vesselKnown: boolean; stood: Stood }
): EstimateInput | undefined {
  const jar = {
    vessel: o.vessel,
    waterMm: metWaterMm(entry, o.vessel, o.vesselKnown),
    tempC: USUAL_TEMP_C,
    dispersantMl: 0,
    soilMm: 0,
    weighed: null
  };
  const run = { setDownAt: 0, stood: o.stood, marks: [], tops: [], notes: [] };
  return toEstimate(jar, run, entry, STOOD_MS[o.stood]);
}
