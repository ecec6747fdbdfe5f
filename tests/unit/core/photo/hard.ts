import sharp from 'sharp';
import {
  layeredScene,
  STANDARD_VESSELS,
  takePicture,
  type Picture,
  type Strip
} from '../../../../src/lib/core/index.ts';
import { hashNoise, patchNoise } from '../../../../src/lib/core/simulate/noise.ts';

/** What makes lines hard to read: wide ramps, and much that is no line. */
export const HARD = [
  'ramp',
  'warm lamp',
  'jpeg 40',
  'two close browns',
  'domed foot',
  'finger',
  'mottle in colour',
  'table behind',
  'turbid',
  'label',
  'bent by the wall'
] as const;
/** Besides them layers of one colour, which only their grain tells apart. */
type Hard = (typeof HARD)[number] | 'by grain';

export type HardPicture = {
  picture: Picture;
  strip: Strip;
  /** Tops of sand, silt and clay, mm. */
  tops: [number, number, number];
  /** Where a run would look for them: the total is 15 % unsure, the lines by a millimetre or two. */
  expected: { sand: number; silt: number; clay: number };
};

const WATER = 128;
const SIZE = { widthPx: 480, heightPx: 640 };
const TABLE = [150, 118, 84];
const GLASS = [176, 186, 180];
const SKIN = [214, 160, 132];

/** A picture of a kind, of layers drawn by a seed. */
export async function hardPicture(kind: Hard, seed: number): Promise<HardPicture> {
  let drawn = 1000 * seed + 31 * (HARD as readonly string[]).indexOf(kind);
  const between = (from: number, to: number) => from + (to - from) * hashNoise(drawn++, 3, 9);
  const [sand, silt, clay] = [between(8, 24), between(4, 16), between(3, 12)];
  const tops: [number, number, number] = [sand, sand + silt, sand + silt + clay];
  const ramp = kind === 'ramp' ? between(5, 8) : between(0.3, 1.5);
  const vessel = STANDARD_VESSELS.find((v) => v.id === 'jar-litre')!;
  const scene = layeredScene({
    vessel,
    waterMm: WATER,
    turbidity: kind === 'turbid' ? between(0.5, 0.9) : between(0, 0.4),
    contrast: kind === 'by grain' ? 0 : kind === 'two close browns' ? 0.4 : 1,
    layers: [
      { kind: 'sand', topMm: tops[0], smearMm: Math.min(ramp, 1.3 * Math.min(sand, silt)) },
      { kind: 'silt', topMm: tops[1], smearMm: Math.min(between(0.4, ramp), 1.2 * Math.min(silt, clay)) },
      { kind: 'clay', topMm: tops[2], smearMm: between(0.3, 1) }
    ]
  });
  const shade = kind === 'warm lamp' ? 0.25 : 0.1;
  const { picture, truth } = takePicture(scene, {
    ...SIZE,
    seed: seed + 1,
    noise: 3,
    ruler: true,
    shade,
    label: kind === 'label'
  });
  const { data } = picture;
  const [x0, y0] = truth.pixelOf(0);
  const radius = vessel.innerDiameterMm / 2;
  /** Changes the picture point by point: mm to the right of the axis, mm over the inside bottom. */
  const each = (change: (xMm: number, yMm: number, at: number) => void) => {
    for (let py = 0; py < SIZE.heightPx; py++)
      for (let px = 0; px < SIZE.widthPx; px++)
        change((px - x0) / truth.pxPerMm, (y0 - py) / truth.pxPerMm, 4 * (py * SIZE.widthPx + px));
  };
  const paint = (at: number, colour: readonly number[], share = 1) =>
    colour.forEach((v, k) => (data[at + k] = (1 - share) * data[at + k] + share * v));
  if (kind === 'warm lamp')
    each((_x, _y, at) => [1.08, 0.93, 0.66].forEach((by, k) => (data[at + k] = data[at + k] * by)));
  if (kind === 'mottle in colour')
    each((x, y, at) => {
      if (y < 0 || y > tops[2] || Math.abs(x) > radius) return;
      const light = 40 * (patchNoise(x, y, 4, 5 + seed) - 0.5);
      const warm = 18 * (patchNoise(x, y, 7, 9 + seed) - 0.5);
      [light + warm, light, light - warm].forEach((by, k) => (data[at + k] = data[at + k] + by));
    });
  if (kind === 'domed foot')
    each((x, y, at) => {
      if (Math.abs(x) < radius && y > 0 && y < 5 * (1 - (x / radius) ** 2)) paint(at, GLASS);
    });
  if (kind === 'table behind') {
    const edge = between(tops[2] + 12, 110);
    each((x, y, at) => {
      if (Math.abs(x) < radius && y > tops[2] + 1 && y < edge) paint(at, TABLE, 0.2);
    });
  }
  if (kind === 'finger') {
    const up = between(20, 90);
    each((x, y, at) => {
      if (x > 2 && x < 30 && Math.abs(y - up - 0.1 * x) < 8) paint(at, SKIN);
    });
  }
  if (kind === 'bent by the wall') {
    // Seen from above or below a line bows towards the walls, the more the further it is from the eye; and the glass squeezes
    // what is near them.
    const eye = between(20, 140);
    const bow = between(0.05, 0.15);
    const before = Uint8ClampedArray.from(data);
    each((x, y, at) => {
      const side = x / radius;
      if (Math.abs(side) >= 1 || y < 0 || y > WATER) return;
      const px = Math.round(x0 + radius * truth.pxPerMm * Math.sin(side * (Math.PI / 2)));
      const py = Math.round(y0 - truth.pxPerMm * (y + bow * (y - eye) * (1 - Math.sqrt(1 - side * side))));
      const from = 4 * (Math.min(SIZE.heightPx - 1, Math.max(0, py)) * SIZE.widthPx + px);
      for (let k = 0; k < 3; k++) data[at + k] = before[from + k];
    });
  }
  const total = Math.exp(0.15 * between(-1.7, 1.7));
  return {
    picture: kind === 'jpeg 40' ? await asJpeg(picture) : picture,
    strip: {
      low: { at: truth.pixelOf(0), heightMm: 0 },
      high: { at: truth.pixelOf(WATER), heightMm: WATER },
      asidePx: kind === 'label' ? 15 : 0,
      widthPx: 0.4 * radius * truth.pxPerMm,
      fromMm: 1,
      toMm: 122
    },
    tops,
    expected: {
      sand: total * (tops[0] + between(-2, 2)),
      silt: total * (tops[1] + between(-1.5, 1.5)),
      clay: total * tops[2]
    }
  };
}

async function asJpeg({ width, height, data }: Picture): Promise<Picture> {
  const raw = { width, height, channels: 4 as const };
  const file = await sharp(Buffer.from(data), { raw }).jpeg({ quality: 40 }).toBuffer();
  const back = await sharp(file).ensureAlpha().raw().toBuffer();
  return { width, height, data: new Uint8ClampedArray(back) };
}
