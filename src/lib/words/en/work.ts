/** English: the working of a test, on paper. */
export const work = {
  pdf: 'Working as a PDF',
  title: (code: string, sample: string) => `${code} ${sample}: the working`,
  readBy: (name: string, when: string) => `Read by ${name}, ${when}`,
  readOn: (when: string) => `Read ${when}`,
  standing: (depth: string, warmth: string) => `water ${depth} deep at ${warmth}`,
  sample: (soil: string) => `loose soil to ${soil}`,
  dose: (dose: string) => `dispersant ${dose}`,
  noDose: 'no dispersant',
  weighedSoil: (weight: string) => `weighed ${weight}`,
  weighed: (grams: string, bulb: string) => `${grams} g air-dry, ${bulb}`,
  blank: (name: string) => `blank: ${name}`,
  noBlank: 'no blank: corrected for temperature alone',
  marks: 'Marks on the glass',
  marksHead: {
    layer: 'Mark',
    asked: 'asked at',
    took: 'made at',
    height: 'height',
    cut: 'all coarser is down'
  },
  asRead: 'As read, by height',
  asReadHead: {
    part: 'Layer',
    thick: 'thickness',
    working: 'of the whole',
    share: 'gives',
    error: 'standard error'
  },
  quotient: (part: string, whole: string) => `100 × ${part} / ${whole}`,
  markByMark: 'Mark by mark, for the estimate by mass',
  layerByLayer: 'Layer by layer, for the estimate by mass',
  byMass: 'By mass, estimated',
  readings: 'Readings',
  formulas: 'Worked out',
  error: 'standard error',
  alsoByMass: (result: string) => `By mass, estimated: ${result}.`,
  byMassUnder2: 'By mass of the earth under 2 mm.',
  openYet: 'Not finished: what the readings give so far.',
  none: 'There is nothing to work out yet. Read the test first.',
  foot: (kept: string) => `Tivrel. ${kept}`
};
