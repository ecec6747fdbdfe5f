import {
  cutDiameter,
  cutDiameterForDisplay,
  grainDiameter,
  grainVelocity,
  STOKES_LIMIT_UM
} from '../physics/settling.ts';
import { settlingColumn, startSpeed, type Column, type ColumnInput } from '../physics/column.ts';
import { CLAY_LIMIT_UM, USDA_SAND_LIMIT_UM, type Fractions } from '../physics/bands.ts';
import { waterDensity, waterViscosity } from '../physics/water.ts';
import { instrumentAt } from './next.ts';
import type { RunMethod, TimedMark } from './types.ts';

/** The soil taken for planning, before anything is known: an even garden loam. */
export const PLANNING_SOIL: Fractions = { sand: 40, silt: 40, clay: 20 };

/** A mark of a method, with what it means in this jar and water; `warpedS` is what its time counts in clear water, s. */
export type MarkMeaning = TimedMark & { cutUm: number; warpedS: number };

/** When the size limits fall due in this jar and water, and what the method's marks cut. */
export type CutReport = {
  marks: MarkMeaning[];
  /** Sand/silt limit and clay limit, um, and the real times, s, at which each has fallen the column. */
  trueMarks: { diameterUm: number; atS: number }[];
  phi0: number;
  /** Speed of every grain at set-down, percent of its speed in uncrowded water. */
  startSpeedPct: number;
  /** What the figures stand on: viscosity in Pa s, density in kg/m3. */
  water: { viscosity: number; density: number };
  solidsKgM2: number;
};

/** The jar as the cut sizes see it. */
export type CutInput = { columnMm: number; tempC: number; solidsKgM2: number } & Partial<
  Pick<ColumnInput, 'fractions' | 'hindered' | 'limitUm' | 'particleDensity'>
>;

/** The cut diameter to show for a time in a column: Stokes to 60 um, the law for natural grains above. */
export function shownCut(column: Column, columnMm: number, tempC: number, timeS: number): number {
  const tau = column.warpedTime(timeS);
  const plain = cutDiameter({ timeS: tau, fallMm: columnMm, tempC });
  return plain <= STOKES_LIMIT_UM ? plain : grainDiameter({ velocity: (columnMm * 1e-3) / tau, tempC });
}

/** Real time, s, at which a size has fallen the whole column: the inverse of {@link shownCut}. */
export function timeOfShownCut(column: Column, columnMm: number, tempC: number, diameterUm: number): number {
  if (diameterUm <= STOKES_LIMIT_UM) return column.timeOfCut(diameterUm);
  return column.realTime((columnMm * 1e-3) / grainVelocity({ diameterUm, tempC }));
}

/**
 * Translates a method's marks into sizes for one jar: what each mark cuts, and when the sand/silt and the
 * clay limit would really fall due. Crowding is counted, with {@link PLANNING_SOIL} unless the soil is given.
 */
export function cutReport(method: RunMethod, jar: CutInput): CutReport {
  const column = settlingColumn({ fractions: PLANNING_SOIL, ...jar });
  const limits = [jar.limitUm ?? USDA_SAND_LIMIT_UM, CLAY_LIMIT_UM];
  return {
    marks: method.marks.map((m) => ({
      ...m,
      cutUm: shownCut(column, jar.columnMm, jar.tempC, m.atS),
      warpedS: column.warpedTime(m.atS)
    })),
    trueMarks: limits.map((diameterUm) => ({
      diameterUm,
      atS: timeOfShownCut(column, jar.columnMm, jar.tempC, diameterUm)
    })),
    phi0: column.phi0,
    startSpeedPct: 100 * startSpeed(column.phi0),
    water: { viscosity: waterViscosity(jar.tempC), density: waterDensity(jar.tempC) },
    solidsKgM2: jar.solidsKgM2
  };
}

/**
 * True marks: when a size has really fallen the whole column of a jar, crowding counted.
 *
 * @param sizesUm um
 * @returns s after set-down, in the order of `sizesUm`
 */
export function trueTimes(jar: CutInput, sizesUm: readonly number[]): number[] {
  const column = settlingColumn({ fractions: PLANNING_SOIL, ...jar });
  return sizesUm.map((um) => timeOfShownCut(column, jar.columnMm, jar.tempC, um));
}

/** Sizes at which true marks may part sand from silt, um: those of the schools. */
export const TRUE_SAND_LIMITS_UM = [50, 63, 20] as const;

/**
 * True marks: a method's marks moved to where the size limits really fall due in one jar. Sand is marked when
 * `sandUm` has fallen the column, silt when 2 um has; the last mark stays when the method reads the jar, or comes half
 * as late again where the silt takes longer than that.
 *
 * @returns marks, s after set-down, to the second
 */
export function trueMarks(method: RunMethod, jar: CutInput, sandUm: number): TimedMark[] {
  const [sandS, siltS] = trueTimes(jar, [sandUm, CLAY_LIMIT_UM]).map(Math.round);
  const clayS = Math.max(method.end.fromS, Math.round(siltS * 1.5));
  return [
    { layer: 'sand', atS: sandS },
    { layer: 'silt', atS: siltS },
    { layer: 'clay', atS: clayS, untilS: Math.max(method.end.toS, clayS * 2) }
  ];
}

/** Where one moment of a method cuts the sizes. */
export type StripCut = {
  /** A line put on the glass, an instrument read, or bands read when it is over. */
  how: 'mark' | 'reading' | 'end';
  layer?: TimedMark['layer'];
  /** s after set-down. */
  atS: number;
  /** All coarser than this has fallen past, um. */
  cutUm: number;
  /** Where a window is given: its end, s, and what that cuts, um. */
  untilS?: number;
  untilCutUm?: number;
};

/**
 * Every moment of a method as the size it cuts, so that methods can be laid side by side on one strip.
 * Marks and bands cut over the whole column of the jar, crowding counted; instruments over their own depth, in thin
 * suspensions where crowding is small.
 *
 * @param jar one vessel, fill and water for all methods
 */
export function methodCuts(method: RunMethod, jar: CutInput): StripCut[] {
  const column = settlingColumn({ fractions: PLANNING_SOIL, ...jar });
  const cut = (timeS: number) => shownCut(column, jar.columnMm, jar.tempC, timeS);
  const marks = method.marks.map(({ layer, atS, untilS }) => ({
    how: 'mark' as const,
    layer,
    atS,
    cutUm: cut(atS),
    ...(untilS === undefined ? {} : { untilS, untilCutUm: cut(untilS) })
  }));
  const readings = (method.readings ?? []).map((reading) => {
    const { tempC } = jar;
    const { fallMm } = reading;
    const timeS = instrumentAt(reading, tempC);
    return { how: 'reading' as const, atS: timeS, cutUm: cutDiameterForDisplay({ timeS, fallMm, tempC }) };
  });
  if (marks.length + readings.length > 0) return [...marks, ...readings];
  const { fromS, toS } = method.end;
  return [{ how: 'end', atS: fromS, cutUm: cut(fromS), untilS: toS, untilCutUm: cut(toS) }];
}
