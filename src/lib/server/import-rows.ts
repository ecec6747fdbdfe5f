import { eq } from 'drizzle-orm';
import { monotonicFactory } from 'ulid';
import { known, methodByKey, UNKNOWN_VESSEL, type Method } from '../core/index.ts';
import type { WorkedRow } from '../formats/table/look.ts';
import { isInstrument } from '../contract/cylinder.ts';
import type { JarSnapshot } from '../contract/records/result.ts';
import { STOOD_MS } from '../contract/records/run.ts';
import { refusals } from '../words/refusals.ts';
import type { Reader, Tx } from './db.ts';
import { estimateBeside } from './estimating.ts';
import { offeredMethods } from './repositories/methods.ts';
import { area, reading, result, run, sample, site, test, type NewRowOf } from './schema.ts';
import { codeGiver } from './services/codes.ts';
import { nextJarCode } from './services/jars.ts';
import { metRows, READ_BY } from './services/stood.ts';

/** One after the other, which is much quicker than each by chance. */
export const nextId = monotonicFactory();

/** Methods that a row can have been read by: an instrument wants its own readings, which no table has. */
export const methodsOfRows = async (db: Reader): Promise<Method[]> =>
  (await offeredMethods(db)).map(({ method }) => method).filter((method) => !isInstrument(method));

/** What an import knows of the bench while it writes: codes that are taken, samples that are there. */
export type Known = {
  areas: Map<string, { id: string; code: string }>;
  methods: Map<string, { key: string; version: number }>;
  samples: Map<string, { id: string; code: string; jars: string[] }>;
  give: ReturnType<typeof codeGiver>;
};

const sampleKey = (name: string, areaId: string | null, depth: string) =>
  `${name.toLowerCase()} ${areaId ?? ''} ${depth}`;
const depthOf = (o: { depthFrom?: { mm: number }; depthTo?: { mm: number } }) =>
  `${o.depthFrom?.mm ?? ''}-${o.depthTo?.mm ?? ''}`;

/** What an import has to know of the bench. */
export async function knownOf(db: Reader): Promise<Known> {
  const areas = await db
    .select({ id: area.id, code: area.code, name: area.name, siteName: site.name })
    .from(area)
    .innerJoin(site, eq(site.id, area.siteId));
  const methods = await methodsOfRows(db);
  const samples = await db
    .select({
      id: sample.id,
      code: sample.code,
      name: sample.name,
      areaId: sample.areaId,
      details: sample.details
    })
    .from(sample);
  return {
    areas: new Map(
      areas.flatMap(({ id, code, name, siteName }) => {
        const own = { id, code };
        return [
          [name.toLowerCase(), own],
          [`${siteName} ${name}`.toLowerCase(), own]
        ];
      })
    ),
    methods: new Map(
      methods.flatMap((m) => [
        [m.name.toLowerCase(), m],
        [m.key, m]
      ])
    ),
    samples: new Map(
      samples.map((s) => [
        sampleKey(s.name, s.areaId, depthOf(s.details)),
        { id: s.id, code: s.code, jars: [] }
      ])
    ),
    give: codeGiver(samples.map(({ code }) => code))
  };
}

/** Rows of the database for some rows of a table. */
type Batch = {
  sample: NewRowOf<'sample'>[];
  test: NewRowOf<'test'>[];
  run: NewRowOf<'run'>[];
  reading: NewRowOf<'reading'>[];
  result: NewRowOf<'result'>[];
};

/** What a row names that the bench has no place for stands in its note. */
function noteOf(row: WorkedRow, o: { areaKnown: boolean; methodKnown: boolean }): string {
  const named = [row.siteName, o.areaKnown ? '' : row.areaName].filter((name) => name && name !== row.name);
  const { method, from } = refusals.imports.notes;
  return [
    row.note,
    named.length > 0 ? from(named.join(', ')) : '',
    row.methodName && !o.methodKnown ? method(row.methodName) : ''
  ]
    .filter(Boolean)
    .join('; ')
    .slice(0, 500);
}

type Ground = { id: string; code: string } | undefined;

/** What rows are put in by: which import, when, and whether jars are estimated. */
type By = { importId: string; now: number; estimate: boolean };

