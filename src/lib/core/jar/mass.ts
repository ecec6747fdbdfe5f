import { RangeProblem, requirePositive } from '../errors.ts';
import {
  CLAY_FLOOR_UM,
  CLAY_LIMIT_UM,
  DEFAULT_PACKING,
  settledShare,
  textureBands,
  USDA_SAND_LIMIT_UM,
  type Fractions,
  type Packing
} from '../physics/bands.ts';
import { settlingColumn, type Column } from '../physics/column.ts';
import { QUARTZ_DENSITY } from '../physics/settling.ts';
import { PLANNING_SOIL } from '../method/cuts.ts';
import { nonNegativeLeastSquares } from './nonnegative.ts';

/** What an estimate by mass takes for granted; each can be changed. */
export type MassAssumptions = {
  /** Slowed by crowding; true unless said otherwise. */
  hindered?: boolean;
  /** Sand/silt limit, um. */
  limitUm?: number;
  /** Finest clay, um: raised where the water was seen to clear. */
  clayFloorUm?: number;
  packing?: Packing;
  particleDensity?: number;
};

/** A jar whose layers are to be weighed by reckoning: water from the inside bottom, mm, and its warmth. */
export type MassJar = MassAssumptions & {
  columnMm: number;
  tempC: number;
  /** Dry solids that were filled in over the floor, kg/m2, where that was seen: more cannot be there. */
  fillKgM2?: number;
};

/** A timed mark with its height, the gravel taken off, mm. */
export type TimedHeight = { timeS: number; heightMm: number };

/** Fractions by mass, and the solids over the floor that the heights stand for, kg/m2. */
export type MassResult = { fractions: Fractions; solidsKgM2: number };

/** The estimate has come to rest when no fraction moves by more than this, points. */
const AT_REST = 0.005;
const ROUNDS = 40;
/** Share of the clay that has come down once the water is seen to be clear. */
const CLEAR_SHARE = 0.95;

/**
 * Height that a kg/m2 of each fraction adds at a cut diameter, mm, in the order sand, silt, clay.
 * Source: log-uniform bands, packing dry densities; see {@link settledShare}.
 */
export function heightsPerLoad(cutUm: number, o: MassAssumptions): [number, number, number] {
  const packing = o.packing ?? DEFAULT_PACKING;
  const [clay, silt, sand] = textureBands(o.limitUm ?? USDA_SAND_LIMIT_UM, o.clayFloorUm ?? CLAY_FLOOR_UM);
  return [
    (1000 * settledShare(sand, cutUm)) / packing.sand,
    (1000 * settledShare(silt, cutUm)) / packing.silt,
    (1000 * settledShare(clay, cutUm)) / packing.clay
  ];
}

/** Loads of sand, silt and clay, kg/m2, as fractions. */
export function fractionsOfLoads([sand, silt, clay]: readonly number[]): MassResult {
  const solidsKgM2 = sand + silt + clay;
  if (!(solidsKgM2 > 0)) {
    throw new RangeProblem('marks', 'These heights hold no soil. Measure the marks again.');
  }
  const share = (load: number) => (100 * load) / solidsKgM2;
  return { fractions: { sand: share(sand), silt: share(silt), clay: share(clay) }, solidsKgM2 };
}

function checkMarks(marks: readonly TimedHeight[]): void {
  if (marks.length < 3) {
    throw new RangeProblem('marks', 'By mass takes three timed marks with their heights. Measure one more.');
  }
  let before = 0;
  for (const { timeS, heightMm } of marks) {
    requirePositive('timeS', timeS);
    if (!(heightMm >= 0))
      throw new RangeProblem('marks', 'A mark lies below the inside bottom. Measure it again.');
    if (!(timeS > before))
      throw new RangeProblem('marks', 'Two marks are of the same time. Take one of them out.');
    before = timeS;
  }
}

/**
 * The settling column that fits what a solver makes of it: the load slows the settling that the load is worked out
 * from, so the two are brought to agree, round by round.
 */
function agree(
  jar: MassJar,
  start: MassResult,
  solve: (column: Column) => MassResult
): MassResult & { column: Column } {
  let guess = start;
  let column = columnOf(jar, guess);
  for (let round = 0; round < ROUNDS; round++) {
    const next = solve(column);
    const moved = Math.max(
      ...(['sand', 'silt', 'clay'] as const).map((k) => Math.abs(next.fractions[k] - guess.fractions[k])),
      (100 * Math.abs(next.solidsKgM2 - guess.solidsKgM2)) / Math.max(next.solidsKgM2, 1e-9)
    );
    guess = next;
    column = columnOf(jar, guess);
    if (moved < AT_REST) break;
  }
  return { ...guess, column };
}

/** Share of the column that grains can fill and still move, under the close packing of fresh sand. */
const MOVES_UNDER = 0.55;

/**
 * Crowding follows the load only as far as grains can still move: what is worked out on the way to an answer, from a
 * reading made while nearly all is up, may pass that, and is no more soil for it.
 */
function columnOf(jar: MassJar, { fractions, solidsKgM2 }: MassResult): Column {
  return settlingColumn({ ...jar, fractions, solidsKgM2: Math.min(solidsKgM2, mostThatMoves(jar)) });
}

