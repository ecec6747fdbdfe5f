import type { ProfilePoint } from '../vessel/vessel.ts';
import type { Pixel } from './picture.ts';
import { asideOfPixel, heightOfPixel, pixelOfHeight, stripAxes, type Strip } from './strip.ts';

type Axis = Pick<Strip, 'low' | 'high'>;

/**
 * Inner widths of a vessel from points put along the inside of one wall of its picture: the line of the two known
 * heights is its axis, and a width is twice the way from it.
 *
 * @returns heights over the inside bottom and diameters, mm, lowest first; what lies below the bottom is put on it
 */
export function traceWall(axis: Axis, points: readonly Pixel[]): ProfilePoint[] {
  const { pxPerMm } = stripAxes(axis);
  return points
    .map((point) => ({
      heightMm: Math.max(0, heightOfPixel(axis, point)),
      diameterMm: (2 * Math.abs(asideOfPixel(axis, point))) / pxPerMm
    }))
    .sort((a, b) => a.heightMm - b.heightMm);
}

/** The other wall in the picture, as far from the axis on its left. */
export function mirroredWall(axis: Axis, wall: readonly ProfilePoint[]): Pixel[] {
  const { pxPerMm } = stripAxes(axis);
  return wall.map(({ heightMm, diameterMm }) =>
    pixelOfHeight({ ...axis, asidePx: (-diameterMm / 2) * pxPerMm }, heightMm)
  );
}
