import { expect } from 'chai';
import { sql } from 'drizzle-orm';
import { ulid } from 'ulid';
import {
  commandNames,
  definitionOf,
  type CommandName,
  type PayloadInput
} from '../../../src/lib/contract/commands.ts';
import { USUAL_FACTS } from '../../../src/lib/core/index.ts';
import { runCommand } from '../../../src/lib/server/commands.ts';
import type { Store, Tx } from '../../../src/lib/server/db.ts';
import { CommandProblem } from '../../../src/lib/server/problem.ts';
import { test } from '../../../src/lib/server/schema.ts';
import { STATES, type Rule } from '../../../src/lib/contract/commands/states.ts';
import { NEVER } from '../../hardening/consistent.ts';
import { addArea, ENTRY, openBench, standJar, START, STRIP, type TestBench } from './bench.ts';

const HOUR = 3_600_000;
const line = (mm: number) => ({ mm, text: String(mm) });
const PRESSED = {
  gauge: { mpa: 2, text: '2 MPa' },
  sides: [line(100), line(49), line(60)] as [
    ReturnType<typeof line>,
    ReturnType<typeof line>,
    ReturnType<typeof line>
  ]
};
const FACTS = { ...USUAL_FACTS, airDryG: 40, moisture: { wetG: 30.25, dryG: 30, tinG: 20 } };

/** What a command finds: something in a state, with the ids of all that belongs to it. */
type Found = {
  name: string;
  of: keyof typeof STATES;
  state: string;
  by?: 'layers' | 'instrument';
  /** Its newest run is on. */
  on?: boolean;
  ids: Record<string, string>;
};

/** Commands that look at more than the state, with what they may find against it. */
const AND_MORE: Partial<Record<CommandName, RegExp>> = {
  // Somebody has seen the time of this jar.
  'jar.method': /has been set down/,
  // Something was marked by its clock already.
  'run.stood': /marked|read/,
  // Nothing was told of a piece, or seen in a hole.
  'trial.finish': /No piece has told/,
  'piece.remove': /is not here/,
  'hole.finish': /Nothing was seen/,
  'hole.height': /is not here/,
  'hole.unread': /is not here/
};

/** Does a command and takes it back: what it came to, and what is so after it that must never be. */
async function tried<N extends CommandName>(
  store: Store,
  name: N,
  payload: PayloadInput<N>,
  now: number
): Promise<{ refused?: CommandProblem; never: string[] }> {
  const back = new Error('taken back');
  const never: string[] = [];
  const check = async (tx: Tx) => {
    for (const [what, query] of Object.entries(NEVER)) {
      const rows = await tx.all(sql.raw(query));
      if (rows.length > 0) never.push(what);
    }
  };
  const trying: Store = {
    ...store,
    async write<T>(work: (tx: Tx) => Promise<T>) {
      let done: T | undefined;
      await store
        .write(async (tx) => {
          done = await work(tx);
          await check(tx);
          throw back;
        })
        .catch((problem: unknown) => {
          if (problem !== back) throw problem;
        });
      return done as T;
    }
  };
  try {
    await runCommand(trying, name, { commandId: ulid(), at: now, payload }, 'test', now);
    return { never };
  } catch (problem) {
    if (!(problem instanceof CommandProblem)) throw problem;
    return { refused: problem, never };
  }
}

