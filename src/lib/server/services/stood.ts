import { JAR_FACTS, NOTHING_PREPARED, type JarFact } from '../../contract/records/jar.ts';
import { eq } from 'drizzle-orm';
import { methodByKey, UNKNOWN_VESSEL } from '../../core/index.ts';
import { isInstrument } from '../../contract/cylinder.ts';
import { depositMm, metWaterMm, USUAL_TEMP_C } from '../../contract/met.ts';
import { STOOD_MS, type Stood } from '../../contract/records/run.ts';
import { added, changed } from '../events.ts';
import { CommandProblem } from '../problem.ts';
import { offeredMethod } from '../repositories/methods.ts';
import { toVessel } from '../repositories/vessels.ts';
import { gauge, mark, sample, test, topReading, vessel, type NewRowOf } from '../schema.ts';
import { nextCode } from './codes.ts';
import { freshRun, runOf, testRow, type TestRow } from './guard.ts';
import { nextJarCode } from './jars.ts';
import { entryToKeep } from './results.ts';
import type { Service, Services } from './service.ts';
import { refusals } from '../../words/refusals.ts';

/** What a jar that was met is read by unless somebody says more: bands at the end. */
export const READ_BY = 'jar-bands';

/** A jar that nobody here set down, as its rows: it stood already, in water of the usual warmth. @param o.at when it was met, ms UTC */
export function metRows(o: {
  testId: string;
  runId: string;
  code: string;
  sampleId: string;
  vesselId: string;
  method: { key: string; version: number };
  soilMm: number;
  waterMm: number;
  stood: Stood;
  at: number;
  /** What of it nobody measured; all where it is left out. */
  notMeasured?: JarFact[];
}): { jar: NewRowOf<'test'> & TestRow; run: NewRowOf<'run'> } {
  const {
    testId,
    runId,
    code,
    sampleId,
    vesselId,
    method,
    soilMm,
    waterMm,
    stood,
    at,
    notMeasured = [...JAR_FACTS]
  } = o;
  const jar = {
    id: testId,
    code,
    sampleId,
    vesselId,
    methodKey: method.key,
    methodVersion: method.version,
    tempC: USUAL_TEMP_C,
    soilMm,
    weighed: null,
    waterMm,
    dispersantMl: 0,
    notMeasured,
    used: {},
    note: '',
    prep: NOTHING_PREPARED,
    status: 'read' as const,
    createdAt: at,
    finishedAt: null,
    binnedAt: null,
    plannedAt: null,
    marks: null,
    cylinder: null,
    importId: null
  };
  return { jar, run: freshRun({ id: runId, testId, no: 1, setDownAt: at - STOOD_MS[stood], stood }) };
}

/** Puts a jar on record that nobody here set down, with what was read of it. What is not known can be added later. */
const meetJar: Service<'jar.stood'> = async ({ db, at }, p) => {
  const known = (await db.select().from(sample).where(eq(sample.id, p.sampleId)))[0];
  const taken = (await db.select({ code: sample.code }).from(sample)).map((s) => s.code);
  const name = p.sampleName || 'Soil not named yet';
  const soil = known ?? { id: p.sampleId, code: nextCode(name, taken), name };
  const [row] = await db
    .select()
    .from(vessel)
    .where(eq(vessel.id, p.vesselId ?? UNKNOWN_VESSEL.id));
  if (!row) {
    const message = refusals.jars.vesselGone;
    throw new CommandProblem(message, { vesselId: message });
  }
  const glass = toVessel(row);
  const method = p.methodKey ? await offeredMethod(db, p.methodKey) : methodByKey(READ_BY);
  if (!method || isInstrument(method)) {
    const message = refusals.jars.chooseMethodReadsLayers;
    throw new CommandProblem(message, { methodKey: message });
  }
  const waterMm = metWaterMm(p.entry, glass, p.vesselId !== null);
  const entry = entryToKeep(p.entry, glass, waterMm);
  const siblings = (await db.select({ code: test.code }).from(test).where(eq(test.sampleId, soil.id))).map(
    (s) => s.code
  );
  const code = nextJarCode(soil.code, siblings);
  const { jar, run } = metRows({
    testId: p.testId,
    runId: p.runId,
    code,
    sampleId: soil.id,
    vesselId: glass.id,
    method,
    // Dry soil settles to about the height it was filled to.
    soilMm: Math.max(1, depositMm(entry) || waterMm / 3),
    waterMm,
    stood: p.stood,
    at,
    // The surface of the water is a line that was read.
    notMeasured: JAR_FACTS.filter((fact) => fact !== 'waterMm' || !entry.lines.surface)
  });
  const fresh: NewRowOf<'sample'> = {
    ...soil,
    purpose: 'garden',
    note: '',
    details: {},
    areaId: null,
    spotIds: [],
    createdAt: at
  };
  return {
    testId: p.testId,
    detail: { code, stood: p.stood },
    changes: [
      ...(known ? [] : [added('sample', fresh)]),
      added('test', jar),
      added('run', run),
      added('reading', { id: p.readingId, testId: p.testId, runId: p.runId, at, entry })
    ]
  };
};

/** Set down by mistake on a jar that stood already: its clock is let go. */
const turnToStood: Service<'run.stood'> = async ({ db, at }, { testId, runId, stood }) => {
  const row = await testRow(db, testId);
  const runRow = await runOf(db, row, runId);
  for (const table of [mark, topReading, gauge]) {
    const rows = await db.select({ id: table.id }).from(table).where(eq(table.runId, runId));
    if (rows.length > 0) {
      throw new CommandProblem(refusals.jars.somethingMarkedReadClock, {}, 409);
    }
  }
  return {
    testId,
    detail: { code: row.code, stood },
    changes: [changed('run', runRow, { stood, setDownAt: at - STOOD_MS[stood] })]
  };
};

export const stoodServices = {
  'jar.stood': meetJar,
  'run.stood': turnToStood
} satisfies Partial<Services>;
