import type { FigureId, FigurePart } from '../../core/index.ts';

/** What is judged and counted by: changing it, copying it, putting it back. */
export const profiles = {
  change: 'Change',
  copy: 'Copy',
  putBack: 'Put back as it ships',
  takeOff: 'Take off',
  version: (n: number) => `version ${n}`,
  changed: 'changed',
  own: 'your own',
  keep: 'Keep',
  back: (name: string) => `${name} is as it ships again.`,
  off: (name: string) => `${name} is taken off.`,
  copyOf: (name: string) => `${name}, another`
};

const names: Record<FigureId, { name: string; unit: string }> = {
  needMmWeek: { name: 'Need of a bed', unit: 'mm a week' },
  rootDepthMm: { name: 'Depth of the roots', unit: 'mm' },
  depletionPct: { name: 'Store that is used up', unit: '%' },
  soaksBarePct: { name: 'Soaks into bare ground', unit: '%' },
  soaksMulchedPct: { name: 'Soaks in under mulch', unit: '%' },
  standsMm: { name: 'May stand on top', unit: 'mm' },
  canL: { name: 'A watering can', unit: 'L' },
  thumbSandMm: { name: 'Sand stores, by the rule of thumb', unit: 'mm in 100 mm' },
  thumbLoamMm: { name: 'Loam stores, by the rule of thumb', unit: 'mm in 100 mm' },
  thumbClayMm: { name: 'Clay stores, by the rule of thumb', unit: 'mm in 100 mm' },
  organicWantedPct: { name: 'Organic matter wanted', unit: '%' },
  compostOrganicPct: { name: 'Organic share of dry compost', unit: '%' },
  compostMoisturePct: { name: 'Water in compost as it comes', unit: '%' },
  compostKgM3: { name: 'Compost weighs', unit: 'kg/m³' },
  barrowL: { name: 'A barrow', unit: 'L' },
  bagL: { name: 'A bag', unit: 'L' },
  mostAYearMm: { name: 'Most compost in a year', unit: 'mm' },
  bagPrice: { name: 'Price of a bag', unit: '' },
  looseKgM3: { name: 'Loose earth weighs', unit: 'kg/m³' },
  sandKgM3: { name: 'Loose sand weighs', unit: 'kg/m³' },
  bucketKg: { name: 'A bucket of earth weighs', unit: 'kg' },
  earthMoisturePct: { name: 'Water in earth as it lies, of dry', unit: '%' },
  batchBuckets: { name: 'A batch', unit: 'buckets' },
  lorryM3: { name: 'A lorry', unit: 'm³' },
  cureDays: { name: 'Plain pieces cure', unit: 'days' },
  binderCureDays: { name: 'With cement or lime they cure', unit: 'days' },
  soakDays: { name: 'Blocks lie in water', unit: 'days' },
  blockDryMpa: { name: 'A decent block holds dry', unit: 'MPa' },
  blockTypicalMpa: { name: 'A typical one holds dry', unit: 'MPa' },
  blockWetMpa: { name: 'A stabilised one holds wet', unit: 'MPa' },
  shrinkGoodPct: { name: 'It shrinks little, up to', unit: '%' },
  shrinkCracksPct: { name: 'It cracks, shrinking more than', unit: '%' },
  boreLinePct: { name: 'Sandy ground begins at', unit: '% sand' },
  boreNearPoints: { name: 'Near the line is within', unit: 'points' }
};
const parts: Record<FigurePart, string> = {
  water: 'Water',
  compost: 'Compost',
  material: 'Earth and sand',
  trial: 'Trial pieces',
  bore: 'Bore and trench'
};

/** Needs, prices and rules of thumb. */
export const figures = {
  title: 'What Act counts with',
  lead: 'Needs, prices and rules of thumb, each with its reason. Change them, or copy them for another place; a verdict that was kept holds the version it was made by.',
  link: 'The figures',
  which: 'Counted with',
  name: 'Whose figures?',
  names,
  parts,
  none: 'not given',
  reason: (name: string) => `Why: ${name}`,
  kept: (name: string) => `${name}: kept.`
};
