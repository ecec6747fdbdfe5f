import {
  curvePoints,
  fillLessGravel,
  hadCrumbs,
  heightByEye,
  isOfSediment,
  isOverfull,
  isStraight,
  layerTroubles,
  levelOf,
  sharesByEye,
  TOP_SIGMA_MM,
  weighedLoad,
  type Calibration,
  type EstimateInput,
  type Evidence,
  type JarReading,
  type TopAt,
  type Vessel
} from '../core/index.ts';
import { isDispersed, type JarFact, type JarRecord } from './records/jar.ts';
import type { ReadingEntry } from './records/reading.ts';
import { TAPED_LAYERS, type JarNote, type MarkRecord, type RunRecord } from './records/run.ts';
import { readMoment } from './read-moment.ts';
import { standingMarks, timedMarks, toJarReading } from './reading.ts';

/** What of a jar the estimate goes by. */
export type JarFacts = Pick<JarRecord, 'waterMm' | 'tempC' | 'dispersantMl' | 'soilMm' | 'weighed'> & {
  notMeasured?: readonly JarFact[];
  vessel: Vessel;
  /** Its runs, the one that is read among them. */
  runs?: readonly Pick<RunRecord, 'setDownAt' | 'marks'>[];
};
type RunFacts = Pick<RunRecord, 'setDownAt' | 'stood' | 'marks' | 'tops' | 'notes'>;

/** Of a jar that has stood nobody knows how long: it is read as one that stood this long at least, s. */
const LONG_S = 2 * 86_400;
/** Later looks at the top say much the same: so many of them count. */
const MOST_TOPS = 4;
/** A look at the top this near to a mark says nothing of its own, as a factor of time. */
const NEAR = 1.1;
const isNear = (s: number, otherS: number) => s / otherS < NEAR && otherS / s < NEAR;

/** Everything that is known of a run before its layers are read: tapes, later looks at the top, the water, the fill. */
function evidenceOfRun(
  jar: JarFacts,
  run: RunFacts,
  o: { mm: (heightMm: number) => number; gravelMm: number; entry?: ReadingEntry; readS?: number }
): Evidence[] {
  const since = (at: number) => (at - run.setDownAt) / 1000;
  const out: Evidence[] = [];
  // What shares are by eye says nothing of how a tape was measured.
  const reading = o.entry && !o.entry.figures ? toJarReading(o.entry, jar) : undefined;
  const marks = new Map<MarkRecord['layer'], { timeS: number; heightMm: number }>();
  // Nobody saw when a jar that stood already was marked.
  if (run.stood === null) {
    for (const { layer, at, heightMm } of standingMarks(run.marks))
      if (heightMm !== null) marks.set(layer, { timeS: since(at), heightMm: o.mm(heightMm) });
    // A line that is a timed mark counts as it was measured at last.
    for (const layer of TAPED_LAYERS) {
      const line = reading && o.entry?.lines[layer];
      if (line?.markS !== undefined) marks.set(layer, { timeS: line.markS, heightMm: o.mm(line.mm) });
    }
  }
  for (const [layer, { timeS, heightMm }] of marks) {
    const sigmaMm = reading?.ownSigmaMm?.[layer] ?? reading?.sigmaMm;
    if (timeS > 0) out.push({ kind: 'mark', timeS, heightMm, ...(sigmaMm ? { sigmaMm } : {}) });
  }
  if (run.stood !== 'unknown') {
    // The lines of the reading have a top of their own.
    const times = [...[...marks.values()].map((m) => m.timeS), ...(o.readS === undefined ? [] : [o.readS])];
    const tops = run.tops
      .map((top) => ({ ...top, timeS: since(top.at) }))
      .filter(({ timeS }) => timeS > 0 && !times.some((s) => isNear(timeS, s)));
    const step = Math.max(1, tops.length / MOST_TOPS);
    for (let i = tops.length - 1; i >= 0; i -= step) {
      const top = tops[Math.ceil(i)];
      out.push({ kind: 'mark', timeS: top.timeS, heightMm: o.mm(top.heightMm) });
    }
    const looked = run.tops.findLast((top) => top.water !== null && top.at > run.setDownAt);
    const again = o.entry?.water !== undefined && o.entry.water !== 'unseen';
    if (looked?.water && !(again && isNear(since(looked.at), o.readS ?? Infinity)))
      out.push({ kind: 'water', atS: since(looked.at), seen: looked.water });
  }
  // Nobody saw how a jar was filled that stood already.
  if (run.stood === null) {
    if (jar.soilMm > 0)
      out.push({ kind: 'dry-fill', heightMm: fillLessGravel(levelled(jar)(jar.soilMm), o.gravelMm) });
    if (jar.weighed)
      out.push({ kind: 'weighed', ...weighedLoad(jar.vessel, jar.waterMm, jar.weighed, o.gravelMm) });
    const used = isDispersed(jar);
    if (used !== undefined) out.push({ kind: 'dispersant', used });
  }
  return out;
}

