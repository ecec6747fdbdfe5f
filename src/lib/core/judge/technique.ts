import type { Fractions } from '../physics/bands.ts';
import { RangeProblem } from '../errors.ts';
import { boundsProblems, isWithin, windowsProblems } from './profile.ts';

/**
 * What a technique of earth building asks of: shares of the whole, percent, gravel with it; clay over silt; the biggest stone, mm;
 * the skin of organic matter, percent of the deposit.
 */
export const WALL_OF = ['grit', 'silt', 'clay', 'clayToSilt', 'stone', 'organic'] as const;
export type WallOf = (typeof WALL_OF)[number];

/** From the least to the most; open where one is left out. */
export type Bounds = { least?: number; most?: number };

/** One thing that is asked, what is best within it, and why. */
export type WallWindow = Bounds & { of: WallOf; best?: Bounds; reason: string };

/** A way of building with earth, and what it asks of a soil: all windows at once. */
export type Technique = {
  id: string;
  version: number;
  name: string;
  /** Whether its school states its windows by heights as they are read, or by mass. */
  on: 'heights' | 'mass';
  basis: string;
  /** It goes through a press, which what sticks will not feed. */
  pressed?: true;
  windows: readonly WallWindow[];
};

const HEIGHTS = 'Heights in the jar as they are read, gravel with them, as builders state them.';
const PRESSED: readonly WallWindow[] = [
  {
    of: 'grit',
    least: 40,
    reason: 'Sand and fine gravel are what stands; set by hand, for the school asks for some.'
  },
  {
    of: 'clay',
    least: 12,
    most: 35,
    best: { least: 18, most: 24 },
    reason: 'Less does not bind, more cracks and sticks in the press.'
  },
  { of: 'stone', most: 6, reason: 'Bigger stones start cracks and mar the mould.' }
];

/** The techniques that ship. */
export const TECHNIQUES: readonly Technique[] = [
  {
    id: 'cob',
    version: 1,
    name: 'cob and adobe',
    on: 'heights',
    basis: HEIGHTS,
    windows: [
      {
        of: 'grit',
        least: 50,
        most: 80,
        best: { least: 60, most: 70 },
        reason: 'Less shrinks and cracks, more crumbles.'
      },
      {
        of: 'clayToSilt',
        least: 1,
        reason: 'Silt instead of clay binds badly and is weak when wet; from 0.8 on it is doubtful.'
      },
      { of: 'stone', most: 12, best: { most: 6 }, reason: 'Stones start cracks.' },
      { of: 'organic', most: 2, best: { most: 0 }, reason: 'Topsoil rots and draws damp.' }
    ]
  },
  {
    id: 'pressed',
    version: 1,
    name: 'pressed blocks',
    on: 'heights',
    basis: HEIGHTS,
    pressed: true,
    windows: PRESSED
  },
  {
    id: 'rammed',
    version: 1,
    name: 'rammed earth',
    on: 'mass',
    basis: 'Shares by mass, gravel with them.',
    windows: [
      { of: 'grit', least: 45, most: 80, reason: 'The frame of the wall; over it nothing binds.' },
      { of: 'silt', least: 10, most: 30, reason: 'It fills between the grains; more weakens it wet.' },
      {
        of: 'clay',
        least: 8,
        most: 30,
        best: { least: 10, most: 20 },
        reason: 'It binds; more shrinks and cracks.'
      },
      { of: 'stone', most: 20, reason: 'Bigger stones leave hollows under the rammer.' },
      { of: 'organic', most: 1, reason: 'Topsoil rots and draws damp.' }
    ]
  },
  {
    id: 'stabilised',
    version: 1,
    name: 'blocks with cement',
    on: 'heights',
    basis: `${HEIGHTS} First trial: 8 % of cement, 5 to 10; strength after soaking decides.`,
    pressed: true,
    windows: PRESSED.map((window) =>
      window.of === 'clay'
        ? { ...window, most: 30, reason: 'Cement binds sand; with more clay lime is tried instead.' }
        : window
    )
  }
];

/** What is wrong with a technique that somebody wrote, as {@link windowsProblems}; of what is best, `windows.N.best.least` … */
export function techniqueProblems({ name, windows }: Pick<Technique, 'name' | 'windows'>): RangeProblem[] {
  return [
    ...windowsProblems({ name, such: 'cob and adobe', windows, most: WALL_OF.length }),
    ...windows.flatMap(({ best, least = 0, most = Infinity }, i) => {
      if (!best) return [];
      const place = `windows.${i}.best`;
      const outside = (best.least ?? least) < least || (best.most ?? most) > most;
      return outside
        ? [new RangeProblem(`${place}.least`, 'What is best has to lie within what is asked.')]
        : boundsProblems(place, best);
    })
  ];
}

