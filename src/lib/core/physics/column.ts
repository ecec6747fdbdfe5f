import { RangeProblem, requirePositive } from '../errors.ts';
import {
  CLAY_FLOOR_UM,
  DEFAULT_PACKING,
  settledShare,
  suspendedShare,
  textureBands,
  USDA_SAND_LIMIT_UM,
  type Fractions,
  type Packing
} from './bands.ts';
import { cutDiameter, QUARTZ_DENSITY, settlingTime } from './settling.ts';

/** Exponent of hindered settling. Source: Richardson & Zaki 1954. */
const HINDERED_EXPONENT = 4.65;
/** Grid of the warped-time table: s, and points a decade. */
const TAU_FROM = 1e-3;
const TAU_TO = 1e9;
const POINTS_A_DECADE = 48;

/** What stands in the vessel at set-down. */
export type ColumnInput = {
  fractions: Fractions;
  /** Inside base to water line, mm. */
  columnMm: number;
  tempC: number;
  /** Dry solids over the floor area, kg/m2. */
  solidsKgM2: number;
  /** Slowed by crowding; true unless said otherwise. */
  hindered?: boolean;
  /** Sand/silt limit, um. */
  limitUm?: number;
  /** Lower end of the clay band, um. */
  clayFloorUm?: number;
  packing?: Packing;
  particleDensity?: number;
};

/** A settling column: heights, cut sizes and cloud at any time, from one integration of the warped time. */
export type Column = {
  /** Volume fraction of solids at set-down, 0-1. */
  phi0: number;
  /** Warped time, s: the time that uncrowded water would need to come as far. */
  warpedTime(timeS: number): number;
  /** Real time, s, at which a warped time is reached. */
  realTime(tauS: number): number;
  /** Cut diameter over the whole column, um (plain Stokes). */
  cutUm(timeS: number): number;
  /** Real time, s, at which a diameter has fallen the whole column. */
  timeOfCut(diameterUm: number): number;
  /** Height of the deposit, mm. */
  heightMm(timeS: number): number;
  /** Share of all solids still up at a depth under the water line, 0-1. */
  suspendedAt(timeS: number, depthMm: number): number;
};

function checkFractions(f: Fractions): void {
  const sum = f.sand + f.silt + f.clay;
  if (!(Math.min(f.sand, f.silt, f.clay) >= -1e-9) || !(Math.abs(sum - 100) < 0.01)) {
    throw new RangeProblem(
      'fractions',
      `Sand, silt and clay must each be 0 or more and sum to 100, not ${sum}.`
    );
  }
}

/**
 * Builds the settling column of a jar.
 *
 * All sizes share one warped time tau with `dtau/dt = (1 - phi_s(tau))^4.65` (Richardson & Zaki 1954), where
 * phi_s is the volume fraction still suspended. The equation is autonomous in tau, so t(tau) is a plain
 * integral; it is tabulated once on a logarithmic grid and read both ways.
 *
 * Simplifications: the rising bed is not met half-way, fines do not fill the voids of the sand, flocs do not
 * settle by grain size.
 *
 * @throws {RangeProblem} for impossible fractions, depths, temperatures, or solids that would fill the column
 */
