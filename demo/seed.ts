import { ulid } from 'ulid';
import {
  depositHeights,
  fillPlan,
  lengthForField,
  methodByKey,
  solidsFromDryFill,
  STANDARD_VESSELS,
  type FillPlan
} from '../src/lib/core/index.ts';
import type { CommandDone, CommandName, PayloadInput } from '../src/lib/contract/commands.ts';
import type { ReadingEntry } from '../src/lib/contract/records.ts';
import { runCommand } from '../src/lib/server/commands.ts';
import type { Store } from '../src/lib/server/db.ts';
import { HOUR, samples, tests, type DemoMark, type DemoTest } from './scenario.ts';

/** Heights are measured to half a millimetre. */
const half = (mm: number) => Math.round(mm * 2) / 2;

/** Plays the scenario into an empty database, as if it had happened up to `now` (ms UTC). */
export async function seedDemo(store: Store, now: number): Promise<void> {
  const play = <N extends CommandName>(
    name: N,
    agoS: number,
    payload: PayloadInput<N>
  ): Promise<CommandDone> => {
    const at = Math.round(now - agoS * 1000);
    return runCommand(store, name, { commandId: ulid(at), at, payload }, 'phone', at);
  };
  const ids = new Map<string, string>();
  for (const s of [...samples].sort((a, b) => b.agoS - a.agoS)) {
    const sampleId = ulid(now - s.agoS * 1000);
    ids.set(s.key, sampleId);
    const { name, purpose, note } = s;
    await play('sample.add', s.agoS, { sampleId, name, purpose, note });
    if (!s.details) continue;
    const takenOn = new Date(now - s.agoS * 1000).toISOString().slice(0, 10);
    await play('sample.edit', s.agoS - HOUR, {
      sampleId,
      name,
      purpose,
      note,
      details: { takenOn, ...s.details }
    });
  }
  for (const demo of tests) await playTest(demo, ids.get(demo.sample)!, play);
}

type Play = <N extends CommandName>(name: N, agoS: number, payload: PayloadInput<N>) => Promise<CommandDone>;

async function playTest(demo: DemoTest, sampleId: string, play: Play): Promise<void> {
  const vessel = STANDARD_VESSELS.find((v) => v.id === demo.vesselId)!;
  const method = methodByKey(demo.methodKey);
  const plan = fillPlan(method, vessel);
  const firstAgoS = demo.lost?.setDownAgoS ?? demo.setDownAgoS ?? 0.1 * HOUR;
  const testId = ulid();
  await play('jar.prepare', firstAgoS + 1200, {
    testId,
    sampleId,
    vesselId: demo.vesselId,
    methodKey: demo.methodKey,
    tempC: demo.tempC,
    soilMm: plan.soilMm,
    waterMm: plan.waterMm,
    dispersantMl: plan.dispersantMl
  });
  if (demo.lost) {
    const runId = await playRun(demo, plan, testId, demo.lost.setDownAgoS, demo.lost.marks, play);
    await play('jar.shake-again', demo.lost.setDownAgoS - demo.lost.lastedS, {
      testId,
      runId,
      reason: demo.lost.reason
    });
  }
  if (demo.setDownAgoS === undefined) return;
  await playRun(demo, plan, testId, demo.setDownAgoS, demo.marks ?? [], play);
  if (demo.finishedAfterS === undefined) return;
  const readAgoS = demo.setDownAgoS - demo.finishedAfterS;
  const readingId = ulid();
  await play('jar.read', readAgoS, { testId, readingId, entry: entryOf(demo, plan) });
  await play('test.finish', readAgoS - 60, { testId, readingId, resultId: ulid() });
}

function heightsOf(demo: DemoTest, plan: FillPlan, timesS: number[]): number[] {
  const solidsKgM2 = solidsFromDryFill(plan.soilMm);
  return depositHeights({
    fractions: demo.soil,
    timesS,
    columnMm: plan.waterMm,
    tempC: demo.tempC,
    solidsKgM2
  }).map((mm) => half(mm + (demo.gravelMm ?? 0)));
}

async function playRun(
  demo: DemoTest,
  plan: FillPlan,
  testId: string,
  agoS: number,
  marks: DemoMark[],
  play: Play
) {
  const runId = ulid();
  await play('jar.set-down', agoS, { testId, runId });
  const heights = heightsOf(
    demo,
    plan,
    marks.map((m) => m.atS)
  );
  for (const [i, mark] of marks.entries()) {
    const markId = ulid();
    await play('jar.mark', agoS - mark.atS, { testId, runId, markId, layer: mark.layer });
    if (!mark.measured) continue;
    const height = { mm: heights[i], text: lengthForField(heights[i], 'mm') };
    await play('mark.height', agoS - mark.atS - 40, { testId, markId, height });
  }
  return runId;
}

/** The reading at the end: the timed marks, or for bands where the size limits lie. */
function entryOf(demo: DemoTest, plan: FillPlan): ReadingEntry {
  const line = (mm: number, sigmaMm?: number) => ({
    mm,
    text: lengthForField(mm, 'mm'),
    ...(sigmaMm ? { sigmaMm } : {})
  });
  const times = demo.marks?.map((m) => m.atS) ?? [95, 0.5 * demo.finishedAfterS!, demo.finishedAfterS!];
  const [sand, silt, clay] = heightsOf(demo, plan, times);
  return {
    ruler: 'mm',
    lines: {
      ...(demo.gravelMm ? { gravel: line(demo.gravelMm) } : {}),
      sand: line(sand),
      silt: line(silt, demo.fuzzySiltMm),
      clay: line(clay)
    },
    measuredTotal: line(clay)
  };
}