/** A soil for a wall. What nobody knows is left out: its windows are not counted, and named. */
export type WallSoil = {
  /** Sand, silt and clay of soils that could be this one, percent of the earth without gravel; by height as read, and by mass. */
  heights?: Float64Array;
  mass?: Float64Array;
  /** Where one share alone was read, percent: the others of the draws mean nothing. */
  only?: { layer: 'sand' | 'clay'; pct: number };
  /** No line was seen in its jar: clay up to the top. It is a sign that nobody has to say again. */
  smeared?: true;
  /** Gravel, percent of the whole. */
  gravelPct: number;
  stoneMm?: number;
  organicPct?: number;
};

/** A window against a soil: its chance to hold, and to be at its best; where nine draws in ten lie, and their middle. */
export type WindowSaid = {
  window: WallWindow;
  chance?: number;
  best?: number;
  spread?: { low: number; middle: number; high: number };
};

/** How a soil stands to a technique. */
export type TechniqueSaid = {
  technique: Technique;
  /** That all windows that are known hold at once; 0 where none is, for nothing speaks for it. */
  chance: number;
  /** What it was judged on: mass in the place of heights where nobody read any, and the other way round. */
  on: Technique['on'];
  windows: WindowSaid[];
  /** The window that holds least surely; undefined where none is known. */
  doubt?: WallWindow;
  /** Windows that nobody knows anything of, and whether shares are among them: then one share alone was read. */
  unknown: WallOf[];
  partly: boolean;
  /** Whether all known windows hold, draw by draw. */
  holds: Uint8Array;
};

/** The same as it is kept: without its draws. */
export type TechniqueKept = Omit<TechniqueSaid, 'holds'>;

/** What each window needs to be known of the shares. */
const NEEDS: Partial<Record<WallOf, readonly (keyof Fractions)[]>> = {
  grit: ['sand'],
  silt: ['silt'],
  clay: ['clay'],
  clayToSilt: ['silt', 'clay']
};

/** A silt share below this makes no ratio that means anything, percent. */
const LEAST_SILT = 0.5;

function figureOf(of: WallOf, soil: WallSoil, [sand, silt, clay]: readonly number[]): number | undefined {
  const fine = 1 - soil.gravelPct / 100;
  switch (of) {
    case 'grit':
      return soil.gravelPct + sand * fine;
    case 'silt':
      return silt * fine;
    case 'clay':
      return clay * fine;
    case 'clayToSilt':
      return clay / Math.max(LEAST_SILT, silt);
    case 'stone':
      return soil.stoneMm;
    case 'organic':
      return soil.organicPct;
  }
}

/** Figures of a window, draw by draw; undefined where nobody knows them. */
function figuresOf(of: WallOf, soil: WallSoil, shares: Float64Array): Float64Array | undefined {
  const needs = NEEDS[of];
  if (needs && soil.only && needs.some((part) => part !== soil.only?.layer)) return undefined;
  const count = shares.length / 3;
  const out = new Float64Array(count);
  for (let i = 0; i < count; i++) {
    const figure = figureOf(of, soil, [shares[3 * i], shares[3 * i + 1], shares[3 * i + 2]]);
    if (figure === undefined) return undefined;
    out[i] = figure;
  }
  return out;
}

const shareOf = (figures: Float64Array, range: Bounds) =>
  figures.reduce((n, x) => n + (isWithin(range, x) ? 1 : 0), 0) / figures.length;

function spreadOf(figures: Float64Array): NonNullable<WindowSaid['spread']> {
  const sorted = Float64Array.from(figures).sort();
  const at = (share: number) => sorted[Math.round(share * (sorted.length - 1))];
  return { low: at(0.05), middle: at(0.5), high: at(0.95) };
}

/**
 * Judges a soil for a technique over its draws: the chance of each window, and that all that are known hold at once.
 *
 * @returns undefined where neither heights nor masses are known
 */
