import { NOTHING_PREPARED } from '../../contract/records/jar.ts';
import { eq } from 'drizzle-orm';
import { methodByKey, UNKNOWN_VESSEL } from '../../core/index.ts';
import { isInstrument } from '../../contract/cylinder.ts';
import { depositMm, metWaterMm, USUAL_TEMP_C } from '../../contract/met.ts';
import { STOOD_MS } from '../../contract/records/run.ts';
import { added, changed } from '../events.ts';
import { CommandProblem } from '../problem.ts';
import { offeredMethod } from '../repositories/methods.ts';
import { toVessel } from '../repositories/vessels.ts';
import { gauge, mark, sample, test, topReading, vessel, type NewRowOf } from '../schema.ts';
import { nextCode } from './codes.ts';
import { freshRun, runOf, testRow } from './guard.ts';
import { nextJarCode } from './jars.ts';
import { checkEntry } from './results.ts';
import type { Service } from './service.ts';
import { refusals } from '../../words/refusals.ts';

/** What a jar that was met is read by unless somebody says more: bands at the end. */
const READ_BY = 'jar-bands';
/** Puts a jar on record that nobody here set down, with what was read of it. What is not known can be added later. */
export const meetJar: Service<'jar.stood'> = async ({ db, at }, p) => {
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
  checkEntry(p.entry, glass, waterMm);
  const siblings = (await db.select({ code: test.code }).from(test).where(eq(test.sampleId, soil.id))).map(
    (s) => s.code
  );
  const code = nextJarCode(soil.code, siblings);
  const run = freshRun({
    id: p.runId,
    testId: p.testId,
    no: 1,
    setDownAt: at - STOOD_MS[p.stood],
    stood: p.stood
  });
  const jar: NewRowOf<'test'> = {
    id: p.testId,
    code,
    sampleId: soil.id,
    vesselId: glass.id,
    methodKey: method.key,
    methodVersion: method.version,
    tempC: USUAL_TEMP_C,
    // Dry soil settles to about the height it was filled to.
    soilMm: Math.max(1, depositMm(p.entry) || waterMm / 3),
    weighed: null,
    waterMm,
    dispersantMl: 0,
    note: '',
    prep: NOTHING_PREPARED,
    status: 'read',
    createdAt: at,
    finishedAt: null,
    binnedAt: null,
    plannedAt: null,
    marks: null,
    cylinder: null
  };
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
      added('reading', { id: p.readingId, testId: p.testId, runId: p.runId, at, entry: p.entry })
    ]
  };
};

/** Set down by mistake on a jar that stood already: its clock is let go. */
export const turnToStood: Service<'run.stood'> = async ({ db, at }, { testId, runId, stood }) => {
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
