import { solve, type Constraint } from 'yalps';
import { blendProblems, dryKg, type Material } from './material.ts';
import { KINDS, MISSING_KINDS, type MissingKind } from './missing.ts';
import { judgeBuckets, readyFor, type Mixed } from './mixture.ts';
import type { Technique, WallWindow } from './technique.ts';

/** A window stated in shares: those that a balance of mass can meet. */
type Linear = WallWindow & { of: 'grit' | 'silt' | 'clay' | 'clayToSilt' | 'organic' };
const isLinear = (window: WallWindow): window is Linear => window.of !== 'stone';

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
