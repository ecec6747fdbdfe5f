import type { Method } from '../types.ts';
import { CLEAN, LEVEL_FILL, MEASURE, STAND, TAPE } from './steps.ts';
import { DAY, HOUR, MIN } from './times.ts';

const shake = (text: string) => ({
  text,
  why: 'It is done when nothing rests on the bottom and no clod rattles.'
});
const water = (text: string) => ({
  text,
  why: 'More depth sorts better; over the shoulder no line can be read.'
});

/** Jars, by timed marks and by bands read at the end. Source of figures: common practice. */
export const JAR_METHODS: Method[] = [
  {
    key: 'jar-timed',
    version: 2,
    kind: 'jar',
    name: 'Timed marks',
    purpose: 'Garden soil, when you can be there at one minute and at two hours.',
    stand:
      'The default: the clock, not the eye, places the lines. Two hours is a working convention that leaves the finest silt out of the silt.',
    vesselKind: 'jar',
    fill: { soilShare: 1 / 3, soilNote: 'a third', water: 'neck', waterNote: 'to the neck' },
    dispersant: { mlPerL: 5, note: 'non-foaming, dishwasher type' },
    agitate: { how: 'Shake hard', fromS: 10 * MIN, toS: 15 * MIN },
    marks: [
      { layer: 'sand', atS: 60 },
      { layer: 'silt', atS: 2 * HOUR },
      { layer: 'clay', atS: DAY, untilS: 2 * DAY }
    ],
    end: { fromS: DAY, toS: 2 * DAY, note: 'when the last mark is on' },
    steps: [
      CLEAN,
      LEVEL_FILL,
      water('Dispersant in, then water to the neck.'),
      shake('Shake hard for 10 to 15 minutes.'),
      STAND,
      TAPE,
      MEASURE
    ],
    schools: [
      'Sand is called done at 5 to 10 s, 40 s, 1 min, 2 to 3 min and 5 min. What each cuts depends on depth and warmth.',
      'Silt is called done at 10 min, 30 min, 1 h and 2 h. All leave fine silt to be counted as clay.'
    ]
  },
  {
    key: 'jar-quick-marks',
    version: 1,
    kind: 'jar',
    name: 'Three-minute marks',
    purpose: 'A garden jar with time to walk over before the first mark.',
    stand: 'At three minutes more silt lies under the sand mark than at one.',
    vesselKind: 'jar',
    fill: { soilShare: 0.35, soilNote: 'a quarter to a half', water: 0.75, waterNote: 'to three quarters' },
    dispersant: { mlPerL: 15, note: 'a spoonful, non-foaming' },
    agitate: { how: 'Shake well', fromS: 3 * MIN, toS: 10 * MIN },
    marks: [
      { layer: 'sand', atS: 2 * MIN, untilS: 3 * MIN },
      { layer: 'silt', atS: 2 * HOUR },
      { layer: 'clay', atS: DAY, untilS: 2 * DAY }
    ],
    end: { fromS: DAY, toS: 2 * DAY, note: 'when the last mark is on' },
    steps: [
      CLEAN,
      LEVEL_FILL,
      water('Dispersant in, then water to three quarters.'),
      shake('Shake well.'),
      STAND,
      TAPE,
      MEASURE
    ],
    schools: [
      'A spoonful a quart is three times what a litre needs; more than that brings foam, not more clay.'
    ]
  },
  {
    key: 'jar-half-hour',
    version: 2,
    kind: 'jar',
    name: 'Half-hour marks',
    purpose: 'A garden jar with wide time windows, for somebody who is in and out.',
    stand:
      'At five minutes much silt is already inside the sand mark: expect more sand than with timed marks.',
    vesselKind: 'jar',
    fill: { soilShare: 0.45, soilNote: 'up to a half', water: 0.9, waterNote: 'nearly full' },
    dispersant: { mlPerL: 4, note: 'under a teaspoon, non-foaming' },
    agitate: { how: 'Shake hard', fromS: 2 * MIN, toS: 5 * MIN },
    marks: [
      { layer: 'sand', atS: 5 * MIN },
      { layer: 'silt', atS: 30 * MIN, untilS: 40 * MIN },
      { layer: 'clay', atS: DAY, untilS: 7 * DAY }
    ],
    end: { fromS: DAY, toS: 7 * DAY, note: 'a day to a week' },
    steps: [
      CLEAN,
      LEVEL_FILL,
      water('A little dispersant in, then water until the jar is nearly full.'),
      shake('Shake hard for two minutes or more.'),
      STAND,
      { text: 'Gravel lies after 5 to 10 s: note it if there is any.', why: 'It is no part of the texture.' },
      TAPE,
      MEASURE
    ],
    schools: [
      'Some wait a day for the clay, some a week. A well-dispersed clay stays up for weeks: give the range.'
    ]
  },
  {
    key: 'jar-bands',
    version: 2,
    kind: 'jar',
    name: 'Bands by eye',
    purpose: 'One visit: shake it, leave it, read the bands the next day.',
    stand: 'No times to keep, but the eye must find the lines; a soil of every size shows none.',
    vesselKind: 'jar',
    fill: { soilShare: 0.4, soilNote: 'a third to a half', water: 0.8, waterNote: 'to four fifths' },
    dispersant: { mlPerL: 5, note: 'a drop to three spoons are all taught' },
    agitate: { how: 'Shake hard', fromS: 3 * MIN, toS: 10 * MIN },
    marks: [],
    end: { fromS: 12 * HOUR, toS: DAY, note: '12 to 24 h, a week if it stays cloudy' },
    steps: [
      CLEAN,
      LEVEL_FILL,
      water('Dispersant in, then water to four fifths.'),
      shake('Shake hard for 3 to 10 minutes.'),
      STAND,
      {
        text: 'When the water is nearly clear, find the lines: sand has grains, silt is dark and mottled, clay is smooth.',
        why: 'Where no line shows, give it a wide plus or minus.'
      },
      MEASURE
    ],
    schools: [
      'Marks as you go, or bands at the end: both on one jar tell more, and where they disagree that is a finding.'
    ]
  },
  {
    key: 'jar-plain',
    version: 1,
    kind: 'jar',
    name: 'Plain water',
    purpose: 'Nothing but soil and water, for children and for want of anything else.',
    stand: 'Without a dispersant clay stays in crumbs and reads as silt or sand.',
    vesselKind: 'jar',
    fill: { soilShare: 0.5, soilNote: 'a half', water: 'near-top', waterNote: 'to 25 mm under the top' },
    dispersant: { mlPerL: 0, note: 'none' },
    agitate: { how: 'Shake, let it rest, shake', fromS: 3 * MIN, toS: 10 * MIN },
    marks: [],
    end: { fromS: 6 * HOUR, toS: DAY, note: '6 to 24 h' },
    steps: [
      CLEAN,
      LEVEL_FILL,
      { text: 'Water to 25 mm under the top. Top up what soaks in.', why: 'Dry soil drinks for a while.' },
      shake('Shake, let it rest, and shake again.'),
      STAND,
      MEASURE
    ],
    schools: [
      'A pinch of dishwasher powder is the whole difference between this and a test that finds the clay.'
    ]
  },
  {
    key: 'jar-rolled',
    version: 1,
    kind: 'jar',
    name: 'Rolled jar',
    purpose: 'Where shaking makes foam: the jar is rolled, never shaken.',
    stand: 'Three quarters of soil is far too much: grains hinder each other and the layers blur.',
    vesselKind: 'jar',
    fill: { soilShare: 0.75, soilNote: 'three quarters, loosely', water: 1, waterNote: 'to the rim' },
    dispersant: { mlPerL: 5, note: 'non-foaming' },
    agitate: { how: 'Roll gently', fromS: 5 * MIN, toS: 10 * MIN },
    marks: [],
    end: { fromS: 8 * HOUR, toS: 16 * HOUR, note: 'overnight' },
    steps: [
      CLEAN,
      LEVEL_FILL,
      { text: 'Dispersant in, water to the rim, so that no air is left.', why: 'No air, no foam.' },
      {
        text: 'Roll the jar on the table, end over end now and then.',
        why: 'It must still lift all the soil.'
      },
      STAND,
      MEASURE
    ],
    schools: ['Shake for ten minutes and roll only if it foams: rolling seldom lifts everything.']
  },
  {
    key: 'jar-builder',
    version: 2,
    kind: 'jar',
    name: "Builder's jar",
    purpose: 'Earth for walls, from below the topsoil, dry fill marked on the glass.',
    stand: 'Without dispersant, clay stays in crumbs and reads as silt or sand: a first look, never a yes.',
    vesselKind: 'jar',
    fill: { soilShare: 0.5, soilNote: 'a half', water: 'near-top', waterNote: 'full' },
    dispersant: { mlPerL: 0, note: 'none' },
    agitate: { how: 'Shake long', fromS: 10 * MIN, toS: 15 * MIN },
    marks: [],
    end: { fromS: 4 * HOUR, toS: DAY, note: '4 to 8 h, or a day' },
    steps: [
      {
        text: 'Dig below the topsoil.',
        why: 'Organic matter has no place in a wall. Have buried services located first.'
      },
      CLEAN,
      LEVEL_FILL,
      { text: 'Fill up with water.', why: 'Depth sorts the stones from the sand.' },
      shake('Shake for a long time.'),
      STAND,
      MEASURE
    ],
    schools: [
      'Two thirds of soil is taught too: it settles at a crawl and smears.',
      'Texture guides the choice of earth. It is not structural design: trial pieces, local codes and a licensed engineer decide.'
    ]
  }
];
