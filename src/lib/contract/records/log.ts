import type { Fractions, Verdict } from '../../core/index.ts';
import type { Purpose } from './sample.ts';
import type { TestStatus } from './jar.ts';

/** So many tests are done something with at once. */
export const SEVERAL_MOST = 200;

/** A kept result as a point on the triangle, percent, sand from 50 um up. */
export type KnowPoint = {
  id: string;
  code: string;
  sampleId: string;
  sampleName: string;
  areaId: string | null;
  areaName: string | null;
  siteId: string | null;
  siteName: string | null;
  methodKey: string;
  methodName: string;
  /** Set-down, ms UTC. */
  at: number;
  fractions: Fractions;
  /** Whether the fractions are by height, as read; estimated by mass from all that is known; or weighed. */
  basis: 'height' | 'estimate' | 'mass';
  /** By mass: weighed, or estimated from a jar; null where no estimate was kept. */
  mass: Fractions | null;
};

/** A point with the heights it was read by; null where it was weighed. */
export type ReadPoint = KnowPoint & { read: Fractions | null };

/** A line of the log. */
export type LogLine = {
  id: string;
  code: string;
  sampleId: string;
  sampleName: string;
  purpose: Purpose;
  methodKey: string;
  methodName: string;
  status: TestStatus;
  createdAt: number;
  /** Null where nobody saw it set down. */
  setDownAt: number | null;
  /** The time that its order and its season go by. */
  at: number;
  /** The day that its sample was taken on, YYYY-MM-DD. */
  takenOn: string | null;
  finishedAt: number | null;
  binnedAt: number | null;
  /** Null where nobody measured it. */
  tempC: number | null;
  sand: number | null;
  silt: number | null;
  clay: number | null;
  /** Its clay is more than this, percent, where no line was seen. */
  clayOver?: number;
  gravelPct: number | null;
  class: string | null;
  probability: number | null;
  /** What the answer of a jar comes to: one class, one of two, or none yet; null for what has no answer. */
  verdict: Verdict | null;
  /** Standard errors of the shares of a finished test, points. */
  sd: Fractions | null;
  /** By mass, of a finished test: weighed or estimated. */
  mass: Fractions | null;
  /** Heights as read, where the shares are not by height. */
  read: Fractions | null;
  /** Whether something stands against what was read: its page says what. */
  doubtful: boolean;
  /** The verdict that was kept of it last: its id and its sentence; null where none was. */
  act: { id: string; line: string } | null;
  /** Why what came of it cannot be shown; null for all that can. */
  problem: string | null;
};

/** Tests of one area in one season. */
export type LogGroup = {
  /** Null for those of no area. */
  areaId: string | null;
  areaName: string | null;
  siteName: string | null;
  year: string;
  tests: number;
  /** Where they lie on the triangle, in whole percent, and how many there. */
  cells: { sand: number; clay: number; count: number }[];
  /** What they are, the most frequent first. */
  classes: { name: string; count: number }[];
};
