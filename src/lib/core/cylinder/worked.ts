import type { Fractions } from '../physics/bands.ts';
import type { GradingFigures } from '../texture/grading.ts';
import type { SystemId } from '../texture/types.ts';
import type { CurvePoint } from './curve.ts';
import type { CylinderFacts } from './facts.ts';

/** A reading of an instrument: `value` in g/L or relative density of a hydrometer, dry g of a pipette draw. */
export type CylinderReading = { no: number; timeS: number; value: number; tempC: number };

/** A reading of the blank; time after the set-down of the test, which may be before it. */
export type BlankReading = { timeS: number; value: number; tempC: number };

/**
 * How sand, silt and clay are told from the readings: by the customary two readings as they stand, or from a curve at
 * the limits.
 */
export type CylinderScheme = 'two-point' | 'curve' | 'pipette';

/** Everything a cylinder test is worked out from. */
export type CylinderInput = {
  scheme: CylinderScheme;
  facts: CylinderFacts;
  readings: CylinderReading[];
  blanks: BlankReading[];
};

/** A reading with what came of it. */
export type WorkedReading = CylinderReading & {
  /** Of a hydrometer alone: g/L as read, the blank that goes with it, and what is left when it is taken off, g/L. */
  hydrometer?: { grams: number; blank?: BlankReading; corrected: number };
  /** How deep the bulb hung or the pipette drew, mm. */
  depthMm: number;
  /** Size by Stokes, and as it is shown, um. */
  diameterUm: number;
  shownUm: number;
  finerPct: number;
};

/** The readings of a cylinder so far, and the curve through them. */
export type WorkedReadings = {
  scheme: CylinderScheme;
  ovenDryG: number;
  waterPct: number;
  densityFactor: number;
  /** In order of time. */
  readings: WorkedReading[];
  curve: CurvePoint[];
  figures: GradingFigures;
};

/** A cylinder test worked out, but for how sure it is. */
export type WorkedCylinder = WorkedReadings & {
  system: SystemId;
  fractions: Fractions;
  /** Where the sand comes from, and the ends of the curve that were drawn on. */
  sandFrom: 'reading' | 'curve' | 'sieve';
  beyond: boolean;
};

/**
 * The curve of a test where it can be read between its points: two readings alone make none, and what lies between them is
 * interpolation.
 */
export function readableCurve(worked: WorkedCylinder): CurvePoint[] | undefined {
  return worked.scheme !== 'two-point' || worked.sandFrom === 'sieve' ? worked.curve : undefined;
}

/** The blank that goes with a reading: the one read nearest to it in time. */
export function blankFor(blanks: readonly BlankReading[], timeS: number): BlankReading | undefined {
  let best: BlankReading | undefined;
  for (const b of blanks) if (!best || Math.abs(b.timeS - timeS) < Math.abs(best.timeS - timeS)) best = b;
  return best;
}

/** The name a reading goes by in errors. */
export const readingField = (no: number) => `reading.${no}`;
