import { expect } from 'chai';
import {
  checkFill,
  compareUrgency,
  cutDiameter,
  cutReport,
  fillPlan,
  gatherFor,
  methodCuts,
  METHODS,
  methodByKey,
  nextStep,
  STANDARD_VESSELS,
  stepsAhead,
  trueTimes,
  markWindow,
  volumeToHeight,
  type NextStep
} from '../../../src/lib/core/index.ts';

const T0 = Date.UTC(2026, 2, 29, 0, 30); // an hour before clocks change in much of Europe
const after = (s: number) => T0 + s * 1000;
const timed = methodByKey('jar-timed');
const bands = methodByKey('jar-bands');
const running = (...marked: { layer: string; at: number }[]) => ({
  setDownAt: T0,
  marked,
  hasReading: false
});

describe('methods as data', () => {
  it('are the thirteen that ship, each complete and in order', () => {
    expect(METHODS.map((m) => m.key)).to.deep.equal([
      'jar-timed',
      'jar-quick-marks',
      'jar-half-hour',
      'jar-bands',
      'jar-plain',
      'jar-rolled',
      'jar-builder',
      'cylinder-volume',
      'cylinder-equal',
      'bottle-five-minute',
      'hydrometer-2pt',
      'hydrometer-curve',
      'pipette'
    ]);
    for (const m of METHODS) {
      expect(m.fill.soilShare).to.be.within(0.02, 0.75);
      expect(m.end.fromS).to.be.below(m.end.toS);
      expect(m.agitate.fromS).to.be.at.most(m.agitate.toS);
      expect(m.steps.length).to.be.at.least(4);
      expect(m.schools).not.to.have.length(0);
      m.marks.forEach((mark, i) => {
        expect(markWindow(mark).untilS).to.be.above(mark.atS);
        if (i > 0) expect(mark.atS).to.be.above(m.marks[i - 1].atS);
      });
    }
  });

  it('that run can be filled in a vessel of their kind', () => {
    for (const m of METHODS) {
      const vessel = STANDARD_VESSELS.find((v) => v.kind === m.vesselKind)!;
      const plan = fillPlan(m, vessel);
      checkFill(vessel, plan.soilMm, plan.waterMm);
      expect(methodCuts(m, { columnMm: plan.waterMm, tempC: 18, solidsKgM2: 20 })).not.to.have.length(0);
    }
  });

  it('give volumes where they mean volumes', () => {
    const cylinder = STANDARD_VESSELS.find((v) => v.id === 'cylinder-100')!;
    const plan = fillPlan(methodByKey('cylinder-volume'), cylinder);
    expect(plan.soilMl).to.be.closeTo(20, 0.4);
    expect(volumeToHeight(cylinder, plan.waterMm)).to.be.closeTo(100, 0.4);
  });

  it('are known by their key', () => {
    expect(() => methodByKey('jar-of-dreams')).to.throw(/jar-of-dreams/);
  });
});

describe('what marks mean', () => {
  const jar = { columnMm: 128, tempC: 20, solidsKgM2: 51.6 };

  it('is the check values for a hydrometer: 40 s cuts 60 um, 6 h 30 cuts 2.6, 2 h cuts 4.6', () => {
    const [sand, clay] = methodCuts(methodByKey('hydrometer-2pt'), jar);
    const { atS, fallMm } = methodByKey('hydrometer-2pt').readings![0];
    expect(cutDiameter({ timeS: atS!, fallMm, tempC: 20 })).to.be.closeTo(60, 1);
    // Just over 60 um the law for natural grains is shown.
    expect(sand.cutUm).to.be.within(60, 64);
    expect(clay.cutUm).to.be.closeTo(2.6, 0.05);
    const twoHours = methodCuts(methodByKey('hydrometer-curve'), jar).find((c) => c.atS === 7200)!;
    expect(twoHours.cutUm).to.be.closeTo(4.6, 0.1);
  });

  it('is the limit itself for a pipette, at the time that the water asks for', () => {
    const cuts = methodCuts(methodByKey('pipette'), jar);
    expect(cuts.map((c) => Math.round(c.cutUm * 100) / 100)).to.deep.equal([20, 2]);
    expect(cuts[1].atS / 3600).to.be.closeTo(7.73, 0.01);
  });

  it('turns round: a size falls due just when a mark at that time would cut it', () => {
    for (const um of [2, 20, 50, 60, 63, 100]) {
      const [atS] = trueTimes(jar, [um]);
      const [cut] = methodCuts({ ...timed, marks: [{ layer: 'sand', atS }] }, jar);
      // At 60 um the shown law changes from Stokes to natural grains.
      expect(cut.cutUm, `${um} um`).to.be.closeTo(um, um === 60 ? 3.5 : um / 500);
    }
  });

  it('moves with depth, warmth and load: deeper or colder or fuller cuts coarser', () => {
    const at = (change: object) => methodCuts(timed, { ...jar, ...change })[1].cutUm;
    expect(at({ columnMm: 180 })).to.be.above(at({}));
    expect(at({ tempC: 8 })).to.be.above(at({}));
    expect(at({ solidsKgM2: 90 })).to.be.above(at({}));
  });

  it('is a window where bands are read at the end', () => {
    const [end, ...more] = methodCuts(bands, jar);
    expect(more).to.have.length(0);
    expect(end.how).to.equal('end');
    expect(end.untilCutUm!).to.be.below(end.cutUm);
  });
});

