import { expect } from 'chai';
import type { MarkRecord, RunRecord } from '../../../src/lib/contract/records/run.ts';
import { viewJar, viewShelf } from '../../../src/lib/workbench/jars.ts';
import { jobOf } from '../../../src/lib/workbench/jobs.ts';
import { START, anyJar, anyRun } from './jar.ts';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;

describe('a jar as the timetable sees it', () => {
  const job = (jar: ReturnType<typeof anyJar>, now: number, pinned?: number) =>
    jobOf(viewShelf([jar], now)[0], now, pinned);

  it('is free or pinned until it stands', () => {
    expect(job(anyJar({}), START)).to.include({ setDownAt: undefined });
    expect(job(anyJar({}), START, START + HOUR)).to.include({ setDownAt: START + HOUR });
    expect(job(anyJar({}), START).tasks[0].kind).to.equal('shake');
  });

  it('keeps what lies ahead once it stands: nothing that is done or gone by', () => {
    const marks: MarkRecord[] = [
      { id: 'm', layer: 'sand', at: START + MINUTE, heightMm: null, heightText: null }
    ];
    const standing = anyJar({ status: 'running', run: anyRun({ marks }) });
    expect(job(standing, START + HOUR).tasks.map((t) => t.layer ?? t.kind)).to.deep.equal([
      'silt',
      'clay',
      'read'
    ]);
    expect(job(standing, START + 3 * HOUR).tasks.map((t) => t.layer ?? t.kind)).to.deep.equal([
      'clay',
      'read'
    ]);
  });
});

describe('a jar whose clock says less', () => {
  const standing = (run: Partial<RunRecord>) =>
    anyJar({
      status: 'running',
      run: anyRun(run)
    });
  it('plans no mark that was passed over, and nothing of a jar that stood already', () => {
    const kinds = (run: Partial<RunRecord>) =>
      jobOf(viewJar(standing(run), START + 90_000), START + 90_000).tasks.map(
        (task) => task.layer ?? task.kind
      );
    expect(kinds({})).to.include.members(['silt', 'clay']);
    expect(kinds({ passed: ['silt'] })).not.to.include('silt');
    expect(kinds({ stood: 'days' })).to.deep.equal([]);
  });
});
