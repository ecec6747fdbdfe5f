import type { TableRecord } from './text.ts';

/** What is no test of its own in a table: the sum or the mean of others, or the units of its columns. */
export type LeftOut = { no: number; what: string };

const SUMMED =
  /^(sub ?totals?|(grand )?totals?|sums?|averages?|avg\.?|means?|medians?|st(andar)?d\.? ?(dev(iation)?|error)?\.?|min(imum)?|max(imum)?|units?|summe|mittel(wert)?)\s*:?$/i;
const UNIT = /^[([]?(%|percent|mm|cm|in|inch(es)?|"|g|kg|ml|°?c|°?f|dd[./-]mm[./-]yyyy|yyyy-mm-dd)[)\]]?$/i;

/** Why a record is no test; undefined where it may be one. */
export function summaryOf({ no, cells }: TableRecord): LeftOut | undefined {
  const filled = cells.map((cell) => cell.trim()).filter((cell) => cell !== '');
  const named = filled.find((cell) => SUMMED.test(cell));
  // Only the first word of a row names it: a soil may be called "Mean Street".
  if (named !== undefined && filled[0] === named) return { no, what: named.replace(/:$/, '') };
  if (filled.length > 1 && filled.every((cell) => UNIT.test(cell))) return { no, what: filled.join(', ') };
  return undefined;
}

/**
 * How many lines stand over the headings: titles fill one cell of a table that is wider.
 * @param records the first of a table
 */
export function titleLines(records: readonly TableRecord[]): number {
  const widths = records.map(({ cells }) => cells.filter((cell) => cell.trim() !== '').length);
  const widest = Math.max(0, ...widths);
  const from = widths.findIndex((width) => width > 1);
  return widest > 2 && from > 0 ? from : 0;
}
