import { expect } from 'chai';
import { callsOf } from '../../../src/lib/workbench/calls.ts';
import { viewShelf } from '../../../src/lib/workbench/jars.ts';
import { justBefore, steadyBench, STEADY_MS } from '../../../src/lib/workbench/steady.ts';
import type { MarkRecord } from '../../../src/lib/contract/records/run.ts';
import { anyJar, anyRun, START } from './jar.ts';

const S = 1000;
/** A jar whose sand falls due a minute after it was set down; some of its layers marked. */
const jar = (id: string, setDownAt: number, marked: MarkRecord['layer'][] = []) =>
  anyJar({
    id,
    code: id,
    status: 'running',
    run: anyRun({
      id: `run-${id}`,
      setDownAt,
      marks: marked.map((layer) => ({
        id: layer,
        layer,
        at: setDownAt + 60 * S,
        heightMm: null,
        heightText: null
      })) as MarkRecord[]
    })
  });

const far = { pickedId: null, handNear: false };
const near = { pickedId: null, handNear: true };

describe('what is called, kept steady', () => {
  const jars = [jar('A', START), jar('B', START + 4 * S)];
  const views = (now: number) => viewShelf(jars, now);

  it('is one answer: the jar in its window first, then the one that was just missed, then the one long late', () => {
    const bench = steadyBench();
    const first = bench(views(START + 61 * S), { ...far, now: START + 61 * S });
    expect(first.called!.jar.id).to.equal('A');
    // A's window closes while B's is open.
    const later = START + 75 * S;
    const late = [jar('long', START - 3000 * S), jar('just', START)];
    const order = steadyBench()(viewShelf(late, later), { ...far, now: later });
    expect(order.views.map((v) => v.step.state)).to.deep.equal(['late', 'late']);
    expect(order.called!.jar.id).to.equal('just');
    expect(callsOf(order.views, order.called)[0].path).to.equal('/tests/just');
  });

  it('does not change under a hand that is near, nor within two seconds of a change', () => {
    const bench = steadyBench();
    const at = (s: number, o = far, list = jars) =>
      bench(viewShelf(list, START + s * S), { ...o, now: START + s * S });
    const both = [jar('A', START, ['sand']), jar('B', START + 4 * S), jar('C', START + 5 * S)];
    expect(at(30, far, both).head!.jar.id).to.equal('B');
    expect(at(65.5, far, both).called!.jar.id).to.equal('B');
    // C falls due too, and closes later: nothing changes. B is marked: C is called, but not under the hand.
    const marked = [both[0], jar('B', START + 4 * S, ['sand']), both[2]];
    expect(at(66, near, marked).head!.jar.id).to.equal('B');
    expect(at(68, far, marked).called!.jar.id).to.equal('C');
    // A change back within two seconds waits.
    const back = [both[0], both[1], jar('C', START + 5 * S, ['sand'])];
    expect(at(69, far, back).head!.jar.id).to.equal('C');
    expect(at(68 + STEADY_MS / S + 0.1, far, back).called!.jar.id).to.equal('B');
  });

  it('follows at once what somebody picks, and what is gone gives way', () => {
    const bench = steadyBench();
    const now = START + 65 * S;
    expect(bench(views(now), { ...far, now }).called!.jar.id).to.equal('A');
    expect(bench(views(now), { ...near, pickedId: 'B', now }).called!.jar.id).to.equal('B');
    expect(bench(viewShelf([jars[0]], now), { ...near, pickedId: 'B', now }).called!.jar.id).to.equal('A');
  });

  it('knows for two seconds which jar a press may have been meant for', () => {
    const bench = steadyBench();
    const at = (s: number, list = jars) =>
      bench(viewShelf(list, START + s * S), { ...far, now: START + s * S });
    at(65);
    const changed = at(66, [jar('A', START, ['sand']), jars[1]]);
    expect(changed.called!.jar.id).to.equal('B');
    expect(justBefore(changed, 'B')!.jar.id).to.equal('A');
    expect(justBefore(changed, 'A')).to.equal(undefined);
    expect(justBefore(changed, 'B', 0)!.jar.id, 'the place that it stood in').to.equal('A');
    const settled = at(66 + STEADY_MS / S + 0.1, [jar('A', START, ['sand']), jars[1]]);
    expect(justBefore(settled, 'B')).to.equal(undefined);
  });
});
