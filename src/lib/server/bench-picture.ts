import sharp from 'sharp';
import {
  columnFacts,
  PLANNING_SOIL,
  settlingScene,
  takePicture,
  type ColumnInput,
  type Fractions,
  type Picture
} from '../core/index.ts';
import type { JarRecord } from '../contract/records/jar.ts';

/** How a picture is taken: of which soil, percent by mass, or of the one that is planned with; its size, px; and what spoils it. */
export type PictureAsked = Partial<Fractions> & {
  width: number;
  height: number;
  seed: number;
  tilt: number;
  keystone: number;
  glare: number;
  shade: number;
  noise: number;
  label: boolean;
};

function soilOf(q: PictureAsked): Fractions {
  const { sand, silt, clay } = q;
  if (sand === undefined || silt === undefined || clay === undefined) return PLANNING_SOIL;
  const sum = sand + silt + clay;
  return { sand: (100 * sand) / sum, silt: (100 * silt) / sum, clay: (100 * clay) / sum };
}

/** What a camera has to know of a jar. */
export type PhotographedJar = Pick<JarRecord, 'vessel' | 'waterMm' | 'tempC' | 'soilMm'>;

/** The jar at a time after set-down, as a camera on a stand would see it. */
export function benchPicture(jar: PhotographedJar, q: PictureAsked, timeS: number): Picture {
  const column: ColumnInput = { fractions: soilOf(q), ...columnFacts(jar) };
  return takePicture(settlingScene(jar.vessel, column, timeS), {
    widthPx: q.width,
    heightPx: q.height,
    seed: q.seed + Math.round(timeS),
    tiltDeg: q.tilt,
    keystone: q.keystone,
    glare: q.glare,
    shade: q.shade,
    noise: q.noise,
    label: q.label,
    ruler: true
  }).picture;
}

/** A picture as a PNG file. */
export async function toPng({ width, height, data }: Picture): Promise<Buffer> {
  return sharp(Buffer.from(data.buffer, data.byteOffset, data.byteLength), {
    raw: { width, height, channels: 4 }
  })
    .removeAlpha()
    .png()
    .toBuffer();
}
