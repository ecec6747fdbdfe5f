import { z } from 'zod';
import { AMENDMENTS } from '../records/amendment.ts';
import { HOLE_NOTES, WATER_SEEN } from '../records/hole.ts';
import { defineCommand } from './define.ts';
import { ofHole, WATCHED } from './states.ts';
import { id, ref, typedLength } from './values.ts';
import { refusals } from '../../words/refusals.ts';

const holeFields = {
  depth: typedLength,
  width: typedLength,
  notes: z.array(z.enum(HOLE_NOTES)).max(HOLE_NOTES.length).default([]),
  note: z.string().trim().max(500, refusals.common.keepNoteUnder500).default('')
};

/** The longest that a hole is watched, s: a month. */
const LONGEST_S = 31 * 86_400;

/** What is done in a bed: drainage holes, and what is put into it. */
export const bedCommands = {
  'hole.dig': defineCommand(
    z.object({ holeId: id, areaId: ref, spotId: ref.nullable().default(null), ...holeFields })
  ),
  'hole.edit': defineCommand(z.object({ holeId: ref, ...holeFields }), {
    states: ofHole(WATCHED),
    edits: { table: 'hole', id: 'holeId' }
  }),
  'hole.soak': defineCommand(z.object({ holeId: ref }), {
    states: ofHole(['dug'], {
      soaked: refusals.holes.soakedAlready,
      filled: refusals.holes.soakedAlready
    })
  }),
  /** Time zero; so high the water stands over the bottom, where it is not as deep as the hole. */
  'hole.refill': defineCommand(z.object({ holeId: ref, filled: typedLength.nullable().default(null) }), {
    states: ofHole(['dug', 'soaked'], { filled: refusals.holes.refilledAlready })
  }),
  'hole.read': defineCommand(
    z.object({
      holeId: ref,
      readingId: id,
      seen: z.enum(WATER_SEEN),
      height: typedLength.nullable().default(null),
      /** Where it is told afterwards: so long after the refill, s. */
      afterS: z
        .number({ error: refusals.holes.giveTime })
        .positive(refusals.holes.afterRefill)
        .max(LONGEST_S, refusals.holes.overMonth)
        .nullable()
        .default(null)
    }),
    { states: ofHole(['filled']) }
  ),
  'hole.height': defineCommand(z.object({ holeId: ref, readingId: ref, height: typedLength }), {
    states: ofHole(['filled'])
  }),
  'hole.unread': defineCommand(z.object({ holeId: ref, readingId: ref }), { states: ofHole(['filled']) }),
  'hole.finish': defineCommand(z.object({ holeId: ref }), {
    states: ofHole(['filled'], {
      dug: refusals.holes.nothingSeen,
      soaked: refusals.holes.nothingSeen
    })
  }),
  'hole.reopen': defineCommand(z.object({ holeId: ref }), {
    states: ofHole(['finished'], {
      dug: refusals.holes.openAlready,
      soaked: refusals.holes.openAlready,
      filled: refusals.holes.openAlready
    })
  }),
  'hole.remove': defineCommand(z.object({ holeId: ref })),
  'amend.add': defineCommand(
    z.object({
      amendmentId: id,
      areaId: ref,
      doneOn: z.iso.date(refusals.samples.giveDateAsDay),
      kind: z.enum(AMENDMENTS),
      litres: z
        .number({ error: refusals.beds.giveLitres })
        .positive(refusals.beds.giveLitres)
        .max(1_000_000, refusals.beds.tooMuch)
        .nullable()
        .default(null),
      note: z.string().trim().max(500, refusals.common.keepNoteUnder500).default('')
    })
  ),
  'amend.remove': defineCommand(z.object({ amendmentId: ref }))
};
