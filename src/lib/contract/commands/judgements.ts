import { z } from 'zod';
import { FIGURE_IDS } from '../../core/judge/figures.ts';
import { WINDOW_OF } from '../../core/judge/profile.ts';
import { WALL_OF, WALL_SIGNS } from '../../core/judge/technique.ts';
import { REMINDERS } from '../records/reminder.ts';
import { defineCommand } from './define.ts';
import { at, id, ref } from './values.ts';
import { refusals } from '../../words/refusals.ts';

const share = z.number().min(0).max(100);
const profileName = z.string().trim().max(60, refusals.judgements.nameUnder60);
const reason = z.string().trim().max(200, refusals.judgements.reasonUnder200).default('');
const fact = z.number().nullable().default(null);
const bound = z.number({ error: refusals.judgements.giveNumber }).optional();

/** Judgements that are kept, what they are judged by, and what is to be done because of them. */
export const judgementCommands = {
  'judgement.keep': defineCommand(
    z
      .object({
        judgementId: id,
        testId: ref.nullable(),
        /** Percentages from elsewhere, where no test is in hand. */
        typed: z.object({ sand: share, silt: share, clay: share }).nullable().default(null),
        ask: z.enum(['bed', 'bore', 'wall']),
        bedKey: ref.default('vegetables'),
        figuresKey: ref.default('usual').describe('the figures it counts with'),
        /** Where it was measured; else it is taken as unknown. */
        organicPct: z.number().min(0).max(30).nullable().default(null),
        linePct: z.number().positive().max(99).nullable().default(null),
        /** For a wall: what no jar says, what was seen, and the mix that is kept with it. */
        wall: z
          .object({
            gravelPct: fact,
            stoneMm: fact,
            organicPct: fact,
            signs: z.array(z.enum(WALL_SIGNS)).max(WALL_SIGNS.length).default([]),
            blend: z
              .object({
                techniqueKey: ref,
                materials: z.string().max(1500).describe('as the address of Act holds them'),
                batch: z.string().max(30).default(''),
                buckets: z
                  .array(z.number().int().min(0).max(500))
                  .max(8)
                  .nullable()
                  .default(null)
                  .describe('as changed by hand; else the answer is kept')
              })
              .nullable()
              .default(null)
          })
          .nullable()
          .default(null),
        query: z.string().max(2000)
      })
      .refine((j) => (j.testId === null) !== (j.typed === null), {
        path: ['testId'],
        message: refusals.judgements.oneSoil
      })
  ),
  'judgement.remove': defineCommand(z.object({ judgementId: ref })),
  'bed.save': defineCommand(
    z.object({
      bedKey: ref.describe('of a bed that ships, to change it, or a key of one’s own that begins with own-'),
      fromKey: ref.describe('the bed it is copied from'),
      name: profileName,
      windows: z
        .array(
          z.object({
            of: z.enum(WINDOW_OF),
            least: bound,
            most: bound,
            reason
          })
        )
        .max(WINDOW_OF.length)
    })
  ),
  'bed.retire': defineCommand(z.object({ bedKey: ref })),
  'technique.save': defineCommand(
    z.object({
      techniqueKey: ref.describe(
        'of one that ships, to change it, or a key of one’s own that begins with own-'
      ),
      fromKey: ref.describe('the technique it is copied from'),
      name: profileName,
      on: z.enum(['heights', 'mass']),
      windows: z
        .array(
          z.object({
            of: z.enum(WALL_OF),
            least: bound,
            most: bound,
            best: z.object({ least: bound, most: bound }).optional(),
            reason
          })
        )
        .max(WALL_OF.length)
    })
  ),
  'technique.retire': defineCommand(z.object({ techniqueKey: ref })),
  'figures.save': defineCommand(
    z.object({
      figuresKey: ref.describe(
        'of a set that ships, to change it, or a key of one’s own that begins with own-'
      ),
      fromKey: ref.describe('the set it is copied from'),
      name: profileName,
      figures: z
        .array(
          z.object({
            of: z.enum(FIGURE_IDS),
            value: z.number({ error: refusals.judgements.giveNumber }).nullable(),
            reason
          })
        )
        .max(FIGURE_IDS.length)
    })
  ),
  'figures.retire': defineCommand(z.object({ figuresKey: ref })),
  'reminder.add': defineCommand(
    z.object({
      reminderId: id,
      kind: z.enum(REMINDERS),
      name: z.string().trim().min(1).max(80, refusals.common.keepNameUnder80),
      areaId: ref.nullable().default(null),
      litres: z.number().positive().max(1_000_000).nullable().default(null),
      dueAt: at,
      everyMs: z
        .number()
        .int()
        .min(3_600_000, refusals.judgements.oftenerThanHour)
        .max(5 * 366 * 86_400_000)
        .nullable()
        .default(null)
    })
  ),
  'reminder.done': defineCommand(z.object({ reminderId: ref })),
  'reminder.end': defineCommand(z.object({ reminderId: ref }))
} as const;
