/** Drainage holes, and what is put into a bed. */
export const hole = {
  title: 'Drainage hole',
  notFound: 'This hole is not here. It may have been taken off.',
  plural: 'Drainage holes',
  inGround: 'Holes in the ground',
  one: 'A drainage hole',
  newTitle: 'Dig a drainage hole',
  lead: 'About as deep and as wide as a bucket, with straight sides. It is filled twice: once to soak the ground, then to see how fast the water falls.',
  where: 'In which area?',
  noArea: 'A hole belongs to an area: draw the ground first.',
  spot: 'At which spot?',
  anySpot: 'at none of them',
  spotNo: (no: number) => `spot ${no}`,
  depth: 'Depth',
  width: 'Width',
  measures: (depth: string, width: string) => `${depth} deep, ${width} wide`,
  notes: 'What may spoil it',
  noteOf: {
    frost: 'frost in the ground',
    slope: 'on a slope',
    rock: 'rock at the bottom',
    'water-table': 'ground water stands in it'
  },
  note: 'Note',
  dig: 'It is dug',
  correct: 'Correct its measures and notes',
  filledTo: 'Filled so high, if not to the brim',
  overBrim: 'Water cannot stand higher than the hole is deep.',
  dug: (code: string) => `${code} is dug.`,
  caution:
    'Have buried services located before you dig; keep out of a hole deeper than about a metre; fill it in afterwards. This is no percolation test for a septic field: licensed people run those.',
  step: {
    soak: 'Fill it to the brim and let it sink in',
    refill: 'Fill it again once it has gone',
    read: 'Measure from the bottom up to the water',
    finish: 'It can be finished'
  },
  short: { soak: 'fill it to soak', refill: 'fill it again', read: 'read the water', finish: 'finish' },
  call: {
    refill: (code: string) => `Hole ${code}, look whether the soak has gone, and fill it again`,
    read: (code: string) => `Hole ${code}, read the water`
  },
  soak: 'Filled: let it sink in',
  soakSkip: 'Start the clock without a soak',
  refill: 'Filled again: start the clock',
  readNow: 'Read the water now',
  gone: 'It has gone',
  still: 'Still there',
  finish: 'Finish',
  reopen: 'Open it again',
  remove: 'Take the hole off',
  done: {
    soak: (code: string) => `${code}: filled to soak.`,
    refill: (code: string) => `${code}: filled again. The clock runs.`,
    read: (code: string, time: string) => `${code}: read at ${time}. Now measure the water.`,
    gone: (code: string, time: string) => `${code}: gone after ${time}.`,
    still: (code: string, time: string) => `${code}: still there after ${time}.`,
    kept: (code: string) => `${code}: kept.`,
    finish: (code: string) => `${code} is finished.`,
    reopen: (code: string) => `${code} is open again.`,
    unread: (code: string) => `${code}: reading taken off.`,
    remove: (code: string) => `${code} is taken off.`
  },
  water: 'Water over the bottom',
  keep: 'Keep',
  seenTitle: 'What was seen',
  refillAt: 'filled again',
  soakAt: 'filled to soak',
  seen: { height: 'not measured yet', gone: 'gone', still: 'still there' },
  takeOff: (time: string) => `take off the reading at ${time}`,
  after: 'Tell what was seen before',
  afterWhen: 'How long after the refill',
  afterHint: 'such as 40 s, 1 h 30 min, 24 h',
  afterWhat: 'What was seen',
  afterChoices: { height: 'so much water', gone: 'it had gone', still: 'still there' },
  result: {
    'very-slow': 'Drains very slowly',
    slow: 'Drains slowly',
    well: 'Well drained',
    quick: 'Drains quickly',
    'very-quick': 'Drains very quickly'
  },
  atMost: {
    'very-slow': 'Drains very slowly',
    slow: 'Drains slowly or worse',
    well: 'Drains no more than well',
    quick: 'Drains no more than quickly',
    'very-quick': 'Not known yet: read it later'
  },
  drop: (mm: string, inches: string) => `The water falls ${mm} mm an hour (${inches} in).`,
  dropAtMost: (mm: string, inches: string) => `The water falls less than ${mm} mm an hour (${inches} in).`,
  ground: (mm: string) =>
    `The ground itself lets ${mm} mm an hour through: the sides leak too, so the water falls faster than that.`,
  groundAtMost: (mm: string) => `The ground itself lets less than ${mm} mm an hour through.`,
  groundShort: (mm: string) => `The ground itself: ${mm} mm an hour.`,
  groundShortAtMost: (mm: string) => `The ground itself: under ${mm} mm an hour.`,
  unsoakedShort: 'Not soaked first.',
  steady: 'The last two stretches agree.',
  unsteady:
    'The last two stretches part by over a fifth: the ground is still taking water in. Read on, or soak it again.',
  empty: (time: string) => `Empty after ${time}.`,
  emptyAbout: (time: string) => `At that it would be empty after about ${time}.`,
  emptyBy: (when: string) => `Should be empty ${when}.`,
  poor: 'Water stands in it for over a day: very poor.',
  never: 'Nothing sinks in.',
  unsoaked:
    'It was not soaked first: dry ground drinks faster than it drains. Dig another beside it, or fill it once more, before you trust this.',
  nothing: 'Nothing was seen in it yet.',
  textureTitle: 'Beside its jars',
  texture: {
    alike: (code: string, mm: string) =>
      `${code} promises ${mm} mm an hour by its texture: alike, within ten times.`,
    slower: (code: string, mm: string) =>
      `${code} promises ${mm} mm an hour by its texture; the ground is over ten times slower. Compaction, a pan, or ground water that stands high.`,
    faster: (code: string, mm: string) =>
      `${code} promises ${mm} mm an hour by its texture; the ground is over ten times faster. Cracks, worm ways, or made ground.`
  },
  noJar: 'No finished jar of this area to set it beside.',
  drawing: (code: string, water: string) => `${code}, cut open and to scale: ${water}`,
  waterIs: (height: string) => `${height} of water`,
  noWater: 'no water',
  unmeasured: 'water, nobody measured how high',
  ofArea: (n: number) => (n === 1 ? 'One drainage hole' : `${n} drainage holes`),
  others: 'Other holes of this area',
  beside: 'The drainage hole decides',
  besideMany: (ratio: string) =>
    `The fastest lets ${ratio} times as much through as the slowest: the ground is not the same all over.`,
  act: 'Act on this ground'
};

/** What was put on or into an area, and its seasons. */
export const beds = {
  amendTitle: 'What was done to it',
  none: 'Nothing was noted yet.',
  add: 'Note what was done',
  kind: 'What',
  kinds: {
    compost: 'compost',
    topsoil: 'topsoil',
    sand: 'sand',
    lime: 'lime',
    mulch: 'mulch',
    dug: 'dug over',
    other: 'something else'
  },
  day: 'On which day',
  litres: 'How much, L',
  note: 'Note',
  keep: 'Keep',
  kept: (kind: string, area: string) => `${area}: ${kind} noted.`,
  removed: 'Taken off.',
  takeOff: (kind: string, day: string) => `take off ${kind} of ${day}`,
  amount: (litres: string) => `${litres} L`
};
