import type { Fractions } from '../physics/bands.ts';

/** Classification systems by id. */
export type SystemId = 'usda' | 'uk' | 'international' | 'fao' | 'german';

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
  /** Who owns a point on a bound, for the outlines. */
  owns: BoundOwner;
};

/**
 * Either a direction (sand, silt, clay; sum 0) that leads from any boundary point into the class that owns it, with
 * another for points without sand where that one leads astray; or, where no direction does, the classes in the order in which they come first.
 */
export type BoundOwner = { towards: Fractions; atNoSand?: Fractions } | { first: readonly string[] };
