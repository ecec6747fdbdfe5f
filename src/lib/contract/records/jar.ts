import type {
  CylinderFacts,
  Method,
  NamedVessel,
  RunMethod,
  TimedMark,
  WeighedSoil
} from '../../core/index.ts';
import type { SampleRecord } from './sample.ts';
import type { RunRecord } from './run.ts';

/** A method that is offered: its latest version. */
export type MethodRecord = { method: Method; own: boolean };

/** What a cylinder test has besides its readings. */
export type CylinderSetup = { facts: CylinderFacts; blankId: string | null };

/** A blank cylinder with its readings, oldest first. */
export type BlankRecord = {
  id: string;
  name: string;
  createdAt: number;
  readings: { id: string; at: number; value: number; tempC: number }[];
};

/** What has been ticked off before set-down, and when shaking began. */
export type Prep = {
  ticks: string[];
  shakeStartedAt: number | null;
  /** When soaking began; left out where nobody soaked. */
  soakStartedAt?: number | null;
};

/** Nothing done yet: before a jar is set down, and before it is shaken again. */
export const NOTHING_PREPARED: Prep = { ticks: [], shakeStartedAt: null };

/** What is needed of a jar, and may have been taken for granted where nobody measured it. */
export const JAR_FACTS = ['soilMm', 'waterMm', 'tempC', 'dispersantMl'] as const;
export type JarFact = (typeof JAR_FACTS)[number];

/** What makes clay let go of itself, as it stands in kitchens and laboratories. */
export const DISPERSANTS = [
  'dishwasher',
  'washing-up',
  'softener',
  'hexametaphosphate',
  'other',
  'none'
] as const;

/** What was used on a jar where it is told, each in the measure of whoever did it, as typed. */
export type Used = {
  dispersant?: { kind: (typeof DISPERSANTS)[number]; text: string };
  soil?: string;
  soaked?: string;
  shaken?: string;
};

/** Whether a dispersant was used; undefined where nobody said. */
export const isDispersed = (jar: {
  dispersantMl: number;
  notMeasured?: readonly JarFact[];
}): boolean | undefined => (jar.notMeasured?.includes('dispersantMl') ? undefined : jar.dispersantMl > 0);

export type TestStatus = 'ready' | 'running' | 'read' | 'finished';

/** A test as the bench shows it: the jar, its method and its running clock. */
export type JarRecord = {
  id: string;
  code: string;
  sample: SampleRecord;
  vessel: NamedVessel;
  methodKey: string;
  methodVersion: number;
  /** The method as it was when the jar was set; with true marks, as they are in this jar. */
  method: RunMethod;
  /** What was weighed, for a cylinder that is read with an instrument; null for jars. */
  cylinder: CylinderSetup | null;
  /** True marks of this jar; null where the method's own count. */
  marks: TimedMark[] | null;
  tempC: number;
  soilMm: number;
  /** The dry soil as it was weighed; null where nobody did. */
  weighed: WeighedSoil | null;
  waterMm: number;
  dispersantMl: number;
  /** Those of its facts that nobody measured: they are what is usual, and nothing may tell them as if they had been. */
  notMeasured: JarFact[];
  used: Used;
  note: string;
  prep: Prep;
  status: TestStatus;
  createdAt: number;
  finishedAt: number | null;
  binnedAt: number | null;
  /** Set-down that the timetable gives it, ms UTC. */
  plannedAt: number | null;
  /** The run that is on, if the jar has been set down. */
  run: RunRecord | null;
  hasReading: boolean;
};