export function judgeTechnique(technique: Technique, soil: WallSoil): TechniqueSaid | undefined {
  const own = soil[technique.on];
  const on = own ? technique.on : technique.on === 'mass' ? 'heights' : 'mass';
  const shares = own ?? soil[on];
  if (!shares || shares.length === 0) return undefined;
  const holds = new Uint8Array(shares.length / 3).fill(1);
  const windows = technique.windows.map((window): WindowSaid => {
    const figures = figuresOf(window.of, soil, shares);
    if (!figures) return { window };
    figures.forEach((x, i) => {
      if (!isWithin(window, x)) holds[i] = 0;
    });
    return {
      window,
      chance: shareOf(figures, window),
      ...(window.best ? { best: shareOf(figures, window.best) } : {}),
      spread: spreadOf(figures)
    };
  });
  const unknown = windows.filter((w) => w.chance === undefined).map((w) => w.window.of);
  const known = windows.flatMap(({ window, chance }) => (chance === undefined ? [] : [{ window, chance }]));
  return {
    technique,
    chance: known.length === 0 ? 0 : holds.reduce((a, b) => a + b, 0) / holds.length,
    on,
    windows,
    doubt: known.length > 0 ? known.reduce((a, b) => (b.chance < a.chance ? b : a)).window : undefined,
    unknown,
    partly: unknown.some((of) => NEEDS[of]),
    holds
  };
}

/** What somebody says of a soil that no jar reads, and that no wall is made of. */
export const WALL_SIGNS = ['smeared', 'cloudy', 'sticky', 'topsoil'] as const;
export type WallSign = (typeof WALL_SIGNS)[number];

/**
 * What a sign means for a technique: `refused` where nothing else is to be asked, `warns` where it is to be heeded.
 *
 * Smeared to the shoulder without a line it is over half clay; water that stays cloudy for a week is of ground that disperses;
 * what sticks will not feed a press; topsoil is for beds.
 */
export function signSays(
  sign: WallSign,
  technique: Pick<Technique, 'pressed'>
): 'refused' | 'warns' | undefined {
  if (sign === 'smeared' || sign === 'topsoil') return 'refused';
  if (sign === 'sticky') return technique.pressed ? 'refused' : undefined;
  return 'warns';
}

/** What a technique comes to on the other basis, where both are known and it comes out a fifth apart; undefined where not. */
export function otherBasis(
  { technique, on, chance }: TechniqueKept,
  soil: WallSoil
): TechniqueSaid | undefined {
  const other = on === 'heights' ? 'mass' : 'heights';
  const there = soil[other] && judgeTechnique({ ...technique, on: other }, soil);
  return there && Math.abs(there.chance - chance) >= PARTS_FROM ? there : undefined;
}

/** Chances nearer than this are alike: set by hand. */
const PARTS_FROM = 0.2;

/** The mesh that stones are sieved through for a technique, mm; undefined where it takes any. */
export const meshOf = ({ windows }: Pick<Technique, 'windows'>): number | undefined =>
  windows.find((w) => w.of === 'stone')?.most;

/** Bigger stones nobody builds with, mm. */
const STONE_MOST_MM = 500;

/** What no soil has beside its shares, a sentence a field: `gravelPct`, `stoneMm`, `organicPct`; what is left out can be. */
export const wallFactProblems = (
  o: Partial<Pick<WallSoil, 'gravelPct' | 'stoneMm' | 'organicPct'>>
): RangeProblem[] =>
  (
    [
      ['gravelPct', 100, '%'],
      ['stoneMm', STONE_MOST_MM, 'mm'],
      ['organicPct', 100, '%']
    ] as const
  ).flatMap(([field, most, unit]) => {
    const value = o[field];
    return value === undefined || (value >= 0 && value <= most)
      ? []
      : [new RangeProblem(field, `Give it from 0 to ${most} ${unit}.`)];
  });

/** What is said of a soil, with what its jar shows of itself. */
export const signsOf = ({ smeared }: Pick<WallSoil, 'smeared'>, said: readonly WallSign[]): WallSign[] =>
  WALL_SIGNS.filter((sign) => said.includes(sign) || (sign === 'smeared' && smeared === true));

/** Techniques that no sign refuses. */
export const openTo = <S extends { technique: Pick<Technique, 'pressed'> }>(
  said: readonly S[],
  signs: readonly WallSign[]
): S[] => said.filter((s) => signs.every((sign) => signSays(sign, s.technique) !== 'refused'));

/** The technique that a soil suits best. @param said one at least */
export const suitsBest = <S extends { chance: number }>(said: readonly S[]): S =>
  said.reduce((a, b) => (b.chance > a.chance ? b : a));