describe('what to gather', () => {
  const jar = (key: string, vesselId: string) => {
    const method = methodByKey(key);
    const vessel = STANDARD_VESSELS.find((v) => v.id === vesselId)!;
    return { method, vessel, ...fillPlan(method, vessel) };
  };

  it('is the sum of what the jars ask for, vessels counted by name', () => {
    const one = gatherFor([jar('jar-timed', 'jar-litre')]);
    const two = gatherFor([jar('jar-timed', 'jar-litre'), jar('jar-timed', 'jar-litre')]);
    expect(two.vessels).to.deep.equal([{ name: 'One-litre jar', count: 2 }]);
    expect(two.soilMl).to.be.closeTo(2 * one.soilMl, 1e-9);
    expect(two.waterMl).to.be.closeTo(2 * one.waterMl, 1e-9);
    expect(two.detergentMl).to.be.closeTo(2 * one.detergentMl, 1e-9);
    expect(one.solutionMl).to.equal(0);
    const lab = gatherFor([jar('hydrometer-2pt', 'cylinder-1000'), jar('jar-timed', 'jar-litre')]);
    expect(lab.solutionMl, 'a solution by mL').to.equal(100);
    expect(lab.detergentMl, 'and a detergent by the spoon, apart').to.be.closeTo(one.detergentMl, 1e-9);
    expect(one.digMl).to.be.above(one.soilMl);
  });

  it('asks for gloves and a spoon only where there is a dispersant, for a stopper only for a cylinder', () => {
    const plain = gatherFor([jar('jar-builder', 'jar-litre')]);
    expect(plain.tools).not.to.include.members(['gloves', 'spoon', 'stopper']);
    expect(gatherFor([jar('jar-timed', 'jar-litre')]).tools).to.include.members(['gloves', 'spoon', 'lid']);
    expect(gatherFor([jar('cylinder-volume', 'cylinder-100')]).tools).to.include('stopper');
    const lab = ['hydrometer', 'oven', 'distilled', 'blank'];
    expect(gatherFor([jar('hydrometer-2pt', 'cylinder-1000')]).tools).to.include.members(lab);
    expect(gatherFor([jar('pipette', 'cylinder-1000')]).tools)
      .to.include('pipette')
      .and.not.to.include('blank');
    expect(gatherFor([])).to.deep.include({ vessels: [], soilMl: 0, tools: [] });
  });
});

