import { RangeProblem } from '../errors.ts';

/** Where a figure is counted with. */
export const FIGURE_PARTS = ['water', 'compost', 'material', 'trial', 'bore'] as const;
export type FigurePart = (typeof FIGURE_PARTS)[number];

type Definition = {
  part: FigurePart;
  /** What it is as it ships; null for what nobody can know, as a price. */
  usual: number | null;
  least: number;
  most: number;
  reason: string;
};

/** Needs, prices and rules of thumb, each with its bounds and its reason. Units are told by the names. */
export const FIGURES = {
  needMmWeek: {
    part: 'water',
    usual: 25,
    least: 1,
    most: 150,
    reason: 'What a bed in leaf takes in a warm week; the hottest take some 60.'
  },
  rootDepthMm: {
    part: 'water',
    usual: 300,
    least: 20,
    most: 2000,
    reason: 'Most roots of most vegetables: lettuce less, tomatoes twice that.'
  },
  depletionPct: {
    part: 'water',
    usual: 50,
    least: 10,
    most: 90,
    reason: 'It is filled up then: beyond half plants begin to suffer.'
  },
  soaksBarePct: {
    part: 'water',
    usual: 30,
    least: 1,
    most: 100,
    reason: 'Drops seal a bare surface: so much of what full ground lets through soaks in.'
  },
  soaksMulchedPct: {
    part: 'water',
    usual: 50,
    least: 1,
    most: 100,
    reason: 'Mulch keeps the surface open: so much of it soaks in.'
  },
  standsMm: {
    part: 'water',
    usual: 5,
    least: 1,
    most: 50,
    reason: 'More on top of level ground runs off; less on a slope.'
  },
  canL: { part: 'water', usual: 10, least: 1, most: 200, reason: 'A can that one carries full.' },
  thumbSandMm: {
    part: 'water',
    usual: 5,
    least: 1,
    most: 60,
    reason: 'Most of what falls on sand runs through it.'
  },
  thumbLoamMm: {
    part: 'water',
    usual: 18,
    least: 1,
    most: 60,
    reason: 'Loam keeps the most that plants can use.'
  },
  thumbClayMm: {
    part: 'water',
    usual: 17,
    least: 1,
    most: 60,
    reason: 'Clay holds more than loam, and gives less of it back.'
  },
  organicWantedPct: {
    part: 'compost',
    usual: 4,
    least: 0.5,
    most: 20,
    reason: 'Good garden ground has 4 to 6.'
  },
  compostOrganicPct: {
    part: 'compost',
    usual: 40,
    least: 5,
    most: 95,
    reason: 'Garden compost when dry; bought compost says it on the bag.'
  },
  compostMoisturePct: {
    part: 'compost',
    usual: 45,
    least: 0,
    most: 80,
    reason: 'As it comes from the heap: a squeezed handful holds together and does not drip.'
  },
  compostKgM3: {
    part: 'compost',
    usual: 600,
    least: 100,
    most: 1500,
    reason: 'As it comes: a bucket of it weighed would tell.'
  },
  barrowL: { part: 'compost', usual: 80, least: 10, most: 500, reason: 'A level barrow.' },
  bagL: { part: 'compost', usual: 40, least: 1, most: 2000, reason: 'As it is mostly sold.' },
  mostAYearMm: {
    part: 'compost',
    usual: 50,
    least: 1,
    most: 500,
    reason: 'More in one year brings salts and phosphorus, and sinks again.'
  },
  bagPrice: {
    part: 'compost',
    usual: null,
    least: 0,
    most: 100_000,
    reason: 'Yours, in your own money: nobody else knows it.'
  },
  looseKgM3: {
    part: 'material',
    usual: 1300,
    least: 300,
    most: 2500,
    reason: 'Earth as it lies loose: a bucket of it weighed would tell.'
  },
  sandKgM3: {
    part: 'material',
    usual: 1500,
    least: 800,
    most: 2000,
    reason: 'Building sand, damp and loose.'
  },
  bucketKg: {
    part: 'material',
    usual: 14,
    least: 1,
    most: 100,
    reason: 'Ten litres of moist earth, loose: weigh one of your own.'
  },
  earthMoisturePct: {
    part: 'material',
    usual: 10,
    least: 0,
    most: 60,
    reason: 'Moist as dug: dry a handful to know.'
  },
  batchBuckets: {
    part: 'material',
    usual: 10,
    least: 1,
    most: 500,
    reason: 'What two people turn by hand.'
  },
  lorryM3: { part: 'material', usual: 6, least: 0.5, most: 40, reason: 'A small tipper.' },
  cureDays: {
    part: 'trial',
    usual: 7,
    least: 1,
    most: 365,
    reason: 'Plain earth in the shade: it is dry when it loses no more weight.'
  },
  binderCureDays: {
    part: 'trial',
    usual: 28,
    least: 1,
    most: 365,
    reason: 'Cement and lime go on hardening, kept damp for the first week.'
  },
  soakDays: { part: 'trial', usual: 3, least: 0, most: 60, reason: 'Some days in water, fully under.' },
  blockDryMpa: {
    part: 'trial',
    usual: 2.1,
    least: 0.1,
    most: 50,
    reason: 'A decent small block, dry: 300 psi.'
  },
  blockTypicalMpa: {
    part: 'trial',
    usual: 7,
    least: 0.1,
    most: 100,
    reason: 'Typical of pressed ones, dry, from here to twice it: 1,000 to 2,000 psi.'
  },
  blockWetMpa: {
    part: 'trial',
    usual: 2.1,
    least: 0.1,
    most: 50,
    reason: 'What holds it after soaking is called stabilised in that school: 300 psi.'
  },
  shrinkGoodPct: { part: 'trial', usual: 3, least: 0, most: 20, reason: 'Shrinks no more than this: good.' },
  shrinkCracksPct: {
    part: 'trial',
    usual: 5,
    least: 0,
    most: 30,
    reason: 'Shrinks more than this: it cracks.'
  },
  boreLinePct: {
    part: 'bore',
    usual: 30,
    least: 1,
    most: 99,
    reason: 'Crews plan for sand from about here; yours may have a line of its own.'
  },
  boreNearPoints: {
    part: 'bore',
    usual: 5,
    least: 0,
    most: 30,
    reason: 'As near to the line as this one plans for the sandier case.'
  }
} as const satisfies Record<string, Definition>;

