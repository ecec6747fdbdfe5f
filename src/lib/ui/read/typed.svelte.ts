import {
  checkLineOrder,
  checkReading,
  LINE_ORDER,
  outcomeOf,
  type LayerTops,
  type LineName
} from '$lib/core';
import type { ReadingEntry, Unplaced } from '$lib/contract/records/reading';
import { TEXTURE_LAYERS, unansweredLayers, type TextureLayer } from '$lib/workbench/layers';
import { t } from '$lib/words';
import { RulerReading } from './ruler.svelte';

/** Heights that differ by less are one, mm: what stands in a field is rounded to a tenth. */
const SAME_MM = 0.06;

/** What was typed as lines over the inside bottom, what follows from it, and what is wrong with it, field by field. */
export class TypedLines extends RulerReading {
  /** Each line as read, before they are set against each other. */
  protected readLines(texts: Record<LineName, string>, suffix = '') {
    const values: LayerTops = {};
    const errors: Record<string, string> = {};
    for (const name of this.linesShown) {
      const text = texts[name].trim();
      if (text === '') continue;
      const read = this.inMm(text);
      if (read.value === undefined) errors[name + suffix] = read.error;
      else if (read.value < this.offsetMm - 1e-9)
        errors[name + suffix] = t.read.belowBase(this.fieldText(this.baseMm));
      else values[name] = Math.max(0, read.value - this.offsetMm);
    }
    return { values, errors };
  }

  protected firstRead = $derived.by(() => this.readLines(this.texts.lines));
  protected secondRead = $derived.by(() =>
    this.texts.pair ? this.readLines(this.texts.second, '-second') : { values: {}, errors: {} }
  );

  /** What was typed as lines over the inside bottom, mm. */
  protected topsOf(values: LayerTops): LayerTops {
    if (this.texts.mode === 'heights') return values;
    const tops: LayerTops = {};
    let below = 0;
    for (const name of LINE_ORDER) {
      const thick = values[name];
      if (thick === undefined) continue;
      below = this.onTop(below, thick);
      tops[name] = below;
    }
    return tops;
  }

  /**
   * The layer whose size follows from the two others and the whole, which all were measured: of thicknesses any, of heights
   * the clay, for the whole is its top.
   */
  get followed(): { layer: TextureLayer; mm: number } | undefined {
    const given = TEXTURE_LAYERS.filter((layer) => this.firstRead.values[layer] !== undefined);
    const [missing] = TEXTURE_LAYERS.filter((layer) => !given.includes(layer));
    const totalMm = this.inMm(this.texts.total).value;
    if (given.length !== 2 || totalMm === undefined || this.texts.lines[missing].trim() !== '')
      return undefined;
    if (this.texts.unplaced[missing] !== '') return undefined;
    if (this.texts.mode === 'heights' && missing !== 'clay') return undefined;
    const rest = LINE_ORDER.filter((name) => name !== 'skin' && name !== 'surface');
    const below = this.texts.mode === 'heights' ? this.firstRead.values.silt : undefined;
    const others = rest.reduce((sum, name) => this.onTop(sum, this.firstRead.values[name] ?? 0), 0);
    return { layer: missing, mm: this.thickness(below ?? others, totalMm) };
  }

  /** The clay alone, by its thickness, of a whole: what lies under it, as one thickness, mm over the gravel. */
  protected get clayAlone(): number | undefined {
    const { values } = this.firstRead;
    const totalMm = this.inMm(this.texts.total).value;
    if (this.texts.mode !== 'thicknesses' || totalMm === undefined) return undefined;
    if (values.clay === undefined || values.sand !== undefined || values.silt !== undefined) return undefined;
    const under = this.thickness(this.onTop(values.gravel ?? 0, values.clay), totalMm);
    return under < 0 ? undefined : under;
  }

  /** What was typed of a first reader, with what follows from it. */
  protected get values(): LayerTops {
    const { values } = this.firstRead;
    const alone = this.clayAlone;
    if (alone !== undefined) return { gravel: values.gravel, silt: alone };
    const follows = this.followed;
    if (!follows || follows.mm < 0) return this.firstRead.values;
    const { layer, mm } = follows;
    const under = this.firstRead.values.silt;
    const top = this.texts.mode === 'heights' && under !== undefined ? this.onTop(under, mm) : mm;
    return { ...this.firstRead.values, [layer]: top };
  }

