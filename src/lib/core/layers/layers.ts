import { RangeProblem } from '../errors.ts';
import { isSameLength, restOfLength } from '../units/same-length.ts';
import type { Fractions } from '../physics/bands.ts';

/** What a layer line bounds from above, bottom first. */
export type LayerName = 'gravel' | 'sand' | 'silt' | 'clay';
export const LAYER_ORDER: readonly LayerName[] = ['gravel', 'sand', 'silt', 'clay'];

/**
 * A line that can be read on the glass, bottom first: the tops of the four layers; of the coarse sand within the
 * sand; of the dark skin of settled organics over the clay; and the surface of the water.
 */
export type LineName = LayerName | 'coarse' | 'skin' | 'surface';
export const LINE_ORDER: readonly LineName[] = [
  'gravel',
  'coarse',
  'sand',
  'silt',
  'clay',
  'skin',
  'surface'
];

/** Heights of lines over the inside bottom, mm; only those that were seen. */
export type LayerTops = Partial<Record<LineName, number>>;

/** What is said of a line that lies under another. */
const LINE_WORDS: Record<LineName, string> = {
  gravel: 'top of the gravel',
  coarse: 'top of the coarse sand',
  sand: 'top of the sand',
  silt: 'top of the silt',
  clay: 'top of the clay',
  skin: 'top of the settled organics',
  surface: 'surface of the water'
};

/**
 * Checks that lines lie over one another as they do in a jar.
 * @throws {RangeProblem} naming the line that lies below the one under it
 */
export function checkLineOrder(tops: LayerTops): void {
  let below = 0;
  let belowName = 'inside bottom';
  for (const name of LINE_ORDER) {
    const top = tops[name];
    if (top === undefined) continue;
    if (top < below && !isSameLength(top, below)) {
      throw new RangeProblem(
        name,
        `The ${LINE_WORDS[name]} lies below the ${belowName}. From the bottom up it goes gravel, sand, silt, clay.`
      );
    }
    below = top;
    belowName = LINE_WORDS[name];
  }
}

/** Thicknesses in mm. */
export type Layers = { gravelMm: number; sandMm: number; siltMm: number; clayMm: number };

/**
 * Fractions as every worksheet takes them: each layer over the sum of the mineral layers under 2 mm.
 * Gravel is reported apart, over all mineral layers.
 *
 * @param o thicknesses, mm
 * @returns fractions in percent by height, the total of all mineral layers in mm, gravel percent of that total
 * @throws {RangeProblem} for a thickness below zero or no layer at all
 * @example layersAsRead({ sandMm: 20, siltMm: 15, clayMm: 5 }).fractions // { sand: 50, silt: 37.5, clay: 12.5 }
 */
export function layersAsRead(o: { sandMm: number; siltMm: number; clayMm: number; gravelMm?: number }): {
  fractions: Fractions;
  totalMm: number;
  gravelPct: number;
} {
  const gravelMm = o.gravelMm ?? 0;
  for (const [name, mm] of Object.entries({ ...o, gravelMm })) {
    if (!(mm >= 0) || !Number.isFinite(mm))
      throw new RangeProblem(name, 'A layer cannot be thinner than nothing.');
  }
  const fines = o.sandMm + o.siltMm + o.clayMm;
  if (!(fines > 0)) throw new RangeProblem('layers', 'Give at least one layer of sand, silt or clay.');
  const totalMm = fines + gravelMm;
  return {
    fractions: {
      sand: (100 * o.sandMm) / fines,
      silt: (100 * o.siltMm) / fines,
      clay: (100 * o.clayMm) / fines
    },
    totalMm,
    gravelPct: (100 * gravelMm) / totalMm
  };
}

/**
 * Thicknesses from layer tops. A top that is not given counts as lying on the one below it.
 *
 * @throws {RangeProblem} naming the line that lies below the one under it
 */
export function thicknesses(tops: LayerTops): Layers {
  checkLineOrder(tops);
  let below = 0;
  const out: Record<LayerName, number> = { gravel: 0, sand: 0, silt: 0, clay: 0 };
  for (const name of LAYER_ORDER) {
    const top = tops[name];
    if (top === undefined) continue;
    out[name] = restOfLength(top, below);
    below = top;
  }
  return { gravelMm: out.gravel, sandMm: out.sand, siltMm: out.silt, clayMm: out.clay };
}

/**
 * Compares the sum of the layers with a total that was measured apart.
 *
 * @param sigmaMm reading error of one line, mm
 * @returns the difference (layers minus total, mm), and whether it is more than reading error allows (2 sigma of
 *   the difference of two lines)
 */
export function sumCheck(
  layersMm: number,
  measuredMm: number,
  sigmaMm: number
): { differenceMm: number; allowedMm: number; agrees: boolean } {
  const differenceMm = layersMm - measuredMm;
  const allowedMm = 2 * Math.SQRT2 * sigmaMm;
  return { differenceMm, allowedMm, agrees: Math.abs(differenceMm) <= allowedMm + 1e-9 };
}
