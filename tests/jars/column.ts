import {
  evenStream,
  grainVelocity,
  normalStream,
  settlingVelocity,
  type Evidence,
  type Fractions
} from '../../src/lib/core/index.ts';

/**
 * Jars to measure the estimate by, made another way than it reckons: a column of cells in which every size falls by itself
 * through what is round it, drawn from soils that no prior of the estimate was told of.
 */
export type TrueJar = {
  fractions: Fractions;
  columnMm: number;
  tempC: number;
  /** Solids over the floor, kg/m2, and the dry fill that held them, mm. */
  loadKgM2: number;
  fillMm: number;
  /** Top of the sediment at the times of the marks, and the lines an eye draws at the last of them, mm; without errors. */
  tops: number[];
  sandMm: number;
  siltMm: number;
  /** Solids in mid column at the last time, g/L. */
  midGL: number;
};

const SIZES = 40;
const [FINEST, COARSEST] = [0.05, 2000];
const CELLS = 60;
const DENSITY = 2650;
/** Times of the marks, s. */
export const MARK_S = [60, 7200, 86_400, 172_800];

const between = (random: () => number, low: number, high: number) => low + (high - low) * random();
const logBetween = (random: () => number, low: number, high: number) =>
  Math.exp(between(random, Math.log(low), Math.log(high)));

/** How nature differs from what is usual: factors on packing of clay and silt, and the chance that a soil flocculates. */
export type Nature = { clay: number; silt: number; flocs: number };
const USUAL: Nature = { clay: 1, silt: 1, flocs: 0.5 };

/** Shares of a soil's mass by size, um, and what of its clay falls as flocs of two sizes. */
export type Soil = { um: Float64Array; mass: Float64Array; flocUm: [number, number]; flocMass: number };

/** The sizes of the column, um. */
export const sizes = () =>
  Float64Array.from({ length: SIZES }, (_, i) => FINEST * (COARSEST / FINEST) ** ((i + 0.5) / SIZES));

/** Sizes of a soil: in each band one or two humps. */
function drawSoil(random: () => number, normal: () => number, f: Fractions, nature: Nature): Soil {
  const um = sizes();
  const mass = new Float64Array(SIZES);
  const bands = [
    [50, 2000, f.sand, 60, 700],
    [2, 50, f.silt, 4, 45],
    [FINEST, 2, f.clay, 0.15, 1.8]
  ] as const;
  for (const [from, to, share, low, high] of bands) {
    const humps = Array.from({ length: random() < 0.5 ? 1 : 2 }, () => ({
      at: Math.log(logBetween(random, low, high)),
      wide: between(random, 0.8, 1.6),
      much: between(random, 0.3, 1)
    }));
    const weight = (x: number) =>
      humps.reduce((s, h) => s + h.much * Math.exp(-0.5 * ((Math.log(x) - h.at) / h.wide) ** 2), 0);
    let sum = 0;
    const inside = [...um.keys()].filter((i) => um[i] >= from && um[i] < to);
    for (const i of inside) sum += weight(um[i]);
    for (const i of inside) mass[i] += (share / 100) * (weight(um[i]) / sum);
  }
  const floc = random() < nature.flocs ? between(random, 0.75, 1) : between(random, 0, 0.25);
  let flocMass = 0;
  for (let i = 0; i < SIZES && um[i] < 2; i++) {
    flocMass += floc * mass[i];
    mass[i] *= 1 - floc;
  }
  const middle = 10 * Math.exp(0.4 * normal());
  return { um, mass, flocUm: [middle / 1.3, middle * 1.3], flocMass };
}

/** How one jar settles, apart from its soil: packing, kg/m3, and the rest as the trade knows it. */
export type Settling = {
  columnMm: number;
  tempC: number;
  loadKgM2: number;
  pack: { sand: number; silt: number; clay: number };
  filling: number;
  sinking: number;
  eyeUm: number;
  speedBy: number;
};

