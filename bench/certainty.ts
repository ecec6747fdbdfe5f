import { classProbabilities, DEFAULT_DRAWS, evenSigmas, normalStream } from '../src/lib/core/index.ts';
import { medianMs, report } from './measure.ts';

/** A 20,000-draw certainty against drawing its random numbers alone. */
export function benchCertainty(): void {
  const layers = { gravelMm: 0, sandMm: 20, siltMm: 15, clayMm: 5 };
  const sigmas = evenSigmas(0.5);
  const whole = medianMs(() => void classProbabilities({ layers, sigmas, system: 'usda' }), 25);
  let sink = 0;
  const numbers = medianMs(() => {
    const normal = normalStream(1);
    for (let i = 0; i < DEFAULT_DRAWS * 4; i++) sink += normal();
  }, 25);
  if (Number.isNaN(sink)) throw new Error('no numbers');
  report(
    'certainty, 20,000 draws',
    `${whole.toFixed(2)} ms`,
    `${(whole / numbers).toFixed(2)} x drawing its 80,000 normal numbers alone (${numbers.toFixed(2)} ms)`
  );
}
