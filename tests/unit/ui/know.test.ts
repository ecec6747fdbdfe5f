import { expect } from 'chai';
import { packPoints, unpackPoints } from '../../../src/lib/contract/points.ts';
import type { KnowPoint } from '../../../src/lib/contract/records/log.ts';
import { linesThatMiss, RangeProblem, sandTheWrongWay, type Fractions } from '../../../src/lib/core/index.ts';
import { compareColumns, type CompareTest } from '../../../src/lib/workbench/compare.ts';
import {
  changes,
  filterPoints,
  replicates,
  shownFractions,
  someHaveTwoViews
} from '../../../src/lib/workbench/points.ts';
import { movedWords, NOTHING_TYPED, readTyped, restOf } from '../../../src/lib/ui/know/typed.ts';
import { arrowHead } from '../../../src/lib/ui/know/dots.ts';
import { inSight, nearer, slid, WHOLE } from '../../../src/lib/ui/kit/zoom.ts';
import { drawnClasses, frameOf, ontoPaper, readingLines } from '../../../src/lib/workbench/triangle/frame.ts';

const f = (sand: number, silt: number, clay: number): Fractions => ({ sand, silt, clay });
const point = (o: Partial<KnowPoint>): KnowPoint => ({
  id: 'a',
  code: 'N1',
  sampleId: 's1',
  sampleName: 'North bed',
  areaId: 'n',
  areaName: 'North',
  siteId: 'site',
  siteName: 'Skarn Holm',
  methodKey: 'jar-timed',
  methodName: 'Timed marks',
  at: Date.UTC(2025, 4, 1),
  fractions: f(60, 30, 10),
  basis: 'height',
  mass: null,
  ...o
});
const everything = { siteId: '', areaId: '', year: '', methodKey: '' };

describe('points on the triangle', () => {
  const points = [
    point({}),
    point({ id: 'b', code: 'N1b', fractions: f(64, 26, 10), mass: f(70, 20, 10) }),
    point({ id: 'c', code: 'N2', sampleId: 's2', at: Date.UTC(2026, 4, 1), fractions: f(50, 38, 12) }),
    point({
      id: 'd',
      code: 'P1',
      sampleId: 's3',
      areaId: null,
      areaName: null,
      siteId: null,
      siteName: null,
      methodKey: 'pipette',
      methodName: 'Pipette'
    })
  ];
  const ids = (filter: object) =>
    filterPoints(points, { ...everything, ...filter })
      .map((p) => p.id)
      .join('');

  it('are filtered by site, area, season and method', () => {
    expect(ids({})).to.equal('abcd');
    expect(ids({ siteId: 'site' })).to.equal('abc');
    expect(ids({ areaId: 'n', year: '2026' })).to.equal('c');
    expect(ids({ methodKey: 'pipette' })).to.equal('d');
  });

  it('are shown by height or by mass, by the limits of the system', () => {
    expect(shownFractions(points[1], false, 'usda').sand).to.equal(64);
    expect(shownFractions(points[1], true, 'usda').sand).to.equal(70);
    expect(shownFractions(points[0], true, 'usda').sand).to.equal(60);
    expect(shownFractions(points[0], false, 'international').sand).to.be.above(60);
    // Only results of before there were answers have two views.
    expect(someHaveTwoViews([points[1]])).to.equal(true);
    expect(someHaveTwoViews([points[0]])).to.equal(false);
    expect(someHaveTwoViews([{ ...points[1], basis: 'estimate' }])).to.equal(false);
  });

  it('join tests of one sample, and set an area before and after', () => {
    const of = (p: KnowPoint) => p.fractions;
    const [joined, ...others] = replicates(points, of);
    expect(others).to.deep.equal([]);
    expect(joined.mean).to.deep.equal(f(62, 28, 10));
    expect(joined.spread).to.equal(4);
    const [change] = changes(points, of);
    expect(change).to.deep.include({ areaId: 'n', from: f(62, 28, 10), to: f(50, 38, 12) });
    expect(changes(points.slice(0, 2), of)).to.deep.equal([]);
  });
});

