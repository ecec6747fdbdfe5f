import type { LayerName } from '../jar/layers.ts';

/** A mark that is taken on time. Times are after set-down, s. */
export type TimedMark = {
  layer: Extract<LayerName, 'sand' | 'silt' | 'clay'>;
  /** When the method calls for it. */
  atS: number;
  /** End of the window where the method gives one; otherwise +-10 % of `atS`. */
  untilS?: number;
};

/** A method (protocol) as data. */
export type Method = {
  key: string;
  /** Raised when any figure changes; tests keep the version they ran with. */
  version: number;
  name: string;
  purpose: string;
  /** Where it stands among the schools, in a sentence. */
  stand: string;
  vesselKind: 'jar' | 'cylinder';
  fill: {
    /** Share of the height to the shoulder. */
    soilShare: number;
    soilNote: string;
    /** To the neck, near the rim, or a share of the inner height. */
    water: 'neck' | 'near-top' | number;
    waterNote: string;
  };
  dispersant: { mlPerL: number; note: string };
  agitate: { how: string; fromS: number; toS: number };
  marks: TimedMark[];
  /** When layers may be read, s after set-down. */
  end: { fromS: number; toS: number; note: string };
};
