import { expect } from 'chai';
import fc from 'fast-check';
import { workOutCylinder } from '../../../src/lib/core/index.ts';
import {
  madeUpSoil,
  SIMULATED_METHODS,
  SimulatedRun
} from '../../../src/lib/ui/cylinder/simulated.svelte.ts';

describe('a simulated cylinder', () => {
  it('makes up soils of whole percents that come to a hundred, with some of each', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 0.999, noNaN: true }), { minLength: 3, maxLength: 3 }),
        (r) => {
          let i = 0;
          const soil = madeUpSoil(() => r[i++]);
          expect(soil.sand + soil.silt + soil.clay).to.equal(100);
          for (const part of Object.values(soil)) {
            expect(Number.isInteger(part)).to.equal(true);
            expect(part).to.be.at.least(5);
          }
        }
      )
    );
  });

  it('gives its soil back through its instruments, read in the order of the method', () => {
    // Two readings at 40 s and 6 h 30 cut 60 and 2.6 um: what they call sand and clay is a little less and more.
    const within = { 'hydrometer-2pt': 9, 'hydrometer-curve': 6, pipette: 6 };
    for (const key of SIMULATED_METHODS) {
      for (const seed of [1, 4, 7]) {
        const soil = { sand: 40, silt: 38, clay: 22 };
        const run = new SimulatedRun(key, soil, seed);
        expect(run.done).to.equal(false);
        let last = 0;
        while (!run.done) {
          run.next();
          expect(run.goneS).to.be.above(last);
          last = run.goneS;
        }
        expect(run.readings).to.have.length(run.times.length);
        const { fractions } = workOutCylinder(run.input, 'usda');
        for (const part of ['sand', 'silt', 'clay'] as const)
          expect(Math.abs(fractions[part] - soil[part]), `${key} ${seed} ${part}`).to.be.below(within[key]);
      }
    }
  });

  it('is the same again for one seed, and another for the next', () => {
    const readings = (seed: number) => {
      const run = new SimulatedRun('hydrometer-curve', { sand: 40, silt: 38, clay: 22 }, seed);
      while (!run.done) run.next();
      return run.readings.map((r) => r.value);
    };
    expect(readings(3)).to.deep.equal(readings(3));
    expect(readings(3)).not.to.deep.equal(readings(11));
  });
});