/** Solids over the floor at which grains can still move, kg/m2. */
export function mostThatMoves({ columnMm, particleDensity = QUARTZ_DENSITY }: MassJar): number {
  return MOVES_UNDER * particleDensity * columnMm * 1e-3;
}

/**
 * The clay that there is, kg/m2, from what has settled of it: scaled to what should be down by now, but no more than the
 * fill leaves beside sand and silt.
 *
 * @param settled sand, silt and clay that have settled, kg/m2
 * @param down share of the clay that should be down, 0-1
 */
export function clayLoad(settled: readonly number[], down: number, fillKgM2: number): number {
  const [sand, silt, clay] = settled;
  const scaled = clay / Math.max(down, 1e-6);
  return Math.max(clay, Math.min(scaled, fillKgM2 - sand - silt));
}

/** A first guess of the load from what has settled, at a usual mix of packings. */
function firstGuess(heightMm: number, packing = DEFAULT_PACKING): MassResult {
  return { fractions: PLANNING_SOIL, solidsKgM2: Math.max(0.01, (heightMm / 1000) * packing.silt) };
}

/**
 * Estimate by mass from timed marks: the loads of sand, silt and clay, none below zero, whose settling reproduces the
 * heights of the marks at their times (least squares), with crowding by those same loads.
 *
 * Simplifications: the rising bed is not met half-way, fines do not fill the voids of the sand, flocs do not settle by
 * grain size.
 *
 * @param o.marks oldest first, three at least; s after set-down, mm over the inside bottom or over the gravel
 * @param o.columnMm water over the inside bottom, or over the gravel, mm
 * @returns percent by mass, and kg/m2
 * @throws {RangeProblem} on `marks`, or as {@link settlingColumn}
 */
export function massFromTimedMarks(
  o: MassJar & { marks: readonly TimedHeight[] }
): MassResult & { column: Column } {
  checkMarks(o.marks);
  const heights = o.marks.map((m) => m.heightMm);
  return agree(o, firstGuess(Math.max(...heights), o.packing), (column) =>
    fractionsOfLoads(
      nonNegativeLeastSquares(
        o.marks.map((m) => heightsPerLoad(column.cutUm(m.timeS), o)),
        heights
      )
    )
  );
}

/**
 * Estimate by mass from bands read at the end: thickness times packing density, and the clay that is still up added
 * from what should have come down by then.
 *
 * @param o.endS when the bands were read, s after set-down
 * @param o.clear the water was seen to be clear: nothing is still up
 * @param o.fillKgM2 what was filled in: no more clay is added than that leaves
 * @throws {RangeProblem} on `layers` when there is none, or as {@link settlingColumn}
 */
export function massFromBands(
  o: MassJar & { sandMm: number; siltMm: number; clayMm: number; endS: number; clear: boolean }
): MassResult & { column: Column } {
  const packing = o.packing ?? DEFAULT_PACKING;
  requirePositive('endS', o.endS);
  const settled = [o.sandMm * packing.sand, o.siltMm * packing.silt, o.clayMm * packing.clay].map(
    (v) => v / 1000
  );
  if (!(Math.min(...settled) >= 0) || !(settled[0] + settled[1] + settled[2] > 0)) {
    throw new RangeProblem('layers', 'Give at least one layer, and none thinner than nothing.');
  }
  return agree(o, fractionsOfLoads(settled), (column) => {
    const [clay] = textureBands(o.limitUm ?? USDA_SAND_LIMIT_UM, o.clayFloorUm ?? CLAY_FLOOR_UM);
    const down = o.clear ? 1 : settledShare(clay, column.cutUm(o.endS));
    return fractionsOfLoads([
      settled[0],
      settled[1],
      clayLoad(settled, down, o.fillKgM2 ?? mostThatMoves(o))
    ]);
  });
}

/**
 * Finest clay that lets the water be clear at a time: the lower end of the clay band raised until 95 % of it has come
 * down; flocs carry the finest with them.
 *
 * @param cutUm cut diameter over the column at the time it was seen, um
 * @returns um, between the usual floor and just under the clay limit
 */
export function clearClayFloor(cutUm: number): number {
  const shareDown = (fromUm: number) => settledShare({ fromUm, toUm: CLAY_LIMIT_UM }, cutUm);
  if (shareDown(CLAY_FLOOR_UM) >= CLEAR_SHARE) return CLAY_FLOOR_UM;
  let [low, high] = [CLAY_FLOOR_UM, CLAY_LIMIT_UM * 0.999];
  for (let i = 0; i < 60; i++) {
    const mid = (low + high) / 2;
    if (shareDown(mid) >= CLEAR_SHARE) high = mid;
    else low = mid;
  }
  return high;
}

/** Share of the clay that is still up at a cut diameter, 0-1, for a finest clay. */
export function clayStillUp(cutUm: number, clayFloorUm = CLAY_FLOOR_UM): number {
  return 1 - settledShare({ fromUm: clayFloorUm, toUm: CLAY_LIMIT_UM }, cutUm);
}
