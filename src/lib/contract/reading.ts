import {
  isStraight,
  levelOf,
  LINE_ORDER,
  pairLines,
  READING_SIGMA_MM,
  volumeToHeight,
  type JarReading,
  type LayerName,
  type ReadLines,
  type TopReading,
  type TroubleFacts,
  type Vessel
} from '../core/index.ts';
import { TAPED_LAYERS, type MarkRecord, type RunRecord } from './records/run.ts';
import type { ReadingEntry } from './records/reading.ts';

/** Reading error of a line by the ruler alone, mm; for graduations it is the entry that says it. */
export function rulerSigma(ruler: ReadingEntry['ruler']): number {
  return READING_SIGMA_MM[ruler === 'sixteenths' || ruler === 'eye' ? ruler : 'ruler'];
}

/** The glass a reading was made on: where its wall is not straight, heights are turned into volumes. */
export type Glass = { vessel: Vessel; waterMm: number };

function readLines(lines: ReadingEntry['lines'], sigmaMm: number): ReadLines {
  const out: ReadLines = { tops: {}, sigmas: {} };
  for (const name of LINE_ORDER) {
    const line = lines[name];
    if (!line) continue;
    out.tops[name] = line.mm;
    out.sigmas[name] = line.sigmaMm ?? sigmaMm;
  }
  return out;
}

/**
 * The reading a core function takes, from the entry a person made: of two people's lines the mean.
 *
 * @param glass left out where heights over the inside bottom are wanted as they were read
 */
export function toJarReading(entry: ReadingEntry, glass?: Glass): JarReading {
  const sigmaMm = entry.rulerSigmaMm ?? rulerSigma(entry.ruler);
  const first = readLines(entry.lines, sigmaMm);
  const { tops, sigmas } = entry.second ? pairLines(first, readLines(entry.second.lines, sigmaMm)) : first;
  const ownSigmaMm: JarReading['ownSigmaMm'] = {};
  for (const name of LINE_ORDER)
    if (sigmas[name] !== undefined && sigmas[name] !== sigmaMm) ownSigmaMm[name] = sigmas[name];
  const layers = withoutUnread(entry, tops);
  const reading: JarReading = {
    tops,
    sigmaMm,
    ownSigmaMm,
    measuredTotalMm: entry.measuredTotal?.mm,
    ...layers,
    organicsMm: entry.organics?.mm,
    calibration: entry.calibration,
    ...(entry.figures === 'smeared' ? { smeared: true as const } : {})
  };
  if (!glass || entry.figures) return reading;
  if (!isStraight(glass.vessel)) return levelled(reading, glass);
  // Read by its graduations a straight glass is told in mL too.
  return entry.ruler === 'mL' ? { ...reading, mlPerMm: meanMlPerMm(glass) } : reading;
}

/** mL a mm over the water of a straight vessel. */
function meanMlPerMm({ vessel, waterMm }: Glass): number {
  return volumeToHeight(vessel, waterMm) / waterMm;
}

/**
 * Layers that were not read leave what lies around them: of one of the lower two a share of the whole, under it sand, or over it
 * clay; the clay itself follows from the whole. The top of the clay is the whole, or what was measured apart.
 */
function withoutUnread(
  { unplaced = {}, measuredTotal }: ReadingEntry,
  tops: JarReading['tops']
): Partial<JarReading> {
  const unread = TAPED_LAYERS.filter((layer) => unplaced[layer] === 'not-read' && tops[layer] === undefined);
  if (unread.length === 0) return { tops };
  const { clay, ...under } = tops;
  const whole = clay ?? measuredTotal?.mm;
  if (whole === undefined) return { tops, topUnread: true };
  return unread.some((layer) => layer !== 'clay')
    ? { tops: under, measuredTotalMm: whole }
    : { tops: { ...tops, clay: whole } };
}

/** The same reading in a straight vessel of the same mean floor: thicknesses then compare as volumes. */
function levelled(reading: JarReading, { vessel, waterMm }: Glass): JarReading {
  const { levelMm, areaRatio, mlPerMm } = levelOf(vessel, waterMm);
  const tops: JarReading['tops'] = {};
  const ownSigmaMm: JarReading['ownSigmaMm'] = {};
  for (const name of LINE_ORDER) {
    const top = reading.tops[name];
    if (top === undefined) continue;
    tops[name] = levelMm(top);
    ownSigmaMm[name] = (reading.ownSigmaMm?.[name] ?? reading.sigmaMm) * areaRatio(top);
  }
  const total = reading.measuredTotalMm;
  return {
    ...reading,
    tops,
    ownSigmaMm,
    mlPerMm,
    measuredTotalMm: total === undefined ? undefined : levelMm(total)
  };
}

/** The marks that count: the last of each layer, in order of time. */
export function standingMarks(marks: readonly MarkRecord[]): MarkRecord[] {
  const last = new Map<LayerName, MarkRecord>();
  for (const mark of [...marks].sort((a, b) => a.at - b.at)) last.set(mark.layer, mark);
  return [...last.values()].sort((a, b) => a.at - b.at);
}

/** The marks of a run that count, by when they were made, s after set-down. */
export function timedMarks({
  setDownAt,
  marks
}: Pick<RunRecord, 'setDownAt' | 'marks'>): TroubleFacts['marks'] {
  return standingMarks(marks).map(({ layer, at, heightMm }) => ({
    layer,
    timeS: (at - setDownAt) / 1000,
    heightMm
  }));
}

/** Readings of the top of a run as the core takes them: two of one moment count once, the later one. */
export function toTops({ setDownAt, tops }: Pick<RunRecord, 'setDownAt' | 'tops'>): TopReading[] {
  return tops
    .filter((r, i) => r.at > setDownAt && r.at !== tops[i + 1]?.at)
    .map((r) => ({ timeS: (r.at - setDownAt) / 1000, heightMm: r.heightMm }));
}
