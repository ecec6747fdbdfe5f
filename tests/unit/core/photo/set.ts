import {
  layeredScene,
  STANDARD_VESSELS,
  straighten,
  takePicture,
  type Pixel,
  type Shot,
  type Strip
} from '../../../../src/lib/core/index.ts';
import type { Picture } from '../../../../src/lib/core/index.ts';

/** What goes wrong before a jar, and by how much, in the simulated set. */
export type Kind = Partial<Shot> & {
  turbidity?: number;
  contrast?: number;
  smearMm?: number;
  asidePx?: number;
  square?: boolean;
};

export const KINDS: Record<string, Kind> = {
  plain: {},
  label: { label: true, asidePx: 15 },
  glare: { glare: 0.8, asidePx: -30 },
  tilt: { tiltDeg: 5, keystone: 0.1, square: true },
  'uneven light': { shade: 0.55 },
  noise: { noise: 14 },
  turbidity: { turbidity: 0.7 },
  'thick turbidity': { turbidity: 0.93 },
  'faint line': { contrast: 0.35 },
  'hardly a line': { contrast: 0.12 },
  'smeared line': { smearMm: 3 }
};

/** Tops of sand, silt and clay, mm. */
export const JARS = [
  [18, 33, 38],
  [12, 30, 44],
  [25, 31, 34],
  [8, 14, 30],
  [15, 20, 23]
] as const;

const WATER = 128;

/** A picture of a jar of plain layers, and the strip a person would lay over it. */
export function shoot(
  tops: readonly number[],
  kind: Kind,
  o: { widthPx?: number; heightPx?: number; seed?: number } = {}
): { picture: Picture; strip: Strip } {
  const vessel = STANDARD_VESSELS.find((v) => v.id === 'jar-litre')!;
  const [sand, silt, clay] = tops;
  const scene = layeredScene({
    vessel,
    waterMm: WATER,
    turbidity: kind.turbidity ?? 0.2,
    contrast: kind.contrast,
    layers: [
      { kind: 'sand', topMm: sand, smearMm: kind.smearMm },
      { kind: 'silt', topMm: silt, smearMm: kind.smearMm },
      { kind: 'clay', topMm: clay }
    ]
  });
  const widthPx = o.widthPx ?? 480;
  const shot = { widthPx, heightPx: o.heightPx ?? 640, seed: o.seed ?? 5, ruler: true, noise: 3, ...kind };
  const { picture, truth } = takePicture(scene, shot);
  const scale = widthPx / 480;
  const strip = (low: Pixel, high: Pixel): Strip => ({
    low: { at: low, heightMm: 0 },
    high: { at: high, heightMm: WATER },
    asidePx: (kind.asidePx ?? 0) * scale,
    widthPx: 60 * scale,
    fromMm: 1,
    toMm: 122
  });
  if (!kind.square) return { picture, strip: strip(truth.pixelOf(0), truth.pixelOf(WATER)) };
  const [a, b, c, d] = truth.corners;
  const side = (p: Pixel, q: Pixel) => Math.hypot(p[0] - q[0], p[1] - q[1]);
  const high = (side(a, d) + side(b, c)) / 2;
  const [x, y] = [(a[0] + b[0] + c[0] + d[0]) / 4, (a[1] + b[1] + c[1] + d[1]) / 4];
  const foot = y + high / 2;
  return {
    picture: straighten(picture, truth.corners),
    strip: strip([x, foot], [x, foot - (high * WATER) / vessel.innerHeightMm])
  };
}
