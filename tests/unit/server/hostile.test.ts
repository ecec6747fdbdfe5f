import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { inspect } from 'node:util';
import { expect } from 'chai';
import { attack, randomFrom } from '../../hardening/hostile.ts';
import { killLoop } from '../../hardening/kill.ts';
import { inconsistencies, outcomesBehind } from '../../hardening/consistent.ts';
import { readAll } from '../../hardening/read-all.ts';
import { openBench, type TestBench } from './bench.ts';

/** So many commands are sent here; `./tivrel harden` sends more. */
const KILLS = Number(process.env.TIVREL_KILLS ?? 8);
const COUNT = Number(process.env.TIVREL_ATTACKS ?? 1200);
const SEED = Number(process.env.TIVREL_SEED ?? 20_261);

describe('commands in no order, of all kinds', () => {
  let bench: TestBench;
  before(async () => (bench = await openBench()));
  after(() => bench.close());

  it('are done or refused in a sentence, and no row of what is done takes a page down', async () => {
    const { done, refused, faults, now } = await attack(bench.store, {
      seed: SEED,
      count: COUNT,
      now: bench.now
    });
    const kinds = new Set(
      faults.map(({ name, error }) => `${name}: ${error instanceof Error ? error.message.slice(0, 300) : ''}`)
    );
    expect(faults.length, inspect([...kinds], { depth: 4 })).to.equal(0);
    expect(done).to.be.greaterThan(COUNT / 12);
    expect(done + refused).to.equal(COUNT);
    expect(await inconsistencies(bench.store)).to.eql({});
    expect(await outcomesBehind(bench.store)).to.eql([]);
    const { tests } = await readAll(bench.store, now);
    expect(tests).to.be.greaterThan(5);
  }).timeout(240_000);
});

describe('kills in the midst of writing', () => {
  it('lose nothing that was acknowledged, and double nothing', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'tivrel-killed-'));
    const killed = await killLoop(join(folder, 'bench.db'), KILLS, randomFrom(SEED));
    rmSync(folder, { recursive: true, force: true });
    expect(killed).to.deep.include({ kills: KILLS, lost: [], doubled: 0, damage: [] });
    expect(killed.acknowledged).to.be.at.least(KILLS);
  }).timeout(120_000 + 4000 * KILLS);
});
