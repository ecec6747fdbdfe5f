import {
  convertLimit,
  outcomeOf,
  reportedShares,
  sharesAbout,
  USDA_SAND_LIMIT_UM,
  type ReadingDoubt,
  type WallSoil
} from '../core/index.ts';
import { isJarSnapshot, type Snapshot } from '../contract/records/result.ts';
import type { LabReport, SampleDetails } from '../contract/records/sample.ts';
import { soilForBore, soilOf, withRibbon, type SoilInHand } from './act.ts';
import { wallSoilOf } from './wall.ts';

/** A finished test of a sample. */
export type FinishedTest = { id: string; code: string; snapshot: Snapshot };

/** Everything on record that says what soil a sample is. */
export type KnownSoil = {
  details: SampleDetails;
  /** Oldest first. */
  labs: readonly LabReport[];
  tests: readonly FinishedTest[];
};

/** What says something of the soil of a sample. */
export type SoilSource =
  | { kind: 'laboratory'; id: string; name: string }
  | { kind: 'cylinder' | 'jar' | 'share'; id: string; name: string };

/** What a sample is judged by, and the soil that it says; the others stand beside it. */
export type JudgedBy = {
  by: SoilSource;
  others: SoilSource[];
  /** All three shares; undefined where only one was read. */
  soil?: SoilInHand;
  /** For a bore, that asks for the sand alone. */
  bore?: SoilInHand;
  /** For a wall: heights of its jar beside what it is by mass. */
  wall?: WallSoil;
  /** What stands against the heights. */
  doubts: readonly ReadingDoubt[];
};

/** A laboratory's error where nobody says by which method it worked, points (standard error). */
export const LAB_POINTS = 4;

/** A report as a soil, sand from 50 um up; undefined where its shares are none. */
function soilOfLab(report: LabReport): SoilInHand | undefined {
  const shares = reportedShares(report);
  if (!shares) return undefined;
  const moved = outcomeOf(() => convertLimit(shares, report.sandLimitUm, USDA_SAND_LIMIT_UM)).done;
  if (!moved) return undefined;
  const draws = sharesAbout(moved, { sand: LAB_POINTS, clay: LAB_POINTS });
  return { fractions: moved, shares: draws, basis: 'laboratory' };
}

const kindOf = ({ snapshot }: FinishedTest): 'cylinder' | 'jar' | 'share' | undefined => {
  if (!isJarSnapshot(snapshot)) return 'cylinder';
  if (soilOf(snapshot)) return 'jar';
  return snapshot.result.kind === 'share' ? 'share' : undefined;
};

/**
 * What a sample is judged by, and why: a laboratory's report before an instrument, an instrument before a jar, all three shares
 * before one alone; of its kind the test in hand, else the newest. Heights are those of a jar whatever rules by mass.
 *
 * @param inHand the test that is looked at
 */
export function judgedBy(known: KnownSoil, inHand?: string): JudgedBy | undefined {
  const { details, labs, tests } = known;
  const sources: { source: SoilSource; soil?: SoilInHand; test?: FinishedTest }[] = [];
  for (const report of [...labs].reverse()) {
    const soil = soilOfLab(report);
    if (soil) sources.push({ source: { kind: 'laboratory', id: report.id, name: report.lab }, soil });
  }
  const newest = [...tests].reverse().sort((a, b) => Number(b.id === inHand) - Number(a.id === inHand));
  for (const kind of ['cylinder', 'jar', 'share'] as const)
    for (const test of newest.filter((one) => kindOf(one) === kind))
      sources.push({
        source: { kind, id: test.id, name: test.code },
        soil: soilOf(test.snapshot),
        test
      });
  const [first, ...rest] = sources;
  if (!first) return undefined;
  const soil = first.soil && withRibbon(first.soil, details.ribbon);
  const read = sources.find(
    ({ test }) => test && isJarSnapshot(test.snapshot) && wallSoilOf(test.snapshot, details)
  );
  const heights = read?.test && wallSoilOf(read.test.snapshot, details);
  const bottle = sources.find(
    ({ source, test }) => source.kind === 'share' && test && soilForBore(test.snapshot)
  );
  const bore = soil ?? (bottle?.test && soilForBore(bottle.test.snapshot, details));
  const wall: WallSoil | undefined = soil
    ? {
        gravelPct: 0,
        ...(heights && !heights.only ? heights : first.test ? wallSoilOf(first.test.snapshot, details) : {}),
        mass: soil.shares
      }
    : heights;
  return {
    by: first.source,
    others: rest.map(({ source }) => source),
    ...(soil ? { soil } : {}),
    ...(bore ? { bore } : {}),
    ...(wall ? { wall } : {}),
    doubts: (read?.test && isJarSnapshot(read.test.snapshot) && read.test.snapshot.doubts) || []
  };
}
