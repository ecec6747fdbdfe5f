import type { WallOf, WallSign } from '../../core/index.ts';

const of: Record<WallOf, { name: string; unit: string }> = {
  grit: { name: 'Sand and gravel', unit: '%' },
  silt: { name: 'Silt', unit: '%' },
  clay: { name: 'Clay', unit: '%' },
  clayToSilt: { name: 'Clay over silt', unit: '' },
  stone: { name: 'Biggest stone', unit: 'mm' },
  organic: { name: 'Organic skin', unit: '%' }
};
const doubt: Record<WallOf, string> = {
  grit: 'sand and gravel',
  silt: 'silt',
  clay: 'clay',
  clayToSilt: 'clay over silt',
  stone: 'the biggest stone',
  organic: 'organic matter'
};
const signs: Record<WallSign, string> = {
  smeared: 'No line could be read: clay up to the shoulder',
  cloudy: 'The water stays cloudy after a week, or clods fall apart in it',
  sticky: 'So sticky that it will not feed a press',
  topsoil: 'It is topsoil'
};
const refused: Record<WallSign, string> = {
  smeared: 'Refused: over half of it is clay. It takes sand, and a jar of the mix.',
  cloudy: '',
  sticky: 'Refused: it will not feed a press. Mix it with sand first.',
  topsoil: 'Refused: topsoil rots and draws damp. Dig below it.'
};

