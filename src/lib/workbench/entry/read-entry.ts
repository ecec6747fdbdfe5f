import {
  checkLineOrder,
  checkReading,
  isSameLength,
  judgeReading,
  known,
  LINE_ORDER,
  outcomeOf,
  type JarReading,
  type LayerTops,
  type LineName
} from '../../core/index.ts';
import { toJarReading } from '../../contract/reading.ts';
import { smearedEntry } from '../../contract/shares.ts';
import type { ReadingEntry, Typed, Unplaced } from '../../contract/records/reading.ts';
import { t } from '../../words/index.ts';
import { TEXTURE_LAYERS, unansweredLayers, type TextureLayer } from '../layers.ts';
import type { Read } from './figure.ts';
import { offsetOf, scaleOf, type ReadGlass, type Scale } from './scale.ts';
import { readShares } from './shares.ts';
import { isOfShares, OPTIONAL_LINES, textsOf, typedOf, type ReadingTexts } from './texts.ts';

/** A layer that follows from the two others and the whole: how thick, and where its top lies, mm. */
type Followed = { layer: TextureLayer; mm: number };

/** Everything that follows from a reading as it was typed. */
export type EntryRead = {
  /** Lines over the inside bottom, mm; and those of a second reader. */
  tops: LayerTops;
  secondTops: LayerTops;
  /** The layer that follows from the two others and the whole, which all were measured. */
  followed?: Followed;
  /** Of shares, the one that is the rest, percent. */
  rest?: { layer: TextureLayer; pct: number };
  /** Lines that are fuzzier than the ruler: a band instead of a line, mm. */
  bands: { line: LineName; topMm: number; sigmaMm: number }[];
  /** Layers without a line that somebody is to be asked about. */
  unanswered: TextureLayer[];
  /** Sentences by field: line names, `line-sigma`, `line-second`, `organics`, `measuredTotal` and others by name. */
  errors: Record<string, string>;
  /** The entry as it is kept; undefined until it can be read without error. */
  entry?: ReadingEntry;
  /** The entry as the core takes it, if it holds together. */
  reading?: JarReading;
  /** What keeps it from being kept, in words; undefined if nothing does. */
  problem?: string;
};

/** Lines that are asked for in a form. */
export const linesShown = (texts: ReadingTexts): LineName[] =>
  LINE_ORDER.filter(
    (name) => !(OPTIONAL_LINES as readonly LineName[]).includes(name) || texts[name as 'gravel']
  );

/** What a field says, mm: what it was written from, as long as it shows just that; else what its text says. */
export function fieldMm(texts: ReadingTexts, scale: Scale, field: string, text: string): Read {
  const plain = text.trim();
  const exact = texts.exact.find((one) => one.field === field && one.text === plain);
  return exact ? { value: exact.mm } : scale.read(plain);
}

type Typing = { texts: ReadingTexts; glass: ReadGlass; scale: Scale; offsetMm: number };

/** Each field of one reader as it was read, before they are set against each other. */
function fieldsOf(typing: Typing, of: Record<LineName, string>, suffix = '') {
  const { texts, glass, scale, offsetMm } = typing;
  const values: LayerTops = {};
  const errors: Record<string, string> = {};
  for (const name of linesShown(texts)) {
    if (of[name].trim() === '') continue;
    const read = fieldMm(texts, scale, name + suffix, of[name]);
    if (read.value === undefined) errors[name + suffix] = read.error;
    else if (read.value < offsetMm && !isSameLength(read.value, offsetMm))
      errors[name + suffix] = t.read.belowBase(scale.write(glass.vessel.baseThicknessMm));
    else values[name] = offsetMm === 0 ? read.value : Math.max(0, scale.between(offsetMm, read.value));
  }
  return { values, errors };
}

