import { NOTHING_PREPARED } from '../../contract/records/jar.ts';
import { notMeasuredBy, usedProblems, withUsed } from '../../contract/used.ts';
import { desc, eq } from 'drizzle-orm';
import { checkFill, checkWeighed, columnFacts, trueMarks, type RunMethod } from '../../core/index.ts';
import { isInstrument, setupFor } from '../../contract/cylinder.ts';
import { added, changed } from '../events.ts';
import { beside, CommandProblem, ranged } from '../problem.ts';
import { mark, run, sample, test, vessel } from '../schema.ts';
import { methodsFor, offeredMethod } from '../repositories/methods.ts';
import { toVessel } from '../repositories/vessels.ts';
import { freshRun, runOf, testRow, within, type TestRow } from './guard.ts';
import type { Service, Services } from './service.ts';
import { refusals } from '../../words/refusals.ts';

/**
 * The code of a new jar of a sample: the sample's own for the first, with b, c, d ... for those after it.
 * @example nextJarCode('K1', ['K1', 'K1b']) // 'K1c'
 */
export function nextJarCode(sampleCode: string, taken: readonly string[]): string {
  if (!taken.includes(sampleCode)) return sampleCode;
  for (let i = 1; ; i++) {
    const suffix = i < 26 ? String.fromCharCode(97 + i) : `-${i + 1}`;
    if (!taken.includes(sampleCode + suffix)) return sampleCode + suffix;
  }
}

/** An instrument needs the depth of a cylinder. */
function requireCylinder(method: RunMethod, kind: 'jar' | 'cylinder', field: string): void {
  if (!isInstrument(method) || kind === 'cylinder') return;
  const message = refusals.jars.hydrometerPipetteWantsCylinder;
  throw new CommandProblem(message, { [field]: message });
}

const prepareJar: Service<'jar.prepare'> = async ({ db, at }, p) => {
  const soil = (await db.select().from(sample).where(eq(sample.id, p.sampleId)))[0];
  if (!soil) {
    const message = refusals.jars.chooseSampleJar;
    throw new CommandProblem(message, { sampleId: message });
  }
  const glass = (await db.select().from(vessel).where(eq(vessel.id, p.vesselId)))[0];
  if (!glass) {
    const message = refusals.jars.chooseVessel;
    throw new CommandProblem(message, { vesselId: message });
  }
  const method = await offeredMethod(db, p.methodKey);
  if (!method) {
    const message = refusals.jars.chooseMethods;
    throw new CommandProblem(message, { methodKey: message });
  }
  requireCylinder(method, glass.kind, 'vesselId');
  ranged(() => checkFill(glass, p.soilMm, p.waterMm));
  const siblings = await db.select({ code: test.code }).from(test).where(eq(test.sampleId, p.sampleId));
  const code = nextJarCode(
    soil.code,
    siblings.map((s) => s.code)
  );
  const { testId: id, trueSandUm, ...fields } = p;
  const marks = trueSandUm === null ? null : ranged(() => trueMarks(method, columnFacts(p), trueSandUm));
  const row: TestRow = {
    id,
    code,
    ...fields,
    weighed: null,
    used: {},
    methodVersion: method.version,
    prep: NOTHING_PREPARED,
    status: 'ready',
    createdAt: at,
    finishedAt: null,
    binnedAt: null,
    plannedAt: null,
    marks,
    cylinder: setupFor(method),
    importId: null
  };
  return { testId: id, detail: { code, method: method.name }, changes: [added('test', row)] };
};

/** Ticks of the checklist and the start of shaking, so that a reload or another device goes on from there. */
const keepPrep: Service<'jar.prep'> = async ({ db }, { testId, ...prep }) => {
  const row = await testRow(db, testId);
  return {
    testId,
    detail: {
      code: row.code,
      ticks: prep.ticks.length,
      shaking: prep.shakeStartedAt === null ? null : 'yes'
    },
    changes: [changed('test', row, { prep, notMeasured: notMeasuredBy(row, prep) })]
  };
};

/** What was used on a jar, in the measure of whoever did it. What is left out is as it was advised, or not told. */
const useOnJar: Service<'jar.used'> = async ({ db }, { testId, used }) => {
  const row = await testRow(db, testId);
  const runs = await db.select({ stood: run.stood }).from(run).where(eq(run.testId, testId));
  if (runs.some((r) => r.stood !== null))
    throw new CommandProblem(refusals.jars.fillUnseen(row.code), {}, 409);
  const [[field, message] = []] = Object.entries(usedProblems(used));
  if (field && message) throw beside(`used.${field}`, message);
  const [glassRow] = await db.select().from(vessel).where(eq(vessel.id, row.vesselId));
  const glass = { ...toVessel(glassRow), id: glassRow.id };
  const method = (await methodsFor(db, [row]))(row);
  const told = withUsed({ ...row, vessel: glass, method }, used);
  ranged(() => checkFill(glass, told.soilMm, row.waterMm));
  return {
    testId,
    detail: {
      code: row.code,
      dispersant: used.dispersant?.text ?? null,
      kind: used.dispersant?.kind ?? null,
      soil: used.soil ?? null,
      soaked: used.soaked ?? null,
      shaken: used.shaken ?? null
    },
    changes: [changed('test', row, told)]
  };
};

