import { z } from 'zod';
import { AMENDMENTS } from '../records/amendment.ts';
import { HOLE_NOTES, WATER_SEEN } from '../records/hole.ts';
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
  'hole.dig': z.object({ holeId: id, areaId: ref, spotId: ref.nullable().default(null), ...holeFields }),
  'hole.edit': z.object({ holeId: ref, ...holeFields }),
  'hole.soak': z.object({ holeId: ref }),
  /** Time zero; so high the water stands over the bottom, where it is not as deep as the hole. */
  'hole.refill': z.object({ holeId: ref, filled: typedLength.nullable().default(null) }),
  'hole.read': z.object({
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
  'hole.height': z.object({ holeId: ref, readingId: ref, height: typedLength }),
  'hole.unread': z.object({ holeId: ref, readingId: ref }),
  'hole.finish': z.object({ holeId: ref }),
  'hole.reopen': z.object({ holeId: ref }),
  'hole.remove': z.object({ holeId: ref }),
  'amend.add': z.object({
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
  }),
  'amend.remove': z.object({ amendmentId: ref })
};
