/** Units of volume in the profile. */
export type VolumeUnit = 'L' | 'gal';

const ML_PER_TEASPOON = 4.92892;
const ML_PER_US_QUART = 946.353;

/** A water volume for display: litres, or US quarts for people who work in gallons. */
export function formatVolume(ml: number, unit: VolumeUnit): string {
  if (unit === 'gal') return `${(ml / ML_PER_US_QUART).toFixed(2)} qt`;
  return ml >= 1000 ? `${(ml / 1000).toFixed(2)} L` : `${Math.round(ml)} mL`;
}

/** A dose for display: mL, or teaspoons to the nearest quarter beside the mL. */
export function formatDose(ml: number, unit: VolumeUnit): string {
  const plain = `${ml < 10 ? ml.toFixed(1).replace(/\.0$/, '') : Math.round(ml)} mL`;
  if (unit === 'L') return plain;
  const quarters = Math.max(1, Math.round((ml / ML_PER_TEASPOON) * 4));
  const wholes = Math.floor(quarters / 4);
  const rest = ['', '1/4', '1/2', '3/4'][quarters % 4];
  return `${[wholes || '', rest].filter(Boolean).join(' ')} tsp (${plain})`;
}
