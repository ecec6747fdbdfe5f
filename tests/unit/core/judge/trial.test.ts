import { expect } from 'chai';
import fc from 'fast-check';
import {
  aboutMean,
  blockStrength,
  chanceStronger,
  chanceToHold,
  formatPressure,
  isSoaked,
  MPA_PER,
  nextOfTrial,
  parsePressure,
  pieceProblems,
  pieceTells,
  simulatedGauge,
  simulatedStrength,
  strengthsOf,
  strongerBy,
  studentShare,
  trialProblems,
  trialTasks,
  trialTells,
  USUAL_FIGURES,
  type Piece,
  type PressureUnit,
  type TrialPlan,
  type TrialState
} from '../../../../src/lib/core/index.ts';
import { fieldOf } from '../refused.ts';

const DAY = 86_400_000;
const block: TrialPlan = {
  kind: 'block',
  binder: 'none',
  binderPct: 0,
  count: 4,
  soaked: 2,
  cureDays: 7,
  soakDays: 3,
  waterPct: 9,
  pressureMpa: 13.79,
  pistonMm: 50,
  areaMm2: null,
  boxMm: null
};
const sides = [100, 49, 60] as const;
const dry = (no: number, gaugeMpa: number, more = {}): Piece => ({
  no,
  seen: { sidesMm: sides, gaugeMpa, ...more }
});
const wet = (no: number, gaugeMpa: number, more = {}): Piece =>
  dry(no, gaugeMpa, { look: 'keeps' as const, ...more });
const fell = (no: number): Piece => ({ no, seen: { look: 'falls' } });
const by = USUAL_FIGURES;

describe('strength of a block', () => {
  it('is the force on the piston over the area that was pressed', () => {
    const { forceKn, strengthMpa } = blockStrength({ gaugeMpa: 13.79, pistonMm: 50, areaMm2: 4900 });
    expect(forceKn).to.be.closeTo(27.1, 0.05);
    expect(strengthMpa).to.be.closeTo(5.53, 0.005);
    expect(fieldOf(() => blockStrength({ gaugeMpa: 10, pistonMm: 0, areaMm2: 4900 }))).to.equal('pistonMm');
    expect(fieldOf(() => blockStrength({ gaugeMpa: -1, pistonMm: 50, areaMm2: 4900 }))).to.equal('gaugeMpa');
    expect(fieldOf(() => blockStrength({ gaugeMpa: 1, pistonMm: 50, areaMm2: 0 }))).to.equal('areaMm2');
  });

  it('is read in any unit of a gauge, there and back', () => {
    expect(parsePressure('2,000 psi')).to.be.closeTo(13.79, 0.005);
    expect(parsePressure('13,8')).to.equal(13.8);
    expect(parsePressure('300', 'psi')).to.be.closeTo(2.07, 0.005);
    expect(formatPressure(13.79)).to.equal('13.8 MPa (2000 psi)');
    for (const text of ['', '-3', 'hard', '3 stone'])
      expect(fieldOf(() => parsePressure(text))).to.equal('pressure');
    fc.assert(
      fc.property(
        fc.constantFrom(...(Object.keys(MPA_PER) as PressureUnit[])),
        fc.double({ min: 0, max: 9e5, noNaN: true }),
        (unit, x) => {
          const shown = x.toFixed(3);
          expect(parsePressure(`${shown} ${unit}`) / MPA_PER[unit]).to.be.closeTo(Number(shown), 1e-6);
        }
      )
    );
  });

  it('is as sure as the pieces are many and alike', () => {
    // From tables of the distribution.
    expect(studentShare(1, 3)).to.be.closeTo(0.8045, 0.002);
    expect(studentShare(3, 4)).to.be.closeTo(0.98003, 0.002);
    expect(studentShare(0, 3)).to.be.closeTo(0.5, 1e-6);
    const few = strengthsOf([3])!;
    const many = strengthsOf([3, 3.1, 2.9, 3, 3.05, 2.95])!;
    expect(few.se).to.be.closeTo(0.6, 1e-9);
    expect(chanceToHold(many, 2.1)).to.be.greaterThan(chanceToHold(few, 2.1));
    expect(aboutMean(few)).to.deep.equal({ from: 3 - few.se, to: 3 + few.se });
    expect(strengthsOf([])).to.equal(undefined);
    expect(chanceToHold(strengthsOf([0, 0])!, 2.1)).to.equal(0);
    expect(chanceStronger(strengthsOf([0])!, strengthsOf([0])!)).to.equal(0.5);
    const any = fc.array(fc.double({ min: 0.1, max: 20, noNaN: true }), { minLength: 1, maxLength: 8 });
    fc.assert(
      fc.property(any, any, (a, b) => {
        const [x, y] = [strengthsOf(a)!, strengthsOf(b)!];
        expect(chanceStronger(x, y) + chanceStronger(y, x)).to.be.closeTo(1, 1e-6);
        if (x.mean > y.mean) expect(chanceStronger(x, y)).to.be.at.least(0.5);
        expect(aboutMean(x).from).to.be.greaterThan(0);
        expect(x.lowest <= x.mean + 1e-9 && x.mean <= x.highest + 1e-9).to.equal(true);
      })
    );
  });
});

