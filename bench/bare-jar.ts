import { QUARTZ_DENSITY, settlingVelocity } from '../src/lib/core/index.ts';
import { SINKS_MOST, type ModelJar } from '../src/lib/core/estimate/forward.ts';
import {
  CLAY_IN_SILT,
  CROWDED_MOST,
  CROWDING_POWER,
  FLOC_CROWDING,
  SINK_S,
  SINK_SILT
} from '../src/lib/core/estimate/priors.ts';
import { FLOC_SIZES, sizeClasses } from '../src/lib/core/estimate/sizes.ts';
import { CROWDS_UNTIL } from '../src/lib/core/estimate/suspension.ts';
import type { JarMake } from '../src/lib/core/estimate/unknowns.ts';

/**
 * The arithmetic of the forward model and nothing else: one loop over the steps, in it one over the sizes, all in place. What
 * the model is measured against; it comes to the same height.
 *
 * @returns the top of the sediment at the last of the times, m
 */
export function bareJar(o: ModelJar, timesS: Float64Array): (jar: JarMake) => number {
  const columnM = o.columnMm / 1000;
  const density = o.particleDensity ?? QUARTZ_DENSITY;
  const water = { tempC: o.tempC, particleDensity: density };
  const grains = sizeClasses(water);
  const flocSpeed = settlingVelocity({ ...water, diameterUm: 1 });
  const [n, all] = [grains.length, grains.length + FLOC_SIZES.length];
  const band = Int32Array.from(grains, (g) => ['sand', 'silt', 'clay'].indexOf(g.band));
  const mass = new Float64Array(all);
  const speed = new Float64Array(all);
  return (jar) => {
    const sums = [0, 0, 0];
    const tilts = [jar.tilt.sand, jar.tilt.silt, jar.tilt.clay];
    const parts = [jar.sand, jar.silt, jar.clay * (1 - jar.flocShare)];
    for (let k = 0; k < n; k++)
      sums[band[k]] += mass[k] = Math.exp(tilts[band[k]] * grains[k].u) * grains[k].bent;
    for (let k = 0; k < n; k++) {
      mass[k] *= parts[band[k]] / sums[band[k]];
      speed[k] = (grains[k].speed * jar.speed) / columnM;
    }
    FLOC_SIZES.forEach((by, i) => {
      mass[n + i] = (jar.clay * jar.flocShare) / FLOC_SIZES.length;
      speed[n + i] = (flocSpeed * (by * jar.flocUm) ** 2 * jar.speed) / columnM;
    });
    const { sand: pS, silt: pZ, clay: pC } = jar.packing;
    const load = jar.loadKgM2;
    let [tau, met, was, stays, fading, top] = [0, 0, 0, 0, 0, 0];
    let [sand, silt, clay] = [0, 0, 0];
    for (let i = 0; i < timesS.length; i++) {
      let crowd = 0;
      for (let k = 0; k < all; k++) {
        const up = 1 - Math.min(1, speed[k] * tau + met);
        crowd += mass[k] * Math.min(1, CROWDS_UNTIL * up) * (k < n ? 1 : FLOC_CROWDING);
      }
      const thick = Math.min(CROWDED_MOST, (load / (density * columnM)) * crowd);
      tau += (timesS[i] - was) * (1 - thick) ** CROWDING_POWER;
      const sinkLeft = Math.exp(-(timesS[i] - was) / SINK_S);
      was = timesS[i];
      met = Math.max(met, top / columnM);
      let [layer, dS, dZ, dC] = [0, 0, 0, 0];
      for (let turn = 0; turn < 2; turn++) {
        let [s, z, c] = [0, 0, 0];
        for (let k = 0; k < all; k++) {
          const down = mass[k] * Math.min(1, speed[k] * tau + met);
          if (k >= n || band[k] === 2) c += down;
          else if (band[k] === 1) z += down;
          else s += down;
        }
        [dS, dZ, dC] = [load * (s - sand), load * (z - silt), load * (c - clay)];
        const [zV, cV, sV] = [dZ / pZ, dC / pC, dS / pS];
        const fines = zV + cV - CLAY_IN_SILT * (zV + cV - Math.max(zV, dZ / density + cV));
        layer = sV + fines - jar.filling * (sV + fines - Math.max(sV, dS / density + fines));
        if (turn === 0) met = Math.max(met, (top + layer) / columnM);
        else [sand, silt, clay] = [s, z, c];
      }
      const sum = dS + dZ + dC;
      const sinks = sum > 0 ? Math.min(SINKS_MOST, (jar.sinking * (dC + SINK_SILT * dZ)) / sum) : 0;
      fading = fading * sinkLeft + layer * sinks;
      stays += layer * (1 - sinks);
      top = stays + fading;
    }
    return top;
  };
}
