import type { Fractions, LayerName } from '../src/lib/core/index.ts';
import type { EndReason, Purpose, SampleDetails } from '../src/lib/contract/records.ts';

/**
 * Skarn Holm, an island light station being brought back to life by a small caretaker crew. All made up.
 * Times are before the demo starts, in seconds.
 */

export const MINUTE = 60;
export const HOUR = 3600;
export const DAY = 86_400;

export type DemoSample = {
  key: string;
  name: string;
  purpose: Purpose;
  note: string;
  agoS: number;
  details?: SampleDetails;
};

const mm = (value: number) => ({ mm: value, text: `${value} mm` });

export const samples: DemoSample[] = [
  {
    key: 'north',
    name: 'Walled garden, north bed',
    purpose: 'garden',
    note: 'Shell sand under two spits of old compost; six spots, whole depth.',
    agoS: 430 * DAY,
    details: {
      depthFrom: mm(75),
      depthTo: mm(150),
      takenOut: 'roots, snail shells, two worms put back',
      driedH: 24,
      sieve: mm(2),
      gravel: { amount: 34, unit: 'g' },
      look: 'Pale, gritty, falls apart in the hand.'
    }
  },
  {
    key: 'south',
    name: 'Walled garden, south bed',
    purpose: 'garden',
    note: 'Never amended. Stays wet till May.',
    agoS: 402 * DAY,
    details: {
      depthFrom: mm(75),
      depthTo: mm(150),
      takenOut: 'roots',
      driedH: 30,
      sieve: mm(2),
      look: 'Brown, sticks to the spade, makes a ribbon.'
    }
  },
  {
    key: 'pond',
    name: 'Cistern pond silt',
    purpose: 'garden',
    note: 'Dug out when the cistern was cleaned; grey, smells of nothing.',
    agoS: 399 * DAY,
    details: { driedH: 48, sieve: mm(2), look: 'Grey, floury when dry, no grit.' }
  },
  {
    key: 'bank',
    name: 'Till bank above the landing',
    purpose: 'build',
    note: 'From 400 mm down, below the topsoil. Stones sieved out.',
    agoS: 388 * DAY,
    details: {
      depthFrom: mm(400),
      depthTo: mm(600),
      takenOut: 'stones over 20 mm',
      driedH: 24,
      sieve: mm(4),
      gravel: { amount: 210, unit: 'g' },
      look: 'Rattles; clods break clean.'
    }
  },
  {
    key: 'lower',
    name: 'Lower bank, for the oven',
    purpose: 'build',
    note: 'Sticky, rust mottles.',
    agoS: 61 * DAY,
    details: {
      depthFrom: mm(350),
      depthTo: mm(500),
      driedH: 36,
      sieve: mm(4),
      gravel: { amount: 60, unit: 'g' },
      look: 'Sticky, rust mottles, smooth between the fingers.'
    }
  },
  {
    key: 'heap',
    name: 'Heap of trucked-in topsoil',
    purpose: 'garden',
    note: 'Delivered without a report.',
    agoS: 44 * DAY
  },
  {
    key: 'path',
    name: 'Shell sand by the garden path',
    purpose: 'lesson',
    note: 'Shows what pure sand does in a jar.',
    agoS: 380 * DAY
  },
  {
    key: 'cut',
    name: 'Cutting for the water pipe',
    purpose: 'bore',
    note: 'Face of the cutting beneath the slip, 1.1 m down.',
    agoS: 3 * DAY,
    details: {
      depthFrom: mm(1050),
      depthTo: mm(1150),
      takenOut: 'slate chips',
      driedH: 12,
      look: 'Sandy face, damp.'
    }
  },
  {
    key: 'boat',
    name: 'Boat-store footing',
    purpose: 'build',
    note: 'Spoil from the footing trench.',
    agoS: 2 * DAY
  }
];

/** A mark: how long after set-down it was made, and whether its height was measured. */
export type DemoMark = { layer: Exclude<LayerName, 'gravel'>; atS: number; measured?: boolean };

export type DemoTest = {
  sample: string;
  vesselId: string;
  methodKey: string;
  tempC: number;
  /** What the soil is, by mass; heights are made from it with the settling model. */
  soil: Fractions;
  /** Set down this long before the demo; undefined: prepared only. */
  setDownAgoS?: number;
  marks?: DemoMark[];
  /** A first run that came to grief: set down this long before the demo, and how long it lasted. */
  lost?: { setDownAgoS: number; lastedS: number; reason: EndReason; marks: DemoMark[] };
  /** Read and finished this long after set-down. */
  finishedAfterS?: number;
  gravelMm?: number;
  /** A wider line, mm. */
  fuzzySiltMm?: number;
};

