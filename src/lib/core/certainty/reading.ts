import { known } from '../known.ts';
import { requirePositive, RangeProblem } from '../errors.ts';
import { USDA_SAND_LIMIT_UM, type Fractions } from '../physics/bands.ts';
import { applyCalibration, type Calibration } from './calibration.ts';
import { countClasses, namedChances, BORDERLINE } from './classes.ts';
import {
  DEFAULT_DRAWS,
  DEFAULT_SEED,
  drawFractions,
  summariseDraws,
  tellsApart,
  type BoundarySigmas
} from './draws.ts';
import { densityGrid, type DensityGrid } from './region.ts';
import { classifyTexture, textureSystems } from '../texture/classify.ts';
import { convertLimit } from '../texture/limits.ts';
import { textureNeighbours, type Neighbour } from '../texture/neighbours.ts';
import type { SystemId } from '../texture/types.ts';
import { restOfLength } from '../units/same-length.ts';
import { requireInside } from '../vessel/checks.ts';
import type { Vessel } from '../vessel/vessel.ts';
import {
  layersAsRead,
  LINE_ORDER,
  sumCheck,
  thicknesses,
  type Layers,
  type LineName,
  type LayerTops
} from '../layers/layers.ts';

/** A reading as it was taken: tops over the inside bottom, mm. */
export type JarReading = {
  tops: LayerTops;
  /** Reading error of one line, mm. */
  sigmaMm: number;
  /** Lines that were fuzzier than the rest, mm. */
  ownSigmaMm?: Partial<Record<LineName, number>>;
  /** Set where heights stand for volumes: mL a mm, over the mean floor of a vessel that is not straight (`levelOf`), or of graduations. */
  mlPerMm?: number;
  /** Moves the shares by what jars of this person and method differ from a laboratory by. */
  calibration?: Calibration;
  /** The whole deposit measured apart, mm. */
  measuredTotalMm?: number;
  /** Floating organics, mm: noted, never counted. */
  organicsMm?: number;
  /** Nobody read how high the deposit reaches: its layers are shares of nothing. */
  topUnread?: true;
  /** No line was seen: clay up to the top. */
  smeared?: true;
};

/** Clay of a jar without a line is more than this, percent: what is less shows its layers. @source a rule of earth builders; set by hand */
export const SMEARED_OVER_PCT = 50;

/** A result that is one share of the settled solids, where only that can be read: a class does not follow from it. */
export type ShareResult = {
  kind: 'share';
  layer: 'sand' | 'clay';
  /** Percent by height of all that has settled, and its standard error, points. */
  pct: number;
  /** It is more than that: no line was seen, for clay is smeared to the top. How much more is not known. */
  orMore?: true;
  sd: number;
  partMm: number;
  totalMm: number;
};

/** What is worked out from a reading: a texture, or one share. */
export type JarResult = TextureResult | ShareResult;

/** Whether only one share was read. */
export function isShare(result: JarResult): result is ShareResult {
  return result.kind === 'share';
}

/** Everything worked out from a reading of layers. */
export type TextureResult = {
  /** Left out by results that were kept before single shares were read. */
  kind?: 'texture';
  system: SystemId;
  layers: Layers;
  fractions: Fractions;
  totalMm: number;
  gravelPct: number;
  class: { id: string; name: string };
  /** Null where the lines are too unsure to tell the layers apart: then it is not known. */
  probability: number | null;
  borderline: boolean;
  /** Classes by probability, largest first; none where it is not known. */
  classes: { id: string; name: string; probability: number }[];
  /** The other class that needs the smallest exchange. */
  nearest: Neighbour;
  mean: Fractions;
  sd: Fractions;
  /** Coarse sand, and a dark skin of settled organics, where their lines were read: mm. Neither moves the class. */
  coarseMm?: number;
  skinMm?: number;
  /** The shares before they were moved by a calibration, and how many pairs that stands on. */
  calibrated?: { asRead: Fractions; pairs: number };
  /** mL a mm of the layers, where the vessel is not straight or was read by its graduations. */
  mlPerMm?: number;
  sum?: { differenceMm: number; allowedMm: number; agrees: boolean };
};

