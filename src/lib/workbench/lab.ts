import { compareWithLab, reportedShares, type Comparison } from '../core/index.ts';
import type { LabReport } from '../contract/records/sample.ts';
import type { LogLine } from '../contract/records/log.ts';

const SHARES = ['sand', 'silt', 'clay'] as const;

export type View = 'byHeight' | 'byMass';
/** A jar of the sample beside a report. */
export type LabRow = Comparison & { id: string; code: string; view: View };

/**
 * Every finished test of a sample beside a report: a jar by height and, where it was estimated, by mass; a cylinder by mass
 * alone, which is what was read of it.
 */
export function besideLab(report: LabReport, lines: readonly LogLine[]): LabRow[] {
  const shares = reportedShares(report);
  if (!shares) return [];
  const compare = (jar: Comparison['lab']) =>
    compareWithLab({ jar, lab: shares, labLimitUm: report.sandLimitUm, system: 'usda' });
  return lines.flatMap((line): LabRow[] => {
    if (line.status !== 'finished' || line.sand === null || line.silt === null || line.clay === null)
      return [];
    const { id, code } = line;
    const read = line.read ?? { sand: line.sand, silt: line.silt, clay: line.clay };
    const byMass = line.mass && { id, code, view: 'byMass' as const, ...compare(line.mass) };
    if (byMass && SHARES.every((share) => line.mass?.[share] === read[share])) return [byMass];
    return [{ id, code, view: 'byHeight', ...compare(read) }, ...(byMass ? [byMass] : [])];
  });
}

/** Which view is nearer over all jars that have both, and by how many points; undefined if none has. */
export function nearerView(rows: readonly LabRow[]): { view: View; byPoints: number } | undefined {
  const heights = rows.filter((r) => r.view === 'byHeight').map((r) => r.id);
  const both = rows.filter((r) => r.view === 'byMass' && heights.includes(r.id)).map((r) => r.id);
  if (both.length === 0) return undefined;
  const mean = (view: View) =>
    rows.filter((r) => r.view === view && both.includes(r.id)).reduce((sum, r) => sum + r.points, 0) /
    both.length;
  const [height, mass] = [mean('byHeight'), mean('byMass')];
  return { view: mass < height ? 'byMass' : 'byHeight', byPoints: Math.abs(height - mass) };
}
