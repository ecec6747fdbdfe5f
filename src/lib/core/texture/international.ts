import { ON, vertex as p } from './point.ts';
import type { TextureClass, TextureSystem } from './types.ts';

const classes: TextureClass[] = [
  { id: 'heavy-clay', name: 'heavy clay', polygon: [p(55, 0, 45), p(0, 55, 45), p(0, 0, 100)] },
  {
    id: 'silty-clay',
    name: 'silty clay',
    polygon: [p(30, 45, 25), p(0, 75, 25), p(0, 55, 45), p(10, 45, 45)]
  },
  { id: 'sandy-clay', name: 'sandy clay', polygon: [p(75, 0, 25), p(55, 20, 25), p(55, 0, 45)] },
  {
    id: 'light-clay',
    name: 'light clay',
    polygon: [p(55, 20, 25), p(30, 45, 25), p(10, 45, 45), p(55, 0, 45)]
  },
  {
    id: 'silty-clay-loam',
    name: 'silty clay loam',
    polygon: [p(40, 45, 15), p(0, 85, 15), p(0, 75, 25), p(30, 45, 25)]
  },
  {
    id: 'sandy-clay-loam',
    name: 'sandy clay loam',
    polygon: [p(85, 0, 15), p(65, 20, 15), p(55, 20, 25), p(75, 0, 25)]
  },
  {
    id: 'clay-loam',
    name: 'clay loam',
    polygon: [p(65, 20, 15), p(40, 45, 15), p(30, 45, 25), p(55, 20, 25)]
  },
  { id: 'silt-loam', name: 'silt loam', polygon: [p(55, 45, 0), p(0, 100, 0), p(0, 85, 15), p(40, 45, 15)] },
  { id: 'sand', name: 'sand', polygon: [p(100, 0, 0), p(85, 15, 0), p(85, 10, 5), p(95, 0, 5)] },
  { id: 'loamy-sand', name: 'loamy sand', polygon: [p(95, 0, 5), p(85, 10, 5), p(85, 0, 15)] },
  {
    id: 'sandy-loam',
    name: 'sandy loam',
    polygon: [p(85, 15, 0), p(65, 35, 0), p(65, 20, 15), p(85, 0, 15)]
  },
  { id: 'loam', name: 'loam', polygon: [p(65, 35, 0), p(55, 45, 0), p(40, 45, 15), p(65, 20, 15)] }
];
const [HEAVY_CLAY, SILTY_CLAY, SANDY_CLAY, LIGHT_CLAY] = [0, 1, 2, 3];
const [SILTY_CLAY_LOAM, SANDY_CLAY_LOAM, CLAY_LOAM] = [4, 5, 6];
const [SILT_LOAM, SAND, LOAMY_SAND, SANDY_LOAM, LOAM] = [7, 8, 9, 10, 11];

function indexByRules(s: number, z: number, c: number): number {
  if (c >= 45 - ON) return HEAVY_CLAY;
  if (c >= 25 - ON) {
    if (z >= 45 - ON) return SILTY_CLAY;
    return s >= 55 - ON ? SANDY_CLAY : LIGHT_CLAY;
  }
  if (c >= 15 - ON) {
    if (z >= 45 - ON) return SILTY_CLAY_LOAM;
    return z < 20 - ON ? SANDY_CLAY_LOAM : CLAY_LOAM;
  }
  if (z >= 45 - ON) return SILT_LOAM;
  if (s >= 85 - ON) return c < 5 - ON ? SAND : LOAMY_SAND;
  return s >= 65 - ON ? SANDY_LOAM : LOAM;
}

/** International classes on Atterberg's limits, with the scheme used in East Asia; limits 2, 20 and 2000 um. */
export const international: TextureSystem = {
  id: 'international',
  name: 'International',
  source: 'Atterberg limits, with the scheme used in East Asia',
  limitsUm: [2, 20, 2000],
  classes,
  indexByRules,
  owns: {
    first: [
      'heavy-clay',
      'silty-clay',
      'sandy-clay',
      'light-clay',
      'silty-clay-loam',
      'clay-loam',
      'sandy-clay-loam',
      'silt-loam',
      'loamy-sand',
      'sand',
      'sandy-loam',
      'loam'
    ]
  }
};
