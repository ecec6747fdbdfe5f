import type { Fractions } from '../../src/lib/core/index.ts';
import type { Purpose, SampleDetails } from '../../src/lib/contract/records/sample.ts';
import { DAY } from './times.ts';

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
    key: 'well',
    name: 'Draw-well seam',
    purpose: 'build',
    note: 'Thrown up when the well was dug; warm brown, binds.',
    agoS: 84 * DAY,
    details: {
      depthFrom: mm(600),
      depthTo: mm(900),
      takenOut: 'stones over 4 mm',
      driedH: 30,
      sieve: mm(4),
      look: 'Warm brown; a ball keeps its shape and does not stick.'
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
