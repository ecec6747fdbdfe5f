import type { Fractions } from '../physics/bands.ts';

/** Classification systems known so far. */
export type SystemId = 'usda';

/** One texture class: its rule is in the system's file, its outline here, vertices in percent. */
export type TextureClass = { id: string; name: string; polygon: Fractions[] };

/** A classification system: size limits and classes, by rules and by polygons. */
export type TextureSystem = {
  id: SystemId;
  name: string;
  source: string;
  /** clay/silt, silt/sand, sand/gravel, um */
  limitsUm: [number, number, number];
  classes: TextureClass[];
  /** Index into `classes` of a point by the rules; no checks, for inner loops. */
  indexByRules: (sand: number, silt: number, clay: number) => number;
  /** A direction (sand, silt, clay; sum 0) that leads from any boundary point into the class that owns it. */
  ownerSide: Fractions;
};
