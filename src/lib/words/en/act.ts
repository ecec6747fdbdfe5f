import { water } from './water.ts';

/** Act: from a soil to a decision. */
export const act = {
  title: 'Act',
  soil: 'Which soil?',
  areas: 'Areas',
  alone: { sand: 'The sand alone was read', clay: 'The clay alone was read' },
  newestOf: (area: string) => `${area}: its newest test`,
  byNumbers: 'by two percentages',
  ask: 'What is it to be?',
  asks: { bed: 'a bed', bore: 'a bore or trench', wall: 'a wall' },
  bed: 'For what?',
  organic: 'Organic matter, %',
  organicHint: (pct: number, sd: number) => `Nobody measured it: taken as ${pct}, give or take ${sd}.`,
  number: 'Give it as a number.',
  /** What says something of a soil. */
  source: {
    laboratory: (name: string) => `the report of ${name}`,
    cylinder: (code: string) => `cylinder ${code}`,
    jar: (code: string) => `jar ${code}`,
    share: (code: string) => `the one share of ${code}`
  },
  besides: (names: string[]) =>
    `It goes before what stands beside it and is not counted: ${names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1]}`}.`,
  sampleBy: (source: string) => `This sample is judged by ${source}.`,
  basis: {
    laboratory: (name: string, points: number) =>
      `By the report of ${name}, taken as right to ${points} points.`,
    estimate: (code: string) => `By the answer of ${code}, over its draws.`,
    weighed: (code: string) => `By ${code}, weighed with an instrument.`,
    read: (code: string, points: number) =>
      `By the heights of ${code} as they were read, taken for good to ${points} points: it has no answer by mass.`,
    bottle: (code: string, points: number) =>
      `By the sand of ${code}, of what settled, taken for good to ${points} points beside its reading error.`,
    share: (code: string, layer: string, percent: string) =>
      `By the ${layer} of ${code} alone, as it was read: ${percent}.`,
    smeared: (code: string, percent: string) =>
      `By ${code}, in which no line was seen: over ${percent} of it is clay.`,
    typed: (points: number) => `By percentages from elsewhere, taken for good to ${points} points.`
  },
  moved: (what: string) => `What if it had ${what}?`,
  back: 'Put it back',
  none: {
    oneShare:
      'This test read one share alone: a bed needs all three. For a wall and a bore what was read is judged.',
    impossible: 'No settling makes the heights of this test: there is no soil to judge.'
  },
  empty: 'Choose a finished test, or type two percentages: the verdict stands here at once.',
  finesOf: (pct: number) => `${pct} % finer`,
  column: 'The soil as it settles, sand below',
  boundary: { sand: 'Top of the sand', silt: 'Top of the silt' },
  verdict: {
    yes: (purpose: string, chance: string) => `Good for ${purpose}, with ${chance}.`,
    open: (purpose: string, chance: string, doubt: string) =>
      `May do for ${purpose}: all that is asked holds with ${chance}; ${doubt} is the one in doubt.`,
    unlikely: (purpose: string, against: string, doubt: string) =>
      `Most likely not for ${purpose} as it is, with ${against}: what stands against it most is ${doubt}.`,
    no: (purpose: string, against: string, doubt: string) =>
      `Not as it is for ${purpose}, with ${against}: what stands against it most is ${doubt}.`
  },
  carries: 'What is asked of it',
  doubt: {
    drains: 'drainage',
    stores: 'the water it stores',
    warms: 'winter wet',
    feeds: 'feed',
    digs: 'clay',
    caps: 'capping',
    sand: 'the sand',
    silt: 'the silt',
    clay: 'the clay'
  },
  window: {
    drains: 'Drains',
    stores: 'Stores',
    warms: 'Water left after draining',
    feeds: 'Holds feed',
    digs: 'Clay',
    caps: 'Capping index',
    sand: 'Sand',
    silt: 'Silt',
    clay: 'Clay'
  },
  least: (figure: string) => `at least ${figure}`,
  most: (figure: string) => `at most ${figure}`,
  units: {
    drains: 'mm/h',
    stores: 'mm in 100 mm',
    warms: '%',
    feeds: 'cmol/kg',
    digs: '%',
    caps: '',
    sand: '%',
    silt: '%',
    clay: '%'
  },
  lines: {
    drains: ['drains very slowly', 'drains slowly', 'drains well', 'drains quickly', 'drains very quickly'],
    stores: ['stores little', 'stores fairly', 'stores much'],
    warms: ['warms soon', 'warms in its time', 'warms late'],
    feeds: ['holds little feed', 'holds feed fairly', 'holds much feed'],
    digs: ['digs light', 'digs medium', 'digs heavy', 'digs very heavy'],
    caps: ['does not cap', 'caps slightly', 'caps', 'caps hard']
  },
  figures: {
    drains: (n: string) => `${n} mm an hour`,
    stores: (n: string) => `${n} mm of water in 100 mm`,
    warms: (n: string) => `${n} % water when drained`,
    feeds: (n: string) => `${n} cmol/kg`,
    digs: (n: string) => `${n} % clay`,
    caps: (n: string) => `capping index ${n}`
  },
  cracks: 'It cracks as it dries.',
  how: {
    drains:
      'Conductivity when it is full of water, by Saxton & Rawls 2006 from sand, clay and organic matter. Under 5 mm an hour is very slow, from 25 well, from 150 very quick. A drainage hole decides: compaction is not in it.',
    stores:
      'Water between field capacity and wilting, by Saxton & Rawls 2006, as mm in 100 mm of depth. Stones take their volume out.',
    warms:
      'Water left when it has drained, percent of the volume: water takes long to warm. Under 15 soon, over 30 late.',
    feeds:
      'Half of the clay and twice the organic matter, a textbook rule. It says how much feed the ground can hold, not how much is in it.',
    digs: 'By its clay: under 15 % light, to 27 medium, to 40 heavy. Best dug when just moist.',
    caps: 'One and a half times the fine silt and three quarters of the coarse, over clay and ten times the organic matter (Remy & Marin-Lafleche 1974); half of the silt is taken for fine. From 1.6 on rain seals it.'
  },
  byHoles: (n: number) =>
    n === 1
      ? 'By the drainage hole of this area: it decides, and the texture only says what to expect.'
      : `By ${n} drainage holes of this area, their middle: they decide, and the texture only says what to expect.`,
  figuresKept: (name: string, version: number) => `Counted with ${name}, version ${version}.`,
  keep: 'Keep this verdict',
  keepNot: 'Put the soil back, and mend what is marked: only what there is can be kept.',
  kept: 'The verdict is kept.',
  keptTitle: 'Kept verdicts',
  keptOn: (day: string) => `Kept on ${day}`,
  keptHow: (version: number) =>
    `By version ${version} of what was asked of it then: it does not change with what is asked now.`,
  keptNot: 'This verdict is not here. It may have been taken off.',
  anew: 'Judge it anew',
  keptOff: 'Take it off',
  keptGone: 'The verdict is taken off.',
  ofTyped: 'Percentages from elsewhere',
  decided: 'What was decided lately',
  soilKept: 'The soil it was of',
  organicKept: (pct: string, measured: boolean) =>
    `Organic matter ${pct} %${measured ? '' : ', which nobody measured'}.`,
  groundKept: (mm: string, holes: number) =>
    holes === 1 ? `Drainage by one hole: ${mm} mm an hour.` : `Drainage by ${holes} holes: ${mm} mm an hour.`,
  beds: {
    title: 'What beds are asked for',
    lead: 'A bed is judged by windows. Change one, copy one for a bed of your own, or put it back as it ships; a verdict that was kept holds the version it was made by.',
    link: 'What is asked',
    name: 'Good for what?',
    of: 'What is looked at',
    least: 'At least',
    most: 'At most',
    bestLeast: 'Best from',
    bestMost: 'Best to',
    reason: 'Why',
    addWindow: 'Ask for one more thing',
    dropWindow: (what: string) => `ask no more for ${what}`,
    kept: (name: string) => `What is asked for ${name} is kept.`
  },
  hand: {
    title: 'What hand and spade say',
    lead: 'It is kept with the sample, and is never overruled.',
    says: {
      light: 'digs light',
      heavy: 'digs heavy',
      sticky: 'sticks',
      cracks: 'cracks',
      ponds: 'water stands on it',
      dries: 'dries out soon',
      dusty: 'is dusty when dry',
      caps: 'forms a crust'
    },
    part: (says: string) => `You say it ${says}; the figures say otherwise.`,
    reason: {
      'silt-feels-like-clay': 'Much silt feels like clay and smears like it, but makes no ribbon.',
      compaction: 'Ground that is trodden or ploughed hard digs like clay: a drainage hole tells.',
      crumbs: 'Good crumbs let clay dig light: keep off it while it is wet.',
      'swelling-clay': 'A little clay that swells cracks like much; or it is a silt crust that tears.',
      pan: 'A pan, compaction, or ground water that stands high: a drainage hole decides.',
      shallow: 'Roots that cannot go down, or stones: what is stored below them does not count.',
      'fine-sand': 'Fine sand and broken crumbs are dusty whatever the clay: it is short of organic matter.',
      beaten: 'Rain on bare ground, or a tilth that was worked too fine, seals soils that need not cap.'
    },
    agree: 'Hand and jar agree.',
    kept: 'Kept with the sample.'
  },
  ribbon: {
    label: 'Its ribbon, when it broke',
    hint: 'Moist soil, pressed out between thumb and finger. 0 where it makes none.',
    counts: (length: string) => `And by its ribbon of ${length}.`
  },
  target: {
    label: 'Aimed at, sand / silt / clay',
    usual: '40/40/20',
    distance: (points: string, target: string) =>
      `${points} points from ${target}: so much of it would have to be another grain. Many good soils lie further.`
  },
  ofDraws: (chance: string) => `${chance} likely`,
  settle: {
    title: 'What would settle it',
    then: (now: string, then: string) => `now ${now} sure, then about ${then}`,
    noteWater: (code: string) => `Was the water of ${code} clear? Note it`,
    readAgain: (after: string) => `Read its top again, ${after} after set-down`,
    steps: {
      ribbon: 'A ribbon, pressed by hand',
      hole: 'A drainage hole',
      'second-jar': 'A second jar',
      'weighed-jar': 'A second jar, its dry soil weighed',
      hydrometer: 'A hydrometer',
      laboratory: 'A laboratory'
    }
  },
  water,
  compost: {
    title: 'Compost',
    wanted: 'Organic matter wanted, %',
    depth: 'Depth that is worked',
    need: (litres: string, mm: string) => `${litres} L: a layer of ${mm} over the bed`,
    carry: (barrows: string, barrowL: number, bags: string, bagL: number, kg: string) =>
      `${barrows} barrows of ${barrowL} L, or ${bags} bags of ${bagL} L; ${kg} kg as it comes.`,
    years: (n: number, most: string) =>
      `Over ${n} years: more than ${most} in one brings salts and phosphorus, and sinks again.`,
    none: 'Nothing needs doing: it has that much already.',
    barrows: 'Or so many barrows a year',
    barrowsTo: (n: string, from: string, to: string) =>
      `${n} barrows a year bring it from ${from} to ${to} % in the first; some of it rots away each year.`,
    barrowsMuch: (mm: string) => `That is a layer of ${mm}: too much for one year.`,
    barrowsWrong: 'Give how many barrows, from 0 up.',
    price: 'Price of a bag',
    priceWrong: 'Give what a bag costs, from 0 up.',
    cost: (all: string) => `${all} in all, by the bag.`,
    note: 'Note it as done',
    changes: 'What it changes',
    same: 'The class stays: compost moves no sand, silt or clay.',
    drawing: (layer: string, depth: string) => `A layer of ${layer} over ${depth} of worked bed, to scale.`,
    deterrentTitle: 'And sand into it?',
    deterrent: (tonnes: string, m3: string, lorries: number, lorryM3: number, to: string) =>
      `${tonnes} t of sand, ${m3} m³ or ${lorries === 1 ? 'a lorry' : `${lorries} lorries`} of ${lorryM3} m³, would make this bed ${to}. Do not: until sand is most of it the fines fill its voids, and it sets hard.`,
    sandEnough: 'It is mostly sand already: more would only make it drier.'
  },
  material: {
    title: 'Another material',
    lead: 'Any soil or sand by its own texture. It needs a jar of its own first.',
    which: 'Which material?',
    typed: 'by its percentages',
    litres: 'How much, L loose',
    becomes: (share: string, className: string) => `${share}: ${className}`,
    same: 'The class stays.',
    rises: (height: string, kg: string) => `The bed rises by ${height}; ${kg} kg come in.`,
    move: (kg: string, m3: string, barrows: string, to: string) =>
      `To make it ${to} takes ${kg} kg of it at least: ${m3} m³, ${barrows} barrows.`,
    moveLorries: (lorries: number, m3: number) =>
      lorries === 1 ? `That is a lorry of ${m3} m³.` : `That is ${lorries} lorries of ${m3} m³.`,
    never: 'No amount of it moves the class.',
    deter: 'Do not put sand into clay: until sand is most of it the fines fill its voids, and it sets hard.',
    column: { before: 'The bed as it is', after: 'With the material worked in' }
  },
  bore: {
    line: 'Line between clay and sandy ground, % sand',
    lineWithin: 'Give the line between 0 and 100 % of sand.',
    verdict: {
      sand: (sand: string, chance: string, line: string) =>
        `Sandy ground: ${sand} of it is sand, over the line of ${line} with ${chance}.`,
      clay: (sand: string, chance: string, line: string) =>
        `Clay ground: ${sand} of it is sand, over the line of ${line} with only ${chance}.`,
      near: (sand: string, chance: string, line: string) =>
        `Near the line: ${sand} of it is sand, over ${line} with ${chance}. Plan for the sandier case.`
    },
    of: 'Sand is counted against sand, silt and clay together; gravel is left out.',
    ofSettled: 'Sand is counted against all that settled; gravel is left out.',
    fluid: {
      sand: 'A stronger gel that lifts the cuttings and holds them up while the pump rests.',
      clay: 'A thin mix that keeps clay from swelling. Where a clod swells or falls apart in water, an inhibitor.',
      near: 'The stronger gel of sandy ground; and where a clod swells or falls apart in water, an inhibitor too.'
    },
    strip: 'Along the line',
    station: 'A finished test',
    at: 'Metres from the start',
    atWrong: 'Give how far from the start it was dug, from 0 to 10,000 m.',
    choose: 'Choose the test that was dug there.',
    full: 'Twenty stand along one line: take one off first.',
    add: 'Put it on the line',
    byAxis: 'By their spots, along the area',
    off: (code: string) => `take ${code} off`,
    plan: { sand: 'sandy', clay: 'clay', near: 'near the line' },
    drawing: (n: number) =>
      `Sand by distance: ${n === 1 ? 'one bottle' : `${n} bottles`} along the line, with how far each may be off`,
    say: (code: string, at: string, sand: string, chance: string, plan: string) =>
      `${code} at ${at}: ${sand} sand, over the line with ${chance}; ${plan}.`,
    again:
      'Another bottle every stretch, and wherever the colour changes: colour does not tell sand from clay.',
    caution:
      'Have buried services located before anybody digs. The contractor’s ground report rules over any bottle.'
  },
  lab: {
    title: 'Is a laboratory worth its fee?',
    reasons: {
      'food-doubtful': 'Food is to grow where lead or asbestos may lie',
      nutrients: 'Nutrients or acidity are the question',
      building: 'It is for a building',
      dispute: 'It is for a sale or a dispute'
    },
    differs: 'I would do something else if the verdict came out the other way',
    why: {
      asked: 'Yes: no jar says what hangs on this.',
      sure: 'No: the verdict is sure enough for this decision.',
      same: 'No: you would do the same on both sides of the line.',
      open: 'Yes: the verdict is open, and what you do hangs on it.'
    }
  },
  caution:
    'Texture says nothing of lead, asbestos or feed: near old buildings and roads have the ground tested before food grows in it.',
  from: 'Act on it'
};
