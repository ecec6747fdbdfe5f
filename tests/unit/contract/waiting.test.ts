import { expect } from 'chai';
import type { Command, CommandName, PayloadInput } from '../../../src/lib/contract/commands.ts';
import { withWaiting } from '../../../src/lib/contract/waiting.ts';
import { START, anyJar } from '../workbench/jar.ts';

const command = <N extends CommandName>(name: N, payload: PayloadInput<N>, at = START): Command =>
  ({ commandId: `${name}${at}`, at, name, payload }) as Command;
const down = command('jar.set-down', { testId: 'a', runId: 'r' });
const sand = command('jar.mark', { testId: 'a', runId: 'r', markId: 'm', layer: 'sand' }, START + 61_000);
const height = command('mark.height', { testId: 'a', markId: 'm', height: { mm: 22, text: '7/8 in' } });
const shaken = command('jar.shake-again', { testId: 'a', runId: 'r', reason: 'knocked' }, START + 90_000);

describe('what waits in the browser', () => {
  const bench = [anyJar({ plannedAt: START }), anyJar({ id: 'b' })];

  it('stands on the shelf at once: ticks, set-down, mark and height, with their true times', () => {
    const prep = command('jar.prep', { testId: 'a', ticks: ['soil'], shakeStartedAt: START - 600_000 });
    const [jar, other] = withWaiting('jar', bench, [prep, down, sand, height]);
    expect(jar.prep).to.deep.equal({ ticks: ['soil'], shakeStartedAt: START - 600_000 });
    expect(jar.status).to.equal('running');
    expect(jar.run).to.deep.include({ id: 'r', no: 1, setDownAt: START, pending: true });
    expect(jar.run!.marks).to.deep.equal([
      { id: 'm', layer: 'sand', at: START + 61_000, heightMm: 22, heightText: '7/8 in', pending: true }
    ]);
    expect(other).to.deep.equal(bench[1]);
  });

  it('counts the dispersant as told once its tick waits, and not any more where that is taken off', () => {
    const untold = [anyJar({ notMeasured: ['tempC', 'dispersantMl'] })];
    const prep = (ticks: string[]) => command('jar.prep', { testId: 'a', ticks, shakeStartedAt: null });
    expect(withWaiting('jar', untold, [prep(['dose'])])[0].notMeasured).to.deep.equal(['tempC']);
    const [off] = withWaiting('jar', untold, [prep(['dose']), prep([])]);
    expect(off.notMeasured).to.deep.equal(['tempC', 'dispersantMl']);
  });

  it('ends a run without losing it, and the plan with it', () => {
    const [jar] = withWaiting('jar', bench, [down, sand, shaken]);
    expect(jar.status).to.equal('ready');
    expect(jar.plannedAt).to.equal(null);
    expect(jar.run).to.deep.include({ endedAt: START + 90_000, endReason: 'knocked' });
    expect(jar.run!.marks).to.have.length(1);
  });

  it('shows readings of the top and of instruments at once, and their figures when they are typed', () => {
    const top = command(
      'jar.top',
      { testId: 'a', runId: 'r', topId: 'o', height: { mm: 31, text: '31' }, water: 'hazy' },
      START + 3_600_000
    );
    const taken = command('gauge.take', { testId: 'a', runId: 'r', gaugeId: 'g', no: 0 }, START + 40_000);
    const typed = command('gauge.enter', { testId: 'a', gaugeId: 'g', value: 21, tempC: 19.5 });
    const [first] = withWaiting('jar', bench, [down, top, taken]);
    expect(first.run!.tops).to.deep.equal([
      { id: 'o', at: START + 3_600_000, heightMm: 31, heightText: '31', water: 'hazy', pending: true }
    ]);
    const gauge = { id: 'g', no: 0, at: START + 40_000, simulated: false, pending: true };
    expect(first.run!.gauges).to.deep.equal([{ ...gauge, value: null, tempC: null }]);
    const [then] = withWaiting('jar', bench, [down, top, taken, typed]);
    expect(then.run!.gauges).to.deep.equal([{ ...gauge, value: 21, tempC: 19.5 }]);
    expect(withWaiting('jar', [then], [top, taken])).to.deep.equal([then]);
    // Figures for a run that has gone change nothing.
    expect(withWaiting('jar', bench, [top, taken, typed, height])).to.deep.equal(bench);
  });

  it('counts nothing twice once the server has it too', () => {
    const once = withWaiting('jar', bench, [down, sand]);
    expect(withWaiting('jar', once, [down, sand])).to.deep.equal(once);
  });

  it('leaves a jar alone that the command is not about, or whose run has gone', () => {
    const stray = command('jar.mark', { testId: 'a', runId: 'gone', markId: 'x', layer: 'silt' });
    expect(withWaiting('jar', bench, [stray])).to.deep.equal(bench);
    expect(withWaiting('jar', bench, [command('profile.set', { clock: '12' })])).to.deep.equal(bench);
  });

  it('does not change what it was given', () => {
    const before = structuredClone(bench);
    withWaiting('jar', bench, [down, sand, height, shaken]);
    expect(bench).to.deep.equal(before);
  });
});
