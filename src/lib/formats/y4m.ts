import type { Picture } from '../core/index.ts';

const ascii = (text: string) => Uint8Array.from(text, (c) => c.charCodeAt(0));

/** The head of a YUV4MPEG2 film: sizes are even, frames a second a whole number. */
export function y4mHead(width: number, height: number, framesASecond: number): Uint8Array {
  return ascii(`YUV4MPEG2 W${width} H${height} F${framesASecond}:1 Ip A1:1 C420jpeg\n`);
}

/**
 * One frame of a YUV4MPEG2 film: BT.601 in its limited range, colour at half the points each way.
 *
 * @param picture of even width and height
 */
export function y4mFrame({ width, height, data }: Picture): Uint8Array {
  const head = ascii('FRAME\n');
  const out = new Uint8Array(head.length + (width * height * 3) / 2);
  out.set(head);
  let at = head.length;
  for (let i = 0; i < width * height; i++) {
    const [r, g, b] = [data[4 * i], data[4 * i + 1], data[4 * i + 2]];
    out[at++] = Math.round(16 + (65.481 * r + 128.553 * g + 24.966 * b) / 255);
  }
  const planes = [
    [-37.797, -74.203, 112],
    [112, -93.786, -18.214]
  ];
  for (const [kr, kg, kb] of planes) {
    for (let y = 0; y < height; y += 2) {
      for (let x = 0; x < width; x += 2) {
        let sum = 0;
        for (const i of [y * width + x, y * width + x + 1, (y + 1) * width + x, (y + 1) * width + x + 1]) {
          sum += kr * data[4 * i] + kg * data[4 * i + 1] + kb * data[4 * i + 2];
        }
        out[at++] = Math.round(128 + sum / 4 / 255);
      }
    }
  }
  return out;
}