/** What is noted of a jar, by what it makes less sure; from when on, where it has a time. */
const NOTED: Partial<Record<JarNote, Extract<Evidence, { kind: 'trouble' }>['id']>> = {
  knocked: 'knocked',
  moved: 'knocked',
  foamed: 'foamed',
  rattled: 'rattled'
};

/**
 * What went wrong with a jar, each trouble once.
 * @param reading its layers, s after set-down, where they were read
 */
function troubleOf(
  { vessel, soilMm, runs = [] }: JarFacts,
  run: RunFacts,
  reading?: { tops: JarReading['tops']; atS: number }
): Evidence[] {
  const from = new Map<Extract<Evidence, { kind: 'trouble' }>['id'], number>();
  // What is in the jar was there from the start.
  if (run.stood === null && isOverfull(vessel, soilMm)) from.set('too-full', 0);
  for (const { kind, at } of run.notes) {
    const id = NOTED[kind];
    if (id && !from.has(id)) from.set(id, id === 'knocked' ? Math.max(0, (at - run.setDownAt) / 1000) : 0);
  }
  const earlier = runs.filter((one) => one.setDownAt < run.setDownAt).map(timedMarks);
  if (hadCrumbs({ marks: timedMarks(run), earlier })) from.set('crumbs', 0);
  // What the layers show makes them less sure as they were read; stones lay there from the start.
  for (const id of layerTroubles({ reading })) from.set(id, id === 'stones' ? 0 : (reading?.atS ?? 0));
  return [...from].map(([id, atS]) => ({ kind: 'trouble', id, atS }));
}

/** Heights in a straight vessel of the same mean floor: they then go by volume. */
function levelled({ vessel, waterMm }: JarFacts): (mm: number) => number {
  return isStraight(vessel) ? (mm) => mm : levelOf(vessel, waterMm).levelMm;
}

/**
 * What the answer of a reading is estimated from. Undefined for what somebody else made of the jar, for a single share, and
 * where no run is known.
 *
 * @param readAt when the layers were read, ms UTC
 */
export function toEstimate(
  jar: JarFacts,
  run: RunFacts | null | undefined,
  entry: ReadingEntry,
  readAt: number
): EstimateInput | undefined {
  if (!run || entry.figures === 'others' || entry.figures === 'smeared') return undefined;
  const reading = toJarReading(entry, jar);
  const { sand, silt, clay, gravel = 0 } = reading.tops;
  if ([sand, silt, clay].filter((top) => top !== undefined).length < 2) return undefined;
  // Of shares by eye the dry soil tells how high they are.
  const gravelMm = entry.figures ? heightByEye(gravel, jar.soilMm) : gravel;
  const level = levelled(jar);
  const mm = (heightMm: number) => Math.max(0, level(heightMm) - gravelMm);
  const stoodS = (readMoment(run, readAt) - run.setDownAt) / 1000;
  const atS = Math.max(run.stood === 'unknown' ? LONG_S : 1, stoodS);
  const evidence = evidenceOfRun(jar, run, { mm, gravelMm, entry, readS: atS });
  const bands = bandsOf(reading, entry, gravel);
  if (bands && !entry.figures) evidence.push({ kind: 'bands', atS, ...bands });
  const byEye =
    bands &&
    entry.figures &&
    sharesByEye({
      sand: bands.sandTopMm,
      silt: bands.siltTopMm,
      clay: bands.clayTopMm,
      sigma: bands.sigmaMm?.silt
    });
  if (byEye) evidence.push({ kind: 'by-eye', atS, ...byEye });
  if (entry.water && entry.water !== 'unseen') evidence.push({ kind: 'water', atS, seen: entry.water });
  if (!evidence.some(isOfSediment)) return undefined;
  evidence.push(...troubleOf(jar, run, entry.figures ? undefined : { tops: reading.tops, atS }));
  if (entry.calibration) evidence.push(calibrationOf(entry.calibration, entry, atS));
  return { columnMm: jar.waterMm - gravelMm, tempC: entry.assumed?.tempC ?? jar.tempC, evidence };
}

