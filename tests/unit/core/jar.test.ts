import { expect } from 'chai';
import fc from 'fast-check';
import {
  checkFill,
  checkReading,
  checkVessel,
  fillDoubts,
  columnFacts,
  fillPlan,
  layersAsRead,
  methodByKey,
  predictJar,
  RangeProblem,
  settlingColumn,
  solidsFromDryFill,
  STANDARD_VESSELS,
  sumCheck,
  thicknesses,
  volumeToHeight,
  workOutReading
} from '../../../src/lib/core/index.ts';

const litre = STANDARD_VESSELS.find((v) => v.id === 'jar-litre')!;
const timed = methodByKey('jar-timed');

describe('layers as read', () => {
  it('are each layer over the sum of the mineral layers, gravel apart', () => {
    const read = layersAsRead({ sandMm: 20, siltMm: 15, clayMm: 5, gravelMm: 10 });
    expect(read.fractions).to.deep.equal({ sand: 50, silt: 37.5, clay: 12.5 });
    expect(read.totalMm).to.equal(50);
    expect(read.gravelPct).to.equal(20);
  });
  it('do not depend on the unit or the size of the jar', () => {
    const mm = fc.double({ min: 0.5, max: 80, noNaN: true });
    fc.assert(
      fc.property(
        mm,
        mm,
        mm,
        fc.double({ min: 0.1, max: 30, noNaN: true }),
        (sandMm, siltMm, clayMm, scale) => {
          const a = layersAsRead({ sandMm, siltMm, clayMm }).fractions;
          const b = layersAsRead({
            sandMm: sandMm * scale,
            siltMm: siltMm * scale,
            clayMm: clayMm * scale
          }).fractions;
          for (const part of ['sand', 'silt', 'clay'] as const) expect(a[part]).to.be.closeTo(b[part], 1e-9);
          expect(a.sand + a.silt + a.clay).to.be.closeTo(100, 1e-9);
        }
      )
    );
  });
  it('refuse thin air and negative layers', () => {
    expect(() => layersAsRead({ sandMm: 0, siltMm: 0, clayMm: 0 })).to.throw(RangeProblem);
    expect(() => layersAsRead({ sandMm: -1, siltMm: 5, clayMm: 5 })).to.throw(RangeProblem);
  });
  it('come from tops, skipping lines that were not seen', () => {
    expect(thicknesses({ gravel: 2, sand: 22, clay: 30 })).to.deep.equal({
      gravelMm: 2,
      sandMm: 20,
      siltMm: 0,
      clayMm: 8
    });
  });
  it('name the line that is out of order', () => {
    expect(() => thicknesses({ sand: 30, silt: 20, clay: 40 }))
      .to.throw(RangeProblem, /top of the silt lies below the top of the sand/)
      .with.property('field', 'silt');
  });
});

describe('sum check', () => {
  it('agrees within reading error and not beyond', () => {
    expect(sumCheck(60, 61, 0.5).agrees).to.equal(true);
    const off = sumCheck(60, 66, 0.5);
    expect(off.agrees).to.equal(false);
    expect(off.differenceMm).to.equal(-6);
    expect(off.allowedMm).to.be.closeTo(1.414, 1e-3);
  });
});

describe('vessels', () => {
  it('hold about what their names say', () => {
    const holds = Object.fromEntries(STANDARD_VESSELS.map((v) => [v.id, volumeToHeight(v, v.innerHeightMm)]));
    expect(holds['jar-quart']).to.be.within(946, 1000);
    expect(holds['jar-pint']).to.be.within(473, 520);
    expect(holds['bottle-half-litre']).to.be.within(490, 540);
    expect(holds['jar-half-litre']).to.be.within(480, 600);
    expect(holds['jar-litre']).to.be.within(950, 1150);
    expect(holds['jar-litre-tall']).to.be.within(950, 1150);
    expect(holds['jar-two-litre']).to.be.within(1950, 2250);
    expect(holds['cylinder-100']).to.be.within(100, 120);
    expect(holds['cylinder-1000']).to.be.within(1100, 1300);
  });
  it('fill ever further with height', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...STANDARD_VESSELS),
        fc.double({ min: 0, max: 400, noNaN: true }),
        (v, h) => {
          expect(volumeToHeight(v, h + 1)).to.be.at.least(volumeToHeight(v, h));
        }
      )
    );
  });
  it('are checked measure against measure', () => {
    STANDARD_VESSELS.forEach(checkVessel);
    expect(() => checkVessel({ ...litre, shoulderHeightMm: 200 }))
      .to.throw(RangeProblem)
      .with.property('field', 'shoulderHeightMm');
    expect(() => checkVessel({ ...litre, baseThicknessMm: 90 }))
      .to.throw(RangeProblem)
      .with.property('field', 'baseThicknessMm');
    expect(() => checkVessel({ ...litre, innerDiameterMm: 0 }))
      .to.throw(RangeProblem)
      .with.property('field', 'innerDiameterMm');
    expect(() => checkVessel({ ...litre, mouthDiameterMm: 400 }))
      .to.throw(RangeProblem)
      .with.property('field', 'mouthDiameterMm');
  });
});

