import Papa from 'papaparse';
import { isoOrNull } from './values.ts';

/** What a spreadsheet would take for a formula, whatever stands in further lines of the cell. */
const FORMULA = /^[=+\-@\t\r\n]/;

/** Rows as a CSV file (RFC 4180). @param columns their order; that of the first row where it is left out */
export const csvFile = (rows: object[], columns?: string[], header = true): string =>
  Papa.unparse(rows, { header, newline: '\r\n', escapeFormulae: FORMULA, ...(columns ? { columns } : {}) }) +
  '\r\n';

/** A time in a cell, in UTC; empty where there is none. */
export const timeCell = (at: number | null): string => isoOrNull(at) ?? '';

/** A figure in a cell; empty where there is none. */
export const figureCell = (value: number | null, digits: number): string =>
  value === null ? '' : value.toFixed(digits);
