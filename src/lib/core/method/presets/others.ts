import type { Method, TimedReading } from '../types.ts';
import { usualBulbDepth } from '../usual-bulb.ts';
import { CLEAN, LAB_BLANK, LAB_MOISTURE, LAB_RINSE, LAB_SOAK, MEASURE, STAND } from './steps.ts';
import { DAY, HOUR, MIN } from './times.ts';

/** A hydrometer lowered `leadS` before it is read; its bulb hangs where it usually does by then. */
const lowered = (atS: number, leadS: number): TimedReading => ({ atS, leadS, fallMm: usualBulbDepth(atS) });

/** A night, s: what "overnight" asks for at least. */
const SOAK_NIGHT_S = 12 * HOUR;

/** Graduated cylinders, the bottle, hydrometer and pipette. Source of figures: common practice. */
export const OTHER_METHODS: Method[] = [
  {
    key: 'cylinder-volume',
    version: 1,
    kind: 'cylinder',
    name: 'Cylinder by volume',
    purpose: 'A lesson: 20 mL of soil in a 100 mL graduated cylinder.',
    stand: 'Quick and clean to read, but thin layers: a millilitre slip moves the result by points.',
    vesselKind: 'cylinder',
    fill: {
      soilShare: 0.2,
      soilNote: '20 mL',
      water: 0.9,
      waterNote: 'to 100 mL',
      soilMl: 20,
      waterLineMl: 100
    },
    dispersant: { mlPerL: 0, note: 'none' },
    agitate: { how: 'Stopper it and invert', fromS: MIN, toS: 3 * MIN },
    marks: [],
    end: { fromS: 30 * MIN, toS: 2 * DAY, note: 'after 30 min, or the next lesson' },
    steps: [
      CLEAN,
      { text: 'Soil to 20 mL, water to 100 mL.' },
      {
        text: 'Stopper it and invert until the soil has come off the bottom.',
        why: 'Hold the stopper with the palm.'
      },
      STAND,
      {
        text: 'Read each layer on the graduations, or measure it.',
        why: 'In a straight cylinder height and volume have the same shares.'
      }
    ],
    schools: ['Read after 30 min, the clay is mostly still up: what is on the bottom is sand and silt.']
  },
  {
    key: 'cylinder-equal',
    version: 2,
    kind: 'cylinder',
    name: 'Cylinder, equal parts',
    purpose: 'A lesson: soil to the 50 mL line, and as much water.',
    stand: 'So full that the grains fall at a fraction of their speed: bands blur.',
    vesselKind: 'cylinder',
    fill: {
      soilShare: 0.48,
      soilNote: 'to the 50 mL line, 50 to 60 g',
      water: 'equal',
      waterNote: '50 mL, by the same scale',
      soilMl: 50
    },
    dispersant: { mlPerL: 0, note: 'none' },
    agitate: { how: 'Palm over the mouth, invert', fromS: MIN, toS: 3 * MIN },
    marks: [],
    end: { fromS: 20 * MIN, toS: 30 * MIN, note: '20 to 30 min' },
    steps: [
      CLEAN,
      {
        text: 'Loose soil to the 50 mL line. Measure 50 mL of water by the same scale and pour it in.',
        why: 'Equal measures: the grains sink into the room of the air, and the water stands at about 73 mL.'
      },
      { text: 'Palm over the mouth, invert until all is up. Gloves on.' },
      STAND,
      MEASURE
    ],
    schools: ['More water and less soil sorts better in the same time.']
  },
  {
    key: 'bottle-five-minute',
    version: 3,
    kind: 'bottle',
    name: 'Five-minute bottle',
    purpose: 'How sandy is this ground, on the tailgate, before boring.',
    stand:
      'One share only: the packed part over the settled solids. A share of the loose fill is another number.',
    vesselKind: 'jar',
    fill: {
      soilShare: 0.5,
      soilNote: 'one measure',
      water: 'equal',
      waterNote: 'one equal measure of water'
    },
    dispersant: { mlPerL: 0, note: 'none' },
    agitate: { how: 'Shake', fromS: MIN, toS: 2 * MIN },
    marks: [{ layer: 'sand', atS: 5 * MIN, untilS: 6 * MIN }],
    end: { fromS: 5 * MIN, toS: 6 * MIN, note: 'about five minutes' },
    steps: [
      { text: 'Crush the soil to powder. Mark two equal clear bottles alike.' },
      { text: 'One measure of soil in the first, one of water in the second; pour together and shake.' },
      {
        text: 'Stand it for about five minutes, then tilt it and put tape where the packed part ends.',
        why: 'The packed part does not run: that is the sand.'
      },
      {
        text: 'Stand it upright again; once the water has cleared, measure the packed part and all that has settled.',
        why: 'A share of the settled solids is another number than one of the loose fill or of the scale: say which.'
      }
    ],
    schools: [
      'Near 30 % plan for the sandier case. Colour says nothing about the sand: test. One call to the locator first.'
    ]
  },
  {
    key: 'hydrometer-2pt',
    version: 3,
    kind: 'hydrometer',
    name: 'Hydrometer, two readings',
    purpose: 'Percent by mass in an afternoon, with a 152H hydrometer.',
    stand: 'Forty seconds and six and a half hours are conventions: the strip shows what they cut.',
    vesselKind: 'cylinder',
    fill: {
      soilShare: 0.05,
      soilNote: '40 g air-dry, under 2 mm',
      water: 0.9,
      waterNote: 'to 1000 mL',
      waterLineMl: 1000,
      soilMl: 33,
      soilG: 40
    },
    dispersant: { mlPerL: 100, note: '5 % sodium hexametaphosphate, overnight' },
    agitate: { how: 'Stir, then invert', fromS: MIN, toS: 2 * MIN },
    soakS: SOAK_NIGHT_S,
    marks: [],
    readings: [lowered(40, 10), lowered(6.5 * HOUR, 10)],
    end: { fromS: 6.5 * HOUR, toS: 7 * HOUR, note: 'with the second reading' },
    steps: [
      LAB_SOAK,
      LAB_RINSE,
      LAB_BLANK,
      LAB_MOISTURE,
      {
        text: 'Invert until all is up, set down, and lower the hydrometer at 30 s.',
        why: 'It needs ten seconds to come to rest.'
      },
      {
        text: 'Read at 40 s. Lift it out gently and wipe it dry.',
        why: 'Grains that settle on the bulb weigh it down.'
      },
      { text: 'Lower it again ten seconds before 6 h 30, read, and read the blank.' }
    ],
    schools: [
      '50 g, and 100 g for sands, are also used.',
      'Two hours and eight hours are taught for the clay: at 20 °C two hours still count silt to 4.6 µm as clay.'
    ]
  },
  {
    key: 'hydrometer-curve',
    version: 3,
    kind: 'hydrometer',
    name: 'Hydrometer, whole curve',
    purpose: 'A grading curve from eleven readings over a day.',
    stand: 'The curve shows where sizes crowd; two points cannot.',
    vesselKind: 'cylinder',
    fill: {
      soilShare: 0.05,
      soilNote: '40 to 50 g, under 2 mm',
      water: 0.9,
      waterNote: 'to 1000 mL',
      waterLineMl: 1000,
      soilMl: 33,
      soilG: 40
    },
    dispersant: { mlPerL: 100, note: '5 % sodium hexametaphosphate, overnight' },
    agitate: { how: 'Stir, then invert', fromS: MIN, toS: 2 * MIN },
    soakS: SOAK_NIGHT_S,
    marks: [],
    readings: [
      lowered(30, 10),
      lowered(40, 0),
      lowered(MIN, 0),
      lowered(3 * MIN, 10),
      lowered(10 * MIN, 10),
      lowered(30 * MIN, 10),
      lowered(HOUR, 10),
      lowered(90 * MIN, 10),
      lowered(2 * HOUR, 10),
      lowered(6.5 * HOUR, 10),
      lowered(DAY, 10)
    ],
    end: { fromS: DAY, toS: 25 * HOUR, note: 'with the last reading' },
    steps: [
      LAB_SOAK,
      LAB_RINSE,
      LAB_BLANK,
      LAB_MOISTURE,
      {
        text: 'Invert, set down, lower the hydrometer by 20 s and leave it in for the readings at 30 s, 40 s and 1 min.'
      },
      {
        text: 'Lift it out, wipe it, and lower it ten seconds before each later reading.',
        why: 'In the way of the grains it would catch them.'
      }
    ],
    schools: ['Some invert the cylinder again before a later reading: each mixing has its own time zero.']
  },
  {
    key: 'pipette',
    version: 3,
    kind: 'pipette',
    name: 'Pipette',
    purpose: 'The reference: samples drawn at a depth, dried and weighed.',
    stand:
      'Cuts exactly at the limits, since the time is worked out for the water; wants a good balance and a still hand.',
    vesselKind: 'cylinder',
    fill: {
      soilShare: 0.03,
      soilNote: '10 to 20 g, under 2 mm',
      water: 0.9,
      waterNote: 'to 1000 mL',
      waterLineMl: 1000,
      soilMl: 17,
      soilG: 20
    },
    dispersant: { mlPerL: 100, note: '5 % sodium hexametaphosphate, overnight' },
    agitate: { how: 'Stir, then invert', fromS: MIN, toS: 2 * MIN },
    soakS: SOAK_NIGHT_S,
    marks: [],
    readings: [
      { limitUm: 20, leadS: 30, fallMm: 100 },
      { limitUm: 2, leadS: 30, fallMm: 100 }
    ],
    end: { fromS: 7 * HOUR, toS: 9 * HOUR, note: 'with the draw for the clay' },
    steps: [
      LAB_SOAK,
      {
        text: 'Wash it through the finest sieve; dry and weigh the sand.',
        why: 'Sand is too quick to be drawn.'
      },
      LAB_RINSE,
      LAB_MOISTURE,
      { text: 'Invert, set down. Lower the pipette to 100 mm half a minute before each draw.' },
      {
        text: 'Draw 20 or 25 mL at the time for the silt, and again at the time for the clay. Dry and weigh; take off the dispersant.'
      }
    ],
    schools: ['Drawn shallower the wait for the clay shortens in proportion.']
  }
];
