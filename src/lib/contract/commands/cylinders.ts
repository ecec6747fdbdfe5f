import { z } from 'zod';
import { BULBS } from '../../core/physics/bulb.ts';
import { at, id, ref, waterTemp } from './values.ts';

/** A reading in the instrument's own scale; whether it can be right is for the core to say. */
const gaugeValue = z
  .number({ error: 'Give the reading as a number.' })
  .min(-10, 'No hydrometer shows less than -10.')
  .max(100, 'No hydrometer shows more than 100.');

const grams = (what: string) =>
  z
    .number({ error: `Give ${what} in grams.` })
    .min(0, `${what} cannot be below zero.`)
    .max(5000, 'That is over five kilograms. Give grams.');

/** What is weighed for a cylinder test; what it means is checked by the core. */
export const cylinderFacts = z.object({
  airDryG: grams('the air-dry soil').positive('Weigh the air-dry soil: it is more than nothing.'),
  moisture: z
    .object({
      wetG: grams('the moist subsample'),
      dryG: grams('the dry subsample'),
      tinG: grams('the tin')
    })
    .nullable(),
  ovenDry: z.boolean().optional(),
  particleDensity: z.number({ error: 'Give the grain density in kg/m³, such as 2650.' }).max(10_000),
  bulb: z.enum(BULBS),
  meniscus: z
    .number({ error: 'Give the meniscus in g/L, such as 0.5.' })
    .min(0, 'The meniscus is added: zero or more.')
    .max(3, 'A meniscus is under 3 g/L.'),
  sieves: z
    .array(
      z.object({
        meshUm: z.number({ error: 'Give the mesh in µm.' }),
        retainedG: grams('what stayed on the mesh')
      })
    )
    .max(12),
  cylinderMl: z.number().positive('A cylinder holds more than nothing.').max(2000),
  pipette: z
    .object({
      volumeMl: z.number({ error: 'Give the volume of the pipette in mL.' }).max(200),
      depthMm: z.number({ error: 'Give the depth of the tip in mm.' }).max(400),
      dispersantG: grams('the dispersant in a draw')
    })
    .nullable()
});

/** What is weighed and read of a cylinder. */
export const cylinderCommands = {
  'cylinder.facts': z.object({ testId: ref, facts: cylinderFacts, blankId: ref.nullable() }),
  'gauge.take': z.object({
    testId: ref,
    runId: ref,
    gaugeId: id,
    no: z.number().int().min(0).max(60),
    value: gaugeValue.nullable().default(null),
    tempC: waterTemp.nullable().default(null),
    simulated: z.boolean().default(false)
  }),
  'gauge.enter': z.object({
    testId: ref,
    gaugeId: ref,
    value: gaugeValue.nullable(),
    tempC: waterTemp.nullable()
  }),
  'gauge.time': z.object({ testId: ref, gaugeId: ref, at }),
  'gauge.remove': z.object({ testId: ref, gaugeId: ref }),
  'blank.add': z.object({
    blankId: id,
    name: z.string().trim().min(1, 'Name the blank, such as its cylinder.').max(60)
  }),
  'blank.read': z.object({ blankId: ref, readingId: id, value: gaugeValue, tempC: waterTemp }),
  'blank.unread': z.object({ readingId: ref }),
  'cylinder.finish': z.object({ testId: ref, resultId: id })
} as const;
