import { z } from 'zod';
import { HISTORIES } from '../../core/ground/guidance.ts';
import { MOST_SPOTS } from '../../core/ground/spots.ts';
import { PHOTO_SUBJECTS } from '../records/ground.ts';
import { PURPOSES } from '../records/sample.ts';
import { id, place, ref, typedLength } from './values.ts';

const areaFields = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'Name the area: what people on the ground call it.')
    .max(80, 'Keep the name under 80 letters.'),
  purpose: z.enum(PURPOSES),
  history: z.array(z.enum(HISTORIES)).max(4).default([]),
  note: z.string().trim().max(500, 'Keep the note under 500 letters.').default(''),
  outline: z.array(place).max(500, 'An area may have 500 corners.')
});

const spotWords = {
  depthFrom: typedLength.nullable().default(null),
  depthTo: typedLength.nullable().default(null),
  note: z.string().trim().max(500, 'Keep the note under 500 letters.').default('')
};

const depthsInOrder = {
  test: (s: { depthFrom: { mm: number } | null; depthTo: { mm: number } | null }) =>
    !s.depthFrom || !s.depthTo || s.depthTo.mm > s.depthFrom.mm,
  words: { path: ['depthTo'], message: 'The lower end must lie below the upper one.' }
};

const earthPlace = z.object({
  lat: z.number({ error: 'Give the latitude in degrees, such as 60.39.' }).finite(),
  lon: z.number({ error: 'Give the longitude in degrees, such as 5.32.' }).finite(),
  bearing: z.number({ error: 'Give the bearing in degrees, 0 for north.' }).finite()
});

const siteName = z
  .string()
  .trim()
  .min(1, 'Name the site: where the ground lies.')
  .max(80, 'Keep the name under 80 letters.');

/** How much one import may bring: a site, not a county. */
const IMPORT_MOST = { areas: 200, spots: 2000 } as const;

/** What is done on the sketch and in the field. */
export const groundCommands = {
  'site.add': z.object({ siteId: id, name: siteName }),
  'site.edit': z.object({ siteId: ref, name: siteName, earth: earthPlace.nullable() }),
  'site.backdrop': z.object({ siteId: ref, fileId: ref.nullable() }),
  'site.scale': z.object({
    siteId: ref,
    from: place,
    to: place,
    distanceM: z
      .number({ error: 'Give the distance between the two points.' })
      .positive('Two points of one place are no distance apart. Give more than nothing.')
      .max(100_000, 'That is over a hundred kilometres. Give metres.')
  }),
  'area.add': z.object({ areaId: id, siteId: ref, ...areaFields.shape }),
  'area.edit': z.object({ areaId: ref, ...areaFields.shape }),
  'area.remove': z.object({ areaId: ref }),
  'spots.suggest': z.object({
    areaId: ref,
    seed: z.number().int().min(0).max(2_147_483_647),
    spotIds: z
      .array(id)
      .min(1, `Give a whole number of spots from 1 to ${MOST_SPOTS}.`)
      .max(MOST_SPOTS, `Give a whole number of spots from 1 to ${MOST_SPOTS}.`)
  }),
  'spot.add': z.object({ spotId: id, areaId: ref, place }),
  'spot.move': z.object({ spotId: ref, place }),
  'spot.take': z
    .object({ spotId: ref, taken: z.boolean(), ...spotWords })
    .refine(depthsInOrder.test, depthsInOrder.words),
  'spot.remove': z.object({ spotId: ref }),
  'ground.import': z.object({
    siteId: ref,
    earth: earthPlace.nullable(),
    areas: z
      .array(z.object({ areaId: id, ...areaFields.shape }))
      .max(IMPORT_MOST.areas, `A file may bring ${IMPORT_MOST.areas} areas at a time. Split it.`),
    spots: z
      .array(z.object({ spotId: id, areaId: ref, place, ...spotWords }))
      .max(IMPORT_MOST.spots, `A file may bring ${IMPORT_MOST.spots} spots at a time. Split it.`)
  }),
  'photo.add': z.object({
    photoId: id,
    fileId: ref,
    subject: z.enum(PHOTO_SUBJECTS),
    subjectId: ref,
    caption: z.string().trim().max(120, 'Keep the caption under 120 letters.').default('')
  }),
  'photo.remove': z.object({ photoId: ref })
} as const;
