import {
  fromMm,
  lengthForField,
  LINE_ORDER,
  UNKNOWN_VESSEL,
  type JarReading,
  type LayerTops,
  type LengthUnit,
  type LineName,
  type Vessel
} from '$lib/core';
import type { Figures, ReadingEntry, Ruler, Way } from '$lib/contract/records/reading';
import { linesShown, readEntry } from '$lib/workbench/entry/read-entry';
import { meanTheSame, rewritten, withTop, type View } from '$lib/workbench/entry/rewrite';
import {
  halfLineMl,
  isShaped,
  mmPerMl,
  offsetOf,
  rulerFor,
  rulersOf,
  scaleOf,
  type ReadGlass,
  type RulerZero
} from '$lib/workbench/entry/scale';
import { isOfShares, mergeTexts, type KeptTexts, type ReadingTexts } from '$lib/workbench/entry/texts';
import { TEXTURE_LAYERS, type TextureLayer } from '$lib/workbench/layers';
import type { Format } from '$lib/words/format';

/**
 * A line whose height is known as a number, mm over the inside bottom: found in a picture or a film, with its standard error
 * where there is one, or marked by the clock, s after set-down.
 */
export type MeasuredLine = { name: LineName; heightMm: number; timeS?: number; sigmaMm?: number };

/** A reading as it is being made: what is typed, and what follows from it. */
export class ReadingForm {
  texts: ReadingTexts = $state() as ReadingTexts;
  vessel: Vessel = $state.raw(UNKNOWN_VESSEL);
  waterMm = $state(0);
  /** As it was written before it was written in another way or unit: where it still means the same, it comes back so. */
  #before: ReadingTexts[] = [];

  constructor(texts: ReadingTexts, glass: ReadGlass) {
    this.texts = texts;
    this.vessel = glass.vessel;
    this.waterMm = glass.waterMm;
  }

  #glass = $derived<ReadGlass>({ vessel: this.vessel, waterMm: this.waterMm });
  #read = $derived(readEntry(this.texts, this.#glass));
  #scale = $derived(scaleOf(this.texts, this.#glass));

  /** Takes another vessel: what was typed stays as it was typed. */
  setVessel(vessel: Vessel): void {
    this.vessel = vessel;
    this.waterMm = vessel.shoulderHeightMm;
    if (!this.rulers.includes(this.texts.ruler)) this.setRuler(rulerFor(this.texts.unit));
  }

  /** Takes up what was being typed, in the unit that it was typed in. */
  takeDraft(kept: KeptTexts): void {
    this.texts = mergeTexts(this.texts, kept);
  }

  /** The entry as it would be kept; undefined until it can be read without error. */
  get entry(): ReadingEntry | undefined {
    return this.#read.entry;
  }

  /** The reading for the core, if there is one and it holds together. */
  get reading(): JarReading | undefined {
    return this.#read.reading;
  }

  /** What keeps the reading from being kept, in words; undefined if nothing does. */
  get problem(): string | undefined {
    return this.#read.problem;
  }

  /** What stands against an answer where enough was said for one, and no field says it; undefined while more is to come. */
  get against(): string | undefined {
    const said = TEXTURE_LAYERS.filter(
      (layer) => this.tops[layer] !== undefined || this.texts.unplaced[layer] !== ''
    );
    const beside = Object.keys(this.errors).length > 0 || this.unanswered.length > 0;
    return said.length > 1 && !beside ? this.problem : undefined;
  }

  /** Sentences by field. */
  get errors(): Record<string, string> {
    return this.#read.errors;
  }

  /** Lines over the inside bottom, mm. */
  get tops(): LayerTops {
    return this.#read.tops;
  }

  /** The second reader's. */
  get secondTops(): LayerTops {
    return this.#read.secondTops;
  }

  /** The layer that follows from the two others and the whole. */
  get followed(): { layer: TextureLayer; mm: number } | undefined {
    return this.#read.followed;
  }

  /** The share that is the rest of two. */
  get rest(): { layer: TextureLayer; pct: number } | undefined {
    return this.#read.rest;
  }

  get bands() {
    return this.#read.bands;
  }

  get unanswered(): TextureLayer[] {
    return this.#read.unanswered;
  }

  /** Set where shares are typed, and no heights. */
  get figures(): Figures | undefined {
    const { way } = this.texts;
    return isOfShares(way) ? way : undefined;
  }

  /** Glass under the inside bottom, mm. */
  get baseMm(): number {
    return this.vessel.baseThicknessMm;
  }

  /** What the ruler shows at the inside bottom, mm: taken off every height that is typed. */
  get offsetMm(): number {
    return offsetOf(this.texts, this.#glass);
  }

  get mmPerMl(): number {
    return mmPerMl(this.#glass);
  }

  get halfLineMl(): number {
    return halfLineMl(this.vessel);
  }

  get rulers(): Ruler[] {
    return rulersOf(this.vessel, this.texts.unit, this.texts.ruler);
  }

  /** Reading error of a line, mm: half a line where graduations are read. */
  get sigmaMm(): number {
    return this.#scale.sigmaMm;
  }

  /** Where heights stand for volumes only by way of the vessel's shape. */
  get shaped(): boolean {
    return isShaped(this.#glass);
  }

  /** A height for a field. */
  fieldText(mm: number): string {
    return this.#scale.write(mm);
  }

  /** A height for a strip of tape: `52`, `2 1/16`, or `34` mL. */
  tapeText(mm: number): string {
    const { unit } = this.#scale;
    if (unit === 'mL') return this.fieldText(mm);
    return unit === 'in' ? lengthForField(mm, 'in') : String(Math.round(fromMm(mm, unit) * 10) / 10);
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
    return linesShown(this.texts);
  }

  /** Takes lines over that were found in a picture or a film; what they do not name stays. */
  takeLines(lines: readonly MeasuredLine[]): void {
    this.setWay('heights');
    for (const { name, heightMm, sigmaMm, timeS } of [...lines].sort((a, b) => a.heightMm - b.heightMm)) {
      this.texts = withTop(this.#plain, name, heightMm, this.#glass, { timeS });
      if (sigmaMm !== undefined) this.texts.sigmas[name] = `${sigmaMm.toFixed(2)} mm`;
    }
  }

  /** Puts the top of a layer at a height; what lies above keeps its own top. */
  setTop(layer: LineName, mm: number): void {
    this.texts = withTop(this.#plain, layer, mm, this.#glass);
  }

  get #plain(): ReadingTexts {
    return $state.snapshot(this.texts) as ReadingTexts;
  }

  #write(to: Partial<View>): void {
    const now = this.#plain;
    const next = rewritten(now, to, this.#glass);
    this.#before = [...this.#before.filter((one) => !sameView(one, now)), now];
    const was = this.#before.find((one) => sameView(one, next) && meanTheSame(one, next, this.#glass));
    const { lines, second, sigmas, total, organics, exact } = was ?? next;
    this.texts = { ...next, lines, second, sigmas, total, organics, exact };
  }

  /** Changes what is typed: heights, thicknesses, shares by eye or somebody's numbers. */
  setWay(way: Way): void {
    if (way !== this.texts.way) this.#write({ way });
  }

  /** Takes another ruler. */
  setRuler(ruler: Ruler): void {
    this.#write({ ruler });
  }

  /** Stands the ruler elsewhere: thicknesses stay as they are. */
  setZero(zero: RulerZero): void {
    this.#write({ zero });
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

const sameView = (a: View, b: View) =>
  a.ruler === b.ruler && a.unit === b.unit && a.zero === b.zero && a.way === b.way;
