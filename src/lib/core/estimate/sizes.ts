import { CLAY_LIMIT_UM, SAND_TOP_UM, USDA_SAND_LIMIT_UM } from '../physics/bands.ts';
import { grainVelocity } from '../physics/settling.ts';
import { PRIORS } from './priors.ts';

/** Finest clay of the model, um. */
const CLAY_END_UM = 0.05;
/** Bands of the model, coarse first, and the classes each is cut into, even in the logarithm of size. */
export const BANDS = [
  { name: 'sand', fromUm: USDA_SAND_LIMIT_UM, toUm: SAND_TOP_UM, classes: 7 },
  { name: 'silt', fromUm: CLAY_LIMIT_UM, toUm: USDA_SAND_LIMIT_UM, classes: 9 },
  { name: 'clay', fromUm: CLAY_END_UM, toUm: CLAY_LIMIT_UM, classes: 9 }
] as const;

/** Flocs come in two sizes, a factor to either side of their middle. */
export const FLOC_SIZES = [1.4, 1 / 1.4] as const;

/** A class of a band: its ends and middle as ln um, how fast its ends and middle fall, m/s, and how its mass is shaped. */
export type SizeClass = {
  band: (typeof BANDS)[number]['name'];
  topLn: number;
  bottomLn: number;
  speed: number;
  topSpeed: number;
  bottomSpeed: number;
  /** Place in its band, from 1 (coarse) to -1, and what the bend of the band makes of its mass. */
  u: number;
  bent: number;
};

/** The classes of all bands, coarse first. Speeds: Ferguson & Church 2004. */
export function sizeClasses(o: { tempC: number; particleDensity: number }): SizeClass[] {
  const speedOf = (ln: number) => grainVelocity({ ...o, diameterUm: Math.exp(ln) });
  return BANDS.flatMap(({ name, fromUm, toUm, classes }) => {
    const wideLn = Math.log(toUm / fromUm) / classes;
    return Array.from({ length: classes }, (_, i): SizeClass => {
      const topLn = Math.log(toUm) - i * wideLn;
      const bottomLn = topLn - wideLn;
      const u = 1 - (2 * i + 1) / classes;
      return {
        band: name,
        topLn,
        bottomLn,
        speed: speedOf((topLn + bottomLn) / 2),
        topSpeed: speedOf(topLn),
        bottomSpeed: speedOf(bottomLn),
        u,
        bent: Math.exp(PRIORS.bend[name] * u * u)
      };
    });
  });
}
