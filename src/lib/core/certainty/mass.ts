import { known } from '../known.ts';
import { CLAY_FLOOR_UM, DEFAULT_PACKING, type Fractions, type Packing } from '../physics/bands.ts';
import type { Column } from '../physics/column.ts';
import { waterDensity, waterViscosity } from '../physics/water.ts';
import { QUARTZ_DENSITY } from '../physics/settling.ts';
import { RangeProblem } from '../errors.ts';
import type { Clarity } from '../jar/clarity.ts';
import { normalShare } from './difference.ts';
import type { Layers } from '../layers/layers.ts';
import {
  clayLoad,
  clearClayFloor,
  clayStillUp,
  fractionsOfLoads,
  heightsPerLoad,
  mostThatMoves,
  massFromBands,
  massFromTimedMarks,
  type MassJar,
  type TimedHeight
} from '../jar/mass.ts';
import { nonNegativeLeastSquares } from '../jar/nonnegative.ts';
import { classifyTexture, textureSystems } from '../texture/classify.ts';
import type { SystemId } from '../texture/types.ts';
import { convertLimit } from '../texture/limits.ts';
import { countClasses, namedChances } from './classes.ts';
import {
  DEFAULT_SEED,
  normalStream,
  summariseDraws,
  tellsApart,
  type BoundarySigmas,
  type FractionDraws
} from './draws.ts';
import { workingOfBands, workingOfMarks, type MassWorking } from './mass-working.ts';
import { densityGrid, type DensityGrid } from './region.ts';

/** Standard errors of the logs of packing densities, of the model's heights, of the warmth, degC, and of a mark, s. */
export const MASS_SIGMAS = {
  packing: { sand: 0.05, silt: 0.1, clay: 0.25 },
  /** Of the log of what a height of dry fill weighs. */
  fillLog: 0.16,
  heightLog: 0.1,
  tempC: 1,
  markS: 2
} as const;

/** Each draw solves for three loads: fewer than for heights, a percentage still stands to within a point. */
export const MASS_DRAWS = 5000;

/** What an estimate by mass is made from. Heights over the inside bottom, mm; gravel is taken off here. */
export type MassInput = {
  jar: MassJar;
  gravelMm: number;
  clarity: Clarity;
  /** A dispersant was used: without one the clay is partly crumbs, and marks say little of sizes. */
  dispersed: boolean;
  /** When the layers were read, s after set-down. */
  endS: number;
} & (
  | { basis: 'marks'; marks: readonly (TimedHeight & { sigmaMm: number })[] }
  | { basis: 'bands'; layers: Layers; sigmas: BoundarySigmas }
);

/** An estimate by mass: fractions, class, how sure, and what it leaves open. */
export type MassEstimate = {
  basis: 'marks' | 'bands';
  fractions: Fractions;
  solidsKgM2: number;
  class: { id: string; name: string };
  probability: number;
  /** Classes by probability, largest first. */
  classes: { id: string; name: string; probability: number }[];
  sd: Fractions;
  /** Percent of the clay that is still up when the layers are read, by this estimate. */
  clayUpPct: number;
  /** Where the water was neither seen to be clear nor to be cloudy: the clay if it was the one, and the other. */
  clayRange?: { clear: number; cloudy: number; seen?: 'hazy' };
  /** Set where the estimate stands on doubtful ground. */
  doubtful?: 'not-dispersed';
  /** The fractions under the sand limit that was asked for, where it is not that of the system; um. */
  underLimit?: { limitUm: number; fractions: Fractions };
  /** Line by line; left out by records from before it was kept. */
  working?: MassWorking;
};

type Solved = { fractions: Fractions; solidsKgM2: number; column: Column; jar: MassJar };

function solve(o: MassInput, jar: MassJar, clear: boolean): Solved {
  const overGravel = { ...jar, columnMm: jar.columnMm - o.gravelMm };
  if (o.basis === 'marks') {
    const marks = o.marks.map((m) => ({ timeS: m.timeS, heightMm: m.heightMm - o.gravelMm }));
    return { ...massFromTimedMarks({ ...overGravel, marks }), jar: overGravel };
  }
  const { sandMm, siltMm, clayMm } = o.layers;
  return {
    ...massFromBands({ ...overGravel, sandMm, siltMm, clayMm, endS: o.endS, clear }),
    jar: overGravel
  };
}

/** The finest clay that clear water would mean, and that cloudy water would, um. */
function clayFloors(o: MassInput, column: Column): { clearUm: number; cloudyUm: number } {
  const clearUm = clearClayFloor(column.cutUm(o.endS));
  return { clearUm, cloudyUm: Math.min(clearUm, o.jar.clayFloorUm ?? CLAY_FLOOR_UM) };
}

