import type {
  Calibration,
  Clarity,
  LengthUnit,
  LineName,
  Packing,
  SAND_LIMITS_UM
} from '../../core/index.ts';
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

/**
 * What is no heights of this jar: shares by eye, what somebody else made of it, or that no line is to be seen, for clay is smeared
 * up to the top.
 */
export const FIGURES = ['eye', 'others', 'smeared'] as const;
export type Figures = (typeof FIGURES)[number];

/** By what heights are read. */
export const RULERS = ['mm', 'cm', 'sixteenths', 'eye', 'mL'] as const;
export type Ruler = (typeof RULERS)[number];

/** What the figures of a reading are. */
export const WAYS = ['heights', 'thicknesses', ...FIGURES] as const;
export type Way = (typeof WAYS)[number];

/** A field whose figure is known better than it shows: a timed mark, a line of a picture, what another unit was turned into. */
export type Exact = {
  field: string;
  /** What the field shows; typed over, it counts no more. */
  text: string;
  mm: number;
  /** The timed mark that the line is: s after set-down, and its height over the inside bottom. */
  mark?: { timeS: number; heightMm: number };
};

/** A reading to the letter, as it was typed: its heights follow from it, and it is edited in the same way. Blank fields are left out. */
export type Typed = {
  way: Way;
  /** What a figure without a unit means where the ruler does not say it. */
  unit: LengthUnit;
  lines?: Partial<Record<LineName, string>>;
  sigmas?: Partial<Record<LineName, string>>;
  second?: Partial<Record<LineName, string>>;
  shares?: Partial<Record<(typeof TAPED_LAYERS)[number], string>>;
  total?: string;
  organics?: string;
  exact?: Exact[];
};

/** Lines of a reading: layer tops over the inside bottom, and what floats. */
export type ReadingEntry = {
  /** As it was typed; left out where heights were given as numbers, by a program or before it was kept. */
  typed?: Typed;
  ruler: Ruler;
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
