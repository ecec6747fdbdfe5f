import type { KnowPoint } from './records/log.ts';

type Soil = Pick<KnowPoint, 'sampleId' | 'sampleName' | 'areaId' | 'areaName' | 'siteId' | 'siteName'>;
type Way = Pick<KnowPoint, 'methodKey' | 'methodName'>;

/**
 * Many points as they go over the wire: what tests share is sent once, the rest in columns. Shares are in hundredths of a
 * percent, sand and clay only; by mass -1 stands for none, and -2 or -3 for the same again: it was
 * weighed, or estimated.
 */
export type PackedPoints = {
  soils: Soil[];
  ways: Way[];
  ids: string[];
  codes: string[];
  soil: number[];
  way: number[];
  at: number[];
  sand: number[];
  clay: number[];
  massSand: number[];
  massClay: number[];
};

const NONE = -1;
const SAME = { mass: -2, estimate: -3 } as const;
const hundredths = (pct: number) => Math.round(pct * 100);
const fractionsOf = (sand: number, clay: number) => ({
  sand: sand / 100,
  silt: (10_000 - sand - clay) / 100,
  clay: clay / 100
});

/** A place in a list for each key, the list being filled as they are met. */
function places<T>(): { list: T[]; placeOf: (key: string, make: () => T) => number } {
  const list: T[] = [];
  const met = new Map<string, number>();
  return {
    list,
    placeOf(key, make) {
      const known = met.get(key);
      if (known !== undefined) return known;
      met.set(key, list.length);
      return list.push(make()) - 1;
    }
  };
}

export function packPoints(points: readonly KnowPoint[]): PackedPoints {
  const soils = places<Soil>();
  const ways = places<Way>();
  const out: PackedPoints = {
    soils: soils.list,
    ways: ways.list,
    ids: [],
    codes: [],
    soil: [],
    way: [],
    at: [],
    sand: [],
    clay: [],
    massSand: [],
    massClay: []
  };
  for (const { id, code, methodKey, methodName, at, fractions, basis, mass, ...rest } of points) {
    const { sampleId, sampleName, areaId, areaName, siteId, siteName } = rest;
    const soil = { sampleId, sampleName, areaId, areaName, siteId, siteName };
    out.ids.push(id);
    out.codes.push(code);
    out.soil.push(soils.placeOf(soil.sampleId, () => soil));
    out.way.push(ways.placeOf(methodKey, () => ({ methodKey, methodName })));
    out.at.push(at);
    out.sand.push(hundredths(fractions.sand));
    out.clay.push(hundredths(fractions.clay));
    const same = basis === 'height' ? undefined : SAME[basis];
    out.massSand.push(same ?? (mass ? hundredths(mass.sand) : NONE));
    out.massClay.push(same ?? (mass ? hundredths(mass.clay) : NONE));
  }
  return out;
}

/** The points again, shares to a hundredth of a percent. */
export function unpackPoints(packed: PackedPoints): KnowPoint[] {
  return packed.ids.map((id, i) => {
    const fractions = fractionsOf(packed.sand[i], packed.clay[i]);
    const massSand = packed.massSand[i];
    const basis = massSand === SAME.mass ? 'mass' : massSand === SAME.estimate ? 'estimate' : 'height';
    return {
      id,
      code: packed.codes[i],
      ...packed.soils[packed.soil[i]],
      ...packed.ways[packed.way[i]],
      at: packed.at[i],
      fractions,
      basis,
      mass:
        basis !== 'height' ? fractions : massSand === NONE ? null : fractionsOf(massSand, packed.massClay[i])
    };
  });
}
