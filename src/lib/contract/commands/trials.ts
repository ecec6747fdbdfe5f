import { z } from 'zod';
import { BINDERS, TRIAL_KINDS } from '../../core/judge/trial.ts';
import { DROPS, SOAK_LOOKS } from '../../core/judge/trial-tells.ts';
import { refusals } from '../../words/refusals.ts';
import { at, id, ref, typedLength } from './values.ts';

const number = z.number({ error: refusals.judgements.giveNumber }).finite();
const pressure = z.object({ mpa: number.min(0).max(1000), text: z.string().max(40) });
const note = z.string().trim().max(500, refusals.common.keepNoteUnder500).default('');

/** What a set is planned with; the core says what it can be. */
const plan = {
  mix: z.string().trim().max(300, refusals.trials.mixUnder300).default(''),
  binder: z.enum(BINDERS).default('none'),
  binderPct: number.default(0),
  waterPct: number.nullable().default(null),
  pressure: pressure.nullable().default(null),
  piston: typedLength.nullable().default(null),
  areaMm2: number.nullable().default(null),
  box: typedLength.nullable().default(null),
  count: number,
  soaked: number.default(0),
  cureDays: number,
  soakDays: number.default(0),
  note
};

/** Trial pieces: balls, ribbons, boxes and blocks, from the plan to the last that is crushed. */
export const trialCommands = {
  'trial.plan': z.object({ trialId: id, sampleId: ref, kind: z.enum(TRIAL_KINDS), ...plan }),
  'trial.edit': z.object({ trialId: ref, ...plan }),
  /** They are made: time zero. Where it is told afterwards, when that was. */
  'trial.form': z.object({ trialId: ref, formedAt: at.nullable().default(null) }),
  'trial.care': z.object({ trialId: ref, key: z.string().max(20) }),
  'trial.soak': z.object({ trialId: ref, soakedAt: at.nullable().default(null) }),
  'trial.finish': z.object({ trialId: ref }),
  'trial.reopen': z.object({ trialId: ref }),
  'trial.remove': z.object({ trialId: ref }),
  /** What a piece tells; told again under the same id it is corrected. */
  'piece.keep': z.object({
    trialId: ref,
    pieceId: id,
    no: number,
    seen: z.object({
      drop: z.enum(DROPS).optional(),
      length: typedLength.optional(),
      cracked: z.boolean().optional(),
      sides: z.tuple([typedLength, typedLength, typedLength]).optional(),
      massG: number.optional(),
      wetMassG: number.optional(),
      gauge: pressure.optional(),
      look: z.enum(SOAK_LOOKS).optional()
    }),
    simulated: z.boolean().default(false),
    note
  }),
  'piece.remove': z.object({ trialId: ref, pieceId: ref })
} as const;
