/** A number from 0 to 1 that belongs to a place and a seed: the same every time, without a row of numbers to keep. */
export function hashNoise(x: number, y: number, seed: number): number {
  let h =
    (Math.imul(x | 0, 374_761_393) + Math.imul(y | 0, 668_265_263) + Math.imul(seed | 0, 974_634_777)) | 0;
  h = Math.imul(h ^ (h >>> 13), 1_274_126_177);
  h = Math.imul(h ^ (h >>> 16), 2_246_822_519);
  return ((h ^ (h >>> 13)) >>> 0) / 4_294_967_296;
}

/** A deviate of mean 0 and standard deviation 1, near enough normal for a picture: the sum of three even ones. */
export function hashNormal(x: number, y: number, seed: number): number {
  return 2 * (hashNoise(x, y, seed) + hashNoise(x, y, seed + 101) + hashNoise(x, y, seed + 202) - 1.5);
}

/** Smooth noise over patches of a size: even deviates at the corners, mixed between them. 0-1. */
export function patchNoise(x: number, y: number, size: number, seed: number): number {
  const [u, v] = [x / size, y / size];
  const [i, j] = [Math.floor(u), Math.floor(v)];
  const [fu, fv] = [u - i, v - j];
  const mix = (a: number, b: number, t: number) => a + (b - a) * t * t * (3 - 2 * t);
  const low = mix(hashNoise(i, j, seed), hashNoise(i + 1, j, seed), fu);
  const high = mix(hashNoise(i, j + 1, seed), hashNoise(i + 1, j + 1, seed), fu);
  return mix(low, high, fv);
}
