import type { Binder, Drop, SoakLook, TrialKind } from '../../core/index.ts';
import type { TypedLength } from './sample.ts';

/** A pressure as it was typed, and what it means, MPa. */
export type TypedPressure = { mpa: number; text: string };

/** What was seen of a piece, as it was typed; what nobody measured is left out. */
export type TypedSeen = {
  drop?: Drop;
  length?: TypedLength;
  cracked?: boolean;
  sides?: [TypedLength, TypedLength, TypedLength];
  massG?: number;
  wetMassG?: number;
  gauge?: TypedPressure;
  look?: SoakLook;
};

/** A piece that has told what it tells. */
export type PieceRecord = {
  id: string;
  /** From 1 up; the last ones of a set are those that are soaked. */
  no: number;
  seen: TypedSeen;
  /** Its gauge was a simulated one. */
  simulated: boolean;
  note: string;
  at: number;
};

/** A set of trial pieces of one mix. */
export type TrialRecord = {
  id: string;
  /** Code of its sample, and its number there. */
  code: string;
  kind: TrialKind;
  sampleId: string;
  sampleCode: string;
  sampleName: string;
  /** What was mixed, in words; empty for the soil as it is. */
  mix: string;
  binder: Binder;
  /** Percent of the dry mass. */
  binderPct: number;
  /** Water at forming, percent of the dry mass. */
  waterPct: number | null;
  pressure: TypedPressure | null;
  piston: TypedLength | null;
  /** Loaded area, mm2, where it is not the whole block. */
  areaMm2: number | null;
  box: TypedLength | null;
  count: number;
  soaked: number;
  cureDays: number;
  soakDays: number;
  note: string;
  createdAt: number;
  formedAt: number | null;
  soakedAt: number | null;
  finishedAt: number | null;
  /** Care that was given, by its key and when. */
  cared: { key: string; at: number }[];
  pieces: PieceRecord[];
};
