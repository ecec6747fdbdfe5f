import {
  isShare,
  misfitOf,
  verdictOf,
  type CylinderInput,
  type CylinderResult,
  type Fractions,
  type JarReading,
  type ShareResult,
  type Verdict
} from '../core/index.ts';
import { toJarReading } from '../contract/reading.ts';
import {
  isJarSnapshot,
  type CylinderSnapshot,
  type JarSnapshot,
  type ResultRecord,
  type Snapshot,
  type TestDetail
} from '../contract/records/result.ts';
import type { ReadingRecord } from '../contract/records/reading.ts';
import type { RunRecord } from '../contract/records/run.ts';

/** A result that was kept of a jar, with the reading and the run it came from and what its regions are drawn from. */
export type JarInForce = {
  kind: 'jar';
  kept: ResultRecord;
  snapshot: JarSnapshot;
  /** Undefined where the reading is not among the test's any more. */
  reading: ReadingRecord | undefined;
  run: RunRecord | undefined;
  /** The reading through the shape of its glass: where no answer was kept the region on the triangle follows from it. */
  region: JarReading;
};

/** A result that was kept of a cylinder read with an instrument. */
export type CylinderInForce = {
  kind: 'cylinder';
  kept: ResultRecord;
  snapshot: CylinderSnapshot;
  region: CylinderInput;
};

/** The result of a test that is in force: the last that was kept and not opened again. */
export function resultOf(
  test: Pick<
    TestDetail,
    'results' | 'readings' | 'runs' | 'vessel' | 'waterMm' | 'tempC' | 'soilMm' | 'dispersantMl'
  >
): JarInForce | CylinderInForce | undefined {
  const kept = test.results.findLast((r) => r.reopenedAt === null);
  if (!kept) return undefined;
  const { snapshot } = kept;
  if (!isJarSnapshot(snapshot)) return { kind: 'cylinder', kept, snapshot, region: snapshot.input };
  const reading = test.readings.find((r) => r.id === snapshot.readingId);
  const run = test.runs.find((r) => r.id === reading?.runId);
  return {
    kind: 'jar',
    kept,
    snapshot,
    reading,
    run,
    region: toJarReading(snapshot.entry, test)
  };
}

/** What a result says of sand, silt and clay, however it was come by; percent, standard errors in points. */
export type Finding = {
  kind: 'texture';
  fractions: Fractions;
  sd: Fractions;
  className: string;
  probability: number | null;
  /** What the answer of a jar comes to: one class, one of two, or none yet; null for what has no answer. */
  verdict: Verdict | null;
  gravelPct: number | null;
  /** Weighed with an instrument, rather than read by height. */
  weighed: boolean;
  /** Estimated from all that is known of a jar, rather than read by height. */
  estimated: boolean;
  /** Heights as read, as shares; null where none were. */
  read: Fractions | null;
  /** By mass: weighed, or estimated from a jar; null where there is none. */
  mass: { fractions: Fractions; sd: Fractions; className: string; probability: number | null } | null;
  /** Whether something stands against what was read. */
  doubtful: boolean;
};

const findingFields = (r: {
  fractions: Fractions;
  sd: Fractions;
  class: { name: string };
  probability: number | null;
}) => ({ fractions: r.fractions, sd: r.sd, className: r.class.name, probability: r.probability });

/** What was kept, as sand, silt and clay; or the one share that was read alone. */
export function findingOf(snapshot: Snapshot): Finding | ShareResult {
  if (!isJarSnapshot(snapshot)) {
    const own = findingFields(snapshot.result satisfies CylinderResult);
    // Weighed, it is by mass already.
    return {
      kind: 'texture',
      ...own,
      verdict: verdictOf(snapshot.result),
      gravelPct: null,
      weighed: true,
      estimated: false,
      read: null,
      mass: own,
      doubtful: false
    };
  }
  const { result, answer, mass, doubts } = snapshot;
  if (isShare(result)) return result;
  const byMass = answer ?? mass;
  return {
    kind: 'texture',
    ...findingFields(answer ?? result),
    verdict: answer ? verdictOf(answer) : null,
    gravelPct: result.gravelPct,
    weighed: false,
    estimated: answer !== undefined,
    read: result.fractions,
    mass: byMass ? findingFields(byMass) : null,
    doubtful: (doubts ?? []).length > 0 || (answer !== undefined && misfitOf(answer.fit) !== undefined)
  };
}