describe('the next step', () => {
  it('is to set down, then each mark, then to read, then to finish', () => {
    expect(nextStep(timed, { marked: [], hasReading: false }, T0)).to.deep.equal({
      kind: 'set-down',
      state: 'ready'
    });
    expect(nextStep(timed, running(), after(10))).to.include({
      kind: 'mark',
      layer: 'sand',
      state: 'waiting',
      dueAt: after(60)
    });
    const sand = { layer: 'sand', at: after(61) };
    const silt = { layer: 'silt', at: after(7200) };
    const clay = { layer: 'clay', at: after(90_000) };
    expect(nextStep(timed, running(sand), after(70))).to.include({ layer: 'silt', dueAt: after(7200) });
    expect(nextStep(timed, running(sand, silt), after(8000))).to.include({
      layer: 'clay',
      dueAt: after(86_400),
      untilAt: after(172_800)
    });
    expect(nextStep(timed, running(sand, silt, clay), after(90_001))).to.deep.equal({
      kind: 'read',
      state: 'ready'
    });
    expect(nextStep(timed, { ...running(sand), hasReading: true }, after(99))).to.deep.equal({
      kind: 'finish',
      state: 'ready'
    });
  });
  it('falls due, then late, then missed, by the second', () => {
    const state = (s: number) => nextStep(timed, running(), after(s)).state;
    expect([59.9, 60, 66, 66.1, 7199, 7200].map(state)).to.deep.equal([
      'waiting',
      'due',
      'due',
      'late',
      'late',
      'missed'
    ]);
  });
  it('passes over a mark once a later one is on', () => {
    expect(nextStep(timed, running({ layer: 'silt', at: after(7200) }), after(7300))).to.include({
      layer: 'clay'
    });
  });
  it('waits for bands until their hour, and says nothing of hours that were changed', () => {
    expect(nextStep(bands, running(), after(11 * 3600))).to.include({
      kind: 'read',
      state: 'waiting',
      dueAt: T0 + 12 * 3_600_000
    });
    expect(nextStep(bands, running(), after(12 * 3600)).state).to.equal('due');
    expect(nextStep(bands, running(), after(25 * 3600)).state).to.equal('late');
  });
});

describe('the bench in order of urgency', () => {
  it('puts due before late before coming before ready', () => {
    const steps: NextStep[] = [
      { kind: 'read', state: 'ready' },
      { kind: 'mark', layer: 'silt', state: 'waiting', dueAt: 50, untilAt: 50 + 5 },
      { kind: 'mark', layer: 'sand', state: 'late', dueAt: 10, untilAt: 10 + 5 },
      { kind: 'mark', layer: 'clay', state: 'waiting', dueAt: 40, untilAt: 40 + 5 },
      { kind: 'mark', layer: 'sand', state: 'due', dueAt: 20, untilAt: 20 + 5 }
    ];
    expect([...steps].sort(compareUrgency).map((s) => s.dueAt)).to.deep.equal([20, 10, 40, 50, undefined]);
  });
  it('lists what lies ahead of one jar', () => {
    const ahead = stepsAhead(timed, running(), after(30));
    expect(ahead.map((s) => s.layer)).to.deep.equal(['sand', 'silt', 'clay']);
    expect(stepsAhead(bands, running(), after(30)).map((s) => s.kind)).to.deep.equal(['read']);
    expect(stepsAhead(timed, { marked: [], hasReading: false }, T0)).to.deep.equal([]);
  });
});

describe('what the marks mean', () => {
  const jar = { columnMm: 128, tempC: 18, solidsKgM2: 51.6 };
  it('gives the size each mark cuts, and when the limits really fall due', () => {
    const report = cutReport(timed, jar);
    expect(report.marks.map((m) => m.layer)).to.deep.equal(['sand', 'silt', 'clay']);
    expect(report.marks[0].cutUm).to.be.above(report.marks[1].cutUm);
    expect(report.trueMarks.map((m) => m.diameterUm)).to.deep.equal([50, 2]);
    const at = {
      ...timed,
      marks: report.trueMarks.map((m, i) => ({ layer: (['sand', 'silt'] as const)[i], atS: m.atS }))
    };
    cutReport(at, jar).marks.forEach((m, i) => expect(m.cutUm).to.be.closeTo([50, 2][i], 1e-6));
  });
  it('waits longer in cold water and in a crowd', () => {
    const silt = (o: object) => cutReport(timed, { ...jar, ...o }).trueMarks[1].atS;
    expect(silt({ tempC: 8 })).to.be.above(silt({ tempC: 18 }) * 1.25);
    expect(silt({ hindered: false })).to.be.below(silt({}));
    expect(cutReport(timed, jar).startSpeedPct).to.be.within(40, 60);
  });
});