/** Fields of one reader as lines over the inside bottom, mm. */
function topsOf({ texts, scale }: Typing, values: LayerTops): LayerTops {
  if (texts.way === 'heights') return values;
  const tops: LayerTops = {};
  let below = 0;
  for (const name of LINE_ORDER) {
    const thick = values[name];
    if (thick === undefined) continue;
    below = scale.onTop(below, thick);
    tops[name] = below;
  }
  return tops;
}

/** Of thicknesses any layer follows from the two others and the whole; of heights the clay, for the whole is its top. */
function followedOf({ texts, scale }: Typing, values: LayerTops, totalMm?: number): Followed | undefined {
  const given = TEXTURE_LAYERS.filter((layer) => values[layer] !== undefined);
  const [missing] = TEXTURE_LAYERS.filter((layer) => !given.includes(layer));
  if (given.length !== 2 || totalMm === undefined || texts.lines[missing].trim() !== '') return undefined;
  if (texts.unplaced[missing] === 'none') return undefined;
  if (texts.way === 'heights' && missing !== 'clay') return undefined;
  const rest = LINE_ORDER.filter((name) => name !== 'skin' && name !== 'surface');
  const others = rest.reduce((sum, name) => scale.onTop(sum, values[name] ?? 0), 0);
  const below = texts.way === 'heights' ? (values.silt ?? 0) : others;
  return { layer: missing, mm: scale.between(below, totalMm) };
}

/** The clay alone, by its thickness, of a whole: what lies under it, as one thickness over the gravel, mm. */
function underClayAlone({ texts, scale }: Typing, values: LayerTops, totalMm?: number): number | undefined {
  if (texts.way !== 'thicknesses' || totalMm === undefined) return undefined;
  if (values.clay === undefined || values.sand !== undefined || values.silt !== undefined) return undefined;
  const under = scale.between(scale.onTop(values.gravel ?? 0, values.clay), totalMm);
  return under < 0 ? undefined : under;
}

/** The fields of the first reader with what follows from them. */
function withFollowed(typing: Typing, values: LayerTops, followed?: Followed, totalMm?: number): LayerTops {
  const alone = underClayAlone(typing, values, totalMm);
  if (alone !== undefined) return { gravel: values.gravel, silt: alone };
  if (!followed || followed.mm < 0) return values;
  const { layer, mm } = followed;
  return { ...values, [layer]: typing.texts.way === 'heights' ? totalMm : mm };
}

/** Layers without a line, and what was said of it. */
function unplacedOf(texts: ReadingTexts, tops: LayerTops): NonNullable<ReadingEntry['unplaced']> {
  const said = TEXTURE_LAYERS.filter((layer) => texts.unplaced[layer] !== '' && tops[layer] === undefined);
  return Object.fromEntries(said.map((layer) => [layer, texts.unplaced[layer] as Unplaced]));
}

/** Lines as they are kept: the height, what was typed, its own error and the timed mark that it is, where it has them. */
function linesOf(typing: Typing, tops: LayerTops, of: Record<LineName, string>, first: boolean) {
  const { texts, scale, offsetMm } = typing;
  const out: ReadingEntry['lines'] = {};
  for (const name of linesShown(texts)) {
    const mm = tops[name];
    if (mm === undefined) continue;
    const typed = texts.way === 'heights' ? of[name].trim() : '';
    const sigma = first && texts.sigmas[name].trim() !== '' ? sigmaOf(typing, name).value : undefined;
    const mark = first
      ? texts.exact.find((e) => e.field === name && e.mark && isSameLength(e.mark.heightMm, mm))?.mark
      : undefined;
    out[name] = {
      mm: mark?.heightMm ?? mm,
      text: typed || scale.write(mm + offsetMm),
      ...(sigma === undefined ? {} : { sigmaMm: sigma }),
      ...(mark ? { markS: mark.timeS } : {})
    };
  }
  return out;
}

const sigmaOf = ({ texts, scale }: Typing, name: LineName): Read =>
  fieldMm(texts, scale, `${name}-sigma`, texts.sigmas[name]);

