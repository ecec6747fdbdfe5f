import type {
  Calibration,
  CalibrationPair,
  Clarity,
  CylinderFacts,
  CylinderInput,
  CylinderResult,
  FilmStrip,
  SAND_LIMITS_UM,
  EarthPlace,
  Fractions,
  History,
  JarResult,
  LineName,
  MassEstimate,
  Method,
  NamedVessel,
  Packing,
  Point,
  ReadingDoubt,
  RunMethod,
  TimedMark,
  Water
} from '../core/index.ts';

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
  gravel?: {
    amount: number;
    unit: (typeof GRAVEL_UNITS)[number];
    /** The whole sample that was put on the mesh, in the same unit. */
    whole?: number;
  };
  /** Colour, smell, feel, rattle. */
  look?: string;
};

/** A picture under a sketch: its lower left corner is the sketch's. */
export type Backdrop = { fileId: string; widthPx: number; heightPx: number; metresPerPx: number };

/** What a site is drawn on. Places are metres from its lower left corner. */
export type Sketch = {
  backdrop: Backdrop | null;
  /** False from the moment a picture is put down until two of its points have been given a distance. */
  scaled: boolean;
  earth: EarthPlace | null;
};

/** A spot where soil is or was taken. */
export type SpotRecord = {
  id: string;
  areaId: string;
  /** Place in the walk, from 1. */
  no: number;
  x: number;
  y: number;
  takenAt: number | null;
  depthFrom: TypedLength | null;
  depthTo: TypedLength | null;
  note: string;
};

/** A piece of ground that is asked about by itself. */
export type AreaRecord = {
  id: string;
  siteId: string;
  /** Letters that its samples' codes begin with. */
  code: string;
  name: string;
  purpose: Purpose;
  history: History[];
  note: string;
  outline: Point[];
  createdAt: number;
};

export type SiteRecord = { id: string; name: string; sketch: Sketch; createdAt: number };

export const PHOTO_SUBJECTS = ['sample', 'spot', 'test'] as const;
export type PhotoSubject = (typeof PHOTO_SUBJECTS)[number];

/** A picture of a sample, a spot or a jar. */
export type PhotoRecord = {
  id: string;
  fileId: string;
  subject: PhotoSubject;
  subjectId: string;
  caption: string;
  createdAt: number;
  width: number;
  height: number;
  /** When the camera says it was taken, `YYYY-MM-DDTHH:MM` by its own clock. */
  takenText: string | null;
};

