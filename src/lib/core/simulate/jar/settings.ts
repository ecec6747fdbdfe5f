import type { Fractions } from '../../physics/bands.ts';
import type { Vessel } from '../../vessel/vessel.ts';
import { soilOfSeed } from '../soils.ts';
import { MISHAPS, type Mishap, type PracticeJar } from './practice-jar.ts';

/** What goes wrong on request by the settings alone, beside the {@link MISHAPS}. */
export const SLIPS_OF_SETTING = ['overfilled', 'little', 'cold', 'flocs', 'early'] as const;
export type Wrong = (typeof SLIPS_OF_SETTING)[number] | Mishap;
export const WRONGS: readonly Wrong[] = [...SLIPS_OF_SETTING, ...MISHAPS];

/** What somebody chooses of a practice jar. */
export type JarSettings = {
  /** The soil, by choice; with `hidden` it is that of a seed, and nobody is told. */
  fractions: Fractions;
  hidden?: number;
  soilMm: number;
  waterMm: number;
  tempC: number;
  shakenMin: number;
  dispersant: boolean;
  hardWater: boolean;
  wrong: readonly Wrong[];
};

/** Shares of the height to the shoulder, mm, degC and s that the slips of setting stand for. */
const OVERFILLED_SHARE = 0.72;
const LITTLE_MM = 9;
const COLD_C = 3;
const EARLY_S = 600;

/**
 * The jar that settings come to: what goes wrong has its way over what was chosen.
 *
 * @returns the jar, and when somebody in a hurry would read it, s
 */
export function jarOfSettings(o: JarSettings, vessel: Vessel): { jar: PracticeJar; readAtS?: number } {
  const has = (wrong: Wrong) => o.wrong.includes(wrong);
  const soilMm = has('overfilled')
    ? Math.round(OVERFILLED_SHARE * vessel.shoulderHeightMm)
    : has('little')
      ? LITTLE_MM
      : o.soilMm;
  return {
    jar: {
      fractions: o.hidden === undefined ? o.fractions : soilOfSeed(o.hidden),
      soilMm,
      waterMm: Math.max(o.waterMm, soilMm + 10),
      innerDiameterMm: vessel.innerDiameterMm,
      tempC: has('cold') ? COLD_C : o.tempC,
      dispersant: o.dispersant && !has('flocs'),
      hardWater: o.hardWater || has('flocs'),
      shakenMin: o.shakenMin,
      mishaps: MISHAPS.filter(has),
      seed: o.hidden ?? 0
    },
    readAtS: has('early') ? EARLY_S : undefined
  };
}
