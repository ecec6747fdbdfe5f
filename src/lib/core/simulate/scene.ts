import { lastOf } from '../known.ts';
import { bandsAtHeight } from './settling.ts';
import type { Vessel } from '../vessel/vessel.ts';
import type { Fractions } from '../physics/bands.ts';
import type { ColumnInput } from '../physics/column.ts';

/** Red, green, blue, 0-255. */
export type Colour = readonly [number, number, number];

export const SOIL_COLOURS = {
  gravel: [138, 132, 122],
  sand: [188, 160, 112],
  silt: [126, 101, 74],
  clay: [164, 118, 84],
  organics: [62, 50, 40]
} as const satisfies Record<string, Colour>;

/** Clear water before a light wall. */
export const WATER_COLOUR: Colour = [206, 213, 206];

/** What a camera would see of a jar, in the jar's own measures. */
export type Scene = {
  vessel: Vessel;
  waterMm: number;
  /** Colour inside the glass at a height over the inside bottom, under the water line. */
  colourAt(heightMm: number): Colour;
  /** Size of the grains that can be seen there, mm; 0 for none. */
  grainAt(heightMm: number): number;
};

/** A layer of a made-up jar: its top, mm, and over what height its line is smeared, mm. */
export type SceneLayer = { kind: keyof typeof SOIL_COLOURS; topMm: number; smearMm?: number };

/** One colour on the way to another. */
export function mixColour(a: Colour, b: Colour, share: number): Colour {
  const t = Math.min(1, Math.max(0, share));
  return [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t];
}

const GRAINS: Record<SceneLayer['kind'], number> = { gravel: 4, sand: 0.7, silt: 0.25, clay: 0, organics: 1 };

/**
 * A jar of plain layers under water.
 *
 * @param o.turbidity share of light that the water lets through less, 0-1, thicker downwards
 * @param o.contrast 0-1: how far layers keep their own colour instead of that of all
 */
export function layeredScene(o: {
  vessel: Vessel;
  waterMm: number;
  layers: readonly SceneLayer[];
  turbidity?: number;
  contrast?: number;
}): Scene {
  const { layers, turbidity = 0, contrast = 1, vessel, waterMm } = o;
  const top = lastOf(layers).topMm;
  const cloud = mixColour(SOIL_COLOURS.clay, WATER_COLOUR, 0.25);
  const colourOf = (kind: SceneLayer['kind']) => mixColour(SOIL_COLOURS.silt, SOIL_COLOURS[kind], contrast);
  const water = (h: number) =>
    mixColour(WATER_COLOUR, cloud, turbidity * (0.35 + 0.65 * ((waterMm - h) / (waterMm - top))));
  return {
    vessel,
    waterMm,
    colourAt(h) {
      let colour = water(Math.max(h, top));
      for (let i = layers.length - 1; i >= 0; i--) {
        const { topMm, smearMm = 0.3, kind } = layers[i];
        colour = mixColour(colour, colourOf(kind), 0.5 + (topMm - h) / smearMm);
      }
      return colour;
    },
    grainAt(h) {
      return GRAINS[layers.find((l) => h < l.topMm)?.kind ?? 'clay'];
    }
  };
}

/** Colour of sand, silt and clay that lie together, by their shares. */
export function soilColour(f: Fractions): Colour {
  const sum = f.sand + f.silt + f.clay;
  if (!(sum > 0)) return SOIL_COLOURS.clay;
  return [0, 1, 2].map(
    (k) =>
      (f.sand * SOIL_COLOURS.sand[k] + f.silt * SOIL_COLOURS.silt[k] + f.clay * SOIL_COLOURS.clay[k]) / sum
  ) as unknown as Colour;
}

/** Colour of water that holds soil: what of it is up, as shares of an even suspension of all, 0 to 1. */
export function cloudColour(up: Fractions): Colour {
  const share = 1 - Math.exp(-CLOUD_DEPTH * (up.sand + up.silt + up.clay));
  return mixColour(WATER_COLOUR, mixColour(soilColour(up), WATER_COLOUR, 0.12), share);
}

/** Light that a cloud holding all of the soil takes: so that a twentieth of it still looks milky. */
const CLOUD_DEPTH = 9;

/**
 * A jar some time after set-down, as the physics has it: what came down by then lies in the order in which it came,
 * and the water above holds what is still up at each depth.
 *
 * @param jar soil, water line and warmth; the fractions are those of the earth under 2 mm
 * @param timeS since set-down, s
 */
export function settlingScene(vessel: Vessel, jar: ColumnInput, timeS: number): Scene {
  const at = bandsAtHeight(jar, timeS);
  return {
    vessel,
    waterMm: jar.columnMm,
    colourAt(h) {
      return h <= at.bedMm ? soilColour(at.bed(h)) : cloudColour(at.water(h));
    },
    grainAt(h) {
      return h <= at.bedMm ? 0.8 * at.bed(h).sand : 0;
    }
  };
}
