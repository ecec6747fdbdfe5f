import type { CalibrationPair, Fractions, HandSays } from '../../core/index.ts';

export const PURPOSES = ['garden', 'build', 'bore', 'lesson'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** A length as it was typed, and what it means, mm. */
export type TypedLength = { mm: number; text: string };

export const GRAVEL_UNITS = ['g', 'mL'] as const;

/** A mix of the blend bench that became a sample. */
export type SampleMix = {
  parts: { name: string; buckets: number }[];
  technique: string;
  on: 'heights' | 'mass';
  shares: Fractions;
  sd: { sand: number; clay: number };
  /** What stood in the address of the bench. */
  query: string;
};

/** How a sample was taken and made ready; what nobody noted is left out. */
export type SampleDetails = {
  /** Local date, YYYY-MM-DD. */
  takenOn?: string;
  depthFrom?: TypedLength;
  depthTo?: TypedLength;
  /** What was taken out by hand: stones, roots, twigs. */
  takenOut?: string;
  driedH?: number;
  /** Finest mesh it went through. */
  sieve?: TypedLength;
  /** What stayed on the mesh: it is gravel, and no part of the texture. */
  gravel?: {
    amount: number;
    unit: (typeof GRAVEL_UNITS)[number];
    /** The whole sample that was put on the mesh, in the same unit. */
    whole?: number;
  };
  /** What hand and spade say of its ground. */
  hand?: HandSays[];
  /** How long a ribbon of it grew before it broke. */
  ribbon?: TypedLength;
  /** It was mixed: of what, for which technique, and the shares that it should have by it, percent, with their standard errors. */
  mix?: SampleMix;
  /** Colour, smell, feel, rattle. */
  look?: string;
};

export type SampleRecord = {
  id: string;
  code: string;
  name: string;
  purpose: Purpose;
  note: string;
  details: SampleDetails;
  areaId: string | null;
  /** Spots of its area that were mixed into it. */
  spotIds: string[];
  createdAt: number;
};

/** A laboratory's report of a sample, percent by mass of the earth under 2 mm. */
export type LabReport = {
  id: string;
  sampleId: string;
  lab: string;
  reportedOn: string | null;
  sand: number;
  silt: number;
  clay: number;
  /** Sand/silt limit that it used, um. */
  sandLimitUm: number;
  organicPct: number | null;
  note: string;
  createdAt: number;
};

/** A jar beside a laboratory's report of the same sample, percent, sand from 50 um up in both. */
export type LabPair = CalibrationPair & { testId: string; code: string; by: string; methodKey: string };
