import {
  fromMm,
  LAYER_ORDER,
  lengthForField,
  RangeProblem,
  checkReading,
  workOutReading,
  type JarReading,
  type LayerName,
  type LayerTops,
  type LengthUnit,
  type Vessel
} from '$lib/core';
import { toJarReading } from '$lib/contract/reading';
import type { ReadingEntry } from '$lib/contract/records';
import { readLength } from '../fields/read';
import { t } from '../strings';

export type EntryMode = 'heights' | 'thicknesses';
/** Where the ruler stands: its zero at the inside bottom, or on the table beside the glass. */
export type RulerZero = 'inside' | 'table';

/** What is typed in the form, all as text, so that a draft keeps it to the letter. */
export type ReadingTexts = {
  ruler: ReadingEntry['ruler'];
  zero: RulerZero;
  mode: EntryMode;
  lines: Record<LayerName, string>;
  sigmas: Record<LayerName, string>;
  organics: string;
  total: string;
  sumNote: string;
  /** Optional lines that were asked for. */
  gravel: boolean;
  floating: boolean;
};

const EMPTY = { gravel: '', sand: '', silt: '', clay: '' };

/** A blank form. */
export function blankTexts(ruler: ReadingEntry['ruler']): ReadingTexts {
  return {
    ruler,
    zero: 'inside',
    mode: 'heights',
    lines: { ...EMPTY },
    sigmas: { ...EMPTY },
    organics: '',
    total: '',
    sumNote: '',
    gravel: false,
    floating: false
  };
}

/** The form of a reading that was kept. */
export function textsOf(entry: ReadingEntry, unit: LengthUnit): ReadingTexts {
  const out = blankTexts(entry.ruler);
  out.zero = entry.rulerZero ?? 'inside';
  for (const layer of LAYER_ORDER) {
    const line = entry.lines[layer];
    if (!line) continue;
    out.lines[layer] = line.text || lengthForField(line.mm, unit);
    if (line.sigmaMm !== undefined) out.sigmas[layer] = lengthForField(line.sigmaMm, unit);
  }
  out.organics = entry.organics?.text ?? '';
  out.total = entry.measuredTotal?.text ?? '';
  out.sumNote = entry.sumNote ?? '';
  out.gravel = entry.lines.gravel !== undefined;
  out.floating = entry.organics !== undefined;
  return out;
}

/** A reading as it is being made: text in, tops, errors and an entry out. */
export class ReadingForm {
  texts: ReadingTexts = $state(blankTexts('mm'));
  unit: LengthUnit = $state('mm');
  readonly vessel: Pick<Vessel, 'innerHeightMm' | 'baseThicknessMm'>;

  constructor(texts: ReadingTexts, unit: LengthUnit, vessel: ReadingForm['vessel']) {
    this.texts = texts;
    this.unit = unit;
    this.vessel = vessel;
  }

  /** Glass under the inside bottom, mm. */
  get baseMm(): number {
    return this.vessel.baseThicknessMm;
  }

  /** What the ruler shows at the inside bottom, mm: taken off every height that is typed. */
  get offsetMm(): number {
    return this.texts.mode === 'heights' && this.texts.zero === 'table' ? this.baseMm : 0;
  }

  /** The unit fields are read in: a ruler in sixteenths is an inch ruler whatever the profile says. */
  get fieldUnit(): LengthUnit {
    if (this.texts.ruler === 'sixteenths') return 'in';
    return this.unit === 'in' ? 'mm' : this.unit;
  }

  /** Smallest step of the ruler, mm. */
  get stepMm(): number {
    return this.texts.ruler === 'sixteenths' ? 25.4 / 16 : 0.5;
  }

  get layersShown(): LayerName[] {
    return LAYER_ORDER.filter((layer) => layer !== 'gravel' || this.texts.gravel);
  }

