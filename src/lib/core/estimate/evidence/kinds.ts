import type { Water } from '../../jar/clarity.ts';
import type { TROUBLE } from '../priors.ts';

/** A line of a deposit: the top at its time, or where an eye draws it then, s after set-down. */
export type ReadLine = { by: 'clock' | 'eye'; timeS: number };

/** What is known of a jar. Heights in mm over the inside bottom, or over the gravel; times in s after set-down. */
export type Evidence =
  /** The top of the sediment at a time, as a piece of tape, a later look or a film has it. */
  | { kind: 'mark'; timeS: number; heightMm: number; sigmaMm?: number }
  /** The lines that an eye draws in the deposit, those of them that were read. */
  | {
      kind: 'bands';
      atS: number;
      sandTopMm?: number;
      siltTopMm?: number;
      clayTopMm?: number;
      sigmaMm?: { sand?: number; silt?: number; clay?: number };
    }
  | { kind: 'water'; atS: number; seen: Water }
  /** The soil as it was filled, dry: its height, or what it weighed over the floor of the vessel. */
  | { kind: 'dry-fill'; heightMm: number; sigmaLn?: number }
  | { kind: 'weighed'; kgM2: number; sigmaLn?: number }
  | { kind: 'dispersant'; used: boolean }
  /** Shares of the deposit that somebody judged by eye: how high the sand reaches and the silt over it, percent of its height. */
  | { kind: 'by-eye'; atS: number; sandTopPct: number; siltTopPct: number; sigmaPct?: number }
  /**
   * What jars that one person read so differ from a laboratory by, and how many of them say so. The lines as they are read
   * so: by the clock or by eye, s after set-down.
   */
  | {
      kind: 'calibration';
      pairs: number;
      siltLog: number;
      clayLog: number;
      lines: { sand: ReadLine; silt: ReadLine; clay: ReadLine };
    }
  /** What went wrong with the jar, and from when on it makes what is read less sure. */
  | { kind: 'trouble'; id: keyof typeof TROUBLE; atS: number };

/** How high the deposit of a jar stands by what was read of it, mm: the highest of its heights, 1 mm at least. */
export function topOf(evidence: readonly Evidence[]): number {
  const heights = evidence.flatMap((e) =>
    e.kind === 'mark' ? [e.heightMm] : e.kind === 'bands' ? [e.sandTopMm, e.siltTopMm, e.clayTopMm] : []
  );
  return Math.max(1, ...heights.filter((mm) => mm !== undefined));
}

/** Whether a piece of evidence speaks of the sediment itself: without any there is no answer. */
export const isOfSediment = (e: Evidence): boolean =>
  e.kind === 'mark' || e.kind === 'bands' || e.kind === 'by-eye';

/** When a piece of evidence was seen, s after set-down; undefined where it has no one time. */
export function timeOf(e: Evidence): number | undefined {
  if (e.kind === 'mark') return e.timeS;
  return e.kind === 'bands' || e.kind === 'water' || e.kind === 'by-eye' ? e.atS : undefined;
}

/** All the times that a piece of evidence looks at a jar, s after set-down. */
export function timesOf(e: Evidence): number[] {
  if (e.kind === 'calibration') return Object.values(e.lines).map((line) => line.timeS);
  const timeS = timeOf(e);
  return timeS === undefined ? [] : [timeS];
}
