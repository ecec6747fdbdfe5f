import { normalStream } from '../certainty/draws.ts';
import type { Binder } from '../judge/trial.ts';
import type { SimulatedInstrument } from './instruments.ts';

/** Scatter of blocks of one set, a share of their strength, and the step of the gauge, MPa. */
const SCATTER = 0.12;
const STEPS_PER_MPA = 10;

/**
 * What a made-up block holds, MPa: most with some 20 % of clay, more the harder it was pressed; without a binder hardly anything
 * wet. Made for practice, and no forecast.
 */
export function simulatedStrength(o: {
  clay: number;
  pressureMpa: number;
  binder: Binder;
  binderPct: number;
  wet: boolean;
}): number {
  const soil = Math.exp(-(((o.clay - 21) / 14) ** 2));
  const dry = 10 * soil * Math.sqrt(o.pressureMpa / 14) + (o.binder === 'none' ? 0 : 0.3 * o.binderPct);
  if (!o.wet) return dry;
  return dry * (o.binder === 'none' ? 0.02 : Math.min(0.6, 0.07 * o.binderPct));
}

/** The gauge of a simulated press as a block of so much strength breaks under it. */
export function simulatedGauge(
  o: { strengthMpa: number; pistonMm: number; areaMm2: number },
  seed: number
): SimulatedInstrument {
  const oil = (o.strengthMpa * o.areaMm2) / (Math.PI * (o.pistonMm / 2) ** 2);
  const shown = oil * Math.max(0, 1 + SCATTER * normalStream(seed)());
  return {
    kind: 'gauge',
    simulated: true,
    step: 1 / STEPS_PER_MPA,
    read: () => Math.round(shown * STEPS_PER_MPA) / STEPS_PER_MPA
  };
}
