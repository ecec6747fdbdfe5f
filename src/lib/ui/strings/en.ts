import type { LengthUnit } from '$lib/core';

/** English. Keys are grouped by station; functions take what varies. */
export const en = {
  product: 'Tivrel',
  stations: { plan: 'Plan', bench: 'Bench', read: 'Read', log: 'Log', profile: 'Profile' },
  layer: { gravel: 'gravel', sand: 'sand', silt: 'silt', clay: 'clay', organics: 'floating organics' },
  Layer: { gravel: 'Gravel', sand: 'Sand', silt: 'Silt', clay: 'Clay', organics: 'Floating organics' },
  purpose: { garden: 'Garden', build: 'Building', bore: 'Boring', lesson: 'Lesson' },
  status: { ready: 'not set down', running: 'settling', read: 'read', finished: 'finished' },
  endReason: {
    knocked: 'knocked over or moved',
    foamed: 'too much foam',
    clots: 'clods left in the jar',
    other: 'another reason'
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
    read: 'Read the layers',
    readShort: 'read the layers',
    finish: 'Finish the test',
    setDownShort: 'set down',
    finishShort: 'finish the test',
    ready: 'ready',
    shaken: 'when shaken',
    now: 'now',
    in: (countdown: string) => `in ${countdown}`,
    late: (duration: string) => `${duration} late`,
    missed: (layer: string) => `${layer[0].toUpperCase()}${layer.slice(1)} mark missed`,
    missedHint: 'mark late, or shake again',
    lateHint: 'still worth marking',
    planLate: 'late against the plan'
  },

  call: {
    mark: (code: string, layer: string) => `Jar ${code}, mark the ${layer}`,
    read: (code: string) => `Jar ${code}, read the layers`,
    shake: (code: string) => `Jar ${code}, shake it now`,
    setDown: (code: string) => `Jar ${code}, set it down`,
    shaken: (code: string) => `Jar ${code}, shaken long enough`
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
    ribbon: 'The coming hours',
    later: (n: number) => (n === 1 ? '1 more later' : `${n} more later`),
    quiet: 'quiet hours',
    mark: (layer: string, code: string) => `Mark the ${layer} on ${code}`,
    open: (code: string, name: string) => `Open ${code}, ${name}`,
    /** Short, for buttons under a line that says the whole. */
    do: { mark: 'Mark', read: 'Read', finish: 'Finish', 'set-down': 'Prepare', shake: 'Prepare' },
    doTo: {
      read: (code: string) => `Read ${code}`,
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
    innerHeight: 'Inner height, bottom to rim',
    innerDiameter: 'Inner width',
    baseThickness: 'Thickness of the base',
    shoulderHeight: 'Height of the shoulder, inside',
    mouthDiameter: 'Width of the mouth, inside',
    vesselSave: 'Keep this vessel',
    vesselMeasures: (height: string, width: string, base: string) =>
      `${height} high and ${width} wide inside, base ${base}`,
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
    parts: { gather: 'Gather', labels: 'Labels', marks: 'Methods', timetable: 'Timetable' },
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
    listed: 'Listed with its steps. The bench does not lead through this one yet.',
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
      spoon: 'Measuring spoon or syringe',
      tape: 'Tape and a pen that writes on it',
      ruler: 'Ruler in millimetres or sixteenths',
      thermometer: 'Thermometer for the water',
      stopper: 'Stopper for the cylinder',
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
    rulers: { mm: 'mm', sixteenths: 'sixteenths', eye: 'by eye' },
    rulerError: (sigma: string) => `each line ± ${sigma}`,
    entry: 'You measure',
    heights: 'heights',
    thicknesses: 'thicknesses',
    heightHint: 'Height of each layer top over the inside bottom.',
    thicknessHint: 'Thickness of each layer.',
    line: (layer: string) => `Top of ${layer}`,
    thick: (layer: string) => `Thickness of ${layer}`,
    order: 'From the bottom up: gravel, sand, silt, clay. Loam is a mixture, not a layer.',
    fuzzy: 'fuzzy line',
    fuzzyLabel: (layer: string) => `How unsure is the ${layer} line, plus or minus`,
    gravelNote: 'apart from the texture',
    organicsNote: 'noted, not counted',
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
    needLayers: 'Place at least two layer tops: drag the tape, or type a height.',
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
    workingBase: (base: string) =>
      `The ruler stood on the table: ${base} of glass were taken off every height first.`,
    workingHeight:
      'This is by height, as practised. Fresh clay and silt settle loosely: by mass there is usually more sand.',
    region: '90 % region',
    triangle: (name: string, sand: number, silt: number, clay: number) =>
      `Texture triangle: ${sand} % sand, ${silt} % silt, ${clay} % clay, ${name}`,
    triangleEmpty: 'Texture triangle, no point yet',
    pendingHint: 'The triangle answers as soon as two layers are placed.',
    axis: { sand: '← sand %', silt: 'silt % →', clay: 'clay % →' }
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
      ['m', 'mark now: the time is taken as the key goes down'],
      ['s', 'set down'],
      ['r', 'read the picked jar'],
      ['t', 'triangle of the picked jar'],
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
