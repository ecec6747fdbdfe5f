import { expect } from 'chai';
import { estimateJar, type Evidence } from '../../../src/lib/core/index.ts';
import { byChains } from '../../jars/chain.ts';
import { readJar, trueJar } from '../../jars/column.ts';

const PARTS = ['sand', 'silt', 'clay'] as const;

describe('the sampler', () => {
  it('says of a jar what Markov chains say, another way to the same answer', () => {
    const jar = trueJar(1003);
    const read = readJar(jar, 7003);
    const evidence: Evidence[] = [...read.marks, ...read.fill, ...read.bands, ...read.water];
    const o = { columnMm: jar.columnMm, tempC: jar.tempC, evidence };
    const e = estimateJar(o);
    const { mean, sd } = byChains({ ...o, could: e.could }, 250);
    PARTS.forEach((part, j) => {
      expect(e.fractions[part], part).to.be.closeTo(mean[j], 1.2);
      expect(e.sd[part] / sd[j], part).to.be.within(0.85, 1.15);
    });
  });
});