/** Everything about a site: its areas, their spots, and the samples of each. */
export type SiteDetail = SiteRecord & {
  areas: (AreaRecord & { spots: SpotRecord[]; samples: { id: string; code: string; name: string }[] })[];
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

/** A layer line as it was entered: the height kept, and the text it came from. */
export type LineEntry = {
  mm: number;
  text: string;
  sigmaMm?: number;
  /** Set where the line is a timed mark: when it was made, s after set-down. */
  markS?: number;
};

/** Why a layer has no line of its own. */
export const UNPLACED = ['none', 'not-read'] as const;
export type Unplaced = (typeof UNPLACED)[number];

/** Figures that are no heights of this jar: shares by eye, or what somebody else made of it. */
export const FIGURES = ['eye', 'others'] as const;
export type Figures = (typeof FIGURES)[number];

/** Lines of a reading: layer tops over the inside bottom, and what floats. */
export type ReadingEntry = {
  ruler: 'mm' | 'sixteenths' | 'eye' | 'mL';
  /** Reading error of a line, mm, where the ruler alone does not say it: half a graduation of a cylinder. */
  rulerSigmaMm?: number;
  /** Set when the ruler stood on the table beside the glass: texts then hold the base, heights in mm do not. */
  rulerZero?: 'table';
  lines: Partial<Record<LineName, LineEntry>>;
  /** Layers without a line: none was seen, or it was not read. */
  unplaced?: Partial<Record<(typeof TAPED_LAYERS)[number], Unplaced>>;
  /** Set where the lines are shares, percent of the deposit written as mm of one that is 100 mm high. */
  figures?: Figures;
  /** Who read them, in a word or two. */
  by?: string;
  /** The same jar as a second person read it: both count, and what they differ by. */
  second?: { by: string; lines: Partial<Record<LineName, LineEntry>> };
  /** The picture that lines were found in. */
  photoFileId?: string;
  /** Set when the result is moved by what jars of this person and method differ from a laboratory by. */
  calibration?: Calibration;
  /** What was seen of the water over the sediment, `unseen` where somebody said that nobody looked; left out where nobody was asked. */
  water?: Clarity;
  /** What the estimate by mass takes for granted, where it is not the usual. */
  assumed?: {
    packing?: Packing;
    hindered?: boolean;
    tempC?: number;
    limitUm?: (typeof SAND_LIMITS_UM)[number];
    clayFloorUm?: number;
  };
  /** Thickness of what floats at the top, noted only. */
  organics?: LineEntry;
  /** The whole deposit measured apart. */
  measuredTotal?: LineEntry;
  /** Set when the sum does not agree and somebody has looked: what they said of it. */
  sumNote?: string;
};

/** Layers whose tops are taped by the clock. */
export const TAPED_LAYERS = ['sand', 'silt', 'clay'] as const;

export type MarkRecord = {
  id: string;
  layer: (typeof TAPED_LAYERS)[number];
  at: number;
  heightMm: number | null;
  heightText: string | null;
  /** Waiting in this browser to be sent. */
  pending?: boolean;
};

/** A row of pictures of one run. */
export type FilmRecord = {
  id: string;
  testId: string;
  runId: string;
  source: 'camera' | 'folder';
  strip: FilmStrip;
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

/** A method that is offered: its latest version. */
export type MethodRecord = { method: Method; own: boolean };

/** What may happen to a jar that goes on standing. */
export const JAR_NOTES = ['knocked', 'moved', 'rattled', 'foamed', 'topped-up', 'photographed'] as const;
export type JarNote = (typeof JAR_NOTES)[number];

/** The top of the sediment at a time. */
export type TopRecord = {
  id: string;
  at: number;
  heightMm: number;
  heightText: string;
  water: Water | null;
  pending?: boolean;
};

/** What a cylinder test has besides its readings. */
export type CylinderSetup = { facts: CylinderFacts; blankId: string | null };

/** An instrument read in a run; `value` is null until it is typed. */
export type GaugeRecord = {
  id: string;
  no: number;
  at: number;
  value: number | null;
  tempC: number | null;
  /** Set where a simulated instrument gave it. */
  simulated: boolean;
  pending?: boolean;
};

/** A blank cylinder with its readings, oldest first. */
export type BlankRecord = {
  id: string;
  name: string;
  createdAt: number;
  readings: { id: string; at: number; value: number; tempC: number }[];
};

/** How long about a jar has stood that nobody here set down. */
export const STOOD = ['hours', 'yesterday', 'days', 'unknown'] as const;
export type Stood = (typeof STOOD)[number];

export const END_REASONS = ['knocked', 'foamed', 'clots', 'other'] as const;
export type EndReason = (typeof END_REASONS)[number];

export type RunRecord = {
  id: string;
  no: number;
  setDownAt: number;
  /** How long about it had stood when it was met, where nobody saw it set down: `setDownAt` is then a guess. */
  stood: Stood | null;
  /** Layers whose mark was passed over for good. */
  passed: MarkRecord['layer'][];
  endedAt: number | null;
  endReason: EndReason | null;
  marks: MarkRecord[];
  /** Readings of the top, oldest first. */
  tops: TopRecord[];
  /** Instrument readings, oldest first. */
  gauges: GaugeRecord[];
  /** When they say that silt is done and the top stands still, ms UTC; null where they do not tell. */
  stillAt: number | null;
  pending?: boolean;
};

/** What has been ticked off before set-down, and when shaking began. */
export type Prep = {
  ticks: string[];
  shakeStartedAt: number | null;
  /** When soaking began; left out where nobody soaked. */
  soakStartedAt?: number | null;
};

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

/** What a finished cylinder test keeps: everything it was worked out from. */
export type CylinderSnapshot = {
  kind: 'cylinder';
  methodKey: string;
  methodVersion: number;
  input: CylinderInput;
  result: CylinderResult;
};

/** What a finished test keeps, so that history never changes silently. */
export type Snapshot = JarSnapshot | CylinderSnapshot;

/** Whether a snapshot is of a jar's layers. */
export function isJarSnapshot(snapshot: Snapshot): snapshot is JarSnapshot {
  return !('kind' in snapshot);
}

/** What a finished jar keeps. */
export type JarSnapshot = {
  readingId: string;
  entry: ReadingEntry;
  methodKey: string;
  methodVersion: number;
  result: JarResult;
  /** The estimate by mass beside it; left out where none could be made. */
  mass?: MassEstimate;
  /** What stands against it; left out by results from before it was looked for. */
  doubts?: ReadingDoubt[];
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
  /** Whether the fractions are by height, as read, or weighed. */
  basis: 'height' | 'mass';
  /** By mass: weighed, or estimated from a jar; null where no estimate was kept. */
  mass: Fractions | null;
};

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
  /** Standard errors of the shares of a finished test, points. */
  sd: Fractions | null;
  /** The estimate by mass of a finished test. */
  mass: Fractions | null;
  /** Whether something stands against what was read: its page says what. */
  doubtful: boolean;
  /** Why what came of it cannot be shown; null for all that can. */
  problem: string | null;
};