/** A jar of a seed, run to the last mark. */
export function trueJar(seed: number, nature: Nature = USUAL): TrueJar {
  const random = evenStream(seed);
  const normal = normalStream(~seed);
  const root = Math.sqrt(random());
  const split = random();
  const fractions = { sand: 100 * root * split, silt: 100 * root * (1 - split), clay: 100 * (1 - root) };
  const soil = drawSoil(random, normal, fractions, nature);
  const columnMm = between(random, 110, 230);
  const tempC = between(random, 12, 26);
  const fillMm = columnMm * between(random, 0.12, 0.28);
  const loadKgM2 = (fillMm / 1000) * 1200 * Math.exp(0.16 * normal());
  const pack = {
    sand: 1460 * Math.exp(0.06 * normal()),
    silt: 1200 * nature.silt * Math.exp(0.11 * normal()),
    clay: 750 * nature.clay * Math.exp(0.2 * normal())
  };
  const filling = Math.min(1, Math.max(0, 0.6 + 0.15 * normal()));
  const sinking = Math.max(0, 0.08 + 0.03 * normal());
  const eyeUm = 2.8 * Math.exp(0.2 * normal());
  const speedBy = Math.exp(0.03 * normal());
  const settling = { columnMm, tempC, loadKgM2, pack, filling, sinking, eyeUm, speedBy };
  return { fractions, columnMm, tempC, loadKgM2, fillMm, ...runColumn(soil, settling) };
}

/** Lets a soil settle in a column of cells, to the last mark. */
export function runColumn(soil: Soil, o: Settling): Pick<TrueJar, 'tops' | 'sandMm' | 'siltMm' | 'midGL'> {
  const { columnMm, tempC, loadKgM2, pack, filling, sinking, eyeUm, speedBy } = o;
  const n = SIZES + 2;
  const columnM = columnMm / 1000;
  const dz = columnM / CELLS;
  const w = Float64Array.from({ length: n }, (_, k) =>
    k < SIZES
      ? speedBy * grainVelocity({ diameterUm: soil.um[k], tempC })
      : speedBy * settlingVelocity({ diameterUm: soil.flocUm[k - SIZES], tempC })
  );
  /** Solids of each class in each cell, kg/m2. */
  const c = Array.from({ length: n }, (_, k) =>
    new Float64Array(CELLS).fill((loadKgM2 / CELLS) * (k < SIZES ? soil.mass[k] : soil.flocMass / 2))
  );
  // Flocs have the colour and the feel of clay, however fast they fall.
  const isCoarse = (k: number) => k < SIZES && soil.um[k] > eyeUm;
  const kindOf = (k: number) => (k >= SIZES || soil.um[k] < 2 ? 2 : soil.um[k] < 50 ? 1 : 0);

  type Layer = { atS: number; m: number; sinks: number; sand: number; coarse: number };
  const layers: Layer[] = [];
  const heightAt = (atS: number) =>
    layers.reduce((h, l) => h + l.m * (1 - l.sinks * (1 - Math.exp(-(atS - l.atS) / 61_000))), 0);
  const tops: number[] = [];
  let timeS = 0;
  let next = 0;
  let bedM = 0;
  /** How fast the bed rises towards the grains, m/s. */
  let rise = 0;
  const fallen = new Float64Array(n);
  const hinder = new Float64Array(CELLS);
  while (next < MARK_S.length) {
    const bed = Math.min(CELLS - 1, Math.floor(bedM / dz));
    /** What is left of the cell that the bed stands in. */
    const room = Math.max(0.25 * dz, (bed + 1) * dz - bedM);
    for (let z = bed; z < CELLS; z++) {
      let solids = 0;
      for (let k = 0; k < n; k++) solids += c[k][z] * (k < SIZES ? 1 : 1.9);
      hinder[z] = (1 - Math.min(0.55, solids / (z === bed ? room : dz) / DENSITY)) ** 4.65;
    }
    let fastest = 0;
    for (let k = 0; k < n; k++) {
      let left = 0;
      for (let z = bed; z < CELLS; z++) left += c[k][z];
      if (left > 1e-4 * loadKgM2) fastest = Math.max(fastest, w[k]);
    }
    const dt = Math.min(
      fastest > 0 ? (0.45 * dz) / fastest : Infinity,
      MARK_S[next] - timeS,
      Math.max(2, 0.1 * timeS)
    );
    // What comes down on the bed, and from each cell into the one under it.
    let sum = 0;
    for (let k = 0; k < n; k++) {
      const cells = c[k];
      const fall = w[k] * dt;
      fallen[k] = cells[bed] * Math.min(1, (fall * hinder[bed] + rise * dt) / room);
      cells[bed] -= fallen[k];
      for (let z = bed + 1; z < CELLS; z++) {
        const flux = cells[z] * Math.min(0.9, (fall * hinder[z]) / dz);
        cells[z] -= flux;
        cells[z - 1] += flux;
      }
      sum += fallen[k];
    }
    timeS += dt;
    if (sum > 0) {
      const by = [0, 0, 0];
      let coarse = 0;
      for (let k = 0; k < n; k++) {
        by[kindOf(k)] += fallen[k];
        if (isCoarse(k)) coarse += fallen[k];
      }
      const [s, z, y] = [by[0] / pack.sand, by[1] / pack.silt, by[2] / pack.clay];
      const fines = z + y - 0.38 * (z + y - Math.max(z, by[1] / DENSITY + y));
      const m = s + fines - filling * (s + fines - Math.max(s, by[0] / DENSITY + fines));
      layers.push({
        atS: timeS,
        m,
        sinks: (sinking * (by[2] + 0.4 * by[1])) / sum,
        sand: by[0] / sum,
        coarse: coarse / sum
      });
    }
    const grown = heightAt(timeS);
    rise = Math.max(0, grown - bedM) / dt;
    // The rest of a cell that the bed has filled.
    for (let k = 0; k < n; k++) {
      for (let z = bed; z < Math.min(CELLS - 1, Math.floor(grown / dz)); z++) {
        c[k][z + 1] += c[k][z];
        c[k][z] = 0;
      }
    }
    bedM = Math.max(bedM, grown);
    if (timeS >= MARK_S[next] - 1e-9) {
      tops.push(1000 * grown);
      next++;
    }
  }
  const end = MARK_S[MARK_S.length - 1];
  let [y, sandMm, siltMm] = [0, -1, -1];
  for (const l of layers) {
    if (sandMm < 0 && l.sand < 0.5) sandMm = 1000 * y;
    if (siltMm < 0 && l.coarse < 0.5) siltMm = 1000 * y;
    y += l.m * (1 - l.sinks * (1 - Math.exp(-(end - l.atS) / 61_000)));
  }
  if (sandMm < 0) sandMm = 1000 * y;
  if (siltMm < 0) siltMm = 1000 * y;
  let mid = 0;
  for (let k = 0; k < n; k++) mid += c[k][CELLS / 2] / dz;
  return { tops, sandMm, siltMm: Math.max(sandMm, siltMm), midGL: mid };
}

