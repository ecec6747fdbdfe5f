import { RangeProblem } from '../errors.ts';
import { figuresAt, type BedFigures } from './behaviour.ts';
import type { SoilDraws } from './soil-draws.ts';

/** One thing that is asked of a soil, with its reason. */
export type Window = {
  of: keyof BedFigures | 'sand' | 'silt' | 'clay';
  least?: number;
  most?: number;
  reason: string;
};

/** What is asked of a soil for a purpose: all windows at once. */
export type JudgeProfile = {
  id: string;
  version: number;
  name: string;
  basis: string;
  windows: readonly Window[];
};

const HAND = 'Bounds set by hand, from what gardeners go by.';

/** The beds that ship. */
export const BED_PROFILES: readonly JudgeProfile[] = [
  {
    id: 'vegetables',
    version: 1,
    name: 'a vegetable bed',
    basis: HAND,
    windows: [
      { of: 'drains', least: 3, reason: 'Roots drown where rain stands for a day.' },
      { of: 'stores', least: 8, reason: 'Under this a hot week needs water every other day.' },
      { of: 'digs', most: 35, reason: 'Over this it is dug on a few days of the year, and cracks.' },
      { of: 'caps', most: 1.6, reason: 'Over this rain seals it and seedlings stay under.' }
    ]
  },
  {
    id: 'roots',
    version: 1,
    name: 'root crops',
    basis: HAND,
    windows: [
      { of: 'drains', least: 8, reason: 'Roots that swell rot in ground that stays wet.' },
      { of: 'stores', least: 7, reason: 'Uneven water splits them.' },
      { of: 'digs', most: 22, reason: 'In heavy ground they fork and stay short.' },
      { of: 'caps', most: 1.6, reason: 'Fine seed does not come through a crust.' }
    ]
  },
  {
    id: 'dry',
    version: 1,
    name: 'herbs of dry ground',
    basis: HAND,
    windows: [
      { of: 'drains', least: 15, reason: 'They die of wet winters, not of cold.' },
      { of: 'warms', most: 28, reason: 'Ground that stays wet stays cold.' },
      { of: 'digs', most: 22, reason: 'Heavy ground holds winter water about the crown.' }
    ]
  }
];

/** What a window may be asked of. */
export const WINDOW_OF = [
  'drains',
  'stores',
  'warms',
  'feeds',
  'digs',
  'caps',
  'sand',
  'silt',
  'clay'
] as const;
const MOST_WINDOWS = WINDOW_OF.length;

type Written = { of: string; least?: number; most?: number };

/** What is wrong with a window's bounds, a sentence a field: `PLACE.least`, `PLACE.most`. */
export function boundsProblems(place: string, { least, most }: Omit<Written, 'of'>): RangeProblem[] {
  const out: RangeProblem[] = [];
  for (const [bound, value] of [
    ['least', least],
    ['most', most]
  ] as const)
    if (value !== undefined && !(value >= 0 && Number.isFinite(value)))
      out.push(new RangeProblem(`${place}.${bound}`, 'Give a number from 0 up.'));
  if (least !== undefined && most !== undefined && least >= most)
    out.push(new RangeProblem(`${place}.most`, 'The most has to be more than the least.'));
  return out;
}

/**
 * What is wrong with windows that somebody wrote, and with their name, a sentence a field: `name`, `windows`, or
 * `windows.N.least` …
 *
 * @param o.such a name as an example
 * @returns empty where it can be judged by
 */
export function windowsProblems(o: {
  name: string;
  such: string;
  windows: readonly Written[];
  most: number;
}): RangeProblem[] {
  const out: RangeProblem[] = [];
  const { windows } = o;
  if (o.name.trim() === '') out.push(new RangeProblem('name', `Say what it is for, such as: ${o.such}.`));
  if (windows.length === 0 || windows.length > o.most)
    out.push(new RangeProblem('windows', 'Ask for one thing at least.'));
  windows.forEach(({ of, least, most }, i) => {
    if (windows.findIndex((w) => w.of === of) < i)
      out.push(new RangeProblem(`windows.${i}.of`, 'This is asked for already: one window each.'));
    if (least === undefined && most === undefined)
      out.push(new RangeProblem(`windows.${i}.least`, 'Give the least, the most, or both.'));
    out.push(...boundsProblems(`windows.${i}`, { least, most }));
  });
  return out;
}

/** What is wrong with what somebody asks of a bed, as {@link windowsProblems}. */
export const profileProblems = ({ name, windows }: Pick<JudgeProfile, 'name' | 'windows'>): RangeProblem[] =>
  windowsProblems({ name, such: 'a vegetable bed', windows, most: MOST_WINDOWS });

/** How sure it is that a soil does what is asked of it. */
export type Judgement = {
  profile: JudgeProfile;
  /** Chance that all windows hold at once, and each alone. */
  chance: number;
  windows: { window: Window; chance: number }[];
  /** The window that holds least surely. */
  doubt: Window;
  /** Whether all hold, draw by draw: 1 where they do. */
  holds: Uint8Array;
};

/** Whether a figure lies within what a window asks. */
export const isWithin = (
  { least = -Infinity, most = Infinity }: Pick<Window, 'least' | 'most'>,
  figure: number
) => figure >= least && figure <= most;

/**
 * Judges a soil by a profile, over its draws: the chance of each window, and that all hold at once.
 *
 * @throws {RangeProblem} as {@link figuresAt}
 */
export function judgeProfile(profile: JudgeProfile, draws: SoilDraws): Judgement {
  const { windows } = profile;
  const { shares } = draws;
  const count = draws.organic.length;
  const held = new Float64Array(windows.length);
  const holds = new Uint8Array(count);
  let all = 0;
  for (let i = 0; i < count; i++) {
    const soil = { sand: shares[3 * i], silt: shares[3 * i + 1], clay: shares[3 * i + 2] };
    const figures = figuresAt(draws, i);
    let ok = 1;
    for (let w = 0; w < windows.length; w++) {
      const { of } = windows[w];
      const figure = of === 'sand' || of === 'silt' || of === 'clay' ? soil[of] : figures[of];
      if (isWithin(windows[w], figure)) held[w]++;
      else ok = 0;
    }
    holds[i] = ok;
    all += ok;
  }
  const each = windows.map((window, w) => ({ window, chance: held[w] / count }));
  return {
    profile,
    chance: all / count,
    windows: each,
    doubt: each.reduce((a, b) => (b.chance < a.chance ? b : a)).window,
    holds
  };
}
