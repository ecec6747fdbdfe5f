import {
  LINE_ORDER,
  type Calibration,
  type Clarity,
  type LengthUnit,
  type LineName
} from '../../core/index.ts';
import { standingMarks } from '../../contract/reading.ts';
import {
  FIGURES,
  type Exact,
  type ReadingEntry,
  type Ruler,
  type Typed,
  type Unplaced,
  type Way,
  type Figures
} from '../../contract/records/reading.ts';
import type { TestDetail } from '../../contract/records/result.ts';
import { TEXTURE_LAYERS, type TextureLayer } from '../layers.ts';
import { secondsAfter } from '../marks.ts';
import { keptLength } from './figure.ts';
import { rulerFor, scaleOf, type ReadGlass, type RulerZero } from './scale.ts';

/** What is typed in the form, all as text, so that a draft keeps it to the letter. */
export type ReadingTexts = {
  way: Way;
  ruler: Ruler;
  /** What a figure without a unit means where the ruler does not say it. */
  unit: LengthUnit;
  zero: RulerZero;
  lines: Record<LineName, string>;
  sigmas: Record<LineName, string>;
  /** Shares of what settled, where no heights were measured. */
  shares: Record<TextureLayer, string>;
  /** Fields whose figure is known better than it shows. */
  exact: Exact[];
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

/** Whether the figures are shares, and no heights of this jar. */
export const isOfShares = (way: Way): way is Figures => FIGURES.some((one) => one === way);

const EMPTY = { gravel: '', coarse: '', sand: '', silt: '', clay: '', skin: '', surface: '' };

/** A blank form. */
export function blankTexts(ruler: Ruler, unit: LengthUnit): ReadingTexts {
  return {
    way: 'heights',
    ruler,
    unit,
    zero: 'inside',
    lines: { ...EMPTY },
    sigmas: { ...EMPTY },
    shares: { sand: '', silt: '', clay: '' },
    exact: [],
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

/** Fields of a form that stand for several, one a layer. */
type Several = 'lines' | 'sigmas' | 'shares' | 'second' | 'unplaced';
/** What of a form was kept. */
export type KeptTexts = Partial<Omit<ReadingTexts, Several>> & {
  [field in Several]?: Partial<ReadingTexts[field]>;
};

/** A draft over a fresh form: one that was kept before a field was there lacks it. */
export function mergeTexts(fresh: ReadingTexts, kept: KeptTexts): ReadingTexts {
  return {
    ...fresh,
    ...kept,
    lines: { ...fresh.lines, ...kept.lines },
    sigmas: { ...fresh.sigmas, ...kept.sigmas },
    shares: { ...fresh.shares, ...kept.shares },
    second: { ...fresh.second, ...kept.second },
    unplaced: { ...fresh.unplaced, ...kept.unplaced }
  };
}

/** What stands in fields; undefined where none holds anything. */
function filled<K extends string>(texts: Record<K, string>): Partial<Record<K, string>> | undefined {
  const some = Object.entries<string>(texts).flatMap(([name, text]) =>
    text.trim() === '' ? [] : [[name, text.trim()]]
  );
  return some.length > 0 ? (Object.fromEntries(some) as Partial<Record<K, string>>) : undefined;
}

const copyOf = ({ mark, ...one }: Exact): Exact => ({ ...one, ...(mark ? { mark: { ...mark } } : {}) });

/** A form to the letter, for the record: of the way that it was made in, and nothing else. */
export function typedOf(texts: ReadingTexts): Typed {
  const { way, unit } = texts;
  const parts = isOfShares(way)
    ? { shares: filled(texts.shares) }
    : {
        lines: filled(texts.lines),
        sigmas: filled(texts.sigmas),
        second: texts.pair ? filled(texts.second) : undefined,
        total: texts.total.trim() || undefined,
        organics: (texts.floating && texts.organics.trim()) || undefined,
        exact: texts.exact.length > 0 ? texts.exact.map(copyOf) : undefined
      };
  const some = Object.entries(parts).filter(([, part]) => part !== undefined);
  return { way, unit, ...Object.fromEntries(some) };
}

/** The form of a reading that was kept: as it was typed. */
export function textsOf(entry: ReadingEntry, unit: LengthUnit, glass: ReadGlass): ReadingTexts {
  const { typed } = entry;
  const out = mergeTexts(
    blankTexts(entry.ruler, typed?.unit ?? unit),
    typed ?? asNumbers(entry, unit, glass)
  );
  out.zero = entry.rulerZero ?? 'inside';
  out.by = entry.by ?? '';
  out.pair = entry.second !== undefined;
  out.secondBy = entry.second?.by ?? '';
  out.photoFileId = entry.photoFileId ?? '';
  out.calibration = entry.calibration ?? null;
  out.sumNote = entry.sumNote ?? '';
  out.water = entry.water ?? '';
  out.unplaced = { ...out.unplaced, ...entry.unplaced };
  for (const name of OPTIONAL_LINES) {
    out[name] = entry.lines[name] !== undefined || entry.second?.lines[name] !== undefined;
  }
  out.floating = entry.organics !== undefined;
  return out;
}

/** Heights that differ by less are one, mm: what programs and earlier versions kept beside a text is rounded to a tenth. */
const SAME_MM = 0.06;

/**
 * What was kept as numbers beside texts, without the way in which it was typed: each as it was written where that still means
 * the same, else written anew, with its own number behind it.
 */
function asNumbers(entry: ReadingEntry, unit: LengthUnit, glass: ReadGlass): KeptTexts {
  if (entry.figures === 'smeared') return { way: entry.figures };
  if (entry.figures) return { way: entry.figures, shares: sharesKept(entry) };
  const exact: Exact[] = [];
  const scale = scaleOf({ ruler: entry.ruler, unit }, glass);
  const baseMm = entry.rulerZero === 'table' ? glass.vessel.baseThicknessMm : 0;
  const shown = (field: string, line: { mm: number; text: string; markS?: number }, offsetMm = 0): string => {
    const mm = line.mm + offsetMm;
    const read = line.text === '' ? undefined : scale.read(line.text).value;
    const same = read !== undefined && (Math.abs(read - mm) < SAME_MM || scale.write(mm) === line.text);
    const text = same ? line.text : scale.write(mm);
    const mark = line.markS === undefined ? undefined : { timeS: line.markS, heightMm: line.mm };
    if (scale.read(text).value !== mm || mark) exact.push({ field, text, mm, ...(mark ? { mark } : {}) });
    return text;
  };
  const [lines, second, sigmas] = [{ ...EMPTY }, { ...EMPTY }, { ...EMPTY }];
  for (const name of LINE_ORDER) {
    const [line, other] = [entry.lines[name], entry.second?.lines[name]];
    if (other) second[name] = shown(`${name}-second`, other, baseMm);
    if (!line) continue;
    lines[name] = shown(name, line, baseMm);
    if (line.sigmaMm !== undefined)
      sigmas[name] = shown(`${name}-sigma`, { mm: line.sigmaMm, text: scale.write(line.sigmaMm) });
  }
  const organics = entry.organics ? shown('organics', entry.organics) : '';
  const total = entry.measuredTotal ? shown('total', entry.measuredTotal) : '';
  return { lines, second, sigmas, organics, total, exact };
}

/** Shares that were kept as lines of a deposit 100 mm high. */
function sharesKept({ lines, measuredTotal }: ReadingEntry): ReadingTexts['shares'] {
  const out = { sand: '', silt: '', clay: '' };
  const pct = (share: number) => String(Math.round(1e6 * share) / 1e6);
  if (measuredTotal && lines.sand) return { ...out, sand: lines.sand.text || pct(lines.sand.mm) };
  if (measuredTotal && lines.silt) return { ...out, clay: pct(measuredTotal.mm - lines.silt.mm) };
  let below = 0;
  for (const layer of TEXTURE_LAYERS) {
    const line = lines[layer];
    if (!line) continue;
    out[layer] = line.text || pct(line.mm - below);
    below = line.mm;
  }
  return out;
}

/** A reading starts from the last one kept of this run, else from the heights of the timed marks. */
export function startTexts(test: TestDetail, unit: LengthUnit): ReadingTexts {
  const last = test.readings.at(-1);
  if (last && last.runId === test.run?.id) return textsOf(last.entry, unit, test);
  const marks = test.run?.marks ?? [];
  const graduated = test.vessel.kind === 'cylinder' && test.method.fill.soilMl !== undefined;
  // A graduated cylinder is read by its graduations, unless tape was measured with a ruler.
  if (graduated && !marks.some((m) => m.heightMm !== null)) return blankTexts('mL', unit);
  const blank = blankTexts(rulerFor(unit), unit);
  for (const { layer, at, heightMm, heightText } of standingMarks(marks)) {
    if (heightMm === null) continue;
    const text = keptLength({ mm: heightMm, text: heightText ?? '' }, unit);
    blank.lines[layer] = text;
    // Nobody saw when a jar was marked that stood already.
    const mark = test.run?.stood === null ? { timeS: secondsAfter(test.run, at), heightMm } : undefined;
    blank.exact.push({ field: layer, text, mm: heightMm, ...(mark ? { mark } : {}) });
  }
  return blank;
}
