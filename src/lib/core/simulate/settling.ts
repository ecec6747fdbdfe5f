import {
  CLAY_FLOOR_UM,
  DEFAULT_PACKING,
  settledShare,
  suspendedShare,
  textureBands,
  USDA_SAND_LIMIT_UM,
  type Fractions
} from '../physics/bands.ts';
import { settlingColumn, type ColumnInput } from '../physics/column.ts';

/** Times at which the growing bed is looked at, from the first tenth of a second on. */
const STEPS = 400;
const FIRST_S = 0.1;

/**
 * What lies at each height of a jar at a time: the bed in the order in which it came down, and what the water holds.
 *
 * @param timeS s after set-down
 * @returns `bedMm`; `bed(h)`: shares of the solids there, summing to 1; `water(h)`: shares of all the soil that are
 *   still up at that height as a multiple of the even suspension, summing to 0-1
 */
export function bandsAtHeight(
  jar: ColumnInput,
  timeS: number
): { bedMm: number; bed(heightMm: number): Fractions; water(heightMm: number): Fractions } {
  const column = settlingColumn(jar);
  const [clay, silt, sand] = textureBands(
    jar.limitUm ?? USDA_SAND_LIMIT_UM,
    jar.clayFloorUm ?? CLAY_FLOOR_UM
  );
  const packing = jar.packing ?? DEFAULT_PACKING;
  const parts = [
    { key: 'sand' as const, band: sand, load: jar.fractions.sand / 100, density: packing.sand },
    { key: 'silt' as const, band: silt, load: jar.fractions.silt / 100, density: packing.silt },
    { key: 'clay' as const, band: clay, load: jar.fractions.clay / 100, density: packing.clay }
  ];
  const tops: number[] = [];
  const layers: Fractions[] = [];
  let height = 0;
  let before = { sand: 0, silt: 0, clay: 0 };
  for (let i = 0; i <= STEPS && timeS > FIRST_S; i++) {
    const cut = column.cutUm(FIRST_S * (timeS / FIRST_S) ** (i / STEPS));
    const down = { sand: 0, silt: 0, clay: 0 };
    const fresh = { sand: 0, silt: 0, clay: 0 };
    for (const p of parts) {
      down[p.key] = p.load * settledShare(p.band, cut);
      fresh[p.key] = Math.max(0, down[p.key] - before[p.key]);
      height += (1000 * jar.solidsKgM2 * fresh[p.key]) / p.density;
    }
    const sum = fresh.sand + fresh.silt + fresh.clay;
    if (sum > 0) {
      tops.push(height);
      layers.push({ sand: fresh.sand / sum, silt: fresh.silt / sum, clay: fresh.clay / sum });
    }
    before = down;
  }
  return {
    bedMm: height,
    bed(h) {
      let [low, high] = [0, tops.length - 1];
      while (low < high) {
        const mid = (low + high) >> 1;
        if (tops[mid] < h) low = mid + 1;
        else high = mid;
      }
      return layers[low];
    },
    water(h) {
      const depth = jar.columnMm - h;
      const out = { sand: 0, silt: 0, clay: 0 };
      if (!(depth > 0)) return out;
      const cut = timeS > 0 ? column.cutUm(timeS) * Math.sqrt(depth / jar.columnMm) : Infinity;
      for (const p of parts) out[p.key] = p.load * suspendedShare(p.band, cut);
      return out;
    }
  };
}
