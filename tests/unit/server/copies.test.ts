import { mkdirSync, readdirSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect } from 'chai';
import fc from 'fast-check';
import { checkBackup } from '../../../src/lib/server/backup.ts';
import { Copies, requireCopies } from '../../../src/lib/server/copies.ts';
import { copiesToLetGo, isCopyDue, type DayCopy } from '../../../src/lib/workbench/copies.ts';
import { openBench, prepareJar, START, type TestBench } from './bench.ts';
import { refusal } from './refusal.ts';

const DAY = 86_400_000;

describe('copies of the record', () => {
  let bench: TestBench;
  let copies: Copies;
  beforeEach(async () => {
    bench = await openBench();
    copies = new Copies(join(bench.folder, 'bench.db'), process.cwd());
  });
  afterEach(() => bench.close());

  it('hold what is there while it is in use, are looked through, and are listed the newest first', async () => {
    await prepareJar(bench);
    const first = await copies.make(START);
    await prepareJar(bench);
    await copies.make(START + DAY);
    expect(first).to.include({ tests: 1, samples: 1, at: START });
    expect(copies.list().map((copy) => copy.tests)).to.eql([2, 1]);
    for (const { name } of copies.list()) {
      const { rows } = await checkBackup(join(copies.folder, name), process.cwd());
      expect(rows.test).to.be.greaterThan(0);
    }
    // One without what was found in it, or with something else, is none.
    writeFileSync(join(copies.folder, 'other.json'), '{"at": "yesterday"}');
    writeFileSync(join(copies.folder, 'half.db'), 'half');
    expect(copies.list()).to.have.length(2);
  }).timeout(30_000);

  it('are made once where two are asked for within a second', async () => {
    const [one, two] = await Promise.all([copies.make(START), copies.make(START + 300)]);
    expect(two).to.eql(one);
    expect(await copies.make(START + 600)).to.eql(one);
    expect(copies.list()).to.eql([one]);
  }).timeout(30_000);

  it('say what stood in the way, and leave those that are there', async () => {
    await copies.make(START);
    // A folder stands where the next would be written.
    mkdirSync(join(copies.folder, '2026-05-05T090000.db.part', 'x'), { recursive: true });
    const problem = await refusal(copies.make(START + DAY));
    expect(problem.status).to.equal(507);
    expect(copies.problem).to.equal(problem.message);
    expect(copies.list()).to.have.length(1);
    rmSync(join(copies.folder, '2026-05-05T090000.db.part'), { recursive: true });
    await copies.make(START + DAY);
    expect(copies.problem).to.equal(undefined);
    expect(copies.list()).to.have.length(2);
  }).timeout(30_000);

  it('that were half made when a server was killed are swept, and none that is whole or of somebody else', async () => {
    await copies.make(START);
    const beside = join(copies.folder, '..');
    for (const name of ['a.db.part', 'a.db.part-journal']) writeFileSync(join(copies.folder, name), 'half');
    for (const name of ['old.db.part', 'new.db.part', 'own.db']) writeFileSync(join(beside, name), 'half');
    const long = (Date.now() - 2 * 3_600_000) / 1000;
    utimesSync(join(beside, 'old.db.part'), long, long);
    copies.sweep();
    expect(readdirSync(copies.folder).filter((name) => name.includes('.part'))).to.eql([]);
    expect(readdirSync(beside)).to.include.members(['new.db.part', 'own.db']).and.not.include('old.db.part');
    expect(copies.list()).to.have.length(1);
  }).timeout(30_000);

  it('are let go but for seven days and twelve months, with what was written of them', async () => {
    mkdirSync(copies.folder, { recursive: true });
    for (let day = 0; day < 45; day++) {
      const name = `old-${String(day).padStart(2, '0')}`;
      writeFileSync(join(copies.folder, `${name}.db`), '');
      const own = { at: START - (45 - day) * DAY, tests: 0, samples: 0 };
      writeFileSync(join(copies.folder, `${name}.json`), JSON.stringify(own));
    }
    await copies.make(START);
    // Seven days, and the last of March and of April.
    expect(copies.list()).to.have.length(8);
    expect(readdirSync(copies.folder)).to.have.length(16);
  }).timeout(30_000);

  it('of a database on a server are made there', () => {
    expect(() => requireCopies(undefined, '.')).to.throw(/on a server of its own/);
  });

  it('are due once a day, and never lose the newest or more than they should', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 900 }), { maxLength: 60 }), (days) => {
        const all = days.map((day, i): DayCopy => {
          return { name: `${i}`, at: START - day * DAY - i, bytes: 1, tests: 0, samples: 0 };
        });
        const gone = new Set(copiesToLetGo(all));
        const left = all.filter((copy) => !gone.has(copy)).sort((a, b) => b.at - a.at);
        const newest = [...all].sort((a, b) => b.at - a.at).slice(0, 7);
        expect(left.slice(0, newest.length)).to.eql(newest);
        expect(left.length).to.be.at.most(7 + 12);
        // What is kept once is kept until others take its place.
        expect(copiesToLetGo(left)).to.eql([]);
        expect(isCopyDue(all, START)).to.equal(!days.some((day) => day === 0));
      })
    );
  });
});
