import {
  fromMm,
  heightOfVolume,
  isStraight,
  lengthForField,
  LINE_ORDER,
  UNKNOWN_VESSEL,
  volumeToHeight,
  type LengthUnit,
  type LineName,
  type Vessel
} from '$lib/core';
import { rulerSigma } from '$lib/contract/reading';
import type { ReadingEntry } from '$lib/contract/records/reading';
import type { Format } from '$lib/words/format';
import type { Read } from '../fields/read';
import { scaleOf, type Scale } from './scale';
import { blankTexts, OPTIONAL_LINES, type ReadingTexts } from './texts';

/**
 * A line whose height is known as a number, mm over the inside bottom: a timed mark with when it was made, s after set-down;
 * or found in a picture or a film, with its standard error where there is one.
 */
export type MeasuredLine = { name: LineName; heightMm: number; timeS?: number; sigmaMm?: number };

/** What is typed, and how the ruler that it was read with turns it into millimetres and back. */
export class RulerReading {
  texts: ReadingTexts = $state(blankTexts('mm'));
  unit: LengthUnit = $state('mm');
  vessel: Vessel = $state.raw(UNKNOWN_VESSEL);
  waterMm = $state(0);
  protected readonly temperature: 'C' | 'F';
  /** A line that is one of these keeps its height to the last digit: its field shows it rounded. */
  protected measured: readonly MeasuredLine[] = $state.raw([]);

  constructor(
    texts: ReadingTexts,
    o: {
      unit: LengthUnit;
      temperature?: 'C' | 'F';
      vessel: Vessel;
      waterMm: number;
      /** Marks of the run: a line that is one of them keeps its height and its time. */
      measured?: readonly MeasuredLine[];
    }
  ) {
    this.texts = texts;
    this.unit = o.unit;
    this.vessel = o.vessel;
    this.waterMm = o.waterMm;
    this.temperature = o.temperature ?? 'C';
    this.measured = o.measured ?? [];
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

  protected get scale(): Scale {
    return scaleOf(this.texts.ruler, this.unit, this.vessel);
  }

  /** A field as mm. */
  protected inMm(text: string): Read {
    return this.scale.read(text);
  }

  /** A height for a field. */
  fieldText(mm: number): string {
    return this.scale.write(mm);
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
    return this.scale.unit;
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

  /** A thickness on a height: millimetres add up, graduations add up as volumes. */
  protected onTop(belowMm: number, thickMm: number): number {
    if (this.texts.ruler !== 'mL') return belowMm + thickMm;
    const ml = volumeToHeight(this.vessel, belowMm) + volumeToHeight(this.vessel, thickMm);
    return heightOfVolume(this.vessel, ml);
  }

  /** What lies between two heights as a thickness: millimetres, or for graduations the height that its volume has alone. */
  protected thickness(belowMm: number, topMm: number): number {
    if (this.texts.ruler !== 'mL') return topMm - belowMm;
    const ml = volumeToHeight(this.vessel, topMm) - volumeToHeight(this.vessel, belowMm);
    return ml < 0 ? topMm - belowMm : heightOfVolume(this.vessel, ml);
  }

  protected thicknessText(belowMm: number, topMm: number): string {
    if (this.texts.ruler !== 'mL') return this.fieldText(Math.max(0, topMm - belowMm));
    const ml = volumeToHeight(this.vessel, topMm) - volumeToHeight(this.vessel, belowMm);
    return String(Math.round(10 * Math.max(0, ml)) / 10);
  }
}

/** A height for a strip of tape: `52`, or `2 1/16`. */
function tapeHeight(mm: number, unit: LengthUnit): string {
  if (unit === 'in') return lengthForField(mm, 'in');
  return String(Math.round(fromMm(mm, unit) * 10) / 10);
}
