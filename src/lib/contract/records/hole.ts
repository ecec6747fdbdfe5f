import type { WaterSeen } from '../../core/index.ts';
import type { TypedLength } from './sample.ts';

/** What may spoil a hole: noted with it. */
export const HOLE_NOTES = ['frost', 'slope', 'rock', 'water-table'] as const;
export type HoleNote = (typeof HOLE_NOTES)[number];

export const WATER_SEEN = ['height', 'gone', 'still'] as const satisfies readonly WaterSeen[];

/** Something that was seen in a hole. */
export type HoleReadingRecord = {
  id: string;
  /** ms UTC. */
  at: number;
  seen: WaterSeen;
  /** Water over the bottom; null where it was pressed and not measured yet, or has no height. */
  height: TypedLength | null;
  /** It waits in this browser. */
  pending?: true;
};

/** A drainage hole: a hole in an area, or at one of its spots. */
export type HoleRecord = {
  id: string;
  /** Letters of its area, and its number there. */
  code: string;
  areaId: string;
  areaName: string;
  siteId: string;
  spotId: string | null;
  spotNo: number | null;
  depth: TypedLength;
  width: TypedLength;
  notes: HoleNote[];
  note: string;
  createdAt: number;
  /** Filled for the first time, to be let go. */
  soakedAt: number | null;
  /** Filled for good: time zero. */
  refilledAt: number | null;
  /** Water over the bottom at the refill. */
  filled: TypedLength;
  readings: HoleReadingRecord[];
  finishedAt: number | null;
};
