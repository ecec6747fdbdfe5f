import type { Fractions, History, LayerName, Point, Trouble } from '../src/lib/core/index.ts';
import type { EndReason, JarNote } from '../src/lib/contract/records/run.ts';
import type { Purpose, SampleDetails } from '../src/lib/contract/records/sample.ts';

/**
 * Skarn Holm, an island light station being brought back to life by a small caretaker crew. All made up.
 * Times are before the demo starts, in seconds.
 */

export const MINUTE = 60;
export const HOUR = 3600;
const DAY = 86_400;

/** An area on the sketch; metres. */
export type DemoArea = {
  key: string;
  name: string;
  purpose: Purpose;
  history: History[];
  note: string;
  outline: Point[];
  /** Spots suggested, with the seed they come from, and how many have been taken, at which depths, mm. */
  spots: number;
  seed: number;
  taken: number;
  depthsMm?: [number, number];
  /** When the spots were walked. */
  agoS: number;
};

export const SITE = 'Skarn Holm';

export const areas: DemoArea[] = [
  {
    key: 'north',
    name: 'North bed',
    purpose: 'garden',
    history: ['amended', 'dug'],
    note: 'Shell sand under two spits of old compost.',
    outline: [
      [6, 38],
      [30, 40],
      [30, 52],
      [7, 50]
    ],
    spots: 6,
    seed: 11,
    taken: 6,
    depthsMm: [75, 150],
    agoS: 430 * DAY
  },
  {
    key: 'south',
    name: 'South bed',
    purpose: 'garden',
    history: ['untouched'],
    note: 'The control: nobody has worked it. Stays wet till May.',
    outline: [
      [5.5, 22],
      [29, 23],
      [29.6, 36],
      [6, 34]
    ],
    spots: 5,
    seed: 12,
    taken: 5,
    depthsMm: [75, 150],
    agoS: 402 * DAY
  },
  {
    key: 'bank',
    name: 'Till bank',
    purpose: 'build',
    history: [],
    note: 'Above the landing. Stones to 60 mm.',
    outline: [
      [40, 42],
      [52, 37],
      [66, 38],
      [74, 44],
      [70, 52],
      [56, 49],
      [44, 51]
    ],
    spots: 5,
    seed: 13,
    taken: 5,
    depthsMm: [400, 600],
    agoS: 388 * DAY
  },
  {
    key: 'lower',
    name: 'Lower bank',
    purpose: 'build',
    history: [],
    note: 'For the oven. Sticky, rust mottles.',
    outline: [
      [42, 25],
      [58, 22],
      [72, 25],
      [73, 33],
      [60, 33],
      [48, 35]
    ],
    spots: 4,
    seed: 14,
    taken: 4,
    depthsMm: [350, 500],
    agoS: 61 * DAY
  },
  {
    key: 'peat',
    name: 'Peat hollow',
    purpose: 'garden',
    history: ['dug'],
    note: 'Wet underfoot; the north end was filled once.',
    outline: [
      [10, 4],
      [22, 2],
      [31, 6],
      [30, 14],
      [20, 17],
      [9, 13]
    ],
    spots: 5,
    seed: 15,
    taken: 2,
    depthsMm: [75, 150],
    agoS: 20 * MINUTE
  },
  {
    key: 'cut',
    name: 'Pipe cutting',
    purpose: 'bore',
    history: ['filled'],
    note: 'Face of the cutting beneath the slip.',
    outline: [
      [44, 8],
      [82, 12],
      [82, 16],
      [44, 12]
    ],
    spots: 4,
    seed: 16,
    taken: 4,
    depthsMm: [1050, 1150],
    agoS: 3 * DAY
  }
];

export type DemoSample = {
  key: string;
  name: string;
  purpose: Purpose;
  note: string;
  agoS: number;
  details?: SampleDetails;
  /** A drawn picture of the hole it came from. */
  picture?: HolePicture;
};

/** What the side of a hole looks like: layers from the top, each with its colour and how deep it reaches, mm. */
export type HolePicture = { layers: { colour: string; toMm: number; stones?: number }[] };

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
    },
    picture: {
      layers: [
        { colour: '#4a3b28', toMm: 60 },
        { colour: '#8a7350', toMm: 190 },
        { colour: '#c9b388', toMm: 320, stones: 10 }
      ]
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
    },
    picture: {
      layers: [
        { colour: '#43361f', toMm: 120 },
        { colour: '#7b5c3b', toMm: 330, stones: 14 },
        { colour: '#94694a', toMm: 640, stones: 40 }
      ]
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

/** A laboratory's report of a sample. */
export type DemoReport = {
  sample: string;
  lab: string;
  agoS: number;
  soil: Fractions;
  sandLimitUm: 50 | 60 | 63 | 20;
  organicPct: number;
};

export const reports: DemoReport[] = [
  {
    sample: 'south',
    lab: 'Mainland soil laboratory (simulated)',
    agoS: 360 * DAY,
    soil: { sand: 28.6, silt: 40.2, clay: 31.2 },
    sandLimitUm: 63,
    organicPct: 4.1
  },
  {
    sample: 'bank',
    lab: 'Mainland soil laboratory (simulated)',
    agoS: 20 * DAY,
    soil: { sand: 57.8, silt: 22.4, clay: 19.8 },
    sandLimitUm: 50,
    organicPct: 0.6
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
