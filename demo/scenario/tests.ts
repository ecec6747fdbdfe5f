import type { Fractions, LayerName, Trouble } from '../../src/lib/core/index.ts';
import type { EndReason, JarNote } from '../../src/lib/contract/records/run.ts';
import { DAY, HOUR, MINUTE } from './times.ts';

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
  /** Set-down that a kept plan gives it, this long after the start of the demo. */
  plannedInS?: number;
  /** It was set down by a plan. */
  planned?: boolean;
  marks?: DemoMark[];
  /** A first run that came to grief: set down this long before the demo, and how long it lasted. */
  lost?: { setDownAgoS: number; lastedS: number; reason: EndReason; marks: DemoMark[] };
  /** The top of the sediment read this long after set-down. */
  tops?: number[];
  /** Read and finished this long after set-down. */
  finishedAfterS?: number;
  gravelMm?: number;
  /** A wider line, mm. */
  fuzzySiltMm?: number;
  /** A picture of the simulated bench camera, kept this long after set-down, s. */
  pictureAtS?: number;
  /** Filmed by the simulated bench camera up to this long after set-down, s. */
  filmedToS?: number;
  /** What was filled in, where it is not what the method asks. */
  fill?: { soilMm: number; waterMm: number };
  notes?: JarNote[];
  /** What was seen of the water when it was read. */
  water?: 'clear' | 'cloudy';
  /** Dark skin of settled organics, mm. */
  skinMm?: number;
  /** The trouble that this jar is in. */
  trouble?: Trouble['id'];
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
    gravelMm: 2,
    pictureAtS: 27.5 * HOUR
  },
  {
    sample: 'well',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 16,
    soil: { sand: 58, silt: 18, clay: 24 },
    setDownAgoS: 82 * DAY,
    marks: timed(),
    finishedAfterS: 29 * HOUR
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
    finishedAfterS: 30 * HOUR,
    pictureAtS: 29.8 * HOUR
  },
  {
    sample: 'heap',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 18,
    soil: { sand: 47, silt: 36, clay: 17 },
    setDownAgoS: 43 * DAY,
    planned: true,
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
    planned: true,
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
    marks: timed(),
    pictureAtS: 26.5 * HOUR,
    filmedToS: 26.9 * HOUR
  },
  {
    sample: 'south',
    vesselId: 'jar-litre',
    methodKey: 'jar-timed',
    tempC: 16,
    soil: { sand: 31, silt: 38, clay: 31 },
    setDownAgoS: 2 * HOUR - 192,
    marks: [{ layer: 'sand', atS: 64, measured: true }],
    pictureAtS: 90 * MINUTE
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
    setDownAgoS: 95 * MINUTE,
    tops: [2, 8, 20, 45, 90].map((minutes) => minutes * MINUTE)
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
    soil: { sand: 47, silt: 36, clay: 17 },
    plannedInS: 4 * HOUR
  },
  // What goes wrong, once each
  {
    sample: 'lower',
    vesselId: 'jar-litre',
    methodKey: 'jar-quick-marks',
    tempC: 15,
    soil: { sand: 36, silt: 30, clay: 34 },
    fill: { soilMm: 78, waterMm: 125 },
    setDownAgoS: 26 * DAY,
    finishedAfterS: 25 * HOUR,
    trouble: 'too-full'
  },
  {
    sample: 'heap',
    vesselId: 'jar-litre',
    methodKey: 'jar-builder',
    tempC: 15,
    soil: { sand: 47, silt: 36, clay: 17 },
    setDownAgoS: 25 * DAY,
    finishedAfterS: 5 * HOUR,
    water: 'clear',
    trouble: 'cleared-soon'
  },
  {
    sample: 'south',
    vesselId: 'jar-litre',
    methodKey: 'jar-bands',
    tempC: 15,
    soil: { sand: 31, silt: 38, clay: 31 },
    setDownAgoS: 24 * DAY,
    finishedAfterS: 22 * HOUR,
    notes: ['knocked'],
    trouble: 'knocked'
  },
  {
    sample: 'boat',
    vesselId: 'jar-litre',
    methodKey: 'jar-bands',
    tempC: 15,
    soil: { sand: 50, silt: 30, clay: 20 },
    setDownAgoS: 23 * DAY,
    finishedAfterS: 20 * HOUR,
    gravelMm: 26,
    trouble: 'stones'
  },
  {
    sample: 'cut',
    vesselId: 'jar-litre',
    methodKey: 'jar-bands',
    tempC: 15,
    soil: { sand: 62, silt: 24, clay: 14 },
    setDownAgoS: 22 * DAY,
    finishedAfterS: 35 * MINUTE,
    water: 'cloudy',
    trouble: 'read-early'
  },
  {
    sample: 'pond',
    vesselId: 'jar-half-litre',
    methodKey: 'jar-bands',
    tempC: 15,
    soil: { sand: 12, silt: 70, clay: 18 },
    setDownAgoS: 21 * DAY,
    finishedAfterS: 23 * HOUR,
    skinMm: 2.5,
    trouble: 'dark-skin'
  }
];
