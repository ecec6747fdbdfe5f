import type { Binder, Drop, SoakLook, TrialKind } from '../../src/lib/core/index.ts';
import { DAY, HOUR } from './times.ts';

/** What one piece told: a number is the gauge as it broke, MPa. */
type DemoPiece = {
  gauge?: number;
  look?: SoakLook;
  massG?: number;
  wetMassG?: number;
  drop?: Drop;
  lengthMm?: number;
  cracked?: boolean;
  note?: string;
};

export type DemoTrial = {
  sample: string;
  kind: TrialKind;
  mix: string;
  binder?: Binder;
  binderPct?: number;
  waterPct: number;
  pressureMpa?: number;
  soaked?: number;
  cureDays?: number;
  soakDays?: number;
  count: number;
  note: string;
  formedAgoS: number;
  /** Care that was given, days after forming. */
  cared?: string[];
  pieces?: DemoPiece[];
};

/** Sides of the blocks out of the crew's mould, and the inside of its box, mm. */
export const BLOCK_MM = [100, 70, 60] as const;
export const BOX_MM = 600;
/** Piston of the small press, mm. */
export const PISTON_MM = 50;

/** Trial pieces for the oven and the boat store, in the order of time: plain blocks that fail wet, and blocks with cement that hold. */
export const trials: DemoTrial[] = [
  {
    sample: 'bank',
    kind: 'ribbon',
    mix: '',
    waterPct: 14,
    count: 3,
    note: '',
    formedAgoS: 70 * DAY,
    pieces: [{ lengthMm: 34 }, { lengthMm: 41 }, { lengthMm: 38 }]
  },
  {
    sample: 'bank',
    kind: 'box',
    mix: '',
    waterPct: 16,
    cureDays: 7,
    count: 1,
    note: 'In the shade of the boat store.',
    formedAgoS: 70 * DAY,
    cared: ['turn-1', 'turn-3'],
    pieces: [{ lengthMm: 585, cracked: false }]
  },
  {
    sample: 'bank',
    kind: 'block',
    mix: '',
    waterPct: 9,
    pressureMpa: 13.8,
    soaked: 3,
    cureDays: 7,
    soakDays: 3,
    count: 6,
    note: 'For the boat store, without cement.',
    formedAgoS: 64 * DAY,
    cared: ['turn-1', 'turn-3'],
    pieces: [
      { gauge: 26.4, massG: 792 },
      { gauge: 23.9, massG: 786, note: 'Broke at a stone of 5 mm.' },
      { gauge: 27.8, massG: 801 },
      { look: 'falls', massG: 795, note: 'A heap after an hour.' },
      { look: 'falls', massG: 790 },
      { look: 'softens', massG: 797, wetMassG: 905, gauge: 1.6, note: 'Edges gone, core still stood.' }
    ]
  },
  {
    sample: 'bank',
    kind: 'block',
    mix: '',
    binder: 'cement',
    binderPct: 8,
    waterPct: 10,
    pressureMpa: 13.8,
    soaked: 3,
    cureDays: 28,
    soakDays: 3,
    count: 6,
    note: 'For the boat store.',
    formedAgoS: 62 * DAY,
    cared: ['damp-1', 'damp-3', 'damp-7'],
    pieces: [
      { gauge: 31.5, massG: 806 },
      { gauge: 28.7, massG: 799 },
      { gauge: 30.2, massG: 803 },
      { look: 'keeps', massG: 801, wetMassG: 893, gauge: 12.4 },
      { look: 'keeps', massG: 798, wetMassG: 890, gauge: 11.3 },
      { look: 'keeps', massG: 804, wetMassG: 889, gauge: 13.1 }
    ]
  },
  {
    sample: 'lower',
    kind: 'ball',
    mix: '',
    waterPct: 20,
    count: 3,
    note: 'Sticks to the hands.',
    formedAgoS: 50 * DAY,
    pieces: [{ drop: 'whole' }, { drop: 'whole' }, { drop: 'few' }]
  },
  {
    sample: 'lower',
    kind: 'box',
    mix: '',
    waterPct: 24,
    cureDays: 7,
    count: 1,
    note: 'For the oven.',
    formedAgoS: 50 * DAY,
    cared: ['turn-1'],
    pieces: [{ lengthMm: 561, cracked: true }]
  },
  {
    sample: 'lower',
    kind: 'block',
    mix: '4 buckets of the lower bank, 6 of shell sand',
    binder: 'lime',
    binderPct: 5,
    waterPct: 13,
    soaked: 2,
    cureDays: 28,
    soakDays: 3,
    count: 4,
    note: 'For the oven, moulded by hand.',
    formedAgoS: 26 * HOUR,
    cared: ['damp-1']
  }
];

/** Soils that the harbour trust sent. */
export const FOLDER = {
  name: 'Boat-store wall and oven',
  sender: 'the harbour trust',
  note: 'Which of these for pressed blocks, which for the oven, and with what?',
  agoS: 85 * DAY,
  items: [
    { sample: 'well', theirs: 'H-1' },
    { sample: 'bank', theirs: 'H-2' },
    { sample: 'lower', theirs: 'H-3' },
    { sample: 'pond', theirs: 'H-4' }
  ]
};