  /** Lines over the inside bottom, mm. */
  get tops(): LayerTops {
    return this.topsOf(this.values);
  }

  /** The second reader's. */
  get secondTops(): LayerTops {
    return this.topsOf(this.secondRead.values);
  }

  /** Lines that are fuzzier than the ruler: a band instead of a line, mm. */
  get bands(): { line: LineName; topMm: number; sigmaMm: number }[] {
    return this.linesShown.flatMap((line) => {
      const [topMm, text] = [this.tops[line], this.texts.sigmas[line].trim()];
      const sigma = text === '' ? undefined : this.inMm(text).value;
      return topMm === undefined || sigma === undefined ? [] : [{ line, topMm, sigmaMm: sigma }];
    });
  }

  protected get unplaced(): NonNullable<ReadingEntry['unplaced']> {
    const tops = this.tops;
    const said = TEXTURE_LAYERS.filter(
      (layer) => this.texts.unplaced[layer] !== '' && tops[layer] === undefined
    );
    return Object.fromEntries(said.map((layer) => [layer, this.texts.unplaced[layer] as Unplaced]));
  }

  /** Layers without a line that somebody is to be asked about. */
  get unanswered(): TextureLayer[] {
    const lines = this.lineEntries(this.tops, this.texts.lines);
    const measuredTotal = this.texts.total.trim() === '' ? undefined : true;
    return unansweredLayers({ lines, unplaced: this.unplaced, measuredTotal });
  }

  /** Lines as they are kept: the height, what was typed, and its own error where one was given. */
  protected lineEntries(tops: LayerTops, texts: Record<LineName, string>, sigmas?: Record<LineName, string>) {
    const out: ReadingEntry['lines'] = {};
    for (const name of this.linesShown) {
      const mm = tops[name];
      if (mm === undefined) continue;
      const text = this.texts.mode === 'heights' ? texts[name].trim() : this.fieldText(mm);
      const sigmaText = sigmas?.[name].trim() ?? '';
      const sigma = sigmaText === '' ? undefined : this.inMm(sigmaText).value;
      const same =
        sigmas && this.measured.findLast((m) => m.name === name && Math.abs(m.heightMm - mm) < SAME_MM);
      out[name] = {
        mm: same?.heightMm ?? mm,
        text,
        ...(sigma === undefined ? {} : { sigmaMm: sigma }),
        ...(same?.timeS === undefined ? {} : { markS: same.timeS })
      };
    }
    return out;
  }

  /** Sentences by field: line names, `line-sigma`, `line-second`, `organics`, and others by name. */
  get errors(): Record<string, string> {
    const errors: Record<string, string> = { ...this.firstRead.errors, ...this.secondRead.errors };
    for (const name of this.linesShown) {
      const sigma = this.texts.sigmas[name].trim();
      const read = sigma === '' ? undefined : this.inMm(sigma);
      if (read?.error) errors[`${name}-sigma`] = read.error;
    }
    for (const [field, text, shown] of [
      ['organics', this.texts.organics, this.texts.floating],
      ['measuredTotal', this.texts.total, true]
    ] as const) {
      if (!shown || text.trim() === '') continue;
      const read = this.inMm(text);
      if (read.error) errors[field] = read.error;
    }
    const follows = this.followed;
    if (follows && follows.mm < 0) errors.measuredTotal ??= t.read.wholeTooSmall;
    if (this.texts.pair && Object.keys(this.secondTops).length > 0 && this.texts.secondBy.trim() === '') {
      errors.secondBy = t.read.whoNeeded;
    }
    const refuse = (work: () => void, suffix = '') => {
      const { problem } = outcomeOf(work);
      if (problem) errors[problem.field + suffix] ??= problem.message;
    };
    refuse(() => checkReading({ tops: this.tops, sigmaMm: 1 }, this.vessel));
    refuse(() => checkLineOrder(this.secondTops), '-second');
    return errors;
  }
}
