import type { LayerName } from '../layers/layers.ts';

/** A mark that is taken on time. Times are after set-down, s. */
export type TimedMark = {
  layer: Extract<LayerName, 'sand' | 'silt' | 'clay'>;
  /** When the method calls for it. */
  atS: number;
  /** End of the window where the method gives one; otherwise +-10 % of `atS`. */
  untilS?: number;
};

/** A timed reading that is no line on the glass: a hydrometer lowered, a sample drawn by pipette. */
export type TimedReading = {
  /** s after set-down; where a limit is given instead, the time follows from depth and temperature. */
  atS?: number;
  /** Size that is to have just fallen past the depth, um. */
  limitUm?: number;
  /** Depth that has been cleared: the usual effective depth of the bulb, or where the pipette draws, mm. */
  fallMm: number;
  /** Hands are wanted this long before, s. */
  leadS: number;
};

/** One step of a method, in the order of the work. */
export type MethodStep = { text: string; why?: string };

/** What a method is read with. */
export type MethodKind = 'jar' | 'cylinder' | 'bottle' | 'hydrometer' | 'pipette';

/** How a vessel is filled. */
export type MethodFill = {
  /** Share of the height to the shoulder. */
  soilShare: number;
  soilNote: string;
  /** To the neck, near the rim, as much as there is soil by loose volume, or a share of the inner height. */
  water: 'neck' | 'near-top' | 'equal' | number;
  waterNote: string;
  /** Where the method gives volumes, mL: they go before the shares. Soil is loose soil; water is the line once all is in. */
  soilMl?: number;
  waterLineMl?: number;
  /** Air-dry soil to weigh in, g, where the method goes by mass. */
  soilG?: number;
};

/** A method (protocol) as data. */
export type Method = {
  key: string;
  /** Raised when any figure changes; tests keep the version they ran with. */
  version: number;
  kind: MethodKind;
  name: string;
  purpose: string;
  /** Where it stands among the schools, in a sentence. */
  stand: string;
  vesselKind: 'jar' | 'cylinder';
  fill: MethodFill;
  dispersant: { mlPerL: number; note: string };
  agitate: { how: string; fromS: number; toS: number };
  /** Soaked at least this long with its dispersant before it is shaken, s; left out where it is not. */
  soakS?: number;
  marks: TimedMark[];
  readings?: TimedReading[];
  /** When layers may be read, s after set-down. */
  end: { fromS: number; toS: number; note: string };
  steps: MethodStep[];
  /** Where others do it differently, and what comes of it. */
  schools: string[];
};

/** A method as a running jar needs it: everything but what is only read. */
export type RunMethod = Omit<Method, 'steps' | 'schools'>;
