import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { expect } from 'chai';
import { leaveAside, placeAside, sweepAside } from '../../../src/lib/server/aside.ts';

const folderOf = (pid: number | undefined) => join(tmpdir(), `tivrel-aside-${pid}`);

describe('what a server has on its way', () => {
  it('lies where its owner alone reads it, and goes when the server stops', () => {
    const [one, two] = [placeAside(), placeAside()];
    expect(one).not.to.equal(two);
    expect(dirname(one)).to.equal(folderOf(process.pid));
    expect(statSync(dirname(one)).mode & 0o077).to.equal(0);
    writeFileSync(join(one, 'bench.db'), 'a whole bench');
    sweepAside();
    expect(existsSync(one), 'of a server that runs').to.equal(true);
    leaveAside();
    expect(existsSync(dirname(one))).to.equal(false);
    leaveAside();
  });

  it('goes at the next start where a server was killed', () => {
    const dead = folderOf(spawnSync(process.execPath, ['-e', '']).pid);
    const alive = folderOf(process.ppid);
    for (const folder of [dead, alive]) {
      mkdirSync(folder, { recursive: true });
      writeFileSync(join(folder, 'bench.db'), 'a whole bench');
    }
    try {
      sweepAside();
      expect(existsSync(dead)).to.equal(false);
      expect(existsSync(alive)).to.equal(true);
    } finally {
      rmSync(alive, { recursive: true, force: true });
    }
  });
});
