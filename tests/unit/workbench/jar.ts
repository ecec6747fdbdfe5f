import type { JarRecord } from '../../../src/lib/contract/records/jar.ts';
import type { RunRecord } from '../../../src/lib/contract/records/run.ts';
import { METHODS, STANDARD_VESSELS } from '../../../src/lib/core/index.ts';

export const START = Date.UTC(2026, 4, 4, 9);

/** A jar of timed marks in a litre of glass, not set down, with some fields changed. */
export function anyJar(fields: Partial<JarRecord>): JarRecord {
  return {
    id: 'a',
    code: 'K1',
    sample: {
      id: 's',
      code: 'K1',
      name: 'North bed',
      purpose: 'garden',
      note: '',
      areaId: null,
      spotIds: [],
      details: {},
      createdAt: 0
    },
    vessel: STANDARD_VESSELS[1],
    methodKey: METHODS[0].key,
    method: METHODS[0],
    marks: null,
    cylinder: null,
    methodVersion: 1,
    tempC: 18,
    soilMm: 43,
    weighed: null,
    waterMm: 128,
    dispersantMl: 4,
    notMeasured: [],
    used: {},
    note: '',
    prep: { ticks: [], shakeStartedAt: null },
    status: 'ready',
    createdAt: START,
    finishedAt: null,
    binnedAt: null,
    plannedAt: null,
    run: null,
    hasReading: false,
    ...fields
  };
}

/** A first run from `START`, nothing marked yet, with some fields changed. */
export function anyRun(fields: Partial<RunRecord> = {}): RunRecord {
  return {
    id: 'r',
    no: 1,
    setDownAt: START,
    stood: null,
    passed: [],
    endedAt: null,
    endReason: null,
    marks: [],
    tops: [],
    gauges: [],
    notes: [],
    stillAt: null,
    ...fields
  };
}