export function settlingColumn(o: ColumnInput): Column {
  checkFractions(o.fractions);
  requirePositive('columnMm', o.columnMm);
  const density = o.particleDensity ?? QUARTZ_DENSITY;
  const phi0 = o.solidsKgM2 / (density * o.columnMm * 1e-3);
  if (!(phi0 >= 0 && phi0 < 0.6)) {
    throw new RangeProblem(
      'solidsKgM2',
      'There is more soil than this depth of water can lift. Use less soil.'
    );
  }
  const packing = o.packing ?? DEFAULT_PACKING;
  const [clay, silt, sand] = textureBands(o.limitUm ?? USDA_SAND_LIMIT_UM, o.clayFloorUm ?? CLAY_FLOOR_UM);
  const parts = [
    { band: clay, share: o.fractions.clay / 100, density: packing.clay },
    { band: silt, share: o.fractions.silt / 100, density: packing.silt },
    { band: sand, share: o.fractions.sand / 100, density: packing.sand }
  ];
  // Stokes: the cut falls as 1/sqrt(time), so one reference second serves all times.
  const cutAtOne = cutDiameter({ timeS: 1, fallMm: o.columnMm, tempC: o.tempC, particleDensity: density });
  const cutOfTau = (tau: number) => cutAtOne / Math.sqrt(tau);
  const suspended = (tau: number) => {
    let up = 0;
    for (const p of parts) up += p.share * (1 - settledShare(p.band, cutOfTau(tau)));
    return up;
  };
  const warp = o.hindered === false ? identityWarp() : tabulateWarp(phi0, suspended);
  return {
    phi0,
    ...warp,
    cutUm: (timeS) => cutOfTau(warp.warpedTime(timeS)),
    timeOfCut: (diameterUm) =>
      warp.realTime(
        settlingTime({ diameterUm, fallMm: o.columnMm, tempC: o.tempC, particleDensity: density })
      ),
    heightMm: (timeS) => {
      if (!(timeS > 0)) return 0;
      const cut = cutOfTau(warp.warpedTime(timeS));
      let metres = 0;
      for (const p of parts) metres += (p.share * settledShare(p.band, cut) * o.solidsKgM2) / p.density;
      return metres * 1000;
    },
    suspendedAt: (timeS, depthMm) => {
      if (!(timeS > 0)) return 1;
      if (!(depthMm > 0)) return 0;
      const cut = cutOfTau(warp.warpedTime(timeS)) * Math.sqrt(depthMm / o.columnMm);
      let up = 0;
      for (const p of parts) up += p.share * suspendedShare(p.band, cut);
      return up;
    }
  };
}

/**
 * Speed of every grain at set-down over its speed in uncrowded water.
 *
 * Source: Richardson & Zaki 1954.
 * @param phi0 volume fraction of solids, 0-1
 * @returns 0-1
 */
export function startSpeed(phi0: number): number {
  return (1 - phi0) ** HINDERED_EXPONENT;
}

type Warp = Pick<Column, 'warpedTime' | 'realTime'>;

function identityWarp(): Warp {
  return { warpedTime: (timeS) => timeS, realTime: (tauS) => tauS };
}

function tabulateWarp(phi0: number, suspended: (tau: number) => number): Warp {
  const slowness = (tau: number) => (1 - phi0 * suspended(tau)) ** -HINDERED_EXPONENT;
  const n = Math.round(Math.log10(TAU_TO / TAU_FROM) * POINTS_A_DECADE) + 1;
  const logTau = new Float64Array(n);
  const logTime = new Float64Array(n);
  const step = Math.log(TAU_TO / TAU_FROM) / (n - 1);
  let time = TAU_FROM * slowness(TAU_FROM);
  let before = time; // d(time)/d(ln tau) = tau * slowness
  logTau[0] = Math.log(TAU_FROM);
  logTime[0] = Math.log(time);
  for (let i = 1; i < n; i++) {
    logTau[i] = logTau[0] + i * step;
    const half = Math.exp(logTau[i] - step / 2);
    const tau = Math.exp(logTau[i]);
    const here = tau * slowness(tau);
    time += (step / 6) * (before + 4 * half * slowness(half) + here); // Simpson over one cell
    logTime[i] = Math.log(time);
    before = here;
  }
  return {
    warpedTime: (timeS) => (timeS > 0 ? Math.exp(readTable(logTime, logTau, Math.log(timeS))) : 0),
    realTime: (tauS) => (tauS > 0 ? Math.exp(readTable(logTau, logTime, Math.log(tauS))) : 0)
  };
}

/** Straight-line reading of a rising table, continued with the slope of its ends (1 in log-log at both). */
function readTable(xs: Float64Array, ys: Float64Array, x: number): number {
  const last = xs.length - 1;
  if (x <= xs[0]) return ys[0] + (x - xs[0]);
  if (x >= xs[last]) return ys[last] + (x - xs[last]);
  let low = 0;
  let high = last;
  while (high - low > 1) {
    const mid = (low + high) >> 1;
    if (xs[mid] <= x) low = mid;
    else high = mid;
  }
  const t = (x - xs[low]) / (xs[high] - xs[low]);
  return ys[low] + t * (ys[high] - ys[low]);
}

/**
 * Heights of the deposit at given times after set-down.
 *
 * @param o.timesS s
 * @returns mm, in the order of `timesS`
 * @example depositHeights({ fractions: { sand: 40, silt: 40, clay: 20 }, timesS: [60], columnMm: 140,
 *   tempC: 18, solidsKgM2: 40 }) // [11.93]
 */
export function depositHeights(o: ColumnInput & { timesS: number[] }): number[] {
  const column = settlingColumn(o);
  return o.timesS.map((timeS) => column.heightMm(timeS));
}
