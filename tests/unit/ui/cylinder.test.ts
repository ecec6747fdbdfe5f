import { expect } from 'chai';
import { setupFor, standingGauges, toCylinderInput } from '../../../src/lib/contract/cylinder.ts';
import type { GaugeRecord } from '../../../src/lib/contract/records/run.ts';
import type { Command, CommandName, PayloadInput } from '../../../src/lib/contract/commands.ts';
import { withWaiting } from '../../../src/lib/contract/waiting.ts';
import {
  benchTasks,
  methodByKey,
  tasksLeft,
  USUAL_FACTS,
  workOutReadings
} from '../../../src/lib/core/index.ts';
import { formOf, readFacts } from '../../../src/lib/ui/cylinder/form.ts';
import { readNumber } from '../../../src/lib/workbench/entry/figure.ts';
import { drawnDarkness, readingRows } from '../../../src/lib/workbench/working/readings.ts';
import { viewJar } from '../../../src/lib/workbench/jars.ts';
import { stepShort, stepTitle } from '../../../src/lib/words/steps.ts';
import { callsOf } from '../../../src/lib/workbench/calls.ts';
import { anyJar, anyRun, START } from '../workbench/jar.ts';

const facts = {
  ...USUAL_FACTS,
  airDryG: 40,
  moisture: { wetG: 30.25, dryG: 30, tinG: 20 },
  sieves: [{ meshUm: 63, retainedG: 3.5 }]
};
const gauge = (o: Partial<GaugeRecord>): GaugeRecord => ({
  id: 'g',
  no: 0,
  at: START + 40_000,
  value: 21,
  tempC: null,
  simulated: false,
  ...o
});
const method = methodByKey('hydrometer-2pt');
const cylinder = (gauges: GaugeRecord[]) =>
  anyJar({
    method,
    methodKey: method.key,
    status: 'running',
    tempC: 19,
    cylinder: { facts, blankId: null },
    run: anyRun({ gauges })
  });

describe('what is weighed, as it is typed', () => {
  it('reads numbers with commas and any minus, and nothing else', () => {
    expect([' 40 ', '40,5', '−1', '-.5', '2.'].map(readNumber)).to.deep.equal([40, 40.5, -1, -0.5, 2]);
    for (const text of ['', 'forty', '4 0', '1e3', '4,0,5']) expect(readNumber(text), text).to.be.NaN;
  });

  it('goes into the form and back', () => {
    expect(readFacts(formOf(facts), facts)).to.deep.equal({ facts, errors: {} });
    const pipette = setupFor(methodByKey('pipette'))!.facts;
    expect(readFacts(formOf(pipette), pipette).facts).to.deep.equal(pipette);
  });

  it('says beside each field what to type; empty meshes are left out', () => {
    const form = {
      ...formOf(facts),
      airDry: 'much',
      wet: '',
      sieves: [
        { mesh: '', retained: '' },
        { mesh: '63', retained: 'x' }
      ]
    };
    const { facts: read, errors } = readFacts(form, facts);
    expect(read).to.equal(undefined);
    expect(errors).to.have.keys('airDryG', 'moisture.wetG', 'retained.0');
    expect(errors.airDryG).to.match(/air-dry soil as a number/);
  });
});