const timed = (late = 0): DemoMark[] => [
  { layer: 'sand', atS: 61 + late, measured: true },
  { layer: 'silt', atS: 2 * HOUR + 40, measured: true },
  { layer: 'clay', atS: 26 * HOUR, measured: true }
];

export const tests: DemoTest[] = [
  // Last season
  {
    sample: 'north',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 14,
    soil: { sand: 74, silt: 17, clay: 9 },
    setDownAgoS: 428 * DAY,
    marks: timed(),
    finishedAfterS: 27 * HOUR,
    gravelMm: 2
  },
  {
    sample: 'south',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 14,
    soil: { sand: 30, silt: 38, clay: 32 },
    setDownAgoS: 401 * DAY,
    marks: timed(),
    finishedAfterS: 27 * HOUR
  },
  {
    sample: 'pond',
    vesselId: 'jar-half-litre',
    methodKey: 'jar-half-hour',
    tempC: 12,
    soil: { sand: 12, silt: 70, clay: 18 },
    setDownAgoS: 398 * DAY,
    marks: [
      { layer: 'sand', atS: 300, measured: true },
      { layer: 'silt', atS: 31 * MINUTE, measured: true },
      { layer: 'clay', atS: 44 * HOUR, measured: true }
    ],
    finishedAfterS: 45 * HOUR
  },
  {
    sample: 'bank',
    vesselId: 'jar-litre-tall',
    methodKey: 'jar-builder',
    tempC: 11,
    soil: { sand: 58, silt: 22, clay: 20 },
    setDownAgoS: 387 * DAY,
    finishedAfterS: 8 * HOUR,
    gravelMm: 6
  },
  {
    sample: 'path',
    vesselId: 'jar-half-litre',
    methodKey: 'jar-bands',
    tempC: 15,
    soil: { sand: 93, silt: 5, clay: 2 },
    setDownAgoS: 379 * DAY,
    finishedAfterS: 20 * HOUR
  },
  // This season
  {
    sample: 'north',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 17,
    soil: { sand: 66, silt: 22, clay: 12 },
    setDownAgoS: 63 * DAY,
    marks: timed(),
    finishedAfterS: 28 * HOUR,
    gravelMm: 2
  },
  {
    sample: 'lower',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 16,
    soil: { sand: 34, silt: 28, clay: 38 },
    lost: {
      setDownAgoS: 60 * DAY + 3 * HOUR,
      lastedS: 55 * MINUTE,
      reason: 'knocked',
      marks: [{ layer: 'sand', atS: 63, measured: true }]
    },
    setDownAgoS: 60 * DAY,
    marks: timed(),
    finishedAfterS: 30 * HOUR
  },
  {
    sample: 'heap',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 18,
    soil: { sand: 47, silt: 36, clay: 17 },
    setDownAgoS: 43 * DAY,
    marks: timed(75),
    finishedAfterS: 26.5 * HOUR,
    fuzzySiltMm: 1.5
  },
  {
    sample: 'bank',
    vesselId: 'jar-litre-tall',
    methodKey: 'jar-bands',
    tempC: 16,
    soil: { sand: 57, silt: 23, clay: 20 },
    setDownAgoS: 30 * DAY,
    finishedAfterS: 22 * HOUR,
    gravelMm: 5
  },
  // On the shelf now
  {
    sample: 'cut',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 15,
    soil: { sand: 62, silt: 24, clay: 14 },
    setDownAgoS: 27 * HOUR,
    marks: timed()
  },
  {
    sample: 'south',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 16,
    soil: { sand: 31, silt: 38, clay: 31 },
    setDownAgoS: 2 * HOUR - 192,
    marks: [{ layer: 'sand', atS: 64, measured: true }]
  },
  {
    sample: 'bank',
    vesselId: 'jar-half-litre',
    methodKey: 'jar-timed',
    tempC: 15,
    soil: { sand: 57, silt: 23, clay: 20 },
    setDownAgoS: 38 * MINUTE,
    marks: [{ layer: 'sand', atS: 58 }]
  },
  {
    sample: 'lower',
    vesselId: 'jar-litre-tall',
    methodKey: 'jar-builder',
    tempC: 15,
    soil: { sand: 36, silt: 30, clay: 34 },
    setDownAgoS: 95 * MINUTE
  },
  {
    sample: 'boat',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 15,
    soil: { sand: 50, silt: 30, clay: 20 },
    setDownAgoS: 3 * MINUTE
  },
  {
    sample: 'pond',
    vesselId: 'jar-half-litre',
    methodKey: 'jar-bands',
    tempC: 15,
    soil: { sand: 12, silt: 70, clay: 18 }
  },
  {
    sample: 'heap',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 15,
    soil: { sand: 47, silt: 36, clay: 17 }
  }
];