describe('filling', () => {
  it('gives a third of soil, water to the neck, and a dose by the litre', () => {
    const plan = fillPlan(timed, litre);
    const facts = columnFacts({ ...plan, tempC: 18 });
    expect(facts).to.include({ columnMm: 128, tempC: 18 });
    expect(facts.solidsKgM2).to.be.closeTo(51.6, 1e-9);
    expect(plan.soilMm).to.equal(43);
    expect(plan.waterMm).to.equal(128);
    expect(plan.dispersantMl).to.be.closeTo((5 * plan.waterMl) / 1000, 1e-9);
    expect(plan.waterMl).to.be.within(700, 800);
  });
  it('follows heights of one’s own', () => {
    const less = fillPlan(timed, litre, { waterMm: 100 });
    expect(less.waterMm).to.equal(100);
    expect(less.waterMl).to.be.below(fillPlan(timed, litre).waterMl);
  });
  it('never asks for more than the vessel holds', () => {
    for (const vessel of STANDARD_VESSELS) {
      for (const key of ['jar-timed', 'jar-half-hour', 'jar-bands', 'jar-builder']) {
        const plan = fillPlan(methodByKey(key), vessel);
        checkFill(vessel, plan.soilMm, plan.waterMm);
      }
    }
  });
  it('refuses water below the soil, and overflowing', () => {
    expect(() => checkFill(litre, 60, 50))
      .to.throw(RangeProblem, /below the soil line/)
      .with.property('field', 'waterMm');
    expect(() => checkFill(litre, 60, 157))
      .to.throw(RangeProblem, /overflow/)
      .with.property('field', 'waterMm');
    expect(() => checkFill(litre, 0, 50))
      .to.throw(RangeProblem)
      .with.property('field', 'soilMm');
  });
  it('doubts a jar over half full, with the slowing as reason, and one that is too thin', () => {
    const { phi0 } = settlingColumn({
      fractions: { sand: 40, silt: 40, clay: 20 },
      columnMm: 128,
      tempC: 18,
      solidsKgM2: solidsFromDryFill(90)
    });
    const [full] = fillDoubts(litre, 90, phi0);
    expect(full.kind).to.equal('too-full');
    expect(full).to.have.property('speedPct').within(5, 30);
    expect(fillDoubts(litre, 12, 0.05)).to.deep.equal([{ kind: 'too-thin', settledMm: 12 }]);
    expect(fillDoubts(litre, 43, 0.15)).to.deep.equal([]);
  });
});

describe('the jar as it should look', () => {
  const facts = { columnMm: 128, tempC: 18, solidsKgM2: 51.6, method: timed, marks: [] };
  it('grows, clears from the top, and is cut where the method marks', () => {
    const early = predictJar(facts, 30);
    expect(early.layers.map((l) => l.layer)).to.deep.equal(['sand']);
    const later = predictJar(facts, 3600);
    expect(later.layers.map((l) => l.layer)).to.deep.equal(['sand', 'silt']);
    expect(later.depositMm).to.be.above(early.depositMm);
    expect(later.turbidity[0]).to.be.below(later.turbidity.at(-1)!);
    const end = predictJar(facts, 1e8);
    expect(end.layers.map((l) => l.layer)).to.deep.equal(['sand', 'silt', 'clay']);
    expect(Math.max(...end.turbidity)).to.be.below(0.02);
    expect(end.progress).to.equal(1);
  });
  it('goes through the heights that were measured', () => {
    const marks = [
      { layer: 'sand' as const, timeS: 64, heightMm: 25 },
      { layer: 'silt' as const, timeS: 7300, heightMm: 40 }
    ];
    const shown = predictJar({ ...facts, marks }, 7300.001);
    expect(shown.layers[0].topMm).to.equal(25);
    expect(shown.layers[1].topMm).to.be.closeTo(40, 0.01);
  });
  it('never stands over the water line', () => {
    const marks = [{ layer: 'sand' as const, timeS: 60, heightMm: 120 }];
    expect(predictJar({ ...facts, marks }, 1e6).depositMm).to.be.at.most(128);
  });
});

describe('a whole reading', () => {
  const reading = { tops: { gravel: 2, sand: 33, silt: 52, clay: 61 }, sigmaMm: 0.5 };
  it('is worked out: fractions, class, probability, nearest other class', () => {
    const worked = workOutReading(reading, 'usda');
    const { result } = worked;
    const region = worked.region!;
    expect(result.fractions.sand).to.be.closeTo((100 * 31) / 59, 1e-9);
    expect(result.class.name).to.equal('sandy loam');
    expect(result.classes[0].name).to.equal('sandy loam');
    expect(result.nearest.name).to.equal('loam');
    expect(result.gravelPct).to.be.closeTo((100 * 2) / 61, 1e-9);
    expect(region.values.length).to.equal(region.columns * region.rows);
    expect(region.level).to.be.above(0);
  });
  it('holds nine tenths of the draws inside its region', () => {
    const region = workOutReading(reading, 'usda').region!;
    const inside = region.values.filter((v) => v >= region.level).reduce((a, b) => a + b, 0);
    expect(inside).to.be.within(0.89, 0.92);
  });
  it('compares with a total measured apart', () => {
    expect(workOutReading({ ...reading, measuredTotalMm: 61.5 }, 'usda').result.sum?.agrees).to.equal(true);
    expect(workOutReading({ ...reading, measuredTotalMm: 70 }, 'usda').result.sum?.agrees).to.equal(false);
    expect(workOutReading(reading, 'usda').result.sum).to.equal(undefined);
  });
  it('is refused over the rim, below the bottom, or out of order', () => {
    expect(() =>
      checkReading({ ...reading, tops: { sand: 10, clay: 400 } }, { innerHeightMm: 156 })
    ).to.throw(RangeProblem, /156 mm high/);
    expect(() => checkReading({ ...reading, tops: { sand: -2, clay: 40 } }, { innerHeightMm: 156 })).to.throw(
      RangeProblem
    );
    expect(() => checkReading({ ...reading, tops: { sand: 20, silt: 10 } }, { innerHeightMm: 156 }))
      .to.throw(RangeProblem)
      .with.property('field', 'silt');
  });
});