describe('readings of a cylinder', () => {
  it('count once a number, the last that has a figure', () => {
    const all = [
      gauge({ value: 20 }),
      gauge({ id: 'h', at: START + 45_000 }),
      gauge({ id: 'i', no: 1, at: START + 9e6, value: null })
    ];
    expect(standingGauges(all).map((g) => g.id)).to.deep.equal(['h']);
    const input = toCylinderInput(cylinder(all), cylinder(all).run, undefined)!;
    expect(input.readings).to.deep.equal([{ no: 0, timeS: 45, value: 21, tempC: 19 }]);
    expect(input.scheme).to.equal('two-point');
    expect(toCylinderInput(anyJar({}), null, undefined)).to.equal(undefined);
  });

  it('stand in a table with what was asked, taken and passed over', () => {
    const rows = readingRows(
      method,
      { setDownAt: START, gauges: [gauge({ no: 1, at: START + 23_000_000 })] },
      undefined,
      undefined
    );
    expect(rows.map((r) => [r.asked, r.took, r.passed])).to.deep.equal([
      ['0:40', undefined, false],
      ['6:30 h', '6:23 h', false]
    ]);
    expect(readingRows(method, { setDownAt: START, gauges: [] }, undefined, 1)[0].passed).to.equal(true);
  });

  it('are called for: lowered ahead, then read', () => {
    const view = (seconds: number, gauges: GaugeRecord[] = []) =>
      viewJar(cylinder(gauges), START + seconds * 1000);
    expect(stepTitle(view(5).step)).to.equal('Lower the hydrometer');
    expect(callsOf([view(5)]).map((c) => c.line)).to.deep.equal([
      'Cylinder K1, lower the hydrometer in 10 seconds',
      'Cylinder K1, lower the hydrometer'
    ]);
    expect(stepShort(view(41).step)).to.equal('read the hydrometer');
    expect(callsOf([view(41)]).map((c) => c.line)).to.deep.equal(['Cylinder K1, read the hydrometer']);
    const both = [gauge({}), gauge({ id: 'h', no: 1, at: START + 23_400_000, value: 12 })];
    expect(view(24_000, both).step.kind).to.equal('finish');
  });

  it('wait in this browser and are on the page at once', () => {
    const jar = cylinder([]);
    const command = <N extends CommandName>(name: N, payload: PayloadInput<N>, at: number): Command => ({
      commandId: 'c',
      at,
      name,
      payload
    });
    const take = command('gauge.take', { testId: jar.id, runId: 'r', gaugeId: 'g', no: 0 }, START + 41_000);
    const enter = command(
      'gauge.enter',
      { testId: jar.id, gaugeId: 'g', value: 20.5, tempC: 18 },
      START + 60_000
    );
    const [after] = withWaiting('jar', [jar], [take, enter]);
    expect(after.run!.gauges).to.deep.equal([
      { id: 'g', no: 0, at: START + 41_000, value: 20.5, tempC: 18, simulated: false, pending: true }
    ]);
    // Once the server knows of it, it is not there twice; another run's is not ours.
    expect(withWaiting('jar', [after], [take])[0].run!.gauges).to.have.length(1);
    const elsewhere = command('gauge.take', { testId: jar.id, runId: 'x', gaugeId: 'h', no: 1 }, START);
    expect(withWaiting('jar', [jar], [elsewhere])[0].run!.gauges).to.have.length(0);
  });

  it('leave the timetable what is not read yet', () => {
    const tasks = benchTasks(method, 20);
    expect(tasks.filter((t) => t.kind === 'lower').map((t) => t.no)).to.deep.equal([0, 1]);
    const facts = { setDownAt: START, marked: [], hasReading: false, gauged: [{ no: 0 }] };
    const left = tasksLeft(tasks, facts, START + 10_000);
    expect(left.map((t) => t.no)).to.deep.equal([1]);
  });
});

describe('a suspension as it is drawn', () => {
  it('is dark at first, never quite clear, and goes by the readings once there are any', () => {
    expect(drawnDarkness(undefined, undefined)).to.equal(1);
    expect(drawnDarkness(undefined, 1)).to.equal(1);
    expect(drawnDarkness(undefined, 86_400)).to.be.within(0.25, 0.4);
    const worked = workOutReadings(
      toCylinderInput(cylinder([gauge({})]), cylinder([gauge({})]).run, undefined)!
    );
    expect(drawnDarkness(worked, 60)).to.be.closeTo(worked.readings[0].finerPct / 100, 1e-9);
  });
});
