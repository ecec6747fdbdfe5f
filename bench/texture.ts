import { classifyMany, textureSystems, type SystemId } from '../src/lib/core/index.ts';
import { medianMs, report } from './measure.ts';

const POINTS = 1_000_000;

/** Texture classification in bulk against the same loop over typed arrays without classification. */
export function benchTexture(): void {
  const fractions = new Float64Array(POINTS * 3);
  let seed = 1;
  const next = () => (seed = (seed * 16807) % 2147483647) / 2147483647;
  for (let i = 0; i < POINTS; i++) {
    const sand = next() * 100;
    const silt = next() * (100 - sand);
    fractions.set([sand, silt, 100 - sand - silt], i * 3);
  }
  const out = new Uint8Array(POINTS);
  const classify = medianMs(() => classifyMany('usda', fractions, out));
  const bare = medianMs(() => {
    for (let i = 0, k = 0; i < POINTS; i++, k += 3) {
      out[i] = fractions[k] + fractions[k + 1] * 0.5 + fractions[k + 2] * 0.25;
    }
  });
  const rate = POINTS / classify / 1000;
  report(
    'USDA classes, one core',
    `${rate.toFixed(1)} million points a second`,
    `${(classify / bare).toFixed(2)} x the bare loop (${(POINTS / bare / 1000).toFixed(0)} million a second)`
  );

  const systems = Object.keys(textureSystems) as SystemId[];
  const all = medianMs(() => {
    for (const system of systems) classifyMany(system, fractions, out);
  }, 5);
  report(
    'every system, one core',
    `${all.toFixed(0)} ms for ${POINTS / 1e6} million points`,
    `${(all / systems.length / bare).toFixed(2)} x the bare loop each, ${systems.length} systems`
  );
}
