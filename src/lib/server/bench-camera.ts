import { zipSync } from 'fflate';
import sharp from 'sharp';
import { z } from 'zod';
import {
  PLANNING_SOIL,
  settlingScene,
  columnFacts,
  takePicture,
  type ColumnInput,
  type Fractions,
  type Picture
} from '../core/index.ts';
import type { JarRecord } from '../contract/records/jar.ts';
import { y4mFrame, y4mHead } from '../formats/y4m.ts';
import { config } from './config.ts';
import { refusals } from '../words/refusals.ts';

/** Most pictures of one series. */
const SERIES_MOST = 80;
/** Largest film, bytes: it is made in memory. */
const FILM_MOST_BYTES = 400e6;
/** Frames a second of a film, and how many of them each picture stands. */
const FILM_RATE = 5;
/** Nobody takes a picture sooner after the set-down, s. */
const LEAST_S = 0.1;

const share = z.coerce.number().min(0).max(100).optional();

/** What a picture is asked for by: the soil, the times after set-down, and how it is taken. */
const query = z
  .object({
    sand: share,
    silt: share,
    clay: share,
    seconds: z
      .string()
      .transform((text) => text.split(',').map(Number))
      .pipe(
        z
          .array(z.number().min(LEAST_S, refusals.photos.notSoSoon(LEAST_S)).max(3e6))
          .min(1)
          .max(SERIES_MOST)
      )
      .optional(),
    hold: z.coerce.number().int().min(1).max(60).default(10),
    width: z.coerce.number().int().min(160).max(1920).multipleOf(2).default(900),
    height: z.coerce.number().int().min(160).max(1920).multipleOf(2).default(1200),
    seed: z.coerce.number().int().min(0).max(1e9).default(7),
    tilt: z.coerce.number().min(-15).max(15).default(1),
    keystone: z.coerce.number().min(-0.2).max(0.2).default(0),
    glare: z.coerce.number().min(0).max(1).default(0.35),
    shade: z.coerce.number().min(0).max(0.9).default(0.25),
    noise: z.coerce.number().min(0).max(40).default(3),
    label: z.stringbool().default(true)
  })
  .refine((q) => [q.sand, q.silt, q.clay].filter((v) => v !== undefined).length % 3 === 0, {
    path: ['sand'],
    message: refusals.photos.giveAllOrNone
  })
  .refine((q) => (q.seconds?.length ?? 12) * q.hold * q.width * q.height * 1.5 <= FILM_MOST_BYTES, {
    path: ['hold'],
    message: refusals.photos.filmWouldOver400
  });
export type BenchCameraQuery = z.output<typeof query>;

/** Reads what was asked for, or answers with a sentence beside each field. */
export function readQuery(params: URLSearchParams): z.ZodSafeParseResult<BenchCameraQuery> {
  return query.safeParse(Object.fromEntries(params));
}

/** Address of the bench camera's picture of a jar; none where simulated instruments are switched off. */
export function benchCamera(testId: string): string | undefined {
  return config().simulated ? `/api/v1/bench-camera/${testId}/picture.png` : undefined;
}

function soilOf(q: BenchCameraQuery): Fractions {
  const { sand, silt, clay } = q;
  if (sand === undefined || silt === undefined || clay === undefined) return PLANNING_SOIL;
  const sum = sand + silt + clay;
  return { sand: (100 * sand) / sum, silt: (100 * silt) / sum, clay: (100 * clay) / sum };
}

type Jar = Pick<JarRecord, 'vessel' | 'waterMm' | 'tempC' | 'soilMm'>;

/** The jar at a time after set-down, as a camera on a stand would see it. */
export function benchPicture(jar: Jar, q: BenchCameraQuery, timeS: number): Picture {
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

/** Times of a series that nobody asked otherwise for: from five seconds to two days, evenly over log time. */
export function seriesTimes(n = 40): number[] {
  return Array.from({ length: n }, (_, i) => Math.round(5 * (172_800 / 5) ** (i / (n - 1))));
}

/** A series of pictures as a zip; the names say the seconds after set-down. */
export async function benchSeries(jar: Jar, q: BenchCameraQuery): Promise<Uint8Array> {
  const files: Record<string, Uint8Array> = {};
  for (const timeS of q.seconds ?? seriesTimes()) {
    files[`${String(Math.round(timeS)).padStart(8, '0')}s.png`] = await toPng(benchPicture(jar, q, timeS));
  }
  return zipSync(files, { level: 0 });
}

/** A series as a film that a browser can take for its camera: each picture stands for `hold` frames. */
export function benchFilm(jar: Jar, q: BenchCameraQuery): Uint8Array {
  const parts = [y4mHead(q.width, q.height, FILM_RATE)];
  for (const timeS of q.seconds ?? seriesTimes(12)) {
    const frame = y4mFrame(benchPicture(jar, q, timeS));
    for (let i = 0; i < q.hold; i++) parts.push(frame);
  }
  const out = new Uint8Array(parts.reduce((n, p) => n + p.length, 0));
  let at = 0;
  for (const part of parts) {
    out.set(part, at);
    at += part.length;
  }
  return out;
}
