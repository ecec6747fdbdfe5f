import { expect } from 'chai';
import sharp from 'sharp';
import fc from 'fast-check';
import jsQR from 'jsqr';
import { LABEL_SHEETS, labelPlaces } from '../../../src/lib/formats/labels.ts';
import { labelsPdf, squarePath } from '../../../src/lib/formats/labels-pdf.ts';

const labels = (count: number) =>
  Array.from({ length: count }, (_, i) => ({
    code: `K${i + 1}`,
    name: 'Walled garden, north bed, by the tap',
    day: '4 May 2026',
    link: `http://127.0.0.1:3160/samples/${i}`
  }));

describe('labels', () => {
  it('stand inside their sheet, never one over another, after those that are used up', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...LABEL_SHEETS),
        fc.integer({ min: 1, max: 70 }),
        fc.integer({ min: 0, max: 29 }),
        (on, count, skip) => {
          const places = labelPlaces(on, count, skip);
          const seen = new Set<string>();
          for (const { page, x, y } of places) {
            expect(x).to.be.at.least(0);
            expect(x + on.label.width).to.be.at.most(on.page.width + 0.01);
            expect(y + on.label.height).to.be.at.most(on.page.height + 0.01);
            seen.add(`${page} ${x.toFixed(2)} ${y.toFixed(2)}`);
          }
          expect(seen.size).to.equal(count);
          expect(places[0].page).to.equal(Math.floor(skip / (on.columns * on.rows)));
        }
      )
    );
    for (const on of LABEL_SHEETS) {
      expect(on.gapX).to.be.at.least(0);
      expect(on.gapY).to.be.at.least(0);
    }
  });

  it('are a PDF of as many pages as they need, at the size of the paper', async () => {
    for (const [id, count, skip, pages, box] of [
      ['a4-24', 25, 0, 2, /595\.2[78]\d* 841\.8[89]/],
      ['letter-30', 3, 28, 2, /612(\.\d+)? 792/],
      ['single', 2, 0, 2, /283\.4\d* 170\.0\d*/]
    ] as const) {
      const bytes = await labelsPdf(
        labels(count),
        LABEL_SHEETS.find((s) => s.id === id)!,
        skip
      );
      const text = Buffer.from(bytes).toString('latin1');
      expect(text.slice(0, 5)).to.equal('%PDF-');
      expect(text.match(/\/Type \/Page\b(?!s)/g), id).to.have.length(pages);
      expect(text).to.match(box);
    }
  });

  it('carry a square that a phone reads as the address of the sample', async () => {
    const link = 'http://bench.local:3160/samples/01M8EEG2PT8TYXEPF5TMAQPFGR';
    const d = squarePath(link, { x: 20, y: 30 }, 100);
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="140" height="160"><rect width="140" height="160" fill="#fff"/><path d="${d}"/></svg>`;
    const { data, info } = await sharp(Buffer.from(svg), { density: 216 })
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    expect(jsQR(new Uint8ClampedArray(data), info.width, info.height)?.data).to.equal(link);
  });
});
