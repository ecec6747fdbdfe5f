import {
  BUILDING_SAND,
  readNumber,
  summariseDraws,
  type Figures,
  type Fractions,
  type Material,
  type Technique,
  type WallSoil
} from '../core/index.ts';
import { blendOf, type BlendRow } from '../contract/act.ts';
import { t } from '../words/index.ts';

/** What of a material its soil tells: the rest is of its buckets. */
export type Ground = Pick<Material, 'shares' | 'sd' | 'gravelPct' | 'stoneMm' | 'organicPct'>;

/** A soil as a material of a blend, by what a technique is judged on; the other basis where that is not known. */
export function groundOf(soil: WallSoil, on: Technique['on']): Ground | undefined {
  const fractions = soil[on] ?? soil.heights ?? soil.mass;
  if (!fractions || soil.only) return undefined;
  const { mean, sd } = summariseDraws({ fractions, kept: fractions.length / 3 });
  const { gravelPct, stoneMm, organicPct } = soil;
  return { shares: mean, sd, gravelPct, stoneMm, organicPct };
}

/** Without gravel nothing in it is bigger than sand, mm. */
const SAND_MM = 2;
/** Percentages of a material that nobody ran a jar of are taken for as sure as this, points. */
export const TYPED_SD = 3;
/** Percentages that may be further off say nothing. */
const MOST_SD = 30;

/** Sand and clay that were typed as a material, percent, and how far off they may be, points; undefined where they make none. */
export function groundTyped(text: string): Ground | undefined {
  const [sand, clay, sd = TYPED_SD] = text
    .split('/')
    .map((part) => (part.trim() === '' ? NaN : Number(part)));
  if (!(sand >= 0 && clay >= 0 && sand + clay <= 100 && sd >= 0 && sd <= MOST_SD)) return undefined;
  const shares: Fractions = { sand, silt: 100 - sand - clay, clay };
  return {
    shares,
    sd: { sand: sd, clay: sd },
    gravelPct: 0,
    stoneMm: SAND_MM,
    organicPct: undefined
  };
}

/** A building sand, as a material is typed: sand and clay, percent. */
const SAND = `${BUILDING_SAND.sand}/${BUILDING_SAND.clay}`;
/** A row of which nothing is typed yet. */
export const EMPTY_ROW = { bucketKg: '', moisture: '', gravel: '', most: '', price: '', carry: '' };

/** Rows of a blend: the soil in hand and a building sand, until somebody says otherwise. */
export const rowsOf = (text: string): BlendRow[] =>
  text === ''
    ? [
        { of: 'own', ...EMPTY_ROW },
        { of: SAND, ...EMPTY_ROW }
      ]
    : blendOf(text);

/** Soils that may stand in a blend: the one in hand with what it is called, and others by their tests. */
export type BlendSoils = {
  own: WallSoil;
  name: string;
  others: readonly { id: string; code: string; soil: WallSoil }[];
};

const numberIn = (text: string, usual: number) => (text.trim() === '' ? usual : readNumber(text));

/** So many buckets are in a batch, as it was typed or as is usual. */
export const batchOf = (text: string, figures: Pick<Figures, 'batchBuckets'>): number =>
  numberIn(text, figures.batchBuckets);

/** Rows as materials, as far as their soils can be read; with the place of each among the rows. */
export function materialsOf(
  rows: readonly BlendRow[],
  { own, name, others }: BlendSoils,
  on: Technique['on'],
  figures: Pick<Figures, 'bucketKg' | 'earthMoisturePct'>
): { at: number; row: BlendRow; material: Material }[] {
  const called = (of: string) => {
    if (of === 'own') return name;
    if (of === SAND) return t.wall.blend.sandToHand;
    const [sand, clay = ''] = of.split('/');
    return others.find((one) => one.id === of)?.code ?? t.wall.blend.typedSoil(sand, clay);
  };
  return rows.flatMap((row, at) => {
    const other = others.find((one) => one.id === row.of);
    const typed = groundTyped(row.of);
    const ground = row.of === 'own' ? groundOf(own, on) : other ? groundOf(other.soil, on) : typed;
    if (!ground) return [];
    const material: Material = {
      ...ground,
      name: called(row.of),
      gravelPct: numberIn(row.gravel, ground.gravelPct),
      bucketKg: numberIn(row.bucketKg, figures.bucketKg),
      moisturePct: numberIn(row.moisture, figures.earthMoisturePct),
      // Gravel that was typed of a soil nobody sieved: how big it is nobody knows.
      ...(row.gravel.trim() !== '' && typed ? { stoneMm: undefined } : {}),
      ...(row.most.trim() === '' ? {} : { most: readNumber(row.most) }),
      ...(row.price.trim() === '' ? {} : { price: readNumber(row.price) }),
      ...(row.carry.trim() === '' ? {} : { carryM: readNumber(row.carry) })
    };
    return [{ at, row, material }];
  });
}
