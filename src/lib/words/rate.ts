/** A rate in mm an hour with the digits it deserves. */
export function rateText(mmH: number): string {
  if (mmH === 0) return '0';
  if (mmH < 1) return mmH.toPrecision(1);
  return mmH < 10 ? mmH.toFixed(1) : Math.round(mmH).toLocaleString('en-GB');
}

const MM_IN = 25.4;

/** The same in inches an hour. */
export function inchesAnHour(mmH: number): string {
  const inches = mmH / MM_IN;
  if (inches >= 10) return Math.round(inches).toLocaleString('en-GB');
  if (inches > 0 && inches < 0.01) return 'under 0.01';
  return inches.toFixed(inches < 1 ? 2 : 1);
}