/** Standard errors of every boundary of a reading, mm. */
export function sigmasOf(reading: JarReading): BoundarySigmas {
  const even = reading.sigmaMm;
  const { gravel = even, sand = even, silt = even, clay = even } = reading.ownSigmaMm ?? {};
  return { base: even, gravel, sand, silt, clay };
}

/**
 * Checks a reading against its vessel.
 * @throws {RangeProblem} with the line that is wrong as field
 */
export function checkReading(reading: JarReading, vessel: Pick<Vessel, 'innerHeightMm'>): void {
  requirePositive('sigmaMm', reading.sigmaMm);
  for (const name of LINE_ORDER) {
    const top = reading.tops[name];
    if (top === undefined) continue;
    if (!(top >= 0)) throw new RangeProblem(name, 'A layer top cannot lie below the inside bottom.');
    requireInside(name, top, vessel);
  }
  thicknesses(reading.tops);
}

/**
 * One share, where one line and the whole deposit were measured and nothing else: under the line sand, or over it clay.
 * Its standard error follows from that of both lines, to first order: sd = 100 sigma sqrt(1 + share^2) / total.
 */
function shareAlone(reading: JarReading): ShareResult | undefined {
  const { tops, measuredTotalMm, sigmaMm, ownSigmaMm } = reading;
  if (reading.smeared) {
    const over = { pct: SMEARED_OVER_PCT, orMore: true as const, sd: 0 };
    return { kind: 'share', layer: 'clay', ...over, partMm: SMEARED_OVER_PCT, totalMm: 100 };
  }
  const given = (['sand', 'silt', 'clay'] as const).filter((name) => tops[name] !== undefined);
  if (given.length !== 1 || given[0] === 'clay' || measuredTotalMm === undefined) return undefined;
  const [line] = given;
  const gravelMm = tops.gravel ?? 0;
  const totalMm = restOfLength(measuredTotalMm, gravelMm);
  const under = restOfLength(known(tops[line], 'only lines that were given are looked at'), gravelMm);
  if (!(totalMm > 0)) {
    throw new RangeProblem('measuredTotal', 'Nothing has settled by this. Measure the whole deposit again.');
  }
  const rest = restOfLength(totalMm, under);
  if (!(under >= 0) || rest < 0) {
    throw new RangeProblem(line, 'This line lies outside the deposit. Measure both again.');
  }
  const partMm = line === 'sand' ? under : rest;
  const sigma = ownSigmaMm?.[line] ?? sigmaMm;
  const share = partMm / totalMm;
  const sd = (100 * Math.sqrt(sigma ** 2 + (share * sigmaMm) ** 2)) / totalMm;
  return { kind: 'share', layer: line === 'sand' ? 'sand' : 'clay', pct: 100 * share, sd, partMm, totalMm };
}

/** Moves every draw, triples of sand, silt and clay, as the reading itself is moved. */
function moveDraws(triples: Float64Array, move: (f: Fractions) => Fractions): void {
  for (let i = 0; i < triples.length; i += 3) {
    const moved = move({ sand: triples[i], silt: triples[i + 1], clay: triples[i + 2] });
    triples.set([moved.sand, moved.silt, moved.clay], i);
  }
}

/** The shares of a reading as they were read, moved by a calibration where it has one: arithmetic alone. */
export type SharesRead = ReturnType<typeof layersAsRead> & { layers: Layers; asRead: Fractions };

/**
 * What a reading says without how sure it is: a list of many needs no more.
 * @throws {RangeProblem} for lines out of order or no layer at all
 */
export function sharesRead(reading: JarReading): ShareResult | (SharesRead & { kind: 'texture' }) {
  return shareAlone(reading) ?? { kind: 'texture', ...texturesRead(reading) };
}

function texturesRead({ tops, calibration, topUnread }: JarReading): SharesRead {
  if (topUnread) {
    throw new RangeProblem(
      'clay',
      'Without the top of the clay there is no whole to share. Read it, or give the whole deposit.'
    );
  }
  const layers = thicknesses(tops);
  const read = layersAsRead(layers);
  const fractions = calibration ? applyCalibration(read.fractions, calibration) : read.fractions;
  return { ...read, fractions, layers, asRead: read.fractions };
}

