import { isStraight, levelOf, type EstimateInput, type Evidence } from '../core/index.ts';
import type { JarRecord } from './records/jar.ts';
import type { ReadingEntry } from './records/reading.ts';
import type { RunRecord } from './records/run.ts';
import { standingMarks, toJarReading } from './reading.ts';

/** What of a jar the estimate goes by. */
export type JarFacts = Pick<JarRecord, 'waterMm' | 'tempC' | 'dispersantMl' | 'vessel' | 'soilMm'>;
type RunFacts = Pick<RunRecord, 'setDownAt' | 'stood' | 'marks' | 'tops'>;

/** Of a jar that has stood nobody knows how long: it is read as one that stood this long at least, s. */
const LONG_S = 2 * 86_400;
/** Later looks at the top say much the same: so many of them count. */
const MOST_TOPS = 4;
/** A look at the top this near to a mark says nothing of its own, as a factor of time. */
const NEAR = 1.1;

/** Everything that is known of a run before its layers are read: tapes, later looks at the top, the water, the fill. */
function evidenceOfRun(
  jar: JarFacts,
  run: RunFacts,
  o: { mm: (heightMm: number) => number; entry?: ReadingEntry }
): Evidence[] {
  const since = (at: number) => (at - run.setDownAt) / 1000;
  const out: Evidence[] = [];
  const reading = o.entry && toJarReading(o.entry, jar);
  const marks = new Map<string, { timeS: number; heightMm: number }>();
  // Nobody saw when a jar that stood already was marked.
  if (run.stood === null) {
    for (const { layer, at, heightMm } of standingMarks(run.marks))
      if (heightMm !== null) marks.set(layer, { timeS: since(at), heightMm: o.mm(heightMm) });
    // A line that is a timed mark counts as it was measured at last.
    for (const layer of ['sand', 'silt', 'clay'] as const) {
      const line = o.entry?.lines[layer];
      if (line?.markS !== undefined) marks.set(layer, { timeS: line.markS, heightMm: o.mm(line.mm) });
    }
  }
  for (const [layer, { timeS, heightMm }] of marks) {
    const sigmaMm = reading?.ownSigmaMm?.[layer as 'sand'] ?? reading?.sigmaMm;
    if (timeS > 0) out.push({ kind: 'mark', timeS, heightMm, ...(sigmaMm ? { sigmaMm } : {}) });
  }
  if (run.stood !== 'unknown') {
    const times = [...marks.values()].map((m) => m.timeS);
    const tops = run.tops
      .map((top) => ({ ...top, timeS: since(top.at) }))
      .filter(({ timeS }) => timeS > 0 && !times.some((s) => timeS / s < NEAR && s / timeS < NEAR));
    const step = Math.max(1, tops.length / MOST_TOPS);
    for (let i = tops.length - 1; i >= 0; i -= step) {
      const top = tops[Math.ceil(i)];
      out.push({ kind: 'mark', timeS: top.timeS, heightMm: o.mm(top.heightMm) });
    }
    const looked = run.tops.findLast((top) => top.water !== null && top.at > run.setDownAt);
    if (looked?.water && !o.entry?.water)
      out.push({ kind: 'water', atS: since(looked.at), seen: looked.water });
  }
  // Nobody saw how a jar was filled that stood already.
  if (run.stood === null) {
    if (jar.soilMm > 0) out.push({ kind: 'dry-fill', heightMm: levelled(jar)(jar.soilMm) });
    out.push({ kind: 'dispersant', used: jar.dispersantMl > 0 });
  }
  return out;
}

/** Heights in a straight vessel of the same mean floor: they then go by volume. */
function levelled({ vessel, waterMm }: JarFacts): (mm: number) => number {
  return isStraight(vessel) ? (mm) => mm : levelOf(vessel, waterMm).levelMm;
}

/** Whether the fines of a jar have been read at all: it takes a height. */
const hasHeight = (evidence: readonly Evidence[]) =>
  evidence.some((e) => e.kind === 'mark' || e.kind === 'bands');

/**
 * What the answer of a reading is estimated from. Undefined for figures that are no heights, for a single share, and where
 * no run is known.
 *
 * @param readAt when the layers were read, ms UTC
 */
export function toEstimate(
  jar: JarFacts,
  run: RunFacts | null | undefined,
  entry: ReadingEntry,
  readAt: number
): EstimateInput | undefined {
  if (!run || entry.figures) return undefined;
  const reading = toJarReading(entry, jar);
  const { sand, silt, clay, gravel = 0 } = reading.tops;
  if ([sand, silt, clay].filter((top) => top !== undefined).length < 2) return undefined;
  const level = levelled(jar);
  const mm = (heightMm: number) => Math.max(0, level(heightMm) - gravel);
  const stoodS = (readAt - run.setDownAt) / 1000;
  const atS = Math.max(run.stood === 'unknown' ? LONG_S : 1, stoodS);
  const evidence = evidenceOfRun(jar, run, { mm, entry });
  const lines = (['sand', 'silt'] as const).map((layer) => entry.lines[layer]);
  if (lines.every((line) => line?.markS === undefined)) {
    const over = (top: number | undefined, below: number) =>
      Math.max(below, top === undefined ? below : Math.max(0, top - gravel));
    const sandTopMm = over(sand, 0);
    const siltTopMm = over(silt, sandTopMm);
    const { ownSigmaMm = {}, sigmaMm } = reading;
    evidence.push({
      kind: 'bands',
      atS,
      sandTopMm,
      siltTopMm,
      clayTopMm: over(clay, siltTopMm),
      sigmaMm: {
        sand: ownSigmaMm.sand ?? sigmaMm,
        silt: ownSigmaMm.silt ?? sigmaMm,
        clay: ownSigmaMm.clay ?? sigmaMm
      }
    });
  }
  if (entry.water && entry.water !== 'unseen') evidence.push({ kind: 'water', atS, seen: entry.water });
  if (!hasHeight(evidence)) return undefined;
  return { columnMm: jar.waterMm - gravel, tempC: entry.assumed?.tempC ?? jar.tempC, evidence };
}

/** What a jar that still stands says so far, from its tapes and looks; undefined where it has no height yet. */
export function toEarlyEstimate(jar: JarFacts, run: RunRecord | null | undefined): EstimateInput | undefined {
  if (!run) return undefined;
  const evidence = evidenceOfRun(jar, run, { mm: levelled(jar) });
  return hasHeight(evidence) ? { columnMm: jar.waterMm, tempC: jar.tempC, evidence } : undefined;
}