/** What is wrong with what was typed, and the lines that it stands for. */
function readLines(typing: Typing) {
  const { texts, glass, scale } = typing;
  const first = fieldsOf(typing, texts.lines);
  const second = texts.pair ? fieldsOf(typing, texts.second, '-second') : { values: {}, errors: {} };
  const errors: Record<string, string> = { ...first.errors, ...second.errors };
  for (const name of linesShown(texts)) {
    const read = texts.sigmas[name].trim() === '' ? undefined : sigmaOf(typing, name);
    if (read?.error) errors[`${name}-sigma`] = read.error;
  }
  const whole = texts.total.trim() === '' ? undefined : fieldMm(texts, scale, 'total', texts.total);
  if (whole?.error) errors.measuredTotal = whole.error;
  const floating = texts.floating && texts.organics.trim() !== '';
  const organics = floating ? fieldMm(texts, scale, 'organics', texts.organics) : undefined;
  if (organics?.error) errors.organics = organics.error;
  const followed = followedOf(typing, first.values, whole?.value);
  if (followed && followed.mm < 0) errors.measuredTotal ??= t.read.wholeTooSmall;
  const tops = topsOf(typing, withFollowed(typing, first.values, followed, whole?.value));
  const secondTops = topsOf(typing, second.values);
  if (Object.keys(secondTops).length > 0 && texts.secondBy.trim() === '') errors.secondBy = t.read.whoNeeded;
  const refuse = (work: () => void, suffix = '') => {
    const { problem } = outcomeOf(work);
    if (problem) errors[problem.field + suffix] ??= problem.message;
  };
  refuse(() => checkReading({ tops, sigmaMm: 1 }, glass.vessel));
  refuse(() => checkLineOrder(secondTops), '-second');
  return { tops, secondTops, followed, errors, totalMm: whole?.value, organicsMm: organics?.value };
}

/** What the lines of a form come to as an entry, once nothing is wrong with them. */
function entryOfLines(typing: Typing, read: ReturnType<typeof readLines>): ReadingEntry | undefined {
  const { texts, scale } = typing;
  const { tops, secondTops, totalMm, organicsMm } = read;
  const given = TEXTURE_LAYERS.filter((layer) => tops[layer] !== undefined);
  const unplaced = unplacedOf(texts, tops);
  if (given.length === 0) return undefined;
  const second = linesOf(typing, secondTops, texts.second, false);
  return {
    typed: typedOf(texts),
    ruler: texts.ruler,
    ...(texts.ruler === 'mL' ? { rulerSigmaMm: scale.sigmaMm } : {}),
    ...(typing.offsetMm > 0 ? { rulerZero: 'table' as const } : {}),
    lines: linesOf(typing, tops, texts.lines, true),
    ...(Object.keys(second).length > 0 ? { second: { by: texts.secondBy.trim(), lines: second } } : {}),
    ...(organicsMm === undefined ? {} : { organics: { mm: organicsMm, text: texts.organics.trim() } }),
    ...(totalMm === undefined ? {} : { measuredTotal: { mm: totalMm, text: texts.total.trim() } }),
    ...(texts.sumNote.trim() === '' ? {} : { sumNote: texts.sumNote.trim() }),
    ...(Object.keys(unplaced).length > 0 ? { unplaced } : {})
  };
}

/** What was noted beside the figures, whatever they are. */
function notedOf(texts: ReadingTexts): Partial<ReadingEntry> {
  return {
    ...(texts.by.trim() === '' ? {} : { by: texts.by.trim() }),
    ...(texts.photoFileId === '' ? {} : { photoFileId: texts.photoFileId }),
    ...(texts.calibration ? { calibration: { ...texts.calibration } } : {}),
    // What somebody else made of a jar says nothing of how its water looks.
    ...(texts.water === '' || texts.way === 'others' ? {} : { water: texts.water })
  };
}

