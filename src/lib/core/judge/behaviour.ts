import type { Fractions } from '../physics/bands.ts';
import { crustIndex } from './crust.ts';
import type { SoilDraws } from './soil-draws.ts';
import { soilWater } from './soil-water.ts';

/** What a bed does, a figure a line. */
export type BedFigures = {
  /** Conductivity when it is full of water, mm/h. */
  drains: number;
  /** Water between full and wilting, mm in 100 mm of depth. */
  stores: number;
  /** Water that is left when it has drained, percent of the volume: wet ground warms late. */
  warms: number;
  /** Feed that it can hold, cmol/kg. */
  feeds: number;
  /** Clay, percent: what the spade feels. */
  digs: number;
  /** Capping index. */
  caps: number;
};
export type BedLine = keyof BedFigures;
export const BED_LINES = ['drains', 'stores', 'warms', 'feeds', 'digs', 'caps'] as const satisfies BedLine[];

/** Feed held by each percent of clay and of organic matter, cmol/kg: a textbook rule. */
const FEED = { clay: 0.5, organic: 2 };

/** The six figures of a soil. @throws {RangeProblem} as {@link soilWater} */
export function bedFigures({ sand, silt, clay }: Fractions, organicPct: number): BedFigures {
  const water = soilWater({ sand, clay, organicPct });
  return {
    drains: water.conductivityMmH,
    stores: water.fieldCapacityPct - water.wiltingPct,
    warms: water.fieldCapacityPct,
    feeds: FEED.clay * clay + FEED.organic * organicPct,
    digs: clay,
    caps: crustIndex({ silt, clay, organicPct })
  };
}

/** The six figures of one of the draws of a soil: where a hole was dug, that says how it drains. */
export function figuresAt({ shares, organic, drains }: SoilDraws, i: number): BedFigures {
  const soil = { sand: shares[3 * i], silt: shares[3 * i + 1], clay: shares[3 * i + 2] };
  const figures = bedFigures(soil, organic[i]);
  if (drains) figures.drains = drains[i];
  return figures;
}

/** Bounds between the words of a line, from the least up: mm/h, mm, %, cmol/kg, %, index. Conventions; see each source above. */
export const BED_BOUNDS: Readonly<Record<BedLine, readonly number[]>> = {
  drains: [5, 25, 50, 150],
  stores: [8, 13],
  warms: [15, 30],
  feeds: [8, 18],
  digs: [15, 27, 40],
  caps: [1.2, 1.6, 2]
};

/** Which word of a line a figure comes to: 0 for under the first bound. */
export const bedBand = (line: BedLine, figure: number): number =>
  BED_BOUNDS[line].filter((bound) => figure >= bound).length;

/** From so much clay on a bed cracks as it dries, percent. */
export const CRACKS_FROM = 35;

/** One line of a bed: its figure, the word it comes to, and the chance that it comes to that word. */
export type BedOutlook = { line: BedLine; figure: number; band: number; chance: number };

/**
 * The six lines of a soil, each with its chance over the draws.
 *
 * @param groundMmH conductivity by its drainage holes, where there are any
 * @throws {RangeProblem} as {@link soilWater}
 */
export function bedOutlook(
  soil: Fractions,
  organicPct: number,
  draws: SoilDraws,
  groundMmH?: number
): BedOutlook[] {
  const texture = bedFigures(soil, organicPct);
  const own = { ...texture, drains: groundMmH ?? texture.drains };
  const bands = BED_LINES.map((line) => bedBand(line, own[line]));
  const alike = new Float64Array(BED_LINES.length);
  const count = draws.organic.length;
  for (let i = 0; i < count; i++) {
    const one = figuresAt(draws, i);
    BED_LINES.forEach((line, j) => {
      if (bedBand(line, one[line]) === bands[j]) alike[j]++;
    });
  }
  return BED_LINES.map((line, j) => ({ line, figure: own[line], band: bands[j], chance: alike[j] / count }));
}

/** A figure that changes by less than this share of it stays what it was. */
const CHANGES = 0.05;

/** What more organic matter does to the lines of a bed: those that change, before and after. */
export function bedChanges(
  soil: Fractions,
  fromPct: number,
  toPct: number
): { line: BedLine; before: number; after: number; band: number }[] {
  const [before, after] = [bedFigures(soil, fromPct), bedFigures(soil, toPct)];
  return BED_LINES.filter((line) => Math.abs(after[line] - before[line]) > CHANGES * before[line]).map(
    (line) => ({ line, before: before[line], after: after[line], band: bedBand(line, after[line]) })
  );
}
