import { z } from 'zod';
import { SAND_LIMITS_UM } from '../../core/texture/limits.ts';
import { reportedShares } from '../../core/texture/typed.ts';
import { GRAVEL_UNITS, PURPOSES } from '../records/sample.ts';
import { id, mm, ref, typedLength } from './values.ts';

const sampleFields = z.object({
  name: z
    .string()
    .trim()
    .min(1, 'Name the sample: where the soil came from.')
    .max(80, 'Keep the name under 80 letters.'),
  purpose: z.enum(PURPOSES),
  note: z.string().trim().max(500).default('')
});

/** The ground a sample is from; the spots are those mixed into it. */
const sampleGround = {
  areaId: ref.nullable().default(null),
  spotIds: z.array(ref).max(60).default([])
};

export const sampleDetails = z
  .object({
    takenOn: z.iso.date('Give the date as a day, such as 2026-05-04.').optional(),
    depthFrom: typedLength.optional(),
    depthTo: typedLength.optional(),
    takenOut: z.string().trim().max(300).optional(),
    driedH: z
      .number()
      .min(0, 'Drying cannot take less than no time.')
      .max(2000, 'That is over two months. Give hours.')
      .optional(),
    sieve: typedLength
      .refine((s) => s.mm > 0 && s.mm <= 50, 'A mesh is wider than nothing and narrower than 50 mm.')
      .optional(),
    gravel: z
      .object({
        amount: z.number().min(0, 'Gravel cannot be less than nothing.').max(100_000),
        unit: z.enum(GRAVEL_UNITS),
        whole: z.number().positive('The whole sample is more than nothing.').max(1_000_000).optional()
      })
      .refine((g) => g.whole === undefined || g.whole >= g.amount, {
        path: ['whole'],
        message: 'The whole sample is at least what stayed on the sieve. Weigh or measure both alike.'
      })
      .optional(),
    look: z.string().trim().max(500).optional()
  })
  .refine((d) => !d.depthFrom || !d.depthTo || d.depthTo.mm > d.depthFrom.mm, {
    path: ['depthTo'],
    message: 'The lower end must lie below the upper one.'
  });

const vesselFields = z.object({
  name: z.string().trim().min(1, 'Give the vessel a name you will know it by.').max(60),
  kind: z.enum(['jar', 'cylinder']),
  innerHeightMm: mm('the inner height'),
  innerDiameterMm: mm('the inner diameter'),
  baseThicknessMm: mm('the thickness of the base'),
  shoulderHeightMm: mm('the height of the shoulder'),
  mouthDiameterMm: mm('the width of the mouth'),
  domeMm: mm('the height of the dome').default(0),
  /** Where given it rules: the other measures follow from it. */
  profile: z
    .array(z.object({ heightMm: mm('the height'), diameterMm: mm('the inner diameter') }))
    .min(2, 'Give the inner diameter at two heights at least: at the bottom and at the rim.')
    .max(40, 'Forty diameters are plenty.')
    .nullable()
    .default(null),
  graduationMl: z
    .number({ error: 'Give what a line of the scale stands for, in mL.' })
    .positive('A line of the scale stands for more than nothing.')
    .max(1000)
    .nullable()
    .default(null)
});

const percent = (what: string) =>
  z
    .number({ error: `Give the ${what} in percent.` })
    .min(0, `The ${what} cannot be below zero.`)
    .max(100, `The ${what} cannot be over 100 %.`);

/** Samples, what laboratories say of them, and vessels. */
export const sampleCommands = {
  'lab.add': z
    .object({
      reportId: id,
      sampleId: ref,
      lab: z.string().trim().min(1, 'Name the laboratory.').max(80, 'Keep the name under 80 letters.'),
      reportedOn: z.iso.date('Give the date as a day, such as 2026-05-04.').nullable().default(null),
      sand: percent('sand'),
      silt: percent('silt'),
      clay: percent('clay'),
      sandLimitUm: z.literal(SAND_LIMITS_UM),
      organicPct: percent('organic matter').nullable().default(null),
      note: z.string().trim().max(500, 'Keep the note under 500 letters.').default('')
    })
    .refine((r) => reportedShares(r) !== null, {
      path: ['clay'],
      message: 'Sand, silt and clay of a report come to 100, give or take one. Check them against the paper.'
    }),
  'lab.remove': z.object({ reportId: ref }),
  'sample.add': z.object({
    sampleId: id,
    ...sampleFields.shape,
    ...sampleGround,
    details: sampleDetails.default({})
  }),
  'sample.edit': z.object({
    sampleId: ref,
    ...sampleFields.shape,
    ...sampleGround,
    details: sampleDetails
  }),
  'vessel.add': z.object({ vesselId: id, ...vesselFields.shape })
} as const;