describe('a set of trial pieces', () => {
  it('asks for what it is planned with, field by field', () => {
    expect(trialProblems(block)).to.deep.equal([]);
    const wrong = (o: Partial<TrialPlan>) => trialProblems({ ...block, ...o }).map((p) => p.field);
    expect(wrong({ count: 0, soaked: 0 })).to.deep.equal(['count']);
    expect(wrong({ soaked: 5 })).to.deep.equal(['soaked']);
    expect(wrong({ pistonMm: 0 })).to.deep.equal(['piston']);
    expect(wrong({ waterPct: 90 })).to.deep.equal(['waterPct']);
    expect(wrong({ binder: 'cement', binderPct: 0 })).to.deep.equal(['binderPct']);
    expect(wrong({ cureDays: -1 })).to.deep.equal(['cureDays']);
    expect(wrong({ kind: 'box', soaked: 0 })).to.deep.equal(['box']);
    expect(wrong({ kind: 'ball' })).to.deep.equal(['soaked']);
  });

  const state = (o: Partial<TrialState> = {}): TrialState => ({
    ...block,
    formedAt: null,
    soakedAt: null,
    finishedAt: null,
    cared: [],
    told: [],
    ...o
  });

  it('calls to be formed, turned, soaked and crushed, each in its time', () => {
    const next = (o: Partial<TrialState>, now: number) => {
      const step = nextOfTrial(state(o), now);
      return step && `${step.key} ${step.state}`;
    };
    expect(next({}, 0)).to.equal('form ready');
    const formed = { formedAt: 0 };
    expect(next(formed, 0)).to.equal('turn-1 waiting');
    expect(next(formed, DAY)).to.equal('turn-1 due');
    expect(next(formed, 2 * DAY)).to.equal('turn-1 late');
    const turned = { ...formed, cared: ['turn-1', 'turn-3'] };
    expect(next(turned, 3 * DAY)).to.equal('soak waiting');
    expect(nextOfTrial(state(turned), 3 * DAY)?.dueAt).to.equal(7 * DAY);
    const soaking = { ...turned, soakedAt: 7 * DAY };
    expect(next(soaking, 7 * DAY)).to.equal('dry due');
    expect(next({ ...soaking, told: [1, 2] }, 8 * DAY)).to.equal('wet waiting');
    expect(next({ ...soaking, told: [1, 2] }, 10 * DAY)).to.equal('wet due');
    expect(next({ ...soaking, told: [1, 2, 3, 4] }, 10 * DAY)).to.equal('finish ready');
    expect(next({ ...soaking, told: [1, 2, 3, 4], finishedAt: 1 }, 10 * DAY)).to.equal(undefined);
    // With a binder it is kept damp; what does not dry is tried at once.
    const damp = trialTasks(state({ binder: 'cement', binderPct: 8, cureDays: 28 }), 0).map(
      (task) => task.key
    );
    expect(damp).to.deep.equal(['form', 'damp-1', 'damp-3', 'damp-7', 'soak', 'dry', 'wet', 'finish']);
    expect(next({ kind: 'ribbon', soaked: 0, formedAt: 0 }, 0)).to.equal('try ready');
    expect(
      next({ kind: 'box', soaked: 0, boxMm: 600, formedAt: 0, cared: ['turn-1', 'turn-3'] }, 7 * DAY)
    ).to.equal('measure due');
    // Turning that nobody did has gone by once the cure is over or all have told.
    expect(next(formed, 11 * DAY)).to.equal('soak late');
    expect(next({ ...formed, soakedAt: 6 * DAY }, 6 * DAY)).to.equal('dry waiting');
    expect(next({ ...formed, soakedAt: 7 * DAY, told: [1, 2, 3, 4] }, 11 * DAY)).to.equal('finish ready');
  });

  it('goes on to its end from wherever it is, whatever is done first', () => {
    fc.assert(
      fc.property(
        fc.record({
          kind: fc.constantFrom('ball' as const, 'ribbon' as const, 'box' as const, 'block' as const),
          count: fc.integer({ min: 1, max: 6 }),
          share: fc.double({ min: 0, max: 1, noNaN: true }),
          binder: fc.constantFrom('none' as const, 'lime' as const)
        }),
        ({ kind, count, share, binder }) => {
          const soaked = kind === 'block' ? Math.floor(share * count) : 0;
          let s = state({ kind, count, soaked, binder, binderPct: 5, boxMm: 600 });
          let now = 0;
          for (let steps = 0; steps < 20; steps++) {
            const step = nextOfTrial(s, now);
            if (!step) return;
            now = Math.max(now, step.dueAt ?? now);
            const all = Array.from({ length: count }, (_, i) => i + 1);
            if (step.kind === 'form') s = { ...s, formedAt: now };
            else if (step.kind === 'soak') s = { ...s, soakedAt: now };
            else if (step.kind === 'finish') s = { ...s, finishedAt: now };
            else if (step.kind === 'turn' || step.kind === 'damp')
              s = { ...s, cared: [...s.cared, step.key] };
            else if (step.kind === 'dry')
              s = { ...s, told: [...s.told, ...all.filter((no) => !isSoaked(s, no))] };
            else s = { ...s, told: all };
          }
          throw new Error('It never ends.');
        }
      )
    );
  });
});

