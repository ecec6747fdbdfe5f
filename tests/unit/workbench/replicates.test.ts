import { expect } from 'chai';
import type { LogLine } from '../../../src/lib/contract/records/log.ts';
import { replicateText } from '../../../src/lib/words/replicates.ts';
import { replicatesOf } from '../../../src/lib/workbench/replicates.ts';

const line = (code: string, [sand, silt, clay]: number[], o: Partial<LogLine> = {}): LogLine => ({
  id: code,
  code,
  sampleId: 's',
  sampleName: 'Till bank',
  purpose: 'build',
  methodKey: 'jar-timed',
  methodName: 'Timed marks',
  status: 'finished',
  createdAt: 0,
  setDownAt: 0,
  at: 0,
  takenOn: null,
  finishedAt: 1,
  binnedAt: null,
  tempC: 18,
  sand,
  silt,
  clay,
  gravelPct: 0,
  class: 'loam',
  probability: 0.9,
  verdict: null,
  sd: { sand: 1.5, silt: 1.5, clay: 1 },
  mass: null,
  read: null,
  doubtful: false,
  act: null,
  problem: null,
  ...o
});

describe('jars of one soil', () => {
  it('that agree have a mean and a spread', () => {
    const [same, ...rest] = replicatesOf([
      line('T1', [50, 30, 20]),
      line('T1b', [52, 29, 19], { createdAt: 1 })
    ]);
    expect(rest).to.deep.equal([]);
    expect(same).to.deep.include({
      codes: ['T1', 'T1b'],
      mean: { sand: 51, silt: 29.5, clay: 19.5 },
      spread: 2
    });
    expect(same.apart).to.equal(null);
    expect(replicateText(same)).to.match(/agree within their errors.*at most 2 points apart/);
  });
  it('that differ by more than their errors say which two, in what and by how much', () => {
    const [same] = replicatesOf([
      line('T1', [50, 30, 20]),
      line('T1b', [51, 30, 19]),
      line('T1c', [62, 22, 16])
    ]);
    expect(same.apart).to.deep.include({ codes: ['T1', 'T1c'], part: 'sand', points: 12 });
    expect(replicateText(same)).to.match(/T1 and T1c differ by more.*12 points of sand/);
  });
  it('are compared by one method, finished, and readable only', () => {
    expect(
      replicatesOf([
        line('T1', [50, 30, 20]),
        line('T1b', [60, 20, 20], { methodKey: 'jar-bands' }),
        line('T1c', [60, 20, 20], { status: 'read', sd: null }),
        line('T1d', [60, 20, 20], { problem: 'odd' }),
        line('T1e', [60, 20, 20], { silt: null })
      ])
    ).to.deep.equal([]);
  });
});
