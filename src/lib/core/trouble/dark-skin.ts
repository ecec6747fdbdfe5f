import type { LayerRule } from './types.ts';

/** A dark skin lies on the clay: settled organic matter, easily taken for more clay. */
export const darkSkin: LayerRule = ({ reading }) => {
  const { skin, clay, gravel = 0, sand = gravel, silt = sand } = reading?.tops ?? {};
  if (skin === undefined || clay === undefined || !(skin > clay)) return undefined;
  const as = (top: number) => (100 * (top - silt)) / (top - gravel);
  return { id: 'dark-skin', skinMm: skin - clay, asClayPoints: as(skin) - as(clay) };
};
