/** A rate in mm an hour with the digits it deserves. */
export function rateText(mmH: number): string {
  if (mmH === 0) return '0';
  if (mmH < 1) return mmH.toPrecision(1);
  return mmH < 10 ? mmH.toFixed(1) : Math.round(mmH).toLocaleString('en-GB');
}

const MM_IN = 25.4;

/** The same in inches an hour. */
export const inchesAnHour = (mmH: number): string =>
  mmH < 0.3 && mmH > 0 ? 'under 0.01' : (mmH / MM_IN).toFixed(mmH < 25 ? 2 : 1);
