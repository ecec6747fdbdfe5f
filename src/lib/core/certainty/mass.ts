import type { Fractions } from '../physics/bands.ts';

/** Draws that a {@link MassEstimate} was counted over. */
export const MASS_DRAWS = 5000;

/** The estimate by mass of core 1.4 and before, as its results keep it: see {@link JarAnswer} for what took its place. */
export type MassEstimate = {
  basis: 'marks' | 'bands';
  /** Percent. */
  fractions: Fractions;
  solidsKgM2: number;
  class: { id: string; name: string };
  probability: number;
  /** Classes by probability, largest first. */
  classes: { id: string; name: string; probability: number }[];
  /** Points. */
  sd: Fractions;
  /** Percent of the clay that is still up when the layers are read, by this estimate. */
  clayUpPct: number;
  /** Where the water was neither seen to be clear nor to be cloudy: the clay if it was the one, and the other. */
  clayRange?: { clear: number; cloudy: number; seen?: 'hazy' };
  /** Set where the estimate stands on doubtful ground. */
  doubtful?: 'not-dispersed';
  /** The fractions under the sand limit that was asked for, where it is not that of the system; um. */
  underLimit?: { limitUm: number; fractions: Fractions };
  /** Line by line; left out by records from before it was kept. */
  working?: MassWorking;
};

/** The estimate by mass line by line, with the numbers of the jar. */
export type MassWorking = {
  /** Share of the column that is solids at set-down, percent. */
  solidsPct: number;
  tempC: number;
  columnMm: number;
} & (
  | {
      basis: 'marks';
      /** Each mark: what has settled all the way by then, what each load adds to the height, and what was read, mm. */
      marks: { timeS: number; cutUm: number; addsMm: Fractions; sumMm: number; readMm: number }[];
    }
  | {
      basis: 'bands';
      /** Each band: thickness times packing is a load; of the clay, the share that should be down by then. */
      bands: {
        layer: 'sand' | 'silt' | 'clay';
        thickMm: number;
        packing: number;
        downPct: number;
        loadKgM2: number;
      }[];
    }
);
