import { cloudColour, SOIL_COLOURS, soilColour, WATER_COLOUR, type Colour } from '../scene.ts';
import { momentOf, waterAt, type Moment } from './moment.ts';
import { TRACK_END_S, type JarTrack } from './track.ts';

/** First column of the height-time picture, s. */
export const PICTURE_FROM_S = 1;

/** Share of what falls that is sand, silt and clay in the layer that a step laid. */
function layerColour(sandShare: number, coarseShare: number): Colour {
  const silt = Math.max(0, coarseShare - sandShare);
  return soilColour({ sand: sandShare, silt, clay: Math.max(0, 1 - sandShare - silt) });
}

/** Colour of a jar at a height at a moment: bed, then water with what is still up. */
export function jarColourAt(track: JarTrack, moment: Moment, heightMm: number): Colour {
  const floor = track.settlings[0].floorMm;
  if (heightMm < floor) return SOIL_COLOURS.gravel;
  if (heightMm <= moment.topMm) {
    const inBefore = moment.before.length > 0 && heightMm <= moment.before[moment.before.length - 1];
    const tops = inBefore ? moment.before : moment.tops;
    const from = inBefore ? track.settlings[0] : moment.settling;
    let [low, high] = [0, tops.length - 1];
    while (low < high) {
      const mid = (low + high) >> 1;
      if (tops[mid] < heightMm) low = mid + 1;
      else high = mid;
    }
    return layerColour(from.sandShare[low], from.coarseShare[low]);
  }
  const { floorMm, columnMm, loadKgM2 } = moment.settling;
  const up = waterAt(moment, (heightMm - floorMm) / columnMm);
  const whole = (loadKgM2 * 1000) / columnMm;
  if (!(whole > 0)) return WATER_COLOUR;
  return cloudColour({ sand: up.sand / whole, silt: up.silt / whole, clay: up.clay / whole });
}

/** Time of a column of the picture, s: even in the logarithm. */
export const timeOfColumn = (share: number): number =>
  PICTURE_FROM_S * (TRACK_END_S / PICTURE_FROM_S) ** share;

/** Where a time stands in the picture, 0 to 1. */
export const columnOfTime = (timeS: number): number =>
  Math.min(1, Math.max(0, Math.log(timeS / PICTURE_FROM_S) / Math.log(TRACK_END_S / PICTURE_FROM_S)));

/**
 * The height-time picture: a column a moment, from a second to a week, a row a height from the water line down.
 *
 * @returns red, green, blue and full cover, row by row
 */
export function heightTimePicture(track: JarTrack, width: number, height: number): Uint8ClampedArray {
  const data = new Uint8ClampedArray(4 * width * height);
  const { floorMm, columnMm } = track.jar;
  const waterMm = floorMm + columnMm;
  for (let x = 0; x < width; x++) {
    const moment = momentOf(track, timeOfColumn(x / (width - 1)));
    for (let y = 0; y < height; y++) {
      const [r, g, b] = jarColourAt(track, moment, waterMm * (1 - (y + 0.5) / height));
      data.set([r, g, b, 255], 4 * (y * width + x));
    }
  }
  return data;
}
