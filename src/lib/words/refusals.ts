import { practice } from './refusals/practice.ts';
import { requests } from './refusals/requests.ts';
import { sharing } from './refusals/sharing.ts';

/** One of a list, as it is called. */
const LISTS: Record<string, string> = {
  areas: 'Area',
  spots: 'Spot',
  items: 'Soil',
  windows: 'Window',
  jars: 'Jar'
};
const capital = (text: string) => text.slice(0, 1).toUpperCase() + text.slice(1);

/**
 * Sentences for what is refused: each says what to do. They are no part of the words that every page carries: the server
 * says most of them, and a form fetches the rest when it is sent.
 */
export const refusals = {
  practice,
  common: {
    belowZero: (what: string) => `${capital(what)} cannot be below zero.`,
    giveDepthTipMm: 'Give the depth of the tip in mm.',
    keepNameUnder80: 'Keep the name under 80 letters.',
    keepNoteUnder500: 'Keep the note under 500 letters.',
    lowerEndMustLie: 'The lower end must lie below the upper one.',
    idNotRightForm: 'This id is not in the right form.',
    giveTemperatureWater: 'Give the temperature of the water.',
    waterTooColdOrWarm: 'The water must be between 0 and 40 °C.',
    andMore: (first: string, more: number) =>
      more === 0 ? first : `${first} ${more} more ${more === 1 ? 'needs' : 'need'} another look.`,
    /** Which of a list a sentence is of. */
    ofList: (list: string, no: number) => `${LISTS[list] ?? capital(list)} ${no}: `,
    timeInFuture: 'This time lies in the future. Check the clock of this device and try again.',
    pictureTooLarge: (mb: number) => `This file is over ${mb} MB. Make the picture smaller.`
  },
  tests: {
    testInBin: 'This test lies in the bin. Restore it first.',
    runBelongsAnotherJar: (code: string) => `This run belongs to another jar than ${code}.`,
    runHasEnded: 'This run has ended: the jar was shaken again. Go on with the new run.',
    markBelongsAnotherJar: (code: string) => `This mark belongs to another jar than ${code}.`
  },
  holes: {
    giveTime: 'Give how long after the refill that was.',
    refilledBeforeSoak: 'It was filled again after it was filled to soak. Give a later time.',
    afterRefill: 'It has to be after the refill.',
    overMonth: 'That is over a month after the refill: a hole is not watched so long.',
    noMeasures: 'Its depth or its width cannot be read.',
    noFuture: 'That time has not come yet.',
    soakedAlready: 'It was soaked already: fill it again when that has gone.',
    refilledAlready: 'It was filled again already. Take the readings off first to start anew.',
    notRefilled: 'Fill it again first: the time counts from there.',
    overFull: 'Water cannot stand higher than it was filled.',
    giveHeight: 'Measure from the bottom of the hole up to the water.',
    finished: (code: string) => `${code} is finished. Open it again before changing it.`,
    openAlready: 'It is open already.',
    nothingSeen: 'Nothing was seen in it yet: read the water once at least.',
    measureFirst: 'One reading still has no height. Measure it, or take it off.'
  },
  views: {
    nameIt: 'Give the view a name.',
    tooLong: 'This view asks for too much to be kept. Type fewer words.',
    all: 'This shows every test: search or narrow it first.',
    nameTaken: 'Another view has this name already.'
  },
  folders: {
    nameIt: 'Give the folder a name.',
    senderUnder120: 'Keep the sender under 120 letters.',
    theirsUnder40: 'Keep their number under 40 letters.',
    fortyPlenty: 'Forty soils are plenty for one folder.',
    twice: 'This soil is in the folder already.',
    sampleGone: 'This sample is not here any more. Choose another.',
    dayAhead: 'This day lies in the future.'
  },
  trials: {
    mixUnder300: 'Keep what was mixed under 300 letters.',
    unreadable: 'It is a kind of pieces that this version does not know.',
    finished: (code: string) => `${code} is finished. Open it again before changing it.`,
    formFirst: 'They are not formed yet: say when they are made, then the rest.',
    formedAlready: 'They were formed already.',
    caredAlready: 'That was done already.',
    noneSoaked: 'None of these is to be soaked. Change the set first.',
    soakedAlready: 'They lie in the water already.',
    soakAfterForming: 'That was before they were formed. Give a time after it.',
    soakFirst: 'This one is to be soaked first: put it into the water.',
    toldAlready: 'Some of these pieces have told already. Take those off first.',
    pieceToldAlready: (no: number) => `Piece ${no} has told already. Change that, or take it off.`,
    openAlready: 'It is open already.',
    nothingTold: 'No piece has told anything yet.'
  },
  judgements: {
    giveNumber: 'Give it as a number.',
    unreadable: 'What was kept cannot be read.',
    oneSoil: 'Name a finished test, or give its percentages: one of the two.',
    notFinished: 'This test is not finished: there is no result to judge.',
    noSoil: 'This test has no soil to judge: all three shares are wanted.',
    noProfile: 'There is no such thing to judge by any more. Choose another.',
    nameUnder60: 'Keep it under 60 letters.',
    reasonUnder200: 'Keep the reason under 200 letters.',
    nameTaken: 'Another one has this name already.',
    shipsStays: 'It is as it ships: there is nothing to put back.',
    oftenerThanHour: 'Oftener than every hour nobody comes.',
    dayGone: 'This time has gone by. Give one that lies ahead.'
  },
  beds: {
    giveLitres: 'Give how many litres it was, above 0, or leave it empty.',
    dayAhead: 'This day lies in the future. Keep it once it is done.',
    tooMuch: 'That is over a thousand cubic metres. Give it in litres.',
    areaHasHoles: (codes: string) =>
      `This area has drainage holes (${codes}). Take them off first, or keep the area.`,
    areaWasAmended: 'This area has a record of what was put into it. Take that off first, or keep the area.',
    spotHasHole: (code: string) => `The hole ${code} was dug at this spot. Take the hole off first.`
  },
  samples: {
    nameSample: 'Name the sample: where the soil came from.',
    giveDateAsDay: 'Give the date as a day, such as 2026-05-04.',
    dryingCannotTakeLess: 'Drying cannot take less than no time.',
    overTwoMonths: 'That is over two months. Give hours.',
    meshWiderThanNothing: 'A mesh is wider than nothing and narrower than 50 mm.',
    gravelCannotLessThan: 'Gravel cannot be less than nothing.',
    mixOfNothing: 'Nothing is in this mix yet.',
    wholeSampleThanNothing: 'The whole sample is more than nothing.',
    wholeSampleLeastWhat:
      'The whole sample is at least what stayed on the sieve. Weigh or measure both alike.',
    giveVesselNameYou: 'Give the vessel a name you will know it by.',
    giveInnerDiameterTwo: 'Give the inner diameter at two heights at least: at the bottom and at the rim.',
    fortyDiametersPlenty: 'Forty diameters are plenty.',
    giveWhatLineScale: 'Give what a line of the scale stands for, in mL.',
    lineScaleStandsThan: 'A line of the scale stands for more than nothing.',
    givePercent: (what: string) => `Give the ${what} in percent.`,
    shareBelowZero: (what: string) => `The ${what} cannot be below zero.`,
    shareOverHundred: (what: string) => `The ${what} cannot be over 100 %.`,
    nameLaboratory: 'Name the laboratory.',
    reportNotHundred:
      'Sand, silt and clay of a report come to 100, give or take one. Check them against the paper.',
    dayInFuture: 'This day lies in the future. When was the soil dug?',
    sayWhichAreaThese: 'Say which area these spots are in.',
    areaGone: 'This area is not here any more. Choose another.',
    spotNotOfArea: (name: string) => `One of these spots is not in ${name}. Choose them again.`,
    spotNamedTwice: 'A spot is named twice.',
    vesselNameAlreadyThere: 'A vessel of that name is already there. Give this one another name.'
  },
  jars: {
    givePackingKgM: 'Give the packing in kg/m³, such as 1200.',
    freshSedimentPacksLeast: 'Fresh sediment packs to at least 100 kg/m³.',
    grainsCannotPackCloser: 'Grains cannot pack closer than 2000 kg/m³.',
    sayWhoReads: 'Say who reads.',
    keepUnder40Letters: 'Keep it under 40 letters.',
    giveFinestClayM: 'Give the finest clay in µm, such as 0.2.',
    finestClayLeast0: 'The finest clay is at least 0.01 µm.',
    finestClayMustUnder: 'The finest clay must be under 1.9 µm: clay ends at 2.',
    chooseLeastTest: 'Choose at least one test.',
    fewerTests: (most: number) => `At most ${most} tests at once. Choose fewer.`,
    chooseLeastJar: 'Choose at least one jar.',
    giveAnotherLayer: 'Give another layer, or the time it truly had.',
    sayWhyTimeWrong: 'Say why the time was wrong.',
    keepUnder300Letters: 'Keep it under 300 letters.',
    coloursPictureBase64: 'The colours of a picture are base 64.',
    sendLeastPicture: 'Send at least one picture.',
    sendMost200Pictures: 'Send at most 200 pictures at a time.',
    keepUnder200Letters: 'Keep it under 200 letters.',
    keepUnder60Letters: 'Keep it under 60 letters.',
    sayHowMuch: 'Say how much, or leave it out.',
    soilByMeasure: 'Say the soil by a measure, such as 2 cups; a weight goes under “Weigh it too”.',
    howLong: 'Say how long, such as 12 min or 1 h.',
    sayWhyOpenedAgain: 'Say why it is opened again.',
    soilOverNothing: 'Weigh the dry soil: it is more than nothing.',
    overTwentyKilograms: 'That is over twenty kilograms. Give grams.',
    fillUnseen: (code: string) => `Nobody saw ${code} filled: a weight says nothing of what is in it.`,
    hydrometerPipetteWantsCylinder:
      'A hydrometer or pipette wants a cylinder: a jar is too low for it. Choose a 1000 mL one.',
    chooseSampleJar: 'Choose the sample this jar is for, or name a new one.',
    chooseVessel: 'Choose a vessel, or add your own.',
    chooseMethods: 'Choose one of the methods.',
    jarAlreadyStands: 'This jar already stands: its clock is running.',
    standsAlready: (code: string) => `${code} stands already: plan the rest without it.`,
    plannedInPast: (code: string) => `The set-down of ${code} lies in the past. Plan again from now.`,
    readingOlderThanSet:
      'This reading is older than the set-down. Give a later time, or check the clock of this device.',
    underTheMarkBefore: (layer: string) =>
      `That lies under the ${layer} mark, which came before it. A bed packs, but not by so much: measure again.`,
    hasBeenSetDown: (code: string) =>
      `${code} has been set down: its times and marks belong to its method and would mean other sizes under another. Set a copy that way instead.`,
    vesselGone: 'This vessel is not here any more. Choose another, or none.',
    chooseMethodReadsLayers: 'Choose a method that reads layers, or none.',
    cylinderReadInstrumentNeeds: 'A cylinder that is read with an instrument needs its time zero.',
    somethingMarkedReadClock:
      'Something was marked or read by this clock already. Take it off first, or correct time zero.'
  },
  marks: {
    stoodAlreadyWhenMet: (code: string) =>
      `${code} stood already when it was met: nobody knows when, so a mark has no time. Read its layers.`,
    markOlderThanSet: 'This mark is older than the set-down. Check the clock of this device.',
    wrongSideMark: (layer: string) =>
      `That lies on the wrong side of the ${layer} mark. From set-down on it goes sand, silt, clay: correct that one first.`,
    markComesAfterSet: 'A mark comes after the set-down. Give the time from set-down on.',
    markedInFuture: 'This lies in the future. When was it marked?',
    runHadEndedThen: 'This run had ended by then: the jar was shaken again.',
    setDownInFuture: 'This lies in the future. When did the jar stand still?',
    somethingMarkedReadBefore:
      'Something was marked or read before that. Correct it first, or give an earlier time.',
    runBeforeStillThen: 'The run before was still on by then.',
    readingGone: 'This reading is not here. It may have been removed.'
  },
  results: {
    topNotPlaced: (layer: string) =>
      `The top of the ${layer} was not placed. Was there none, or was it not read?`,
    testReadInstrument: 'This test is read with an instrument, not by its layers.',
    readItFirst: 'Nothing was read of it since it was set down: keep a reading first.',
    setJarDownFirst: 'Set the jar down first: there is nothing to read yet.',
    testAlreadyFinished: 'This test is already finished.',
    layersMeasuredTotalDo:
      'The layers and the measured total do not agree. Correct one, or say which one is right.',
    testOpenAlready: 'This test is open already.',
    testNotBin: 'This test is not in the bin.'
  },
  cylinders: {
    giveReadingAsNumber: 'Give the reading as a number.',
    noHydrometerShowsLess: 'No hydrometer shows less than -10.',
    noHydrometerShowsThan: 'No hydrometer shows more than 100.',
    giveGrams: (what: string) => `Give ${what} in grams.`,
    overFiveKilograms: 'That is over five kilograms. Give grams.',
    weighAirDrySoil: 'Weigh the air-dry soil: it is more than nothing.',
    giveGrainDensityKg: 'Give the grain density in kg/m³, such as 2650.',
    giveMeniscusGL: 'Give the meniscus in g/L, such as 0.5.',
    meniscusAdded: 'The meniscus is added: zero or more.',
    meniscusUnder3G: 'A meniscus is under 3 g/L.',
    giveMeshM: 'Give the mesh in µm.',
    cylinderHoldsThanNothing: 'A cylinder holds more than nothing.',
    giveVolumePipetteMl: 'Give the volume of the pipette in mL.',
    nameBlank: 'Name the blank, such as its cylinder.',
    testReadLayers: 'This test is read by its layers, not with an instrument.',
    runHasEnded: 'This run has ended: the cylinder was mixed again. Read the new run.',
    readingOlderThanSet: 'This reading is older than the set-down. Check the time.',
    readingComesAfterSet: 'A reading comes after the set-down. Give the time from set-down on.',
    readInFuture: 'This lies in the future. When was it read?',
    setCylinderDownFirst: 'Set the cylinder down first: there is nothing to finish.'
  },
  methods: {
    giveTimeSuchAs: 'Give a time such as 2 h or 40 s.',
    giveAirDrySoil: 'Give the air-dry soil in grams.',
    giveSizeM: 'Give the size in µm.',
    keepPurposeUnder300: 'Keep the purpose under 300 letters.',
    giveSoilAsShare: 'Give the soil as a share of the height.',
    giveDispersantMlLitre: 'Give the dispersant in mL a litre.',
    thirtyStepsPlenty: 'Thirty steps are plenty. Put some together.',
    methodShipsNotChanged: 'A method that ships is not changed. Copy it, and change the copy.',
    anotherMethodHasName: 'Another method has this name. Give yours another.',
    methodShipsStaysList: 'A method that ships stays on the list.'
  },
  ground: {
    nameArea: 'Name the area: what people on the ground call it.',
    areaMayHave500: 'An area may have 500 corners.',
    giveLatitudeDegrees: 'Give the latitude in degrees, such as 60.39.',
    giveLongitudeDegrees: 'Give the longitude in degrees, such as 5.32.',
    giveBearingDegrees: 'Give the bearing in degrees, 0 for north.',
    nameSite: 'Name the site: where the ground lies.',
    giveDistanceBetweenTwo: 'Give the distance between the two points.',
    twoPointsPlaceNo: 'Two points of one place are no distance apart. Give more than nothing.',
    scaledTooFar: 'By this scale the ground would reach over a thousand kilometres. Check the distance.',
    overHundredKilometres: 'That is over a hundred kilometres. Give metres.',
    giveWholeNumberSpots: (mostSpots: number) => `Give a whole number of spots from 1 to ${mostSpots}.`,
    fileMayBringAreas: (areas: number) => `A file may bring ${areas} areas at a time. Split it.`,
    fileMayBringSpots: (spots: number) => `A file may bring ${spots} spots at a time. Split it.`,
    keepCaptionUnder120: 'Keep the caption under 120 letters.',
    fileTooLarge: 'This file is over 2 MB. Cut the site you need out of it first.',
    fileNotJson: 'This file is not JSON. Choose a GeoJSON file (.geojson or .json).',
    notGeojsonFeatureCollection: (slice: string) =>
      `This is not a GeoJSON feature collection${slice}. Save areas as features in one collection.`,
    geojsonCannotRead: (path: string, message: string) =>
      `This GeoJSON cannot be read at ${path}: ${message}.`,
    noPolygon: 'There is no polygon in this file. Areas are drawn as polygons.',
    someCoordinatesNoDegrees: 'Some coordinates are no degrees. Set "localMetres": true if they are metres.',
    twoPointsAreOne: 'These two points are one. Choose two that lie far apart.',
    areaHasSamples: (codes: string) => `Samples are from here: ${codes}. Give them another area first.`,
    spotOutside: (name: string) => `This spot lies outside ${name}. Put it inside the outline.`,
    spotInSample: (code: string) => `Soil from this spot is in ${code}. Take it out of that sample first.`,
    nothingToBring: 'There is nothing in it to bring in.',
    spotBelongsNoArea: 'This spot belongs to no area of the site.'
  },
  photos: {
    giveAllOrNone: 'Give sand, silt and clay, or none of them.',
    notSoSoon: (s: number) => `Give times from ${s} s after the set-down on.`,
    seriesTooLarge: 'These are too many pictures of this size. Ask for fewer, or for smaller ones.',
    filmWouldOver400: 'This film would be over 400 MB. Ask for fewer or smaller pictures.',
    fileEmpty: 'This file is empty. Choose a picture.',
    heicPicture: 'This is a HEIC picture, which few programs open. Save it as JPEG and choose that.',
    notPictureTivrelCan: 'This is not a picture Tivrel can open. Choose a JPEG, PNG or WebP file.',
    pictureMoves: 'This picture moves. Choose a still one.',
    pictureHasOver80: 'This picture has over 80 million points. Make it smaller first.',
    pictureBreaksOffMiddle: 'This picture breaks off in the middle. Take or copy it again.'
  },
  films: {
    filmHoldsPictures: (framesMost: number) => `A film holds ${framesMost} pictures. Begin another.`
  },
  unreadable: (code: string) =>
    `${code} cannot be shown: what it holds is damaged or of another version. It stays as it is.`,
  undo: {
    cannotUndone: 'This cannot be undone.',
    hasBeenUndoneAlready: 'This has been undone already.',
    tooLateUndo: 'It is too late to undo this. Correct it on the page of the test.',
    somethingLaterBuilds: 'Something later builds on this. Undo that first.',
    jarHasBeenSet: 'A jar has been set by this method already: it stays.'
  },
  ...sharing,
  ...requests
};
