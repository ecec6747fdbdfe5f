import { expect } from 'chai';
import type { SettledAnswer } from '../../../src/lib/core/index.ts';
import { topCurve } from '../../../src/lib/ui/test/top-curve.ts';
import { DEFAULT_PROFILE } from '../../../src/lib/words/profile.ts';
import { formatFor } from '../../../src/lib/words/format.ts';
import { settledTexts } from '../../../src/lib/words/settled.ts';

const HOUR = 3600;
const SIZE = { width: 340, height: 110 };
const fit = { endMm: 30, leftMm: -8, constantS: 6 * HOUR, errorMm: 0.1 };
const moving: SettledAnswer['top'] = { kind: 'moving', leftMm: 2, stillAtS: 20 * HOUR, fit };
const tops = [1, 3, 6, 9].map((h) => ({ timeS: h * HOUR, heightMm: 30 - 8 * Math.exp(-h / 6) }));

describe('the curve of a top', () => {
  it('is none for a single reading, and has no line while it is not trusted', () => {
    expect(topCurve(tops.slice(0, 1), moving, SIZE)).to.equal(undefined);
    expect(topCurve(tops, { kind: 'unsure' }, SIZE)).to.deep.include({ path: '' });
    expect(topCurve(tops, undefined, SIZE)!.points).to.have.length(4);
  });

  it('starts on the first reading, passes through those that lie on it, and ends where the top stands still', () => {
    const { points, path } = topCurve(tops, moving, SIZE)!;
    const line = path
      .slice(1)
      .split('L')
      .map((p) => p.split(' ').map(Number));
    expect(line[0][0]).to.be.closeTo(points[0].x, 0.06);
    expect(line[0][1]).to.be.closeTo(points[0].y, 0.06);
    expect(line.at(-1)![0]).to.be.closeTo(SIZE.width - 6, 0.06);
    for (const { x, y } of points) {
      expect(x).to.be.within(6, SIZE.width - 6);
      expect(y).to.be.within(6, SIZE.height - 6);
    }
  });
});

describe('what is said of a jar that may be settled', () => {
  const START = Date.UTC(2026, 8, 14, 9);
  const format = formatFor(DEFAULT_PROFILE, 'UTC');
  const said = (top: SettledAnswer['top'], hours: number) =>
    settledTexts(
      { siltDoneS: 12 * HOUR, top, readableAtS: 20 * HOUR, stillUpPct: { low: 1, high: 5 } },
      { setDownAt: START, now: START + hours * HOUR * 1000, format }
    );
  const still: SettledAnswer['top'] = { kind: 'still', leftMm: 0.3, stillAtS: 2 * HOUR, fit };

  it('calls a top that stands still readable only once silt is down', () => {
    expect(said(still, 3).top).to.match(/hardly moves, but silt comes down until 21:00/);
    expect(said(still, 13).top).to.match(/^Readable now/);
    expect(said(still, 3).silt).to.equal('The finest silt is down 21:00.');
    expect(said(still, 13).silt).to.match(/^The finest silt is down, since/);
  });

  it('says when a moving top can be read, and how many readings are wanted', () => {
    expect(said(moving, 9).top).to.match(/^Readable after .*05:00: the top will still move 2(\.0)? mm/);
    expect(said({ kind: 'few', missing: 1 }, 1).top).to.match(/^Readable: 1 more reading /);
    expect(said({ kind: 'unsure' }, 9).top).to.match(/does not bend/);
  });
});
