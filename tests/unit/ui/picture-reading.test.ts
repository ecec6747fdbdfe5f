import { expect } from 'chai';
import { PictureReading } from '../../../src/lib/ui/picture/reading.svelte.ts';

describe('a picture as it is being read', () => {
  const expected = { sand: 22, silt: 30, clay: 35 };
  function picture(): PictureReading {
    const p = new PictureReading({ unit: 'mm', waterMm: 120, expected });
    p.url = 'blob:picture';
    p.size = { width: 400, height: 800 };
    p.low.at = [200, 640];
    p.high.at = [200, 240];
    return p;
  }

  it('has a strip once two heights can be read and lie apart', () => {
    const p = picture();
    expect(p.strip).to.deep.include({
      fromMm: 1,
      toMm: 116,
      low: { at: [200, 640], heightMm: 0, sigmaMm: 0.3 }
    });
    expect(p.scaleProblems).to.deep.equal({});
    p.low.text = 'the bottom';
    expect(p.strip).to.equal(undefined);
    expect(p.scaleProblems.low).to.match(/No number/);
    p.low.text = '120';
    expect(p.strip).to.equal(undefined);
    expect(p.scaleProblems.scale).to.be.a('string');
    p.low.text = '0';
    p.high.at = [200, 640];
    expect(p.scaleProblems.scale).to.be.a('string');
  });

  it('lays the strip across the picture at right angles to the glass, however it leans', () => {
    const p = picture();
    p.widthPx = 60;
    const [a, b, c, d] = p.outline(p.strip!);
    expect(b[0] - a[0]).to.be.closeTo(60, 1e-9);
    expect(a[1]).to.be.closeTo(b[1], 1e-9);
    expect(c[1]).to.be.below(b[1]);
    expect(d[0]).to.be.closeTo(a[0], 1e-9);
    p.high.at = [300, 240];
    const [low, lowRight, highRight] = p.outline(p.strip!);
    const across = [lowRight[0] - low[0], lowRight[1] - low[1]];
    const up = [highRight[0] - lowRight[0], highRight[1] - lowRight[1]];
    expect(Math.hypot(...across)).to.be.closeTo(60, 1e-9);
    expect(across[0] * up[0] + across[1] * up[1]).to.be.closeTo(0, 1e-6);
  });

  it('lets lines go the moment the strip moves, and keeps those of a hand to be put back', () => {
    const p = picture();
    p.moved(p.strip!);
    p.propose([{ heightMm: 21.4, sigmaMm: 0.3, confidence: 0.9 }]);
    p.moved(p.strip!);
    expect(p.lines, 'where it was').to.have.length(1);
    p.moveLine(p.lines[0], 22);
    p.moveCross('high', [200, 250]);
    p.moved(p.strip!);
    expect(p.lines).to.deep.equal([]);
    expect(p.touched).to.equal(false);
    p.putMineBack();
    expect(p.lines.map((l) => l.heightMm)).to.deep.equal([22]);
  });

  it('names proposed lines by where the tops should be, and leaves them alone once somebody has touched one', () => {
    const p = picture();
    p.propose([
      { heightMm: 21.4, sigmaMm: 0.3, confidence: 0.9 },
      { heightMm: 30.6, sigmaMm: 0.8, confidence: 0.6 },
      { heightMm: 36, sigmaMm: 0.4, confidence: 0.8 }
    ]);
    expect(p.lines.map((l) => l.name)).to.deep.equal(['sand', 'silt', 'clay']);
    expect(p.touched).to.equal(false);
    p.moveLine(p.lines[1], 31);
    expect(p.lines[1]).to.deep.include({ heightMm: 31, sigmaMm: 0.5, confidence: undefined });
    expect(p.touched).to.equal(true);
    p.dropLine(p.lines[0]);
    expect(p.lines.map((l) => l.name)).to.deep.equal(['silt', 'clay']);
    p.addLine();
    expect(p.lines.at(-1)).to.deep.include({ name: 'sand', sigmaMm: 0.5 });
    expect(new Set(p.lines.map((l) => l.key)).size).to.equal(3);
    expect(p.doubleName).to.equal(undefined);
    p.lines[0].name = 'clay';
    expect(p.doubleName).to.match(/clay/);
    // A line that is no layer may stand as often as it likes.
    for (const line of p.lines) line.name = '';
    expect(p.doubleName).to.equal(undefined);
  });

  it('puts four corners about the middle, to be moved one by one', async () => {
    const p = picture();
    await p.beginSquare();
    expect(p.squaring).to.equal(true);
    p.moveCorner(2, [300, 700]);
    expect(p.corners![2]).to.deep.equal([300, 700]);
    expect(p.corners![0]).to.deep.equal([120, 200]);
    // Begun again, they stay where they were put.
    await p.beginSquare();
    expect(p.corners![2]).to.deep.equal([300, 700]);
  });
});
