import type { History, Point } from '../../src/lib/core/index.ts';
import type { Purpose } from '../../src/lib/contract/records/sample.ts';
import { DAY, MINUTE } from './times.ts';

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
