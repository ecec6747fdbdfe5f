import { index, integer, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { WaterSeen } from '../../core/judge/hole.ts';
import type { AmendmentKind } from '../../contract/records/amendment.ts';
import type { HoleNote } from '../../contract/records/hole.ts';
import type { TypedLength } from '../../contract/records/sample.ts';
import { jsonColumn, shapes } from '../json-column.ts';
import { area, spot } from './ground.ts';

/** Read in place of a length that cannot be: no hole is like that, which its record says. */
const NO_LENGTH: TypedLength = { mm: 0, text: '' };

/** A drainage hole. */
export const hole = sqliteTable(
  'hole',
  {
    id: text('id').primaryKey(),
    /** Letters of its area, and its number there. */
    code: text('code').notNull().unique(),
    areaId: text('area_id')
      .notNull()
      .references(() => area.id),
    spotId: text('spot_id').references(() => spot.id),
    depth: jsonColumn<TypedLength>('depth', shapes.length, NO_LENGTH).notNull(),
    width: jsonColumn<TypedLength>('width', shapes.length, NO_LENGTH).notNull(),
    notes: jsonColumn<HoleNote[]>('notes', shapes.texts, []).notNull(),
    note: text('note').notNull(),
    soakedAt: integer('soaked_at'),
    refilledAt: integer('refilled_at'),
    /** Water over the bottom at the refill; null for as deep as the hole. */
    filled: jsonColumn<TypedLength>('filled', shapes.length, null),
    finishedAt: integer('finished_at'),
    createdAt: integer('created_at').notNull()
  },
  (t) => [index('hole_area').on(t.areaId)]
);

/** What was seen in a hole. */
export const holeReading = sqliteTable(
  'hole_reading',
  {
    id: text('id').primaryKey(),
    holeId: text('hole_id')
      .notNull()
      .references(() => hole.id),
    at: integer('at').notNull(),
    seen: text('seen').notNull().$type<WaterSeen>(),
    height: jsonColumn<TypedLength>('height', shapes.length, null)
  },
  (t) => [index('hole_reading_hole').on(t.holeId)]
);

/** What was put on or into an area, on a day. */
export const amendment = sqliteTable(
  'amendment',
  {
    id: text('id').primaryKey(),
    areaId: text('area_id')
      .notNull()
      .references(() => area.id),
    doneOn: text('done_on').notNull(),
    kind: text('kind').notNull().$type<AmendmentKind>(),
    litres: real('litres'),
    note: text('note').notNull(),
    createdAt: integer('created_at').notNull()
  },
  (t) => [index('amendment_area').on(t.areaId)]
);
