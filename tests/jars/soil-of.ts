import { PRIORS } from '../../src/lib/core/estimate/priors.ts';
import type { JarMake } from '../../src/lib/core/estimate/unknowns.ts';
import { sizes, type Soil } from './column.ts';

/** The sizes of a make as the column of cells takes them. */
export function soilOf(jar: JarMake): Soil {
  const um = sizes();
  const mass = new Float64Array(um.length);
  for (const [name, from, to] of [
    ['sand', 50, 2000],
    ['silt', 2, 50],
    ['clay', 0.05, 2]
  ] as const) {
    const inside = [...um.keys()].filter((i) => um[i] >= from && um[i] < to);
    const weigh = (x: number) => {
      const u = (2 * Math.log(x / from)) / Math.log(to / from) - 1;
      return Math.exp(jar.tilt[name] * u + PRIORS.bend[name] * u * u);
    };
    const whole = inside.reduce((sum, i) => sum + weigh(um[i]), 0);
    const grains = name === 'clay' ? jar.clay * (1 - jar.flocShare) : jar[name];
    for (const i of inside) mass[i] = (grains * weigh(um[i])) / whole;
  }
  return { um, mass, flocUm: [jar.flocUm / 1.4, jar.flocUm * 1.4], flocMass: jar.clay * jar.flocShare };
}
