import type { AmendmentKind } from '../../src/lib/contract/records/amendment.ts';
import type { HoleNote } from '../../src/lib/contract/records/hole.ts';
import { DAY, HOUR, MINUTE } from './times.ts';

/** A drainage hole of the demo. */
export type DemoHole = {
  area: string;
  depthMm: number;
  widthMm: number;
  notes?: HoleNote[];
  note?: string;
  /** Filled again this long before the demo; soaked this long before that, where it was. */
  refilledAgoS: number;
  soakedBeforeS?: number;
  /** What was seen, so long after the refill: a height in mm, or that it had gone or still stood there. */
  seen: { afterS: number; is: number | 'gone' | 'still' }[];
  finished: boolean;
};

/** One gone in seconds, one that still stood there next day, one not soaked, and one under way. */
export const holes: DemoHole[] = [
  {
    area: 'north',
    depthMm: 300,
    widthMm: 300,
    refilledAgoS: 60 * DAY,
    soakedBeforeS: 20 * MINUTE,
    seen: [{ afterS: 42, is: 'gone' }],
    note: 'Between the old pear and the path.',
    finished: true
  },
  {
    area: 'south',
    depthMm: 300,
    widthMm: 300,
    refilledAgoS: 59 * DAY,
    soakedBeforeS: 3 * HOUR,
    seen: [{ afterS: 25 * HOUR, is: 'still' }],
    note: 'Water stood in the bottom by itself next morning.',
    finished: true
  },
  {
    area: 'south',
    depthMm: 320,
    widthMm: 280,
    notes: ['slope'],
    refilledAgoS: 58 * DAY,
    seen: [
      { afterS: 31 * MINUTE, is: 308 },
      { afterS: 62 * MINUTE, is: 297 },
      { afterS: 2 * HOUR, is: 277 }
    ],
    finished: true
  },
  {
    area: 'peat',
    depthMm: 300,
    widthMm: 320,
    notes: ['water-table'],
    refilledAgoS: 2 * HOUR + 20 * MINUTE,
    soakedBeforeS: HOUR + 10 * MINUTE,
    seen: [
      { afterS: 32 * MINUTE, is: 284 },
      { afterS: 64 * MINUTE, is: 262 },
      { afterS: 2 * HOUR, is: 236 }
    ],
    finished: false
  }
];

/** What was put on or into an area. */
export const amendments: {
  area: string;
  agoS: number;
  kind: AmendmentKind;
  litres?: number;
  note?: string;
}[] = [
  {
    area: 'north',
    agoS: 421 * DAY,
    kind: 'compost',
    litres: 3200,
    note: 'Forty barrows, dug in one spit deep.'
  },
  { area: 'north', agoS: 240 * DAY, kind: 'topsoil', litres: 4000, note: 'From the heap, to hold water.' },
  { area: 'north', agoS: 200 * DAY, kind: 'mulch', litres: 900 }
];

/** Five-minute bottles along the cutting, from its end further west on: one from each of its spots, and what was read of each. */
export const bottles: { name: string; packedMm: number; wholeMm: number }[] = [
  { name: 'Pipe cutting, first bottle', packedMm: 33, wholeMm: 52 },
  { name: 'Pipe cutting, second bottle', packedMm: 25, wholeMm: 51 },
  { name: 'Pipe cutting, third bottle', packedMm: 15, wholeMm: 53 },
  { name: 'Pipe cutting, fourth bottle', packedMm: 9, wholeMm: 54 }
];
/** When they stood. */
export const BOTTLES_AGO_S = 2 * DAY;

/**
 * Verdicts on walls, by the codes of their tests, with a blend: `own` is the soil in hand. A soil that is right, one too fat that sand
 * mends, one too silty that nothing at hand does.
 */
export const walls: { test: string; technique: string; blend: string[]; batch: string; agoS: number }[] = [
  { test: 'D1', technique: 'pressed', blend: ['own', 'S2'], batch: '10', agoS: 66 * DAY },
  { test: 'L1', technique: 'cob', blend: ['own', 'S2'], batch: '12', agoS: 30 * DAY },
  { test: 'C1c', technique: 'cob', blend: ['own', 'S2'], batch: '12', agoS: 29 * DAY }
];

/** Verdicts that were kept: of the first finished test of a sample, for which bed. */
export const verdicts: { sample: string; bedKey: string; agoS: number }[] = [
  { sample: 'north', bedKey: 'dry', agoS: 61 * DAY },
  { sample: 'south', bedKey: 'vegetables', agoS: 40 * DAY },
  { sample: 'heap', bedKey: 'roots', agoS: 12 * DAY }
];