/** What a person with a ruler reads of a jar. */
export function readJar(
  jar: TrueJar,
  seed: number
): Record<'marks' | 'bands' | 'water' | 'fill' | 'weighed', Evidence[]> {
  const normal = normalStream(seed);
  const base = 0.5 * normal();
  const read = (mm: number, sigma: number) =>
    Math.min(jar.columnMm, Math.max(0, Math.round(2 * (mm + base + sigma * normal())) / 2));
  // The first mark is a few seconds off.
  const early = ((jar.tops[1] - jar.tops[0]) / (MARK_S[1] - MARK_S[0])) * 3 * normal();
  const tops = jar.tops.map((mm, i) => read(mm + (i === 0 ? early : 0), Math.hypot(0.5, 0.015 * mm)));
  const atS = MARK_S[MARK_S.length - 1];
  const sand = read(jar.sandMm, 0.7);
  const astray = normal() > 1.7 ? 4 * normal() : 0;
  const silt = Math.max(sand, read(jar.siltMm + astray, 0.9));
  const clay = Math.max(silt, read(jar.tops[3], 0.6));
  const blurred = Math.log(jar.midGL + 1e-9) + 0.6 * normal();
  const seen = blurred < Math.log(0.06) ? 'clear' : blurred < Math.log(0.6) ? 'hazy' : 'cloudy';
  return {
    marks: tops.map((heightMm, i): Evidence => ({ kind: 'mark', timeS: MARK_S[i], heightMm })),
    bands: [{ kind: 'bands', atS, sandTopMm: sand, siltTopMm: silt, clayTopMm: clay }],
    water: [{ kind: 'water', atS, seen }],
    fill: [{ kind: 'dry-fill', heightMm: jar.fillMm }],
    weighed: [{ kind: 'weighed', kgM2: jar.loadKgM2 * Math.exp(0.01 * normal()) }]
  };
}
