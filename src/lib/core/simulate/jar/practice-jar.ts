import { normalStream } from '../../certainty/draws.ts';
import { requirePositive } from '../../errors.ts';
import { FILL } from '../../estimate/priors.ts';
import { emptyMake, spreadOf, UNKNOWNS, type JarMake } from '../../estimate/unknowns.ts';
import type { Fractions } from '../../physics/bands.ts';

/** What goes wrong on request, beside what the settings themselves bring about. */
export const MISHAPS = ['foam', 'stones', 'knocked', 'tilted'] as const;
export type Mishap = (typeof MISHAPS)[number];

/** A jar to practise on: what goes into it, and what is done to it. */
export type PracticeJar = {
  /** Shares of the earth under 2 mm by mass, percent. */
  fractions: Fractions;
  /** Top of the loose dry soil, and the water line, over the inside bottom, mm. */
  soilMm: number;
  waterMm: number;
  innerDiameterMm: number;
  tempC: number;
  dispersant: boolean;
  /** Tap water with lime in it: clay gathers to flocs where nothing keeps it apart. */
  hardWater: boolean;
  shakenMin: number;
  mishaps: readonly Mishap[];
  /** Makes one jar differ from the next as soils of one class do; 0 is the usual one. */
  seed: number;
};

/** How far the clay hangs together, by what is in the water. Set by hand: mostly none or nearly all. */
const FLOCS = { kept: 0.03, keptHard: 0.2, left: 0.4, leftHard: 0.95 } as const;
/** Share of the fines that is still crumbs when the shaking begins, and the minutes in which it falls to a third. */
const CRUMBS = { share: 0.35, minutes: 3 } as const;
/** Share of the fines that foam holds back. */
const HELD_BY_FOAM = 0.08;
/** Share of the solids that is stones, where nobody sieved. */
const STONES = 0.22;
/** A share that is never quite nothing, so that its logarithm stands. */
const LEAST_SHARE = 1e-4;
/** How far one jar of a soil differs from the next, as a share of what the priors of the estimate allow. Set by hand. */
const DIFFERS = 0.8;
/** When the jar is knocked, s after set-down, and how much of its bed goes up again. */
export const KNOCK = { atS: 900, upShare: 0.35 } as const;
/** How far a tilted jar leans, degrees. */
export const LEAN_DEG = 6;

/** What the forward model makes of a practice jar. */
export type ModelledJar = {
  make: JarMake;
  /** Floor on which the earth comes to rest: the inside bottom, or the top of the stones, mm. */
  floorMm: number;
  /** Water over that floor, mm. */
  columnMm: number;
  innerDiameterMm: number;
  tempC: number;
  knockS?: number;
  leanDeg: number;
  /** What of the soil the foam holds back, kg/m2, and what falls as sand: sand, and crumbs of the fines, as shares of it. */
  held: Fractions;
  fallsAsSand: Fractions;
};

/**
 * What the forward model of the estimate makes of a practice jar: its load from the fill, its flocs from dispersant and water,
 * crumbs from too short a shaking, and what else went wrong.
 *
 * @throws {RangeProblem} for a fill or a water line that is not above zero
 */
export function modelledJar(o: PracticeJar): ModelledJar {
  requirePositive('soilMm', o.soilMm);
  requirePositive('waterMm', o.waterMm);
  const stones = o.mishaps.includes('stones') ? STONES : 0;
  const solids = (FILL.kgM3 * o.soilMm) / 1000;
  const floorMm = (1000 * solids * stones) / FILL.gravelKgM3;
  const heldShare = o.mishaps.includes('foam') ? HELD_BY_FOAM : 0;
  const crumbShare = CRUMBS.share * Math.exp(-o.shakenMin / CRUMBS.minutes);
  const fines = (1 - heldShare) * (1 - crumbShare);
  const whole = o.fractions.sand + o.fractions.silt + o.fractions.clay;
  const [sand, silt, clay] = [o.fractions.sand, o.fractions.silt, o.fractions.clay].map((x) =>
    Math.max(LEAST_SHARE, x / whole)
  );
  // Crumbs lie with the sand; what the foam holds is not there.
  const parts = {
    sand: sand + (silt + clay) * (1 - heldShare) * crumbShare,
    silt: silt * fines,
    clay: clay * fines
  };
  const left = parts.sand + parts.silt + parts.clay;
  const make: JarMake = {
    ...emptyMake(),
    sand: parts.sand / left,
    silt: parts.silt / left,
    clay: parts.clay / left,
    loadKgM2: solids * (1 - stones) * left
  };
  const z = new Float64Array(UNKNOWNS);
  if (o.seed !== 0) {
    const normal = normalStream(o.seed);
    for (let i = 0; i < UNKNOWNS; i++) z[i] = DIFFERS * normal();
  }
  spreadOf(z, 0, make);
  make.flocShare = o.dispersant
    ? o.hardWater
      ? FLOCS.keptHard
      : FLOCS.kept
    : o.hardWater
      ? FLOCS.leftHard
      : FLOCS.left;
  return {
    make,
    floorMm,
    columnMm: o.waterMm - floorMm,
    innerDiameterMm: o.innerDiameterMm,
    tempC: o.tempC,
    knockS: o.mishaps.includes('knocked') ? KNOCK.atS : undefined,
    leanDeg: o.mishaps.includes('tilted') ? LEAN_DEG : 0,
    held: {
      sand: 0,
      silt: silt * heldShare * solids * (1 - stones),
      clay: clay * heldShare * solids * (1 - stones)
    },
    fallsAsSand: {
      sand: sand / parts.sand,
      silt: (silt * (1 - heldShare) * crumbShare) / parts.sand,
      clay: (clay * (1 - heldShare) * crumbShare) / parts.sand
    }
  };
}