export type FigureId = keyof typeof FIGURES;
export const FIGURE_IDS = Object.keys(FIGURES) as FigureId[];

/** Figures by their names, as Act counts with them; a price that nobody gave is left out. */
export type Figures = Record<Exclude<FigureId, 'bagPrice'>, number> & { bagPrice?: number };

/** A set of figures: versioned, and copied for another place or another season. */
export type FigureSet = {
  id: string;
  version: number;
  name: string;
  basis: string;
  figures: readonly { of: FigureId; value: number | null; reason: string }[];
};

/** The set that ships. */
export const FIGURE_SETS: readonly FigureSet[] = [
  {
    id: 'usual',
    version: 1,
    name: 'the usual figures',
    basis: 'Set by hand, from what gardeners, builders and crews go by.',
    figures: FIGURE_IDS.map((of) => ({ of, value: FIGURES[of].usual, reason: FIGURES[of].reason }))
  }
];

/** Figures to count with: what a set leaves out, or has from another version, is as it ships. */
export function figuresOf(set: Pick<FigureSet, 'figures'>): Figures {
  const given = new Map(set.figures.map(({ of, value }) => [of as string, value]));
  return Object.fromEntries(
    FIGURE_IDS.flatMap((of) => {
      const value = given.get(of) ?? FIGURES[of].usual;
      return value === null ? [] : [[of, value]];
    })
  ) as Figures;
}

/** The figures as they ship. */
export const USUAL_FIGURES = figuresOf(FIGURE_SETS[0]);

/** What is wrong with a set that somebody wrote, a sentence a field: `name`, or `figures.N.value`; empty where it can be counted with. */
export function figureSetProblems({ name, figures }: Pick<FigureSet, 'name' | 'figures'>): RangeProblem[] {
  const out: RangeProblem[] = [];
  if (name.trim() === '')
    out.push(new RangeProblem('name', 'Say whose figures they are, such as: the dry side.'));
  figures.forEach(({ of, value }, i) => {
    if (!Object.hasOwn(FIGURES, of)) return;
    const { least, most, usual } = FIGURES[of];
    if (value === null) {
      if (usual !== null) out.push(new RangeProblem(`figures.${i}.value`, 'Give a number.'));
    } else if (!(value >= least && value <= most))
      out.push(
        new RangeProblem(`figures.${i}.value`, `Give it from ${least} to ${most.toLocaleString('en-GB')}.`)
      );
  });
  return out;
}
