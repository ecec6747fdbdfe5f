import {
  LINE_ORDER,
  lengthForField,
  type Calibration,
  type LengthUnit,
  type LineName,
  type Vessel,
  type Clarity
} from '$lib/core';
import type { TextureLayer } from '$lib/workbench/layers';
import { standingMarks } from '$lib/contract/reading';
import type { ReadingEntry, Unplaced } from '$lib/contract/records/reading';
import type { TestDetail } from '$lib/contract/records/result';
import { scaleOf } from './scale';

export type EntryMode = 'heights' | 'thicknesses';
/** Where the ruler stands: its zero at the inside bottom, or on the table beside the glass. */
export type RulerZero = 'inside' | 'table';

/** What is typed in the form, all as text, so that a draft keeps it to the letter. */
export type ReadingTexts = {
  /** What a figure without a unit meant when it was typed, by the profile; left out by drafts from before it was kept. */
  unit?: LengthUnit;
  ruler: ReadingEntry['ruler'];
  zero: RulerZero;
  mode: EntryMode;
  lines: Record<LineName, string>;
  sigmas: Record<LineName, string>;
  /** Who reads; and what a second person read of the same jar, where there is one. */
  by: string;
  pair: boolean;
  secondBy: string;
  second: Record<LineName, string>;
  /** The picture that lines were taken from. */
  photoFileId: string;
  /** Calibrated against a laboratory, if so asked. */
  calibration: Calibration | null;
  organics: string;
  total: string;
  sumNote: string;
  /** What was seen of the water; empty until somebody is asked. */
  water: '' | Clarity;
  /** Why a layer has no line; empty until somebody is asked. */
  unplaced: Record<TextureLayer, '' | Unplaced>;
  /** Optional lines that were asked for. */
  gravel: boolean;
  coarse: boolean;
  skin: boolean;
  surface: boolean;
  floating: boolean;
};

/** Lines that are shown only where somebody saw them. */
export const OPTIONAL_LINES = ['gravel', 'coarse', 'skin', 'surface'] as const;

const EMPTY = { gravel: '', coarse: '', sand: '', silt: '', clay: '', skin: '', surface: '' };

/** A blank form. */
export function blankTexts(ruler: ReadingEntry['ruler']): ReadingTexts {
  return {
    ruler,
    zero: 'inside',
    mode: 'heights',
    lines: { ...EMPTY },
    sigmas: { ...EMPTY },
    by: '',
    pair: false,
    secondBy: '',
    second: { ...EMPTY },
    photoFileId: '',
    calibration: null,
    organics: '',
    total: '',
    sumNote: '',
    water: '',
    unplaced: { sand: '', silt: '', clay: '' },
    // A school's sheet has rows for both.
    gravel: ruler === 'mL',
    coarse: false,
    skin: false,
    surface: false,
    floating: ruler === 'mL'
  };
}

/** A draft over a fresh form: one that was kept before a field was there lacks it. */
export function mergeTexts(fresh: ReadingTexts, kept: Partial<ReadingTexts>): ReadingTexts {
  return {
    ...fresh,
    ...kept,
    lines: { ...fresh.lines, ...kept.lines },
    sigmas: { ...fresh.sigmas, ...kept.sigmas },
    second: { ...fresh.second, ...kept.second },
    unplaced: { ...fresh.unplaced, ...kept.unplaced }
  };
}

/** Heights that differ by less are one, mm: what was typed is rounded to a tenth. */
const SAME_MM = 0.06;

/**
 * The form of a reading that was kept: each figure as it was typed, or written anew where it would mean something else under
 * the unit of today.
 */
export function textsOf(entry: ReadingEntry, unit: LengthUnit, vessel: Vessel): ReadingTexts {
  const out = blankTexts(entry.ruler);
  const scale = scaleOf(entry.ruler, unit, vessel);
  const asToday = (line: { mm: number; text: string }, offsetMm = 0): string => {
    const mm = line.mm + offsetMm;
    const read = line.text === '' ? undefined : scale.read(line.text).value;
    const same = read !== undefined && (Math.abs(read - mm) < SAME_MM || scale.write(mm) === line.text);
    return same ? line.text : scale.write(mm);
  };
  const baseMm = entry.rulerZero === 'table' ? vessel.baseThicknessMm : 0;
  out.zero = entry.rulerZero ?? 'inside';
  for (const name of LINE_ORDER) {
    const line = entry.lines[name];
    const second = entry.second?.lines[name];
    if (second) out.second[name] = asToday(second, baseMm);
    if (!line) continue;
    out.lines[name] = asToday(line, baseMm);
    if (line.sigmaMm !== undefined) out.sigmas[name] = scale.write(line.sigmaMm);
  }
  out.by = entry.by ?? '';
  out.pair = entry.second !== undefined;
  out.secondBy = entry.second?.by ?? '';
  out.photoFileId = entry.photoFileId ?? '';
  out.calibration = entry.calibration ?? null;
  out.organics = entry.organics ? asToday(entry.organics) : '';
  out.total = entry.measuredTotal ? asToday(entry.measuredTotal) : '';
  out.sumNote = entry.sumNote ?? '';
  out.water = entry.water ?? '';
  out.unplaced = { ...out.unplaced, ...entry.unplaced };
  for (const name of OPTIONAL_LINES) {
    out[name] = entry.lines[name] !== undefined || entry.second?.lines[name] !== undefined;
  }
  out.floating = entry.organics !== undefined;
  return out;
}

/** A reading starts from the last one kept of this run, else from the heights of the timed marks. */
export function startTexts(test: TestDetail, unit: LengthUnit): ReadingTexts {
  const last = test.readings.at(-1);
  if (last && last.runId === test.run?.id) return textsOf(last.entry, unit, test.vessel);
  const marks = test.run?.marks ?? [];
  const graduated = test.vessel.kind === 'cylinder' && test.method.fill.soilMl !== undefined;
  // A graduated cylinder is read by its graduations, unless tape was measured with a ruler.
  if (graduated && !marks.some((m) => m.heightMm !== null)) return blankTexts('mL');
  const blank = blankTexts(unit === 'in' ? 'sixteenths' : 'mm');
  for (const mark of standingMarks(marks)) {
    if (mark.heightMm !== null) blank.lines[mark.layer] = lengthForField(mark.heightMm, unit);
  }
  return blank;
}
