import { expect } from 'chai';
import {
  checkWeighed,
  formatWeight,
  levelOf,
  parseWeight,
  STANDARD_VESSELS,
  volumeToHeight,
  weighedLoad
} from '../../../src/lib/core/index.ts';
import { fieldOf, refused } from './refused.ts';

const jar = STANDARD_VESSELS[1];

describe('dry soil that was weighed', () => {
  it('is read in grams, or in what is typed beside them', () => {
    expect(parseWeight('312')).to.equal(312);
    expect(parseWeight(' 0,31 kg ')).to.be.closeTo(310, 1e-9);
    expect(parseWeight('11 oz')).to.be.closeTo(311.84, 0.01);
    for (const none of ['', 'heavy', '0', '-3', '3 g 4'])
      expect(
        fieldOf(() => parseWeight(none)),
        none
      ).to.equal('grams');
  });

  it('is told to a gram, little of it to a tenth', () => {
    expect([311.84, 9.96, 0.1].map(formatWeight)).to.deep.equal(['312 g', '10 g', '0.1 g']);
  });

  it('is refused where no soil fills so loosely or so tightly, with what such a fill weighs', () => {
    const ml = volumeToHeight(jar, 43);
    const usual = (gMl: number) => Math.round((ml * gMl) / 5) * 5;
    checkWeighed(jar, 43, { grams: ml * 1.2, readsToG: 1 });
    for (const grams of [ml * 0.2, ml * 3])
      expect(refused(() => checkWeighed(jar, 43, { grams, readsToG: 1 }))).to.include({
        field: 'grams',
        message: `${Math.round(ml)} mL of dry soil weigh about ${usual(1)} to ${usual(1.5)} g. Weigh the soil without its dish, or correct its height.`
      });
  });

  it('tells the load over the floor, as sure as its scale', () => {
    const load = weighedLoad(jar, 128, { grams: 300, readsToG: 1 });
    expect(load.kgM2).to.be.closeTo(300 / levelOf(jar, 128).mlPerMm, 1e-9);
    const coarse = weighedLoad(jar, 128, { grams: 30, readsToG: 10 });
    expect(coarse.sigmaLn).to.be.above(5 * load.sigmaLn);
    // Gravel that weighs more than all that was filled leaves something.
    expect(weighedLoad(jar, 128, { grams: 30, readsToG: 1 }, 100).kgM2).to.be.above(0);
  });
});
