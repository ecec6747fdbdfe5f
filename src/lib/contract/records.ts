import type { JarResult, LayerName, NamedVessel } from '../core/index.ts';

/** How somebody likes things shown; one per server for now. */
export type Profile = {
  length: 'mm' | 'cm' | 'in';
  temperature: 'C' | 'F';
  volume: 'L' | 'gal';
  clock: '24' | '12';
  theme: 'day' | 'night' | 'device';
  sound: 'off' | 'knock' | 'bell' | 'reed';
  /** A line said aloud, and a notice of the browser, when something falls due. */
  spoken: 'on' | 'off';
  notices: 'on' | 'off';
  /** Hours of quiet, minutes after local midnight; equal ends mean none. */
  quietFrom: number;
  quietTo: number;
};

export const DEFAULT_PROFILE: Profile = {
  length: 'mm',
  temperature: 'C',
  volume: 'L',
  clock: '24',
  theme: 'device',
  sound: 'knock',
  spoken: 'off',
  notices: 'off',
  quietFrom: 22 * 60,
  quietTo: 7 * 60
};

export const PURPOSES = ['garden', 'build', 'bore', 'lesson'] as const;
export type Purpose = (typeof PURPOSES)[number];

/** A length as it was typed, and what it means, mm. */
export type TypedLength = { mm: number; text: string };

export const GRAVEL_UNITS = ['g', 'mL'] as const;

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
  gravel?: { amount: number; unit: (typeof GRAVEL_UNITS)[number] };
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
  createdAt: number;
};

/** A layer line as it was entered: the height kept, and the text it came from. */
export type LineEntry = { mm: number; text: string; sigmaMm?: number };

/** Lines of a reading: layer tops over the inside bottom, and what floats. */
export type ReadingEntry = {
  ruler: 'mm' | 'sixteenths' | 'eye';
  /** Set when the ruler stood on the table beside the glass: texts then hold the base, heights in mm do not. */
  rulerZero?: 'table';
  lines: Partial<Record<LayerName, LineEntry>>;
  /** Thickness of what floats at the top, noted only. */
  organics?: LineEntry;
  /** The whole deposit measured apart. */
  measuredTotal?: LineEntry;
  /** Set when the sum does not agree and somebody has looked: what they said of it. */
  sumNote?: string;
};

export type MarkRecord = {
  id: string;
  layer: Exclude<LayerName, 'gravel'>;
  at: number;
  heightMm: number | null;
  heightText: string | null;
  /** Waiting in this browser to be sent. */
  pending?: boolean;
};

export const END_REASONS = ['knocked', 'foamed', 'clots', 'other'] as const;
export type EndReason = (typeof END_REASONS)[number];

export type RunRecord = {
  id: string;
  no: number;
  setDownAt: number;
  endedAt: number | null;
  endReason: EndReason | null;
  marks: MarkRecord[];
  pending?: boolean;
};

/** What has been ticked off before set-down, and when shaking began. */
export type Prep = { ticks: string[]; shakeStartedAt: number | null };

export type TestStatus = 'ready' | 'running' | 'read' | 'finished';

/** A test as the bench shows it: the jar, its method and its running clock. */
export type JarRecord = {
  id: string;
  code: string;
  sample: SampleRecord;
  vessel: NamedVessel;
  methodKey: string;
  methodVersion: number;
  tempC: number;
  soilMm: number;
  waterMm: number;
  dispersantMl: number;
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

export type ReadingRecord = { id: string; runId: string | null; at: number; entry: ReadingEntry };

/** What a finished test keeps, so that history never changes silently. */
export type Snapshot = {
  readingId: string;
  entry: ReadingEntry;
  methodKey: string;
  methodVersion: number;
  result: JarResult;
};

export type ResultRecord = {
  id: string;
  at: number;
  coreVersion: string;
  snapshot: Snapshot;
  reopenedAt: number | null;
};

export type EventRecord = {
  id: string;
  at: number;
  receivedAt: number;
  who: string;
  what: string;
  detail: Record<string, string | number | null>;
  undoneAt: number | null;
};

/** Everything about one test. */
export type TestDetail = JarRecord & {
  runs: RunRecord[];
  readings: ReadingRecord[];
  results: ResultRecord[];
  events: EventRecord[];
};

/** A line of the log. */
export type LogLine = {
  id: string;
  code: string;
  sampleId: string;
  sampleName: string;
  purpose: Purpose;
  methodKey: string;
  status: TestStatus;
  createdAt: number;
  setDownAt: number | null;
  finishedAt: number | null;
  binnedAt: number | null;
  tempC: number;
  sand: number | null;
  silt: number | null;
  clay: number | null;
  gravelPct: number | null;
  class: string | null;
  probability: number | null;
};
