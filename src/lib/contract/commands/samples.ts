import { z } from 'zod';
import { HAND_SAYS } from '../../core/judge/hand.ts';
import { SAND_LIMITS_UM } from '../../core/texture/limits.ts';
import { reportedShares } from '../../core/texture/typed.ts';
import { GRAVEL_UNITS, PURPOSES } from '../records/sample.ts';
import { defineCommand } from './define.ts';
import { id, mm, ref, typedLength } from './values.ts';
import { refusals } from '../../words/refusals.ts';

const sampleFields = z.object({
  name: z.string().trim().min(1, refusals.samples.nameSample).max(80, refusals.common.keepNameUnder80),
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
    takenOn: z.iso.date(refusals.samples.giveDateAsDay).optional(),
    depthFrom: typedLength.optional(),
    depthTo: typedLength.optional(),
    takenOut: z.string().trim().max(300).optional(),
    driedH: z
      .number()
      .min(0, refusals.samples.dryingCannotTakeLess)
      .max(2000, refusals.samples.overTwoMonths)
      .optional(),
    sieve: typedLength
      .refine((s) => s.mm > 0 && s.mm <= 50, refusals.samples.meshWiderThanNothing)
      .optional(),
    gravel: z
      .object({
        amount: z.number().min(0, refusals.samples.gravelCannotLessThan).max(100_000),
        unit: z.enum(GRAVEL_UNITS),
        whole: z.number().positive(refusals.samples.wholeSampleThanNothing).max(1_000_000).optional()
      })
      .refine((g) => g.whole === undefined || g.whole >= g.amount, {
        path: ['whole'],
        message: refusals.samples.wholeSampleLeastWhat
      })
      .optional(),
    look: z.string().trim().max(500).optional(),
    hand: z.array(z.enum(HAND_SAYS)).max(HAND_SAYS.length).optional(),
    ribbon: typedLength.optional()
  })
  .refine((d) => !d.depthFrom || !d.depthTo || d.depthTo.mm > d.depthFrom.mm, {
    path: ['depthTo'],
    message: refusals.common.lowerEndMustLie
  });

const vesselFields = z.object({
  name: z.string().trim().min(1, refusals.samples.giveVesselNameYou).max(60),
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
    .min(2, refusals.samples.giveInnerDiameterTwo)
    .max(40, refusals.samples.fortyDiametersPlenty)
    .nullable()
    .default(null),
  graduationMl: z
    .number({ error: refusals.samples.giveWhatLineScale })
    .positive(refusals.samples.lineScaleStandsThan)
    .max(1000)
    .nullable()
    .default(null)
});

const percent = (what: string) =>
  z
    .number({ error: refusals.samples.givePercent(what) })
    .min(0, refusals.samples.shareBelowZero(what))
    .max(100, refusals.samples.shareOverHundred(what));

/** Samples, what laboratories say of them, and vessels. */
export const sampleCommands = {
  'sample.hand': defineCommand(
    z.object({
      sampleId: ref,
      /** Left out, what was noted stays. */
      hand: z.array(z.enum(HAND_SAYS)).max(HAND_SAYS.length).optional(),
      ribbon: typedLength.nullable().optional().describe('null takes it off')
    })
  ),
  'lab.add': defineCommand(
    z
      .object({
        reportId: id,
        sampleId: ref,
        lab: z
          .string()
          .trim()
          .min(1, refusals.samples.nameLaboratory)
          .max(80, refusals.common.keepNameUnder80),
        reportedOn: z.iso.date(refusals.samples.giveDateAsDay).nullable().default(null),
        sand: percent('sand'),
        silt: percent('silt'),
        clay: percent('clay'),
        sandLimitUm: z.literal(SAND_LIMITS_UM),
        organicPct: percent('organic matter').nullable().default(null),
        note: z.string().trim().max(500, refusals.common.keepNoteUnder500).default('')
      })
      .refine((r) => reportedShares(r) !== null, {
        path: ['clay'],
        message: refusals.samples.reportNotHundred
      })
  ),
  'lab.remove': defineCommand(z.object({ reportId: ref })),
  'sample.add': defineCommand(
    z.object({
      sampleId: id,
      ...sampleFields.shape,
      ...sampleGround,
      details: sampleDetails.default({})
    })
  ),
  'sample.edit': defineCommand(
    z.object({
      sampleId: ref,
      ...sampleFields.shape,
      ...sampleGround,
      details: sampleDetails
    }),
    { edits: { table: 'sample', id: 'sampleId' } }
  ),
  /** A mix of the blend bench as a sample of its own. */
  'sample.mix': defineCommand(
    z.object({
      sampleId: id,
      name: sampleFields.shape.name,
      mix: z.object({
        parts: z
          .array(z.object({ name: z.string().max(80), buckets: z.number().int().min(1).max(500) }))
          .min(1, refusals.samples.mixOfNothing)
          .max(8),
        technique: z.string().max(80),
        on: z.enum(['heights', 'mass']),
        shares: z
          .object({ sand: percent('sand'), silt: percent('silt'), clay: percent('clay') })
          .refine((s) => reportedShares(s) !== null, refusals.samples.reportNotHundred),
        sd: z.object({ sand: z.number().min(0).max(50), clay: z.number().min(0).max(50) }),
        query: z.string().max(2000)
      })
    })
  ),
  'vessel.add': defineCommand(z.object({ vesselId: id, ...vesselFields.shape }))
} as const;
