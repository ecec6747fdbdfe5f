import { expect } from 'chai';
import fc from 'fast-check';
import { STANDARD_VESSELS } from '../../../src/lib/core/index.ts';
import { rulerTicks } from '../../../src/lib/ui/ruler/ticks.ts';
import { spreadMarks } from '../../../src/lib/ui/picture/marks.ts';
import { along, middleOf, placeName, type Place } from '../../../src/lib/workbench/triangle/labels.ts';
import { drawnSizeMm, outlineOf, tapePath, waterline } from '../../../src/lib/ui/vessel/outline.ts';

/** Every number of a path. */
const numbers = (path: string) => (path.match(/-?\d+(\.\d+)?/g) ?? []).map(Number);
/** Nothing a drawing engine would stumble over. */
const wellFormed = (path: string) => expect(path).to.match(/^M[-\d. MLHVCQqlhvtmZ]+$/);

describe('outlines of vessels', () => {
  for (const vessel of STANDARD_VESSELS) {
    it(`draws ${vessel.name} to scale, however small`, () => {
      for (const scale of [0.3, 0.95, 2.2]) {
        const o = outlineOf(vessel, scale);
        const size = drawnSizeMm(vessel);
        expect(o.width).to.be.closeTo(size.widthMm * scale, 0.1);
        expect(o.height).to.be.closeTo(size.heightMm * scale, 0.1);
        expect(o.innerRight - o.innerLeft).to.be.closeTo(vessel.innerDiameterMm * scale, 0.2);
        expect(o.y(0) - o.y(vessel.innerHeightMm)).to.be.closeTo(vessel.innerHeightMm * scale, 0.2);
        expect(o.height - o.y(0)).to.be.closeTo(vessel.baseThicknessMm * scale, 0.7);
        for (const path of [o.inner, o.outer, o.ribs, o.foot].filter((p) => p !== undefined)) {
          wellFormed(path);
          for (const n of numbers(path)) expect(Number.isFinite(n)).to.equal(true);
        }
      }
    });
  }

  it('of a measured glass go through its widths, and over its dome', () => {
    const tumbler = {
      ...STANDARD_VESSELS[1],
      kind: 'jar' as const,
      innerHeightMm: 120,
      shoulderHeightMm: 120,
      baseThicknessMm: 6,
      domeMm: 4,
      profile: [
        { heightMm: 0, diameterMm: 52 },
        { heightMm: 60, diameterMm: 66 },
        { heightMm: 120, diameterMm: 84 }
      ]
    };
    for (const scale of [0.5, 2]) {
      const o = outlineOf(tumbler, scale);
      for (const path of [o.inner, o.outer]) wellFormed(path);
      const pairs = [...o.inner.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [+x, +y]);
      for (const { heightMm, diameterMm } of tumbler.profile.slice(1)) {
        const at = pairs.filter(([, y]) => Math.abs(y - o.y(heightMm)) < 0.2).map(([x]) => x);
        expect(at, `both walls at ${heightMm}`).to.have.length(2);
        expect(Math.max(...at) - Math.min(...at)).to.be.closeTo(diameterMm * scale, 0.3);
      }
      // The dome stands up in the middle of the bottom: the curve is pulled to twice its height.
      const pulled = /Q(-?[\d.]+) (-?[\d.]+) /g;
      const highest = Math.min(...[...o.inner.matchAll(pulled)].map(([, , y]) => +y));
      expect(highest).to.be.closeTo(o.y(8), 0.2);
    }
  });

  it('are worked out once for a shape and a scale', () => {
    expect(outlineOf({ ...STANDARD_VESSELS[1] }, 1.5)).to.equal(outlineOf(STANDARD_VESSELS[1], 1.5));
    expect(outlineOf(STANDARD_VESSELS[1], 1.6)).not.to.equal(outlineOf(STANDARD_VESSELS[1], 1.5));
  });

  it('give levels that start and end at the wall, and tape of the asked size', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 50 }),
        fc.integer({ min: 20, max: 400 }),
        fc.integer({ min: 0, max: 7 }),
        (left, width, phase) => {
          const path = waterline(left, left + width, 100, phase);
          wellFormed(path);
          expect(path.startsWith(`M${left} 100`)).to.equal(true);
          expect(path.endsWith(`L${left + width} 100`)).to.equal(true);
        }
      )
    );
    wellFormed(tapePath(10, 20, 60, 17));
    expect(tapePath(10, 20, 60, 17)).to.contain('M10 20h60');
  });
});

describe('rulers', () => {
  it('carry a line a millimetre, longer at five and ten, numbers at the tens', () => {
    const ticks = rulerTicks(30, 'mm');
    expect(ticks).to.have.length(31);
    expect(ticks.filter((t) => t.label).map((t) => t.label)).to.deep.equal(['10', '20', '30']);
    expect(ticks[5].length).to.be.within(ticks[4].length, ticks[10].length);
    expect(
      rulerTicks(30, 'cm')
        .filter((t) => t.label)
        .map((t) => t.label)
    ).to.deep.equal(['1', '2', '3']);
  });

  it('carry sixteenths, longer at eighths, quarters, halves and inches', () => {
    const ticks = rulerTicks(25.4, 'in');
    expect(ticks).to.have.length(17);
    const lengths = [1, 2, 4, 8, 16].map((i) => ticks[i].length);
    expect(lengths).to.deep.equal([...lengths].sort((a, b) => a - b));
    expect(new Set(lengths).size).to.equal(5);
    expect(ticks[16]).to.include({ mm: 25.4, label: '1' });
  });
});

describe('names on the triangle', () => {
  const box: Place[] = [
    { x: 0, y: 0 },
    { x: 200, y: 0 },
    { x: 200, y: 100 },
    { x: 0, y: 100 }
  ];

  it('stand in the middle of their area while nothing is in the way', () => {
    expect(middleOf(box)).to.include({ x: 100, y: 50, area: 20_000 });
    const place = placeName(['loam'], box);
    expect(Math.hypot(place.x - 100, place.y - 50)).to.be.below(4);
  });

  it('keep off the point, and off the lines while there is room', () => {
    const point = { x: 100, y: 50, clear: 15 };
    const off = placeName(['loam'], box, [point]);
    expect(Math.abs(off.x - 100) > 25 || Math.abs(off.y - 50) > 20).to.equal(true);
    const line = along({ x: 0, y: 50 }, { x: 200, y: 50 }, 1);
    const beside = placeName(['loam'], box, line);
    expect(Math.abs(beside.y - 50)).to.be.above(7);
  });

  it('cross a line rather than the point where there is no room, and stay inside', () => {
    const low: Place[] = box.map((p) => ({ x: p.x, y: p.y * 0.2 }));
    const place = placeName(['loam'], low, [
      { x: 100, y: 10, clear: 15 },
      ...along({ x: 0, y: 10 }, { x: 200, y: 10 }, 1)
    ]);
    expect(Math.abs(place.x - 100)).to.be.above(15);
    expect(place.y).to.be.within(0, 20);
  });
});

describe('labels of lines on a picture', () => {
  it('keep clear of each other, and stay at their lines where there is room', () => {
    expect(spreadMarks([100, 200], 16)).to.deep.equal([0, 0]);
    const places = [100, 104, 108, 300];
    const shifts = spreadMarks(places, 16);
    const at = places.map((p, i) => p + shifts[i]);
    expect(at).to.deep.equal([76, 92, 108, 300]);
    expect(spreadMarks([], 16)).to.deep.equal([]);
  });
});