  /** Each line as read, before they are set against each other. */
  #read = $derived.by(() => {
    const values: Partial<Record<LayerName, number>> = {};
    const errors: Record<string, string> = {};
    for (const layer of this.layersShown) {
      const text = this.texts.lines[layer].trim();
      if (text !== '') {
        const read = readLength(text, this.fieldUnit);
        if (read.error) errors[layer] = read.error;
        else if (read.value! < this.offsetMm - 1e-9)
          errors[layer] = t.read.belowBase(lengthForField(this.baseMm, this.fieldUnit));
        else values[layer] = Math.max(0, read.value! - this.offsetMm);
      }
      const sigma = this.texts.sigmas[layer].trim();
      if (sigma !== '') {
        const read = readLength(sigma, this.fieldUnit);
        if (read.error) errors[`${layer}-sigma`] = read.error;
      }
    }
    return { values, errors };
  });

  /** Layer tops over the inside bottom, mm. */
  get tops(): LayerTops {
    const { values } = this.#read;
    if (this.texts.mode === 'heights') return values;
    const tops: LayerTops = {};
    let below = 0;
    for (const layer of LAYER_ORDER) {
      const thick = values[layer];
      if (thick === undefined) continue;
      below += thick;
      tops[layer] = below;
    }
    return tops;
  }

  /** Sentences by field: layer names, `layer-sigma`, `organics`, `measuredTotal`. */
  get errors(): Record<string, string> {
    const errors = { ...this.#read.errors };
    for (const [field, text, shown] of [
      ['organics', this.texts.organics, this.texts.floating],
      ['measuredTotal', this.texts.total, true]
    ] as const) {
      if (!shown || text.trim() === '') continue;
      const read = readLength(text, this.fieldUnit);
      if (read.error) errors[field] = read.error;
    }
    try {
      checkReading({ tops: this.tops, sigmaMm: 1 }, this.vessel.innerHeightMm);
    } catch (problem) {
      if (!(problem instanceof RangeProblem)) throw problem;
      errors[problem.field] ??= problem.message;
    }
    return errors;
  }

  /** The entry as it would be kept; undefined until two layers can be read without error. */
  get entry(): ReadingEntry | undefined {
    const tops = this.tops;
    const given = (['sand', 'silt', 'clay'] as const).filter((layer) => tops[layer] !== undefined);
    if (given.length < 2 || Object.keys(this.errors).length > 0) return undefined;
    const entry: ReadingEntry = { ruler: this.texts.ruler, lines: {} };
    if (this.offsetMm > 0) entry.rulerZero = 'table';
    for (const layer of this.layersShown) {
      const mm = tops[layer];
      if (mm === undefined) continue;
      const text =
        this.texts.mode === 'heights' ? this.texts.lines[layer].trim() : lengthForField(mm, this.fieldUnit);
      const sigmaText = this.texts.sigmas[layer].trim();
      const sigma = sigmaText === '' ? undefined : readLength(sigmaText, this.fieldUnit).value;
      entry.lines[layer] = { mm, text, ...(sigma === undefined ? {} : { sigmaMm: sigma }) };
    }
    const line = (text: string) => ({ mm: readLength(text, this.fieldUnit).value!, text: text.trim() });
    if (this.texts.floating && this.texts.organics.trim() !== '') entry.organics = line(this.texts.organics);
    if (this.texts.total.trim() !== '') entry.measuredTotal = line(this.texts.total);
    if (this.texts.sumNote.trim() !== '') entry.sumNote = this.texts.sumNote.trim();
    return entry;
  }

  /** The entry as the core takes it, or why the core cannot. */
  #judged = $derived.by((): { reading?: JarReading; problem?: string } => {
    const entry = this.entry;
    if (!entry) return {};
    const reading = toJarReading(entry);
    try {
      workOutReading(reading, 'usda', { draws: 50 });
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
    return Object.values(this.errors)[0] ?? this.#judged.problem ?? t.read.needLayers;
  }

  /** Puts the top of a layer at a height; what lies above keeps its own top. */
  setTop(layer: LayerName, mm: number): void {
    if (layer === 'gravel') this.texts.gravel = true;
    if (this.texts.mode === 'heights') {
      this.#write(layer, mm);
      return;
    }
    const tops = { ...this.tops, [layer]: mm };
    this.#writeThicknesses(tops);
  }

  /** Changes what is typed from heights to thicknesses or back; the layers stay where they are. */
  setMode(mode: EntryMode): void {
    if (mode === this.texts.mode) return;
    const tops = this.tops;
    const typed = { ...this.texts.lines };
    this.texts.mode = mode;
    if (mode === 'thicknesses') this.#writeThicknesses(tops);
    else for (const layer of LAYER_ORDER) this.#write(layer, tops[layer]);
    // What could not be read stays as it was typed.
    for (const layer of LAYER_ORDER) if (tops[layer] === undefined) this.texts.lines[layer] = typed[layer];
  }

  /** Takes another ruler: numbers without a unit are written anew so that they keep their meaning. */
  setRuler(ruler: ReadingEntry['ruler']): void {
    const tops = this.tops;
    const mode = this.texts.mode;
    this.texts.ruler = ruler;
    if (mode === 'thicknesses') this.#writeThicknesses(tops);
    else for (const layer of LAYER_ORDER) if (tops[layer] !== undefined) this.#write(layer, tops[layer]);
  }

  /** Stands the ruler elsewhere: the layers stay, the heights are written anew. */
  setZero(zero: RulerZero): void {
    const tops = this.tops;
    this.texts.zero = zero;
    if (this.texts.mode === 'thicknesses') return;
    for (const layer of LAYER_ORDER) if (tops[layer] !== undefined) this.#write(layer, tops[layer]);
  }

  #writeThicknesses(tops: LayerTops): void {
    let below = 0;
    for (const layer of LAYER_ORDER) {
      const top = tops[layer];
      if (top === undefined) continue;
      this.#write(layer, Math.max(0, top - below));
      below = Math.max(below, top);
    }
  }

  #write(layer: LayerName, mm: number | undefined): void {
    this.texts.lines[layer] = mm === undefined ? '' : lengthForField(mm + this.offsetMm, this.fieldUnit);
  }

  /** Range a tape can be dragged in: between its neighbours, mm. */
  limits(layer: LayerName, highestMm: number): { low: number; high: number } {
    const at = LAYER_ORDER.indexOf(layer);
    const tops = this.tops;
    const below = LAYER_ORDER.slice(0, at).map((l) => tops[l] ?? 0);
    const above = LAYER_ORDER.slice(at + 1).map((l) => tops[l] ?? highestMm);
    return { low: Math.max(0, ...below), high: Math.min(highestMm, ...above) };
  }
}

/** A height for a strip of tape: `52`, or `2 1/16`. */
export function tapeHeight(mm: number, unit: LengthUnit): string {
  if (unit === 'in') return lengthForField(mm, 'in');
  return String(Math.round(fromMm(mm, unit) * 10) / 10);
}

/** Name of a layer on its tape with its height. */
export function tapeLabel(layer: LayerName, mm: number, unit: LengthUnit): string {
  return `${t.layer[layer]} ${tapeHeight(mm, unit)}`;
}
