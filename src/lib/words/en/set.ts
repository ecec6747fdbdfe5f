/** English. Setting a jar: soil, vessel, amounts, getting ready, and on paper. */
export const setWords = {
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
  amount: {
    ml: (ml: number) => `${ml}\u00a0mL`,
    line: (ml: number) => `the ${ml}\u00a0mL line`,
    soil: (height: string) => `Dry soil to ${height}`,
    water: (height: string) => `Water to ${height}`,
    soilMeasure: (measure: string, height: string) => `One measure of dry soil, ${measure}: to ${height}`,
    waterMeasure: (measure: string, height: string) =>
      `The same measure of water, ${measure}: it then stands at ${height}`
  },
  prepare: {
    title: (code: string) => `Get ${code} ready`,
    lead: 'Tick off as you go. Set down comes last.',
    items: {
      sieve: 'Stones, roots and twigs out; every clod broken.',
      soil: (soil: string) => `${soil}. Level it.`,
      soilMarked: (soil: string) => `${soil}. Level it and mark the height on the glass.`,
      settled:
        'Soil and water are in from before: nothing is filled again. Loosen what clings to the bottom.',
      dose: (dose: string) => `${dose} of non-foaming dispersant in.`,
      water: (water: string) => `${water}. Lid on tight.`,
      waterStopper: (water: string) => `${water}. Stopper or palm over the mouth.`,
      tape: (code: string) => `${code} written on tape, on the glass.`,
      shake: (how: string, from: string, to: string) =>
        `${how} for ${from} to ${to}, until nothing rests on the bottom.`,
      place: 'A level place out of the sun, where nobody will knock it.'
    },
    /** The usual caution, where the risk is: by the item of the checklist. */
    cautions: {
      sieve: 'Dry soil dust harms lungs: damp it or wear a fitted mask. Gloves: wash your hands afterwards.',
      dose: 'Dispersant irritates skin and eyes: gloves for you, plain water and soap for children.',
      soak: 'Hexametaphosphate irritates skin and eyes: gloves and goggles.',
      moisture: 'An oven at 105 °C, ventilated, that is not used for food.',
      shake: 'Carry it by its body, and vent the lid after shaking.'
    } as Record<string, string>,
    cautionDose: 'Dispersant irritates skin and eyes: gloves for you, plain water and soap for children.',
    shake: 'Shake timer',
    shakeStart: 'Start shaking',
    shakeStop: 'Stop',
    shakeOf: (from: string) => `of ${from} at least`,
    shakeEnough: 'long enough',
    setDown: 'Set down',
    setDownHint: 'Press the moment the jar stands still. That moment is time zero.',
    afterwards: (when: string) => `The first mark comes ${when} later. Have tape and pen at hand.`,
    afterBands: (when: string) => `Then leave it alone. It can be read after ${when}.`,
    afterReadings: (tool: string, when: string, last: string) =>
      `The first reading comes ${when} later, the last at ${last}. Have the ${tool} at hand.`,
    soak: 'Soak timer',
    soakStart: 'Start soaking',
    soakOf: (from: string) => `of ${from} at least`,
    soakDone: 'soaked long enough'
  },
  weigh: {
    title: 'Weigh it too',
    why: 'Once, as it goes in, without its dish. The heights then tell how loosely each layer lies, and the answer gets narrower.',
    soil: 'The dry soil in this jar',
    scale: 'The scale reads to',
    keep: 'Keep weight',
    kept: (code: string, weight: string) => `${code}: ${weight} of dry soil.`,
    takenBack: (code: string) => `${code}: no weight.`,
    none: 'not weighed',
    weighed: (weight: string, to: string) => `${weight}, on a scale that reads to ${to}`,
    change: 'Weigh again',
    takeBack: 'Take off'
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
    means: (duration: string) => `${duration} after set-down`,
    clockNeedsSetDown: 'Give the moment of set-down first: then a time of day can be counted from it.',
    badClock: 'That is no time of day. Type it like 14:05 or 2:05 pm.',
    needTime: 'Give the time of this mark too.',
    future: 'This lies in the future. Check the date and the time.',
    order: 'This is earlier than the mark before it. From set-down on it goes sand, silt, clay.',
    stands: 'This jar stands already; its marks are on its page:',
    keep: 'Keep what was written',
    kept: (code: string) => `${code}: typed in from paper.`,
    print: 'Print the sheet',
    link: 'On paper instead'
  }
};
