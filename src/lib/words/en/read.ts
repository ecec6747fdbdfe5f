/** English. Reading a jar: layers, pictures, films, and what comes of them. */
export const readWords = {
  read: {
    title: 'Read',
    chooser: 'Which jar do you read?',
    chooserEmpty:
      'No jar has been set down yet. A jar can be read as soon as it stands, and better when it has settled.',
    zero: 'The ruler stands',
    zeros: { inside: 'at the inside bottom', table: 'on the table' },
    zeroNotes: {
      inside: (base: string) => `Its zero is level with the bottom of the soil, over ${base} of glass.`,
      table: (base: string) => `The ${base} of glass under the soil are taken off every height.`
    },
    belowBase: (base: string) => `That lies in the glass: the base alone reaches to ${base}. Measure again.`,
    ruler: 'Ruler',
    rulers: { mm: 'mm', cm: 'cm', sixteenths: 'sixteenths', eye: 'by eye', mL: 'mL' },
    halfMl: (ml: number) => `${ml} mL`,
    badMl: 'Give mL as the graduations show them, such as 34 or 34.5.',
    rulerError: (sigma: string) => `each line ± ${sigma}`,
    entry: 'You measure',
    heights: 'heights',
    thicknesses: 'thicknesses',
    heightHint: 'Height of each layer top over the inside bottom.',
    thicknessHint: 'Thickness of each layer.',
    line: (layer: string) => `Top of ${layer}`,
    thick: (layer: string) => `Thickness of ${layer}`,
    order: 'From the bottom up: gravel, sand, silt, clay. Loam is a mixture, not a layer.',
    unreadable: 'not readable above the shoulder',
    fuzzy: 'fuzzy line',
    fuzzyLabel: (layer: string) => `How unsure is the ${layer} line, plus or minus`,
    lineNotes: {
      gravel: 'apart from the texture',
      coarse: 'single grains are plain; part of the sand',
      skin: 'a dark skin on the clay; not counted',
      surface: 'to check the fill; not counted'
    },
    fineSand: 'Fine sand',
    humus: 'Humus, floating',
    organicsNote: 'noted, not counted',
    by: 'Who reads',
    byHint: 'a word; calibrations go by it',
    pair: 'A second person reads too',
    pairDrop: 'Without the second reading',
    secondBy: 'Second reader',
    secondLine: (line: string) => `${line}, second reader`,
    pairNote:
      'Best not knowing the first. Both are kept; the mean counts, and what they differ by goes into how sure.',
    differ: (by: string) => `differ by ${by}`,
    whoNeeded: 'Say who the second reader is, in a word.',
    shaped: (ml: string) => `Heights are read as volumes: this glass is not straight, ${ml} a mm on average.`,
    total: 'Whole deposit, measured apart',
    sumLayers: (total: string) => `layers ${total}`,
    sumAgree: (diff: string) => `agrees within ${diff}`,
    sumMismatch: (diff: string, allowed: string, more: boolean) =>
      `The layers come to ${diff} ${more ? 'more' : 'less'} than the whole; reading error explains ${allowed}. Which one is wrong?`,
    sumFixTotal: 'The total: measure it again',
    sumFixLayers: 'A layer: I correct it above',
    sumKeep: 'Neither: keep both and say why',
    sumNote: 'Why they differ',
    sumNoteNeeded: 'Say why the layers and the total differ, or correct one of them.',
    keep: 'Keep this reading',
    kept: 'Reading kept.',
    when: 'When it was read',
    earlier: 'It was read earlier',
    finish: 'Finish the test',
    finished: (code: string, name: string) => `${code} is finished: ${name}.`,
    unplaced: { none: 'none was seen', 'not-read': 'it was not read' },
    unplacedOf: (layer: string) => `Top of the ${layer}`,
    askUnplaced: (layer: string) =>
      `The top of the ${layer} is not placed. Was none seen, or was it not read?`,
    follows: (size: string) => `${size}: follows from the whole`,
    wholeTooSmall: 'The layers come to more than this whole. Measure it, or them, again.',
    needLayers:
      'Place at least two layer tops: drag the tape, or type a height. One top and the whole deposit give one share.',
    sharesDrawn: 'The shares that were given, as they would lie',
    needShares: 'Give two shares, or sand or clay alone.',
    notPlaced: 'drag me',
    notYet: 'not placed',
    early: (when: string) =>
      `Read early: the method reads it ${when}. What is still up will come down as clay.`,
    asRead: 'As read, by height',
    draft: 'Kept on this device until you keep the reading.',
    drag: (layer: string) => `Tape at the top of the ${layer}`
  },
  result: {
    borderline: (other: string, percent: string) => `Borderline: ${other} is ${percent} likely.`,
    sure: (other: string) => `The nearest other class is ${other}.`,
    swap: (points: string, take: string, give: string, name: string) =>
      `Swap ${points} of ${take} for ${give} and it is ${name}.`,
    points: (n: number) => (n === 1 ? 'one point' : `${n} points`),
    lessThanPoint: 'less than a point',
    gravel: (percent: string, name: string) =>
      `Gravel, apart: ${percent} of the mineral layers${name ? `: ${name}` : ''}.`,
    working: 'Show the working',
    workingTotal: 'together',
    workingClass: 'The class follows from the rules of the USDA Soil Survey Manual, tested in their order.',
    workingCertainty: (draws: string, sigma: string) =>
      `How sure: ${draws} jars were drawn with every boundary moved at random by its own error (± ${sigma} unless a line has its own), and the classes counted.`,
    coarse: (coarse: string, fine: string) => `Of the sand ${coarse} are coarse and ${fine} fine.`,
    skin: (skin: string) => `${skin} of settled organics lie on top and do not count.`,
    calibrated: (pairs: number, sand: number, silt: number, clay: number) =>
      `Calibrated by ${pairs} jars with a laboratory report. As read: ${sand} % sand, ${silt} % silt, ${clay} % clay.`,
    workingBase: (base: string) =>
      `The ruler stood on the table: ${base} of glass were taken off every height first.`,
    workingHeight: 'This is by height, as practised. Fresh clay and silt settle loosely.',
    byMass: (part: string, pct: number, points: number, more: boolean) =>
      points === 0
        ? 'By mass this jar comes out the same.'
        : `By mass this jar has ${pct} % ${part}, ${points} points ${more ? 'more' : 'less'} than by height.`,
    workingFigures: {
      eye: 'These are shares as an eye sees them, not heights that were measured.',
      others: 'These are somebody else’s numbers, taken as they are.',
      smeared: 'No line was seen.'
    },
    eyePoints: '5 points',
    share: (layer: string, percent: string) =>
      `${layer[0].toUpperCase()}${layer.slice(1)} is ${percent} of what settled`,
    shareShort: (percent: string, layer: string) => `${percent} ${layer}`,
    shareOver: (layer: string, percent: string) =>
      `${layer[0].toUpperCase()}${layer.slice(1)}: over ${percent}, no line was seen`,
    shareOverShort: (percent: string, layer: string) => `over ${percent} ${layer}`,
    shareOverWhy: 'A jar with less clay shows its layers. One share gives no class.',
    shareRange: (low: string, high: string) => `By reading error alone, ${low} to ${high}.`,
    shareOf:
      'By height, of all that has settled: not of the loose fill, nor of the scale on the glass. One share gives no class.',
    shareWorking: (sd: string) =>
      `Standard error ${sd} points, from that of both lines: 100 · σ · √(1 + share²) ÷ whole.`,
    region: '90 % region',
    triangle: (name: string, sand: number, silt: number, clay: number) =>
      `Texture triangle: ${sand} % sand, ${silt} % silt, ${clay} % clay, ${name}`,
    triangleEmpty: 'Texture triangle, no point yet',
    pendingHint: 'The triangle answers as soon as two layers are placed.',
    axis: { sand: '← sand %', silt: 'silt % →', clay: 'clay % →' }
  },
  doubt: {
    markSize: (layer: string, time: string, cut: string, asked: string) =>
      `Doubtful: the ${layer} line was marked at ${time} and parts the soil at ${cut} µm instead of ${asked}. It is a mark of that size, not the top of the ${layer}.`,
    range: (part: string, low: number, high: number) => `${part} ${low} to ${high} %`,
    tooSoon: (read: string, done: string, ranges: string) =>
      `Read too soon: at ${read} silt still comes down, until ${done} after set-down. What is still up leaves ${ranges}.`
  },
  mass: {
    title: 'By mass, estimated',
    shares: (sand: number, silt: number, clay: number) => `${sand} % sand, ${silt} % silt, ${clay} % clay.`,
    alike: 'Height and mass agree for this jar, to within two points.',
    differs: {
      marks: (layer: string, points: number, more: boolean) =>
        `${points} points ${more ? 'more' : 'less'} ${layer} than by height: some silt lies under the sand mark, fines pack loosely, and some clay is not down yet.`,
      bands: (layer: string, points: number, more: boolean) =>
        `${points} points ${more ? 'more' : 'less'} ${layer} than by height: fresh clay and silt pack loosely, and what is still up is counted.`
    },
    range: (low: number, high: number, seen?: 'hazy') =>
      seen
        ? `The water was hazy, between clear and cloudy: clay lies between ${low} and ${high} %.`
        : `Nobody looked at the water: clay is ${low} % if it was, ${high} % if not.`,
    stillUp: (percent: number) => `${percent} % of the clay is still up.`,
    doubtful: {
      'not-dispersed':
        'Doubtful: no dispersant was used, so clay may have settled in crumbs and counts as silt or sand.'
    },
    how: 'How it is estimated',
    basis: {
      marks:
        'From the timed marks: loads of sand, silt and clay, none below zero, whose settling comes nearest to the marked heights at their true times, each slowed by the crowding of all.',
      bands:
        'From the bands: thickness times how each layer packs when fresh, and the clay that should not be down yet added.'
    },
    load: (load: string) => `Together ${load} kg on each m² of floor.`,
    part: 'Layer',
    byHeight: 'by height',
    byMass: 'by mass',
    simple:
      'Left out: the rising bed meets the grains half-way, fines fill the voids of the sand, flocs do not settle by grain size. They pull against each other; a tenth on every height stands for them.',
    draws: (draws: string) =>
      `How sure: ${draws} draws of the lines, the packing (5, 10 and 25 %), the warmth (± 1 °C), the moment of each mark (± 2 s) and that tenth.`,
    water: 'The water over it',
    askWater: 'How does the water over it look? The answer waits for it.',
    waters: { '': 'not asked yet', unseen: 'not looked at', clear: 'clear', hazy: 'hazy', cloudy: 'cloudy' },
    waterScale: {
      '': 'Hold print behind the jar, against the light.',
      unseen: 'Nobody looked: the answer is then the wider for it.',
      clear: 'Print behind the jar can be read.',
      hazy: 'Light and fingers show through, print does not.',
      cloudy: 'Nothing shows through.'
    },
    underLimit: (limit: number, sand: number, silt: number, clay: number) =>
      `With sand from ${limit} µm up: ${sand} % sand, ${silt} % silt, ${clay} % clay. The class goes by 50 µm, brought over along a straight line in log size.`,
    line: {
      start: (solids: string, column: string, temp: string) =>
        `${solids} of the column is solids at set-down; it stands ${column} deep at ${temp}.`,
      mark: (time: string, cut: string) => `At ${time} all over ${cut} µm is down`,
      adds: 'adds to the height',
      sum: 'together',
      read: 'as read',
      thick: 'thickness',
      packs: 'packs at',
      down: 'down by now',
      load: 'load'
    }
  },
  calibrate: {
    title: 'Calibrated against a laboratory',
    few: (n: number, method: string, by: string) =>
      `${n === 0 ? 'No jar' : 'One jar'}${by ? ` by ${by}` : ''} by the method ${method} has a laboratory report beside it. Two at least are needed.`,
    from: (codes: string, method: string) =>
      `From ${codes}, by the method ${method}. Mean distance from the laboratory:`,
    before: 'as read',
    after: 'calibrated',
    leftOut: 'calibrated by the others alone',
    shift: (silt: string, clay: string) =>
      `Silt counts ${silt} times, clay ${clay} times as much against sand.`,
    noHelp: 'By the others alone no jar comes nearer: this calibration does not help, and is not offered.',
    use: 'Use it for this reading; the result will say so'
  }
};
