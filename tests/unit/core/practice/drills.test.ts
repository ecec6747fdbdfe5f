import { expect } from 'chai';
import fc from 'fast-check';
import {
  DRILL_KEYS,
  levelFor,
  LEVELS,
  makeTask,
  MM_PER,
  nextTry,
  scoreTask,
  type DrillKey,
  type Given,
  type Slip,
  type Task,
  type Tasks,
  type Try
} from '../../../../src/lib/core/index.ts';

/** The true answer to a task, from its own facts. */
const TRUE: { [K in DrillKey]: (task: Tasks[K]['task']) => Tasks[K]['given'] } = {
  order: (task) => ({ order: task.layers.map((layer) => layer.kind) }),
  when: (task) => ({ atS: task.dueS }),
  base: (task) => ({ mm: task.trueMm }),
  inches: (task) => ({ mm: ((task.to - task.from) / task.parts) * MM_PER.in }),
  total: (task) => ({
    pct:
      (100 * { sand: task.sandMm, silt: task.siltMm, clay: task.clayMm }[task.asked]) /
      (task.sandMm + task.siltMm + task.clayMm)
  }),
  lines: (task) => ({ soil: task.soil }),
  picture: (task) => ({ mm: task.trueMm }),
  borderline: (task) => ({ classes: task.right }),
  decision: (task) => ({ needs: task.right }),
  trouble: (task) => ({ trouble: task.right })
};
const trueAnswer = <K extends DrillKey>(key: K, task: Task<K>): Given<K> =>
  (TRUE[key] as (t: Task<K>) => Given<K>)(task);

const seeds = fc.integer({ min: 1, max: 1e9 });
const levels = fc.integer({ min: 1, max: LEVELS });

describe('the drills', () => {
  for (const key of DRILL_KEYS) {
    it(`${key}: makes the same task of a seed, and scores its true answer in full`, () => {
      fc.assert(
        fc.property(seeds, levels, (seed, level) => {
          const task = makeTask(key, seed, level);
          expect(makeTask(key, seed, level)).to.deep.equal(task);
          const score = scoreTask(task, trueAnswer(key, task));
          expect(score.points).to.equal(100);
          expect(score.slip).to.equal(undefined);
        }),
        { numRuns: key === 'borderline' ? 25 : 80 }
      );
    });
    it(`${key}: makes tasks that differ from seed to seed`, () => {
      const made = new Set(
        [1, 2, 3, 4, 5, 6, 7, 8].map((seed) => JSON.stringify({ ...makeTask(key, seed, 3), seed: 0 }))
      );
      expect(made.size).to.be.greaterThan(2);
    });
  }

  it('refuses a level that there is not', () => {
    expect(() => makeTask('base', 1, 0)).to.throw('level from 1 to 5');
    expect(() => makeTask('base', 1, 6)).to.throw('level from 1 to 5');
    expect(() => makeTask('base', 1.5, 1)).to.throw('whole number');
  });

  /** Asserts that an answer is worth less than a true one, and by which slip. */
  const slips = <K extends DrillKey>(task: Task<K>, given: Given<K>, slip: Slip) => {
    const score = scoreTask(task, given);
    expect(score.slip).to.equal(slip);
    expect(score.points).to.be.lessThan(80);
  };

  it('names the order turned upside down, and clay under silt', () => {
    const task = makeTask('order', 7, 3);
    const right = task.layers.map((layer) => layer.kind);
    slips(task, { order: right.toReversed() }, 'upside-down');
    const at = right.indexOf('silt');
    slips(task, { order: right.with(at, 'clay').with(at + 1, 'silt') }, 'clay-below');
  });

  it('names a mark too soon, too late, and one taken from another row', () => {
    fc.assert(
      fc.property(seeds, fc.double({ min: 0.25, max: 0.6, noNaN: true }), (seed, share) => {
        const told = makeTask('when', seed, 1);
        slips(told, { atS: told.dueS * (1 - share) }, 'too-soon');
        slips(told, { atS: told.dueS * (1 + 2 * share) }, 'too-late');
        const task = makeTask('when', seed, 4);
        const other = task.table.find((row) => Math.abs(row.dueS - task.dueS) > 0.4 * task.dueS)!;
        slips(task, { atS: other.dueS }, 'at-another-time');
      })
    );
  });

  it('names the ruler that stood on the table', () => {
    fc.assert(
      fc.property(seeds, levels, (seed, level) => {
        const task = makeTask('base', seed, level);
        const mm = task.trueMm + task.baseMm - task.zeroMm;
        // A blank end of the ruler may make good what the glass adds.
        fc.pre(Math.abs(mm - task.trueMm) > 2 && !task.tops.some((top) => Math.abs(top.topMm - mm) < 2));
        slips(task, { mm }, 'outside-bottom');
      })
    );
  });

  it('names eighths counted as sixteenths, a neighbouring line, a top for a thickness', () => {
    const eighths = makeTask('inches', 3, 1);
    const whole = Math.floor(eighths.to / 8);
    slips(eighths, { mm: (whole + (eighths.to - 8 * whole) / 16) * MM_PER.in }, 'eighths-as-sixteenths');
    fc.assert(
      fc.property(seeds, (seed) => {
        const task = makeTask('inches', seed, 4);
        slips(task, { mm: task.trueMm + MM_PER.in / 16 }, 'next-line');
        slips(task, { mm: task.trueMm - MM_PER.in }, 'whole-inch');
        slips(task, { mm: (task.to / task.parts) * MM_PER.in }, 'top-for-thickness');
      }),
      { numRuns: 30 }
    );
  });

  it('names the wrong total', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const task = makeTask('total', seed, 5);
        const thick = { sand: task.sandMm, silt: task.siltMm, clay: task.clayMm }[task.asked];
        const sum = task.sandMm + task.siltMm + task.clayMm;
        slips(task, { pct: (100 * thick) / task.waterMm }, 'over-water');
        const gravel = (100 * thick) / (sum + task.gravelMm);
        const organics = (100 * thick) / (sum + task.organicsMm);
        fc.pre(task.truePct - gravel > 3 && task.truePct - organics > 3 && Math.abs(gravel - organics) > 1.3);
        slips(task, { pct: gravel }, 'with-gravel');
        slips(task, { pct: organics }, 'with-organics');
      })
    );
  });

  it('names lines taken for one another, and shares that come to no hundred', () => {
    fc.assert(
      fc.property(seeds, fc.integer({ min: 1, max: 4 }), (seed, level) => {
        const task = makeTask('lines', seed, level);
        const { sand, silt, clay } = task.soil;
        fc.pre(Math.abs(sand - silt) > 12);
        slips(task, { soil: { sand: silt, silt: sand, clay } }, 'swapped');
        slips(task, { soil: { sand: sand + 10, silt, clay } }, 'not-hundred');
      })
    );
  });

  it('tells a line that is not there from one that was missed', () => {
    const all = Array.from({ length: 40 }, (_, i) => makeTask('picture', i + 1, 4));
    const without = all.find((task) => task.trueMm === null)!;
    const with_ = all.find((task) => task.trueMm !== null)!;
    slips(without, { mm: 20 }, 'no-line-there');
    slips(with_, { mm: null }, 'line-missed');
    expect(scoreTask(with_, { mm: with_.trueMm! + 3 * with_.fair }).points).to.be.within(30, 70);
  });

  it('tells who is too sure from who is too careful', () => {
    const all = Array.from({ length: 30 }, (_, i) => makeTask('borderline', i + 1, 1));
    const open = all.find((task) => task.right.length === 2)!;
    const sure = all.find((task) => task.right.length === 1)!;
    slips(open, { classes: [open.right[0]] }, 'too-sure');
    slips(
      sure,
      { classes: [sure.right[0], sure.choices.find((id) => id !== sure.right[0])!] },
      'too-careful'
    );
    slips(sure, { classes: [sure.choices.find((id) => id !== sure.right[0])!] }, 'another-class');
    expect(scoreTask(sure, { classes: [] }).points).to.equal(0);
  });

  it('never scores an answer further off above a nearer one', () => {
    fc.assert(
      fc.property(
        seeds,
        levels,
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        (seed, level, a, b) => {
          const [near, far] = [Math.min(a, b), Math.max(a, b)];
          const task = makeTask('base', seed, level);
          expect(scoreTask(task, { mm: task.trueMm + near }).points).to.be.at.least(
            scoreTask(task, { mm: task.trueMm + far }).points
          );
        }
      )
    );
  });
});

