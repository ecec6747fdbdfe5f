import { expect } from 'chai';
import { benchTasks, METHODS, methodByKey } from '../../../src/lib/core/index.ts';

describe('hands-on tasks of a method', () => {
  it('are shake, set down, each mark in its window, and the reading', () => {
    const tasks = benchTasks(methodByKey('jar-timed'), 18);
    expect(tasks.map((t) => t.layer ?? t.kind)).to.deep.equal([
      'shake',
      'set-down',
      'sand',
      'silt',
      'clay',
      'read'
    ]);
    expect(tasks[0]).to.include({ atS: -600, durationS: 600 });
    expect(tasks[2]).to.include({ fromS: 54, toS: 66 });
    expect(tasks[3]).to.include({ fromS: 6480, toS: 7920 });
    expect(tasks[4]).to.include({ fromS: 86_400, toS: 172_800 });
  });

  it('lower a hydrometer before its reading, and follow each other without haste', () => {
    for (const method of METHODS) {
      const tasks = benchTasks(method, 18);
      tasks.forEach((task, i) => {
        if (i > 0)
          expect(task.toS, `${method.key} ${i}`).to.be.at.least(
            tasks[i - 1].atS + tasks[i - 1].durationS - 1e-6
          );
      });
    }
    expect(benchTasks(methodByKey('hydrometer-2pt'), 18)[2]).to.include({ kind: 'lower', atS: 30 });
    expect(benchTasks(methodByKey('pipette'), 20).at(-1)!.atS).to.be.closeTo(7.73 * 3600 - 30, 40);
  });
});