/** Standard errors of the shares to first order, points, where the draws cannot tell: of both lines of each layer. */
function firstOrderSd(layers: Layers, sigmas: BoundarySigmas): Fractions {
  const total = layers.sandMm + layers.siltMm + layers.clayMm;
  const between = (a: number, b: number) => Math.min(50, (100 * Math.hypot(a, b)) / total);
  const floor = layers.gravelMm > 0 ? sigmas.gravel : sigmas.base;
  return {
    sand: between(floor, sigmas.sand),
    silt: between(sigmas.sand, sigmas.silt),
    clay: between(sigmas.silt, sigmas.clay)
  };
}

/**
 * Works out a reading: fractions as read, class, probability, nearest other class, and the 90 % region. How sure it is may
 * be not known: then it has no probability and no region, but the shares stand.
 *
 * @param o.draws, o.seed for the Monte Carlo
 * @returns the result, and the density grid for the region (not part of the record)
 * @throws {RangeProblem} for lines out of order or no layer at all
 */
export function workOutReading(
  reading: JarReading,
  system: SystemId,
  o: { draws?: number; seed?: number } = {}
): { result: TextureResult; region?: DensityGrid } {
  const { tops, calibration } = reading;
  const { layers, fractions: calibrated, asRead, totalMm, gravelPct } = texturesRead(reading);
  const skinMm = tops.skin === undefined || tops.clay === undefined ? undefined : tops.skin - tops.clay;
  const sigmas = sigmasOf(reading);
  const draws = drawFractions({
    layers,
    sigmas,
    draws: o.draws ?? DEFAULT_DRAWS,
    seed: o.seed ?? DEFAULT_SEED
  });
  const limitUm = textureSystems[system].limitsUm[1];
  // Jars are read by the limit of the USDA system; another is reached by interpolation, for the draws as for the point.
  const fractions =
    limitUm === USDA_SAND_LIMIT_UM ? calibrated : convertLimit(calibrated, USDA_SAND_LIMIT_UM, limitUm);
  if (calibration) moveDraws(draws.fractions, (f) => applyCalibration(f, calibration));
  if (limitUm !== USDA_SAND_LIMIT_UM) {
    moveDraws(draws.fractions, (f) => convertLimit(f, USDA_SAND_LIMIT_UM, limitUm));
  }
  const known = tellsApart(draws);
  const probabilities = known ? countClasses(system, draws) : {};
  const own = classifyTexture(system, fractions);
  const probability = known ? (probabilities[own.id] ?? 0) : null;
  return {
    result: {
      kind: 'texture',
      system,
      layers,
      totalMm,
      gravelPct,
      fractions,
      ...(calibration ? { calibrated: { asRead, pairs: calibration.pairs } } : {}),
      class: own,
      probability,
      borderline: probability === null || probability < BORDERLINE,
      classes: namedChances(system, probabilities),
      nearest: textureNeighbours(system, fractions)[0],
      ...(known ? summariseDraws(draws) : { mean: fractions, sd: firstOrderSd(layers, sigmas) }),
      ...(tops.coarse === undefined ? {} : { coarseMm: tops.coarse - layers.gravelMm }),
      ...(skinMm === undefined ? {} : { skinMm }),
      ...(reading.mlPerMm === undefined ? {} : { mlPerMm: reading.mlPerMm }),
      ...(reading.measuredTotalMm === undefined
        ? {}
        : { sum: sumCheck(totalMm + (skinMm ?? 0), reading.measuredTotalMm, reading.sigmaMm) })
    },
    // Where only the result is wanted no region is drawn.
    get region() {
      return known ? densityGrid(draws) : undefined;
    }
  };
}

/**
 * Works out what a reading allows: a texture, or one share where only that was read.
 *
 * @throws {RangeProblem} as {@link workOutReading}
 */
export function judgeReading(
  reading: JarReading,
  system: SystemId,
  o: { draws?: number; seed?: number } = {}
): { result: JarResult; region?: DensityGrid } {
  const share = shareAlone(reading);
  return share ? { result: share } : workOutReading(reading, system, o);
}
