import { expect } from 'chai';
import fc from 'fast-check';
import {
  nameLines,
  segmentProfile,
  stripProfile,
  waterOnStrip,
  type LabColour,
  type StripProfile
} from '../../../../src/lib/core/index.ts';
import { hashNormal } from '../../../../src/lib/core/simulate/noise.ts';
import { JARS, KINDS, shoot } from './set.ts';
import { fieldOf } from '../refused.ts';

/** A made-up profile: colours between heights, a row each tenth of a millimetre. */
function profileOf(parts: [number, LabColour][], noise = 0): StripProfile {
  const colours: LabColour[] = [];
  let at = 0;
  for (const [toMm, [l, a, b]] of parts) {
    for (; at * 0.1 < toMm; at++) colours.push([l + noise * hashNormal(at, 0, 3), a, b]);
  }
  return { fromMm: 0.05, rowMm: 0.1, colours, kept: colours.map(() => 1) };
}

describe('lines on a strip', () => {
  const SAND: LabColour = [66, 6, 28];
  const SILT: LabColour = [44, 7, 18];
  const CLAY: LabColour = [53, 15, 24];
  const WATER: LabColour = [84, -2, 3];

  it('lie where the colour changes, whatever the noise', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 5, max: 20 }),
        fc.integer({ min: 4, max: 20 }),
        fc.integer({ min: 3, max: 12 }),
        fc.double({ min: 0, max: 1.5, noNaN: true }),
        (sand, silt, clay, noise) => {
          const tops = [sand, sand + silt, sand + silt + clay];
          const found = segmentProfile(
            profileOf(
              [
                [tops[0], SAND],
                [tops[1], SILT],
                [tops[2], CLAY],
                [tops[2] + 40, WATER]
              ],
              noise
            )
          );
          expect(found.map((b) => b.heightMm)).to.have.length(3);
          found.forEach((b, i) => expect(b.heightMm).to.be.closeTo(tops[i], 0.3));
        }
      ),
      { numRuns: 25 }
    );
  });

  it('are none where everything has one colour, or the light alone changes', () => {
    expect(segmentProfile(profileOf([[60, SILT]], 1))).to.eql([]);
    const colours = Array.from({ length: 600 }, (_, i): LabColour => [40 + i * 0.05, 7, 18]);
    expect(segmentProfile({ fromMm: 0, rowMm: 0.1, colours, kept: [] })).to.eql([]);
  });

  it('have a larger error where they are smeared', () => {
    const smeared = Array.from({ length: 600 }, (_, i): LabColour => {
      const t = Math.min(1, Math.max(0, 0.5 + (i - 300) / 30));
      return [SAND[0] + t * (SILT[0] - SAND[0]), 7, 20];
    });
    const [wide] = segmentProfile({ fromMm: 0, rowMm: 0.1, colours: smeared, kept: [] });
    const [sharp] = segmentProfile(
      profileOf([
        [30, SAND],
        [60, SILT]
      ])
    );
    expect(wide.heightMm).to.be.closeTo(30, 0.5);
    expect(wide.sigmaMm).to.be.above(2 * sharp.sigmaMm);
  });

  it('have the error of the scale in theirs, where it is told', () => {
    const profile = profileOf([
      [30, SAND],
      [60, SILT]
    ]);
    const scale = [
      { heightMm: 0, sigmaMm: 0.3 },
      { heightMm: 60, sigmaMm: 0.4 }
    ];
    const [line] = segmentProfile(profile);
    const [scaled] = segmentProfile({ ...profile, scale });
    expect(scaled.sigmaMm).to.be.closeTo(Math.hypot(line.sigmaMm, 0.15, 0.2), 1e-3);
  });

  it('lie within 1 mm on nine of ten in the simulated set, and the kinds that fail are known', () => {
    let [all, hit] = [0, 0];
    const failing: string[] = [];
    for (const [name, kind] of Object.entries(KINDS)) {
      let own = 0;
      JARS.forEach((tops, i) => {
        const { picture, strip } = shoot(tops, kind, { seed: 5 + i });
        const found = segmentProfile(stripProfile(picture, strip));
        own += tops.filter((t) => found.some((b) => Math.abs(b.heightMm - t) <= 1)).length;
      });
      const asked = 3 * JARS.length;
      [all, hit] = [all + asked, hit + own];
      if (own < 0.9 * asked) failing.push(name);
    }
    expect(hit / all).to.be.at.least(0.95);
    expect(failing).to.eql(['hardly a line']);
  });

  it('asks for a longer strip where there is hardly one', () => {
    expect(fieldOf(() => segmentProfile({ fromMm: 0, rowMm: 0.1, colours: [SAND], kept: [1] }))).to.equal(
      'strip'
    );
  });
});

describe('what lines are the tops of', () => {
  it('is told by where the tops are looked for, from the bottom up', () => {
    const expected = { sand: 14, silt: 36, clay: 48 };
    expect(nameLines([4, 15, 22, 38, 49.5], expected)).to.eql(['', 'sand', '', 'silt', 'clay']);
    expect(nameLines([15, 49], expected)).to.eql(['sand', 'clay']);
    expect(nameLines([90], expected)).to.eql(['']);
    expect(nameLines([], expected)).to.eql([]);
  });

  it('is asked, not guessed, where nothing is known', () => {
    expect(nameLines([30])).to.eql(['']);
    expect(nameLines([10, 30])).to.eql(['', '']);
    expect(nameLines([10, 20, 30, 40])).to.eql(['', '', '', '']);
    // Three are those three.
    expect(nameLines([10, 20, 30])).to.eql(['sand', 'silt', 'clay']);
  });

  it('goes by shares stretched to what was found, for the total is less sure than they are', () => {
    const expected = { sand: 20, silt: 36, clay: 46 };
    for (const by of [0.7, 0.85, 1.2, 1.4]) {
      const found = [20 * by, 36 * by, 46 * by];
      expect(nameLines(found, expected), `${by}`).to.eql(['sand', 'silt', 'clay']);
      // A line over the deposit is none of it.
      expect(nameLines([...found, 120], expected), `${by}, water`).to.eql(['sand', 'silt', 'clay', '']);
    }
  });
});

describe('the water on a strip', () => {
  const strip = (kind: object) => {
    const { picture, strip: laid } = shoot(JARS[0], kind);
    return waterOnStrip(stripProfile(picture, laid), 38);
  };

  it('is clear, hazy or cloudy by its colour', () => {
    expect(strip({ turbidity: 0 })).to.equal('clear');
    expect(strip({ turbidity: 0.8 })).to.equal('cloudy');
    expect(strip({ turbidity: 0, shade: 0.5 }), 'in uneven light').to.equal('clear');
    expect(strip({ turbidity: 0.45 })).to.equal('hazy');
  });

  it('cannot be told from a few millimetres', () => {
    const { picture, strip: laid } = shoot(JARS[0], {});
    expect(waterOnStrip(stripProfile(picture, { ...laid, toMm: 46 }), 38)).to.equal(undefined);
  });
});
