import type { Frame, LabColour } from '../core/index.ts';

/** A picture of a film as it is kept. */
export type FrameRecord = { id: string; at: number; colours: string };

/** Colours as three bytes a row, base 64: L* 0-100 over 0-255, a* and b* from -128. */
export function encodeColours(colours: readonly LabColour[]): string {
  const bytes = new Uint8ClampedArray(colours.length * 3);
  colours.forEach(([l, a, b], i) =>
    bytes.set([Math.round(l * 2.55), Math.round(a + 128), Math.round(b + 128)], 3 * i)
  );
  return btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
}

/** Colours from their bytes, to within a quarter of a step of L* and half a step of a* and b*. */
export function decodeColours(text: string): LabColour[] {
  const bytes = atob(text);
  return Array.from({ length: Math.floor(bytes.length / 3) }, (_, i) => [
    bytes.charCodeAt(3 * i) / 2.55,
    bytes.charCodeAt(3 * i + 1) - 128,
    bytes.charCodeAt(3 * i + 2) - 128
  ]);
}

/** Kept pictures as frames of a height-time picture: those after set-down, in order, one a moment. */
export function toFrames(frames: readonly FrameRecord[], setDownAt: number): Frame[] {
  return [...frames]
    .sort((a, b) => a.at - b.at)
    .filter((f, i, all) => f.at > setDownAt && f.at !== all[i + 1]?.at)
    .map((f) => ({ timeS: (f.at - setDownAt) / 1000, colours: decodeColours(f.colours) }));
}