/** The reading for the core, or why the core cannot take it. */
function judged(entry: ReadingEntry | undefined, glass: ReadGlass): Pick<EntryRead, 'reading' | 'problem'> {
  if (!entry) return {};
  const reading = toJarReading(entry, glass);
  const { problem } = outcomeOf(() => judgeReading(reading, 'usda', { draws: 50 }));
  return problem ? { problem: problem.message } : { reading };
}

/**
 * Reads what was typed of a jar: its lines, its shares or somebody's numbers, in the way and the unit in which they were typed.
 * Everything that is shown, kept and worked out of a reading follows from this; the server reads it anew before it is kept.
 */
export function readEntry(texts: ReadingTexts, glass: ReadGlass): EntryRead {
  const scale = scaleOf(texts, glass);
  if (isOfShares(texts.way)) {
    const {
      entry: shares,
      errors,
      rest
    }: ReturnType<typeof readShares> = texts.way === 'smeared'
      ? { entry: smearedEntry(), errors: {} }
      : readShares(texts.shares, texts.way);
    const entry: ReadingEntry | undefined = shares && {
      typed: typedOf(texts),
      ...shares,
      ...notedOf(texts)
    };
    const found = judged(entry, glass);
    const wrong = Object.values(errors)[0];
    return {
      tops: {},
      secondTops: {},
      bands: [],
      unanswered: [],
      errors,
      ...(rest ? { rest } : {}),
      ...(entry ? { entry } : {}),
      ...found,
      ...(found.reading ? {} : { problem: wrong ?? found.problem ?? t.read.needShares })
    };
  }
  const typing: Typing = { texts, glass, scale, offsetMm: offsetOf(texts, glass) };
  const read = readLines(typing);
  const { tops, secondTops, followed, errors } = read;
  const open = unansweredLayers({
    lines: linesOf(typing, tops, texts.lines, true),
    unplaced: unplacedOf(texts, tops),
    measuredTotal: texts.total.trim() === '' ? undefined : true
  });
  // Nobody is asked about the layers over a line while they are still being typed.
  const unanswered = open.length === 2 && tops.clay === undefined ? [] : open;
  const clean = Object.keys(errors).length === 0 && open.length === 0;
  const lines = clean ? entryOfLines(typing, read) : undefined;
  const entry = lines && { ...lines, ...notedOf(texts) };
  const found = judged(entry, glass);
  const [asked] = unanswered;
  const ask = asked && t.read.askUnplaced(t.layer[asked]);
  return {
    tops,
    secondTops,
    ...(followed ? { followed } : {}),
    bands: linesShown(texts).flatMap((line) => {
      const topMm = tops[line];
      const sigmaMm = texts.sigmas[line].trim() === '' ? undefined : sigmaOf(typing, line).value;
      return topMm === undefined || sigmaMm === undefined ? [] : [{ line, topMm, sigmaMm }];
    }),
    unanswered,
    errors,
    ...(entry ? { entry } : {}),
    ...found,
    ...(found.reading
      ? {}
      : { problem: Object.values(errors)[0] ?? ask ?? found.problem ?? t.read.needLayers })
  };
}

/**
 * A reading as it was sent, read anew from what was typed: what is kept follows from that alone.
 *
 * @returns the entry to keep, or what is wrong with it, by field
 */
export function readAnew(
  entry: ReadingEntry & { typed: Typed },
  glass: ReadGlass
): { entry: ReadingEntry; errors?: undefined } | { entry?: undefined; errors: Record<string, string> } {
  const read = readEntry(textsOf(entry, entry.typed.unit, glass), glass);
  if (read.entry && read.reading) {
    const { assumed } = entry;
    return { entry: { ...read.entry, ...(assumed ? { assumed } : {}) } };
  }
  const errors = { ...read.errors };
  if (Object.keys(errors).length === 0)
    errors[read.unanswered[0] ?? ''] = known(read.problem, 'what cannot be kept has a reason');
  return { errors };
}
