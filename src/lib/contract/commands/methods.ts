import { z } from 'zod';
import { MOST_READINGS } from '../../core/method/own-instrument.ts';
import { defineCommand } from './define.ts';
import { ref } from './values.ts';
import { refusals } from '../../words/refusals.ts';

const seconds = z.number({ error: refusals.methods.giveTimeSuchAs }).finite();

const timedMark = z.object({
  layer: z.enum(['sand', 'silt', 'clay']),
  atS: seconds,
  untilS: seconds.optional()
});

/** What an instrument is read by; what it means is checked by the core. */
const instrumentDraft = z.discriminatedUnion('kind', [
  z.object({
    kind: z.literal('hydrometer'),
    soilG: z.number({ error: refusals.methods.giveAirDrySoil }),
    readings: z.array(z.object({ atS: seconds, leadS: seconds })).max(MOST_READINGS)
  }),
  z.object({
    kind: z.literal('pipette'),
    soilG: z.number({ error: refusals.methods.giveAirDrySoil }),
    depthMm: z.number({ error: refusals.common.giveDepthTipMm }),
    leadS: seconds,
    limitsUm: z.array(z.number({ error: refusals.methods.giveSizeM })).max(MOST_READINGS)
  })
]);

/** A method as it is changed; what it means is checked by the core. */
const methodDraft = z.object({
  name: z.string().max(200),
  purpose: z.string().trim().max(300, refusals.methods.keepPurposeUnder300),
  vesselKind: z.enum(['jar', 'cylinder']),
  soilShare: z.number({ error: refusals.methods.giveSoilAsShare }),
  water: z.union([z.literal('neck'), z.literal('near-top'), z.number()]),
  dispersantMlPerL: z.number({ error: refusals.methods.giveDispersantMlLitre }),
  agitate: z.object({ how: z.string().trim().max(80), fromS: seconds, toS: seconds }),
  marks: z.array(timedMark).max(3),
  end: z.object({ fromS: seconds, toS: seconds }),
  instrument: instrumentDraft.optional(),
  steps: z
    .array(z.object({ text: z.string().trim().max(300), why: z.string().trim().max(300).optional() }))
    .max(30, refusals.methods.thirtyStepsPlenty)
});

/** Methods of one’s own. */
export const methodCommands = {
  'method.save': defineCommand(
    z.object({
      methodKey: ref.describe('of an own method to change, or a new key that begins with own-'),
      fromKey: ref.describe('the method it is copied from'),
      draft: methodDraft
    })
  ),
  'method.retire': defineCommand(z.object({ methodKey: ref }))
} as const;