describe('what is done in which state', () => {
  let bench: TestBench;
  const found: Found[] = [];
  before(async () => {
    bench = await openBench();
    found.push(...(await jars()), ...(await cylinders()), ...(await holes()), ...(await trials()));
  });
  after(() => bench.close());

  /** A jar with a mark, a reading of its top and a film; in each state. */
  async function jars(): Promise<Found[]> {
    const out: Found[] = [];
    for (const state of STATES.test) {
      const { testId, runId } = await standJar(bench);
      const [markId, topId, filmId, readingId] = [ulid(), ulid(), ulid(), ulid()];
      bench.now += 60_000;
      await bench.do('jar.mark', { testId, runId, markId, layer: 'sand' });
      await bench.do('jar.top', { testId, runId, topId, height: line(60) });
      await bench.do('film.start', { filmId, testId, runId, source: 'camera', strip: STRIP });
      bench.now += 26 * HOUR;
      if (state !== 'running') await bench.do('jar.read', { testId, readingId, entry: ENTRY });
      if (state === 'ready') await bench.do('jar.shake-again', { testId, runId, reason: 'knocked' });
      if (state === 'finished') await bench.do('test.finish', { testId, readingId, resultId: ulid() });
      if (state === 'bin') await bench.do('test.bin', { testId });
      const ids = { testId, runId, markId, topId, filmId, readingId, gaugeId: ulid() };
      out.push({ name: 'a jar', of: 'test', state, by: 'layers', on: state !== 'ready', ids });
    }
    return out;
  }

  /** A cylinder with two readings; read by an instrument it is never "read". */
  async function cylinders(): Promise<Found[]> {
    const out: Found[] = [];
    for (const state of ['ready', 'running', 'finished', 'bin']) {
      const { testId, runId } = await standJar(bench, {
        methodKey: 'hydrometer-2pt',
        vesselId: 'cylinder-1000'
      });
      const from = bench.now;
      const gaugeId = ulid();
      bench.now += 7 * HOUR;
      await bench.do('cylinder.facts', { testId, facts: FACTS, blankId: null });
      await bench.do('gauge.take', { testId, runId, gaugeId, no: 0, value: 21, tempC: 20 }, from + 40_000);
      const late = { testId, runId, gaugeId: ulid(), no: 1, value: 12, tempC: 20 };
      await bench.do('gauge.take', late, from + 6.5 * HOUR);
      if (state === 'ready') await bench.do('jar.shake-again', { testId, runId, reason: 'other' });
      if (state === 'finished') await bench.do('cylinder.finish', { testId, resultId: ulid() });
      if (state === 'bin') await bench.do('test.bin', { testId });
      const other = { markId: ulid(), topId: ulid(), filmId: ulid(), readingId: ulid() };
      const ids = { testId, runId, gaugeId, ...other };
      out.push({ name: 'a cylinder', of: 'test', state, by: 'instrument', on: state !== 'ready', ids });
    }
    return out;
  }

  async function holes(): Promise<Found[]> {
    const { areaId } = await addArea(bench);
    const out: Found[] = [];
    for (const state of STATES.hole) {
      const [holeId, readingId] = [ulid(), ulid()];
      await bench.do('hole.dig', { holeId, areaId, depth: line(300), width: line(200) });
      if (state !== 'dug') await bench.do('hole.soak', { holeId });
      bench.now += HOUR;
      if (state === 'filled' || state === 'finished') await bench.do('hole.refill', { holeId });
      bench.now += HOUR;
      if (state === 'finished') {
        await bench.do('hole.read', { holeId, readingId, seen: 'gone' });
        await bench.do('hole.finish', { holeId });
      }
      bench.now += HOUR;
      out.push({ name: 'a hole', of: 'hole', state, ids: { holeId, readingId } });
    }
    return out;
  }

  async function trials(): Promise<Found[]> {
    const sampleId = ulid();
    await bench.do('sample.add', { sampleId, name: 'Till bank', purpose: 'build' });
    const out: Found[] = [];
    for (const state of STATES.trial) {
      const [trialId, pieceId] = [ulid(), ulid()];
      const plan = {
        kind: 'block' as const,
        piston: line(50),
        count: 3,
        soaked: 1,
        cureDays: 7,
        soakDays: 3
      };
      await bench.do('trial.plan', { trialId, sampleId, ...plan });
      bench.now += HOUR;
      if (state !== 'planned') await bench.do('trial.form', { trialId });
      bench.now += HOUR;
      if (state === 'soaked' || state === 'finished') await bench.do('trial.soak', { trialId });
      bench.now += HOUR;
      if (state === 'finished') {
        await bench.do('piece.keep', { trialId, pieceId, no: 1, seen: PRESSED });
        await bench.do('trial.finish', { trialId });
      }
      out.push({ name: 'a set', of: 'trial', state, ids: { trialId, pieceId } });
    }
    return out;
  }

  /** What somebody would send. */
  function payloadOf(name: CommandName, { ids, by }: Found): object {
    const { testId, runId, markId, topId, filmId, readingId, gaugeId, holeId, trialId, pieceId } = ids;
    const own = { testId, runId };
    const payloads: Partial<Record<CommandName, object>> = {
      'jar.prep': { testId, ticks: [], shakeStartedAt: null },
      'jar.set-down': { testId, runId: ulid() },
      'jar.mark': { ...own, markId: ulid(), layer: 'clay' },
      'mark.height': { testId, markId, height: line(30) },
      'mark.correct': { testId, markId, layer: 'silt' },
      'mark.remove': { testId, markId },
      'mark.pass': { ...own, layer: 'clay' },
      'run.zero': { ...own, setDownAt: START - HOUR, why: 'a slow watch' },
      'run.stood': { ...own, stood: 'days' },
      'jar.top': { ...own, topId: ulid(), height: line(55) },
      'top.remove': { testId, topId },
      'jar.method': { testId, methodKey: by === 'layers' ? 'jar-bands' : 'hydrometer-2pt' },
      'jar.weigh': { testId, weighed: { grams: by === 'layers' ? 300 : 150, readsToG: 1 } },
      'jar.used': { testId, used: { shaken: '6 min' } },
      'jar.note': { testId, kind: 'moved' },
      'jar.shake-again': { ...own, reason: 'knocked' },
      'jar.read': { testId, readingId: ulid(), entry: ENTRY },
      'bench.plan': { jars: [{ testId, setDownAt: bench.now + HOUR }] },
      'film.start': { filmId: ulid(), ...own, source: 'folder', strip: STRIP },
      'film.frames': { filmId, frames: [{ at: bench.now, colours: 'AAAA' }] },
      'film.remove': { filmId },
      'cylinder.facts': { testId, facts: FACTS, blankId: null },
      'gauge.take': { ...own, gaugeId: ulid(), no: 2, value: 9, tempC: 20 },
      'gauge.enter': { testId, gaugeId, value: 20, tempC: 20 },
      'gauge.time': { testId, gaugeId, at: bench.now - HOUR / 2 },
      'gauge.remove': { testId, gaugeId },
      'cylinder.finish': { testId, resultId: ulid() },
      'test.finish': { testId, readingId, resultId: ulid() },
      'test.reopen': { testId, why: 'read anew' },
      'test.bin': { testId },
      'test.restore': { testId },
      'tests.bin': { testIds: [testId] },
      'tests.restore': { testIds: [testId] },
      'hole.edit': { holeId, depth: line(310), width: line(200) },
      'hole.soak': { holeId },
      'hole.refill': { holeId },
      'hole.read': { holeId, readingId: ulid(), seen: 'gone' },
      'hole.height': { holeId, readingId, height: line(100) },
      'hole.unread': { holeId, readingId },
      'hole.finish': { holeId },
      'hole.reopen': { holeId },
      'trial.edit': { trialId, piston: line(60), count: 3, soaked: 1, cureDays: 7, soakDays: 3 },
      'trial.form': { trialId },
      'trial.care': { trialId, key: 'turn-1' },
      'trial.soak': { trialId },
      'piece.keep': { trialId, pieceId: ulid(), no: 2, seen: PRESSED },
      'piece.remove': { trialId, pieceId },
      'trial.finish': { trialId },
      'trial.reopen': { trialId }
    };
    const payload = payloads[name];
    if (!payload) throw new Error(`Say here what ${name} is sent with.`);
    return payload;
  }

  const subjectOf = ({ of }: Rule): keyof typeof STATES => (of === 'hole' || of === 'trial' ? of : 'test');
  const isAllowed = (rule: Rule, one: Found): boolean => {
    if (!(rule.in as readonly string[]).includes(one.state)) return false;
    if (rule.of === 'hole' || rule.of === 'trial') return true;
    return (!rule.by || rule.by === one.by) && (!rule.run || one.on === true);
  };

  it('every command in every state is done where the table says so, and refused with a sentence elsewhere', async () => {
    let done = 0;
    let refusals = 0;
    for (const name of commandNames) {
      const rule = definitionOf(name).states;
      if (!rule) continue;
      for (const one of found.filter((f) => f.of === subjectOf(rule))) {
        // A cylinder has no film.
        if (rule.of === 'film' && one.by === 'instrument') continue;
        const what = `${name} of ${one.name} that is ${one.state}`;
        const payload = payloadOf(name, one) as PayloadInput<typeof name>;
        const { refused, never } = await tried(bench.store, name, payload, bench.now);
        expect(never, what).to.eql([]);
        if (isAllowed(rule, one)) {
          // Of a row that this one does not have there is nothing to change.
          const more = AND_MORE[name] ?? (one.by === 'instrument' ? /is not here/ : /^$/);
          if (refused) expect(refused.message, what).to.match(more);
          else done++;
        } else {
          expect(refused, what).to.be.instanceOf(CommandProblem);
          expect(refused!.status, what).to.equal(409);
          expect(refused!.message, what).to.match(/^[A-Z].*[.]$/);
          refusals++;
        }
      }
    }
    expect(done).to.be.greaterThan(90);
    expect(refusals).to.be.greaterThan(90);
  }).timeout(60_000);

  it('a plan is refused for one jar that stands, and nothing of it is written', async () => {
    const [ready] = found.filter((one) => one.state === 'ready');
    const [stands] = found.filter((one) => one.state === 'running');
    const jars = [ready, stands].map(({ ids }) => ({ testId: ids.testId, setDownAt: bench.now + HOUR }));
    const { refused } = await tried(bench.store, 'bench.plan', { jars }, bench.now);
    expect(refused?.message).to.match(/stands already: plan the rest without it/);
    const rows = await bench.store.db.select({ plannedAt: test.plannedAt }).from(test);
    expect(rows.every((row) => row.plannedAt === null)).to.equal(true);
  });
});
