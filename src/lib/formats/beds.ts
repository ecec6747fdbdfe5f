import { z } from 'zod';
import { AMENDMENTS, type AmendmentRecord } from '../contract/records/amendment.ts';
import { HOLE_NOTES, WATER_SEEN, type HoleRecord } from '../contract/records/hole.ts';
import { afterRefillS, viewHole } from '../workbench/holes.ts';
import { csvFile } from './csv-file.ts';
import { isoOrNull, time } from './values.ts';

/** Holes and amendments as JSON and CSV. Lengths in mm, rates in mm/h, times ISO 8601 in UTC. */

export const holesDocument = z
  .object({
    holes: z.array(
      z.object({
        id: z.string(),
        code: z.string(),
        areaId: z.string(),
        area: z.string(),
        spotId: z.string().nullable(),
        depthMm: z.number(),
        widthMm: z.number(),
        notes: z.array(z.enum(HOLE_NOTES)),
        note: z.string(),
        soakedAt: time.nullable(),
        refilledAt: time.nullable(),
        filledMm: z.number(),
        finishedAt: time.nullable(),
        readings: z.array(
          z.object({
            seconds: z.number().describe('after the refill'),
            seen: z.enum(WATER_SEEN),
            heightMm: z.number().nullable().describe('water over the bottom')
          })
        ),
        dropMmH: z.number().nullable(),
        groundMmH: z.number().nullable().describe('conductivity of the ground, by the inverse auger hole'),
        atMost: z.boolean().describe('both are bounds: water still stood there'),
        class: z.enum(['very-slow', 'slow', 'well', 'quick', 'very-quick']).nullable()
      })
    )
  })
  .describe('Drainage holes, the oldest first.');

export function holesToJson(holes: readonly HoleRecord[], now: number): z.infer<typeof holesDocument> {
  return {
    holes: holes.map((hole) => {
      const { outcome } = viewHole(hole, now);
      return {
        id: hole.id,
        code: hole.code,
        areaId: hole.areaId,
        area: hole.areaName,
        spotId: hole.spotId,
        depthMm: hole.depth.mm,
        widthMm: hole.width.mm,
        notes: hole.notes,
        note: hole.note,
        soakedAt: isoOrNull(hole.soakedAt),
        refilledAt: isoOrNull(hole.refilledAt),
        filledMm: hole.filled.mm,
        finishedAt: isoOrNull(hole.finishedAt),
        readings: hole.readings.map(({ at, seen, height }) => ({
          seconds: afterRefillS(hole, at),
          seen,
          heightMm: height?.mm ?? null
        })),
        dropMmH: outcome?.drainage.dropMmH ?? null,
        groundMmH: outcome?.drainage.groundMmH ?? null,
        atMost: outcome?.kind === 'at-most',
        class: outcome?.drainage.class ?? null
      };
    })
  };
}

/** One line a reading; a hole without any has one line. */
export function holesToCsv(holes: readonly HoleRecord[], now: number): string {
  const rows = holesToJson(holes, now).holes.flatMap((hole) => {
    const head = {
      code: hole.code,
      area: hole.area,
      depth_mm: hole.depthMm,
      width_mm: hole.widthMm,
      soaked_utc: hole.soakedAt ?? '',
      refilled_utc: hole.refilledAt ?? '',
      drop_mm_h: hole.dropMmH?.toFixed(2) ?? '',
      ground_mm_h: hole.groundMmH?.toFixed(2) ?? '',
      at_most: hole.atMost ? 'yes' : 'no',
      class: hole.class ?? '',
      notes: hole.notes.join(' '),
      note: hole.note,
      id: hole.id
    };
    const blank = { seconds: '' as string | number, seen: '', height_mm: '' as string | number };
    const seen = hole.readings.map((r) => ({
      seconds: r.seconds,
      seen: r.seen as string,
      height_mm: r.heightMm ?? ''
    }));
    return (seen.length > 0 ? seen : [blank]).map((one) => ({ ...head, ...one }));
  });
  return csvFile(rows, [
    ...['code', 'area', 'depth_mm', 'width_mm', 'soaked_utc', 'refilled_utc', 'seconds', 'seen', 'height_mm'],
    ...['drop_mm_h', 'ground_mm_h', 'at_most', 'class', 'notes', 'note', 'id']
  ]);
}

export const amendmentsDocument = z
  .object({
    amendments: z.array(
      z.object({
        id: z.string(),
        areaId: z.string(),
        doneOn: z.iso.date(),
        kind: z.enum(AMENDMENTS),
        litres: z.number().nullable(),
        note: z.string()
      })
    )
  })
  .describe('What was put on or into areas, the earliest first.');

export const amendmentsToJson = (all: readonly AmendmentRecord[]): z.infer<typeof amendmentsDocument> => ({
  amendments: all.map(({ createdAt: _, ...one }) => one)
});

export const amendmentsToCsv = (all: readonly AmendmentRecord[]): string =>
  csvFile(
    all.map((a) => ({
      done_on: a.doneOn,
      kind: a.kind,
      litres: a.litres ?? '',
      note: a.note,
      area_id: a.areaId,
      id: a.id
    })),
    ['done_on', 'kind', 'litres', 'note', 'area_id', 'id']
  );
