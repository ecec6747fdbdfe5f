import { ON, vertex as p } from './point.ts';
import type { TextureClass, TextureSystem } from './types.ts';

const classes: TextureClass[] = [
  { id: 'sand', name: 'sand', polygon: [p(100, 0, 0), p(85, 15, 0), p(92.5, 0, 7.5)] },
  {
    id: 'loamy-sand',
    name: 'loamy sand',
    polygon: [p(85, 15, 0), p(70, 30, 0), p(85, 0, 15), p(92.5, 0, 7.5)]
  },
  {
    id: 'sandy-loam',
    name: 'sandy loam',
    polygon: [p(70, 30, 0), p(50, 50, 0), p(50, 32, 18), p(82, 0, 18), p(85, 0, 15)]
  },
  {
    id: 'sandy-silt-loam',
    name: 'sandy silt loam',
    polygon: [p(50, 50, 0), p(20, 80, 0), p(20, 62, 18), p(50, 32, 18)]
  },
  { id: 'silt-loam', name: 'silt loam', polygon: [p(20, 80, 0), p(0, 100, 0), p(0, 82, 18), p(20, 62, 18)] },
  {
    id: 'sandy-clay-loam',
    name: 'sandy clay loam',
    polygon: [p(82, 0, 18), p(50, 32, 18), p(50, 15, 35), p(65, 0, 35)]
  },
  {
    id: 'clay-loam',
    name: 'clay loam',
    polygon: [p(50, 32, 18), p(20, 62, 18), p(20, 45, 35), p(50, 15, 35)]
  },
  {
    id: 'silty-clay-loam',
    name: 'silty clay loam',
    polygon: [p(20, 62, 18), p(0, 82, 18), p(0, 65, 35), p(20, 45, 35)]
  },
  { id: 'sandy-clay', name: 'sandy clay', polygon: [p(65, 0, 35), p(45, 20, 35), p(45, 0, 55)] },
  { id: 'silty-clay', name: 'silty clay', polygon: [p(20, 45, 35), p(0, 65, 35), p(0, 45, 55)] },
  {
    id: 'clay',
    name: 'clay',
    polygon: [p(45, 20, 35), p(20, 45, 35), p(0, 45, 55), p(0, 0, 100), p(45, 0, 55)]
  }
];
const [SAND, LOAMY_SAND, SANDY_LOAM, SANDY_SILT_LOAM, SILT_LOAM] = [0, 1, 2, 3, 4];
const [SANDY_CLAY_LOAM, CLAY_LOAM, SILTY_CLAY_LOAM, SANDY_CLAY, SILTY_CLAY, CLAY] = [5, 6, 7, 8, 9, 10];

function indexByRules(s: number, z: number, c: number): number {
  if (c < 18 - ON) {
    if (z + 2 * c < 15 - ON) return SAND;
    if (z + 2 * c < 30 - ON) return LOAMY_SAND;
    if (s >= 50 - ON) return SANDY_LOAM;
    return s >= 20 - ON ? SANDY_SILT_LOAM : SILT_LOAM;
  }
  if (c < 35 - ON) {
    if (s >= 50 - ON) return SANDY_CLAY_LOAM;
    return s >= 20 - ON ? CLAY_LOAM : SILTY_CLAY_LOAM;
  }
  if (s >= 45 - ON) return SANDY_CLAY;
  return z >= 45 - ON ? SILTY_CLAY : CLAY;
}

/** Texture classes of the Soil Survey of England and Wales; limits 2, 60 and 2000 um. */
export const uk: TextureSystem = {
  id: 'uk',
  name: 'England and Wales',
  source: 'Soil Survey of England and Wales',
  limitsUm: [2, 60, 2000],
  classes,
  indexByRules,
  owns: {
    first: [
      'sandy-clay',
      'silty-clay',
      'clay',
      'sandy-clay-loam',
      'clay-loam',
      'silty-clay-loam',
      'sandy-loam',
      'sandy-silt-loam',
      'silt-loam',
      'loamy-sand',
      'sand'
    ]
  }
};
