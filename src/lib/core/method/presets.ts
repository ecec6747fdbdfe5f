import type { Method } from './types.ts';

const MIN = 60;
const HOUR = 3600;
const DAY = 24 * HOUR;

/** The jar methods that ship, in the order in which they are offered. Source of figures: common practice. */
export const METHODS: readonly Method[] = [
  {
    key: 'jar-timed',
    version: 1,
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
    end: { fromS: DAY, toS: 2 * DAY, note: 'when the last mark is on' }
  },
  {
    key: 'jar-half-hour',
    version: 1,
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
    end: { fromS: DAY, toS: 7 * DAY, note: 'a day to a week' }
  },
  {
    key: 'jar-bands',
    version: 1,
    name: 'Bands by eye',
    purpose: 'One visit: shake it, leave it, read the bands the next day.',
    stand: 'No times to keep, but the eye must find the lines; a soil of every size shows none.',
    vesselKind: 'jar',
    fill: { soilShare: 0.4, soilNote: 'a third to a half', water: 0.8, waterNote: 'to four fifths' },
    dispersant: { mlPerL: 5, note: 'a drop to three spoons are all taught' },
    agitate: { how: 'Shake hard', fromS: 3 * MIN, toS: 10 * MIN },
    marks: [],
    end: { fromS: 12 * HOUR, toS: DAY, note: '12 to 24 h, a week if it stays cloudy' }
  },
  {
    key: 'jar-builder',
    version: 1,
    name: "Builder's jar",
    purpose: 'Earth for walls, from below the topsoil, dry fill marked on the glass.',
    stand: 'Without dispersant, clay stays in crumbs and reads as silt or sand: a first look, never a yes.',
    vesselKind: 'jar',
    fill: { soilShare: 0.5, soilNote: 'a half', water: 'near-top', waterNote: 'full' },
    dispersant: { mlPerL: 0, note: 'none' },
    agitate: { how: 'Shake long', fromS: 10 * MIN, toS: 15 * MIN },
    marks: [],
    end: { fromS: 4 * HOUR, toS: DAY, note: '4 to 8 h, or a day' }
  }
];

/**
 * A method by its key.
 * @throws {Error} for a key that does not ship
 */
export function methodByKey(key: string): Method {
  const found = METHODS.find((m) => m.key === key);
  if (!found) throw new Error(`No method is called "${key}".`);
  return found;
}
