import type { LengthUnit } from '$lib/core';
import { know } from './know.en';
import { saving } from './saving.en';
import { curve, cylinder } from './cylinder.en';
import { work } from './work.en';

/** English. Keys are grouped by station; functions take what varies. */
export const en = {
  product: 'Tivrel',
  know,
  saving,
  cylinder,
  curve,
  work,
  stations: { plan: 'Plan', bench: 'Bench', read: 'Read', know: 'Know', log: 'Log', profile: 'Profile' },
  layer: {
    gravel: 'gravel',
    coarse: 'coarse sand',
    sand: 'sand',
    silt: 'silt',
    clay: 'clay',
    skin: 'settled organics',
    surface: 'water',
    organics: 'floating organics'
  },
  /** Short, for a strip of tape. */
  onTape: {
    gravel: 'gravel',
    coarse: 'coarse',
    sand: 'sand',
    silt: 'silt',
    clay: 'clay',
    skin: 'organic',
    surface: 'water'
  },
  Layer: {
    gravel: 'Gravel',
    coarse: 'Coarse sand',
    sand: 'Sand',
    silt: 'Silt',
    clay: 'Clay',
    skin: 'Settled organics',
    surface: 'Water',
    organics: 'Floating organics'
  },
  purpose: { garden: 'Garden', build: 'Building', bore: 'Boring', lesson: 'Lesson' },
  status: { ready: 'not set down', running: 'settling', read: 'read', finished: 'finished' },
  endReason: {
    knocked: 'knocked over or moved',
    foamed: 'too much foam',
    clots: 'clods left in the jar',
    other: 'another reason'
  },
  jarNote: {
    knocked: 'knocked, stands on',
    moved: 'moved',
    rattled: 'rattled when shaken',
    foamed: 'foam on top',
    'topped-up': 'topped up',
    photographed: 'photographed'
  },
  unitName: { mm: 'mm', cm: 'cm', in: 'inches' } satisfies Record<LengthUnit, string>,

  common: {
    cancel: 'Leave it',
    close: 'Close',
    undo: 'Undo',
    undone: 'Taken back.',
    now: 'now',
    today: 'today',
    tomorrow: 'tomorrow',
    yesterday: 'yesterday',
    skip: 'Skip to the work',
    percent: (n: number) => `${n}\u00a0%`
  },

  due: {
    nothing: 'Nothing is waiting',
    nothingMore: 'nothing after that',
    setJar: 'set a jar when you are ready',
    freeFor: (duration: string) => `free for ${duration}`,
    thenFree: (when: string) => `then free until ${when}`,
    now: (code: string, what: string) => `${code} · ${what} now`,
    in: (code: string, what: string, countdown: string) => `${code} · ${what} in ${countdown}`,
    at: (code: string, what: string, when: string) => `${code} · ${what} ${when}`,
    late: (code: string, what: string, duration: string) => `${code} · ${what}, ${duration} late`,
    label: 'What is due next'
  },

  step: {
    shake: 'Shake it',
    shakeShort: 'shake',
    'set-down': 'Set down',
    mark: (layer: string) => `Mark the ${layer}`,
    markShort: (layer: string) => `mark the ${layer}`,
    lower: (tool: string) => `Lower the ${tool}`,
    lowerShort: (tool: string) => `lower the ${tool}`,
    gauge: (tool: string) => (tool === 'pipette' ? 'Draw by pipette' : 'Read the hydrometer'),
    gaugeShort: (tool: string) => (tool === 'pipette' ? 'draw by pipette' : 'read the hydrometer'),
    read: 'Read the layers',
    readShort: 'read the layers',
    finish: 'Finish the test',
    setDownShort: 'set down',
    finishShort: 'finish the test',
    ready: 'ready',
    shaken: 'when shaken',
    shaking: (gone: string, of: string) => `shaking ${gone} of ${of}`,
    shakenEnough: 'shaken enough',
    state: { due: 'due', late: 'late', missed: 'missed' },
    now: 'now',
    in: (countdown: string) => `in ${countdown}`,
    late: (duration: string) => `${duration} late`,
    missed: (layer: string) => `${layer[0].toUpperCase()}${layer.slice(1)} mark missed`,
    missedHint: 'mark late, or shake again',
    lateHint: 'still worth marking',
    lateReading: 'still worth reading: its size follows from the true time',
    planLate: 'late against the plan'
  },

  call: {
    mark: (code: string, layer: string) => `Jar ${code}, mark the ${layer}`,
    read: (code: string) => `Jar ${code}, read the layers`,
    lower: (code: string, tool: string) => `Cylinder ${code}, lower the ${tool}`,
    gauge: (code: string, tool: string) =>
      tool === 'pipette' ? `Cylinder ${code}, draw now` : `Cylinder ${code}, read the hydrometer`,
    shake: (code: string) => `Jar ${code}, shake it now`,
    setDown: (code: string) => `Jar ${code}, set it down`,
    shaken: (code: string) => `Jar ${code}, shaken long enough`,
    ahead: (line: string, seconds: number) =>
      `${line} in ${seconds < 60 ? `${seconds} seconds` : `${seconds / 60} minutes`}`
  },

  bench: {
    title: 'Bench',
    emptyTitle: 'The shelf is empty',
    emptyLead:
      'Fill a jar with a third of soil and water to the neck. Tivrel says how much, keeps the clock, and tells you when to mark each layer.',
    setJar: 'Set a jar',
    another: 'Set another jar',
    planThem: (n: number) => `Plan when to set down ${n} jars`,
    shelf: 'Jars on the shelf',
    drawn:
      'Deposits and cloud are drawn as the physics expects them by now for an even loam, and through the heights you measured.',
    drawnSmaller: ' Tall cylinders are drawn smaller than jars.',
    ribbon: 'The coming hours',
    later: (n: number) => (n === 1 ? '1 more later' : `${n} more later`),
    quiet: 'quiet hours',
    mark: (layer: string, code: string) => `Mark the ${layer} on ${code}`,
    open: (code: string, name: string) => `Open ${code}, ${name}`,
    /** Short, for buttons under a line that says the whole. */
    do: {
      mark: 'Mark',
      read: 'Read',
      lower: 'Read',
      gauge: 'Read',
      finish: 'Finish',
      'set-down': 'Prepare',
      shake: 'Prepare'
    },
    doTo: {
      read: (code: string) => `Read ${code}`,
      lower: (code: string) => `Read ${code}`,
      gauge: (code: string) => `Read ${code}`,
      finish: (code: string) => `Finish ${code}`,
      'set-down': (code: string) => `Prepare ${code}`,
      shake: (code: string) => `Prepare ${code}`
    }
  },

  set: {
    title: 'Set a jar',
    sample: 'Which soil is it?',
    sampleNew: 'A new sample',
    sampleOld: 'One I have',
    sampleChoose: 'Choose a sample',
    sampleName: 'Where the soil came from',
    sampleNameHint: 'such as: Walled garden, north bed',
    samplePurpose: 'What is it for?',
    sampleMissing: 'Choose the sample this jar is for, or name a new one.',
    codeHint: 'It gets a short code for the tape, a letter and a number.',
    vessel: 'Which vessel?',
    vesselOwn: 'Add your own',
    vesselName: 'Name',
    vesselKind: 'Shape',
    vesselJar: 'Jar with a shoulder',
    vesselCylinder: 'Straight cylinder',
    vesselSave: 'Keep this vessel',
    vesselMeasures: (height: string, width: string, base: string) =>
      `${height} high and ${width} wide inside, base ${base}`,
    area: 'From which area?',
    areaHint: 'It brings its letters for the tape.',
    marksAt: 'When to mark',
    marksAsked: 'as the method says',
    marksTrue: (um: number) => `true marks, ${um} and 2 µm`,
    marksAskedHint: 'Taught times, the same for every jar: the table says what they cut in this one.',
    marksTrueHint:
      'The times at which these sizes have really fallen the column of this jar. Two jars marked so can be compared.',
    method: 'Which method?',
    temperature: 'Water temperature',
    temperatureHint: 'Cold water slows everything: 10 degrees make a third.',
    fill: 'How full?',
    soil: 'Dry soil to',
    water: 'Water line at',
    fillReset: 'back to what the method asks',
    fromBottom: 'from the inside bottom',
    answer: 'For this jar',
    answerSoil: (height: string) => `Dry soil to ${height}`,
    answerWater: (height: string, volume: string) => `water to ${height}, about ${volume}`,
    answerDose: (dose: string, note: string) => `${dose} of dispersant, ${note}`,
    answerNoDose: 'no dispersant',
    marksTitle: 'The marks, and what they cut in this jar',
    markAt: (duration: string) => `at ${duration}`,
    markWindow: (from: string, to: string) => `from ${from} to ${to}`,
    cuts: (size: string) => `all coarser than ${size} µm is down`,
    trueTitle: 'Where the size limits really fall',
    trueMark: (size: number, when: string) => `${size} µm at ${when}`,
    trueSand: 'sand ends, silt begins',
    trueSilt: 'silt ends, clay begins',
    noMarks: (when: string) => `No marks to make. Read the bands ${when}.`,
    crowd: (percent: string) =>
      `Counted with crowding: at set-down this much soil slows the grains to ${percent} of their speed in clear water.`,
    doubtFull: (share: string, speed: string) =>
      `The soil fills ${share} of the jar. Grains start at only ${speed} of their free speed and the layers blur. A third is better.`,
    doubtThin: (height: string) =>
      `Only about ${height} will settle. A half-millimetre slip then moves the result by points. Use more soil or a narrower jar.`,
    doubtDose: 'Without dispersant clay stays in crumbs and reads as silt or sand.',
    working: {
      water: (temp: string, viscosity: string, density: string, grain: number) =>
        `Water at ${temp}: viscosity ${viscosity} mPa s, density ${density} kg/m³. Grains ${grain} kg/m³.`,
      load: (soil: string, loose: number, load: string, water: string, share: string) =>
        `${soil} of loose soil at ${loose} kg/m³ are ${load} kg on each m² of floor; in ${water} of water the grains fill ${share} % of the room.`,
      crowd: (free: string, speed: string) =>
        `So full, every grain starts at ${free}^4.65 = ${speed} % of its speed, and quickens as the water clears.`,
      law: 'The size that has just fallen the whole column (Stokes): √(18 · viscosity · height / ((grain − water density) · gravity · time)).',
      mark: (layer: string, at: string, counts: string) =>
        `${layer}: ${at} in this jar count as ${counts} in clear water.`,
      natural: (limit: number, size: string) =>
        `Over ${limit} µm the law for natural grains takes over: ${size} µm.`
    },
    prepare: 'Prepare this jar',
    needVessel: 'Choose a vessel, or add your own.'
  },

  plan: {
    parts: {
      ground: 'Ground',
      gather: 'Gather',
      labels: 'Labels',
      marks: 'Methods',
      timetable: 'Timetable'
    },
    title: 'What the marks mean',
    lead: 'Every method puts its marks at other times, and calls other sizes sand and silt. Here they stand side by side, for one jar and its water.',
    vessel: 'In which vessel',
    slideTemp: 'Water temperature, by sliding',
    slideWater: 'Water line, by sliding',
    trueMarks: 'True marks in this jar',
    sizes: 'coarse to fine, µm',
    how: { mark: 'Mark', reading: 'Reading', end: 'Read when it is over' },
    cutAt: (how: string, at: string, um: string) => `${how} at ${at}: all coarser than ${um} µm is down`,
    note: 'Marks and bands are counted over the whole water column, with crowding for this much soil. Hydrometer and pipette are counted over their own depth at a usual reading, in thin suspensions. Two people’s silt can be compared only where their marks cut alike.',
    back: 'All methods',
    noMethod: 'No method of that name ships.',
    setThisWay: 'Set a jar this way',
    steps: 'The work, in order',
    cues: 'When hands are wanted',
    after: 'After set-down',
    what: 'What',
    cutsTo: 'Cuts at',
    cueMark: (layer: string) => `mark the ${layer}`,
    cueRead: { hydrometer: 'read the hydrometer', pipette: 'draw a sample' },
    cueLead: (lead: string) => `hands ${lead} before`,
    amounts: 'What goes in',
    soil: 'Soil',
    water: 'Water',
    dispersant: 'Dispersant',
    aLitre: 'a litre',
    agitate: 'Mixing',
    over: 'Over',
    schools: 'Where schools differ',
    inJar: (vessel: string, temp: string) => `Where it cuts, in a ${vessel.toLowerCase()} at ${temp}`,
    stepsOf: 'Steps and reasons',
    compare: 'Compare what the methods’ marks mean'
  },

  ground: {
    title: 'Ground',
    emptyTitle: 'Where is the ground?',
    emptyLead:
      'Draw the ground as areas that differ: a bed, a bank, a heap, the edge of a path. Each gets its own spots, its own sample, and letters that follow it onto the tape.',
    newSite: 'Another site',
    otherSite: 'Site',
    siteName: 'Name of the site',
    siteNameHint: 'such as: Skarn Holm',
    startSketch: 'Start the sketch',
    notFound: 'This site is not here.',
    areaNotFound: 'This area is not here. It may have been removed.',
    sketchOf: (name: string) => `Sketch of ${name}`,
    areaOf: (code: string, name: string, size: string) => `${code}, ${name}, ${size}`,
    north: 'N',
    larger: 'Look closer',
    smaller: 'See more',
    areas: 'Areas',
    areasLead: 'Press one to plan its spots.',
    noAreas:
      'Nothing is drawn yet. Go round one piece of ground, corner by corner. Made ground changes within metres: a patch nobody has worked is a useful control.',
    draw: 'Draw an area',
    newArea: 'A new area',
    editTitle: 'Write up the area',
    drawLead: {
      0: 'Press the paper at the first corner.',
      1: 'Go round: press each corner in turn.',
      2: 'One corner more makes an area.',
      3: 'Press the first corner again to close it.'
    },
    close: 'Close the outline',
    back: 'Take back a corner',
    closeHere: 'Close the outline here',
    drawOn: 'draw on',
    byMeasures: 'Or by its measures',
    wide: 'Across',
    high: 'Up the sheet',
    putRectangle: 'Put down a rectangle',
    areaName: 'Name of the area',
    areaNameHint: 'such as: Walled garden, north bed',
    history: 'What has been done to it',
    histories: {
      amended: 'amended',
      filled: 'filled or made up',
      dug: 'dug over',
      untouched: 'never worked'
    },
    keepArea: 'Keep the area',
    areaKept: (name: string) => `${name} is on the sketch.`,
    outlineKept: (name: string) => `${name}: outline kept.`,
    areaRemoved: (name: string) => `${name} is off the sketch.`,
    removeArea: 'Take off the sketch',
    editWords: 'Write it up',
    allAreas: '← All areas',
    corner: (n: number, x: string, y: string) => `Corner ${n}, ${x} m across, ${y} m up`,
    addCorner: (n: number) => `Add a corner after corner ${n}`,
    cornerHint:
      'Drag a corner to move it; with keys, arrows move it 0.1 m (with shift 1 m) and Delete takes it out. A plus adds one.',
    asItWas: 'Put it back as it was',
    depth: {
      whole: (from: string, to: string) =>
        `Take the whole depth from ${from} to ${to}, not just the top: roots use all of it.`,
      'below-amendment': (from: string) =>
        `Sample below the amendment as well, at about ${from}, as a sample of its own.`,
      'below-topsoil': () =>
        'Dig below the topsoil, where no roots or dark crumbs are left, and note the depth: organic matter has no place in a wall.',
      'at-bore': () =>
        'Take it at the depth of the bore, and note it. Keep out of unsupported holes and trenches.'
    } as Record<string, (from: string, to: string) => string>,
    spots: 'Spots',
    spot: (no: number) => `Spot ${no}`,
    spotOf: (no: number, area: string) => `spot ${no}, ${area}`,
    noSpots: (from: number, to: number) =>
      `${from} to ${to} spots, mixed into one sample, speak for the whole area.`,
    noSpotsYet: 'no spots yet',
    spotsTaken: (taken: number, all: number) => `${taken} of ${all} spots taken`,
    walkOf: (length: string) => `a walk of ${length}`,
    howMany: 'How many',
    badCount: (most: number) => `Give a whole number from 1 to ${most}.`,
    suggest: 'Suggest spots',
    suggestOther: 'Suggest others',
    suggested: (n: number, name: string) => `${n === 1 ? 'One spot' : `${n} spots`} in ${name}.`,
    place: 'Put one by hand',
    placing: 'Press inside the area',
    moveSpot: (no: number) => `Spot ${no}: drag it or move it with the arrow keys`,
    spotAdded: 'Spot added.',
    spotMoved: 'Spot moved.',
    spotRemoved: (no: number) => `Spot ${no} is gone.`,
    removeSpot: (no: number) => `Take off spot ${no}`,
    takeOff: 'take off',
    notTaken: 'not taken yet',
    takenAt: (when: string) => `taken ${when}`,
    change: 'change',
    changeSpot: (no: number) => `Change spot ${no}`,
    walk: 'Walk the spots',
    walkTitle: (name: string) => `Walk ${name}`,
    backToSketch: '← The sketch',
    spotNoteHint: 'roots, stones, a change of colour',
    tick: (no: number) => `Spot ${no} is taken`,
    untick: 'Not taken after all',
    keepWords: 'Keep the change',
    ticked: (no: number) => `Spot ${no} taken.`,
    unticked: (no: number) => `Spot ${no} is open again.`,
    mix: (n: number) => (n === 1 ? 'Make it a sample' : `Mix the ${n} into one sample`),
    mixAgain: 'Another sample of these spots',
    samples: 'Samples',
    tools: 'The sheet',
    paper: 'Paper and scale',
    onSquares: 'Drawn on squared paper. Lay a plan or a photo from above under it if you have one.',
    onPicture: 'Drawn on your picture.',
    backdrop: 'Lay a picture under it',
    otherBackdrop: 'Another picture',
    noBackdrop: 'Back to squares',
    backdropLaid: 'The picture is under the sketch.',
    backdropTaken: 'Back to squared paper.',
    notScaled: 'The picture has no scale yet: areas in m² mean nothing until two of its points have one.',
    scaleIt: 'Scale by two points',
    scaleTitle: 'Scale',
    scaleLead: {
      0: 'Press a point whose distance to another you know.',
      1: 'Now press the other one.',
      2: 'How far apart are they on the ground?'
    },
    apart: 'Distance between them',
    apartHint: 'such as 12.5 m or 40 ft',
    scaleDo: 'Scale the sketch',
    scaled: 'The sketch is to scale.',
    files: 'GeoJSON',
    filesEarth: 'Areas and spots by longitude and latitude.',
    filesLocal: 'Areas and spots in metres on the sketch, until the site has a place on the earth.',
    exportFile: 'Save as GeoJSON',
    importFile: 'Bring in GeoJSON',
    fileTooLarge: 'This file is over 2 MB. Cut the site you need out of it first.',
    foundIn: (file: string, areas: number, spots: number) =>
      `${file}: ${areas === 1 ? 'one area' : `${areas} areas`}, ${spots === 1 ? 'one spot' : `${spots} spots`}.`,
    foundLocal: 'Its numbers are taken as metres.',
    foundEarth: 'Its numbers are longitude and latitude.',
    foundLeft: (what: string) => `Left out: ${what}.`,
    bringIn: 'Put them on the sketch',
    broughtIn: (areas: number, spots: number) =>
      `${areas === 1 ? 'One area' : `${areas} areas`} and ${spots === 1 ? 'one spot' : `${spots} spots`} brought in.`,
    siteWords: 'Name and place on the earth',
    lat: 'Latitude',
    lon: 'Longitude',
    bearing: 'Up points to',
    earthHint:
      'Degrees of the lower left corner of the sketch, and the bearing of its upper edge (0 is north). Empty if you do not need it.',
    badDegrees: 'Give degrees as a number, such as 60.39.',
    keepSite: 'Keep name and place',
    siteKept: (name: string) => `${name}: kept.`
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
    anew: 'Find them anew',
    take: 'Take these lines',
    taken: 'Lines taken over from the picture.',
    twice: (name: string) => `Two lines are both the top of ${name}. Change one of them.`,
    nameOne: 'Say of at least one line what it is the top of.',
    by: 'Read',
    bys: { ruler: 'by ruler', picture: 'from a picture' }
  },

  vessel: {
    way: 'How is it measured?',
    ways: { inside: 'inside', outside: 'by its outside', profile: 'width at heights' },
    fields: {
      innerHeightMm: 'Inner height, bottom to rim',
      innerDiameterMm: 'Inner width',
      shoulderHeightMm: 'Height of the shoulder, inside',
      mouthDiameterMm: 'Width of the mouth, inside',
      baseThicknessMm: 'Thickness of the base',
      domeMm: 'Dome of the bottom',
      graduationMl: 'A line of its scale, mL',
      capacityMl: 'Capacity to the rim, mL',
      outerHeightMm: 'Outer height',
      outerDiameterMm: 'Outer width',
      wallMm: 'Thickness of the wall',
      waterG: 'Weight of the water',
      toMm: 'It stood, over the inside bottom'
    },
    noScale: 'no scale',
    height: 'Height inside',
    diameter: 'Inner width there',
    morePairs: 'One more',
    drop: 'take off',
    dropPair: (n: number) => `Take off pair ${n}`,
    trace: 'Trace it on a picture',
    traceHow:
      'Put the crosses on the axis of the glass at two known heights, then the squares along the inside of one wall.',
    wallPoint: (n: number) => `Point ${n} of the wall`,
    moreWall: 'One more point',
    useTrace: 'Use these widths',
    holds: (rim: string, shoulder: string) => `Holds ${rim} to the rim, ${shoulder} to the shoulder.`,
    straight: 'Straight to the shoulder: heights stand for volumes.',
    shaped: 'Not straight: layers will be counted by volume.',
    check: 'Check it with water',
    checkHow: 'Fill it, note how high the water stands, and weigh it full and empty.',
    checked: (measures: string, weighed: string, by: string) =>
      `By its measures ${measures} mL, by weight ${weighed} mL: ${by} % apart.`,
    agrees: (allowed: string) => `That is within what a ruler allows, ${allowed} %.`,
    disagrees: (allowed: string) => `A ruler explains ${allowed} %. Measure the width again, or`,
    fit: 'take the width from the water',
    badMl: 'Give mL as a number above zero, such as 950.'
  },

  methods: {
    copy: 'Copy and change it',
    change: 'Change it',
    copyLead: (name: string) =>
      `Your own method, from “${name}”. That one stays as it is; tests keep the version they were set by.`,
    changeLead: 'It becomes a new version. Tests that were set by an earlier one keep that.',
    copyOf: (name: string) => `${name}, our way`,
    backTo: (name: string) => `← ${name}`,
    name: 'Name',
    purpose: 'What it is good for',
    vessel: 'Vessel',
    vessels: { jar: 'jar', cylinder: 'cylinder' },
    soil: 'Dry soil, %',
    soilHint: 'of the height to the shoulder',
    water: 'Water line',
    waters: { neck: 'to the neck', 'near-top': 'nearly to the rim', share: 'a share of the height' },
    waterShare: 'Water line, % of the inner height',
    dose: 'Dispersant, mL a litre',
    doseHint: '0 for none',
    badShare: 'Give a percentage such as 33.',
    badDose: 'Give mL a litre, such as 5, or 0 for none.',
    grams: 'Air-dry soil, g',
    badGrams: 'Give grams such as 40.',
    solution: 'Dispersant solution, mL a litre',
    tipDepth: 'Depth of the tip, mm',
    badDepth: 'Give mm such as 100.',
    badSize: 'Give µm such as 20.',
    drawLead: 'Lowered before a draw',
    readingsTitle: { hydrometer: 'When it is read', pipette: 'What is drawn' },
    readingsHint: {
      hydrometer:
        'Times are after set-down: 40 s, 2 h. With two readings the first gives the sand and the second the clay; with more they make a curve.',
      pipette: 'The time of each draw follows from its size, the depth and the warmth of the water.'
    },
    readAt: (n: number) => `Reading ${n} at`,
    readLead: (n: number) => `Lowered before reading ${n}`,
    lowered: 'lowered before',
    staysIn: 'stays in',
    drawSize: (n: number) => `Draw ${n}, all coarser than, µm`,
    cuts: 'cuts at',
    dropReading: (n: number) => `Take off reading ${n}`,
    addReading: 'Add a reading',
    addDraw: 'Add a draw',
    stepsFollow: 'The steps are words of their own: where a time has changed, change it there too.',
    times: 'When',
    timesHint: 'Times are after set-down: 40 s, 2 min, 1.5 h. Leave a mark empty if the method makes none.',
    how: 'How it is mixed',
    shakeFrom: 'Mixed for at least',
    shakeTo: 'Mixed for at most',
    after: 'after set-down',
    from: 'from',
    until: 'until',
    markAt: (layer: string) => `Mark the ${layer} at`,
    markUntil: (layer: string) => `Mark the ${layer} until`,
    noMark: 'no mark',
    tenth: 'a tenth later',
    endFrom: 'Read from',
    endTo: 'Read until',
    step: (n: number) => `Step ${n}`,
    why: (n: number) => `Reason for step ${n}`,
    whyHint: 'why',
    dropStep: (n: number) => `Take off step ${n}`,
    addStep: 'Add a step',
    means: (temp: string) => `What its marks mean, in its usual vessel at ${temp}`,
    keep: 'Keep the method',
    kept: (name: string) => `${name} is on the list.`,
    retire: 'Take off the list',
    retired: 'Taken off the list. Tests that used it keep it.',
    retiredNow: (name: string) => `${name} is off the list.`,
    older: (version: number, latest: number) => `Version ${version}; the latest is ${latest}.`,
    toLatest: 'To the latest',
    versions: 'Versions:'
  },

  labels: {
    title: 'Labels',
    lead: 'A code, a place and a day on every jar and bag, before they are mixed up. The square opens the sample on this bench.',
    none: 'No sample is on record yet. Set a jar first, and name its soil.',
    which: 'Which samples',
    sheet: 'Sheet of labels',
    copies: 'Of each',
    first: 'Start at label',
    firstHint: 'where a sheet has been used',
    noneChosen: 'Choose at least one sample.',
    make: (labels: number, pages: number) =>
      `${labels === 1 ? 'One label' : `${labels} labels`} on ${pages === 1 ? 'one page' : `${pages} pages`}, PDF`
  },

  gather: {
    title: 'What to gather',
    lead: (codes: string) => `For the jars that wait to be set down: ${codes}.`,
    vessel: (n: number, name: string) => (n === 1 ? name : `${n} × ${name}`),
    soil: (fill: string, dig: string) =>
      `${fill} of dry, broken soil for the fills; dig ${dig}, for what is screened out and a second jar`,
    water: (volume: string) => `${volume} of water; rain or distilled where the tap is hard`,
    dispersant: (dose: string) => `${dose} of non-foaming dispersant`,
    tools: {
      sieve: 'Sieve: 2 mm, or a kitchen strainer',
      scale: 'Scale, for the gravel that stays on the sieve',
      spoon: 'Measuring spoon or syringe',
      tape: 'Tape and a pen that writes on it',
      ruler: 'Ruler in millimetres or sixteenths',
      thermometer: 'Thermometer for the water',
      stopper: 'Stopper for the cylinder',
      hydrometer: 'Hydrometer, and a cloth to wipe it',
      pipette: 'Pipette of 20 or 25 mL, and weighed tins',
      oven: 'Ventilated oven at 105 °C that is not used for food, and tins',
      blank: 'A second cylinder for the blank',
      distilled: 'Distilled water, for filling and rinsing',
      lid: 'Lids that hold tight',
      bucket: 'Bucket, trowel and a sheet to dry the soil on',
      gloves: 'Gloves',
      mask: 'Fitted dust mask, and goggles if clods are hammered'
    },
    mind: 'Mind',
    cautions: {
      dig: 'Have buried services located before digging. Refill test holes.',
      trench: 'Keep out of unsupported holes deeper than about a metre.',
      dust: 'Dry soil dust harms lungs: damp it, or wear the mask.',
      hygiene:
        'Gloves, tetanus, washed hands. Ground near old buildings, roads or works may hold lead or asbestos: have it tested.',
      glass: 'No heat near the glass. Carry jars by the body, and vent the lid after shaking.'
    },
    print: 'Print the list'
  },

  timetable: {
    title: 'Timetable of the bench',
    lead: 'One pair of hands, many jars: when to shake and set down each, so that no two marks fall together and nobody is called at night.',
    none: 'No jar waits to be set down. Prepare the jars first: sample, vessel and method.',
    which: 'Which jars',
    earliest: 'Not before',
    earliestHint: 'Empty means now.',
    past: 'This lies in the past. Choose a later time, or leave it empty for now.',
    homeFrom: 'At home from',
    homeTo: 'until',
    quiet: (some: boolean) =>
      some ? 'Quiet hours are kept free where a window lets a task wait.' : 'No quiet hours are set.',
    over: (when: string) => `All over ${when}.`,
    best: 'No other plan could end a minute sooner.',
    near: (gap: string) => `Any other plan could win ${gap} at the very most.`,
    unmet: (code: string, task: string, why: string) => `${code}: ${task} cannot be met: ${why}.`,
    why: {
      quiet: 'it falls into the quiet hours',
      away: 'nobody is at home then',
      hands: 'hands are taken, or the time has gone by'
    },
    task: (kind: string, layer?: string) =>
      ({
        shake: 'shake',
        'set-down': 'set down',
        mark: `mark the ${layer}`,
        lower: 'lower the hydrometer',
        draw: 'draw with the pipette',
        read: 'read the layers'
      })[kind] ?? kind,
    lanes: 'The plan, a lane a jar',
    setDownOf: (code: string) => `Set-down of ${code}`,
    dragHint:
      'Drag a flag to another time, or move it with the arrow keys (Page keys: an hour); Delete frees it again. The other jars make room.',
    keep: 'Keep this plan',
    kept: (n: number) => (n === 1 ? 'One jar is planned.' : `${n} jars are planned.`),
    isKept: 'This plan is kept: the bench leads through it.',
    drop: 'Drop the plan',
    dropped: 'The plan is dropped.',
    unpin: 'Free all flags',
    calendar: 'Calendar file',
    inOrder: 'In order',
    until: (when: string) => `until ${when}`
  },

  prepare: {
    title: (code: string) => `Get ${code} ready`,
    lead: 'Tick off as you go. Set down comes last.',
    items: {
      sieve: 'Stones, roots and twigs out; every clod broken.',
      soil: (height: string) => `Dry soil in to ${height}. Level it and mark the height on the glass.`,
      dose: (dose: string) => `${dose} of non-foaming dispersant in.`,
      water: (height: string) => `Water to ${height}. Lid on tight.`,
      tape: (code: string) => `${code} written on tape, on the glass.`,
      shake: (how: string, from: string, to: string) =>
        `${how} for ${from} to ${to}, until nothing rests on the bottom.`,
      place: 'A level place out of the sun, where nobody will knock it.'
    },
    cautionDust: 'Dry soil dust harms lungs: damp it or wear a fitted mask.',
    cautionGlass: 'Carry the jar by its body, and vent the lid after shaking.',
    cautionDose: 'Dispersant irritates skin and eyes: gloves for you, plain water and soap for children.',
    shake: 'Shake timer',
    shakeStart: 'Start shaking',
    shakeStop: 'Stop',
    shakeOf: (from: string) => `of ${from} at least`,
    shakeEnough: 'long enough',
    setDown: 'Set down',
    setDownHint: 'Press the moment the jar stands still. That moment is time zero.',
    afterwards: (when: string) => `The first mark comes ${when} later. Have tape and pen at hand.`,
    afterBands: (when: string) => `Then leave it alone. It can be read after ${when}.`
  },

  paper: {
    title: (code: string) => `Field sheet of ${code}`,
    lead: 'Print it, fill it in beside the jar, and type it in here afterwards. Times are kept as they were, not as they are typed.',
    setDown: 'Set down at, to the second',
    asked: 'Asked for',
    after: 'Marked after',
    afterReading: (no: number) => `Time of reading ${no}`,
    afterOf: (layer: string) => `When the ${layer} was marked, after set-down`,
    heightOf: (layer: string) => `Height of the ${layer} mark`,
    needSetDown: 'Give the moment the jar was set down: everything counts from it.',
    needTime: 'Give the time of this mark too.',
    future: 'This lies in the future. Check the date and the time.',
    order: 'This is earlier than the mark before it. From set-down on it goes sand, silt, clay.',
    stands: 'This jar stands already; its marks are on its page:',
    keep: 'Keep what was written',
    kept: (code: string) => `${code}: typed in from paper.`,
    print: 'Print the sheet',
    link: 'On paper instead'
  },

  jar: {
    setDownAt: (when: string) => `Set down ${when}`,
    notSet: 'Not set down yet',
    stands: (duration: string) => `stands ${duration}`,
    elapsed: (duration: string) => `${duration} ago`,
    marks: 'Tape on the glass',
    noMarks: 'No marks yet.',
    markNow: (layer: string) => `Mark the ${layer} now`,
    early: (duration: string) => `${duration} early`,
    late: (duration: string) => `${duration} late`,
    onTime: 'on time',
    cutsNow: (size: string) => `cuts at ${size} µm`,
    cutsInstead: (size: string, asked: string) => `cuts at ${size} µm instead of ${asked}`,
    height: 'Height',
    heightOf: (layer: string, code: string) => `Height of the ${layer} mark on ${code}`,
    heightSave: 'Keep height',
    heightLater: 'give it when you like',
    replaced: 'replaced by a later mark',
    pending: 'waiting to be sent',
    noteIt: 'Note, with the time:',
    countedOnce: 'pressed twice, counted once, the earlier',
    noted: (code: string, what: string) => `${code}: ${what}, noted.`,
    otherMethod: 'Another method',
    takeMethod: 'Take it',
    methodTaken: (code: string, method: string) => `${code} goes by ${method} now.`,
    setCopy: 'Set a copy of it that way',
    byMethod: (name: string, version: number) => `${name}, version ${version}`,
    withTrueMarks: 'with true marks for this jar',
    shakeAgain: 'Shake again',
    shakeAgainTitle: (code: string) => `Shake ${code} again?`,
    shakeAgainLead:
      'This run ends here and is kept in the record. A new run starts when you set the jar down again.',
    shakeAgainWhy: 'What happened?',
    shakeAgainDo: 'End this run',
    read: 'Read the layers',
    readEarly: 'Read early',
    prepare: 'Go on preparing',
    ended: (reason: string) => `ended: ${reason}`,
    run: (n: number) => `Run ${n}`,
    bin: 'Put in the bin',
    facts: 'How it was set',
    working: 'Show the working'
  },

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
    headline: (name: string, percent: string) => `${name[0].toUpperCase()}${name.slice(1)}, ${percent}`,
    overNinetyNine: 'over\u00a099\u00a0%',
    borderline: (other: string, percent: string) => `Borderline: ${other} is ${percent} likely.`,
    sure: (other: string) => `The nearest other class is ${other}.`,
    swap: (points: string, take: string, give: string, name: string) =>
      `Swap ${points} of ${take} for ${give} and it is ${name}.`,
    points: (n: number) => (n === 1 ? 'one point' : `${n} points`),
    lessThanPoint: 'less than a point',
    gravel: (percent: string) => `Gravel, apart: ${percent} of the mineral layers.`,
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
        : `Nobody noted whether the water was clear: clay is ${low} % if it was, ${high} % if not.`,
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
    waters: { unseen: 'not noted', clear: 'clear', hazy: 'hazy', cloudy: 'cloudy' },
    waterScale: {
      unseen: 'Hold print behind the jar, against the light.',
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

  sides: {
    title: 'Marks and bands',
    mark: 'at the mark',
    band: 'at the end',
    by: 'apart',
    means: {
      alike: (layer: string, allowed: string) =>
        `The ${layer} line and its mark agree: reading error explains ${allowed}.`,
      sank: (layer: string) =>
        `The ${layer} line lies under its mark: the bed has packed since, or the mark was made on the cloud. The line at the end is the better of the two.`,
      finer: (layer: string) =>
        `The ${layer} line lies over its mark: some of what came down later looks like ${layer}. By grain size the mark is the better of the two; give the line a wide error.`,
      arrived: () => 'More clay has come down since the last mark. The later line counts.'
    } as Record<'alike' | 'sank' | 'finer' | 'arrived', (layer: string, allowed: string) => string>
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

  lab: {
    title: 'Laboratory',
    none: 'No report of this sample is on record. A jar will do for most things; a dispute, a build, or a borderline that matters is worth a fee.',
    add: 'Enter a report',
    name: 'Laboratory',
    date: 'Date of the report',
    share: { sand: 'Sand, %', silt: 'Silt, %', clay: 'Clay, %' },
    organic: 'Organic matter, %',
    organicSaid: (percent: number) => `Organic matter ${percent} %.`,
    limit: 'It parts silt from sand at',
    note: 'Note',
    badPercent: 'Give percent as a number, such as 34.5.',
    keep: 'Keep the report',
    kept: (lab: string) => `Report of ${lab} kept.`,
    remove: 'take off',
    removed: 'Report taken off.',
    from: (lab: string, day: string) => (day ? `${lab}, ${day}` : lab),
    says: (sand: number, silt: number, clay: number, name: string) =>
      `${sand} % sand, ${silt} % silt, ${clay} % clay: ${name}.`,
    moved: (limit: number) => `Measured by ${limit} µm, moved to 50 µm by a straight line in log size.`,
    jar: 'Jar',
    view: 'View',
    byHeight: 'by height',
    byMass: 'by mass',
    difference: 'Sand · silt · clay, less the lab',
    points: 'Apart',
    classOf: 'Class',
    same: 'the same',
    pointsOf: (n: string) => `${n} points`,
    nearer: (view: string, points: string) =>
      `Over these jars the view ${view} is nearer to the laboratory, by ${points} points of soil.`,
    alike: 'Over these jars both views are as near to the laboratory.'
  },

  settled: {
    title: 'Is it settled?',
    silt: (when: string, done: boolean) => (done ? `Silt is done, since ${when}.` : `Silt is done ${when}.`),
    siltWhy: 'By then 2 µm has fallen the whole column of this jar.',
    few: (missing: number) =>
      missing === 4
        ? 'Readable: read the top of the sediment four times over some hours, and the jar itself says when it stands still.'
        : `Readable: ${missing} more ${missing === 1 ? 'reading' : 'readings'} of the top tell when it stands still.`,
    unsure: 'Readable: the top does not bend towards an end yet. Read it again in some hours.',
    hardly: (when: string) => `The top hardly moves, but silt comes down until ${when}: read it after that.`,
    moving: (when: string, left: string) => `Readable after ${when}: the top will still move ${left}.`,
    still: (left: string) => `Readable now: the top will move by ${left} at most, less than a ruler shows.`,
    stillUp: (low: number, high: number) =>
      low === high
        ? `About ${low} % of the clay is still up.`
        : `Of the clay, ${low} to ${high} % is still up.`,
    early: 'You may read it at any time: the result then says what is still up.',
    top: 'Top of the sediment now',
    keep: 'Keep it',
    kept: (code: string, height: string) => `${code}: top at ${height}.`,
    list: 'Readings of the top',
    curve: (n: number) => `The top over time, ${n} readings`
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
  },

  test: {
    history: 'What happened',
    result: 'Result',
    kept: (when: string, version: string) => `Kept ${when}, core ${version}.`,
    reopened: (when: string) => `Opened again ${when}.`,
    earlier: 'Earlier results',
    reopen: 'Open again',
    reopenWhy: 'Why is it opened again?',
    noResult: 'No result yet.',
    exportCsv: 'CSV',
    exportJson: 'JSON',
    print: 'Print',
    jarOf: 'Sample',
    readings: 'Readings',
    readingAt: (when: string) => `Read ${when}`,
    notFound: 'This test is not here. It may have been emptied from the bin.',
    inBin: 'This test lies in the bin.',
    events: {
      'jar.prepare': 'Jar prepared',
      'jar.prep': 'Checklist',
      'bench.plan': 'Planned',
      'jar.set-down': 'Set down',
      'jar.mark': 'Marked',
      'mark.height': 'Height of a mark',
      'jar.shake-again': 'Shaken again',
      'jar.method': 'Another method',
      'jar.top': 'Top of the sediment',
      'jar.note': 'Noted',
      'film.start': 'Film begun',
      'film.frames': 'Filmed',
      'film.remove': 'Film taken off',
      'photo.add': 'Picture added',
      'photo.remove': 'Picture taken off',
      'jar.read': 'Layers read',
      'test.finish': 'Finished',
      'test.reopen': 'Opened again',
      'test.bin': 'Put in the bin',
      'test.restore': 'Taken out of the bin',
      undo: 'Undone'
    } as Record<string, string>,
    undoneMark: 'undone'
  },

  log: {
    title: 'Log',
    search: 'Find',
    searchHint: 'code, place, class, method',
    sort: 'Sort by',
    sorts: { date: 'date', sample: 'sample', class: 'class' },
    empty: 'Nothing is on record yet. A test appears here as soon as its jar is prepared.',
    noMatch: (text: string) => `Nothing matches “${text}”.`,
    columns: {
      code: 'Jar',
      sample: 'Sample',
      method: 'Method',
      set: 'Set down',
      fractions: 'Sand · silt · clay',
      class: 'Class'
    },
    count: (n: number) => (n === 1 ? '1 test' : `${n} tests`),
    bin: 'Bin',
    binTitle: 'Bin',
    binEmpty: 'The bin is empty.',
    binLead: 'Tests stay here until the bin is emptied.',
    restore: 'Take out',
    emptyBin: 'Empty the bin',
    emptyTitle: 'Empty the bin?',
    emptyLead: (n: number) =>
      `${n === 1 ? 'One test goes' : `${n} tests go`} for good, with every mark and reading. This cannot be undone.`,
    emptied: 'The bin is empty.',
    binned: (code: string) => `${code} is in the bin.`,
    restored: (code: string) => `${code} is back in the log.`,
    back: 'Back to the log'
  },

  sample: {
    tests: 'Tests of this sample',
    taken: (when: string) => `on record since ${when}`,
    notFound: 'This sample is not here.',
    setJar: 'Set a jar of it',
    edit: 'Write up the sample',
    label: 'Print its label',
    onSketch: 'Its area on the sketch',
    keep: 'Keep the record',
    kept: (code: string) => `${code}: record kept.`,
    empty: 'How it was taken and made ready is not written up yet.',
    hours: (n: number) => `${n} h`,
    depthOrder: 'The lower end must lie below the upper one.',
    badNumber: {
      dried: 'Give hours as a number, such as 24.',
      gravel: 'Give an amount as a number, such as 120.'
    },
    guidance: {
      garden:
        'Whole depth from 75 to 150 mm, not just the top: texture changes with depth, and roots use all of it. Under an amended bed sample below the amendment too.',
      build:
        'From below the topsoil: organic matter has no place in a wall. Have buried services located before digging.',
      bore: 'From the face or the depth that will be bored. Have buried services located first; keep out of unsupported trenches.',
      lesson: 'Any soil will do. Gloves on, wash hands after.'
    },
    fields: {
      name: 'Where the soil came from',
      area: 'Area',
      noArea: 'none on a sketch',
      spots: 'Mixed from spots',
      spotsFirst: 'choose the area first',
      takenOn: 'Dug on',
      depth: 'Depth',
      depthFrom: 'Depth from',
      depthTo: 'to',
      dried: 'Dried, hours',
      driedHint: 'In the shade, about a day if damp.',
      sieve: 'Sieved through',
      sieveHint: '2 mm in the lab; a kitchen strainer for the jar.',
      gravel: 'Gravel screened out',
      gravelHint: 'Apart from the texture, but builders want it.',
      gravelUnit: 'Unit of the gravel',
      takenOut: 'Taken out by hand',
      takenOutHint: 'stones, roots, twigs',
      look: 'Colour, smell, feel, rattle',
      lookHint: 'such as: grey, sticky, rattles in the jar',
      note: 'Note'
    }
  },

  profile: {
    title: 'Profile',
    lead: 'How you like things shown and said. Kept on the server at once.',
    length: 'Lengths',
    temperature: 'Temperature',
    volume: 'Water',
    volumes: { L: 'litres, mL', gal: 'quarts, teaspoons' },
    clock: 'Clock',
    clocks: { '24': '18:40', '12': '6:40 pm' },
    theme: 'Light',
    themes: { day: 'day', night: 'night', device: 'as the device' },
    sound: 'Call',
    sounds: { off: 'silent', knock: 'knock', bell: 'bell', reed: 'reed' },
    try: 'Hear it',
    trial: 'Try it',
    trialLine: 'Jar K3, mark the sand',
    trialTitle: '● K3 · mark the sand now',
    tab: 'Title and tab mark',
    tabHint: 'Always on: the tab says what is due, with a mark in pen blue.',
    screen: 'Screen kept on',
    screenHint: 'While a call is less than five minutes away.',
    worked: {
      sound: 'That was the call.',
      spoken: 'It was said.',
      notices: 'The notice is on its way.',
      title: 'Look at the tab: it changes back in five seconds.',
      screen: 'This browser keeps the screen on while a call is near.'
    },
    refused: {
      sound: 'The browser keeps sound asleep. Press anywhere on this page, then try again.',
      spoken: 'This browser cannot speak. The sound and the page still call.',
      notices:
        'This browser shows no notices from this page. Allow them in its settings; the sound still calls.',
      title: 'The tab could not be changed.',
      screen: 'This browser lets the screen go dark. Set a longer time in the settings of the device.'
    },
    headline: 'Result that stands large',
    headlines: { read: 'as read, by height', mass: 'by mass, estimated' },
    spoken: 'Say it aloud',
    notices: 'Notice of the browser',
    onOff: { off: 'no', on: 'yes' },
    noNotices:
      'This browser does not allow notices from this page. Allow them in its settings, then try again.',
    quiet: 'Quiet hours',
    quietHint: 'No sound in these hours. The page still shows what is due. Equal times mean none.',
    quietFrom: 'from',
    quietTo: 'to',
    badTime: 'Type a time such as 22:00 or 10 pm.',
    saved: 'Kept.'
  },

  keys: {
    title: 'Keys',
    lead: 'None of these fire while you type.',
    list: [
      ['n', 'the next thing due'],
      ['1 – 9', 'pick a vessel on the shelf'],
      ['m', 'mark now, or read the hydrometer: the time is taken as the key goes down'],
      ['s', 'set down'],
      ['r', 'read the picked jar'],
      ['t', 'the triangle'],
      ['/', 'find in the log'],
      ['?', 'this sheet']
    ] as [string, string][],
    button: 'Keys',
    picked: (code: string) => `${code} picked`,
    noMark: 'No mark is due. Pick a jar with its number first.',
    noSetDown: 'No jar waits to be set down.',
    noRead: 'Pick a jar with its number first.'
  },

  outbox: {
    waiting: (n: number) => (n === 1 ? '1 entry waits to be sent' : `${n} entries wait to be sent`),
    why: 'The server cannot be reached. Times are kept as you pressed.',
    refused: (what: string, why: string) => `Not taken: ${what}. ${why}`,
    unreachable: 'The server cannot be reached. What you entered is still here; try again in a moment.',
    failed: 'That did not work. What you entered is still here; try again.',
    soundAsleep: 'Sound is off until you press anywhere on this page once.'
  },

  done: {
    'jar.prepare': (code: string) => `${code} is on the shelf, not set down yet.`,
    'jar.set-down': (code: string) => `${code} stands. The clock runs.`,
    'jar.mark': (code: string, layer: string, time: string) => `${code}: ${layer} marked at ${time}.`,
    'jar.shake-again': (code: string) => `${code}: run ended, kept in the record.`,
    'mark.height': (code: string) => `${code}: height kept.`,
    'test.bin': (code: string) => `${code} is in the bin.`,
    'test.reopen': (code: string) => `${code} is open again.`
  },

  enter: {
    title: 'Passphrase',
    lead: 'This bench is shared over a network. Give its passphrase.',
    field: 'Passphrase',
    wrong: 'That is not the passphrase. Try again.',
    go: 'Enter'
  },

  error: {
    title: 'This page did not come',
    back: 'To the bench'
  }
};