describe('what pieces tell', () => {
  it('is strength, density, the water they take up, and how much is left wet', () => {
    const piece = wet(4, 5, { massG: 550, wetMassG: 605 });
    const tells = pieceTells(block, piece);
    expect(tells.strengthMpa).to.be.closeTo((5 * Math.PI * 625) / 4900, 1e-9);
    expect(tells.densityKgM3).to.be.closeTo(1870.7, 0.1);
    expect(tells.takesUpPct).to.be.closeTo(10, 1e-9);
    const all = trialTells(block, [dry(1, 13), dry(2, 14), wet(3, 6), piece], by);
    expect(all.dry!.mean).to.be.closeTo((13.5 * Math.PI * 625) / 4900, 1e-9);
    expect(all.ratio).to.be.closeTo(5.5 / 13.5, 1e-9);
    expect(all.dry!.lowest).to.be.closeTo((13 * Math.PI * 625) / 4900, 1e-9);
  });

  it('is a verdict with its chance: stabilised, decent, typical, weak, or none in water', () => {
    const says = (pieces: Piece[]) => trialTells(block, pieces, by).says?.kind;
    expect(says([dry(1, 13), dry(2, 14), wet(3, 12), wet(4, 12.5)])).to.equal('stabilised');
    expect(says([dry(1, 13), dry(2, 14), fell(3), fell(4)])).to.equal('falls');
    expect(says([dry(1, 13), wet(3, 1), wet(4, 1.2)])).to.equal('weak-wet');
    expect(says([wet(3, 5.2), wet(4, 5.4)])).to.equal('open-wet');
    expect(says([dry(1, 26), dry(2, 26)])).to.equal('typical');
    expect(says([dry(1, 12), dry(2, 12)])).to.equal('decent');
    expect(says([dry(1, 1), dry(2, 1)])).to.equal('weak');
    expect(says([])).to.equal(undefined);
    const half = trialTells(block, [wet(3, 12), fell(4)], by);
    expect(half.fell).to.equal(1);
    expect(half.wet!.lowest).to.equal(0);
  });

  it('is how much a box shrinks, how long a ribbon holds, how a ball falls', () => {
    const box: TrialPlan = { ...block, kind: 'box', count: 1, soaked: 0, boxMm: 600 };
    const shrunk = (lengthMm: number, cracked = false) =>
      trialTells(box, [{ no: 1, seen: { lengthMm, cracked } }], by);
    expect(shrunk(588).shrinks!.mean).to.be.closeTo(2, 1e-9);
    expect(shrunk(588).says?.kind).to.equal('shrinks-little');
    expect(shrunk(576).says?.kind).to.equal('shrinks');
    expect(shrunk(564).says?.kind).to.equal('cracks');
    expect(shrunk(588, true).says?.kind).to.equal('cracks');
    const ribbon: TrialPlan = { ...block, kind: 'ribbon', count: 3, soaked: 0 };
    const ribbons = (...mm: number[]) =>
      trialTells(
        ribbon,
        mm.map((lengthMm, i) => ({ no: i + 1, seen: { lengthMm } })),
        by
      ).says?.kind;
    expect([ribbons(10, 20), ribbons(30, 40, 35), ribbons(70, 80)]).to.deep.equal(['short', 'binds', 'fat']);
    const ball: TrialPlan = { ...block, kind: 'ball', count: 3, soaked: 0 };
    const balls = (...drops: ('whole' | 'few' | 'crumbles')[]) =>
      trialTells(
        ball,
        drops.map((drop, i) => ({ no: i + 1, seen: { drop } })),
        by
      ).says?.kind;
    expect([balls('few', 'few', 'whole'), balls('few', 'whole')]).to.deep.equal(['few', 'uneven']);
  });

  it('is refused beside its field where it cannot be', () => {
    const wrong = (piece: Piece, o: Partial<TrialPlan> = {}) =>
      pieceProblems({ ...block, ...o }, piece).map((p) => p.field);
    expect(wrong(dry(1, 13))).to.deep.equal([]);
    expect(wrong(dry(5, 13))).to.include('no');
    expect(wrong({ no: 1, seen: { sidesMm: sides } })).to.deep.equal(['gaugeMpa']);
    expect(wrong({ no: 1, seen: { gaugeMpa: 3 } })).to.deep.equal(['sidesMm']);
    expect(wrong({ no: 1, seen: { gaugeMpa: 3 } }, { areaMm2: 4900 })).to.deep.equal([]);
    expect(wrong(dry(1, 13), { pistonMm: null })).to.deep.equal(['gaugeMpa']);
    expect(wrong(dry(3, 13))).to.deep.equal(['look']);
    expect(wrong(fell(3))).to.deep.equal([]);
    expect(wrong(dry(1, 13, { wetMassG: 600 }))).to.deep.equal(['wetMassG']);
    expect(wrong(wet(3, 13, { massG: 550, wetMassG: 500 }))).to.deep.equal(['wetMassG']);
    expect(wrong(dry(1, 13, { massG: 50 }))).to.deep.equal(['massG']);
    expect(wrong({ no: 1, seen: { lengthMm: 700 } }, { kind: 'box', soaked: 0, boxMm: 600 })).to.deep.equal([
      'lengthMm'
    ]);
    // One that cannot be does not count.
    expect(trialTells(block, [dry(1, 13), dry(2, -1)], by).dry?.count).to.equal(1);
  });

  it('sets one mix beside another by what both were tried for', () => {
    const strong = trialTells(block, [dry(1, 13), dry(2, 14), wet(3, 9), wet(4, 9)], by);
    const soft = trialTells(block, [dry(1, 20), dry(2, 21), fell(3), fell(4)], by);
    expect(strongerBy(strong, soft)?.on).to.equal('wet');
    expect(strongerBy(strong, soft)!.chance).to.be.greaterThan(0.95);
    const unsoaked = trialTells(block, [dry(1, 20), dry(2, 21)], by);
    expect(strongerBy(strong, unsoaked)).to.include({ on: 'dry' });
    expect(strongerBy(strong, unsoaked)!.chance).to.be.lessThan(0.1);
    expect(strongerBy(strong, trialTells(block, [], by))).to.equal(undefined);
  });

  it('reads on a simulated gauge what the made-up block holds, within its scatter', () => {
    const mix = { clay: 20, pressureMpa: 14, binder: 'cement' as const, binderPct: 8 };
    const strengthMpa = simulatedStrength({ ...mix, wet: true });
    const reads = Array.from(
      { length: 200 },
      (_, seed) =>
        blockStrength({
          gaugeMpa: simulatedGauge({ strengthMpa, pistonMm: 50, areaMm2: 4900 }, seed).read(),
          pistonMm: 50,
          areaMm2: 4900
        }).strengthMpa
    );
    expect(strengthsOf(reads)!.mean).to.be.closeTo(strengthMpa, 0.03 * strengthMpa);
    expect(simulatedStrength({ ...mix, binder: 'none', wet: true })).to.be.lessThan(0.3);
  });
});
