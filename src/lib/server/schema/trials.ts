import { index, integer, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Binder, TrialKind } from '../../core/judge/trial.ts';
import type { TypedLength } from '../../contract/records/sample.ts';
import type { TypedPressure, TypedSeen } from '../../contract/records/trial.ts';
import { jsonColumn, shapes } from '../json-column.ts';
import { sample } from './ground.ts';

/** A set of trial pieces. */
export const trial = sqliteTable(
  'trial',
  {
    id: text('id').primaryKey(),
    /** Code of its sample, and its number there. */
    code: text('code').notNull().unique(),
    kind: text('kind').notNull().$type<TrialKind>(),
    sampleId: text('sample_id')
      .notNull()
      .references(() => sample.id),
    mix: text('mix').notNull(),
    binder: text('binder').notNull().$type<Binder>(),
    binderPct: real('binder_pct').notNull(),
    waterPct: real('water_pct'),
    pressure: jsonColumn<TypedPressure>('pressure', shapes.pressure, null),
    piston: jsonColumn<TypedLength>('piston', shapes.length, null),
    areaMm2: real('area_mm2'),
    box: jsonColumn<TypedLength>('box', shapes.length, null),
    count: integer('count').notNull(),
    /** So many of them are soaked: the last ones. */
    soaked: integer('soaked').notNull(),
    cureDays: real('cure_days').notNull(),
    soakDays: real('soak_days').notNull(),
    note: text('note').notNull(),
    formedAt: integer('formed_at'),
    soakedAt: integer('soaked_at'),
    cared: jsonColumn<{ key: string; at: number }[]>('cared', shapes.cared, []).notNull(),
    finishedAt: integer('finished_at'),
    createdAt: integer('created_at').notNull()
  },
  (t) => [index('trial_sample').on(t.sampleId)]
);

/** What one piece of a set told. */
export const trialPiece = sqliteTable(
  'trial_piece',
  {
    id: text('id').primaryKey(),
    trialId: text('trial_id')
      .notNull()
      .references(() => trial.id),
    no: integer('no').notNull(),
    seen: jsonColumn<TypedSeen>('seen', shapes.seen, {}).notNull(),
    simulated: integer('simulated', { mode: 'boolean' }).notNull(),
    note: text('note').notNull(),
    at: integer('at').notNull()
  },
  (t) => [uniqueIndex('trial_piece_no').on(t.trialId, t.no)]
);
