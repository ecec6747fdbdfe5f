import { expect } from 'chai';
import fc from 'fast-check';
import { Latest } from '../../../src/lib/browser/latest.svelte.ts';

describe('work that is asked for more often than it can be done', () => {
  it('does one piece at a time and ends with the newest, skipping what lay between', async () => {
    const begun: number[] = [];
    const gates: ((n: number) => void)[] = [];
    const work = new Latest((n: number) => {
      begun.push(n);
      return new Promise<number>((resolve) => gates.push(resolve));
    });
    void work.ask(1);
    void work.ask(2);
    void work.ask(3);
    expect(begun).to.deep.equal([1]);
    gates[0](10);
    await new Promise((resolve) => setTimeout(resolve));
    expect(begun).to.deep.equal([1, 3]);
    expect(work.answer, 'an answer to an old question is none').to.equal(undefined);
    gates[1](30);
    await new Promise((resolve) => setTimeout(resolve));
    expect(work.answer).to.equal(30);
  });

  it('says why there is no answer, and forgets both when nothing is asked', async () => {
    const work = new Latest((n: number) =>
      n < 50 ? Promise.resolve(n) : Promise.reject(n < 60 ? new Error('too much') : 'far too much')
    );
    await work.ask(50);
    expect(work.problem).to.equal('too much');
    expect(work.answer).to.equal(undefined);
    await work.ask(60);
    expect(work.problem).to.equal('far too much');
    await work.ask(4);
    expect(work.answer).to.equal(4);
    expect(work.problem).to.equal(undefined);
    await work.ask(undefined);
    expect(work.answer).to.equal(undefined);
  });

  it('always ends with the answer to the last question, however they come', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.scheduler(),
        fc.array(fc.integer({ min: 1, max: 99 }), { minLength: 1 }),
        async (s, all) => {
          const work = new Latest(s.scheduleFunction(async (n: number) => n * 2));
          const questions = s.schedule(Promise.resolve()).then(async () => {
            for (const n of all) {
              void work.ask(n);
              await s.schedule(Promise.resolve());
            }
          });
          await s.waitAll();
          await questions;
          await s.waitAll();
          await new Promise((resolve) => setTimeout(resolve));
          expect(work.answer).to.equal(all.at(-1)! * 2);
        }
      )
    );
  });
});