/**
 * The estimate for one view of the water: clear water means that the finest clay there is has come down, cloudy that it
 * is as fine as it can be, hazy half-way between in the logarithm of size. Where nobody looked it stands half-way too, and
 * its draws go from the one end to the other.
 */
function solveAs(o: MassInput, water: Clarity): Solved {
  const first = solve(o, o.jar, water === 'clear');
  if (water === 'cloudy' || (water === 'clear' && o.basis === 'bands')) return first;
  const { clearUm, cloudyUm } = clayFloors(o, first.column);
  const clayFloorUm = water === 'clear' ? clearUm : Math.sqrt(clearUm * cloudyUm);
  return solve(o, { ...o.jar, clayFloorUm }, false);
}

/**
 * Estimates by mass with its certainty: reading errors, packing, warmth, time of the marks, and the model's own heights
 * drawn at random, 5,000 times. Each draw is solved in the warped time of the estimate itself, for crowding hardly
 * moves within the errors.
 *
 * @returns the estimate, and the density grid for its region (not part of the record)
 * @throws {RangeProblem} as {@link massFromTimedMarks} and {@link massFromBands}
 */
export function estimateMass(
  o: MassInput,
  system: SystemId,
  how: { draws?: number; seed?: number } = {}
): { estimate: MassEstimate; region: DensityGrid } {
  const solved = solveAs(o, o.clarity);
  const { solidsKgM2, column } = solved;
  const draws = drawMass(o, solved, how.draws ?? MASS_DRAWS, how.seed ?? DEFAULT_SEED);
  const systemUm = textureSystems[system].limitsUm[1];
  const askedUm = o.jar.limitUm ?? systemUm;
  const fractions = convertLimit(solved.fractions, askedUm, systemUm);
  convertDraws(draws.fractions, askedUm, systemUm);
  const probabilities = countClasses(system, draws);
  const own = classifyTexture(system, fractions);
  return {
    estimate: {
      basis: o.basis,
      fractions,
      solidsKgM2,
      class: own,
      probability: probabilities[own.id] ?? 0,
      classes: namedChances(system, probabilities),
      sd: summariseDraws(draws).sd,
      clayUpPct: o.clarity === 'clear' ? 0 : 100 * clayStillUp(column.cutUm(o.endS), solved.jar.clayFloorUm),
      ...clayRange(o),
      ...(askedUm === systemUm ? {} : { underLimit: { limitUm: askedUm, fractions: solved.fractions } }),
      working: workingOf(o, solved),
      ...(o.dispersed ? {} : { doubtful: 'not-dispersed' as const })
    },
    region: densityGrid(draws)
  };
}

/** The clay under both views of the water, where it was neither. */
function clayRange(o: MassInput): Pick<MassEstimate, 'clayRange'> {
  if (o.clarity === 'clear' || o.clarity === 'cloudy') return {};
  const [clear, cloudy] = (['clear', 'cloudy'] as const).map((water) => solveAs(o, water).fractions.clay);
  return { clayRange: { clear, cloudy, ...(o.clarity === 'hazy' ? { seen: 'hazy' } : {}) } };
}

/** Every draw, triples of sand, silt and clay, under the limit of the system. */
function convertDraws(triples: Float64Array, fromUm: number, toUm: number): void {
  if (fromUm === toUm) return;
  for (let i = 0; i < triples.length; i += 3) {
    const drawn = { sand: triples[i], silt: triples[i + 1], clay: triples[i + 2] };
    const moved = convertLimit(drawn, fromUm, toUm);
    triples.set([moved.sand, moved.silt, moved.clay], i);
  }
}

function workingOf(o: MassInput, solved: Solved): MassWorking {
  if (o.basis === 'bands') {
    return workingOfBands({ ...solved, layers: o.layers, endS: o.endS, clear: o.clarity === 'clear' });
  }
  const marks = o.marks.map((m) => ({ timeS: m.timeS, heightMm: m.heightMm - o.gravelMm }));
  return workingOfMarks({ ...solved, marks });
}

/** How much larger a cut is in other water: with the root of viscosity over the weight of a grain in it (Stokes). */
function cutFactor(tempC: number, otherC: number, density: number): number {
  const stokes = (t: number) => waterViscosity(t) / (density - waterDensity(t));
  return Math.sqrt(stokes(otherC) / stokes(tempC));
}

