import { solve, type Constraint } from 'yalps';
import { summariseDraws } from '../certainty/draws.ts';
import { RangeProblem } from '../errors.ts';
import type { Fractions } from '../physics/bands.ts';
import { MISSING_KINDS, type MissingKind } from './missing.ts';
import { sharesAbout } from './soil-draws.ts';
import {
  judgeTechnique,
  meshOf,
  type Technique,
  type TechniqueSaid,
  type WallSoil,
  type WallWindow
} from './technique.ts';

/** A material to hand. Shares of the earth under 2 mm and what they may be off by, percent; gravel and organic, percent of the whole. */
export type Material = {
  name: string;
  shares: Fractions;
  sd: Pick<Fractions, 'sand' | 'clay'>;
  gravelPct: number;
  /** Its biggest stone, mm; left out where nobody measured it. */
  stoneMm?: number;
  organicPct?: number;
  /** Water in it as it lies, percent of its dry mass. */
  moisturePct: number;
  /** What a bucket of it weighs as it lies, kg. */
  bucketKg: number;
  /** So many buckets there are; as many as are wanted where it is left out. */
  most?: number;
  /** Price of a bucket. */
  price?: number;
  /** How far it is carried, m. */
  carryM?: number;
};

export const MOST_MATERIALS = 8;
const MOST_BUCKETS = 500;
const PARTS = ['sand', 'silt', 'clay'] as const;

/** What no material and no batch can be, a sentence a field: `materials.N.bucketKg`, `buckets` …; empty where all of it can be. */
export function blendProblems(o: { materials: readonly Material[]; buckets: number }): RangeProblem[] {
  const out: RangeProblem[] = [];
  const check = (ok: boolean, field: string, message: string) => {
    if (!ok) out.push(new RangeProblem(field, message));
  };
  const { materials, buckets } = o;
  check(
    materials.length >= 1 && materials.length <= MOST_MATERIALS,
    'materials',
    `Give from one to ${MOST_MATERIALS} materials.`
  );
  check(
    Number.isInteger(buckets) && buckets >= 1 && buckets <= MOST_BUCKETS,
    'buckets',
    `Give a whole number of buckets from 1 to ${MOST_BUCKETS}.`
  );
  materials.forEach((m, i) => {
    const at = (field: string) => `materials.${i}.${field}`;
    const sum = PARTS.reduce((a, part) => a + m.shares[part], 0);
    check(
      Math.abs(sum - 100) <= 0.5 && PARTS.every((part) => m.shares[part] >= 0),
      at('sand'),
      `These shares come to ${sum.toFixed(0)} %: they have to make 100.`
    );
    check(
      m.bucketKg > 0 && m.bucketKg <= 100,
      at('bucketKg'),
      'Give what a bucket weighs, above 0 and up to 100 kg.'
    );
    check(
      m.moisturePct >= 0 && m.moisturePct <= 60,
      at('moisturePct'),
      'Give the water from 0 to 60 % of the dry mass: more is mud.'
    );
    check(m.gravelPct >= 0 && m.gravelPct < 100, at('gravelPct'), 'Give the gravel from 0 to under 100 %.');
    check(m.most === undefined || m.most >= 0, at('most'), 'Give how many buckets there are, from 0 up.');
    check(m.carryM === undefined || m.carryM >= 0, at('carryM'), 'Give how far it is carried, m, from 0 up.');
    check(m.price === undefined || m.price >= 0, at('price'), 'Give what a bucket costs, from 0 up.');
  });
  const there = materials.reduce((sum, m) => sum + Math.floor(m.most ?? Infinity), 0);
  check(
    !(there < buckets),
    'buckets',
    `There are ${there} buckets of all materials together: take a smaller batch.`
  );
  return out;
}

/** A window stated in shares: those that a balance of mass can meet. */
type Linear = WallWindow & { of: 'grit' | 'silt' | 'clay' | 'clayToSilt' | 'organic' };
const isLinear = (window: WallWindow): window is Linear => window.of !== 'stone';

/** Dry mass of a bucket, kg. */
const dryKg = ({ bucketKg, moisturePct }: Material): number => bucketKg / (1 + moisturePct / 100);

/** What one material has of a window's share, percent of the whole; undefined where nobody measured it. */
function shareOf(of: 'grit' | 'silt' | 'clay' | 'organic', { shares, gravelPct, organicPct }: Material) {
  const fine = 1 - gravelPct / 100;
  if (of === 'organic') return organicPct;
  return of === 'grit' ? gravelPct + fine * shares.sand : fine * shares[of];
}