/** What jars of this person differ from a laboratory by, and how the lines of this one were read. */
function calibrationOf(
  { pairs, siltLog, clayLog }: Calibration,
  entry: ReadingEntry,
  atS: number
): Extract<Evidence, { kind: 'calibration' }> {
  const lineOf = (layer: MarkRecord['layer']) => {
    const markS = entry.lines[layer]?.markS;
    return markS === undefined ? { by: 'eye' as const, timeS: atS } : { by: 'clock' as const, timeS: markS };
  };
  const lines = { sand: lineOf('sand'), silt: lineOf('silt'), clay: lineOf('clay') };
  return { kind: 'calibration', pairs, siltLog, clayLog, lines };
}

type Lines = Omit<Extract<Evidence, { kind: 'bands' }>, 'kind' | 'atS'>;

/**
 * The lines that an eye placed: not those that are timed marks, nor one that was not read. Where a layer was looked for and
 * there is none, its line lies on the one below.
 */
function bandsOf(
  { tops, sigmaMm, ownSigmaMm = {} }: JarReading,
  entry: ReadingEntry,
  gravelMm: number
): Lines | undefined {
  const topsMm: Partial<Record<MarkRecord['layer'], number>> = {};
  const sigmas: Partial<Record<MarkRecord['layer'], number>> = {};
  let below = 0;
  for (const layer of TAPED_LAYERS) {
    const top = tops[layer] ?? (entry.unplaced?.[layer] === 'none' ? below + gravelMm : undefined);
    if (top === undefined) continue;
    below = Math.max(below, top - gravelMm);
    if (entry.lines[layer]?.markS !== undefined) continue;
    topsMm[layer] = below;
    sigmas[layer] = ownSigmaMm[layer] ?? sigmaMm;
  }
  if (Object.keys(topsMm).length === 0) return undefined;
  return { sandTopMm: topsMm.sand, siltTopMm: topsMm.silt, clayTopMm: topsMm.clay, sigmaMm: sigmas };
}

/** So many heights stand for the whole curve of a film: nearer ones share their errors. */
const FILM_HEIGHTS = 6;

/** What a film of a run says: its curve instead of tapes and looks at the top. */
export function toFilmEstimate(jar: JarFacts, run: RunRecord, curve: readonly TopAt[]): EstimateInput {
  const evidence = evidenceOfRun(jar, { ...run, marks: [], tops: [] }, { mm: levelled(jar), gravelMm: 0 });
  for (const { timeS, heightMm } of curvePoints(curve, FILM_HEIGHTS))
    evidence.push({ kind: 'mark', timeS, heightMm: levelled(jar)(heightMm), sigmaMm: TOP_SIGMA_MM });
  evidence.push(...troubleOf(jar, run));
  return { columnMm: jar.waterMm, tempC: jar.tempC, evidence };
}

/** What a jar that still stands says so far, from its tapes and looks; undefined where it has no height yet. */
export function toEarlyEstimate(jar: JarFacts, run: RunRecord | null | undefined): EstimateInput | undefined {
  if (!run) return undefined;
  const evidence = evidenceOfRun(jar, run, { mm: levelled(jar), gravelMm: 0 });
  if (!evidence.some(isOfSediment)) return undefined;
  evidence.push(...troubleOf(jar, run));
  return { columnMm: jar.waterMm, tempC: jar.tempC, evidence };
}
