import type { Water } from '../jar/clarity.ts';
import type { Column } from '../physics/column.ts';
import type { LayerTops } from '../layers/layers.ts';
import type { Vessel } from '../vessel/vessel.ts';
import type { RunMethod } from '../method/types.ts';

/** What is known of a jar when one asks what went wrong. Heights mm over the inside bottom, times s after set-down. */
export type TroubleFacts = {
  vessel: Vessel;
  method: RunMethod;
  soilMm: number;
  waterMm: number;
  dispersantMl: number;
  /** The column of the jar for the planning soil. */
  column: Column;
  /** Marks of the run that count, oldest first. */
  marks: readonly { layer: 'sand' | 'silt' | 'clay'; timeS: number; heightMm: number | null }[];
  /** What was noted of the run: foam, knocks, topping up. */
  notes: readonly string[];
  /** The layers as they were read. */
  reading?: {
    tops: LayerTops;
    /** The whole deposit, where it was measured apart, mm. */
    totalMm?: number;
    atS: number;
    water?: Water;
  };
  /** Earlier runs of the same jar, oldest first: their marks. */
  earlier: readonly TroubleFacts['marks'][];
};

/** Trouble that a jar is in, by name, with the figures that tell it. */
export type Trouble =
  | { id: 'too-full'; sharePct: number; speedPct: number }
  | { id: 'too-thin'; totalMm: number; pointsPerHalfMm: number }
  | { id: 'stones'; gravelPct: number }
  | { id: 'foam' }
  | { id: 'knocked' }
  | { id: 'no-dispersant'; askedMlPerL: number }
  | { id: 'over-shoulder'; topMm: number; shoulderMm: number }
  | { id: 'cloudy-long'; days: number }
  | { id: 'cleared-soon'; hours: number; expectedUpPct: number }
  | { id: 'read-early'; minutes: number; stillUpPct: number }
  | { id: 'marks-fall'; lower: 'silt' | 'clay'; byMm: number }
  | { id: 'two-layers'; missing: 'silt' | 'clay' }
  | { id: 'crumbs'; wasMm: number; isMm: number }
  | { id: 'dark-skin'; skinMm: number; asClayPoints: number }
  | { id: 'rattle' };

/** A rule: answers with the trouble it knows if the jar is in it. */
export type TroubleRule = (facts: TroubleFacts) => Trouble | undefined;

/** What a rule needs that goes by the layers alone. */
export type LayerFacts = Pick<TroubleFacts, 'reading'>;
/** A rule that goes by the layers alone. */
export type LayerRule = (facts: LayerFacts) => Trouble | undefined;

/** A rule that goes by the marks of the runs alone. */
export type MarksRule = (facts: Pick<TroubleFacts, 'marks' | 'earlier'>) => Trouble | undefined;

/** Top of all that has settled, gravel included, mm; undefined before a reading. */
export function depositTop(facts: LayerFacts): number | undefined {
  const { surface: _, ...tops } = facts.reading?.tops ?? {};
  const { totalMm } = facts.reading ?? {};
  // A bottle whose packed part alone was read is no thin one.
  const heights = [...Object.values(tops), ...(totalMm === undefined ? [] : [totalMm])];
  return heights.length === 0 ? undefined : Math.max(...heights);
}
