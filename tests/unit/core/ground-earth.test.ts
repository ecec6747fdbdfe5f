import { expect } from 'chai';
import fc from 'fast-check';
import {
  checkEarthPlace,
  formatGround,
  formatMetres,
  fromEarth,
  parseMetres,
  sampleDepths,
  toEarth
} from '../../../src/lib/core/index.ts';
import { refused } from './refused.ts';

describe('a sketch on the earth', () => {
  const place = { lat: 60, lon: 5, bearing: 0 };

  it('has east and north where they are: a degree of latitude at 60 is 111.41 km, of longitude 55.80 km', () => {
    const [lon, lat] = toEarth([55_800, 111_412], place);
    expect(lon).to.be.closeTo(6, 1e-4);
    expect(lat).to.be.closeTo(61, 1e-4);
    const [east, north] = toEarth([10, 0], { ...place, bearing: 90 });
    // Its upper edge points east, so that its right side points south.
    expect(east).to.be.closeTo(5, 1e-9);
    expect(north).to.be.below(60);
  });

  it('comes back to where it was, on both sides of the line where longitudes start anew', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -80, max: 80, noNaN: true }),
        fc.constantFrom(-180, -179.9999, 0, 12.5, 179.9999, 180),
        fc.double({ min: 0, max: 360, noNaN: true }),
        fc.double({ min: -900, max: 900, noNaN: true }),
        fc.double({ min: -900, max: 900, noNaN: true }),
        (lat, lon, bearing, x, y) => {
          const at = { lat, lon, bearing };
          const [x2, y2] = fromEarth(toEarth([x, y], at), at);
          expect(x2).to.be.closeTo(x, 1e-4);
          expect(y2).to.be.closeTo(y, 1e-4);
        }
      )
    );
    expect(fromEarth([-179.999, 0], { lat: 0, lon: 179.999, bearing: 0 })[0]).to.be.closeTo(222.6, 0.2);
  });

  it('is refused off the globe', () => {
    for (const [field, value] of [
      ['lat', 90],
      ['lon', 181],
      ['bearing', NaN]
    ] as const) {
      expect(refused(() => checkEarthPlace({ ...place, [field]: value })).field).to.equal(field);
    }
    checkEarthPlace(place);
  });
});

describe('words of the ground', () => {
  it('distances are read in metres, feet and yards', () => {
    expect(parseMetres('12.5 m')).to.equal(12.5);
    expect(parseMetres(' 12,5 ')).to.equal(12.5);
    expect(parseMetres('40 ft')).to.be.closeTo(12.192, 1e-9);
    expect(parseMetres('2 yd')).to.be.closeTo(1.8288, 1e-9);
    for (const bad of ['', 'far', '3 ells', '-2', '0 m', '1.2.3']) {
      expect(refused(() => parseMetres(bad)).field, bad).to.equal('distance');
    }
    expect(formatMetres(12.345, 'mm')).to.equal('12.3 m');
    expect(formatMetres(12.192, 'in')).to.equal('40 ft');
    expect(formatGround(281.4, 'cm')).to.equal('281 m²');
    expect(formatGround(0.5, 'mm')).to.equal('0.5 m²');
    expect(formatGround(9.290304, 'in')).to.equal('100 ft²');
  });

  it('depths differ by purpose and history', () => {
    expect(sampleDepths('garden')).to.deep.equal([{ fromMm: 75, toMm: 150, what: 'whole' }]);
    expect(sampleDepths('garden', ['amended'])[1]).to.deep.equal({ fromMm: 300, what: 'below-amendment' });
    expect(sampleDepths('build', ['amended'])).to.deep.equal([{ what: 'below-topsoil' }]);
    expect(sampleDepths('bore')[0].what).to.equal('at-bore');
    expect(sampleDepths('lesson')).to.deep.equal([]);
  });
});
