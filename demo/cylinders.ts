import { ulid } from 'ulid';
import {
  drawTime,
  fillPlan,
  methodByKey,
  simulatedBalance,
  simulatedBlank,
  simulatedBlankAt,
  simulatedDraw,
  simulatedHydrometer,
  simulatedThermometer,
  STANDARD_VESSELS,
  USUAL_FACTS,
  type CylinderFacts,
  type Fractions,
  type SimulatedCylinder
} from '../src/lib/core/index.ts';
import type { Play } from './seed.ts';
import { HOUR, MINUTE } from './scenario/times.ts';

/** A cylinder test of the demo: its readings are made by the simulated instruments, and say so. */
export type DemoCylinder = {
  sample: string;
  methodKey: 'hydrometer-2pt' | 'hydrometer-curve' | 'pipette';
  soil: Fractions;
  tempC: number;
  facts: Partial<CylinderFacts> & { airDryG: number };
  /** Which of the blanks; none for a pipette. */
  blank?: string;
  setDownAgoS: number;
  /** Finished once the last reading is in. */
  finished: boolean;
};

const DAY = 24 * HOUR;
const MOIST = { wetG: 31.42, dryG: 31.14, tinG: 21.3 };

const blanks = [
  {
    key: 'autumn',
    name: 'Cylinder 9, autumn',
    agoS: 15 * DAY,
    tempC: 19.5,
    readAgoS: [14.9 * DAY, 14.65 * DAY]
  },
  {
    key: 'now',
    name: 'Cylinder 9, this week',
    agoS: 4 * HOUR,
    tempC: 19,
    readAgoS: [3.05 * HOUR, 1.5 * HOUR]
  }
];

const cylinders: DemoCylinder[] = [
  {
    sample: 'bank',
    methodKey: 'hydrometer-2pt',
    soil: { sand: 43, silt: 31, clay: 26 },
    tempC: 19.5,
    facts: { airDryG: 40, moisture: MOIST },
    blank: 'autumn',
    setDownAgoS: 14.9 * DAY,
    finished: true
  },
  {
    sample: 'pond',
    methodKey: 'hydrometer-curve',
    soil: { sand: 18, silt: 58, clay: 24 },
    tempC: 19.5,
    facts: {
      airDryG: 45,
      moisture: MOIST,
      sieves: [
        { meshUm: 500, retainedG: 1.1 },
        { meshUm: 212, retainedG: 2.05 },
        { meshUm: 63, retainedG: 3.7 }
      ]
    },
    blank: 'autumn',
    setDownAgoS: 14.92 * DAY,
    finished: true
  },
  {
    sample: 'north',
    methodKey: 'pipette',
    soil: { sand: 62, silt: 25, clay: 13 },
    tempC: 20,
    facts: {
      airDryG: 20,
      moisture: MOIST,
      sieves: [
        { meshUm: 500, retainedG: 3.4 },
        { meshUm: 50, retainedG: 8.6 }
      ],
      pipette: { volumeMl: 20, depthMm: 100, dispersantG: 0.1 }
    },
    setDownAgoS: 9 * DAY,
    finished: true
  },
  {
    sample: 'lower',
    methodKey: 'hydrometer-curve',
    soil: { sand: 33, silt: 39, clay: 28 },
    tempC: 19,
    facts: { airDryG: 40, moisture: MOIST },
    blank: 'now',
    setDownAgoS: 3.1 * HOUR,
    finished: false
  }
];

/** Plays the cylinders and their blanks. */
export async function seedCylinders(ids: ReadonlyMap<string, string>, play: Play): Promise<void> {
  const blankIds = new Map<string, string>();
  for (const { key, name, agoS, tempC, readAgoS } of blanks) {
    const blankId = ulid();
    blankIds.set(key, blankId);
    await play('blank.add', agoS, { blankId, name });
    for (const [i, ago] of readAgoS.entries()) {
      const blank = simulatedBlankAt(tempC, DISPERSANT_GL);
      const value = simulatedBlank({ ...anySoil(tempC), blank }, 900 + i).read()!;
      await play('blank.read', ago, { blankId, readingId: ulid(), value, tempC });
    }
  }
  for (const [i, demo] of cylinders.entries()) await playCylinder(demo, i, ids, blankIds, play);
}

/** What 5 g of dispersant in a litre weighs a reading up by, g/L. */
const DISPERSANT_GL = 3;
const anySoil = (tempC: number) => ({
  fractions: { sand: 0, silt: 0, clay: 100 },
  facts: { ...USUAL_FACTS, airDryG: 40 },
  tempC
});

async function playCylinder(
  demo: DemoCylinder,
  index: number,
  ids: ReadonlyMap<string, string>,
  blankIds: ReadonlyMap<string, string>,
  play: Play
): Promise<void> {
  const vessel = STANDARD_VESSELS.find((v) => v.id === 'cylinder-1000')!;
  const method = methodByKey(demo.methodKey);
  const plan = fillPlan(method, vessel);
  const [testId, runId] = [ulid(), ulid()];
  const { tempC, setDownAgoS } = demo;
  await play('jar.prepare', setDownAgoS + 14 * HOUR, {
    testId,
    sampleId: ids.get(demo.sample)!,
    vesselId: vessel.id,
    methodKey: demo.methodKey,
    tempC,
    soilMm: plan.soilMm,
    waterMm: plan.waterMm,
    dispersantMl: plan.dispersantMl
  });
  const facts = { ...USUAL_FACTS, ...demo.facts };
  const blankId = blankIds.get(demo.blank ?? '') ?? null;
  await play('cylinder.facts', setDownAgoS + MINUTE, { testId, facts, blankId });
  await play('jar.set-down', setDownAgoS, { testId, runId });
  const blank = simulatedBlankAt(tempC, DISPERSANT_GL);
  const cylinder: SimulatedCylinder = { fractions: demo.soil, facts, tempC, blank };
  let lastAgoS = setDownAgoS;
  for (const [no, reading] of method.readings!.entries()) {
    const timeS = reading.atS ?? Math.round(drawTime({ limitUm: reading.limitUm!, depthMm: 100, tempC }));
    if (timeS > setDownAgoS - 60) break;
    const seed = 100 * index + no;
    const instrument =
      method.kind === 'pipette'
        ? simulatedBalance(simulatedDraw(cylinder, timeS), seed)
        : simulatedHydrometer(cylinder, timeS, seed);
    lastAgoS = setDownAgoS - timeS;
    await play('gauge.take', lastAgoS, {
      testId,
      runId,
      gaugeId: ulid(),
      no,
      value: Math.round(instrument.read()! * 1e4) / 1e4,
      tempC: Math.round(simulatedThermometer(tempC, seed).read()! * 10) / 10,
      simulated: true
    });
  }
  if (demo.finished) await play('cylinder.finish', lastAgoS - HOUR, { testId, resultId: ulid() });
}