/** How far a bucket carries the mix over a bound, kg percent: the mix is within where the buckets sum to 0 or more. */
function carries(window: Linear, side: 'least' | 'most', material: Material): number {
  const bound = window[side] ?? 0;
  const sign = side === 'least' ? 1 : -1;
  if (window.of === 'clayToSilt') {
    const [clay, silt] = [shareOf('clay', material) ?? 0, shareOf('silt', material) ?? 0];
    return sign * dryKg(material) * (clay - bound * silt);
  }
  return sign * dryKg(material) * ((shareOf(window.of, material) ?? bound) - bound);
}

type Side = { window: Linear; side: 'least' | 'most' };
const sidesOf = (windows: readonly WallWindow[]): Side[] =>
  windows
    .filter(isLinear)
    .flatMap((window) =>
      (['least', 'most'] as const).flatMap((side) => (window[side] === undefined ? [] : [{ window, side }]))
    );

/**
 * What is made small: the price where every material has one; else the carrying, mass times way, where every way is known; else the
 * dry mass that is added to the first.
 */
function costsOf(materials: readonly Material[]): number[] {
  if (materials.every((m) => m.price !== undefined)) return materials.map((m) => m.price ?? 0);
  if (materials.every((m) => m.carryM !== undefined))
    return materials.map((m) => m.bucketKg * (m.carryM ?? 0));
  return materials.map((m, i) => (i === 0 ? 0 : dryKg(m)));
}

type Program = {
  materials: readonly Material[];
  sides: readonly Side[];
  buckets: number;
  /** What a bucket of each counts in what is made small. */
  costs: readonly number[];
  /** Whether each side may be missed, at its price: how near one can come. */
  elastic?: boolean;
};

/** Buckets in fractions that meet all sides at the least cost; undefined where none do. */
function program({ materials, sides, buckets, costs, elastic = false }: Program): number[] | undefined {
  const constraints: Record<string, Constraint> = { buckets: { equal: buckets } };
  sides.forEach((_, k) => (constraints[`side${k}`] = { min: 0 }));
  const variables: Record<string, Record<string, number>> = {};
  materials.forEach((m, j) => {
    const row: Record<string, number> = { buckets: 1, cost: elastic ? 0 : costs[j] };
    sides.forEach(({ window, side }, k) => (row[`side${k}`] = carries(window, side, m)));
    if (m.most !== undefined) {
      constraints[`most${j}`] = { max: Math.floor(m.most) };
      row[`most${j}`] = 1;
    }
    variables[`x${j}`] = row;
  });
  if (elastic) sides.forEach((_, k) => (variables[`miss${k}`] = { [`side${k}`]: 1, cost: 1 }));
  const solution = solve(
    { direction: 'minimize', objective: 'cost', constraints, variables },
    { includeZeroVariables: true }
  );
  if (solution.status !== 'optimal') return undefined;
  const found = new Map(solution.variables);
  return materials.map((_, j) => found.get(`x${j}`) ?? 0);
}

/** Room for rounding in a balance, kg percent a bucket. */
const SLACK = 1e-9;
const meets = (x: readonly number[], materials: readonly Material[], sides: readonly Side[]): boolean =>
  sides.every(
    ({ window, side }) =>
      x.reduce((sum, n, j) => sum + n * carries(window, side, materials[j]), 0) >=
      -SLACK * Math.max(1, x.length)
  );

/** So few materials are counted through in whole buckets; of more, those so near to the optimum. */
const COUNTED = 3;
const NEAR = 2;

/** Whole buckets that meet all sides at the least cost, round the optimum in fractions; of those alike, of the fewest materials. */
function wholeBuckets(at: readonly number[], p: Program): number[] | undefined {
  const { materials, sides, buckets, costs } = p;
  const all = materials.length <= COUNTED;
  const last = materials.length - 1;
  let best: { x: number[]; cost: number; kinds: number } | undefined;
  const better = (cost: number, kinds: number) =>
    !best || cost < best.cost - SLACK || (cost <= best.cost + SLACK && kinds < best.kinds);
  const x = new Array<number>(materials.length).fill(0);
  const place = (j: number, left: number, cost: number): void => {
    if (best && cost > best.cost + SLACK) return;
    const most = Math.min(left, Math.floor(materials[j].most ?? Infinity));
    if (j === last) {
      if (left > most) return;
      x[j] = left;
      const whole = cost + left * costs[j];
      const kinds = x.filter((n) => n > 0).length;
      if (better(whole, kinds) && meets(x, materials, sides)) best = { x: [...x], cost: whole, kinds };
      return;
    }
    const from = all ? 0 : Math.max(0, Math.floor(at[j]) - NEAR);
    const to = all ? most : Math.min(most, Math.ceil(at[j]) + NEAR);
    for (let n = from; n <= to; n++) {
      x[j] = n;
      place(j + 1, left - n, cost + n * costs[j]);
    }
  };
  place(0, buckets, 0);
  return best?.x;
}

