import { z } from 'zod';
import { BINDERS, TRIAL_KINDS } from '../../core/judge/trial.ts';
import { DROPS, SOAK_LOOKS } from '../../core/judge/trial-tells.ts';
import { refusals } from '../../words/refusals.ts';
import { defineCommand } from './define.ts';
import { ofTrial, MADE } from './states.ts';
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
  'trial.plan': defineCommand(z.object({ trialId: id, sampleId: ref, kind: z.enum(TRIAL_KINDS), ...plan })),
  'trial.edit': defineCommand(z.object({ trialId: ref, ...plan }), {
    states: ofTrial(['planned', ...MADE]),
    edits: { table: 'trial', id: 'trialId' }
  }),
  /** They are made: time zero. Where it is told afterwards, when that was. */
  'trial.form': defineCommand(z.object({ trialId: ref, formedAt: at.nullable().default(null) }), {
    states: ofTrial(['planned'], {
      formed: refusals.trials.formedAlready,
      soaked: refusals.trials.formedAlready
    })
  }),
  'trial.care': defineCommand(z.object({ trialId: ref, key: z.string().max(20) }), { states: ofTrial(MADE) }),
  'trial.soak': defineCommand(z.object({ trialId: ref, soakedAt: at.nullable().default(null) }), {
    states: ofTrial(['formed'], { soaked: refusals.trials.soakedAlready })
  }),
  'trial.finish': defineCommand(z.object({ trialId: ref }), { states: ofTrial(MADE) }),
  'trial.reopen': defineCommand(z.object({ trialId: ref }), {
    states: ofTrial(['finished'], {
      planned: refusals.trials.openAlready,
      formed: refusals.trials.openAlready,
      soaked: refusals.trials.openAlready
    })
  }),
  'trial.remove': defineCommand(z.object({ trialId: ref })),
  /** What a piece tells; told again under the same id it is corrected. */
  'piece.keep': defineCommand(
    z.object({
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
    { states: ofTrial(MADE) }
  ),
  'piece.remove': defineCommand(z.object({ trialId: ref, pieceId: ref }), { states: ofTrial(MADE) })
} as const;
