import { RangeProblem } from '../errors.ts';
import type { Picture, Pixel } from './picture.ts';

/** Four corners of an upright rectangle in a picture: upper left, upper right, lower right, lower left. */
export type Corners = readonly [Pixel, Pixel, Pixel, Pixel];

/** Nine numbers of a projective map, row by row; the last is 1. */
export type Homography = readonly number[];

/** Smallest side of a rectangle that can be straightened, px. */
const LEAST_SIDE_PX = 20;

const cross = (o: Pixel, a: Pixel, b: Pixel) => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]);

/**
 * Checks that four corners go round a rectangle that was looked at askew.
 * @throws {RangeProblem} on `corners`, saying what to do
 */
export function checkCorners(corners: Corners): void {
  for (let i = 0; i < 4; i++) {
    const [a, b, c] = [corners[i], corners[(i + 1) % 4], corners[(i + 2) % 4]];
    if (Math.hypot(b[0] - a[0], b[1] - a[1]) < LEAST_SIDE_PX) {
      throw new RangeProblem(
        'corners',
        'Two corners lie on one another. Put one on each corner of the rectangle.'
      );
    }
    if (!(cross(a, b, c) > 0)) {
      throw new RangeProblem(
        'corners',
        'The corners are crossed. Go round: upper left, upper right, lower right, lower left.'
      );
    }
  }
}

/** Solves a small square system by elimination with pivots; a row is its coefficients and its right side. */
function solve(rows: number[][]): number[] {
  const n = rows.length;
  for (let i = 0; i < n; i++) {
    let best = i;
    for (let r = i + 1; r < n; r++) if (Math.abs(rows[r][i]) > Math.abs(rows[best][i])) best = r;
    [rows[i], rows[best]] = [rows[best], rows[i]];
    for (let r = 0; r < n; r++) {
      if (r === i) continue;
      const factor = rows[r][i] / rows[i][i];
      for (let c = i; c <= n; c++) rows[r][c] -= factor * rows[i][c];
    }
  }
  return rows.map((row, i) => row[n] / row[i]);
}

/**
 * The projective map that takes four places to four others.
 *
 * Source: the direct linear form with the last entry held at 1 (Hartley & Zisserman, Multiple View Geometry, ch. 4).
 * @throws {RangeProblem} on `corners` when they do not go round
 */
export function homography(from: Corners, to: Corners): Homography {
  checkCorners(from);
  checkCorners(to);
  const rows: number[][] = [];
  for (let i = 0; i < 4; i++) {
    const [x, y] = from[i];
    const [u, v] = to[i];
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y, u], [0, 0, 0, x, y, 1, -v * x, -v * y, v]);
  }
  return [...solve(rows), 1];
}

/** A place under a projective map. */
export function mapPixel(h: Homography, [x, y]: Pixel): Pixel {
  const w = h[6] * x + h[7] * y + h[8];
  return [(h[0] * x + h[1] * y + h[2]) / w, (h[3] * x + h[4] * y + h[5]) / w];
}

/**
 * The picture as it would look had the camera stood square before a rectangle: the rectangle becomes upright at its
 * mean size and place, the rest of the picture follows. What lies outside the old picture becomes grey.
 *
 * @returns a picture of the same size
 * @throws {RangeProblem} on `corners` when they are crossed or lie on one another
 */
export function straighten(picture: Picture, corners: Corners): Picture {
  const { width, height, data } = picture;
  const [a, b, c, d] = corners;
  checkCorners(corners);
  const side = (p: Pixel, q: Pixel) => Math.hypot(p[0] - q[0], p[1] - q[1]);
  const [w, h] = [(side(a, b) + side(d, c)) / 2, (side(a, d) + side(b, c)) / 2];
  const [cx, cy] = [(a[0] + b[0] + c[0] + d[0]) / 4, (a[1] + b[1] + c[1] + d[1]) / 4];
  const upright: Corners = [
    [cx - w / 2, cy - h / 2],
    [cx + w / 2, cy - h / 2],
    [cx + w / 2, cy + h / 2],
    [cx - w / 2, cy + h / 2]
  ];
  const back = homography(upright, corners);
  const out = new Uint8ClampedArray(data.length).fill(128);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const scale = back[6] * x + back[7] * y + back[8];
      const u = (back[0] * x + back[1] * y + back[2]) / scale;
      const v = (back[3] * x + back[4] * y + back[5]) / scale;
      const [left, top] = [Math.floor(u), Math.floor(v)];
      const to = 4 * (y * width + x);
      out[to + 3] = 255;
      if (left < 0 || top < 0 || left >= width - 1 || top >= height - 1) continue;
      const [fx, fy] = [u - left, v - top];
      const at = 4 * (top * width + left);
      const below = at + 4 * width;
      for (let k = 0; k < 3; k++) {
        const upper = data[at + k] * (1 - fx) + data[at + 4 + k] * fx;
        const lower = data[below + k] * (1 - fx) + data[below + 4 + k] * fx;
        out[to + k] = upper * (1 - fy) + lower * fy;
      }
    }
  }
  return { width, height, data: out };
}