/** Steps through the draws of each material that meet no other twice: their errors are their own. */
const STRIDES = [1, 7, 11, 13, 17, 19, 23, 29];

/**
 * A mix of so many buckets of each, as a soil for a wall: balance of dry mass over the draws of all its soils.
 *
 * @returns undefined where there is nothing to mix
 */
export function mixOf(materials: readonly Material[], buckets: readonly number[]): WallSoil | undefined {
  const used = materials.flatMap((material, j) =>
    buckets[j] > 0 ? [{ material, kg: buckets[j] * dryKg(material) }] : []
  );
  if (used.length === 0) return undefined;
  const all = used.reduce((sum, u) => sum + u.kg, 0);
  const gravel = used.reduce((sum, { material, kg }) => sum + (kg * material.gravelPct) / 100, 0);
  const draws = used.map(({ material }) => sharesAbout(material.shares, material.sd));
  const count = draws[0].length / 3;
  const shares = new Float64Array(3 * count);
  for (let i = 0; i < count; i++)
    used.forEach(({ material, kg }, k) => {
      const from = 3 * ((i * STRIDES[k % STRIDES.length] + k) % count);
      const part = (kg * (1 - material.gravelPct / 100)) / (all - gravel);
      for (let p = 0; p < 3; p++) shares[3 * i + p] += part * draws[k][from + p];
    });
  const stones = used.map((u) => u.material.stoneMm);
  const organics = used.map((u) => u.material.organicPct);
  const organicPct = used.reduce((sum, u) => sum + (u.kg / all) * (u.material.organicPct ?? 0), 0);
  return {
    heights: shares,
    mass: shares,
    gravelPct: (100 * gravel) / all,
    ...(stones.includes(undefined) ? {} : { stoneMm: Math.max(...stones.map((s) => s ?? 0)) }),
    ...(organics.includes(undefined) ? {} : { organicPct })
  };
}

/** Stones under this are gravel of any size, mm: what is sieved lies between here and the biggest, evenly in the logarithm. */
const GRAVEL_FROM_MM = 2;

/** A material with its stones over a mesh sieved out. */
export function sieved(material: Material, meshMm: number): Material {
  const { stoneMm, gravelPct } = material;
  if (stoneMm === undefined || stoneMm <= meshMm) return material;
  const off = meshMm <= GRAVEL_FROM_MM ? 1 : Math.log(stoneMm / meshMm) / Math.log(stoneMm / GRAVEL_FROM_MM);
  const left = gravelPct * (1 - off);
  return { ...material, stoneMm: meshMm, gravelPct: (100 * left) / (100 - gravelPct + left) };
}

/** Materials as a technique takes them: stones over its mesh are sieved out. */
const readyFor = (technique: Technique, materials: readonly Material[]): Material[] =>
  materials.map((m) => sieved(m, meshOf(technique) ?? Infinity));

/** Kinds of material that could be missing, as they would be at best, percent: set by hand. */
const KINDS = {
  sand: { sand: 100, silt: 0, clay: 0 },
  'clay soil': { sand: 10, silt: 20, clay: 70 },
  'silty soil': { sand: 20, silt: 70, clay: 10 }
} as const satisfies Record<MissingKind, Fractions>;

/**
 * What comes of materials for a technique: whole buckets that meet its windows, or why there are none.
 *
 * `none`: the windows that alone stand in the way (all that are missed where no one does), how near one comes, and the least of
 * a kind of material that would do it, percent of the mix by dry mass. `part`: it can be done, but not in so few whole buckets.
 */
export type Blend =
  | ({ kind: 'blend'; buckets: number[]; cost: number } & Mixed)
  | { kind: 'part'; buckets: number[] }
  | {
      kind: 'none';
      blocks: WallWindow[];
      nearest: number[];
      missing?: { kind: MissingKind; sharePct: number };
    };

