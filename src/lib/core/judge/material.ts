import { RangeProblem } from '../errors.ts';
import type { Fractions } from '../physics/bands.ts';

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

/** Dry mass of a bucket, kg. */
export const dryKg = ({ bucketKg, moisturePct }: Material): number => bucketKg / (1 + moisturePct / 100);

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
