import {
  judgeReading,
  LINE_ORDER,
  outcomeOf,
  type JarReading,
  type LayerTops,
  type LengthUnit,
  type LineName,
  type Vessel,
  known
} from '$lib/core';
import { toJarReading } from '$lib/contract/reading';
import type { ReadingEntry } from '$lib/contract/records/reading';
import { t } from '$lib/words';
import { mergeTexts, OPTIONAL_LINES, type EntryMode, type ReadingTexts, type RulerZero } from './texts';
import type { MeasuredLine } from './ruler.svelte';
import { TypedLines } from './typed.svelte';

/** A length without a unit. */
const BARE = /^[\d\s.,/]+$/;

/** A reading as it is being made: what was typed becomes an entry, and moves with the tape, the ruler and the unit. */
export class ReadingForm extends TypedLines {
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
    Object.assign(entry.lines, this.lineEntries(tops, this.texts.lines, this.texts.sigmas));
    if (this.texts.by.trim() !== '') entry.by = this.texts.by.trim();
    const second = this.lineEntries(this.secondTops, this.texts.second);
    if (Object.keys(second).length > 0) entry.second = { by: this.texts.secondBy.trim(), lines: second };
    if (this.texts.photoFileId !== '') entry.photoFileId = this.texts.photoFileId;
    if (this.texts.calibration) entry.calibration = { ...this.texts.calibration };
    const line = (text: string) => ({
      mm: known(this.inMm(text).value, 'what is wrong was named before this is asked'),
      text: text.trim()
    });
    if (this.texts.floating && this.texts.organics.trim() !== '') entry.organics = line(this.texts.organics);
    if (this.texts.total.trim() !== '') entry.measuredTotal = line(this.texts.total);
    if (this.texts.sumNote.trim() !== '') entry.sumNote = this.texts.sumNote.trim();
    if (this.texts.water !== '') entry.water = this.texts.water;
    const unplaced = this.unplaced;
    if (Object.keys(unplaced).length > 0) entry.unplaced = unplaced;
    return entry;
  }

  /** The entry as the core takes it, or why the core cannot. */
  #judged = $derived.by((): { reading?: JarReading; problem?: string } => {
    const entry = this.entry;
    if (!entry) return {};
    const reading = toJarReading(entry, this);
    const { problem } = outcomeOf(() => judgeReading(reading, 'usda', { draws: 50 }));
    return problem ? { problem: problem.message } : { reading };
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

  /** Takes lines over that were found in a picture or a film; what they do not name stays. */
  takeLines(lines: readonly MeasuredLine[]): void {
    this.setMode('heights');
    const rising = [...lines].sort((a, b) => a.heightMm - b.heightMm);
    for (const { name, heightMm, sigmaMm } of rising) {
      this.setTop(name, heightMm);
      if (sigmaMm !== undefined) this.texts.sigmas[name] = `${sigmaMm.toFixed(2)} mm`;
    }
    this.measured = [...this.measured, ...rising];
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
    const { tops, secondTops } = this;
    const meaning = () => [this.fieldUnit, this.texts.mode, this.offsetMm].join();
    const was = meaning();
    change();
    if (meaning() === was) return;
    this.#writeLines(tops, this.texts.lines);
    this.#writeLines(secondTops, this.texts.second);
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
    const read = others.map((text) => (text.trim() === '' ? undefined : this.inMm(text).value));
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
        texts[name] = this.thicknessText(below, top);
        below = Math.max(below, top);
      }
    }
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
