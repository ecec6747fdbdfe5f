import { expect } from 'chai';
import fc from 'fast-check';
import { layersAsRead, stackedTops, thicknesses, type NotedLayers } from '../../../src/lib/core/index.ts';
import { refused } from './refused.ts';

describe('layers as somebody noted them', () => {
  it('become lines that have those very thicknesses, whichever way they were noted', () => {
    const mm = fc.integer({ min: 0, max: 800 }).map((n) => n / 8);
    fc.assert(
      fc.property(fc.record({ gravel: mm, sand: mm, silt: mm, clay: mm }), (layers) => {
        fc.pre(layers.sand + layers.silt + layers.clay > 0);
        const { tops, none } = stackedTops(layers, 'thickness');
        const back = thicknesses(tops);
        expect([back.gravelMm, back.sandMm, back.siltMm, back.clayMm]).to.deep.equal(Object.values(layers));
        for (const layer of ['sand', 'silt', 'clay'] as const)
          expect(none.includes(layer)).to.equal(layers[layer] === 0);
        const heights = {
          gravel: layers.gravel,
          sand: layers.gravel + layers.sand,
          silt: layers.gravel + layers.sand + layers.silt,
          clay: layers.gravel + layers.sand + layers.silt + layers.clay
        };
        expect(stackedTops(heights, 'tops')).to.deep.equal({ tops, none });
        // The whole stands in for the one that is missing.
        for (const missing of ['sand', 'silt', 'clay'] as const) {
          const noted: NotedLayers = { ...layers, total: heights.clay };
          delete noted[missing];
          expect(layersAsRead(thicknesses(stackedTops(noted, 'thickness').tops)).fractions).to.deep.equal(
            layersAsRead(back).fractions
          );
        }
      })
    );
  });

  it('may be one beside the whole: sand, or clay over the rest', () => {
    expect(stackedTops({ sand: 10, total: 40 }, 'thickness')).to.deep.equal({
      tops: { sand: 10 },
      none: [],
      measuredTotalMm: 40
    });
    expect(stackedTops({ clay: 10, total: 40 }, 'thickness').tops).to.deep.equal({ silt: 30 });
    expect(stackedTops({ sand: 10, total: 40 }, 'tops').tops).to.deep.equal({ sand: 10 });
  });

  it('are refused beside the one that is missing, lies too low, or is more than the whole', () => {
    const field = (noted: NotedLayers, by: 'thickness' | 'tops') =>
      refused(() => stackedTops(noted, by)).field;
    expect(field({ sand: 10, silt: 5 }, 'thickness')).to.equal('clay');
    expect(field({ sand: 30, silt: 20, total: 40 }, 'thickness')).to.equal('total');
    expect(field({ sand: 50, total: 40 }, 'thickness')).to.equal('total');
    expect(field({ sand: 20, silt: 10, clay: 30 }, 'tops')).to.equal('silt');
    // The top of the clay is the whole: beside it it says nothing.
    expect(field({ clay: 40, total: 40 }, 'tops')).to.equal('sand');
    expect(field({ sand: 0, silt: 0, clay: 0 }, 'thickness')).to.equal('sand');
  });
});
