import type { LengthUnit, Method, TimedMark } from '$lib/core';
import { t } from '$lib/words';
import type { Profile } from '$lib/words/profile';
import { readAfter } from '../fields/after';
import { readLength, readNumber, readTemperature } from '$lib/workbench/entry/figure';
import { readMoment } from '../fields/time';

/** What is typed of a field sheet: all as it stands on the paper. */
export type SheetTexts = {
  setDown: string;
  /** Times and heights of marks, by their layer; times of readings, by their number. */
  after: Record<string, string>;
  height: Record<string, string>;
  /** Figures and temperatures of instrument readings, by their number. */
  value: Record<string, string>;
  temp: Record<string, string>;
};

export const blankSheet = (): SheetTexts => ({ setDown: '', after: {}, height: {}, value: {}, temp: {} });

/** A mark of the sheet: when it was made and how high it stands, as far as it is written down. */
export type SheetMark = {
  mark: TimedMark;
  /** Seconds after set-down. */
  afterS?: number;
  height?: { mm: number; text: string };
};

/** A reading of an instrument on the sheet; one that was not written down is not kept. */
export type SheetReading = {
  no: number;
  /** The time asked for, s, and the one that counts. */
  askedS: number;
  written: boolean;
  afterS?: number;
  /** Null for a moment without a figure. */
  value: number | null;
  tempC?: number;
};

/** A field sheet as it was read, and a sentence beside each field that is wrong: `setDown`, `after-sand`, `value-0`. */
export type Sheet = {
  setDownAt?: number;
  marks: SheetMark[];
  readings: SheetReading[];
  errors: Record<string, string>;
};

/**
 * Reads a field sheet.
 *
 * @param o.tempC warmth that was set, where none was written down
 * @param o.now nothing on a sheet is later, ms
 */
export function readSheet(
  texts: SheetTexts,
  o: {
    method: Pick<Method, 'marks' | 'readings'>;
    length: LengthUnit;
    temperature: Profile['temperature'];
    tempC: number;
    now: number;
  }
): Sheet {
  const errors: Record<string, string> = {};
  const setDownAt = readMoment(texts.setDown);
  if (setDownAt !== undefined && setDownAt > o.now) errors.setDown = t.paper.future;
  const written = (from: Record<string, string>, key: string | number) => (from[key] ?? '').trim();
  const tooLate = (afterS: number) => setDownAt !== undefined && setDownAt + afterS * 1000 > o.now;

  let last = 0;
  const marks = o.method.marks.map((mark): SheetMark => {
    const { layer } = mark;
    const [after, text] = [written(texts.after, layer), written(texts.height, layer)];
    const time = after === '' ? undefined : readAfter(after, { setDownAt, askedS: mark.atS });
    const height = text === '' ? undefined : readLength(text, o.length);
    if (height?.error) errors[`height-${layer}`] = height.error;
    if (height && !time) errors[`after-${layer}`] = t.paper.needTime;
    if (time?.error) errors[`after-${layer}`] = time.error;
    if (time?.value !== undefined) {
      if (time.value <= last) errors[`after-${layer}`] = t.paper.order;
      else if (tooLate(time.value)) errors[`after-${layer}`] = t.paper.future;
      last = time.value;
    }
    return {
      mark,
      afterS: time?.value,
      ...(height?.value === undefined ? {} : { height: { mm: height.value, text } })
    };
  });

  const readings = (o.method.readings ?? []).map((reading, no): SheetReading => {
    const askedS = reading.atS ?? 0;
    const [after, value, temp] = [texts.after, texts.value, texts.temp].map((from) => written(from, no));
    // The time asked for counts where none was written down.
    const time = after === '' ? { value: askedS } : readAfter(after, { setDownAt, askedS });
    const figure = value === '' ? null : readNumber(value);
    const warmth = temp === '' ? { value: o.tempC } : readTemperature(temp, o.temperature);
    const isWritten = after !== '' || value !== '';
    if (isWritten) {
      if ('error' in time && time.error) errors[`after-${no}`] = time.error;
      else if (time.value !== undefined && tooLate(time.value)) errors[`after-${no}`] = t.paper.future;
      if (figure !== null && Number.isNaN(figure)) {
        errors[`value-${no}`] = t.cylinder.number(t.cylinder.valueOf(no + 1).toLowerCase());
      }
      if ('error' in warmth && warmth.error) errors[`temp-${no}`] = warmth.error;
    }
    return { no, askedS, written: isWritten, afterS: time.value, value: figure, tempC: warmth.value };
  });
  return { setDownAt, marks, readings, errors };
}
