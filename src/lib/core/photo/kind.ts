import { RangeProblem } from '../errors.ts';
import { checkPicture } from './picture.ts';

/** What a file is by its first bytes; its size in points where that stands there. */
export type PictureKind = {
  kind: 'jpeg' | 'png' | 'webp' | 'heic' | 'unknown';
  moves: boolean;
  width?: number;
  height?: number;
};

const text = (b: Uint8Array, from: number, n: number) => String.fromCharCode(...b.subarray(from, from + n));
const big = (b: Uint8Array, at: number, n: number) => b.subarray(at, at + n).reduce((v, x) => v * 256 + x, 0);
const little = (b: Uint8Array, at: number, n: number) =>
  b.subarray(at, at + n).reduceRight((v, x) => v * 256 + x, 0);

function pngKind(b: Uint8Array): PictureKind {
  let moves = false;
  for (let at = 8; at + 8 < b.length;) {
    const chunk = text(b, at + 4, 4);
    if (chunk === 'acTL') moves = true;
    if (chunk === 'IDAT') break;
    at += 12 + big(b, at, 4);
  }
  return { kind: 'png', moves, width: big(b, 16, 4), height: big(b, 20, 4) };
}

function jpegKind(b: Uint8Array): PictureKind {
  for (let at = 2; at + 9 < b.length && b[at] === 0xff;) {
    const marker = b[at + 1];
    // A start of frame, but for the tables among those numbers.
    if (marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker)) {
      return { kind: 'jpeg', moves: false, height: big(b, at + 5, 2), width: big(b, at + 7, 2) };
    }
    at += 2 + big(b, at + 2, 2);
  }
  return { kind: 'jpeg', moves: false };
}

function webpKind(b: Uint8Array): PictureKind {
  if (text(b, 12, 4) !== 'VP8X') return { kind: 'webp', moves: false };
  const moves = (b[20] & 2) !== 0;
  return { kind: 'webp', moves, width: little(b, 24, 3) + 1, height: little(b, 27, 3) + 1 };
}

/**
 * Tells a picture by its first bytes, whatever its name says.
 *
 * Source: PNG 3rd edition, ITU T.81 (JPEG), the WebP container, ISO 14496-12 (HEIC).
 * @param bytes the start of the file, a few hundred kilobytes are plenty
 */
export function pictureKind(bytes: Uint8Array): PictureKind {
  if (bytes.length > 24 && big(bytes, 0, 4) === 0x89504e47) return pngKind(bytes);
  if (bytes.length > 3 && big(bytes, 0, 3) === 0xffd8ff) return jpegKind(bytes);
  if (bytes.length > 30 && text(bytes, 0, 4) === 'RIFF' && text(bytes, 8, 4) === 'WEBP')
    return webpKind(bytes);
  if (bytes.length > 12 && /^ftyp(hei|hev|mif|msf)/.test(text(bytes, 4, 8)))
    return { kind: 'heic', moves: false };
  return { kind: 'unknown', moves: false };
}

/**
 * Refuses what cannot be read as a still picture, before it is unpacked.
 * @throws {RangeProblem} on `picture`, saying what to choose instead
 */
export function requireStill(bytes: Uint8Array): void {
  const refuse = (message: string) => {
    throw new RangeProblem('picture', message);
  };
  if (bytes.length === 0) refuse('This file is empty. Choose a picture.');
  const { kind, moves, width, height } = pictureKind(bytes);
  if (kind === 'heic')
    refuse('This is a HEIC picture, which few programs open. Save it as JPEG and choose that.');
  if (kind === 'unknown') refuse('This is not a picture Tivrel can open. Choose a JPEG, PNG or WebP file.');
  if (moves) refuse('This picture moves. Choose a still one.');
  if (width !== undefined && height !== undefined) checkPicture({ width, height });
}