describe('points over the wire', () => {
  it('come back as they were, to a hundredth of a percent', () => {
    const points = [
      point({ fractions: f(60.123, 29.877, 10) }),
      point({ id: 'b', mass: f(70.5, 19.25, 10.25), sampleId: 's2', areaId: null, areaName: null }),
      point({ id: 'c', basis: 'mass', fractions: f(0, 100, 0), mass: f(0, 100, 0), methodKey: 'pipette' })
    ];
    const packed = packPoints(points);
    expect(packed.soils).to.have.length(2);
    const back = unpackPoints(JSON.parse(JSON.stringify(packed)));
    expect(back[0].fractions).to.deep.equal(f(60.12, 29.88, 10));
    expect(back.slice(1)).to.deep.equal(points.slice(1));
    expect(unpackPoints(packPoints([]))).to.deep.equal([]);
  });
});

describe('the triangle as it is drawn', () => {
  const frame = frameOf(400);

  it('goes from percent to px and back', () => {
    for (const soil of [f(100, 0, 0), f(0, 100, 0), f(0, 0, 100), f(42, 40, 18)]) {
      const back = frame.back(frame.place(soil));
      for (const part of ['sand', 'silt', 'clay'] as const)
        expect(back[part]).to.be.closeTo(soil[part], 1e-9);
    }
    expect(ontoPaper(f(110, -5, -5))).to.deep.equal(f(100, 0, 0));
  });

  it('draws each reading line where its percentage stays the same', () => {
    const soil = f(42, 40, 18);
    for (const { key, to } of readingLines(soil, frame)) {
      expect(frame.back(to)[key], key).to.be.closeTo(soil[key], 1e-9);
      // It ends on a side of the triangle.
      expect(Math.min(...Object.values(frame.back(to)))).to.be.closeTo(0, 1e-9);
    }
  });

  it('has an area for each class of every system, all of the paper together', () => {
    for (const system of ['usda', 'uk', 'international', 'fao', 'german'] as const) {
      const whole = drawnClasses(system, frame).reduce((sum, c) => sum + c.area, 0);
      expect(whole, system).to.be.closeTo(5000, 1);
    }
  });

  it('comes closer about a place, and never leaves the paper', () => {
    const sheet = { width: frame.width, height: frame.height, most: 12 };
    const about = { x: 100, y: 100 };
    const near = nearer(WHOLE, 2, sheet, about);
    expect(near.k).to.equal(2);
    // What lay under the hand lies there still.
    expect(near.apply([100, 100])).to.deep.equal([100, 100]);
    expect(nearer(near, 0.1, sheet, about)).to.deep.equal(WHOLE);
    const corner = inSight(nearer(near, 4, sheet, { x: frame.width, y: frame.height }), sheet);
    expect(corner.x + corner.width).to.be.at.most(frame.width + 1e-9);
    expect(nearer(near, 100, sheet).k).to.equal(12);
  });

  it('is slid by a hand as far as the paper goes', () => {
    const sheet = { width: 400, height: 300, most: 4 };
    const near = nearer(WHOLE, 2, sheet);
    expect(inSight(near, sheet)).to.deep.equal({ x: 100, y: 75, width: 200, height: 150 });
    expect(inSight(slid(near, { x: -40, y: 20 }, sheet), sheet)).to.include({ x: 120, y: 65 });
    expect(inSight(slid(near, { x: -4000, y: 4000 }, sheet), sheet)).to.include({ x: 200, y: 0 });
  });
});

describe('how the triangle is misread', () => {
  it('the wrong way along the sand leads to another soil', () => {
    const wrong = sandTheWrongWay(f(42, 40, 18))!;
    expect(wrong.lands).to.deep.equal(f(24, 58, 18));
    expect(wrong.from.clay).to.equal(0);
    expect(sandTheWrongWay(f(10, 60, 30))).to.equal(undefined);
  });

  it('three lines that miss leave a triangle, three that meet do not', () => {
    const corners = linesThatMiss(f(42, 50, 18));
    expect(corners[0]).to.deep.equal(f(32, 50, 18));
    expect(corners[1]).to.deep.equal(f(42, 50, 8));
    expect(corners[2]).to.deep.equal(f(42, 40, 18));
    expect(() => linesThatMiss(f(42, 40, 18))).to.throw(RangeProblem);
  });
});

