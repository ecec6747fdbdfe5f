import { z } from 'zod';
import { HISTORIES } from '../../core/ground/guidance.ts';
import { MOST_SPOTS } from '../../core/ground/spots.ts';
import { PHOTO_SUBJECTS } from '../records/ground.ts';
import { PURPOSES } from '../records/sample.ts';
import { defineCommand } from './define.ts';
import { id, place, ref, typedLength } from './values.ts';
import { refusals } from '../../words/refusals.ts';

const areaFields = z.object({
  name: z.string().trim().min(1, refusals.ground.nameArea).max(80, refusals.common.keepNameUnder80),
  purpose: z.enum(PURPOSES),
  history: z.array(z.enum(HISTORIES)).max(4).default([]),
  note: z.string().trim().max(500, refusals.common.keepNoteUnder500).default(''),
  outline: z.array(place).max(500, refusals.ground.areaMayHave500)
});

const spotWords = {
  depthFrom: typedLength.nullable().default(null),
  depthTo: typedLength.nullable().default(null),
  note: z.string().trim().max(500, refusals.common.keepNoteUnder500).default('')
};

const depthsInOrder = {
  test: (s: { depthFrom: { mm: number } | null; depthTo: { mm: number } | null }) =>
    !s.depthFrom || !s.depthTo || s.depthTo.mm > s.depthFrom.mm,
  words: { path: ['depthTo'], message: refusals.common.lowerEndMustLie }
};

const earthPlace = z.object({
  lat: z.number({ error: refusals.ground.giveLatitudeDegrees }).finite(),
  lon: z.number({ error: refusals.ground.giveLongitudeDegrees }).finite(),
  bearing: z.number({ error: refusals.ground.giveBearingDegrees }).finite()
});

const siteName = z.string().trim().min(1, refusals.ground.nameSite).max(80, refusals.common.keepNameUnder80);

/** How much one import may bring: a site, not a county. */
const IMPORT_MOST = { areas: 200, spots: 2000 } as const;

/** What is done on the sketch and in the field. */
export const groundCommands = {
  'site.add': defineCommand(z.object({ siteId: id, name: siteName })),
  'site.edit': defineCommand(z.object({ siteId: ref, name: siteName, earth: earthPlace.nullable() }), {
    edits: { table: 'site', id: 'siteId' }
  }),
  'site.backdrop': defineCommand(z.object({ siteId: ref, fileId: ref.nullable() })),
  'site.scale': defineCommand(
    z.object({
      siteId: ref,
      from: place,
      to: place,
      distanceM: z
        .number({ error: refusals.ground.giveDistanceBetweenTwo })
        .positive(refusals.ground.twoPointsPlaceNo)
        .max(100_000, refusals.ground.overHundredKilometres)
    })
  ),
  'area.add': defineCommand(z.object({ areaId: id, siteId: ref, ...areaFields.shape })),
  'area.edit': defineCommand(z.object({ areaId: ref, ...areaFields.shape }), {
    edits: { table: 'area', id: 'areaId' }
  }),
  'area.remove': defineCommand(z.object({ areaId: ref })),
  'spots.suggest': defineCommand(
    z.object({
      areaId: ref,
      seed: z.number().int().min(0).max(2_147_483_647),
      spotIds: z
        .array(id)
        .min(1, refusals.ground.giveWholeNumberSpots(MOST_SPOTS))
        .max(MOST_SPOTS, refusals.ground.giveWholeNumberSpots(MOST_SPOTS))
    })
  ),
  'spot.add': defineCommand(z.object({ spotId: id, areaId: ref, place })),
  'spot.move': defineCommand(z.object({ spotId: ref, place })),
  'spot.take': defineCommand(
    z
      .object({ spotId: ref, taken: z.boolean(), ...spotWords })
      .refine(depthsInOrder.test, depthsInOrder.words)
  ),
  'spot.remove': defineCommand(z.object({ spotId: ref })),
  'ground.import': defineCommand(
    z.object({
      siteId: ref,
      earth: earthPlace.nullable(),
      areas: z
        .array(z.object({ areaId: id, ...areaFields.shape }))
        .max(IMPORT_MOST.areas, refusals.ground.fileMayBringAreas(IMPORT_MOST.areas)),
      spots: z
        .array(z.object({ spotId: id, areaId: ref, place, ...spotWords }))
        .max(IMPORT_MOST.spots, refusals.ground.fileMayBringSpots(IMPORT_MOST.spots))
    })
  ),
  'photo.add': defineCommand(
    z.object({
      photoId: id,
      fileId: ref,
      subject: z.enum(PHOTO_SUBJECTS),
      subjectId: ref,
      caption: z.string().trim().max(120, refusals.ground.keepCaptionUnder120).default('')
    })
  ),
  'photo.remove': defineCommand(z.object({ photoId: ref }))
} as const;
