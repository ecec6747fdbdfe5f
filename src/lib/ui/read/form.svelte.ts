import {
  checkLineOrder,
  checkReading,
  CLAY_FLOOR_UM,
  DEFAULT_PACKING,
  fromMm,
  heightOfVolume,
  isStraight,
  judgeReading,
  lengthForField,
  LINE_ORDER,
  RangeProblem,
  SAND_LIMITS_UM,
  UNKNOWN_VESSEL,
  volumeToHeight,
  type JarReading,
  type LayerTops,
  type LengthUnit,
  type LineName,
  type Packing,
  type Vessel
} from '$lib/core';
import { rulerSigma, toJarReading } from '$lib/contract/reading';
import { TEXTURE_LAYERS, unansweredLayers, type TextureLayer } from '$lib/workbench/layers';
import type { ReadingEntry, Unplaced } from '$lib/contract/records';
import { readTemperature, type Read } from '../fields/read';
import type { Format } from '$lib/words/format';
import { t } from '$lib/words';
import { scaleOf, type Scale } from './scale';
import {
  blankTexts,
  mergeTexts,
  OPTIONAL_LINES,
  type EntryMode,
  type ReadingTexts,
  type RulerZero
} from './texts';

/** A timed mark with its height: when it was made, s after set-down. */
export type MarkedLine = { layer: TextureLayer; heightMm: number; timeS: number };

/** Heights that differ by less are one, mm: what stands in a field is rounded to a tenth. */
const SAME_MM = 0.06;

/** A length without a unit. */
const BARE = /^[\d\s.,/]+$/;

/** A reading as it is being made: text in, tops, errors and an entry out. */
export class ReadingForm {
  texts: ReadingTexts = $state(blankTexts('mm'));
  unit: LengthUnit = $state('mm');
  vessel: Vessel = $state.raw(UNKNOWN_VESSEL);
  waterMm = $state(0);
  readonly #temperature: 'C' | 'F';
  readonly #marks: readonly MarkedLine[];

  constructor(
    texts: ReadingTexts,
    o: {
      unit: LengthUnit;
      temperature?: 'C' | 'F';
      vessel: Vessel;
      waterMm: number;
      /** Marks of the run: a line that is one of them keeps its height to the last digit, and its time. */
      marks?: readonly MarkedLine[];
    }
  ) {
    this.texts = texts;
    this.unit = o.unit;
    this.vessel = o.vessel;
    this.waterMm = o.waterMm;
    this.#temperature = o.temperature ?? 'C';
    this.#marks = o.marks ?? [];
  }

  /** Takes another vessel: what was typed keeps its meaning in mm. */
  setVessel(vessel: Vessel): void {
    this.vessel = vessel;
    this.waterMm = vessel.shoulderHeightMm;
    if (!this.rulers.includes(this.texts.ruler)) this.setRuler('mm');
  }

  /** Takes up what was being typed: under the unit that it was typed in, then under that of today. */
  takeDraft(kept: Partial<ReadingTexts>): void {
    const today = this.unit;
    this.texts = mergeTexts(this.texts, kept);
    this.unit = kept.unit ?? today;
    this.setUnit(today);
  }

  /** Glass under the inside bottom, mm. */
  get baseMm(): number {
    return this.vessel.baseThicknessMm;
  }

  /** What the ruler shows at the inside bottom, mm: taken off every height that is typed. */
  get offsetMm(): number {
    const byRuler = this.texts.ruler !== 'mL';
    return byRuler && this.texts.mode === 'heights' && this.texts.zero === 'table' ? this.baseMm : 0;
  }

  /** Height of a mL, mm: of a straight vessel everywhere, else at the middle of the water. */
  get mmPerMl(): number {
    const half = volumeToHeight(this.vessel, this.waterMm) / 2;
    return heightOfVolume(this.vessel, half + 0.5) - heightOfVolume(this.vessel, half - 0.5);
  }

  /** What half a line of the vessel's own scale stands for, mL. */
  get halfLineMl(): number {
    return (this.vessel.graduationMl ?? 1) / 2;
  }

