import { expect } from 'chai';
import fc from 'fast-check';
import { distance, isInside, type Outline, type Point } from '../../../src/lib/core/index.ts';
import type { SiteDetail, SpotRecord } from '../../../src/lib/contract/records/ground.ts';
import { composite } from '../../../src/lib/ui/ground/composite.ts';
import { areaForm, freePlace, rectangleAt } from '../../../src/lib/ui/ground/form.ts';
import {
  boxOf,
  labelPlace,
  pathOf,
  roundLength,
  squares,
  toPlace,
  toPx,
  viewOf,
  sheetOf
} from '../../../src/lib/ui/ground/view.ts';
import { nearer, WHOLE } from '../../../src/lib/ui/kit/zoom.ts';

const spot = (id: string, fields: Partial<SpotRecord> = {}): SpotRecord => ({
  id,
  areaId: 'a',
  no: 1,
  x: 1,
  y: 1,
  takenAt: 5,
  depthFrom: null,
  depthTo: null,
  note: '',
  ...fields
});
const OUTLINE: Outline = [
  [0, 0],
  [40, 0],
  [40, 10],
  [0, 10]
];
const area = (fields: Partial<SiteDetail['areas'][number]> = {}): SiteDetail['areas'][number] => ({
  id: 'a',
  siteId: 's',
  code: 'N',
  name: 'North bed',
  purpose: 'garden',
  history: ['dug'],
  note: '',
  outline: [...OUTLINE],
  createdAt: 0,
  spots: [],
  samples: [],
  ...fields
});
const site = (areas = [area()]): SiteDetail => ({
  id: 's',
  name: 'Skarn Holm',
  createdAt: 0,
  sketch: { backdrop: null, scaled: true, earth: null },
  areas
});

describe('the sheet of a sketch', () => {
  it('holds everything that is drawn, with room around it', () => {
    expect(boxOf(site([]))).to.deep.equal({ left: 0, low: 0, right: 24, top: 15 });
    expect(boxOf(site())).to.deep.equal({ left: -2.4, low: -2.4, right: 42.4, top: 12.4 });
    const laid = site([]);
    laid.sketch.backdrop = { fileId: 'f', widthPx: 2000, heightPx: 1000, metresPerPx: 0.05 };
    expect(boxOf(laid)).to.include({ right: 106, top: 56 });
  });

  it('shows a place where it lies and finds it again to the centimetre, at any zoom', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        fc.integer({ min: 300, max: 1200 }),
        fc.constantFrom(1, 1.5, 4),
        (x, y, width, zoom) => {
          const box = boxOf(site());
          const view = viewOf(box, width, nearer(WHOLE, zoom, sheetOf(box, width), { x: 90, y: 40 }));
          const [px, py] = toPx(view, [x, y]);
          expect(distance(toPlace(view, px, py), [x, y])).to.be.below(0.0101);
        }
      )
    );
    const view = viewOf(boxOf(site()), 800);
    // Up on the sketch is up on the sheet.
    expect(toPx(view, [0, 10])[1]).to.be.below(toPx(view, [0, 0])[1]);
    for (const corner of OUTLINE) {
      const [px, py] = toPx(view, corner);
      expect(px).to.be.within(0, view.width);
      expect(py).to.be.within(0, view.height);
    }
  });

  it('is squared in ones, twos and fives, with a scale of a round length', () => {
    for (const width of [300, 800, 1200]) {
      const view = viewOf(boxOf(site()), width);
      const { stepM, xs } = squares(view);
      expect([0.1, 0.2, 0.5, 1, 2, 5, 10]).to.include(stepM);
      expect(xs[1] - xs[0]).to.be.closeTo(stepM, 1e-9);
      const bar = roundLength(view, 130);
      expect(bar * view.pxPerM).to.be.within(50, 131);
    }
    expect(
      pathOf(
        viewOf(boxOf(site([])), 800),
        [
          [0, 0],
          [1, 1]
        ],
        false
      )
    ).to.match(/^M[\d.]+ [\d.]+L/);
    expect(pathOf(viewOf(boxOf(site([])), 800), [])).to.equal('');
  });

  it('puts a label inside its area and off the spots, or says that it has no room', () => {
    const view = viewOf(boxOf(site()), 800);
    const spots: Point[] = [
      [20, 5],
      [30, 5]
    ];
    const room = { wide: 80, high: 60 };
    const place = labelPlace(view, OUTLINE, spots, room)!;
    expect(isInside(OUTLINE, place)).to.equal(true);
    for (const [x, y] of spots) {
      const [dx, dy] = [Math.abs(x - place[0]) * view.pxPerM, Math.abs(y - place[1]) * view.pxPerM];
      expect(dx > room.wide / 2 || dy > room.high / 2).to.equal(true);
    }
    expect(labelPlace(view, OUTLINE, [], { wide: 80, high: 600 })).to.equal(undefined);
    expect(labelPlace(view, OUTLINE, [], room)).to.deep.equal([20, 5]);
  });
});

describe('areas and composites', () => {
  it('by their measures are put where there is room', () => {
    expect(rectangleAt([5, 5], 4, 2)).to.deep.equal([
      [3, 4],
      [7, 4],
      [7, 6],
      [3, 6]
    ]);
    const [x] = freePlace([OUTLINE], 6, 4);
    expect(x - 3).to.be.above(40);
    expect(freePlace([], 6, 4)).to.deep.equal([12, 7.5]);
  });

  it('are written up on a copy: the record stays as it is until that is kept', () => {
    const record = area();
    const form = areaForm(record);
    form.history.push('filled');
    form.outline.pop();
    expect(record.history).to.deep.equal(['dug']);
    expect(record.outline).to.have.length(4);
  });

  it('are mixed from the spots that were taken, over the depths they all reach', () => {
    const depth = (mm: number) => ({ mm, text: `${mm}` });
    const made = composite(
      area({
        spots: [
          spot('one', { depthFrom: depth(75), depthTo: depth(140) }),
          spot('two', { takenAt: null, depthFrom: depth(0) }),
          spot('three', { depthFrom: depth(60), depthTo: depth(150) })
        ]
      }),
      'sample',
      '2026-05-04'
    );
    expect(made).to.deep.include({ areaId: 'a', name: 'North bed', spotIds: ['one', 'three'] });
    expect(made.details).to.deep.equal({ takenOn: '2026-05-04', depthFrom: depth(60), depthTo: depth(150) });
    // The depth of one spot says nothing of a mix with others.
    const partly = [spot('one', { depthFrom: depth(75), depthTo: depth(140) }), spot('two')];
    expect(composite(area({ spots: partly }), 's', '2026-05-04').details).to.deep.equal({
      takenOn: '2026-05-04'
    });
  });
});