function drawMass(o: MassInput, { column, jar }: Solved, asked: number, seed: number): FractionDraws {
  const normal = normalStream(seed);
  const density = jar.particleDensity ?? QUARTZ_DENSITY;
  const usual = jar.packing ?? DEFAULT_PACKING;
  const drawPacking = (): Packing => ({
    sand: usual.sand * Math.exp(MASS_SIGMAS.packing.sand * normal()),
    silt: usual.silt * Math.exp(MASS_SIGMAS.packing.silt * normal()),
    clay: usual.clay * Math.exp(MASS_SIGMAS.packing.clay * normal())
  });
  const drawCut = () => {
    const other = Math.min(40, Math.max(0, jar.tempC + MASS_SIGMAS.tempC * normal()));
    const factor = cutFactor(jar.tempC, other, density);
    return (timeS: number) => factor * column.cutUm(timeS);
  };
  const drawLoads = o.basis === 'marks' ? loadsOfMarks(o) : loadsOfBands(o);
  const { clearUm, cloudyUm } = clayFloors(o, column);
  /** Even over the logarithm of size from cloudy to clear where nobody looked. */
  const drawFloor = (): number | undefined =>
    o.clarity === 'unseen' ? cloudyUm * (clearUm / cloudyUm) ** normalShare(normal()) : jar.clayFloorUm;
  const fillKgM2 = jar.fillKgM2 ?? mostThatMoves(jar);
  const drawFill = () => fillKgM2 * Math.exp(MASS_SIGMAS.fillLog * normal());
  const fractions = new Float64Array(asked * 3);
  let kept = 0;
  for (let i = 0; i < asked; i++) {
    const drawnJar = { ...jar, packing: drawPacking(), clayFloorUm: drawFloor(), fillKgM2: drawFill() };
    const loads = drawLoads(normal, drawnJar, drawCut());
    if (!loads || !(loads[0] + loads[1] + loads[2] > 0)) continue;
    const drawn = fractionsOfLoads(loads).fractions;
    fractions.set([drawn.sand, drawn.silt, drawn.clay], kept * 3);
    kept += 1;
  }
  const out = { fractions: fractions.subarray(0, kept * 3), kept, asked };
  if (!tellsApart(out)) {
    throw new RangeProblem('sigmas', 'The lines are too unsure to weigh the layers by. Read them again.');
  }
  return out;
}

type DrawLoads = (
  normal: () => number,
  jar: MassJar,
  cutAt: (timeS: number) => number
) => readonly number[] | undefined;

/** A draw whose heights cross is thrown away: what has settled does not rise again. */
function loadsOfMarks(o: MassInput & { basis: 'marks' }): DrawLoads {
  return (normal, jar, cutAt) => {
    const rows = o.marks.map((m) =>
      heightsPerLoad(cutAt(Math.max(1, m.timeS + MASS_SIGMAS.markS * normal())), jar)
    );
    const heights = o.marks.map((m) => {
      const read = m.heightMm - o.gravelMm + m.sigmaMm * normal();
      return Math.max(0, read * Math.exp(MASS_SIGMAS.heightLog * normal()));
    });
    if (heights.some((h, i) => i > 0 && h < heights[i - 1])) return undefined;
    return nonNegativeLeastSquares(rows, heights);
  };
}

/** Boundaries are drawn, not thicknesses; a draw whose lines cross is thrown away. */
function loadsOfBands(o: MassInput & { basis: 'bands' }): DrawLoads {
  const { gravelMm, sandMm, siltMm, clayMm } = o.layers;
  const floorSigma = gravelMm > 0 ? o.sigmas.gravel : o.sigmas.base;
  return (normal, jar, cutAt) => {
    const packing = known(jar.packing, 'each draw has a packing of its own');
    const floor = floorSigma * normal();
    const sand = sandMm > 0 ? sandMm + o.sigmas.sand * normal() : floor;
    const silt = siltMm > 0 ? sandMm + siltMm + o.sigmas.silt * normal() : sand;
    const clay = clayMm > 0 ? sandMm + siltMm + clayMm + o.sigmas.clay * normal() : silt;
    if (sand < floor || silt < sand || clay < silt) return undefined;
    const down = o.clarity === 'clear' ? 1 : 1 - clayStillUp(cutAt(o.endS), jar.clayFloorUm);
    const settled = [
      (sand - floor) * packing.sand,
      (silt - sand) * packing.silt,
      (clay - silt) * packing.clay
    ].map((v) => v / 1000);
    return [
      settled[0],
      settled[1],
      clayLoad(settled, down, known(jar.fillKgM2, 'each draw has a fill of its own'))
    ];
  };
}
