import { expect } from 'chai';
import { LABEL_SHEETS } from '../../../src/lib/formats/labels.ts';
import type { PdfAsked } from '../../../src/lib/server/pdf.ts';
import { Thread } from '../../../src/lib/server/thread.ts';

const label = { code: 'N1', name: 'North bed', day: '4 May 2026', link: 'http://127.0.0.1/samples/1' };
const labels = (count: number): PdfAsked => ({
  kind: 'labels',
  labels: Array.from({ length: count }, () => label),
  on: LABEL_SHEETS[0],
  skip: 0
});

describe('long work beside the server', () => {
  it('lets the event loop go on, stops when nobody waits, and does the next all the same', async () => {
    const thread = new Thread<PdfAsked, Uint8Array>('pdf');
    let beats = 0;
    const shares: number[] = [];
    const beat = setInterval(() => beats++, 20);
    const left = new AbortController();
    const long = thread.ask(labels(4000), { signal: left.signal, told: (share) => shares.push(share) });
    const next = thread.ask(labels(1));
    // Not begun, it is not stopped either: whoever leaves the line leaves it.
    const gone = new AbortController();
    const never = thread.ask(labels(1), { signal: gone.signal }).catch((problem: Error) => problem);
    gone.abort();
    while (beats <= 10) await new Promise((resolve) => setTimeout(resolve, 20));
    left.abort();
    expect(await long.catch((problem: Error) => problem.message)).to.contain('stopped');
    expect(Buffer.from(await next).toString('latin1', 0, 5)).to.equal('%PDF-');
    expect(await never).to.be.instanceOf(Error);
    clearInterval(beat);
  });

  it('says what went wrong, and answers the next', async () => {
    const thread = new Thread<unknown, Uint8Array>('pdf');
    const wrong = await thread.ask({ kind: 'labels' }).catch((problem: Error) => problem.message);
    expect(wrong).to.match(/^The pdf thread failed: /);
    expect(await thread.ask(labels(1))).to.be.instanceOf(Uint8Array);
  });
});
