import type { Difference, UnderSystem } from '../../core/index.ts';
import { grouped } from '../grouped.ts';

/** English for the triangle station. */
export const know = {
  title: 'The triangle',
  lead: 'Move over it, drag the point, or type two of the three.',
  nav: { triangle: 'Triangle', how: 'How to read it', compare: 'Side by side' },
  system: 'Classes of',
  systemShort: { usda: 'USDA', uk: 'UK', international: 'International', fao: 'FAO', german: 'German' },
  triangleLabel: 'Texture triangle. Arrow keys move the point, plus and minus zoom, Escape puts it back.',
  at: (sand: string, silt: string, clay: string) => `${sand} % sand, ${silt} % silt, ${clay} % clay`,
  typed: 'A soil of your own',
  whatIfOf: (code: string) => `What if ${code} were`,
  back: 'Put it back',
  moved: (parts: string) => parts,
  more: (points: string, part: string) => `${points} points more ${part}`,
  less: (points: string, part: string) => `${points} less ${part}`,
  rest: 'the rest',
  number: (part: string) => `Type the ${part} in percent, such as 40.`,
  find: 'A test, by its code',
  findHint: 'or press a point',
  none: 'none chosen',
  noSuch: (code: string) => `No finished test is called ${code}.`,
  nearby: 'Nearest other classes',
  allSystems: 'Under every system',
  limit: 'sand from',
  how: {
    measured: 'as it stands',
    curve: 'off its curve',
    interpolated: 'interpolated'
  } satisfies Record<UnderSystem['how'], string>,
  interpolatedHint:
    'Interpolated: moved to the other size limit by a straight line in the logarithm of size. Not a measurement.',
  shown: (n: number, of: number) =>
    n === of ? `${grouped(n)} tests` : `${grouped(n)} of ${grouped(of)} tests`,
  /** Where there are more than are drawn one by one. */
  shade: (n: number, of: number) =>
    `The newest ${grouped(n)} are dots; all ${grouped(of)} are the shade behind them.`,
  filter: { site: 'Site', area: 'Area', season: 'Season', method: 'Method', all: 'all' },
  byMass: 'Jars by mass, where estimated',
  join: 'Join tests of one sample',
  changes: 'Arrows: before and after',
  zoomIn: 'Closer',
  zoomOut: 'Further off',
  zoomAll: 'Whole triangle',
  legend: {
    point: 'Blue: the soil in hand, with its three reading lines',
    tint: 'Tint: probability of each class',
    dots: 'Dots: finished tests',
    arrows: 'Arrows: an area before and after'
  },
  toTest: (code: string) => `Open ${code}`,
  toHow: 'How this point is read',
  empty: 'No test is finished yet. Type two of the three, or finish one.',
  headline: (name: string) => `${name[0].toUpperCase()}${name.slice(1)}`,
  howTo: {
    title: 'How to read the triangle',
    lead: 'Each part has its own direction. Two lines fix the point; the third must meet them.',
    next: 'Next',
    before: 'Back',
    play: 'Play it through',
    step: (n: number, of: number) => `Step ${n} of ${of}`,
    steps: [
      {
        head: 'Three sides, three scales',
        text: 'Each corner is all of one part: sand left, silt right, clay on top. Each scale runs from the side opposite its corner.'
      },
      {
        head: 'Clay: level lines',
        text: (pct: string) => `Find ${pct} on the left side. Clay stays the same along a level line.`
      },
      {
        head: 'Silt: down to the left',
        text: (pct: string) =>
          `Find ${pct} on the right side. Silt stays the same along a line down to the left, beside the clay–sand side.`
      },
      {
        head: 'Sand: up to the left',
        text: (pct: string) =>
          `Find ${pct} at the bottom. Sand stays the same along a line up to the left, beside the silt–clay side.`
      },
      {
        head: 'Where they meet',
        text: (name: string) =>
          `All three meet in one point: ${name}. Two would have been enough; the third is the check.`
      }
    ] as const,
    wrongTitle: 'The common misreadings',
    wrongWay: 'Wrong direction',
    wrongWayText: (name: string, right: string) =>
      `The sand line was taken up to the right, along the other side. It meets the clay line in ${name}, not in ${right}: sure of itself, and wrong.`,
    wrongWaySame: (name: string) =>
      `The sand line was taken up to the right, along the other side. Here it still ends in ${name}; near any border it would not.`,
    noMeet: 'Lines that do not meet',
    noMeetText: (part: string, pct: string, sum: string) =>
      `The ${part} was read as ${pct}: the three come to ${sum} and leave a small triangle. Find the slip; never take the class that covers most of it.`,
    loam: 'Loam is a mixture of all three, not a size of its own.'
  },
  compare: {
    title: 'Side by side',
    lead: 'Up to twelve tests as columns. The first is what the others are set against.',
    add: 'Add a test',
    addHint: 'by its code',
    drop: (code: string) => `Take ${code} out`,
    first: (code: string) => `Set the others against ${code}`,
    most: 'Twelve fit. Take one out first.',
    twice: (code: string) => `${code} stands there already.`,
    empty:
      'Two jars of one bed, before and after a season, a jar beside its laboratory: set side by side they say by how many points they differ, and whether that is more than reading error. It takes two finished tests.',
    firstStep: 'Give the code of a test above, or begin with one of these.',
    basis: { height: 'by height', estimate: 'estimated by mass', mass: 'by mass' },
    basisLabel: 'Jars',
    against: 'What the others are set against.',
    sure: (pct: string, code: string, part: string) => `${pct} sure ${code} has more ${part}`,
    noTelling: (part: string) => `no telling which has more ${part}`,
    lies: {
      repeat: 'The same soil by the same method: the difference is the reading and the sampling.',
      method: 'The same soil by another method: the difference is the method’s, not the soil’s.',
      soil: 'Another soil on the same footing: the difference is the soil’s.',
      both: 'Another soil and another method: this cannot tell one from the other.'
    } satisfies Record<Difference['lies'], string>,
    points: (n: string) => `${n} points`,
    suggest: 'Tests of'
  }
};