/**
 * Buckets of a batch that meet the windows of a technique at the least price, carried the least way, or with the
 * least that is added to the first material, whichever is known of all. Windows are linear in dry masses (simplex, then whole buckets by search round the optimum); stones bigger than are
 * taken are sieved out first.
 *
 * @param o.buckets in the batch
 * @throws {RangeProblem} as {@link blendProblems}
 */
export function solveBlend(o: {
  technique: Technique;
  materials: readonly Material[];
  buckets: number;
}): Blend {
  const [problem] = blendProblems(o);
  if (problem) throw problem;
  const { technique, buckets } = o;
  const materials = readyFor(technique, o.materials);
  const sides = sidesOf(technique.windows);
  const costs = costsOf(materials);
  const p: Program = { materials, sides, buckets, costs };
  const optimum = program(p);
  if (!optimum) return whyNone(p);
  const whole = wholeBuckets(optimum, p);
  if (!whole) return { kind: 'part', buckets: optimum };
  const mixed = judgeBuckets(technique, o.materials, whole);
  if (!mixed) return whyNone(p);
  return {
    kind: 'blend',
    buckets: whole,
    cost: whole.reduce((sum, n, j) => sum + n * costs[j], 0),
    ...mixed
  };
}

function whyNone(p: Program): Blend {
  const { materials, sides } = p;
  const windows = [...new Set(sides.map((s) => s.window))];
  const alone = windows.filter(
    (w) => program({ ...p, sides: sides.filter((s) => s.window !== w) }) !== undefined
  );
  const nearest = program({ ...p, elastic: true }) ?? materials.map(() => 0);
  const missed = windows.filter(
    (w) =>
      !meets(
        nearest,
        materials,
        sides.filter((s) => s.window === w)
      )
  );
  const missing = MISSING_KINDS.flatMap((kind) => {
    const [{ bucketKg, moisturePct }] = materials;
    const ideal: Material = {
      name: kind,
      shares: KINDS[kind],
      sd: { sand: 0, clay: 0 },
      gravelPct: 0,
      organicPct: 0,
      moisturePct,
      bucketKg
    };
    const all = [...materials, ideal];
    const x = program({ ...p, materials: all, costs: all.map((m) => (m === ideal ? 1 : 0)) });
    if (!x) return [];
    const kg = all.map((m, j) => x[j] * dryKg(m));
    return [{ kind, sharePct: (100 * kg[kg.length - 1]) / kg.reduce((a, b) => a + b, 0) }];
  })
    .sort((a, b) => a.sharePct - b.sharePct)
    .at(0);
  return {
    kind: 'none',
    blocks: alone.length > 0 ? alone : missed,
    nearest,
    ...(missing ? { missing } : {})
  };
}

/** A mix of so many buckets, its shares on average and their spread, percent of the earth under 2 mm, and how it stands to the technique. */
export type Mixed = { said: TechniqueSaid; shares: Fractions; sd: Material['sd'] };

/** What a mix of so many buckets comes to: what the hand that changes a bucket sees at once. Undefined where nothing is in it. */
export function judgeBuckets(
  technique: Technique,
  materials: readonly Material[],
  buckets: readonly number[]
): Mixed | undefined {
  const mix = mixOf(readyFor(technique, materials), buckets);
  const said = mix && judgeTechnique(technique, mix);
  if (!mix?.mass || !said) return undefined;
  const { mean, sd } = summariseDraws({ fractions: mix.mass, kept: mix.mass.length / 3 });
  return { said, shares: mean, sd };
}

/** A jar of a mix beside what the mix promised: what it reads more or less of, points, and whether that is within the errors. */
export type BesidePromise = { points: Fractions; within: boolean };

/** Two standard errors of the difference: nineteen in twenty jars of the very mix lie within. */
const WITHIN_SD = 2;

/** @param promised shares that the mix should have, and @param read those that a jar of it has; each with its standard errors, points */
export function besidePromise(
  promised: Pick<Material, 'shares' | 'sd'>,
  read: Pick<Material, 'shares' | 'sd'>
): BesidePromise {
  const points = { sand: 0, silt: 0, clay: 0 };
  for (const part of PARTS) points[part] = read.shares[part] - promised.shares[part];
  const within = (['sand', 'clay'] as const).every(
    (part) => Math.abs(points[part]) <= WITHIN_SD * Math.hypot(promised.sd[part], read.sd[part])
  );
  return { points, within };
}