describe('the course of drills', () => {
  const done = (key: DrillKey, level: number): Try => ({ key, level, points: 100 });
  const miss = (key: DrillKey, level: number): Try => ({ key, level, points: 0 });

  it('gets harder after two in a row, and easier after a miss', () => {
    expect(levelFor('base', [])).to.equal(1);
    expect(levelFor('base', [done('base', 1)])).to.equal(1);
    expect(levelFor('base', [done('base', 1), done('lines', 1), done('base', 1)])).to.equal(2);
    expect(levelFor('base', [done('base', 1), done('base', 1), miss('base', 2)])).to.equal(1);
    const many = Array.from({ length: 40 }, (_, i) => done('base', Math.min(LEVELS, 1 + Math.floor(i / 2))));
    expect(levelFor('base', many)).to.equal(LEVELS);
  });

  it('goes round the drills, and comes back to what was missed once two others came between', () => {
    const keys: DrillKey[] = ['order', 'base', 'lines', 'total'];
    const tries: Try[] = [];
    const take = (points: number) => {
      const next = nextTry(keys, tries);
      tries.push({ key: next.key, level: next.level, points });
      return next;
    };
    expect(take(100).key).to.equal('order');
    expect(take(0).key).to.equal('base');
    expect(take(100).key).to.equal('lines');
    expect(take(100).key).to.equal('total');
    expect(take(100)).to.deep.equal({ key: 'base', level: 1, again: true });
    expect(take(100)).to.include({ key: 'order', again: false });
  });

  it('leaves nothing out, whatever is missed', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(0, 70, 100), { minLength: 60, maxLength: 60 }), (points) => {
        const tries: Try[] = [];
        for (const one of points) {
          const next = nextTry(DRILL_KEYS, tries);
          tries.push({ key: next.key, level: next.level, points: one });
        }
        expect(new Set(tries.map((one) => one.key)).size).to.be.greaterThan(3);
        for (const { level } of tries) expect(level).to.be.within(1, LEVELS);
      }),
      { numRuns: 40 }
    );
  });
});
