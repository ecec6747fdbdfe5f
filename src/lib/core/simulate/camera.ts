import { innerRadiusAt } from '../vessel/geometry.ts';
import type { Vessel } from '../vessel/vessel.ts';
import { homography, mapPixel, type Corners, type Homography } from '../photo/straighten.ts';
import type { Picture, Pixel } from '../photo/picture.ts';
import { hashNoise, hashNormal, patchNoise } from './noise.ts';
import { mixColour, type Colour, type Scene } from './scene.ts';

/** How a picture is taken: everything that goes wrong before a real jar, by measure. */
export type Shot = {
  widthPx: number;
  heightPx: number;
  seed: number;
  /** The camera leans to one side, degrees. */
  tiltDeg?: number;
  /** It looks up or down: the far end is this share narrower, -0.3 to 0.3. */
  keystone?: number;
  /** A bright streak of a window on the glass, 0-1. */
  glare?: number;
  /** A paper label on the right of the jar. */
  label?: boolean;
  /** Light from one side and from above: how much darker the far side is, 0-1. */
  shade?: number;
  /** Noise of the sensor, of 255 levels. */
  noise?: number;
  /** A ruler stands beside the jar, its zero at the inside bottom. */
  ruler?: boolean;
};

/** What is known of a picture that was made, px: for tests, and for those who want to check themselves. */
export type ShotTruth = {
  /** Where heights of the axis of the jar lie. */
  pixelOf(heightMm: number, asideMm?: number): Pixel;
  /** Corners of the upright rectangle round the glass, from the inside bottom to the rim. */
  corners: Corners;
  pxPerMm: number;
};

const WALL_MM = 2.6;
const RULER_MM = { gap: 9, width: 24 };
const WALL_COLOUR: Colour = [226, 222, 210];
const TABLE_COLOUR: Colour = [150, 118, 84];
const INK: Colour = [44, 38, 32];
const PAPER: Colour = [244, 240, 228];

/** Digits of three by five points, top row first, three bits a row. */
const DIGITS = ['75557', '26227', '71747', '71717', '55711', '74717', '74757', '71222', '75757', '75717'];

function digitInk(digit: number, column: number, row: number): boolean {
  return (
    column >= 0 &&
    column < 3 &&
    row >= 0 &&
    row < 5 &&
    ((Number(DIGITS[digit][row]) >> (2 - column)) & 1) === 1
  );
}

/** Whether the ruler has ink at a place: mm from its left edge, mm over its zero. A tick a mm, a number a cm. */
function rulerInk(fromLeft: number, height: number): boolean {
  const mm = Math.round(height);
  if (mm < 0) return false;
  const long = mm % 10 === 0 ? 9 : mm % 5 === 0 ? 6.5 : 4;
  const thick = mm % 10 === 0 ? 0.2 : 0.13;
  if (Math.abs(height - mm) < thick && fromLeft > RULER_MM.width - long) return true;
  const cm = Math.round(height / 10);
  if (cm < 0) return false;
  const text = String(cm);
  const row = Math.floor((cm * 10 + 2.5 - height) / 1);
  const column = Math.floor((fromLeft - 4) / 1);
  const digit = text[Math.floor(column / 4)];
  return column >= 0 && digit !== undefined && digitInk(Number(digit), column % 4, row);
}

/** The map from px to mm: x from the axis of the jar to the right, y over the inside bottom. */
function cameraMap(
  { vessel }: Pick<Scene, 'vessel'>,
  shot: Shot
): { toMm: Homography; toPx: Homography; pxPerMm: number } {
  const half = vessel.innerDiameterMm / 2 + WALL_MM;
  const [fromMm, toMm] = [-vessel.baseThicknessMm, vessel.innerHeightMm];
  const pxPerMm = Math.min(
    (0.8 * shot.heightPx) / (toMm - fromMm),
    (0.92 * shot.widthPx) / (2 * half + 2 * (RULER_MM.gap + RULER_MM.width) + 6)
  );
  const lean = ((shot.tiltDeg ?? 0) * Math.PI) / 180;
  const [cx, cy] = [shot.widthPx / 2, shot.heightPx / 2];
  const middle = (fromMm + toMm) / 2;
  const key = shot.keystone ?? 0;
  const place = (xMm: number, yMm: number): Pixel => {
    const narrow = 1 - (key * (yMm - fromMm)) / (toMm - fromMm) + key / 2;
    const [u, v] = [xMm * narrow * pxPerMm, -(yMm - middle) * pxPerMm];
    return [cx + u * Math.cos(lean) - v * Math.sin(lean), cy + u * Math.sin(lean) + v * Math.cos(lean)];
  };
  const inMm: Corners = [
    [-half, -toMm],
    [half, -toMm],
    [half, -fromMm],
    [-half, -fromMm]
  ];
  const inPx = inMm.map(([x, y]) => place(x, -y)) as unknown as Corners;
  return { toMm: homography(inPx, inMm), toPx: homography(inMm, inPx), pxPerMm };
}

/** Light on a place of the picture, as a factor. */
function lightOf(shot: Shot, px: number, py: number): number {
  const shade = shot.shade ?? 0;
  return 1 - shade * (0.6 * (px / shot.widthPx) + 0.4 * (py / shot.heightPx));
}

const within = (value: number, from: number, to: number) => value >= from && value <= to;

/** The label on the glass: from 15 to 85 % of the right half, over the middle of the height. */
function labelColour(scene: Scene, x: number, y: number): Colour | undefined {
  const { vessel } = scene;
  const r = vessel.innerDiameterMm / 2;
  const [u, v] = [(x / r - 0.2) / 0.7, (y / vessel.innerHeightMm - 0.12) / 0.4];
  if (!within(u, 0, 1) || !within(v, 0, 1)) return undefined;
  const line = Math.floor((1 - v) * 7);
  const written = line > 0 && line < 6 && line % 2 === 1 && within(u, 0.1, 0.35 + 0.12 * line);
  return written ? INK : PAPER;
}