/** Earth building: a soil against every technique. */
export const wall = {
  of,
  doubt,
  signs,
  refused,
  title: 'Every technique at once',
  meets: (windows: string, name: string, chance: string) => `Meets ${windows} of ${name}, with ${chance}.`,
  open: (windows: string, name: string, chance: string, what: string) =>
    `May do for ${name}: ${windows} hold with ${chance}; the one in doubt is ${what}.`,
  unlikely: (windows: string, name: string, against: string, what: string) =>
    `Most likely not for a wall as it is: nearest is ${name}, and that it does not meet ${windows} has ${against}; what stands against it most is ${what}.`,
  misses: (name: string, against: string, what: string) =>
    `For no wall as it is: nearest is ${name}, whose windows it does not meet, with ${against}; what stands against it most is ${what}.`,
  windows: (n: string, allKnown: boolean) =>
    allKnown ? `all ${n} windows` : `the ${n} windows that are known`,
  partly: 'One share alone says too little for a wall: below is what it does say.',
  none: (why: string) => `For no wall as it is. ${why}`,
  counts: ['no', 'one', 'two', 'three', 'four', 'five', 'six'],
  technique: 'Technique',
  chance: 'All at once',
  on: { heights: 'heights as read', mass: 'by mass' },
  instead: {
    heights: 'by height in the place of mass',
    mass: 'by mass in the place of heights'
  },
  parts: (chance: string) => `By mass: ${chance}.`,
  partsHeights: (chance: string) => `By heights: ${chance}.`,
  unknown: 'nobody measured it',
  notAsked: 'not asked',
  cell: (window: string, low: string, high: string, chance: string) =>
    `${window}; the soil lies from ${low} to ${high}, inside with ${chance}`,
  warns: {
    cloudy: 'Ground that disperses washes out of a wall: soak a trial block before anything else.'
  },
  techniques: {
    title: 'What techniques ask of a soil',
    lead: 'Windows as the schools state them. Change one, copy one for a school of your own, or put it back as it ships.',
    link: 'What is asked',
    name: 'For what?',
    on: 'Stated by',
    best: (bounds: string) => `best ${bounds}`,
    kept: (name: string) => `What ${name} asks is kept.`
  },
  blend: {
    title: 'A blend',
    lead: 'Materials to hand, in buckets. Weigh a bucket of each as it lies.',
    technique: 'For what?',
    batch: 'Buckets in a batch',
    materials: 'Materials',
    own: 'this soil',
    unread: (of: string) => `${of} cannot be mixed: it is in the bin, or read one share alone.`,
    sandToHand: 'building sand',
    typedSoil: (sand: string, clay: string) => `soil of ${sand} % sand, ${clay} % clay`,
    bucketKg: 'A bucket, kg',
    moisture: 'Water, % of dry',
    gravel: 'Gravel, %',
    most: 'Buckets there are',
    price: 'Price a bucket',
    carry: 'Carried, m',
    add: 'Another material',
    which: 'A finished test',
    byNumbers: 'by its percentages',
    sand: 'Sand, %',
    clay: 'Clay, %',
    giveOrTake: 'Give or take, points',
    put: 'Put it to the materials',
    choose:
      'Choose a test, or give its sand and clay, together no more than 100 %, and by how much they may be off, up to 30 points.',
    full: 'Eight materials stand in one blend: take one off first.',
    off: (name: string) => `take ${name} off`,
    windows: (allKnown: boolean) => (allKnown ? 'the windows' : 'the windows that are known'),
    answer: (parts: string, which: string, technique: string, chance: string) =>
      `${parts}: meets ${which} of ${technique}, with ${chance}.`,
    buckets: (n: number, name: string) => `${n} ${n === 1 ? 'bucket' : 'buckets'} of ${name}`,
    count: (n: number) => `${n} ${n === 1 ? 'bucket' : 'buckets'}`,
    hand: (parts: string, which: string, technique: string, chance: string) =>
      `${parts}: ${which} of ${technique} hold with ${chance}.`,
    nothing: 'Nothing is in it yet.',
    part: 'It can be done, but not in so few whole buckets: take a bigger batch.',
    none: (technique: string, blocks: string) =>
      `No mix of these meets the windows of ${technique}: ${blocks} stands in the way.`,
    noneOf: (materials: string, technique: string, blocks: string) =>
      `No mix of ${materials} meets the windows of ${technique}: ${blocks} stands in the way.`,
    missing: (kind: string, share: string) => `What is missing is ${kind}: at least ${share} of the mix.`,
    kinds: { sand: 'a sand', 'clay soil': 'a clay soil', 'silty soil': 'a silty soil' },
    nearest: (parts: string) => `The nearest that these come: ${parts}.`,
    more: (name: string) => `One bucket more of ${name}`,
    fewer: (name: string) => `One bucket less of ${name}`,
    back: 'Back to the answer',
    mix: 'The jar that the mix should give',
    sieve: (names: string, mm: string) => `Sieve ${names} through ${mm} mm first: its stones are bigger.`,
    unknown: (what: string) => `Not counted, for nobody measured it: ${what}.`,
    run: 'Run a jar of the mix before any trial piece.',
    take: 'Run a jar of this mix',
    taken: (code: string) => `${code}: the mix is a sample now.`,
    sampleName: (parts: string) => `Mix: ${parts}`,
    promised: 'What the mix promised',
    promisedFor: (technique: string, on: string) => `For ${technique}, ${on}.`,
    promiseWaits: 'No jar of it is finished yet.',
    read: (code: string) => `What ${code} read`,
    offBy: {
      within: 'As promised, within the errors of both.',
      outside: 'Not as promised: weigh the buckets again, or another jar.'
    },
    points: (part: string, points: string) => `${part} ${points}`,
    cost: (all: string) => `${all} in all.`
  },
  taken: {
    gravel: (pct: string) => `Gravel ${pct} % of the whole.`,
    stone: (mm: string) => `Biggest stone ${mm} mm.`,
    organic: (pct: string) => `Organic skin ${pct} % of the deposit.`
  },
  facts: 'What no jar says',
  gravel: 'Gravel, % of the whole',
  stone: 'Biggest stone, mm',
  organic: 'Organic skin, % of the deposit',
  seen: 'What was seen',
  caution:
    'Cement and lime burn wet skin and eyes: gloves and goggles. Texture and trial blocks guide the choice; they are no structural design. Local codes and a licensed engineer decide.'
};
