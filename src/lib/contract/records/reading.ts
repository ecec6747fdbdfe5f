import type { Calibration, Clarity, LineName, Packing, SAND_LIMITS_UM } from '../../core/index.ts';
import type { TAPED_LAYERS } from './run.ts';

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

export type ReadingRecord = { id: string; runId: string | null; at: number; entry: ReadingEntry };