/** What is inside the glass by height, asked for once: a picture asks for the same heights over and over. */
const TABLE_STEP_MM = 0.05;

function contentTable(scene: Scene): (heightMm: number) => { colour: Colour; grain: number } {
  const dry = { colour: mixColour(WALL_COLOUR, INK, 0.03), grain: 0 };
  const wet = Array.from({ length: Math.ceil(scene.waterMm / TABLE_STEP_MM) + 1 }, (_, i) => ({
    colour: scene.colourAt(i * TABLE_STEP_MM),
    grain: scene.grainAt(i * TABLE_STEP_MM)
  }));
  return (h) => (h <= scene.waterMm ? wet[Math.max(0, Math.round(h / TABLE_STEP_MM))] : dry);
}

/** Inner radius by height, for the same reason: the wall of a vessel is looked up at every point. */
function radiusTable(vessel: Vessel): (heightMm: number) => number {
  const last = Math.ceil(vessel.innerHeightMm / TABLE_STEP_MM);
  const radii = Float64Array.from({ length: last + 1 }, (_, i) => innerRadiusAt(vessel, i * TABLE_STEP_MM));
  return (h) => radii[Math.min(last, Math.max(0, Math.round(h / TABLE_STEP_MM)))];
}

type Contents = ReturnType<typeof contentTable>;

function contentColour(contents: Contents, shot: Shot, x: number, y: number, r: number): Colour {
  const { colour: base, grain } = contents(y);
  const speck =
    grain > 0.05
      ? 34 * Math.min(1, grain) * (patchNoise(x, y, Math.max(0.35, grain), shot.seed + 7) - 0.5)
      : 0;
  const round = 0.72 + 0.28 * Math.sqrt(Math.max(0, 1 - (x / r) ** 2));
  return [(base[0] + speck) * round, (base[1] + speck) * round, (base[2] + speck) * round];
}

function sceneColour(
  scene: Scene,
  contents: Contents,
  radiusAt: (heightMm: number) => number,
  shot: Shot,
  x: number,
  y: number
): Colour {
  const { vessel } = scene;
  const inHeight = within(y, -vessel.baseThicknessMm, vessel.innerHeightMm);
  const r = radiusAt(y);
  if (inHeight && Math.abs(x) <= r + WALL_MM) {
    const label = shot.label ? labelColour(scene, x, y) : undefined;
    let colour: Colour =
      Math.abs(x) <= r && y >= 0 ? contentColour(contents, shot, x, y, r) : [176, 186, 180];
    if (label) colour = label;
    const streak =
      Math.exp(-(((x / r + 0.42) / 0.07) ** 2)) *
      (within(y, 0.08 * vessel.innerHeightMm, 0.9 * vessel.innerHeightMm) ? 1 : 0);
    const glare = (shot.glare ?? 0) * streak * 200;
    return [colour[0] + glare, colour[1] + glare, colour[2] + glare];
  }
  const left = -(vessel.innerDiameterMm / 2 + WALL_MM + RULER_MM.gap + RULER_MM.width);
  if (shot.ruler && within(x - left, 0, RULER_MM.width) && within(y, -4, vessel.innerHeightMm + 20)) {
    return rulerInk(x - left, y) ? INK : [236, 216, 150];
  }
  if (y < -vessel.baseThicknessMm) return TABLE_COLOUR;
  return WALL_COLOUR;
}

/** Where in a picture of a vessel its heights and corners lie, without taking it. */
export function cameraPlaces(vessel: Vessel, shot: Shot): ShotTruth {
  const { toPx, pxPerMm } = cameraMap({ vessel }, shot);
  const pixelOf = (heightMm: number, asideMm = 0) => mapPixel(toPx, [asideMm, -heightMm]);
  const [r, top] = [vessel.innerDiameterMm / 2, vessel.innerHeightMm];
  return { pixelOf, pxPerMm, corners: [pixelOf(top, -r), pixelOf(top, r), pixelOf(0, r), pixelOf(0, -r)] };
}

/**
 * A picture of a jar as a camera would take it: for trying things without soil, and for tests.
 *
 * @returns the picture, and where in it things are
 */
export function takePicture(scene: Scene, shot: Shot): { picture: Picture; truth: ShotTruth } {
  const { widthPx: width, heightPx: height } = shot;
  const { toMm } = cameraMap(scene, shot);
  const data = new Uint8ClampedArray(4 * width * height);
  const noise = shot.noise ?? 0;
  const contents = contentTable(scene);
  const radiusAt = radiusTable(scene.vessel);
  for (let py = 0; py < height; py++) {
    for (let px = 0; px < width; px++) {
      const w = toMm[6] * px + toMm[7] * py + toMm[8];
      const x = (toMm[0] * px + toMm[1] * py + toMm[2]) / w;
      const y = -(toMm[3] * px + toMm[4] * py + toMm[5]) / w;
      const colour = sceneColour(scene, contents, radiusAt, shot, x, y);
      const light = lightOf(shot, px, py);
      const at = 4 * (py * width + px);
      const even = noise > 0 ? noise * hashNormal(px, py, shot.seed) : 0;
      for (let k = 0; k < 3; k++) {
        const own = noise > 0 ? 0.5 * noise * (hashNoise(px, py, shot.seed + 11 + k) - 0.5) : 0;
        data[at + k] = colour[k] * light + even + own;
      }
      data[at + 3] = 255;
    }
  }
  return { picture: { width, height, data }, truth: cameraPlaces(scene.vessel, shot) };
}
