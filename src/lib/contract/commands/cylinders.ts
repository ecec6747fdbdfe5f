import { z } from 'zod';
import { BULBS } from '../../core/physics/bulb.ts';
import { defineCommand } from './define.ts';
import { ofTest, OPEN, STANDS } from './states.ts';
import { at, id, ref, waterTemp } from './values.ts';
import { refusals } from '../../words/refusals.ts';

/** A reading in the instrument's own scale; whether it can be right is for the core to say. */
const gaugeValue = z
  .number({ error: refusals.cylinders.giveReadingAsNumber })
  .min(-10, refusals.cylinders.noHydrometerShowsLess)
  .max(100, refusals.cylinders.noHydrometerShowsThan);

const grams = (what: string) =>
  z
    .number({ error: refusals.cylinders.giveGrams(what) })
    .min(0, refusals.common.belowZero(what))
    .max(5000, refusals.cylinders.overFiveKilograms);

/** What is weighed for a cylinder test; what it means is checked by the core. */
export const cylinderFacts = z.object({
  airDryG: grams('the air-dry soil').positive(refusals.cylinders.weighAirDrySoil),
  moisture: z
    .object({
      wetG: grams('the moist subsample'),
      dryG: grams('the dry subsample'),
      tinG: grams('the tin')
    })
    .nullable(),
  ovenDry: z.boolean().optional(),
  particleDensity: z.number({ error: refusals.cylinders.giveGrainDensityKg }).max(10_000),
  bulb: z.enum(BULBS),
  meniscus: z
    .number({ error: refusals.cylinders.giveMeniscusGL })
    .min(0, refusals.cylinders.meniscusAdded)
    .max(3, refusals.cylinders.meniscusUnder3G),
  sieves: z
    .array(
      z.object({
        meshUm: z.number({ error: refusals.cylinders.giveMeshM }),
        retainedG: grams('what stayed on the mesh')
      })
    )
    .max(12),
  cylinderMl: z.number().positive(refusals.cylinders.cylinderHoldsThanNothing).max(2000),
  pipette: z
    .object({
      volumeMl: z.number({ error: refusals.cylinders.giveVolumePipetteMl }).max(200),
      depthMm: z.number({ error: refusals.common.giveDepthTipMm }).max(400),
      dispersantG: grams('the dispersant in a draw')
    })
    .nullable()
});

/** What is weighed and read of a cylinder. */
export const cylinderCommands = {
  'cylinder.facts': defineCommand(z.object({ testId: ref, facts: cylinderFacts, blankId: ref.nullable() }), {
    states: ofTest(OPEN, { by: 'instrument' })
  }),
  'gauge.take': defineCommand(
    z.object({
      testId: ref,
      runId: ref,
      gaugeId: id,
      no: z.number().int().min(0).max(60),
      value: gaugeValue.nullable().default(null),
      tempC: waterTemp.nullable().default(null),
      simulated: z.boolean().default(false)
    }),
    { states: ofTest(STANDS, { by: 'instrument', run: 'on' }) }
  ),
  'gauge.enter': defineCommand(
    z.object({
      testId: ref,
      gaugeId: ref,
      value: gaugeValue.nullable(),
      tempC: waterTemp.nullable()
    }),
    { states: ofTest(OPEN, { by: 'instrument' }) }
  ),
  'gauge.time': defineCommand(z.object({ testId: ref, gaugeId: ref, at }), {
    states: ofTest(OPEN, { by: 'instrument' })
  }),
  'gauge.remove': defineCommand(z.object({ testId: ref, gaugeId: ref }), {
    states: ofTest(OPEN, { by: 'instrument' })
  }),
  'blank.add': defineCommand(
    z.object({
      blankId: id,
      name: z.string().trim().min(1, refusals.cylinders.nameBlank).max(60)
    })
  ),
  'blank.read': defineCommand(z.object({ blankId: ref, readingId: id, value: gaugeValue, tempC: waterTemp })),
  'blank.unread': defineCommand(z.object({ readingId: ref })),
  'cylinder.finish': defineCommand(z.object({ testId: ref, resultId: id }), {
    states: ofTest(['running'], {
      by: 'instrument',
      refuse: { ready: refusals.cylinders.setCylinderDownFirst }
    })
  })
} as const;
