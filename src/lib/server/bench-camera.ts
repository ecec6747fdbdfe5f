import { Zip, ZipPassThrough } from 'fflate';
import { z } from 'zod';
import { y4mHead } from '../formats/y4m.ts';
import { refusals } from '../words/refusals.ts';
import type { PhotographedJar } from './bench-picture.ts';
import { config } from './config.ts';
import { Thread } from './thread.ts';
import type { CameraQuestion } from './threads/camera.thread.ts';

const thread = new Thread<CameraQuestion, Uint8Array>('camera');

/** Most pictures of one series. */
const SERIES_MOST = 80;
/** Most pictures of a series together, points: it takes a second for some millions. */
const SERIES_MOST_POINTS = 90e6;
/** Pictures of a series and of a film that nobody asked otherwise for. */
const SERIES_PICTURES = 40;
const FILM_PICTURES = 12;
/** Largest film, bytes. */
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
  .refine((q) => (q.seconds?.length ?? SERIES_PICTURES) * q.width * q.height <= SERIES_MOST_POINTS, {
    path: ['seconds'],
    message: refusals.photos.seriesTooLarge
  })
  .refine(
    (q) => (q.seconds?.length ?? FILM_PICTURES) * q.hold * q.width * q.height * 1.5 <= FILM_MOST_BYTES,
    {
      path: ['hold'],
      message: refusals.photos.filmWouldOver400
    }
  );
export type BenchCameraQuery = z.output<typeof query>;

/** Reads what was asked for, or answers with a sentence beside each field. */
export function readQuery(params: URLSearchParams): z.ZodSafeParseResult<BenchCameraQuery> {
  return query.safeParse(Object.fromEntries(params));
}

/** Address of the bench camera's picture of a jar; none where simulated instruments are switched off. */
export function benchCamera(testId: string): string | undefined {
  return config().simulated ? `/api/v1/bench-camera/${testId}/picture.png` : undefined;
}

/** Times of a series that nobody asked otherwise for: from five seconds to two days, evenly over log time. */
export function seriesTimes(n = SERIES_PICTURES): number[] {
  return Array.from({ length: n }, (_, i) => Math.round(5 * (172_800 / 5) ** (i / (n - 1))));
}

/** A picture of a jar at a time after set-down as a PNG file, made beside the server. */
export const benchPng = (jar: PhotographedJar, query: BenchCameraQuery, timeS: number): Promise<Uint8Array> =>
  thread.ask({ jar, query, timeS, as: 'png' });

type Bytes = ReadableStream<Uint8Array>;

/** A series of pictures as a zip, sent as they are made; the names say the seconds after set-down. */
export function benchSeries(jar: PhotographedJar, query: BenchCameraQuery): Bytes {
  const times = [...(query.seconds ?? seriesTimes())];
  let zip: Zip;
  return new ReadableStream({
    start(controller) {
      zip = new Zip((problem, chunk, last) => {
        if (problem) return controller.error(problem);
        controller.enqueue(chunk);
        if (last) controller.close();
      });
    },
    async pull() {
      const timeS = times.shift();
      if (timeS === undefined) return zip.end();
      const png = await benchPng(jar, query, timeS);
      const file = new ZipPassThrough(`${String(Math.round(timeS)).padStart(8, '0')}s.png`);
      zip.add(file);
      file.push(png, true);
    }
  });
}

/** A series as a film that a browser can take for its camera: each picture stands for `hold` frames, and is sent as it is made. */
export function benchFilm(jar: PhotographedJar, query: BenchCameraQuery): Bytes {
  const times = [...(query.seconds ?? seriesTimes(FILM_PICTURES))];
  return new ReadableStream({
    start: (controller) => controller.enqueue(y4mHead(query.width, query.height, FILM_RATE)),
    async pull(controller) {
      const timeS = times.shift();
      if (timeS === undefined) return controller.close();
      const frame = await thread.ask({ jar, query, timeS, as: 'frame' });
      for (let i = 0; i < query.hold; i++) controller.enqueue(frame);
    }
  });
}
