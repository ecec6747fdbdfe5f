import { z } from 'zod';
import '../sentences.ts';
import { refusals } from '../../words/refusals.ts';

/** Values that many commands carry. */
export const id = z.string().regex(/^[0-9A-HJKMNP-TV-Z]{26}$/, refusals.common.idNotRightForm);
export const ref = z.string().min(1).max(40);
/** ms UTC, up to the end of this century. */
export const at = z.number().int().positive().max(Date.UTC(2100, 0), refusals.sentences.year);
export const mm = (what: string) =>
  z
    .number({ error: `Give ${what}.` })
    .finite()
    .min(0, refusals.common.belowZero(what))
    .max(3000);
export const line = z.object({
  mm: mm('the height'),
  text: z.string().max(40),
  sigmaMm: z.number().min(0).max(50).optional(),
  markS: z.number().min(0).optional()
});

export const typedLength = z.object({ mm: mm('the length'), text: z.string().max(40) });

/** No place on a sketch lies further from its middle, m. */
export const FURTHEST_M = 1e6;

/** A place on a sketch, metres. */
export const place = z.tuple([
  z.number().finite().min(-FURTHEST_M).max(FURTHEST_M),
  z.number().finite().min(-FURTHEST_M).max(FURTHEST_M)
]);

export const waterTemp = z
  .number({ error: refusals.common.giveTemperatureWater })
  .min(0, refusals.common.waterTooColdOrWarm)
  .max(40, refusals.common.waterTooColdOrWarm);
