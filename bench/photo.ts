import {
  depositHeights,
  layeredScene,
  massFromTimedMarks,
  pixelOfHeight,
  segmentProfile,
  STANDARD_VESSELS,
  stripProfile,
  takePicture,
  type Picture,
  type Strip
} from '../src/lib/core/index.ts';
import { medianMs, report } from './measure.ts';

const vessel = STANDARD_VESSELS.find((v) => v.id === 'jar-litre')!;
const WATER_MM = 128;

/** The same jar at more points: each point of a picture stands for a square of them. */
function enlarged({ width, height, data }: Picture, by: number): Picture {
  const out = new Uint8ClampedArray(4 * width * by * height * by);
  const from = new Uint32Array(data.buffer);
  const to = new Uint32Array(out.buffer);
  for (let y = 0; y < height * by; y++) {
    for (let x = 0; x < width * by; x++) {
      to[y * width * by + x] = from[Math.floor(y / by) * width + Math.floor(x / by)];
    }
  }
  return { width: width * by, height: height * by, data: out };
}

/** The plain mean of each row over the strip's width: the least that anybody would have to do. */
function plainRowMeans(picture: Picture, strip: Strip): number {
  const [, low] = pixelOfHeight(strip, strip.fromMm);
  const [x, high] = pixelOfHeight(strip, strip.toMm);
  const [from, to] = [Math.round(x - strip.widthPx / 2), Math.round(x + strip.widthPx / 2)];
  let sink = 0;
  for (let y = Math.round(high); y < low; y++) {
    let sum = 0;
    for (let i = from; i < to; i++) {
      const at = 4 * (y * picture.width + i);
      sum += picture.data[at] + picture.data[at + 1] + picture.data[at + 2];
    }
    sink += sum / (to - from);
  }
  return sink;
}

/** Strip, search and lines of a picture against the plain row means of it, by megapixel; and the inverse of the model. */
export function benchPhoto(): void {
  const scene = layeredScene({
    vessel,
    waterMm: WATER_MM,
    turbidity: 0.3,
    layers: [
      { kind: 'sand', topMm: 18 },
      { kind: 'silt', topMm: 33 },
      { kind: 'clay', topMm: 38 }
    ]
  });
  const { picture, truth } = takePicture(scene, {
    widthPx: 750,
    heightPx: 1000,
    seed: 3,
    noise: 4,
    glare: 0.4
  });
  for (const by of [1, 2, 4]) {
    const large = enlarged(picture, by);
    const at = (mm: number) => truth.pixelOf(mm).map((v) => v * by) as unknown as readonly [number, number];
    const strip: Strip = {
      low: { at: at(0), heightMm: 0 },
      high: { at: at(WATER_MM), heightMm: WATER_MM },
      asidePx: 0,
      widthPx: 90 * by,
      fromMm: 1,
      toMm: 122
    };
    const whole = medianMs(() => void segmentProfile(stripProfile(large, strip)), 9);
    let sink = 0;
    const plain = medianMs(() => void (sink += plainRowMeans(large, strip)), 9);
    if (Number.isNaN(sink)) throw new Error('no means');
    report(
      `photo, ${((large.width * large.height) / 1e6).toFixed(1)} megapixels`,
      `${whole.toFixed(0)} ms`,
      `${(whole / plain).toFixed(1)} x the plain mean of each row (${plain.toFixed(1)} ms)`
    );
  }
  const jar = { columnMm: 140, tempC: 18 };
  const timesS = [60, 7200, 172_800];
  const forward = () =>
    depositHeights({ ...jar, fractions: { sand: 40, silt: 40, clay: 20 }, solidsKgM2: 40, timesS });
  const heights = forward();
  const marks = timesS.map((timeS, i) => ({ timeS, heightMm: heights[i] }));
  const there = medianMs(() => void forward(), 40);
  const back = medianMs(() => void massFromTimedMarks({ ...jar, marks }), 40);
  report(
    'composition from three marks',
    `${back.toFixed(2)} ms`,
    `${(back / there).toFixed(1)} x the heights from the composition (${there.toFixed(2)} ms)`
  );
}
