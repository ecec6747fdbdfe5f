import { expect } from 'chai';
import type { LogLine } from '../../../src/lib/contract/records/log.ts';
import { findLines, LOG_ORDER } from '../../../src/lib/workbench/find.ts';
import { line } from './line.ts';

const lines = [
  line('K2', { setDownAt: 300, at: 300, class: 'loam' }),
  line('K10', {
    setDownAt: 200,
    at: 200,
    sampleName: 'Till bank',
    purpose: 'build',
    methodKey: 'jar-builder',
    methodName: 'Builder’s jar'
  }),
  line('B1', { setDownAt: null, createdAt: 400, at: 400, class: null, status: 'ready' })
];
const codes = (found: LogLine[]) => found.map((l) => l.code);

describe('the log', () => {
  it('is found by every word that was typed, anywhere, in any case', () => {
    expect(codes(findLines(lines, ''))).to.deep.equal(['K2', 'K10', 'B1']);
    expect(codes(findLines(lines, 'till'))).to.deep.equal(['K10']);
    expect(codes(findLines(lines, 'GARDEN loam'))).to.deep.equal(['K2']);
    expect(codes(findLines(lines, 'builder'))).to.deep.equal(['K10']);
    expect(codes(findLines(lines, 'building'))).to.deep.equal(['K10']);
    expect(codes(findLines(lines, 'not set down'))).to.deep.equal(['B1']);
    expect(findLines(lines, 'k1 peat')).to.deep.equal([]);
  });

  it('is sorted by date, by code with numbers in their order, by class with the unread last', () => {
    expect(codes([...lines].sort(LOG_ORDER.date))).to.deep.equal(['B1', 'K2', 'K10']);
    expect(codes([...lines].sort(LOG_ORDER.sample))).to.deep.equal(['B1', 'K2', 'K10']);
    expect(codes([...lines].sort(LOG_ORDER.class))).to.deep.equal(['K2', 'K10', 'B1']);
  });
});