  /** Rulers that can be read here: graduations only where the vessel has them. */
  get rulers(): ReadingEntry['ruler'][] {
    const scaled = this.vessel.kind === 'cylinder' || (this.vessel.graduationMl ?? 0) > 0;
    return scaled ? ['mL', 'mm', 'sixteenths', 'eye'] : ['mm', 'sixteenths', 'eye'];
  }

  /** Reading error of a line, mm: half a line where graduations are read. */
  get sigmaMm(): number {
    return this.texts.ruler === 'mL' ? this.halfLineMl * this.mmPerMl : rulerSigma(this.texts.ruler);
  }

  /** Where heights stand for volumes only by way of the vessel's shape. */
  get shaped(): boolean {
    return !isStraight(this.vessel);
  }

  get #scale(): Scale {
    return scaleOf(this.texts.ruler, this.unit, this.vessel);
  }

  /** A field as mm. */
  #mm(text: string): Read {
    return this.#scale.read(text);
  }

  /** A height for a field. */
  fieldText(mm: number): string {
    return this.#scale.write(mm);
  }

  /** A height for a strip of tape: `52`, `2 1/16`, or `34` mL. */
  tapeText(mm: number): string {
    return this.texts.ruler === 'mL' ? this.fieldText(mm) : tapeHeight(mm, this.fieldUnit as LengthUnit);
  }

  /** A height or thickness in a sentence, as this ruler says it. */
  say(mm: number, format: Format): string {
    return this.texts.ruler === 'mL' ? `${this.fieldText(mm)}\u00a0mL` : format.length(mm, 1);
  }

  /** The unit fields are read in. */
  get fieldUnit(): LengthUnit | 'mL' {
    return this.#scale.unit;
  }

  /** Smallest step of the ruler, mm. */
  get stepMm(): number {
    if (this.texts.ruler === 'mL') return this.halfLineMl * this.mmPerMl;
    return this.texts.ruler === 'sixteenths' ? 25.4 / 16 : 0.5;
  }

  get linesShown(): LineName[] {
    return LINE_ORDER.filter(
      (name) => !(OPTIONAL_LINES as readonly LineName[]).includes(name) || this.texts[name as 'gravel']
    );
  }

  /** Each line as read, before they are set against each other. */
  #readLines(texts: Record<LineName, string>, suffix = '') {
    const values: LayerTops = {};
    const errors: Record<string, string> = {};
    for (const name of this.linesShown) {
      const text = texts[name].trim();
      if (text === '') continue;
      const read = this.#mm(text);
      if (read.error) errors[name + suffix] = read.error;
      else if (read.value! < this.offsetMm - 1e-9)
        errors[name + suffix] = t.read.belowBase(this.fieldText(this.baseMm));
      else values[name] = Math.max(0, read.value! - this.offsetMm);
    }
    return { values, errors };
  }

  #read = $derived.by(() => this.#readLines(this.texts.lines));
  #readSecond = $derived.by(() =>
    this.texts.pair ? this.#readLines(this.texts.second, '-second') : { values: {}, errors: {} }
  );

  /** What was typed as lines over the inside bottom, mm. */
  #topsOf(values: LayerTops): LayerTops {
    if (this.texts.mode === 'heights') return values;
    const tops: LayerTops = {};
    let below = 0;
    for (const name of LINE_ORDER) {
      const thick = values[name];
      if (thick === undefined) continue;
      below = this.#onTop(below, thick);
      tops[name] = below;
    }
    return tops;
  }

  /**
   * The layer whose size follows from the two others and the whole, which all were measured: of thicknesses any, of heights
   * the clay, for the whole is its top.
   */
  get followed(): { layer: TextureLayer; mm: number } | undefined {
    const given = TEXTURE_LAYERS.filter((layer) => this.#read.values[layer] !== undefined);
    const [missing] = TEXTURE_LAYERS.filter((layer) => !given.includes(layer));
    const whole = this.#mm(this.texts.total).value;
    if (given.length !== 2 || whole === undefined || this.texts.lines[missing].trim() !== '')
      return undefined;
    if (this.texts.unplaced[missing] !== '') return undefined;
    if (this.texts.mode === 'heights' && missing !== 'clay') return undefined;
    const rest = LINE_ORDER.filter((name) => name !== 'skin' && name !== 'surface');
    const below = this.texts.mode === 'heights' ? this.#read.values.silt! : undefined;
    const others = rest.reduce((sum, name) => this.#onTop(sum, this.#read.values[name] ?? 0), 0);
    return { layer: missing, mm: this.#thickness(below ?? others, whole) };
  }

  /** The clay alone, by its thickness, of a whole: what lies under it, as one thickness, mm over the gravel. */
  get #clayAlone(): number | undefined {
    const { values } = this.#read;
    const alone = values.clay !== undefined && values.sand === undefined && values.silt === undefined;
    const whole = this.#mm(this.texts.total).value;
    if (this.texts.mode !== 'thicknesses' || !alone || whole === undefined) return undefined;
    const under = this.#thickness(this.#onTop(values.gravel ?? 0, values.clay!), whole);
    return under < 0 ? undefined : under;
  }

  /** What was typed of a first reader, with what follows from it. */
  get #values(): LayerTops {
    const { values } = this.#read;
    const alone = this.#clayAlone;
    if (alone !== undefined) return { gravel: values.gravel, silt: alone };
    const follows = this.followed;
    if (!follows || follows.mm < 0) return this.#read.values;
    const { layer, mm } = follows;
    const top = this.texts.mode === 'heights' ? this.#onTop(this.#read.values.silt!, mm) : mm;
    return { ...this.#read.values, [layer]: top };
  }

  /** Layers without a line that somebody is to be asked about. */
  get unanswered(): TextureLayer[] {
    const lines = this.#lineEntries(this.tops, this.texts.lines);
    const measuredTotal = this.texts.total.trim() === '' ? undefined : true;
    return unansweredLayers({ lines, unplaced: this.#unplaced, measuredTotal });
  }

  get #unplaced(): NonNullable<ReadingEntry['unplaced']> {
    const tops = this.tops;
    const said = TEXTURE_LAYERS.filter(
      (layer) => this.texts.unplaced[layer] !== '' && tops[layer] === undefined
    );
    return Object.fromEntries(said.map((layer) => [layer, this.texts.unplaced[layer] as Unplaced]));
  }

  /** A thickness on a height: millimetres add up, graduations add up as volumes. */
  #onTop(belowMm: number, thickMm: number): number {
    if (this.texts.ruler !== 'mL') return belowMm + thickMm;
    const ml = volumeToHeight(this.vessel, belowMm) + volumeToHeight(this.vessel, thickMm);
    return heightOfVolume(this.vessel, ml);
  }

  /** Lines over the inside bottom, mm. */
  get tops(): LayerTops {
    return this.#topsOf(this.#values);
  }

  /** The second reader's. */
  get secondTops(): LayerTops {
    return this.#topsOf(this.#readSecond.values);
  }

  /** Lines that are fuzzier than the ruler: a band instead of a line, mm. */
  get bands(): { line: LineName; topMm: number; sigmaMm: number }[] {
    return this.linesShown.flatMap((line) => {
      const [topMm, text] = [this.tops[line], this.texts.sigmas[line].trim()];
      const sigma = text === '' ? undefined : this.#mm(text).value;
      return topMm === undefined || sigma === undefined ? [] : [{ line, topMm, sigmaMm: sigma }];
    });
  }

  /** Sentences by field: line names, `line-sigma`, `line-second`, `organics`, `packing-layer`, and others by name. */
  get errors(): Record<string, string> {
    const errors: Record<string, string> = { ...this.#read.errors, ...this.#readSecond.errors };
    for (const name of this.linesShown) {
      const sigma = this.texts.sigmas[name].trim();
      const read = sigma === '' ? undefined : this.#mm(sigma);
      if (read?.error) errors[`${name}-sigma`] = read.error;
    }
    for (const [field, text, shown] of [
      ['organics', this.texts.organics, this.texts.floating],
      ['measuredTotal', this.texts.total, true]
    ] as const) {
      if (!shown || text.trim() === '') continue;
      const read = this.#mm(text);
      if (read.error) errors[field] = read.error;
    }
    for (const [layer, density] of Object.entries(this.packing)) {
      if (!(density >= 100 && density <= 2000)) errors[`packing-${layer}`] = t.mass.badPacking;
    }
    const { temp, clayFloor } = this.texts;
    const warmth = temp.trim() === '' ? undefined : readTemperature(temp, this.#temperature);
    if (warmth?.error) errors.temp = warmth.error;
    const floor = this.#number(clayFloor);
    if (floor !== undefined && !(floor >= 0.01 && floor <= 1.9)) errors.clayFloor = t.mass.badFloor;
    const follows = this.followed;
    if (follows && follows.mm < 0) errors.measuredTotal ??= t.read.wholeTooSmall;
    if (this.texts.pair && Object.keys(this.secondTops).length > 0 && this.texts.secondBy.trim() === '') {
      errors.secondBy = t.read.whoNeeded;
    }
    const refuse = (work: () => void, suffix = '') => {
      try {
        work();
      } catch (problem) {
        if (!(problem instanceof RangeProblem)) throw problem;
        errors[problem.field + suffix] ??= problem.message;
      }
    };
    refuse(() => checkReading({ tops: this.tops, sigmaMm: 1 }, this.vessel));
    refuse(() => checkLineOrder(this.secondTops), '-second');
    return errors;
  }

  /** A number as typed; undefined where nothing is, NaN where it cannot be read. */
  #number(text: string): number | undefined {
    return text.trim() === '' ? undefined : Number(text.trim().replace(',', '.'));
  }

  /** Packing as it is typed, kg/m3; the usual where nothing is, NaN where it cannot be read. */
  get packing(): Packing {
    const read = (layer: 'sand' | 'silt' | 'clay') =>
      this.#number(this.texts.packing[layer]) ?? DEFAULT_PACKING[layer];
    return { sand: read('sand'), silt: read('silt'), clay: read('clay') };
  }

  /** Whether anything is assumed that is not the usual. */
  get assumesOwn(): boolean {
    const { free, packing, temp, limit, clayFloor } = this.texts;
    return free || [...Object.values(packing), temp, limit, clayFloor].some((text) => text.trim() !== '');
  }

  /** Puts the assumptions back to the usual. */
  resetAssumed(): void {
    this.texts.packing = { sand: '', silt: '', clay: '' };
    Object.assign(this.texts, { free: false, temp: '', limit: '', clayFloor: '' });
  }

  get #assumed(): ReadingEntry['assumed'] {
    if (!this.assumesOwn) return undefined;
    const typed = Object.values(this.texts.packing).some((text) => text.trim() !== '');
    const { temp, limit, clayFloor } = this.texts;
    const limitUm = SAND_LIMITS_UM.find((um) => String(um) === limit);
    const clayFloorUm = this.#number(clayFloor);
    return {
      ...(typed ? { packing: this.packing } : {}),
      ...(this.texts.free ? { hindered: false } : {}),
      ...(temp.trim() === '' ? {} : { tempC: readTemperature(temp, this.#temperature).value }),
      ...(limitUm === undefined ? {} : { limitUm }),
      ...(clayFloorUm === undefined || clayFloorUm === CLAY_FLOOR_UM ? {} : { clayFloorUm })
    };
  }

  /** The entry as it would be kept; undefined until two layers, or one and the whole, can be read without error. */
  get entry(): ReadingEntry | undefined {
    const tops = this.tops;
    const given = (['sand', 'silt', 'clay'] as const).filter((layer) => tops[layer] !== undefined);
    // One line is enough where the whole deposit was measured too: then it is one share.
    const alone = given.length === 1 && given[0] !== 'clay' && this.texts.total.trim() !== '';
    if ((given.length < 2 && !alone) || this.unanswered.length > 0) return undefined;
    if (Object.keys(this.errors).length > 0) return undefined;
    const entry: ReadingEntry = { ruler: this.texts.ruler, lines: {} };
    if (this.texts.ruler === 'mL') entry.rulerSigmaMm = this.sigmaMm;
    if (this.offsetMm > 0) entry.rulerZero = 'table';
    Object.assign(entry.lines, this.#lineEntries(tops, this.texts.lines, this.texts.sigmas));
    if (this.texts.by.trim() !== '') entry.by = this.texts.by.trim();
    const second = this.#lineEntries(this.secondTops, this.texts.second);
    if (Object.keys(second).length > 0) entry.second = { by: this.texts.secondBy.trim(), lines: second };
    if (this.texts.photoFileId !== '') entry.photoFileId = this.texts.photoFileId;
    if (this.texts.calibration) entry.calibration = { ...this.texts.calibration };
    const line = (text: string) => ({ mm: this.#mm(text).value!, text: text.trim() });
    if (this.texts.floating && this.texts.organics.trim() !== '') entry.organics = line(this.texts.organics);
    if (this.texts.total.trim() !== '') entry.measuredTotal = line(this.texts.total);
    if (this.texts.sumNote.trim() !== '') entry.sumNote = this.texts.sumNote.trim();
    if (this.texts.water !== '') entry.water = this.texts.water;
    const unplaced = this.#unplaced;
    if (Object.keys(unplaced).length > 0) entry.unplaced = unplaced;
    const assumed = this.#assumed;
    if (assumed) entry.assumed = assumed;
    return entry;
  }

  /** Lines as they are kept: the height, what was typed, and its own error where one was given. */
  #lineEntries(tops: LayerTops, texts: Record<LineName, string>, sigmas?: Record<LineName, string>) {
    const out: ReadingEntry['lines'] = {};
    for (const name of this.linesShown) {
      const mm = tops[name];
      if (mm === undefined) continue;
      const text = this.texts.mode === 'heights' ? texts[name].trim() : this.fieldText(mm);
      const sigmaText = sigmas?.[name].trim() ?? '';
      const sigma = sigmaText === '' ? undefined : this.#mm(sigmaText).value;
      const mark = sigmas && this.#marks.find((m) => m.layer === name && Math.abs(m.heightMm - mm) < SAME_MM);
      out[name] = {
        mm: mark?.heightMm ?? mm,
        text,
        ...(sigma === undefined ? {} : { sigmaMm: sigma }),
        ...(mark ? { markS: mark.timeS } : {})
      };
    }
    return out;
  }

  /** The entry as the core takes it, or why the core cannot. */
  #judged = $derived.by((): { reading?: JarReading; problem?: string } => {
    const entry = this.entry;
    if (!entry) return {};
    const reading = toJarReading(entry, this);
    try {
      judgeReading(reading, 'usda', { draws: 50 });
      return { reading };
    } catch (problem) {
      if (problem instanceof RangeProblem) return { problem: problem.message };
      throw problem;
    }
  });

  /** The reading for the core, if there is one and it holds together. */
  get reading(): JarReading | undefined {
    return this.#judged.reading;
  }

  /** What keeps the reading from being kept, in words; undefined if nothing does. */
  get problem(): string | undefined {
    if (this.reading) return undefined;
    const [open] = this.unanswered;
    const ask = open && t.read.askUnplaced(t.layer[open]);
    return Object.values(this.errors)[0] ?? ask ?? this.#judged.problem ?? t.read.needLayers;
  }

  /** Puts the top of a layer at a height; what lies above keeps its own top. */
  setTop(layer: LineName, mm: number): void {
    if ((OPTIONAL_LINES as readonly LineName[]).includes(layer)) this.texts[layer as 'gravel'] = true;
    if (this.texts.mode === 'heights') {
      this.texts.lines[layer] = this.fieldText(mm + this.offsetMm);
      return;
    }
    this.#writeLines({ ...this.tops, [layer]: mm }, this.texts.lines);
  }

  /**
   * Changes how heights are written: every line stays where it is and is written anew, unless it means the same as
   * before; what could not be read stays as it was typed.
   */
  #rewrite(change: () => void): void {
    const held = [this.tops, this.secondTops] as const;
    const meaning = () => [this.fieldUnit, this.texts.mode, this.offsetMm].join();
    const was = meaning();
    change();
    if (meaning() === was) return;
    this.#writeLines(held[0], this.texts.lines);
    this.#writeLines(held[1], this.texts.second);
  }

  /** Changes what is typed from heights to thicknesses or back. */
  setMode(mode: EntryMode): void {
    if (mode !== this.texts.mode) this.#rewrite(() => (this.texts.mode = mode));
  }

  /** Takes another ruler. */
  setRuler(ruler: ReadingEntry['ruler']): void {
    this.#rescale(() => (this.texts.ruler = ruler));
  }

  /** Takes another unit for what is typed without one. */
  setUnit(unit: LengthUnit): void {
    this.#rescale(() => (this.unit = unit));
  }

  /**
   * Changes what figures without a unit mean. Heights are written anew; widths and wholes, which are no lines on the glass,
   * stay as typed with the unit they were typed in.
   */
  #rescale(change: () => void): void {
    const { texts } = this;
    const others = [...LINE_ORDER.map((name) => texts.sigmas[name]), texts.total, texts.organics];
    const was = this.fieldUnit;
    const read = others.map((text) => (text.trim() === '' ? undefined : this.#mm(text).value));
    this.#rewrite(change);
    const now = this.fieldUnit;
    if (now === was) return;
    const written = others.map((text, i) => {
      if (read[i] === undefined) return text;
      if (now === 'mL' || was === 'mL') return this.fieldText(read[i]);
      return BARE.test(text) ? `${text.trim()} ${was}` : text;
    });
    LINE_ORDER.forEach((name, i) => (texts.sigmas[name] = written[i]));
    [texts.total, texts.organics] = written.slice(LINE_ORDER.length);
  }

  /** Stands the ruler elsewhere: thicknesses stay as they are. */
  setZero(zero: RulerZero): void {
    const heights = this.texts.mode === 'heights';
    if (heights) this.#rewrite(() => (this.texts.zero = zero));
    else this.texts.zero = zero;
  }

  #writeLines(tops: LayerTops, texts: Record<LineName, string>): void {
    let below = 0;
    for (const name of LINE_ORDER) {
      const top = tops[name];
      if (top === undefined) continue;
      if (this.texts.mode === 'heights') texts[name] = this.fieldText(top + this.offsetMm);
      else {
        texts[name] = this.#thicknessText(below, top);
        below = Math.max(below, top);
      }
    }
  }

  /** What lies between two heights as a thickness: millimetres, or for graduations the height that its volume has alone. */
  #thickness(belowMm: number, topMm: number): number {
    if (this.texts.ruler !== 'mL') return topMm - belowMm;
    const ml = volumeToHeight(this.vessel, topMm) - volumeToHeight(this.vessel, belowMm);
    return ml < 0 ? topMm - belowMm : heightOfVolume(this.vessel, ml);
  }

  #thicknessText(belowMm: number, topMm: number): string {
    if (this.texts.ruler !== 'mL') return this.fieldText(Math.max(0, topMm - belowMm));
    const ml = volumeToHeight(this.vessel, topMm) - volumeToHeight(this.vessel, belowMm);
    return String(Math.round(10 * Math.max(0, ml)) / 10);
  }

  /** Range a tape can be dragged in: between its neighbours, mm. */
  limits(layer: LineName, highestMm: number): { low: number; high: number } {
    const at = LINE_ORDER.indexOf(layer);
    const tops = this.tops;
    const below = LINE_ORDER.slice(0, at).map((l) => tops[l] ?? 0);
    const above = LINE_ORDER.slice(at + 1).map((l) => tops[l] ?? highestMm);
    return { low: Math.max(0, ...below), high: Math.min(highestMm, ...above) };
  }
}

/** A height for a strip of tape: `52`, or `2 1/16`. */
function tapeHeight(mm: number, unit: LengthUnit): string {
  if (unit === 'in') return lengthForField(mm, 'in');
  return String(Math.round(fromMm(mm, unit) * 10) / 10);
}
