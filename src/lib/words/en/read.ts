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
    rulers: { mm: 'mm', sixteenths: 'sixteenths', eye: 'by eye', mL: 'mL' },
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
    share: (layer: string, percent: string) => `${layer} ${percent}`,
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
    hideWorking: 'Hide the working',
    workingTotal: 'together',
    workingPoint: 'Sand, silt and clay as percent of that height:',
    workingClass: 'The class follows from the rules of the USDA Soil Survey Manual, tested in their order.',
    workingCertainty: (draws: string, sigma: string) =>
      `How sure: ${draws} jars were drawn with every boundary moved at random by its own error (± ${sigma} unless a line has its own), and the classes counted.`,
    workingSpread: 'One standard error of each share, in points:',
    coarse: (coarse: string, fine: string) => `Of the sand ${coarse} are coarse and ${fine} fine.`,
    skin: (skin: string) => `${skin} of settled organics lie on top and do not count.`,
    calibrated: (pairs: number, sand: number, silt: number, clay: number) =>
      `Calibrated by ${pairs} jars with a laboratory report. As read: ${sand} % sand, ${silt} % silt, ${clay} % clay.`,
    workingBase: (base: string) =>
      `The ruler stood on the table: ${base} of glass were taken off every height first.`,
    workingHeight:
      'This is by height, as practised. Fresh clay and silt settle loosely: by mass there is usually more sand.',
    workingFigures: {
      eye: 'These are shares as an eye sees them, not heights that were measured.',
      others: 'These are somebody else’s numbers, taken as they are.'
    },
    eyePoints: '5 points',
    share: (layer: string, percent: string) =>
      `${layer[0].toUpperCase()}${layer.slice(1)} is ${percent} of what settled`,
    shareShort: (percent: string, layer: string) => `${percent} ${layer}`,
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
    cannot: (why: string) => `No estimate by mass from this: ${why}`,
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
    askWater: 'How does the water over it look? The estimate by mass waits for it.',
    waters: { '': 'not asked yet', unseen: 'not looked at', clear: 'clear', hazy: 'hazy', cloudy: 'cloudy' },
    waterScale: {
      '': 'Hold print behind the jar, against the light.',
      unseen: 'Nobody looked: the estimate then lies between clear and cloudy, and says the range.',
      clear: 'Print behind the jar can be read.',
      hazy: 'Light and fingers show through, print does not.',
      cloudy: 'Nothing shows through.'
    },
    assumed: 'What the estimate by mass assumes',
    packing: (layer: string) => `Packing of ${layer}`,
    free: 'Leave crowding out',
    alsoAssumed:
      'Also: grains of 2650 kg/m³. An empty field stands for the usual: the warmth noted at set-down, sand from 50 µm, clay down to 0.2 µm.',
    reset: 'Back to the usual',
    badPacking: 'Give kg/m³ from 100 to 2000.',
    warmth: 'Water, °C',
    warmthF: 'Water, °F',
    limit: 'Sand from',
    limitUsual: '50 µm',
    limitUm: (um: number) => `${um} µm`,
    floor: 'Finest clay, µm',
    badFloor: 'Give µm from 0.01 to 1.9, such as 0.2.',
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
  },

  picture: {
    lead: 'A picture straight from the front, at the height of the layers, with a ruler beside the glass or two known heights of it in view.',
    how: 'Put the two crosses on known heights, lay the strip on clear glass, then say what each line is the top of.',
    choose: 'Choose a picture',
    camera: 'Use the camera',
    bench: 'Simulated bench camera',
    kept: 'Pictures kept of this jar',
    useKept: (n: number) => `Read from picture ${n}`,
    opening: 'Opening …',
    sees: 'What the camera sees',
    takeNow: 'Take it',
    noCamera: 'The browser gives no camera. Allow it for this page, or choose a picture.',
    stage: 'The picture, with the scale and the strip on it',
    nearer: 'Nearer',
    lowPoint: 'Lower known height',
    highPoint: 'Upper known height',
    lowHeight: 'Height at the lower cross',
    highHeight: 'Height at the upper cross',
    places: { bottom: 'inside bottom', water: 'water line', shoulder: 'shoulder', rim: 'rim' },
    moveStrip: 'Strip, aside',
    stripFoot: 'Lower end of the strip',
    stripHead: 'Upper end of the strip',
    width: 'Width of the strip',
    square: 'Straighten by four corners',
    squareNow: 'Straighten',
    squareHow:
      'Put the corners on something upright and square: the ruler, the label, the jar itself. Upper left first, then round.',
    unsquare: 'As it was taken',
    corner: (i: number) =>
      ['Upper left corner', 'Upper right corner', 'Lower right corner', 'Lower left corner'][i],
    stretch: 'Stretch pale colours',
    chart: (n: number) =>
      `Colours of the strip from the bottom up, with ${n === 1 ? 'one line' : `${n} lines`}`,
    found: (n: number) => (n === 0 ? 'No line found' : n === 1 ? 'One line found' : `${n} lines found`),
    lines: 'Lines on the strip',
    line: (name: string, height: string) => `Line at ${height}, ${name}`,
    topOf: (height: string) => `The line at ${height} is the top of`,
    noName: 'not a layer',
    plain: (n: number) => `plain to ${n} %`,
    byHand: 'by hand',
    drop: 'take off',
    dropLine: (height: string) => `Take off the line at ${height}`,
    water: {
      clear: 'By its colour the water over it is clear.',
      hazy: 'By its colour the water over it is hazy.',
      cloudy: 'By its colour the water over it is cloudy.'
    },
    addLine: 'Add a line',
    mineBack: 'Put my lines back',
    askNames: 'Say what each line is the top of: those without a name are left out.',
    onLabel: (from: string, to: string) =>
      `From ${from} to ${to} the strip lies on a label or something else before the soil. Move it to clear glass: what is found there is not the soil’s.`,
    anew: 'Find them anew',
    take: 'Take these lines',
    taken: 'Lines taken over from the picture.',
    twice: (name: string) => `Two lines are both the top of ${name}. Change one of them.`,
    nameOne: 'Say of at least one line what it is the top of.',
    by: 'Read',
    bys: { ruler: 'by ruler', picture: 'from a picture' }
  },

  photos: {
    title: 'Pictures',
    add: 'Add a picture',
    take: 'Take a picture',
    sending: 'Sending …',
    added: (of: string) => `Picture of ${of} kept.`,
    remove: 'take off',
    removed: 'Picture taken off.',
    again: (name: string) => `Try ${name} again`,
    alt: (of: string, when: string) => `Picture of ${of}, ${when}`,
    tooLarge: 'This file is over 15 MB. Make the picture smaller.'
  },

  film: {
    title: 'Height-time picture',
    pictures: (n: number) => (n === 1 ? '1 picture' : `${n} pictures`),
    lead: 'A camera left on a stand takes a picture every few seconds at first, then ever fewer. Side by side they show the sediment growing and the cloud falling, and the jar reads itself.',
    makeOne: 'Film this jar',
    makeAnother: 'Make another film',
    source: 'From',
    sources: { camera: 'this camera', folder: 'a folder of pictures' },
    how: {
      camera:
        'Stand the device still before the jar and leave this page open: it films as long as it is. The screen stays on where the browser allows.',
      folder:
        'Pictures of one camera that did not move. When they were taken is told by the seconds in their names, by the camera, or by the files.'
    },
    first: 'Take a first picture',
    firstAgain: 'Take it again',
    choose: 'Choose the pictures',
    chosen: (pictures: string) => `${pictures} chosen. The strip is laid on the last.`,
    every: 'One picture every',
    everyHint: 'Only where the pictures do not say. The first stands for that long after set-down.',
    layStrip:
      'Put the crosses on two known heights and the strip on clear glass, from the bottom to under the water line. It holds for every picture.',
    begin: 'Begin to film',
    make: 'Make the picture',
    stop: 'Stop filming',
    reading: (n: number) => `Reading picture ${n + 1} …`,
    filming: (pictures: string) => `Filming: ${pictures}.`,
    next: (time: string) => `Next at ${time} after set-down.`,
    threeFiles: 'Choose three pictures at least, taken one after another.',
    outsideRun:
      'These times do not lie between the set-down of this run and now. Give the step from one picture to the next.',
    sameTime: 'Several pictures have one time. Give the step from one picture to the next.',
    few: (pictures: string) => `${pictures} so far: three make a row.`,
    notSet: 'Set the jar down first: there is nothing to film yet.',
    time: 'Time',
    scales: { log: 'first minutes wide', even: 'even hours' },
    which: 'Which film',
    alt: (n: number, from: string, to: string) =>
      `Height-time picture of ${n} pictures, from ${from} to ${to} after set-down`,
    read: 'Time across, height up. Blue: the top of the sediment. Dots: where the cloud is half as thick as at the bed.',
    down: (layer: string) => `${layer} down`,
    layers: 'What the film says of the layers',
    byMass: (load: string) =>
      `By mass, from the whole curve as from many timed marks; ${load} kg on each m² of floor.`,
    end: 'last picture',
    front: (speed: string, size: string) =>
      `The cloud falls ${speed} mm an hour along a straight line: grains of ${size} µm lead it.`,
    toReading: 'Put these heights into the reading',
    keepTops: 'Keep the tops as readings',
    topsKept: (n: number) => `${n} readings of the top kept.`,
    remove: 'take this film off',
    removed: 'Film taken off.',
    open: 'Height-time picture'
  },

  trouble: {
    title: 'What may have gone wrong',
    now: 'Now:',
    name: {
      'too-full': 'Too much soil',
      'too-thin': 'Too little soil',
      stones: 'Not screened',
      foam: 'Foam',
      knocked: 'Knocked or moved',
      'no-dispersant': 'No dispersant',
      'over-shoulder': 'Over the shoulder',
      'cloudy-long': 'Cloudy for days',
      'cleared-soon': 'Clear too soon',
      'read-early': 'Read early',
      'marks-fall': 'A mark below the one before it',
      'two-layers': 'Only two layers',
      crumbs: 'Crumbs read as sand',
      'dark-skin': 'A dark skin on top',
      rattle: 'Rattled when shaken'
    },
    why: {
      'too-full': (share: string, speed: string) =>
        `The dry soil filled ${share} of the straight wall: at set-down every grain went at ${speed} of its speed in clear water, and sizes settled together.`,
      'too-thin': (total: string, points: string) =>
        `All that settled is ${total}: half a millimetre on one line moves a share by ${points} points.`,
      stones: (share: string) => `${share} of what settled is gravel: its gaps are filled with finer stuff.`,
      foam: 'Foam was noted: it hides the water line and carries fines at the top.',
      knocked: 'It was knocked or moved while it stood: layers mix where they meet.',
      'no-dispersant': (dose: string) =>
        `The method asks for ${dose} a litre, and none went in: clay holds together in crumbs.`,
      'over-shoulder': (top: string, shoulder: string) =>
        `The layers reach to ${top}, the wall is straight to ${shoulder}: above that a height is no volume.`,
      'cloudy-long': (days: number) =>
        `After ${days} days the water is still cloudy: very fine clay is up, or the soil disperses by itself, as sodic soils do.`,
      'cleared-soon': (hours: number, up: string) =>
        `The water was clear after ${hours} h, when ${up} of the clay should still be up: it came down in flocs, by lime, salt or hard water.`,
      'read-early': (minutes: number, up: string) =>
        `It was read after ${minutes} min, with ${up} of the clay still up.`,
      'marks-fall': (layer: string, by: string) =>
        `The ${layer} mark lies ${by} under the one before it. A bed packs, but not by so much in that time.`,
      'two-layers': (layer: string) =>
        `No ${layer} was placed: there is little of it, its line is faint, or it is still up.`,
      crumbs: (was: string, is: string) =>
        `At the same time after set-down the sand stood at ${was} before it was shaken again, and at ${is} now: some of it was crumbs.`,
      'dark-skin': (skin: string, points: string) =>
        `${skin} of settled organic matter lie on the clay. Read as clay they would add ${points} points.`,
      rattle: 'It rattled while it was shaken: stones, or dry crumbs that have not come apart.'
    },
    todo: {
      'too-full': 'start again with a third.',
      'too-thin': 'start again with more soil or in a narrower jar, or take the wide range as it is.',
      stones: 'sieve, weigh the gravel apart, and start again with what went through.',
      foam: 'wait, or repeat with a non-foaming kind and roll the jar instead of shaking it.',
      knocked: 'shake it again and start the clock anew; this run stays in the record.',
      'no-dispersant': 'add it and shake again if the clay matters.',
      'over-shoulder':
        'read only the straight part, or repeat in a taller vessel. So much clay-rich soil is probably over half clay.',
      'cloudy-long':
        'read it, and say that the water is cloudy: clay is then a range. For a wall or a pond bank have it tested: dispersive ground washes out.',
      'cleared-soon': 'shake again with distilled or rain water and dispersant.',
      'read-early': 'keep this reading as an early one, and read again when the method says.',
      'marks-fall': 'measure both again, from the inside bottom, at eye level.',
      'two-layers': 'wait if the water is cloudy; else place the line by the timed mark, with a wide error.',
      crumbs: 'soak it, add dispersant, and shake until the sand no longer falls.',
      'dark-skin':
        'look at its colour and feel it: organic matter is dark and fibrous, clay is smooth. Keep its line apart.',
      rattle: 'sieve out and weigh the stones, or soak the crumbs overnight, then shake again.'
    },
    effect: {
      'too-full': 'Shares run into each other; sand is overstated.',
      'too-thin': 'The class is less sure than usual; the percentages say so.',
      stones: 'Gravel is no part of the texture, but it hides the sand line.',
      foam: 'The top line is unsure.',
      knocked: 'Every line is less sure than its reading error says.',
      'no-dispersant': 'Clay is understated, silt and sand overstated.',
      'over-shoulder': 'The uppermost layer is overstated by height.',
      'cloudy-long': 'Clay as read is too low.',
      'cleared-soon': 'Clay has settled with the silt: silt is overstated and loose.',
      'read-early': 'Clay as read is too low; the estimate by mass adds what should come.',
      'marks-fall': 'One of the two layers is wrong by that much.',
      'two-layers': 'The missing share is counted as nothing.',
      crumbs: 'The first run overstated the sand; this one is nearer.',
      'dark-skin': 'None as it is read now: organic matter is no size, and does not count.',
      rattle: 'Stones and crumbs lie at the bottom and are read as sand.'
    }
  }
};
