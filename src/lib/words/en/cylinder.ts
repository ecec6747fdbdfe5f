import type { CylinderDoubt } from '../../core/index.ts';

/** English for cylinders read with an instrument, and their grading curve. */
export const cylinder = {
  open: 'Readings and result',
  title: 'Cylinder',
  lead: (tool: string) =>
    tool === 'pipette'
      ? 'Press when the pipette is drawn; type its dry mass when the oven is done.'
      : 'Press at the moment you read; type the figure in peace. The true time counts.',
  next: (no: number, of: number) => `Reading ${no} of ${of}`,
  take: { hydrometer: 'Read now', pipette: 'Drawn now' },
  cue: {
    wait: (tool: string, at: string, soon: boolean) => `Lower the ${tool} ${soon ? '' : 'at '}${at}.`,
    lower: {
      hydrometer: 'Lower the hydrometer now, gently; let it come to rest.',
      pipette: 'Lower the pipette to its depth now, without stirring.'
    },
    read: {
      hydrometer: 'Read it at the scale, at eye level.',
      pipette: 'Draw now: slowly, in about twelve seconds.'
    },
    lift: {
      hydrometer: 'Lift it out gently, rinse it, wipe it dry.',
      pipette: 'Empty it into the weighed tin; rinse it across.'
    },
    stays: 'It stays in for the next reading.',
    done: 'Nothing is left to read.'
  },
  table: 'Readings',
  column: {
    no: 'No.',
    asked: 'asked at',
    took: 'read at',
    value: { hydrometer: 'reading', pipette: 'dry mass' },
    temp: 'water',
    blank: 'blank',
    corrected: 'corrected',
    size: 'size',
    finer: 'finer'
  },
  unit: { '152H': 'g/L', '151H': 'rel. density', pipette: 'g' },
  passed: 'not read',
  correctTime: (no: number) => `Correct the time of reading ${no}`,
  takeBack: (no: number) => `Take reading ${no} back`,
  valueOf: (no: number) => `Reading ${no}`,
  tempOf: (no: number) => `Water at reading ${no}`,
  simulated: 'simulated',
  result: 'Result',
  byMassNote: 'By mass of the earth under 2 mm; ± holds nine draws in ten.',
  finish: 'Finish and keep the result',
  wanting: 'Two readings with figures are wanted before there is a result.',
  doubts: 'Look at these',
  doubt: (d: CylinderDoubt): string => {
    switch (d.kind) {
      case 'rises':
        return `Reading ${d.no + 1} is ${d.by.toFixed(1)} g/L higher than reading ${d.beforeNo + 1}. That is within reading error; the curve takes their mean.`;
      case 'below-blank':
        return `Reading ${d.no + 1} lies ${(-d.corrected).toFixed(1)} g/L under the blank: counted as nothing. Read the blank again.`;
      case 'late':
        return `Reading ${d.no + 1} was made at ${Math.round(d.tookS)} s, not ${Math.round(d.askedS)} s: it cuts ${d.cutUm.toPrecision(2)} µm. The true time is used.`;
      case 'blank-after':
        return `The blank was first read ${Math.round(d.afterS / 60)} min after the last reading: it stands for water of another hour.`;
      case 'blank-warmth':
        return `At reading ${d.no + 1} the blank was ${d.apartC.toFixed(1)} °C apart: a degree moves a reading by about a third of a gram a litre.`;
      case 'no-blank':
        return `No blank was read: each reading is moved by temperature alone (${d.correction >= 0 ? '+' : '−'}${Math.abs(d.correction).toFixed(2)} g/L at the first), and the dispersant counts as clay.`;
      case 'light':
        return `Only ${d.ovenDryG.toFixed(1)} g of soil: half a gram a litre is ${d.points.toFixed(0)} points.`;
      case 'no-moisture':
        return 'Nobody weighed how much water the air-dry soil held: it counts as dry. Usual is 1 to 4 %, and silt and clay read too low by as much. Dry a subsample at 105 °C.';
      case 'not-dispersed':
        return 'No dispersant: crumbs of clay count as silt or sand.';
      case 'beyond':
        return 'The clay lies a little beyond the finest reading: the curve is drawn on by a straight line.';
      case 'sand-by-reading':
        return `The sand is what had passed the bulb at reading ${d.no + 1}, all coarser than ${d.cutUm.toPrecision(2)} µm. A wet sieve would say it by mass.`;
    }
  },
  customary: (parts: string) =>
    `What these times cut here: ${parts}. The customary forty seconds and six and a half hours are taken for the limits.`,
  weighed: 'What was weighed',
  airDry: 'Air-dry soil',
  moistureOf: 'Moisture of a subsample',
  oven: 'The soil was oven-dry',
  wet: 'Moist, with tin',
  dry: 'Dry, with tin',
  tin: 'Tin alone',
  grains: 'Grain density',
  grainsHint: '2650 unless it was measured',
  bulb: 'Hydrometer',
  bulbName: { '152H': '152H, grams a litre', '151H': '151H, relative density' },
  meniscus: 'Meniscus',
  meniscusHint: 'added for the depth of the bulb only',
  volume: 'Suspension',
  pipetteMl: 'Pipette holds',
  pipetteDepth: 'Depth of its tip',
  pipetteDose: 'Dispersant in a draw',
  sieves: 'Sand on meshes',
  sievesHint: 'Dry mass that stayed on each. It joins the curve, and gives the sand.',
  mesh: (no: number) => `Mesh ${no}`,
  retained: (no: number) => `Stayed on mesh ${no}`,
  addMesh: 'Add a mesh',
  dropMesh: (no: number) => `Leave mesh ${no} out`,
  save: 'Keep what was weighed',
  saved: 'Kept.',
  number: (what: string) => `Type ${what} as a number, such as 40.`,
  blank: 'Blank cylinder',
  blankLead:
    'Dispersant and water without soil. Its reading is taken off each of yours, in its sign; of several the nearest in time.',
  blankNone: 'None: correct for temperature alone',
  blankNew: 'Start a blank',
  blankName: 'Name of the blank',
  blankNameHint: 'such as: cylinder 9, 24 Nov',
  blankValue: 'Blank reads',
  blankTemp: 'Its water',
  blankRead: 'Read the blank now',
  blankDrop: (value: string) => `Take the blank reading ${value} back`,
  working: 'Working',
  workingHead: { what: 'What', symbols: 'Formula', numbers: 'In numbers', outcome: 'Gives' },
  workingLine: {
    water: 'Water content',
    dry: 'Oven-dry mass',
    grains: 'Factor for grains',
    scale: 'Grams a litre',
    blank: 'Corrected for the blank',
    warmth: 'Corrected for temperature',
    depth: 'Effective depth',
    size: 'Size at the bulb',
    finer: 'Percent finer',
    draw: 'Percent finer',
    'sand-reading': 'Sand',
    'sand-curve': 'Sand, at the limit',
    'sand-sieve': 'Sand, from the sieve',
    'clay-two': 'Clay',
    'clay-curve': 'Clay, at 2 µm',
    silt: 'Silt, the rest'
  } as Record<string, string>,
  noDouble:
    'The blank stood in the same warmth: no temperature correction is made besides it, for that would count it twice.',
  set: {
    soil: (grams: number) => `${grams} g of air-dry soil under 2 mm`,
    dose: (ml: number, note: string) => `${ml} mL of ${note}`,
    water: (ml: number) => `then water to ${ml} mL`,
    readings: 'What its readings cut',
    usual: 'At a usual reading; the true depth of the bulb counts in the result.'
  },
  items: {
    soak: (grams: number, ml: number) =>
      `Weigh ${grams} g of air-dry soil under 2 mm; soak it overnight in ${ml} mL of dispersant solution`,
    moisture: 'Weigh a tin with about 10 g of the same soil; dry it at 105 °C, weigh it again',
    sieve: 'Wash it through the finest sieve; dry and weigh the sand',
    rinse: (ml: number) => `Stir; rinse all of it across with distilled water; top up to ${ml} mL`,
    blank: 'Stand a blank beside it: the same dispersant and water, no soil',
    temper: 'Let both take the temperature of the room',
    invert: (from: string, to: string) => `Seal it and invert until all is up: ${from} to ${to}`,
    seal: 'As it is set down, take the seal off without disturbing it'
  },
  practice: 'Practise on a simulated cylinder',
  run: {
    title: 'A simulated cylinder',
    begin: 'To begin, choose a method and press Set it down.',
    what: 'What it is for: to see what a reading some seconds late, a warm room or a missing blank does to the answer, before a real day is spent on it. The readings come in here one by one, with the size that each cuts; at the end stands the true soil.',
    lead: 'A made-up soil settles in a made-up cylinder; a simulated hydrometer, thermometer and balance are read, with their errors. A day goes by in under a minute. Nothing here is recorded.',
    soil: 'The soil in it',
    start: 'Set it down',
    again: 'Another soil',
    method: 'Method',
    gone: (time: string) => `${time} after set-down`,
    speed: 'Seconds a reading',
    stop: 'Hold',
    goOn: 'Go on',
    truth: (sand: number, silt: number, clay: number) =>
      `In the cylinder: ${sand} % sand, ${silt} % silt, ${clay} % clay.`,
    off: (points: string) => `The readings gave it back within ${points} points.`,
    way: 'How it is run',
    watch: 'Watch it run',
    byHand: 'By my own hand',
    handWhat:
      'You lower the bulb before each reading, press when it is due, read its stem at the top of the meniscus, the thermometer, and the blank beside it. The hours between are passed over.',
    hand: {
      toCome: (no: number, of: number, time: string) => `Reading ${no} of ${of}, due at ${time}`,
      lowerAt: (lead: number) =>
        lead > 0 ? `Lower it ${lead} s before.` : 'It stays in from the reading before.',
      clock: 'Clock of the cylinder',
      begin: 'Set down',
      pass: 'Pass the time until then',
      lower: { hydrometer: 'Lower the bulb', pipette: 'Lower the pipette' },
      read: { hydrometer: 'Read it', pipette: 'Draw' },
      isIn: 'It is in.',
      closeUp: {
        stemGL: 'The stem at the surface: read it where the liquid climbs highest',
        tempC: 'The thermometer',
        blankGL: 'The same bulb in the blank'
      },
      scale: { stemGL: 'Reading, g/L', tempC: 'Temperature, °C', blankGL: 'Blank, g/L' },
      keep: 'Keep the reading',
      giveNumber: 'Give what the scale shows.',
      time: (off: string) => `Time: ${off}`,
      onTime: 'on time',
      early: (s: string) => `${s} early`,
      late: (s: string) => `${s} late`,
      stood: (typed: number, shown: number) => `You read ${typed}, it stood at ${shown}.`,
      right: 'Nothing to find fault with.',
      goOn: 'Next reading',
      slips: {
        'lowered-late': 'Lowered too late: the bulb was still swinging.',
        'lowered-early':
          'Lowered too early: a bulb that hangs in the suspension gathers grains on its shoulders.',
        'read-early': 'Read before its time: coarser grains were still up.',
        'read-late':
          'Read after its time: finer grains had passed. Write the true time down, and it is corrected for.',
        'read-at-surface':
          'Read at the surface: the scale is read at the upper rim of the meniscus, since the surface cannot be seen in a dark suspension.',
        'stem-misread': 'The stem was misread: count its lines from the number above.',
        'blank-misread': 'The blank was misread: it comes off every reading of the day.',
        thermometer: 'The thermometer was misread: half a degree is as much as one may miss.'
      },
      own: 'By your readings',
      perfect: 'Read without a slip',
      truth: 'In the cylinder',
      impossible: 'Your readings cannot all be right together: no answer comes of them.',
      cost: (points: string) => `What slipped cost ${points} points.`
    },
    switchedOff: 'Simulated instruments are switched off on this server.'
  },
  print: 'Print this page',
  done: {
    taken: (code: string, no: number) => `${code}: reading ${no} taken.`,
    timed: (code: string, no: number, time: string) => `${code}: reading ${no} was at ${time}.`,
    removed: (code: string, no: number) => `${code}: reading ${no} taken back.`,
    finished: (code: string) => `${code}: finished and kept.`,
    blankRead: (name: string) => `${name}: read.`,
    blankUnread: 'Blank reading taken back.',
    blankAdded: (name: string) => `${name}: started.`
  }
};

export const curve = {
  title: 'Grading curve',
  label: (finest: string) => `Grading curve: percent finer against size, from ${finest} µm to 2 mm`,
  x: 'size, µm (logarithmic)',
  y: 'percent finer',
  band: 'nine curves in ten lie in the band',
  point: { reading: 'reading', sieve: 'mesh', whole: 'all of it' },
  limits: (name: string) => `limits: ${name}`,
  figures: 'Sizes on the curve',
  d: (pct: number) => `D${pct}`,
  cu: 'Cu',
  cc: 'Cc',
  cuHint: 'D60 / D10',
  ccHint: 'D30² / (D10 D60)',
  beyond: 'drawn on',
  notReached: 'not reached',
  at: (um: string, pct: string) => `${pct} finer than ${um} µm`,
  legend: 'Circles: readings. Squares: meshes. Band: nine curves in ten.'
};
