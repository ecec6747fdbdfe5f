import {
  summariseDraws,
  type Fractions,
  type Material,
  type Technique,
  type WallSoil
} from '../core/index.ts';

/** What of a material its soil tells: the rest is of its buckets. */
export type Ground = Pick<Material, 'shares' | 'sd' | 'gravelPct' | 'stoneMm' | 'organicPct'>;

/** A soil as a material of a blend, by what a technique is judged on; the other basis where that is not known. */
export function groundOf(soil: WallSoil, on: Technique['on']): Ground | undefined {
  const fractions = soil[on] ?? soil.heights ?? soil.mass;
  if (!fractions || soil.only) return undefined;
  const { mean, sd } = summariseDraws({ fractions, kept: fractions.length / 3 });
  const { gravelPct, stoneMm, organicPct } = soil;
  return { shares: mean, sd, gravelPct, stoneMm, organicPct };
}

/** Without gravel nothing in it is bigger than sand, mm. */
const SAND_MM = 2;
/** Percentages of a material that nobody ran a jar of are taken for as sure as this, points. */
const TYPED_SD = 3;

/** Sand and clay that were typed as a material, percent; undefined where they make none. */
export function groundTyped(text: string): Ground | undefined {
  const [sand, clay] = text.split('/').map((part) => (part.trim() === '' ? NaN : Number(part)));
  if (!(sand >= 0 && clay >= 0 && sand + clay <= 100)) return undefined;
  const shares: Fractions = { sand, silt: 100 - sand - clay, clay };
  return {
    shares,
    sd: { sand: TYPED_SD, clay: TYPED_SD },
    gravelPct: 0,
    stoneMm: SAND_MM,
    organicPct: undefined
  };
}