/** The sample of a row: one that is there by that name, ground and depth, or a new one; with the codes of its jars. */
async function soilOf(db: Reader, row: WorkedRow, ground: Ground, bench: Known, batch: Batch, by: By) {
  const key = sampleKey(row.name, ground?.id ?? null, depthOf(row));
  const there = bench.samples.get(key);
  if (there) {
    if (there.jars.length === 0) {
      const jars = await db.select({ code: test.code }).from(test).where(eq(test.sampleId, there.id));
      there.jars.push(...jars.map((jar) => jar.code));
    }
    return there;
  }
  const soil = { id: nextId(), code: bench.give(row.name, ground?.code), jars: [] as string[] };
  bench.samples.set(key, soil);
  const { takenOn, depthFrom, depthTo } = row;
  batch.sample.push({
    id: soil.id,
    code: soil.code,
    name: row.name,
    purpose: row.purpose ?? 'garden',
    note: '',
    details: {
      ...(takenOn ? { takenOn } : {}),
      ...(depthFrom ? { depthFrom } : {}),
      ...(depthTo ? { depthTo } : {})
    },
    areaId: ground?.id ?? null,
    spotIds: [],
    createdAt: by.now,
    importId: by.importId
  });
  return soil;
}

/** When a row was read, such that it stands in the log on the day that the table names, ms UTC. */
function readAt({ takenOn }: WorkedRow, now: number): number {
  const noon = takenOn ? Date.parse(`${takenOn}T12:00:00Z`) : now;
  return Math.min(now, noon + STOOD_MS.unknown);
}

/** Puts the finished test of a row into a batch, with its run, its reading and its result. */
async function putTest(row: WorkedRow, bench: Known, batch: Batch, of: Placed, by: By): Promise<void> {
  const { soil, ground } = of;
  const named = bench.methods.get(row.methodName.toLowerCase());
  const at = readAt(row, by.now);
  const code = nextJarCode(soil.code, soil.jars);
  soil.jars.push(code);
  const [testId, runId, readingId] = [nextId(), nextId(), nextId()];
  const { jar, run: stands } = metRows({
    testId,
    runId,
    code,
    sampleId: soil.id,
    vesselId: UNKNOWN_VESSEL.id,
    method: named ?? known(methodByKey(READ_BY), 'it ships'),
    soilMm: row.soilMm,
    waterMm: row.waterMm,
    stood: 'unknown',
    at
  });
  const note = noteOf(row, { areaKnown: ground !== undefined, methodKnown: named !== undefined });
  batch.test.push({
    ...jar,
    note,
    status: 'finished',
    finishedAt: at,
    createdAt: by.now,
    importId: by.importId
  });
  batch.run.push(stands);
  batch.reading.push({ id: readingId, testId, runId, at, entry: row.entry });
  const answer = by.estimate && row.estimate ? await estimateBeside(row.estimate) : undefined;
  const snapshot: JarSnapshot = {
    readingId,
    entry: row.entry,
    methodKey: jar.methodKey,
    methodVersion: jar.methodVersion,
    result: row.result,
    ...(answer ? { answer } : {}),
    doubts: []
  };
  batch.result.push({ id: nextId(), testId, at, coreVersion: row.coreVersion, snapshot, reopenedAt: null });
}

type Placed = { soil: { id: string; code: string; jars: string[] }; ground: Ground };

/** The rows of the database for some rows of a table. */
export async function batchOf(db: Reader, rows: readonly WorkedRow[], bench: Known, by: By): Promise<Batch> {
  const batch: Batch = { sample: [], test: [], run: [], reading: [], result: [] };
  for (const row of rows) {
    const ground =
      bench.areas.get(`${row.siteName} ${row.areaName}`.toLowerCase()) ??
      bench.areas.get(row.areaName.toLowerCase());
    const soil = await soilOf(db, row, ground, bench, batch, by);
    await putTest(row, bench, batch, { soil, ground }, by);
  }
  return batch;
}

/** Writes them. */
export async function writeBatch(tx: Tx, batch: Batch): Promise<void> {
  if (batch.sample.length > 0) await tx.insert(sample).values(batch.sample);
  await tx.insert(test).values(batch.test);
  await tx.insert(run).values(batch.run);
  await tx.insert(reading).values(batch.reading);
  await tx.insert(result).values(batch.result);
}
