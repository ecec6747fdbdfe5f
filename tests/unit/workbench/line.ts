import type { LogLine } from '../../../src/lib/contract/records/log.ts';

/** A finished test as a line of the log. */
export const line = (code: string, fields: Partial<LogLine> = {}): LogLine => ({
  id: code,
  code,
  sampleId: 's',
  sampleName: 'Walled garden, north bed',
  purpose: 'garden',
  methodKey: 'jar-timed',
  methodName: 'Timed marks',
  status: 'finished',
  createdAt: 0,
  setDownAt: 0,
  at: 0,
  takenOn: null,
  finishedAt: 1,
  binnedAt: null,
  tempC: 18,
  sand: 60,
  silt: 25,
  clay: 15,
  gravelPct: 0,
  class: 'sandy loam',
  probability: 0.9,
  verdict: null,
  mass: null,
  read: null,
  sd: null,
  doubtful: false,
  act: null,
  problem: null,
  ...fields
});
