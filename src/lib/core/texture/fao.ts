import { ON, vertex as p } from './point.ts';
import type { TextureClass, TextureSystem } from './types.ts';

const classes: TextureClass[] = [
  { id: 'very-fine', name: 'very fine', polygon: [p(40, 0, 60), p(0, 40, 60), p(0, 0, 100)] },
  { id: 'fine', name: 'fine', polygon: [p(65, 0, 35), p(0, 65, 35), p(0, 40, 60), p(40, 0, 60)] },
  {
    id: 'medium-fine',
    name: 'medium fine',
    polygon: [p(15, 85, 0), p(0, 100, 0), p(0, 65, 35), p(15, 50, 35)]
  },
  { id: 'coarse', name: 'coarse', polygon: [p(100, 0, 0), p(65, 35, 0), p(65, 17, 18), p(82, 0, 18)] },
  {
    id: 'medium',
    name: 'medium',
    polygon: [p(65, 35, 0), p(15, 85, 0), p(15, 50, 35), p(65, 0, 35), p(82, 0, 18), p(65, 17, 18)]
  }
];
const [VERY_FINE, FINE, MEDIUM_FINE, COARSE, MEDIUM] = [0, 1, 2, 3, 4];

function indexByRules(s: number, _z: number, c: number): number {
  if (c > 60 + ON) return VERY_FINE;
  if (c > 35 + ON) return FINE;
  if (s < 15 - ON) return MEDIUM_FINE;
  return c < 18 - ON && s > 65 + ON ? COARSE : MEDIUM;
}

/** The five texture groups of FAO and the EU; limits 2, 50 and 2000 um. */
export const fao: TextureSystem = {
  id: 'fao',
  name: 'FAO groups',
  source: 'FAO and EU texture groups',
  limitsUm: [2, 50, 2000],
  classes,
  indexByRules,
  owns: { first: ['medium', 'medium-fine', 'coarse', 'fine', 'very-fine'] }
};
