import { MM_PER } from './length.ts';

/** A rate with the digits it deserves, without its unit. @param mmH mm/h */
export function formatRate(mmH: number): string {
  if (mmH === 0) return '0';
  if (mmH < 1) return mmH.toPrecision(1);
  return mmH < 10 ? mmH.toFixed(1) : Math.round(mmH).toLocaleString('en-GB');
}

/** The same in inches an hour. @example formatInchRate(38) // '1.5' */
export function formatInchRate(mmH: number): string {
  const inches = mmH / MM_PER.in;
  if (inches >= 10) return Math.round(inches).toLocaleString('en-GB');
  if (inches > 0 && inches < 0.01) return 'under 0.01';
  return inches.toFixed(inches < 1 ? 2 : 1);
}
