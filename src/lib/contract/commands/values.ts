import { z } from 'zod';

/** Values that many commands carry. */
export const id = z.string().regex(/^[0-9A-HJKMNP-TV-Z]{26}$/, 'This id is not in the right form.');
export const ref = z.string().min(1).max(40);
export const at = z.number().int().positive();
export const mm = (what: string) =>
  z
    .number({ error: `Give ${what}.` })
    .finite()
    .min(0, `${what} cannot be below zero.`)
    .max(3000);
export const line = z.object({
  mm: mm('the height'),
  text: z.string().max(40),
  sigmaMm: z.number().min(0).max(50).optional(),
  markS: z.number().min(0).optional()
});

export const typedLength = z.object({ mm: mm('the length'), text: z.string().max(40) });

/** A place on a sketch, metres. */
export const place = z.tuple([
  z.number().finite().min(-1e6).max(1e6),
  z.number().finite().min(-1e6).max(1e6)
]);

export const waterTemp = z
  .number({ error: 'Give the temperature of the water.' })
  .min(0, 'The water must be between 0 and 40 °C.')
  .max(40, 'The water must be between 0 and 40 °C.');
