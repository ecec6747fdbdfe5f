import { known } from '../known.ts';
import { normalStream } from '../certainty/draws.ts';
import {
  CLAY_FLOOR_UM,
  CLAY_LIMIT_UM,
  SAND_TOP_UM,
  USDA_SAND_LIMIT_UM,
  type Fractions
} from '../physics/bands.ts';
import { dryMassOf, FULL_CYLINDER_ML, type CylinderFacts } from '../cylinder/facts.ts';
import { densityFactor, sizeAtReading, temperatureCorrection } from '../cylinder/hydrometer.ts';
import { cutDiameter } from '../physics/settling.ts';

/** Something that is read: a real one by a person, a simulated one by the model. Both answer the same question. */
export type Instrument = {
  kind: 'hydrometer' | 'thermometer' | 'balance' | 'gauge';
  /** False for what a person reads. */
  simulated: boolean;
  /** Smallest step of its scale, in the unit of `read`. */
  step: number;
  /** What it shows; null where nobody has read it. Hydrometer g/L or relative density, thermometer degC, balance g, gauge of a press MPa. */
  read: () => number | null;
};

/** One that the model reads: it always shows something. */
export type SimulatedInstrument = Omit<Instrument, 'read'> & { read: () => number };

/** Errors of the simulated instruments, one sigma: of a scale read by eye, and of the balance. */
export const SIMULATED_SIGMA = { hydrometer: 0.1, thermometer: 0.1, balance: 0.0003 } as const;

/** The soil in a simulated cylinder. */
export type SimulatedCylinder = { fractions: Fractions; facts: CylinderFacts; tempC: number; blank: number };

const toStep = (value: number, step: number) => Math.round(value / step) * step;

/** Percent finer than a size of a soil whose three bands are each even in the logarithm of size. */
export function simulatedFiner(f: Fractions, diameterUm: number): number {
  const part = (from: number, to: number) =>
    Math.min(1, Math.max(0, Math.log(diameterUm / from) / Math.log(to / from)));
  return (
    f.clay * part(CLAY_FLOOR_UM, CLAY_LIMIT_UM) +
    f.silt * part(CLAY_LIMIT_UM, USDA_SAND_LIMIT_UM) +
    f.sand * part(USDA_SAND_LIMIT_UM, SAND_TOP_UM)
  );
}

/** The true reading of a 152H in a settling suspension, g/L: its depth depends on itself, so by repeated halving. */
function trueReading({ fractions, facts, tempC, blank }: SimulatedCylinder, timeS: number): number {
  const { ovenDryG } = dryMassOf(facts);
  const a = densityFactor(facts.particleDensity);
  const grams = (ovenDryG / a) * (FULL_CYLINDER_ML / facts.cylinderMl);
  let [low, high] = [-5, 60];
  for (let i = 0; i < 40; i++) {
    const r = (low + high) / 2;
    const size = sizeAtReading({
      scale: r,
      meniscus: facts.meniscus,
      timeS,
      tempC,
      particleDensity: facts.particleDensity
    });
    const says = (grams * simulatedFiner(fractions, size)) / 100 + blank;
    if (says > r) low = r;
    else high = r;
  }
  return (low + high) / 2;
}

/** A 152H in a simulated cylinder, `timeS` after set-down. */
export function simulatedHydrometer(
  cylinder: SimulatedCylinder,
  timeS: number,
  seed: number
): SimulatedInstrument {
  const step = 0.5;
  const noise = normalStream(seed)() * SIMULATED_SIGMA.hydrometer;
  return {
    kind: 'hydrometer',
    simulated: true,
    step,
    read: () => toStep(trueReading(cylinder, timeS) + noise, step)
  };
}

/** The same bulb in the blank: what dispersant and warmth make it show. */
export function simulatedBlank({ blank }: SimulatedCylinder, seed: number): SimulatedInstrument {
  const step = 0.5;
  const noise = normalStream(seed)() * SIMULATED_SIGMA.hydrometer;
  return { kind: 'hydrometer', simulated: true, step, read: () => toStep(blank + noise, step) };
}

/** What a blank of dispersant shows at a warmth, g/L: the dispersant weighs it up, warmer water down. */
export function simulatedBlankAt(tempC: number, dispersantGL: number): number {
  return dispersantGL - temperatureCorrection(tempC);
}

export function simulatedThermometer(tempC: number, seed: number): SimulatedInstrument {
  const step = 0.1;
  const noise = normalStream(seed)() * SIMULATED_SIGMA.thermometer;
  return { kind: 'thermometer', simulated: true, step, read: () => toStep(tempC + noise, step) };
}

/** A balance on which a true mass lies, g. */
export function simulatedBalance(trueG: number, seed: number): SimulatedInstrument {
  const step = 0.0001;
  const noise = normalStream(seed)() * SIMULATED_SIGMA.balance;
  return { kind: 'balance', simulated: true, step, read: () => toStep(Math.max(0, trueG + noise), step) };
}

/** The dry mass of a draw by pipette, g, dispersant and all. */
export function simulatedDraw({ fractions, facts, tempC }: SimulatedCylinder, timeS: number): number {
  const { volumeMl, depthMm, dispersantG } = known(facts.pipette, 'a draw is by pipette');
  const { ovenDryG } = dryMassOf(facts);
  const { particleDensity } = facts;
  const finer = simulatedFiner(fractions, cutDiameter({ timeS, fallMm: depthMm, tempC, particleDensity }));
  return (ovenDryG * finer * (volumeMl / facts.cylinderMl)) / 100 + dispersantG;
}