const setDown: Service<'jar.set-down'> = async ({ db, at }, p) => {
  const row = await testRow(db, p.testId);
  const runs = await db.select().from(run).where(eq(run.testId, p.testId)).orderBy(desc(run.no));
  const no = (runs[0]?.no ?? 0) + 1;
  return {
    testId: p.testId,
    detail: { code: row.code, run: no },
    changes: [
      added('run', freshRun({ id: p.runId, testId: p.testId, no, setDownAt: at })),
      changed('test', row, { status: 'running' })
    ]
  };
};

/** Gives jars that do not stand yet the set-down times of a timetable, or takes them back. */
const planBench: Service<'bench.plan'> = async ({ db, now }, p) => {
  const changes = [];
  for (const { testId, setDownAt } of p.jars) {
    const row = await testRow(db, testId);
    if (setDownAt !== null && setDownAt < now) {
      throw new CommandProblem(refusals.jars.plannedInPast(row.code));
    }
    changes.push(changed('test', row, { plannedAt: setDownAt }));
  }
  return { testId: null, detail: { jars: p.jars.length }, changes };
};

/** A bed may pack to this share of a height it was marked at. */
const PACKED_TO = 0.75;

/** The top of the sediment, read while the jar stands: from four of them on it can be told when it will stand still. */
const readTop: Service<'jar.top'> = async ({ db, at }, p) => {
  const row = await testRow(db, p.testId);
  const runRow = await runOf(db, row, p.runId);
  if (at <= runRow.setDownAt) {
    throw new CommandProblem(refusals.jars.readingOlderThanSet);
  }
  await within(db, row, p.height.mm);
  const { mm: heightMm, text: heightText } = p.height;
  const under = (await db.select().from(mark).where(eq(mark.runId, p.runId))).find(
    (m) => m.at < at && m.heightMm !== null && heightMm < m.heightMm * PACKED_TO - 1
  );
  if (under) {
    const message = refusals.jars.underTheMarkBefore(under.layer);
    throw new CommandProblem(message, { height: message });
  }
  return {
    testId: p.testId,
    detail: { code: row.code, heightMm, run: runRow.no },
    changes: [added('topReading', { id: p.topId, runId: p.runId, at, heightMm, heightText, water: p.water })]
  };
};

/** Another method for a jar that does not stand yet. Marks of one method mean nothing under another. */
const changeMethod: Service<'jar.method'> = async ({ db }, { testId, methodKey }) => {
  const row = await testRow(db, testId);
  const method = await offeredMethod(db, methodKey);
  if (!method) {
    const message = refusals.jars.chooseMethods;
    throw new CommandProblem(message, { methodKey: message });
  }
  const [glass] = await db.select({ kind: vessel.kind }).from(vessel).where(eq(vessel.id, row.vesselId));
  requireCylinder(method, glass.kind, 'methodKey');
  const runs = await db.select().from(run).where(eq(run.testId, testId));
  // Of a jar that stood already nobody has seen a time yet.
  if (runs.some((r) => r.stood === null)) {
    throw new CommandProblem(refusals.jars.hasBeenSetDown(row.code), {}, 409);
  }
  return {
    testId,
    detail: { code: row.code, method: method.name },
    changes: [
      changed('test', row, {
        methodKey,
        methodVersion: method.version,
        marks: null,
        plannedAt: null,
        cylinder: setupFor(method)
      })
    ]
  };
};

/** The weight of the dry soil in a jar; it may be told until the test is finished. */
const weighSoil: Service<'jar.weigh'> = async ({ db }, { testId, weighed }) => {
  const row = await testRow(db, testId);
  const runs = await db.select({ stood: run.stood }).from(run).where(eq(run.testId, testId));
  if (runs.some((r) => r.stood !== null))
    throw new CommandProblem(refusals.jars.fillUnseen(row.code), {}, 409);
  if (weighed) {
    const [glass] = await db.select().from(vessel).where(eq(vessel.id, row.vesselId));
    ranged(() => checkWeighed(toVessel(glass), row.soilMm, weighed));
  }
  return {
    testId,
    detail: { code: row.code, grams: weighed?.grams ?? null },
    changes: [changed('test', row, { weighed })]
  };
};

/** Something that happened to a jar and is only to be remembered with its time. */
const noteJar: Service<'jar.note'> = async ({ db }, { testId, kind, words }) => {
  const row = await testRow(db, testId);
  return { testId, detail: { code: row.code, note: kind, words: words || null }, changes: [] };
};

const shakeAgain: Service<'jar.shake-again'> = async ({ db, at }, p) => {
  const row = await testRow(db, p.testId);
  const runRow = await runOf(db, row, p.runId);
  return {
    testId: p.testId,
    detail: { code: row.code, run: runRow.no, reason: p.reason },
    changes: [
      changed('run', runRow, { endedAt: Math.max(at, runRow.setDownAt), endReason: p.reason }),
      changed('test', row, {
        status: 'ready',
        prep: NOTHING_PREPARED,
        plannedAt: null
      })
    ]
  };
};

export const jarServices = {
  'jar.prepare': prepareJar,
  'jar.prep': keepPrep,
  'bench.plan': planBench,
  'jar.set-down': setDown,
  'jar.top': readTop,
  'jar.method': changeMethod,
  'jar.weigh': weighSoil,
  'jar.used': useOnJar,
  'jar.note': noteJar,
  'jar.shake-again': shakeAgain
} satisfies Partial<Services>;
