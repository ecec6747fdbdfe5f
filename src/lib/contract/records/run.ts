import type { FilmStrip, Water } from '../../core/index.ts';

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

/** How long about a jar has stood that nobody here set down. */
export const STOOD = ['hours', 'yesterday', 'days', 'unknown'] as const;
export type Stood = (typeof STOOD)[number];
/** About how long that is, ms: what is in between the hours that people mean. */
export const STOOD_MS: Record<Stood, number> = {
  hours: 4 * 3_600_000,
  yesterday: 24 * 3_600_000,
  days: 4 * 86_400_000,
  unknown: 24 * 3_600_000
};

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
  /** What happened to it while it stood, oldest first. */
  notes: { kind: JarNote; at: number }[];
  /** When they say that silt is done and the top stands still, ms UTC; null where they do not tell. */
  stillAt: number | null;
  pending?: boolean;
};