describe('tests side by side', () => {
  const test = (o: Partial<CompareTest>): CompareTest => ({
    id: 'a',
    code: 'N1',
    sampleId: 's1',
    sampleName: 'North bed',
    methodKey: 'jar-timed',
    methodName: 'Timed marks',
    at: 0,
    enteredAt: 0,
    weighed: false,
    estimated: false,
    fractions: f(60, 30, 10),
    sd: f(2, 2, 1),
    className: 'sandy loam',
    probability: 0.9,
    verdict: null,
    mass: { fractions: f(68, 24, 8), sd: f(3, 3, 2), className: 'sandy loam', probability: 0.8 },
    lab: null,
    ...o
  });

  it('stand by height or by their estimates, the first being what the others are set against', () => {
    const two = [
      test({}),
      test({ id: 'b', weighed: true, mass: null, methodKey: 'pipette', fractions: f(66, 24, 10) })
    ];
    const [first, second] = compareColumns(two, true);
    expect([first.basis, second.basis]).to.deep.equal(['estimate', 'mass']);
    expect(first.fractions.sand).to.equal(68);
    expect(first.difference).to.equal(null);
    expect(second.difference?.points.sand).to.equal(-2);
    expect(second.difference?.lies).to.equal('method');
    expect(compareColumns(two, false)[0].basis).to.equal('height');
    expect(compareColumns([], true)).to.deep.equal([]);
  });

  it('carry what a laboratory said of the sample, by the same limit', () => {
    const report = {
      id: 'r',
      sampleId: 's1',
      lab: 'Mainland',
      reportedOn: null,
      sand: 60,
      silt: 30,
      clay: 10,
      sandLimitUm: 63,
      organicPct: null,
      note: '',
      createdAt: 0
    };
    const [column] = compareColumns([test({ lab: report })], false);
    expect(column.lab!.fractions.sand).to.be.above(60);
    expect(column.lab!.points).to.be.closeTo(column.lab!.fractions.sand - 60, 1e-9);
  });
});

describe('percentages typed on the triangle', () => {
  const typed = (o: object) => ({ ...NOTHING_TYPED, ...o });

  it('make a point of two, show the rest, and wait while there is one', () => {
    expect(readTyped(typed({ sand: '40', clay: '20,5' })).point).to.deep.equal(f(40, 39.5, 20.5));
    expect(restOf(typed({ sand: '40', clay: '20,5' }))).to.deep.equal({ silt: '39.5' });
    expect(readTyped(typed({ sand: '40' }))).to.deep.equal({ errors: {} });
    expect(restOf(typed({ sand: '40' }))).to.deep.equal({});
    expect(readTyped(NOTHING_TYPED)).to.deep.equal({ errors: {} });
  });

  it('say beside the part what is wrong, even of one alone', () => {
    expect(readTyped(typed({ sand: 'much' })).errors.sand).to.match(/Type the sand in percent/);
    expect(readTyped(typed({ silt: '-5' })).errors.silt).to.match(/between 0 and 100/);
    expect(readTyped(typed({ sand: '40', silt: '50', clay: '20' })).errors.clay).to.match(/110.0 %/);
    expect(restOf(typed({ sand: '70', clay: '60' }))).to.deep.equal({});
  });

  it('say how a soil was moved', () => {
    expect(movedWords(f(40, 40, 20), f(37, 40, 23))).to.equal('3.0 points more clay, 3.0 less sand');
    expect(movedWords(f(40, 40, 20), f(40, 40, 20))).to.equal('');
  });

  it('draw an arrow with its head at the end it points to', () => {
    const head = arrowHead({ x: 0, y: 0 }, { x: 100, y: 0 }, 10);
    expect(head).to.match(/^M91.0 -?4.3L100.0 0.0L91.0 -?4.3$/);
  });
});
