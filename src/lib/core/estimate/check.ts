import { RangeProblem, requirePositive } from '../errors.ts';
import { isOfSediment, type Evidence } from './evidence/kinds.ts';

/** @throws {RangeProblem} for a height outside the jar, lines that cross, or nothing of the sediment read */
export function checkEvidence(evidence: readonly Evidence[], columnMm: number): void {
  requirePositive('columnMm', columnMm);
  const inside = (field: string, mm: number) => {
    if (!(mm >= 0 && mm <= columnMm))
      throw new RangeProblem(
        field,
        `A height lies between the bottom and the water, ${columnMm.toFixed(0)} mm up.`
      );
  };
  for (const e of evidence) {
    if (e.kind === 'mark') {
      requirePositive('timeS', e.timeS);
      inside('heightMm', e.heightMm);
      if (e.sigmaMm !== undefined) requirePositive('sigmaMm', e.sigmaMm);
    } else if (e.kind === 'bands') {
      requirePositive('atS', e.atS);
      const lines = [e.sandTopMm, e.siltTopMm, e.clayTopMm].filter((mm) => mm !== undefined);
      if (lines.length === 0) throw new RangeProblem('bands', 'Give one of the lines at least.');
      for (const [i, mm] of lines.entries()) {
        inside('bands', mm);
        if (i > 0 && mm < lines[i - 1])
          throw new RangeProblem('bands', 'Each line lies over the one below it.');
      }
      for (const mm of Object.values(e.sigmaMm ?? {})) if (mm !== undefined) requirePositive('sigmaMm', mm);
    } else if (e.kind === 'water') requirePositive('atS', e.atS);
    else if (e.kind === 'weighed') requirePositive('kgM2', e.kgM2);
    else if (e.kind === 'by-eye') {
      requirePositive('atS', e.atS);
      if (!(e.sandTopPct >= 0 && e.siltTopPct >= e.sandTopPct && e.siltTopPct <= 100))
        throw new RangeProblem('by-eye', 'Shares lie between 0 and 100 %, and come to 100 % together.');
      if (e.sigmaPct !== undefined) requirePositive('sigmaPct', e.sigmaPct);
    } else if (e.kind === 'calibration') {
      requirePositive('pairs', e.pairs);
      for (const { timeS } of Object.values(e.lines)) requirePositive('timeS', timeS);
    } else if (e.kind === 'trouble' && !(e.atS >= 0))
      throw new RangeProblem('atS', 'Trouble comes at the set-down or after it.');
    else if (e.kind === 'dry-fill') requirePositive('heightMm', e.heightMm);
    if ((e.kind === 'weighed' || e.kind === 'dry-fill') && e.sigmaLn !== undefined)
      requirePositive('sigmaLn', e.sigmaLn);
  }
  if (!evidence.some(isOfSediment))
    throw new RangeProblem('evidence', 'Nothing of the sediment has been read yet.');
}
