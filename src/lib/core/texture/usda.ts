import { ON, vertex as p } from './point.ts';
import type { TextureClass, TextureSystem } from './types.ts';

const classes: TextureClass[] = [
  { id: 'sand', name: 'sand', polygon: [p(100, 0, 0), p(85, 15, 0), p(90, 0, 10)] },
  { id: 'loamy-sand', name: 'loamy sand', polygon: [p(85, 15, 0), p(70, 30, 0), p(85, 0, 15), p(90, 0, 10)] },
  {
    id: 'sandy-loam',
    name: 'sandy loam',
    polygon: [
      p(70, 30, 0),
      p(50, 50, 0),
      p(43, 50, 7),
      p(52, 41, 7),
      p(52, 28, 20),
      p(80, 0, 20),
      p(85, 0, 15)
    ]
  },
  {
    id: 'loam',
    name: 'loam',
    polygon: [p(52, 41, 7), p(43, 50, 7), p(23, 50, 27), p(45, 28, 27), p(52, 28, 20)]
  },
  { id: 'silt', name: 'silt', polygon: [p(20, 80, 0), p(0, 100, 0), p(0, 88, 12), p(8, 80, 12)] },
  {
    id: 'silt-loam',
    name: 'silt loam',
    polygon: [p(50, 50, 0), p(20, 80, 0), p(8, 80, 12), p(0, 88, 12), p(0, 73, 27), p(23, 50, 27)]
  },
  {
    id: 'sandy-clay-loam',
    name: 'sandy clay loam',
    polygon: [p(80, 0, 20), p(52, 28, 20), p(45, 28, 27), p(45, 20, 35), p(65, 0, 35)]
  },
  {
    id: 'clay-loam',
    name: 'clay loam',
    polygon: [p(45, 28, 27), p(20, 53, 27), p(20, 40, 40), p(45, 15, 40)]
  },
  {
    id: 'silty-clay-loam',
    name: 'silty clay loam',
    polygon: [p(20, 53, 27), p(0, 73, 27), p(0, 60, 40), p(20, 40, 40)]
  },
  { id: 'sandy-clay', name: 'sandy clay', polygon: [p(65, 0, 35), p(45, 20, 35), p(45, 0, 55)] },
  { id: 'silty-clay', name: 'silty clay', polygon: [p(20, 40, 40), p(0, 60, 40), p(0, 40, 60)] },
  {
    id: 'clay',
    name: 'clay',
    polygon: [p(45, 15, 40), p(20, 40, 40), p(0, 40, 60), p(0, 0, 100), p(45, 0, 55)]
  }
];

/** Positions in `classes`, so that the rules below read as the manual does. */
const [SAND, LOAMY_SAND, SANDY_LOAM, LOAM, SILT, SILT_LOAM] = [0, 1, 2, 3, 4, 5];
const [SANDY_CLAY_LOAM, CLAY_LOAM, SILTY_CLAY_LOAM, SANDY_CLAY, SILTY_CLAY, CLAY] = [6, 7, 8, 9, 10, 11];

/**
 * USDA class of a point, as an index into the system's classes. Rules tested in the manual's order.
 *
 * Source: Soil Survey Manual (USDA). No input checks: for inner loops; use `classifyTexture` elsewhere.
 * @param s sand, percent by mass of the earth under 2 mm
 * @param z silt, percent
 * @param c clay, percent
 */
function indexByRules(s: number, z: number, c: number): number {
  if (z + 1.5 * c < 15 - ON) return SAND;
  if (z + 2 * c < 30 - ON) return LOAMY_SAND;
  if (c < 7 - ON) {
    if (z < 50 - ON) return SANDY_LOAM;
    return z >= 80 - ON ? SILT : SILT_LOAM;
  }
  if (c < 20 - ON && s > 52 + ON) return SANDY_LOAM;
  if (c < 27 - ON) {
    if (z >= 50 - ON) return z >= 80 - ON && c < 12 - ON ? SILT : SILT_LOAM;
    return z >= 28 - ON && s <= 52 + ON ? LOAM : SANDY_CLAY_LOAM;
  }
  if (s > 45 + ON) return c < 35 - ON ? SANDY_CLAY_LOAM : SANDY_CLAY;
  if (c < 40 - ON) return s > 20 + ON ? CLAY_LOAM : SILTY_CLAY_LOAM;
  return z >= 40 - ON ? SILTY_CLAY : CLAY;
}

/** The texture classes of the USDA Soil Survey Manual; limits 2, 50 and 2000 um. */
export const usda: TextureSystem = {
  id: 'usda',
  name: 'USDA',
  source: 'Soil Survey Manual, United States Department of Agriculture',
  limitsUm: [2, 50, 2000],
  classes,
  indexByRules,
  // Clay and silt bounds belong to the class above them, sand bounds to the class below.
  owns: { towards: { sand: -3, silt: 1, clay: 2 } }
};
